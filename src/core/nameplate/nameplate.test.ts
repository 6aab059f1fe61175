import {
  checkClaims,
  describePlate,
  isoWeek,
  judgeAge,
  judgeNameplate,
  minimumEfficiency,
  parseNameplate,
  readDateCode,
  reservoirValley,
  supplyOf,
} from '.';

const near = (value: number | undefined, expected: number, share = 0.005) =>
  expect(Math.abs((value ?? NaN) / expected - 1)).toBeLessThan(share);

describe('parseNameplate', () => {
  test.each`
    text                                                                 | input                                                  | outputs
    ${'INPUT 100-240V~ 50/60Hz 1.5A OUTPUT 19V 4.74A'}                   | ${{ kind: 'ac', vMin: 100, vMax: 240, current: 1.5 }}  | ${[{ v: 19, i: 4.74 }]}
    ${'Input: AC 100-240V 50-60Hz, 1.5A; Output: DC 24V ⎓ 2.5A 60W'}     | ${{ kind: 'ac', vMin: 100, vMax: 240, current: 1.5 }}  | ${[{ v: 24, i: 2.5, p: 60 }]}
    ${'I/P 230V~ 50Hz 80mA O/P 5V= 1A'}                                  | ${{ kind: 'ac', vMin: 230, vMax: 230, current: 0.08 }} | ${[{ v: 5, i: 1 }]}
    ${'OUTPUT: +5V 20A, +3.3V 20A, +12V 18A, -12V 0.5A INPUT: 230V~ 4A'} | ${{ kind: 'ac', vMin: 230, vMax: 230, current: 4 }}    | ${[{ v: 5, i: 20 }, { v: 3.3, i: 20 }, { v: 12, i: 18 }, { v: -12, i: 0.5 }]}
    ${'INPUT 220-240V~ 0.2A OUTPUT 30-42V 350mA'}                        | ${{ kind: 'ac', vMin: 220, vMax: 240, current: 0.2 }}  | ${[{ v: 30, vMax: 42, i: 0.35 }]}
    ${'INPUT 100-240V~ 0.7A OUTPUT 5V 3A or 9V 2A'}                      | ${{ kind: 'ac', vMin: 100, vMax: 240, current: 0.7 }}  | ${[{ v: 5, i: 3, alternative: true }, { v: 9, i: 2, alternative: true }]}
    ${'INPUT 12V= 3A OUTPUT 19V 1.6A'}                                   | ${{ kind: 'dc', vMin: 12, vMax: 12, current: 3 }}      | ${[{ v: 19, i: 1.6 }]}
    ${'INPUT 230V~ OUTPUT 12V'}                                          | ${{ kind: 'ac', vMin: 230, vMax: 230 }}                | ${[{ v: 12 }]}
    ${'made on the island'}                                              | ${undefined}                                           | ${[]}
  `('$text', ({ text, input, outputs }) => {
    const plate = parseNameplate(text);
    if (input) expect(supplyOf(plate)).toMatchObject(input);
    else expect(plate.inputs).toEqual([]);
    expect(plate.outputs).toEqual(outputs);
  });

  test('a total, an efficiency mark and frequencies', () => {
    const plate = parseNameplate(
      'INPUT 100-240V~ 50/60Hz 5A OUTPUT 12V 18A 5V 20A TOTAL 300W MAX. EFFICIENCY LEVEL VI',
    );
    expect(plate).toMatchObject({ totalPower: 300, efficiencyLevel: 'VI', inputs: [{ frequencies: [50, 60] }] });
    expect(plate.outputs).toHaveLength(2);
  });
});

