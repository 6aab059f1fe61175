import type { BoardPart } from '../board';
import { INRUSH_AT_MOST, SUPPLY_RESISTOR_AT_MOST, TRANSISTOR_TERMINALS } from '../topology';
import type { Circuit } from './circuit';
import { pinPair } from './symbols';
import type { Sheet } from './sheet';

/** A part between two nets: it enters at one pin and is left at the other. */
export interface Rung {
  readonly part: BoardPart;
  readonly from: string;
  readonly to: string;
  readonly net: number;
}

/** Longest row of parts between two lines. */
const MOST_RUNGS = 4;
/** A net with more pins than this is no inner net of such a row. */
const MOST_INNER_PINS = 9;
/** Between two switches there are their snubbers, the driver, and what resonates besides. */
const MOST_MIDPOINT_PINS = 16;
const FILM_FROM = 40e-9;
/** In ohm: what measures a current wastes little of it. */
const SHUNT_AT_MOST = 1;
const ALWAYS: ReadonlySet<string> = new Set(['fuse', 'varistor', 'spark-gap', 'switch', 'lamp', 'inductor']);
const HANGS_FIRST: ReadonlySet<string> = new Set([
  'capacitor',
  'varistor',
  'spark-gap',
  'lamp',
  'connector',
  'transformer',
]);
const HANGS_LAST: ReadonlySet<string> = new Set(['diode', 'inductor']);

/** Diodes that do not lie in the way of the power. */
export const NO_RECTIFIER: ReadonlySet<string> = new Set(['zener', 'tvs', 'led']);
/** What is in the way first: what protects, then chokes, then diodes. */
const ORDER = ['fuse', 'switch', 'thermistor', 'inductor', 'transformer', 'resistor', 'diode', 'capacitor', 'lamp'];
const rank = ({ part }: Rung) => ORDER.indexOf(part.kind);

export const isSwitch = ({ kind }: BoardPart) => kind in TRANSISTOR_TERMINALS || kind === 'triac';

/** Reads which way power may take from a net, and which rows of parts hang between two; parts that stand already are left out. */
export class Rungs {
  constructor(
    private readonly circuit: Circuit,
    private readonly sheet: Sheet,
  ) {}

  isFree(part: BoardPart): boolean {
    return part.fitted !== false && !this.sheet.stood.has(part.ref);
  }

  /** Resistors in a row from line to line, of whatever size: they bleed stores or share a voltage out. */
  bleeders(net: number): readonly Rung[] {
    return this.circuit.pinsOn(net).flatMap(({ part, pin }): readonly Rung[] => {
      const to =
        part.kind === 'resistor' && this.isFree(part)
          ? Object.keys(part.pins).find((other) => other !== pin)
          : undefined;
      return to === undefined ? [] : [{ part, from: pin, to, net: this.circuit.netOf(part.ref, to) }];
    });
  }

  lies(part: BoardPart): boolean {
    const { kind, subtype, value } = part;
    if (!this.isFree(part)) return false;
    if (ALWAYS.has(kind) || this.circuit.isPower(part)) return true;
    if (kind === 'thermistor') return (value?.resistance ?? 0) <= INRUSH_AT_MOST;
    if (kind === 'capacitor') {
      if ('+' in part.pins || subtype === 'x') return true;
      if (subtype === 'film') return (value?.capacitance ?? 0) >= FILM_FROM;
      const [one, other] = Object.keys(part.pins).map((pin) => this.circuit.netOf(part.ref, pin));
      return one !== undefined && other !== undefined && (this.couples(one, other) || this.couples(other, one));
    }
    return kind === 'resistor' && (value?.resistance ?? Infinity) <= SUPPLY_RESISTOR_AT_MOST;
  }

  /** Whether a capacitor between two nets hands power on, from a switch and its choke to the next choke and its diode. */
  private couples(net: number, next: number): boolean {
    const holds = (of: number, is: (part: BoardPart) => boolean) =>
      this.circuit.pinsOn(of).some(({ part }) => is(part));
    const isChoke = (part: BoardPart) => part.kind === 'inductor' || this.circuit.symbols.isChoke(part);
    return (
      holds(net, (part) => isSwitch(part) && this.circuit.isPower(part)) &&
      holds(net, isChoke) &&
      holds(next, isChoke) &&
      holds(next, (part) => part.kind === 'diode' && this.circuit.isPower(part))
    );
  }

