import {
  analyseWave,
  MADE_WAVES,
  makeWave,
  type MadeWave,
  type WaveParameters,
  type WaveTask,
} from '../../../core/waveform';
import { TESTS } from '../../../core/measure';
import type { TestName } from '../../../core/part';
import { findingView, TASKS } from './present';

/** What a task makes of the whole of a recording by formula without noise. */
const madeOf = (name: MadeWave, task: WaveTask, parameters: WaveParameters, channel = 0) =>
  analyseWave(makeWave(name, { points: 3000, noise: 0, gaussian: () => 0 }), {
    task,
    channel,
    from: -Infinity,
    to: Infinity,
    parameters,
  });
const plain = (text: string) => text.replaceAll('\u00a0', ' ');

test.each`
  made           | task           | told                      | test             | message                             | fields
  ${'ramp'}      | ${'ramp'}      | ${{ volts: 12 }}          | ${'choke'}       | ${/^(99|100|101)[^ ]* µH ± .* µH$/} | ${['inductance', 'saturation']}
  ${'ramp'}      | ${'ramp'}      | ${{ volts: 12 }}          | ${'transformer'} | ${/µH/}                             | ${['open', 'saturation']}
  ${'ramp'}      | ${'ramp'}      | ${{ volts: 12 }}          | ${'capacitor'}   | ${/µH/}                             | ${[]}
  ${'ring'}      | ${'ring'}      | ${{}}                     | ${'choke'}       | ${/^6[45]\.?\d* kHz/}               | ${['rings']}
  ${'discharge'} | ${'discharge'} | ${{}}                     | ${'capacitor'}   | ${/^33\d ms ±/}                     | ${[]}
  ${'discharge'} | ${'discharge'} | ${{ throughOhms: 2200 }}  | ${'capacitor'}   | ${/^33\d ms ±/}                     | ${['capacitance']}
  ${'chopping'}  | ${'chopping'}  | ${{}}                     | ${undefined}     | ${/^(69|70|71)°$/}                  | ${[]}
  ${'ring'}      | ${'ripple'}    | ${{}}                     | ${'capacitor'}   | ${/V$/}                             | ${[]}
  ${'ripple'}    | ${'ripple'}    | ${{}}                     | ${'capacitor'}   | ${/^4[45].*mΩ ±/}                   | ${['esr', 'capacitance']}
  ${'ripple'}    | ${'ripple'}    | ${{ current: 2 }}         | ${'capacitor'}   | ${/^4[45].*mΩ ±/}                   | ${['esr', 'capacitance']}
  ${'ripple'}    | ${'ripple'}    | ${{ amperesBeside: 0.5 }} | ${'choke'}       | ${/^(89|90).*mΩ ±/}                 | ${[]}
`('$task of $made with $told, of a $test: $message, fills $fields', ({ made, task, told, test, message, fields }) => {
  const view = findingView(madeOf(made, task, told), test as TestName | undefined);
  expect(plain(view.rows[0]?.value ?? '')).toMatch(message as RegExp);
  expect(Object.keys(view.fields)).toEqual(fields);
  // What is kept belongs into a field of that test.
  for (const [field, { value, resolution }] of Object.entries(view.fields)) {
    expect(TESTS[test as TestName].fields.map(({ name }) => name)).toContain(field);
    expect(value).toBeGreaterThan(resolution);
  }
});

test('a step gives a capacitor its ESR', () => {
  const view = findingView(
    { kind: 'step', esr: 0.038, esrUncertainty: 0, capacitance: undefined, jump: 0.076 },
    'capacitor',
  );
  expect(view.fields.esr?.value).toBe(0.038);
  expect(view.fields.esr?.resolution).toBeCloseTo(0.0001);
  expect(view.rows[1]?.value).toBe('the slope does not tell');
  expect(
    findingView({ kind: 'step', esr: 0.038, esrUncertainty: 0, capacitance: 680e-6, jump: 0.076 }, 'capacitor').fields
      .capacitance,
  ).toBeDefined();
});

test('a failure is told, and nothing is kept of it', () => {
  expect(findingView({ kind: 'failure', message: 'No ramp.' }, 'choke')).toEqual({
    rows: [],
    fields: {},
    refusal: 'No ramp.',
  });
});

test('every task has its words, and each made recording says that it was made', () => {
  expect(Object.values(TASKS).every(({ label }) => label.length > 5)).toBe(true);
  expect(Object.values(MADE_WAVES).every(({ channel }) => channel.includes('made by formula'))).toBe(true);
});
