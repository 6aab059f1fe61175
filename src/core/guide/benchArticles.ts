import { FACTOR_LABEL, FACTORS, USUAL_WEIGHTS } from '../advice';
import { COLD, HEAT, LOADS, railLimits, rippleLimit } from '../bringup';
import { PRACTICE } from '../evidence';
import { slugOf } from '../ident';
import { USEFULNESS } from '../harvest';
import { TEST_RULES, TESTS } from '../measure';
import { COOLING_NAMES, COOLINGS, PLUG_NAMES, PLUGS, SUPPLY_RULES } from '../module';
import { PLATE_RULES } from '../nameplate';
import { kindRule, type KindName, type TestName } from '../part';
import { formatQuantity } from '../quantity';
import {
  BANDS,
  CAPACITANCE_UPPER,
  ES1_CAPACITOR_TABLE,
  METER_CEILING,
  METER_LIMIT,
  METER_RATING_FROM,
  REBOUND_SHARE,
  REBOUND_WAIT_SECONDS,
  SOLDER_LIMIT,
  TOUCH_LIMIT_DC,
} from '../safety';
import { SYMPTOMS } from '../unit';
import { capital, percent, type GuideArticle } from './article';

/** What the stations of the bench judge by: charge, plates, grades, worth, supplies used whole, first power-up. */
export const BENCH_ARTICLES: readonly GuideArticle[] = [
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
];
