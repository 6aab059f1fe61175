import { z } from 'zod';
import {
  freeText,
  optionalQuantity,
  pieces,
  readForm,
  requiredQuantity,
  requiredText,
  tick,
  ticked,
} from './fieldSchemas';
import { nestFields } from './nest';
import { formOf } from './testing/forms';

const schema = z.object({
  name: requiredText('A name is expected.', 10),
  note: freeText(5),
  volts: requiredQuantity('volt'),
  ohms: optionalQuantity('ohm'),
  count: pieces(50),
  sure: tick,
});
const GOOD = { name: ' C3 ', volts: '0.4 V', count: '2' };

function read(fields: Record<string, string>) {
  return readForm(schema, formOf({ ...GOOD, ...fields }));
}

test('values come out in base units, trimmed; a blank quantity is missing, never 0', () => {
  expect(read({})).toEqual({
    ok: true,
    values: { name: 'C3', note: '', volts: { value: 0.4, resolution: 0.1 }, ohms: undefined, count: 2, sure: false },
  });
  expect(read({ ohms: '4k7', sure: 'on' })).toMatchObject({ values: { ohms: { value: 4700 }, sure: true } });
  expect(read({ ohms: '0R' })).toMatchObject({ values: { ohms: { value: 0 } } });
});

test.each`
  fields                      | field      | message
  ${{ name: '  ' }}           | ${'name'}  | ${'A name is expected.'}
  ${{ name: 'a'.repeat(11) }} | ${'name'}  | ${'At most 10 characters, please.'}
  ${{ note: 'a'.repeat(6) }}  | ${'note'}  | ${'At most 5 characters, please.'}
  ${{ volts: '' }}            | ${'volts'} | ${/No voltage was typed/}
  ${{ volts: '4k7 ohm' }}     | ${'volts'} | ${/“4k7 ohm” carries another unit/}
  ${{ ohms: 'many' }}         | ${'ohms'}  | ${/“many”/}
  ${{ count: '' }}            | ${'count'} | ${/whole number from 1 to 50/}
  ${{ count: '1.5' }}         | ${'count'} | ${/“1.5”/}
  ${{ count: '51' }}          | ${'count'} | ${/“51”/}
  ${{ count: '-1' }}          | ${'count'} | ${/“-1”/}
`('$field is refused by name: $message', ({ fields, field, message }) => {
  const outcome = read(fields);
  expect(outcome.ok ? [] : outcome.problems).toEqual([{ field, message: expect.stringMatching(message) }]);
});

test('every wrong field is named at once', () => {
  const outcome = read({ name: '', volts: 'x', count: '0' });
  expect(outcome.ok ? [] : outcome.problems.map(({ field }) => field)).toEqual(['name', 'volts', 'count']);
});

const rows = z.object({
  rails: z.array(z.object({ volts: requiredQuantity('volt') })).default([]),
  counts: z.record(z.string(), pieces(9)).default({}),
  ways: ticked(['glued', 'soldered']),
});

test('names nest: rows of a list, entries of an object, and each of several choices', () => {
  const data = formOf({ 'rails[0].volts': '5V', 'rails[1].volts': '12V', 'counts.LA-12': '3' });
  data.append('__proto__.volts', '5V');
  for (const way of ['soldered', 'glued']) data.append('ways[]', way);
  expect(readForm(rows, data)).toEqual({
    ok: true,
    values: {
      rails: [5, 12].map((value) => ({ volts: expect.objectContaining({ value }) })),
      counts: { 'LA-12': 3 },
      ways: ['soldered', 'glued'],
    },
  });
  expect({}).not.toHaveProperty('volts');
  expect(readForm(rows, formOf({}))).toEqual({ ok: true, values: { rails: [], counts: {}, ways: [] } });
});

test.each`
  fields                                               | field
  ${{ 'rails[0].volts': '5V', 'rails[1].volts': 'x' }} | ${'rails[1].volts'}
  ${{ 'counts.LA-12': 'many' }}                        | ${'counts.LA-12'}
  ${{ 'ways[]': 'hung' }}                              | ${'ways[0]'}
  ${{ 'rails[1].volts': '5V' }}                        | ${'rails[0]'}
  ${{ rails: '5V', 'rails[0].volts': '5V' }}           | ${'rails'}
`('a problem carries the name of the field: $field', ({ fields, field }) => {
  const outcome = readForm(rows, formOf(fields as Record<string, string>));
  expect(outcome.ok ? [] : outcome.problems.map((problem) => problem.field)).toEqual([field]);
});

test('a name with a place beyond any list makes no list of that length', () => {
  expect(nestFields([['rails[999999999].volts', '5V']])).toEqual({ 'rails[999999999].volts': '5V' });
});
