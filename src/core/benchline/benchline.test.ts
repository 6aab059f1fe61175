import fc from 'fast-check';
import { benchProblemText, complete, GRAMMAR, understand, type BenchContext } from '.';

const context: BenchContext = {
  parts: [
    { ref: 'Q1', kind: 'nmos' },
    { ref: 'R12', kind: 'resistor' },
    { ref: 'C5', kind: 'capacitor' },
    { ref: 'J1', kind: 'connector' },
    { ref: 'T1', kind: 'transformer' },
  ],
  stores: ['VBUS', 'C3'],
  types: ['12N65', 'MBR20100CT', 'UC3842', 'UC3843', 'UC3843B'],
};

const read = (line: string) => {
  const understanding = understand(line, context);
  return understanding.ok ? understanding.records[0] : understanding.problem;
};

test.each(GRAMMAR.map(({ line }) => line))('the documented line “%s” is understood', (line) => {
  const logged: BenchContext = { ...context, parts: [...context.parts, { ref: 'BR1', kind: 'bridge' }] };
  expect(understand(line, logged)).toMatchObject({ ok: true });
});

describe('what a line means', () => {
  test.each`
    line                                             | record
    ${'q1 nmos to-220 marked 12N65'}                 | ${{ kind: 'part', ref: 'Q1', partKind: 'nmos', package: 'TO-220', marking: '12N65' }}
    ${'q2 nmos marked k 12n65 x'}                    | ${{ kind: 'part', ref: 'Q2', marking: 'K 12N65 X' }}
    ${'vr1 varistor marked 14D471K burnt'}           | ${{ kind: 'part', marking: '14D471K', damage: ['burnt'] }}
    ${'c7 82u 400V 105C bulged'}                     | ${{ kind: 'part', ref: 'C7', partKind: 'capacitor', damage: ['bulged'], ratings: [{ name: 'capacitance', value: 82e-6 }, { name: 'voltage', value: 400 }, { name: 'temperature', value: 105 }] }}
    ${'d8 schottky dual-diode to220'}                | ${{ kind: 'part', ref: 'D8', partKind: 'dual-diode' }}
    ${'d3 zener marked 5V1'}                         | ${{ kind: 'part', partKind: 'diode', subtype: 'zener', marking: '5V1' }}
    ${'cx1 x2 220n 275V'}                            | ${{ kind: 'part', partKind: 'capacitor', subtype: 'x2' }}
    ${'r20 0R22 5%'}                                 | ${{ kind: 'part', partKind: 'resistor', ratings: [{ name: 'resistance', value: 0.22 }, { name: 'tolerance', value: 0.05 }] }}
    ${'q1 marked 12N65'}                             | ${{ kind: 'part', ref: 'Q1', marking: '12N65' }}
    ${'r12 = 4k7'}                                   | ${{ kind: 'value', ref: 'R12', ratings: [{ name: 'resistance', value: 4700, source: 'decoded' }] }}
    ${'q1 vds 650V datasheet'}                       | ${{ kind: 'value', ref: 'Q1', ratings: [{ name: 'vds', value: 650, source: 'datasheet' }] }}
    ${'q1 vds 640V measured'}                        | ${{ kind: 'value', ratings: [{ name: 'vds', value: 640, source: 'measured' }] }}
    ${'q1 650V 12A typical'}                         | ${{ kind: 'value', ratings: [{ name: 'vds', value: 650, source: 'typical' }, { name: 'id', value: 12, source: 'typical' }] }}
    ${'c5 esr 40m datasheet'}                        | ${{ kind: 'value', ratings: [{ name: 'esr', value: 0.04, source: 'datasheet' }] }}
    ${'r12 measures 4k69'}                           | ${{ kind: 'measurement', ref: 'R12', test: 'resistor', values: { resistance: { value: 4690 } } }}
    ${'c5 measures 78u esr 0.4'}                     | ${{ kind: 'measurement', test: 'capacitor', values: { capacitance: { value: 78e-6 }, esr: { value: 0.4 } } }}
    ${'c5 78u measured'}                             | ${{ kind: 'measurement', values: { capacitance: { value: 78e-6 } } }}
    ${'c5 esr 40m measured'}                         | ${{ kind: 'measurement', values: { esr: { value: 0.04 } } }}
    ${'r12 4k69 measured'}                           | ${{ kind: 'measurement', values: { resistance: { value: 4690 } } }}
    ${'q1 measures sd 0.51 ds OL gs ol'}             | ${{ kind: 'measurement', test: 'mosfet', values: { body: { value: 0.51 }, blocking: { value: Infinity }, gate: { value: Infinity } } }}
    ${'c5 reads 78u in-circuit'}                     | ${{ kind: 'measurement', inCircuit: true }}
    ${'vbus 212V @ 15s'}                             | ${{ kind: 'reading', store: 'VBUS', voltage: { value: 212, resolution: 1 }, elapsed: 15 }}
    ${'c3 61V@1:04'}                                 | ${{ kind: 'reading', store: 'C3', elapsed: 64 }}
    ${'c3 0.4V'}                                     | ${{ kind: 'reading', store: 'C3', voltage: { value: 0.4, resolution: 0.1 } }}
    ${'store c9 82u 400V bleed 470k'}                | ${{ kind: 'store', name: 'C9', capacitance: 82e-6, ratedVoltage: 400, bleed: 470e3 }}
    ${'# glue under T1'}                             | ${{ kind: 'note', text: 'glue under T1', question: false }}
    ${'? what is the six-pin part by T2'}            | ${{ kind: 'note', question: true }}
    ${'Q1 MEASURES SD 0.51'}                         | ${{ kind: 'measurement', ref: 'Q1', values: { body: { value: 0.51 } } }}
    ${'c5  esr   40m   datasheet'}                   | ${{ kind: 'value', ref: 'C5', ratings: [{ name: 'esr', value: 0.04 }] }}
    ${'r30 fusible 22R 5%'}                          | ${{ kind: 'part', partKind: 'resistor', subtype: 'fusible', ratings: [{ name: 'resistance', value: 22 }, { name: 'tolerance', value: 0.05 }] }}
    ${'br1 bridge gbu marked GBU806'}                | ${{ kind: 'part', ref: 'BR1', partKind: 'bridge', package: 'GBU', marking: 'GBU806' }}
    ${'ntc1 marked 5D-9'}                            | ${{ kind: 'part', ref: 'NTC1', partKind: 'thermistor', marking: '5D-9' }}
    ${'cy1 y1 2n2'}                                  | ${{ kind: 'part', partKind: 'capacitor', subtype: 'y1', ratings: [{ name: 'capacitance', value: 2.2e-9 }] }}
    ${'l5 choke 4u7 cracked'}                        | ${{ kind: 'part', partKind: 'inductor', damage: ['cracked'], ratings: [{ name: 'inductance', value: 4.7e-6 }] }}
    ${'u3 shunt-reference to-92 marked TL431'}       | ${{ kind: 'part', partKind: 'shunt-reference', package: 'TO-92', marking: 'TL431' }}
    ${'vr1 varistor marked 14d471k burnt cracked'}   | ${{ kind: 'part', marking: '14D471K', damage: expect.arrayContaining(['burnt', 'cracked']) }}
    ${'q1 marked burnt'}                             | ${{ kind: 'part', marking: 'BURNT', damage: [] }}
    ${'f1 fuse 3.15A 250V'}                          | ${{ kind: 'part', partKind: 'fuse', ratings: [{ name: 'current', value: 3.15 }, { name: 'voltage', value: 250 }] }}
    ${'d3 zener vz 5.1V datasheet'}                  | ${{ kind: 'part', partKind: 'diode', subtype: 'zener', ratings: [{ name: 'vz', value: 5.1, source: 'datasheet' }] }}
    ${'note glue under T1'}                          | ${{ kind: 'note', text: 'glue under T1', question: false }}
    ${'ask what is U4'}                              | ${{ kind: 'note', text: 'what is U4', question: true }}
    ${'c3 dated 1948'}                               | ${{ kind: 'part', ref: 'C3', partKind: 'capacitor', dateCode: '1948' }}
    ${'u1 ic sop-8 marked XK 22 dated n5'}           | ${{ kind: 'part', ref: 'U1', marking: 'XK 22', dateCode: 'N5' }}
    ${'store c1 2 x 470u 200V series bleed 150k'}    | ${{ kind: 'store', name: 'C1', bank: '2 x 470u 200V series', ratedVoltage: 400, bleed: 150e3 }}
    ${'store bat1 battery 36V'}                      | ${{ kind: 'store', name: 'BAT1', role: 'battery', capacitance: 0, ratedVoltage: 36 }}
    ${'store c9 output 2200u 16V'}                   | ${{ kind: 'store', name: 'C9', role: 'output', ratedVoltage: 16 }}
    ${'power on'}                                    | ${{ kind: 'power', applied: true }}
    ${'store c9 ? 450V'}                             | ${{ kind: 'store', name: 'C9', capacitance: 0, ratedVoltage: 450 }}
    ${'meter checked on a fresh 9V battery'}         | ${{ kind: 'meter-check' }}
    ${'checked my meter before and after'}           | ${{ kind: 'meter-check' }}
    ${'tool on c3 2k2'}                              | ${{ kind: 'tool', store: 'C3', ohms: 2200 }}
    ${'2k2 bleed tool is on c3'}                     | ${{ kind: 'tool', store: 'C3', ohms: 2200 }}
    ${'c3 tool off'}                                 | ${{ kind: 'tool', store: 'C3' }}
    ${'power off'}                                   | ${{ kind: 'power', applied: false }}
    ${'soak 42W 51C 19.1V 2A @ 12min fan starts'}    | ${{ kind: 'soak', watts: 42, celsius: 51, volts: 19.1, load: 2, elapsed: 720, remark: 'fan starts' }}
    ${'soak whine stops'}                            | ${{ kind: 'soak', remark: 'whine stops' }}
    ${'store vcc 22u'}                               | ${{ kind: 'store', name: 'VCC', capacitance: 22e-6 }}
    ${'vbus -12V @ 0s'}                              | ${{ kind: 'reading', store: 'VBUS', voltage: { value: -12 }, elapsed: 0 }}
    ${'c11..c20 1000u 16V polymer'}                  | ${{ kind: 'part', ref: 'C11', others: ['C12', 'C13', 'C14', 'C15', 'C16', 'C17', 'C18', 'C19', 'C20'], subtype: 'polymer', ratings: [{ name: 'capacitance', value: 1e-3 }, { name: 'voltage', value: 16 }] }}
    ${'r1..3 10k'}                                   | ${{ kind: 'part', ref: 'R1', others: ['R2', 'R3'] }}
    ${'d1,d4,d7 marked 1N4007'}                      | ${{ kind: 'part', ref: 'D1', others: ['D4', 'D7'], marking: '1N4007' }}
    ${'q2 like q1'}                                  | ${{ kind: 'part', ref: 'Q2', partKind: 'nmos', like: 'Q1' }}
    ${'t2 same'}                                     | ${{ kind: 'part', ref: 'T2', partKind: 'transformer', like: 'T1' }}
    ${'q2 like q1 burnt'}                            | ${{ kind: 'part', ref: 'Q2', like: 'Q1', damage: ['burnt'] }}
    ${'q3 nmos switch marked 12N65'}                 | ${{ kind: 'part', block: 'switch', marking: '12N65' }}
    ${'d8 dual marked MBR20100CT secondary'}         | ${{ kind: 'part', block: 'secondary', marking: 'MBR20100CT' }}
    ${'r14 100k clamp'}                              | ${{ kind: 'part', duty: 'clamp', ratings: [{ name: 'resistance', value: 1e5 }] }}
    ${'c30 unpopulated control'}                     | ${{ kind: 'part', fitments: ['unpopulated'], block: 'control' }}
    ${'r31 47k hand-added reworked'}                 | ${{ kind: 'part', fitments: ['hand-added', 'reworked'] }}
    ${'c7 leaked'}                                   | ${{ kind: 'part', damage: ['leaking'] }}
    ${'u2 uc3843b so-8'}                             | ${{ kind: 'part', partKind: 'ic', subtype: 'controller', marking: 'UC3843B', package: 'SO-8' }}
    ${'r9 marked 5m0'}                               | ${{ kind: 'part', marking: '5m0' }}
    ${'r9 marked 5M0'}                               | ${{ kind: 'part', marking: '5M0' }}
    ${'rp1 trimmer 10k'}                             | ${{ kind: 'part', partKind: 'potentiometer' }}
    ${'claim r12 sets the current limit'}            | ${{ kind: 'claim', ref: 'R12', text: 'sets the current limit' }}
    ${'claim this board is a flyback'}               | ${{ kind: 'claim', text: 'this board is a flyback' }}
    ${'! q1: was changed before'}                    | ${{ kind: 'claim', ref: 'Q1', text: 'was changed before' }}
    ${'? q1 who made it'}                            | ${{ kind: 'note', question: true, ref: 'Q1', text: 'who made it' }}
    ${'settle r12 measured at 2 A'}                  | ${{ kind: 'status', ref: 'R12', status: 'settled', because: 'measured at 2 A' }}
    ${'support r12'}                                 | ${{ kind: 'status', status: 'supported', because: '' }}
    ${'delete c5'}                                   | ${{ kind: 'delete', ref: 'C5' }}
    ${'rename c5 to c6'}                             | ${{ kind: 'rename', ref: 'C5', to: 'C6' }}
    ${'t1 measures loc 600u lsc 15u rings 12'}       | ${{ kind: 'measurement', test: 'transformer', values: { open: { value: 600e-6 }, shorted: { value: 15e-6 }, rings: { value: 12 } } }}
    ${'c5 measures 95u esr 0.3 leak 20u ran 20000h'} | ${{ kind: 'measurement', values: { esr: { value: 0.3 }, leakage: { value: 20e-6 }, hours: { value: 20000 } } }}
    ${'q1 measures 0.51 OL OL hold 20s'}             | ${{ kind: 'measurement', values: { body: { value: 0.51 }, blocking: { value: Infinity }, gate: { value: Infinity }, hold: { value: 20 } } }}
    ${'vbus 1.2kV@2min'}                             | ${{ kind: 'reading', store: 'VBUS', voltage: { value: 1200 }, elapsed: 120 }}
  `('$line', ({ line, record }) => {
    expect(read(line)).toMatchObject(record);
  });

  test.each`
    line                    | problem               | names
    ${''}                   | ${'empty'}            | ${'Type'}
    ${'?'}                  | ${'empty'}            | ${'Type'}
    ${'hello there'}        | ${'no-subject'}       | ${'“hello”'}
    ${'q1'}                 | ${'nothing-said'}     | ${'Q1'}
    ${'zz9 4k7'}            | ${'kind-unknown'}     | ${'ZZ9'}
    ${'c5 purring'}         | ${'word-unknown'}     | ${'“purring”'}
    ${'r7 4k69 measured'}   | ${'measure-instead'}  | ${'resistance'}
    ${'q1 vds high'}        | ${'value-unreadable'} | ${'“high”'}
    ${'c5 measures soup'}   | ${'value-unreadable'} | ${'“soup”'}
    ${'r99 measures 4k7'}   | ${'no-part'}          | ${'R99'}
    ${'j1 measures 4k7'}    | ${'no-test'}          | ${'J1'}
    ${'c99 12V @ 4s'}       | ${'no-store'}         | ${'C99'}
    ${'vcc 12V @ 4s'}       | ${'no-store'}         | ${'VCC'}
    ${'vbus high @ 4s'}     | ${'value-unreadable'} | ${'“high”'}
    ${'vbus 12V @ soon'}    | ${'negative-time'}    | ${'“soon”'}
    ${'store c9'}           | ${'value-unreadable'} | ${'c9'}
    ${'power up'}           | ${'value-unreadable'} | ${'up'}
    ${'soak'}               | ${'nothing-said'}     | ${'soak'}
    ${'soak 40W @ later'}   | ${'negative-time'}    | ${'later'}
    ${'c3 dated'}           | ${'value-unreadable'} | ${'dated'}
    ${'store c9 82u bleed'} | ${'value-unreadable'} | ${'bleed'}
    ${'q1 marked'}          | ${'value-unreadable'} | ${'marked'}
    ${'c20..c11 1u'}        | ${'bad-range'}        | ${'upwards'}
    ${'c1..r5 1u'}          | ${'bad-range'}        | ${'same letters'}
    ${'c1..c90 1u'}         | ${'bad-range'}        | ${'at most 60'}
    ${'q2 like q9'}         | ${'nothing-to-copy'}  | ${'“Q9”'}
    ${'settle r99 done'}    | ${'no-part'}          | ${'R99'}
    ${'strike'}             | ${'no-subject'}       | ${'strike'}
    ${'rename c5 r12'}      | ${'taken'}            | ${'R12'}
    ${'claim'}              | ${'empty'}            | ${'Type'}
  `('“$line” is refused: $problem', ({ line, problem, names }) => {
    const understanding = understand(line, context);
    expect(understanding.ok ? 'understood' : understanding.problem.kind).toBe(problem);
    expect(understanding.ok ? '' : benchProblemText(understanding.problem)).toContain(names);
  });

  test.each`
    line             | word         | why
    ${'c5 purring'}  | ${'purring'} | ${'behind the reference'}
    ${'q1 vds high'} | ${'high'}    | ${'a value'}
    ${'hello there'} | ${'hello'}   | ${'the first word'}
    ${'c5  350'}     | ${'350'}     | ${'a number without its unit'}
  `('of “$line” the place of “$word” is given ($why)', ({ line, word }) => {
    const understanding = understand(line, context);
    const at = understanding.ok ? undefined : understanding.at;
    expect(at && line.slice(at.start, at.end)).toBe(word);
  });

  test('what was understood is said in plain words', () => {
    const message = (line: string) => {
      const understanding = understand(line, context);
      return understanding.ok ? understanding.message.replace(/\u00a0/g, ' ') : '';
    };
    expect(message('q1 nmos to-220 marked 12N65')).toBe('Q1 is an N-FET, in TO-220, marked 12N65');
    expect(message('c7 82u 400V 105C bulged')).toBe('C7 is a capacitor, 82 µF, 400 V, 105 °C, bulged');
    expect(message('c11..c13 1000u 16V polymer secondary')).toBe(
      '3 parts, C11 to C13, are each a capacitor (polymer), 1000 µF, 16 V, in the secondary block',
    );
    expect(message('q2 like q1 unpopulated')).toBe('Q2 is an empty footprint of an N-FET, like Q1');
    expect(message('vbus 212V @ 15s')).toBe('VBUS reads 212 V at 15 s');
    expect(message('q1 measures sd 0.51 ds OL')).toBe('Q1 measured: source to drain 510 mV, drain to source OL');
  });

  test('no line makes it throw', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.constantFrom(
            'q1',
            'c5',
            'vbus',
            '@',
            'measures',
            '4k7',
            '400V',
            'marked',
            '=',
            'store',
            'x2',
            '?',
            'OL',
            'esr',
            '12N65',
            'to-220',
            '-',
            '5%',
          ),
          { maxLength: 6 },
        ),
        (words) => {
          expect(typeof understand(words.join(' '), context).ok).toBe('boolean');
        },
      ),
      { seed: 2, numRuns: 2000 },
    );
  });
});

