import { parseQuantity } from '../quantity';
import { bankProblemText, isAlternating, parseBank, type StoreRole } from '../safety';
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

const BLEED = /^(?:bleed|bleeder|bleeders|entladewiderstand|ableitwiderstand|décharge)$/i;

/** The path that bleeds a store: one resistor, several in series or parallel, or none. */
function readBleed(words: readonly string[]): {
  readonly bleed: number | undefined;
  readonly isNone: boolean;
  readonly used: number;
} {
  const [first = '', second = ''] = words;
  if (/^(?:none|no|nothing|keiner|aucun)$/i.test(first)) return { bleed: undefined, isNone: true, used: 1 };
  const counted = /^(\d)[x×](.*)$/i.exec(first);
  const count = Number(counted?.[1] ?? 1);
  const isApart = counted?.[2] === '';
  // A path of milliohms bleeds nothing: a small m is mega here.
  const text = (counted ? (isApart ? second : (counted[2] ?? '')) : first).replace(/^(\d*\.?\d+)m(\d*)$/, '$1M$2');
  const parsed = parseQuantity(text, 'ohm');
  let used = isApart ? 2 : 1;
  if (/^in$/i.test(words[used] ?? '')) used += 1;
  const isSeries = /^(?:series|serie|série)$/i.test(words[used] ?? '');
  const isParallel = /^(?:parallel|parallèle)$/i.test(words[used] ?? '');
  if (isSeries || isParallel) used += 1;
  else if (/^in$/i.test(words[used - 1] ?? '')) used -= 1;
  // Several that nobody says how they lie are not added up.
  const factor = count === 1 ? 1 : isSeries ? count : isParallel ? 1 / count : undefined;
  return { bleed: parsed.ok && factor !== undefined ? parsed.quantity.value * factor : undefined, isNone: false, used };
}

const BATTERY_NAME = /^(?:bat|bt|batt|accu|akku|b)\d{0,2}$/i;
const BATTERY = /^(?:battery|batterie|akku|accu)$/i;
const BESIDE_BATTERY =
  /^(?:a|the|is|an|of|pack|cells?|lead|acid|sealed|li-?ion|lithium|nimh|nicd|lifepo4|alkaline|backup|internal)$/i;

/**
 * A battery named without the word store, like `bat1 lead acid battery 12V`: it holds its charge whatever is bled.
 * @returns undefined when anything else is said, as of its socket
 */
export function readBattery(words: readonly string[]): ReturnType<typeof readStore> | undefined {
  const [name = '', ...said] = words;
  const isOne =
    BATTERY_NAME.test(name) &&
    said.some((word) => BATTERY.test(word)) &&
    said.every((word) => BATTERY.test(word) || BESIDE_BATTERY.test(word) || volts(word));
  return isOne ? readStore([name, 'battery', ...said.filter((word) => volts(word))]) : undefined;
}

/** A store as typed: `c3 82u 400V bleed 470k`, `vbus 2 x 470u 200V series`, `bat1 battery 36V`. */
export function readStore(words: readonly string[]): BenchRecord | { readonly problem: BenchProblem } {
  const [name, ...rest] = words;
  if (!name || !/^[a-z][a-z0-9]{0,7}$/i.test(name)) return { problem: { kind: 'no-subject', word: name ?? 'store' } };
  const bleedAt = rest.findIndex((word) => BLEED.test(word));
  const path = bleedAt < 0 ? undefined : readBleed(rest.slice(bleedAt + 1));
  const bleedText = bleedAt >= 0 ? rest[bleedAt + 1] : undefined;
  const said = path ? [...rest.slice(0, bleedAt), ...rest.slice(bleedAt + 1 + path.used)] : rest;
  const bleed = path?.bleed;
  if (path && bleed === undefined && !path.isNone)
    return { problem: { kind: 'value-unreadable', word: bleedText ?? 'bleed', expected: 'a resistance such as 470k' } };
  const role = said.map((word) => ROLE_WORDS[word.toLowerCase()]).find((found) => found !== undefined);
  const values = said.filter((word) => ROLE_WORDS[word.toLowerCase()] === undefined);
  const common = {
    kind: 'store' as const,
    name: name.toUpperCase(),
    ...(role ? { role } : {}),
    ...(bleed === undefined ? {} : { bleed }),
  };
  const ratedVoltage = values.map(volts).find((found) => found !== undefined)?.value;
  if (role === 'battery' && values.every((word) => volts(word)))
    return { ...common, capacitance: 0, ...(ratedVoltage === undefined ? {} : { ratedVoltage }) };

  // What cannot be read is said to be so, rather than left out.
  if (values.includes('?') && values.every((word) => word === '?' || volts(word)))
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
      ...(values.some(isAlternating) ? { ratedInAc: true as const } : {}),
    };
  }
  if (bank.problem.kind === 'too-large') {
    const { word, likely } = bank.problem;
    return {
      problem: {
        kind: 'unclear',
        word,
        question: bankProblemText(bank.problem),
        maybe: [`store ${name.toLowerCase()} ${values.join(' ').replace(word, likely)}`],
      },
    };
  }
  const strange = values.find((word) => !volts(word) && !parseQuantity(word, 'farad').ok);
  return {
    problem:
      strange === undefined
        ? {
            kind: 'value-unreadable',
            word: name,
            expected: `a capacitance, like store ${name} 82u 400V, or ? when it cannot be read,`,
          }
        : {
            kind: 'value-unreadable',
            word: strange,
            expected: 'a capacitance such as 82u, a voltage such as 400V, or several capacitors like 2 x 470u series',
          },
  };
}
