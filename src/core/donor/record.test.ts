import { closingChecks, kinship, readDue, type ClosingFacts } from '.';

const NOW = new Date(2026, 11, 1, 10, 0).getTime();
test.each`
  text            | day
  ${'2027-01-15'} | ${[2027, 0, 15]}
  ${'15.1.2027'}  | ${[2027, 0, 15]}
  ${'tomorrow'}   | ${[2026, 11, 2]}
  ${'in 3 days'}  | ${[2026, 11, 4]}
  ${'2 weeks'}    | ${[2026, 11, 15]}
  ${'next week'}  | ${[2026, 11, 8]}
  ${'in a month'} | ${[2026, 11, 31]}
  ${'2027-02-30'} | ${undefined}
  ${'soon'}       | ${undefined}
  ${''}           | ${undefined}
`('an answer by “$text”', ({ text, day }) => {
  const found = readDue(text as string, NOW);
  const [year, month, date] = (day as number[] | undefined) ?? [];
  expect(found).toBe(day ? new Date(year ?? 0, month ?? 0, date ?? 0, 23, 59, 59).getTime() : undefined);
});

test.each`
  a                           | b                              | kin
  ${['Norrun', 'NR-1654']}    | ${['NORRUN', 'nr 1654']}       | ${'same'}
  ${['Norrun', 'NR-1654']}    | ${['Norrun', 'NR-1654B']}      | ${'variant'}
  ${['Norrun', 'NR-1654']}    | ${['Norrun', 'NR-1654 rev 2']} | ${'variant'}
  ${['Norrun', 'NR-1654/EU']} | ${['Norrun', 'NR-1654/UK']}    | ${'variant'}
  ${['Norrun', 'NR-1654']}    | ${['Norrun', 'NR-1655']}       | ${undefined}
  ${['Norrun', 'NR-1654']}    | ${['Hallick', 'NR-1654']}      | ${undefined}
  ${['', 'X1A']}              | ${['', 'X1B']}                 | ${undefined}
  ${['Norrun', '']}           | ${['Norrun', '']}              | ${undefined}
`('$a and $b: $kin', ({ a, b, kin }) => {
  const [one, other] = [a, b].map((names) => {
    const [maker = '', model = ''] = names as string[];
    return { maker, model };
  });
  expect(one && other && kinship(one, other)).toBe(kin);
});

const CLEAR: ClosingFacts = {
  liveStores: [],
  isPowered: false,
  openQuestions: 0,
  isClockRunning: false,
  isRunUnderWay: false,
  harvested: 0,
  unplaced: [],
  unlabelled: [],
  reassembly: 'works',
  powerUp: 'passed',
  hasToldNext: true,
};
test.each`
  outcome        | facts                                          | stops                        | open
  ${'repaired'}  | ${{}}                                          | ${[]}                        | ${[]}
  ${'repaired'}  | ${{ powerUp: 'stopped' }}                      | ${[/power-up was stopped/]}  | ${[]}
  ${'repaired'}  | ${{ reassembly: undefined }}                   | ${[/not put together/]}      | ${[]}
  ${'works'}     | ${{ powerUp: 'not-begun', harvested: 1 }}      | ${[/goes out incomplete/]}   | ${[]}
  ${'scrapped'}  | ${{ liveStores: ['C5'] }}                      | ${[/Not measured dead: C5/]} | ${[]}
  ${'harvested'} | ${{ harvested: 12, isRunUnderWay: true }}      | ${[]}                        | ${[/under way/]}
  ${'harvested'} | ${{ harvested: 3, unlabelled: ['K7F-2QM'] }}   | ${[]}                        | ${[/No label stuck on yet: K7F-2QM/]}
  ${'parked'}    | ${{ isPowered: true, openQuestions: 2 }}       | ${[/unplug it/]}             | ${[/2 questions/]}
  ${'returned'}  | ${{ reassembly: 'loose', hasToldNext: false }} | ${[]}                        | ${[/Nothing is written down/]}
`('$outcome with $facts', ({ outcome, facts, stops, open }) => {
  const found = closingChecks(outcome as 'works', { ...CLEAR, ...(facts as object) });
  const of = (level: string) => found.filter((one) => one.level === level).map(({ message }) => message);
  expect(of('stop')).toEqual((stops as RegExp[]).map((one) => expect.stringMatching(one) as unknown));
  expect(of('open')).toEqual((open as RegExp[]).map((one) => expect.stringMatching(one) as unknown));
});
