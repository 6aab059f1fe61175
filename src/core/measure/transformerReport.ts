import {
  couplingOf,
  estimateTurns,
  findGap,
  findWindings,
  goodFor,
  matchCore,
  nearestCore,
  seriesCoupling,
  mutualOf,
  ratioFromInjection,
  type CoreMatch,
  type Coupling,
  type GapFinding,
  type GoodFor,
  type NearCore,
  type OhmReading,
  type TurnsEstimate,
  type WindingFinding,
} from '../magnetics';
import type { Readings } from './judgement';

/** All that the readings of a transformer say together. */
export interface TransformerReport {
  readonly windings: WindingFinding;
  readonly coupling: Coupling | undefined;
  /** Primary to output, with the coupling that the two injections give. */
  readonly ratio: { readonly ratio: number; readonly coupling: number } | undefined;
  readonly mutual: { readonly mutual: number; readonly sum: number } | undefined;
  /** By the series connections and the primary alone; `impossible` when that leaves the output no inductance. */
  readonly series: { readonly coupling: number; readonly ratio: number } | 'impossible' | undefined;
  /** Which series connection read more, so where the dots are. */
  readonly dots: 'as aiding' | 'swapped' | undefined;
  readonly cores: readonly CoreMatch[];
  /** Where no core is within the tolerance. */
  readonly nearest: NearCore | undefined;
  readonly turns: TurnsEstimate | undefined;
  readonly gap: GapFinding;
  readonly goodFor: readonly GoodFor[];
}

/** The name under which the ohms between two pins are kept, as in `r1-2`. */
export const ohmsField = (a: string, b: string): string => `r${a}-${b}`;

/** The ohm table among a transformer's readings. */
export function ohmReadings(readings: Readings): readonly OhmReading[] {
  return Object.entries(readings).flatMap(([name, reading]) => {
    const pair = /^r(.+)-(.+)$/.exec(name);
    return pair?.[1] && pair[2] && reading ? [{ a: pair[1], b: pair[2], ohms: reading.value }] : [];
  });
}

/** Works out windings, coupling, ratio, core, turns, gap and use from whatever was read. */
export function transformerReport(readings: Readings): TransformerReport {
  const value = (name: string) => readings[name]?.value;
  const [open, shorted] = [value('open'), value('shorted')];
  const [forward, back] = [value('forwardRatio'), value('backRatio')];
  const [aiding, opposing] = [value('aiding'), value('opposing')];
  const size = { width: value('width'), height: value('height'), depth: value('depth') };
  const cores = matchCore(size);
  const facts = {
    core: cores[0]?.core,
    inductance: open,
    perTurn: value('perTurn'),
    saturation: value('saturation'),
    wire: value('wire'),
    leakageShare: open && shorted !== undefined ? shorted / open : undefined,
  };
  return {
    windings: findWindings(ohmReadings(readings)),
    coupling: open !== undefined && shorted !== undefined ? couplingOf({ open, shorted }) : undefined,
    ratio: forward !== undefined && back !== undefined ? ratioFromInjection({ forward, back }) : undefined,
    mutual: aiding !== undefined && opposing !== undefined ? mutualOf({ aiding, opposing }) : undefined,
    series:
      aiding !== undefined && opposing !== undefined && open !== undefined
        ? (seriesCoupling({ aiding, opposing, primary: open }) ?? 'impossible')
        : undefined,
    dots: aiding !== undefined && opposing !== undefined ? (aiding >= opposing ? 'as aiding' : 'swapped') : undefined,
    cores,
    nearest: nearestCore(size),
    turns: estimateTurns(facts),
    gap: findGap(facts),
    goodFor: goodFor(facts),
  };
}
