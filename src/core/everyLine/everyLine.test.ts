import { makeCode } from '../ident';
import { EVERY_LINE_EXAMPLES, everyLineText, readEveryLine } from '.';

const DONOR = makeCode('donor', [0.1, 0.2, 0.3, 0.4, 0.5]);
const LOT = makeCode('lot', [0.5, 0.2, 0.3, 0.4, 0.1]);

test.each`
  line                                                | read
  ${'help'}                                           | ${{ kind: 'help' }}
  ${'?'}                                              | ${{ kind: 'help' }}
  ${'What can I type?'}                               | ${{ kind: 'help' }}
  ${'undo'}                                           | ${{ kind: 'undo' }}
  ${'undo that.'}                                     | ${{ kind: 'undo' }}
  ${'unplugged'}                                      | ${{ kind: 'unplugged' }}
  ${"it's unplugged now"}                             | ${{ kind: 'unplugged' }}
  ${'Stecker gezogen'}                                | ${{ kind: 'unplugged' }}
  ${DONOR}                                            | ${{ kind: 'code', owner: 'donor', code: DONOR }}
  ${LOT.toLowerCase()}                                | ${{ kind: 'code', owner: 'lot', code: LOT }}
  ${`go to ${LOT.replace('-', '')}`}                  | ${{ kind: 'code', owner: 'lot', code: LOT }}
  ${'find nmos >=600V'}                               | ${{ kind: 'find', filter: 'nmos >=600V' }}
  ${'design 24V to 48V at 1A'}                        | ${{ kind: 'design', query: { from: '24V', out: '48V', amps: '1A' } }}
  ${'design 22-26V to 48V 1A'}                        | ${{ kind: 'design', query: { from: '22V', to: '26V', out: '48V', amps: '1A' } }}
  ${'design 10..14 V into -12 V, 500 mA ripple 50mV'} | ${{ kind: 'design', query: { from: '10V', to: '14V', out: '-12V', amps: '500mA', ripple: '50mV' } }}
  ${'guide snubber?'}                                 | ${{ kind: 'guide', find: 'snubber' }}
  ${'compare K7F-2QM m4d2tx'}                         | ${{ kind: 'compare', codes: ['K7F-2QM', 'M4D-2TX'] }}
  ${'compare K7F-2QM with M4D-2TX'}                   | ${{ kind: 'compare', codes: ['K7F-2QM', 'M4D-2TX'] }}
  ${'design mains to 12V at 2A'}                      | ${{ kind: 'design', query: { from: 'mains', out: '12V', amps: '2A' } }}
  ${'design 230VAC to 12V 2A quiet'}                  | ${{ kind: 'design', query: { from: '230V', out: '12V', amps: '2A', wish: 'quiet' } }}
  ${'design 24 to 12,5V @ 2A floating'}               | ${{ kind: 'design', query: { from: '24V', out: '12.5V', amps: '2A', isolated: 'yes' } }}
  ${'stock cap 1000u 25V'}                            | ${{ kind: 'find', filter: 'cap 1000u 25V' }}
`('“$line” on any page', ({ line, read }) => {
  expect(readEveryLine(line as string)).toEqual(read);
});

test.each([
  '',
  'q1 nmos',
  'power on',
  '? what is under the glue',
  'helpless',
  'undo c3 82u',
  'design something nice',
  'compare prices of capacitors',
  'what is the six-pin part by T1',
  'guide',
  'design 24V',
  LOT.replace('-', ''),
  'unplugged it and read c3',
])('“%s” is left to the line of the page', (line) => {
  expect(readEveryLine(line)).toBeUndefined();
});

test('every example is understood, and says what it will do', () => {
  for (const { line } of EVERY_LINE_EXAMPLES) {
    const read = readEveryLine(line);
    expect(read && everyLineText(read)).toMatch(/\w/);
  }
});
