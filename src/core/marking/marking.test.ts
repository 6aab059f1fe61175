import fc from 'fast-check';
import { bandProblemText, decodeBands, decodeMarking, E24, preferredSeries } from '.';

const best = (marking: string, context = {}) => decodeMarking(marking, context)[0];

describe('resistor bands, IEC 60062 (from memory)', () => {
  test.each`
    bands                                | resistance | tolerance
    ${'yellow violet red gold'}          | ${4700}    | ${0.05}
    ${'brown black black brown brown'}   | ${1000}    | ${0.01}
    ${'red violet gold gold'}            | ${2.7}     | ${0.05}
    ${'orange orange black'}             | ${33}      | ${0.2}
    ${'brown black black red brown red'} | ${10000}   | ${0.01}
    ${'gold red violet yellow'}          | ${4700}    | ${0.05}
    ${'gray red brown silver'}           | ${820}     | ${0.1}
  `('$bands is $resistance Ω', ({ bands, resistance, tolerance }) => {
    const decoded = decodeBands(bands.split(' '));
    const first = decoded.ok ? decoded.decodings[0] : undefined;
    expect(first?.ratings.resistance).toBeCloseTo(resistance, 9);
    expect(first?.ratings.tolerance).toBeCloseTo(tolerance, 9);
  });

  test('a band that can be read both ways gives both readings, the preferred value first', () => {
    const decoded = decodeBands(['brown', 'red', 'red', 'brown']);
    const decodings = decoded.ok ? decoded.decodings : [];
    expect(decodings.length).toBeGreaterThan(0);
    expect(decodings.reduce((sum, { confidence }) => sum + confidence, 0)).toBeLessThanOrEqual(1);
  });

  // Both ways are legal: 24.3 kΩ 1 % stands in every drawer, 10.3 Ω 0.05 % in none (IEC 60063, and what is made).
  test.each`
    bands                            | resistance
    ${'red yellow orange red brown'} | ${24300}
    ${'brown red orange yellow red'} | ${24300}
    ${'brown black black red brown'} | ${10000}
    ${'brown red black black brown'} | ${120}
  `('$bands, readable both ways, is $resistance Ω', ({ bands, resistance }) => {
    const decoded = decodeBands((bands as string).split(' '));
    const readings = decoded.ok ? decoded.decodings : [];
    expect(readings[0]?.ratings.resistance).toBeCloseTo(resistance as number, 6);
    expect(readings.length).toBeGreaterThan(1);
  });

  test('one black band is a link', () => {
    expect(decodeBands(['black'])).toMatchObject({ ok: true, decodings: [{ ratings: { resistance: 0 } }] });
  });

  test('a wrong colour is named with its place', () => {
    const decoded = decodeBands(['brown', 'beige', 'red']);
    expect(decoded.ok ? '' : bandProblemText(decoded.problem)).toMatch(/Band 2, “beige”/);
    const short = decodeBands(['red', 'red']);
    expect(short.ok ? '' : bandProblemText(short.problem)).toMatch(/2 bands/);
  });

  test('every E24 value at 5 % is read back', () => {
    const colours = ['black', 'brown', 'red', 'orange', 'yellow', 'green', 'blue', 'violet', 'grey', 'white'];
    for (const step of E24)
      for (let power = 0; power <= 5; power += 1) {
        const bands = [colours[Math.floor(step / 10)], colours[step % 10], colours[power], 'gold'] as string[];
        const decoded = decodeBands(bands);
        expect(decoded.ok && decoded.decodings[0]?.ratings.resistance).toBeCloseTo(step * 10 ** power, 6);
      }
  });
});

describe('preferred values, IEC 60063 (from memory)', () => {
  test('E24 departs from the rounded formula at eight places only', () => {
    const formula = E24.map((_, index) => Math.round(10 * 10 ** (index / 24)));
    expect(E24.filter((value, index) => value !== formula[index])).toEqual([27, 30, 33, 36, 39, 43, 47, 82]);
  });

  test('E192 holds 9.20, E48 is every second of E96', () => {
    expect(preferredSeries(192)).toContain(920);
    expect(preferredSeries(192)).not.toContain(919);
    expect(preferredSeries(48)).toEqual(preferredSeries(96).filter((_, index) => index % 2 === 0));
  });
});

