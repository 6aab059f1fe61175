import { bandProblemText, decodeBands } from '../core/marking';
import { UnusableInput, readArguments, type CommandLine } from './arguments';
import { decode, shown } from './decode';
import { discharge } from './discharge';

interface Command {
  readonly usage: string;
  readonly says: string;
  run(line: CommandLine): unknown;
}

const COMMANDS: Readonly<Record<string, Command>> = {
  decode: {
    usage: 'decode MARKING [--kind KIND] [--package PACKAGE]',
    says: 'Ranked readings of a marking, best first; confidences add up to at most 1. Ratings are in SI base units.',
    run: (line) => decode(line, (text) => process.stderr.write(`${text}\n`)),
  },
  bands: {
    usage: 'bands COLOUR...',
    says: 'Readings of three to six resistor bands, from the end nearest a lead.',
    run: ({ words }) => {
      const decoded = decodeBands(words);
      if (!decoded.ok) throw new UnusableInput(`bands: ${bandProblemText(decoded.problem)}`);
      return { readings: decoded.readings.map(shown) };
    },
  },
  discharge: {
    usage: 'discharge --readings "0:310,5:255,10:209" --target 50',
    says: 'Time constant and time to a voltage from timed readings (seconds:volts), with bounds that hold at 95 %.',
    run: ({ options }) => discharge(options),
  },
};

function help(): string {
  const entries = Object.values(COMMANDS).map(({ usage, says }) => `  ${usage}\n      ${says}`);
  return `Usage: npm run -s zorvek -- COMMAND ...\n\nJSON on standard output; exit 2 with one line on standard error when the input cannot be used.\n\n${entries.join('\n')}\n`;
}

function main(argv: readonly string[]): number {
  const [name, ...rest] = argv;
  if (name === undefined || name === '--help' || name === 'help') {
    process.stdout.write(help());
    return name === undefined ? 2 : 0;
  }
  const command = Object.hasOwn(COMMANDS, name) ? COMMANDS[name] : undefined;
  try {
    if (!command)
      throw new UnusableInput(`“${name}” is no command; one of ${Object.keys(COMMANDS).join(', ')} is expected.`);
    if (rest.includes('--help')) {
      process.stdout.write(`${command.usage}\n${command.says}\n`);
      return 0;
    }
    process.stdout.write(`${JSON.stringify(command.run(readArguments(name, rest)))}\n`);
    return 0;
  } catch (error) {
    if (!(error instanceof UnusableInput)) throw error;
    process.stderr.write(`${error.message}\n`);
    return 2;
  }
}

process.exitCode = main(process.argv.slice(2));
