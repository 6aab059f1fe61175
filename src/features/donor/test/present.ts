import type { Board } from '../../../core/board';
import { parallelCapacitors, readingInPlace } from '../../../core/incircuit';
import {
  cautionOf,
  expectationsOf,
  idleFields,
  lifeOf,
  lifeText,
  testFields,
  TESTS,
  transformerReport,
  type AccuracyName,
  type Readings,
  type TestField,
} from '../../../core/measure';
import { packageRule, type TestName } from '../../../core/part';
import { formatQuantity } from '../../../core/quantity';
import { accuracyText, DEFAULT_ACCURACY } from '../../../core/uncertainty';
import type { PartRecord } from '../../../db/repositories/parts';
import { type TestContext, readingsThatCount, underTest } from '../../../services/board';
import { transformerView, type TransformerView } from './transformer';
import { measuredRows } from '../shared/measuredRows';
import { clockOf } from '../../../ui/value/moments';

export interface TestFieldView {
  readonly name: string;
  readonly label: string;
  readonly unit: TestField['unit'];
  readonly open: boolean;
  readonly hint: string | undefined;
  readonly meter: TestField['meter'] | undefined;
  readonly choices: TestField['choices'] | undefined;
  /** What a good one reads, where it is known. */
  readonly should: string | undefined;
}

/** What the leads find on the board, and whether a leg must be lifted. */
export interface InPlaceView {
  readonly label: string;
  readonly reads: string;
  readonly message: string;
  readonly lift: boolean;
}

/** All the Test station shows of one part. */
export interface PartTestView {
  readonly name: TestName;
  readonly label: string;
  readonly precondition: string;
  readonly caution: string | undefined;
  readonly fields: readonly TestFieldView[];
  /** Readings that sharpen the verdict, which most parts do without. */
  readonly further: readonly TestFieldView[];
  /** Facts of its service, such as the hours it ran. */
  readonly service: readonly TestFieldView[];
  readonly inPlace: readonly InPlaceView[];
  /** Pins that would have to be traced to tell what the board adds. */
  readonly untraced: readonly string[];
  readonly meters: readonly string[];
  /** How far a usual meter may be off, where no meter of the shop says better; none where each reading has its meter. */
  readonly usual: string | null;
  /** The meter of the last readings. */
  readonly meter: string;
  readonly measured: readonly { readonly label: string; readonly value: string; readonly evidence: string }[];
  readonly measuredText: string;
  readonly life: string | null;
  readonly transformer: TransformerView | null;
}

/** Legs of a chip whose case is not known. */
const USUAL_LEGS = 8;

/** The needed ones and as many as fill a row; of a chip every pin. */
const isUsual = ({ needed }: TestField, index: number, test: TestName) =>
  test === 'chip' || needed === true || index < 4;

/** The test of a part: its fields with what they should read, what the board adds, and what was measured. */
export function partTest(record: PartRecord, context: TestContext): PartTestView | null {
  const { part, measurements } = record;
  const subject = underTest(record, context);
  if (!subject) return null;
  const { test } = subject;
  const rule = TESTS[test];
  const should = expectationsOf(subject);
  const readings = readingsThatCount(record, context);
  const legs = packageRule(part.package ?? '')?.legs ?? USUAL_LEGS;
  const idle = idleFields(subject);
  const fields = testFields(test, legs, part.kind).filter(({ name }) => !idle.includes(name));
  const toView = ({ name, label, unit, open, hint, meter, choices }: TestField): TestFieldView => ({
    ...{ name, label, unit, open, hint, meter, choices },
    should: should[name],
  });
  const shown = fields.filter(({ service }) => !service);
  const [latest] = measurements;
  const places = fields.filter(({ pins }) => pins).map((field) => placeOf(context.board, part.ref, field));
  return {
    name: test,
    label: rule.label,
    precondition: rule.precondition,
    caution: cautionOf(subject),
    fields: shown.filter((field, index) => isUsual(field, index, test)).map(toView),
    further: shown.filter((field, index) => !isUsual(field, index, test)).map(toView),
    service: fields.filter(({ service }) => service).map(toView),
    inPlace: places.flatMap((place) => (place && 'label' in place ? [place] : [])),
    untraced: [...new Set(places.flatMap((place) => (place && 'pin' in place ? [place.pin] : [])))],
    meters: [...context.meters.keys()],
    usual: usualDoubt(fields, context),
    meter: latest?.meter ?? '',
    measured: measuredRows(record, context),
    measuredText: latest
      ? `last ${clockOf(latest.takenMs)}${measurements.length > 1 ? `, ${measurements.length} times in all` : ''}`
      : '',
    life: lifeMessage(record, readings),
    transformer: test === 'transformer' ? transformerView(transformerReport(readings)) : null,
  };
}