  /** Ways from a net over one part that power may take. */
  rungsFrom(net: number): readonly Rung[] {
    return this.circuit.pinsOn(net).flatMap(({ part, pin }): readonly Rung[] => {
      if (!this.lies(part) || part.kind === 'bridge' || part.kind === 'common-mode-choke') return [];
      if (this.circuit.symbols.isChoke(part)) {
        const [own] = this.circuit.symbols.windingsOf(part);
        const [first, last] = [own?.pins[0], own?.pins.at(-1)];
        if (first === undefined || last === undefined || (pin !== first && pin !== last)) return [];
        const to = pin === first ? last : first;
        return [{ part, from: pin, to, net: this.circuit.netOf(part.ref, to) }];
      }
      if (part.kind === 'transformer') {
        const winding = this.circuit.symbols
          .windingsOf(part)
          .find(({ pins, side }) => side === 'left' && pins.length > 1 && pins.includes(pin));
        const ends = winding ? winding.pins.filter((other) => other !== pin) : [];
        return ends.map((to) => ({ part, from: pin, to, net: this.circuit.netOf(part.ref, to) }));
      }
      const terminals = TRANSISTOR_TERMINALS[part.kind];
      const [one, other] = terminals
        ? [terminals.hi, terminals.lo]
        : part.kind === 'triac'
          ? ['MT2', 'MT1']
          : (pinPair(part) ?? []);
      if (one === undefined || other === undefined || (pin !== one && pin !== other)) return [];
      const to = pin === one ? other : one;
      return [{ part, from: pin, to, net: this.circuit.netOf(part.ref, to) }];
    });
  }

  /** Rows of parts between two nets, the shortest first. */
  rows(upper: number, lower: number, reached: ReadonlySet<number>): readonly (readonly Rung[])[] {
    const found: (readonly Rung[])[] = [];
    const search = (net: number, row: readonly Rung[]) => {
      const onlyBleeds = row.every(({ part }) => part.kind === 'resistor');
      for (const rung of [...this.rungsFrom(net), ...(onlyBleeds ? this.bleeders(net) : [])]) {
        if (row.some(({ part }) => part === rung.part) || rung.net === net) continue;
        const { part } = rung;
        if (part.kind === 'capacitor' && this.couples(net, rung.net)) continue;
        const isFirst = row.length === 0;
        const isLast = rung.net === lower;
        if (isFirst && !isLast && !(HANGS_FIRST.has(part.kind) || isSwitch(part) || part.kind === 'resistor')) continue;
        if (this.circuit.symbols.isChoke(part)) continue;
        if (!isFirst && !isLast && HANGS_LAST.has(part.kind)) continue;
        if (isFirst && isLast && part.kind === 'fuse') continue;
        if (part.kind === 'connector' && part.role !== 'load' && part.role !== 'lamp') continue;
        const isBleeder = part.kind === 'resistor' && !this.lies(part);
        // A divider is tapped in its middle: it stands where its tap is wanted.
        if (isBleeder && !isLast && this.circuit.pinsOn(rung.net).length > 2) continue;
        if (
          row.length > 0 &&
          !isLast &&
          !isBleeder &&
          row.some((one) => one.part.kind === 'resistor' && !this.lies(one.part))
        )
          continue;
        if (isLast) found.push([...row, rung]);
        else if (
          row.length + 1 < MOST_RUNGS &&
          !reached.has(rung.net) &&
          !this.circuit.returns.has(rung.net) &&
          this.circuit.pinsOn(rung.net).length <= (isSwitch(part) ? MOST_MIDPOINT_PINS : MOST_INNER_PINS)
        )
          search(rung.net, [...row, rung]);
      }
    };
    search(upper, []);
    return found.toSorted((a, b) => a.length - b.length);
  }

  /** Whether a winding of a transformer behind the barrier ends at a net. */
  isWound(net: number): boolean {
    return this.circuit
      .pinsOn(net)
      .some(
        ({ part, pin }) =>
          part.kind === 'transformer' &&
          !this.circuit.symbols.isChoke(part) &&
          this.circuit.symbols.windingsOf(part).some(({ pins, side }) => side === 'right' && pins.includes(pin)),
      );
  }

  /** What measures the current in the lower line, up to where the return begins. */
  shunt(lower: number): Rung | undefined {
    if (this.circuit.returns.has(lower)) return undefined;
    return this.rungsFrom(lower).find(
      ({ part, net }) =>
        this.circuit.returns.has(net) &&
        part.kind === 'resistor' &&
        (part.value?.resistance ?? Infinity) <= SHUNT_AT_MOST,
    );
  }

  /** Ways on along a line, the likeliest first. @param held whether a part hangs elsewhere already */
  onward(net: number, other: number, held: (part: BoardPart) => boolean): readonly Rung[] {
    const found = this.rungsFrom(net)
      .filter(
        (rung) =>
          rung.net !== other &&
          rung.net !== net &&
          !this.circuit.returns.has(rung.net) &&
          (rung.part.kind !== 'transformer' || this.circuit.symbols.isChoke(rung.part)) &&
          rung.part.kind !== 'connector' &&
          rung.part.kind !== 'varistor' &&
          !isSwitch(rung.part) &&
          !('+' in rung.part.pins) &&
          (rung.part.kind !== 'capacitor' ||
            this.circuit.isPower(rung.part) ||
            rung.part.subtype === 'film' ||
            rung.part.subtype === 'x' ||
            this.couples(net, rung.net)) &&
          !held(rung.part),
      )
      .toSorted((a, b) => rank(a) - rank(b));
    // Behind a winding the rectifier comes first; what lies beside it damps it.
    const rectifiers = this.isWound(net) ? found.filter(({ part }) => part.kind === 'diode') : [];
    return rectifiers.length > 0 ? rectifiers : found;
  }
}
