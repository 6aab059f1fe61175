import fc from 'fast-check';
import {
  counted,
  formatDuration,
  formatQuantity,
  formatShorthand,
  parseQuantity,
  problemText,
  typedTime,
  type Unit,
} from '.';

const parsed = (text: string, unit: Unit) => {
  const result = parseQuantity(text, unit);
  return result.ok ? result.quantity : result.problem.kind;
};

describe('parseQuantity', () => {
  // The letter forms are those of IEC 60062 (from memory); the rest is common practice, no source.
  test.each`
    text             | unit          | value      | why
    ${'4k7'}         | ${'ohm'}      | ${4700}    | ${'letter as point'}
    ${'4K7'}         | ${'ohm'}      | ${4700}    | ${'either case of kilo'}
    ${'R47'}         | ${'ohm'}      | ${0.47}    | ${'leading letter'}
    ${'0R22'}        | ${'ohm'}      | ${0.22}    | ${'zero written'}
    ${'4R7'}         | ${'ohm'}      | ${4.7}     | ${'ohm as point'}
    ${'10E'}         | ${'ohm'}      | ${10}      | ${'E for ohm'}
    ${'1M0'}         | ${'ohm'}      | ${1e6}     | ${'mega'}
    ${'2G2'}         | ${'ohm'}      | ${2.2e9}   | ${'giga'}
    ${'R005'}        | ${'ohm'}      | ${0.005}   | ${'milliohm by digits'}
    ${'5L00'}        | ${'ohm'}      | ${0.005}   | ${'L is milliohm'}
    ${'5m0'}         | ${'ohm'}      | ${0.005}   | ${'m is milli where case is kept'}
    ${'1.5M'}        | ${'ohm'}      | ${1.5e6}   | ${'suffix'}
    ${'4.7 kΩ'}      | ${'ohm'}      | ${4700}    | ${'symbol'}
    ${'10 000'}      | ${'ohm'}      | ${10000}   | ${'grouped digits'}
    ${'82u'}         | ${'farad'}    | ${82e-6}   | ${'micro'}
    ${'82 µF'}       | ${'farad'}    | ${82e-6}   | ${'micro sign'}
    ${'2n2'}         | ${'farad'}    | ${2.2e-9}  | ${'nano as point'}
    ${'4p7'}         | ${'farad'}    | ${4.7e-12} | ${'pico as point'}
    ${'u22'}         | ${'farad'}    | ${0.22e-6} | ${'leading micro'}
    ${'4,7u'}        | ${'farad'}    | ${4.7e-6}  | ${'decimal comma'}
    ${'47uH'}        | ${'henry'}    | ${47e-6}   | ${'unit after prefix'}
    ${'325V'}        | ${'volt'}     | ${325}     | ${'plain'}
    ${'-12V'}        | ${'volt'}     | ${-12}     | ${'negative rail'}
    ${'510mV'}       | ${'volt'}     | ${0.51}    | ${'milli'}
    ${'1e-6'}        | ${'farad'}    | ${1e-6}    | ${'exponent'}
    ${'115mm'}       | ${'metre'}    | ${0.115}   | ${'millimetre'}
    ${'11.5 cm'}     | ${'metre'}    | ${0.115}   | ${'centimetre'}
    ${'320g'}        | ${'kilogram'} | ${0.32}    | ${'gram'}
    ${'1.2 kg'}      | ${'kilogram'} | ${1.2}     | ${'kilogram'}
    ${'1:30'}        | ${'second'}   | ${90}      | ${'clock'}
    ${'1h30min'}     | ${'second'}   | ${5400}    | ${'hours and minutes'}
    ${'12 minutes'}  | ${'second'}   | ${720}     | ${'in words'}
    ${'90 seconds'}  | ${'second'}   | ${90}      | ${'in words'}
    ${'1h30'}        | ${'second'}   | ${5400}    | ${'as a clock is read'}
    ${'12m'}         | ${'duration'} | ${720}     | ${'a run takes minutes'}
    ${'12 mins'}     | ${'duration'} | ${720}     | ${'in words'}
    ${'90s'}         | ${'duration'} | ${90}      | ${'seconds by name'}
    ${'1,5h'}        | ${'duration'} | ${5400}    | ${'a decimal comma'}
    ${'2 hours'}     | ${'duration'} | ${7200}    | ${'in words'}
    ${'275V~'}       | ${'volt'}     | ${275}     | ${'as printed'}
    ${'24V⎓'}        | ${'volt'}     | ${24}      | ${'as printed'}
    ${'~230V'}       | ${'volt'}     | ${230}     | ${'as printed'}
    ${'230VAC'}      | ${'volt'}     | ${230}     | ${'as printed'}
    ${'T3.15AL250V'} | ${'ampere'}   | ${3.15}    | ${'the print of a fuse'}
    ${'F1,6A'}       | ${'ampere'}   | ${1.6}     | ${'the print of a fuse'}
    ${'T500mAH250V'} | ${'ampere'}   | ${0.5}     | ${'the print of a fuse'}
    ${'3.15A/250V'}  | ${'ampere'}   | ${3.15}    | ${'the print of a fuse'}
    ${'20%'}         | ${'ratio'}    | ${0.2}     | ${'per cent'}
    ${'105C'}        | ${'celsius'}  | ${105}     | ${'temperature class'}
  `('$text as $unit is $value ($why)', ({ text, unit, value }) => {
    const result = parseQuantity(text, unit);
    expect(result.ok && result.quantity.value).toBeCloseTo(value, 15);
    expect(result.ok && Math.abs(result.quantity.value / value - 1)).toBeLessThan(1e-9);
  });

  test.each`
    text        | tolerance
    ${'4K7K'}   | ${0.1}
    ${'R47J'}   | ${0.05}
    ${'10kF'}   | ${0.01}
    ${'5L00B'}  | ${0.001}
    ${'4k7 5%'} | ${0.05}
    ${'1M ±2%'} | ${0.02}
  `('tolerance of $text is $tolerance', ({ text, tolerance }) => {
    expect(parsed(text, 'ohm')).toMatchObject({ tolerance });
  });

  test.each`
    text          | unit         | problem           | why
    ${''}         | ${'volt'}    | ${'empty'}        | ${'blank is missing, never 0 V'}
    ${'   '}      | ${'farad'}   | ${'empty'}        | ${'spaces are blank'}
    ${'abc'}      | ${'ohm'}     | ${'not-a-number'} | ${'no digits'}
    ${'4k7k'}     | ${'ohm'}     | ${'not-a-number'} | ${'two prefixes'}
    ${'1.2.3'}    | ${'volt'}    | ${'not-a-number'} | ${'two points'}
    ${'NaN'}      | ${'volt'}    | ${'not-a-number'} | ${'no number'}
    ${'5m'}       | ${'farad'}   | ${'millifarad'}   | ${'5 mF, or 5 µF as old print has it'}
    ${'Infinity'} | ${'volt'}    | ${'not-a-number'} | ${'no reading'}
    ${'1e999'}    | ${'volt'}    | ${'not-finite'}   | ${'overflow'}
    ${'-5u'}      | ${'farad'}   | ${'negative'}     | ${'a magnitude'}
    ${'12V'}      | ${'farad'}   | ${'other-unit'}   | ${'volts for farads'}
    ${'100u'}     | ${'celsius'} | ${'not-a-number'} | ${'no prefix on degrees'}
  `('$text as $unit is refused: $problem ($why)', ({ text, unit, problem }) => {
    expect(parsed(text, unit)).toBe(problem);
  });

  test('a problem names the value and what was expected', () => {
    expect(problemText({ kind: 'other-unit', text: '12V', unit: 'farad' })).toMatch(/“12V”.*capacitance.*150u/);
  });

  test('a slip of the unit is marked, not refused', () => {
    expect(parsed('82', 'farad')).toMatchObject({ value: 82, unusual: true });
    expect(parsed('1500V', 'volt')).toMatchObject({ unusual: true });
    expect(parsed('400V', 'volt')).not.toHaveProperty('unusual');
  });

  test.each`
    text        | unit      | resolution
    ${'0.4V'}   | ${'volt'} | ${0.1}
    ${'318.2V'} | ${'volt'} | ${0.1}
    ${'318'}    | ${'volt'} | ${1}
    ${'4k69'}   | ${'ohm'}  | ${10}
    ${'510mV'}  | ${'volt'} | ${0.001}
  `('the last digit of $text weighs $resolution', ({ text, unit, resolution }) => {
    const result = parseQuantity(text, unit);
    expect(result.ok && result.quantity.resolution).toBeCloseTo(resolution, 12);
  });
});

