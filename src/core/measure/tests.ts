import type { KindName, RatingName, TestName } from '../part';
import { formatQuantity, type Unit } from '../quantity';

export interface TestField {
  /** Key under which the value is stored. */
  readonly name: string;
  readonly label: string;
  readonly unit: Unit;
  /** Words for the bench line. */
  readonly words: readonly string[];
  /** Whether “OL” is a legal reading. */
  readonly open: boolean;
  readonly hint?: string;
  /** What a bench meter is asked for, when it is not the unit itself; `nothing` when it cannot tell. */
  readonly meter?: 'diode' | 'nothing';
  /** The rating of the part that this reading measures. */
  readonly rating?: RatingName;
  /** The reading is one of these, stored as its number. */
  readonly choices?: readonly { readonly value: number; readonly label: string }[];
  /** Without it no verdict is reached; the others sharpen one. */
  readonly needed?: boolean;
  /** A ratio of volts, read as turns: 0.125 is 1 : 8. */
  readonly asTurns?: true;
  /** A fact of its service rather than a reading; asked for apart. */
  readonly service?: true;
  /** The pins the leads go to, red first: what the board between them adds can be worked out. */
  readonly pins?: readonly [string, string];
}

export interface TestRule {
  readonly label: string;
  /** In the order in which a person measures them. */
  readonly fields: readonly TestField[];
  /** What must be true before the meter touches the part. */
  readonly precondition: string;
  /** What can hurt in this test. */
  readonly caution?: string;
}

type Extra = Partial<Omit<TestField, 'name' | 'label' | 'unit' | 'words'>>;

/** The words are separated by blanks; the first is shown in the guide. */
const field = (name: string, label: string, unit: Unit, words: string, extra: Extra = {}): TestField => ({
  name,
  label,
  unit,
  words: words.split(' '),
  open: false,
  ...extra,
});

const YES_NO = [
  { value: 1, label: 'yes' },
  { value: 0, label: 'no' },
] as const;

const OUT = 'Out of circuit.';
const OUT_OR_LIFTED = 'Out of circuit or one leg lifted.';

