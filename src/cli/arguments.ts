/** Input that cannot be used; the message is one line that names the place and what was expected. */
export class UnusableInput extends Error {}

export interface CommandLine {
  readonly words: readonly string[];
  readonly options: Readonly<Record<string, string | undefined>>;
}

/** Options of each command; every one takes a value, but for those of `FLAGS`. */
const OPTIONS: Readonly<Record<string, readonly string[]>> = {
  decode: ['kind', 'package', 'file'],
  line: ['logged', 'file'],
  session: ['every'],
  bands: [],
  discharge: ['readings', 'target'],
  analyse: [],
  probe: ['count'],
  evaluate: ['seed'],
  schematic: ['geometry'],
  convert: ['to'],
  find: ['file'],
  diagnose: [],
  design: [],
  match: [],
  substitute: ['file'],
  simulate: ['measure', 'period', 'waves', 'steady'],
};

const FLAGS: ReadonlySet<string> = new Set(['geometry', 'steady']);
/** Options that may come several times; their values stand on lines of their own. */
const REPEATED: ReadonlySet<string> = new Set(['measure']);

/** Cuts a command's arguments into words and options (`--name value` or `--name=value`). */
export function readArguments(command: string, argv: readonly string[]): CommandLine {
  const words: string[] = [];
  const options: Record<string, string> = {};
  for (let index = 0; index < argv.length; index += 1) {
    const [, name, inline] = /^--([a-z]+)(?:=(.*))?$/s.exec(argv[index] ?? '') ?? [];
    if (name === undefined) {
      words.push(argv[index] ?? '');
      continue;
    }
    if (!OPTIONS[command]?.includes(name))
      throw new UnusableInput(`${command}: there is no option --${name}; see --help.`);
    const value = FLAGS.has(name) ? (inline ?? '') : (inline ?? argv[(index += 1)]);
    if (value === undefined) throw new UnusableInput(`${command} --${name}: a value is expected behind it.`);
    const before = REPEATED.has(name) ? options[name] : undefined;
    options[name] = before === undefined ? value : `${before}\n${value}`;
  }
  return { words, options };
}
