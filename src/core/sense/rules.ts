import { PRACTICE, practice } from '../evidence';
import type { BlockName, DutyName, KindName, RatingName } from '../part';
import { formatQuantity, type Unit } from '../quantity';
import type { UnitStress } from './unit';

/** A part as far as the check needs it. */
export interface PlacedPart {
  readonly kind: KindName;
  readonly subtype?: string | null | undefined;
  readonly technology?: string | null | undefined;
  readonly block?: BlockName | null | undefined;
  readonly duty?: DutyName | null | undefined;
  readonly ratings: Readonly<Partial<Record<RatingName, number>>>;
}

/** A sentence on what does not fit, and how bad it is. */
export interface Misfit {
  /** `wrong`: either the reading or the place is wrong. `tight`: it may hold, look again. */
  readonly severity: 'wrong' | 'tight';
  readonly rule: string;
  readonly message: string;
}

export interface SenseRule {
  readonly name: string;
  /** What the rule rests on. */
  readonly source: string;
  check(part: PlacedPart, unit: UnitStress): Omit<Misfit, 'rule'> | undefined;
}

const show = (value: number, unit: Unit) => formatQuantity(value, unit, { digits: 3 });
const volts = (value: number) => show(value, 'volt');

const onMains = (block: PlacedPart['block']) =>
  block === 'input' || block === 'pfc' || block === 'switch' || block === 'standby';
const wrong = (message: string) => ({ severity: 'wrong' as const, message });
const tight = (message: string) => ({ severity: 'tight' as const, message });

/** Usual ratings of a mains switch over the rectified peak, by topology. */
const SWITCH_OVER_PEAK: Readonly<Record<string, number>> = practice({
  flyback: 1.5,
  'rcc-flyback': 1.5,
  forward: 2,
  'push-pull': 2,
  'half-bridge': 1.1,
  'full-bridge': 1.1,
  'llc-half-bridge': 1.1,
  'two-switch-forward': 1.1,
  'two-switch-flyback': 1.1,
});
/** Reverse voltage of an output rectifier over the output, by topology: the least that is met. */
const REVERSE_OVER_OUTPUT: Readonly<Record<string, number>> = practice({
  flyback: 2,
  'rcc-flyback': 2,
  forward: 3.5,
  'two-switch-forward': 3.5,
  'half-bridge': 3.5,
  'full-bridge': 3,
  'push-pull': 3.5,
  'llc-half-bridge': 2,
});
const REVERSE_UNKNOWN = 2;
/** A capacitor is run at up to this share of its rating. */
const CAPACITOR_SHARE = practice(0.9);
/** From this current a glass fuse cannot break a mains short. Common practice; its breaking capacity is IEC 60127-2, from memory. */
const GLASS_UP_TO = 5;
const GLASS_BREAKS_LESS = 100;

/** Usual values of a duty: the least and the most in SI units. */
const USUAL: Readonly<
  Partial<Record<DutyName, { resistance?: readonly [number, number]; capacitance?: readonly [number, number] }>>
> = practice({
  clamp: { resistance: [10e3, 1e6], capacitance: [220e-12, 22e-9] },
  snubber: { resistance: [1, 470], capacitance: [47e-12, 100e-9] },
  sense: { resistance: [0.01, 20] },
  gate: { resistance: [1, 470] },
  'start-up': { resistance: [30e3, 5e6] },
  bleeder: { resistance: [47e3, 5e6] },
});

