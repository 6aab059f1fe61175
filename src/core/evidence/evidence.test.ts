import { isUncertain, replaces, SOURCE_MEANING, SOURCES } from '.';

test('anything is better than nothing', () => {
  expect(replaces('guessed', undefined)).toBe(true);
});

test('a source replaces itself and every weaker one, never a stronger one', () => {
  SOURCES.forEach((candidate, rank) =>
    SOURCES.forEach((present, presentRank) => expect(replaces(candidate, present)).toBe(rank <= presentRank)),
  );
});

test.each`
  rating                                      | doubtful | why
  ${{ source: 'decoded', confidence: 0.85 }}  | ${true}  | ${'a number pattern'}
  ${{ source: 'decoded', confidence: 0.9 }}   | ${false} | ${'a rule that is nearly sure'}
  ${{ source: 'decoded' }}                    | ${false} | ${'printed in full on the part'}
  ${{ source: 'guessed' }}                    | ${true}  | ${'a guess'}
  ${{ source: 'datasheet', confidence: 0.5 }} | ${false} | ${'a person read it'}
`('a voltage $why is doubtful: $doubtful', ({ rating, doubtful }) => {
  expect(isUncertain({ value: 650, ...rating })).toBe(doubtful);
});

test('every source is explained', () => {
  for (const source of SOURCES) expect(SOURCE_MEANING[source].length).toBeGreaterThan(10);
});
