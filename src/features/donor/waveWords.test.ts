import {
  makeWave,
  MADE_WAVES,
  stretchOf,
  analyseRamp,
  analyseRing,
  analyseStep,
  analyseDischarge,
  analyseChopping,
  analyseRipple,
  type MadeWave,
} from '../../core/waveform';
import { TESTS } from '../../core/measure';
import type { TestName } from '../../core/part';
import { parseQuantity } from '../../core/quantity';
import type { WaveFinding } from '../../workers/wave.contract';
import { findingView, TASKS } from './waveWords';

const made = (name: MadeWave) => stretchOf(makeWave(name, { points: 3000, noise: 0, gaussian: () => 0 }), 0);
const FOUND: Readonly<Record<MadeWave | 'ripple', () => WaveFinding>> = {
  ramp: () => analyseRamp(made('ramp'), { volts: 12 }),
  ring: () => analyseRing(made('ring')),
  discharge: () => analyseDischarge(made('discharge')),
  step: () => analyseStep(made('step'), 2),
  chopping: () => analyseChopping(made('chopping')),
  ripple: () => analyseRipple(made('ring')),
};
const plain = (text: string) => text.replaceAll('\u00a0', ' ');

test.each`
  name           | test             | says                                | fields
  ${'ramp'}      | ${'choke'}       | ${/^(99|100|101)[^ ]* µH ± .* µH$/} | ${['inductance', 'saturation']}
  ${'ramp'}      | ${'transformer'} | ${/µH/}                             | ${['open', 'saturation']}
  ${'ramp'}      | ${'capacitor'}   | ${/µH/}                             | ${[]}
  ${'ring'}      | ${'choke'}       | ${/^6[45]\.?\d* kHz/}               | ${['rings']}
  ${'discharge'} | ${'capacitor'}   | ${/^33\d ms ±/}                     | ${[]}
  ${'chopping'}  | ${undefined}     | ${/^(69|70|71)°$/}                  | ${[]}
  ${'ripple'}    | ${undefined}     | ${/V$/}                             | ${[]}
`('a $name of a $test says $says and fills $fields', ({ name, test, says, fields }) => {
  const view = findingView(FOUND[name as MadeWave](), test as TestName | undefined);
  expect(plain(view.rows[0]?.value ?? '')).toMatch(says as RegExp);
  expect(Object.keys(view.fields)).toEqual(fields);
  // What is kept can be typed into the field it is for.
  for (const [field, text] of Object.entries(view.fields)) {
    const rule = TESTS[test as TestName].fields.find((one) => one.name === field);
    expect(rule && parseQuantity(text, rule.unit).ok).toBe(true);
  }
});

test('a step gives a capacitor its ESR', () => {
  const view = findingView({ kind: 'step', esr: 0.038, capacitance: undefined, jump: 0.076 }, 'capacitor');
  expect(view.fields).toEqual({ esr: '0.0380' });
  expect(view.rows[1]?.value).toBe('the slope does not tell');
  expect(
    findingView({ kind: 'step', esr: 0.038, capacitance: 680e-6, jump: 0.076 }, 'capacitor').fields.capacitance,
  ).toBeDefined();
});

test('a failure is told, and nothing is kept of it', () => {
  expect(findingView({ kind: 'failure', says: 'No ramp.' }, 'choke')).toEqual({
    rows: [],
    fields: {},
    refusal: 'No ramp.',
  });
});

test('every task has its words, and each made recording says that it was made', () => {
  expect(Object.values(TASKS).every(({ label }) => label.length > 5)).toBe(true);
  expect(Object.values(MADE_WAVES).every(({ channel }) => channel.includes('made by formula'))).toBe(true);
});
