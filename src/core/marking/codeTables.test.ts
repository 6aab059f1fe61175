import { decodeMarking, MARKING_RULES, tellApart } from '.';
import { temperatureCharacteristic, temperatureCoefficient, toleranceOf, voltageCode } from './rules/capacitorCodes';
import { breakingCapacity, varistorContinuous } from './rules/protection';
import { JEDEC_PREFIX, JIS_LETTER, PRO_ELECTRON_MATERIAL, PRO_ELECTRON_USE } from './rules/registers';

// Published code tables checked whole. The standards are named; their values are from memory.

test('IEC 60062: every tolerance letter, from 10 pF up as a share and below in picofarads', () => {
  const shares = { B: 0.1, C: 0.25, D: 0.5, F: 1, G: 2, H: 3, J: 5, K: 10, M: 20, N: 30 };
  for (const [letter, percent] of Object.entries(shares)) {
    expect(toleranceOf(letter, 1e-9)).toBeCloseTo(percent / 100, 9);
    const resistor = decodeMarking(`4K7${letter}`, { kind: 'resistor' })[0];
    expect(resistor?.ratings.tolerance).toBeCloseTo(percent / 100, 9);
  }
  for (const [letter, percent] of Object.entries({ Q: 30, T: 50, S: 50, Z: 80 }))
    expect(toleranceOf(letter, 1e-9)).toBeCloseTo(percent / 100, 9);
  for (const [letter, picofarads] of Object.entries({ B: 0.1, C: 0.25, D: 0.5, F: 1, G: 2 }))
    expect(toleranceOf(letter, 5e-12)).toBeCloseTo(picofarads / 5, 9);
  expect(toleranceOf('J', 5e-12)).toBeUndefined();
});

test('EIA and JIS voltage codes: every mantissa letter in every decade', () => {
  const letters = { A: 1, B: 1.25, C: 1.6, D: 2, E: 2.5, F: 3.15, V: 3.5, G: 4, W: 4.5, H: 5, J: 6.3, K: 8 };
  for (const [letter, mantissa] of Object.entries(letters))
    for (let decade = 0; decade <= 3; decade += 1)
      expect(voltageCode(String(decade), letter)).toBeCloseTo(mantissa * 10 ** decade, 9);
});

test('EIA-198, classes 2 and 3: every low letter, high digit and change letter', () => {
  const lows = { X: -55, Y: -30, Z: 10 };
  const highs = { 2: 45, 4: 65, 5: 85, 6: 105, 7: 125, 8: 150, 9: 200 };
  const changes = { A: 1, B: 1.5, C: 2.2, D: 3.3, E: 4.7, F: 7.5, P: 10, R: 15, S: 22 };
  for (const [x, low] of Object.entries(lows))
    for (const [n, high] of Object.entries(highs))
      for (const [c, change] of Object.entries(changes))
        expect(temperatureCharacteristic(x + n + c)).toEqual({ low, high, change: [-change, change] });
  expect(temperatureCharacteristic('Z5U')).toEqual({ low: 10, high: 85, change: [-56, 22] });
  expect(temperatureCharacteristic('Y5V')?.change).toEqual([-82, 22]);
  expect(temperatureCharacteristic('X7T')?.change).toEqual([-33, 22]);
  for (const none of ['A7R', 'X3R', 'X7Q', 'X7', 'X7RR']) expect(temperatureCharacteristic(none)).toBeUndefined();
});

test.each`
  code     | ppm     | spread
  ${'C0G'} | ${0}    | ${30}
  ${'COG'} | ${0}    | ${30}
  ${'NP0'} | ${0}    | ${30}
  ${'U2J'} | ${-750} | ${120}
  ${'S2H'} | ${-330} | ${60}
  ${'P2H'} | ${-150} | ${60}
  ${'R2H'} | ${-220} | ${60}
  ${'T2H'} | ${-470} | ${60}
  ${'M7G'} | ${100}  | ${30}
  ${'C1G'} | ${0}    | ${30}
`('EIA-198, class 1: $code is $ppm within $spread ppm per kelvin', ({ code, ppm, spread }) => {
  expect(temperatureCoefficient(code)).toEqual({ ppm, spread });
});

