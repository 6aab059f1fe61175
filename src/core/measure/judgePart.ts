import { practice } from '../evidence';
import { safetyClassOf, type KindName, type RatingName, type TestName } from '../part';
import type { EsrSeries } from './expectedEsr';
import { judgeCapacitor, type CapacitorBuild } from './judgeCapacitor';
import { judgeChip, type ChipTest } from './judgeChip';
import { judgeChoke, judgeCommonModeChoke } from './judgeChoke';
import { judgeBridge, judgeDiode, judgeDualDiode } from './judgeDiode';
import type { Judgement, Readings } from './judgement';
import { judgeFan, judgeHeatSink, judgeRelay } from './judgeMechanical';
import { judgeMosfet } from './judgeMosfet';
import { judgeOptocoupler } from './judgeOptocoupler';
import { judgeFuse, judgeThermistor, judgeVaristor } from './judgeProtection';
import { judgeReference, judgeRegulator } from './judgeReference';
import { judgeResistor, judgeTrimmer } from './judgeResistor';
import { judgeThyristor, judgeTriac } from './judgeThyristor';
import { judgeIgbt, judgeTransistor } from './judgeTransistor';
import { judgeTransformer } from './judgeTransformer';
import { lifeCriteria } from './lifeCriteria';

export interface PartUnderTest {
  readonly kind: KindName;
  readonly test: TestName;
  readonly subtype?: string | null;
  readonly package?: string | null;
  readonly technology?: string | null;
  readonly marking?: string | null;
  readonly ratings: Partial<Record<RatingName, number>>;
  readonly damage: readonly string[];
  /** Fingerprints of whole chips of the same number. */
  readonly known?: ChipTest['known'];
}

/** Cases that only wet or polymer electrolytics come in. */
const CAN_PACKAGES = ['radial', 'snap-in', 'SMD can'];
/** From this size a capacitor of unknown build is an electrolytic. */
const ELECTROLYTIC_FROM = practice(1e-6);

/** The judgement of a part by the readings of the test that its kind calls for. */
export function judgePart(part: PartUnderTest, readings: Readings): Judgement {
  const { damage, ratings } = part;
  const technology = part.subtype ?? part.technology ?? undefined;
  switch (part.test) {
    case 'capacitor': {
      const build = capacitorBuild(part);
      const series = esrSeries(part);
      return judgeCapacitor({
        readings,
        nominal: ratings,
        build,
        ...(series ? { series } : {}),
        damage,
        more: build === 'electrolytic' ? lifeCriteria(readings, ratings) : [],
      });
    }
    case 'mosfet':
      return judgeMosfet({ readings, nominal: ratings, technology, isPChannel: part.kind === 'pmos', damage });
    case 'diode':
      return judgeDiode({ readings, technology, nominal: ratings, isBothWays: isBothWays(part), damage });
    case 'dual-diode':
      return judgeDualDiode({ readings, technology: dualTechnology(part), nominal: ratings, damage });
    case 'bridge':
      return judgeBridge({ readings, damage });
    case 'resistor':
      return judgeResistor({ readings, nominal: ratings.resistance, tolerance: ratings.tolerance, damage });
    case 'trimmer':
      return judgeTrimmer({ readings, nominal: ratings.resistance, tolerance: ratings.tolerance, damage });
    case 'transistor':
      return judgeTransistor({ readings, nominal: { vceo: ratings.vceo, ic: ratings.ic }, damage });
    case 'igbt':
      return judgeIgbt({ readings, damage });
    case 'triac':
      return judgeTriac({ readings, damage });
    case 'thyristor':
      return judgeThyristor({ readings, damage });
    case 'optocoupler':
      return judgeOptocoupler({ readings, marking: part.marking, damage });
    case 'shunt-reference':
      return judgeReference({ readings, nominal: ratings.vout, damage });
    case 'regulator':
      return judgeRegulator({ readings, nominal: ratings.vout, damage });
    case 'chip':
      return judgeChip({ readings, known: part.known ?? [], damage });
    case 'fuse':
      return judgeFuse({ readings, nominal: ratings.current, damage });
    case 'varistor':
      return judgeVaristor({ readings, nominal: ratings.vn, damage });
    case 'thermistor':
      return judgeThermistor({ readings, nominal: ratings.r25, positive: part.subtype === 'ptc', damage });
    case 'choke':
      return judgeChoke({ readings, nominal: ratings, technology, damage });
    case 'common-mode-choke':
      return judgeCommonModeChoke({ readings, nominal: ratings, damage });
    case 'transformer':
      return judgeTransformer({ readings, damage });
    case 'relay':
      return judgeRelay({ readings, nominal: ratings, damage });
    case 'fan':
      return judgeFan({ readings, nominal: ratings, damage });
    case 'heat-sink':
      return judgeHeatSink({ readings, damage });
  }
}

/** Clamps for both polarities end in C or CA; trigger diodes are a technology of their own. */
function isBothWays({ technology, subtype, marking, kind }: PartUnderTest): boolean {
  if (kind === 'diac' || technology === 'diac') return true;
  const isClamp = subtype === 'tvs' || technology === 'tvs';
  return isClamp && /^(?:SM|P[46]|1\.5|5K|SA|BZW|LCE|SMD)[A-Z0-9.-]*\d+(?:\.\d)?CA?$/i.test((marking ?? '').trim());
}

/** How a capacitor is built, by what is known of it. */
export function capacitorBuild({ subtype, package: case_, ratings }: PartUnderTest): CapacitorBuild {
  // Of a part that is both, the class across the barrier is the stricter one.
  const classed = safetyClassOf(subtype);
  if (classed) return classed.y === undefined ? 'x' : 'y';
  if (subtype) return ['electrolytic', 'polymer', 'tantalum'].includes(subtype) ? 'electrolytic' : 'film';
  if (case_ && CAN_PACKAGES.includes(case_)) return 'electrolytic';
  return (ratings.capacitance ?? 0) >= ELECTROLYTIC_FROM ? 'electrolytic' : 'film';
}

/** The series an electrolytic belongs to, where its build or a word of its marking says so. */
export function esrSeries({ subtype, technology, marking }: PartUnderTest): EsrSeries | undefined {
  if (subtype === 'polymer') return 'polymer';
  if (technology === 'low-impedance' || /\blow[- ]?(?:z|esr|impedance)\b/i.test(marking ?? '')) return 'low-impedance';
  return undefined;
}

/** A dual rectifier is a Schottky or silicon by its technology; its subtype names how the halves are joined. */
function dualTechnology({ technology }: PartUnderTest): string | undefined {
  return technology ?? undefined;
}

export type { CapacitorBuild };