test.each`
  line                | rest          | why
  ${'vb'}             | ${'us'}       | ${'a store'}
  ${'q'}              | ${'1'}        | ${'a part'}
  ${'q1 nm'}          | ${'os'}       | ${'a kind'}
  ${'q1 mar'}         | ${'ked'}      | ${'a word'}
  ${'q1 nmos to-22'}  | ${'0'}        | ${'a package'}
  ${'q1 vd'}          | ${'s'}        | ${'a rating of the kind'}
  ${'c5 measures es'} | ${'r'}        | ${'a field of the test'}
  ${'c5 bul'}         | ${'ged'}      | ${'damage'}
  ${'u1 marked uc38'} | ${'42'}       | ${'a number the shop knows'}
  ${'u1 marked mb'}   | ${'r20100ct'} | ${'another'}
  ${'q1 sec'}         | ${'ondary'}   | ${'a block'}
  ${'q1 unpop'}       | ${'ulated'}   | ${'how it is fitted'}
  ${'q1'}             | ${''}         | ${'a finished reference'}
  ${'q1 switch'}      | ${''}         | ${'a finished word, not a switcher'}
  ${'c5 10'}          | ${''}         | ${'a finished value'}
  ${'q1 '}            | ${''}         | ${'nothing typed yet'}
  ${'# the q'}        | ${''}         | ${'free text is left alone'}
`('“$line” completes with “$rest” ($why)', ({ line, rest }) => {
  expect(complete(line, context)).toBe(rest);
});