const QUANTITY_OF: Partial<Record<TestField['unit'], AccuracyName>> = {
  ohm: 'ohm',
  farad: 'capacitance',
  henry: 'inductance',
  volt: 'dcVolt',
  ampere: 'current',
};
const QUANTITY_WORDS: Partial<Record<AccuracyName, string>> = {
  esr: 'ESR',
  ohm: 'ohms',
  capacitance: 'capacitance',
  inductance: 'inductance',
  dcVolt: 'volts',
  current: 'amperes',
  diode: 'diode mode',
};

/** What a usual meter leaves open of the first readings of a test, as long as no meter of the shop states it. */
function usualDoubt(fields: readonly TestField[], { meters }: TestContext): string | null {
  const wanted = fields
    .filter((field, index) => !field.service && !field.choices && (field.needed === true || index < 2))
    .map(({ name, unit, meter }) => (name === 'esr' ? 'esr' : meter === 'diode' ? 'diode' : QUANTITY_OF[unit]));
  const open = [...new Set(wanted)].filter(
    (name) => name !== undefined && ![...meters.values()].some((accuracies) => accuracies[name]),
  );
  const words = open.flatMap((name) =>
    name ? [`${QUANTITY_WORDS[name]} ± (${accuracyText(DEFAULT_ACCURACY[name])})`] : [],
  );
  return words.length > 0 ? words.join(', ') : null;
}

function lifeMessage({ ratings }: PartRecord, readings: Readings): string | null {
  const values = Object.fromEntries(Object.entries(ratings).map(([name, { value }]) => [name, value]));
  const life = lifeOf(readings, values);
  return life ? lifeText(life) : null;
}

function placeOf(board: Board, ref: string, field: TestField): InPlaceView | { pin: string } | undefined {
  if (field.unit === 'farad') return capacitorPlace(board, ref, field.label);
  const [plus, minus] = field.pins ?? ['', ''];
  const mode = field.meter === 'diode' ? 'diode' : 'ohm';
  const found = readingInPlace(board, { ref, plus, minus, mode });
  if (found.kind === 'untraced') return { pin: found.pin };
  const unit = mode === 'diode' ? 'volt' : 'ohm';
  const show = (value: number) => (value === Infinity ? 'OL' : formatQuantity(value, unit, { digits: 2 }));
  const sofar = found.closed ? '' : ', as far as it is traced';
  if (found.clear)
    return {
      label: field.label,
      reads: show(found.expected),
      message: 'the board adds nothing: no leg to lift',
      lift: false,
    };
  if (found.unknown.length > 0)
    return {
      label: field.label,
      reads: `${show(found.expected)} or less`,
      message: `nobody knows what ${found.unknown.join(' and ')} adds: lift one leg`,
      lift: true,
    };
  if (found.board === Infinity)
    return {
      label: field.label,
      reads: show(found.expected),
      message: `nothing lies across it${sofar}`,
      lift: !found.closed,
    };
  return {
    label: field.label,
    reads: show(found.expected),
    message: `the board alone reads ${show(found.board)} through ${found.through.join(', ') || 'its parts'}${sofar}: lift one leg`,
    lift: true,
  };
}

function capacitorPlace(board: Board, ref: string, label: string): InPlaceView | undefined {
  const across = parallelCapacitors(board, ref);
  if (!across) return undefined;
  if (across.refs.length === 0)
    return { label, reads: 'its own', message: 'no other capacitor lies across it', lift: false };
  const known = across.farads > 0 ? `${formatQuantity(across.farads, 'farad')} more` : 'more';
  return {
    label,
    reads: known,
    message: `${across.refs.join(', ')} ${across.refs.length === 1 ? 'lies' : 'lie'} across it: lift one leg`,
    lift: true,
  };
}
