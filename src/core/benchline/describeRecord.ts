import { fixedWords } from '../board';
import { readingText, testField, type Measured, type TestField } from '../measure';
import { BLOCKS, DUTIES, FITMENTS, kindRule, RATINGS, withArticle } from '../part';
import { formatDuration, formatQuantity } from '../quantity';
import type { BenchRecord, TypedRating } from './record';

/** A record in plain words: `Q1 is an N-FET in TO-220, marked 12N65`. */
export function describeRecord(record: BenchRecord): string {
  switch (record.kind) {
    case 'part':
      return describePart(record);
    case 'value':
      return `${record.ref}: ${record.ratings.map((rating) => `${RATINGS[rating.name].label} ${formatQuantity(rating.value, RATINGS[rating.name].unit)}, ${rating.source}`).join('; ')}`;
    case 'measurement':
      return `${record.ref} measured${record.inCircuit ? ' in circuit' : ''}: ${Object.entries(record.values)
        .map(([name, measured]) => describeReading(testField(record.test, name), measured))
        .join(', ')}`;
    case 'reading':
      return `${record.store} reads ${formatQuantity(record.voltage.value, 'volt', { resolution: record.voltage.resolution })}${record.elapsed === undefined ? ' now' : ` at ${formatDuration(record.elapsed)}`}`;
    case 'store':
      return `${record.name} stores charge: ${record.role === 'battery' ? 'a battery' : record.capacitance === 0 ? 'how much is not known' : `${record.bank ? `${record.bank}, in all ` : ''}${formatQuantity(record.capacitance, 'farad')}`}${record.ratedVoltage === undefined ? '' : `, ${formatQuantity(record.ratedVoltage, 'volt')}${record.ratedInAc ? ' AC' : ''}`}${record.bleed === undefined ? '' : `, bled by ${formatQuantity(record.bleed, 'ohm')}`}`;
    case 'power':
      return record.applied
        ? 'power is applied; readings from before count no more'
        : 'power is taken away; read every store again';
    case 'meter-check':
      return 'the meter was checked on a known source, before and after';
    case 'tool':
      return record.ohms === undefined
        ? `the bleed tool is off ${record.store}`
        : `a bleed tool of ${formatQuantity(record.ohms, 'ohm')} is on ${record.store}`;
    case 'soak': {
      const facts = [
        record.watts === undefined ? '' : formatQuantity(record.watts, 'watt'),
        record.celsius === undefined ? '' : `case ${formatQuantity(record.celsius, 'celsius')}`,
        record.volts === undefined ? '' : formatQuantity(record.volts, 'volt', { digits: 4 }),
        record.load === undefined ? '' : `load ${formatQuantity(record.load, 'ampere')}`,
        record.remark,
      ].filter((word) => word !== '');
      return `soak${record.elapsed === undefined ? ' now' : ` at ${formatDuration(record.elapsed)}`}: ${facts.join(', ')}`;
    }
    case 'note':
      return `${record.question ? 'question' : 'note'}${record.ref ? ` on ${record.ref}` : ''}: ${record.text}`;
    case 'claim':
      return `claim${record.ref ? ` on ${record.ref}` : ''}: ${record.text}`;
    case 'status':
      return `${record.ref}: what was claimed or asked is ${record.status}${record.because ? `, ${record.because}` : ''}`;
    case 'join':
      return describeJoin(record);
    case 'mount':
      return `${record.refs.join(', ')} ${record.refs.length === 1 ? 'sits' : 'sit'} on heat sink ${record.sink}${record.ways.length > 0 ? `, ${record.ways.join(' and ')}` : ''}`;
    case 'sweep':
      return `nothing else is on the net of ${record.pin}`;
    case 'fix':
      return `${record.ref} is taken for ${fixedWords(record.as)}`;
    case 'delete':
      return `${record.ref} is deleted from the log`;
    case 'rename':
      return `${record.ref} is called ${record.to}`;
  }
}

function describeReading(field: TestField | undefined, { value }: Measured): string {
  if (!field) return '';
  return `${field.label} ${readingText(field, value)}`;
}

function describeJoin({ relation, pins, ohms, drop }: Extract<BenchRecord, { kind: 'join' }>): string {
  const read = [
    ...(ohms === undefined ? [] : [formatQuantity(ohms, 'ohm')]),
    ...(drop === undefined ? [] : [`${formatQuantity(drop, 'volt')} in diode mode`]),
  ].join(', ');
  if (relation === 'separate') return `${pins.join(' and ')} are not joined`;
  if (relation === 'through') return `${pins.join(' to ')} reads through a part${read ? `: ${read}` : ''}`;
  return `${pins.join(' joined to ')}`;
}

function describePart(record: Extract<BenchRecord, { kind: 'part' }>): string {
  const { label } = kindRule(record.partKind);
  const subtype = record.subtype && !label.includes(record.subtype) ? ` (${record.subtype})` : '';
  const { others = [] } = record;
  const subject =
    others.length === 0
      ? `${record.ref} is ${record.fitments.includes('unpopulated') ? 'an empty footprint of ' : ''}${withArticle(label)}${subtype}`
      : `${[record.ref, ...others].length} parts, ${rangeWords([record.ref, ...others])}, are each ${withArticle(label)}${subtype}`;
  const facts = [
    subject,
    ...(record.isAssumed ? ['by its letters'] : []),
    ...(record.technology ? [record.technology] : []),
    ...(record.like ? [`like ${record.like}`] : []),
    ...(record.windings ? [`windings ${record.windings.map((pins) => pins.join('-')).join(', ')}`] : []),
    ...(record.package ? [/^[A-Z0-9]/.test(record.package) ? `in ${record.package}` : record.package] : []),
    ...ratingWords(record.ratings),
    ...(record.marking ? [`marked ${record.marking}`] : []),
    ...(record.dateCode ? [`dated ${record.dateCode}`] : []),
    ...(record.duty ? [DUTIES[record.duty]] : []),
    ...(record.block ? [`in the ${BLOCKS[record.block].label} block`] : []),
    ...record.fitments.filter((name) => name !== 'unpopulated').map((name) => FITMENTS[name]),
    ...record.damage,
  ];
  return facts.join(', ');
}

/** `C11 to C20`, or each of them when they do not follow one another. */
function rangeWords(refs: readonly string[]): string {
  const [first = '', last = ''] = [refs[0], refs.at(-1)];
  const number = (ref: string) => Number(/\d+/.exec(ref)?.[0]);
  return number(last) - number(first) === refs.length - 1 ? `${first} to ${last}` : refs.join(', ');
}

function ratingWords(ratings: readonly TypedRating[]): string[] {
  return ratings.map(({ name, value }) => formatQuantity(value, RATINGS[name].unit));
}
