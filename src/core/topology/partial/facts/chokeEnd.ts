import { practice } from '../../../evidence';
import type { BoardPart } from '../../../board';
import type { BoardFacts } from './boardFacts';
import { switchesAt, type EndSwitch } from './near';
import type { FarPart, FarRectifier, RailFacts } from './railFacts';

/** Film capacitors of an input behind a bridge. */
const INPUT_FILM = practice({ farads: 2e-7, volts: 400 });

/** A choke, or a piece of a winding, seen from the end that may swing. */
export interface ChokeEnd {
  readonly board: BoardFacts;
  readonly anchor: BoardPart;
  readonly isChoke: boolean;
  readonly a: number;
  readonly b: number;
  readonly here: RailFacts;
  readonly there: RailFacts;
  readonly upper: readonly EndSwitch[];
  readonly lower: readonly EndSwitch[];
  readonly chips: readonly EndSwitch[];
  /** Diodes from this end, and to it, that clamp nothing. */
  readonly out: readonly FarRectifier[];
  readonly in: readonly FarRectifier[];
  /** Whether a winding of a transformer lies behind such a diode. */
  readonly fromWinding: boolean;
  /** Whether a winding of another part meets this end. */
  readonly atWinding: boolean;
  /** Whether the other end is where power comes in. */
  readonly isFed: boolean;
}

/** A choke's end at rail `a`, its other end at rail `b`. */
export function chokeEnd(
  board: BoardFacts,
  anchor: BoardPart,
  a: number,
  b: number,
  here: RailFacts,
  there: RailFacts,
): ChokeEnd {
  const { rails } = board;
  const isChoke = anchor.kind === 'inductor';
  const at = switchesAt(board, a, anchor);
  const ends = (parts: readonly FarPart[]) => parts.some(({ far }) => far === b);
  const clamps = ({ far }: FarRectifier) => {
    const behind = rails[far];
    if (!behind) return true;
    if (behind.still) return false;
    return ends(behind.capacitors) || ends(behind.resistors) || (!isChoke && behind.resistors.length > 0);
  };
  const counts = (one: FarRectifier) => one.far !== b && !clamps(one);
  const out = here.out.filter(counts);
  const into = here.in.filter(counts);
  return {
    board,
    anchor,
    isChoke,
    a,
    b,
    here,
    there,
    upper: at.filter(({ end }) => end === 'upper'),
    lower: at.filter(({ end }) => end === 'lower'),
    chips: at.filter(({ end, share }) => end === 'chip' && share > 0.2),
    out,
    in: into,
    fromWinding: [...out, ...into].some(({ far }) =>
      rails[far]?.windings.some(({ part }) => part !== anchor && part.kind === 'transformer'),
    ),
    atWinding: here.windings.some(({ part }) => part !== anchor),
    isFed:
      there.input ||
      there.bridgeDc ||
      there.side > 0 ||
      there.in.some(({ far }) => (rails[far]?.windings.length ?? 0) > 0) ||
      there.capacitors.some(
        ({ part: { subtype, value } }) =>
          subtype === 'film' &&
          (value?.capacitance ?? 0) >= INPUT_FILM.farads &&
          (value?.voltage ?? 0) >= INPUT_FILM.volts,
      ),
  };
}

export const partsOf = (list: readonly { readonly part: BoardPart }[]): readonly BoardPart[] =>
  list.map(({ part }) => part);
