import {
  compareMatches,
  demandText,
  filterText,
  questionInWords,
  questionProblemText,
  looseningFor,
  matchLot,
  readQuestion,
  readStockCommand,
  stockCommandText,
  type LotFacts,
  type StockFilter,
  lotTitle,
} from '.';

const filter = (text: string): StockFilter => {
  const parsed = readQuestion(text);
  if (!parsed.ok) throw new Error(questionProblemText(parsed.problem));
  return parsed.filter;
};

const about = (value: number, within: number) => ({ comparison: 'about', value, within });

describe('a question to the drawers', () => {
  test.each`
    text                                    | meaning
    ${'nmos >=600V'}                        | ${{ kind: { kinds: ['nmos'] }, demands: [{ rating: 'vds', comparison: 'at-least', value: 600 }] }}
    ${'nmos 600V'}                          | ${{ demands: [{ rating: 'vds', comparison: 'at-least', value: 600 }] }}
    ${'nmos 600 8'}                         | ${{ demands: [{ rating: 'vds', value: 600 }, { rating: 'id', value: 8 }] }}
    ${'nmos vds>=600 rds<1.3'}              | ${{ demands: [{ rating: 'vds' }, { rating: 'rdsOn', comparison: 'below', value: 1.3 }] }}
    ${'nmos v >= 600'}                      | ${{ demands: [{ rating: 'vds', value: 600 }] }}
    ${'diode >=100V if>=3A'}                | ${{ kind: { not: ['zener', 'tvs', 'led'] }, demands: [{ rating: 'vrrm', value: 100 }, { rating: 'ifav', value: 3 }] }}
    ${'capacitor c~100u v>=25'}             | ${{ demands: [{ rating: 'capacitance', ...about(100e-6, 0.2) }, { rating: 'voltage', value: 25 }] }}
    ${'resistor 4k7'}                       | ${{ demands: [{ rating: 'resistance', ...about(4700, 0.05) }] }}
    ${'4.7 kilo ohm 1/4 W or more'}         | ${{ kind: { kinds: ['resistor'] }, demands: [{ value: 4700 }, { rating: 'power', comparison: 'at-least', value: 0.25 }] }}
    ${'film 1 µF 400 V'}                    | ${{ kind: { variants: ['film'] }, demands: [about(1e-6, 0.1), { rating: 'voltage', comparison: 'at-least', value: 400 }] }}
    ${'regulator 12V'}                      | ${{ demands: [{ rating: 'vout', ...about(12, 0.05) }] }}
    ${'fan 12 80'}                          | ${{ demands: [{ rating: 'voltage', ...about(12, 0.08) }, { rating: 'size', ...about(0.08, 0.05) }] }}
    ${'zener 5.1V'}                         | ${{ demands: [{ rating: 'vz', ...about(5.1, 0.05) }] }}
    ${'Fuse T2A 5x20'}                      | ${{ kind: { kinds: ['fuse'] }, words: ['slow', '5x20'], demands: [{ rating: 'current', ...about(2, 0.05) }] }}
    ${'fuses between 2 and 4 amps'}         | ${{ demands: [{ comparison: 'between', value: 2, upper: 4 }] }}
    ${'NPN Vceo ≥ 400 V, Ic 4…10 A'}        | ${{ demands: [{ rating: 'vceo', comparison: 'at-least', value: 400 }, { rating: 'ic', comparison: 'between', value: 4, upper: 10 }] }}
    ${'transistor 60V'}                     | ${{ demands: [{ rating: 'vceo', others: ['vds', 'vces'], comparison: 'at-least', value: 60 }] }}
    ${'transfo 230V/12V 10VA'}              | ${{ demands: [{ rating: 'primary', value: 230 }, { rating: 'voltage', value: 12 }, { rating: 'power', comparison: 'at-least', value: 10 }] }}
    ${'mosfte n chanel 30v'}                | ${{ kind: { kinds: ['nmos'] }, demands: [{ rating: 'vds', value: 30 }] }}
    ${'electrolytic max 10 mm diameter'}    | ${{ demands: [{ rating: 'diameter', comparison: 'at-most', value: 0.01 }] }}
    ${'e-cap 47u 400v not grade c'}         | ${{ grades: ['A', 'B', null], kind: { variants: ['electrolytic'] } }}
    ${'grade b or better triacs'}           | ${{ grades: ['A', 'B'], kind: { kinds: ['triac'] } }}
    ${'what is in drawer A3-2'}             | ${{ bin: 'A3-2', demands: [] }}
    ${'something like a 2N60 but stronger'} | ${{ like: { marking: '2n60', isStronger: true } }}
    ${'choke =100uH'}                       | ${{ kind: { kinds: ['inductor'] }, demands: [{ rating: 'inductance', comparison: 'equal' }] }}
    ${'cap >= 25V'}                         | ${{ kind: { kinds: ['capacitor'] }, demands: [{ rating: 'voltage', value: 25 }] }}
    ${'cap >= 25u'}                         | ${{ demands: [{ rating: 'capacitance', value: 25e-6 }] }}
    ${'heat sink'}                          | ${{ kind: { kinds: ['heat-sink'] } }}
    ${'nmos to220 grade:b bin:c2'}          | ${{ packages: ['TO-220'], grades: ['A', 'B'], bin: 'C2' }}
    ${'evidence:measured 12n65'}            | ${{ source: 'measured', words: ['12n65'] }}
    ${'schottky >=60V'}                     | ${{ kind: { kinds: ['diode', 'dual-diode'], variants: ['schottky'] }, demands: [{ rating: 'vrrm', value: 60 }] }}
    ${''}                                   | ${{ demands: [], words: [] }}
  `('$text', ({ text, meaning }) => {
    expect(filter(text)).toMatchObject(meaning);
  });

  test.each`
    text                          | message
    ${'>=600V'}                   | ${/“>=600V” of which kind/}
    ${'400'}                      | ${/“400” of which kind/}
    ${'something for 12 volts'}   | ${/“12V” of which kind/}
    ${'same as yesterday better'} | ${/“yesterday”/}
    ${'gizmo'}                    | ${/“gizmo”/}
    ${'nmos vds>=high'}           | ${/“vds>=high”.*value/}
    ${'nmos >=3uF'}               | ${/no rating of a N-FET/}
    ${'grade:z'}                  | ${/A, B or C/}
    ${'for:soup'}                 | ${/mains, switching/}
    ${'cap 47u..10u'}             | ${/smaller value first/}
    ${'cap x..yu'}                | ${/range such as/}
    ${'evidence:none'}            | ${/measured/}
  `('$text is asked back', ({ text, message }) => {
    const read = readQuestion(text);
    expect(read.ok ? '' : questionProblemText(read.problem)).toMatch(message);
  });

  test('what was understood is told, and typed again it means the same', () => {
    const asked = filter('electrolytic 1000u 25V low esr max 10 mm diameter not grade c');
    expect(questionInWords(asked).replaceAll('\u00a0', ' ')).toBe(
      'electrolytic, about 1000 µF ± 20 %, at least 25 V, ESR at most 100 mΩ, diameter at most 10 mm, grade A, B, none',
    );
    const again = filter(filterText(asked));
    expect(again.demands.map(({ rating, comparison }) => `${rating} ${comparison}`)).toEqual(
      asked.demands.map(({ rating, comparison }) => `${rating} ${comparison}`),
    );
    expect([again.kind?.variants, again.grades]).toEqual([asked.kind?.variants, asked.grades]);
  });
});

