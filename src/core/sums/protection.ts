import { lampOhms, mostThroughLamp, throughLamp, voltsBehindLamp } from '../bringup';
import { practice } from '../evidence';
import {
  BARRIER,
  clearance,
  creepage,
  MATERIALS,
  TOUCH_LIMITS,
  touchCurrent,
  WORST,
  type Material,
} from '../isolation';
import { drawn, figure, plain, q, type Mark, type Sum } from './sum';

/** Breaking capacity of IEC 60127 fuses, amperes; from memory. */
const BREAKING = {
  'low (L)': (rated: number) => Math.max(35, 10 * rated),
  'enhanced (E)': () => 150,
  'high (H)': () => 1500,
};
/** A mains socket at home gives so much into a short, amperes; common practice, no source. */
const PROSPECTIVE = practice(1500);

export const PROTECTION: readonly Sum[] = [
  {
    id: 'touch',
    question: 'safe',
    title: 'Current through Y capacitors',
    words: 'touch leakage tingle class II earth',
    fields: [
      { id: 'c', label: 'Y capacitors together', unit: 'farad', usual: '2n2', from: 'capacitance' },
      { id: 'v', label: 'mains', unit: 'volt', usual: '230V', plate: 'highest' },
      { id: 'f', label: 'line frequency', unit: 'hertz', usual: '50Hz' },
      { id: 'count', label: 'supplies joined', unit: 'count', usual: '1' },
    ],
    work: ({ n }) => {
      const [farads, volts, line] = [n('c') * n('count'), n('v'), n('f')];
      const usual = touchCurrent({ farads, volts, line });
      const worst = touchCurrent({ farads: farads * WORST.farads, volts: volts * WORST.volts, line });
      const [strict, modern] = [TOUCH_LIMITS[0]!, TOUCH_LIMITS[1]!];
      const mark: Mark = worst <= strict.amperes ? 'ok' : worst <= modern.amperes ? 'note' : 'danger';
      return {
        answer: `At most ${q(worst, 'ampere')} to what is touched`,
        more:
          mark === 'ok'
            ? 'Within every limit.'
            : mark === 'note'
              ? 'Within the limit of newer standards, above that of older ones.'
              : 'Above the limit: not without an earth.',
        mark,
        figures: [
          figure('usual', 'as marked', usual, 'ampere'),
          figure('worst', 'at 10 % more mains and 20 % more capacitance', worst, 'ampere'),
          figure(
            'largest',
            `most capacitance for ${q(modern.amperes, 'ampere')}`,
            modern.amperes / (2 * Math.PI * line * volts * WORST.volts),
            'farad',
          ),
        ],
        choices: {
          head: ['limit', 'current', ''],
          rows: TOUCH_LIMITS.map(({ amperes, source }) => ({
            cells: [source, q(amperes, 'ampere'), worst <= amperes ? 'met' : 'not met'],
            mark: worst <= amperes ? 'ok' : 'warn',
          })),
        },
        why: ['Supplies whose outputs are joined add their currents.'],
        cautions: [
          'A floating output shows 50 to 110 V to earth on a meter through these capacitors; a broken barrier shows the same. Clip 10 kΩ, 7 W, across the meter before plugging in: 5 V and less is the capacitors.',
          'Only a Y capacitor may bridge the barrier; an X capacitor never replaces one.',
        ],
        next:
          mark === 'danger'
            ? 'Fit less capacitance, or use it with its earth only.'
            : 'A replacement has the same class and no more capacitance.',
      };
    },
    formula: ['I = 2π f C V'],
    source: 'Limits of IEC 62368-1, IEC 60335-1 and IEC 60950-1, from memory',
    isMains: true,
  },
  {
    id: 'barrier',
    question: 'safe',
    title: 'Distance across the barrier',
    words: 'creepage clearance isolation insulation slot',
    fields: [
      { id: 'v', label: 'working voltage, rms', unit: 'volt', usual: '250V' },
      { id: 'mains', label: 'mains', unit: 'volt', usual: '230V', plate: 'highest' },
      { id: 'material', label: 'board', choices: MATERIALS, usual: MATERIALS[0] },
      { id: 'height', label: 'height above the sea', unit: 'metre', usual: '0', mayBeZero: true },
      { id: 'creep', label: 'measured along the board', unit: 'metre', usual: '', isOptional: true },
      { id: 'clear', label: 'measured through the air', unit: 'metre', usual: '', isOptional: true },
    ],
    work: ({ n, maybe, t }) => {
      const along = creepage(n('v'), t('material') as Material);
      const air = clearance(n('mains'), n('height'));
      if (along === undefined) return { wrong: 'The table ends at 1000 V rms.', field: 'v' };
      if (air === undefined) return { wrong: 'The table ends at 300 V to neutral and 5000 m.', field: 'mains' };
      const needed = { creepage: Math.max(2 * along, air.reinforced), clearance: air.reinforced };
      const [creep, clear] = [maybe('creep'), maybe('clear')];
      const isDanger =
        (creep !== undefined && creep < BARRIER.creepageDanger) ||
        (clear !== undefined && clear < BARRIER.clearanceDanger);
      const isShort =
        (creep !== undefined && creep < needed.creepage) || (clear !== undefined && clear < needed.clearance);
      const isScant =
        (creep !== undefined && creep < BARRIER.creepage) || (clear !== undefined && clear < BARRIER.clearance);
      const isKnown = creep !== undefined && clear !== undefined;
      const mark: Mark = isDanger ? 'danger' : isShort ? 'reject' : isScant ? 'warn' : isKnown ? 'ok' : 'cannot tell';
      return {
        answer: `${q(needed.creepage, 'metre')} along the board, ${q(needed.clearance, 'metre')} through the air`,
        more: {
          danger: 'What was measured is far too little.',
          reject: 'What was measured is too little.',
          warn: 'What was measured is within the standard, and less than a rebuild should have.',
          ok: 'What was measured is enough.',
          'cannot tell': 'Measure both distances to know whether they are met.',
          note: '',
        }[mark],
        mark,
        figures: [
          figure('basic', 'creepage, basic insulation', along, 'metre'),
          figure('creepage', 'creepage, reinforced', needed.creepage, 'metre'),
          figure('clearBasic', 'clearance, basic insulation', air.basic, 'metre'),
          figure('clearance', 'clearance, reinforced', needed.clearance, 'metre'),
          figure('propose', 'for a rebuild: creepage', BARRIER.creepage, 'metre'),
        ],
        picture: {
          kind: 'barrier',
          words: { along: q(needed.creepage, 'metre'), through: q(needed.clearance, 'metre') },
        },
        why: [
          'Reinforced insulation takes twice the creepage of basic one, and the clearance of the next higher impulse.',
          'A slot counts only where it is 1 mm wide or more; dirt, flux and char count as a worse pollution degree: clean it and measure again.',
        ],
        cautions: ['A rebuild across the barrier is not type-tested: a whole module is safer. Local codes apply.'],
        next: isKnown
          ? 'Measure at the narrowest place, on both sides of the board and inside the transformer’s margins.'
          : 'Type what you measured at the narrowest place.',
      };
    },
    formula: ['reinforced creepage = 2 × basic', 'clearance by impulse: 2.5 kV on 230 V mains, reinforced 4 kV'],
    source: 'IEC 60664-1, pollution degree 2, overvoltage category II, from memory',
    isMains: true,
  },
  {
    id: 'fuse',
    question: 'safe',
    title: 'A fuse that opens in time',
    words: 'fuse rating breaking capacity glass ceramic',
    fields: [
      { id: 'p', label: 'output', unit: 'watt', usual: '65W', plate: 'watts' },
      { id: 'eff', label: 'efficiency', unit: 'ratio', usual: '87%' },
      { id: 'pf', label: 'power factor', unit: 'ratio', usual: '55%' },
      { id: 'v', label: 'lowest mains', unit: 'volt', usual: '100V', plate: 'lowest' },
      { id: 'if', label: 'fuse on the board', unit: 'ampere', usual: '2A', from: 'current' },
      { id: 'break', label: 'its breaking capacity', choices: Object.keys(BREAKING), usual: 'low (L)' },
    ],
    work: ({ n, t }) => {
      const input = n('p') / n('eff');
      const current = input / (n('v') * n('pf'));
      const rated = n('if');
      const breaks = BREAKING[t('break') as keyof typeof BREAKING](rated);
      const ratio = rated / current;
      const mark: Mark = ratio < 1.1 || ratio > 4 ? 'warn' : breaks < PROSPECTIVE ? 'note' : 'ok';
      return {
        answer: `${q(current, 'ampere')} flows; the fuse is ${ratio.toFixed(1)} times that`,
        more:
          ratio < 1.1
            ? 'So little will open of itself.'
            : ratio > 4
              ? 'So much protects little: look whether it is the one the maker fitted.'
              : 'That is usual: 1.5 to 3 times.',
        mark,
        figures: [
          figure('input', 'power it takes', input, 'watt'),
          figure('current', 'current at the lowest mains', current, 'ampere'),
          figure('breaks', 'it breaks at most', breaks, 'ampere'),
        ],
        choices: {
          head: ['breaking capacity', 'breaks', ''],
          rows: Object.entries(BREAKING).map(([name, of]) => ({
            cells: [
              name,
              q(of(rated), 'ampere'),
              of(rated) >= PROSPECTIVE ? 'for the mains behind a bulk capacitor' : 'glass, may burst on a dead short',
            ],
            mark: of(rated) >= PROSPECTIVE ? 'ok' : 'note',
          })),
        },
        why: [
          'Clear glass breaks 35 A or ten times its rating; a sand-filled ceramic body 1500 A. A dead short on the mains gives hundreds of amperes.',
          'A fuse of IEC 60127 carries its rating for ever; one of UL 248-14 opens within the hour at 1.35 times: they are not the same at the same number.',
        ],
        cautions: [
          'A fuse is replaced by the same: rating, speed, voltage, breaking capacity. Never by a larger one, and never by a wire.',
        ],
        next: 'Find out why it opened before a new one goes in.',
      };
    },
    formula: ['I = P / (η V PF)', 'L: 35 A or 10 In; E: 150 A; H: 1500 A'],
    source: 'IEC 60127-2, from memory; share of the current is common practice, no source',
    isMains: true,
  },
  {
    id: 'inrush',
    question: 'fail',
    title: 'Current at switch-on',
    words: 'inrush NTC thermistor surge bulk bridge',
    fields: [
      { id: 'v', label: 'mains', unit: 'volt', usual: '230V', plate: 'highest' },
      { id: 'c', label: 'bulk', unit: 'farad', usual: '220u', from: 'capacitance' },
      { id: 'r', label: 'NTC when cold, or resistor', unit: 'ohm', usual: '5R', from: 'r25' },
      { id: 'line', label: 'line and parts', unit: 'ohm', usual: '0R5', mayBeZero: true },
      { id: 'i', label: 'current in use, rms', unit: 'ampere', usual: '1A' },
    ],
    work: ({ n }) => {
      const peak = n('v') * Math.SQRT2;
      const total = n('r') + n('line');
      const current = peak / total;
      const energy = (n('c') * peak ** 2) / 2;
      const hot = 0.04 * n('r');
      const tau = total * n('c');
      return {
        answer: `${q(current, 'ampere')} at worst`,
        more: `Plugged in at the peak of the mains, with the bulk empty and the NTC cold.`,
        mark: current > 100 ? 'warn' : 'ok',
        figures: [
          figure('current', 'peak current', current, 'ampere'),
          figure('energy', 'heat in the NTC', energy * (n('r') / total), 'joule'),
          plain('i2t', 'I²t for the fuse and the bridge', (current ** 2 * tau) / 2, 'A²s'),
          figure('hot', 'NTC when hot', hot, 'ohm'),
          figure('loss', 'heat in use', n('i') ** 2 * hot, 'watt'),
          figure('again', 'switched off and on while it is hot', peak / (hot + n('line')), 'ampere'),
        ],
        curve: {
          caption: 'current after switching on at the peak',
          x: { label: 'time', unit: 'second' },
          y: { label: 'current', unit: 'ampere' },
          lines: [{ label: 'current', points: drawn([0, 4 * tau], (time) => current * Math.exp(-time / tau)) }],
        },
        why: [
          `${q(peak, 'volt')} across ${q(total, 'ohm')}; the NTC takes in most of what the bulk takes up.`,
          'Hot, an NTC has 2 to 6 % of its cold value; a supply that is switched on again at once has hardly any protection.',
        ],
        cautions: [
          'An NTC is replaced by the same cold resistance and at least the same disc. It is hot enough to burn.',
        ],
        next: 'Hold the peak against what the bridge stands in one half wave, and I²t against the fuse.',
      };
    },
    formula: ['I = √2 V / R', 'E = C V̂² / 2', 'I²t = I² R C / 2'],
    source: 'Physics; hot share of an NTC is common practice, no source',
    isMains: true,
  },
  {
    id: 'lamp',
    question: 'safe',
    title: 'A lamp in series',
    words: 'series lamp limiter bulb first power-up',
    fields: [
      { id: 'lamp', label: 'lamp', unit: 'watt', usual: '60W' },
      { id: 'v', label: 'mains', unit: 'volt', usual: '230V', plate: 'highest' },
      { id: 'p', label: 'the supply takes', unit: 'watt', usual: '10W' },
    ],
    work: ({ n }) => {
      const [watts, mains, load] = [n('lamp'), n('v'), n('p')];
      const lamp = { watts, mains };
      const most = mostThroughLamp(lamp);
      const left = voltsBehindLamp(lamp, load);
      return {
        answer:
          left === undefined ? 'The lamp does not let so much through' : `${q(left, 'volt')} is left for the supply`,
        more:
          left === undefined
            ? `At most ${q(most, 'watt')} comes through it: the supply will start and stop. That is no fault.`
            : 'The lamp glows a little or not at all.',
        mark: left === undefined ? 'cannot tell' : 'ok',
        figures: [
          figure('most', 'most that comes through', most, 'watt'),
          figure('short', 'current into a dead short', watts / mains, 'ampere'),
          figure('cold', 'lamp when cold', lampOhms(lamp).cold, 'ohm'),
          ...(left === undefined
            ? []
            : [
                figure('volts', 'volts at the supply', left, 'volt'),
                figure('current', 'current', load / left, 'ampere'),
              ]),
        ],
        curve: {
          caption: 'power through the lamp over volts left for the supply',
          x: { label: 'volts at the supply', unit: 'volt' },
          y: { label: 'power', unit: 'watt' },
          lines: [{ label: 'through the lamp', points: drawn([0, mains], (volts) => throughLamp(lamp, volts)) }],
          limits: [{ label: 'the supply', y: load }],
          ...(left === undefined ? {} : { here: [left, load] as const }),
        },
        why: [
          'A converter takes the same power at any voltage: there are two points where both agree, or none; it comes to rest at the upper.',
          'A filament’s current goes with about the square root of its voltage.',
        ],
        cautions: [
          'A flash, then dark: the bulk has charged. Full light that stays: the primary is shorted, do not go up. A dark lamp does not mean an empty capacitor.',
          'The lamp limits the current; it does not isolate. Clip meters on while it is unplugged.',
        ],
        next:
          left === undefined
            ? 'Take a larger lamp, or no load.'
            : 'Take a lamp of at least three times what it takes idle, and at most half of its full input.',
      };
    },
    formula: ['I = P/V · (V_lamp/V)^0.55'],
    source: 'Lamp handbooks, from memory',
    isMains: true,
  },
];