describe('judgeNameplate', () => {
  test('a 19 V 4.74 A brick: power, currents with the assumptions stated, agreement', () => {
    const judged = judgeNameplate(parseNameplate('INPUT 100-240V~ 1.5A OUTPUT 19V 4.74A'));
    near(judged.ratedPower, 90.06);
    near(judged.inputCurrents[0]?.amperes, 90.06 / 0.85 / 115 / 0.97);
    near(judged.inputCurrents[1]?.amperes, 90.06 / 0.85 / 230 / 0.97);
    near(judged.highestBulkVoltage, 373.4);
    expect(judged.findings.map(({ severity }) => severity)).toEqual(['ok']);
  });

  // 65 W at efficiency 0.87 and power factor 0.55, worked by hand: 0.591 A at 230 V, 1.358 A at 100 V.
  test('input current follows P / (efficiency × V × power factor)', () => {
    const judged = judgeNameplate(parseNameplate('INPUT 100-240V~ 1.6A OUTPUT 19V 3.42A'));
    near((judged.inputCurrents[1]?.amperes ?? 0) * (judged.efficiency?.value ?? 0), 0.591 * 0.87, 0.01);
  });

  test.each`
    text                                                          | severity         | message
    ${'INPUT 230V~ 0.1A OUTPUT 12V 5A'}                           | ${'reject'}      | ${/not to be believed/}
    ${'INPUT 230V~ 0.45A OUTPUT 12V 5A'}                          | ${'warn'}        | ${/optimistic/}
    ${'INPUT 230V~ 1A OUTPUT 12V 5A 50W'}                         | ${'warn'}        | ${/50 W is printed/}
    ${'INPUT 230V~ 5A OUTPUT 3.3V 20A 5V 20A 12V 18A TOTAL 300W'} | ${'note'}        | ${/add up to 382 W/}
    ${'INPUT 230V~ OUTPUT 12V 1A'}                                | ${'cannot tell'} | ${/a current is missing/}
    ${'INPUT 230V~ 1A OUTPUT 12V'}                                | ${'cannot tell'} | ${/no current or power/}
    ${'nothing here'}                                             | ${'cannot tell'} | ${/No output was found/}
  `('$text: $severity', ({ text, severity, message }) => {
    const { findings } = judgeNameplate(parseNameplate(text));
    expect(
      findings
        .filter((finding) => finding.severity === severity)
        .map(({ text: said }) => said.replace(/\u00a0/g, ' '))
        .join(' '),
    ).toMatch(message);
  });

  // Volumes and powers worked by hand.
  test.each`
    text                  | mm                | perLitre
    ${'OUTPUT 19V 3.42A'} | ${[108, 46, 30]}  | ${436}
    ${'OUTPUT 24V 2.5A'}  | ${[115, 50, 32]}  | ${326}
    ${'OUTPUT 12V 25A'}   | ${[150, 140, 86]} | ${166}
  `('$text in $mm mm is $perLitre W/L', ({ text, mm, perLitre }) => {
    const [length, width, height] = mm.map((side: number) => side / 1000);
    near(judgeNameplate(parseNameplate(text), { length, width, height }).density?.perLitre, perLitre);
  });

  test('alternatives are not added up', () => {
    near(judgeNameplate(parseNameplate('INPUT 230V~ 1A OUTPUT 5V 3A or 9V 2A')).ratedPower, 18);
  });
});

// International Efficiency Marking Protocol (from memory), evaluated by hand.
test.each`
  level   | watts | volts | amperes | percent
  ${'VI'} | ${10} | ${12} | ${0.83} | ${82.0}
  ${'VI'} | ${24} | ${12} | ${2}    | ${86.2}
  ${'VI'} | ${45} | ${20} | ${2.25} | ${87.7}
  ${'V'}  | ${10} | ${12} | ${0.83} | ${76.6}
  ${'V'}  | ${36} | ${12} | ${3}    | ${84.6}
  ${'IV'} | ${24} | ${12} | ${2}    | ${78.6}
`('mark $level at $watts W promises $percent %', ({ level, watts, volts, amperes, percent }) => {
  expect(minimumEfficiency({ level, power: watts, voltage: volts, current: amperes }) * 100).toBeCloseTo(percent, 0);
});

test.each`
  text                                              | words
  ${'INPUT 100-240V~ 50/60Hz 1.5A OUTPUT 24V 2.5A'} | ${'100–240 V~ 1.5 A to 24 V 2.5 A'}
  ${'INPUT 230V~ OUTPUT +12V 3A -12V 0.5A'}         | ${'230 V~ to 12 V 3 A, −12 V 500 mA'}
  ${'OUTPUT 5V 3A or 9V 2A'}                        | ${'5 V 3 A or 9 V 2 A'}
  ${'no figures at all'}                            | ${''}
`('“$text” in a few words: $words', ({ text, words }) => {
  expect(describePlate(parseNameplate(text)).replace(/\u00a0/g, ' ')).toBe(words);
});

