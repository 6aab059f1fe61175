import { CAUSE_NAMES, type CauseName } from '.';
import { lexiconOf, weighWords } from './lexicon';
import { PHRASES, PLAIN_PHRASES } from './phrases';

const FOLDS = 5;
/** The phrases without every fifth of each cause, and those that were left out. */
function without(fold: number) {
  const isOut = (index: number) => index % FOLDS === fold;
  const kept = Object.fromEntries(
    Object.entries(PHRASES).map(([name, phrases]) => [name, phrases.filter((_, index) => !isOut(index))]),
  ) as unknown as Record<CauseName, readonly string[]>;
  const out = CAUSE_NAMES.flatMap((name) =>
    PHRASES[name].filter((_, index) => isOut(index)).map((text) => ({ name, text })),
  );
  return {
    lexicon: lexiconOf(
      kept,
      PLAIN_PHRASES.filter((_, index) => !isOut(index)),
    ),
    out,
    isOut,
  };
}
const share = (of: readonly boolean[]) => of.filter(Boolean).length / of.length;

// Judged by leaving out: by words alone, without complaint or circuit, of more than forty causes.
test('a phrase that was left out speaks for its cause, and seldom against it', () => {
  const said = Array.from({ length: FOLDS }, (_, fold) => without(fold)).flatMap(({ lexicon, out }) =>
    out.map(({ name, text }) => {
      const ranked = [...lexicon.of(text)].toSorted((a, b) => b[1].log - a[1].log);
      return {
        rank: ranked.findIndex(([cause]) => cause === name),
        log: lexicon.of(text).get(name)?.log ?? 0,
      };
    }),
  );
  expect(share(said.map(({ rank }) => rank === 0))).toBeGreaterThan(0.45);
  expect(share(said.map(({ rank }) => rank < 3))).toBeGreaterThan(0.65);
  expect(share(said.map(({ log }) => log < -0.2))).toBeLessThan(0.08);
});

test('what tells nothing moves little, though it was left out', () => {
  const logs = Array.from({ length: FOLDS }, (_, fold) => without(fold)).flatMap(({ lexicon, isOut }) =>
    PLAIN_PHRASES.filter((_, index) => isOut(index)).flatMap((text) =>
      [...lexicon.of(text).values()].map(({ log }) => Math.abs(log)),
    ),
  );
  expect(logs.reduce((sum, one) => sum + one, 0) / logs.length).toBeLessThan(0.6);
});

test('each cause has phrases of its own', () => {
  expect(CAUSE_NAMES.filter((name) => PHRASES[name].length < 12)).toEqual([]);
  const all = CAUSE_NAMES.flatMap((name) => PHRASES[name]);
  expect(all.filter((text, index) => all.indexOf(text) !== index)).toEqual([]);
});

test('what is denied does not speak for a cause, and the reason quotes the words', () => {
  const said = (text: string) => {
    const found = new Map<CauseName, { readonly factor: number; readonly reason: string }>();
    weighWords(text, (name, factor, reason) => void found.set(name, { factor, reason }));
    return found.get('output-capacitors-dry');
  };
  expect(said('bulging caps beside the output')?.factor).toBeGreaterThan(1.5);
  expect(said('bulging caps beside the output')?.reason).toContain('“bulging”');
  expect(said('no bulging anywhere')?.factor).toBeLessThan(1.1);
  expect(said('zzz qqq')?.factor).toBeCloseTo(1, 5);
});
