import fc from 'fast-check';
import { CODE_ALPHABET, makeCode, makeKey, readCode, type CodeOwner } from '.';

const fractions = fc.array(fc.double({ min: 0, max: 0.999999, noNaN: true }), { minLength: 5, maxLength: 5 });
const owners = fc.constantFrom<CodeOwner>('donor', 'lot', 'build');

describe('codes', () => {
  test('a code is read back with its owner, in any case and without its dash', () => {
    fc.assert(
      fc.property(owners, fractions, (owner, random) => {
        const code = makeCode(owner, random);
        expect(code).toMatch(/^[A-Z][A-Z2-9]{2}-[A-Z2-9]{3}$/);
        expect(readCode(code.toLowerCase().replace('-', ' '))).toEqual({ owner, code });
      }),
      { seed: 3, numRuns: 300 },
    );
  });

  test('one wrong character never passes as the same kind of code', () => {
    fc.assert(
      fc.property(
        owners,
        fractions,
        fc.constantFrom(0, 1, 2, 4, 5, 6),
        fc.constantFrom(...CODE_ALPHABET),
        (owner, random, place, wrong) => {
          const code = makeCode(owner, random);
          const misread = code.slice(0, place) + wrong + code.slice(place + 1);
          if (misread !== code) expect(readCode(misread)?.owner).not.toBe(owner);
        },
      ),
      { seed: 5, numRuns: 500 },
    );
  });

  test.each(['', 'K7F', 'K7F-2Q', '7KF-2QM', 'K7F-2QMX', 'O0I-1LS'])('%s is no code', (text) => {
    expect(readCode(text)).toBeUndefined();
  });
});

test('keys sort by time, then by counter', () => {
  const keys = [
    makeKey(1_700_000_000_000, 0, 0.99),
    makeKey(1_700_000_000_000, 1, 0.1),
    makeKey(1_700_000_000_001, 0, 0),
  ];
  expect([...keys].sort()).toEqual(keys);
  expect(new Set(keys.map((key) => key.length))).toEqual(new Set([20]));
});