/** The bench tests with what a person reads off the meter, in the order of the work. */
export const TESTS: Readonly<Record<TestName, TestRule>> = {
  capacitor: {
    label: 'Capacitance and ESR',
    precondition: 'Out of circuit or one leg lifted, discharged under 1 V.',
    caution:
      'A leakage test at the rated voltage charges the part: enclosed, never left alone, discharged and measured after.',
    fields: [
      field('capacitance', 'capacitance', 'farad', 'c cap capacitance', {
        rating: 'capacitance',
        needed: true,
        pins: ['1', '2'],
      }),
      field('esr', 'ESR at 100 kHz', 'ohm', 'esr', { rating: 'esr', meter: 'nothing' }),
      field('leads', 'leads shorted, ESR', 'ohm', 'leads', { meter: 'nothing', hint: 'of the tester; blank: zeroed' }),
      field('loss', 'loss factor D', 'ratio', 'd loss', { hint: 'in place of the ESR' }),
      field('lossAt', 'at', 'hertz', 'at', { hint: 'blank is 120 Hz' }),
      field('leakage', 'leakage', 'ampere', 'leak leakage', {
        rating: 'leakage',
        hint: '2 min, 5 min from 160 V',
      }),
      field('held', 'voltage it held', 'volt', 'held', { hint: 'during the leakage test', meter: 'nothing' }),
      field('insulation', 'insulation', 'ohm', 'insulation', { open: true, hint: 'at 500 V' }),
      field('hours', 'hours it ran', 'hour', 'ran hours', { service: true, hint: 'like 20000h' }),
      field('around', 'air at the can', 'celsius', 'around', { service: true, hint: 'blank is 55 °C' }),
      field('rippleShare', 'ripple of its rating', 'ratio', 'ripple', { service: true, hint: 'blank is 70 %' }),
    ],
  },
  mosfet: {
    label: 'Diode-mode readings',
    precondition: 'Out of circuit; short gate to source first.',
    fields: [
      field('body', 'source to drain', 'volt', 'sd body', {
        open: true,
        hint: 'diode mode, red on source',
        meter: 'diode',
        rating: 'vf',
        needed: true,
        pins: ['S', 'D'],
      }),
      field('blocking', 'drain to source', 'ohm', 'ds blocking', {
        open: true,
        hint: 'gate tied to source',
        needed: true,
        pins: ['D', 'S'],
      }),
      field('gate', 'gate to source', 'ohm', 'gs gate', { open: true, needed: true, pins: ['G', 'S'] }),
      field('hold', 'gate holds its charge for', 'second', 'hold', { hint: 'touched with +, then let go' }),
      field('threshold', 'gate threshold', 'volt', 'vth threshold', {
        rating: 'vgsTh',
        hint: 'gate tied to drain, 250 µA',
        meter: 'nothing',
      }),
      field('onVolts', 'drop when on', 'volt', 'on', { hint: '10 V at the gate', meter: 'nothing' }),
      field('onAmps', 'at', 'ampere', 'at', { hint: 'the current for that drop' }),
      field('leads', 'leads shorted', 'ohm', 'leads', { hint: 'two wires only; blank: four wires' }),
      field('leakage', 'drain leakage', 'ampere', 'leak leakage', { hint: 'at 0.5 to 0.8 of its voltage' }),
    ],
  },
  diode: {
    label: 'Forward and reverse',
    precondition: OUT_OR_LIFTED,
    fields: [
      field('forward', 'forward drop', 'volt', 'vf forward', {
        open: true,
        hint: 'diode mode',
        meter: 'diode',
        rating: 'vf',
        needed: true,
        pins: ['A', 'K'],
      }),
      field('reverse', 'the other way', 'ohm', 'vr reverse', { open: true, needed: true, pins: ['K', 'A'] }),
      field('leakage', 'reverse leakage', 'ampere', 'leak leakage', { hint: 'at its rated voltage, 25 °C' }),
      field('zener', 'voltage at 5 mA', 'volt', 'vz zener', { rating: 'vz', hint: 'zener only', meter: 'nothing' }),
    ],
  },
  'dual-diode': {
    label: 'Both halves, forward and reverse',
    precondition: OUT_OR_LIFTED,
    fields: [
      field('forward', 'first half', 'volt', 'vf forward', {
        open: true,
        hint: 'diode mode',
        meter: 'diode',
        rating: 'vf',
        needed: true,
        pins: ['A1', 'K'],
      }),
      field('second', 'second half', 'volt', 'vf2 second', {
        open: true,
        hint: 'diode mode',
        meter: 'diode',
        pins: ['A2', 'K'],
      }),
      field('reverse', 'the other way', 'ohm', 'vr reverse', {
        open: true,
        hint: 'the lower of the two',
        needed: true,
        pins: ['K', 'A1'],
      }),
      field('leakage', 'reverse leakage', 'ampere', 'leak leakage', { hint: 'at its rated voltage, 25 °C' }),
    ],
  },
  bridge: {
    label: 'Four diodes',
    precondition: OUT,
    fields: [
      field('forward', '~ to +', 'volt', 'vf forward', {
        open: true,
        hint: 'diode mode',
        meter: 'diode',
        rating: 'vf',
        needed: true,
        pins: ['AC1', '+'],
      }),
      field('second', 'other ~ to +', 'volt', 'vf2 second', {
        open: true,
        hint: 'diode mode',
        meter: 'diode',
        needed: true,
        pins: ['AC2', '+'],
      }),
      field('third', '− to ~', 'volt', 'vf3 third', {
        open: true,
        hint: 'diode mode',
        meter: 'diode',
        needed: true,
        pins: ['-', 'AC1'],
      }),
      field('fourth', '− to other ~', 'volt', 'vf4 fourth', {
        open: true,
        hint: 'diode mode',
        meter: 'diode',
        needed: true,
        pins: ['-', 'AC2'],
      }),
      field('reverse', '+ to −', 'ohm', 'vr reverse', { open: true, hint: 'red on +', needed: true, pins: ['+', '-'] }),
      field('across', '~ to ~', 'ohm', 'across ac', { open: true, pins: ['AC1', 'AC2'] }),
    ],
  },
  resistor: {
    label: 'Resistance',
    precondition: 'One leg lifted; in circuit it can only condemn.',
    fields: [
      field('resistance', 'resistance', 'ohm', 'r resistance', {
        open: true,
        rating: 'resistance',
        needed: true,
        pins: ['1', '2'],
      }),
      field('leads', 'leads shorted', 'ohm', 'leads', { hint: 'taken off; blank: zeroed' }),
    ],
  },
  trimmer: {
    label: 'Track and wiper',
    precondition: OUT,
    fields: [
      field('resistance', 'end to end', 'ohm', 'r resistance', {
        open: true,
        rating: 'resistance',
        needed: true,
        pins: ['1', '2'],
      }),
      field('smooth', 'wiper runs without jumps', 'count', 'smooth', { choices: YES_NO, needed: true }),
    ],
  },
  transistor: {
    label: 'Junctions and gain',
    precondition: OUT,
    fields: [
      field('be', 'base to emitter', 'volt', 'be', {
        open: true,
        hint: 'diode mode, red on the base of an NPN',
        meter: 'diode',
        needed: true,
        pins: ['B', 'E'],
      }),
      field('bc', 'base to collector', 'volt', 'bc', {
        open: true,
        hint: 'diode mode',
        meter: 'diode',
        needed: true,
        pins: ['B', 'C'],
      }),
      field('ce', 'collector to emitter', 'ohm', 'ce', { open: true, needed: true, pins: ['C', 'E'] }),
      field('gain', 'current gain hFE', 'count', 'hfe gain', { rating: 'gain' }),
    ],
  },
  igbt: {
    label: 'Gate, blocking and saturation',
    precondition: 'Out of circuit; short gate to emitter first.',
    fields: [
      field('blocking', 'collector to emitter', 'ohm', 'ce blocking', {
        open: true,
        hint: 'gate tied to emitter',
        needed: true,
        pins: ['C', 'E'],
      }),
      field('reverse', 'emitter to collector', 'volt', 'ec reverse', {
        open: true,
        hint: 'diode mode; OL without a diode inside',
        meter: 'diode',
        needed: true,
        pins: ['E', 'C'],
      }),
      field('gate', 'gate to emitter', 'ohm', 'ge gate', { open: true, needed: true, pins: ['G', 'E'] }),
      field('saturation', 'saturation voltage', 'volt', 'sat saturation', {
        hint: '15 V at the gate, half its current',
        meter: 'nothing',
      }),
    ],
  },
  triac: {
    label: 'Blocking and latching',
    precondition: 'Out of circuit. Latch it from 12 V with a lamp or 120 Ω, never from the mains.',
    fields: [
      field('blocking', 'MT2 to MT1', 'ohm', 'mt blocking', {
        open: true,
        hint: 'the lower of both ways',
        needed: true,
        pins: ['MT2', 'MT1'],
      }),
      field('gate', 'gate to MT1', 'ohm', 'g gate', { open: true, needed: true, pins: ['G', 'MT1'] }),
      field('latch', 'latches, gate and MT2 positive', 'count', 'latch', { choices: YES_NO }),
      field('latchThird', 'latches, both negative', 'count', 'latch3', { choices: YES_NO }),
    ],
  },
  thyristor: {
    label: 'Blocking and latching',
    precondition: 'Out of circuit. Latch it from 12 V with a lamp or 120 Ω, never from the mains.',
    fields: [
      field('blocking', 'anode to cathode', 'ohm', 'ak blocking', {
        open: true,
        hint: 'the lower of both ways',
        needed: true,
        pins: ['A', 'K'],
      }),
      field('gate', 'gate to cathode', 'volt', 'gk gate', {
        open: true,
        hint: 'diode mode',
        meter: 'diode',
        needed: true,
        pins: ['G', 'K'],
      }),
      field('latch', 'latches, and stays on', 'count', 'latch', { choices: YES_NO }),
    ],
  },
  optocoupler: {
    label: 'LED, transistor and transfer ratio',
    precondition: 'Out of circuit; its body whole.',
    fields: [
      field('led', 'LED', 'volt', 'led', {
        open: true,
        hint: 'diode mode, red on A',
        meter: 'diode',
        needed: true,
        pins: ['A', 'K'],
      }),
      field('dark', 'collector to emitter, dark', 'ohm', 'ce dark', { open: true, needed: true, pins: ['C', 'E'] }),
      field('drive', 'LED current', 'ampere', 'if drive', { hint: '5 mA' }),
      field('output', 'collector current', 'ampere', 'ic output', { hint: '5 V at the collector' }),
      field('insulation', 'LED to transistor', 'ohm', 'insulation', { open: true, hint: 'at 500 V' }),
    ],
  },
  'shunt-reference': {
    label: 'Reference voltage',
    precondition: 'Out of circuit; reference tied to cathode, 1 to 10 mA through a resistor.',
    fields: [
      field('reference', 'cathode to anode', 'volt', 'vka reference', { rating: 'vout', needed: true }),
      field('current', 'at', 'ampere', 'at', { hint: '1 to 10 mA' }),
    ],
  },
  regulator: {
    label: 'Output voltage',
    precondition: 'Out of circuit, from a bench supply with its current limited, and a small load.',
    fields: [
      field('output', 'output', 'volt', 'vout output', { rating: 'vout', needed: true }),
      field('input', 'from', 'volt', 'vin input', { hint: 'input voltage', meter: 'nothing' }),
    ],
  },
  chip: {
    label: 'Fingerprint',
    precondition: 'Out of circuit; red lead on the ground pin, black on each other pin, diode mode.',
    fields: [
      field('proved', 'known to be good', 'count', 'good proved', {
        choices: YES_NO,
        hint: 'it worked in its board before it came out',
      }),
    ],
  },
  fuse: {
    label: 'Continuity',
    precondition: OUT,
    fields: [field('resistance', 'resistance', 'ohm', 'r resistance', { open: true, needed: true, pins: ['1', '2'] })],
  },
  varistor: {
    label: 'Insulation and voltage',
    precondition: OUT,
    caution: 'Its voltage is measured with up to 600 V at 1 mA: an insulated source with a current limit, one hand.',
    fields: [
      field('insulation', 'cold resistance', 'ohm', 'r insulation', { open: true, needed: true, pins: ['1', '2'] }),
      field('knee', 'voltage at 1 mA', 'volt', 'vn knee', { rating: 'vn', meter: 'nothing' }),
    ],
  },
  thermistor: {
    label: 'Cold resistance',
    precondition: 'Out of circuit or one leg lifted, cold; hands off while it settles.',
    fields: [
      field('resistance', 'resistance', 'ohm', 'r resistance', {
        open: true,
        rating: 'r25',
        needed: true,
        pins: ['1', '2'],
      }),
      field('around', 'room', 'celsius', 'around room', { hint: 'blank is 25 °C' }),
      field('falls', 'falls when warmed', 'count', 'falls', { choices: YES_NO }),
    ],
  },
  choke: {
    label: 'Inductance, resistance, ring',
    precondition: OUT_OR_LIFTED,
    fields: [
      field('inductance', 'inductance', 'henry', 'l inductance', { rating: 'inductance', needed: true }),
      field('dcr', 'winding', 'ohm', 'dcr', { rating: 'dcr', pins: ['1', '2'] }),
      field('saturation', 'saturates at', 'ampere', 'isat saturation', {
        rating: 'saturation',
        hint: 'where 70 % of L is left',
      }),
      field('rings', 'rings above 10 %', 'count', 'rings', { hint: 'whole periods, 10 nF across' }),
    ],
  },
  'common-mode-choke': {
    label: 'Both windings',
    precondition: OUT,
    fields: [
      field('inductance', 'first winding', 'henry', 'l inductance', { rating: 'inductance', needed: true }),
      field('second', 'second winding', 'henry', 'l2 second', { needed: true }),
      field('leakage', 'in series, opposing', 'henry', 'opp leakage', { hint: 'the smaller of both ways' }),
      field('dcr', 'first winding', 'ohm', 'dcr', { rating: 'dcr' }),
      field('insulation', 'winding to winding', 'ohm', 'insulation', { open: true, hint: 'at 500 V' }),
    ],
  },
  transformer: {
    label: 'Windings, ratio, coupling',
    precondition: 'Out of circuit; every winding free.',
    caution: 'Used as it is and with its own insulation only. Zorvek’s word is no insulation test.',
    fields: [
      field('open', 'primary, others open', 'henry', 'loc open', { rating: 'inductance', needed: true }),
      field('shorted', 'primary, output shorted', 'henry', 'lsc shorted', {}),
      field('forwardRatio', 'output over primary volts', 'ratio', 'a', {
        hint: 'signal into the primary; 0.125 or 1:8',
        asTurns: true,
      }),
      field('backRatio', 'primary over output volts', 'ratio', 'b', {
        hint: 'signal into the output; 7.6 or 7.6:1',
        asTurns: true,
      }),
      field('aiding', 'in series, larger way', 'henry', 'aid aiding', { hint: 'primary and output' }),
      field('opposing', 'in series, smaller way', 'henry', 'opp opposing', {}),
      field('rings', 'rings above 10 %', 'count', 'rings', { hint: 'whole periods, 10 nF across the primary' }),
      field('saturation', 'saturates at', 'ampere', 'isat saturation', {
        rating: 'saturation',
        hint: 'where 70 % of L is left',
      }),
      field('width', 'core, largest width', 'metre', 'width', { hint: 'like 25mm' }),
      field('height', 'core, half height', 'metre', 'height', { hint: 'like 12.7mm' }),
      field('depth', 'core, thickness', 'metre', 'depth', { hint: 'like 7.3mm' }),
      field('perTurn', 'volts on a 1-turn winding', 'volt', 'turn', {
        hint: 'for one volt on the primary',
        meter: 'nothing',
      }),
      field('wire', 'primary wire', 'metre', 'wire', { hint: 'bare, like 0.35mm' }),
      field('insulation', 'primary to output', 'ohm', 'insulation', { open: true, hint: 'at 500 V' }),
    ],
  },
  relay: {
    label: 'Coil and contacts',
    precondition: 'Out of circuit, coil from a bench supply.',
    fields: [
      field('coil', 'coil', 'ohm', 'coil', { open: true, needed: true }),
      field('pullIn', 'pulls in at', 'volt', 'pull', { needed: true, meter: 'nothing' }),
      field('dropOut', 'drops out at', 'volt', 'drop', { meter: 'nothing' }),
      field('contact', 'closed contact', 'ohm', 'contact', { open: true, needed: true }),
    ],
  },
  fan: {
    label: 'Start, current, speed',
    precondition: 'From a bench supply with its current limited; fingers clear of the blades.',
    fields: [
      field('starts', 'starts from', 'volt', 'starts', { rating: 'starts', needed: true, meter: 'nothing' }),
      field('current', 'current at its voltage', 'ampere', 'i current', { rating: 'current', needed: true }),
      field('speed', 'speed at its voltage', 'count', 'rpm speed', { hint: 'revolutions per minute' }),
      field('slowSpeed', 'speed reduced', 'count', 'slow', { hint: 'revolutions per minute' }),
      field('slowVolts', 'at', 'volt', 'at', { hint: 'like 7V', meter: 'nothing' }),
      field('noise', 'runs without grinding', 'count', 'quiet', { choices: YES_NO, needed: true }),
    ],
  },
  'heat-sink': {
    label: 'A heating run',
    precondition: 'A resistor or transistor bolted on with paste, until the temperature stands still.',
    caution: 'The run gets hot: touch the sink only when its reading says that you may.',
    fields: [
      field('power', 'power put in', 'watt', 'p power', { needed: true }),
      field('sink', 'sink', 'celsius', 'sink', { needed: true }),
      field('around', 'room', 'celsius', 'around room', { needed: true }),
      field('minutes', 'steady for', 'second', 'steady', { hint: 'like 5min' }),
    ],
  },
};