describe('matching', () => {
  const lot = (ratings: LotFacts['ratings'], grade: LotFacts['grade'] = 'A'): LotFacts => ({
    kind: 'nmos',
    grade,
    ratings,
  });
  const sheet = (value: number) => ({ value, source: 'datasheet' as const });
  const decoded = (value: number) => ({ value, source: 'decoded' as const, confidence: 0.85 });

  test.each`
    facts                                            | verdict      | margin       | why
    ${lot({ vds: sheet(600) })}                      | ${'fits'}    | ${1.5}       | ${'a datasheet value counts in full'}
    ${lot({ vds: decoded(1000) })}                   | ${'fits'}    | ${1.25}      | ${'a doubtful decode counts half'}
    ${lot({ vds: decoded(650) })}                    | ${'limit'}   | ${0.8125}    | ${'fits on paper only'}
    ${lot({ vds: sheet(600) }, 'C')}                 | ${'limit'}   | ${1.5}       | ${'grade C'}
    ${lot({})}                                       | ${'unknown'} | ${undefined} | ${'a missing rating never fits'}
    ${lot({ vds: sheet(200) })}                      | ${'no'}      | ${undefined} | ${'too low'}
    ${{ ...lot({ vds: sheet(600) }), kind: 'pmos' }} | ${'no'}      | ${undefined} | ${'wrong kind'}
  `('nmos vds>=400: $verdict ($why)', ({ facts, verdict, margin }) => {
    const match = matchLot(filter('nmos vds>=400'), facts);
    expect(match.verdict).toBe(verdict);
    if (margin === undefined) expect(match.margin).toBeUndefined();
    else expect(match.margin).toBeCloseTo(margin, 6);
  });

  test('a grade is a floor', () => {
    expect(matchLot(filter('nmos grade:b'), lot({}, 'A')).verdict).toBe('fits');
    expect(matchLot(filter('nmos grade:a'), lot({}, 'B')).verdict).toBe('no');
  });

  test('losses are met from below', () => {
    expect(matchLot(filter('nmos rds<1'), lot({ rdsOn: sheet(0.5) })).margin).toBeCloseTo(2, 6);
  });

  test('what fits comes first, and of that the tightest, so that strong parts are kept', () => {
    const matches = [1200, 450, 600].map((volts) => ({
      volts,
      match: matchLot(filter('nmos vds>=400'), lot({ vds: sheet(volts) })),
    }));
    matches.push({ volts: 650, match: matchLot(filter('nmos vds>=400'), lot({ vds: decoded(650) })) });
    expect(matches.sort((a, b) => compareMatches(a.match, b.match)).map(({ volts }) => volts)).toEqual([
      450, 600, 1200, 650,
    ]);
  });
});

