import { shareUsed, USED_VOLTS } from '../derating';
import { expectedEsr } from '../measure';
import { caseHeat, fetLosses } from '../thermal';
import type { Demand } from './point';
import { reflected, rippleOf } from './point';
import { RULES } from './rules';
import { isPaired, type DesignLot } from './spec';
import { coreHeat } from './wound';

/** What a part is put under, beside what it stands. */
export interface Stress {
  readonly name: string;
  readonly value: number;
  readonly rating: number;
  readonly unit: 'volt' | 'ampere';
  /** Of the rating; and what is usual at most. */
  readonly share: number;
  readonly usual: number;
}

/** A lot in its role: what it costs and is put under. */
export interface Fit {
  readonly lot: DesignLot;
  /** Pieces side by side. */
  readonly count: number;
  readonly watts: number;
  /** Of its junction or core, without a heat sink where it needs none. */
  readonly celsius?: number;
  /** Kelvin per watt of the heat sink it needs. */
  readonly sink?: number;
  readonly stresses: readonly Stress[];
  readonly notes: readonly string[];
  /** In per cent of the output power, with what counts against it. */
  readonly cost: number;
}

export const stress = (name: string, value: number, rating: number, unit: Stress['unit'], usual: number): Stress => ({
  name,
  value,
  rating,
  unit,
  share: value / rating,
  usual,
});

/** A fit with its cost; nothing where a rating is exceeded. */
export function fit(demand: Demand, of: Omit<Fit, 'cost'>): Fit | undefined {
  if (of.stresses.some(({ share }) => share >= 1)) return undefined;
  const power = demand.point.output * demand.point.current;
  const limits = of.stresses.filter(({ share, usual }) => share > usual).length + of.notes.length;
  const { costs } = RULES;
  return {
    ...of,
    cost:
      (100 * of.watts) / power +
      costs.part * of.count +
      (of.lot.winding ? costs.wind * of.count : 0) +
      costs.limit * limits +
      (of.sink === undefined ? 0 : costs.sink),
  };
}

const heatOf = (lot: DesignLot, watts: number, ambient: number): Pick<Fit, 'celsius' | 'sink'> | undefined =>
  caseHeat({ package: lot.package, watts, ambient });

/** A choke carries its peak without saturating. */
export function chokeFit(demand: Demand, lot: DesignLot): Fit | undefined {
  const { saturation, current, dcr } = lot.ratings;
  const stands = saturation ?? current;
  if (stands === undefined || demand.swing > RULES.swing.most || demand.swing < RULES.swing.least) return undefined;
  const ohms = dcr ?? RULES.dcrUnknown;
  // A SEPIC and a Ćuk want two alike.
  const count = isPaired(demand.point.topology) ? 2 : 1;
  if (lot.pieces < count) return undefined;
  const copper = demand.chokeRms ** 2 * ohms;
  const core = lot.winding && coreHeat(demand, lot.winding, copper);
  if (lot.winding && !core) return undefined;
  return fit(demand, {
    lot,
    count,
    watts: count * (copper + (core?.watts ?? 0)),
    ...(core ? { celsius: core.celsius } : {}),
    stresses: [
      stress('peak current', demand.peak, stands, 'ampere', RULES.saturation),
      ...(current === undefined ? [] : [stress('rms current', demand.chokeRms, current, 'ampere', 1)]),
    ],
    notes: [
      ...(saturation === undefined ? ['where it saturates is not known'] : []),
      ...(dcr === undefined ? ['its resistance is not known'] : []),
    ],
  });
}

/** Leakage of a transformer seen at its primary, henry: by its coupling, else as is usual. */
export const strayOf = ({ inductance = 0, coupling }: DesignLot['ratings']): number =>
  coupling === undefined ? RULES.transformer.leakage * inductance : (1 - coupling ** 2) * inductance;

/** What clamps the leakage of a flyback: volts over the input, watts, and the resistor and capacitor that take them. */
export function clampOf({ point, peak }: Demand, ratings: DesignLot['ratings']) {
  const { clamp } = RULES.transformer;
  const volts = clamp * reflected(point);
  // ½·Lk·Ip²·f, and more as the clamp stands near what the output reflects.
  const watts = 0.5 * strayOf(ratings) * peak ** 2 * point.frequency * (clamp / (clamp - 1));
  const ohms = volts ** 2 / watts;
  // It discharges over twenty periods.
  return { volts, watts, ohms, farads: 20 / (ohms * point.frequency) };
}

/**
 * A transformer stores what a flyback hands over: its primary carries the peak without saturating. What its leakage holds is burnt in
 * the clamp: ½·Lk·Ip²·f, and more as the clamp stands near what the output reflects.
 */
export function transformerFit(demand: Demand, lot: DesignLot): Fit | undefined {
  const { inductance, saturation, current, dcr, coupling } = lot.ratings;
  const stands = saturation ?? current;
  if (inductance === undefined || stands === undefined) return undefined;
  const { winding } = lot;
  const copper = winding?.secondary
    ? demand.chokeRms ** 2 * winding.primary.ohms + demand.rectifierRms ** 2 * winding.secondary.ohms
    : // The secondary is taken to lose as much as the primary.
      2 * demand.chokeRms ** 2 * (dcr ?? RULES.dcrUnknown);
  const core = winding && coreHeat(demand, winding, copper);
  if (winding && !core) return undefined;
  return fit(demand, {
    lot,
    count: 1,
    watts: copper + (core?.watts ?? 0) + clampOf(demand, lot.ratings).watts,
    ...(core ? { celsius: core.celsius } : {}),
    stresses: [stress('peak current', demand.peak, stands, 'ampere', RULES.saturation)],
    notes: [
      winding
        ? 'wound by hand it keeps two low voltages apart, and is no barrier to the mains'
        : 'isolated as its maker wound it, and no better: test its winding first',
      ...(saturation === undefined ? ['where it saturates is not known'] : []),
      ...(coupling === undefined ? ['its leakage is not known: 2 % of its primary is taken'] : []),
    ],
  });
}

