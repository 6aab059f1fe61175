import { practice } from '../../../evidence';
import type { BoardPart } from '../../../board';
import type { Winding } from '../../model/elements';
import type { BoardFacts } from './boardFacts';
import { commandFacts } from './command';
import { endsOf, isBaseWinding, reaches, seriesOf, switchesAt, type EndSwitch } from './near';
import type { RailFacts } from './railFacts';
import type { FactSheet } from './sheet';

/** What drives a transformer: the windings driven and the switches that do. */
export interface Driven {
  readonly windings: ReadonlySet<Winding>;
  readonly switches: ReadonlySet<BoardPart>;
  /** Winding ends that lie in the middle of two switches, one above the other. */
  readonly totemEnds: number;
}

/** A capacitor in series with a winding: below the first it is a snubber, up to the second it resonates. */
const SERIES_CAPACITOR = practice({ snubberBelow: 3e-9, resonantUpTo: 1.6e-7, resonantVolts: 400, ceramicBelow: 1e-8 });
/** Stores of a divider of the mains stand at least so much. */
const DIVIDER_VOLTS = practice(100);
/** Transistors less likely a power switch than this drive nothing. */
const LEAST_SHARE = 0.25;
/** A driven winding must be at least so well told. */
const LEAST_TOLD = 0.3;

interface Half {
  readonly winding: Winding;
  readonly part: BoardPart;
  readonly share: number;
  readonly rail: number;
  /** The rail of the other end. */
  readonly far: number;
  readonly tapIsStill: boolean;
}

/** Collects the facts of how the windings of a transformer are driven. */
export function driveFacts(board: BoardFacts, anchor: BoardPart, own: readonly Winding[], sheet: FactSheet): Driven {
  const told: { winding: Winding; worth: number; switches: readonly BoardPart[] }[] = [];
  const windings = new Set<Winding>();
  const halves: Half[] = [];
  let totemEnds = 0;
  for (const winding of own) {
    const ends = endsOf(winding);
    const onMains = ends.filter((rail) => board.rails[rail]?.mains).length;
    if (onMains === 2) {
      sheet.raise('across the mains', 1);
      windings.add(winding);
    } else if (onMains === 1 && !ends.some((rail) => board.rails[rail]?.bridgeDc))
      sheet.raise('one end on the mains', 1);
    for (const [a, b] of [ends, [ends[1], ends[0]] as const]) {
      const end = endOf(board, anchor, a, b);
      if (!end) continue;
      const consider = (worth: number, switches: readonly EndSwitch[]) =>
        told.push({ winding, worth, switches: switches.map(({ part }) => part) });
      if (end.isTotem) {
        totemEnds += 1;
        consider(totemFacts(board, anchor, end, sheet) + 0.4, [...end.upper, ...end.lower]);
      } else {
        singleFacts(board, end, sheet, consider);
        halves.push(...halvesOf(board, winding, end));
        seriesFacts(board, anchor, end, sheet, consider);
      }
      if (end.isDivider && board.isMains) {
        sheet.raise('end between two stores in series', end.there.side > 0 ? 1 : 0.5);
        consider(0.6, []);
      }
      endFacts(board, end, sheet);
    }
  }
  const likely = halves.filter(({ share }) => share > LEAST_SHARE);
  const isOpposed =
    new Set(likely.map(({ part }) => part)).size >= 2 && new Set(halves.map(({ rail }) => rail)).size >= 2;
  if (isOpposed)
    sheet.raise(
      halves.some(({ tapIsStill }) => tapIsStill) || meetInTap(likely)
        ? 'switches at both halves, tap held'
        : 'switches at two windings',
      1,
      ...likely.map(({ part }) => part),
    );
  const [best] = told.toSorted((x, y) => y.worth - x.worth);
  const switches = new Set<BoardPart>();
  if (best && best.worth > LEAST_TOLD) {
    windings.add(best.winding);
    for (const part of best.switches) switches.add(part);
    if (isOpposed)
      for (const half of halves) {
        windings.add(half.winding);
        switches.add(half.part);
      }
  }
  commandFacts(board, anchor, switches, sheet);
  return { windings, switches, totemEnds };
}

/** Whether two windings that are switched at one end meet at the other, as the halves of one that is tapped. */
const meetInTap = (halves: readonly Half[]): boolean =>
  halves.some((one) =>
    halves.some(
      (other) =>
        other.winding !== one.winding && other.far === one.far && other.rail !== one.rail && other.part !== one.part,
    ),
  );