test.each`
  need                       | lots                                                                                    | order        | why
  ${'nmos 600V 8A'}          | ${[{ vds: 600, id: 20 }, { vds: 600, id: 9 }, { vds: 900, id: 8 }]}                     | ${[1, 2, 0]} | ${'9 A before 20 A at equal volts, over both ratings together'}
  ${'electrolytic 100u 25V'} | ${[{ capacitance: 1e-4, voltage: 100 }, { capacitance: 1e-4, voltage: 35 }]}            | ${[1, 0]}    | ${'35 V before 100 V'}
  ${'cap >=100u'}            | ${[{ capacitance: 3.3e-3 }, { capacitance: 1e-4 }]}                                     | ${[1, 0]}    | ${'100 µF before 3300 µF'}
  ${'nmos 600V'}             | ${[{ vds: 600, grade: 'B' }, { vds: 600, grade: 'A' }, { vds: 600, grade: 'A', n: 9 }]} | ${[2, 1, 0]} | ${'then the better grade, then the more pieces'}
`('“$need”: best is nearest above ($why)', ({ need, lots, order }) => {
  const kind = (need as string).startsWith('nmos') ? 'nmos' : 'capacitor';
  const facts = (lots as { grade?: 'A' | 'B'; n?: number }[]).map(({ grade = 'A', n = 1, ...ratings }, index) => {
    const known = Object.fromEntries(
      Object.entries(ratings).map(([name, value]) => [name, { value: Number(value), source: 'datasheet' as const }]),
    );
    const match = matchLot(filter(need as string), { kind, subtype: 'electrolytic', grade, ratings: known });
    return { ...match, index, grade, pieces: n };
  });
  expect(facts.toSorted(compareMatches).map(({ index }) => index)).toEqual(order);
});

