import { practice } from '../evidence';
import type { FoundStage, Model } from '../topology';
import type { OutputRail } from './rails';
import type { StageTask } from './task';
import { TYPICAL } from './typical';
import type { Values } from './unit';

/** What a stage of this kind is designed to, where its parts do not tell. */
export interface Design {
  readonly duty: number;
  /** Inductance of its choke, henry. */
  readonly choke: number;
  /** Of the primary of its transformer, and its leakage. */
  readonly primary: number;
  readonly leakage: number;
  readonly primaryVolts: { readonly choke: number; readonly reservoir: number };
  readonly hertz: number;
}

/** What the parts of a stage would be where nobody measured them: the textbook's equations at the volts and the load it has. */
export function designOf(
  { way, volts, amperes, recognition: { model }, stage, values, unit }: StageTask,
  held: OutputRail,
  watts: number,
  hertz: number,
  swinging: ReadonlySet<number>,
): Design {
  const drop = TYPICAL.drop.schottky;
  const out = held.volts + drop;
  const across = volts * way.share;
  const isMains = unit.board.nameplate?.input?.kind !== 'dc';
  const wound = stage.magnetics.find(({ kind }) => kind === 'transformer');
  const ratio = wound && values.find(wound, 'turnsRatio');
  const reflected = ratio === undefined ? (isMains ? TYPICAL.reflected : volts) : ratio * out;
  const share = way.conducts === 'both' ? TYPICAL.duty.both : TYPICAL.duty.single;
  const duty = !way.isTransformer
    ? { buck: out / volts, boost: Math.max(0.02, 1 - volts / out), both: out / (out + volts) }[way.ratio]
    : way.conducts === 'off'
      ? reflected / (reflected + volts)
      : way.conducts === 'both'
        ? share / 2
        : share;
  const taken = Math.max(...amperes, 1e-3);
  const input = watts / TYPICAL.efficiency / volts;
  const choke =
    way.ratio === 'buck'
      ? (out * (1 - Math.min(0.95, way.isTransformer ? share : duty))) / (hertz * TYPICAL.ripple * taken)
      : (volts * duty) / (hertz * TYPICAL.ripple * Math.max(input, 1e-3));
  const resonant = way.turned === 'frequency' ? resonantFarads(stage, model, values, swinging) : undefined;
  const series = resonant === undefined ? undefined : 1 / ((2 * Math.PI * hertz) ** 2 * resonant);
  const primary =
    way.conducts === 'off' && way.isTransformer
      ? (volts * duty) ** 2 / (2 * (watts / TYPICAL.efficiency) * hertz)
      : series !== undefined
        ? TYPICAL.resonantRatio * series
        : way.isTransformer
          ? (across * share) / (hertz * TYPICAL.magnetising * (input / Math.max(0.05, share)))
          : choke;
  const hasChoke = stage.magnetics.some(({ kind }) => kind === 'inductor');
  return {
    duty,
    choke,
    primary,
    leakage:
      series !== undefined
        ? hasChoke
          ? 0.02 * series
          : series
        : primary * TYPICAL.leakage * (way.conducts === 'off' ? 1 : 0.1),
    primaryVolts:
      way.conducts === 'off'
        ? { choke: reflected, reservoir: reflected }
        : { choke: across * share, reservoir: across },
    hertz,
  };
}

/** The capacitor of a resonant stage: not polarised, from the primary or its choke on to a switch, the source or its return. */
function resonantFarads(
  stage: FoundStage,
  { elements, held }: Model,
  values: Values,
  swinging: ReadonlySet<number>,
): number | undefined {
  const primary = elements.inductive.filter(
    ({ part, a, b }) => stage.magnetics.includes(part) && (swinging.has(a) || swinging.has(b)),
  );
  const open = new Set(primary.flatMap(({ a, b }) => [a, b]).filter((rail) => !held.isHeld(rail)));
  const farads = elements.capacitors
    .filter(({ a, b, polarised }) => !polarised && a !== b && (open.has(a) || open.has(b)))
    .flatMap(({ part }) => values.find(part, 'capacitance') ?? [])
    .filter((value) => value > RESONANT_AT_LEAST);
  return farads.length === 0 ? undefined : Math.max(...farads);
}

/** What is smaller is a snubber, farad. */
const RESONANT_AT_LEAST = practice(2e-9);
