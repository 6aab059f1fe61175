import { clampOf, damped, ringOf, snubberHeat } from '../converter';
import { E24, nearestOf } from '../marking';
import { drawn, figure, q, type Mark, type Sum } from './sum';

/** Values of E12 and E6, of which resistors and capacitors of a snubber are taken. */
const E12 = E24.filter((_, index) => index % 2 === 0);
const E6 = E24.filter((_, index) => index % 4 === 0);

export const RINGING: readonly Sum[] = [
  {
    id: 'snubber',
    question: 'fail',
    title: 'Snubber from ringing',
    words: 'snubber RC ringing damping EMI spike',
    fields: [
      { id: 'alone', label: 'the ring alone', unit: 'hertz', usual: '4M4' },
      { id: 'added', label: 'capacitor added', unit: 'farad', usual: '100p' },
      { id: 'slowed', label: 'the ring then', unit: 'hertz', usual: '3M1' },
      { id: 'keeps', label: 'each swing keeps of the last', unit: 'ratio', usual: '80%' },
      { id: 'swing', label: 'swing across it', unit: 'volt', usual: '436V' },
      { id: 'f', label: 'switches at', unit: 'hertz', usual: '100k' },
      { id: 'heat', label: 'heat you accept', unit: 'watt', usual: '3W' },
    ],
    work: ({ n }) => {
      const ring = ringOf({ alone: n('alone'), added: n('added'), slowed: n('slowed') });
      if (!ring)
        return {
          wrong: `The capacitor must slow the ring: less than ${q(n('alone'), 'hertz')} is expected.`,
          field: 'slowed',
        };
      const before = n('keeps');
      if (before >= 1) return { wrong: 'A swing keeps less than all of the one before.', field: 'keeps' };
      const ohms = nearestOf(ring.impedance, E12);
      // What the ring loses of itself goes on beside the snubber.
      const own = -Math.log(before) * n('alone');
      const withOwn = ({ decay, swing }: ReturnType<typeof damped>) => ({
        decay: decay + own,
        swing,
        left: Math.exp((-2 * Math.PI * (decay + own)) / Math.max(swing, 1e-9)),
      });
      const options = [1, 1.5, 2.2, 3.3, 4.7].map((factor) => {
        const farads = nearestOf(ring.capacitance * factor, E6);
        return {
          farads,
          heat: snubberHeat({ farads, volts: n('swing'), frequency: n('f') }),
          ...withOwn(damped(ring, { ohms, farads })),
        };
      });
      const unique = options.filter((one, index) => options.findIndex(({ farads }) => farads === one.farads) === index);
      const fitting = unique.filter(({ heat }) => heat <= n('heat'));
      const chosen = fitting.at(-1) ?? unique[0]!;
      const omega = 2 * Math.PI * n('alone');
      return {
        answer: `${q(ohms, 'ohm')} and ${q(chosen.farads, 'farad')} in series, across the switch`,
        more: `Each swing keeps ${q(chosen.left, 'ratio', 2)} of the one before, for ${q(chosen.heat, 'watt', 2)} of heat.`,
        mark: fitting.length === 0 ? 'warn' : 'ok',
        figures: [
          figure('capacitance', 'capacitance that rings', ring.capacitance, 'farad'),
          figure('inductance', 'inductance that rings', ring.inductance, 'henry'),
          figure('impedance', 'they act as', ring.impedance, 'ohm'),
          figure('heat', 'heat of the resistor', chosen.heat, 'watt'),
          figure('rating', 'resistor to take', 2 * chosen.heat, 'watt'),
        ],
        choices: {
          head: ['capacitor', 'each swing falls to', 'heat', ''],
          rows: unique.map((one) => {
            const isHot = one.heat > n('heat');
            return {
              cells: [
                q(one.farads, 'farad'),
                `${q(one.left, 'ratio', 2)} of the last`,
                q(one.heat, 'watt', 2),
                isHot ? 'too hot' : one === chosen ? 'fits best' : 'fits',
              ],
              mark: (isHot ? 'reject' : 'ok') as Mark,
              ...(one === chosen ? { isChosen: true as const } : {}),
            };
          }),
        },
        curve: {
          caption: 'the ring with the snubber and without, about where it comes to rest',
          x: { label: 'time', unit: 'second' },
          y: { label: 'volts', unit: 'volt' },
          lines: [
            {
              label: 'without',
              isFaint: true,
              points: drawn(
                [0, 6 / n('alone')],
                (t) => 0.3 * n('swing') * Math.cos(omega * t) * before ** (t * n('alone')),
                241,
              ),
            },
            {
              label: 'with the snubber',
              points: drawn(
                [0, 6 / n('alone')],
                (t) => 0.3 * n('swing') * Math.cos(chosen.swing * t) * Math.exp(-chosen.decay * t),
                241,
              ),
            },
          ],
        },
        picture: {
          kind: 'in series',
          words: {
            from: 'drain',
            to: 'source',
            resistor: `${q(ohms, 'ohm')} ${q(2 * chosen.heat, 'watt', 2)}`,
            capacitor: `${q(chosen.farads, 'farad')} ${q(2 * n('swing'), 'volt', 2)}`,
            resistorKind: 'metal oxide, not wire-wound',
            capacitorKind: 'C0G or film',
          },
        },
        why: [
          `${q(n('added'), 'farad')} slowed the ring by ${(n('alone') / n('slowed')).toFixed(2)}, so ${q(ring.capacitance, 'farad')} was there already.`,
          `Together they act as ${q(ring.impedance, 'ohm')}; the nearest E12 value is ${q(ohms, 'ohm')}.`,
        ],
        cautions: [
          'Your probe is part of that capacitance. A snubber calms the ring; a clamp, not a snubber, holds the peak.',
          'A resistor wound of wire has inductance of its own: metal oxide or carbon.',
        ],
        next: `Read the bulk dead, then fit ${q(ohms, 'ohm')} for ${q(2 * chosen.heat, 'watt', 2)} and ${q(chosen.farads, 'farad')} of C0G or film for twice the swing.`,
      };
    },
    readings: [
      'Use an isolated or differential probe at the switch: the ground clip of an oscilloscope on the mains side is a short.',
      'Time ten swings after the switch opens. Ten over that time is the ring.',
      'Unplug, read the bulk dead, solder the capacitor across the switch, and time it again.',
    ],
    formula: ['C = Ca / ((f₀/f₁)² − 1)', 'L = 1 / ((2π f₀)² C)', 'R = √(L/C)', 'P = Cs V² f'],
    source: 'Ringing-frequency method of makers’ notes, from memory; E12 after IEC 60063',
    isMains: true,
  },
  {
    id: 'clamp',
    question: 'fail',
    title: 'Clamp over a primary',
    words: 'RCD clamp leakage flyback TVS spike',
    fields: [
      { id: 'leak', label: 'leakage inductance', unit: 'henry', usual: '10u' },
      { id: 'i', label: 'peak current', unit: 'ampere', usual: '1.47A' },
      { id: 'f', label: 'frequency', unit: 'hertz', usual: '65k' },
      { id: 'vor', label: 'the output reflects', unit: 'volt', usual: '100V' },
      { id: 'vc', label: 'clamp at', unit: 'volt', usual: '170V' },
      { id: 'vin', label: 'highest bulk', unit: 'volt', usual: '375V' },
      { id: 'rated', label: 'the switch is rated for', unit: 'volt', usual: '650V', from: 'vds' },
    ],
    work: ({ n }) => {
      const of = { leakage: n('leak'), peak: n('i'), frequency: n('f'), reflected: n('vor'), ripple: 0.05 };
      const came = clampOf({ ...of, clamp: n('vc') });
      if (!came)
        return {
          wrong: `The clamp must stand above what the output reflects, ${q(n('vor'), 'volt')}: below, it takes the whole power.`,
          field: 'vc',
        };
      const stands = n('vin') + n('vc');
      const ratio = stands / n('rated');
      const heatAt = (clamp: number) => clampOf({ ...of, clamp })?.heat ?? NaN;
      return {
        answer: `${q(nearestOf(came.ohms, E12), 'ohm')} and ${q(nearestOf(came.farads, E6), 'farad')}`,
        more: `The resistor takes ${q(came.heat, 'watt')}; the switch stands ${q(stands, 'volt')}.`,
        mark: ratio >= 1 ? 'reject' : ratio > 0.9 ? 'warn' : 'ok',
        figures: [
          figure('leaked', 'power of the leakage', came.leaked, 'watt'),
          figure('heat', 'heat of the resistor', came.heat, 'watt'),
          figure('ohms', 'resistor', came.ohms, 'ohm'),
          figure('farads', 'capacitor', came.farads, 'farad'),
          figure('stands', 'switch stands', stands, 'volt'),
          figure('ratio', 'of its rating', ratio, 'ratio'),
        ],
        curve: {
          caption: 'heat of the resistor over the voltage of the clamp',
          x: { label: 'clamp', unit: 'volt' },
          y: { label: 'heat', unit: 'watt' },
          lines: [{ label: 'heat', points: drawn([n('vor') * 1.15, n('vor') * 3], heatAt) }],
          limits: [{ label: 'power of the leakage', y: came.leaked }],
          here: [n('vc'), came.heat],
        },
        why: ['The nearer the clamp to what the output reflects, the more of the main energy it takes along.'],
        cautions: [
          'A dried or open clamp shows first as a dead switch: both are replaced together.',
          'The diode is a fast one for the voltage of the switch; the resistor stands the clamp voltage.',
        ],
        next: 'Between 1.3 and 2 times what is reflected is usual.',
      };
    },
    formula: ['P = ½ L I² f · Vc/(Vc − VOR)', 'R = Vc²/P', 'C = 1/(0.05 R f)'],
    source: 'Makers’ notes on flyback clamps, from memory',
    isMains: true,
  },
];