describe('formatQuantity', () => {
  test.each`
    value       | unit          | options                | shown
    ${82e-6}    | ${'farad'}    | ${{}}                  | ${'82 µF'}
    ${373.35}   | ${'volt'}     | ${{}}                  | ${'373 V'}
    ${0.62}     | ${'ohm'}      | ${{}}                  | ${'620 mΩ'}
    ${1e6}      | ${'ohm'}      | ${{}}                  | ${'1 MΩ'}
    ${999.96}   | ${'ohm'}      | ${{}}                  | ${'1 kΩ'}
    ${0}        | ${'volt'}     | ${{}}                  | ${'0 V'}
    ${-12}      | ${'volt'}     | ${{}}                  | ${'−12 V'}
    ${0.2}      | ${'ratio'}    | ${{}}                  | ${'20 %'}
    ${0.32}     | ${'kilogram'} | ${{}}                  | ${'320 g'}
    ${318.2}    | ${'volt'}     | ${{ resolution: 0.1 }} | ${'318.2 V'}
    ${300}      | ${'volt'}     | ${{ resolution: 0.1 }} | ${'300.0 V'}
    ${1234}     | ${'ohm'}      | ${{ digits: 4 }}       | ${'1.234 kΩ'}
    ${Infinity} | ${'ohm'}      | ${{}}                  | ${'∞ Ω'}
    ${NaN}      | ${'ohm'}      | ${{}}                  | ${'— Ω'}
    ${NaN}      | ${'volt'}     | ${{}}                  | ${'— V'}
  `('$value $unit shows as $shown', ({ value, unit, options, shown }) => {
    expect(formatQuantity(value, unit, options).replace(/\u00a0/g, ' ')).toBe(shown);
  });

  test.each`
    value     | unit       | text
    ${4700}   | ${'ohm'}   | ${'4k7'}
    ${0.22}   | ${'ohm'}   | ${'220m'}
    ${4.7}    | ${'ohm'}   | ${'4R7'}
    ${82e-6}  | ${'farad'} | ${'82u'}
    ${2.2e-9} | ${'farad'} | ${'2n2'}
    ${325}    | ${'volt'}  | ${'325V'}
    ${0.115}  | ${'metre'} | ${'115mm'}
  `('$value $unit is typed $text', ({ value, unit, text }) => {
    expect(formatShorthand(value, unit)).toBe(text);
  });

  test('what is printed is read back as the same value, for every unit', () => {
    const units: Unit[] = ['ohm', 'farad', 'henry', 'volt', 'ampere', 'watt', 'hertz', 'metre', 'kilogram', 'second'];
    fc.assert(
      fc.property(
        fc.constantFrom(...units),
        fc.integer({ min: 100, max: 999 }),
        fc.integer({ min: -11, max: 5 }),
        (unit, digits, exponent) => {
          const value = digits * 10 ** exponent;
          for (const text of [formatQuantity(value, unit, { digits: 6 }), formatShorthand(value, unit)]) {
            const back = parseQuantity(text, unit);
            expect(back.ok).toBe(true);
            // Units whose smallest prefix is too coarse keep six places.
            const floor = {
              volt: 1e-12,
              ampere: 1e-15,
              watt: 1e-9,
              ohm: 1e-9,
              hertz: 1e-6,
              metre: 1e-9,
              kilogram: 1e-9,
              second: 1e-15,
              farad: 1e-18,
              henry: 1e-15,
            }[unit as 'ohm'];
            expect(Math.abs((back.ok ? back.quantity.value : NaN) - value)).toBeLessThanOrEqual(
              Math.max(floor, value * 1e-5),
            );
          }
        },
      ),
      { seed: 11, numRuns: 500 },
    );
  });
});

