import { MAINS_SUPPLY, reflectedTo } from '../converter';
import type { RoleName } from '../diagnose';
import { practice } from '../evidence';
import { expectedEsr } from '../measure';
import { reservoirValley } from '../nameplate';
import { fetLosses, JUNCTION_GOOD, onGrowth } from '../thermal';
import type { RolePart, Subject } from './subject';

/** What is taken where a board does not say it; common practice, no source. */
const USUAL = practice({
  mains: 230,
  line: 50,
  /** Bulk in farads per watt where none is logged. */
  bulk: 1.5e-6,
  drops: { bridge: 0.9, schottky: 0.5, fast: 1 },
  /** Share of its cold ohms that an NTC has when it is warm. */
  ntc: 1 / 15,
});

/** Where a unit turns power into heat. */
export const LOSS_PLACES = ['switch', 'rectifier', 'outputCans', 'inlet', 'startUp'] as const;
export type LossPlace = (typeof LOSS_PLACES)[number];

/** Roles that a place is about. */
export const PLACE_ROLES: Readonly<Record<LossPlace, readonly RoleName[]>> = {
  switch: ['mainSwitch'],
  rectifier: ['syncFet', 'outputRectifier'],
  outputCans: ['outputCapacitor'],
  inlet: ['ntc', 'bridge'],
  startUp: ['startUp'],
};

/** Watts lost at a place of every 100 W that a unit delivers at full load from 230 V, and what they were worked out from. */
export interface Loss {
  readonly watts: number;
  readonly from: string;
  /** Of a switch: what its resistance takes of it; the rest is lost while it switches. */
  readonly conduction?: number;
}

interface Running {
  /** Amperes at the output, and in one watt of 100 of it how much that is. */
  readonly current: number;
  readonly scale: number;
  readonly valley: number;
  readonly duty: number;
  readonly peak: number;
  readonly secondaryRms: number;
}

/** How a flyback of this plate runs at full load, at the edge of emptying its core. */
function running(subject: Subject): Running | undefined {
  const { volts, watts, roles } = subject;
  if (!volts || !watts || !subject.isFedFromMains) return undefined;
  const current = watts / volts;
  const bulk = roles.bulk?.reduce((sum, { ratings }) => sum + (ratings['capacitance'] ?? 0), 0) || USUAL.bulk * watts;
  const power = watts / MAINS_SUPPLY.efficiency;
  // Behind a power factor stage the volts do not follow the mains.
  const valley = isCorrected(subject)
    ? MAINS_SUPPLY.bus
    : reservoirValley({ power, capacitance: bulk, volts: USUAL.mains, hertz: USUAL.line });
  const rated = roles.mainSwitch?.[0]?.ratings['vds'] ?? 0;
  const reflected = reflectedTo(rated);
  const duty = reflected / (reflected + valley);
  const peak = (2 * power) / (valley * duty);
  const turns = reflected / (volts + USUAL.drops.schottky);
  return {
    current,
    scale: 100 / watts,
    valley,
    duty,
    peak,
    secondaryRms: peak * turns * Math.sqrt((1 - duty) / 3),
  };
}

const isCorrected = ({ topologies, roles }: Subject) =>
  (roles.pfcSwitch?.length ?? 0) > 0 || topologies.some((one) => one.includes('pfc'));
const isFlyback = ({ topologies }: Subject) =>
  topologies.length === 0 || topologies.some((one) => one.includes('flyback'));
const first = (subject: Subject, role: RoleName): RolePart | undefined => subject.roles[role]?.[0];

