import fc from 'fast-check';
import { SYMPTOM_NAMES, UNIT_KIND_NAMES, kindFromDescription, mayTakeApart } from '../unit';
import { advise, FACTORS, likeDonors, OPTIONS, USUAL_WEIGHTS, type UnitFacts } from '.';

const brick: UnitFacts = {
  right: { may: true, why: '' },
  symptom: 'dead',
  kind: 'desk-brick',
  ratedPower: 90,
  hazards: [],
  likeDonors: { parts: 0, donors: 0 },
  needs: [],
};

// Judged by eye as a careful hand would. Common practice, no source.
test.each`
  why                                 | more                                                                                                         | best
  ${'dead and plain'}                 | ${{}}                                                                                                        | ${'harvest'}
  ${'it works'}                       | ${{ symptom: 'works' }}                                                                                      | ${'leave'}
  ${'intermittent when warm'}         | ${{ symptom: 'warm-intermittent', kind: 'plug-top', ratedPower: 10 }}                                        | ${'repair'}
  ${'not cleared'}                    | ${{ right: { may: false, why: 'borrowed' } }}                                                                | ${'study'}
  ${'not cleared, though it works'}   | ${{ right: { may: false, why: 'borrowed' }, symptom: 'works' }}                                              | ${'study'}
  ${'builds wait for its parts'}      | ${{ symptom: 'rail-low', needs: ['switch', 'rectifier'], ratedPower: 200 }}                                  | ${'harvest'}
  ${'an oven: its cautions say shut'} | ${{ kind: 'pulse-unit', hazards: [{ name: 'an oven’s transformer', grave: true, leaveShut: 'It kills.' }] }} | ${'leave'}
  ${'shut, and not cleared'}          | ${{ right: { may: false, why: 'borrowed' }, hazards: [{ name: 'x', grave: true, leaveShut: 'It kills.' }] }} | ${'leave'}
  ${'like donors gave a lot'}         | ${{ symptom: 'fuse-blown', likeDonors: { parts: 14, donors: 3 } }}                                           | ${'harvest'}
`('$why: $best', ({ more, best }) => {
  expect(advise({ ...brick, ...more }).best).toBe(best);
});

test.each`
  outcome       | text                           | best        | says
  ${'held'}     | ${'its output held for 2 h.'}  | ${'leave'}  | ${/^Under load: its output held for 2 h\. It was said: dead\./}
  ${'went-off'} | ${'it went off as it warmed.'} | ${'repair'} | ${/^Under load: it went off.*[Dd]ried capacitors/}
`('a run that $outcome goes before what is said: $best', ({ outcome, text, best, says }) => {
  const advice = advise({ ...brick, kind: 'plug-top', ratedPower: 10, run: { outcome, text } });
  expect(advice.best).toBe(best);
  expect(advice.options[0]?.reasons.find(({ factor }) => factor === 'symptom')?.text).toMatch(says as RegExp);
});

test('what is excluded stands last, with the reason', () => {
  const { options } = advise({ ...brick, right: { may: false, why: 'It is lent.' } });
  expect(options.map(({ excluded }) => excluded)).toEqual([undefined, 'It is lent.', 'It is lent.', 'It is lent.']);
});

const facts = fc.record({
  right: fc.record({ may: fc.boolean(), why: fc.constant('because') }),
  symptom: fc.constantFrom(...SYMPTOM_NAMES, '' as const),
  kind: fc.constantFrom(...UNIT_KIND_NAMES),
  ratedPower: fc.integer({ min: 1, max: 2000 }),
  hazards: fc.array(fc.record({ name: fc.constant('a battery'), grave: fc.boolean() }), { maxLength: 4 }),
  likeDonors: fc.record({ parts: fc.integer({ min: 0, max: 30 }), donors: fc.integer({ min: 0, max: 9 }) }),
  needs: fc.array(fc.constant('switch'), { maxLength: 5 }),
});
const weights = fc.record(
  Object.fromEntries(FACTORS.map((factor) => [factor, fc.integer({ min: 0, max: 5 })])) as Record<
    (typeof FACTORS)[number],
    fc.Arbitrary<number>
  >,
);

