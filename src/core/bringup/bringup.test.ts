import fc from 'fast-check';
import { parseNameplate } from '../nameplate';
import { UNIT_KIND_NAMES } from '../unit';
import { CORPUS } from '../topology/fixtures/corpus';
import { OTHER_BOARDS } from '../topology/fixtures/otherBoards';
import { partsByRole } from '../diagnose';
import { runBoard } from '../traced';
import {
  gateOf,
  judgeReading,
  lampFor,
  planPowerUp,
  standingOf,
  voltsBehindLamp,
  type Mark,
  type PowerUpUnit,
  type Step,
  type UnitStore,
} from '.';
import { transformerFor } from './steps/fitted';

const BULK: UnitStore = { name: 'C3', role: 'bulk', capacitance: 100e-6, rated: 400, holds: 373 };
const OUTPUT: UnitStore = { name: 'C21', role: 'output', capacitance: 1e-3, rated: 35, holds: 24 };

const unit = (of: Partial<PowerUpUnit> & { readonly label?: string } = {}): PowerUpUnit => ({
  kind: 'desk-brick',
  plate: parseNameplate(of.label ?? 'INPUT 100-240V~ 1.5A OUTPUT 24V 2.5A'),
  mains: 230,
  stores: [BULK, OUTPUT],
  board: { parts: [] },
  topologies: [],
  partsOf: () => [],
  replaced: [],
  ...of,
});

function stepsOf(of: Parameters<typeof unit>[0]): readonly Step[] {
  const plan = planPowerUp(unit(of));
  if (plan.kind === 'none') throw new Error(plan.why);
  return plan.steps;
}
const stepOf = (steps: readonly Step[], id: RegExp): Step => {
  const found = steps.find((step) => id.test(step.id));
  if (!found) throw new Error(`No step ${String(id)} in ${steps.map((step) => step.id).join(' ')}`);
  return found;
};