describe('claims against what the unit is built of', () => {
  // F2-3: T3.15A at 230 V, PF 0.60, efficiency 0.85 gives 296 W at 0.8; here PF 0.55 and 240 V, worked by hand.
  test.each`
    label                                      | claimed | found                     | watts    | severity
    ${'INPUT 230V~ 11A OUTPUT 230V~ 2500W'}    | ${2500} | ${{ fuse: 5 }}            | ${803}   | ${'reject'}
    ${'INPUT 230V~ 2A OUTPUT 24V 5A'}          | ${120}  | ${{ fuse: 3.15 }}         | ${506}   | ${'ok'}
    ${'INPUT 100-240V~ 1.5A OUTPUT 19V 3.42A'} | ${65}   | ${{ inlet: 'C7' }}        | ${280.5} | ${'ok'}
    ${'INPUT 230V~ OUTPUT 12V 60A'}            | ${720}  | ${{ inlet: 'C7' }}        | ${502}   | ${'warn'}
    ${'INPUT 230V~ OUTPUT 12V 60A'}            | ${2000} | ${{ cable: 0.75e-6 }}     | ${1205}  | ${'reject'}
    ${'MAINS 230V~ 2000W'}                     | ${2000} | ${{ thyristor: 4 }}       | ${920}   | ${'reject'}
    ${'INPUT 100-240V~ OUTPUT 19V 3.42A'}      | ${65}   | ${{ bulk: 100e-6 }}       | ${56.7}  | ${'warn'}
    ${'INPUT 230V~ OUTPUT 12V 5A'}             | ${60}   | ${{ fuse: 5, switch: 1 }} | ${107.5} | ${'ok'}
  `('$claimed W, $found: $watts W, $severity', ({ label, claimed, found, watts, severity }) => {
    const check = checkClaims(parseNameplate(label), claimed, found);
    near(check.plausible, watts, 0.01);
    expect(check.findings[0]?.severity).toBe(severity);
  });

  test('without a bound, or without a claim, nothing is said', () => {
    expect(checkClaims(parseNameplate('INPUT 230V~ OUTPUT 12V 1A'), 12, {}).findings).toEqual([]);
    expect(checkClaims(parseNameplate('INPUT 230V~'), undefined, { fuse: 1 }).findings).toEqual([]);
  });
});

describe('date codes', () => {
  const today = { year: 2026, week: 48 };
  test.each`
    code      | first                       | why
    ${'2314'} | ${{ year: 2023, week: 14 }} | ${'YYWW'}
    ${'1952'} | ${{ year: 2019, week: 52 }} | ${'YYWW'}
    ${'9853'} | ${{ year: 1998, week: 53 }} | ${'not yet 2098'}
    ${'2649'} | ${undefined}                | ${'next week'}
    ${'2300'} | ${undefined}                | ${'no week 0'}
    ${'2354'} | ${undefined}                | ${'no week 54'}
    ${'948'}  | ${{ year: 2019, week: 48 }} | ${'2029 is to come'}
    ${'412'}  | ${{ year: 2024, week: 12 }} | ${'the latest decade first'}
    ${'N5'}   | ${{ year: 2021, month: 5 }} | ${'IEC 60062 letter'}
    ${'TL43'} | ${undefined}                | ${'no code'}
  `('$code: $first ($why)', ({ code, first }) => {
    const [reading] = readDateCode(code, today);
    if (first) expect(reading).toMatchObject(first);
    else expect(reading).toBeUndefined();
  });

  // ISO 8601: worked with a calendar; 2314 begins on Monday 2023-04-03, 1952 on 2019-12-23.
  test.each`
    day             | year    | week
    ${'2023-04-03'} | ${2023} | ${14}
    ${'2019-12-23'} | ${2019} | ${52}
    ${'2021-01-03'} | ${2020} | ${53}
    ${'2024-12-30'} | ${2025} | ${1}
  `('$day lies in week $week of $year', ({ day, year, week }) => {
    expect(isoWeek(Date.parse(`${day}T12:00:00Z`))).toEqual({ year, week });
  });

  test('the newest code bounds the age, and a neighbour settles the decade', () => {
    const age = judgeAge(
      [
        { code: '1948', place: 'C3' },
        { code: '951', place: 'U1' },
        { code: '7812', place: 'IC2' },
      ],
      today,
    );
    expect(age.newest).toMatchObject({ year: 2019, week: 51, confidence: 0.9 });
    expect(age.from).toBe('U1 951');
    expect(judgeAge([{ code: 'X', place: 'lid' }], today)).toMatchObject({ unreadable: ['lid X'] });
  });
});

