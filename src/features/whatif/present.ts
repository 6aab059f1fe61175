import { formatQuantity, type Unit } from '../../core/quantity';
import { STRESS_WORDS, type Answer, type Knob, type Stress, type WaveSet } from '../../core/whatif';

export const shown = (value: number, unit: Unit) => formatQuantity(value, unit, { digits: 3 });

/** A value of a knob as it is shown and typed; an angle has no unit of its own. */
export const knobText = ({ unit }: Knob, value: number): string =>
  unit === 'count' ? String(Number(value.toPrecision(3))) : shown(value, unit);

/** How a part stands by the share of its rating; common practice asks for a fifth to be left. */
export function standing({ share }: Stress): { readonly word: string; readonly fill: 'full' | 'half' | 'none' } {
  if (share > 1) return { word: 'over', fill: 'none' };
  return share > 0.8 ? { word: 'tight', fill: 'half' } : { word: 'enough', fill: 'full' };
}

export const stressLabel = ({ kind }: Stress): string => STRESS_WORDS[kind].label;

export const marginText = ({ share }: Stress): string => `${Math.round(100 * (1 - share))} %`;

/** Waves as a table: a column of seconds, and one a signal. */
export function wavesCsv({ seconds, waves }: WaveSet): string {
  const head = ['seconds', ...waves.map(({ label, unit }) => `${label} (${unit})`)];
  const cell = (text: string) => (/[",]/.test(text) ? `"${text.replaceAll('"', '""')}"` : text);
  const rows = Array.from(seconds, (second, index) =>
    [second, ...waves.map(({ values }) => values[index] ?? Number.NaN)]
      .map((value) => String(Number(value.toPrecision(9))))
      .join(','),
  );
  return `${[head.map(cell).join(','), ...rows].join('\n')}\n`;
}

/** What the circuit gives, in one line. */
export function balanceText({ output, input }: Answer): string {
  const share = input.watts > 0 ? output.watts / input.watts : Number.NaN;
  const efficiency =
    Number.isFinite(share) && share > 0 && share < 1 ? `, ${Math.round(100 * share)} % of what comes in` : '';
  return `${shown(input.volts, 'volt')} ${shown(input.amperes, 'ampere')} in; ${shown(output.volts, 'volt')} ${shown(Math.abs(output.amperes), 'ampere')} out, ${shown(output.watts, 'watt')}${efficiency}`;
}