describe('what a power-up may ask of hands', () => {
  const LABELS = [
    'INPUT 100-240V~ 1.5A OUTPUT 24V 2.5A',
    'INPUT 230V~ OUTPUT +3.3V 14A +5V 16A +12V 16A -12V 0.3A +5VSB 2A',
    'INPUT 100-240V~ 60Hz OUTPUT 12V 1A',
    'INPUT 12V DC 2A OUTPUT 5V 3A',
    'INPUT 220-240V~ OUTPUT 700mA 20-36V',
    'INPUT 230V~',
  ];
  const anyStore = fc.record({
    name: fc.constantFrom('C1', 'C2', 'C3', 'CX1', 'C21', 'C50'),
    role: fc.constantFrom('bulk', 'filter', 'output', 'other', 'boosted'),
    capacitance: fc.double({ min: 1e-8, max: 1e-2, noNaN: true }),
    holds: fc.double({ min: 1, max: 900, noNaN: true }),
    rated: fc.double({ min: 6.3, max: 450, noNaN: true }),
  });
  const anyUnit = fc.record({
    kind: fc.constantFrom(...UNIT_KIND_NAMES),
    label: fc.constantFrom(...LABELS),
    stores: fc.uniqueArray(anyStore, { minLength: 1, maxLength: 5, selector: ({ name }) => name }),
    // Half of them allow a bench supply in place of the mains.
    topologies: fc.oneof(
      fc.constantFrom(['flyback'], ['half-bridge']),
      fc.subarray(['flyback', 'boost-pfc', 'half-bridge', 'buck', 'capacitive-dropper', 'phase-control']),
    ),
    isIsolated: fc.option(fc.boolean(), { nil: undefined }),
    board: fc.constantFrom(...CORPUS.map(({ board }) => board), ...OTHER_BOARDS.map(({ board }) => board)),
  });

  test('no plan has a hand at the board with power on, or before every store was read dead since', () => {
    fc.assert(
      fc.property(anyUnit, ({ isIsolated, ...of }) => {
        const parts = partsByRole({ unit: { kind: of.kind }, board: of.board, topologies: of.topologies });
        const plan = planPowerUp(unit({ ...of, partsOf: parts, ...(isIsolated === undefined ? {} : { isIsolated }) }));
        if (plan.kind === 'none') return;
        const { steps } = plan;
        // All stores are charged at first, and whenever power was on; reading one low is what makes it dead.
        let charged = new Set<string>(of.stores.map(({ name }) => name));
        /** What the bench supply is clipped to. */
        let clipped = '';
        for (const step of steps) {
          const [, clip, move] = /^bench:(\w+):(clip|unclip)$/u.exec(step.id) ?? [];
          if (move !== undefined) clipped = move === 'clip' ? (clip ?? '') : '';
          // Nothing of the bench stays joined when the mains comes, and what is fed is what it is clipped to.
          if (step.power === 'mains') expect(clipped).toBe('');
          if (step.power === 'bench' && step.id.startsWith('bench:')) expect(`bench:${clipped}`).toBe(step.id);
          if (step.power !== 'off') {
            expect(step.hands).toBe('away');
            charged = new Set<string>(of.stores.map(({ name }) => name));
            continue;
          }
          if (step.store !== undefined) {
            charged.delete(step.store);
            // A lead in the hand is at a store only to show that it is dead, or at the pins of a pulled plug.
            if (step.hands === 'board') expect(step.showsDead).toBe(true);
          } else if (step.hands === 'board') expect([...charged]).toEqual([]);
        }
        // The end is off, with every store read, and read again.
        expect([...charged]).toEqual([]);
        if (of.stores.length > 0 && steps.some(({ power }) => power !== 'off'))
          expect(steps.at(-1)).toMatchObject({ power: 'off', id: expect.stringMatching(/^rebound:/) as unknown });
        expect(steps.at(-1)?.power).toBe('off');
        expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length);
      }),
      { numRuns: 120 },
    );
  });

  test('what is right passes its own step, and ends none', () => {
    fc.assert(
      fc.property(anyUnit, fc.double({ min: 0.02, max: 0.98, noNaN: true }), ({ isIsolated, ...of }, share) => {
        const plan = planPowerUp(unit({ ...of, ...(isIsolated === undefined ? {} : { isIsolated }) }));
        if (plan.kind === 'none') return;
        for (const step of plan.steps) {
          if (!step.asked) continue;
          const { low, high } = step.asked;
          const value = (low ?? 0) + share * ((high ?? (low ?? 1) * 3) - (low ?? 0));
          expect(judgeReading(step, { value, resolution: 0 }).verdict).not.toBe('stop');
        }
      }),
      { numRuns: 60 },
    );
  });

  test.each`
    power      | hands      | showsDead    | isPowered | isDead   | gate
    ${'off'}   | ${'board'} | ${undefined} | ${false}  | ${true}  | ${'go'}
    ${'off'}   | ${'board'} | ${undefined} | ${false}  | ${false} | ${'read-stores'}
    ${'off'}   | ${'board'} | ${undefined} | ${true}   | ${true}  | ${'switch-off'}
    ${'off'}   | ${'board'} | ${true}      | ${false}  | ${false} | ${'go'}
    ${'off'}   | ${'board'} | ${true}      | ${true}   | ${false} | ${'switch-off'}
    ${'off'}   | ${'plug'}  | ${undefined} | ${false}  | ${false} | ${'go'}
    ${'mains'} | ${'away'}  | ${undefined} | ${false}  | ${true}  | ${'switch-on'}
    ${'mains'} | ${'away'}  | ${undefined} | ${true}   | ${false} | ${'go'}
    ${'bench'} | ${'away'}  | ${undefined} | ${false}  | ${true}  | ${'switch-on'}
  `(
    '$power, hands $hands, powered $isPowered, dead $isDead: $gate',
    ({ gate, isPowered, isDead, ...step }: { gate: string; isPowered: boolean; isDead: boolean }) => {
      expect(gateOf(step as never, { isPowered, isDead })).toBe(gate);
    },
  );
});

describe('the series lamp', () => {
  // FORMULAS F12-2, derived from the exponent 0.55 of lamp handbooks.
  test.each`
    watts  | load  | left
    ${60}  | ${2}  | ${229.5}
    ${60}  | ${10} | ${220.4}
    ${60}  | ${20} | ${182.5}
    ${60}  | ${30} | ${undefined}
    ${40}  | ${10} | ${207.7}
    ${40}  | ${15} | ${undefined}
    ${100} | ${30} | ${195.3}
  `('$watts W before $load W leaves $left V of 230', ({ watts, load, left }) => {
    const volts = voltsBehindLamp({ watts: watts as number, mains: 230 }, load as number);
    if (left === undefined) expect(volts).toBeUndefined();
    else expect(volts).toBeCloseTo(left as number, 0);
  });

  // The rule of FORMULAS 12: at least three times the idle input, at most half of the full one.
  test.each`
    full   | idle   | watts  | limitsLittle
    ${75}  | ${1.5} | ${25}  | ${false}
    ${130} | ${2.6} | ${60}  | ${false}
    ${375} | ${19}  | ${150} | ${false}
    ${12}  | ${1}   | ${15}  | ${true}
    ${900} | ${45}  | ${200} | ${false}
  `('$full W full and $idle W idle take a lamp of $watts W', ({ full, idle, watts, limitsLittle }) => {
    const found = lampFor({ mains: 230, full: full as number, idle: idle as number });
    expect([found.lamp.watts, found.limitsLittle]).toEqual([watts, limitsLittle]);
  });
});

