import { countSlips, offeredWords, ownWordProblem, understand, type BenchContext } from '.';

const CONTEXT: BenchContext = {
  parts: [],
  stores: [],
  ownWords: [
    { word: 'gubbins', means: 'common mode choke' },
    { word: 'knackered', means: 'burnt' },
  ],
};

test.each`
  line                       | record
  ${'l1 gubbins 2x15mH'}     | ${{ partKind: 'common-mode-choke', ratings: [{ name: 'inductance', value: 15e-3 }] }}
  ${'l1 Gubbins, knackered'} | ${{ partKind: 'common-mode-choke', damage: ['burnt'] }}
`('“$line” is read in the shop’s own words', ({ line, record }) => {
  expect(understand(line as string, CONTEXT)).toMatchObject({ ok: true, records: [record], corrected: [] });
  expect(understand(line as string, { parts: [], stores: [] })).not.toMatchObject({ records: [record] });
});

test.each`
  word           | means                  | field        | why
  ${'gubbins'}   | ${'common mode choke'} | ${undefined} | ${'a word nobody else has'}
  ${'grobi'}     | ${'mains inlet'}       | ${undefined} | ${'the same'}
  ${'q1'}        | ${'nmos'}              | ${'word'}    | ${'a reference'}
  ${'x'}         | ${'nmos'}              | ${'word'}    | ${'one letter'}
  ${'capacitor'} | ${'resistor'}          | ${'word'}    | ${'understood already'}
  ${'gubbins'}   | ${''}                  | ${'means'}   | ${'nothing'}
  ${'gubbins'}   | ${'flurbl'}            | ${'means'}   | ${'not understood itself'}
  ${'gubbins'}   | ${'choce'}             | ${'means'}   | ${'a slip'}
`('“$word” for “$means”: $why', ({ word, means, field }) => {
  const problem = ownWordProblem({ word: word as string, means: means as string });
  expect(problem?.field).toBe(field);
  if (problem) expect(problem.message).toMatch(/expected/);
});

test('a slip is offered as a word once it was made three times, and no more once it is kept', () => {
  const slip = { typed: 'Resitor', read: 'resistor' };
  const twice = countSlips(countSlips([], [slip]), [slip]);
  expect(offeredWords(twice, [])).toEqual([]);
  const thrice = countSlips(twice, [slip, { typed: 'diod', read: 'diode' }]);
  expect(offeredWords(thrice, [])).toEqual([{ typed: 'resitor', read: 'resistor', count: 3 }]);
  expect(offeredWords(thrice, [{ word: 'resitor', means: 'resistor' }])).toEqual([]);
});

test('slips do not grow without end: the rarest go', () => {
  const often = countSlips([], Array(5).fill({ typed: 'resitor', read: 'resistor' }));
  const many = Array.from({ length: 400 }, (_, index) => ({
    typed: `slip${'abcdefghij'[index % 10]}${index}`,
    read: 'diode',
  }));
  const kept = countSlips(often, many);
  expect(kept).toHaveLength(200);
  expect(kept[0]).toEqual({ typed: 'resitor', read: 'resistor', count: 5 });
});
