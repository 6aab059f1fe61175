import { formatQuantity } from '../quantity';
import type { UnitKindName } from '../unit';
import type { NameplateFinding } from './findings';
import { supplyOf, type Nameplate } from './plate';
import {
  AGREEMENT,
  ASSUMED_EFFICIENCY,
  BULK_PER_WATT,
  CABLE_AMPERES,
  FUSE_SHARE,
  INLETS,
  isCorrected,
  POWER_FACTOR,
  type InletName,
} from './tradeRanges';

/** What a person found on the unit that bounds its power. Amperes, square metres, farads. */
export interface PowerBounds {
  readonly fuse?: number;
  readonly inlet?: InletName;
  readonly cable?: number;
  readonly switch?: number;
  readonly bulk?: number;
  /** Rms current of a triac or thyristor that passes the whole power, as in a dimmer. */
  readonly thyristor?: number;
}

export interface ClaimCheck {
  /** Output power in watts that the unit can stand for, by the tightest bound; missing without one. */
  readonly plausible?: number;
  readonly bounds: readonly { readonly by: string; readonly watts: number }[];
  readonly findings: readonly NameplateFinding[];
}

/**
 * Holds the stated watts against what the unit is built of: fuse, inlet, cable, switch, thyristor and
 * reservoir each let only so much through. Currents count at the highest mains voltage of the plate,
 * so that a bound is never too tight. FORMULAS 2.3 to 2.6 and 2.8.
 * @example checkClaims(plate, 2500, { fuse: 5 }).plausible // 892 W behind 5 A at 230 V
 */
export function checkClaims(
  plate: Nameplate,
  claimed: number | undefined,
  found: PowerBounds,
  kind?: UnitKindName,
): ClaimCheck {
  const supply = supplyOf(plate);
  if (!supply) return { bounds: [], findings: [] };
  const { efficiency, factor, corrected } = assumed(supply.kind, claimed ?? 0, kind === 'lamp-driver');
  const through = (amperes: number, share = 1) => supply.vMax * amperes * share * factor * efficiency;
  const lowMains = supply.vMax < 150;
  const inlet = found.inlet && INLETS[found.inlet];
  const cable = found.cable && [...CABLE_AMPERES].reverse().find(({ area }) => area <= (found.cable ?? 0) * 1.001);
  const perWatt = corrected ? BULK_PER_WATT.corrected : supply.vMin < 150 ? BULK_PER_WATT.wide : BULK_PER_WATT.highOnly;
  const bounds = [
    found.fuse && { by: `a ${amps(found.fuse)} fuse`, watts: through(found.fuse, FUSE_SHARE) },
    inlet && { by: `a ${inlet.label} inlet`, watts: through(lowMains ? inlet.atLowMains : inlet.amperes) },
    cable && { by: `a ${Number((cable.area * 1e6).toPrecision(3))} mm² cable`, watts: through(cable.amperes) },
    found.switch && { by: `a ${amps(found.switch)} switch`, watts: through(found.switch) },
    found.thyristor && {
      by: `a ${amps(found.thyristor)} thyristor on a good fin`,
      watts: supply.vMax * found.thyristor,
    },
    found.bulk &&
      supply.kind === 'ac' && {
        by: `a reservoir of ${formatQuantity(found.bulk, 'farad')}`,
        watts: (found.bulk / perWatt) * efficiency,
      },
  ].filter((bound): bound is { by: string; watts: number } => typeof bound === 'object');
  const tightest = [...bounds].sort((a, b) => a.watts - b.watts)[0];
  if (!tightest) return { bounds, findings: [] };
  return {
    plausible: tightest.watts,
    bounds,
    findings: claimed === undefined ? [] : [finding(claimed, tightest), ...bareThyristor(claimed, found, supply.vMax)],
  };
}

function finding(claimed: number, { by, watts }: { by: string; watts: number }): NameplateFinding {
  const ratio = claimed / watts;
  const message = `${formatQuantity(claimed, 'watt', { digits: 2 })} behind ${by}, which stands for about ${formatQuantity(watts, 'watt', { digits: 2 })}`;
  if (ratio > AGREEMENT.unbelievable)
    return {
      rule: 'bounds',
      severity: 'reject',
      text: `${message}: the claim is not to be believed. Reckon with the smaller figure.`,
    };
  if (ratio > AGREEMENT.optimistic)
    return { rule: 'bounds', severity: 'warn', text: `${message}: the claim is optimistic.` };
  return { rule: 'bounds', severity: 'ok', text: `${message}: the claim fits.` };
}

/**
 * A thyristor without a heat sink, whatever its case current says: what leaves a bare TO-220 by air at
 * 85 K above the room, over its drop of about 1.1 V. FORMULAS 2.5, check F2-10; common practice, no source.
 */
const BARE_THYRISTOR = { risePermitted: 85, kelvinPerWatt: 60, drop: 1.1 } as const;

function bareThyristor(claimed: number, { thyristor }: PowerBounds, volts: number): NameplateFinding[] {
  if (thyristor === undefined) return [];
  const free = BARE_THYRISTOR.risePermitted / BARE_THYRISTOR.kelvinPerWatt / BARE_THYRISTOR.drop;
  const watts = volts * Math.min(thyristor, free);
  return watts >= claimed
    ? []
    : [
        {
          rule: 'bounds',
          severity: 'note',
          text: `Without a heat sink a thyristor passes about ${formatQuantity(watts, 'watt', { digits: 2 })}, whatever its current rating says.`,
        },
      ];
}

const amps = (value: number) => formatQuantity(value, 'ampere');

function assumed(kind: 'ac' | 'dc', power: number, lighting: boolean) {
  const corrected = kind === 'ac' && isCorrected(power, lighting);
  return {
    corrected,
    efficiency: power >= 100 ? ASSUMED_EFFICIENCY.fromHundredWatts : ASSUMED_EFFICIENCY.usual,
    factor: kind === 'dc' ? 1 : corrected ? POWER_FACTOR.withCorrection : POWER_FACTOR.withoutCorrection,
  };
}