test.each`
  full    | volts  | corrects | va           | fuse
  ${75}   | ${230} | ${false} | ${150}       | ${0.63}
  ${75}   | ${120} | ${false} | ${200}       | ${1.6}
  ${500}  | ${230} | ${true}  | ${630}       | ${2.5}
  ${2500} | ${230} | ${false} | ${undefined} | ${undefined}
`('$full W at $volts V want a transformer of $va VA and a fuse of $fuse A', ({ full, volts, corrects, va, fuse }) => {
  const found = transformerFor({ full: full as number, volts: volts as number, corrects: corrects as boolean });
  expect([found?.va, found?.fuse]).toEqual([va, fuse]);
  // Smaller than the transformer's own: so many amperes are its full load.
  if (found) expect(found.fuse).toBeLessThan(found.va / (volts as number));
});

// FORMULAS F12-1: the windows of the ATX12V design guide, from memory.
test.each`
  rail            | low      | high
  ${'3.3 V'}      | ${3.135} | ${3.465}
  ${'5 V'}        | ${4.75}  | ${5.25}
  ${'12 V'}       | ${11.4}  | ${12.6}
  ${'−12 V'}      | ${10.8}  | ${13.2}
  ${'5V standby'} | ${4.75}  | ${5.25}
`('the $rail rail is read between $low and $high V', ({ rail, low, high }) => {
  const steps = stepsOf({
    kind: 'internal',
    label: 'INPUT 230V~ OUTPUT +3.3V 14A +5V 16A +12V 16A -12V 0.3A +5VSB 2A',
  });
  const { asked } = stepOf(steps, new RegExp(`^(?:rail|standby):${rail as string}$`));
  expect(asked?.low).toBeCloseTo(low as number, 6);
  expect(asked?.high).toBeCloseTo(high as number, 6);
});

describe('readings of one step', () => {
  const rail = () => stepOf(stepsOf({}), /^rail:24 V/);
  test.each`
    volts    | verdict    | says
    ${24.12} | ${'pass'}  | ${/right/}
    ${25.18} | ${'doubt'} | ${/either side/}
    ${25.8}  | ${'doubt'} | ${/a little high/i}
    ${27}    | ${'stop'}  | ${/Switch off/}
    ${22.5}  | ${'doubt'} | ${/a little low/i}
    ${3}     | ${'stop'}  | ${/dry|open/}
    ${-24.1} | ${'pass'}  | ${/right/}
  `('$volts V on a 24 V rail: $verdict', ({ volts, verdict, says }) => {
    const found = judgeReading(rail(), { value: volts as number, resolution: 0.01 });
    expect(found.verdict).toBe(verdict);
    expect(found.says).toMatch(says as RegExp);
  });

  // A store that is off is read until it is low: it never passes with charge in it, nor ends the power-up.
  test.each([
    ['dead:C3', 113, 'again'],
    ['dead:C3', 0.2, 'pass'],
    ['after:C3', 300, 'again'],
    ['after:C3', 12, 'again'],
    ['rebound:C3', 0.8, 'pass'],
    ['bulk:C3', 240, 'doubt'],
  ])('%s at %d V: %s', (id, volts, verdict) => {
    expect(judgeReading(stepOf(stepsOf({}), new RegExp(`^${id}$`)), { value: volts, resolution: 0.01 }).verdict).toBe(
      verdict,
    );
  });

  // FORMULAS 12: more than 5.5 V on a standby rail is not joined to anything; under 4.5 V its output is looked at.
  test.each([
    [5.6, 'stop', 'standby-high'],
    [4.4, 'stop', 'standby-dead'],
    [5.05, 'pass', undefined],
  ])('%d V of standby: %s', (volts, verdict, symptom) => {
    const step = stepOf(stepsOf({ kind: 'internal', label: 'INPUT 230V~ OUTPUT 12V 10A +5VSB 2A' }), /^standby/);
    const found = judgeReading(step, { value: volts, resolution: 0.01 });
    expect([found.verdict, found.failing?.symptom]).toEqual([verdict, symptom]);
  });
});

