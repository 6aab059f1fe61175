import {
  KIND_NAMES,
  kindFromReference,
  kindFromWord,
  kindRule,
  packageFromWord,
  PACKAGES,
  RATING_NAMES,
  RATINGS,
  ratingFromWord,
  withArticle,
} from '.';

describe('tables', () => {
  test('every kind is found by each of its words and names known ratings', () => {
    for (const kind of KIND_NAMES) {
      for (const word of kindRule(kind).words) expect(kindFromWord(word)).toBe(kind);
      for (const rating of kindRule(kind).ratings) expect(RATING_NAMES).toContain(rating);
    }
  });

  test('every package is found by each of its spellings, and none has two', () => {
    for (const { name, spellings } of PACKAGES)
      for (const spelling of spellings) expect(packageFromWord(spelling)).toBe(name);
  });

  test('no word means two ratings', () => {
    const words = RATING_NAMES.flatMap((name) => RATINGS[name].words);
    expect(new Set(words).size).toBe(words.length);
  });

  test.each`
    word      | kind           | rating
    ${'v'}    | ${'nmos'}      | ${'vds'}
    ${'v'}    | ${'capacitor'} | ${'voltage'}
    ${'v'}    | ${'diode'}     | ${'vrrm'}
    ${'i'}    | ${'bridge'}    | ${'ifav'}
    ${'r'}    | ${'nmos'}      | ${'rdsOn'}
    ${'rds'}  | ${'nmos'}      | ${'rdsOn'}
    ${'soup'} | ${'nmos'}      | ${undefined}
  `('“$word” on a $kind is $rating', ({ word, kind, rating }) => {
    expect(ratingFromWord(word, kind)).toBe(rating);
  });

  test.each([
    ['C5', 'capacitor'],
    ['BR1', 'bridge'],
    ['CX1', 'capacitor'],
    ['T1', 'transformer'],
    ['R12', 'resistor'],
    ['U2', 'optocoupler'],
    ['ZZ1', undefined],
  ])('%s suggests %s', (reference, kind) => {
    expect(kindFromReference(reference)).toBe(kind);
  });
});

// English usage: an article goes by the sound, and letters are spelled out.
test.each`
  label            | message
  ${'N-FET'}       | ${'an N-FET'}
  ${'NPN'}         | ${'an NPN'}
  ${'PNP'}         | ${'a PNP'}
  ${'IGBT'}        | ${'an IGBT'}
  ${'SCR'}         | ${'an SCR'}
  ${'triac'}       | ${'a triac'}
  ${'optocoupler'} | ${'an optocoupler'}
  ${'inductor'}    | ${'an inductor'}
  ${'heat sink'}   | ${'a heat sink'}
`('$message', ({ label, message }) => {
  expect(withArticle(label)).toBe(message);
});
