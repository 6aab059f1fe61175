import fc from 'fast-check';
import {
  savedBy,
  adviseWhole,
  allotNeeds,
  effortOf,
  experienceOf,
  jobsOf,
  planHarvest,
  USEFULNESS,
  survivalText,
  valueOf,
  whyLeft,
  worthTesting,
  type HarvestPart,
  type Job,
  type OpenNeed,
  type PastStep,
  type Worth,
} from '.';
import { KIND_NAMES } from '../part';
import { readQuestion } from '../stock';

const job = (id: string, minutes: number, points: number, ...after: string[]): Job => ({ id, minutes, points, after });

/** The best worth by trying every set of jobs. */
function bruteForce(jobs: readonly Job[], budget: number): number {
  let best = 0;
  for (let mask = 0; mask < 2 ** jobs.length; mask += 1) {
    const chosen = jobs.filter((_, index) => mask & (1 << index));
    const ids = new Set(chosen.map(({ id }) => id));
    if (!chosen.every(({ after }) => after.every((id) => ids.has(id)))) continue;
    if (chosen.reduce((sum, { minutes }) => sum + Math.ceil(minutes * 10 - 1e-9), 0) > Math.floor(budget * 10 + 1e-9))
      continue;
    best = Math.max(
      best,
      chosen.reduce((sum, { points }) => sum + points, 0),
    );
  }
  return best;
}

/** Every job of the order comes behind what it waits for, and all of it fits. */
function isSound(jobs: readonly Job[], order: readonly string[], budget: number): boolean {
  const done = new Set<string>();
  let minutes = 0;
  for (const id of order) {
    const found = jobs.find((one) => one.id === id);
    if (!found || !found.after.every((before) => done.has(before))) return false;
    done.add(id);
    minutes += found.minutes;
  }
  return minutes <= budget + 1e-6;
}

describe('the plan for the minutes at hand', () => {
  test.each`
    jobs                                                                                                                  | budget | order                         | why
    ${[job('a', 10, 60), job('b', 10, 50), job('c', 5, 40)]}                                                              | ${15}  | ${['c', 'a']}                 | ${'the best pair that fits, the denser first'}
    ${[job('sink', 4, 0), job('q1', 1, 20, 'sink'), job('q2', 1, 20, 'sink'), job('q3', 1, 20, 'sink'), job('c', 6, 45)]} | ${7}   | ${['sink', 'q1', 'q2', 'q3']} | ${'one heat sink frees three'}
    ${[job('sink', 4, 0), job('q1', 1, 20, 'sink'), job('c', 5, 45)]}                                                     | ${5}   | ${['c']}                      | ${'for one it does not pay'}
    ${[job('can', 2, 5), job('screw', 1, 30, 'can')]}                                                                     | ${3}   | ${['can', 'screw']}           | ${'the can before the screw behind it'}
    ${[job('air', 3, 0), job('sink', 2, 0), job('u', 1, 50, 'air', 'sink'), job('x', 1, 9, 'air')]}                       | ${7}   | ${['air', 'sink', 'u', 'x']}  | ${'two things first'}
    ${[job('a', 1, 10, 'gone'), job('b', 1, 5)]}                                                                          | ${9}   | ${['b']}                      | ${'what waits for something that is not there is never done'}
    ${[job('a', 1, 10, 'b'), job('b', 1, 10, 'a')]}                                                                       | ${9}   | ${[]}                         | ${'what waits for itself is never done'}
    ${[]}                                                                                                                 | ${40}  | ${[]}                         | ${'nothing there'}
    ${[job('a', 5, 10)]}                                                                                                  | ${0}   | ${[]}                         | ${'no time'}
  `('$why', ({ jobs, budget, order }) => {
    expect(planHarvest(jobs as Job[], budget as number).order).toEqual(order);
  });

  const jobs = fc
    .array(
      fc.record({
        minutes: fc.integer({ min: 1, max: 60 }).map((tenths) => tenths / 10),
        points: fc.integer({ min: 0, max: 40 }),
        after: fc.array(fc.nat(9), { maxLength: 3 }),
      }),
      { minLength: 1, maxLength: 11 },
    )
    .map((list) =>
      list.map(({ minutes, points, after }, index) =>
        job(`${index}`, minutes, points, ...new Set(after.filter((at) => at < index).map(String))),
      ),
    );

  test('is the best there is, as trying every set of jobs has it', () => {
    fc.assert(
      fc.property(jobs, fc.integer({ min: 0, max: 200 }), (list, tenths) => {
        const budget = tenths / 10;
        const plan = planHarvest(list, budget);
        const best = bruteForce(list, budget);
        expect(isSound(list, plan.order, budget)).toBe(true);
        expect(plan.bound).toBeGreaterThanOrEqual(best - 1e-9);
        if (plan.bound - plan.points < 1e-9) expect(plan.points).toBeCloseTo(best, 9);
        else expect(plan.points).toBeLessThanOrEqual(best + 1e-9);
      }),
      { seed: 8, numRuns: 400 },
    );
  });

  test('more minutes are never worth less', () => {
    fc.assert(
      fc.property(jobs, fc.integer({ min: 0, max: 100 }), fc.integer({ min: 0, max: 100 }), (list, tenths, more) => {
        expect(planHarvest(list, (tenths + more) / 10).bound).toBeGreaterThanOrEqual(
          planHarvest(list, tenths / 10).points - 1e-9,
        );
      }),
      { seed: 9, numRuns: 200 },
    );
  });
});

