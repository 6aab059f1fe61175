/** @jest-environment jsdom */
import { screen } from '@testing-library/react';
import { mount } from '../../../ui/testing/mount';
import { noteToolAction } from './actions';
import { ToolTrial } from './ToolTrial';

jest.mock('./actions', () => ({ noteToolAction: jest.fn() }));
beforeEach(() => jest.mocked(noteToolAction).mockReset().mockResolvedValue({ ok: true, message: 'noted' }));

const plain = (text: string | null | undefined) => (text ?? '').replaceAll('\u00a0', ' ');
const ON_C3 = { code: 'FQM-ZN8', store: 'C3', on: null };
const trial = (stocked: Parameters<typeof ToolTrial>[0]['stocked'] = []) =>
  mount(<ToolTrial {...ON_C3} start={325} capacitance={150e-6} touchLimit={60} stocked={stocked} />);

async function tries(resistance: string, power: string, build: 'wirewound' | 'film' = 'wirewound') {
  const { user } = trial();
  await user.type(screen.getByLabelText('a resistor at hand'), resistance);
  await user.type(screen.getByLabelText('rated'), power);
  await user.selectOptions(screen.getByLabelText('build'), build);
  return plain(screen.queryByText(/^under 5 V in$/)?.closest('[role=status]')?.textContent);
}

// 325 V on 150 µF through 2.2 kΩ: 48 W at first, 0.33 s a time constant, 1.69 of them to 60 V and 4.17 to 5 V: by hand.
test.each`
  resistance | power     | build          | expected
  ${'2k2'}   | ${'5W'}   | ${'wirewound'} | ${/^will do.*48 W, 150 mA.*under 60 V in0\.6 s.*under 5 V in1\.4 s/}
  ${'2k2'}   | ${'250m'} | ${'film'}      | ${/^not this one48 W at first.*Better: /}
  ${'100R'}  | ${'1W'}   | ${'wirewound'} | ${/^not this one1\.1 kW at first/}
  ${'470k'}  | ${'5W'}   | ${'wirewound'} | ${/^works, but slowly.*to 5 V; a hand holds it/}
`('$resistance of $power, $build', async ({ resistance, power, build, expected }) => {
  expect(await tries(resistance, power, build)).toMatch(expected);
});

test('nothing is judged before both are known', async () => {
  expect(await tries('2k2', '0W')).toBe('');
});

test('the drawers are asked for what would do', () => {
  const { show } = trial([{ lot: 'AAA-BBB', message: '2.2 kΩ 10 W', resistance: 2200, power: 50 }]);
  expect(screen.getByText(/^In the drawers: AAA-BBB, 2\.2 kΩ 10 W\.$/)).toBeTruthy();
  show(
    <ToolTrial
      {...ON_C3}
      start={325}
      capacitance={150e-6}
      touchLimit={60}
      stocked={[{ lot: 'AAA-BBC', message: '10 Ω', resistance: 10, power: 0.25 }]}
    />,
  );
  expect(screen.getByText('None of the resistors in the drawers will do.')).toBeTruthy();
});

test('a lamp goes dark before the store is empty, and two stand in series where one is too low', async () => {
  const { user } = trial();
  expect(plain(screen.getByText(/dark is not empty/).textContent)).toMatch(/under 5 V in .* goes dark near/);
  const lamp = screen.getByLabelText('230 V lamp of');
  await user.clear(lamp);
  await user.type(lamp, 'soup');
  expect(screen.queryByText(/dark is not empty/)).toBeNull();
});

test('a tool that will do can be said to be on, and one that is on to be off', async () => {
  const { user, show } = trial();
  await user.type(screen.getByLabelText('a resistor at hand'), '100R');
  await user.type(screen.getByLabelText('rated'), '1W');
  expect(screen.queryByRole('button', { name: /is on C3 now/ })).toBeNull();
  await user.clear(screen.getByLabelText('a resistor at hand'));
  await user.type(screen.getByLabelText('a resistor at hand'), '2k2');
  await user.clear(screen.getByLabelText('rated'));
  await user.type(screen.getByLabelText('rated'), '10W');
  await user.click(screen.getByRole('button', { name: /is on C3 now/ }));
  expect(noteToolAction).toHaveBeenLastCalledWith('FQM-ZN8', { store: 'C3', ohms: 2200 });
  show(<ToolTrial {...ON_C3} on={2200} start={325} capacitance={150e-6} touchLimit={60} stocked={[]} />);
  await user.click(screen.getByRole('button', { name: 'The tool is off C3' }));
  expect(noteToolAction).toHaveBeenLastCalledWith('FQM-ZN8', { store: 'C3' });
});