test('IEC 60127-2: glass breaks 35 A or ten times its rating, E 150 A, H 1500 A', () => {
  expect(breakingCapacity('L', 2)).toBe(35);
  expect(breakingCapacity('L', 6.3)).toBe(63);
  expect(breakingCapacity('E', 2)).toBe(150);
  expect(breakingCapacity('H', 2)).toBe(1500);
});

// The industry-wide pairs of a disc varistor, from memory.
test.each`
  vn     | ac     | dc
  ${200} | ${130} | ${170}
  ${270} | ${175} | ${225}
  ${390} | ${250} | ${320}
  ${430} | ${275} | ${350}
  ${470} | ${300} | ${385}
  ${560} | ${350} | ${460}
  ${820} | ${510} | ${670}
`('a varistor of $vn V at 1 mA stands $ac V AC or $dc V DC, near 0.64 and 0.82 of it', ({ vn, ac, dc }) => {
  expect(varistorContinuous(vn)).toEqual({ ac, dc });
  expect(ac / vn).toBeCloseTo(0.64, 1);
  expect(dc / vn).toBeCloseTo(0.82, 1);
});

// JEDEC, Pro Electron and JIS numbering, from memory.
test('JEDEC prefixes, Pro Electron letters and JIS letters tell the kind of an unknown number', () => {
  expect(Object.keys(JEDEC_PREFIX)).toEqual(['1N', '2N', '3N', '4N']);
  expect(Object.keys(PRO_ELECTRON_MATERIAL)).toEqual(['A', 'B', 'C', 'R']);
  expect(Object.keys(PRO_ELECTRON_USE).sort().join('')).toBe('ABCDEFLNPQRSTUXYZ');
  expect(Object.keys(JIS_LETTER).sort().join('')).toBe('ABCDJKM');
  for (const [letter, { kinds }] of Object.entries(PRO_ELECTRON_USE))
    for (const kind of kinds)
      expect(decodeMarking(`B${letter}X987`, { kind }).some((decoding) => decoding.kind === kind)).toBe(true);
  for (const [letter, { kinds }] of Object.entries(JIS_LETTER))
    expect(decodeMarking(`2S${letter}9876`)[0]).toMatchObject({ kind: kinds[0], ratings: {} });
});

test('every rule has a name, what it yields, a source, a prior, and an example that it reads', () => {
  for (const { name, pattern, yields, source, prior, alone = prior, example, read } of MARKING_RULES) {
    expect([name, yields, source].every((text) => text.length > 3)).toBe(true);
    expect(prior).toBeGreaterThan(0);
    expect(prior).toBeLessThanOrEqual(0.98);
    expect(alone).toBeLessThanOrEqual(prior);
    const match = pattern.exec(example);
    expect([name, match && read(match, { kind: undefined, package: 'TO-220' }) !== undefined]).toEqual([name, true]);
  }
});

describe('what would tell close readings apart', () => {
  test.each`
    marking    | context                                 | message             | why
    ${'1660'}  | ${{ kind: 'diode', package: 'TO-220' }} | ${'Schottky'}       | ${'two technologies'}
    ${'40N60'} | ${{ package: 'TO-247' }}                | ${'IGBT'}           | ${'two kinds'}
    ${'104'}   | ${{}}                                   | ${'ohms'}           | ${'a resistor or a capacitor'}
    ${'12N6?'} | ${{ kind: 'nmos' }}                     | ${'No meter tells'} | ${'two voltages'}
    ${'47?'}   | ${{ kind: 'resistor' }}                 | ${'Measure it'}     | ${'two resistances'}
    ${'12N65'} | ${{ kind: 'nmos' }}                     | ${undefined}        | ${'nothing close'}
    ${'HELLO'} | ${{}}                                   | ${undefined}        | ${'nothing read'}
  `('$marking: $message ($why)', ({ marking, context, message }) => {
    const told = tellApart(decodeMarking(marking, context));
    if (message === undefined) expect(told).toBeUndefined();
    else expect(told).toContain(message);
  });
});