describe('what a part is worth', () => {
  const fet: Worth = { kind: 'nmos', package: 'TO-220', grade: 'A', held: 0 };
  const points = (more: Partial<Worth>) => valueOf({ ...fet, ...more }).points;
  test.each`
    less                                             | more                                             | why
    ${{ held: 8 }}                                   | ${{}}                                            | ${'so many in the drawers'}
    ${{ grade: 'B' }}                                | ${{}}                                            | ${'a grade less'}
    ${{ grade: undefined }}                          | ${{ grade: 'B' }}                                | ${'not tested'}
    ${{}}                                            | ${{ need: { title: 'lamp', verdict: 'limit' } }} | ${'a build needs one'}
    ${{ need: { title: 'lamp', verdict: 'limit' } }} | ${{ need: { title: 'lamp', verdict: 'fits' } }}  | ${'without a limit'}
    ${{ need: { title: 'lamp', verdict: 'fits' } }}  | ${{ wish: 'take' }}                              | ${'the person has the last word'}
    ${{ package: 'SOT-23' }}                         | ${{}}                                            | ${'a small case'}
    ${{ kind: 'resistor' }}                          | ${{}}                                            | ${'a resistor'}
    ${{ kind: 'capacitor', farads: 1.5e-9 }}         | ${{ kind: 'capacitor', farads: 100e-9 }}         | ${'most likely a ceramic'}
  `('$why: $less under $more', ({ less, more }) => {
    expect(points(less as Partial<Worth>)).toBeLessThan(points(more as Partial<Worth>));
  });

  test.each`
    of                                                             | why
    ${{ grade: 'reject' }}                                         | ${'it did not pass'}
    ${{ wish: 'leave' }}                                           | ${'you said to leave it'}
    ${{ wish: 'leave', need: { title: 'lamp', verdict: 'fits' } }} | ${'you said to leave it'}
  `('nothing: $why', ({ of, why }) => {
    expect(valueOf({ ...fet, ...(of as Partial<Worth>) })).toEqual({ points: 0, reasons: [why] });
  });

  test('every kind has its usefulness with a reason', () => {
    for (const kind of KIND_NAMES) expect(USEFULNESS[kind].why.length).toBeGreaterThan(8);
    expect(USEFULNESS.fuse.points).toBe(0);
  });
});

describe('open needs of builds', () => {
  const fet = (ref: string, volts: number, grade: 'A' | 'B' | 'C' | null = 'A') => ({
    ref,
    kind: 'nmos' as const,
    grade,
    ratings: { vds: { value: volts, source: 'datasheet' as const } },
  });
  const need = (title: string, find: string, pieces: number): OpenNeed => {
    const parsed = readQuestion(find);
    if (!parsed.ok) throw new Error(find);
    return { title, filter: parsed.filter, pieces };
  };
  const lamp = need('lamp', 'nmos >=500V', 1);
  test.each`
    parts                                               | needs                                    | filled                    | why
    ${[fet('Q1', 800), fet('Q2', 600), fet('Q3', 500)]} | ${[lamp]}                                | ${['Q3 lamp']}            | ${'one is enough, the tightest'}
    ${[fet('Q1', 800), fet('Q2', 600)]}                 | ${[need('pair', 'nmos >=500V', 3)]}      | ${['Q1 pair', 'Q2 pair']} | ${'as many as there are'}
    ${[fet('Q1', 600), fet('Q2', 600, 'C')]}            | ${[lamp, need('pump', 'nmos >=60V', 1)]} | ${['Q1 lamp', 'Q2 pump']} | ${'each for one need'}
    ${[fet('Q1', 400)]}                                 | ${[lamp]}                                | ${[]}                     | ${'too weak'}
    ${[fet('Q1', 600)]}                                 | ${[need('lamp', 'nmos >=500V', 0)]}      | ${[]}                     | ${'the drawers have it'}
    ${[]}                                               | ${[lamp]}                                | ${[]}                     | ${'nothing there'}
  `('$why', ({ parts, needs, filled }) => {
    const found = allotNeeds(parts as Parameters<typeof allotNeeds>[0], needs as OpenNeed[]);
    expect([...found].map(([ref, { title }]) => `${ref} ${title}`).sort()).toEqual(filled);
  });
});

