import type { BoardPart } from '../board';
import type { Circuit } from './circuit';
import { isSwitch, NO_RECTIFIER, Rungs, type Rung } from './rungs';
import { LOOKS } from './symbols';
import { STEP, type Sheet } from './sheet';
import type { Rail } from './types';

/** Two lines that power runs along, and the levels they are drawn at. */
export interface Lines {
  readonly upper: number;
  readonly lower: number;
  readonly top: number;
  readonly bottom: number;
  /** Levels of the lines behind what rectifies them; those of the strip unless said. */
  readonly behind?: { readonly top: number; readonly bottom: number };
}

/** A transformer that hangs between two lines, with what is in series with its winding. */
export interface Hanging {
  readonly lines: Lines;
  readonly rungs: readonly Rung[];
  readonly transformer: BoardPart;
}

/** A part in a row is so long. */
const LONG = 60;
/** So far on a place is looked for. */
const FARTHEST = 400;

/**
 * Lays the way of the power: what lies in it is drawn in line, what hangs between its two lines stands between them, in the order in
 * which power gets there. Transformers are left hanging until it is known where the barrier runs.
 */
export class Ladder {
  readonly hanging: Hanging[] = [];
  /** Levels of the lines by net, and from where to where they run. */
  readonly rails: Rail[] = [];
  private readonly reached = new Set<number>();
  private readonly rungs: Rungs;
  constructor(
    private readonly circuit: Circuit,
    private readonly sheet: Sheet,
    /** Room to leave at the left of a switch for what commands it. */
    private readonly bay: (part: BoardPart) => number,
    private readonly levels: { readonly top: number; readonly bottom: number },
  ) {
    this.rungs = new Rungs(circuit, sheet);
  }

  /** Walks two lines from a place on and returns where they end. */
  walk(start: Lines, from: number): number {
    let lines = start;
    let x = from;
    for (let step = 0; step < 40; step += 1) {
      this.reached.add(lines.upper).add(lines.lower);
      const begin = x;
      x = this.hang(lines, x);
      const next = this.bridge(lines, x) ?? this.diodes(lines, x) ?? this.choke(lines, x) ?? this.series(lines, x);
      this.rails.push(
        { net: lines.upper, level: lines.top, from: begin, to: x },
        { net: lines.lower, level: lines.bottom, from: begin, to: x },
      );
      if (!next) break;
      lines = next.lines;
      x = next.x;
    }
    return this.connect(lines, x);
  }

  /** Stands what hangs between the lines side by side; returns where the last of it ends. */
  private hang(lines: Lines, from: number): number {
    let x = from;
    const { upper, lower, top, bottom } = lines;
    for (const row of this.rungs.rows(upper, lower, this.reached)) {
      if (!row.every(({ part }) => this.rungs.isFree(part))) continue;
      const transformer = row.find(({ part }) => part.kind === 'transformer')?.part;
      if (transformer) {
        if (!this.hanging.some((one) => one.transformer === transformer))
          this.hanging.push({ lines, rungs: row, transformer });
        continue;
      }
      const held = new Set(this.hanging.flatMap(({ rungs }) => rungs.map(({ part }) => part)));
      if (row.some(({ part }) => held.has(part))) continue;
      const command = row.find(({ part }) => isSwitch(part))?.part;
      if (command) x += this.bay(command);
      x = this.stand(row, x, top, bottom);
      const inner = row.slice(0, -1).map(({ net }) => net);
      row.forEach((rung, index) => {
        const net = inner[index];
        if (net === undefined || !command || this.reached.has(net)) return;
        const level = this.levelBelow(rung.part);
        if (level !== undefined && level < bottom - 80)
          x = Math.max(x, this.walk({ upper: net, lower, top: level, bottom }, x));
      });
    }
    return x;
  }

  private levelBelow(part: BoardPart): number | undefined {
    const stood = this.sheet.stood.get(part.ref);
    return stood ? stood.at.y + LONG + STEP : undefined;
  }

