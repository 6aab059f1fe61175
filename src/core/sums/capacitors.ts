import { practice } from '../evidence';
import { largestLossFactor, remainingLife } from '../measure';
import { doubled, holdUp } from '../converter';
import { reservoirValley } from '../nameplate';
import { drawn, figure, plain, q, type Mark, type Sum } from './sum';

/** Kelvin of own heating that a can’s rated ripple gives, and that it stands; guides of makers, from memory. */
const HEATING = 5;
const HOURS_A_YEAR = 8766;
/** The mains may be so much higher than it says; and a can is used up to this share of its rating. */
const { mainsHigh: MAINS_HIGH, used: DERATED } = practice({ mainsHigh: 1.1, used: 0.9 });

export const CAPACITORS: readonly Sum[] = [
  {
    id: 'ripple',
    question: 'stand',
    title: 'Ripple current of a capacitor',
    words: 'ESR heating ripple rms electrolytic',
    fields: [
      { id: 'i', label: 'ripple current, rms', unit: 'ampere', usual: '1.2A' },
      { id: 'esr', label: 'ESR', unit: 'ohm', usual: '80m', from: 'esr' },
      { id: 'rated', label: 'ripple it is rated for', unit: 'ampere', usual: '1A', from: 'ripple' },
      { id: 'count', label: 'side by side', unit: 'count', usual: '1' },
    ],
    work: ({ n }) => {
      const each = n('i') / n('count');
      const heat = each ** 2 * n('esr');
      const share = each / n('rated');
      const rise = HEATING * share ** 2;
      const mark: Mark = share > 1.5 ? 'reject' : share > 1 ? 'warn' : 'ok';
      return {
        answer: `${q(heat, 'watt')} of heat in each, ${rise.toFixed(0)} K warmer inside`,
        more: mark === 'ok' ? 'Within its rating.' : `${q(share, 'ratio')} of what it is rated for.`,
        mark,
        figures: [
          figure('each', 'current in each', each, 'ampere'),
          figure('heat', 'heat in each', heat, 'watt'),
          figure('share', 'of its rating', share, 'ratio'),
          figure('life', 'life, against rated ripple', 2 ** ((HEATING - rise) / 5), 'ratio'),
          figure('needed', 'needed side by side', Math.ceil(n('i') / n('rated')), 'count'),
        ],
        curve: {
          caption: 'own heating over ripple current',
          x: { label: 'ripple current, rms', unit: 'ampere' },
          y: { label: 'kelvin', unit: 'count' },
          lines: [{ label: 'own heating', points: drawn([0, 2 * n('rated')], (i) => HEATING * (i / n('rated')) ** 2) }],
          limits: [{ label: 'rated', y: HEATING }],
          here: [Math.min(each, 2 * n('rated')), HEATING * Math.min(share, 2) ** 2],
        },
        why: [
          'Rated ripple warms the inside by about 5 K; heating goes with the square of the current.',
          'A dried can has several times the ESR, so the same ripple makes several times the heat: that is how it ends.',
        ],
        cautions: [
          'The rated ripple holds at one frequency: at 100 kHz a can stands more than at 120 Hz, by up to two.',
        ],
        next:
          mark === 'ok'
            ? 'Measure the ESR of the part itself, not of its type.'
            : `Put ${Math.ceil(n('i') / n('rated'))} side by side, or take one with a higher rating.`,
      };
    },
    formula: ['P = I² ESR', 'ΔT = 5 K (I/Ir)²'],
    source: 'Life guides of makers of electrolytic capacitors, from memory',
  },
  {
    id: 'life',
    question: 'stand',
    title: 'Years a capacitor has left',
    words: 'life hours electrolytic 105C ten degree rule',
    fields: [
      { id: 'hours', label: 'rated hours', unit: 'hour', usual: '2000h', from: 'life' },
      { id: 'rated', label: 'rated temperature', unit: 'celsius', usual: '105C', from: 'temperature' },
      { id: 'around', label: 'air at the can', unit: 'celsius', usual: '65C' },
      { id: 'ripple', label: 'ripple, of its rating', unit: 'ratio', usual: '100%', mayBeZero: true },
      { id: 'served', label: 'hours it has served', unit: 'hour', usual: '0h', mayBeZero: true },
      { id: 'day', label: 'hours of use a day', unit: 'count', usual: '24' },
    ],
    work: ({ n }) => {
      const facts = { ratedHours: n('hours'), ratedCelsius: n('rated'), rippleShare: n('ripple'), served: n('served') };
      const life = remainingLife({ ...facts, around: n('around') });
      const years = (hours: number) => hours / (n('day') * (HOURS_A_YEAR / 24));
      const shown = (hours: number) => Math.max(0, years(hours)).toFixed(1);
      const mark: Mark =
        life.left <= 0 ? 'reject' : life.low <= 0 ? 'cannot tell' : years(life.left) < 1 ? 'warn' : 'ok';
      return {
        answer:
          life.left <= 0
            ? 'Its hours are used up'
            : `${shown(life.left)} years, likely ${shown(life.low)} to ${shown(life.high)}`,
        ...(life.capped ? { more: 'Its seal ends first: no can is counted for more than 15 years.' } : {}),
        mark,
        figures: [
          figure('total', 'hours in all', life.total, 'hour'),
          figure('left', 'hours left', Math.max(0, life.left), 'hour'),
          plain('heating', 'own heating', life.heating, 'K'),
        ],
        curve: {
          caption: 'hours in all over the temperature of the air at the can',
          x: { label: 'air at the can', unit: 'celsius' },
          y: { label: 'hours', unit: 'hour' },
          lines: [
            {
              label: 'hours in all',
              points: drawn(
                [Math.min(n('around'), n('rated') - 60), n('rated')],
                (around) => remainingLife({ ...facts, around }).total,
              ),
            },
          ],
          here: [n('around'), life.total],
        },
        why: ['Ten degrees cooler is twice the life; ripple counts by its own heating.'],
        cautions: ['A can whose age and service are not known is measured, not reckoned.'],
        next:
          life.left <= 0
            ? 'Replace it, and all of its bank with it.'
            : 'Measure its capacitance, ESR and leakage: they say where it really stands.',
      };
    },
    formula: ['L = L₀ 2^((T₀−T)/10) 2^((5−ΔT)/5)', 'ΔT = 5 K (I/Ir)²'],
    source: 'Life guides of makers of electrolytic capacitors, from memory',
  },
  {
    id: 'worn',
    question: 'fail',
    title: 'Ripple from a worn capacitor',
    words: 'output ripple ESR dried high',
    fields: [
      { id: 'di', label: 'ripple of the current, peak to peak', unit: 'ampere', usual: '0.88A' },
      { id: 'f', label: 'frequency', unit: 'hertz', usual: '100k' },
      { id: 'c', label: 'capacitance left', unit: 'farad', usual: '100u', from: 'capacitance' },
      { id: 'esr', label: 'ESR now', unit: 'ohm', usual: '0R4', from: 'esr' },
      { id: 'v', label: 'rated for', unit: 'volt', usual: '16V', from: 'voltage' },
      { id: 'limit', label: 'ripple allowed, peak to peak', unit: 'volt', usual: '120m' },
    ],
    work: ({ n }) => {
      const [di, f, c, esr] = [n('di'), n('f'), n('c'), n('esr')];
      const [charge, across] = [di / (8 * f * c), di * esr];
      const total = charge + across;
      const sound = largestLossFactor({ capacitance: c, voltage: n('v') }) / (2 * Math.PI * 120 * c);
      const mark: Mark = total > n('limit') ? 'reject' : total > 0.7 * n('limit') ? 'warn' : 'ok';
      return {
        answer: `${q(total, 'volt')} of ripple`,
        more:
          across > 3 * charge ? 'Nearly all of it comes from the ESR.' : 'Both the capacitance and the ESR make it.',
        mark,
        figures: [
          figure('charge', 'from the capacitance', charge, 'volt'),
          figure('across', 'from the ESR', across, 'volt'),
          figure('total', 'together, at most', total, 'volt'),
          figure('heat', 'heat in it', (di ** 2 / 12) * esr, 'watt'),
          figure('sound', 'ESR its loss factor allows at 120 Hz', sound, 'ohm'),
          figure('most', 'most ESR for the ripple allowed', Math.max(0, (n('limit') - charge) / di), 'ohm'),
        ],
        why: ['At these frequencies the ESR decides; capacitance is plenty even when half of it is gone.'],
        cautions: ['Cans of one bank have aged together: they are replaced together.'],
        next:
          mark === 'ok'
            ? 'Look for another cause: the choke, the rectifier, the loop.'
            : 'Replace the whole bank with low-impedance parts of at least the same ripple rating.',
      };
    },
    formula: ['ΔV = ΔI / (8 f C) + ΔI ESR'],
    source: 'Erickson & Maksimovic, chapter 2, from memory',
  },
  {
    id: 'holdup',
    question: 'stand',
    title: 'Hold-up and the valley of a bulk',
    words: 'bulk hold-up valley ripple reservoir',
    fields: [
      { id: 'c', label: 'bulk', unit: 'farad', usual: '100u', from: 'capacitance' },
      { id: 'p', label: 'taken from it', unit: 'watt', usual: '74.7W', plate: 'watts' },
      { id: 'v', label: 'lowest mains', unit: 'volt', usual: '90V', plate: 'lowest' },
      { id: 'f', label: 'line frequency', unit: 'hertz', usual: '50Hz' },
      { id: 'stops', label: 'the converter stops at', unit: 'volt', usual: '70V' },
    ],
    work: ({ n }) => {
      const [capacitance, power, volts, hertz] = [n('c'), n('p'), n('v'), n('f')];
      const peak = volts * Math.SQRT2;
      const valley = reservoirValley({ power, capacitance, volts, hertz });
      const stops = n('stops');
      if (stops >= peak)
        return { wrong: `It must stop below the peak of the mains, ${q(peak, 'volt')}.`, field: 'stops' };
      const isHeld = valley > stops;
      const from = isHeld ? valley : stops;
      return {
        answer: isHeld ? `It falls to ${q(valley, 'volt')} between two peaks` : 'It does not last from peak to peak',
        mark: !isHeld ? 'reject' : valley < stops * 1.1 ? 'warn' : 'ok',
        figures: [
          figure('peak', 'peak', peak, 'volt'),
          figure('valley', 'valley', valley, 'volt'),
          figure('hold', 'runs on from the valley for', holdUp({ capacitance, from, to: stops, power }), 'second'),
          figure(
            'holdPeak',
            'runs on from the peak for',
            holdUp({ capacitance, from: peak, to: stops, power }),
            'second',
          ),
        ],
        curve: {
          caption: 'valley over capacitance',
          x: { label: 'capacitance', unit: 'farad' },
          y: { label: 'volts', unit: 'volt' },
          lines: [
            {
              label: 'valley',
              points: drawn(
                [capacitance * 0.4, capacitance * 2.5],
                (c) => reservoirValley({ power, capacitance: c, volts, hertz }),
                61,
              ),
            },
          ],
          limits: [{ label: 'it stops', y: stops }],
          here: [capacitance, valley],
        },
        why: ['Between two peaks the bulk alone carries the power: half of C times the difference of the squares.'],
        cautions: [],
        next: isHeld
          ? 'A can that has lost a third of its capacitance is held against the same curve.'
          : 'Fit more capacitance, or measure what is left of it.',
      };
    },
    formula: ['C (V̂² − V²)/2 = P (1/4f + asin(V/V̂)/2πf)', 't = C (V₁² − V₂²) / 2P'],
    source: 'Physics',
    isMains: true,
  },
  {
    id: 'doubler',
    question: 'stand',
    title: 'A mains doubler with its two capacitors',
    words: 'voltage doubler selector 115 230 link bulk series pair',
    fields: [
      { id: 'c', label: 'each capacitor', unit: 'farad', usual: '680u', from: 'capacitance' },
      { id: 'rated', label: 'each rated for', unit: 'volt', usual: '200V', from: 'voltage' },
      { id: 'p', label: 'taken from both', unit: 'watt', usual: '250W', plate: 'watts' },
      { id: 'v', label: 'mains', unit: 'volt', usual: '115V', plate: 'lowest' },
      { id: 'f', label: 'line frequency', unit: 'hertz', usual: '60Hz' },
    ],
    work: ({ n }) => {
      const facts = { power: n('p'), volts: n('v'), hertz: n('f') };
      const came = doubled({ ...facts, capacitance: n('c') });
      if (!came)
        return {
          wrong: `${q(n('c'), 'farad')} each do not carry ${q(n('p'), 'watt')} from crest to crest.`,
          field: 'c',
        };
      const high = came.crest * MAINS_HIGH;
      const mark: Mark = high > n('rated') ? 'danger' : high > DERATED * n('rated') ? 'warn' : 'ok';
      return {
        answer: `${q(came.lowest, 'volt')} to ${q(came.highest, 'volt')} together`,
        more:
          mark === 'danger'
            ? `At 10 % more mains each is charged to ${q(high, 'volt')}, which is more than it stands.`
            : `Each is charged to ${q(came.crest, 'volt')}.`,
        mark,
        figures: [
          figure('crest', 'each is charged to', came.crest, 'volt'),
          figure('high', 'each at 10 % more mains', high, 'volt'),
          figure('least', 'each falls to', came.least, 'volt'),
          figure('mean', 'together, mean', came.mean, 'volt'),
          figure('ripple', 'ripple of both, peak to peak', came.highest - came.lowest, 'volt'),
          figure('wrong', 'each with twice the mains on it', 2 * came.crest, 'volt'),
        ],
        curve: {
          caption: 'lowest of both over capacitance',
          x: { label: 'each capacitor', unit: 'farad' },
          y: { label: 'volts', unit: 'volt' },
          lines: [
            {
              label: 'lowest of both',
              points: drawn(
                [n('c') * 0.4, n('c') * 2.5],
                (capacitance) => doubled({ ...facts, capacitance })?.lowest ?? 0,
                31,
              ),
            },
          ],
          here: [n('c'), came.lowest],
        },
        why: [
          'Each half of the wave charges one of the two; each carries the load for a whole period, so both need twice what a bridge would.',
          'One that has lost capacitance falls lower than the other, and the pair no longer shares evenly.',
        ],
        cautions: [
          'With the link set for doubling on 230 V mains each capacitor is charged to twice as much: they vent or burst. Set it before the plug goes in.',
          'Each capacitor is discharged and measured by itself: an empty string may still hold equal and opposite charges.',
        ],
        next:
          mark === 'ok'
            ? 'Measure the middle: both should stand at the same voltage.'
            : `Fit capacitors rated for ${q(high / DERATED, 'volt', 2)} or more.`,
      };
    },
    formula: ['V̂ = √2 V each', 'dV/dt = −P / (C (V₁ + V₂)) between the crests'],
    source: 'Physics, stepped through six periods',
    isMains: true,
  },
];