/** One end of a winding seen from where it may be switched, and the rail of the other end. */
interface WindingEnd {
  readonly a: number;
  readonly b: number;
  readonly here: RailFacts;
  readonly there: RailFacts;
  readonly upper: readonly EndSwitch[];
  readonly lower: readonly EndSwitch[];
  readonly chips: readonly EndSwitch[];
  readonly across: readonly EndSwitch[];
  readonly isTotem: boolean;
  /** Whether the other end stands still, and whether it is the middle of two stores of the primary. */
  readonly isStill: boolean;
  readonly isDivider: boolean;
  /** Upper ends of switches in whose supply the winding lies. */
  readonly supplied: readonly EndSwitch[];
}

function endOf(board: BoardFacts, anchor: BoardPart, a: number, b: number): WindingEnd | undefined {
  const { rails, primary } = board;
  const [here, there] = [rails[a], rails[b]];
  if (!here || !there) return undefined;
  const at = switchesAt(board, a, anchor);
  const upper = at.filter(({ end, share }) => end === 'upper' && share > LEAST_SHARE);
  const lower = at.filter(({ end, share }) => end === 'lower' && share > LEAST_SHARE);
  return {
    a,
    b,
    here,
    there,
    upper,
    lower,
    chips: at.filter(({ end }) => end === 'chip'),
    across: switchesAt(board, b, anchor).filter(({ share }) => share > LEAST_SHARE),
    isTotem: upper.some((one) => lower.some((other) => other.part !== one.part)),
    isStill: there.still && !there.mains,
    isDivider:
      there.side >= 0 &&
      !there.output &&
      there.stores.some(({ plus }) => plus) &&
      there.stores.some(({ plus }) => !plus) &&
      there.stores.every(({ part }) => (part.value?.voltage ?? 200) >= DIVIDER_VOLTS),
    supplied: upper.filter(({ part, far }) => {
      const foot = rails[far];
      return (
        foot !== undefined &&
        !foot.still &&
        (foot.upper.some((element) => element.part !== part && primary(element) > 0.3) ||
          foot.windings.some((other) => other.part !== anchor))
      );
    }),
  };
}

type Consider = (worth: number, switches: readonly EndSwitch[]) => void;

/** A single switch at this end, below or above the winding. */
function singleFacts(board: BoardFacts, end: WindingEnd, sheet: FactSheet, consider: Consider): void {
  const { here, there, upper, lower, across, supplied } = end;
  if (supplied.length > 0 && supplied.length === upper.length && end.isStill)
    sheet.raise('supply winding', 1, ...supplied.map(({ part }) => part));
  const driving = drivingAt(end);
  if (driving.length > 0) {
    const parts = driving.map(({ part }) => part);
    let share = Math.max(...driving.map((one) => one.share));
    if (there.side > 0 && share > 0.2) share = Math.max(share, 0.8);
    const bySide = there.side < 0 && board.isMains ? 0.1 : there.side > 0 ? 1 : 0.75;
    if (end.isStill && !end.isDivider) {
      sheet.raise('switch to winding to store', share * bySide, ...parts);
      consider(share * bySide + 0.3, driving);
    } else if (!here.still) {
      sheet.raise('switch at winding', share, ...parts);
      consider(share * 0.7, driving);
    }
    const opposite = across.filter((one) => one.end === 'lower' && !parts.includes(one.part));
    if (opposite.length > 0) {
      sheet.raise('switches at both ends of a winding', share, ...parts, ...opposite.map(({ part }) => part));
      consider(share + 0.5, [...driving, ...across]);
    }
  }
  if (lower.length > 0 && upper.length === 0 && !here.still) {
    const share = Math.max(...lower.map((one) => one.share));
    if (share > 0.6 || lower.some(({ far }) => board.rails[far]?.still)) {
      const parts = lower.map(({ part }) => part);
      if (isSingleAbove(board, end)) {
        sheet.raise('switch to winding to store', share * 0.8, ...parts);
        consider(share + 0.3, lower);
      } else {
        sheet.raise('high side at winding', share, ...parts);
        consider(share * 0.75, lower);
      }
    }
  }
}

/** A P-channel FET or PNP above a winding whose other end lies on the minus of the supply: one switch, upside down. */
const isSingleAbove = ({ rails }: BoardFacts, { lower, there, isStill, isDivider }: WindingEnd): boolean =>
  isStill &&
  !isDivider &&
  there.side >= 0 &&
  lower.every(({ part, far }) => (part.kind === 'pmos' || part.kind === 'pnp') && rails[far]?.still);

