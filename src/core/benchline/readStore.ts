import { parseQuantity } from '../quantity';
import { parseBank, type StoreRole } from '../safety';
import type { BenchProblem, BenchRecord } from './record';
import { volts } from './volts';

/** Words that say what a store is. */
const ROLE_WORDS: Readonly<Record<string, StoreRole>> = {
  bulk: 'bulk',
  reservoir: 'bulk',
  filter: 'filter',
  output: 'output',
  boosted: 'boosted',
  pulse: 'boosted',
  battery: 'battery',
};

/** A store as typed: `c3 82u 400V bleed 470k`, `vbus 2 x 470u 200V series`, `bat1 battery 36V`. */
export function readStore(words: readonly string[]): BenchRecord | { readonly problem: BenchProblem } {
  const [name, ...rest] = words;
  if (!name || !/^[a-z][a-z0-9]{0,7}$/i.test(name)) return { problem: { kind: 'no-subject', word: name ?? 'store' } };
  const bleedAt = rest.findIndex((word) => word.toLowerCase() === 'bleed');
  const bleedText = bleedAt >= 0 ? rest[bleedAt + 1] : undefined;
  const said = bleedAt >= 0 ? [...rest.slice(0, bleedAt), ...rest.slice(bleedAt + 2)] : rest;
  const bleed = bleedText === undefined ? undefined : parseQuantity(bleedText, 'ohm');
  if (bleedAt >= 0 && !bleed?.ok)
    return { problem: { kind: 'value-unreadable', word: bleedText ?? 'bleed', expected: 'a resistance such as 470k' } };
  const role = said.map((word) => ROLE_WORDS[word.toLowerCase()]).find((found) => found !== undefined);
  const values = said.filter((word) => ROLE_WORDS[word.toLowerCase()] === undefined);
  const common = {
    kind: 'store' as const,
    name: name.toUpperCase(),
    ...(role ? { role } : {}),
    ...(bleed?.ok ? { bleed: bleed.quantity.value } : {}),
  };
  const ratedVoltage = values.map(volts).find((found) => found !== undefined)?.value;
  if (role === 'battery' && values.every((word) => volts(word)))
    return { ...common, capacitance: 0, ...(ratedVoltage === undefined ? {} : { ratedVoltage }) };

  const bank = parseBank(values.join(' '));
  if (bank.ok) {
    const { capacitance, links, ratedVoltage: bankRated } = bank.bank;
    const several = links.length > 1 || links.some(({ count }) => count > 1);
    return {
      ...common,
      capacitance,
      ...(several ? { bank: values.join(' ') } : {}),
      ...(bankRated === undefined ? {} : { ratedVoltage: bankRated }),
    };
  }
  const strange = values.find((word) => !volts(word) && !parseQuantity(word, 'farad').ok);
  return {
    problem:
      strange === undefined
        ? { kind: 'value-unreadable', word: name, expected: `a capacitance, like store ${name} 82u 400V,` }
        : {
            kind: 'value-unreadable',
            word: strange,
            expected: 'a capacitance such as 82u, a voltage such as 400V, or several capacitors like 2 x 470u series',
          },
  };
}