test.each`
  grade       | partId      | verdict
  ${null}     | ${'a part'} | ${'limit'}
  ${null}     | ${null}     | ${'fits'}
  ${'A'}      | ${'a part'} | ${'fits'}
  ${'reject'} | ${'a part'} | ${'no'}
`('graded $grade, off a board: $partId: $verdict', ({ grade, partId, verdict }) => {
  const ratings = { vds: { value: 600, source: 'datasheet' as const } };
  expect(matchLot(filter('nmos 500V'), { kind: 'nmos', grade, partId, ratings }).verdict).toBe(verdict);
});

describe('limits travel with the lot', () => {
  const can = (limits: LotFacts['limits']): LotFacts => ({
    kind: 'capacitor',
    grade: 'B',
    ratings: { voltage: { value: 400, source: 'datasheet' } },
    ...(limits ? { limits } : {}),
  });
  test.each`
    need                       | limits                                                  | verdict    | why
    ${'cap v>=350'}            | ${[]}                                                   | ${'fits'}  | ${'none'}
    ${'cap v>=350'}            | ${[{ kind: 'derated', rating: 'voltage', share: 0.8 }]} | ${'no'}    | ${'320 V are left'}
    ${'cap v>=300'}            | ${[{ kind: 'derated', rating: 'voltage', share: 0.8 }]} | ${'fits'}  | ${'320 V are enough'}
    ${'cap v>=300'}            | ${[{ kind: 'not-for', use: 'ripple' }]}                 | ${'limit'} | ${'nothing was said about ripple'}
    ${'cap v>=300 for:ripple'} | ${[{ kind: 'not-for', use: 'ripple' }]}                 | ${'no'}    | ${'it is to stand ripple'}
    ${'cap v>=300 for:timing'} | ${[{ kind: 'not-for', use: 'ripple' }]}                 | ${'limit'} | ${'another use'}
  `('“$need” of a lot with $limits: $verdict ($why)', ({ need, limits, verdict }) => {
    expect(matchLot(filter(need as string), can(limits)).verdict).toBe(verdict);
  });
});

// Across the barrier only Y, on the mains only X or Y; Y4 is made for 150 V (IEC 60384-14, from memory).
test.each`
  need                             | subtype           | verdict
  ${'capacitor c~2n2 for:barrier'} | ${'ceramic'}      | ${'no'}
  ${'capacitor c~2n2 for:barrier'} | ${null}           | ${'no'}
  ${'capacitor c~2n2 for:barrier'} | ${'x2'}           | ${'no'}
  ${'capacitor c~2n2 for:barrier'} | ${'y4'}           | ${'no'}
  ${'capacitor c~2n2 for:barrier'} | ${'y2'}           | ${'limit'}
  ${'capacitor c~2n2 for:barrier'} | ${'y1'}           | ${'fits'}
  ${'capacitor c~2n2 for:barrier'} | ${'x1y1'}         | ${'fits'}
  ${'capacitor c~2n2 for:mains'}   | ${'film'}         | ${'no'}
  ${'capacitor c~2n2 for:mains'}   | ${'x2'}           | ${'fits'}
  ${'capacitor c~2n2 for:mains'}   | ${'y2'}           | ${'fits'}
  ${'capacitor c~2n2 for:mains'}   | ${'electrolytic'} | ${'fits'}
`('“$need” of a 2.2 nF 1 kV capacitor of subtype $subtype: $verdict', ({ need, subtype, verdict }) => {
  const lot: LotFacts = {
    kind: 'capacitor',
    subtype: subtype as string | null,
    grade: 'A',
    ratings: {
      capacitance: { value: 2.2e-9, source: 'datasheet' },
      voltage: { value: 1000, source: 'datasheet' },
    },
  };
  expect(matchLot(filter(need as string), lot).verdict).toBe(verdict);
});

