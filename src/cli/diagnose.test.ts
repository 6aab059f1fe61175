import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readArguments } from './arguments';
import { diagnoseFile } from './diagnose';

const folder = mkdtempSync(join(tmpdir(), 'zorvek-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const call = (content: string) => {
  const path = join(folder, 'case.json');
  writeFileSync(path, content);
  return diagnoseFile(readArguments('diagnose', [path]), () => undefined);
};

test('a complaint has its causes and the next checks', () => {
  const answer = call(
    JSON.stringify({
      unit: { kind: 'desk-brick', power: 60 },
      board: { format: 'zorvek.board/1', parts: [{ ref: 'Q7', kind: 'nmos', pins: { G: null, D: null, S: null } }] },
      topologies: ['flyback'],
      symptom: 'fuse-blown',
      observations: [
        { ref: 'Q1', test: 'diode-mode', pins: ['D', 'S'], value: 0.002 },
        { rail: '12V', volts: 0 },
      ],
    }),
  );
  expect(answer.causes[0]).toMatchObject({ cause: 'switch-shorted', parts: ['Q1'] });
  expect(answer.next[0]).toMatchObject({ power: 'off', minutes: expect.any(Number), gain: expect.any(Number) });
});

test.each([
  ['no', /JSON is expected/u],
  ['{"symptom": "sad"}', /symptom/u],
  ['{"symptom": "dead", "observations": [{"volts": "a lot"}]}', /observations\.0\.volts/u],
])('%s is refused with its place', (content, wanted) => expect(() => call(content)).toThrow(wanted));
