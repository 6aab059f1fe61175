import { parseQuantity, type Unit } from '../quantity';
import { judgeMeasured, readingText, testField, type MeasuredSet } from '.';
import type { PartUnderTest } from './judgePart';

const plain = (text: string) => text.replace(/\u00a0/g, ' ');
const part = (of: Partial<PartUnderTest> & Pick<PartUnderTest, 'kind' | 'test'>): PartUnderTest => ({
  ratings: {},
  damage: [],
  ...of,
});

/** Readings as they are typed: the digits count. */
const typed = (under: PartUnderTest, texts: Readonly<Record<string, string>>): MeasuredSet => ({
  inCircuit: false,
  values: Object.fromEntries(
    Object.entries(texts).map(([name, text]) => {
      const parsed = parseQuantity(text, (testField(under.test, name)?.unit ?? 'ratio') as Unit);
      if (!parsed.ok) throw new Error(text);
      return [name, parsed.quantity];
    }),
  ),
});
const judged = (under: PartUnderTest, texts: Readonly<Record<string, string>>) => {
  const found = judgeMeasured(under, [typed(under, texts)]);
  return { ...found, said: found.reasons.map(({ text }) => plain(text)).join(' ') };
};

const TRANSFORMER = part({ kind: 'transformer', test: 'transformer' });
const ELKO = part({
  kind: 'capacitor',
  test: 'capacitor',
  subtype: 'electrolytic',
  ratings: { capacitance: 1000e-6, voltage: 16 },
});

describe('what hangs on the digits says so', () => {
  // A 1000 µF of 16 V is expected at 74 mΩ; 0.1 may be read as 0.05 to 0.15.
  test.each([
    ['0.1', true],
    ['0.100', false],
    ['0.03', false],
    ['0.030', false],
  ])('an ESR typed as %s: %s', (esr, says) => {
    const { said } = judged(ELKO, { capacitance: '980u', esr });
    expect(/hangs on the digits of “ESR at 100 kHz”/.test(said)).toBe(says);
  });

  test('a tester that reads milliohms is believed within some milliohms', () => {
    const { said, grade } = judged(
      { ...ELKO, subtype: 'polymer', ratings: { capacitance: 470e-6, voltage: 16, esr: 0.01 } },
      { capacitance: '465u', esr: '0.009' },
    );
    expect([grade, said]).toEqual(['A', expect.not.stringMatching(/± (?:[2-9]\d|\d{3}) mΩ/)]);
  });
});

describe('readings of a transformer that cannot all be true are named', () => {
  test.each([
    [
      { open: '1mH', aiding: '2.7mH', opposing: '0.1mH' },
      /Coupling is 1\.03 by the windings in series, and none is above 1/,
    ],
    [{ open: '1mH', aiding: '2.2mH', opposing: '0.1mH' }, /Coupling is 1\.36 by the windings in series/],
    [{ open: '1mH', aiding: '1.2mH', opposing: '0.4mH' }, /the output would have no inductance/],
    [{ open: '1mH', forwardRatio: '0.9', backRatio: '1.76' }, /Coupling is 1\.26 by injection, and none is above 1/],
    [
      {
        open: '1mH',
        shorted: '20uH',
        forwardRatio: '0.12',
        backRatio: '7.9',
        aiding: '1.2617mH',
        opposing: '0.7683mH',
      },
      /All ways of measuring the coupling agree/,
    ],
    [
      { open: '1mH', forwardRatio: '0.5', backRatio: '1.9', aiding: '1.2617mH', opposing: '0.7683mH' },
      /The turns are 1\.9 : 1 by injection and 8\.\d : 1 by the inductances/,
    ],
  ])('%j', (readings, says) => {
    const { said, verdict } = judged(TRANSFORMER, { rings: '30', insulation: '600M', ...readings });
    expect(said).toMatch(says);
    expect(verdict === 'retest').toBe(!/agree/.test(says.source));
  });
});

test.each([
  ['forwardRatio', 0.125, '1 : 8'],
  ['backRatio', 7.62, '7.62 : 1'],
  ['open', 0.00123, '1.23 mH'],
  ['insulation', Infinity, 'OL'],
])('%s of %d is told as %s', (name, value, text) => {
  const field = testField('transformer', name);
  expect(plain(field ? readingText(field, value) : '')).toBe(text);
  const back = parseQuantity(text.replace(' : ', ':'), field?.unit ?? 'ratio');
  if (name.endsWith('Ratio')) expect(back.ok && back.quantity.value).toBeCloseTo(value, 2);
});
