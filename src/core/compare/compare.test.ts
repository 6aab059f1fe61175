import { reservoirValley } from '../nameplate';
import { compare, lossesOf, trendOf, type RolePart, type Subject } from '.';
import { changeOver } from './trends';

const part = (ref: string, kind: string, ratings: Record<string, number>, more: Partial<RolePart> = {}): RolePart => ({
  ref,
  kind,
  subtype: '',
  package: '',
  marking: '',
  ratings,
  ...more,
});
const unit = (code: string, more: Partial<Subject> = {}): Subject => ({
  code,
  title: code,
  volts: 16,
  amperes: 3.4,
  watts: 54.4,
  isFedFromMains: true,
  topologies: ['flyback'],
  roles: {},
  bleeders: [],
  logged: 30,
  inlet: '',
  marks: { efficiency: '', protection: '' },
  opening: { seams: [], minutes: 0 },
  yielded: { pieces: 0, used: 0 },
  ...more,
});
const fet = (rdsOn: number) => part('Q1', 'nmos', { vds: 650, rdsOn, qg: 20e-9, coss: 50e-12 });
const diode = (vf: number) => part('D8', 'dual-diode', { vf, vrrm: 100 }, { subtype: 'schottky' });
const bulk = part('C5', 'capacitor', { capacitance: 82e-6, voltage: 400 });
const OLD = unit('OLD-001', {
  year: 2001,
  size: { length: 0.132, width: 0.062, height: 0.036 },
  mass: 0.41,
  roles: {
    mainSwitch: [fet(1.9)],
    outputRectifier: [diode(1.05)],
    bulk: [bulk],
    varistor: [part('RV1', 'varistor', { vn: 470 })],
  },
});
const NEW = unit('NEW-001', {
  year: 2019,
  size: { length: 0.092, width: 0.046, height: 0.029 },
  mass: 0.19,
  roles: { mainSwitch: [fet(0.6)], outputRectifier: [diode(0.45)], bulk: [bulk] },
});

test('a drop is told in watts at the current, and of every 100 W in the table', () => {
  const { roles, saved } = compare([OLD, NEW]);
  const row = roles.find(({ label }) => label === 'output rectifier');
  // By hand: (1.05 − 0.45) V at 3.4 A are 2.04 W; 0.45 V at 3.4 A of 54.4 W are 2.81 of every 100.
  expect(row?.says).toMatch(/^drop 1\.05 V to 0\.45 V: 2\.0 W less at 3\.4\sA$/u);
  expect(row?.cells.map(({ watts }) => watts?.toFixed(2))).toEqual(['6.56', '2.81']);
  expect(row?.change).toBe('changed');
  expect(saved[0]).toMatchObject({ label: 'output rectifier' });
  expect(saved[0]?.watts).toBeCloseTo(3.75, 2);
});

test('a lower on-resistance saves what the current through it makes of it', () => {
  const power = 54.4 / 0.87;
  const valley = reservoirValley({ power, capacitance: 82e-6, volts: 230, hertz: 50 });
  const duty = 100 / (100 + valley);
  const peak = (2 * power) / (valley * duty);
  const square = (peak ** 2 * duty) / 3;
  // Doubled at 125 °C and 0.7 % a kelvin: 1.81 at 110 °C, common practice.
  const expected = square * (1.9 - 0.6) * 1.007 ** 85 * (100 / 54.4);
  const saved = (lossesOf(OLD).switch?.watts ?? 0) - (lossesOf(NEW).switch?.watts ?? 0);
  expect(Math.abs(saved / expected - 1)).toBeLessThan(0.02);
  const row = compare([OLD, NEW]).roles.find(({ label }) => label === 'switch');
  expect(row?.says).toMatch(
    new RegExp(`^R-on 1\\.9\\sΩ to 600\\smΩ: ${saved.toFixed(1).replace('.', '\\.')} W less of every 100$`, 'u'),
  );
});