test.each`
  of                                                         | why
  ${{ leaveShut: 'An oven’s high-voltage side kills.' }}     | ${/oven/}
  ${{ label: 'INPUT 3~ 400V~ OUTPUT 24V 20A' }}              | ${/three phases/}
  ${{ stores: [{ ...BULK, role: 'boosted', holds: 2000 }] }} | ${/1000 V/}
  ${{ label: 'INPUT 100-120V~ 2A OUTPUT 12V 5A' }}           | ${/mains here is 230 V/}
  ${{ label: 'INPUT 220-240V~ OUTPUT 12V 5A', mains: 120 }}  | ${/mains here is 120 V/}
  ${{ label: 'OUTPUT 24V 2.5A' }}                            | ${/not known/}
  ${{ stores: [{ ...BULK, role: 'battery', name: 'BT1' }] }} | ${/BT1 is a battery/}
  ${{ stores: [] }}                                          | ${/No store/}
`('no plan is made: $why', ({ of, why }) => {
  const plan = planPowerUp(unit(of as Partial<PowerUpUnit>));
  expect(plan).toMatchObject({ kind: 'none', why: expect.stringMatching(why as RegExp) as unknown });
});

describe('what the circuit allows', () => {
  const ids = (of: Parameters<typeof unit>[0]) => stepsOf(of).map(({ id }) => id);
  const CHIP = { parts: [{ ref: 'U1', kind: 'ic', marking: 'UC3842', pins: {} }] } as unknown as PowerUpUnit['board'];
  test.each`
    of                                                                    | has                                    | lacks
    ${{ topologies: ['flyback'] }}                                        | ${['bench:bulk', 'lamp', 'bulk:C3']}   | ${['bench:supply']}
    ${{ topologies: ['flyback'], board: CHIP }}                           | ${['bench:supply', 'own:U1']}          | ${[]}
    ${{ topologies: ['boost-pfc', 'flyback'] }}                           | ${['lamp']}                            | ${['bench:bulk']}
    ${{ topologies: ['capacitive-dropper'], kind: 'appliance-board' }}    | ${['lamp']}                            | ${['bench:bulk', 'ohms:barrier']}
    ${{ label: 'INPUT 12V DC 2A OUTPUT 5V 3A', kind: 'dc-module' }}       | ${['fed', 'rail:5 V']}                 | ${['lamp', 'ahead', 'lamp-out']}
    ${{ label: 'INPUT 230V~', kind: 'power-controller', stores: [] }}     | ${['knob:set-low', 'knob:low', 'end']} | ${['lamp', 'load:50:24 V']}
    ${{ label: 'CLASS I INPUT 230V~ OUTPUT 12V 2A', kind: 'open-frame' }} | ${['rail:12 V']}                       | ${['ohms:barrier']}
  `('$of', ({ of, has, lacks }) => {
    const found = ids(of as Parameters<typeof unit>[0]);
    expect(found).toEqual(expect.arrayContaining(has as string[]));
    for (const id of lacks as string[]) expect(found).not.toContain(id);
  });

  // Whether hands may come near an output: by its circuits, what it gives, and its kind.
  test.each([
    [{ topologies: ['boost-pfc', 'llc-half-bridge'], kind: 'open-frame' }, true],
    [{ topologies: ['flyback', 'buck'], kind: 'internal', isIsolated: true }, true],
    [{ topologies: ['buck'], kind: 'internal', isIsolated: true }, false],
    [{ topologies: ['flyback'], isIsolated: false }, false],
    [{ topologies: ['flyback'], label: 'INPUT 230V~ OUTPUT 120V 1A' }, false],
    [{ kind: 'open-frame' }, false],
    [{ kind: 'plug-top' }, true],
    [{ kind: 'dc-module', label: 'INPUT 110V DC 2A OUTPUT 24V 3A' }, false],
  ] as const)('%j may be touched: %s', (of, isTouched) => {
    const plan = planPowerUp(unit(of as Parameters<typeof unit>[0]));
    expect(plan.kind === 'steps' && plan.facts.isIsolated).toBe(isTouched);
    expect(plan.kind === 'steps' && plan.steps.some(({ id }) => id.startsWith('load:'))).toBe(isTouched);
  });

  // FORMULAS 12: 17.5 to 20 V for a controller that starts at 16 V, over its start and under its maximum.
  test('a controller is fed between its start and what it stands', () => {
    const { title } = stepOf(stepsOf({ topologies: ['flyback'], board: CHIP }), /^bench:supply$/);
    expect(title.replace(/\u00a0/g, ' ')).toBe('Feed U1 alone, 17.5 V to 20 V');
  });

  // A mains transformer's copper is no short; where the circuit is not known it is not called one either.
  test.each([
    [{ topologies: ['line-transformer'], stores: [OUTPUT] }, 400, 'pass'],
    [{ stores: [OUTPUT] }, 400, 'doubt'],
    [{ topologies: ['flyback'] }, 400, 'stop'],
    [{ topologies: ['line-transformer'], stores: [OUTPUT] }, 0.5, 'stop'],
  ] as const)('%j: %d Ω from L to N is a %s', (of, ohms, verdict) => {
    const step = stepOf(stepsOf(of), /^ohms:inlet/);
    expect(judgeReading(step, { value: ohms, resolution: 0.1 }).verdict).toBe(verdict);
  });

  test('the mains of the bench sets the crest, the lamp and the transformer', () => {
    const [here, there] = [230, 120].map((mains) => stepsOf({ mains }));
    expect(stepOf(there ?? [], /^bulk:C3/).asked?.high).toBeCloseTo(1.1 * 120 * Math.SQRT2, 6);
    expect(stepOf(here ?? [], /^bulk:C3/).asked?.low).toBeGreaterThan(stepOf(there ?? [], /^bulk:C3/).asked?.high ?? 0);
    // At half the volts the same watts are twice the amperes.
    expect(stepOf(there ?? [], /^ahead/).how).not.toBe(stepOf(here ?? [], /^ahead/).how);
  });

  test('two cans in a row share the crest of the mains', () => {
    const row = ['C1', 'C2'].map((name) => ({ ...BULK, name, rated: 200 }));
    const { asked } = stepOf(stepsOf({ stores: row }), /^bulk:C1/);
    expect(asked?.high).toBeCloseTo(0.55 * 230 * Math.SQRT2, 6);
  });
});