/** How a person writes an open reading. */
export const OPEN_WORDS = ['ol', 'open', 'inf', '∞'] as const;

/** Where a part of the other polarity wants its leads the other way round. */
const TURNED: Partial<Readonly<Record<KindName, Readonly<Record<string, Extra & { readonly label?: string }>>>>> = {
  pmos: {
    body: { label: 'drain to source', hint: 'diode mode, red on drain', pins: ['D', 'S'] },
    blocking: { label: 'source to drain', hint: 'red on source, gate tied to source', pins: ['S', 'D'] },
    hold: { hint: 'touched with −, then let go' },
    threshold: { hint: 'gate tied to drain, 250 µA, sign left out' },
    onVolts: { hint: '−10 V at the gate, sign left out' },
  },
  pnp: {
    be: { hint: 'diode mode, black on the base', pins: ['E', 'B'] },
    bc: { hint: 'diode mode, black on the base', pins: ['C', 'B'] },
    ce: { label: 'emitter to collector', pins: ['E', 'C'] },
  },
};

/** A field as it is for a kind of part: of a P channel and a PNP the leads are the other way round. */
export const fieldFor = (one: TestField, kind?: KindName): TestField => ({
  ...one,
  ...(kind ? TURNED[kind]?.[one.name] : {}),
});