test('behind a power factor stage the switch works from its bus, not from the valley of the mains', () => {
  const corrected = { ...OLD, topologies: ['boost-pfc', 'flyback'] };
  const power = 54.4 / 0.87;
  const duty = 100 / (100 + 390);
  const rms = ((2 * power) / (390 * duty)) * Math.sqrt(duty / 3);
  expect(lossesOf({ ...corrected, roles: { ...OLD.roles, mainSwitch: [fet(1.9)] } }).switch?.from).toContain(
    `${rms.toFixed(2)} A rms`,
  );
});

test('what one has and the other lacks is told where both are logged, and not where hardly a part is', () => {
  expect(compare([OLD, NEW]).only).toEqual([{ codes: ['OLD-001'], text: 'a varistor against surges (RV1)' }]);
  expect(compare([OLD, { ...NEW, logged: 3 }]).only).toEqual([]);
  const protections = compare([OLD, NEW]).protections.find(({ label }) => label.startsWith('surge'));
  expect(protections?.cells.map(({ text }) => text)).toEqual([expect.stringContaining('470'), 'none logged']);
  const bled = compare([OLD, { ...NEW, bleeders: [part('R7', 'resistor', { resistance: 1e6 })] }]).protections;
  expect(bled.find(({ label }) => label === 'bleeds its stores')?.cells.map(({ text }) => text)).toEqual([
    'none logged',
    expect.stringMatching(/^1\sMΩ$/u),
  ]);
});

test('room, weight and headline: less heat in less room', () => {
  const { headline, figures, apart } = compare([OLD, NEW]);
  // 295 and 123 cm³ for 54.4 W each.
  expect(headline).toMatch(/less heat where it is known, in 58 % less room for each watt$/u);
  const litre = figures.find(({ label }) => label === 'watts a litre');
  expect(litre?.cells.map(({ text }) => text)).toEqual(['185', '443']);
  expect(apart.map(({ label }) => label)).toEqual(['weight', 'size']);
});

test('of units that nobody logged nothing is claimed', () => {
  const { headline, roles, saved, lost } = compare([unit('A', { watts: undefined }), unit('B')]);
  expect([headline, roles, saved, lost]).toEqual([
    'Too little is known of both to tell what changed',
    [],
    [],
    [undefined, undefined],
  ]);
});

test('a trend is the middle of each span of years, and the half around it', () => {
  const spans = trendOf([
    { year: 2001, value: 200 },
    { year: 2001, value: 260 },
    { year: 2001, value: 240 },
    { year: 2024, value: 480 },
  ]);
  expect(spans).toEqual([
    { from: 2001, to: 2002, count: 3, median: 240, low: 220, high: 250 },
    { from: 2023, to: 2024, count: 1, median: 480, low: 480, high: 480 },
  ]);
  expect(changeOver(spans)).toBe(1);
  expect(trendOf([])).toEqual([]);
});

test.each`
  standby                    | couplers        | logged | says
  ${[]}                      | ${['U2']}       | ${30}  | ${undefined}
  ${[part('U5', 'ic', {})]}  | ${['U2']}       | ${30}  | ${'by U5, a chip'}
  ${[part('Q5', 'npn', {})]} | ${['U2', 'U3']} | ${30}  | ${'across the barrier (U2, U3)'}
  ${[part('Q5', 'npn', {})]} | ${['U2']}       | ${30}  | ${/^none seen: it rises/}
`('a standby with $couplers couplers is held: $says', ({ standby, couplers, logged, says }) => {
  const one = unit('ONE-001', {
    logged: logged as number,
    roles: {
      standbySwitch: standby as RolePart[],
      optocoupler: (couplers as string[]).map((ref) => part(ref, 'optocoupler', {})),
    },
  });
  const other = unit('TWO-002', { roles: { standbySwitch: [part('U9', 'ic', {})] } });
  const row = compare([one, other]).protections.find(({ label }) => label === 'standby regulated');
  const text = row?.cells[0]?.text;
  if (says === undefined) expect(text).toBe('');
  else expect(text).toMatch(says as string);
});