test('choices of one socket count once, and a shared limit caps its rails', () => {
  const power = (text: string) => judgeNameplate(parseNameplate(text)).ratedPower;
  near(power('INPUT 230V~ USB-C1: 5V=3A 20V=3.25A USB-A: 5V=2.4A'), 65 + 12);
  near(power('INPUT 230V~ 5A +3.3V&+5V=120W MAX +3.3V 20A +5V 20A +12V 10A'), 120 + 120);
});

test('a density that its year does not fit is doubted', () => {
  const message = (year?: number) =>
    judgeNameplate(parseNameplate('OUTPUT 20V 5A'), {
      ...{ length: 0.06, width: 0.05, height: 0.04 },
      ...(year ? { year } : {}),
    }).findings.at(-1);
  expect(message()).toMatchObject({ severity: 'ok' });
  expect(message(2004)).toMatchObject({ severity: 'warn', text: expect.stringMatching(/gallium nitride.*Doubt/) });
});

// F2-9: 65 W out at 0.87, 74.7 W in, at 90 V.
test.each`
  uF     | hertz | valley
  ${100} | ${50} | ${75.5}
  ${150} | ${50} | ${92.9}
  ${100} | ${60} | ${84.3}
  ${10}  | ${50} | ${0}
`('$uF µF at $hertz Hz falls to $valley V', ({ uF, hertz, valley }) => {
  expect(reservoirValley({ power: 74.7, capacitance: uF * 1e-6, volts: 90, hertz })).toBeCloseTo(valley, 0);
});

// F2-10: a bare TO-220 triac at 85 K above the room passes 1.29 A, 296 W at 230 V, whatever its case current says.
test.each`
  claimed | amperes | message
  ${2000} | ${16}   | ${/passes about 300 W/}
  ${250}  | ${16}   | ${undefined}
  ${400}  | ${1}    | ${/passes about 230 W/}
`('$claimed W through a triac of $amperes A without a fin', ({ claimed, amperes, message }) => {
  const { findings } = checkClaims(parseNameplate('MAINS 230V~'), claimed, { thyristor: amperes });
  const note = findings.find(({ severity }) => severity === 'note')?.text.replace(/\u00a0/g, ' ');
  if (message) expect(note).toMatch(message);
  else expect(note).toBeUndefined();
});

// F2-1 and F2-2 divided by their own efficiency and power factor, so that the sums alone are held.
test.each`
  label                                      | efficiency | factor  | at230    | watts
  ${'INPUT 100-240V~ OUTPUT 19V 3.42A (VI)'} | ${0.88}    | ${0.55} | ${0.584} | ${65}
  ${'INPUT 100-240V~ OUTPUT 12V 41.67A'}     | ${0.9}     | ${0.97} | ${2.49}  | ${500}
`('$label: $watts W at $efficiency and $factor takes $at230 A', ({ label, efficiency, factor, at230 }) => {
  const judged = judgeNameplate(parseNameplate(label));
  near(judged.efficiency?.value, efficiency);
  near(judged.powerFactor?.value, factor);
  near(judged.inputCurrents[1]?.amperes, at230, 0.005);
});

test('density by kind: what is usual for a box is not for a brick', () => {
  const message = (kind: 'desk-brick' | 'internal' | 'usb-charger') =>
    judgeNameplate(parseNameplate('OUTPUT 12V 10A'), {
      length: 0.1,
      width: 0.1,
      height: 0.08,
      kind,
      year: 2015,
    }).findings.at(-1);
  expect(message('internal')).toMatchObject({
    severity: 'ok',
    text: expect.stringMatching(/150 W per litre.*PC supply/),
  });
  expect(message('desk-brick')).toMatchObject({
    severity: 'note',
    text: expect.stringMatching(/not for a unit of this kind/),
  });
});

test('a lamp driver counts as corrected from 25 W', () => {
  const factor = (kind: 'lamp-driver' | 'desk-brick', text: string) =>
    judgeNameplate(parseNameplate(text), { kind }).powerFactor?.value;
  expect(factor('lamp-driver', 'INPUT 230V~ OUTPUT 42V 0.9A')).toBe(0.97);
  expect(factor('desk-brick', 'INPUT 230V~ OUTPUT 42V 0.9A')).toBe(0.55);
  expect(factor('lamp-driver', 'INPUT 230V~ OUTPUT 12V 1A')).toBe(0.55);
});
