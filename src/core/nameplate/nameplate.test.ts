import { describePlate, judgeNameplate, minimumEfficiency, parseNameplate } from '.';

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
    ${'Input:100-240VAC,50-60Hz,0.35A Output:5.0VDC,2.0A'}               | ${{ kind: 'ac', vMin: 100, vMax: 240, current: 0.35 }} | ${[{ v: 5, i: 2 }]}
    ${'OUTPUT: +15V/2A -15V/0.5A INPUT: 230Vac'}                         | ${{ kind: 'ac', vMin: 230, vMax: 230 }}                | ${[{ v: 15, i: 2 }, { v: -15, i: 0.5 }]}
    ${'Output: 24 V DC 2,5 A; Input: 230 V AC 0,6 A'}                    | ${{ kind: 'ac', vMin: 230, vMax: 230, current: 0.6 }}  | ${[{ v: 24, i: 2.5 }]}
    ${'100-240V~ 1.5A 19V 3.42A'}                                        | ${{ kind: 'ac', vMin: 100, vMax: 240, current: 1.5 }}  | ${[{ v: 19, i: 3.42 }]}
    ${'ENTRADA 127/220V~ SAÍDA 12V 1A'}                                  | ${{ kind: 'ac', vMin: 127, vMax: 220 }}                | ${[{ v: 12, i: 1 }]}
    ${'115V/6A 230V/3A 50-60Hz +3.3V 14A +12V 16A -12V 0.3A'}            | ${{ kind: 'ac', vMin: 115, vMax: 230, current: 6 }}    | ${[{ v: 3.3, i: 14 }, { v: 12, i: 16 }, { v: -12, i: 0.3 }]}
    ${'INPUT AC 100-240V 0.5A DC 5V 3A'}                                 | ${{ kind: 'ac', vMin: 100, vMax: 240, current: 0.5 }}  | ${[{ v: 5, i: 3 }]}
    ${'INPUT 18-60VDC 4A OUTPUT 12VDC 5A'}                               | ${{ kind: 'dc', vMin: 18, vMax: 60, current: 4 }}      | ${[{ v: 12, i: 5 }]}
    ${'IN 12-24V OUT 5V 3A'}                                             | ${{ kind: 'dc', vMin: 12, vMax: 24 }}                  | ${[{ v: 5, i: 3 }]}
    ${'INPUT 100-240V~ 1.8A OUTPUT USB-C 5V=3A 9V=3A'}                   | ${{ kind: 'ac', vMin: 100, vMax: 240, current: 1.8 }}  | ${[{ v: 5, i: 3, alternative: true }, { v: 9, i: 3, alternative: true }]}
  `('$text', ({ text, input, outputs }) => {
    const plate = parseNameplate(text);
    if (input) expect(plate.input).toMatchObject(input);
    else expect(plate.input).toBeUndefined();
    expect(plate.outputs).toEqual(outputs);
  });

  test('a total, an efficiency mark and frequencies', () => {
    const plate = parseNameplate(
      'INPUT 100-240V~ 50/60Hz 5A OUTPUT 12V 18A 5V 20A TOTAL 300W MAX. EFFICIENCY LEVEL VI',
    );
    expect(plate).toMatchObject({ totalPower: 300, efficiencyLevel: 'VI', input: { frequencies: [50, 60] } });
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
    text                                                          | severity         | says
    ${'INPUT 230V~ 0.1A OUTPUT 12V 5A'}                           | ${'reject'}      | ${/not to be believed/}
    ${'INPUT 230V~ 0.45A OUTPUT 12V 5A'}                          | ${'warn'}        | ${/optimistic/}
    ${'INPUT 230V~ 1A OUTPUT 12V 5A 50W'}                         | ${'warn'}        | ${/50 W is printed/}
    ${'INPUT 230V~ 5A OUTPUT 3.3V 20A 5V 20A 12V 18A TOTAL 300W'} | ${'note'}        | ${/add up to 382 W/}
    ${'INPUT 230V~ OUTPUT 12V 1A'}                                | ${'cannot tell'} | ${/a current is missing/}
    ${'INPUT 230V~ 1A OUTPUT 12V'}                                | ${'cannot tell'} | ${/no current or power/}
    ${'nothing here'}                                             | ${'cannot tell'} | ${/No output was found/}
  `('$text: $severity', ({ text, severity, says }) => {
    const { findings } = judgeNameplate(parseNameplate(text));
    expect(
      findings
        .filter((finding) => finding.severity === severity)
        .map(({ text: said }) => said.replace(/\u00a0/g, ' '))
        .join(' '),
    ).toMatch(says);
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
