import type { BoardPart } from '../../board';
import type { Model } from '../model';
import type { RectifierElement, Winding } from '../model/elements';
import { reachOf } from '../model/series';

/** How a transformer's winding gives its power away. */
export interface WindingOutput {
  readonly winding: Winding;
  /** Straight into a reservoir, or through a choke with a freewheel path. */
  readonly form: 'reservoir' | 'choke';
  readonly rectifiers: readonly RectifierElement[];
  readonly chokes: readonly BoardPart[];
  /** Held rails that the winding charges or returns to. */
  readonly rails: readonly number[];
  readonly evidence: readonly string[];
}

/** What hangs on a winding of a transformer: rectifiers into held rails, output chokes, freewheel paths. */
export function outputOf(winding: Winding, model: Model): WindingOutput | undefined {
  const { elements, held, rails } = model;
  const swinging = new Set(
    winding.rails
      .filter((rail) => rail >= 0 && !held.isHeld(rail))
      .flatMap((rail) =>
        reachOf(rail, elements, held, { without: winding.part, most: 2 })
          .filter((reach) => !held.isHeld(reach.rail) && reach.through.every((part) => isSecondaryPath(part, model)))
          .map((reach) => reach.rail),
      ),
  );
  const heldEnds = winding.rails.filter((rail) => held.isHeld(rail));
  const straight: RectifierElement[] = [];
  const behind = new Map<number, { sources: Set<number>; rectifiers: RectifierElement[] }>();
  for (const element of elements.rectifiers) {
    for (const [near, far] of ends(element)) {
      if (!swinging.has(near)) continue;
      if (held.isHeld(far)) straight.push(element);
      else if (!swinging.has(far)) {
        const entry = behind.get(far) ?? { sources: new Set(), rectifiers: [] };
        entry.sources.add(near);
        entry.rectifiers.push(element);
        behind.set(far, entry);
      }
    }
  }
  const chokes = new Set<BoardPart>();
  const touched = new Set<number>(heldEnds);
  const rectifiers = new Set<RectifierElement>();
  const evidence: string[] = [];
  const toChoke = [...behind].flatMap(([point, entry]) =>
    chokesFrom(point, winding.part, model).length > 0 ? entry.rectifiers : [],
  );
  const returning = returnHalf(straight, toChoke);
  let reservoirs = straight.length > returning.length ? 1 : 0;
  for (const [point, { sources, rectifiers: fed }] of behind) {
    const out = chokesFrom(point, winding.part, model);
    const freewheels = elements.rectifiers.filter((element) =>
      ends(element).some(
        ([near, far]) => near === point && !sources.has(far) && (held.isHeld(far) || swinging.has(far)),
      ),
    );
    if (out.length === 0 && !rails.on(point).some(({ part }) => part.kind === 'capacitor')) continue;
    for (const element of fed) rectifiers.add(element);
    if (out.length > 0 && (freewheels.length > 0 || sources.size > 1)) {
      for (const element of freewheels) {
        rectifiers.add(element);
        for (const [, far] of ends(element)) if (held.isHeld(far)) touched.add(far);
      }
      for (const { part, far } of out) {
        chokes.add(part);
        touched.add(far);
        evidence.push(`${fed[0]?.part.ref ?? ''} leads to the choke ${part.ref}, with a freewheel path before it`);
      }
    } else {
      reservoirs += 1;
      for (const { far } of out) touched.add(far);
      touched.add(point);
      evidence.push(`${fed[0]?.part.ref ?? ''} charges a capacitor, and nothing freewheels before the choke`);
    }
  }
  const middleChokes = [...swinging].flatMap((rail) => chokesFrom(rail, winding.part, model));
  for (const element of straight) {
    rectifiers.add(element);
    for (const [near, far] of ends(element)) if (swinging.has(near)) touched.add(far);
  }
  if (middleChokes.length > 0 && straight.length > 1)
    for (const { part, far } of middleChokes) {
      chokes.add(part);
      touched.add(far);
      evidence.push(`${part.ref} lies between the winding and the output`);
    }
  if (rectifiers.size === 0) return undefined;
  const isThroughChoke = middleChokes.length > 0 ? straight.length > 1 : reservoirs === 0;
  const form = chokes.size > 0 && isThroughChoke ? 'choke' : 'reservoir';
  const first = straight[0];
  if (form === 'reservoir' && first)
    evidence.push(
      `${first.part.ref} joins ${winding.part.ref} straight to a rail that a capacitor holds, with no choke between`,
    );
  return {
    winding,
    form,
    rectifiers: [...rectifiers],
    chokes: form === 'choke' ? [...chokes] : [],
    rails: [...touched],
    evidence,
  };
}

/**
 * Of rectifiers into held rails the return half of a bridge before a choke: at each of two ends or more one that conducts
 * into an end from which another conducts on to the choke, or the other way round.
 */
function returnHalf(straight: readonly RectifierElement[], toChoke: readonly RectifierElement[]) {
  const half = straight.filter(({ from, to }) => toChoke.some((other) => other.from === to || other.to === from));
  return half.length > 1 ? half : [];
}

const ends = ({ from, to }: RectifierElement) =>
  [
    [from, to],
    [to, from],
  ] as const;

/** Chokes from a swinging rail to a held one. A transformer counts by any of its windings: chokes are wound coupled. */
function chokesFrom(rail: number, without: BoardPart, { elements, held }: Model) {
  const found = new Map<BoardPart, number>();
  for (const { part, a, b } of elements.inductive) {
    if (part === without) continue;
    const far = a === rail ? b : b === rail ? a : -1;
    if (far >= 0 && held.isHeld(far)) found.set(part, far);
  }
  return [...found].map(([part, far]) => ({ part, far }));
}

/** A saturable reactor, a coupling capacitor or the winding of a current transformer may stand between winding and rectifier. */
function isSecondaryPath(part: BoardPart, { rails }: Model): boolean {
  if (part.kind !== 'capacitor') return true;
  return (
    Object.keys(part.pins).every((pin) => rails.on(rails.at(part, pin)).length <= 6) &&
    (part.value?.capacitance ?? 1) >= 47e-9
  );
}
