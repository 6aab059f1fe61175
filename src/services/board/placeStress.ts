import { recentOf } from '../../core/recent';
import { runBoard, type TracedUnit } from '../../core/traced';
import type { Dossier } from '../dossier';
import { donorStress } from './donorStress';
import { tracedBoard } from './tracedBoard';
import { tracedValues } from './tracedUnit';

/** What a place puts on its part: volts, amperes, hertz. */
export interface PlaceStress {
  readonly voltage?: number;
  readonly current?: number;
  readonly ripple?: number;
  readonly frequency?: number;
}

/** Milliseconds a run may take before a page goes on without it. */
const BUDGET = 1500;
const REMEMBERED = 32;
const stressOf = recentOf<PlaceStress>(REMEMBERED);

/** The kinds of stress that the simulator tells, by what a rule of replacement calls them; the first that is told counts. */
const TOLD = {
  voltage: ['breakdown', 'reverse', 'voltage'],
  current: ['mean', 'effective', 'peak'],
  ripple: ['ripple'],
} as const;

/**
 * What the traced board puts on a part where it runs, at the highest input of its plate; nothing where it does not run, or where
 * that rests on turns that nobody measured.
 */
export async function placeStress(dossier: Dossier, ref: string): Promise<PlaceStress> {
  const [board, values, { input }] = await Promise.all([
    tracedBoard(dossier, false),
    tracedValues(dossier),
    donorStress(dossier),
  ]);
  if (!board.joined || board.joined.length === 0) return {};
  const unit: TracedUnit = { board, ...values, ...(input ? { inputVolts: input.volts } : {}) };
  return stressOf(JSON.stringify([ref, unit]), () => runFor(unit, ref));
}

function runFor(unit: TracedUnit, ref: string): PlaceStress {
  const end = Date.now() + BUDGET;
  const [stage] = runBoard(unit, { only: ref, isOver: () => Date.now() > end }).stages;
  if (!stage?.answer.isSettled || stage.guessed.includes(ref)) return {};
  const own = new Map(stage.answer.stresses.filter((one) => one.ref === ref).map(({ kind, value }) => [kind, value]));
  const first = (kinds: readonly (typeof TOLD)[keyof typeof TOLD][number][]) =>
    kinds.map((kind) => own.get(kind)).find((value) => value !== undefined);
  const [voltage, current, ripple] = [first(TOLD.voltage), first(TOLD.current), first(TOLD.ripple)];
  return {
    ...(voltage === undefined ? {} : { voltage }),
    ...(current === undefined ? {} : { current }),
    ...(ripple === undefined ? {} : { ripple }),
    ...(own.size > 0 ? { frequency: 1 / stage.answer.period } : {}),
  };
}
