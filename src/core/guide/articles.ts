import { FACTOR_LABEL, FACTORS, USUAL_WEIGHTS } from '../advice';
import { COLD, HEAT, LOADS, railLimits, rippleLimit } from '../bringup';
import { CHIP_FAMILIES } from '../chips';
import { USED_VOLTS } from '../derating';
import { CAUSES } from '../diagnose';
import { PRACTICE } from '../evidence';
import { FINDING_RULES } from '../findings';
import { slugOf } from '../ident';
import { USEFULNESS } from '../harvest';
import { LIFE_RULE, TEST_RULES, TESTS, usualLife } from '../measure';
import { COOLING_NAMES, COOLINGS, PLUG_NAMES, PLUGS, SUPPLY_RULES } from '../module';
import { PLATE_RULES } from '../nameplate';
import { SEAMS } from '../opening';
import { kindRule, PACKAGES, type KindName, type TestName } from '../part';
import { formatQuantity } from '../quantity';
import {
  BANDS,
  CAPACITANCE_UPPER,
  CAUTIONS,
  ES1_CAPACITOR_TABLE,
  METER_CEILING,
  METER_LIMIT,
  METER_RATING_FROM,
  REBOUND_SHARE,
  REBOUND_WAIT_SECONDS,
  SOLDER_LIMIT,
  TOUCH_LIMIT_DC,
} from '../safety';
import { SENSE_RULES } from '../sense';
import { CASES } from '../thermal';
import { SYMPTOMS } from '../unit';
import { CIRCUITS, FIELD_NOTES } from '../whatif';

/** What of the shop’s own donors a line was met in: how they were opened, a case of a part, a chip, a cause. */
export type Met =
  | { readonly kind: 'seam'; readonly name: string }
  | { readonly kind: 'package'; readonly name: string }
  | { readonly kind: 'marking'; readonly names: readonly string[] };

/** A rule or a fact of the trade, with what it rests on. */
export interface GuideLine {
  readonly id: string;
  readonly name: string;
  readonly text: string;
  readonly source: string;
  readonly met?: Met;
  /** A page of its own. */
  readonly page?: { readonly kind: 'chip' | 'topology'; readonly id: string };
}

