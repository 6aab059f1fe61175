import { isDoubtful, replaces, SOURCE_MEANING, SOURCES } from '.';

test.each`
  candidate       | present        | gives
  ${'measured'}   | ${'datasheet'} | ${true}
  ${'datasheet'}  | ${'datasheet'} | ${true}
  ${'decoded'}    | ${'datasheet'} | ${false}
  ${'remembered'} | ${'decoded'}   | ${false}
  ${'guessed'}    | ${'typical'}   | ${false}
  ${'guessed'}    | ${undefined}   | ${true}
`('$candidate takes the place of $present: $gives', ({ candidate, present, gives }) => {
  expect(replaces(candidate, present)).toBe(gives);
});

test('of two different sources exactly one replaces the other', () => {
  for (const a of SOURCES) for (const b of SOURCES) if (a !== b) expect(replaces(a, b)).toBe(!replaces(b, a));
});

test.each`
  rating                                      | doubtful | why
  ${{ source: 'decoded', confidence: 0.85 }}  | ${true}  | ${'a number pattern'}
  ${{ source: 'decoded', confidence: 0.9 }}   | ${false} | ${'a rule that is nearly sure'}
  ${{ source: 'decoded' }}                    | ${false} | ${'printed in full on the part'}
  ${{ source: 'guessed' }}                    | ${true}  | ${'a guess'}
  ${{ source: 'datasheet', confidence: 0.5 }} | ${false} | ${'a person read it'}
`('a voltage $why is doubtful: $doubtful', ({ rating, doubtful }) => {
  expect(isDoubtful({ value: 650, ...rating })).toBe(doubtful);
});

test('every source is explained', () => {
  for (const source of SOURCES) expect(SOURCE_MEANING[source].length).toBeGreaterThan(10);
});
