import fc from 'fast-check';
import { neutralised } from '../table';
import { planImport, readTypeTable, typeTable, type KnownTypes, type TypeEntry } from '.';

const HEADING = ['kind', 'name', 'aliases', 'vds', 'id', 'rdsOn', 'note', 'source'];
const row = (...cells: string[]) => readTypeTable([HEADING, cells]);

describe('a row of a table', () => {
  test.each`
    cells                                                        | entry                                                                                                                            | why
    ${['nmos', 'irf840', '', '500V', '8', '0R85', '', '']}       | ${{ kind: 'nmos', name: 'IRF840', ratings: { vds: { value: 500, source: 'typed' }, id: { value: 8 }, rdsOn: { value: 0.85 } } }} | ${'shorthand, typed unless a source is said'}
    ${['mosfet', 'X1', 'a, B;a', '', '', '', '', '']}            | ${{ kind: 'nmos', name: 'X1', aliases: ['A', 'B'], ratings: {} }}                                                                | ${'a word for the kind, aliases once each'}
    ${['nmos', 'X1', '', '650 V; decoded', '', '', '', '']}      | ${{ ratings: { vds: { value: 650, source: 'decoded' } } }}                                                                       | ${'a source of its own'}
    ${['nmos', 'X1', '', '650; datasheet p. 3', '', '', '', '']} | ${{ ratings: { vds: { value: 650, source: 'datasheet', page: 3 } } }}                                                            | ${'the page'}
    ${['nmos', 'X1', '', '650; page 12', '', '', '', 'typical']} | ${{ ratings: { vds: { source: 'typical', page: 12 } } }}                                                                         | ${'the row’s source'}
    ${['nmos', 'X1', '', '', '', '', "'=1+1", '']}               | ${{ note: '=1+1' }}                                                                                                              | ${'the mark against formulas is taken off'}
  `('$cells ($why)', ({ cells, entry }) => {
    const { read, refused } = row(...(cells as string[]));
    expect(refused).toEqual([]);
    expect(read[0]?.entry).toMatchObject(entry);
  });

  test.each`
    cells                                                | names                | why
    ${['', 'X1', '', '', '', '', '', '']}                | ${'Kind “”'}         | ${'no kind'}
    ${['nmos', '', '', '', '', '', '', '']}              | ${'name is missing'} | ${'no name'}
    ${['gizmo', 'X1', '', '', '', '', '', '']}           | ${'“gizmo”'}         | ${'unknown kind'}
    ${['nmos', 'X1', '', 'high', '', '', '', '']}        | ${'“high”'}          | ${'no voltage'}
    ${['capacitor', 'X1', '', '650', '', '', '', '']}    | ${'“vds”'}           | ${'a rating of another kind'}
    ${['nmos', 'X1', '', '650', '', '', '', 'hearsay']}  | ${'“hearsay”'}       | ${'unknown source'}
    ${['nmos', 'X1', '', '650', '', '', '', 'measured']} | ${'one part’s own'}  | ${'a measurement'}
    ${['nmos', 'X'.repeat(61), '', '', '', '', '', '']}  | ${'61'}              | ${'too long'}
  `('is refused: $why', ({ cells, names }) => {
    const { read, refused } = row(...(cells as string[]));
    expect(read).toEqual([]);
    expect(refused).toMatchObject([{ line: 2, why: expect.stringContaining(names) }]);
  });

  test('a second line of the same type, a heading without a name, a strange column', () => {
    const twice = readTypeTable([
      ['kind', 'name'],
      ['nmos', 'X1'],
      ['', ''],
      ['nmos', 'x1'],
    ]);
    expect(twice.refused).toMatchObject([{ line: 4, why: expect.stringContaining('Line 2') }]);
    expect(readTypeTable([['kind'], ['nmos']]).refused).toMatchObject([
      { line: 1, why: expect.stringContaining('“name”') },
    ]);
    expect(
      readTypeTable([
        ['kind', 'name', 'colour'],
        ['nmos', 'X1', 'red'],
      ]),
    ).toMatchObject({
      read: [{ line: 2 }],
      refused: [{ what: 'colour' }],
    });
    expect(readTypeTable([]).refused).toHaveLength(1);
  });
});

