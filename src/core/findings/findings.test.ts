import type { Board } from '../board';
import { CORPUS } from '../topology/fixtures/corpus';
import { composeBoard } from '../topology/fixtures/generator/compose';
import { reversals } from '../topology/fixtures/generator/mutate';
import { plantedFaults } from '../topology/fixtures/generator/plant';
import { recognise } from '../topology';
import { FAULT_RULES, FINDING_RULES, findingsOf } from '.';

const faultsOf = (board: Board) => findingsOf(recognise(board)).filter(({ rule }) => FAULT_RULES.has(rule));

const lines = (findings: readonly { rule: string; parts: readonly string[] }[]) =>
  findings.map(({ rule, parts }) => `${rule} ${parts.toSorted().join(' ')}`).toSorted();

test.each(CORPUS.map((entry) => [entry.name, entry] as const))(
  '%s: its faults and no others',
  (_, { board, answer }) => {
    expect(lines(faultsOf(board))).toEqual(lines(answer.faults));
  },
);

test('every finding says what is wrong with which part and what to do; every rule has a source', () => {
  for (const { board } of CORPUS)
    for (const { message, advice, parts } of findingsOf(recognise(board))) {
      expect(parts.some((ref) => message.includes(ref))).toBe(true);
      expect(advice.length).toBeGreaterThan(20);
    }
  expect(FINDING_RULES.every(({ source }) => source.length > 10)).toBe(true);
});

test('200 composed boards without a fault: under 2 % have a finding', () => {
  const wrong = Array.from({ length: 200 }, (_, index) => lines(faultsOf(composeBoard(3000 + index).board))).filter(
    (found) => found.length > 0,
  );
  expect(wrong.length).toBeLessThan(4);
});

test('of single reversed diodes, capacitors and bridges at least 90 % are found, with under 2 % more findings', () => {
  const counts = new Map<string, { all: number; found: number }>();
  let [others, all] = [0, 0];
  for (let seed = 4000; seed < 4050; seed += 1)
    for (const { rule, ref, board } of reversals(composeBoard(seed).board)) {
      const findings = faultsOf(board);
      const count = counts.get(rule) ?? { all: 0, found: 0 };
      counts.set(rule, count);
      count.all += 1;
      all += 1;
      if (findings.some((finding) => finding.rule === rule && finding.parts.includes(ref))) count.found += 1;
      if (findings.some((finding) => !finding.parts.includes(ref))) others += 1;
    }
  for (const { all: most, found } of counts.values()) expect(found / most).toBeGreaterThanOrEqual(0.9);
  expect(others / all).toBeLessThan(0.02);
}, 60_000);

test('planted faults of the other rules are found on at least 95 % of the boards', () => {
  const boards = [
    // An active clamp's capacitor and its bleeder are no snubber, by the conventions of the reference boards.
    ...CORPUS.filter(({ name }) => name !== 'tablet-adapter-45w').map(({ board }) => board),
    ...Array.from({ length: 20 }, (_, index) => composeBoard(100 + index).board),
  ];
  const missed: string[] = [];
  let all = 0;
  for (const board of boards)
    for (const fault of plantedFaults(board)) {
      all += 1;
      if (!faultsOf(fault.board).some(({ rule, parts }) => rule === fault.rule && parts.includes(fault.ref)))
        missed.push(`${board.title ?? ''}: ${fault.rule} ${fault.ref}`);
    }
  expect(all).toBeGreaterThan(150);
  expect(missed.length / all <= 0.05 ? [] : missed).toEqual([]);
}, 60_000);

test('a board traced in part gets no finding that rests on what is not known', () => {
  for (const { board } of CORPUS) {
    const untraced = {
      ...board,
      parts: board.parts.map((part) => ({
        ...part,
        pins: Object.fromEntries(Object.keys(part.pins).map((pin) => [pin, null])),
      })),
    };
    // A rank is read off the part, whatever it is joined to.
    const findings = findingsOf(recognise(untraced)).filter(({ rule }) => rule !== 'optocoupler-rank');
    expect(findings).toEqual([]);
  }
});

