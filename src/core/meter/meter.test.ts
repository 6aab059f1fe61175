import fc from 'fast-check';
import {
  METER_QUANTITY_NAMES,
  NO_LEADS,
  meterFailureText,
  parseAnswer,
  parseIdentity,
  parseLine,
  simulateAnswer,
  storeVoltage,
  type MeterFailure,
} from '.';

test.each`
  text              | value      | resolution | why
  ${'+2.1230E+02'}  | ${212.3}   | ${0.01}    | ${'exponential, four decimals'}
  ${'-1.5E-03'}     | ${-0.0015} | ${0.0001}  | ${'a negative millivolt'}
  ${'0.512'}        | ${0.512}   | ${0.001}   | ${'plain'}
  ${'318'}          | ${318}     | ${1}       | ${'no decimals'}
  ${' 3.30e0\r\n'}  | ${3.3}     | ${0.01}    | ${'with its line end'}
  ${'9.9E37'}       | ${null}    | ${0}       | ${'over range by IEEE 488.2'}
  ${'+9.90000E+37'} | ${null}    | ${0}       | ${'over range, longer'}
  ${'OL'}           | ${null}    | ${0}       | ${'over range as a word'}
`('answer $text: $value ($why)', ({ text, value, resolution }) => {
  expect(parseAnswer('volt', text)).toEqual({ quantity: 'volt', value, resolution });
});

test.each`
  text               | shown
  ${''}              | ${'an empty line'}
  ${'#ERR'}          | ${'#ERR'}
  ${'1.2.3'}         | ${'1.2.3'}
  ${'\u0000\u0007x'} | ${'··x'}
  ${'12 V'}          | ${'12 V'}
`('answer “$text” is garbage', ({ text, shown }) => {
  expect(parseAnswer('volt', text)).toEqual({ kind: 'garbage', text: shown });
});

test.each`
  line               | quantity        | value      | resolution
  ${'212.3 V DC'}    | ${'volt'}       | ${212.3}   | ${0.1}
  ${'-0.02 mV'}      | ${'volt'}       | ${-2e-5}   | ${1e-5}
  ${'0.512 V diode'} | ${'diode'}      | ${0.512}   | ${0.001}
  ${'4.69 kOhm'}     | ${'ohm'}        | ${4690}    | ${10}
  ${'0.4 Ω cont'}    | ${'continuity'} | ${0.4}     | ${0.1}
  ${'47.2nF'}        | ${'farad'}      | ${47.2e-9} | ${1e-10}
  ${'OL MOhm'}       | ${'ohm'}        | ${null}    | ${0}
  ${'O.L V diode'}   | ${'diode'}      | ${null}    | ${0}
`('line $line: $quantity $value', ({ line, quantity, value, resolution }) => {
  const reading = parseLine(line);
  expect(reading).toMatchObject({ quantity, value });
  expect('resolution' in reading && reading.resolution).toBeCloseTo(resolution, 12);
});

// An AC range hides what a capacitor holds: never a reading of volts.
test.each([
  '0.02 V AC',
  '0.02 V~',
  '0.02 VAC',
  '12.1 V ~ TRMS',
  '0.02 V∿',
  '0.02 V (AC)',
  '0.02 V TRMS',
  '0.02V AUTO AC',
])('line “%s” is alternating', (line) => {
  expect(parseLine(line)).toMatchObject({ kind: 'alternating' });
});

test.each(['', 'HOLD', '12', '3 A', '???'])('line “%s” is no reading', (line) => {
  expect(parseLine(line)).toMatchObject({ kind: 'garbage' });
});

test.each`
  text                                           | identity
  ${'Skerry,Bench meter (simulated),S-6000,1.0'} | ${{ maker: 'Skerry', model: 'Bench meter (simulated)', serial: 'S-6000', simulated: true }}
  ${'Orrin, DM-4 ,0017,A2'}                      | ${{ maker: 'Orrin', model: 'DM-4', serial: '0017', simulated: false }}
  ${'hello'}                                     | ${undefined}
`('identity “$text”', ({ text, identity }) => {
  expect(parseIdentity(text)).toEqual(identity);
});

test('every failure says what to do, with its figures', () => {
  const failures: MeterFailure[] = [
    { kind: 'not-set' },
    { kind: 'refused', address: '127.0.0.1:5025' },
    { kind: 'no-answer', seconds: 2 },
    { kind: 'disconnected' },
    { kind: 'garbage', text: '#x' },
    { kind: 'wrong-unit', shows: 'resistance', wanted: 'volts DC' },
    { kind: 'alternating', text: '0.02 V AC' },
    { kind: 'no-stream' },
    { kind: 'no-leads' },
  ];
  const texts = failures.map(meterFailureText);
  expect(new Set(texts).size).toBe(failures.length);
  expect(texts.join(' ')).toMatch(/127\.0\.0\.1:5025.*2 s.*#x.*resistance.*volts DC/);
});

test('what the simulated meter says is read back within half a per cent and a few digits', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...METER_QUANTITY_NAMES),
      fc.double({ min: -8, max: 6, noNaN: true }),
      fc.double({ min: -3, max: 3, noNaN: true }),
      (quantity, decade, noise) => {
        const truth = 10 ** decade;
        const reading = parseAnswer(
          quantity,
          simulateAnswer(quantity, truth, () => noise),
        );
        if (!('value' in reading)) throw new Error('not read');
        if (reading.value === null) expect(truth).toBeGreaterThanOrEqual(quantity === 'diode' ? 3 : 6e-3);
        else expect(Math.abs(reading.value - truth)).toBeLessThan(0.005 * truth + 4 * reading.resolution);
      },
    ),
    { seed: 8, numRuns: 500 },
  );
});

test('the meter shows 6,000 counts', () => {
  const digit = (truth: number) => {
    const reading = parseAnswer(
      'volt',
      simulateAnswer('volt', truth, () => 0),
    );
    return 'resolution' in reading ? reading.resolution : NaN;
  };
  expect([320, 45, 5, 0.4].map(digit)).toEqual([0.1, 0.01, 0.001, 0.0001]);
});

// 82 µF through 470 kΩ beside the meter's 10 MΩ: 36.8 s; with the bleeder open 820 s. Worked by hand.
test.each`
  bleed       | seconds | volts
  ${470e3}    | ${0}    | ${320}
  ${470e3}    | ${36.8} | ${117.7}
  ${Infinity} | ${820}  | ${117.7}
`('a store of 82 µF bled by $bleed has $volts V after $seconds s', ({ bleed, seconds, volts }) => {
  const store = { start: 320, capacitance: 82e-6, bleed, absorbs: 0 };
  expect(Math.abs(storeVoltage(store, seconds) / volts - 1)).toBeLessThan(0.003);
});

test('volts that are printed in millivolts are told as such; a junction and plain volts are not', () => {
  const inMillivolts = (line: string) => 'inMillivolts' in parseLine(line);
  expect(['-0.02 mV', '312.4 mV DC', '0.312 V DC', '512 mV diode', '4 mOhm'].map(inMillivolts)).toEqual([
    true,
    true,
    false,
    false,
    false,
  ]);
});

test('a stand-in whose leads are on nothing gives no reading', () => {
  expect(parseAnswer('volt', NO_LEADS)).toEqual({ kind: 'no-leads' });
});