const NEW_HAND = experienceOf([]);
const onBoard = (ref: string, more: Partial<HarvestPart>): HarvestPart => ({
  ref,
  kind: 'nmos',
  package: 'TO-220',
  grade: 'A',
  held: 0,
  message: '',
  mounting: { ways: [], behind: [] },
  ...more,
});

describe('the jobs of a board', () => {
  const parts = [
    onBoard('Q1', { mounting: { ways: ['screwed', 'compound'], sink: 'HS1', behind: ['C9'] } }),
    onBoard('D8', { kind: 'dual-diode', mounting: { ways: ['screwed'], sink: 'HS1', behind: [] } }),
    onBoard('U2', { kind: 'ic', package: 'SO-8' }),
    onBoard('C9', { kind: 'capacitor', subtype: 'film', package: 'box' }),
    ...[1, 2, 3, 4].map((n) =>
      onBoard(`C${n}`, { kind: 'capacitor', subtype: 'ceramic', package: '0805', message: '100 nF', held: 200 }),
    ),
  ];
  const jobs = jobsOf(parts, { experience: NEW_HAND, live: true, done: new Set() });
  const found = (id: string) => jobs.find((one) => one.id === id);

  test('a heat sink and the hot air are set up once, like small parts are taken together', () => {
    expect(jobs.map(({ id }) => id)).toEqual(['sink:HS1', 'tool:hot-air', 'Q1', 'D8', 'U2', 'C9', 'C1,C2,C3,C4']);
    expect(found('Q1')?.after).toEqual(['sink:HS1', 'C9']);
    expect(found('U2')?.after).toEqual(['tool:hot-air']);
    expect(found('C1,C2,C3,C4')).toMatchObject({ title: '4 × 100 nF capacitor', refs: ['C1', 'C2', 'C3', 'C4'] });
    expect(found('Q1')?.hazards.join(' ')).toContain('not measured dead');
  });

  test('a test is worth most where it changes what is taken', () => {
    const untested = [
      onBoard('T1', { kind: 'transformer', package: null, grade: undefined }),
      onBoard('Q1', { grade: undefined }),
      onBoard('R1', { kind: 'resistor', package: 'axial', grade: undefined }),
      onBoard('Q2', {}),
      onBoard('Q3', { grade: undefined, unsettled: true }),
      onBoard('J1', { kind: 'connector', package: null, grade: undefined }),
    ];
    const all = jobsOf(untested, { experience: NEW_HAND, live: false, done: new Set() });
    expect(worthTesting(all, planHarvest(all, 40))).toEqual({ taken: ['Q1'], left: ['T1'] });
    expect(worthTesting(all, planHarvest(all, 1))).toEqual({ taken: [], left: ['T1', 'Q1'] });
  });

  test('what was done or taken is waited for no more', () => {
    const later = jobsOf(
      parts.filter(({ ref }) => ref !== 'C9'),
      { experience: NEW_HAND, live: false, done: new Set(['sink:HS1']) },
    );
    expect(later.map(({ id }) => id)).not.toContain('sink:HS1');
    expect(later.find(({ id }) => id === 'Q1')?.after).toEqual([]);
  });

  test('what is left has its reason', () => {
    const plan = planHarvest(jobs, 8);
    const left = whyLeft(jobs, plan, 8);
    expect(left.map(({ job: { id } }) => id).sort()).toEqual(
      jobs
        .filter(({ id, refs }) => refs.length > 0 && !plan.order.includes(id))
        .map(({ id }) => id)
        .sort(),
    );
    const handful = left.find(({ job: { refs } }) => refs.length === 4);
    expect(handful?.why).toMatch(/min, warm up hot air first for parts you hold 200 of\.$/);
  });

  test.each`
    of                                                              | tool         | least  | why
    ${{ kind: 'resistor', package: 'axial', mountings: [] }}        | ${'iron'}    | ${0.7} | ${'two legs'}
    ${{ kind: 'nmos', package: 'TO-220', mountings: ['screwed'] }}  | ${'iron'}    | ${1.8} | ${'and a screw'}
    ${{ kind: 'ic', package: 'SO-8', mountings: [] }}               | ${'hot-air'} | ${1.2} | ${'surface mount'}
    ${{ kind: 'nmos', package: 'DPAK', mountings: [] }}             | ${'hot-air'} | ${1.2} | ${'a power case without legs'}
    ${{ kind: 'transformer', package: null, mountings: ['glued'] }} | ${'iron'}    | ${6}   | ${'many pins and glue'}
  `('$of.kind in $of.package: $least min with $tool ($why)', ({ of, tool, least }) => {
    const effort = effortOf(of as Parameters<typeof effortOf>[0]);
    expect(effort.tool).toBe(tool);
    expect(effort.minutes).toBeCloseTo(least, 6);
  });
});

