import { formatQuantity, type Unit } from '../../quantity';

/** What a part is put under in its place, the worst steady case with its spikes; SI base units and °C. */
export interface Duty {
  readonly voltage?: number;
  /** Of AC, rms. */
  readonly acVoltage?: number;
  /** Rms of a switch or a winding, mean of a rectifier. */
  readonly current?: number;
  readonly ripple?: number;
  /** The highest peak now and then. */
  readonly pulse?: number;
  readonly frequency?: number;
  /** Of the air around it. */
  readonly temperature?: number;
  readonly power?: number;
  /** That drive its gate. */
  readonly gate?: number;
  /** Its tab must not be live. */
  readonly isolated?: boolean;
}
type Figure = Exclude<keyof Duty, 'isolated'>;

const SAID: Readonly<Record<Figure, { readonly unit: Unit; readonly word: string }>> = {
  voltage: { unit: 'volt', word: '' },
  acVoltage: { unit: 'volt', word: ' AC' },
  current: { unit: 'ampere', word: '' },
  ripple: { unit: 'ampere', word: ' of ripple' },
  pulse: { unit: 'ampere', word: ' peak' },
  frequency: { unit: 'hertz', word: '' },
  temperature: { unit: 'celsius', word: ' around it' },
  power: { unit: 'watt', word: '' },
  gate: { unit: 'volt', word: ' at its gate' },
};
const FIGURES = Object.keys(SAID) as Figure[];

/** A duty in words: `under 57 V, 2.6 A, 100 kHz`. */
export function dutyInWords(duty: Duty): string {
  const told = FIGURES.flatMap((name) => {
    const value = duty[name];
    return value === undefined ? [] : [`${formatQuantity(value, SAID[name].unit)}${SAID[name].word}`];
  });
  return `under ${[...told, ...(duty.isolated ? ['its tab isolated'] : [])].join(', ')}`;
}

const TYPED: Readonly<Record<Figure, readonly [suffix: string, word: string]>> = {
  voltage: ['V', ''],
  acVoltage: ['Vac', ''],
  current: ['A', ''],
  ripple: ['A', ' ripple'],
  pulse: ['A', ' peak'],
  frequency: ['Hz', ''],
  temperature: ['C', ''],
  power: ['W', ''],
  gate: ['V', ' gate'],
};

/** A duty as it is typed behind the word “duty”. */
export function dutyText(duty: Duty): string {
  const told = FIGURES.flatMap((name) => {
    const value = duty[name];
    return value === undefined ? [] : [`${Number(value.toPrecision(4))}${TYPED[name][0]}${TYPED[name][1]}`];
  });
  return [...told, ...(duty.isolated ? ['isolated'] : [])].join(' ');
}

const PREFIX: Readonly<Record<string, number>> = { m: 1e-3, k: 1e3, K: 1e3, M: 1e6, '': 1 };
const FIGURE =
  /^(?<digits>\d+(?:[.,]\d+)?)\s*(?<prefix>[mkKM]?)(?<unit>Vac|VAC|V|A|Hz|hz|W|°C|degC|C|°|)(?<kind>rms|pk|pp|dc|DC|ac|AC)?$/u;
const NOISE: ReadonlySet<string> = new Set(
  'and with at of in on a an the rms mean avg average dc steady max worst ambient air around it its'.split(' '),
);
/** Words that say what the figure before or after them is. */
const NAMED: Readonly<Record<string, Figure>> = {
  ripple: 'ripple',
  peak: 'pulse',
  pulse: 'pulse',
  pulsed: 'pulse',
  surge: 'pulse',
  gate: 'gate',
  drive: 'gate',
  ac: 'acVoltage',
};

/** Why a duty cannot be read. */
export interface DutyProblem {
  readonly words: readonly string[];
}

/**
 * Reads what stands behind the word “duty”: `57V 2.6A 100kHz 45C`, `1.2A ripple`, `10V gate isolated`.
 * @returns the words that are no duty, where there are any
 */
export function readDuty(text: string): { readonly duty: Duty } | DutyProblem {
  const tokens = text
    .replaceAll(/(\d)\s+(?=(?:[mkM]?(?:Vac|VAC|V|A|Hz|W)|°C|degC|C)\b)/gu, '$1')
    .split(/(?:[\s;]|,(?!\d))+/u)
    .filter((token) => token !== '' && token !== 'to');
  const duty: { -readonly [K in Figure]?: number } & { isolated?: boolean } = {};
  const unread: string[] = [];
  for (const [place, token] of tokens.entries()) {
    const lower = token.toLowerCase();
    if (NOISE.has(lower)) continue;
    if (/^(?:isolated|insulated|tab)$/u.test(lower)) {
      duty.isolated = true;
      continue;
    }
    if (Object.hasOwn(NAMED, lower)) continue;
    const found = FIGURE.exec(token)?.groups;
    const near = [tokens[place + 1], tokens[place - 1]].map((word) => NAMED[(word ?? '').toLowerCase()]);
    const name = found && nameOf(found['unit'] ?? '', found['prefix'] ?? '', found['kind'] ?? '', near);
    if (!found || !name) unread.push(token);
    else duty[name] = Number((found['digits'] ?? '').replace(',', '.')) * (PREFIX[found['prefix'] ?? ''] ?? 1);
  }
  if (unread.length > 0 || Object.keys(duty).length === 0) return { words: unread.length > 0 ? unread : [text.trim()] };
  return { duty };
}

/** What a figure is, by its unit and the words beside it: the one behind it says more than the one before. */
function nameOf(unit: string, prefix: string, kind: string, near: readonly (Figure | undefined)[]): Figure | undefined {
  const fits = (name: Figure | undefined, of: readonly Figure[]) => name !== undefined && of.includes(name);
  switch (unit.toLowerCase()) {
    case 'v':
      if (/ac/iu.test(kind) || fits(near[0], ['acVoltage'])) return 'acVoltage';
      return near.some((name) => fits(name, ['gate'])) ? 'gate' : 'voltage';
    case 'vac':
      return 'acVoltage';
    case 'a': {
      const said = fits(near[0], ['ripple', 'pulse']) ? near[0] : undefined;
      return said ?? (kind === 'pk' ? 'pulse' : 'current');
    }
    case 'hz':
      return 'frequency';
    case 'w':
      return 'power';
    case '°c':
    case 'degc':
    case 'c':
    case '°':
      return 'temperature';
    case '':
      return prefix === 'k' || prefix === 'K' || prefix === 'M' ? 'frequency' : undefined;
    default:
      return undefined;
  }
}

/** Where a duty begins in a question. */
const BEGINS = /\s(?:duty|stress)\s*:?\s+(?<behind>.+)$/iu;
/** Of a need “for” begins one too, where figures follow. */
const NEED_BEGINS = /\s(?:for|under|at)\s+(?<behind>\d.*)$/iu;

/** A question parted into what is asked for and its duty, which is still in words. */
export function partDuty(text: string): { readonly asked: string; readonly behind?: string } {
  const found = BEGINS.exec(text);
  return found ? { asked: text.slice(0, found.index).trim(), behind: found.groups?.['behind'] ?? '' } : { asked: text };
}

/** A need as a person writes it, `nmos for 57V 2.6A 100kHz`, in the words of a question; as it is where no duty follows the “for”. */
export function asNeedQuestion(text: string): string {
  if (BEGINS.test(text)) return text;
  const found = NEED_BEGINS.exec(text);
  const behind = found?.groups?.['behind'];
  if (!found || behind === undefined) return text;
  const read = readDuty(behind);
  return 'duty' in read ? `${text.slice(0, found.index).trim()} duty ${behind}` : text;
}