describe('remarks', () => {
  const found = (name: string, change: (board: Board) => Board = (board) => board) => {
    const entry = CORPUS.find((board) => board.name === name);
    if (!entry) throw new Error(`no board ${name}`);
    return findingsOf(recognise(change(entry.board)));
  };
  const has = (findings: ReturnType<typeof found>, rule: string) => findings.find((finding) => finding.rule === rule);

  // 2 pi 60 Hz x 2.2 nF x 240 V = 0.199 mA; with 4.7 nF 0.425 mA, shown as 430 µA.
  test('Y capacitors are held against the touch current of a unit without earth', () => {
    expect(has(found('printer-adapter-24v'), 'touch-current')).toBeUndefined();
    const larger = found('printer-adapter-24v', (board) => ({
      ...board,
      parts: board.parts.map((part) => (part.ref === 'CY301' ? { ...part, value: { capacitance: 4.7e-9 } } : part)),
    }));
    expect(has(larger, 'touch-current')?.message.replace(/\u00a0/g, ' ')).toContain('430 µA');
    expect(has(found('desktop-supply-450'), 'touch-current')).toBeUndefined();
  });

  test('an output is said to float, or to hang on earth', () => {
    expect(has(found('printer-adapter-24v'), 'output-reference')?.message).toContain('floats');
    expect(has(found('desktop-supply-450'), 'output-reference')?.message).toContain('tied to the protective earth');
    expect(has(found('step-down-5v'), 'output-reference')).toBeUndefined();
  });

  test('a missing varistor and a missing inrush limiter are remarked, and empty footprints named', () => {
    expect(has(found('printer-adapter-24v'), 'bare-input')).toBeUndefined();
    const bare = found('printer-adapter-24v', (board) => ({
      ...board,
      parts: board.parts.map((part) =>
        part.kind === 'varistor' || part.kind === 'thermistor'
          ? { ref: part.ref, kind: 'fuse' as const, pins: part.kind === 'varistor' ? { 1: 'a9', 2: 'b9' } : part.pins }
          : part.ref === 'C306'
            ? { ...part, fitted: false as const }
            : part,
      ),
    }));
    expect(has(bare, 'bare-input')?.message).toMatch(/no varistor.*inrush/);
    expect(has(bare, 'empty-footprints')?.parts).toEqual(['C306']);
  });

  test('grounds of both sides in one net are a danger where an optocoupler keeps them apart', () => {
    expect(has(found('printer-adapter-24v'), 'confused-grounds')).toBeUndefined();
    const joined = found('printer-adapter-24v', (board) => {
      const output = board.parts.find(({ role }) => role === 'output');
      const bridge = board.parts.find(({ kind }) => kind === 'bridge');
      const ground = board.parts.find(({ kind }) => kind === 'shunt-reference')?.pins.A;
      const pin = Object.entries(output?.pins ?? {}).find(([, net]) => net === ground)?.[0] ?? '';
      return { ...board, joined: [[`${output?.ref ?? ''}.${pin}`, `${bridge?.ref ?? ''}.-`]] };
    });
    expect(has(joined, 'confused-grounds')?.message).toContain('the return of the mains side');
  });

  test.each([
    ['PC817C 2146', 'is of rank C: it passes 200 to 400 %'],
    ['817-A', 'is of rank A: it passes 80 to 160 %'],
    ['817B', 'is of rank B: it passes 130 to 260 %'],
    ['PC817', 'shows no rank'],
    ['4N35', undefined],
  ])('optocoupler marked %s: %s', (marking, message) => {
    const remarks = found('printer-adapter-24v', (board) => ({
      ...board,
      parts: board.parts.map((part) => (part.kind === 'optocoupler' ? { ...part, marking } : part)),
    }));
    const rank = has(remarks, 'optocoupler-rank')?.message;
    expect(rank?.includes(message ?? 'rank')).toBe(message === undefined ? undefined : true);
  });

  test.each([
    ['slot under the optocoupler bridged by solder', true],
    ['the creepage cut-out is full of carbon', true],
    ['slot is clean, not bridged', false],
    ['burnt varistor', false],
  ])('“%s”: a bridged slot %s', (note, isFound) => {
    const findings = found('printer-adapter-24v', (board) => ({ ...board, notes: [note] }));
    expect(has(findings, 'bridged-slot') !== undefined).toBe(isFound);
  });

  test('two diodes side by side are remarked', () => {
    const twin = found('router-adapter-12v', (board) => ({
      ...board,
      parts: [...board.parts, { ...(board.parts.find(({ ref }) => ref === 'D304') ?? board.parts[0]!), ref: 'D399' }],
    }));
    expect(has(twin, 'shared-rectifiers')?.parts).toEqual(['D304', 'D399']);
  });
});