describe('readings that hide what a store holds', () => {
  test.each`
    line                   | kind                  | says
    ${'c3 0.4mV'}          | ${'millivolt-range'}  | ${/millivolt range.*in volts, like 0\.02V/}
    ${'c3 20mV@60s'}       | ${'millivolt-range'}  | ${/20mV/}
    ${'vbus 300µV'}        | ${'millivolt-range'}  | ${/300µV/}
    ${'c3 0.1 VAC'}        | ${'ac-range'}         | ${/alternating/}
    ${'vbus 1,200V @ 15s'} | ${'unclear'}          | ${/is the comma a decimal point/}
    ${'vbus 2,100V'}       | ${'unclear'}          | ${/is the comma a decimal point/}
    ${'vbus 1,200 @ 15s'}  | ${'unclear'}          | ${/is the comma a decimal point/}
    ${'vbus 1 200V @ 15s'} | ${'unclear'}          | ${/does the blank part thousands/}
    ${'c3 0.02 V~'}        | ${'ac-range'}         | ${/alternating/}
    ${'tool on c3'}        | ${'value-unreadable'} | ${/resistance of the tool/}
    ${'tool on 2k2'}       | ${'unclear'}          | ${/which store/}
  `('$line is not taken: $kind', ({ line, kind, says }) => {
    const understanding = understand(line as string, context);
    if (understanding.ok) throw new Error('It was taken.');
    expect(understanding.problem.kind).toBe(kind);
    expect(benchProblemText(understanding.problem)).toMatch(says as RegExp);
    expect(understanding.kept.filter((record) => record.kind === 'reading')).toEqual([]);
  });

  test('megavolts and plain volts are not millivolts', () => {
    expect(read('c3 0.02V')).toMatchObject({ kind: 'reading', voltage: { value: 0.02 } });
  });
});