/** A FET stands the volts, carries the current and gets rid of its heat. */
export function switchFit(demand: Demand, lot: DesignLot): Fit | undefined {
  const { vds, rdsOn, id, qg, coss } = lot.ratings;
  if (vds === undefined || rdsOn === undefined || id === undefined) return undefined;
  // What the gate takes is lost in its driver.
  const { own, gate } = fetLosses({
    rms: demand.switchRms,
    peak: demand.switchPeak,
    ohms: rdsOn,
    rated: vds,
    volts: demand.switchVolts,
    frequency: demand.point.frequency,
    charge: qg,
    outputCapacitance: coss,
  });
  const heat = heatOf(lot, own, demand.point.ambient);
  return (
    heat &&
    fit(demand, {
      lot,
      count: 1,
      watts: own + gate,
      ...heat,
      stresses: [
        stress('voltage', demand.switchVolts, vds, 'volt', USED_VOLTS.mosfet),
        stress('rms current', demand.switchRms, id, 'ampere', RULES.fetRms),
      ],
      notes: [],
    })
  );
}

const isSchottky = ({ technology = '' }: DesignLot) => /schottky/iu.test(technology);
const isFast = (lot: DesignLot) => isSchottky(lot) || /ultrafast|fast|recovery/iu.test(lot.technology ?? '');

/** A rectifier is fast enough, stands the volts and carries the mean current. */
export function rectifierFit(demand: Demand, lot: DesignLot): Fit | undefined {
  const { vrrm, ifav, vf, recovery } = lot.ratings;
  if (vrrm === undefined || ifav === undefined || !(isFast(lot) || (recovery ?? Infinity) < 100e-9)) return undefined;
  // What a meter reads in diode mode is at a milliampere: under load it drops more.
  const drop = Math.max(vf ?? 0, isSchottky(lot) ? RULES.drops.rectifier : RULES.drops.fast);
  const charge = isSchottky(lot) ? RULES.recovery.schottky : RULES.recovery.fast;
  const watts = drop * demand.rectifierMean + charge * demand.rectifierVolts * demand.point.frequency;
  const heat = heatOf(lot, watts, demand.point.ambient);
  return (
    heat &&
    fit(demand, {
      lot,
      count: 1,
      watts,
      ...heat,
      stresses: [
        stress(
          'reverse voltage',
          demand.rectifierVolts,
          vrrm,
          'volt',
          isSchottky(lot) ? USED_VOLTS.schottky : USED_VOLTS.diode,
        ),
        stress('mean current', demand.rectifierMean, ifav, 'ampere', RULES.rectifierMean),
      ],
      notes: [],
    })
  );
}

/** A capacitor that the power goes through: film or ceramic, with little ripple of volts across it. */
export function linkFit(demand: Demand, lot: DesignLot, count: number): Fit | undefined {
  const { capacitance, voltage, ripple } = lot.ratings;
  if (capacitance === undefined || voltage === undefined || lot.pieces < count) return undefined;
  const { linkVolts, linkRms, point } = demand;
  const moved = Math.max(...point.at.map(({ duty }) => duty * point.current)) / point.frequency;
  const isCeramic = /ceramic/iu.test(lot.technology ?? '');
  const farads = capacitance * count * (isCeramic ? RULES.link.ceramic : 1);
  if (moved / farads > RULES.link.swing * linkVolts) return undefined;
  const esr = lot.ratings['esr'] ?? RULES.link.ohms;
  const amperes = linkRms / count;
  return fit(demand, {
    lot,
    count,
    watts: count * amperes ** 2 * esr,
    stresses: [
      stress('voltage', linkVolts, voltage, 'volt', shareUsed({ kind: 'capacitor', technology: lot.technology ?? '' })),
      stress('ripple current', amperes, ripple ?? RULES.link.amperes, 'ampere', USED_VOLTS.can),
    ],
    notes: [
      ...(ripple === undefined ? ['what ripple current it stands is not known: feel it after a minute'] : []),
      ...(isCeramic ? ['counted with half its capacitance, as its DC takes the rest'] : []),
    ],
  });
}

/** Cans side by side take the ripple current, and keep the ripple of the output where that is asked. */
export function bankFit(
  demand: Demand,
  lot: DesignLot,
  of: { readonly at: 'output' | 'input'; readonly count: number },
): Fit | undefined {
  const { capacitance, voltage, ripple } = lot.ratings;
  const { count, at } = of;
  if (capacitance === undefined || voltage === undefined || lot.pieces < count || capacitance <= 0) return undefined;
  const esr = lot.ratings['esr'] ?? expectedEsr({ capacitance, voltage });
  const volts = at === 'output' ? demand.point.output : demand.point.inputHigh;
  const amperes = (at === 'output' ? demand.outputRms : demand.inputRms) / count;
  if (at === 'output' && rippleOf(demand, capacitance * count, esr / count) > demand.point.ripple) return undefined;
  return fit(demand, {
    lot,
    count,
    watts: count * amperes ** 2 * esr,
    stresses: [
      stress('voltage', volts, voltage, 'volt', USED_VOLTS.can),
      stress('ripple current', amperes, ripple ?? Math.sqrt(RULES.canHeat / esr), 'ampere', USED_VOLTS.can),
    ],
    notes: lot.ratings['esr'] === undefined ? ['its ESR is that of its kind: measure it'] : [],
  });
}