test('a resistor never bridges the barrier', () => {
  const lot: LotFacts = { kind: 'resistor', grade: 'A', ratings: {} };
  expect(matchLot(filter('resistor for:barrier'), lot).verdict).toBe('no');
  expect(matchLot(filter('optocoupler for:barrier'), { ...lot, kind: 'optocoupler' }).verdict).toBe('fits');
});

describe('near misses', () => {
  test.each`
    need               | value    | message             | again
    ${'nmos vds>=600'} | ${550}   | ${'550 V will do'}  | ${'vds>=550V'}
    ${'nmos rds<0.5'}  | ${0.6}   | ${'600 mΩ will do'} | ${'rds<=600m'}
    ${'cap 10u..47u'}  | ${56e-6} | ${'56 µF will do'}  | ${'c=10uF..56uF'}
    ${'nmos vds>=600'} | ${200}   | ${undefined}        | ${undefined}
    ${'nmos vds>=600'} | ${650}   | ${undefined}        | ${undefined}
  `('$need, $value: $message', ({ need, value, message, again }) => {
    const [demand] = filter(need as string).demands;
    if (!demand) throw new Error('no demand');
    const found = looseningFor(demand, value as number);
    expect(found?.message.replaceAll('\u00a0', ' ')).toBe(message);
    if (!found) return;
    const text = demandText(found.loosened);
    expect(text).toBe(again);
    // What is written for the person reads back as the same demand.
    expect(filter(`${(need as string).split(' ')[0]} ${text}`).demands[0]?.rating).toBe(demand.rating);
  });
});

describe('commands to the drawers in one line', () => {
  test.each`
    line                                 | command
    ${'move CDD-DDM to c2-5'}            | ${{ kind: 'move', code: 'CDD-DDM', bin: 'C2-5' }}
    ${'move cddddm C2-5'}                | ${{ kind: 'move', code: 'CDD-DDM', bin: 'C2-5' }}
    ${'take 2 of CDD-DDM for the lathe'} | ${{ kind: 'take', code: 'CDD-DDM', quantity: 2, note: 'the lathe' }}
    ${'take CDD-DDM'}                    | ${{ kind: 'take', code: 'CDD-DDM', quantity: 1, note: '' }}
    ${'part 3 of CDD-DDM into C2-6'}     | ${{ kind: 'split', code: 'CDD-DDM', quantity: 3, bin: 'C2-6' }}
    ${'nmos >=600V'}                     | ${undefined}
    ${'move K7F-2QM to C2-5'}            | ${{ why: expect.stringContaining('no lot’s code') }}
    ${'move CDD-DDM to the_shelf'}       | ${{ why: expect.stringContaining('THE_SHELF'.toLowerCase()) }}
    ${'take 0 of CDD-DDM'}               | ${{ why: expect.stringContaining('from 1') }}
    ${'part CDD-DDM'}                    | ${{ why: expect.stringContaining('Write it like') }}
  `('“$line”', ({ line, command }) => {
    const read = readStockCommand(line as string);
    expect(read).toEqual(command);
    if (read && 'kind' in read) expect(stockCommandText(read)).toContain('CDD-DDM');
  });
});

test.each`
  kind           | marking    | ratings                                 | title
  ${'nmos'}      | ${'12N60'} | ${{ vds: 600 }}                         | ${'12N60'}
  ${'resistor'}  | ${''}      | ${{ resistance: 1e4 }}                  | ${'10 kΩ resistor'}
  ${'capacitor'} | ${''}      | ${{ capacitance: 68e-6, voltage: 450 }} | ${'68 µF 450 V capacitor'}
  ${'fan'}       | ${''}      | ${{ voltage: 12 }}                      | ${'12 V fan'}
  ${'heat-sink'} | ${''}      | ${{}}                                   | ${'heat sink'}
`('a lot of $kind is called $title', ({ kind, marking, ratings, title }) => {
  const known = Object.fromEntries(
    Object.entries(ratings as Record<string, number>).map(([name, value]) => [name, { value, source: 'datasheet' }]),
  );
  expect(lotTitle({ kind, marking, ratings: known }).replaceAll('\u00a0', ' ')).toBe(title);
});
