import { circuitById } from '../../core/whatif';
import { queryOf, readAsked, shareOf, valueAt } from './address';

const flyback = circuitById('flyback')!;
const read = (text: string) => readAsked(flyback, new URLSearchParams(text));

test.each`
  query             | id              | value     | why
  ${''}             | ${'input'}      | ${325}    | ${'the usual'}
  ${'input=200'}    | ${'input'}      | ${200}    | ${'as asked'}
  ${'input=lots'}   | ${'input'}      | ${325}    | ${'no number'}
  ${'input='}       | ${'input'}      | ${325}    | ${'blank is no nought'}
  ${'input=9000'}   | ${'input'}      | ${400}    | ${'the end of its span'}
  ${'inductance=0'} | ${'inductance'} | ${100e-6} | ${'the other end'}
`('$query: $id is $value ($why)', ({ query, id, value }: { query: string; id: string; value: number }) => {
  expect(read(query).values[id]).toBe(value);
});

test.each([
  ['control=0.3', 0.3],
  ['control=5', 0.7],
  ['control=-1', 0.005],
  ['control=fast', undefined],
  ['', undefined],
])('%s: the duty is %p', (query, control) => {
  expect(read(query).control).toBe(control);
});

test('an address comes back as it was turned, and holds only what was', () => {
  const asked = { ...read('input=210&load=1.2'), control: 0.31, fault: 'dry' };
  const query = queryOf(flyback, asked);
  expect(query).toBe('?input=210&load=1.2&control=0.31&fault=dry');
  expect(read(query)).toEqual(asked);
  expect(queryOf(flyback, read(''))).toBe('');
});

test('a slider goes from end to end, by ratios over more than ten to one', () => {
  for (const knob of flyback.knobs) {
    expect(valueAt(knob, 0)).toBeCloseTo(knob.from, 9);
    expect(valueAt(knob, 1)).toBeCloseTo(knob.to, 9);
    expect(valueAt(knob, shareOf(knob, knob.usual)) / knob.usual).toBeCloseTo(1, 2);
  }
  const [farads] = flyback.knobs.filter(({ id }) => id === 'capacitance');
  expect(valueAt(farads!, 0.5)).toBeCloseTo(Math.sqrt(47e-6 * 4700e-6), 5);
});
