import type { Board } from '../../core/board';
import { partRecordOf, type PartInShort } from '../../db/testing/partRecordOf';
import { judgeRecord, ratingsForStock, readingsThatCount, underTest } from './judgeRecord';
import { isClearInPlace, type TestContext } from './testContext';

const record = (of: PartInShort) => partRecordOf({ ref: 'C21', ...of });

const EMPTY: Board = { format: 'zorvek.board/1', parts: [] } as never;
const context = (more: Partial<TestContext> = {}): TestContext => ({
  board: EMPTY,
  meters: new Map(),
  known: new Map(),
  ...more,
});

describe('a judgement', () => {
  test('there is none while there is neither a reading nor damage, and none of what has no test', () => {
    expect(judgeRecord(record({ kind: 'resistor' }), context())).toBeUndefined();
    expect(underTest(record({ kind: 'connector' }), context())).toBeUndefined();
  });

  test.each([
    [
      'a resistor at its value',
      { kind: 'resistor', ratings: { resistance: [4700, 'decoded'] }, readings: [{ values: { resistance: 4692 } }] },
      'A',
    ],
    [
      'one that is open',
      {
        kind: 'resistor',
        ratings: { resistance: [4700, 'decoded'] },
        readings: [{ values: { resistance: Infinity } }],
      },
      'reject',
    ],
    [
      'one that is burnt, without a meter',
      { kind: 'resistor', ratings: { resistance: [4700, 'decoded'] }, damage: ['burnt'] },
      'reject',
    ],
  ] as const)('of %s', (_what, of, grade) => {
    expect(judgeRecord(record(of as never), context())?.grade).toBe(grade);
  });

  test.each([
    { read: [9000], verdict: 'scrap', grade: 'reject' },
    { read: [4692, 4690], verdict: 'keep', grade: 'A' },
    { read: [4692, 9000], verdict: 'scrap', grade: 'reject' },
    { read: [9000, 4692], verdict: 'retest', grade: undefined },
    { read: [9000, 4692, 4690], verdict: 'limit', grade: 'B' },
    { read: [4692, 9000, 4692, 4690, 4691], verdict: 'limit', grade: 'B' },
    { read: [9000], inCircuit: true, then: 4692, verdict: 'keep', grade: 'A' },
  ])('read $read, then $then: the newest counts, and what once was scrap says so', ({ verdict, grade, ...of }) => {
    const readings = of.read.map((resistance) => ({ values: { resistance }, inCircuit: of.inCircuit === true }));
    if (of.then !== undefined) readings.push({ values: { resistance: of.then }, inCircuit: false });
    // The newest stands first.
    const taken = record({
      kind: 'resistor',
      ratings: { resistance: [4700, 'decoded'] },
      readings: readings.reverse(),
    });
    const found = judgeRecord(taken, context());
    expect(found).toMatchObject({ verdict });
    expect(found?.grade).toBe(grade);
    const tells = found?.reasons.some(({ text }) => text.startsWith('Once it was scrap'));
    expect(tells).toBe(of.read.includes(9000) && verdict !== 'scrap' && of.then === undefined);
    if (grade === 'B') expect(found?.limits).toEqual([{ kind: 'not-for', use: 'mains' }]);
  });
});

describe('readings that count', () => {
  test('each carries whether it was taken in circuit, and the accuracy of its meter', () => {
    const meters = new Map([['bench', { ohm: { share: 0.001, digits: 2 } }]]) as TestContext['meters'];
    const taken = record({
      kind: 'resistor',
      readings: [{ values: { resistance: 4692 }, inCircuit: true, meter: 'bench' }],
    });
    expect(readingsThatCount(taken, context({ meters })).resistance).toMatchObject({ value: 4692, inCircuit: true });
    expect(readingsThatCount(record({ kind: 'connector' }), context())).toEqual({});
  });

  test('nothing is clear in place of a board that is not traced', () => {
    expect(isClearInPlace(EMPTY, 'R1', undefined)).toBe(false);
    expect(isClearInPlace(EMPTY, 'R1', { name: 'c', label: 'c', unit: 'farad', pins: ['1', '2'] } as never)).toBe(
      false,
    );
  });
});

describe('what goes into stock with a part', () => {
  const names = (of: ReturnType<typeof record>) =>
    ratingsForStock(of, context()).map(({ name, value, source }) => [name, value, source]);

  test.each([
    [
      'a value that is neither better nor worse is what was measured, and stands last',
      {
        kind: 'capacitor',
        ratings: { capacitance: [470e-6, 'decoded'] },
        readings: [{ values: { capacitance: 455e-6 } }],
      },
      [
        ['capacitance', 470e-6, 'decoded'],
        ['capacitance', 455e-6, 'measured'],
      ],
    ],
    [
      'of a resistance the same',
      { kind: 'resistor', ratings: { resistance: [4700, 'decoded'] }, readings: [{ values: { resistance: 4692 } }] },
      [
        ['resistance', 4700, 'decoded'],
        ['resistance', 4692, 'measured'],
      ],
    ],
    [
      'what was read in circuit does not go along',
      {
        kind: 'resistor',
        ratings: { resistance: [4700, 'decoded'] },
        readings: [{ values: { resistance: 4000 }, inCircuit: true }],
      },
      [['resistance', 4700, 'decoded']],
    ],
    ['nor what is over range', { kind: 'resistor', ratings: {}, readings: [{ values: { resistance: Infinity } }] }, []],
    [
      'a part without a test takes what is known of it',
      { kind: 'connector', ratings: { current: [3, 'typical'] } },
      [['current', 3, 'typical']],
    ],
  ] as const)('%s', (_what, of, expected) => {
    expect(names(record(of as never))).toEqual(expected);
  });
});
