import { amounts, type Amount } from './amounts';
import type { NameplateInput } from './plate';
import { MAINS_FROM } from './sections';

/**
 * The inputs that a stretch of text speaks of. Voltages in a row are ends of one range; those that a slash parts are
 * chosen by a switch or a tap, and each is an input; a voltage
 * behind a current, or of the other kind, begins the next input. A frequency counts for every input
 * that has none.
 */
export function readInputs(text: string, kind?: 'ac' | 'dc'): NameplateInput[] {
  const groups: { volts: Amount[]; amps: number[]; power?: number; hertz?: readonly number[] }[] = [];
  let anywhere: readonly number[] | undefined;
  for (const amount of amounts(text)) {
    const current = groups.at(-1);
    if (amount.unit === 'V') {
      const before = current?.volts[0]?.mark;
      const otherKind = before !== undefined && amount.mark !== undefined && before !== amount.mark;
      if (current && current.amps.length === 0 && current.power === undefined && !otherKind) current.volts.push(amount);
      else groups.push({ volts: [amount], amps: [] });
    } else if (amount.unit === 'Hz') {
      if (current) current.hertz ??= amount.values;
      anywhere = amount.values;
    } else if (current && amount.unit === 'A') current.amps.push(...amount.values);
    else if (current && amount.unit === 'W') current.power ??= amount.values.at(-1) ?? 0;
  }
  return groups.flatMap(({ volts, amps, power, hertz }) => {
    const ends = volts.flatMap(({ values }) => values).map(Math.abs);
    const [only] = volts;
    const choices = volts.length === 1 && only?.choices ? only.choices : [ends];
    const message =
      kind ?? volts.map(({ mark }) => mark).find((mark) => mark !== undefined) ?? wordBefore(text, volts[0]);
    const isAc = message ? message === 'ac' : hertz !== undefined || Math.max(...ends) >= MAINS_FROM;
    const frequencies = hertz ?? anywhere;
    return choices.map((range, index): NameplateInput => ({
      kind: isAc ? 'ac' : 'dc',
      vMin: Math.min(...range.map(Math.abs)),
      vMax: Math.max(...range.map(Math.abs)),
      ...(amps.length > 0 ? { current: amps.length === choices.length ? (amps[index] ?? 0) : Math.max(...amps) } : {}),
      ...(power === undefined ? {} : { power }),
      ...(isAc && frequencies ? { frequencies } : {}),
    }));
  });
}

/** AC or DC standing before a number, as in `AC 100-240V`. */
function wordBefore(text: string, amount: Amount | undefined): 'ac' | 'dc' | undefined {
  const found = /\b(AC|DC)\s*[:=~]?\s*$/i.exec(text.slice(0, amount?.at ?? 0));
  return found?.[1]?.toLowerCase() as 'ac' | 'dc' | undefined;
}
