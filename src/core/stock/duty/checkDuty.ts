import { shareUsed, VOLTS } from '../../derating';
import { practice, type Evidenced } from '../../evidence';
import { expectedEsr } from '../../measure';
import { RATINGS, type KindName, type RatingName } from '../../part';
import { formatQuantity, type Unit } from '../../quantity';
import { caseHeat, fetLosses, JUNCTION_GOOD, onGrowth } from '../../thermal';
import type { MatchCheck } from '../matchCheck';
import type { Duty } from './duty';

/** What a check of a duty is about. */
export type DutyCheckName =
  | 'voltage'
  | 'AC voltage'
  | 'current'
  | 'pulse'
  | 'speed'
  | 'gate'
  | 'ripple'
  | 'heat'
  | 'temperature'
  | 'power'
  | 'tab';

/** A part as a duty sees it. */
export interface DutyPart {
  readonly kind: KindName;
  readonly subtype?: string | null;
  readonly technology?: string | null;
  readonly package?: string | null;
  readonly ratings: Partial<Record<RatingName, Evidenced>>;
}

const RULES = practice({
  ambient: 40,
  /** The rating that says the current a kind carries, and the share of it that is used for good. */
  amperes: {
    nmos: ['id', 0.5],
    pmos: ['id', 0.5],
    igbt: ['ic', 0.5],
    npn: ['ic', 0.5],
    pnp: ['ic', 0.5],
    diode: ['ifav', 0.7],
    'dual-diode': ['ifav', 0.7],
    bridge: ['ifav', 0.7],
    triac: ['itRms', 0.5],
    scr: ['itRms', 0.5],
    regulator: ['iout', 0.8],
    inductor: ['current', 0.9],
    fuse: ['current', 0.75],
    relay: ['current', 0.8],
    connector: ['current', 0.8],
    thermistor: ['current', 0.9],
  } as Partial<Record<KindName, readonly [RatingName, number]>>,
  saturation: 0.85,
  /** Peaks now and then, against the current for good: of a FET, of a rectifier. */
  peaks: { fet: 3, rectifier: 10 },
  /** A rectifier recovers within so much of a period, at best and at most; hertz up to which each kind works. */
  recovery: { good: 0.01, most: 0.02 },
  works: {
    rectifier: 1e3,
    fast: 60e3,
    ultrafast: 400e3,
    schottky: 2e6,
    igbt: [20e3, 50e3],
    bipolar: [30e3, 80e3],
    triac: 400,
  },
  /** Volts that turn a FET on fully; one that asks more than this threshold is none for 5 V. */
  gate: { full: 9, low: 5.5, threshold: 2.2, most: 18 },
  /** Watts that a can turns into heat for good where its ripple current is not known. */
  canHeat: 0.25,
  /** Kelvin under its class that a can is kept. */
  cooler: 15,
  ripple: 0.9,
  /** A resistor is used to half its watts; it carries less from 70 °C on, none at 155 °C. */
  resistor: { share: 0.5, from: 70, none: 155 },
  drops: { schottky: 0.55, other: 1 },
  /** Peak of a switch for its rms current, at the usual on-time of a half. */
  peakOfRms: 1.6,
});

const q = (value: number, unit: Unit) => formatQuantity(value, unit, { digits: 3 });

/**
 * What a part is put under, held against what it stands, check by check: with room after derating it fits, without room it may be
 * used with care, beyond its rating it fails. What is not known is said, never passed.
 */
export function checkDuty(duty: Duty, part: DutyPart, shareOf: (rating: RatingName) => number): MatchCheck[] {
  const rated = (name: RatingName) => {
    const own = part.ratings[name]?.value;
    return own === undefined ? undefined : own * shareOf(name);
  };
  const technology = (part.technology ?? part.subtype ?? '').toLowerCase();
  const ambient = duty.temperature ?? RULES.ambient;
  const of = { duty, part, rated, technology, ambient };
  return [
    ...volts(of),
    ...amperes(of),
    ...pulses(of),
    ...speed(of),
    ...gate(of),
    ...ripple(of),
    ...heat(of),
    ...temperature(of),
    ...power(of),
    ...tab(of),
  ];
}

interface Of {
  readonly duty: Duty;
  readonly part: DutyPart;
  readonly rated: (name: RatingName) => number | undefined;
  readonly technology: string;
  readonly ambient: number;
}

