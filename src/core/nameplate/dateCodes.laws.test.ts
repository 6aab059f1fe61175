import fc from 'fast-check';
import { describeDate, isoWeek, judgeAge, listDateCodes, readDateCode } from '.';

const TODAY = { year: 2026, week: 48 };
const SEED = { seed: 31, numRuns: 800 };

test('no code makes the reader throw, and no reading lies in the future', () => {
  fc.assert(
    fc.property(fc.oneof(fc.string({ maxLength: 6 }), fc.stringMatching(/^[0-9]{3,4}$/)), (code) => {
      const readings = readDateCode(code, TODAY);
      for (const { year, week = 1, confidence } of readings) {
        expect(year * 100 + week).toBeLessThanOrEqual(TODAY.year * 100 + TODAY.week);
        expect(week).toBeLessThanOrEqual(53);
        expect(confidence).toBeLessThan(0.9);
      }
      expect(readings.reduce((sum, { confidence }) => sum + confidence, 0)).toBeLessThanOrEqual(1);
    }),
    SEED,
  );
});

const week = fc.record({ year: fc.integer({ min: 2000, max: 2025 }), week: fc.integer({ min: 1, max: 52 }) });
const print = ({ year, week: ww }: { year: number; week: number }) =>
  `${String(year % 100).padStart(2, '0')}${String(ww).padStart(2, '0')}`;

test('a printed YYWW is read back first, and the newest of several bounds the age', () => {
  fc.assert(
    fc.property(fc.array(week, { minLength: 1, maxLength: 5 }), (dates) => {
      for (const date of dates) expect(readDateCode(print(date), TODAY)[0]).toMatchObject(date);
      const newest = [...dates].sort((a, b) => b.year * 100 + b.week - a.year * 100 - a.week)[0];
      const age = judgeAge(
        dates.map((date, index) => ({ code: print(date), place: `C${index}` })),
        TODAY,
      );
      expect(age.newest).toMatchObject(newest ?? {});
    }),
    SEED,
  );
});

test('the ISO week of a day is at most 53, and a week later it is another', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 2e12 }), (moment) => {
      const now = isoWeek(moment);
      expect(now.week).toBeGreaterThanOrEqual(1);
      expect(now.week).toBeLessThanOrEqual(53);
      expect(isoWeek(moment + 7 * 86400_000)).not.toEqual(now);
    }),
    SEED,
  );
});

test.each`
  text                        | listed
  ${''}                       | ${[]}
  ${'2314'}                   | ${[{ code: '2314', place: '' }]}
  ${'2314 lid, 1948 C3'}      | ${[{ code: '2314', place: 'lid' }, { code: '1948', place: 'C3' }]}
  ${'2314 lid;\n951 the fan'} | ${[{ code: '2314', place: 'lid' }, { code: '951', place: 'the fan' }]}
`('“$text” lists its codes with their places', ({ text, listed }) => {
  expect(listDateCodes(text)).toEqual(listed);
});

test.each`
  reading                     | message
  ${{ year: 2023, week: 14 }} | ${'week 14 of 2023'}
  ${{ year: 2021, month: 5 }} | ${'month 5 of 2021'}
  ${{ year: 1998 }}           | ${'1998'}
`('$message', ({ reading, message }) => {
  expect(describeDate({ pattern: 'YYWW', confidence: 1, ...reading })).toBe(message);
});

test.each`
  listed             | code           | place      | reads
  ${'wk12 2019'}     | ${'wk12 2019'} | ${''}      | ${'week 12 of 2019'}
  ${'2019-W12 lid'}  | ${'2019-W12'}  | ${'lid'}   | ${'week 12 of 2019'}
  ${'03/2019 label'} | ${'03/2019'}   | ${'label'} | ${'month 3 of 2019'}
  ${'Mar 2019 C3'}   | ${'Mar 2019'}  | ${'C3'}    | ${'month 3 of 2019'}
  ${'wk60 2019'}     | ${'wk60 2019'} | ${''}      | ${undefined}
  ${'wk12 2031'}     | ${'wk12 2031'} | ${''}      | ${undefined}
  ${'2314 lid'}      | ${'2314'}      | ${'lid'}   | ${'week 14 of 2023'}
`('“$listed” is $reads', ({ listed, code, place, reads }) => {
  const [first] = listDateCodes(listed as string);
  expect(first).toEqual({ code, place });
  const [best] = readDateCode(code as string, { year: 2026, week: 48 });
  expect(best && describeDate(best)).toBe(reads);
});
