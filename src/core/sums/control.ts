import { practice } from '../evidence';
import { firedShare, firingAngle, lastingOhms, OSCILLATORS, startingOhms } from '../converter';
import { E24, nearestOf } from '../marking';
import { drawn, figure, plain, q, type Mark, type Sum } from './sum';

/** What dividers are held against, volts; from memory of datasheets of many makers. */
const REFERENCES: Readonly<Record<string, number>> = {
  TL431: 2.495,
  LM317: 1.25,
  'LM2576, LM2596': 1.23,
  'XL4015, XL6009': 1.25,
  TLV431: 1.24,
  UC384x: 2.5,
  'TL494 at 5 V': 5,
};
/** Supplies of controllers: turned on and off at, volts; from memory of datasheets. */
const SUPPLIES: Readonly<Record<string, readonly [on: number, off: number, start: number]>> = {
  'UC3842, UC3844': [16, 10, 1e-3],
  'UC3843, UC3845': [8.4, 7.6, 1e-3],
  'newer green-mode': [16, 10, 20e-6],
  L6562: [12, 9.5, 70e-6],
};
/** What a meter of an optocoupler’s rank passes on, at 5 mA; common practice over many makers, no source. */
const RANKS: Readonly<Record<string, readonly [low: number, high: number]>> = practice({
  'A (80 to 160 %)': [0.8, 1.6],
  'B (130 to 260 %)': [1.3, 2.6],
  'C (200 to 400 %)': [2, 4],
  'D (300 to 600 %)': [3, 6],
  'none (50 to 600 %)': [0.5, 6],
});