describe('markings', () => {
  // Codes of IEC 60062 and EIA-96 (from memory); multi-source type numbers from their datasheets (from memory).
  test.each`
    marking                | kind            | ratings                                                   | why
    ${'472'}               | ${'resistor'}   | ${{ resistance: 4700, tolerance: 0.05 }}                  | ${'two digits and zeros'}
    ${'4992'}              | ${'resistor'}   | ${{ resistance: 49900, tolerance: 0.01 }}                 | ${'three digits and zeros'}
    ${'100'}               | ${'resistor'}   | ${{ resistance: 10 }}                                     | ${'trailing 0 is an exponent'}
    ${'1000'}              | ${'resistor'}   | ${{ resistance: 100 }}                                    | ${'trailing 0 is an exponent'}
    ${'000'}               | ${'resistor'}   | ${{ resistance: 0 }}                                      | ${'link'}
    ${'4K7K'}              | ${'resistor'}   | ${{ resistance: 4700, tolerance: 0.1 }}                   | ${'letter as point, then tolerance'}
    ${'R47'}               | ${'resistor'}   | ${{ resistance: 0.47 }}                                   | ${'leading R'}
    ${'R005'}              | ${'resistor'}   | ${{ resistance: 0.005 }}                                  | ${'milliohm'}
    ${'01C'}               | ${'resistor'}   | ${{ resistance: 10000, tolerance: 0.01 }}                 | ${'EIA-96'}
    ${'18A'}               | ${'resistor'}   | ${{ resistance: 150 }}                                    | ${'EIA-96'}
    ${'30B'}               | ${'resistor'}   | ${{ resistance: 2000 }}                                   | ${'EIA-96'}
    ${'51C'}               | ${'resistor'}   | ${{ resistance: 33200 }}                                  | ${'EIA-96'}
    ${'68X'}               | ${'resistor'}   | ${{ resistance: 49.9 }}                                   | ${'EIA-96'}
    ${'02Y'}               | ${'resistor'}   | ${{ resistance: 1.02 }}                                   | ${'EIA-96'}
    ${'96D'}               | ${'resistor'}   | ${{ resistance: 976000 }}                                 | ${'EIA-96'}
    ${'104'}               | ${'capacitor'}  | ${{ capacitance: 100e-9 }}                                | ${'picofarads'}
    ${'473K'}              | ${'capacitor'}  | ${{ capacitance: 47e-9, tolerance: 0.1 }}                 | ${'tolerance letter'}
    ${'229'}               | ${'capacitor'}  | ${{ capacitance: 2.2e-12 }}                               | ${'9 divides by ten'}
    ${'2A102J'}            | ${'capacitor'}  | ${{ capacitance: 1e-9, tolerance: 0.05, voltage: 100 }}   | ${'voltage code'}
    ${'2E474K'}            | ${'capacitor'}  | ${{ capacitance: 470e-9, tolerance: 0.1, voltage: 250 }}  | ${'voltage code'}
    ${'3A103K'}            | ${'capacitor'}  | ${{ capacitance: 10e-9, voltage: 1000 }}                  | ${'voltage code'}
    ${'1H105M'}            | ${'capacitor'}  | ${{ capacitance: 1e-6, voltage: 50 }}                     | ${'voltage code'}
    ${'4p7'}               | ${'capacitor'}  | ${{ capacitance: 4.7e-12 }}                               | ${'letter as point'}
    ${'u22'}               | ${'capacitor'}  | ${{ capacitance: 220e-9 }}                                | ${'leading letter'}
    ${'.47K'}              | ${'capacitor'}  | ${{ capacitance: 470e-9, tolerance: 0.1 }}                | ${'bare decimal is microfarads'}
    ${'82uF 400V 105°C'}   | ${'capacitor'}  | ${{ capacitance: 82e-6, voltage: 400, temperature: 105 }} | ${'sleeve'}
    ${'0.22 MFD 275V~ X2'} | ${'capacitor'}  | ${{ capacitance: 220e-9, voltage: 275 }}                  | ${'old spelling'}
    ${'12N65'}             | ${'nmos'}       | ${{ id: 12, vds: 650 }}                                   | ${'two digits count tens'}
    ${'50N06'}             | ${'nmos'}       | ${{ id: 50, vds: 60 }}                                    | ${'leading zero'}
    ${'75N75'}             | ${'nmos'}       | ${{ id: 75, vds: 75 }}                                    | ${'75 V family'}
    ${'20N120'}            | ${'nmos'}       | ${{ id: 20, vds: 1200 }}                                  | ${'three digits count tens'}
    ${'9P20'}              | ${'pmos'}       | ${{ id: 9, vds: 200 }}                                    | ${'P channel'}
    ${'60R190'}            | ${'nmos'}       | ${{ vds: 600, rdsOn: 0.19 }}                              | ${'volts and milliohms'}
    ${'80R1K4'}            | ${'nmos'}       | ${{ vds: 800, rdsOn: 1.4 }}                               | ${'K as ohm point'}
    ${'1N4007'}            | ${'diode'}      | ${{ ifav: 1, vrrm: 1000 }}                                | ${'family list'}
    ${'1N5408'}            | ${'diode'}      | ${{ ifav: 3, vrrm: 1000 }}                                | ${'family list'}
    ${'1N5822'}            | ${'diode'}      | ${{ ifav: 3, vrrm: 40 }}                                  | ${'Schottky family'}
    ${'UF4004'}            | ${'diode'}      | ${{ ifav: 1, vrrm: 400 }}                                 | ${'fast family'}
    ${'FR107'}             | ${'diode'}      | ${{ ifav: 1, vrrm: 1000 }}                                | ${'fast family'}
    ${'SS34'}              | ${'diode'}      | ${{ ifav: 3, vrrm: 40 }}                                  | ${'small Schottky'}
    ${'SB560'}             | ${'diode'}      | ${{ ifav: 5, vrrm: 60 }}                                  | ${'axial Schottky'}
    ${'MBR20100CT'}        | ${'dual-diode'} | ${{ ifav: 20, vrrm: 100 }}                                | ${'dual, total of both legs'}
    ${'MBR2045'}           | ${'diode'}      | ${{ ifav: 20, vrrm: 45 }}                                 | ${'four digits'}
    ${'MBR745'}            | ${'diode'}      | ${{ ifav: 7.5, vrrm: 45 }}                                | ${'three digits'}
    ${'MUR1560'}           | ${'diode'}      | ${{ ifav: 15, vrrm: 600 }}                                | ${'ultrafast'}
    ${'MUR460'}            | ${'diode'}      | ${{ ifav: 4, vrrm: 600 }}                                 | ${'ultrafast'}
    ${'MUR1100'}           | ${'diode'}      | ${{ ifav: 1, vrrm: 1000 }}                                | ${'three-digit volts code'}
    ${'MUR10120'}          | ${'diode'}      | ${{ ifav: 10, vrrm: 1200 }}                               | ${'three-digit volts code'}
    ${'GBU4J'}             | ${'bridge'}     | ${{ ifav: 4, vrrm: 600 }}                                 | ${'letter'}
    ${'GBU806'}            | ${'bridge'}     | ${{ ifav: 8, vrrm: 600 }}                                 | ${'digits'}
    ${'KBP206'}            | ${'bridge'}     | ${{ ifav: 2, vrrm: 600 }}                                 | ${'digits'}
    ${'GBJ2510'}           | ${'bridge'}     | ${{ ifav: 25, vrrm: 1000 }}                               | ${'digits'}
    ${'DB107'}             | ${'bridge'}     | ${{ ifav: 1, vrrm: 1000 }}                                | ${'list'}
    ${'BZX85C5V1'}         | ${'diode'}      | ${{ vz: 5.1, tolerance: 0.05 }}                           | ${'zener'}
  `('$marking as $kind ($why)', ({ marking, kind, ratings }) => {
    const decoding = best(marking, { kind });
    expect(decoding?.kind).toBe(kind);
    for (const [name, value] of Object.entries<number>(ratings))
      expect(Math.abs((decoding?.ratings[name as 'vds'] ?? NaN) / (value || 1) - (value ? 1 : 0))).toBeLessThan(1e-6);
    expect(decoding?.why).not.toBe('');
  });

  // The same without a word on what kind of part it is: the first reading must be the one a person would make.
  test.each`
    marking       | kind           | ratings                                  | why
    ${'1N4007'}   | ${'diode'}     | ${{ ifav: 1, vrrm: 1000 }}               | ${'five digits are no capacitance'}
    ${'1N5822'}   | ${'diode'}     | ${{ ifav: 3, vrrm: 40 }}                 | ${'nor here'}
    ${'1N4148'}   | ${'diode'}     | ${{ ifav: 0.15, vrrm: 100 }}             | ${'a number of its own'}
    ${'HER108'}   | ${'diode'}     | ${{ ifav: 1, vrrm: 1000 }}               | ${'a list of its own'}
    ${'1N5399'}   | ${'diode'}     | ${{ ifav: 1.5, vrrm: 1000 }}             | ${'a family list'}
    ${'RL207'}    | ${'diode'}     | ${{ ifav: 2, vrrm: 1000 }}               | ${'a family list'}
    ${'12N65'}    | ${'nmos'}      | ${{ id: 12, vds: 650 }}                  | ${'current and volts'}
    ${'9N90C'}    | ${'nmos'}      | ${{ id: 9, vds: 900 }}                   | ${'9.9 nF is in no series'}
    ${'P80NF06'}  | ${'nmos'}      | ${{ id: 80, vds: 60 }}                   | ${'80NF stands inside a longer word'}
    ${'60R190'}   | ${'nmos'}      | ${{ vds: 600, rdsOn: 0.19 }}             | ${'60.190 Ω has too many digits'}
    ${'47U35V'}   | ${'capacitor'} | ${{ capacitance: 47e-6, voltage: 35 }}   | ${'volts behind the letter'}
    ${'82UF400V'} | ${'capacitor'} | ${{ capacitance: 82e-6, voltage: 400 }}  | ${'F is the farad, not a tolerance'}
    ${'100N 63'}  | ${'capacitor'} | ${{ capacitance: 100e-9, voltage: 63 }}  | ${'volts behind a space'}
    ${'2E474K'}   | ${'capacitor'} | ${{ capacitance: 470e-9, voltage: 250 }} | ${'2.474 Ω has too many digits'}
    ${'4K7'}      | ${'resistor'}  | ${{ resistance: 4700 }}                  | ${'a letter as point'}
    ${'49R9'}     | ${'resistor'}  | ${{ resistance: 49.9 }}                  | ${'E96'}
    ${'R22'}      | ${'resistor'}  | ${{ resistance: 0.22 }}                  | ${'a sense resistor'}
  `('$marking alone is $kind first ($why)', ({ marking, kind, ratings }) => {
    const decoding = best(marking);
    expect(decoding?.kind).toBe(kind);
    expect(decoding?.confidence).toBeGreaterThan(0.5);
    for (const [name, value] of Object.entries<number>(ratings))
      expect(decoding?.ratings[name as 'vds']).toBeCloseTo(value, 12);
  });

  test.each(['4N35', '2N3904', 'IRF840', '229'])('%s is no sure capacitor or resistor', (marking) => {
    for (const { kind, confidence } of decodeMarking(marking))
      if (kind === 'resistor' || kind === 'capacitor') expect(confidence).toBeLessThan(0.85);
  });

  test.each`
    marking     | kind          | why
    ${'4N35'}   | ${'nmos'}     | ${'an optocoupler'}
    ${'6N137'}  | ${'nmos'}     | ${'an optocoupler'}
    ${'1N4148'} | ${'nmos'}     | ${'a JEDEC number'}
    ${'2N7001'} | ${'nmos'}     | ${'a JEDEC number'}
    ${'90N900'} | ${'nmos'}     | ${'more than the case can carry'}
    ${''}       | ${'nmos'}     | ${'nothing printed'}
    ${'HELLO'}  | ${'resistor'} | ${'no code'}
  `('$marking is not taken for $kind ($why)', ({ marking, kind }) => {
    for (const decoding of decodeMarking(marking, { kind })) {
      expect(decoding.confidence).toBeLessThan(0.25);
      expect(decoding.readAs ?? Object.keys(decoding.ratings).join()).not.toBe(marking);
    }
  });

  test('a large number in a large case may be a MOSFET or an IGBT', () => {
    expect(
      decodeMarking('40N60', { package: 'TO-247' })
        .slice(0, 2)
        .map(({ kind }) => kind)
        .sort(),
    ).toEqual(['igbt', 'nmos']);
  });

  test('bare digits on a tab package stay open between Schottky and ultrafast where the volts allow both', () => {
    const decodings = decodeMarking('1660', { package: 'TO-220' });
    expect(decodings.filter(({ kind }) => kind === 'diode').map(({ ratings }) => ratings.vrrm)).toEqual([60, 600]);
  });

  test('confidences lie in (0, 1] and add up to at most 1, best first, whatever is typed', () => {
    fc.assert(
      fc.property(fc.stringMatching(/^[0-9A-Z.]{1,8}$/), (marking) => {
        const decodings = decodeMarking(marking);
        const confidences = decodings.map(({ confidence }) => confidence);
        expect(confidences.reduce((sum, confidence) => sum + confidence, 0)).toBeLessThanOrEqual(1);
        expect([...confidences].sort((a, b) => b - a)).toEqual(confidences);
        for (const decoding of decodings)
          for (const value of Object.values(decoding.ratings)) expect(Number.isFinite(value)).toBe(true);
      }),
      { seed: 7, numRuns: 2000 },
    );
  });
});