/** What switches this end to the other side of the supply. */
const drivingAt = ({ upper, chips, supplied }: WindingEnd): readonly EndSwitch[] =>
  upper.length > 0 ? upper.filter((one) => !supplied.includes(one)) : chips;

/** Halves of a push-pull primary: a switch at an end whose winding has a tap, or whose other end stands still. */
function halvesOf({ rails }: BoardFacts, winding: Winding, end: WindingEnd): readonly Half[] {
  return drivingAt(end)
    .filter((one) => one.end === 'upper')
    .flatMap(({ part, share }): Half[] => {
      if (winding.rails.length >= 3) {
        const taps = winding.rails.slice(1, -1).flatMap((rail) => rails[rail] ?? []);
        // From the tap through a choke to an output: the switches rectify.
        if (taps.some(({ still, chokes }) => !still && chokes.length > 0)) return [];
        return [{ winding, part, share, rail: end.a, far: end.b, tapIsStill: taps.some(({ still }) => still) }];
      }
      return end.isStill ? [{ winding, part, share: share * 0.99, rail: end.a, far: end.b, tapIsStill: false }] : [];
    });
}

/** Two switches, one above the other, meet at this end. */
function totemFacts(board: BoardFacts, anchor: BoardPart, end: WindingEnd, sheet: FactSheet): number {
  const { rails } = board;
  const { upper, lower, across, there } = end;
  const parts = [...upper, ...lower].map(({ part }) => part);
  const most = (list: readonly EndSwitch[]) => Math.max(...list.map(({ share }) => share));
  const share = Math.min(most(upper), most(lower));
  const tops = lower.map(({ far }) => rails[far]);
  const topIsStill = tops.some((top) => top?.still && top.side >= 0 && !isClampStore(top));
  const topHasCapacitor = tops.some((top) => top && top.capacitors.length > 0 && (!top.still || isClampStore(top)));
  if (end.isStill && !end.isDivider && !topIsStill)
    sheet.raise(
      topHasCapacitor ? 'upper switch to a clamp capacitor' : 'totem pole, other end on store',
      share,
      ...parts,
    );
  else if (topHasCapacitor && !topIsStill) sheet.raise('upper switch to a clamp capacitor', share * 0.8, ...parts);
  else sheet.raise('totem pole at winding', share, ...parts);
  const isBefore = seriesOf(board, end.b, anchor).some(
    ({ depth, inductance }) => depth > 0 && inductance?.kind === 'transformer',
  );
  if (!there.still && isBefore) sheet.raise('before another transformer', 1);
  const hasBoth = (list: readonly EndSwitch[]) =>
    list.some((one) => one.end === 'upper') && list.some((one) => one.end === 'lower');
  if (hasBoth(across)) sheet.raise('two totem poles', share, ...parts, ...across.map(({ part }) => part));
  if (end.isDivider) sheet.raise('end between two stores in series', 1, ...parts);
  return share;
}

/** A rail that nothing but plain capacitors holds, so that it is fed by the clamp alone. */
const isClampStore = (rail: RailFacts): boolean =>
  rail.side === 0 &&
  rail.capacitors.length > 0 &&
  rail.stores.length === 0 &&
  rail.chokes.length + rail.windings.length === 0 &&
  !rail.bridgeDc &&
  !rail.input &&
  !rail.output;

/** Two switches, one above the other, lie behind a capacitor, a choke or another winding. */
function seriesFacts(
  board: BoardFacts,
  anchor: BoardPart,
  end: WindingEnd,
  sheet: FactSheet,
  consider: Consider,
): void {
  if (end.here.still) return;
  const { rails, primary } = board;
  for (const { rail, depth, capacitor, inductance } of seriesOf(board, end.a, anchor)) {
    const facts = rails[rail];
    if (depth === 0 || !facts) continue;
    const thyristors = facts.upper.filter(({ part }) => part.kind === 'scr');
    if (capacitor && depth === 1 && thyristors.length > 0)
      sheet.raise('thyristor at end', 1, capacitor, ...thyristors.map(({ part }) => part));
    if (facts.still) continue;
    const near = switchesAt(board, rail, anchor).filter(({ element }) => element && primary(element) > 0.3);
    const upper = near.filter((one) => one.end === 'upper');
    const lower = near.filter((one) => one.end === 'lower');
    if (upper.some((one) => lower.some((other) => other.part !== one.part))) {
      const parts = near.map(({ part }) => part);
      sheet.raise('totem pole in series', 1, ...parts);
      consider(1, near);
      const { across } = end;
      if (inductance && drivesBases(board, inductance))
        sheet.raise('behind a transformer that drives the bases', 1, inductance);
      if (across.some((one) => one.end === 'upper') && across.some((one) => one.end === 'lower'))
        sheet.raise('two totem poles', 1, ...parts, ...across.map(({ part }) => part));
    } else if (lower.length > 0 && depth <= 2) {
      sheet.raise('high side in series', 0.8, ...lower.map(({ part }) => part));
      consider(0.55, lower);
    }
  }
}