test('every option is scored between 0 and 1, with a reason for each factor', () => {
  fc.assert(
    fc.property(facts, weights, (unit, own) => {
      const { options, best } = advise(unit, own);
      expect(options.map(({ option }) => option).sort()).toEqual([...OPTIONS].sort());
      for (const { score, reasons } of options) {
        expect(score).toBeGreaterThanOrEqual(0);
        expect(score).toBeLessThanOrEqual(1);
        expect(reasons.map(({ factor }) => factor)).toEqual([...FACTORS]);
        for (const { text } of reasons) expect(text).not.toMatch(/NaN|undefined/);
      }
      if (!unit.right.may) expect(best).toBe('study');
    }),
    { seed: 3, numRuns: 500 },
  );
});

test('a factor that counts for nothing changes nothing', () => {
  const without = { ...USUAL_WEIGHTS, needs: 0 };
  const order = (needs: string[]) => advise({ ...brick, needs }, without).options.map(({ option }) => option);
  expect(order([])).toEqual(order(['a', 'b', 'c']));
});

test.each`
  origin          | clearance        | may
  ${'bought'}     | ${''}            | ${true}
  ${'found'}      | ${''}            | ${true}
  ${''}           | ${''}            | ${true}
  ${'borrowed'}   | ${''}            | ${false}
  ${'work-scrap'} | ${''}            | ${false}
  ${'work-scrap'} | ${'cleared'}     | ${true}
  ${'bought'}     | ${'not-cleared'} | ${false}
`('$origin, $clearance: may be taken apart $may', ({ origin, clearance, may }) => {
  expect(mayTakeApart({ origin, clearance }).may).toBe(may);
});

test.each`
  words                     | kind
  ${'plug-top charger'}     | ${'plug-top'}
  ${'notebook brick'}       | ${'desk-brick'}
  ${'oven control board'}   | ${'appliance-board'}
  ${'scooter charger'}      | ${'battery-charger'}
  ${'LED driver'}           | ${'lamp-driver'}
  ${'microwave inverter'}   | ${'pulse-unit'}
  ${'console inner supply'} | ${'internal'}
  ${'thing'}                | ${undefined}
`('“$words” suggests $kind', ({ words, kind }) => {
  expect(kindFromDescription(words)).toBe(kind);
});

const PAST = [
  { kind: 'desk-brick', power: 60, parts: 8, minutes: 10 },
  { kind: 'desk-brick', power: 90, parts: 4, minutes: 20 },
  { kind: 'desk-brick', power: 500, parts: 30 },
  { kind: 'desk-brick', parts: 6 },
  { kind: 'desk-brick', power: 65, parts: 0, minutes: 30 },
  { kind: 'internal', power: 60, parts: 20, minutes: 5 },
];

// Means worked by hand over the donors of the kind whose power lies within a factor of three.
test.each`
  of                                    | parts | donors | minutes
  ${{ kind: 'desk-brick', power: 60 }}  | ${6}  | ${3}   | ${20}
  ${{ kind: 'desk-brick', power: 600 }} | ${18} | ${2}   | ${undefined}
  ${{ kind: 'desk-brick' }}             | ${12} | ${4}   | ${20}
  ${{ kind: 'internal', power: 60 }}    | ${20} | ${1}   | ${5}
  ${{ kind: 'pulse-unit', power: 60 }}  | ${0}  | ${0}   | ${undefined}
`('like donors of $of gave $parts parts', ({ of, parts, donors, minutes }) => {
  const like = likeDonors(PAST, of);
  expect(like.parts).toEqual({ parts, donors });
  expect(like.minutes?.minutes).toBe(minutes);
});
