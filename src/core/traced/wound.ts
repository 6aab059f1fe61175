import type { BoardPart } from '../board';
import { outputOf, type Model, type Winding } from '../topology';
import type { OutputRail } from './rails';
import { dotOf, feedsOf, sideOf } from './turns';

/** A piece of a winding from the end that rises with the dot. */
export interface Coil {
  readonly pins: readonly [dot: string, end: string];
  readonly turns: number;
}

/** What is known of the drive of a transformer. */
export interface DriveOf {
  /** Rails that a switch swings; those of them that a switch joins to the plus of the source. */
  readonly swinging: ReadonlySet<number>;
  readonly high: ReadonlySet<number>;
  readonly outputs: readonly OutputRail[];
  /** Its rectifiers conduct while the switch does, while it does not, or in turns. */
  readonly conducts: 'on' | 'off' | 'both';
  /** Volts of the primary that make the output, with a choke behind the rectifier and without. */
  readonly primaryVolts: { readonly choke: number; readonly reservoir: number };
  /** The source, which an end of the primary stands on and a winding may give power back to. */
  readonly source: { readonly plus: number; readonly minus: number; readonly volts: number };
  /** Primary turns over those of the main output, where that is known. */
  readonly ratio?: number;
  readonly drop: number;
}

interface Wound {
  readonly pieces: readonly Coil[];
  /** Turns of the winding of the main output for one of the primary. */
  readonly main: number | undefined;
}

/**
 * The windings of a transformer with their turns: of a primary one turn, of every other what its output needs. Where dots were not
 * marked the sense is the one in which the stage works.
 */
export function woundAs(part: BoardPart, model: Model, drive: DriveOf): Wound {
  const { rails, elements } = model;
  const all = elements.windings.filter((winding) => winding.part === part);
  const isPrimary = (winding: Winding) => winding.rails.some((rail) => drive.swinging.has(rail));
  const primaries = all.filter(isPrimary);
  const [first] = primaries;
  const outputs = [...drive.outputs, sourceAsOutput(drive)];
  const fed = all
    .filter((winding) => !isPrimary(winding))
    .flatMap((winding) => {
      const { foot, feeds } = feedsOf(winding, model, outputs, drive.drop);
      return feeds.length > 0 ? [{ winding, foot, feeds, form: outputOf(winding, model)?.form ?? 'reservoir' }] : [];
    });
  const perVolt = (form: 'choke' | 'reservoir') => 1 / drive.primaryVolts[form];
  const main = fed.find(({ winding }) => feedsOutput(winding, model, drive.outputs)) ?? fed[0];
  const mainTurns = main && Math.abs(main.feeds[0]?.volts ?? 0) * perVolt(main.form);
  const scale = drive.ratio !== undefined && mainTurns ? 1 / drive.ratio / mainTurns : 1;
  const senseKnown = first && dotOf(part, first);
  const pieces: Coil[] = [];
  for (const winding of primaries) {
    const foot =
      winding.pins.length > 2 ? winding.pins.find((pin) => !drive.swinging.has(rails.at(part, pin))) : undefined;
    const high = dotOf(part, winding) ?? sourceEnd(winding, model, drive);
    pieces.push(
      ...chain(winding, high, (pin) =>
        foot === undefined ? place(winding, pin) : sideOf(winding, pin, foot) * (pin === foot ? 0 : 1),
      ),
    );
  }
  for (const { winding, foot, feeds, form } of fed) {
    const back = feeds.some(({ pin }) => isBack(winding, pin, model, drive));
    const turnsOf = new Map<string, number>();
    if (foot !== undefined) turnsOf.set(foot, 0);
    for (const { pin, volts } of feeds) {
      const turns = back ? 1 : Math.abs(volts) * perVolt(form) * scale;
      turnsOf.set(pin, foot === undefined ? (pin === winding.pins[0] ? 0 : turns) : sideOf(winding, pin, foot) * turns);
    }
    const [lead] = feeds;
    const rises = lead && (lead.volts > 0 ? lead.pin : (foot ?? otherEnd(winding, lead.pin)));
    const isOn = back ? false : drive.conducts === 'both' ? true : drive.conducts === 'on';
    const other =
      rises === undefined ? undefined : rises === lead?.pin ? (foot ?? otherEnd(winding, rises)) : lead?.pin;
    const known = senseKnown === undefined ? undefined : dotOf(part, winding);
    pieces.push(
      ...chain(winding, known ?? (isOn ? rises : other), (pin) => turnsOf.get(pin) ?? spread(winding, pin, turnsOf)),
    );
  }
  return { pieces, main: mainTurns === undefined ? undefined : mainTurns * scale };
}