const drivesBases = (board: BoardFacts, wanted: BoardPart): boolean =>
  board.model.elements.windings.some((winding) => winding.part === wanted && isBaseWinding(board, winding));

/** What else lies at this end: primary store, thyristor, lamp, series capacitors and chokes, diodes that clamp or reset. */
function endFacts({ rails }: BoardFacts, end: WindingEnd, sheet: FactSheet): void {
  const { b, here, there, upper, lower } = end;
  if (here.still && here.side > 0) sheet.raise('end on primary store', 1, ...here.stores.map(({ part }) => part));
  const thyristors = here.upper.filter(({ part }) => part.kind === 'scr');
  if (thyristors.length > 0)
    sheet.raise('thyristor at end', there.known ? 1 : 0.7, ...thyristors.map(({ part }) => part));
  if (here.lamp) sheet.raise('lamp at end', 1);
  if (!here.still) seriesCapacitorFacts(rails, here, sheet);
  const isBare = here.upper.length + here.lower.length + here.out.length + here.in.length === 0;
  if (!here.still && here.chokes.length > 0 && isBare)
    sheet.raise('choke in series', 1, ...here.chokes.map(({ part }) => part));
  const toPrimary = (far: number) => (rails[far]?.still ?? false) && (rails[far]?.side ?? 0) > 0;
  const outward = here.out.filter(({ far }) => toPrimary(far));
  const inward = here.in.filter(({ far }) => toPrimary(far));
  const partsOf = (list: typeof outward) => list.map(({ element }) => element.part);
  const opposite = there.in.filter(({ far }) => toPrimary(far));
  if (outward.length > 0 && opposite.length > 0)
    sheet.raise('diodes from both ends to the supply', 1, ...partsOf(outward), ...partsOf(opposite));
  if (outward.length > 0 && upper.length > 0)
    sheet.raise('diode from winding end to the supply', 1, ...partsOf(outward));
  if (inward.length > 0 && lower.length > 0) sheet.raise('diode from winding end to the supply', 1, ...partsOf(inward));
  if (!end.isTotem && drivingAt(end).length > 0) {
    const clamps = here.out.filter(({ element, far }) => {
      const at = rails[far];
      return (
        at !== undefined &&
        element.part.kind !== 'bridge' &&
        (reaches(at.resistors, [b]) || at.capacitors.some((one) => one.far === b || rails[one.far]?.side === 1))
      );
    });
    if (clamps.length > 0) sheet.raise('clamp diode', 1, ...partsOf(clamps));
  }
}

function seriesCapacitorFacts(rails: readonly RailFacts[], here: RailFacts, sheet: FactSheet): void {
  for (const { part, far } of here.capacitors) {
    const size = part.value?.capacitance;
    if (size !== undefined && size < SERIES_CAPACITOR.snubberBelow) continue;
    const isSnubber =
      here.resistors.length > 0 && part.subtype === 'ceramic' && (size ?? 1) < SERIES_CAPACITOR.ceramicBelow;
    if (isSnubber) continue;
    const at = rails[far];
    const leads =
      at !== undefined &&
      (at.side > 0 || at.still || at.upper.length + at.lower.length + at.windings.length + at.chokes.length > 0);
    const isSmall = size === undefined ? part.subtype === 'film' : size <= SERIES_CAPACITOR.resonantUpTo;
    const isFilm = part.subtype === 'film';
    if (isSmall && (isFilm || (part.value?.voltage ?? 0) >= SERIES_CAPACITOR.resonantVolts))
      sheet.raise('resonant capacitor', leads ? 1 : 0.7, part);
    else if (!isSmall && isFilm) sheet.raise('blocking capacitor', leads ? 1 : 0.7, part);
  }
}