describe('what a person’s past says', () => {
  const steps = (count: number, more: Partial<PastStep>): PastStep[] =>
    Array.from({ length: count }, () => ({
      class: 'tab',
      package: 'TO-220',
      outcome: 'done',
      tableMinutes: 1,
      seconds: 120,
      ...more,
    }));
  const TAB = { class: 'tab', package: 'TO-220' } as const;

  test('minutes come near what they take, drawn to the table’s while there are few', () => {
    expect(NEW_HAND.pace(TAB)).toBe(1);
    const [few, many] = [1, 30].map((count) => experienceOf(steps(count, {})).pace({ class: 'tab' }));
    expect(few).toBeGreaterThan(1);
    expect(few).toBeLessThan(1.3);
    expect(many).toBeGreaterThan(1.8);
    expect(many).toBeLessThan(2);
    expect(experienceOf(steps(5, { seconds: 3600 })).pace(TAB)).toBe(1);
    expect(experienceOf(steps(30, {})).pace({ class: 'surface' })).toBe(1);
    expect(experienceOf(steps(30, { outcome: 'broke' })).pace(TAB)).toBe(1);
  });

  test('a case that was done often has minutes of its own, and a new one those of its class', () => {
    const past = experienceOf([...steps(20, {}), ...steps(20, { package: 'TO-247', seconds: 240 })]);
    expect(past.pace(TAB)).toBeLessThan(2.2);
    expect(past.pace({ class: 'tab', package: 'TO-247' })).toBeGreaterThan(3.4);
    expect(past.pace({ class: 'tab', package: 'TO-3P' })).toBe(past.pace({ class: 'tab' }));
  });

  test('what breaks lowers the worth, by the table first and then by what broke', () => {
    const survival = (experience: typeof NEW_HAND, mountings: ('potted' | 'glued')[] = []) =>
      experience.survival({ ...TAB, kind: 'nmos', mountings });
    expect(survival(NEW_HAND)).toBeCloseTo(0.98, 9);
    expect(survival(NEW_HAND, ['potted'])).toBeCloseTo(0.98 * 0.65, 9);
    // Ten of the table's parts and ten of one's own, five of them broken: (0.2 + 5)/20 are lost.
    const unlucky = experienceOf([...steps(5, {}), ...steps(5, { outcome: 'broke' })]);
    expect(survival(unlucky)).toBeCloseTo(1 - 5.2 / 20, 9);
    expect(survivalText(survival(NEW_HAND))).toBeUndefined();
    expect(survivalText(survival(unlucky))).toBe('about 1 in 4 breaks on the way');
    const worth = (ways: ('potted' | 'glued')[]) =>
      jobsOf([onBoard('Q1', { mounting: { ways, behind: [] } })], {
        experience: NEW_HAND,
        live: false,
        done: new Set(),
      })[0];
    expect((worth(['potted'])?.worth ?? 0) / (worth([])?.worth ?? 1)).toBeCloseTo(0.65, 6);
    expect(worth(['potted'])?.value?.reasons[1]).toBe('about 1 in 3 breaks on the way');
  });
});

test.each`
  works    | soaked   | watts | points | leave        | why
  ${false} | ${false} | ${90} | ${50}  | ${undefined} | ${'it does not work'}
  ${true}  | ${true}  | ${90} | ${120} | ${true}      | ${'a good brick'}
  ${true}  | ${false} | ${5}  | ${200} | ${false}     | ${'a plug-top full of wanted parts'}
`('leave it whole: $leave ($why)', ({ works, soaked, watts, points, leave }) => {
  const advice = adviseWhole({ works, soaked, watts, outputs: 1 }, { points, minutes: 30 });
  expect(advice?.leave).toBe(leave);
});

test('what was used is told at what it would have cost new', () => {
  // 3 × 1.80 + 20 × 0.05 + 2.5 × 0.80 = 8.40 euros.
  expect(
    savedBy([
      { kind: 'nmos', pieces: 3 },
      { kind: 'resistor', pieces: 20 },
      { kind: 'wire', pieces: 2.5 },
    ]),
  ).toBe(8);
  expect(savedBy([{ kind: 'fuse', pieces: 9 }])).toBe(0);
});
