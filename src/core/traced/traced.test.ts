import { CORPUS } from '../topology/fixtures/corpus';
import { OTHER_BOARDS } from '../topology/fixtures/otherBoards';
import { disagreementsOf, inputOf, rankSuspects, runBoard, strained, trialsOf, tryOut, type TracedUnit } from '.';

/** Boards that others traced and answered; none of them was written for this. */
function unitOf(name: string): TracedUnit {
  const found = [...CORPUS, ...OTHER_BOARDS].find((one) => one.name === name);
  if (!found) throw new Error(`There is no board ${name}.`);
  return { board: found.board, known: {} };
}

describe('boards of others, run as they were traced', () => {
  // The duty by the textbook's equations for continuous conduction (FORMULAS 6), with a drop of 0.45 V at a Schottky diode and 0.9 V
  // at another; what is lost in switches and windings is the difference.
  test.each`
    name                     | topology                  | at          | volts  | duty               | within
    ${'step-down-5v'}        | ${'buck'}                 | ${'C5.+'}   | ${5}   | ${5.45 / 21.95}    | ${0.06}
    ${'cell-step-up-12v'}    | ${'boost'}                | ${'C2.+'}   | ${12}  | ${1 - 4 / 12.45}   | ${0.1}
    ${'vehicle-camera-12v'}  | ${'sepic'}                | ${'C12.+'}  | ${12}  | ${12.45 / 24.45}   | ${0.05}
    ${'bias-module'}         | ${'inverting-buck-boost'} | ${'C6.1'}   | ${-5}  | ${5.45 / 17.45}    | ${0.08}
    ${'tablet-adapter-45w'}  | ${'active-clamp-flyback'} | ${'C29.+'}  | ${20}  | ${100 / 409}       | ${0.06}
    ${'printer-adapter-24v'} | ${'flyback'}              | ${'C309.+'} | ${24}  | ${100 / 409}       | ${0.06}
    ${'rail-supply-24v'}     | ${'two-switch-forward'}   | ${'C15.+'}  | ${24}  | ${0.33}            | ${0.08}
    ${'rail-24'}             | ${'forward'}              | ${'C117.+'} | ${24}  | ${0.33}            | ${0.08}
    ${'form-24'}             | ${'half-bridge'}          | ${'C904.+'} | ${24}  | ${0.33}            | ${0.15}
    ${'brick-195'}           | ${'boost-pfc'}            | ${'C5.+'}   | ${385} | ${1 - 325.3 / 385} | ${0.05}
    ${'travel-charger-5v'}   | ${'rcc-flyback'}          | ${'C7.+'}   | ${5}   | ${100 / 409}       | ${0.15}
  `(
    '$name, $topology: $volts V at $at',
    ({
      name,
      topology,
      at,
      volts,
      duty,
      within,
    }: {
      name: string;
      topology: string;
      at: string;
      volts: number;
      duty: number;
      within: number;
    }) => {
      const run = runBoard(unitOf(name));
      const stage = run.stages.find((one) => one.topology === topology);
      const rail = stage?.rails.find((one) => one.at === at);
      expect(Math.abs((rail?.volts ?? 0) / volts - 1)).toBeLessThan(0.05);
      expect(stage?.held).toBe('output');
      expect(Math.abs((stage?.answer.control ?? 0) / duty - 1)).toBeLessThan(within);
      expect(stage?.answer.input.watts).toBeGreaterThan(stage?.answer.output.watts ?? Infinity);
      expect(stage?.deck).toMatch(/^\.tran /m);
    },
  );

  // Without a control: the turns are chosen for the output, a Zener diode holds what a capacitor lets through of the mains.
  test.each`
    name                 | topology                | at         | volts
    ${'keep-12'}         | ${'line-transformer'}   | ${'C12.+'} | ${13.8}
    ${'room-thermostat'} | ${'capacitive-dropper'} | ${'C1.+'}  | ${24}
  `(
    '$name, $topology: $volts V at $at',
    ({ name, topology, at, volts }: { name: string; topology: string; at: string; volts: number }) => {
      const [stage] = runBoard(unitOf(name)).stages;
      expect(stage).toMatchObject({ topology, held: 'free', inputVolts: 230 });
      expect(Math.abs((stage?.rails.find((one) => one.at === at)?.volts ?? 0) / volts - 1)).toBeLessThan(0.05);
      expect(stage?.answer.period).toBeCloseTo(0.02, 6);
      // A capacitor for the mains is rated by effective volts.
      expect(stage?.answer.stresses.every(({ kind, share }) => kind !== 'voltage' || share < 1)).toBe(true);
    },
  );

  test('a resonant half bridge runs at its resonance, and one winding feeds two outputs', () => {
    const { stages } = runBoard(unitOf('tv-supply-42'), { only: 'T301' });
    const [llc] = stages;
    // Turns are for half the source; at a gain of one the frequency is that of the resonance.
    expect(llc?.topology).toBe('llc-half-bridge');
    expect(llc?.rails.map(({ volts, plate }) => Math.abs(volts / (plate ?? 1) - 1) < 0.05)).toEqual([true, true]);
  });
});