// The boards of others, each with the plate it came with: what the simulator finds at an output lies in its window.
test('the windows of rails hold what the simulator finds', () => {
  const outside: string[] = [];
  let seen = 0;
  for (const name of [
    'printer-adapter-24v',
    'tablet-adapter-45w',
    'travel-charger-5v',
    'step-down-5v',
    'rail-supply-24v',
  ]) {
    const board = [...CORPUS, ...OTHER_BOARDS].find((one) => one.name === name)?.board;
    const { input, outputs = [] } = board?.nameplate ?? {};
    if (!board || !input) throw new Error(`There is no plate of ${name}.`);
    const { kind, vMin = 0, vMax = 0 } = input;
    const plate = {
      inputs: [{ kind, vMin, vMax }],
      outputs: outputs.map(({ v, i }) => ({ v, ...(i === undefined ? {} : { i }) })),
    };
    const steps = stepsOf({ plate, board });
    for (const rail of runBoard({ board, known: {} }).stages.flatMap(({ rails }) => rails)) {
      const output = rail.isOwnSupply ? undefined : outputs.find(({ v }) => Math.abs(rail.volts / v - 1) < 0.15);
      if (!output) continue;
      seen += 1;
      const verdict = judgeReading(stepOf(steps, new RegExp(`^rail:${output.v} V$`)), {
        value: rail.volts,
        resolution: 0,
      });
      if (verdict.verdict !== 'pass') outside.push(`${name} ${rail.at} ${rail.volts.toFixed(2)}: ${verdict.says}`);
    }
  }
  expect(outside).toEqual([]);
  expect(seen).toBeGreaterThanOrEqual(5);
});

test('a power-up goes on from its marks; a stop ends its run, a new run begins at the first step', () => {
  const steps = stepsOf({});
  const mark = (step: string, outcome: Mark['outcome'], run = 1): Mark => ({
    id: `${step}${run}`,
    run,
    step,
    text: '',
    outcome,
    createdMs: 0,
  });
  const [first, second, third] = steps.map(({ id }) => id);
  const at = (...marks: Mark[]) => {
    const { state, current } = standingOf(steps, marks);
    return [state, current?.id];
  };
  expect(at()).toEqual(['not-begun', first]);
  expect(at(mark(first ?? '', 'pass'))).toEqual(['running', second]);
  expect(at(mark(first ?? '', 'pass'), mark(second ?? '', 'stop'))).toEqual(['stopped', undefined]);
  expect(at(mark(second ?? '', 'stop'), mark('begin', 'pass', 2), mark(first ?? '', 'pass', 2))).toEqual([
    'running',
    second,
  ]);
  expect(at(...steps.map(({ id }) => mark(id, 'pass')))).toEqual(['passed', undefined]);
  expect(third).toBeDefined();
});
