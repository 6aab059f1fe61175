import { recentOf } from '.';

test('a result is made once, until others push it out; asking for it keeps it', () => {
  const made: string[] = [];
  const recent = recentOf<string | undefined>(2);
  const ask = (key: string) =>
    recent(key, () => {
      made.push(key);
      return key === 'none' ? undefined : key.toUpperCase();
    });
  expect(['a', 'b', 'a', 'c', 'a', 'b', 'none', 'none'].map(ask)).toEqual([
    'A',
    'B',
    'A',
    'C',
    'A',
    'B',
    undefined,
    undefined,
  ]);
  expect(made).toEqual(['a', 'b', 'c', 'b', 'none']);
});
