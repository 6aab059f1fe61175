import { judgeSoak, type SoakRow } from '.';

/** A case that warms toward `end` with a time constant of 15 minutes, read every `step` seconds. */
const warming = (end: number, minutes: number, step = 120): SoakRow[] =>
  Array.from({ length: Math.floor((minutes * 60) / step) + 1 }, (_, index) => ({
    time: index * step,
    celsius: end - (end - 20) * Math.exp(-(index * step) / 900),
  }));
const message = (rows: readonly SoakRow[], of = {}) =>
  judgeSoak(rows, of)
    .findings.map(({ text }) => text.replace(/\u00a0/g, ' '))
    .join(' ');

test.each`
  why                          | rows                                                                                  | message
  ${'long enough'}             | ${warming(55, 90)}                                                                    | ${/Steady at 55 °C, 35 K above the room/}
  ${'half way'}                | ${warming(55, 20)}                                                                    | ${/Still rising by .* ends near 55 °C/}
  ${'hardly begun'}            | ${warming(55, 6)}                                                                     | ${/Still rising .* too early/}
  ${'hot'}                     | ${warming(95, 60)}                                                                    | ${/too hot to hold/}
  ${'switched off'}            | ${[{ time: 0, celsius: 60 }, { time: 300, celsius: 50 }, { time: 600, celsius: 42 }]} | ${/Cooling/}
  ${'two temperatures'}        | ${warming(55, 2)}                                                                     | ${/Three temperatures/}
  ${'held'}                    | ${[{ time: 0, volts: 12.1, load: 1 }, { time: 600, volts: 12.0, load: 1 }]}           | ${/output held/}
  ${'dips'}                    | ${[{ time: 0, volts: 12.1, load: 1 }, { time: 900, volts: 11.3, load: 1 }]}           | ${/dips by 7 % after 15 min .* drying capacitors/}
  ${'goes off'}                | ${[{ time: 0, volts: 19, load: 2 }, { time: 660, volts: 0.2, load: 2 }]}              | ${/went off after 11 min/}
  ${'more load, less voltage'} | ${[{ time: 0, volts: 12.1, load: 1 }, { time: 60, volts: 11.6, load: 3 }]}            | ${/output held/}
  ${'19.5 V to 18.1 V'}        | ${[{ time: 0, volts: 19.5, load: 0 }, { time: 900, volts: 18.1, load: 3 }]}           | ${/sags by 7 % under load/}
  ${'climbs'}                  | ${[{ time: 0, volts: 5, load: 1 }, { time: 600, volts: 8, load: 1 }]}                 | ${/rose from 5 V to 8 V after 10 min: switch it off/}
  ${'climbs, load not read'}   | ${[{ time: 0, volts: 5 }, { time: 600, volts: 5.6 }]}                                 | ${/rose from 5 V to 5.6 V/}
  ${'load taken off'}          | ${[{ time: 0, volts: 12, load: 1 }, { time: 600, volts: 16, load: 0 }]}               | ${/output held/}
  ${'losses grow'}             | ${[{ time: 0, watts: 20, load: 1 }, { time: 900, watts: 25, load: 1 }]}               | ${/rose from 20 W to 25 W/}
  ${'efficiency'}              | ${[{ time: 0, watts: 30, volts: 12, load: 2.2 }]}                                     | ${/88.0 % efficiency measured/}
  ${'beyond belief'}           | ${[{ time: 0, watts: 24, volts: 12, load: 2 }]}                                       | ${/100.0 % efficiency cannot be/}
`('$why', ({ rows, message: expected }) => {
  expect(message(rows)).toMatch(expected);
});

test('an output above what is stated is out of control, though it never moved', () => {
  const rows = [600, 1200].map((time) => ({ time, volts: 8, load: 1 }));
  expect(judgeSoak(rows, { nominal: 5 })).toMatchObject({ outcome: 'rose', findings: [{ severity: 'danger' }] });
  expect(judgeSoak(rows, { nominal: 7.5 }).outcome).toBe('held');
});

test('efficiency is held against what the mark promises', () => {
  const rows = [{ time: 0, watts: 30, volts: 12, load: 2 }];
  expect(message(rows, { leastEfficiency: 0.88 })).toMatch(/80.0 % measured, 88.0 % or more expected/);
  expect(judgeSoak(rows).efficiency).toBeCloseTo(0.8, 6);
});

test('where a warming curve will end is told from its bend', () => {
  const { warming: fit } = judgeSoak(warming(60, 25));
  expect(fit?.end).toBeCloseTo(60, 0);
  expect(fit?.timeConstant).toBeGreaterThan(800);
  expect(fit?.timeConstant).toBeLessThan(1000);
});

test.each`
  watts | stated | message
  ${50} | ${40}  | ${/50 W went in at most. If the stated 40 W came out, that is 80 % efficiency/}
  ${30} | ${40}  | ${/133 %: it was not at full load/}
`('$watts W in, $stated W stated and no output read', ({ watts, stated, message: expected }) => {
  expect(message([{ time: 0, watts }], { statedPower: stated })).toMatch(expected);
});

test.each`
  rows                                                                        | outcome       | why
  ${[{ time: 0, volts: 12, load: 1 }, { time: 900, volts: 11.9, load: 1 }]}   | ${'held'}     | ${'a quarter of an hour'}
  ${[{ time: 0, volts: 12, load: 1 }, { time: 120, volts: 12, load: 1 }]}     | ${undefined}  | ${'two minutes show nothing'}
  ${[{ time: 0, volts: 12 }, { time: 1800, volts: 12 }]}                      | ${undefined}  | ${'without a load'}
  ${[{ time: 0, volts: 12, load: 1 }, { time: 900, volts: 11.2, load: 1 }]}   | ${'dipped'}   | ${'as it warms'}
  ${[{ time: 0, volts: 12, load: 1 }, { time: 900, volts: 0.3, load: 1 }]}    | ${'went-off'} | ${'off'}
  ${[{ time: 0, volts: 5, load: 1 }, { time: 900, volts: 8, load: 1 }]}       | ${'rose'}     | ${'it kills what hangs on it'}
  ${[{ time: 0, volts: 19.5, load: 0 }, { time: 900, volts: 18.1, load: 3 }]} | ${'dipped'}   | ${'7 % under load'}
`('$outcome: $why', ({ rows, outcome }) => {
  expect(judgeSoak(rows).outcome).toBe(outcome);
});
