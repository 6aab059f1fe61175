import type { BoardPart, NetPin } from '../../board';

/** Names of pins as a person calls them while holding a probe. */
const PIN_WORDS: Partial<Record<BoardPart['kind'], Readonly<Record<string, string>>>> = {
  nmos: { D: 'the drain', S: 'the source', G: 'the gate' },
  pmos: { D: 'the drain', S: 'the source', G: 'the gate' },
  igbt: { C: 'the collector', E: 'the emitter', G: 'the gate' },
  npn: { C: 'the collector', E: 'the emitter', B: 'the base' },
  pnp: { C: 'the collector', E: 'the emitter', B: 'the base' },
  diode: { A: 'the anode', K: 'the cathode' },
  scr: { A: 'the anode', K: 'the cathode', G: 'the gate' },
};

/** A pin in words: “the drain of Q1”, “the plus of C3”, “pin 2 of T1”, “one end of L5”. */
export function pinWords(part: BoardPart, pin: string): string {
  const own = PIN_WORDS[part.kind]?.[pin];
  if (own) return `${own} of ${part.ref}`;
  if (part.kind === 'capacitor' && (pin === '+' || pin === '-'))
    return `the ${pin === '+' ? 'plus' : 'minus'} of ${part.ref}`;
  if (part.kind === 'dual-diode')
    return `${pin === 'K' || pin === 'A' || pin === 'M' ? 'the middle leg' : `leg ${pin}`} of ${part.ref}`;
  if (part.kind === 'inductor' || part.kind === 'capacitor' || part.kind === 'resistor')
    return `end ${pin} of ${part.ref}`;
  return `pin ${pin} of ${part.ref}`;
}

/** The question of a meter's lead at each of two pins. */
export const joinQuestion = (a: NetPin, b: NetPin): string =>
  `Does ${pinWords(a.part, a.pin)} go straight to ${pinWords(b.part, b.pin)}?`;
