import fc from 'fast-check';
import { BOARD_KINDS, DUAL_DIODE_PINS, type BoardKind, type BoardPart } from '../board';
import {
  analyse,
  Calibration,
  nextProbes,
  powerFactsOf,
  probesAtRandom,
  probesWithAdvice,
  Random,
  rightWhileTraced,
  TRACED_SHARES,
  tracedSoFar,
  type KnownBoard,
} from '.';
import { CORPUS } from './fixtures/corpus';
import { composeBoard } from './fixtures/generator/compose';

const REFERENCE: readonly KnownBoard[] = CORPUS.map(({ board, answer }) => ({ board, truth: answer }));
const composed = (from: number, count: number): readonly KnownBoard[] =>
  Array.from({ length: count }, (_, index) => composeBoard(from + index));

test('at half the facts from the power path outward the likeliest topologies are right in 85 % of the boards', () => {
  const calibration = new Calibration();
  const half = TRACED_SHARES.indexOf(0.5);
  const right = [...REFERENCE, ...composed(9000, 40)].map(
    (entry, index) => rightWhileTraced(entry, 'power', index, calibration)[half],
  );
  expect(right.filter(Boolean).length / right.length).toBeGreaterThanOrEqual(0.85);
}, 120_000);

test('with half of the joins along the power, known here and there, the surest claim is right in 85 % of the boards', () => {
  const right = [...REFERENCE, ...composed(9100, 40)].map(({ board, truth }, index) => {
    const random = new Random(index + 1);
    const power = random.shuffled(powerFactsOf(board, random));
    const [surest] = analyse(tracedSoFar(board, power.slice(0, Math.round(power.length / 2)))).hypotheses;
    return truth.stages.some(
      ({ topology, magnetics }) =>
        topology === surest?.topology &&
        (magnetics.length === 0 || magnetics.some((ref) => surest.magnetics.includes(ref))),
    );
  });
  expect(right.filter(Boolean).length / right.length).toBeGreaterThanOrEqual(0.85);
}, 120_000);

test('probabilities mean what they say: no bin of claims is right a quarter less often than it says', () => {
  const calibration = new Calibration();
  for (const [index, entry] of composed(9300, 60).entries()) {
    rightWhileTraced(entry, 'power', index, calibration);
    rightWhileTraced(entry, 'random', index, calibration);
  }
  for (const { from, to, claims, right } of calibration.table())
    if (claims >= 30 && right !== null) expect(right).toBeGreaterThan((from + to) / 2 - 0.25);
}, 120_000);

/** Enough to tell the median, which lies far below. */
const ADVICE_AT_MOST = 60;

test('following the advice needs at most half the probes of a random order', () => {
  const median = (values: number[]) => values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;
  const boards = composed(9500, 5);
  const advised = median(boards.map((entry) => probesWithAdvice(entry, ADVICE_AT_MOST)));
  const random = median(boards.map((entry, index) => probesAtRandom(entry, index + 1)));
  expect(advised).toBeLessThanOrEqual(random / 2);
}, 240_000);

test('advice asks for pairs that are not known, phrases them, and puts the best first', () => {
  const board = CORPUS.find(({ name }) => name === 'router-adapter-12v')?.board;
  if (!board) throw new Error('the board is missing');
  const partly = {
    ...board,
    parts: board.parts.map((part) =>
      part.kind === 'resistor'
        ? part
        : { ...part, pins: Object.fromEntries(Object.keys(part.pins).map((pin) => [pin, null])) },
    ),
  };
  const { entropy, probes } = nextProbes(partly, 6);
  expect(entropy).toBeGreaterThan(0);
  expect(probes.map(({ gain }) => gain)).toEqual(probes.map(({ gain }) => gain).toSorted((a, b) => b - a));
  for (const { a, b, question } of probes) {
    expect(a).not.toBe(b);
    expect(question).toMatch(/^Does .+ go straight to .+\?$/);
  }
  expect(nextProbes(board, 5).probes.every(({ gain }) => gain >= 0)).toBe(true);
});

test('stages without a magnetic anchor are suggested by their parts before any probe, and only where they are', () => {
  const anchorless = ['phase-control', 'capacitive-dropper'];
  for (const { name, board, answer } of CORPUS) {
    const { likeliest } = analyse(tracedSoFar(board, []));
    const suggested = likeliest.filter((topology) => anchorless.includes(topology));
    const really = answer.stages.map(({ topology }) => topology).filter((topology) => anchorless.includes(topology));
    expect({ name, extra: suggested.filter((topology) => !really.includes(topology)) }).toEqual({ name, extra: [] });
    if (name === 'wall-dimmer-300' || name === 'room-thermostat') expect(suggested).toEqual(really);
  }
});

/** Parts of any kind on nets by chance: no circuit, whatever it looks like. */
const KINDS = Object.keys(BOARD_KINDS) as BoardKind[];
const randomPart = (index: number) =>
  fc
    .tuple(fc.constantFrom(...KINDS), fc.array(fc.integer({ min: 0, max: 14 }), { minLength: 8, maxLength: 8 }))
    .map(([kind, nets]): BoardPart => {
      const own = BOARD_KINDS[kind].pins;
      const pins =
        own.length > 0 ? own : kind === 'dual-diode' ? (DUAL_DIODE_PINS['common-cathode'] ?? []) : ['1', '2', '3', '4'];
      return {
        ref: `P${index}`,
        kind,
        pins: Object.fromEntries(pins.map((pin, at) => [pin, `n${nets[at] ?? 0}`])),
        ...(kind === 'transformer'
          ? {
              windings: [
                ['1', '2'],
                ['3', '4'],
              ],
            }
          : {}),
      };
    });

const byChance = fc
  .integer({ min: 3, max: 24 })
  .chain((size) => fc.tuple(...Array.from({ length: size }, (_, index) => randomPart(index))));

test('boards by chance never crash the analysis, and no stage is claimed on them', () => {
  fc.assert(
    fc.property(byChance, (parts) => {
      const { stages, hypotheses } = analyse({ parts });
      expect(stages).toEqual([]);
      expect(hypotheses.every(({ topology }) => topology !== 'none')).toBe(true);
      nextProbes({ parts }, 2);
    }),
    { seed: 11, numRuns: 400 },
  );
});

test('on boards by chance with an inlet and an output some circuit stands by chance in fewer than one of ten', () => {
  const roles = ['mains-inlet', 'dc-input', 'output'];
  let claimed = 0;
  fc.assert(
    fc.property(byChance, (parts) => {
      const named = [
        ...parts.map((part, index) =>
          part.kind === 'connector' ? { ...part, role: roles[index % 3] ?? 'output' } : part,
        ),
        ...roles.map((role, index): BoardPart => ({
          ref: `J${index}`,
          kind: 'connector',
          role,
          pins: { 1: `n${index}`, 2: `n${index + 3}` },
        })),
      ];
      if (analyse({ parts: named }).stages.some(({ probability }) => probability > 0.5)) claimed += 1;
    }),
    { seed: 12, numRuns: 400 },
  );
  expect(claimed).toBeLessThan(40);
});
