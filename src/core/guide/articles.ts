import { CHIP_FAMILIES } from '../chips';
import { USED_VOLTS } from '../derating';
import { CAUSES } from '../diagnose';
import { PRACTICE } from '../evidence';
import { FINDING_RULES } from '../findings';
import { slugOf } from '../ident';
import { LIFE_RULE, usualLife } from '../measure';
import { SEAMS } from '../opening';
import { PACKAGES } from '../part';
import { CAUTIONS } from '../safety';
import { SENSE_RULES } from '../sense';
import { CASES } from '../thermal';
import { CIRCUITS, FIELD_NOTES } from '../whatif';
import { capital, words, percent, type GuideArticle } from './article';
import { BENCH_ARTICLES } from './benchArticles';

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
  ...BENCH_ARTICLES,
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