/** Holds what it is put under against a rating; the margin is what is left over the share that is used. */
function held(of: {
  readonly name: DutyCheckName;
  readonly rating: RatingName;
  readonly put: number;
  readonly stands: number | undefined;
  readonly share: number;
  readonly unit: Unit;
}): MatchCheck {
  const { name, rating, put, stands, share, unit } = of;
  if (stands === undefined)
    return {
      name,
      rating,
      outcome: 'unknown',
      text: `${RATINGS[rating].label} is not known; it is put under ${q(put, unit)}`,
    };
  const margin = (share * stands) / put;
  const used = `${q(put, unit)} of ${q(stands, unit)}`;
  if (put >= stands) return { name, rating, outcome: 'fails', margin, text: `${name} ${used}: beyond what it stands` };
  return margin < 1
    ? {
        name,
        rating,
        outcome: 'fits-on-paper',
        margin,
        text: `${name} ${used}: ${Math.round((100 * put) / stands)} %, usual is up to ${Math.round(100 * share)} %`,
      }
    : { name, rating, outcome: 'fits', margin, text: `${name} ${used}` };
}

function volts({ duty, part, rated, technology }: Of): MatchCheck[] {
  const found: MatchCheck[] = [];
  const key = VOLTS[part.kind] as RatingName | undefined;
  if (duty.voltage !== undefined && (key !== undefined || part.kind === 'resistor')) {
    const rating = key ?? 'voltage';
    // What a resistor stands is often not printed; its case says it, and its watts are held besides.
    if (part.kind !== 'resistor' || rated(rating) !== undefined)
      found.push(
        held({
          name: 'voltage',
          rating,
          put: duty.voltage,
          stands: rated(rating),
          share: shareUsed({ kind: part.kind, technology }),
          unit: 'volt',
        }),
      );
  }
  if (duty.acVoltage !== undefined && ['capacitor', 'varistor', 'fuse', 'transformer'].includes(part.kind)) {
    const direct = part.kind === 'capacitor' ? rated('voltage') : undefined;
    const stands = rated('acVoltage') ?? (direct === undefined ? undefined : direct / (2 * Math.SQRT2));
    found.push(
      held({ name: 'AC voltage', rating: 'acVoltage', put: duty.acVoltage, stands, share: 0.92, unit: 'volt' }),
    );
  }
  return found;
}

function amperes({ duty, part, rated }: Of): MatchCheck[] {
  if (duty.current === undefined) return [];
  const rule = RULES.amperes[part.kind];
  if (!rule) return [];
  return [
    held({
      name: 'current',
      rating: rule[0],
      put: duty.current,
      stands: rated(rule[0]),
      share: rule[1],
      unit: 'ampere',
    }),
  ];
}

const BIPOLAR: ReadonlySet<KindName> = new Set(['npn', 'pnp']);
const FETS: ReadonlySet<KindName> = new Set(['nmos', 'pmos']);
const RECTIFIERS: ReadonlySet<KindName> = new Set(['diode', 'dual-diode', 'bridge']);

function pulses({ duty, part, rated }: Of): MatchCheck[] {
  if (duty.pulse === undefined) return [];
  if (part.kind === 'inductor')
    return [
      held({
        name: 'pulse',
        rating: 'saturation',
        put: duty.pulse,
        stands: rated('saturation') ?? rated('current'),
        share: RULES.saturation,
        unit: 'ampere',
      }),
    ];
  const rule = RULES.amperes[part.kind];
  const times = FETS.has(part.kind) ? RULES.peaks.fet : RECTIFIERS.has(part.kind) ? RULES.peaks.rectifier : 1;
  const own = rule && rated(rule[0]);
  return rule
    ? [
        held({
          name: 'pulse',
          rating: rule[0],
          put: duty.pulse,
          stands: own === undefined ? undefined : times * own,
          share: 0.8,
          unit: 'ampere',
        }),
      ]
    : [];
}

