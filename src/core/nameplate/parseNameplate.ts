/** What a nameplate says of the input. Volts, amperes, hertz. */
export interface NameplateInput {
  readonly kind: 'ac' | 'dc';
  readonly vMin: number;
  readonly vMax: number;
  readonly current?: number;
  readonly frequencies?: readonly number[];
}

/** One printed output. Volts are signed; `i` or `p` may be missing on a worn plate. */
export interface NameplateOutput {
  readonly v: number;
  /** Upper end when a range is printed, as on LED drivers. */
  readonly vMax?: number;
  readonly i?: number;
  readonly p?: number;
  /** The output is one choice among several (“5 V 3 A or 9 V 2 A”), not there at the same time. */
  readonly alternative?: true;
}

/** International efficiency mark, the Roman numeral in a circle. */
export type EfficiencyLevel = 'IV' | 'V' | 'VI';

export interface Nameplate {
  readonly input?: NameplateInput;
  readonly outputs: readonly NameplateOutput[];
  /** A printed total in watts. */
  readonly totalPower?: number;
  readonly efficiencyLevel?: EfficiencyLevel;
}

const INPUT_WORD = /\b(?:input|i\/p|in|pri(?:mary)?|supply)\b\s*:?/i;
const OUTPUT_WORD = /\b(?:output|o\/p|out|sec(?:ondary)?)\b\s*:?/i;
const AMOUNT =
  /(?<![\d.])([+\-−])?\s*(\d+(?:[.,]\d+)?)(?:\s*(?:[-–/]|to)\s*(\d+(?:[.,]\d+)?))?\s*(mA|kW|kHz|VA(?!C)|Hz|A|W|V)(?![a-z]{3})/gi;

/**
 * Reads the text of a nameplate as typed or pasted: input range, current and frequency, every
 * output with its current or power, a printed total and the efficiency mark.
 * Text it has no use for is passed over; what is missing stays missing.
 * @example parseNameplate('INPUT 100-240V~ 50/60Hz 1.5A OUTPUT 19V 4.74A').outputs // [{ v: 19, i: 4.74 }]
 */
