/** @jest-environment jsdom */
import { screen, waitFor } from '@testing-library/react';
import { mount } from '../../../ui/testing/mount';
import type { BoardAnswer } from '../../../workers/board.contract';
import type { MeterProbe } from '../shared/useMeterProbe';
import { NextProbe } from './NextProbe';

const PROBE = {
  a: 'Q1.D',
  b: 'T1.2',
  question: 'Does the switch drive the transformer?',
  sweep: { hold: 'Q1.D', pins: ['T1.2', 'T1.1', 'D3.A'] },
};
const record = jest.fn(() => Promise.resolve());
beforeEach(() => jest.clearAllMocks());

function asks(
  of: {
    isFresh?: boolean;
    meter?: Partial<MeterProbe>;
    probes?: readonly (typeof PROBE)[];
    entropy?: number;
    open?: number;
    isWhole?: boolean;
  } = {},
) {
  const meter: MeterProbe = {
    isThere: false,
    latched: undefined,
    latch: () => undefined,
    read: jest.fn(() => Promise.resolve(true)),
    ...of.meter,
  };
  const answer = {
    advice: { probes: of.probes ?? [PROBE], entropy: of.entropy ?? 1 },
    analysis: { power: { pins: 6, traced: 6 - (of.open ?? 0), open: Array(of.open ?? 0).fill('Q1.S') } },
  } as unknown as BoardAnswer;
  return {
    meter,
    ...mount(
      <NextProbe
        answer={answer}
        isWhole={of.isWhole ?? true}
        isFresh={of.isFresh ?? true}
        record={record}
        meter={meter}
      />,
    ),
  };
}

test.each([
  ['j', 'joined'],
  ['x', 'separate'],
])('%s answers that the pins are %s', async (key, relation) => {
  const { user } = asks();
  expect(screen.getByText(PROBE.question)).toBeTruthy();
  await user.keyboard(key);
  expect(record).toHaveBeenCalledWith({ kind: 'join', relation, pins: ['Q1.D', 'T1.2'] });
});

test.each<[tapped: string[], said: string, beeps: string[], silent: string[], open: string[]]>([
  [[], 'none of them beeps', [], ['T1.2', 'T1.1', 'D3.A'], []],
  [['T1.1'], 'the others do not', ['T1.1'], ['T1.2', 'D3.A'], []],
  [['T1.1', 'T1.2', 'T1.1'], 'the others do not', ['T1.2'], ['D3.A'], ['T1.1']],
  [['T1.1', 'T1.1', 'T1.1'], 'none of them beeps', [], ['T1.2', 'T1.1', 'D3.A'], []],
  [['T1.2', 'T1.1', 'D3.A', 'D3.A'], 'that is all', ['T1.2', 'T1.1'], [], ['D3.A']],
])('with one lead kept and %j tapped, t records: %s', async (tapped, said, beeps, silent, open) => {
  const { user } = asks();
  for (const pin of tapped) await user.click(screen.getByRole('button', { name: RegExp(`^${pin}: `) }));
  expect(screen.getByRole('button', { name: `t ${said}` })).toBeTruthy();
  await user.keyboard('t');
  expect(record).toHaveBeenCalledWith({ kind: 'touched', hold: 'Q1.D', beeps, silent, open });
});

test('a probe that leads to one pin alone asks for no more', () => {
  asks({ probes: [{ ...PROBE, sweep: { hold: 'Q1.D', pins: ['T1.2'] } }] });
  expect(screen.queryByText(/keep one lead/)).toBeNull();
});

test('what cannot be reached is left open', async () => {
  const { user } = asks();
  await user.keyboard('o');
  expect(record).toHaveBeenCalledWith({ kind: 'unsure', pins: ['Q1.D', 'T1.2'] });
});

test('while the answer is that of an earlier board, no key answers', async () => {
  const { user } = asks({ isFresh: false });
  await user.keyboard('jxrt');
  await user.click(screen.getByRole('button', { name: /they beep/ }));
  expect(record).not.toHaveBeenCalled();
});

test.each([
  ['0R22', { ohms: 0.22 }],
  ['1M', { ohms: 1e6 }],
  ['0.52V', { drop: 0.52 }],
  ['520mV', { drop: 0.52 }],
])('without a meter r asks for a reading: %s', async (text, read) => {
  const { user } = asks();
  await user.keyboard('r');
  const field = screen.getByLabelText('Reading between Q1.D and T1.2');
  expect(document.activeElement).toBe(field);
  await user.type(field, `${text}{Enter}`);
  expect(record).toHaveBeenCalledWith({ kind: 'join', relation: 'through', pins: ['Q1.D', 'T1.2'], ...read });
  await waitFor(() => expect(screen.queryByLabelText('Reading between Q1.D and T1.2')).toBeNull());
});

test('a reading that cannot be read is named and stays; Escape leaves it', async () => {
  const { user } = asks();
  await user.keyboard('r');
  const field = screen.getByLabelText<HTMLInputElement>('Reading between Q1.D and T1.2');
  await user.type(field, 'soup{Enter}');
  expect(screen.getByRole('alert').textContent).toContain('“soup”');
  expect(field.value).toBe('soup');
  expect(record).not.toHaveBeenCalled();
  await user.type(field, '{Escape}');
  expect(screen.queryByRole('alert')).toBeNull();
});

test('with a meter r reads it; one that does not answer leaves the reading to be typed', async () => {
  const { user, meter } = asks({ meter: { isThere: true } });
  await user.keyboard('r');
  expect(meter.read).toHaveBeenCalledWith('Q1.D', 'T1.2');
  expect(screen.queryByLabelText(/^Reading between/)).toBeNull();
});

test('a meter that does not answer leaves the reading to be typed', async () => {
  const { user } = asks({ meter: { isThere: true, read: () => Promise.resolve(false) } });
  await user.keyboard('r');
  expect(await screen.findByLabelText('Reading between Q1.D and T1.2')).toBeTruthy();
});

test('a board that leaves nothing to ask shows nothing', () => {
  asks({ probes: [] });
  expect(screen.queryByText('Probe next, it tells most')).toBeNull();
});

test.each`
  of                                    | settled  | why
  ${{ entropy: 0.004 }}                 | ${true}  | ${'named, and the way of the power is traced'}
  ${{ entropy: 0.4 }}                   | ${false} | ${'the topology is still open'}
  ${{ entropy: 0.004, open: 1 }}        | ${false} | ${'a pin of the way is open'}
  ${{ entropy: 0.004, isWhole: false }} | ${false} | ${'a part that it must have is not logged'}
`('a board with $of is asked no more: $settled ($why)', ({ of, settled }) => {
  asks(of);
  expect(screen.queryByText(/The circuit is named/) !== null).toBe(settled);
  expect(screen.queryByText(PROBE.question) !== null).toBe(!settled);
});
