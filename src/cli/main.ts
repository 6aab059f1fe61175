import { bandProblemText, decodeBands } from '../core/marking';
import { UnusableInput, readArguments, type CommandLine } from './arguments';
import { analyseFile, convertFile, probeFile, schematicFile } from './board';
import { evaluateFolder } from './evaluate';
import { decode, decodeFile, shown } from './decode';
import { line } from './line';
import { session } from './session';
import { discharge } from './discharge';
import { find } from './find';
import { design } from './design';
import { match } from './match';
import { diagnoseFile } from './diagnose';
import { simulateFile } from './simulate';
import { substitute } from './substitute';

interface Command {
  readonly usage: string;
  /** Whether it prints text as it is instead of JSON. */
  readonly isText?: boolean;
  readonly message: string;
  run(line: CommandLine): unknown;
}

const note = (text: string) => process.stderr.write(`${text}\n`);

const COMMANDS: Readonly<Record<string, Command>> = {
  decode: {
    usage: 'decode MARKING [--kind KIND] [--package PACKAGE] · decode --file CASES.jsonl',
    message: 'Ranked readings of a marking, best first; confidences add up to at most 1. Ratings are in SI base units.',
    run: (line) => (line.options.file === undefined ? decode(line, note) : decodeFile(line.options.file, note)),
  },
  line: {
    usage: 'line "TEXT" [--logged "q1 nmos; t1 transformer"] · line --file CASES.jsonl',
    message: 'What a bench line means, as records; or what was not understood, where, and what may have been meant.',
    run: line,
  },
  session: {
    usage: 'session FILE.txt [--every N]',
    message: 'Bench lines of one unit in their order, with what the engine makes of the board after every N of them.',
    run: session,
  },
  bands: {
    usage: 'bands COLOUR...',
    message: 'Readings of three to six resistor bands, from the end nearest a lead.',
    run: ({ words }) => {
      const decoded = decodeBands(words);
      if (!decoded.ok) throw new UnusableInput(`bands: ${bandProblemText(decoded.problem)}`);
      return { readings: decoded.decodings.map(shown) };
    },
  },
  analyse: {
    usage: 'analyse BOARD.json',
    message: 'Stages with topology and probability, bulk, barrier, sides and findings of a traced board.',
    run: (line) => analyseFile(line, note),
  },
  probe: {
    usage: 'probe BOARD.json [--count N]',
    message: 'Pin pairs whose continuity answer would tell most about the topology, best first; the gain is in bits.',
    run: (line) => probeFile(line, note),
  },
  evaluate: {
    usage: 'evaluate FOLDER [--seed N]',
    message:
      'Scores the engine over boards with answers/: whole, partly traced, with and without the advice on probes.',
    run: (line) => evaluateFolder(line, note),
  },
  schematic: {
    usage: 'schematic BOARD.json [--geometry]',
    message:
      'The schematic as SVG: from input to output, the barrier as a gap, untraced pins dashed; or its geometry as JSON.',
    isText: true,
    run: (line) => schematicFile(line, note),
  },
  convert: {
    usage: 'convert FILE --to board|spice|csv',
    message: 'Board files to SPICE netlists and CSV net lists, and back; what is lost is named on standard error.',
    isText: true,
    run: (line) => convertFile(line, note),
  },
  find: {
    usage: 'find "QUESTION" LOTS.json | find --file QUESTIONS.json LOTS.json',
    message: 'The lots that answer a question to the drawers, best first, or what is asked back.',
    run: (line) => find(line, note),
  },
  simulate: {
    usage: 'simulate DECK.cir [--measure "avg v(out) last 10 periods"]... [--period 1e-5] [--waves OUT.csv] [--steady]',
    message:
      'Measures of a switched circuit from its start, by the deck’s own “* measure:” lines or by those asked for; or over one period of its steady state.',
    run: (line) => simulateFile(line, note),
  },
  diagnose: {
    usage: 'diagnose CASE.json',
    message: 'Likely causes of a unit’s complaint with reasons, and the checks that would tell most for each minute.',
    run: (line) => diagnoseFile(line, note),
  },
  substitute: {
    usage: 'substitute PART.json STOCK.csv · substitute --file PAIRS.jsonl',
    message:
      'What may take the place of a part that failed, with reasons and margins: from a stock list, or a verdict on each pair of a file.',
    run: (line) => substitute(line, note),
  },
  match: {
    usage: 'match NEED.json STOCK.csv',
    message:
      'Lots of a stock list that meet a need under its duty, each checked by name, the best first; and what several come to together.',
    run: (line) => match(line, note),
  },
  design: {
    usage: 'design SPEC.json STOCK.csv',
    message:
      'Converters without isolation out of a stock list, the best first: lots by role, losses, stresses, what is missing, why.',
    run: (line) => design(line, note),
  },
  discharge: {
    usage: 'discharge --readings "0:310,5:255,10:209" --target 50',
    message: 'Time constant and time to a voltage from timed readings (seconds:volts), with bounds that hold at 95 %.',
    run: ({ options }) => discharge(options),
  },
};

function help(): string {
  const entries = Object.values(COMMANDS).map(({ usage, message }) => `  ${usage}\n      ${message}`);
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
      process.stdout.write(`${command.usage}\n${command.message}\n`);
      return 0;
    }
    const result = command.run(readArguments(name, rest));
    process.stdout.write(
      command.isText
        ? String(result)
        : textOf(
            result,
            rest.some((word) => word.startsWith('--file')),
          ),
    );
    return 0;
  } catch (error) {
    if (!(error instanceof UnusableInput)) throw error;
    process.stderr.write(`${error.message}\n`);
    return 2;
  }
}

/** One answer a line for a file of cases, one document otherwise. */
const textOf = (result: unknown, isFile: boolean): string =>
  isFile && Array.isArray(result)
    ? result.map((one) => `${JSON.stringify(one)}\n`).join('')
    : `${JSON.stringify(result)}\n`;

process.exitCode = main(process.argv.slice(2));
