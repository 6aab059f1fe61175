import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readArguments, UnusableInput } from './arguments';
import { analyseFile, convertFile, probeFile, schematicFile } from './board';

const BOARDS = join(__dirname, '../core/topology/fixtures/boards');
const line = (command: string, ...words: string[]) => readArguments(command, words);
const notes: string[] = [];
const note = (text: string) => void notes.push(text);
const file = (content: string) => {
  const path = join(mkdtempSync(join(tmpdir(), 'zorvek-cli-')), 'board.json');
  writeFileSync(path, content);
  return path;
};
beforeEach(() => notes.splice(0));

test('analyse gives the fields of the contract, lists sorted, and never the inner model', () => {
  const answer = analyseFile(line('analyse', join(BOARDS, 'weld-control-aux.json')), note);
  expect(Object.keys(answer).toSorted()).toEqual([
    'bulk',
    'findings',
    'hypotheses',
    'isolation',
    'likeliest',
    'limits',
    'sides',
    'stages',
  ]);
  expect(answer.stages[0]).toMatchObject({
    topology: 'two-switch-flyback',
    switches: ['Q201', 'Q202'],
    rectifiers: ['D301', 'D302'],
  });
  expect(answer.isolation.crossing).toEqual(['C312', 'PC301', 'TR301']);
  expect(answer.findings[0]).toMatchObject({ rule: 'barrier-breach', severity: 'danger', parts: ['C312'] });
  expect(answer.sides['Q201.D']).toBe('mains');
});

test('probe gives pairs with a gain and a question, as many as were asked for', () => {
  const { probes } = probeFile(line('probe', join(BOARDS, 'printer-adapter-24v.json'), '--count', '3'), note);
  expect(probes.length).toBeLessThanOrEqual(3);
  expect(() => probeFile(line('probe', join(BOARDS, 'printer-adapter-24v.json'), '--count', 'x'), note)).toThrow('“x”');
});

test('a board goes to SPICE and CSV and back, and what is lost is named', () => {
  const spice = convertFile(line('convert', join(BOARDS, 'step-down-5v.json'), '--to', 'spice'), note);
  expect(notes.join()).toContain('lost in spice');
  const back = convertFile(line('convert', file(spice), '--to', 'board'), note);
  expect(JSON.parse(back)).toMatchObject({ format: 'zorvek.board/1' });
  expect(convertFile(line('convert', file(back), '--to', 'csv'), note)).toContain('ref,kind,pin,net');
  expect(schematicFile(line('schematic', join(BOARDS, 'step-down-5v.json')), note)).toContain('<svg');
});

test.each([
  ['no file', () => analyseFile(line('analyse'), note), 'one file is expected'],
  ['a file that is not there', () => analyseFile(line('analyse', '/nowhere/x.json'), note), '/nowhere/x.json'],
  ['no board', () => analyseFile(line('analyse', file('{"format":"zorvek.board/1","parts":5}')), note), 'parts'],
  ['no target', () => convertFile(line('convert', 'x', '--to', 'pdf'), note), '“pdf”'],
  [
    'an empty netlist',
    () => convertFile(line('convert', file('* nothing'), '--to', 'board'), note),
    'no part was found',
  ],
])('%s is named', (_, run, message) => {
  expect(run).toThrow(UnusableInput);
  expect(run).toThrow(message);
});