function speed({ duty, part, rated, technology }: Of): MatchCheck[] {
  const { frequency } = duty;
  if (frequency === undefined) return [];
  const say = (outcome: MatchCheck['outcome'], text: string, margin?: number): MatchCheck[] => [
    { name: 'speed', outcome, text, ...(margin === undefined ? {} : { margin }) },
  ];
  const upTo = (good: number, most: number, what: string) =>
    frequency > most
      ? say('fails', `${what} at ${q(frequency, 'hertz')}: too slow`, good / frequency)
      : frequency > good
        ? say('fits-on-paper', `${what} at ${q(frequency, 'hertz')}: it gets hot by switching`, good / frequency)
        : say('fits', `fast enough for ${q(frequency, 'hertz')}`, good / frequency);
  const { works } = RULES;
  if (RECTIFIERS.has(part.kind)) {
    const seconds = rated('recovery');
    if (technology === 'schottky' || /sic/u.test(technology))
      return upTo(works.schottky, works.schottky * 2, 'a Schottky');
    if (seconds !== undefined)
      return upTo(RULES.recovery.good / seconds, RULES.recovery.most / seconds, `${q(seconds, 'second')} of recovery`);
    if (technology === 'ultrafast') return upTo(works.ultrafast, works.ultrafast * 2, 'an ultrafast rectifier');
    if (technology === 'fast') return upTo(works.fast, works.fast * 3, 'a fast rectifier');
    if (frequency <= works.rectifier) return say('fits', `fast enough for ${q(frequency, 'hertz')}`);
    return technology === 'rectifier' || technology === 'standard' || part.kind === 'bridge'
      ? say('fails', `a mains rectifier at ${q(frequency, 'hertz')}: too slow`)
      : say('unknown', `how fast it recovers is not known; ${q(frequency, 'hertz')} is asked`);
  }
  if (part.kind === 'igbt') return upTo(works.igbt[0], works.igbt[1], 'an IGBT');
  if (BIPOLAR.has(part.kind)) return upTo(works.bipolar[0], works.bipolar[1], 'a bipolar transistor');
  if (part.kind === 'triac' || part.kind === 'scr') return upTo(works.triac, works.triac * 2, 'it');
  return [];
}

function gate({ duty, part, rated }: Of): MatchCheck[] {
  if (duty.gate === undefined || (part.kind !== 'nmos' && part.kind !== 'pmos')) return [];
  const put = Math.abs(duty.gate);
  const threshold = rated('vgsTh');
  const { full, low, threshold: most } = RULES.gate;
  if (put > RULES.gate.most)
    return [{ name: 'gate', outcome: 'fails', text: `${q(put, 'volt')} at a gate that usually stands 20 V` }];
  if (put >= full) return [{ name: 'gate', outcome: 'fits', text: `${q(put, 'volt')} turns it on fully` }];
  if (threshold === undefined)
    return [
      { name: 'gate', outcome: 'unknown', text: `its threshold is not known; ${q(put, 'volt')} must turn it on` },
    ];
  return [
    Math.abs(threshold) > put
      ? {
          name: 'gate',
          outcome: 'fails',
          text: `its threshold of ${q(threshold, 'volt')} is above the ${q(put, 'volt')} of the drive`,
        }
      : put <= low && Math.abs(threshold) > most
        ? {
            name: 'gate',
            outcome: 'fits-on-paper',
            text: `threshold ${q(threshold, 'volt')}: ${q(put, 'volt')} does not turn it on fully`,
          }
        : { name: 'gate', outcome: 'fits', text: `threshold ${q(threshold, 'volt')} for ${q(put, 'volt')}` },
  ];
}

const WET: ReadonlySet<string> = new Set(['electrolytic', 'polymer', 'tantalum', '']);

function ripple({ duty, part, rated, technology }: Of): MatchCheck[] {
  if (duty.ripple === undefined || part.kind !== 'capacitor' || !WET.has(technology)) return [];
  const printed = rated('ripple');
  if (printed !== undefined)
    return [
      held({
        name: 'ripple',
        rating: 'ripple',
        put: duty.ripple,
        stands: printed,
        share: RULES.ripple,
        unit: 'ampere',
      }),
    ];
  const [capacitance, voltage] = [rated('capacitance'), rated('voltage')];
  const esr = rated('esr') ?? (capacitance && voltage ? expectedEsr({ capacitance, voltage }) : undefined);
  if (esr === undefined)
    return [
      {
        name: 'ripple',
        outcome: 'unknown',
        text: `neither its ripple current nor its ESR is known; ${q(duty.ripple, 'ampere')} is asked`,
      },
    ];
  const bears = Math.sqrt(RULES.canHeat / esr);
  const by = rated('esr') === undefined ? 'by the usual ESR of its kind' : `by its ESR of ${q(esr, 'ohm')}`;
  const check = held({ name: 'ripple', rating: 'ripple', put: duty.ripple, stands: bears, share: 1, unit: 'ampere' });
  return [
    { ...check, outcome: check.outcome === 'fails' ? 'fits-on-paper' : check.outcome, text: `${check.text}, ${by}` },
  ];
}