describe('the time of a row of a run', () => {
  test.each(['@ 12min', '@ 12 minutes', '@12m', '@ 12 mins', '@ 12:00', '@ 720 s'])('%s is 720 s', (time) => {
    expect(read(`soak 42W 51C ${time} fan starts`)).toMatchObject({
      elapsed: 720,
      watts: 42,
      celsius: 51,
      remark: 'fan starts',
    });
  });

  test('a bare number is asked, with both ways to say it', () => {
    const understanding = understand('soak 42W @ 12', context);
    expect(understanding).toMatchObject({
      ok: false,
      maybe: ['soak 42W @ 12min', 'soak 42W @ 12s', '# soak 42W @ 12'],
    });
  });
});

test.each`
  line                                           | ratings
  ${'d8 schottky 100V 10A to-220'}               | ${'vrrm 100, ifav 10'}
  ${'d8 ultrafast dual-diode 200V 16A vf 1.05'}  | ${'vrrm 200, ifav 16, vf 1.05'}
  ${'d8 schottky 100V vf 0.45 to-220 secondary'} | ${'vrrm 100, vf 0.45'}
`('“$line”: volts and amperes are ratings, and no number of the part', ({ line, ratings }) => {
  const read = understand(line as string, { parts: [], stores: [] });
  const [part] = read.ok ? read.records : [];
  expect(part).toMatchObject({ kind: 'part', ref: 'D8' });
  expect(part).not.toHaveProperty('marking');
  const said = part?.kind === 'part' ? part.ratings.map(({ name, value }) => `${name} ${value}`).join(', ') : '';
  expect(said).toBe(ratings);
});
