import {
  CASES,
  currentShare,
  EXTRUSIONS,
  FINISHES,
  INTERFACES,
  JUNCTION_GOOD,
  JUNCTION_MOST,
  onGrowth,
  plateFor,
  plateResistance,
  switchLosses,
  type Finish,
} from '../thermal';
import { DRIVE_FIELDS, drivenBy } from './drive';
import { drawn, figure, q, type Mark, type Sum } from './sum';

const caseOf = (name: string) => CASES.find((one) => one.name === name) ?? CASES[1]!;
const CASE_NAMES = CASES.map(({ name }) => name);
const junctionMark = (celsius: number): Mark =>
  celsius > JUNCTION_MOST ? 'reject' : celsius > JUNCTION_GOOD ? 'warn' : 'ok';
const degrees = (celsius: number) => q(celsius, 'celsius');

export const HEAT: readonly Sum[] = [
  {
    id: 'sink',
    question: 'stand',
    title: 'How hot a heat sink gets',
    words: 'heat sink thermal resistance junction K/W temperature',
    fields: [
      { id: 'p', label: 'heat', unit: 'watt', usual: '10W' },
      { id: 'case', label: 'package', choices: CASE_NAMES, usual: 'TO-220' },
      { id: 'jc', label: 'junction to case', unit: 'kelvinPerWatt', usual: '', isOptional: true },
      { id: 'between', label: 'between case and sink', choices: INTERFACES.map(({ name }) => name), usual: 'grease' },
      { id: 'sa', label: 'sink to air', unit: 'kelvinPerWatt', usual: '5K/W' },
      { id: 'air', label: 'air around it', unit: 'celsius', usual: '40C' },
      { id: 'wanted', label: 'junction wanted', unit: 'celsius', usual: '110C' },
    ],
    work: ({ n, maybe, t }) => {
      const [watts, air] = [n('p'), n('air')];
      const jc = maybe('jc') ?? caseOf(t('case')).junction[1];
      const between = INTERFACES.find(({ name }) => name === t('between'))?.resistance ?? 0.5;
      const own = jc + (t('case').startsWith('TO-247') ? between / 2 : between);
      const junction = air + watts * (own + n('sa'));
      const needed = (n('wanted') - air) / watts - own;
      const plate =
        needed > 0 ? plateFor({ resistance: needed, thickness: 2e-3, finish: 'black, upright' }) : undefined;
      return {
        answer: `Junction at ${degrees(junction)}, sink at ${degrees(air + watts * n('sa'))}`,
        more:
          needed > 0
            ? `For ${degrees(n('wanted'))} the sink needs ${q(needed, 'kelvinPerWatt')} or less.`
            : `No sink brings it to ${degrees(n('wanted'))}: the package itself is too much.`,
        mark: junctionMark(junction),
        figures: [
          figure('junction', 'junction', junction, 'celsius'),
          figure('case', 'case', junction - watts * jc, 'celsius'),
          figure('sink', 'sink', air + watts * n('sa'), 'celsius'),
          ...(needed > 0 ? [figure('needed', 'sink needed', needed, 'kelvinPerWatt')] : []),
        ],
        curve: {
          caption: 'junction over heat',
          x: { label: 'heat', unit: 'watt' },
          y: { label: 'junction', unit: 'celsius' },
          lines: [{ label: 'junction', points: drawn([0, 2 * watts], (p) => air + p * (own + n('sa')), 2) }],
          limits: [
            { label: 'silicon, for good', y: JUNCTION_GOOD },
            { label: 'at most', y: JUNCTION_MOST },
          ],
          here: [watts, junction],
        },
        why: [
          `${q(jc, 'kelvinPerWatt')} in the package, ${q(own - jc, 'kelvinPerWatt')} between, ${q(n('sa'), 'kelvinPerWatt')} to the air.`,
          `${JUNCTION_GOOD} °C is good for years, ${JUNCTION_MOST} °C is the end for a used part.`,
        ],
        cautions: [
          'A sink on the mains side is live. A tab is isolated only where the part says so, or a pad lies under it.',
        ],
        next: plate
          ? `A plate of aluminium, 2 mm, black, upright, of ${(plate * 1e4).toFixed(0)} cm² on one side does it.`
          : needed > 0
            ? 'A plate does not do it: take an extrusion, or move the air.'
            : 'Share the heat between two parts.',
      };
    },
    formula: ['Tj = Ta + P (Rjc + Rcs + Rsa)'],
    source: 'Package and interface values are common practice, no source',
  },
  {
    id: 'plate',
    question: 'stand',
    title: 'What a plate or an extrusion gives off',
    words: 'plate aluminium fin extrusion area K/W',
    fields: [
      { id: 'width', label: 'width', unit: 'metre', usual: '100mm' },
      { id: 'height', label: 'height', unit: 'metre', usual: '100mm' },
      { id: 'depth', label: 'thickness, or depth with its fins', unit: 'metre', usual: '2mm' },
      { id: 'finish', label: 'finish', choices: Object.keys(FINISHES), usual: 'black, upright' },
    ],
    work: ({ n, t }) => {
      const [area, volume] = [n('width') * n('height'), n('width') * n('height') * n('depth')];
      const plate = plateResistance({ area, thickness: n('depth'), finish: t('finish') as Finish });
      const isPlate = n('depth') <= 5e-3;
      const rows = Object.entries(EXTRUSIONS).map(
        ([air, [low, high]]) => [air, low / (volume * 1e6), high / (volume * 1e6)] as const,
      );
      const middle = (rows[0]![1] + rows[0]![2]) / 2;
      return {
        answer: isPlate
          ? `About ${q(plate, 'kelvinPerWatt', 2)} as a plate`
          : `About ${q(middle, 'kelvinPerWatt', 2)} in still air`,
        mark: 'note',
        figures: [
          figure('plate', 'as a plate', plate, 'kelvinPerWatt'),
          figure('still', 'as an extrusion in still air', middle, 'kelvinPerWatt'),
          figure('watts', 'heat for 50 K', 50 / (isPlate ? plate : middle), 'watt'),
        ],
        choices: {
          head: ['as an extrusion', 'from', 'to'],
          rows: rows.map(([air, low, high]) => ({
            cells: [air, q(low, 'kelvinPerWatt', 2), q(high, 'kelvinPerWatt', 2)],
          })),
        },
        why: ['A plate of up to 5 mm is reckoned by its area; a body with fins by the space it takes up.'],
        cautions: ['Within a quarter: load it, and measure.'],
        next: 'Measure its temperature after half an hour under the load it will have.',
      };
    },
    formula: ['R = 3.3 c^¼ / √(2.1 d) + 650 c / A'],
    source: 'Plate formula of handbooks, from memory; extrusions are common practice, no source',
  },
  {
    id: 'bare',
    question: 'stand',
    title: 'Power without a heat sink',
    words: 'package free air RthJA bare TO-220',
    fields: [
      { id: 'case', label: 'package', choices: CASE_NAMES, usual: 'TO-220' },
      { id: 'p', label: 'heat', unit: 'watt', usual: '1.2W' },
      { id: 'air', label: 'air around it', unit: 'celsius', usual: '40C' },
    ],
    work: ({ n, t }) => {
      const own = caseOf(t('case'));
      const junction = n('air') + n('p') * own.air;
      const most = (JUNCTION_MOST - n('air')) / own.air;
      return {
        answer:
          junction > JUNCTION_MOST
            ? `Too much: at most ${q(most, 'watt', 2)} without a sink`
            : `Junction at ${degrees(junction)}`,
        mark: junctionMark(junction),
        figures: [
          figure('junction', 'junction', junction, 'celsius'),
          figure('most', `heat for ${JUNCTION_MOST} °C`, most, 'watt'),
          figure('good', `heat for ${JUNCTION_GOOD} °C`, (JUNCTION_GOOD - n('air')) / own.air, 'watt'),
        ],
        choices: {
          head: ['package', 'to the air', `heat for ${JUNCTION_MOST} °C`],
          rows: CASES.map((one) => ({
            cells: [one.name, q(one.air, 'kelvinPerWatt'), q((JUNCTION_MOST - n('air')) / one.air, 'watt', 2)],
            ...(one.name === own.name ? { isChosen: true as const } : {}),
          })),
        },
        why: [
          `${own.name} gives ${q(own.air, 'kelvinPerWatt')} to still air, more on copper, less beside something hot.`,
        ],
        cautions: [],
        next:
          junction > JUNCTION_MOST
            ? 'Give it a heat sink.'
            : 'Keep what suffers from heat away from it: electrolytics first.',
      };
    },
    formula: ['Tj = Ta + P Rja'],
    source: 'Common practice, no source',
  },
  {
    id: 'losses',
    question: 'stand',
    title: 'What a switch turns into heat',
    words: 'MOSFET losses conduction switching Coss gate Rds',
    fields: [
      { id: 'i', label: 'current, rms', unit: 'ampere', usual: '1.5A' },
      { id: 'r', label: 'on-resistance at 25 °C', unit: 'ohm', usual: '0R38', from: 'rdsOn' },
      { id: 'rated', label: 'rated voltage', unit: 'volt', usual: '650V', from: 'vds' },
      { id: 'v', label: 'voltage it switches', unit: 'volt', usual: '400V' },
      { id: 'peak', label: 'current it switches', unit: 'ampere', usual: '1.5A' },
      { id: 'time', label: 'time to turn on and off', unit: 'second', usual: '50ns' },
      { id: 'f', label: 'frequency', unit: 'hertz', usual: '100k' },
      { id: 'coss', label: 'output capacitance', unit: 'farad', usual: '150p' },
      ...DRIVE_FIELDS,
      { id: 'rth', label: 'junction to air, with its sink', unit: 'kelvinPerWatt', usual: '15K/W' },
      { id: 'air', label: 'air around it', unit: 'celsius', usual: '40C' },
    ],
    work: ({ n, maybe }) => {
      const of = {
        ...drivenBy({ n, maybe }),
        rms: n('i'),
        ohms: n('r'),
        volts: n('v'),
        current: n('peak'),
        seconds: n('time'),
        frequency: n('f'),
        outputCapacitance: n('coss'),
      };
      let junction = n('air');
      let losses = switchLosses({ ...of, growth: 1 });
      const sum = () => losses.conduction + losses.switching + losses.charging + losses.recovery;
      // The hotter it is the more it loses: it is gone round until it rests, or runs away.
      for (let turn = 0; turn < 60 && junction < 400; turn += 1) {
        losses = switchLosses({ ...of, growth: onGrowth({ rating: n('rated'), celsius: junction }) });
        junction = n('air') + n('rth') * sum();
      }
      const isLost = junction >= 400;
      return {
        answer: isLost
          ? 'It runs away: it never comes to rest'
          : `${q(sum(), 'watt')}, junction at ${degrees(junction)}`,
        mark: isLost ? 'reject' : junctionMark(junction),
        figures: [
          figure('conduction', 'while it is on', losses.conduction, 'watt'),
          figure('switching', 'while it turns on and off', losses.switching, 'watt'),
          figure('charging', 'emptying its own capacitance', losses.charging, 'watt'),
          ...(of.recovery === undefined
            ? []
            : [figure('recovery', 'turning a rectifier off, at most', losses.recovery, 'watt')]),
          ...(of.gate === undefined ? [] : [figure('gate', 'in its driver', losses.gate, 'watt')]),
          figure(
            'growth',
            'on-resistance, against 25 °C',
            onGrowth({ rating: n('rated'), celsius: Math.min(junction, 400) }),
            'ratio',
          ),
          ...(isLost ? [] : [figure('junction', 'junction', junction, 'celsius')]),
        ],
        why: [
          losses.conduction > sum() - losses.conduction
            ? 'Most is lost while it is on: a lower on-resistance helps.'
            : 'Most is lost while it switches: a lower frequency, a faster drive or a smaller part helps; a lower on-resistance does not.',
        ],
        cautions:
          of.recovery === undefined
            ? ['Losses by the reverse recovery of a rectifier it turns off come on top: up to Qrr V f.']
            : [],
        next: 'Measure the sink after half an hour and come back with the true temperature.',
      };
    },
    formula: [
      'P = I² R k(T) + ½ V I t f + ½ C V² f + Qrr V f',
      'gate Qg Vg f',
      'k = 1.007^(T−25) from 500 V on, 1.0045^(T−25) to 100 V',
    ],
    source: 'Erickson & Maksimovic, chapter 4, from memory; growth of the resistance is common practice, no source',
  },
  {
    id: 'derate',
    question: 'stand',
    title: 'Current when the case is hot',
    words: 'derating MOSFET current case temperature',
    fields: [
      { id: 'i', label: 'current at 25 °C', unit: 'ampere', usual: '11A', from: 'id' },
      { id: 'most', label: 'junction at most', unit: 'celsius', usual: '150C' },
      { id: 'case', label: 'case', unit: 'celsius', usual: '100C' },
    ],
    work: ({ n }) => {
      if (n('most') <= 25) return { wrong: 'A junction stands more than 25 °C.', field: 'most' };
      const share = currentShare({ celsius: n('case'), most: n('most') });
      return {
        answer: `${q(n('i') * share, 'ampere')} at ${degrees(n('case'))}`,
        mark: share === 0 ? 'reject' : 'note',
        figures: [
          figure('share', 'of what is printed', share, 'ratio'),
          figure('current', 'current', n('i') * share, 'ampere'),
        ],
        curve: {
          caption: 'current over the temperature of the case',
          x: { label: 'case', unit: 'celsius' },
          y: { label: 'current', unit: 'ampere' },
          lines: [
            {
              label: 'current',
              points: drawn([25, n('most')], (celsius) => n('i') * currentShare({ celsius, most: n('most') })),
            },
          ],
          here: [n('case'), n('i') * share],
        },
        why: ['The printed current holds with the case at 25 °C, which no heat sink does.'],
        cautions: ['Its leads and its own losses may set a lower end: a TO-220 carries 40 to 75 A.'],
        next: 'Work the losses out: they decide, not the printed current.',
      };
    },
    formula: ['I = I₂₅ √((Tj − Tc)/(Tj − 25))'],
    source: 'Derived from the thermal resistance being fixed',
  },
  {
    id: 'triac',
    question: 'stand',
    title: 'Heat of a triac or a rectifier',
    words: 'triac SCR dimmer bridge rectifier dissipation',
    fields: [
      { id: 'i', label: 'current, rms', unit: 'ampere', usual: '4A' },
      { id: 'v', label: 'its drop when just on', unit: 'volt', usual: '1V' },
      { id: 'r', label: 'and its slope', unit: 'ohm', usual: '50m', mayBeZero: true },
      { id: 'case', label: 'package', choices: CASE_NAMES, usual: 'TO-220' },
      { id: 'air', label: 'air around it', unit: 'celsius', usual: '40C' },
    ],
    work: ({ n, t }) => {
      const own = caseOf(t('case'));
      const heat = n('v') * n('i') * ((2 * Math.SQRT2) / Math.PI) + n('r') * n('i') ** 2;
      const free = (JUNCTION_MOST - n('air')) / own.air;
      const needed = (JUNCTION_MOST - n('air')) / heat - own.junction[1] - 1;
      return {
        answer: `${q(heat, 'watt')} of heat`,
        more: heat <= free ? 'It does without a sink.' : 'It needs a heat sink.',
        mark: heat <= free ? 'ok' : needed > 0 ? 'warn' : 'reject',
        figures: [
          figure('heat', 'heat', heat, 'watt'),
          figure('bare', 'current without a sink, about', free / 1.1, 'ampere'),
          ...(needed > 0 ? [figure('needed', 'sink needed', needed, 'kelvinPerWatt')] : []),
        ],
        why: ['The mean of a sine is 0.9 of its rms; about a watt for each ampere.'],
        cautions: ['Without a fin a TO-220 carries little more than an ampere, whatever its label says.'],
        next: 'A triac is chosen for twice the rms current of a resistive load, four to five times that of lamps and of what takes a surge.',
      };
    },
    formula: ['P = V₀ · 0.9 I + r I²'],
    source: 'Derived; free-air values are common practice, no source',
    isMains: true,
  },
  {
    id: 'parallel',
    question: 'stand',
    title: 'Switches or diodes side by side',
    words: 'parallel MOSFET Schottky sharing current',
    fields: [
      { id: 'kind', label: 'which', choices: ['MOSFETs', 'Schottky diodes'], usual: 'MOSFETs' },
      { id: 'one', label: 'on-resistance of one', unit: 'ohm', usual: '0R38', from: 'rdsOn' },
      { id: 'other', label: 'of the other', unit: 'ohm', usual: '0R456' },
      { id: 'i', label: 'current together', unit: 'ampere', usual: '6A' },
    ],
    work: ({ n, t }) => {
      const [one, other] = [n('one'), n('other')];
      const together = (one * other) / (one + other);
      const [share, rest] = [other / (one + other), one / (one + other)];
      const apart = Math.abs(one - other) / Math.min(one, other);
      const isDiode = t('kind') !== 'MOSFETs';
      const mark: Mark = isDiode ? 'reject' : apart > 0.2 ? 'warn' : 'ok';
      return {
        answer: isDiode
          ? 'Only the legs of one package'
          : `${q(share, 'ratio')} and ${q(rest, 'ratio')} of the current`,
        more: isDiode
          ? 'The hotter one drops less and takes more, until it has all.'
          : apart > 0.2
            ? 'They differ by more than a fifth: match them better.'
            : 'A warm one resists more and gives current away: they share.',
        mark,
        figures: [
          figure('together', 'together', together, 'ohm'),
          figure('first', 'current of the first', n('i') * share, 'ampere'),
          figure('second', 'of the other', n('i') * rest, 'ampere'),
          figure('heat', 'heat of both', n('i') ** 2 * together, 'watt'),
        ],
        why: ['Count on 80 % of what both carry: they do not turn on at one instant.'],
        cautions: ['Each gate has a resistor of its own, 2.2 to 10 Ω. Never in linear use: there one takes all.'],
        next: isDiode
          ? 'Use both legs of one dual part, at 80 %, or one larger part.'
          : 'Mount both on one sink, with equal leads.',
      };
    },
    formula: ['I₁ = I R₂ / (R₁ + R₂)'],
    source: 'Physics; limits are common practice, no source',
  },
];