test.each`
  seconds     | shown       | why
  ${0}        | ${'0 s'}    | ${'no wait'}
  ${3.41}     | ${'3.5 s'}  | ${'rounded up'}
  ${63.2}     | ${'64 s'}   | ${'rounded up'}
  ${2534}     | ${'43 min'} | ${'42.2 min, rounded up'}
  ${Infinity} | ${'never'}  | ${'no bleed path'}
`('a wait of $seconds s shows as $shown ($why)', ({ seconds, shown }) => {
  expect(formatDuration(seconds).replace(/\u00a0/g, ' ')).toBe(shown);
});

test('a run of “12” is minutes or seconds: it is asked', () => {
  const bare = parseQuantity('12', 'duration');
  expect(bare.ok).toBe(false);
  expect(parsed('0', 'duration')).toMatchObject({ value: 0 });
  expect(!bare.ok && problemText(bare.problem)).toBe('“12” what? Minutes are likely: 12min. For seconds write 12s.');
});

test('a time that is put back into a field is read back as the same', () => {
  for (const seconds of [0, 59, 725, 3599, 3600, 9005]) {
    const read = parseQuantity(typedTime(seconds), 'duration');
    expect(read.ok && read.quantity.value).toBe(seconds);
  }
});

test.each([
  [0, 'part', undefined, '0 parts'],
  [1, 'part', undefined, '1 part'],
  [2, 'row was', 'rows were', '2 rows were'],
  [1, 'row was', 'rows were', '1 row was'],
])('%d of “%s” (%s) is said as %s', (count, one, many, text) => {
  expect(counted(count, one, many)).toBe(text);
});