  /** Stands a row of parts one under the other. */
  stand(row: readonly Rung[], from: number, top: number, bottom: number): number {
    const free = bottom - top - row.length * LONG;
    if (free < (row.length + 1) * 2 * STEP) return from;
    const gap = row.length === 1 ? free * 0.3 : free / (row.length + 1);
    const spots = row.map(({ part, from: pin }, index) => {
      const looks = this.sheet.looksOf(part);
      const look =
        looks[LOOKS.upright]?.pins[0]?.pin === pin || isSwitch(part) || looks.length < 4 ? 0 : LOOKS.upsideDown;
      const offset = isSwitch(part) ? 40 : 30;
      return { part, look, offset, y: top + snap(gap + index * (LONG + gap)) };
    });
    let x = snap(from) + 20;
    const isFree = () =>
      spots.every(({ part, look, offset, y }) => {
        const symbol = this.sheet.looksOf(part)[look];
        return symbol && this.sheet.fits(part, symbol, { x: x - offset, y });
      });
    while (x < from + FARTHEST && !isFree()) x += STEP;
    if (!isFree()) return from;
    for (const { part, look, offset, y } of spots) this.sheet.put(part, look, { x: x - offset, y });
    return x + 30;
  }

  /** Whether a bridge, whole or of four diodes, lies across two nets. */
  isRectified(upper: number, lower: number): boolean {
    const isLeg = (net: number) =>
      ['A', 'K'].every((end) =>
        this.circuit
          .pinsOn(net)
          .some(({ part, pin }) => part.kind === 'diode' && pin === end && this.rungs.isFree(part)),
      );
    const hasBridge = (net: number) =>
      this.circuit.pinsOn(net).some(({ part, pin }) => part.kind === 'bridge' && pin.startsWith('AC'));
    return hasBridge(upper) || hasBridge(lower) || (isLeg(upper) && isLeg(lower));
  }

  private bridge(lines: Lines, x: number): { readonly lines: Lines; readonly x: number } | undefined {
    const { upper, lower, top, bottom, behind = this.levels } = lines;
    for (const { part } of this.circuit.pinsOn(upper)) {
      if (part.kind !== 'bridge' || !this.rungs.isFree(part)) continue;
      const nets = ['AC1', 'AC2'].map((pin) => this.circuit.netOf(part.ref, pin));
      if (!nets.includes(lower) && nets[0] !== upper && nets[1] !== upper) continue;
      const at = this.placeFrom(part, 0, x + 10, snap((top + bottom) / 2) - 30);
      return {
        x: at + 70,
        lines: {
          upper: this.circuit.netOf(part.ref, '+'),
          lower: this.circuit.netOf(part.ref, '-'),
          top: Math.min(top, behind.top),
          bottom: Math.max(bottom, behind.bottom),
        },
      };
    }
    return undefined;
  }

  /** A bridge of four diodes: two columns, each with the line it is fed from in its middle. */
  private diodes(lines: Lines, x: number): { readonly lines: Lines; readonly x: number } | undefined {
    const single = (net: number, pin: string) =>
      this.circuit
        .pinsOn(net)
        .filter(
          ({ part, pin: own }) =>
            part.kind === 'diode' && own === pin && this.rungs.isFree(part) && part.subtype !== 'zener',
        )
        .map(({ part }) => part);
    const { upper, lower } = lines;
    const cathode = (part: BoardPart) => this.circuit.netOf(part.ref, 'K');
    const anode = (part: BoardPart) => this.circuit.netOf(part.ref, 'A');
    for (const first of single(upper, 'A'))
      for (const second of single(lower, 'A')) {
        if (cathode(first) !== cathode(second)) continue;
        const below = single(upper, 'K').find((part) =>
          single(lower, 'K').some((other) => anode(other) === anode(part)),
        );
        const beside = single(lower, 'K').find((part) => below && anode(part) === anode(below));
        if (!below || !beside) continue;
        const { top, bottom } = lines.behind ?? this.levels;
        const [plus, minus] = [cathode(first), anode(below)];
        const column = (up: BoardPart, down: BoardPart, net: number, from: number) =>
          this.stand(
            [
              { part: up, from: 'K', to: 'A', net },
              { part: down, from: 'K', to: 'A', net: minus },
            ],
            from,
            top,
            bottom,
          );
        const middle = column(first, below, upper, x + 20);
        const end = column(second, beside, lower, middle + 20);
        return { x: end, lines: { upper: plus, lower: minus, top, bottom } };
      }
    return undefined;
  }

