import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readArguments } from './arguments';
import { match } from './match';

const folder = mkdtempSync(join(tmpdir(), 'zorvek-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const file = (name: string, text: string) => {
  const path = join(folder, name);
  writeFileSync(path, text);
  return path;
};
const STOCK = file(
  'stock.csv',
  `code,kind,subtype,technology,package,grade,pieces,vds,rdsOn,id,capacitance,voltage,esr,temperature,resistance,power,vrrm,ifav
Q100,nmos,,,TO-220,A,4,100V,28m,40A,,,,,,,,
Q650,nmos,,,TO-220FP,A,2,650V,0R7,12A,,,,,,,,
Q60,nmos,,,TO-220,B,3,60V,0R2,3A,,,,,,,,
C470,capacitor,electrolytic,,,A,4,,,,470u,63V,80m,105,,,,
C330,capacitor,electrolytic,,,A,4,,,,330u,250V,0R2,105,,,,
R470,resistor,,,,A,10,,,,,,,,470,2W,,
R560,resistor,,,,A,10,,,,,,,,560,2W,,
D100,diode,schottky,,TO-220,A,2,,,,,,,,,,100V,10A
D1000,diode,rectifier,,DO-41,A,9,,,,,,,,,,1000V,1A
`,
);
const call = (need: unknown, ...more: string[]) =>
  match(
    readArguments('match', [file('need.json', typeof need === 'string' ? need : JSON.stringify(need)), STOCK, ...more]),
    () => undefined,
  );
const verdicts = (need: unknown) => Object.fromEntries(call(need).matches.map(({ lot, verdict }) => [lot, verdict]));

test.each<[string, unknown, Record<string, string>]>([
  [
    'a FET by its duty',
    { kind: 'nmos', duty: { voltage: 57, current: 2.6, frequency: 3e4, temperature: 45 } },
    { Q100: 'good', Q650: 'limits', Q60: 'limits' },
  ],
  ['the same in words', { need: 'nmos for 57V 2.6A 30kHz 45C' }, { Q100: 'good', Q650: 'limits', Q60: 'limits' }],
  ['beyond what some stand', { kind: 'nmos', stress: { voltage: 90 } }, { Q100: 'limits', Q650: 'good', Q60: 'no' }],
  ['a rectifier by its speed', { need: 'diode for 57V 0.8A 100kHz' }, { D100: 'good', D1000: 'no' }],
  [
    'a value with a duty',
    { kind: 'capacitor', technology: 'electrolytic', value: { capacitance: 470e-6 }, duty: { voltage: 50, ripple: 1 } },
    { C470: 'good', C330: 'no' },
  ],
  [
    'a need within an object, its duty beside its kind',
    { need: { kind: 'nmos', voltage: 90 } },
    { Q100: 'limits', Q650: 'good', Q60: 'no' },
  ],
  ['a duty in words', { kind: 'nmos', duty: '90V' }, { Q100: 'limits', Q650: 'good', Q60: 'no' }],
  ['ratings at least', { kind: 'nmos', ratings: { vds: 600, rdsOn: 0.8 } }, { Q650: 'good', Q100: 'no', Q60: 'no' }],
])('%s', (_, need, expected) => expect(verdicts(need)).toEqual(expected));

test('checks carry their name, their margin over the usual share, and a sentence; the best score comes first', () => {
  const { matches } = call({ need: 'nmos for 57V 2.6A' });
  expect(matches[0]).toMatchObject({ lot: 'Q100', pieces: 4 });
  // 0.8 · 100 V over 57 V.
  expect(matches[0]?.checks.find(({ name }) => name === 'voltage')).toMatchObject({ ok: true, margin: 0.404 });
  const scores = matches.map(({ score }) => score);
  expect(scores).toEqual(scores.toSorted((a, b) => b - a));
});

test.each<[string, string, string]>([
  ['electrolytic 1000u for 40V', 'parallel', '2 C470'],
  ['electrolytic 165u for 350V', 'series', '2 C330'],
  ['resistor 1k for 1W', 'series', '1 R470 1 R560'],
  ['nmos for 40V 30A 40C', 'parallel', '3 Q100'],
])('%s is met %s by %s', (need, way, lots) => {
  const [first] = call({ need }).combinations;
  expect([first?.way, first?.lots.map(({ lot, count }) => `${count} ${lot}`).join(' ')]).toEqual([way, lots]);
  expect(first?.verdict).toBe('limits');
  expect(first?.drawbacks.length).toBeGreaterThan(0);
});

test.each<[unknown, string]>([
  ['three of those', 'JSON is expected'],
  [{ duty: { voltage: 5 } }, 'a kind of part is expected'],
  [{ kind: 'gadget' }, '“gadget” is no kind of part'],
  [{ kind: 'nmos', ratings: { shine: 3 } }, '“shine” is no rating'],
  [{ kind: 'nmos', duty: { voltage: -5 } }, 'duty'],
  [{ need: 'nmos duty 57V twelve' }, '“twelve” in a duty'],
])('%j is refused: %s', (need, why) => {
  expect(() => call(need)).toThrow(why);
});
