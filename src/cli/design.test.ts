import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readArguments } from './arguments';
import { design } from './design';

const folder = mkdtempSync(join(tmpdir(), 'zorvek-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const file = (name: string, text: string) => {
  const path = join(folder, name);
  writeFileSync(path, text);
  return path;
};
const STOCK = file(
  'stock.csv',
  `code,kind,subtype,marking,package,pieces,inductance,saturation,dcr,vds,id,rdsOn,vrrm,ifav,capacitance,voltage,esr,ripple
L007,inductor,,,,2,47u,7A,30m,,,,,,,,,
L008,nmos,,,TO-220,2,,,,100V,33A,44m,,,,,,
L009,dual-diode,schottky,,TO-220,2,,,,,,,100V,20A,,,,
L010,capacitor,electrolytic,,radial,6,,,,,,,,,470u,63V,40m,2A
L011,ic,,UC3843AN,DIP-8,1,,,,,,,,,,,,
`,
);
const call = (spec: string, ...more: string[]) =>
  design(readArguments('design', [file('spec.json', spec), STOCK, ...more]), () => undefined);

test('a converter out of a list with codes of its own', () => {
  const answer = call('{"input": {"low": 22, "high": 26}, "output": 48, "current": 1}');
  expect(answer.designs[0]).toMatchObject({
    topology: 'boost',
    parts: { choke: { lot: 'L007' }, switch: { lot: 'L008' }, rectifier: { lot: 'L009' }, output: { lot: 'L010' } },
    controller: { lot: 'L011', family: 'UC3843' },
    missing: [],
  });
  expect(answer.designs[0]?.simulated?.volts).toBeCloseTo(48, 0);
  expect(answer.designs[0]?.controller?.margin).toBeGreaterThan(45);
  expect(answer.designs[0]?.efficiency).toBeGreaterThan(0.9);
  expect(answer.searched).toBeGreaterThan(0);
});

test('an output that floats wants a transformer; none is in the list', () =>
  expect(call('{"input": 24, "output": 12, "current": 1, "isolated": true}').designs).toEqual([]));

test.each([
  ['{"input": 24, "output": 48}', 'current'],
  ['{"input": 24, "output": 72, "current": 1}', 'over 60 V'],
  ['24 to 48', 'JSON is expected'],
])('%s is refused: %s', (spec, why) => {
  expect(() => call(spec)).toThrow(why);
});