/** Heat of a switch or a rectifier in its case: while it conducts, at 110 °C, and of a switch while it turns on and off. */
function heat({ duty, part, rated, technology, ambient }: Of): MatchCheck[] {
  const watts = lost({ duty, part, rated, technology });
  if (watts === undefined) return [];
  const found = caseHeat({ package: part.package ?? undefined, watts, ambient });
  if (!found)
    return [
      {
        name: 'heat',
        outcome: 'fails',
        text: `${q(watts, 'watt')} at ${Math.round(ambient)} °C: no usual heat sink keeps it cool`,
      },
    ];
  if (found.sink !== undefined)
    return [
      {
        name: 'heat',
        outcome: 'fits-on-paper',
        text: `${q(watts, 'watt')}: on a heat sink of ${q(found.sink, 'kelvinPerWatt')} or better`,
      },
    ];
  return [
    {
      name: 'heat',
      outcome: found.celsius > JUNCTION_GOOD ? 'fits-on-paper' : 'fits',
      margin: (JUNCTION_GOOD - ambient) / Math.max(found.celsius - ambient, 1e-9),
      text: `${q(watts, 'watt')}: its junction at ${Math.round(found.celsius)} °C without a heat sink`,
    },
  ];
}

function lost({ duty, part, rated, technology }: Omit<Of, 'ambient'>): number | undefined {
  const { current } = duty;
  if (current === undefined) return undefined;
  if (FETS.has(part.kind)) {
    const [ohms, stands] = [rated('rdsOn'), rated('vds')];
    if (ohms === undefined) return undefined;
    const rating = stands ?? 100;
    const { voltage, frequency } = duty;
    if (voltage === undefined || frequency === undefined)
      return current ** 2 * ohms * onGrowth({ rating, celsius: JUNCTION_GOOD });
    // It also turns on and off so often, at the most at its peak.
    const peak = duty.pulse ?? RULES.peakOfRms * current;
    return fetLosses({ rms: current, peak, ohms, rated: rating, volts: voltage, frequency }).own;
  }
  if (part.kind === 'diode' || part.kind === 'dual-diode')
    return current * Math.max(rated('vf') ?? 0, technology === 'schottky' ? RULES.drops.schottky : RULES.drops.other);
  return undefined;
}

function temperature({ duty, part, rated, technology }: Of): MatchCheck[] {
  if (
    duty.temperature === undefined ||
    part.kind !== 'capacitor' ||
    !(technology === 'electrolytic' || technology === 'polymer')
  )
    return [];
  const top = rated('temperature');
  if (top === undefined)
    return [
      {
        name: 'temperature',
        outcome: 'unknown',
        text: `its temperature class is not known; it stands in ${Math.round(duty.temperature)} °C`,
      },
    ];
  const room = top - duty.temperature;
  const text = `${Math.round(top)} °C class in ${Math.round(duty.temperature)} °C`;
  if (room <= 0) return [{ name: 'temperature', outcome: 'fails', text: `${text}: it dries out at once` }];
  const margin = top / (duty.temperature + RULES.cooler);
  return room < RULES.cooler
    ? [{ name: 'temperature', outcome: 'fits-on-paper', margin, text: `${text}: it dries out soon` }]
    : [{ name: 'temperature', outcome: 'fits', margin, text }];
}

function power({ duty, part, rated, ambient }: Of): MatchCheck[] {
  if (part.kind !== 'resistor') return [];
  const ohms = rated('resistance');
  const put =
    duty.power ??
    (duty.current !== undefined && ohms !== undefined
      ? duty.current ** 2 * ohms
      : duty.voltage !== undefined && ohms
        ? duty.voltage ** 2 / ohms
        : undefined);
  if (put === undefined) return [];
  const { share, from, none } = RULES.resistor;
  const cool = Math.min(1, Math.max(0, (none - ambient) / (none - from)));
  const stands = rated('power');
  return [
    held({
      name: 'power',
      rating: 'power',
      put,
      stands: stands === undefined ? undefined : stands * cool,
      share,
      unit: 'watt',
    }),
  ];
}

const TABS = /^(?:TO-220|TO-247|TO-3P|DPAK|D2PAK|IPAK)$/u;

function tab({ duty, part }: Of): MatchCheck[] {
  if (!duty.isolated) return [];
  const name = part.package ?? '';
  if (name === '') return [{ name: 'tab', outcome: 'unknown', text: 'its case is not known: its tab may be live' }];
  return TABS.test(name)
    ? [{ name: 'tab', outcome: 'fits-on-paper', text: `the tab of a ${name} is live: a pad and a bush under it` }]
    : [{ name: 'tab', outcome: 'fits', text: `${name} has no bare tab` }];
}
