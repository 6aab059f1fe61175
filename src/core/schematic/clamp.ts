import type { BoardPart } from '../board';
import type { Circuit } from './circuit';
import type { Hanging } from './ladder';
import { isSwitch, NO_RECTIFIER } from './rungs';
import { STEP, type Sheet } from './sheet';
import { LOOKS } from './symbols';

/** What takes the spike of a winding: a diode from the switch, and what it charges, up to the line the winding hangs on. */
export interface Clamp {
  readonly diode: BoardPart;
  readonly held: readonly BoardPart[];
}

/** Between the switch and the diode, and between what the diode charges. */
const BESIDE = 20;
const APART = 70;
const LONG = 60;
const HELD: ReadonlySet<string> = new Set(['resistor', 'capacitor', 'diode', 'zener', 'tvs']);

/** Room that a clamp takes left of its switch. */
export const clampWidth = ({ held }: Clamp): number => BESIDE + LONG + held.length * APART;

/** The clamp of a winding with its switch under it; none where it is not of that form. */
export function clampOf({ rungs, transformer, lines }: Hanging, circuit: Circuit): Clamp | undefined {
  const at = rungs.findIndex(({ part }) => part === transformer);
  const winding = rungs[at];
  const next = rungs[at + 1];
  if (!winding || !next || !isSwitch(next.part)) return undefined;
  const upper = rungs[at - 1]?.net ?? lines.upper;
  for (const { part: diode, pin } of circuit.pinsOn(winding.net)) {
    if (diode.kind !== 'diode' || pin !== 'A' || NO_RECTIFIER.has(diode.subtype ?? '')) continue;
    const charged = circuit.netOf(diode.ref, 'K');
    const others = circuit.pinsOn(charged).filter(({ part }) => part !== diode);
    const held = others.filter(({ part }) => joins(part, charged, upper, circuit)).map(({ part }) => part);
    if (held.length > 0 && held.length === others.length) return { diode, held };
  }
  return undefined;
}

const joins = (part: BoardPart, one: number, other: number, circuit: Circuit) => {
  const nets = Object.keys(part.pins).map((pin) => circuit.netOf(part.ref, pin));
  return HELD.has(part.kind) && nets.length === 2 && nets.includes(one) && nets.includes(other);
};

/** Stands a clamp left of the switch: what is charged hangs on the line, the diode lies under it. Nothing is set where it has no room. */
export function standClamp(
  { diode, held }: Clamp,
  at: { readonly x: number; readonly top: number; readonly level: number },
  upper: number,
  circuit: Circuit,
  sheet: Sheet,
): void {
  const set: BoardPart[] = [];
  const put = (part: BoardPart, look: number, x: number, y: number) => {
    const symbol = sheet.looksOf(part)[look];
    if (!symbol || sheet.stood.has(part.ref) || !sheet.fits(part, symbol, { x, y })) return false;
    sheet.put(part, look, { x, y });
    set.push(part);
    return true;
  };
  const lying = sheet.looksOf(diode)[LOOKS.lying]?.pins[0]?.pin === 'K' ? LOOKS.lying : LOOKS.lyingBack;
  const left = at.x - BESIDE - LONG;
  const isWhole =
    put(diode, lying, left, at.level - LONG / 2) &&
    held.every((part, index) => {
      const first = sheet.looksOf(part)[LOOKS.upright]?.pins[0]?.pin;
      const isUp = first !== undefined && circuit.netOf(part.ref, first) === upper;
      const x = left - LONG / 2 - STEP - index * APART;
      return put(part, isUp ? LOOKS.upright : LOOKS.upsideDown, x - LONG / 2, at.top + 4 * STEP);
    });
  if (!isWhole) for (const { ref } of set) sheet.lift(ref);
}