const type = (name: string, more: Partial<TypeEntry> = {}): TypeEntry => ({
  kind: 'nmos',
  name,
  aliases: [],
  technology: '',
  package: '',
  note: '',
  ratings: {},
  ...more,
});

describe('what an import would do', () => {
  const present = type('IRF840', { aliases: ['F840'], ratings: { vds: { value: 500, source: 'datasheet' } } });
  const known: KnownTypes = {
    find: (kind, name) => (kind === 'nmos' && name === 'IRF840' ? present : undefined),
    ownerOf: (kind, alias) => (kind === 'nmos' && alias === 'F840' ? 'IRF840' : undefined),
  };
  const plan = (entry: TypeEntry) => planImport({ read: [{ line: 2, entry }], refused: [] }, known);

  test.each`
    entry                                                                        | action      | message
    ${type('NEW1')}                                                              | ${'add'}    | ${''}
    ${type('IRF840')}                                                            | ${'same'}   | ${''}
    ${type('IRF840', { ratings: { vds: { value: 500, source: 'datasheet' } } })} | ${'same'}   | ${''}
    ${type('IRF840', { ratings: { vds: { value: 550, source: 'datasheet' } } })} | ${'change'} | ${'becomes'}
    ${type('IRF840', { ratings: { vds: { value: 600, source: 'decoded' } } })}   | ${'same'}   | ${'stronger'}
    ${type('IRF840', { ratings: { id: { value: 8, source: 'decoded' } } })}      | ${'change'} | ${'8 A'}
    ${type('IRF840', { aliases: ['F840', 'F841'] })}                             | ${'change'} | ${'F841'}
    ${type('IRF840', { note: 'old stock' })}                                     | ${'change'} | ${'old stock'}
  `('$entry.name $entry.ratings: $action', ({ entry, action, message }) => {
    const [row] = plan(entry).planned;
    expect(row?.action).toBe(action);
    expect((row?.message ?? []).join(' ').replace(/\u00a0/g, ' ')).toContain(message);
  });

  test('another type’s marking is refused', () => {
    expect(plan(type('F840'))).toMatchObject({ planned: [], refused: [{ why: expect.stringContaining('IRF840') }] });
    expect(plan(type('NEW1', { aliases: ['F840'] }))).toMatchObject({
      refused: [{ why: expect.stringContaining('“F840”') }],
    });
  });
});

test('what is written is read back the same, and no cell begins a formula', () => {
  const texts = fc.stringMatching(/^[A-Z0-9=+@' -]{0,8}$/).map((text) => text.trim());
  const entries = fc.uniqueArray(
    fc.record({
      name: fc.stringMatching(/^[A-Z0-9]{1,8}$/),
      note: texts,
      vds: fc.option(fc.integer({ min: 1, max: 2000 }), { nil: undefined }),
      page: fc.option(fc.integer({ min: 1, max: 99 }), { nil: undefined }),
    }),
    { selector: ({ name }) => name, maxLength: 8 },
  );
  fc.assert(
    fc.property(entries, (drawn) => {
      const types = drawn.map(({ name, note, vds, page }) =>
        type(name, {
          note: note.replace(/^[' ]+/, ''),
          ratings: vds === undefined ? {} : { vds: { value: vds, source: 'typical', ...(page ? { page } : {}) } },
        }),
      );
      const table = typeTable(types);
      for (const cell of table.flat()) expect(cell).not.toMatch(/^[=+\-@]/);
      const { read, refused } = readTypeTable(table);
      expect(refused).toEqual([]);
      expect(read.map(({ entry }) => entry)).toEqual(types);
    }),
    { seed: 3, numRuns: 200 },
  );
  expect(neutralised('=1+1')).toBe("'=1+1");
});
