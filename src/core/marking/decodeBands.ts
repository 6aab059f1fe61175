import { practice } from '../evidence';
import { formatQuantity } from '../quantity';
import { commonness } from './commonness';
import { isE24, isE96 } from './preferredValues';
import type { Decoding } from './decoding';
import { COLOUR_SPELLINGS, COLOURS } from './resistorColours';

export type BandProblem =
  | { readonly kind: 'unknown-colour'; readonly colour: string; readonly place: number }
  | { readonly kind: 'wrong-count'; readonly count: number };

/** What to tell a person about bands that cannot be read. */
export function bandProblemText(problem: BandProblem): string {
  return problem.kind === 'wrong-count'
    ? `${problem.count} bands: three to six are expected.`
    : `Band ${problem.place}, “${problem.colour}”, is no band colour. Known: ${Object.keys(COLOURS).join(', ')}.`;
}

/** A person begins at the end where the bands stand closer. */
const AS_GIVEN = practice(3);

/**
 * Reads three to six resistor bands in both directions and ranks what is legal: a first band of
 * gold, silver, pink or white-is-not-a-tolerance rules a direction out, a value on the series that
 * fits its tolerance counts for it. One black band alone is a 0 Ω link.
 * Source of the code: IEC 60062 (from memory).
 * @example decodeBands(['yellow', 'violet', 'red', 'gold']) // 4.7 kΩ, 5 %
 */
export function decodeBands(
  colours: readonly string[],
): { ok: true; decodings: Decoding[] } | { ok: false; problem: BandProblem } {
  const bands = colours.map((colour) => COLOUR_SPELLINGS[colour.trim().toLowerCase()] ?? colour.trim().toLowerCase());
  const unknown = bands.findIndex((colour) => !(colour in COLOURS));
  if (unknown >= 0)
    return { ok: false, problem: { kind: 'unknown-colour', colour: colours[unknown] ?? '', place: unknown + 1 } };
  if (bands.length === 1 && bands[0] === 'black')
    return {
      ok: true,
      decodings: [
        {
          kind: 'resistor',
          confidence: 0.9,
          rule: 'colour-bands',
          ratings: { resistance: 0 },
          why: 'one black band: a 0 Ω link',
          number: 'black',
          source: 'decoded',
        },
      ],
    };
  if (bands.length < 3 || bands.length > 6) return { ok: false, problem: { kind: 'wrong-count', count: bands.length } };

  const found = [readOneWay(bands, 'as given'), readOneWay([...bands].reverse(), 'turned round')].filter(
    (decoding) => decoding !== undefined,
  );
  const distinct = found.filter(
    (decoding, index) => index === 0 || decoding.ratings.resistance !== found[0]?.ratings.resistance,
  );
  const weights = distinct.map(({ onSeries, kind, ratings, why }, index) => {
    // Of two legal readings the one that is made more often counts for more.
    return (onSeries ? 1 : 0.15) * commonness({ kind, ratings, why }) * (index === 0 ? AS_GIVEN : 1);
  });
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const ceiling = distinct.length === 1 ? (distinct[0]?.onSeries ? 0.95 : 0.6) : 1;
  const decodings = distinct
    .map(({ onSeries: _, ...decoding }, index) => ({
      ...decoding,
      confidence: Number(((ceiling * (weights[index] ?? 0)) / total).toFixed(3)),
    }))
    .sort((a, b) => b.confidence - a.confidence);
  return { ok: true, decodings };
}

function readOneWay(bands: readonly string[], direction: string): (Decoding & { onSeries: boolean }) | undefined {
  const digitCount = bands.length >= 5 ? 3 : 2;
  const digits = bands.slice(0, digitCount).map((colour) => COLOURS[colour]?.digit);
  const multiplier = COLOURS[bands[digitCount] ?? '']?.multiplier;
  const toleranceBand = bands[digitCount + 1];
  const tolerance = toleranceBand === undefined ? 0.2 : COLOURS[toleranceBand]?.tolerance;
  const tempcoBand = bands[digitCount + 2];
  const tempco = tempcoBand === undefined ? undefined : COLOURS[tempcoBand]?.tempco;
  if (digits.includes(undefined) || digits[0] === 0 || multiplier === undefined || tolerance === undefined)
    return undefined;
  if (tempcoBand !== undefined && tempco === undefined) return undefined;

  const significant = digits.reduce<number>((value, digit) => value * 10 + (digit ?? 0), 0);
  const resistance = Number((significant * multiplier).toPrecision(12));
  const onSeries = tolerance >= 0.05 ? isE24(resistance) : isE96(resistance) || isE24(resistance);
  return {
    kind: 'resistor',
    confidence: 0,
    rule: 'colour-bands',
    ratings: { resistance, tolerance, ...(tempco === undefined ? {} : { tempco }) },
    why: `${bands.join(' ')} (${direction}): ${formatQuantity(resistance, 'ohm')}, ${formatQuantity(tolerance, 'ratio')}${onSeries ? '' : ', not a preferred value'}`,
    number: bands.join(' '),
    source: 'decoded',
    onSeries,
  };
}
