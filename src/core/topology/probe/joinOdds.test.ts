import type { Board, BoardPart } from '../../board';
import { modelOf } from '../model';
import { JoinOdds } from './joinOdds';

const part = (ref: string, kind: BoardPart['kind'], pins: string, more: Partial<BoardPart> = {}): BoardPart => ({
  ref,
  kind,
  pins: Object.fromEntries(pins.split(' ').map((pin) => [pin, null])),
  ...more,
});

const PARTS = [
  part('C1', 'capacitor', '+ -', { subtype: 'electrolytic', value: { capacitance: 8.2e-5, voltage: 400 } }),
  part('Q1', 'nmos', 'G D S', { marking: '10N65' }),
  part('T1', 'transformer', '1 2 3 4', {
    windings: [
      ['1', '2'],
      ['3', '4'],
    ],
  }),
  part('D9', 'diode', 'A K', { subtype: 'schottky' }),
  part('C9', 'capacitor', '+ -', { subtype: 'electrolytic', value: { capacitance: 4.7e-4, voltage: 25 } }),
];

function shareOf(a: string, b: string, board: Partial<Board> = {}): number {
  const model = modelOf({ parts: PARTS, ...board });
  const pins = model.board.parts.flatMap((one) => Object.keys(one.pins).map((pin) => ({ part: one, pin })));
  const rail = (name: string) => model.rails.ofNet(model.nets.of(name));
  return new JoinOdds(model, pins).share(rail(a), rail(b));
}

test.each([
  ['a drain goes to a winding sooner than to the plus of an output store', ['Q1.D', 'T1.1'], ['Q1.D', 'C9.+']],
  ['a cathode goes to a plus sooner than to a minus', ['D9.K', 'C9.+'], ['D9.K', 'C9.-']],
  ['an output diode goes to the store of the output, not to that of the mains', ['D9.K', 'C9.+'], ['D9.K', 'C1.+']],
] as const)('%s', (_, likelier, other) => {
  expect(shareOf(likelier[0], likelier[1])).toBeGreaterThan(1.5 * shareOf(other[0], other[1]));
});

test('a drain that has its winding is not likely at another winding of the transformer', () => {
  const before = shareOf('Q1.D', 'T1.3');
  expect(shareOf('Q1.D', 'T1.3', { joined: [['Q1.D', 'T1.2']] })).toBeLessThan(0.5 * before);
});

test('what is ruled out makes the rest likelier', () => {
  const before = shareOf('Q1.D', 'T1.4');
  const separate = ['T1.1', 'T1.2', 'T1.3', 'C1.+', 'C9.+', 'D9.A', 'D9.K'].map((pin) => ['Q1.D', pin] as const);
  expect(shareOf('Q1.D', 'T1.4', { separate })).toBeGreaterThan(before);
});