// The answers that came with the boards name these parts.
describe('faults that others planted show in the run', () => {
  test.each`
    name                    | ref         | text
    ${'monitor-supply'}     | ${'C37'}    | ${/C37: voltage .* stands 10\sV/}
    ${'rail-24'}            | ${'C103'}   | ${/C103: voltage .* stands 16\sV/}
    ${'router-adapter-12v'} | ${'R203'}   | ${/R203: heat .* stands 1\sW/}
    ${'recorder-supply'}    | ${'C27.+'}  | ${/C27\.\+ comes to .* plate says 12\sV/}
    ${'midspan-56'}         | ${'C124.+'} | ${/C124\.\+ comes to .* plate says 12\sV/}
  `('$name: $ref', ({ name, ref, text }: { name: string; ref: string; text: RegExp }) => {
    const unit = unitOf(name);
    const found = disagreementsOf(runBoard(unit), unit);
    expect(found[0]?.text).toMatch(text);
    expect(new Set(found.map(({ at }) => at.replace(/\..*/, '')))).toContain(ref.replace(/\..*/, ''));
  });

  test.each`
    name                    | ref       | kind
    ${'recorder-supply'}    | ${'D33'}  | ${'polarity'}
    ${'midspan-56'}         | ${'D102'} | ${'polarity'}
    ${'mixer-dual-rail'}    | ${'BR1'}  | ${'polarity'}
    ${'router-adapter-12v'} | ${'R203'} | ${'value'}
  `('$name: $ref is named', ({ name, ref, kind }: { name: string; ref: string; kind: string }) => {
    const unit = unitOf(name);
    const run = runBoard(unit);
    const [worst] = disagreementsOf(run, unit);
    const { stage } = worst ?? { stage: '' };
    // Only parts of its own letter are tried here; all of them take long.
    const trials = trialsOf(unit, run, stage).filter((one) => one.kind === kind && one.ref.startsWith(ref.charAt(0)));
    expect(trials.length).toBeGreaterThan(0);
    const found = rankSuspects(trials.flatMap((trial) => tryOut(trial, { unit, run, stage }) ?? []));
    expect(found.map((one) => one.ref)).toContain(ref);
    expect(found[0]?.explains).toBeGreaterThan(0.7);
  });

  test('a part that only hides what is wrong when it is turned is not named', () => {
    const unit = unitOf('mixer-dual-rail');
    const run = runBoard(unit);
    const { stage } = disagreementsOf(run, unit)[0] ?? { stage: '' };
    const trials = trialsOf(unit, run, stage).filter((one) => one.kind === 'polarity' && one.ref === 'C12');
    expect(trials).toHaveLength(1);
    expect(trials.map((trial) => tryOut(trial, { unit, run, stage }))).toEqual([undefined]);
  });

  test.each(['step-down-5v', 'printer-adapter-24v', 'form-24', 'brick-195', 'usbc-charger-65w', 'vehicle-camera-12v'])(
    '%s is sound, and nothing is held against it',
    (name) => {
      const unit = unitOf(name);
      const run = runBoard(unit);
      expect(disagreementsOf(run, unit)).toEqual([]);
      expect(strained(run)).toEqual([]);
    },
  );
});