describe('whole tables', () => {
  // Voltage codes of EIA and JIS practice (from memory), the list that capacitor makers print.
  test.each`
    code    | volts
    ${'0J'} | ${6.3}
    ${'1A'} | ${10}
    ${'1C'} | ${16}
    ${'1E'} | ${25}
    ${'1V'} | ${35}
    ${'1H'} | ${50}
    ${'1J'} | ${63}
    ${'1K'} | ${80}
    ${'2A'} | ${100}
    ${'2C'} | ${160}
    ${'2D'} | ${200}
    ${'2E'} | ${250}
    ${'2F'} | ${315}
    ${'2V'} | ${350}
    ${'2G'} | ${400}
    ${'2W'} | ${450}
    ${'2H'} | ${500}
    ${'2J'} | ${630}
    ${'3A'} | ${1000}
    ${'3D'} | ${2000}
    ${'3F'} | ${3150}
  `('$code before a code means $volts V', ({ code, volts }) => {
    expect(best(`${code}104K`, { kind: 'capacitor' })?.ratings).toEqual({
      capacitance: 100e-9,
      tolerance: 0.1,
      voltage: volts,
    });
  });

  // Tolerance letters of IEC 60062 (from memory): from 10 pF up in per cent, below in picofarads.
  test.each`
    letter | share
    ${'F'} | ${0.01}
    ${'G'} | ${0.02}
    ${'J'} | ${0.05}
    ${'K'} | ${0.1}
    ${'M'} | ${0.2}
    ${'Z'} | ${0.8}
  `('$letter behind a code is $share', ({ letter, share }) => {
    expect(best(`103${letter}`, { kind: 'capacitor' })?.ratings.tolerance).toBe(share);
  });

  test('under 10 pF the letters are picofarads: 4.7 pF C is 0.25 of 4.7', () => {
    expect(best('479C', { kind: 'capacitor' })?.ratings.tolerance).toBeCloseTo(0.25 / 4.7, 9);
  });

  test('every EIA-96 code names its value of E96', () => {
    const series = preferredSeries(96);
    series.forEach((value, index) => {
      const code = `${String(index + 1).padStart(2, '0')}C`;
      expect(best(code, { kind: 'resistor' })?.ratings.resistance).toBeCloseTo(value * 100, 6);
    });
    for (const code of ['00A', '97A', '99C']) expect(decodeMarking(code, { kind: 'resistor' })).toEqual([]);
  });

  // Lists of multi-source diodes and bridges, from their datasheets (from memory).
  test.each`
    stem       | from | volts                                            | amperes
    ${'1N400'} | ${1} | ${[50, 100, 200, 400, 600, 800, 1000]}           | ${1}
    ${'UF400'} | ${1} | ${[50, 100, 200, 400, 600, 800, 1000]}           | ${1}
    ${'FR10'}  | ${1} | ${[50, 100, 200, 400, 600, 800, 1000]}           | ${1}
    ${'FR30'}  | ${1} | ${[50, 100, 200, 400, 600, 800, 1000]}           | ${3}
    ${'1N540'} | ${0} | ${[50, 100, 200, 300, 400, 500, 600, 800, 1000]} | ${3}
    ${'1N539'} | ${1} | ${[50, 100, 200, 300, 400, 500, 600, 800, 1000]} | ${1.5}
    ${'HER10'} | ${1} | ${[50, 100, 200, 300, 400, 600, 800, 1000]}      | ${1}
    ${'1N581'} | ${7} | ${[20, 30, 40]}                                  | ${1}
    ${'1N582'} | ${0} | ${[20, 30, 40]}                                  | ${3}
  `('$stem and a digit: $volts V', ({ stem, from, volts, amperes }) => {
    (volts as number[]).forEach((vrrm, index) => {
      expect(best(`${stem}${from + index}`)).toMatchObject({ kind: 'diode', ratings: { ifav: amperes, vrrm } });
    });
    expect(decodeMarking(`${stem}${from + (volts as number[]).length}`, { kind: 'diode' })[0]?.ratings ?? {}).toEqual(
      {},
    );
  });

  test.each`
    letter | volts
    ${'A'} | ${50}
    ${'B'} | ${100}
    ${'D'} | ${200}
    ${'G'} | ${400}
    ${'J'} | ${600}
    ${'K'} | ${800}
    ${'M'} | ${1000}
  `('a bridge that ends in $letter holds $volts V', ({ letter, volts }) => {
    expect(best(`GBU4${letter}`)).toMatchObject({ kind: 'bridge', ratings: { ifav: 4, vrrm: volts } });
  });
});
