/** @jest-environment jsdom */
import { screen } from '@testing-library/react';
import type { Unit } from '../../core/quantity';
import { mount } from '../testing/mount';
import { QuantityField, shorthand } from './fields';
import { InstrumentProvider, type InstrumentOutcome } from './instrument';

const read = (value: number | null, resolution = 0.001): InstrumentOutcome => ({
  ok: true,
  reading: { value, resolution, at: 0 },
});

function field(
  of: {
    unit?: Unit;
    outcome?: InstrumentOutcome;
    openWord?: boolean;
    wants?: string;
    name?: string;
    onValue?: (value: number | undefined) => void;
  } = {},
) {
  const { unit = 'ohm', outcome = read(4692, 1), name = 'bench meter', ...more } = of;
  const instrument = { name, read: jest.fn(() => Promise.resolve(outcome)), watch: () => () => undefined };
  const mounted = mount(
    <InstrumentProvider instrument={instrument}>
      <QuantityField name="value" label="value" unit={unit} hint="as printed" {...more} />
      <button type="button">next</button>
    </InstrumentProvider>,
  );
  return { ...mounted, instrument, input: screen.getByLabelText<HTMLInputElement>('value') };
}
const says = (input: HTMLInputElement) =>
  document.getElementById(input.getAttribute('aria-describedby') ?? '')?.textContent?.replaceAll('\u00a0', ' ');

test.each`
  text         | unit       | openWord | shown
  ${'4k7'}     | ${'ohm'}   | ${false} | ${'4.7 kΩ'}
  ${'0R22'}    | ${'ohm'}   | ${false} | ${'220 mΩ'}
  ${'100n'}    | ${'farad'} | ${false} | ${'100 nF'}
  ${'OL'}      | ${'ohm'}   | ${true}  | ${'open, over range'}
  ${'900000V'} | ${'volt'}  | ${false} | ${'900 kV, unusually much: is the unit right?'}
`('“$text” in $unit is understood as $shown while it is typed', async ({ text, unit, openWord, shown }) => {
  const { user, input } = field({ unit, openWord });
  await user.type(input, text as string);
  expect(says(input)).toBe(shown);
});

test('what cannot be read is refused when the field is left, not while it is typed', async () => {
  const { user, input } = field({ name: '' });
  await user.type(input, 'soup');
  expect(input.getAttribute('aria-invalid')).toBeNull();
  await user.click(document.body);
  expect(input.getAttribute('aria-invalid')).toBe('true');
  expect(says(input)).toContain('“soup”');
});

test('the value is told as it is understood, and taken back when it no longer is', async () => {
  const onValue = jest.fn();
  const { user, input } = field({ onValue });
  await user.type(input, '4kx');
  expect(onValue.mock.calls.map(([value]) => value)).toEqual([4, 4000, undefined]);
});

test('F8 takes the reading of the meter with the digits it gave', async () => {
  const { user, input, instrument } = field();
  await user.click(input);
  expect(says(input)).toBe('F8 takes the meter’s reading');
  await user.keyboard('{F8}');
  expect(instrument.read).toHaveBeenCalledWith('ohm', undefined);
  expect(input.value).toBe('4.692kΩ');
});

test.each`
  outcome                                 | openWord | value   | message
  ${read(null)}                           | ${true}  | ${'OL'} | ${'open, over range'}
  ${read(null)}                           | ${false} | ${''}   | ${'The meter is over range: OL is no value for this field.'}
  ${{ ok: false, message: 'No answer.' }} | ${false} | ${''}   | ${'No answer.'}
`('F8 with $outcome.message$openWord leaves “$value”', async ({ outcome, openWord, value, message }) => {
  const { user, input } = field({ outcome, openWord });
  await user.click(input);
  await user.keyboard('{F8}');
  expect([input.value, says(input)]).toEqual([value, message]);
});

test.each([
  ['no meter is there', { name: '' }],
  ['the unit is none that a meter reads', { unit: 'henry' as const }],
  ['the field is not for a meter', { wants: 'nothing' }],
])('F8 does nothing when %s', async (_why, of) => {
  const { user, input, instrument } = field(of);
  await user.click(input);
  await user.keyboard('{F8}');
  expect(instrument.read).not.toHaveBeenCalled();
  expect(input.value).toBe('');
});

test.each`
  value      | resolution | unit       | text
  ${0.4}     | ${0.1}     | ${'volt'}  | ${'400mV'}
  ${-12.03}  | ${0.01}    | ${'volt'}  | ${'-12.03V'}
  ${96.2e-6} | ${1e-7}    | ${'farad'} | ${'96.2µF'}
`('$value with its last digit at $resolution is typed as $text', ({ value, resolution, unit, text }) => {
  expect(shorthand(value as number, resolution as number, unit as Unit)).toBe(text);
});