/** Checks of a part against its place. */
export const SENSE_RULES: readonly SenseRule[] = [
  {
    name: 'mains-switch-voltage',
    source: `${PRACTICE}; the peak of the mains is arithmetic`,
    check({ kind, block, ratings }, { input, topology }) {
      const held = ratings.vds ?? ratings.vces ?? ratings.vceo;
      if (!['nmos', 'igbt', 'npn', 'pnp'].includes(kind) || held === undefined || input?.kind !== 'ac')
        return undefined;
      if (block !== 'switch' && block !== 'pfc') return undefined;
      const peak = block === 'pfc' ? Math.max(input.peak, 400) : input.peak;
      if (held < peak)
        return wrong(`As the switch it must stand at least ${volts(peak)}; ${volts(held)} is far too little.`);
      const usual = input.peak * (SWITCH_OVER_PEAK[topology ?? ''] ?? 1.1);
      return held < usual
        ? tight(`It stands ${volts(held)}; a switch here is usually rated ${volts(usual)} or more.`)
        : undefined;
    },
  },
  {
    name: 'mains-capacitor-voltage',
    source: `${PRACTICE}; the peak of the mains is arithmetic`,
    check({ kind, subtype, block, duty, ratings }, { input }) {
      const { voltage, capacitance = 0 } = ratings;
      if (kind !== 'capacitor' || input?.kind !== 'ac' || voltage === undefined) return undefined;
      if (block !== 'input' || capacitance < 1e-6 || duty || subtype?.startsWith('x') || subtype?.startsWith('y'))
        return undefined;
      const peak = input.volts * Math.SQRT2;
      if (voltage >= peak) return undefined;
      return voltage * 2 >= peak && voltage >= 160
        ? tight(`The rectified mains reaches ${volts(peak)}: ${volts(voltage)} holds only as one of two in series.`)
        : wrong(`The rectified mains reaches ${volts(peak)}; a bulk capacitor of ${volts(voltage)} would burst.`);
    },
  },
  {
    name: 'output-capacitor-voltage',
    source: PRACTICE,
    check({ kind, block, ratings }, { outputs }) {
      const { voltage, capacitance = 0 } = ratings;
      const [lowest] = outputs;
      const highest = outputs.at(-1);
      if (kind !== 'capacitor' || block !== 'secondary' || voltage === undefined || !lowest || !highest)
        return undefined;
      if (capacitance < 1e-6) return undefined;
      if (voltage < lowest.volts)
        return wrong(`The lowest rail is ${volts(lowest.volts)}; a capacitor of ${volts(voltage)} cannot stand on it.`);
      return outputs.length === 1 && voltage * CAPACITOR_SHARE < highest.volts
        ? tight(`${volts(voltage)} on a rail of ${volts(highest.volts)} leaves almost nothing to spare.`)
        : undefined;
    },
  },
  {
    name: 'output-rectifier-voltage',
    source: `${PRACTICE}; the stress follows from the topology`,
    check({ kind, block, subtype, technology, ratings }, { outputs, topology }) {
      const { vrrm } = ratings;
      const [lowest] = outputs;
      if ((kind !== 'diode' && kind !== 'dual-diode') || block !== 'secondary' || vrrm === undefined || !lowest)
        return undefined;
      const least = lowest.volts * (REVERSE_OVER_OUTPUT[topology ?? ''] ?? REVERSE_UNKNOWN);
      const isSchottky = (subtype ?? technology) === 'schottky';
      const where = `On ${outputs.length > 1 ? 'even the lowest rail, ' : ''}${volts(lowest.volts)}`;
      if (vrrm < least)
        return wrong(
          `${where}${topology ? ` of a ${topology} stage` : ''} it must block about ${volts(least)} and more; ${volts(vrrm)} is too little.`,
        );
      return isSchottky && outputs.length === 1 && vrrm < lowest.volts * 3 && topology === undefined
        ? tight(`${where} a Schottky of ${volts(vrrm)} fits a flyback, and fails behind a forward converter.`)
        : undefined;
    },
  },
  {
    name: 'output-rectifier-current',
    source: PRACTICE,
    check({ kind, block, ratings }, { outputs }) {
      const { ifav } = ratings;
      const least = outputs.length === 1 ? outputs[0]?.current : undefined;
      if ((kind !== 'diode' && kind !== 'dual-diode') || block !== 'secondary' || ifav === undefined || !least)
        return undefined;
      return ifav < least / 2
        ? wrong(`The output gives ${show(least, 'ampere')}; a rectifier of ${show(ifav, 'ampere')} cannot carry it.`)
        : ifav < least
          ? tight(
              `The output gives ${show(least, 'ampere')}: with ${show(ifav, 'ampere')} there must be another beside it.`,
            )
          : undefined;
    },
  },
  {
    name: 'synchronous-rectifier-voltage',
    source: PRACTICE,
    check({ kind, block, ratings }, { outputs }) {
      const [lowest] = outputs;
      if (kind !== 'nmos' || block !== 'secondary' || ratings.vds === undefined || !lowest) return undefined;
      return ratings.vds < lowest.volts * 2
        ? wrong(
            `As a rectifier on ${volts(lowest.volts)} it must block ${volts(lowest.volts * 2)} or more; ${volts(ratings.vds)} is too little.`,
          )
        : undefined;
    },
  },
  {
    name: 'mains-bridge-voltage',
    source: `${PRACTICE}; the peak of the mains is arithmetic`,
    check({ kind, block, ratings }, { input }) {
      if ((kind !== 'bridge' && kind !== 'diode') || block !== 'input' || ratings.vrrm === undefined) return undefined;
      if (input?.kind !== 'ac') return undefined;
      if (ratings.vrrm < input.peak)
        return wrong(`The mains reaches ${volts(input.peak)}; a rectifier of ${volts(ratings.vrrm)} cannot block it.`);
      return ratings.vrrm < 600 && input.volts > 200
        ? tight(`Rectifiers on this mains are usually rated 600 V or more; this reads ${volts(ratings.vrrm)}.`)
        : undefined;
    },
  },
  {
    name: 'mains-rectifier-technology',
    source: `a silicon Schottky blocks 250 V at most; ${PRACTICE}`,
    check({ kind, block, subtype, technology }, { input }) {
      return (kind === 'diode' || kind === 'dual-diode') &&
        input?.kind === 'ac' &&
        onMains(block) &&
        (subtype ?? technology) === 'schottky'
        ? wrong('No silicon Schottky stands on the mains side.')
        : undefined;
    },
  },
  {
    name: 'mains-fuse-breaking',
    source: 'IEC 60127-2, from memory: a glass fuse breaks 35 A or ten times its rating',
    check({ kind, block, ratings }, { input }) {
      const { current, breaking } = ratings;
      if (kind !== 'fuse' || (block !== 'input' && block) || input?.kind !== 'ac' || current === undefined)
        return undefined;
      if (input.current !== undefined && current < input.current * 0.8)
        return wrong(
          `The plate says ${show(input.current, 'ampere')}; a fuse of ${show(current, 'ampere')} would open at once.`,
        );
      return breaking !== undefined && breaking < GLASS_BREAKS_LESS && current >= GLASS_UP_TO
        ? wrong(
            `A fuse of ${show(current, 'ampere')} at a mains input has to break a short circuit of hundreds of amperes; this one breaks ${show(breaking, 'ampere')}. Expect a sand-filled one (H, 1500 A).`,
          )
        : undefined;
    },
  },
  {
    name: 'mains-fuse-voltage',
    source: PRACTICE,
    check({ kind, block, ratings }, { input }) {
      if (kind !== 'fuse' || (block !== 'input' && block) || input?.kind !== 'ac' || ratings.voltage === undefined)
        return undefined;
      return ratings.voltage < Math.min(input.volts, 250)
        ? wrong(`A fuse for ${volts(ratings.voltage)} does not break ${volts(input.volts)} mains.`)
        : undefined;
    },
  },
  {
    name: 'mains-varistor-voltage',
    source: 'largest continuous AC volts are 0.64 of the volts at 1 mA; practice tables, from memory',
    check({ kind, block, ratings }, { input }) {
      if (kind !== 'varistor' || (block !== 'input' && block) || input?.kind !== 'ac' || ratings.vn === undefined)
        return undefined;
      const continuous = ratings.vn * 0.64;
      return continuous < input.volts * 0.98
        ? wrong(`${volts(ratings.vn)} at 1 mA stands ${volts(continuous)} AC; this mains is ${volts(input.volts)}.`)
        : undefined;
    },
  },
  {
    name: 'mains-class-voltage',
    source: 'IEC 60384-14, from memory',
    check({ kind, subtype, ratings }, { input }) {
      const isClass = subtype !== null && subtype !== undefined && /^[xy][124]$/.test(subtype);
      if (kind !== 'capacitor' || !isClass || input?.kind !== 'ac' || ratings.voltage === undefined) return undefined;
      return ratings.voltage < Math.min(input.volts, 250)
        ? wrong(`An ${subtype.toUpperCase()} capacitor on ${volts(input.volts)} mains is rated 250 V AC at least.`)
        : undefined;
    },
  },
  {
    name: 'duty-value',
    source: PRACTICE,
    check({ kind, duty, ratings }) {
      const usual = duty ? USUAL[duty] : undefined;
      const name = kind === 'resistor' ? 'resistance' : kind === 'capacitor' ? 'capacitance' : undefined;
      const range = name && usual?.[name];
      const value = name && ratings[name];
      if (!range || value === undefined || value <= 0 || !name) return undefined;
      const [least, most] = range;
      const decades = value < least ? Math.log10(least / value) : value > most ? Math.log10(value / most) : 0;
      const unit: Unit = name === 'resistance' ? 'ohm' : 'farad';
      const message = `${duty} parts are usually ${show(least, unit)} to ${show(most, unit)}; ${show(value, unit)} is ${decades >= 1 ? `${decades.toFixed(decades < 2 ? 1 : 0)} decades` : 'just'} outside.`;
      if (decades === 0) return undefined;
      return decades >= 1 ? wrong(`As a ${message}`) : tight(`As a ${message}`);
    },
  },
];
