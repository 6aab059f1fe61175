import { likeness, seamRecords, type OpeningStep, type UnitLikeness } from '.';

const brick: UnitLikeness = {
  kind: 'desk-brick',
  maker: 'Tarn',
  model: 'TB-1990',
  volume: 220e-6,
  year: 2016,
  seams: ['weld'],
};

test.each`
  why                      | other                                                                                        | least   | most
  ${'the same model'}      | ${{ maker: 'TARN', model: 'tb-1990' }}                                                       | ${1}    | ${1}
  ${'all but the model'}   | ${{ model: 'TB-65' }}                                                                        | ${0.99} | ${1}
  ${'another maker'}       | ${{ maker: 'Velkin', model: 'V' }}                                                           | ${0.7}  | ${0.8}
  ${'another seam'}        | ${{ model: 'X', seams: ['screws'] }}                                                         | ${0.75} | ${0.85}
  ${'nothing in common'}   | ${{ kind: 'internal', maker: 'Q', model: 'Q', volume: 8e-3, year: 1995, seams: ['screws'] }} | ${0}    | ${0.01}
  ${'nothing known of it'} | ${{ kind: 'other', maker: '', model: '', volume: undefined, year: undefined, seams: [] }}    | ${0}    | ${0}
`('$why: between $least and $most', ({ other, least, most }) => {
  const { score } = likeness(brick, { ...brick, ...other });
  expect(score).toBeGreaterThanOrEqual(least);
  expect(score).toBeLessThanOrEqual(most);
});

test('two nameless units are not the same model', () => {
  const nameless = { ...brick, maker: '', model: '' };
  expect(likeness(nameless, { ...nameless, kind: 'other', seams: [] }).why).not.toContain('the same model');
});

test('per seam and method, how often it came apart whole', () => {
  const step = (seam: OpeningStep['seam'], method: OpeningStep['method'], damage: OpeningStep['damage']) => ({
    seam,
    method,
    damage,
  });
  expect(
    seamRecords([
      step('weld', 'vice squeeze', 'none'),
      step('weld', 'vice squeeze', 'cosmetic'),
      step('weld', 'saw or rotary tool', 'cracked'),
      step('weld', 'vice squeeze', 'destroyed'),
    ]),
  ).toEqual([
    { seam: 'weld', method: 'vice squeeze', tries: 3, whole: 2 },
    { seam: 'weld', method: 'saw or rotary tool', tries: 1, whole: 0 },
  ]);
});
