import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { readBoard, writeBoard } from './board';

const FOLDER = join(__dirname, '../core/topology/fixtures/boards');

test.each(readdirSync(FOLDER).filter((name) => name.endsWith('.json')))(
  '%s is read, written and read again the same',
  (name) => {
    const first = readBoard(readFileSync(join(FOLDER, name), 'utf8'));
    if (!first.ok) throw new Error(`${first.where}: ${first.expected}`);
    expect(first.notes).toEqual([]);
    expect(readBoard(writeBoard(first.board))).toEqual(first);
  },
);

const part = (more: object) => ({
  format: 'zorvek.board/1',
  parts: [{ ref: 'Q1', kind: 'nmos', pins: { G: null, D: 'a', S: 'b' }, ...more }],
});
test.each([
  ['no JSON', '{', 'the file', 'JSON is expected'],
  ['another format', JSON.stringify({ format: 'other', parts: [] }), 'format', 'zorvek.board/1'],
  ['no parts', JSON.stringify({ format: 'zorvek.board/1' }), 'parts', 'expected array'],
  ['an unknown kind', JSON.stringify(part({ kind: 'valve' })), 'parts[0].kind (Q1)', 'nmos'],
  ['a net that is a number', JSON.stringify(part({ pins: { D: 5 } })), 'parts[0].pins.D (Q1)', 'string'],
  [
    'a join to a pin that is not there',
    JSON.stringify({ ...part({}), joined: [['Q1.D', 'Q9.S']] }),
    'joined[0]',
    'Q9.S',
  ],
  [
    'a winding of pins that are not there',
    JSON.stringify(part({ kind: 'transformer', windings: [['8', '9']] })),
    'parts[0].windings',
    '“8”',
  ],
  [
    'a reference twice',
    JSON.stringify({ format: 'zorvek.board/1', parts: [...part({}).parts, ...part({}).parts] }),
    'parts[1].ref',
    'Q1',
  ],
])('%s is an error with its place', (_, content, where, expected) => {
  const file = readBoard(content);
  expect(file).toMatchObject({ ok: false, where });
  expect(!file.ok && file.expected).toContain(expected);
});

test('unknown fields are set aside and named, missing pins are pins not traced', () => {
  const file = readBoard(JSON.stringify({ ...part({ pins: { D: 'a' }, colour: 'red' }), author: 'x' }));
  expect(file).toMatchObject({ ok: true, board: { parts: [{ pins: { G: null, D: 'a', S: null } }] } });
  expect(file.ok && file.notes.join()).toMatch(/author.*colour/);
});