  /** The first place from here on where a symbol has room; it is put there. */
  private placeFrom(part: BoardPart, look: number, from: number, y: number): number {
    const symbol = this.sheet.looksOf(part)[look];
    let x = snap(from);
    while (symbol && x < from + FARTHEST && !this.sheet.fits(part, symbol, { x, y })) x += STEP;
    if (symbol && this.sheet.fits(part, symbol, { x, y })) this.sheet.put(part, look, { x, y });
    return x;
  }

  private choke(lines: Lines, x: number): { readonly lines: Lines; readonly x: number } | undefined {
    const { upper, lower, top } = lines;
    for (const { part, pin } of this.circuit.pinsOn(upper)) {
      if (part.kind !== 'common-mode-choke' || !this.rungs.isFree(part)) continue;
      const [symbol] = this.sheet.looksOf(part);
      const [a, b, c, d] = symbol?.pins.map((one) => one.pin) ?? [];
      if (a === undefined || b === undefined || c === undefined || d === undefined) continue;
      const net = (name: string) => this.circuit.netOf(part.ref, name);
      const isFirst = pin === a || pin === b;
      const [near, far] = isFirst ? [c, d] : [a, b];
      const other = net(near) === lower ? far : net(far) === lower ? near : undefined;
      const through = pin === a ? b : pin === b ? a : pin === c ? d : c;
      if (other === undefined) continue;
      const at = this.placeFrom(part, 0, x + 10, top - 10);
      return { x: at + 70, lines: { ...lines, upper: net(through), lower: net(other) } };
    }
    return undefined;
  }

  /** What lies in the upper line, and else in the lower: the way on. */
  private series(lines: Lines, x: number): { readonly lines: Lines; readonly x: number } | undefined {
    const { upper, lower, top, bottom } = lines;
    const held = (part: BoardPart) => this.hanging.some(({ rungs }) => rungs.some((rung) => rung.part === part));
    const dual = this.dual(lines, x);
    if (dual) return dual;
    const shunt = this.rungs.shunt(lower);
    if (shunt) return { x: this.lie(shunt, x, bottom), lines: { ...lines, lower: shunt.net } };
    const [above] = this.rungs.onward(upper, lower, held);
    const [below] = this.circuit.returns.has(lower) ? [] : this.rungs.onward(lower, upper, held);
    // A capacitor lies in the way of the power only where nothing else does.
    const isBelow = below && below.part.kind !== 'capacitor' && (!above || above.part.kind === 'capacitor');
    if (above && !isBelow) {
      const beside = this.rungs
        .onward(upper, lower, held)
        .filter(({ net, part }) => net === above.net && part !== above.part);
      const end = this.lie(above, x, top);
      beside.forEach((rung, index) => this.lie(rung, end - 80, top - 50 * (index + 1)));
      return { x: end, lines: { ...lines, upper: above.net } };
    }
    if (below) return { x: this.lie(below, x, bottom), lines: { ...lines, lower: below.net } };
    return this.lone(lines, x) ?? this.chip(lines, x);
  }

  /** A diode alone in a line: it rectifies half of the wave, or keeps a wrong polarity out. */
  private lone(lines: Lines, x: number): { readonly lines: Lines; readonly x: number } | undefined {
    const on = (part: BoardPart, from: 'A' | 'K', net: number): Rung | undefined => {
      const to = from === 'A' ? 'K' : 'A';
      const next = this.circuit.netOf(part.ref, to);
      const isBack = next === net || this.reached.has(next) || this.circuit.returns.has(next);
      return isBack ? undefined : { part, from, to, net: next };
    };
    const { upper, lower, top, bottom } = lines;
    const single = (net: number, pin: 'A' | 'K', other: number) =>
      this.circuit
        .pinsOn(net)
        .filter(
          ({ part, pin: own }) =>
            part.kind === 'diode' && own === pin && this.rungs.isFree(part) && !NO_RECTIFIER.has(part.subtype ?? ''),
        )
        .map(({ part }) => on(part, pin, other))
        .find((rung) => rung !== undefined);
    const up = single(upper, 'A', lower);
    if (up) return { x: this.lie(up, x, top), lines: { ...lines, upper: up.net } };
    const below = this.circuit.returns.has(lower) ? undefined : single(lower, 'K', upper);
    return below && { x: this.lie(below, x, bottom), lines: { ...lines, lower: below.net } };
  }