/**
 * Chokes of several outputs on one core: turns follow the volts of the outputs, and all swing together. None where a winding does not
 * lie between a rectifier and an output.
 */
export function coupledChokes(
  part: BoardPart,
  { elements, held }: Model,
  outputs: readonly OutputRail[],
): { readonly pieces: readonly Coil[]; readonly volts: number } | undefined {
  const found = elements.windings
    .filter((winding) => winding.part === part)
    .map(({ pins, rails }) => {
      const at = rails.findIndex((rail) => held.isHeld(rail) && outputs.some((one) => one.rails.includes(rail)));
      const output = outputs.find((one) => one.rails.includes(rails[at] ?? -1));
      const [still, swings] = at === 0 ? [pins[0], pins.at(-1)] : [pins.at(-1), pins[0]];
      if (!output || pins.length !== 2 || still === undefined || swings === undefined) return undefined;
      const dot = part.dots?.find((pin) => pins.includes(pin));
      const rises = dot ?? (output.isNegative ? still : swings);
      return { pins: [rises, rises === still ? swings : still] as const, volts: output.volts };
    });
  const first = found[0];
  if (!first || found.some((one) => one === undefined)) return undefined;
  return {
    pieces: found.flatMap((one) => (one ? [{ pins: one.pins, turns: one.volts / first.volts }] : [])),
    volts: first.volts,
  };
}

const sourceAsOutput = ({ source }: DriveOf): OutputRail => ({
  rail: source.plus,
  ground: source.minus,
  volts: source.volts,
  isNegative: false,
  why: '',
  at: '',
  rails: [source.plus],
  isOwnSupply: true,
  feedsRegulator: false,
});

const feedsOutput = (winding: Winding, model: Model, outputs: readonly OutputRail[]) =>
  (outputOf(winding, model)?.rails ?? []).some((rail) =>
    outputs.some(({ rails, isOwnSupply }) => !isOwnSupply && rails.includes(rail)),
  );

/** A winding that gives back to the source what the core has stored. */
const isBack = (winding: Winding, pin: string, { elements, rails }: Model, { source }: DriveOf) =>
  elements.rectifiers.some(({ from, to }) => from === rails.at(winding.part, pin) && to === source.plus);

const otherEnd = ({ pins }: Winding, pin: string) => (pins[0] === pin ? pins.at(-1) : pins[0]);

/** The end of a primary that is higher while the switch conducts: the one toward the plus of the source. */
function sourceEnd(winding: Winding, { rails }: Model, { source, swinging, high }: DriveOf): string | undefined {
  const at = (pin: string) => rails.at(winding.part, pin);
  const ends = [winding.pins[0] ?? '', winding.pins.at(-1) ?? ''] as const;
  const plus = ends.find((pin) => at(pin) === source.plus);
  if (plus !== undefined) return plus;
  const minus = ends.find((pin) => at(pin) === source.minus);
  if (minus !== undefined) return otherEnd(winding, minus);
  return ends.find((pin) => high.has(at(pin))) ?? ends.find((pin) => !swinging.has(at(pin))) ?? ends[0];
}

const place = ({ pins }: Winding, pin: string) => pins.indexOf(pin) / Math.max(1, pins.length - 1);

/** A tap that nothing tells of lies evenly between its neighbours. */
function spread({ pins }: Winding, pin: string, known: ReadonlyMap<string, number>): number {
  const index = pins.indexOf(pin);
  const before = pins.slice(0, index).findLast((one) => known.has(one));
  const behind = pins.slice(index).find((one) => known.has(one));
  const [low, high] = [known.get(before ?? ''), known.get(behind ?? '')];
  if (low !== undefined && high !== undefined) return (low + high) / 2;
  return (low ?? high ?? 0) + (low === undefined ? -1 : 1) * 0.1;
}

/** The pieces of a winding between its pins, each from the end that rises with the dot. */
function chain({ pins }: Winding, dot: string | undefined, turnsAt: (pin: string) => number): readonly Coil[] {
  const isFirst = dot === undefined || pins.indexOf(dot) <= (pins.length - 1) / 2;
  return pins.slice(1).flatMap((pin, index): readonly Coil[] => {
    const before = pins[index] ?? '';
    const turns = Math.abs(turnsAt(pin) - turnsAt(before));
    return turns > 0 ? [{ pins: isFirst ? [before, pin] : [pin, before], turns }] : [];
  });
}
