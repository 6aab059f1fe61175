import { withTold } from './sentences';
import type { Seen } from './readings';

// A rail, or the guilty part, told in a sentence, of a unit that gives 12 V and 5 V.
test.each<[string, readonly Seen[]]>([
  [
    '12 V rail dead, 5 V right',
    [
      { rail: '12V', volts: 0 },
      { rail: '5V', volts: 5 },
    ],
  ],
  ['output 19 V instead of 12', [{ rail: '12V', volts: 19 }]],
  ['purple wire 4.2 V', [{ rail: '5V standby', volts: 4.2 }]],
  ['the 5 V side sags to 3.4 V', [{ rail: '5V', volts: 3.4 }]],
  ['-12 V at -3.1', [{ rail: '-12V', volts: -3.1 }]],
  ['5VSB sags to 3 V as soon as anything draws', [{ rail: '5V standby', volts: 3 }]],
  ['lifting Q7 ends it', [{ ref: 'Q7', condition: 'shorted' }]],
  ['short gone with D6 out', [{ ref: 'D6', condition: 'shorted' }]],
  ['lifting Q7 changes nothing', []],
  ['lifting Q7 does not end it', []],
  ['lifting Q7 never clears it', []],
  ['the short is not gone with D6 out', []],
  ['12 V rail reads 0.4 ohm to ground', []],
  ['12 V has 2200 uF on it', []],
  ['12 V is not right', []],
  ['5 V is 4 when the disk starts', [{ rail: '5V', volts: 4 }]],
  // No rail: a place inside, a load, what was read without its name, a rail that the plate does not have.
  ['VCC 12 V is right', []],
  ['with 12 V at 3 A', []],
  ['24.1 V was measured with the plug out', []],
  ['bulk at 312 V is right', []],
  ['9 V is right', []],
])('“%s”', (text, rails) => {
  expect(withTold([{ text }], [12, 5])).toEqual([{ text }, ...rails]);
});

test('a rail that was measured is not told over', () => {
  const observations = [{ rail: '12V', volts: 11.9 }, { text: '12 V rail dead' }];
  expect(withTold(observations, [12])).toEqual(observations);
});
