import { practice } from '../evidence';
import {
  checkClaims,
  DENSITY_RANGES,
  describePlate,
  judgeNameplate,
  minimumEfficiency,
  parseNameplate,
  type NameplateFinding,
} from '../nameplate';
import { normalCdf } from '../uncertainty';
import { drawn, figure, plain, q, type Mark, type Sum } from './sum';

/** Volts of cells: full, usual, empty; common practice, no source. */
const CELLS: Readonly<Record<string, readonly [full: number, usual: number, rate: number]>> = practice({
  'lead-acid, 6 cells': [14.4, 13.6, 0.1],
  'lithium-ion, each cell': [4.2, 3.7, 0.5],
  'LiFePO₄, each cell': [3.65, 3.3, 0.5],
  'NiMH, each cell': [1.45, 1.2, 0.1],
});

const SEVERITY: Readonly<Record<NameplateFinding['severity'], Mark>> = {
  ok: 'ok',
  note: 'note',
  warn: 'warn',
  reject: 'reject',
  'cannot tell': 'cannot tell',
};
const WORST_FIRST: readonly Mark[] = ['reject', 'warn', 'cannot tell', 'note', 'ok'];
const LEVELS = ['IV', 'V', 'VI'] as const;

export const LOADS: readonly Sum[] = [
  {
    id: 'nameplate',
    question: 'safe',
    title: 'What its label stands for',
    words: 'nameplate label rating claim fuse bulk input current',
    fields: [
      {
        id: 'plate',
        label: 'what the label says',
        usual: 'INPUT 100-240V~ 50-60Hz 1.7A OUTPUT 19.5V 3.34A',
        plate: 'text',
      },
      { id: 'fuse', label: 'fuse on the board', unit: 'ampere', usual: '', isOptional: true },
      { id: 'bulk', label: 'bulk', unit: 'farad', usual: '', isOptional: true },
    ],
    work: ({ t, maybe }) => {
      const plate = parseNameplate(t('plate'));
      const judged = judgeNameplate(plate);
      const power = judged.ratedPower;
      if (power === undefined)
        return {
          wrong: 'No output with volts and amperes, and no watts, can be read; like OUTPUT 12V 2A.',
          field: 'plate',
        };
      const [fuse, bulk] = [maybe('fuse'), maybe('bulk')];
      const claims = checkClaims(plate, power, {
        ...(fuse === undefined ? {} : { fuse }),
        ...(bulk === undefined ? {} : { bulk }),
      });
      const findings = [...judged.findings, ...claims.findings];
      const { plausible } = claims;
      return {
        answer: `${q(power, 'watt')}${plausible === undefined ? '' : `, and its parts stand for ${q(plausible, 'watt')}`}`,
        more: describePlate(plate),
        mark: WORST_FIRST.find((mark) => findings.some(({ severity }) => SEVERITY[severity] === mark)) ?? 'note',
        figures: [
          figure('power', 'output', power, 'watt'),
          ...(judged.efficiency ? [figure('efficiency', 'efficiency taken', judged.efficiency.value, 'ratio')] : []),
          ...judged.inputCurrents.map(({ volts, amperes }) =>
            figure(`at${volts}`, `input current at ${q(volts, 'volt')}`, amperes, 'ampere'),
          ),
          ...(judged.highestBulkVoltage === undefined
            ? []
            : [figure('bulk', 'bulk at most', judged.highestBulkVoltage, 'volt')]),
          ...(plausible === undefined ? [] : [figure('plausible', 'by its parts', plausible, 'watt')]),
        ],
        choices: {
          head: ['found', ''],
          rows: findings.map(({ text, severity }) => ({ cells: [text, severity], mark: SEVERITY[severity] })),
        },
        why: [
          ...(judged.efficiency ? [`Efficiency: ${judged.efficiency.why}.`] : []),
          ...(judged.powerFactor ? [`Power factor: ${judged.powerFactor.why}.`] : []),
        ],
        cautions: ['A fuse only bounds from above; the bulk and the rectifier say more.'],
        next:
          fuse === undefined || bulk === undefined
            ? 'Open it, and type its fuse and its bulk.'
            : 'Hold the rectifier against two and a half times the output current.',
      };
    },
    formula: ['Pin = Pout/η', 'Iin = Pin/(V PF)', 'fuse: P ≤ V In k', 'bulk: P ≤ C / 1.5 to 3 µF per watt'],
    source:
      'Common practice, no source; efficiency marks by the International Efficiency Marking Protocol, from memory',
    isMains: true,
  },
  {
    id: 'efficiency',
    question: 'safe',
    title: 'What its efficiency mark promises',
    words: 'efficiency level roman numeral mark no-load heat',
    fields: [
      { id: 'level', label: 'numeral in the circle', choices: LEVELS, usual: 'VI' },
      { id: 'v', label: 'output', unit: 'volt', usual: '12V', plate: 'volts' },
      { id: 'i', label: 'output current', unit: 'ampere', usual: '2A', plate: 'amperes' },
    ],
    work: ({ n, t }) => {
      const power = n('v') * n('i');
      const at = (level: (typeof LEVELS)[number], watts = power) =>
        minimumEfficiency({ level, power: watts, voltage: n('v'), current: watts / n('v') });
      const level = LEVELS.find((one) => one === t('level')) ?? 'VI';
      const least = at(level);
      return {
        answer: `At least ${q(least, 'ratio')} on average`,
        more: `So at most ${q(power / least - power, 'watt')} of heat at full load.`,
        mark: 'note',
        figures: [
          figure('least', 'least efficiency', least, 'ratio'),
          figure('heat', 'heat at full load', power / least - power, 'watt'),
          figure('input', 'power it takes', power / least, 'watt'),
        ],
        choices: {
          head: ['level', 'least efficiency', 'heat'],
          rows: LEVELS.map((one) => ({
            cells: [one, q(at(one), 'ratio'), q(power / at(one) - power, 'watt')],
            ...(one === level ? { isChosen: true as const } : {}),
          })),
        },
        curve: {
          caption: 'least efficiency over output power',
          x: { label: 'output', unit: 'watt' },
          y: { label: 'efficiency', unit: 'ratio' },
          lines: [{ label: level, points: drawn([1, Math.max(60, 2 * power)], (watts) => at(level, watts)) }],
          here: [power, least],
        },
        why: ['An average over a quarter, a half, three quarters and all of the load.'],
        cautions: ['It holds when new, and for one output.'],
        next: 'Measure what it takes idle: level VI allows 0.1 W up to 49 W.',
      };
    },
    formula: ['VI: 0.071 ln P − 0.0014 P + 0.67 up to 49 W, 0.88 above'],
    source: 'International Efficiency Marking Protocol, from memory',
  },
  {
    id: 'density',
    question: 'safe',
    title: 'Can its label be true',
    words: 'power density W/L W/kg volume rating label nameplate efficiency',
    fields: [
      { id: 'p', label: 'claimed output', unit: 'watt', usual: '65W', from: 'power', plate: 'watts' },
      { id: 'a', label: 'length', unit: 'metre', usual: '108mm' },
      { id: 'b', label: 'width', unit: 'metre', usual: '46mm' },
      { id: 'c', label: 'height', unit: 'metre', usual: '30mm' },
      { id: 'm', label: 'mass, if weighed', unit: 'kilogram', usual: '', isOptional: true },
    ],
    work: ({ n, maybe }) => {
      const litres = n('a') * n('b') * n('c') * 1e3;
      const density = n('p') / litres;
      const mass = maybe('m');
      const builds = DENSITY_RANGES.filter(({ perLitre }) => density >= perLitre[0] && density <= perLitre[1]);
      return {
        answer: `${density.toPrecision(3)} W for each litre`,
        more:
          builds.length === 0
            ? 'No kind of supply has such a density.'
            : `Usual for: ${builds.map(({ build }) => build).join('; ')}.`,
        mark: builds.length === 0 ? 'warn' : 'ok',
        figures: [
          plain('litres', 'volume', litres, 'L'),
          plain('density', 'for each litre', density, 'W/L'),
          ...(mass === undefined ? [] : [plain('mass', 'for each kilogram', n('p') / mass, 'W/kg')]),
          figure('lost', 'heat at 87 % efficiency', n('p') / 0.87 - n('p'), 'watt'),
        ],
        choices: {
          head: ['kind of supply', 'W for each litre'],
          rows: DENSITY_RANGES.map((one) => ({
            cells: [one.build, `${one.perLitre[0]} to ${one.perLitre[1]}`],
            ...(builds.includes(one) ? { isChosen: true as const } : {}),
          })),
        },
        why: ['A closed case gets rid of its heat through its skin: what is smaller must lose less.'],
        cautions: ['A label may promise what the parts inside do not carry: its fuse, bulk and rectifier say more.'],
        next: 'Open it and hold the fuse, the bulk and the rectifier against the claim.',
      };
    },
    formula: ['P / V', 'P (1/η − 1)'],
    source: 'Common practice, no source',
  },
  {
    id: 'stack',
    question: 'safe',
    title: 'Supplies in series',
    words: 'series stack voltage SELV reverse diode psu supply adapter brick',
    fields: [
      { id: 'count', label: 'supplies', unit: 'count', usual: '3' },
      { id: 'v', label: 'each gives', unit: 'volt', usual: '19.5V', plate: 'volts' },
      { id: 'i', label: 'the weakest carries', unit: 'ampere', usual: '3.3A', plate: 'amperes' },
      {
        id: 'earth',
        label: 'one output lies at earth',
        choices: ['no', 'yes, one', 'yes, more than one'],
        usual: 'no',
      },
    ],
    work: ({ n, t }) => {
      const nominal = n('count') * n('v');
      const most = nominal * 1.05;
      const isShort = t('earth') === 'yes, more than one';
      const mark: Mark = isShort || most > 120 ? 'danger' : most > 60 ? 'warn' : 'ok';
      return {
        answer: isShort ? 'Not so: their earths would short them' : `${q(nominal, 'volt')} at ${q(n('i'), 'ampere')}`,
        more: `Each may be 5 % high: ${q(most, 'volt')} in all. ${most > 120 ? 'That is dangerous to touch.' : most > 60 ? 'That is above 60 V: it is not touch-safe any more.' : 'That stays below 60 V.'}`,
        mark,
        figures: [
          figure('nominal', 'in all', nominal, 'volt'),
          figure('most', 'at most', most, 'volt'),
          figure('power', 'power', nominal * n('i'), 'watt'),
          figure('diode', 'each reverse diode stands', most, 'volt'),
        ],
        picture: {
          kind: 'stack',
          words: {
            count: String(Math.min(5, Math.round(n('count')))),
            each: q(n('v'), 'volt'),
            top: q(nominal, 'volt'),
          },
        },
        why: [
          'The current is that of the weakest. When one cuts out, the others drive current through it backwards: its diode carries that.',
        ],
        cautions: [
          'A diode across each output, cathode to plus, for the current of the string and the whole voltage.',
          'The insulation of each to earth must be made for the whole voltage.',
          ...(most > 60
            ? ['Above 60 V: closed terminals, a case, and a cover that takes a tool. Local codes apply.']
            : []),
        ],
        next: isShort
          ? 'Take supplies of class II, or ones whose output is not joined to earth; measure it.'
          : 'Switch them on together, and with an LED across each to show which one failed.',
      };
    },
    formula: ['V = Σ V', 'at most 1.05 Σ V against 60 V and 120 V DC'],
    source: 'IEC 62368-1, ES1 and ES2, from memory',
  },
  {
    id: 'share',
    question: 'safe',
    title: 'Supplies side by side',
    words: 'parallel current sharing OR diode redundant droop psu supply adapter brick',
    fields: [
      { id: 'one', label: 'one gives', unit: 'volt', usual: '12.00V' },
      { id: 'other', label: 'the other', unit: 'volt', usual: '12.10V' },
      { id: 'r', label: 'resistance of each, with leads', unit: 'ohm', usual: '50m' },
      { id: 'i', label: 'load', unit: 'ampere', usual: '10A' },
      { id: 'rated', label: 'each is rated for', unit: 'ampere', usual: '6A' },
      { id: 'drop', label: 'OR-ing element drops', unit: 'volt', usual: '0.5V', mayBeZero: true },
    ],
    work: ({ n }) => {
      const apart = Math.abs(n('one') - n('other'));
      const high = n('i') / 2 + apart / (2 * n('r'));
      const low = n('i') - high;
      const mark: Mark = high > n('rated') ? 'reject' : low < 0.2 * high ? 'warn' : 'ok';
      return {
        answer: `${q(Math.min(high, n('i')), 'ampere')} from one, ${q(Math.max(low, 0), 'ampere')} from the other`,
        more: high > n('rated') ? 'The higher one is overloaded.' : 'Both are within their rating.',
        mark,
        figures: [
          figure('high', 'from the higher', Math.min(high, n('i')), 'ampere'),
          figure('low', 'from the lower', Math.max(low, 0), 'ampere'),
          figure('idle', 'round between them without a load', apart / (2 * n('r')), 'ampere'),
          figure('heat', 'heat of each OR-ing element', n('drop') * Math.min(high, n('i')), 'watt'),
          figure('needed', 'resistance that would share within a fifth', apart / (0.2 * n('i')), 'ohm'),
        ],
        why: ['The higher one gives all until its own resistance has brought it down to the other.'],
        cautions: [
          'Count on one supply, not on two: each must have its OR-ing diode, or one that fails shorts the other.',
        ],
        next: 'Trim them to the same voltage under the same load, and give each the same leads.',
      };
    },
    formula: ['I₁ = I/2 + ΔV/(2 R)'],
    source: 'Physics',
  },
  {
    id: 'led',
    question: 'make',
    title: 'An LED string from a supply',
    words: 'LED string resistor current lamp',
    fields: [
      { id: 'v', label: 'supply', unit: 'volt', usual: '24V', plate: 'volts' },
      { id: 'vf', label: 'each LED drops', unit: 'volt', usual: '3.1V', from: 'vf' },
      { id: 'count', label: 'in series', unit: 'count', usual: '7' },
      { id: 'i', label: 'current', unit: 'ampere', usual: '20m' },
      { id: 'spread', label: 'the supply may be high by', unit: 'ratio', usual: '5%', mayBeZero: true },
    ],
    work: ({ n }) => {
      const string = n('count') * n('vf');
      const rest = n('v') - string;
      if (rest <= 0)
        return {
          wrong: `${n('count')} of them take ${q(string, 'volt')}, and the supply gives ${q(n('v'), 'volt')}: fewer in series.`,
          field: 'count',
        };
      const resistor = rest / n('i');
      const most = (n('v') * (1 + n('spread')) - 0.95 * string) / resistor;
      const mark: Mark = most > 1.5 * n('i') ? 'warn' : 'ok';
      return {
        answer: `${q(resistor, 'ohm')} in series`,
        more:
          mark === 'warn'
            ? `So little is left for the resistor that the current may reach ${q(most, 'ampere')}: one LED less.`
            : `The current may reach ${q(most, 'ampere')}.`,
        mark,
        figures: [
          figure('resistor', 'resistor', resistor, 'ohm'),
          figure('heat', 'its heat', rest * n('i'), 'watt'),
          figure('most', 'current at worst', most, 'ampere'),
          figure('used', 'of the power in the LEDs', string / n('v'), 'ratio'),
        ],
        why: ['A fifth of the voltage across the resistor keeps the current within bounds.'],
        cautions: ['A supply for LEDs that is not isolated is live at its output.'],
        next: 'For more than some tens of milliamperes a current regulator wastes less.',
      };
    },
    formula: ['R = (V − n Vf)/I'],
    source: 'Physics',
  },
  {
    id: 'battery',
    question: 'make',
    title: 'A battery from a supply',
    words: 'battery charge charger lead lithium current limit',
    fields: [
      { id: 'kind', label: 'battery', choices: Object.keys(CELLS), usual: 'lead-acid, 6 cells' },
      { id: 'cells', label: 'in series', unit: 'count', usual: '1' },
      { id: 'ah', label: 'capacity, Ah', unit: 'count', usual: '7' },
      { id: 'v', label: 'supply', unit: 'volt', usual: '14.4V', plate: 'volts' },
      { id: 'i', label: 'its current limit', unit: 'ampere', usual: '1A', plate: 'amperes' },
    ],
    work: ({ n, t }) => {
      const [full, usual, rate] = CELLS[t('kind')] ?? [14.4, 13.6, 0.1];
      const [wanted, floating] = [full * n('cells'), usual * n('cells')];
      const most = rate * n('ah') * (t('kind').startsWith('lead') ? 2 : 1);
      const high = n('v') / wanted - 1;
      const isLithium = t('kind').startsWith('li') || t('kind').startsWith('Li');
      const mark: Mark =
        high > 0.01 && isLithium
          ? 'danger'
          : high > 0.03 || n('i') > most * 1.05
            ? 'reject'
            : high < -0.1
              ? 'warn'
              : 'ok';
      return {
        answer:
          mark === 'danger' || high > 0.03
            ? `Too much: ${q(wanted, 'volt')} is the end of its charge`
            : n('i') > most * 1.05
              ? `Too much current: ${q(most, 'ampere')} at most`
              : `Full after about ${q((n('ah') / n('i')) * 1.2, 'hour', 2)}`,
        mark,
        figures: [
          figure('wanted', 'end of charge', wanted, 'volt'),
          figure('floating', 'usual', floating, 'volt'),
          figure('most', 'current at most', most, 'ampere'),
          figure('hours', 'time, about', (n('ah') / n('i')) * 1.2, 'hour'),
          figure('power', 'power', wanted * n('i'), 'watt'),
        ],
        why: [
          'An adapter holds a voltage and cuts out above its current: it charges only where it limits the current and goes on.',
        ],
        cautions: [
          isLithium
            ? 'Lithium burns when it is overcharged: never without a protection and a balancer for its cells, never unwatched.'
            : 'Charge where gas can leave, away from flames.',
          'A diode towards the battery keeps it from feeding a dead supply.',
        ],
        next:
          mark === 'ok'
            ? 'Trim the voltage with the battery off, and fuse its lead at the battery.'
            : 'Take a charger made for it.',
      };
    },
    formula: ['t ≈ 1.2 Ah / I'],
    source: 'Common practice, no source',
  },
  {
    id: 'fan',
    question: 'stand',
    title: 'A fan at reduced voltage',
    words: 'fan speed noise flow pressure voltage',
    fields: [
      { id: 'rated', label: 'rated for', unit: 'volt', usual: '12V', from: 'vn' },
      { id: 'v', label: 'run at', unit: 'volt', usual: '7V' },
      { id: 'p', label: 'its power at the rated voltage', unit: 'watt', usual: '2.4W' },
    ],
    work: ({ n }) => {
      const share = n('v') / n('rated');
      const mark: Mark = share < 5 / 12 ? 'reject' : share < 7 / 12 ? 'warn' : share > 1.1 ? 'warn' : 'ok';
      return {
        answer: `${q(share, 'ratio', 2)} of its air, ${(50 * Math.log10(share)).toFixed(1).replace('-', '−')} dB of noise`,
        more:
          mark === 'reject'
            ? 'It may not start: not as the only cooling.'
            : mark === 'warn' && share < 1
              ? 'It may need a push to start.'
              : share > 1.1
                ? 'Above its rating: it wears out early.'
                : 'It starts and runs.',
        mark,
        figures: [
          figure('speed', 'speed and flow', share, 'ratio'),
          figure('pressure', 'pressure', share ** 2, 'ratio'),
          figure('power', 'power', n('p') * share ** 3, 'watt'),
          figure(
            'derate',
            'output of what it cools, until measured',
            Math.min(1, 0.7 + 0.3 * Math.max(0, (share - 7 / 12) / (5 / 12))),
            'ratio',
          ),
        ],
        curve: {
          caption: 'flow, pressure and power over voltage, of what they are at the rated one',
          x: { label: 'volts', unit: 'volt' },
          y: { label: 'share', unit: 'ratio' },
          lines: [
            { label: 'flow', points: drawn([0.4 * n('rated'), n('rated')], (v) => v / n('rated')) },
            {
              label: 'pressure',
              isFaint: true,
              points: drawn([0.4 * n('rated'), n('rated')], (v) => (v / n('rated')) ** 2),
            },
            {
              label: 'power',
              isFaint: true,
              points: drawn([0.4 * n('rated'), n('rated')], (v) => (v / n('rated')) ** 3),
            },
          ],
          here: [n('v'), share],
        },
        why: ['Flow goes with the speed, pressure with its square, power with its cube.'],
        cautions: ['Measure the hottest part before a slow fan is left alone with it.'],
        next: 'Between +12 and +5 V of a computer supply lie 7 V: but only where the 5 V rail is loaded and can take current in.',
      };
    },
    formula: ['n ~ V', 'p ~ n²', 'P ~ n³', 'ΔL = 50 log₁₀(n₂/n₁)'],
    source: 'Fan laws of handbooks, from memory; starting voltages are common practice, no source',
  },
  {
    id: 'minimum-load',
    question: 'make',
    title: 'A load resistor',
    words: 'dummy load minimum load resistor watts',
    fields: [
      { id: 'v', label: 'output', unit: 'volt', usual: '5V', plate: 'volts' },
      { id: 'i', label: 'load wanted', unit: 'ampere', usual: '5A' },
    ],
    work: ({ n }) => {
      const [ohms, heat] = [n('v') / n('i'), n('v') * n('i')];
      return {
        answer: `${q(ohms, 'ohm')} for ${q(2 * heat, 'watt')}`,
        more: `It turns ${q(heat, 'watt')} into heat.`,
        mark: heat > 10 ? 'warn' : 'ok',
        figures: [
          figure('ohms', 'resistor', ohms, 'ohm'),
          figure('heat', 'heat', heat, 'watt'),
          figure('rating', 'rating', 2 * heat, 'watt'),
        ],
        why: ['A resistor in free air is used to half of what is printed on it.'],
        cautions: ['It gets hot enough to burn skin and bench: stand it on something that does not mind.'],
        next: 'Older supplies need a tenth of the current on their regulated rail before the others are right.',
      };
    },
    formula: ['R = V/I', 'P = V I'],
    source: 'Physics; the factor of two is common practice, no source',
  },
  {
    id: 'dropper',
    question: 'safe',
    title: 'A dropper supply',
    words: 'capacitive dropper X capacitor mains current live',
    fields: [
      { id: 'v', label: 'mains', unit: 'volt', usual: '230V' },
      { id: 'line', label: 'line frequency', unit: 'hertz', usual: '50Hz' },
      { id: 'c', label: 'capacitor', unit: 'farad', usual: '330n', from: 'capacitance' },
      { id: 'out', label: 'output', unit: 'volt', usual: '24V' },
      { id: 'kind', label: 'rectified', choices: ['by a bridge', 'by one diode and a zener'], usual: 'by a bridge' },
      { id: 'r', label: 'resistor in series', unit: 'ohm', usual: '47R' },
    ],
    work: ({ n, t }) => {
      const isBridge = t('kind') === 'by a bridge';
      const peak = n('v') * Math.SQRT2;
      if (n('out') >= peak / 2) return { wrong: 'Such a supply makes a small part of the mains only.', field: 'out' };
      // The charge that goes through the capacitor from one peak to the other, each half or every second half wave.
      const current = (isBridge ? 4 : 2) * n('line') * n('c') * (peak - (isBridge ? n('out') : n('out') / 2));
      const rms = 2 * Math.PI * n('line') * n('c') * n('v');
      return {
        answer: `At most ${q(current, 'ampere')} at ${q(n('out'), 'volt')}`,
        more: 'Its output is live: there is no isolation.',
        mark: 'danger',
        figures: [
          figure('current', 'output current at most', current, 'ampere'),
          figure('power', 'output power at most', current * n('out'), 'watt'),
          figure('rms', 'through the capacitor, rms', rms, 'ampere'),
          figure('heat', 'heat of the resistor', rms ** 2 * n('r'), 'watt'),
          figure('surge', 'current at switch-on', peak / n('r'), 'ampere'),
          figure('zener', 'heat of its zener without a load', current * n('out'), 'watt'),
        ],
        why: ['The capacitor lets a current through, not a voltage: what the load does not take the zener must.'],
        cautions: [
          'Everything behind it is at the mains: never touch, never join to anything. The capacitor is class X with a bleed resistor across it.',
        ],
        next: 'A dropper that gives too little has a capacitor that lost its value: measure it, dead.',
      };
    },
    formula: ['bridge I = 4 f C (V̂ − Vo)', 'one diode I = 2 f C (V̂ − Vo/2)'],
    source: 'Physics: charge in each half wave',
    isMains: true,
  },
  {
    id: 'pulse',
    question: 'stand',
    title: 'A pulse into a resistor or a string',
    words: 'pulse unit dump energy flash capacitor discharge',
    fields: [
      { id: 'c', label: 'capacitance', unit: 'farad', usual: '100u', from: 'capacitance' },
      { id: 'v', label: 'charged to', unit: 'volt', usual: '320V' },
      { id: 'r', label: 'into', unit: 'ohm', usual: '10R', from: 'resistance' },
      { id: 'rated', label: 'resistor rated for', unit: 'watt', usual: '5W', from: 'power' },
      { id: 'each', label: 'a pulse every', unit: 'second', usual: '2s' },
    ],
    work: ({ n }) => {
      const energy = (n('c') * n('v') ** 2) / 2;
      const mean = energy / n('each');
      const stands = 6.25 * n('rated') * 5;
      const peak = n('v') / n('r');
      const mark: Mark =
        energy > stands || mean > n('rated')
          ? 'reject'
          : energy > 0.5 * stands || mean > 0.5 * n('rated')
            ? 'warn'
            : 'ok';
      return {
        answer: `${q(energy, 'joule')} each, ${q(mean, 'watt')} on average`,
        more: mark === 'reject' ? 'The resistor does not stand it.' : 'The resistor stands it.',
        mark,
        figures: [
          figure('energy', 'energy of a pulse', energy, 'joule'),
          figure('mean', 'power on average', mean, 'watt'),
          figure('peak', 'peak current', peak, 'ampere'),
          figure('first', 'power at first', n('v') * peak, 'watt'),
          figure('length', 'half of it is over after', 0.35 * n('c') * n('r'), 'second'),
          figure('stands', 'pulse a wirewound stands', stands, 'joule'),
        ],
        why: ['A wirewound resistor takes about thirty times its watts in one pulse; film takes a fraction of that.'],
        cautions: [
          'A unit that makes pulses holds a charge that can kill: discharge each capacitor and measure it. Capacitors in series keep charge of both signs after a dump.',
        ],
        next: 'Hold the peak current against the switch and the capacitors: electrolytics for flash are made for it, others are not.',
      };
    },
    formula: ['E = C V²/2', 'P = E/T', 'pulse ≤ 6.25 P · 5 s'],
    source: 'Overload pattern of IEC 60115-1, from memory',
    isMains: true,
  },
  {
    id: 'meter',
    question: 'stand',
    title: 'How sure a reading is',
    words: 'meter uncertainty accuracy digits limit',
    fields: [
      { id: 'x', label: 'reading', unit: 'volt', usual: '12.34V' },
      { id: 'percent', label: 'accuracy, of the reading', unit: 'ratio', usual: '0.5%', mayBeZero: true },
      { id: 'digits', label: 'and digits', unit: 'count', usual: '2', mayBeZero: true },
      { id: 'step', label: 'one digit is', unit: 'volt', usual: '10m' },
      { id: 'limit', label: 'held against', unit: 'volt', usual: '12.6V' },
    ],
    work: ({ n }) => {
      const bound = n('percent') * n('x') + n('digits') * n('step');
      const standard = bound / Math.sqrt(3);
      const apart = (n('limit') - n('x')) / standard;
      const chance = normalCdf(apart);
      const isSure = chance >= 0.95 || chance <= 0.05;
      return {
        answer: `${q(n('x'), 'volt', 4)} ± ${q(2 * standard, 'volt', 2)}`,
        more: !isSure
          ? 'It cannot be told on which side of the limit it is.'
          : chance >= 0.95
            ? 'It is below the limit.'
            : 'It is above the limit.',
        mark: isSure ? 'ok' : 'cannot tell',
        figures: [
          figure('bound', 'the meter may be off by', bound, 'volt'),
          figure('standard', 'standard uncertainty', standard, 'volt'),
          figure('expanded', 'about 95 of 100 lie within', 2 * standard, 'volt'),
          figure('chance', 'chance that it is below the limit', chance, 'ratio'),
        ],
        why: [
          'A bound of a meter counts as evenly likely within it: its standard uncertainty is the bound over the root of three.',
        ],
        cautions: ['For a limit of safety the reading and all of its uncertainty must lie on the safe side.'],
        next: isSure
          ? 'Nothing more is needed.'
          : `A meter is needed that is off by less than ${q((Math.abs(n('limit') - n('x')) * Math.sqrt(3)) / 1.645, 'volt', 2)}.`,
      };
    },
    formula: ['u = a/√3', 'U = 2u', 'p = Φ((L − x)/u)'],
    source: 'JCGM 100 (GUM)',
  },
];
