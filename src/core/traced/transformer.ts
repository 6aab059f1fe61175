import type { BoardPart } from '../board';
import { TRANSISTOR_TERMINALS, type Model } from '../topology';
import type { PowerPart } from '../whatif';
import type { Design } from './design';
import type { Surroundings } from './parts';
import type { StageTask } from './task';
import { TYPICAL } from './typical';
import type { TracedUnit } from './unit';
import { coupledChokes, woundAs, type Coil } from './wound';

/** A transformer as windings with turns, as far as anything hangs on them. */
export function transformerOf(
  part: BoardPart,
  { way, stage, rails: ends, volts, main, recognition: { model }, values, unit }: StageTask,
  around: Surroundings,
  design: Design,
  swinging: ReadonlySet<number>,
): readonly PowerPart[] {
  const ratio = values.find(part, 'turnsRatio');
  const coupled = elementsSwing(part, model, swinging) ? undefined : coupledChokes(part, model, ends.outputs);
  if (coupled) {
    const lead = ends.outputs[main]?.volts ?? coupled.volts;
    const own = values.take(part, 'inductance', () => ({
      value: design.choke * (coupled.volts / lead) ** 2,
      why: 'for a ripple of 30 % of its current',
    }));
    return [
      woundPart(part, around, {
        pieces: coupled.pieces,
        henries: own,
        leakage: 0.02 * own,
        ohmsOf: () => around.lossOhms.output,
      }),
    ];
  }
  const { pieces, main: mainTurns } = woundAs(part, model, {
    swinging,
    high: new Set(
      model.elements.switches
        .filter(({ part, hi }) => stage.switches.includes(part) && hi === ends.plus)
        .map(({ lo }) => lo),
    ),
    outputs: ends.outputs,
    conducts: way.conducts,
    primaryVolts: design.primaryVolts,
    source: { plus: ends.plus, minus: ends.minus, volts },
    ...(ratio === undefined ? {} : { ratio }),
    drop: stage.rectifiers.every(({ kind }) => kind in TRANSISTOR_TERMINALS) ? 0.05 : TYPICAL.drop.schottky,
  });
  if (pieces.length === 0) return [];
  const henries = values.take(part, 'inductance', () => ({
    value: design.primary,
    why:
      way.conducts === 'off'
        ? 'at the boundary of discontinuous conduction at full load'
        : 'for a magnetising current of a tenth',
  }));
  const leakage = values.take(part, 'shorted', () => ({
    value: design.leakage,
    why: 'as transformers of this kind have',
  }));
  if (ratio === undefined && mainTurns !== undefined)
    values.note({
      ref: part.ref,
      name: 'turnsRatio',
      label: 'turns ratio',
      value: 1 / mainTurns,
      unit: 'ratio',
      source: 'typical',
      why: 'chosen so that the output of the plate comes about at a usual duty',
    });
  const current = around.watts / TYPICAL.efficiency / volts;
  const ohmsOf = (a: string, b: string, turns: number) => {
    const known = measuredOhms(unit, part, a, b);
    const typical = ((TYPICAL.copper * around.watts) / Math.max(1e-9, current ** 2)) * turns ** 2 * 0.2;
    // A meter with two leads reads its own leads with what is below an ohm.
    return known !== undefined && known > 0.5 ? Math.min(known, 20 * typical) : typical;
  };
  return [woundPart(part, around, { pieces, henries, leakage: Math.min(leakage, 0.5 * henries), ohmsOf })];
}

const elementsSwing = (part: BoardPart, { elements }: Model, swinging: ReadonlySet<number>) =>
  elements.windings.some((winding) => winding.part === part && winding.rails.some((rail) => swinging.has(rail)));

/** What was measured between two pins of a winding, ohm. */
export const measuredOhms = (
  { windingOhms }: TracedUnit,
  { ref }: BoardPart,
  a: string,
  b: string,
): number | undefined => windingOhms?.[[`${ref}.${a}`, `${ref}.${b}`].toSorted((x, y) => x.localeCompare(y)).join(' ')];

/** A transformer with its windings. */
export function woundPart(
  part: BoardPart,
  { nodes, values }: Surroundings,
  of: {
    readonly pieces: readonly Coil[];
    readonly henries: number;
    readonly leakage: number;
    readonly ohmsOf: (a: string, b: string, turns: number) => number;
  },
): PowerPart {
  const names = [...new Set(of.pieces.flatMap(({ pins }) => pins))];
  return {
    ref: part.ref,
    drawn: { kind: 'transformer', pins: Object.fromEntries(names.map((pin) => [pin, nodes.at(part, pin)])) },
    model: {
      kind: 'transformer',
      henries: of.henries,
      leakage: of.leakage,
      windings: of.pieces.map(({ pins: [dot, end], turns }) => ({
        pins: [dot, end] as const,
        turns,
        ohms: of.ohmsOf(dot, end, turns),
      })),
    },
    limits: { amperes: values.find(part, 'saturation') ?? Infinity },
  };
}
