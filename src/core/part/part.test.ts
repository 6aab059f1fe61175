import { isDoubtful, replaces, SOURCE_MEANING, SOURCES } from '../evidence';
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
} from '.';
import { stationInHand, stationLine, type DonorFacts } from '../station';

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

describe('evidence', () => {
  test('a source replaces itself and every weaker one, never a stronger one', () => {
    SOURCES.forEach((candidate, rank) =>
      SOURCES.forEach((present, presentRank) => expect(replaces(candidate, present)).toBe(rank <= presentRank)),
    );
    expect(replaces('guessed', undefined)).toBe(true);
    expect(Object.keys(SOURCE_MEANING)).toEqual([...SOURCES]);
  });

  test.each`
    source         | confidence | doubtful
    ${'decoded'}   | ${0.85}    | ${true}
    ${'decoded'}   | ${0.95}    | ${false}
    ${'datasheet'} | ${0.1}     | ${false}
    ${'guessed'}   | ${null}    | ${true}
  `('$source at $confidence: doubtful $doubtful', ({ source, confidence, doubtful }) => {
    expect(isDoubtful({ value: 1, source, confidence })).toBe(doubtful);
  });
});

describe('the station line', () => {
  const facts = (more: Partial<DonorFacts> = {}): DonorFacts => ({
    ratedPower: 60,
    stores: { total: 2, dead: 2 },
    parts: { total: 4, identified: 4, testable: 3, tested: 1, harvested: 0 },
    notes: {},
    openQuestions: 0,
    declaredDone: [],
    ...more,
  });
  const state = (more: Partial<DonorFacts>, station: string) =>
    stationLine(facts(more)).find((entry) => entry.station === station)?.state;

  test.each`
    more                                                              | station        | expected       | why
    ${{}}                                                             | ${'make-safe'} | ${'done'}      | ${'all dead'}
    ${{ stores: { total: 2, dead: 1 } }}                              | ${'make-safe'} | ${'blocked'}   | ${'one still live'}
    ${{ stores: { total: 2, dead: 1 }, declaredDone: ['make-safe'] }} | ${'make-safe'} | ${'blocked'}   | ${'a word does not make it safe'}
    ${{ stores: { total: 0, dead: 0 } }}                              | ${'make-safe'} | ${'untouched'} | ${'nothing listed is not safe'}
    ${{ ratedPower: undefined }}                                      | ${'intake'}    | ${'in-hand'}   | ${'rating unread'}
    ${{}}                                                             | ${'identify'}  | ${'done'}      | ${'all read'}
    ${{}}                                                             | ${'test'}      | ${'in-hand'}   | ${'1 of 3'}
    ${{ declaredDone: ['test'] }}                                     | ${'test'}      | ${'done'}      | ${'declared'}
    ${{ notes: { open: 2 } }}                                         | ${'open'}      | ${'in-hand'}   | ${'notes taken'}
    ${{ openQuestions: 1 }}                                           | ${'record'}    | ${'in-hand'}   | ${'a question is open'}
  `('$station is $expected ($why)', ({ more, station, expected }) => {
    expect(state(more, station)).toBe(expected);
  });

  test('work stands at what blocks, else at what was begun', () => {
    expect(stationInHand(stationLine(facts({ stores: { total: 1, dead: 0 } })))).toBe('make-safe');
    expect(stationInHand(stationLine(facts()))).toBe('test');
  });
});