export const CONTROL: readonly Sum[] = [
  {
    id: 'divider',
    question: 'make',
    title: 'Another output voltage',
    words: 'divider feedback TL431 output adjust trim',
    fields: [
      { id: 'ref', label: 'reference', choices: Object.keys(REFERENCES), usual: 'TL431' },
      { id: 'lower', label: 'lower resistor', unit: 'ohm', usual: '10k' },
      { id: 'upper', label: 'upper resistor as it is', unit: 'ohm', usual: '38k3' },
      { id: 'v', label: 'output wanted', unit: 'volt', usual: '13.8V' },
      { id: 'cap', label: 'output capacitor rated for', unit: 'volt', usual: '16V', from: 'voltage' },
      { id: 'rect', label: 'rectifier rated for', unit: 'volt', usual: '100V', from: 'vrrm' },
      { id: 'stress', label: 'rectifier stands now', unit: 'volt', usual: '59V' },
    ],
    work: ({ n, t }) => {
      const reference = REFERENCES[t('ref')] ?? 2.495;
      const now = reference * (1 + n('upper') / n('lower'));
      const wanted = n('v');
      if (wanted <= reference)
        return { wrong: `Less than its reference of ${q(reference, 'volt')} cannot be made.`, field: 'v' };
      const exact = n('lower') * (wanted / reference - 1);
      const upper = n('upper');
      // One resistor in its place, or one more beside or behind the one that is there: whichever comes nearest.
      const added = exact - upper;
      const beside = added < 0 ? nearestOf((exact * upper) / -added, E24) : undefined;
      const behind = added > 0 ? nearestOf(added, E24) : undefined;
      const single = nearestOf(exact, E24);
      const ways = [
        { ohms: single, says: `${q(single, 'ohm')} in place of the upper resistor` },
        ...(behind === undefined
          ? []
          : [{ ohms: upper + behind, says: `${q(behind, 'ohm')} in series with the upper resistor` }]),
        ...(beside === undefined
          ? []
          : [{ ohms: (upper * beside) / (upper + beside), says: `${q(beside, 'ohm')} across the upper resistor` }]),
      ].map((way) => ({ ...way, volts: reference * (1 + way.ohms / n('lower')) }));
      const best = ways.reduce((nearest, way) =>
        Math.abs(way.volts - wanted) < Math.abs(nearest.volts - wanted) ? way : nearest,
      );
      const came = best.volts;
      const stress = n('stress') + (wanted - now);
      const [capacitor, rectifier] = [wanted / n('cap'), stress / n('rect')];
      const rise = wanted / now;
      const mark: Mark =
        capacitor >= 1 || rectifier >= 1 || rise > 1.3
          ? 'reject'
          : capacitor > 0.9 || rectifier > 0.75 || rise > 1.1 || rise < 0.85
            ? 'warn'
            : 'ok';
      return {
        answer: `${best.says}: ${q(came, 'volt', 4)}`,
        more: `It makes ${q(now, 'volt', 4)} now.`,
        mark,
        figures: [
          figure('now', 'it makes now', now, 'volt'),
          figure('exact', 'upper resistor, exactly', exact, 'ohm'),
          figure('came', 'so it makes', came, 'volt'),
          figure('capacitor', 'output capacitor, of its rating', capacitor, 'ratio'),
          figure('rectifier', 'rectifier, of its rating', rectifier, 'ratio'),
          figure('supply', 'the controller’s own supply changes by', rise, 'ratio'),
        ],
        picture: {
          kind: 'divider',
          words: {
            top: q(came, 'volt', 4),
            upper: q(best.ohms, 'ohm'),
            middle: q(reference, 'volt'),
            lower: q(n('lower'), 'ohm'),
          },
        },
        choices: {
          head: ['way', 'output'],
          rows: ways.map((way) => ({
            cells: [way.says, q(way.volts, 'volt', 4)],
            ...(way === best ? { isChosen: true as const } : {}),
          })),
        },
        why: [
          'The auxiliary winding follows the output: the controller’s supply rises or falls with it.',
          'A flyback takes another output well; a forward has room only as far as its duty goes.',
        ],
        cautions: [
          'A protection against too much voltage may act: find its zener first. The feedback stands on the isolated side; the sense of it crosses the barrier only through the optocoupler.',
        ],
        next:
          mark === 'reject'
            ? 'Not without another capacitor, rectifier or transformer.'
            : 'Change it with the supply dead, then bring it up with a lamp in series and a load.',
      };
    },
    formula: ['Vo = Vref (1 + R₁/R₂)'],
    source: 'References from memory of datasheets; E24 after IEC 60063',
  },
  {
    id: 'sense',
    question: 'fail',
    title: 'Where its current limit sits',
    words: 'sense resistor shunt current limit peak',
    fields: [
      { id: 'r', label: 'sense resistor', unit: 'ohm', usual: '0R61', from: 'resistance' },
      { id: 'v', label: 'the controller trips at', unit: 'volt', usual: '1V' },
      { id: 'rms', label: 'current, rms', unit: 'ampere', usual: '0.48A' },
      { id: 'wanted', label: 'peak wanted', unit: 'ampere', usual: '1.47A' },
    ],
    work: ({ n }) => {
      const limit = n('v') / n('r');
      const wanted = (0.9 * n('v')) / n('wanted');
      return {
        answer: `It cuts at ${q(limit, 'ampere')}`,
        more: `For a peak of ${q(n('wanted'), 'ampere')} it takes ${q(wanted, 'ohm')}.`,
        mark: limit < n('wanted') ? 'warn' : 'ok',
        figures: [
          figure('limit', 'peak at which it cuts', limit, 'ampere'),
          figure('least', 'with a tenth of tolerance', 0.9 * limit, 'ampere'),
          figure('wanted', 'resistor for the peak wanted', wanted, 'ohm'),
          figure('heat', 'heat in it', n('rms') ** 2 * n('r'), 'watt'),
        ],
        why: [
          'The threshold may be a tenth lower: the resistor is chosen for that.',
          'A resistor that has grown cuts early: the supply starts, stops and ticks under load.',
        ],
        cautions: [
          'It lies on the mains side. A sense resistor that is open has died with its switch: both are replaced.',
        ],
        next: 'Measure it with four wires: a tenth of an ohm of lead is a tenth of the answer.',
      };
    },
    formula: ['Rs = 0.9 V / I', 'P = I² Rs'],
    source: 'Makers’ notes for current-mode controllers, from memory',
    isMains: true,
  },
  {
    id: 'startup',
    question: 'fail',
    title: 'Why it starts and stops',
    words: 'VCC start-up resistor hiccup auxiliary supply capacitor UVLO',
    fields: [
      { id: 'chip', label: 'controller', choices: Object.keys(SUPPLIES), usual: 'UC3842, UC3844' },
      { id: 'low', label: 'lowest bulk', unit: 'volt', usual: '120V' },
      { id: 'high', label: 'highest bulk', unit: 'volt', usual: '375V' },
      { id: 'r', label: 'start-up resistor', unit: 'ohm', usual: '68k', from: 'resistance' },
      { id: 'c', label: 'capacitor of its supply', unit: 'farad', usual: '47u', from: 'capacitance' },
      { id: 'aux', label: 'auxiliary winding gives', unit: 'volt', usual: '13V' },
      { id: 'run', label: 'it takes when it runs', unit: 'ampere', usual: '15m' },
    ],
    work: ({ n, t }) => {
      const [on, off, start] = SUPPLIES[t('chip')] ?? [16, 10, 1e-3];
      const feeds = (n('low') - on) / n('r');
      const largest = (n('low') - on) / start;
      const isStarting = feeds > start;
      const mean = n('low') / n('r');
      const seconds = isStarting ? -n('c') * n('r') * Math.log(1 - on / (n('low') - start * n('r'))) : Infinity;
      const runs = (n('c') * (on - off)) / n('run');
      const isHeld = n('aux') > off + 1.5;
      const mark: Mark = !isStarting ? 'reject' : !isHeld ? 'reject' : runs < 10e-3 ? 'warn' : 'ok';
      return {
        answer: !isStarting
          ? 'It never starts at the lowest input'
          : !isHeld
            ? 'It starts and stops: the winding does not hold it'
            : `It starts after ${q(seconds, 'second')}`,
        more: `From its capacitor alone it runs for ${q(runs, 'second')}; by then the winding must have taken over.`,
        mark,
        figures: [
          figure('largest', 'largest start-up resistor', largest, 'ohm'),
          figure('feeds', 'it feeds', feeds, 'ampere'),
          ...(isStarting ? [figure('seconds', 'time to start', seconds, 'second')] : []),
          figure('runs', 'runs from the capacitor', runs, 'second'),
          figure('heat', 'heat of the resistor at the highest bulk', (n('high') - n('aux')) ** 2 / n('r'), 'watt'),
          figure('mean', 'current when just plugged in', mean, 'ampere'),
        ],
        why: [
          `It turns on at ${q(on, 'volt')} and off at ${q(off, 'volt')}; the winding should give ${q(off + 1.5, 'volt')} and more at the lightest load.`,
          'A capacitor that has lost half its value runs half as long: the supply ticks, though nothing is shorted.',
        ],
        cautions: ['The resistor stands the whole bulk for ever: two in series, rated for it. It carries the mains.'],
        next:
          mark === 'ok'
            ? 'If it still ticks, look for a short behind the rectifiers.'
            : !isStarting
              ? 'Measure the resistor: they drift up and open.'
              : 'Replace the capacitor, then look at the rectifier of the auxiliary winding.',
      };
    },
    formula: ['R ≤ (Vbulk − Von)/Istart', 't = C (Von − Voff)/I'],
    source: 'Datasheets of the families, from memory',
    isMains: true,
  },
  {
    id: 'oscillator',
    question: 'make',
    title: 'Frequency of a controller',
    words: 'oscillator RT CT timing UC3842 TL494 SG3525',
    fields: [
      { id: 'chip', label: 'controller', choices: OSCILLATORS.map(({ family }) => family), usual: 'UC3842' },
      { id: 'r', label: 'timing resistor', unit: 'ohm', usual: '10k', from: 'resistance' },
      { id: 'c', label: 'timing capacitor', unit: 'farad', usual: '1n', from: 'capacitance' },
      { id: 'rd', label: 'discharge resistor, where it has one', unit: 'ohm', usual: '0', mayBeZero: true },
      { id: 'f', label: 'frequency wanted', unit: 'hertz', usual: '100k' },
    ],
    work: ({ n, t }) => {
      const chip = OSCILLATORS.find(({ family }) => family === t('chip')) ?? OSCILLATORS[0]!;
      const at = (ohms: number) => chip.frequency({ ohms, farads: n('c'), discharge: n('rd') });
      const frequency = at(n('r'));
      let [low, high] = [1, 1e8];
      for (let turn = 0; turn < 100; turn += 1) {
        const middle = Math.sqrt(low * high);
        if (at(middle) > n('f') / chip.output) low = middle;
        else high = middle;
      }
      return {
        answer:
          chip.output === 1
            ? `${q(frequency, 'hertz')}`
            : `${q(frequency, 'hertz')}, ${q(frequency * chip.output, 'hertz')} at each output`,
        more: chip.note ? `${chip.family}: ${chip.note}.` : `${chip.family}.`,
        mark: chip.family.startsWith('UC384') && n('r') < 5e3 ? 'note' : 'ok',
        figures: [
          figure('frequency', 'oscillator', frequency, 'hertz'),
          figure('output', 'each output', frequency * chip.output, 'hertz'),
          figure('resistor', 'resistor for the frequency wanted at an output', low, 'ohm'),
        ],
        choices: {
          head: ['controller', 'with these parts', 'output'],
          rows: OSCILLATORS.map((one) => ({
            cells: [
              one.family,
              q(one.frequency({ ohms: n('r'), farads: n('c'), discharge: n('rd') }), 'hertz'),
              q(one.output * one.frequency({ ohms: n('r'), farads: n('c'), discharge: n('rd') }), 'hertz'),
            ],
            ...(one === chip ? { isChosen: true as const } : {}),
          })),
        },
        why: ['From memory of datasheets: within a tenth, and the capacitor’s own tolerance comes on top.'],
        cautions: [
          'A frequency is raised only as far as core, rectifiers and losses allow; lowered, the core may saturate.',
        ],
        next: 'Measure it at the timing capacitor with a ×10 probe: the probe’s own capacitance slows it.',
      };
    },
    formula: [
      'UC384x f = 1.72/(R C)',
      'TL494 f = 1.1/(R C)',
      'SG3525 f = 1/(C (0.7 R + 3 Rd))',
      'IR2153 f = 1/(1.4 (R + 75) C)',
    ],
    source: 'Datasheets of the families, from memory',
  },
  {
    id: 'opto',
    question: 'fail',
    title: 'Optocoupler and its reference',
    words: 'optocoupler CTR LED feedback shunt TL431 bias loop',
    fields: [
      { id: 'v', label: 'output', unit: 'volt', usual: '12V' },
      { id: 'r', label: 'resistor of the LED', unit: 'ohm', usual: '1k', from: 'resistance' },
      { id: 'rank', label: 'rank', choices: Object.keys(RANKS), usual: 'none (50 to 600 %)' },
      { id: 'pull', label: 'pull-up at the controller', unit: 'ohm', usual: '4k7' },
      { id: 'supply', label: 'to', unit: 'volt', usual: '5V' },
      { id: 'bias', label: 'resistor across the LED', unit: 'ohm', usual: '1k', isOptional: true },
    ],
    work: ({ n, maybe, t }) => {
      // LED 1.1 V, and the reference holds 2.5 V at the least.
      const most = (n('v') - 1.1 - 2.5) / n('r');
      const needed = (n('supply') - 0.3) / n('pull');
      const [low] = RANKS[t('rank')] ?? [0.5, 6];
      const aged = low * 0.6;
      const led = needed / aged;
      const bias = maybe('bias') === undefined ? 0 : 1.1 / maybe('bias')!;
      if (most <= 0) return { wrong: `A LED and its reference need more than 3.6 V.`, field: 'v' };
      const largest = (n('v') - 3.6) / led;
      const mark: Mark = most < led ? 'reject' : most < 1.5 * led || bias < 1e-3 ? 'warn' : 'ok';
      return {
        answer:
          most < led
            ? 'An aged optocoupler does not pull it down: the output runs up'
            : `It has ${(most / led).toFixed(1)} times the current it needs`,
        mark,
        figures: [
          figure('most', 'LED at most', most, 'ampere'),
          figure('needed', 'transistor must carry', needed, 'ampere'),
          figure('led', 'LED for that, aged', led, 'ampere'),
          figure('largest', 'largest LED resistor', largest, 'ohm'),
          figure('bias', 'bias of the reference', bias, 'ampere'),
        ],
        why: [
          `The least of its rank is ${q(low, 'ratio')}, and a LED loses up to 40 % in its years.`,
          'The reference needs 1 mA of its own to hold: from the resistor across the LED.',
        ],
        cautions: [
          'If the feedback opens, the output runs up: never power a doubtful one with a load that matters.',
          'A replacement has the same isolation, pin order and an overlapping rank.',
        ],
        next: 'Test its transfer at 5 mA; under half of its rank’s least it is replaced.',
      };
    },
    formula: ['I_LED = (Vo − Vf − Vka)/R', 'Ic = CTR I_LED'],
    source: 'Makers’ notes on shunt references, from memory; ageing is common practice, no source',
  },
  {
    id: 'loop',
    question: 'make',
    title: 'First values for a loop',
    words: 'compensation crossover zero pole phase margin stability',
    fields: [
      { id: 'f', label: 'frequency', unit: 'hertz', usual: '100k' },
      { id: 'c', label: 'output capacitor', unit: 'farad', usual: '470u', from: 'capacitance' },
      { id: 'esr', label: 'its ESR', unit: 'ohm', usual: '50m', from: 'esr' },
      { id: 'v', label: 'output', unit: 'volt', usual: '12V' },
      { id: 'i', label: 'output current', unit: 'ampere', usual: '2A' },
      { id: 'rhp', label: 'zero in the right half plane', unit: 'hertz', usual: '', isOptional: true },
      { id: 'upper', label: 'upper resistor of the divider', unit: 'ohm', usual: '38k3' },
    ],
    work: ({ n, maybe }) => {
      const load = n('v') / n('i');
      const pole = 1 / (2 * Math.PI * load * n('c'));
      const zero = 1 / (2 * Math.PI * n('esr') * n('c'));
      const right = maybe('rhp');
      const cross = Math.min(n('f') / 10, (right ?? Infinity) / 5, 5e3);
      // Current mode: one pole of the load, the zero of the ESR; a zero at a third of the crossing gives back the phase.
      const first = cross / 3;
      const farads = 1 / (2 * Math.PI * first * n('upper'));
      const degrees = (value: number) => (Math.atan(value) * 180) / Math.PI;
      const margin =
        180 -
        90 -
        degrees(cross / pole) +
        degrees(cross / zero) +
        degrees(cross / first) -
        degrees(cross / (n('f') / 2)) -
        (right ? degrees(cross / right) : 0);
      return {
        answer: `Cross at ${q(cross, 'hertz')}, with about ${Math.round(margin)} degrees left`,
        more: `${q(nearestOf(farads, E24), 'farad')} in series with a resistor of the size of the divider is a beginning.`,
        mark: margin < 35 ? 'warn' : 'ok',
        figures: [
          figure('pole', 'pole of the load', pole, 'hertz'),
          figure('zero', 'zero of the ESR', zero, 'hertz'),
          figure('cross', 'crossing', cross, 'hertz'),
          figure('first', 'zero of the compensation', first, 'hertz'),
          figure('farads', 'capacitor for it', farads, 'farad'),
          plain('margin', 'phase left', margin, '°'),
        ],
        curve: {
          caption: 'phase over frequency, up to the half of the switching frequency',
          x: { label: 'frequency', unit: 'hertz' },
          y: { label: 'degrees', unit: 'count' },
          lines: [
            {
              label: 'phase left',
              points: drawn(
                [cross / 20, cross * 6],
                (f) =>
                  180 -
                  90 -
                  degrees(f / pole) +
                  degrees(f / zero) +
                  degrees(f / first) -
                  degrees(f / (n('f') / 2)) -
                  (right ? degrees(f / right) : 0),
              ),
            },
          ],
          limits: [{ label: '45', y: 45 }],
          here: [cross, margin],
        },
        why: [
          'For current-mode control: one pole of the load and the zero of the ESR. A tenth of the frequency, a fifth of a zero in the right half plane, and 5 kHz through an optocoupler are the ends.',
        ],
        cautions: ['A polymer in place of a wet capacitor takes the zero of the ESR away: the loop may ring.'],
        next: 'Switch half of the load on and off, and look whether the output rings.',
      };
    },
    formula: [
      'fp = 1/(2π R C)',
      'fz = 1/(2π ESR C)',
      'PM = 90° − atan(fc/fp) + atan(fc/fz) + atan(fc/fz₁) − atan(2 fc/f)',
    ],
    source: 'Erickson & Maksimovic, chapters 9 and 12, from memory; averaged model of current-mode control',
  },
  {
    id: 'triac-snubber',
    question: 'fail',
    title: 'Snubber across a triac',
    words: 'triac snubber leakage glow LED lamp dimmer',
    fields: [
      { id: 'v', label: 'mains', unit: 'volt', usual: '230V', plate: 'highest' },
      { id: 'line', label: 'line frequency', unit: 'hertz', usual: '50Hz' },
      { id: 'c', label: 'capacitor', unit: 'farad', usual: '100n', from: 'capacitance' },
      { id: 'r', label: 'resistor', unit: 'ohm', usual: '100R', from: 'resistance' },
      { id: 'rated', label: 'resistor rated for', unit: 'watt', usual: '1W', from: 'power' },
    ],
    work: ({ n }) => {
      const peak = n('v') * Math.SQRT2;
      const leaks = 2 * Math.PI * n('line') * n('c') * n('v');
      const energy = (n('c') * peak ** 2) / 2;
      const heat = energy * 2 * n('line');
      const surge = peak / n('r');
      const mark: Mark = heat > n('rated') ? 'reject' : heat > 0.5 * n('rated') ? 'warn' : 'ok';
      return {
        answer: `${q(leaks, 'ampere')} goes through while it is off`,
        more: leaks > 1e-3 ? 'LED lamps may glow with it.' : 'Too little for a lamp to glow.',
        mark,
        figures: [
          figure('leaks', 'current while it is off', leaks, 'ampere'),
          figure('energy', 'energy into the triac at each turn-on, at most', energy, 'joule'),
          figure('heat', 'heat of the resistor, at most', heat, 'watt'),
          figure('surge', 'current at turn-on, at most', surge, 'ampere'),
        ],
        why: ['At the crest the capacitor is emptied through resistor and triac in every half wave.'],
        cautions: ['The capacitor is class X2, the resistor made for pulses and for the mains.'],
        next:
          mark === 'reject'
            ? `Take a resistor for ${q(2 * heat, 'watt', 2)}.`
            : 'Between 47 and 100 Ω with 100 nF is usual.',
      };
    },
    formula: ['I = 2π f C V', 'E = C V̂²/2', 'P = 2 f E'],
    source: 'Physics; usual values are common practice, no source',
    isMains: true,
  },
  {
    id: 'phase',
    question: 'fail',
    title: 'A dimmer that snaps on',
    words: 'phase control triac dimmer diac RC hysteresis snap',
    fields: [
      { id: 'v', label: 'mains', unit: 'volt', usual: '230V' },
      { id: 'line', label: 'line frequency', unit: 'hertz', usual: '50Hz' },
      { id: 'r', label: 'potentiometer, all of it', unit: 'ohm', usual: '500k', from: 'resistance' },
      { id: 'at', label: 'set to', unit: 'ohm', usual: '100k' },
      { id: 'c', label: 'timing capacitor', unit: 'farad', usual: '100n', from: 'capacitance' },
      { id: 'vbo', label: 'trigger diode breaks over at', unit: 'volt', usual: '32V' },
      { id: 'left', label: 'and leaves in the capacitor', unit: 'volt', usual: '22V', mayBeZero: true },
    ],
    work: ({ n }) => {
      const timing = { volts: n('v'), line: n('line'), farads: n('c'), breakover: n('vbo') };
      const left = n('left');
      if (left >= timing.breakover)
        return { wrong: 'It leaves less in the capacitor than it breaks over at.', field: 'left' };
      const angle = firingAngle({ ...timing, ohms: n('at') }, left);
      const start = startingOhms(timing);
      const lasts = lastingOhms(timing, left);
      const snaps = n('r') > start;
      const share = angle === undefined ? 0 : firedShare(angle);
      const degrees = (value: number) => (value * 180) / Math.PI;
      const first = firingAngle({ ...timing, ohms: start * 0.999 }, left);
      return {
        answer:
          angle === undefined
            ? 'It does not fire at this setting'
            : `${q(share, 'ratio')} of the power, fired at ${degrees(angle).toFixed(0)}°`,
        more: snaps
          ? `It snaps on: turned up from dark it first fires below ${q(start, 'ohm')}.`
          : 'It comes up without a step.',
        mark: snaps ? 'warn' : 'ok',
        figures: [
          figure('start', 'fires from rest below', start, 'ohm'),
          figure('lasts', 'once on, goes out above', lasts, 'ohm'),
          ...(angle === undefined ? [] : [plain('angle', 'fired at', degrees(angle), '°')]),
          figure('share', 'power at the setting', share, 'ratio'),
          figure('rms', 'volts at the load, rms', n('v') * Math.sqrt(share), 'volt'),
          ...(first === undefined ? [] : [figure('jump', 'first light is at', firedShare(first), 'ratio')]),
        ],
        curve: {
          caption: 'power over the setting',
          x: { label: 'resistance', unit: 'ohm' },
          y: { label: 'share of the power', unit: 'ratio' },
          lines: [
            {
              label: 'power',
              points: drawn(
                [n('r') * 0.02, Math.min(n('r'), lasts * 1.02)],
                (ohms) => {
                  const at = firingAngle({ ...timing, ohms }, left);
                  return at === undefined ? 0 : firedShare(at);
                },
                81,
              ),
            },
          ],
          ...(angle === undefined ? {} : { here: [n('at'), share] as const }),
        },
        why: [
          'At rest the capacitor swings with the line and comes no nearer to the trigger diode than it did: only a smaller resistance starts it.',
          'Once it has fired, each half wave begins from what the trigger diode left and the triac let drain: it can be turned lower than where it came on.',
        ],
        cautions: [
          'All of it is on the mains, the shaft too where it is metal. For resistive loads only: never in front of a transformer or a supply.',
        ],
        next: snaps
          ? `Cure: a second resistor and capacitor before the trigger diode, or a trimmer across the potentiometer that brings it to ${q(0.85 * start, 'ohm', 2)}.`
          : 'Nothing to cure.',
      };
    },
    formula: ['P/P₀ = 1 − α/π + sin 2α/2π', 'R = √((V̂/Vbo)² − 1) / (2π f C)'],
    source: 'Derived from the network, half wave by half wave, with its resistor and capacitor across the triac',
    isMains: true,
  },
];