/** The field of a test by its name; a chip has one for each pin, named by its number. */
export function testField(test: TestName, name: string, kind?: KindName): TestField | undefined {
  if (test === 'chip' && /^\d{1,3}$/.test(name)) return pinField(Number(name));
  const pair = test === 'transformer' ? /^r(.+)-(.+)$/.exec(name) : null;
  if (pair) return field(name, `pin ${pair[1]} to ${pair[2]}`, 'ohm', name, { open: true });
  const found = TESTS[test].fields.find((one) => one.name === name);
  return found && fieldFor(found, kind);
}

/** The fields of a test for one part; of a chip first the diode-mode reading of each leg against ground. */
export function testFields(test: TestName, legs: number, kind?: KindName): readonly TestField[] {
  if (test !== 'chip') return TESTS[test].fields.map((one) => fieldFor(one, kind));
  return [...Array.from({ length: Math.min(legs, 64) }, (_, index) => pinField(index + 1)), ...TESTS.chip.fields];
}

const pinField = (pin: number): TestField =>
  field(`${pin}`, `pin ${pin}`, 'volt', `${pin}`, { open: true, meter: 'diode' });

/** A reading as it is told: `OL`, the words of a choice, a ratio of volts as turns, else the value with its unit. */
export function readingText(field: TestField, value: number): string {
  const chosen = field.choices?.find((choice) => choice.value === value)?.label;
  if (chosen !== undefined) return chosen;
  if (value === Infinity) return 'OL';
  if (field.asTurns && value > 0) return value < 1 ? `1 : ${trimmed(1 / value)}` : `${trimmed(value)} : 1`;
  return formatQuantity(value, field.unit, { digits: 4 });
}

const trimmed = (value: number) => String(Number(value.toPrecision(3)));
