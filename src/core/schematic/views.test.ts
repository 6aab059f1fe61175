import { analyse } from '../topology';
import { BOARD_SETS } from '../topology/fixtures/leftOut';
import { Annotator, drawSchematic, firstView, PAPERS, sheetSvg, type Schematic } from '.';

const NAMES = ['printer-adapter-24v', 'recorder-supply'];
const ANALYSES = BOARD_SETS.reference
  .filter(({ name }) => NAMES.includes(name))
  .map(({ name, board }) => [name, board, analyse(board)] as const);
const refsOf = ({ symbols }: Schematic) => symbols.map(({ ref }) => ref);

test.each(ANALYSES)('%s: the control folds into a box for each chip, and unfolds', (_, board, analysis) => {
  const { schematic, blocks } = drawSchematic(analysis, { view: { kind: 'folded', unfolded: [] } });
  const within = new Set(blocks.flatMap(({ refs }) => refs));
  expect(blocks.length).toBeGreaterThan(0);
  expect(within.size).toBe(blocks.flatMap(({ refs }) => refs).length);
  expect(refsOf(schematic).toSorted()).toEqual(
    [
      ...board.parts.map(({ ref }) => ref).filter((ref) => !within.has(ref)),
      ...blocks.map(({ title }) => title),
    ].toSorted(),
  );
  expect(schematic.symbols.filter(({ isBlock }) => isBlock).map(({ ref }) => ref)).toEqual(
    expect.arrayContaining(blocks.map(({ title }) => title)),
  );
  // A box has a pin, with its wire or sign, for each net that goes out of it, and for no other.
  const { nets } = analysis.recognition.model;
  for (const { title, refs } of blocks) {
    const crossing = Array.from({ length: nets.count }, (_unused, net) => net).filter((net) => {
      const on = nets.pins[net] ?? [];
      return on.some(({ part }) => refs.includes(part.ref)) && on.some(({ part }) => !refs.includes(part.ref));
    });
    const box = schematic.symbols.find(({ ref }) => ref === title);
    const atPins = (box?.symbol.pins ?? []).map(({ x, y }) => {
      const at = { x: x + (box?.at.x ?? 0), y: y + (box?.at.y ?? 0) };
      return schematic.wires.find(({ points }) => points.some((point) => point.x === at.x && point.y === at.y))?.net;
    });
    expect(atPins.toSorted()).toEqual(crossing.toSorted());
    const words = box?.symbol.shapes.flatMap((shape) => ('text' in shape ? [shape.text] : [])) ?? [];
    expect(new Set(words).size).toBe(words.length);
  }
  const [first] = blocks;
  const unfolded = drawSchematic(analysis, { view: { kind: 'folded', unfolded: [first?.title ?? ''] } });
  expect(refsOf(unfolded.schematic)).toEqual(expect.arrayContaining([...(first?.refs ?? [])]));
});

test.each(ANALYSES)('%s: what carries power and what crosses the barrier is never folded', (_, board, analysis) => {
  const { blocks } = drawSchematic(analysis, { view: { kind: 'folded', unfolded: [] } });
  const within = new Set(blocks.flatMap(({ refs }) => refs));
  const carrying = analysis.stages.flatMap(({ switches, rectifiers, magnetics }) => [
    ...switches,
    ...rectifiers,
    ...magnetics,
  ]);
  const crossing = board.parts.filter(({ kind }) => kind === 'optocoupler').map(({ ref }) => ref);
  expect([...carrying, ...analysis.bulk, ...crossing].filter((ref) => within.has(ref))).toEqual([]);
});

test.each(ANALYSES)(
  '%s: every part is on one section, and a name says the same on each of their sheets',
  (_, board, analysis) => {
    const { sections } = drawSchematic(analysis);
    const all = sections.flatMap(({ refs }) => refs);
    expect(all.toSorted()).toEqual(board.parts.map(({ ref }) => ref).toSorted());
    const nets = new Map<string, Set<number>>();
    for (const { id, refs } of sections) {
      const { schematic } = drawSchematic(analysis, { view: { kind: 'section', id } });
      expect(refsOf(schematic).toSorted()).toEqual([...refs].toSorted());
      for (const { kind, text, net } of schematic.labels)
        if (kind === 'name' || kind === 'supply') nets.set(text, (nets.get(text) ?? new Set()).add(net));
    }
    expect([...nets].filter(([, own]) => own.size > 1).map(([name]) => name)).toEqual([]);
  },
);

