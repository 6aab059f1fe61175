import { stationInHand, stationLine, STATIONS, type DonorFacts } from '.';

const NOTHING: DonorFacts = {
  stores: { total: 0, dead: 0 },
  parts: { total: 0, identified: 0, testable: 0, tested: 0, harvested: 0 },
  notes: {},
  openQuestions: 0,
  declaredDone: [],
};
const parts = (of: Partial<DonorFacts['parts']>) => ({ parts: { ...NOTHING.parts, ...of } });

test.each`
  facts                                                             | station        | state          | status
  ${{}}                                                             | ${'intake'}    | ${'in-hand'}   | ${'rating unread'}
  ${{ ratedPower: 60.2 }}                                           | ${'intake'}    | ${'done'}      | ${'60 W'}
  ${{}}                                                             | ${'make-safe'} | ${'untouched'} | ${'no store listed'}
  ${{ stores: { total: 2, dead: 1 } }}                              | ${'make-safe'} | ${'blocked'}   | ${'1 of 2 dead'}
  ${{ stores: { total: 2, dead: 2 } }}                              | ${'make-safe'} | ${'done'}      | ${'2 of 2 dead'}
  ${{ stores: { total: 2, dead: 1 }, declaredDone: ['make-safe'] }} | ${'make-safe'} | ${'blocked'}   | ${'1 of 2 dead'}
  ${{ notes: { open: 1 } }}                                         | ${'open'}      | ${'in-hand'}   | ${'1 note'}
  ${{ notes: { open: 3 }, declaredDone: ['open'] }}                 | ${'open'}      | ${'done'}      | ${'3 notes'}
  ${{}}                                                             | ${'trace'}     | ${'untouched'} | ${'not begun'}
  ${parts({ total: 20, identified: 12 })}                           | ${'identify'}  | ${'in-hand'}   | ${'12 of 20 parts'}
  ${parts({ total: 20, identified: 20 })}                           | ${'identify'}  | ${'done'}      | ${'20 of 20 parts'}
  ${parts({ testable: 5, tested: 2 })}                              | ${'test'}      | ${'in-hand'}   | ${'2 of 5 tested'}
  ${parts({ testable: 5, tested: 5 })}                              | ${'test'}      | ${'done'}      | ${'5 of 5 tested'}
  ${parts({ total: 20, harvested: 4 })}                             | ${'harvest'}   | ${'in-hand'}   | ${'4 taken'}
  ${{ openQuestions: 1 }}                                           | ${'record'}    | ${'in-hand'}   | ${'1 question'}
  ${{ openQuestions: 2, declaredDone: ['record'] }}                 | ${'record'}    | ${'done'}      | ${'2 questions'}
`('$station is $state: $status', ({ facts, station, state, status }) => {
  const line = stationLine({ ...NOTHING, ...facts });
  expect(line.map((entry) => entry.station)).toEqual([...STATIONS]);
  expect(line.find((entry) => entry.station === station)).toMatchObject({ state, status });
});

test.each`
  facts                                                                                       | station        | why
  ${{ ratedPower: 60 }}                                                                       | ${'make-safe'} | ${'the first not begun'}
  ${{ ratedPower: 60, ...parts({ total: 4, identified: 1 }) }}                                | ${'identify'}  | ${'work in hand goes before what is not begun'}
  ${{ ratedPower: 60, stores: { total: 1, dead: 0 }, ...parts({ total: 4, identified: 1 }) }} | ${'make-safe'} | ${'what is not safe goes before all'}
  ${{ ratedPower: 60, notes: { trace: 1 }, declaredDone: ['record'] }}                        | ${'record'}    | ${'a closed donor stays closed'}
  ${{ ratedPower: 60, stores: { total: 1, dead: 0 }, declaredDone: ['record'] }}              | ${'make-safe'} | ${'but not beside a store that is not dead'}
`('work stands at $station ($why)', ({ facts, station }) => {
  expect(stationInHand(stationLine({ ...NOTHING, ...facts }))).toBe(station);
});
