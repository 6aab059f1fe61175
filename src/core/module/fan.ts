import { practice } from '../evidence';
import { formatQuantity } from '../quantity';

/** A way to run a fan from what a supply gives. */
export interface FanWay {
  readonly from: string;
  readonly volts: number;
  /** Of what it is rated for: about its speed and its air as well. */
  readonly share: number;
  readonly level: 'good' | 'limits' | 'no';
  readonly message: string;
}

/** Shares of its volts: it may not start under the first, is quiet up to the second, and is overdriven above the third. */
const FAN = practice({ starts: 0.55, quiet: 0.85, most: 1.1 });

/**
 * A brushless fan at reduced volts: from one output, or between two of one supply, which works only where the lower one is loaded with
 * more than the fan takes. The quietest that surely starts come first.
 */
export function fanWays(fan: { readonly volts: number }, outputs: readonly number[]): readonly FanWay[] {
  const positive = [...new Set(outputs.filter((volts) => volts > 0))].toSorted((a, b) => a - b);
  const ways = [
    ...positive.map((volts) => ({ from: formatQuantity(volts, 'volt'), volts, isBetween: false })),
    ...positive.flatMap((low, place) =>
      positive.slice(place + 1).map((high) => ({
        from: `between ${formatQuantity(high, 'volt')} and ${formatQuantity(low, 'volt')}`,
        volts: high - low,
        isBetween: true,
      })),
    ),
  ];
  const order = { good: 0, limits: 1, no: 2 } as const;
  return ways
    .map(({ from, volts, isBetween }): FanWay => {
      const share = volts / fan.volts;
      const between = isBetween
        ? '; the lower output must be loaded with more than the fan takes, or it is lifted'
        : '';
      const at = `${Math.round(100 * share)} % of its volts, about as much of its air`;
      if (share > FAN.most) return { from, volts, share, level: 'no', message: `${at}: too much for it` };
      if (share < FAN.starts)
        return { from, volts, share, level: 'no', message: `${at}: it may not start, or stop when dust comes` };
      return share <= FAN.quiet
        ? {
            from,
            volts,
            share,
            level: isBetween ? 'limits' : 'good',
            message: `${at}: quiet; feel what it cools after half an hour${between}`,
          }
        : { from, volts, share, level: isBetween ? 'limits' : 'good', message: `${at}: full speed${between}` };
    })
    .toSorted((a, b) => order[a.level] - order[b.level] || a.share - b.share);
}