test('parts that nothing reaches have a sheet of their own', () => {
  const [, board] = ANALYSES[0] ?? [];
  if (!board) throw new Error('the board is missing');
  const stray = { ref: 'R999', kind: 'resistor', pins: { '1': null, '2': null } } as const;
  const { sections } = drawSchematic(analyse({ ...board, parts: [...board.parts, stray] }));
  expect(sections.at(-1)).toEqual({ id: 'rest', title: 'Other parts', refs: ['R999'] });
});

test('a box says how many pins within it are not traced', () => {
  const [, board, analysis] = ANALYSES[0] ?? [];
  if (!board || !analysis) throw new Error('the board is missing');
  const view = { kind: 'folded', unfolded: [] } as const;
  const [block] = drawSchematic(analysis, { view }).blocks;
  const lifted = board.parts.find(({ ref, kind }) => kind === 'capacitor' && block?.refs.includes(ref));
  if (!lifted) throw new Error('no capacitor is folded');
  const [pin = ''] = Object.keys(lifted.pins);
  const open = {
    ...board,
    complete: false,
    parts: board.parts.map((part) => (part === lifted ? { ...part, pins: { ...part.pins, [pin]: null } } : part)),
  };
  const { schematic } = drawSchematic(analyse(open), { view });
  const captions = schematic.symbols
    .filter(({ isBlock }) => isBlock)
    .map(({ caption }) => caption.lines.map(({ text }) => text).join(' '));
  expect(captions.join()).toMatch(/ parts, \d+ open/);
});

test('boards of up to forty parts open whole', () => {
  expect([40, 41].map((parts) => firstView(parts).kind)).toEqual(['whole', 'folded']);
});

test('a sheet has the size of its paper, a frame, and says whose board it is, whatever letters that has', () => {
  const [, , analysis] = ANALYSES[0] ?? [];
  if (!analysis) throw new Error('the board is missing');
  const { schematic } = drawSchematic(analysis);
  for (const paper of ['A4', 'A3'] as const) {
    const svg = sheetSvg(schematic, paper, {
      title: 'Tarn & <Sons>',
      section: 'the whole board',
      lines: ['K7F-2QM'],
      number: 2,
      of: 3,
    });
    expect(svg).toContain(`width="${PAPERS[paper].width}mm" height="${PAPERS[paper].height}mm"`);
    expect(svg).toContain('Tarn &amp; &lt;Sons&gt;');
    expect(svg).toContain('sheet 2 of 3');
    // The drawing stays within the frame and over the title block.
    const [, x, y, width, height] = /<svg x="([\d.]+)" y="([\d.]+)" width="([\d.]+)" height="([\d.]+)"/.exec(svg) ?? [];
    expect(Number(x)).toBeGreaterThan(10);
    expect(Number(x) + Number(width)).toBeLessThan(PAPERS[paper].width - 10);
    expect(Number(y) + Number(height)).toBeLessThan(PAPERS[paper].height - 34);
  }
});

test('marks and tags stand beside what they speak of, and on nothing', () => {
  for (const [, , analysis] of ANALYSES) {
    const { schematic } = drawSchematic(analysis, { view: { kind: 'folded', unfolded: [] } });
    const free = new Annotator(schematic);
    const marks = refsOf(schematic)
      .slice(0, 20)
      .map((ref) => free.markAt(ref));
    expect(marks.every((mark) => mark !== undefined)).toBe(true);
    const clear = marks.filter((mark) =>
      schematic.symbols.every(({ at, symbol: { body } }) => {
        const { x, y } = mark ?? { x: 0, y: 0 };
        return (
          x + 8 <= at.x + body.left ||
          x - 8 >= at.x + body.right ||
          y + 8 <= at.y + body.top ||
          y - 8 >= at.y + body.bottom
        );
      }),
    );
    expect(clear.length).toBeGreaterThan(17);
    const power = schematic.wires.find(({ isPower }) => isPower);
    const tag = free.tagOn(power?.net ?? -1, '325 V');
    expect(tag?.text).toBe('325 V');
    const { box } = tag ?? { box: { left: 0, right: 0, top: 0, bottom: 0 } };
    expect(
      schematic.symbols.filter(
        ({ at, symbol: { body } }) =>
          box.left < at.x + body.right &&
          at.x + body.left < box.right &&
          box.top < at.y + body.bottom &&
          at.y + body.top < box.bottom,
      ),
    ).toEqual([]);
  }
  expect(
    new Annotator({ width: 10, height: 10, symbols: [], wires: [], labels: [], dots: [], title: '' }).markAt('R1'),
  ).toBeUndefined();
});
