import { practice } from '../evidence';
import { pinName, type Board, type BoardPart, type Nets } from '../board';

/** What a meter's small current finds inside a part. */
export type Element = { readonly ref: string; readonly from: number; readonly to: number } & (
  | { readonly kind: 'resistor'; readonly ohms: number }
  /** Conducts from `from` to `to` at the drop it has at 1 mA. */
  | { readonly kind: 'junction'; readonly drop: number }
  /** A chip or the like whose inside nobody knows. */
  | { readonly kind: 'unknown' }
);

/** Ohms of what conducts well, for a meter. */
const OHMS = practice({ fuse: 0.05, winding: 0.3, choke: 0.1, thermistor: 5, triacGate: 120, unmarked: 1e3 } as const);
/** Drops at 1 mA, volts. */
const DROP = practice({ silicon: 0.55, schottky: 0.22, led: 1.8, optoLed: 1.05, base: 0.65, protection: 0.6 } as const);

/** The elements of all fitted parts between nets that are traced; capacitors are open once they have settled. */
export function elementsOf(board: Board, nets: Nets): readonly Element[] {
  return board.parts.filter(({ fitted }) => fitted !== false).flatMap((part) => partElements(part, nets));
}

function partElements(part: BoardPart, nets: Nets): readonly Element[] {
  const { ref } = part;
  const net = (pin: string) => (pin in part.pins ? nets.of(pinName({ part, pin })) : -1);
  const between = (from: string, to: string) => {
    const ends = { from: net(from), to: net(to) };
    return ends.from < 0 || ends.to < 0 || ends.from === ends.to ? [] : [{ ref, ...ends }];
  };
  const resistor = (from: string, to: string, ohms: number): readonly Element[] =>
    between(from, to).map((ends) => ({ ...ends, kind: 'resistor', ohms }));
  const junction = (from: string, to: string, drop: number): readonly Element[] =>
    between(from, to).map((ends) => ({ ...ends, kind: 'junction', drop }));
  const unknown = (): readonly Element[] => {
    const pins = Object.keys(part.pins);
    return pins.flatMap((a, index) =>
      pins.slice(index + 1).flatMap((b) => between(a, b).map((ends): Element => ({ ...ends, kind: 'unknown' }))),
    );
  };
  switch (part.kind) {
    case 'resistor':
      return part.value?.resistance === undefined ? unknown() : resistor('1', '2', part.value.resistance);
    case 'potentiometer': {
      const half = (part.value?.resistance ?? OHMS.unmarked) / 2;
      return [...resistor('1', 'W', half), ...resistor('W', '2', half)];
    }
    case 'fuse':
      return resistor('1', '2', OHMS.fuse);
    case 'thermistor':
      return resistor('1', '2', part.value?.resistance ?? OHMS.thermistor);
    case 'inductor':
      return resistor('1', '2', OHMS.choke);
    case 'common-mode-choke':
      return [...resistor('1', '2', OHMS.choke), ...resistor('3', '4', OHMS.choke)];
    case 'transformer':
      return (part.windings ?? []).flatMap((pins) =>
        pins.slice(1).flatMap((pin, index) => resistor(pins[index] ?? '', pin, OHMS.winding)),
      );
    case 'diode':
      return junction('A', 'K', diodeDrop(part));
    case 'dual-diode':
      return [
        ...junction('A1', 'K', diodeDrop(part)),
        ...junction('A2', 'K', diodeDrop(part)),
        ...junction('A', 'K1', diodeDrop(part)),
        ...junction('A', 'K2', diodeDrop(part)),
        ...('M' in part.pins ? [...junction('A', 'M', diodeDrop(part)), ...junction('M', 'K', diodeDrop(part))] : []),
      ];
    case 'bridge':
      return [
        ...junction('AC1', '+', DROP.silicon),
        ...junction('AC2', '+', DROP.silicon),
        ...junction('-', 'AC1', DROP.silicon),
        ...junction('-', 'AC2', DROP.silicon),
      ];
    case 'nmos':
      return junction('S', 'D', DROP.silicon);
    case 'pmos':
      return junction('D', 'S', DROP.silicon);
    case 'igbt':
      return junction('E', 'C', DROP.silicon);
    case 'npn':
      return [...junction('B', 'E', DROP.base), ...junction('B', 'C', DROP.base)];
    case 'pnp':
      return [...junction('E', 'B', DROP.base), ...junction('C', 'B', DROP.base)];
    case 'triac':
      return resistor('G', 'MT1', OHMS.triacGate);
    case 'scr':
      return junction('G', 'K', DROP.base);
    case 'optocoupler':
      return junction('A', 'K', DROP.optoLed);
    case 'shunt-reference':
      return [...junction('A', 'K', DROP.protection), ...junction('A', 'R', DROP.protection)];
    case 'regulator':
    case 'ic':
    case 'switch':
    case 'relay':
      return unknown();
    // A connector is unplugged; the rest is open to a meter.
    default:
      return [];
  }
}

function diodeDrop({ subtype, marking }: BoardPart): number {
  if (subtype === 'schottky' || /^(?:MBR|SB|SR|1N58)/i.test(marking ?? '')) return DROP.schottky;
  return subtype === 'led' ? DROP.led : DROP.silicon;
}
