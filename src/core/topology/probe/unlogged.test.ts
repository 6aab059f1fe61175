import type { BoardPart } from '../../board';
import { unlogged } from '..';

const part = (ref: string, kind: BoardPart['kind'], more: Partial<BoardPart> = {}): BoardPart => ({
  ref,
  kind,
  pins: {},
  ...more,
});
const SUPPLY = [
  part('J1', 'connector', { role: 'mains-inlet' }),
  part('BR1', 'bridge'),
  part('C1', 'capacitor', { value: { voltage: 400 } }),
  part('T1', 'transformer'),
  part('Q1', 'nmos'),
  part('D5', 'dual-diode'),
];
const without = (...refs: readonly string[]) => SUPPLY.filter(({ ref }) => !refs.includes(ref));

test.each`
  parts                                                                                | missing                                                                        | why
  ${SUPPLY}                                                                            | ${[]}                                                                          | ${'whole'}
  ${without('BR1', 'C1')}                                                              | ${['bridge', 'big can']}                                                       | ${'both ends of the mains side'}
  ${[...without('BR1'), ...['D1', 'D2', 'D3', 'D4'].map((ref) => part(ref, 'diode'))]} | ${[]}                                                                          | ${'four diodes make a bridge'}
  ${[...without('Q1'), part('U1', 'ic')]}                                              | ${[]}                                                                          | ${'the switch may sit in the chip'}
  ${[...without('J1', 'BR1', 'C1'), part('J1', 'connector', { role: 'dc-input' })]}    | ${[]}                                                                          | ${'fed with direct voltage'}
  ${[part('J1', 'connector', { role: 'mains-inlet' })]}                                | ${['bridge', 'big can', 'transformer or choke', 'switch', 'output rectifier']} | ${'the inlet alone'}
`('$missing is not logged yet: $why', ({ parts, missing }) => {
  expect(unlogged({ parts: parts as BoardPart[] })).toEqual(missing);
});