  /** A regulator in the line, or a chip with its switch inside: it stands under the line, which goes on where its choke begins. */
  private chip(lines: Lines, x: number): { readonly lines: Lines; readonly x: number } | undefined {
    const { upper, top } = lines;
    for (const { part, pin } of this.circuit.pinsOn(upper)) {
      if (!this.rungs.isFree(part)) continue;
      if (part.kind === 'regulator' && pin === 'IN') {
        const [symbol] = this.sheet.looksOf(part);
        const level = symbol?.pins.find((one) => one.pin === pin)?.y ?? 0;
        const at = this.placeFrom(part, 0, x + 10, top - level);
        return {
          x: at + (symbol?.body.right ?? 0) + 20,
          lines: { ...lines, upper: this.circuit.netOf(part.ref, 'OUT') },
        };
      }
      if (part.kind !== 'ic' || !this.circuit.isPower(part)) continue;
      const nets = new Set(Object.keys(part.pins).map((own) => this.circuit.netOf(part.ref, own)));
      const out = [...nets].find(
        (net) =>
          net !== upper &&
          !this.reached.has(net) &&
          this.circuit
            .pinsOn(net)
            .some(
              (other) =>
                this.circuit.isPower(other.part) &&
                (other.part.kind === 'inductor' || this.circuit.symbols.isChoke(other.part)),
            ),
      );
      if (out === undefined) continue;
      const [symbol] = this.sheet.looksOf(part);
      const at = this.placeFrom(part, 0, x + 10, top + 40);
      return { x: at + (symbol?.body.right ?? 0) + 30, lines: { ...lines, upper: out } };
    }
    return undefined;
  }

  private dual({ upper, ...lines }: Lines, x: number): { readonly lines: Lines; readonly x: number } | undefined {
    for (const { part, pin } of this.circuit.pinsOn(upper)) {
      if (part.kind !== 'dual-diode' || !this.rungs.isFree(part) || 'M' in part.pins) continue;
      const common = 'K' in part.pins ? 'K' : 'A';
      if (pin === common) continue;
      const at = this.placeFrom(part, 0, x + 10, lines.top - 20);
      return { x: at + 80, lines: { ...lines, upper: this.circuit.netOf(part.ref, common) } };
    }
    return undefined;
  }

  private lie({ part, from }: Rung, x: number, level: number): number {
    const looks = this.sheet.looksOf(part);
    if (part.kind === 'transformer') {
      const turned = looks.findIndex(({ pins }) => pins.some(({ pin, side }) => pin === from && side === 'left'));
      return this.placeFrom(part, Math.max(0, turned), x + 10, level - 10) + 90;
    }
    const look = looks[LOOKS.lying]?.pins[0]?.pin === from ? LOOKS.lying : LOOKS.lyingBack;
    return this.placeFrom(part, look, x, level - 30) + 60;
  }

  /** Connectors at the end of two lines. */
  private connect({ upper, top }: Lines, x: number): number {
    let end = x;
    for (const { part, pin } of this.circuit.pinsOn(upper)) {
      if (part.kind !== 'connector' || !this.rungs.isFree(part) || this.circuit.symbols.isEntering(part)) continue;
      const index = Object.keys(part.pins).indexOf(pin);
      end = this.placeFrom(part, 0, x + 20, top - 10 - index * 30) + 60;
    }
    return end;
  }
}

const snap = (value: number) => Math.round(value / STEP) * STEP;
