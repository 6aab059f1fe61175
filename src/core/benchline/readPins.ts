import { BOARD_KINDS, DUAL_DIODE_PINS, isBoardKind } from '../board';
import type { KindName } from '../part';
import { parseQuantity } from '../quantity';
import type { BenchContext, BenchProblem, BenchRecord, PinRelation } from './record';

const SIGNS: Readonly<Record<string, PinRelation>> = { '-': 'joined', '–': 'joined', x: 'separate', '~': 'through' };
const PIN = /^([a-z]{1,4}\d{1,4}[a-z]?)\.([a-z0-9+_~-]{1,8})$/i;

type Outcome = BenchRecord | { readonly problem: BenchProblem };

/**
 * Reads what a meter says between pins: `q1.d - t1.2` (joined, in a chain if more follow), `q1.s x br1.-` (not joined),
 * `q1.d ~ r5.1 0R22` (a reading through a part), `q1.d only` (nothing else is on the net).
 * @returns undefined when the line does not begin with a pin
 */
export function readPins(line: string, context: BenchContext): Outcome | undefined {
  const words = line.split(/\s+/);
  const [first = '', sign = '', ...rest] = words;
  if (!PIN.test(first)) return undefined;
  const start = readPin(first, context);
  if ('problem' in start) return start;
  if (sign.toLowerCase() === 'only' && rest.length === 0) return { kind: 'sweep', pin: start.pin };
  const relation = SIGNS[sign.toLowerCase()];
  if (!relation)
    return {
      problem:
        sign === '' ? { kind: 'nothing-said', ref: start.pin } : { kind: 'word-unknown', word: sign, ref: start.pin },
    };
  const pins = [start.pin];
  let [ohms, drop]: [number | undefined, number | undefined] = [undefined, undefined];
  for (const [index, word] of rest.entries()) {
    const isSign = index % 2 === 1;
    if (isSign && relation === 'through') {
      const reading = readingFrom(word);
      if (!reading)
        return {
          problem: {
            kind: 'value-unreadable',
            word,
            expected: 'a resistance such as 0R22, or a diode reading such as 0.52V,',
          },
        };
      ({ ohms, drop } = { ohms, drop, ...reading });
      continue;
    }
    if (isSign) {
      if (SIGNS[word.toLowerCase()] !== relation || relation !== 'joined')
        return { problem: { kind: 'word-unknown', word, ref: start.pin } };
      continue;
    }
    const next = readPin(word, context);
    if ('problem' in next) return next;
    if (pins.includes(next.pin)) return { problem: { kind: 'same-pin', word: next.pin } };
    pins.push(next.pin);
  }
  if (pins.length < 2) return { problem: { kind: 'nothing-said', ref: start.pin } };
  return {
    kind: 'join',
    relation,
    pins,
    ...(ohms === undefined ? {} : { ohms }),
    ...(drop === undefined ? {} : { drop }),
  };
}

function readPin(word: string, { parts }: BenchContext): { readonly pin: string } | { readonly problem: BenchProblem } {
  const [, typed = '', name = ''] = PIN.exec(word) ?? [];
  const ref = typed.toUpperCase();
  if (ref === '') return { problem: { kind: 'value-unreadable', word, expected: 'a pin such as Q1.D' } };
  const part = parts.find((entry) => entry.ref === ref);
  if (!part) return { problem: { kind: 'no-part', ref } };
  const known = pinsOfKind(part.kind);
  const pin =
    known.find((entry) => entry.toLowerCase() === name.toLowerCase()) ??
    (known.length === 0 ? name.toUpperCase() : undefined);
  return pin === undefined ? { problem: { kind: 'no-pin', word: name, ref, pins: known } } : { pin: `${ref}.${pin}` };
}

/** Pins a kind may have; none where they are the maker's own. */
function pinsOfKind(kind: KindName): readonly string[] {
  if (kind === 'capacitor') return ['1', '2', '+', '-'];
  if (kind === 'dual-diode') return [...new Set(Object.values(DUAL_DIODE_PINS).flat())];
  return isBoardKind(kind) ? BOARD_KINDS[kind].pins : [];
}

function readingFrom(word: string): { readonly ohms: number } | { readonly drop: number } | undefined {
  if (/v$/i.test(word)) {
    const drop = parseQuantity(word, 'volt');
    return drop.ok ? { drop: drop.quantity.value } : undefined;
  }
  const ohms = parseQuantity(word, 'ohm');
  return ohms.ok ? { ohms: ohms.quantity.value } : undefined;
}
