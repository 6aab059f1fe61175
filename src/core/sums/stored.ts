import {
  bankProblemText,
  bleedThrough,
  bleedToolText,
  CAPACITANCE_UPPER,
  hazardBand,
  largestBleed,
  largestFilterBleeds,
  linkVoltages,
  METER_LIMIT,
  parseBank,
  REBOUND_SHARE,
  SOLDER_LIMIT,
  storedEnergy,
  suggestBleed,
  timeAtConstantPower,
  timeToLimit,
} from '../safety';
import { formatDuration } from '../quantity';
import { drawn, figure, q, type Mark, type Sum } from './sum';

const ONLY_A_READING = 'Only a reading makes it safe: measure each capacitor, wait a minute, and measure again.';

export const STORED: readonly Sum[] = [
  {
    id: 'bank',
    question: 'safe',
    title: 'Several capacitors together',
    words: 'bank capacitors parallel series energy 2x470u',
    fields: [
      { id: 'bank', label: 'capacitors', usual: '2 x 470u 200V series' },
      { id: 'v', label: 'charged to', unit: 'volt', usual: '325V' },
    ],
    work: ({ n, t, touch }) => {
      const parsed = parseBank(t('bank'));
      if (!parsed.ok) return { wrong: bankProblemText(parsed.problem), field: 'bank' };
      const { capacitance, links, ratedVoltage } = parsed.bank;
      const voltage = n('v');
      const energy = storedEnergy({ capacitance, voltage });
      const largest = capacitance * CAPACITANCE_UPPER;
      const band = hazardBand({
        voltage,
        energy: storedEnergy({ capacitance: largest, voltage }),
        capacitance: largest,
        touchLimit: touch,
      });
      const volts = linkVoltages(links, voltage);
      const isOver = links.some(
        (link, index) => link.ratedVoltage !== undefined && volts[index]!.worst > link.ratedVoltage,
      );
      return {
        answer: `${q(capacitance, 'farad')} holding ${q(energy, 'joule')}: ${band.title}`,
        ...(isOver ? { more: 'One of the string may take more than it is rated for: see the table.' } : {}),
        mark: band.severity,
        figures: [
          figure('capacitance', 'capacitance', capacitance, 'farad'),
          figure('energy', 'energy', energy, 'joule'),
          ...(ratedVoltage === undefined ? [] : [figure('rated', 'rated for', ratedVoltage, 'volt')]),
        ],
        ...(links.length > 1
          ? {
              choices: {
                head: ['in series', 'share', 'at worst', 'rated'],
                rows: links.map((link, index) => ({
                  cells: [
                    `${link.count > 1 ? `${link.count} × ` : ''}${q(link.capacitance / link.count, 'farad')}`,
                    q(volts[index]!.nominal, 'volt'),
                    q(volts[index]!.worst, 'volt'),
                    link.ratedVoltage === undefined ? '' : q(link.ratedVoltage, 'volt'),
                  ],
                })),
              },
            }
          : {}),
        why: ['Beside each other they add; in series the reciprocals add, and the smallest takes the most.'],
        cautions: [
          ONLY_A_READING,
          ...(links.length > 1 ? ['A string that is shorted keeps charge of both signs: measure each of it.'] : []),
        ],
        next: band.instruction,
      };
    },
    formula: ['C = ΣC', '1/C = Σ1/C', 'E = C V²/2'],
    source: 'Physics; thresholds after NFPA 70E article 360 and IEC 62368-1, from memory',
    isMains: true,
  },
  {
    id: 'charge',
    question: 'safe',
    title: 'What a capacitor still holds',
    words: 'stored energy charge joule hazard',
    fields: [
      { id: 'c', label: 'capacitance', unit: 'farad', usual: '150u', from: 'capacitance' },
      { id: 'v', label: 'charged to', unit: 'volt', usual: '325V', from: 'voltage' },
      { id: 'count', label: 'of them side by side', unit: 'count', usual: '1' },
    ],
    work: ({ n, touch }) => {
      const [capacitance, voltage] = [n('c') * n('count'), n('v')];
      const energy = storedEnergy({ capacitance, voltage });
      const largest = capacitance * CAPACITANCE_UPPER;
      const atMost = storedEnergy({ capacitance: largest, voltage });
      const band = hazardBand({ voltage, energy: atMost, capacitance: largest, touchLimit: touch });
      const tool = suggestBleed({ start: voltage, capacitance: largest, touchLimit: touch });
      return {
        answer: `${q(energy, 'joule')}: ${band.title}`,
        more: `It may be ${q(atMost, 'joule')}, as a capacitor may have a fifth more than it says.`,
        mark: band.severity,
        figures: [
          figure('energy', 'energy', energy, 'joule'),
          figure('most', 'energy at most', atMost, 'joule'),
          figure('charge', 'charge', capacitance * voltage, 'coulomb'),
          figure('rebound', 'may come back after a short discharge', voltage * REBOUND_SHARE.high, 'volt'),
        ],
        curve: {
          caption: 'energy over voltage',
          x: { label: 'volts', unit: 'volt' },
          y: { label: 'energy', unit: 'joule' },
          lines: [
            {
              label: 'energy',
              points: drawn([0, voltage * 1.2], (one) => storedEnergy({ capacitance, voltage: one })),
            },
          ],
          limits: [{ label: '10 J, can kill', y: 10 }].filter(({ y }) => y < atMost * 1.6),
          here: [voltage, energy],
        },
        why: [
          `Half of ${q(capacitance, 'farad')} times ${q(voltage, 'volt')} squared.`,
          `Above ${touch} V a shock is possible; from 1 J it injures, from 10 J it can kill.`,
        ],
        cautions: [ONLY_A_READING],
        next: tool
          ? `${band.instruction} A fitting tool: ${bleedToolText(tool)}.`
          : `${band.instruction} No tool of usual resistors fits: leave it to someone equipped for high voltage.`,
      };
    },
    formula: ['E = C V² / 2', 'Q = C V'],
    source: 'Physics; thresholds after NFPA 70E article 360 and IEC 62368-1, from memory',
    isMains: true,
  },
  {
    id: 'discharge',
    question: 'safe',
    title: 'Time until it is discharged',
    words: 'bleed resistor time constant RC wait',
    fields: [
      { id: 'c', label: 'capacitance', unit: 'farad', usual: '150u', from: 'capacitance' },
      { id: 'v', label: 'charged to', unit: 'volt', usual: '325V', from: 'voltage' },
      { id: 'r', label: 'through', unit: 'ohm', usual: '2k2', from: 'resistance' },
    ],
    work: ({ n, touch }) => {
      const [capacitance, start, resistance] = [n('c'), n('v'), n('r')];
      const plan = bleedThrough({ start, capacitance, resistance, touchLimit: touch });
      const until = (limit: number) => timeToLimit({ start, limit, capacitance, resistance });
      return {
        answer:
          start <= touch
            ? `Under ${METER_LIMIT.volts} V after ${formatDuration(until(METER_LIMIT.volts))}`
            : `Under ${touch} V after ${formatDuration(plan.timeToTouch)}`,
        more: `It falls to a third every ${formatDuration(plan.timeConstant * Math.log(3))}.`,
        figures: [
          figure('tau', 'time constant', plan.timeConstant, 'second'),
          figure('touch', `to ${touch} V`, plan.timeToTouch, 'second'),
          figure('solder', `to ${SOLDER_LIMIT.volts} V, to unsolder`, plan.timeToSolder, 'second'),
          figure('meter', `to ${METER_LIMIT.volts} V, to measure it`, plan.timeToMeter, 'second'),
          figure('current', 'current at first', plan.initialCurrent, 'ampere'),
          figure('power', 'power at first', plan.initialPower, 'watt'),
        ],
        curve: {
          caption: 'volts left over time',
          x: { label: 'time', unit: 'second' },
          y: { label: 'volts', unit: 'volt' },
          lines: [
            {
              label: 'volts left',
              points: drawn([0, 5 * plan.timeConstant], (t) => start * Math.exp(-t / plan.timeConstant)),
            },
          ],
          limits: [{ label: `${touch} V`, y: touch }].filter(({ y }) => y < start),
        },
        why: [
          `${q(resistance, 'ohm')} times ${q(capacitance, 'farad')} is ${q(plan.timeConstant, 'second')}.`,
          'A converter that still runs from it takes a constant power, and stops with 40 to 100 V left.',
        ],
        cautions: [ONLY_A_READING],
        next: 'Unplug it, wait at least so long, and measure.',
      };
    },
    formula: ['V(t) = V₀ e^(−t/RC)', 't = R C ln(V₀/V)', 'P₀ = V₀² / R'],
    source: 'Physics',
    isMains: true,
  },
  {
    id: 'bleeder',
    question: 'safe',
    title: 'A resistor to discharge with',
    words: 'bleed tool bleeder discharge stick',
    fields: [
      { id: 'c', label: 'capacitance', unit: 'farad', usual: '220u', from: 'capacitance' },
      { id: 'v', label: 'charged to', unit: 'volt', usual: '400V', from: 'voltage' },
      { id: 'within', label: 'safe within', unit: 'second', usual: '5s' },
    ],
    work: ({ n, touch }) => {
      const [capacitance, start, within] = [n('c'), n('v'), n('within')];
      const largest = largestBleed({ start, limit: touch, capacitance, within });
      const tool = suggestBleed({ start, capacitance: capacitance * CAPACITANCE_UPPER, touchLimit: touch });
      if (start <= touch)
        return {
          wrong: `${q(start, 'volt')} may be touched already; more than ${touch} V is expected.`,
          field: 'v',
        };
      return {
        answer: `At most ${q(largest, 'ohm')}`,
        more: `With it, ${touch} V is reached after ${formatDuration(within)}.`,
        figures: [
          figure('most', 'largest resistor', largest, 'ohm'),
          figure('power', 'power at first', start ** 2 / largest, 'watt'),
          figure('energy', 'energy it takes in', storedEnergy({ capacitance, voltage: start }), 'joule'),
        ],
        why: [
          'A resistor for a tool must stand the voltage and the pulse, not only the watts of a while.',
          'One axial resistor of a quarter watt stands 250 V, of half a watt 350 V, of 1 to 5 W 500 V; common practice, no source.',
        ],
        cautions: [
          ONLY_A_READING,
          'A screwdriver is no tool: it pits the leads, can crack the part, and hides an open bleed resistor.',
        ],
        next: tool
          ? `A fitting tool of usual resistors: ${bleedToolText(tool)}.`
          : 'No tool of usual resistors fits this voltage.',
      };
    },
    formula: ['R = t / (C ln(V₀/V))', 'P₀ = V₀² / R'],
    source: 'Physics; voltages of resistors are common practice, no source',
    isMains: true,
  },
  {
    id: 'bleed',
    question: 'safe',
    title: 'Is the bleed resistor enough',
    words: 'X capacitor filter bleed plug prongs',
    fields: [
      { id: 'c', label: 'X capacitors together', unit: 'farad', usual: '470n', from: 'capacitance' },
      { id: 'v', label: 'mains', unit: 'volt', usual: '230V' },
      { id: 'r', label: 'bleed resistor', unit: 'ohm', usual: '1M', from: 'resistance' },
    ],
    work: ({ n }) => {
      const [capacitance, resistance] = [n('c'), n('r')];
      const peak = n('v') * 1.1 * Math.SQRT2;
      const rules = largestFilterBleeds({ capacitance, peak });
      const met = rules.filter(({ ohms }) => resistance <= ohms).length;
      const isAll = met === rules.length;
      const mark: Mark = isAll ? 'ok' : met === 0 ? 'danger' : 'warn';
      return {
        answer:
          rules.length === 0
            ? 'So little needs no bleed resistor'
            : isAll
              ? 'It is enough'
              : met === 0
                ? 'It is too large: the plug stays live'
                : 'It is enough by some rules, not by all',
        mark,
        figures: [
          figure('tau', 'time constant', resistance * capacitance, 'second'),
          figure('touch', 'to 60 V', timeToLimit({ start: peak, limit: 60, capacitance, resistance }), 'second'),
          figure('heat', 'heat all the time', n('v') ** 2 / resistance, 'watt'),
        ],
        choices: {
          head: ['rule', 'largest resistor', ''],
          rows: rules.map((rule) => ({
            cells: [
              `${rule.rule} (${rule.standard})`,
              q(rule.ohms, 'ohm'),
              resistance <= rule.ohms ? 'met' : 'not met',
            ],
            mark: resistance <= rule.ohms ? 'ok' : 'warn',
          })),
        },
        why: [`The mains may stand a tenth above its name: ${q(peak, 'volt')} at its peak.`],
        cautions: ['Two or more resistors in series stand the voltage and survive one that shorts.'],
        next: isAll
          ? 'Measure the resistor: a bleed that went open leaves the plug live.'
          : `Fit at most ${q(Math.min(...rules.map(({ ohms }) => ohms)), 'ohm')}, rated for the mains.`,
      };
    },
    formula: ['R ≤ 1 s / C', 'R ≤ t / (C ln(V̂/V))'],
    source: 'Limits of IEC 60950-1, IEC 62368-1 and IEC 60335-1, from memory',
    isMains: true,
  },
  {
    id: 'string',
    question: 'stand',
    title: 'Capacitors in series',
    words: 'series string balancing resistors derated rail',
    fields: [
      { id: 'count', label: 'in series', unit: 'count', usual: '2' },
      { id: 'c', label: 'capacitance of each', unit: 'farad', usual: '330u', from: 'capacitance' },
      { id: 'rated', label: 'rated for', unit: 'volt', usual: '250V', from: 'voltage' },
      { id: 'v', label: 'rail', unit: 'volt', usual: '400V' },
      { id: 'tolerance', label: 'tolerance', unit: 'ratio', usual: '20%' },
    ],
    work: ({ n }) => {
      const [count, capacitance, rated, rail, tolerance] = [n('count'), n('c'), n('rated'), n('v'), n('tolerance')];
      if (count < 2) return { wrong: 'A string has two or more: type how many.', field: 'count' };
      const room = count * rated - rail;
      // The largest voltage on one that is the smallest while all the others are the largest.
      const share = (1 + tolerance) / (1 + tolerance + (count - 1) * (1 - tolerance));
      const uneven = rail * share;
      const limit = rated / share;
      const leak = 0.0015 * (capacitance * 1e6) * rail * 1e-6;
      const resistor = room > 0 ? room / ((count - 1) * leak) : NaN;
      const each = rail / count;
      const mark: Mark = room <= 0 ? 'reject' : uneven > rated || each > 0.9 * rated ? 'warn' : 'ok';
      return {
        answer: room <= 0 ? 'The string does not stand it' : `${q(resistor, 'ohm', 2)} across each, or less`,
        more:
          room <= 0
            ? `${count} of ${q(rated, 'volt')} stand ${q(count * rated, 'volt')} at the very most.`
            : `Without them one of the string may take ${q(uneven, 'volt')}.`,
        mark,
        figures: [
          figure('capacitance', 'capacitance of the string', capacitance / count, 'farad'),
          figure('each', 'on each, balanced', each, 'volt'),
          figure('uneven', 'on one, not balanced', uneven, 'volt'),
          figure('limit', 'rail it stands without balancing', limit, 'volt'),
          figure('usable', 'the same at 80 %', 0.8 * limit, 'volt'),
          ...(room > 0
            ? [
                figure('resistor', 'balancing resistor', resistor, 'ohm'),
                figure('heat', 'heat of each resistor', each ** 2 / resistor, 'watt'),
              ]
            : []),
          figure(
            'energy',
            'energy of the string',
            storedEnergy({ capacitance: capacitance / count, voltage: rail }),
            'joule',
          ),
        ],
        picture: {
          kind: 'string',
          words: {
            top: q(rail, 'volt'),
            each: q(each, 'volt'),
            resistor: room > 0 ? q(resistor, 'ohm', 2) : '',
            capacitor: q(capacitance, 'farad'),
          },
        },
        why: [
          `Their leakage may differ by ${q(leak, 'ampere')}, the rule of a maker’s guide; the resistors carry it.`,
          `At ${q(tolerance, 'ratio')} tolerance the smallest takes ${q(share, 'ratio')} of the rail.`,
        ],
        cautions: [
          'Shorting the whole string leaves charge of both signs on its capacitors: each is discharged and measured by itself.',
          'Take them of one type and age; values more than a fifth apart do not go together.',
        ],
        next:
          room <= 0
            ? 'Put one more in series, or take parts for a higher voltage.'
            : 'Fit the resistors close to the capacitors, rated for twice their heat and for the voltage.',
      };
    },
    formula: ['R = (n Vr − V) / ((n − 1) ΔI)', 'ΔI = 0.0015 C V µA', 'V₁ = V C₂ / (C₁ + C₂)'],
    source: 'Guides of makers of electrolytic capacitors, from memory',
    isMains: true,
  },
  {
    id: 'standby',
    question: 'safe',
    title: 'A supply that runs itself down',
    words: 'standby converter constant power discharge hold',
    fields: [
      { id: 'c', label: 'bulk', unit: 'farad', usual: '150u', from: 'capacitance' },
      { id: 'v', label: 'charged to', unit: 'volt', usual: '325V' },
      { id: 'p', label: 'it takes', unit: 'watt', usual: '2W' },
      { id: 'stops', label: 'it stops at', unit: 'volt', usual: '80V' },
    ],
    work: ({ n, touch }) => {
      const [capacitance, from, watts, to] = [n('c'), n('v'), n('p'), n('stops')];
      if (to >= from) return { wrong: `It must stop below ${q(from, 'volt')}.`, field: 'stops' };
      const seconds = timeAtConstantPower({ capacitance, from, to, watts });
      return {
        answer: `${q(to, 'volt')} is left after ${formatDuration(seconds)}, and stays`,
        mark: to > touch ? 'danger' : 'warn',
        figures: [
          figure('time', 'runs for', seconds, 'second'),
          figure('left', 'left in it', storedEnergy({ capacitance, voltage: to }), 'joule'),
        ],
        curve: {
          caption: 'volts left over time',
          x: { label: 'time', unit: 'second' },
          y: { label: 'volts', unit: 'volt' },
          lines: [
            {
              label: 'volts left',
              points: drawn([0, seconds * 1.5], (t) =>
                Math.sqrt(Math.max(to ** 2, from ** 2 - (2 * watts * t) / capacitance)),
              ),
            },
          ],
          limits: [{ label: `${touch} V`, y: touch }],
        },
        why: ['A converter takes the same power at any voltage: the fall grows faster, and ends at once.'],
        cautions: [ONLY_A_READING],
        next: 'Never carry the first fall on to the end: measure after it has stopped, and discharge the rest.',
      };
    },
    formula: ['V² = V₀² − 2 P t / C'],
    source: 'Physics',
    isMains: true,
  },
];