describe('values', () => {
  const unit = unitOf('printer-adapter-24v');
  const used = (of: TracedUnit, ref: string, name: string) =>
    runBoard(of).used.find((one) => one.ref === ref && one.name === name);

  test('what was measured goes before what is typical, and what is typical says so', () => {
    expect(used(unit, 'T301', 'turnsRatio')).toMatchObject({
      source: 'typical',
      why: expect.stringContaining('chosen'),
    });
    const measured: TracedUnit = { ...unit, known: { T301: { turnsRatio: { value: 5, source: 'measured' } } } };
    expect(used(measured, 'T301', 'turnsRatio')).toMatchObject({ value: 5, source: 'measured' });
    // Reflected volts are those of the ratio: the duty follows from it.
    const reflected = 5 * 24.45;
    expect(runBoard(measured).stages[0]?.answer.control).toBeCloseTo(reflected / (reflected + 309), 1);
  });

  test('the clock follows from the timing parts, the limit from the shunt', () => {
    // f = 1.72 / (R·C) at a UC3843; 1 V ends a pulse.
    expect(used(unit, 'U201', 'frequency')).toMatchObject({ source: 'decoded', value: 1.72 / (10e3 * 2.2e-9) });
    const limit = runBoard(unit).used.find((one) => one.name === 'limit');
    expect(limit?.why).toMatch(/1 V across/);
  });

  test('a divider that does not fit the plate is told with its resistors, and the one that is a decade off found', () => {
    const divider = runBoard(unit).stages[0]?.rails[0]?.divider;
    const [upper = ''] = divider?.refs ?? [];
    const off: TracedUnit = {
      ...unit,
      board: {
        ...unit.board,
        parts: unit.board.parts.map((part) =>
          part.ref === upper
            ? { ...part, value: { ...part.value, resistance: (part.value?.resistance ?? 0) / 10 } }
            : part,
        ),
      },
    };
    const run = runBoard(off);
    const [worst] = disagreementsOf(run, off);
    expect(worst?.text).toContain(upper);
    const trials = trialsOf(off, run, worst?.stage ?? '').filter(({ ref }) => divider?.refs.includes(ref));
    const [first] = rankSuspects(
      trials.flatMap((trial) => tryOut(trial, { unit: off, run, stage: worst?.stage ?? '' }) ?? []),
    );
    expect(first?.ref).toBe(upper);
  });

  test('a measured output that is not there is held against the run', () => {
    const low: TracedUnit = { ...unit, readings: [{ volts: 18, said: 'run under load' }] };
    expect(disagreementsOf(runBoard(low), low)[0]).toMatchObject({ kind: 'reading' });
  });

  test.each`
    plate                                   | chosen       | volts
    ${{ kind: 'ac', vMin: 100, vMax: 240 }} | ${undefined} | ${230}
    ${{ kind: 'ac', vMin: 100, vMax: 120 }} | ${undefined} | ${110}
    ${{ kind: 'dc', vMin: 10, vMax: 14 }}   | ${undefined} | ${12}
    ${{ kind: 'ac', vMin: 100, vMax: 240 }} | ${115}       | ${115}
    ${undefined}                            | ${undefined} | ${undefined}
  `('$plate runs at $volts V', ({ plate, chosen, volts }) => {
    expect(
      inputOf({
        known: {},
        board: { parts: [], ...(plate ? { nameplate: { input: plate } } : {}) },
        ...(chosen ? { inputVolts: chosen } : {}),
      }),
    ).toBe(volts);
  });
});

test('what cannot be run says why, and nothing is thrown on a board that is hardly traced', () => {
  const { stages, notRun } = runBoard(unitOf('wall-dimmer-300'));
  expect(stages).toEqual([]);
  expect(notRun[0]?.why).toMatch(/not run from a traced board yet/);
  for (const { board } of [...CORPUS, ...OTHER_BOARDS].slice(0, 6)) {
    const bare = {
      ...board,
      complete: false,
      parts: board.parts.map((part) => ({
        ...part,
        pins: Object.fromEntries(Object.keys(part.pins).map((pin) => [pin, null])),
      })),
    };
    expect(runBoard({ board: bare, known: {} }).stages).toEqual([]);
  }
});
