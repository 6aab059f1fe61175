import type { Board } from '../core/board';
import { fromNetCsv, toNetCsv } from './netCsv';

const board: Board = {
  parts: [
    { ref: 'R1', kind: 'resistor', pins: { 1: 'HV+', 2: null } },
    { ref: 'C1', kind: 'capacitor', pins: { '+': 'HV+', '-': 'the net, called "ground"' } },
  ],
};

test('a board comes back with the same pins, commas and quotes in a name too', () => {
  expect(fromNetCsv(toNetCsv(board).result)).toEqual({ result: { parts: board.parts }, lost: [] });
});

test('a file of another program is read: spaces, Windows line ends, quoted cells, a column more', () => {
  const text = 'Ref,Kind,Pin,Net,Remark\r\n"R1", resistor ,1,"HV+",hot\r\n\r\nR1,resistor,2,,\r\n';
  expect(fromNetCsv(text)).toEqual({ result: { parts: [board.parts[0]] }, lost: [] });
});

test.each([
  ['other columns', 'name,kind,pin,net\n', 1, 'ref,kind,pin,net'],
  ['a kind that is none', 'ref,kind,pin,net\nR1,resistor,1,A\nR2,thing,1,A\n', 3, 'thing'],
  ['no reference', 'ref,kind,pin,net\n,resistor,1,A\n', 2, 'a reference'],
  ['an open quote', 'ref,kind,pin,net\n"R1,resistor,1,A\n', 2, 'quote'],
])('%s is named with its line', (_what, text, line, said) => {
  const back = fromNetCsv(text);
  expect(back).toMatchObject({ line });
  expect('line' in back && back.expected).toContain(said);
});
