/** @jest-environment jsdom */
import { screen, within } from '@testing-library/react';
import { mount } from '../../ui/testing/mount';
import { SumsSheet } from './SumsSheet';

const plain = (element: HTMLElement) => (element.textContent ?? '').replaceAll('\u00a0', ' ');
const sum = (name: string) => screen.getByRole('region', { name });
const charge = () => plain(sum('Stored charge and its bleed'));

/** Types into the fields of a sum in the place of what stands there. */
async function typed(fields: Readonly<Record<string, string>>, touchLimit = 60) {
  const { user } = mount(<SumsSheet touchLimit={touchLimit} />);
  for (const [label, text] of Object.entries(fields)) {
    await user.clear(screen.getByLabelText(label));
    if (text !== '') await user.type(screen.getByLabelText(label), text);
  }
}

// Energy ½CV², power V²/R, time constant RC, and its logarithms: worked by hand.
test.each`
  capacitance | voltage   | resistance | shown
  ${'150u'}   | ${'325V'} | ${'2k2'}   | ${['energy7.92 J', 'power at first48 W', 'time constant330 ms', 'under 60 V in0.6 s', 'under 5 V in1.4 s']}
  ${'1000u'}  | ${'50V'}  | ${'100R'}  | ${['energy1.25 J', 'power at first25 W', 'time constant100 ms']}
  ${'470n'}   | ${'325V'} | ${'1M'}    | ${['energy24.8 mJ', 'time constant470 ms']}
`('$capacitance at $voltage through $resistance', async ({ capacitance, voltage, resistance, shown }) => {
  await typed({ capacitance, 'charged to': voltage, 'bleed resistor': resistance });
  for (const text of shown as string[]) expect(charge()).toContain(text);
});

test('the touch limit is the one of the shop', async () => {
  await typed({}, 50);
  expect(charge()).toContain('under 50 V in');
});

test.each`
  label                     | text           | problem
  ${'capacitance'}          | ${'soup'}      | ${/“soup”/}
  ${'charged to'}           | ${'12 apples'} | ${/12 apples/}
  ${'charged to'}           | ${'0V'}        | ${/more than zero is expected/}
  ${'bleed resistor'}       | ${'-2k'}       | ${/below zero|more than zero/}
  ${'bands'}                | ${'mauve'}     | ${/./}
  ${'kind, if you know it'} | ${'gizmo'}     | ${/“gizmo” is no kind; try /}
`('$label: “$text” is refused by name', async ({ label, text, problem }) => {
  await typed({ [label as string]: text as string });
  const field = screen.getByLabelText(label as string);
  expect(field.getAttribute('aria-invalid')).toBe('true');
  expect(document.getElementById(field.getAttribute('aria-describedby') ?? '')?.textContent).toMatch(problem as RegExp);
});

test('without a resistor the charge alone is told', async () => {
  await typed({ 'bleed resistor': '' });
  expect(charge()).toContain('energy7.92 J');
  expect(charge()).not.toContain('power at first');
});

test.each`
  bands                            | value
  ${'yellow violet red gold'}      | ${'4.7 kΩ'}
  ${'brown black black red brown'} | ${'10 kΩ'}
  ${'red, red, orange, silver'}    | ${'22 kΩ'}
`('$bands reads $value', async ({ bands, value }) => {
  await typed({ bands });
  expect(plain(sum('Read colour bands'))).toContain(value);
});

test('a marking is read with the rule that did it, by the kind if it is known', async () => {
  await typed({ marking: '1N4007' });
  const [first] = within(sum('Read a marking')).getAllByRole('listitem');
  expect(plain(first as HTMLElement)).toMatch(/diode.*1 kV.*rule/);
});

test('a marking that no rule knows is said so', async () => {
  await typed({ marking: 'ZZQX-88' });
  expect(plain(sum('Read a marking'))).toContain('No rule knows this marking.');
});