/** What a unit loses at each place, where its parts say it; a flyback on the mains for the switch, any unit for the rest. */
export function lossesOf(subject: Subject): Readonly<Partial<Record<LossPlace, Loss>>> {
  const run = running(subject);
  if (!run) return {};
  const { current, scale } = run;
  const found: Partial<Record<LossPlace, Loss>> = {};
  const set = (place: LossPlace, watts: number, from: string, conduction?: number) => {
    if (Number.isFinite(watts))
      found[place] = {
        watts: watts * scale,
        from,
        ...(conduction === undefined ? {} : { conduction: conduction * scale }),
      };
  };
  const fet = first(subject, 'mainSwitch');
  const { rdsOn, vds } = fet?.ratings ?? {};
  if (fet && rdsOn && vds && isFlyback(subject)) {
    const rms = run.peak * Math.sqrt(run.duty / 3);
    const { own } = fetLosses({
      rms,
      peak: run.peak,
      ohms: rdsOn,
      rated: vds,
      volts: run.valley,
      frequency: MAINS_SUPPLY.flyback,
      charge: fet.ratings['qg'],
      outputCapacitance: fet.ratings['coss'],
    });
    const conduction = rms ** 2 * rdsOn * onGrowth({ rating: vds, celsius: JUNCTION_GOOD });
    set('switch', own, `${fet.ref} of ${rdsOn} ohm at ${rms.toFixed(2)} A rms`, conduction);
  }
  const sync = first(subject, 'syncFet');
  const diode = first(subject, 'outputRectifier');
  if (sync?.ratings['rdsOn']) {
    const { rdsOn: ohms = 0, vds: rated = 60 } = sync.ratings;
    set(
      'rectifier',
      run.secondaryRms ** 2 * ohms * onGrowth({ rating: rated, celsius: JUNCTION_GOOD }),
      `${sync.ref} of ${ohms} ohm`,
    );
  } else if (diode) {
    const drop = dropOf(diode);
    set('rectifier', drop * current, `${diode.ref} drops ${drop} V at ${current.toFixed(1)} A`);
  }
  const cans = subject.roles.outputCapacitor ?? [];
  const conductance = cans.reduce((sum, can) => sum + 1 / esrOf(can), 0);
  if (conductance > 0 && isFlyback(subject))
    set(
      'outputCans',
      Math.max(0, run.secondaryRms ** 2 - current ** 2) / conductance,
      `${cans.map(({ ref }) => ref).join(' ')} of ${(1e3 / conductance).toFixed(0)} mohm together`,
    );
  const power = 1 / (scale / 100) / MAINS_SUPPLY.efficiency;
  const cold = first(subject, 'ntc')?.ratings['r25'] ?? first(subject, 'ntc')?.ratings['resistance'];
  if (subject.roles.bridge?.length || cold !== undefined) {
    const drawn = power / USUAL.mains / MAINS_SUPPLY.lineFactor[isCorrected(subject) ? 'corrected' : 'plain'];
    set(
      'inlet',
      (2 * USUAL.drops.bridge * power) / run.valley + (cold ?? 0) * USUAL.ntc * drawn ** 2,
      cold === undefined ? 'two diodes of its bridge' : `two diodes of its bridge, and an NTC of ${cold} ohm cold`,
    );
  }
  const start = subject.roles.startUp?.reduce((sum, { ratings }) => sum + (ratings['resistance'] ?? 0), 0) ?? 0;
  if (start > 0)
    set(
      'startUp',
      run.valley ** 2 / start,
      `${(start / 1e3).toFixed(0)} kohm across ${run.valley.toFixed(0)} V, day and night`,
    );
  return found;
}

/** Volts that a rectifier drops under load: what a meter reads in diode mode is at a milliampere, so it is at least what its kind drops. */
export function dropOf({ ratings, subtype }: RolePart): number {
  const usual = /schottky/iu.test(subtype) ? USUAL.drops.schottky : USUAL.drops.fast;
  return ratings['vf'] !== undefined && ratings['vf'] > 0.3 ? ratings['vf'] : usual;
}

const esrOf = ({ ratings }: RolePart): number =>
  ratings['esr'] ?? expectedEsr({ capacitance: ratings['capacitance'] ?? 470e-6, voltage: ratings['voltage'] ?? 25 });