export function parseNameplate(text: string): Nameplate {
  const clean = text.replace(/[⎓═]/g, '=').replace(/\s+/g, ' ');
  const { input, output } = sections(clean);
  const total =
    /(?:total|max(?:imum)?\.?)(?: (?:output|power))*\s*[:=]?\s*(\d+(?:[.,]\d+)?)\s*W|(\d+(?:[.,]\d+)?)\s*W\s*(?:total|max(?:imum)?)/i.exec(
      output,
    );
  const level = /(?:efficiency|level|eff\.?)\s*(?:level|mark)?\s*:?\s*\(?(VI|IV|V)\b|\((VI|IV|V)\)|[Ⓥ]/i.exec(clean);
  const numeral = (level?.[1] ?? level?.[2])?.toUpperCase();
  const parsedInput = readInput(input);
  return {
    ...(parsedInput ? { input: parsedInput } : {}),
    outputs: readOutputs(total ? output.replace(total[0], ' ') : output),
    ...(total ? { totalPower: decimal(total[1] ?? total[2] ?? '') } : {}),
    ...(numeral === 'IV' || numeral === 'V' || numeral === 'VI' ? { efficiencyLevel: numeral } : {}),
  };
}

/** From here up a voltage is taken for mains where no word says so; below the other, for an output. */
const MAINS_FROM = 90;
const OUTPUT_BELOW = 60;

/** The words cut the text; without them the first low voltage behind a mains voltage begins the outputs. */
function sections(text: string): { input: string; output: string } {
  const inputAt = INPUT_WORD.exec(text);
  const outputAt = OUTPUT_WORD.exec(text);
  if (inputAt && outputAt)
    return inputAt.index < outputAt.index
      ? { input: text.slice(inputAt.index, outputAt.index), output: text.slice(outputAt.index) }
      : { input: text.slice(inputAt.index), output: text.slice(outputAt.index, inputAt.index) };
  if (outputAt) return { input: text.slice(0, outputAt.index), output: text.slice(outputAt.index) };
  const split = splitAtLowVoltage(inputAt ? text.slice(inputAt.index) : text);
  if (split) return split;
  if (inputAt) return { input: text.slice(inputAt.index), output: text.slice(0, inputAt.index) };
  return /\d\s*V?\s*~|\d\s*VAC/i.test(text) && amounts(text).length <= 3
    ? { input: text, output: '' }
    : { input: '', output: text };
}

function splitAtLowVoltage(text: string): { input: string; output: string } | undefined {
  const volts = amounts(text).filter(({ unit }) => unit === 'V');
  const mains = volts.findIndex(({ low, high }) => (high ?? low) >= MAINS_FROM);
  const first = mains < 0 ? undefined : volts.slice(mains + 1).find(({ low }) => Math.abs(low) < OUTPUT_BELOW);
  return first && { input: text.slice(0, first.at), output: text.slice(first.at) };
}

interface Amount {
  readonly low: number;
  readonly high?: number;
  readonly unit: 'V' | 'A' | 'W' | 'Hz';
  readonly at: number;
}

function amounts(text: string): Amount[] {
  return [...text.matchAll(AMOUNT)].map((match) => {
    const printed = (match[4] ?? '').toLowerCase();
    const factor = printed === 'ma' ? 1e-3 : printed.startsWith('k') ? 1e3 : 1;
    const unit = printed.endsWith('hz')
      ? 'Hz'
      : printed.endsWith('a') && printed !== 'va'
        ? 'A'
        : printed === 'v'
          ? 'V'
          : 'W';
    const sign = match[1] && match[1] !== '+' && unit === 'V' ? -1 : 1;
    const scaled = (text: string) => Number((factor * decimal(text)).toPrecision(12));
    const low = sign * scaled(match[2] ?? '');
    return { low, unit, at: match.index, ...(match[3] ? { high: scaled(match[3]) } : {}) };
  });
}

function readInput(text: string): NameplateInput | undefined {
  const found = amounts(text);
  const volts = found.filter(({ unit }) => unit === 'V');
  const first = volts[0];
  if (!first) return undefined;
  const current = found.find(({ unit }) => unit === 'A')?.low;
  const hertz = found.find(({ unit }) => unit === 'Hz');
  const ends = volts.flatMap(({ low, high }) => (high === undefined ? [low] : [low, high]));
  const says = { ac: /~|AC/i.test(text), dc: /\d\s*V?\s*(?:=|DC)|DC\s*:?\s*\d/i.test(text) };
  const dc = !says.ac && (says.dc || Math.max(...ends) < MAINS_FROM);
  return {
    kind: dc ? 'dc' : 'ac',
    vMin: Math.min(...ends),
    vMax: Math.max(...ends),
    ...(current === undefined ? {} : { current }),
    ...(hertz ? { frequencies: hertz.high === undefined ? [hertz.low] : [hertz.low, hertz.high] } : {}),
  };
}

function readOutputs(text: string): NameplateOutput[] {
  const outputs: { -readonly [K in keyof NameplateOutput]: NameplateOutput[K] }[] = [];
  let pendingCurrent: number | undefined;
  let previousAt = 0;
  for (const amount of amounts(text)) {
    const between = text.slice(previousAt, amount.at);
    const current = outputs.at(-1);
    if (amount.unit === 'V') {
      const isAlternative = /\bor\b/i.test(between) && current !== undefined;
      if (isAlternative) current.alternative = true;
      outputs.push({
        v: amount.low,
        ...(amount.high === undefined ? {} : { vMax: amount.high }),
        ...(pendingCurrent === undefined ? {} : { i: pendingCurrent }),
        ...(isAlternative ? { alternative: true as const } : {}),
      });
      pendingCurrent = undefined;
    } else if (amount.unit === 'A') {
      if (current && current.i === undefined) current.i = amount.high ?? amount.low;
      else pendingCurrent = amount.low;
    } else if (amount.unit === 'W' && current && current.p === undefined) current.p = amount.high ?? amount.low;
    previousAt = amount.at;
  }
  // A USB port offers its voltages one at a time.
  if (outputs.length > 1 && /USB|\bPD\b|\bPPS\b/i.test(text)) for (const output of outputs) output.alternative = true;
  return outputs;
}

function decimal(text: string): number {
  return Number(text.replace(',', '.'));
}