/** A page of the Guide, made of a table that an engine works by. */
export interface GuideArticle {
  readonly id: string;
  readonly title: string;
  readonly intro: string;
  readonly lines: readonly GuideLine[];
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
const words = (name: string) => name.replaceAll('-', ' ');
const percent = (share: number) => `${Math.round(100 * share)} %`;

const VOLTS_OF: Readonly<Record<keyof typeof USED_VOLTS, string>> = {
  mosfet: 'MOSFET',
  igbt: 'IGBT',
  transistor: 'bipolar transistor',
  schottky: 'Schottky diode',
  diode: 'other diodes',
  bridge: 'bridge rectifier',
  can: 'electrolytic and polymer capacitor',
  tantalum: 'tantalum capacitor',
  ceramic: 'ceramic capacitor',
  film: 'film capacitor',
  triac: 'triac, thyristor',
  resistor: 'resistor, across it',
  other: 'anything else',
};

/** Degrees of the air for which hours of a can are told. */
const AIR = [45, 65, 85] as const;
const CLASSES = [85, 105, 125] as const;

/** Every article, in the order of the Guide. */
export const ARTICLES: readonly GuideArticle[] = [
  {
    id: 'cautions',
    title: 'Cautions',
    intro: 'What a unit may hold that hurts. Each stands at Intake, Make safe and Open of a unit to which it applies.',
    lines: CAUTIONS.map(({ name, text }) => ({ id: slugOf(name), name: capital(name), text, source: PRACTICE })),
  },
  {
    id: 'charge',
    title: 'Limits of charge and touch',
    intro: 'By which Make safe says what a store can do, and when it counts as dead.',
    lines: [
      {
        id: 'touch',
        name: 'Touch',
        text: `${TOUCH_LIMIT_DC.volts} V of direct voltage may be touched; shops and schools may keep to 50 V (Settings)`,
        source: TOUCH_LIMIT_DC.cite,
      },
      {
        id: 'small-capacitors',
        name: 'Small capacitors',
        text: `a capacitor alone may be touched up to ${ES1_CAPACITOR_TABLE.map(
          ({ capacitance, volts }) => `${volts} V at ${formatQuantity(capacitance, 'farad')}`,
        ).join(', ')}`,
        source: 'IEC 62368-1, table 5, from memory',
      },
      {
        id: 'solder',
        name: 'Soldering',
        text: `under ${SOLDER_LIMIT.volts} V parts may be desoldered`,
        source: PRACTICE,
      },
      {
        id: 'meter',
        name: 'Meter in ohms, capacitance, ESR',
        text: `under ${METER_LIMIT.volts} V only`,
        source: PRACTICE,
      },
      {
        id: 'meter-rating',
        name: 'Rating of the meter',
        text: `above ${METER_RATING_FROM} V a meter and leads for mains work; above ${METER_CEILING.volts} V none of them`,
        source: METER_CEILING.cite,
      },
      {
        id: 'rebound',
        name: 'What comes back',
        text: `${REBOUND_SHARE.low * 100} to ${REBOUND_SHARE.high * 100} % of the first volts: it is read again after ${REBOUND_WAIT_SECONDS / 60} minutes, and only then counts as dead`,
        source: PRACTICE,
      },
      {
        id: 'upper-tolerance',
        name: 'Size for a safety figure',
        text: `${CAPACITANCE_UPPER} times the printed capacitance`,
        source: PRACTICE,
      },
      ...BANDS.map(({ title, when, instruction }) => ({
        id: slugOf(title),
        name: capital(title),
        text: `${capital(when)}. ${instruction}`,
        source:
          'energy by the pattern of NFPA 70E article 360 and IEC 60950-1, from memory, with common practice between',
      })),
    ],
  },
  {
    id: 'plates',
    title: 'What a plate is held against',
    intro: 'Rules by which Intake believes the figures of a plate, or does not.',
    lines: Object.entries(PLATE_RULES).map(([id, rule]) => ({ id, ...rule })),
  },
  {
    id: 'advice',
    title: 'What is done with a unit',
    intro: `Repair, harvest, study or leave whole: ${FACTORS.map((name) => `${FACTOR_LABEL[name]} counts ${USUAL_WEIGHTS[name]}`).join(', ')}, until a shop says otherwise.`,
    lines: Object.entries(SYMPTOMS).map(([id, { label, look }]) => ({
      id,
      name: capital(label),
      text: look,
      source: PRACTICE,
    })),
  },
  {
    id: 'seams',
    title: 'Fasteners and seams',
    intro: 'How cases are held together, and what opens them. Open counts what worked here.',
    lines: Object.entries(SEAMS).map(([name, { label, tip }]) => ({
      id: name,
      name: capital(label),
      text: tip,
      source: PRACTICE,
      met: { kind: 'seam', name } as const,
    })),
  },
  {
    id: 'packages',
    title: 'Packages',
    intro: 'Cases of parts, how many legs they have, and what heat they get rid of.',
    lines: PACKAGES.map(({ name, legs, group }) => {
      const heat = CASES.find((one) => name.toUpperCase() === one.name.toUpperCase());
      return {
        id: slugOf(name),
        name,
        text: [
          `${legs} legs, ${words(group)}`,
          heat ? `junction to case ${heat.junction.join(' to ')} K/W, to free air ${heat.air} K/W` : '',
        ]
          .filter((text) => text !== '')
          .join('; '),
        source: PRACTICE,
        met: { kind: 'package', name } as const,
      };
    }),
  },
  {
    id: 'capacitors',
    title: 'Electrolytic capacitors and their hours',
    intro:
      'What a can of a temperature class is rated for where it does not say, and how long that lasts where it sits.',
    lines: CLASSES.map((celsius) => ({
      id: `class-${String(celsius)}`,
      name: `${String(celsius)} °C`,
      text: `usually ${String(usualLife(celsius))} h at its class, at the rated ripple; ${AIR.filter(
        (air) => air < celsius,
      )
        .map(
          (air) =>
            `${String(Math.round((usualLife(celsius) * 2 ** ((celsius - air) / 10)) / 1000))},000 h in air of ${String(air)} °C`,
        )
        .join(', ')}; none is credited over 15 years`,
      source: LIFE_RULE,
    })),
  },
  {
    id: 'derating',
    title: 'How much of its rated voltage a part is used at',
    intro: 'Usual shares for good, spikes included. Match, Replace and Design keep them, and tell what is left.',
    lines: (Object.keys(USED_VOLTS) as (keyof typeof USED_VOLTS)[]).map((name) => ({
      id: name,
      name: capital(VOLTS_OF[name]),
      text: `at most ${percent(USED_VOLTS[name])} of its rated voltage`,
      source: PRACTICE,
    })),
  },
  {
    id: 'tests',
    title: 'How a part is graded',
    intro: 'A as new, B with a limit, C for undemanding use, else scrap: what Test holds each reading against.',
    lines: (Object.entries(TEST_RULES) as [TestName, string][]).map(([id, text]) => ({
      id,
      name: capital(TESTS[id].label),
      text,
      source: `${PRACTICE}, but where a standard is named`,
    })),
  },
  {
    id: 'worth',
    title: 'What is worth taking',
    intro: 'Points by kind before grade, case and need; from so many in the drawers one more is worth half.',
    lines: (Object.entries(USEFULNESS) as [KindName, (typeof USEFULNESS)[KindName]][]).map(
      ([id, { points, plenty, why }]) => ({
        id,
        name: capital(kindRule(id).label),
        text: `${points} points, half from ${plenty} on: ${why}`,
        source: PRACTICE,
      }),
    ),
  },
  {
    id: 'whole',
    title: 'Supplies used whole',
    intro: `What a load asks of them; ${percent(SUPPLY_RULES.loaded)} of their current is taken for good.`,
    lines: [
      ...PLUG_NAMES.map((name) => {
        const { label, amperes } = PLUGS[name] as { readonly label: string; readonly amperes?: number };
        return {
          id: name,
          name: capital(label),
          text: amperes === undefined ? 'as thick as its wires' : `carries about ${amperes} A for good`,
          source: /^usb/u.test(name) ? 'its specification, from memory' : PRACTICE,
        };
      }),
      ...COOLING_NAMES.map((name) => ({
        id: `cooled-by-${name}`,
        name: `Cooled by ${COOLINGS[name].label}`,
        text:
          name === 'air'
            ? 'gives its current so'
            : `without it at most ${percent(COOLINGS[name].without)} of its current`,
        source: PRACTICE,
      })),
    ],
  },
  {
    id: 'power-up',
    title: 'First power-up',
    intro: 'What its steps hold the readings against.',
    lines: [
      {
        id: 'ohms',
        name: 'Ohms before power',
        text: `line to neutral over ${formatQuantity(COLD.inlet, 'ohm')}; across the bulk over ${formatQuantity(COLD.bulk, 'ohm')} once it is charged by the meter; an output ${COLD.outputTimes} times its full load; mains to output over ${formatQuantity(COLD.insulation, 'ohm')}; earth pin to case under ${COLD.earth} Ω`,
        source: PRACTICE,
      },
      ...[railLimits({ v: 12 }), railLimits({ v: -12 })].map(({ tolerance, stop, from }, place) => ({
        id: place === 0 ? 'rails' : 'minus-rails',
        name: place === 0 ? 'Rails' : 'Rails under zero',
        text: `within ${percent(tolerance)}; off by ${percent(stop)} it is stopped`,
        source: from,
      })),
      ...[5, 12, 24].map((volts) => {
        const limit = rippleLimit(volts);
        return {
          id: `ripple-${volts}`,
          name: `Ripple at ${volts} V`,
          text: `${formatQuantity(limit.volts, 'volt')} from peak to peak`,
          source: limit.from,
        };
      }),
      {
        id: 'loads',
        name: 'Loads',
        text: `${LOADS.steps.map(percent).join(', then ')} of the printed current; ${percent(LOADS.heat)} for ${LOADS.minutes} minutes under heat`,
        source: PRACTICE,
      },
      ...Object.values(HEAT).map(({ name, right, stop }) => ({
        id: slugOf(`heat ${name}`),
        name: capital(name),
        text: `up to ${right} °C is right, over ${stop} °C it is ended`,
        source: PRACTICE,
      })),
    ],
  },
  {
    id: 'findings',
    title: 'What is told of a traced board',
    intro: 'Rules by which Trace finds faults and dangers.',
    lines: FINDING_RULES.map(({ rule, severity, source }) => ({
      id: rule,
      name: capital(words(rule)),
      text: { danger: 'a danger', warn: 'looked at before use', note: 'worth knowing' }[severity],
      source,
    })),
  },
  {
    id: 'sense',
    title: 'What does not fit its place',
    intro: 'Rules by which Identify doubts a reading: either the reading or the place is wrong.',
    lines: SENSE_RULES.map(({ name, source }) => ({
      id: slugOf(name),
      name: capital(name),
      text: 'checked of every part that is logged',
      source,
    })),
  },
  {
    id: 'causes',
    title: 'What fails, and what is replaced with it',
    intro: 'Causes that Diagnose weighs, the commonest first, and what is replaced together.',
    lines: Object.entries(CAUSES)
      .toSorted(([, a], [, b]) => b.common - a.common)
      .map(([name, { label, together }]) => ({ id: name, name: capital(label), text: together, source: PRACTICE })),
  },
  {
    id: 'chips',
    title: 'Chip families',
    intro: 'Controllers and regulators by family, with their pins.',
    lines: CHIP_FAMILIES.map(({ id, function: what, names, cores, memory }) => ({
      id: slugOf(id),
      name: id,
      text: what,
      source: `from memory of datasheets, ${memory}`,
      met: { kind: 'marking', names: [...new Set([id, ...names, ...cores])] } as const,
      page: { kind: 'chip', id } as const,
    })),
  },
  {
    id: 'topologies',
    title: 'Topologies',
    intro: 'Circuits of the trade, each drawn and running.',
    lines: CIRCUITS.map(({ id, name, message }) => ({
      id,
      name,
      text: [message, ...(FIELD_NOTES[id]?.tells ?? []).slice(0, 1)].join('; '),
      source: PRACTICE,
      page: { kind: 'topology', id } as const,
    })),
  },
];

export const articleById = (id: string): GuideArticle | undefined => ARTICLES.find((one) => one.id === id);
