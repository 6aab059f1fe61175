import { spawnSync } from 'node:child_process';
import { readArguments, UnusableInput } from './arguments';
import { decode } from './decode';
import { discharge } from './discharge';

const near = (value: number | undefined, expected: number) => expect((value ?? NaN) / expected).toBeCloseTo(1, 2);

// Least squares of ln V by hand (check F1-4 of the project's formula sheet): tau 50.04 s, V0 299.6 V, 60 V at 80.47 s.
test('timed readings come out with the fit and its bounds', () => {
  const fit = discharge({ readings: '0:300,10:245,20:201,30:164,40:135', target: '60' });
  near(fit.tau, 50.04);
  near(fit.v0, 299.6);
  near(fit.timeToTarget, 80.47);
  near(fit.timeToTargetHigh, 81.0);
  expect(fit).toMatchObject({ model: 'exponential', warnings: [] });
});

test.each`
  readings                                   | model          | why
  ${'0:100,5:120,10:140'}                    | ${'none'}      | ${'rising'}
  ${'0:300,10:245'}                          | ${'none'}      | ${'too few'}
  ${'0:300,5:120,10:70,15:66,20:65,25:64.8'} | ${'undecided'} | ${'a plateau'}
`('readings that are no discharge give no time ($why)', ({ readings, model }) => {
  const fit = discharge({ readings, target: '50' });
  expect(fit).toMatchObject({ model });
  expect(fit.timeToTarget).toBeUndefined();
  expect(fit.warnings).toHaveLength(1);
});

test.each`
  options                                     | names
  ${{ target: '50' }}                         | ${'--readings'}
  ${{ readings: '0:310,5:255' }}              | ${'--target'}
  ${{ readings: '0:310,x', target: '50' }}    | ${'“x” (number 2)'}
  ${{ readings: '0:310,5', target: '50' }}    | ${'“5” (number 2)'}
  ${{ readings: '0:310,5:255', target: '0' }} | ${'“0”'}
`('input that cannot be used is named: $names', ({ options, names }) => {
  expect(() => discharge(options)).toThrow(UnusableInput);
  expect(() => discharge(options)).toThrow(names);
});

test.each`
  argv                               | line
  ${['12N65', '--kind', 'nmos']}     | ${{ words: ['12N65'], options: { kind: 'nmos' } }}
  ${['--package=TO-220', 'K', '65']} | ${{ words: ['K', '65'], options: { package: 'TO-220' } }}
`('arguments $argv', ({ argv, line }) => {
  expect(readArguments('decode', argv)).toEqual(line);
});

test('an unknown option and one without a value are named', () => {
  expect(() => readArguments('decode', ['--colour', 'red'])).toThrow('--colour');
  expect(() => readArguments('decode', ['12N65', '--kind'])).toThrow('--kind');
});

describe('decode, by its contract', () => {
  // Names of ratings and facts by kind, as the contract of the command line fixes them; values from multi-source datasheets, from memory.
  test.each`
    marking              | options                  | first
    ${'4K7K'}            | ${{ kind: 'resistor' }}  | ${{ kind: 'resistor', ratings: { resistance: 4700, tolerance: 0.1 } }}
    ${'0.22µF 275V~ X2'} | ${{}}                    | ${{ kind: 'capacitor', ratings: { capacitance: 220e-9, voltage: 275, safetyClass: 'X2' } }}
    ${'X7R 104K 50V'}    | ${{}}                    | ${{ kind: 'capacitor', ratings: { dielectric: 'X7R', temperature: 125 } }}
    ${'101K'}            | ${{ kind: 'inductor' }}  | ${{ kind: 'inductor', ratings: { inductance: 100e-6, tolerance: 0.1 } }}
    ${'10D561K'}         | ${{}}                    | ${{ kind: 'varistor', ratings: { vn: 560, tolerance: 0.1, diameter: 0.01 } }}
    ${'5D-9'}            | ${{}}                    | ${{ kind: 'thermistor', ratings: { r25: 5, diameter: 0.009 } }}
    ${'T3.15AL250V'}     | ${{}}                    | ${{ kind: 'fuse', ratings: { current: 3.15, speed: 'T', breaking: 35, voltage: 250 } }}
    ${'MBR20100CT'}      | ${{}}                    | ${{ kind: 'dual-diode', ratings: { ifav: 20, vrrm: 100, technology: 'schottky' } }}
    ${'BZX85C5V1'}       | ${{}}                    | ${{ kind: 'diode', ratings: { vz: 5.1 } }}
    ${'12N65'}           | ${{ package: 'TO-220' }} | ${{ kind: 'nmos', rule: 'current-N-voltage', ratings: { id: 12, vds: 650 } }}
    ${'60R190'}          | ${{}}                    | ${{ kind: 'nmos', ratings: { vds: 600, rdsOn: 0.19 } }}
    ${'C4242'}           | ${{ package: 'TO-220' }} | ${{ kind: 'npn', ratings: { ic: 7, vceo: 400 } }}
    ${'K40T120'}         | ${{}}                    | ${{ kind: 'igbt', ratings: { ic: 40, vces: 1200 } }}
    ${'BT136-600'}       | ${{}}                    | ${{ kind: 'triac', ratings: { itRms: 4, vdrm: 600 } }}
    ${'BT151-500R'}      | ${{}}                    | ${{ kind: 'scr', ratings: { itRms: 12, vdrm: 500 } }}
    ${'LM7912'}          | ${{}}                    | ${{ kind: 'regulator', ratings: { vout: -12 } }}
    ${'PC817C'}          | ${{}}                    | ${{ kind: 'optocoupler', ratings: { family: '817 class', function: expect.any(String) } }}
    ${'TL431'}           | ${{}}                    | ${{ kind: 'shunt-reference', ratings: { family: 'TL431' } }}
    ${'UC3843 2005'}     | ${{ package: 'so-8' }}   | ${{ kind: 'ic', ratings: { family: 'UC3843' }, apart: [{ text: '2005', as: 'date code' }] }}
    ${'UC38?3'}          | ${{ kind: 'ic' }}        | ${{ kind: 'ic', readAs: 'UC3843' }}
  `('$marking $options', ({ marking, options, first }) => {
    const { readings } = decode({ words: [marking], options }, () => undefined);
    expect(readings[0]).toMatchObject(first);
    expect(readings[0]?.why).not.toBe('');
    expect(readings.reduce((sum, { confidence }) => sum + confidence, 0)).toBeLessThanOrEqual(1);
  });

  test('nothing known is an empty list; an unknown case is named and left out; an empty text is unusable', () => {
    const warned: string[] = [];
    const warn = (text: string) => warned.push(text);
    expect(decode({ words: ['HELLO'], options: {} }, warn)).toEqual({ readings: [] });
    expect(decode({ words: ['12N65'], options: { package: 'matchbox' } }, warn).readings).not.toEqual([]);
    expect(warned).toEqual([expect.stringContaining('“matchbox”')]);
    expect(() => decode({ words: [' '], options: {} }, warn)).toThrow(UnusableInput);
    expect(() => decode({ words: ['12N65'], options: { kind: 'gadget' } }, warn)).toThrow('“gadget”');
  });
});

describe('as a command', () => {
  const zorvek = (...argv: string[]) => {
    const { status, stdout, stderr } = spawnSync(process.execPath, ['scripts/zorvek.mjs', ...argv], {
      encoding: 'utf8',
    });
    return { status, stdout, lines: stderr.trim() === '' ? [] : stderr.trim().split('\n') };
  };

  test.each`
    argv                                                                   | answers
    ${['decode', '12N65']}                                                 | ${{ readings: [{ kind: 'nmos', rule: 'current-N-voltage', ratings: { id: 12, vds: 650 } }] }}
    ${['decode', '104', '--kind', 'resistor']}                             | ${{ readings: [{ kind: 'resistor', ratings: { resistance: 100e3 } }] }}
    ${['decode', 'MBR20100CT', '--package', 'to-220']}                     | ${{ readings: [{ kind: 'dual-diode', ratings: { technology: 'schottky' } }] }}
    ${['decode', 'QQQQQQ']}                                                | ${{ readings: [] }}
    ${['bands', 'yellow', 'violet', 'red', 'gold']}                        | ${{ readings: [{ kind: 'resistor', ratings: { resistance: 4700, tolerance: 0.05 } }] }}
    ${['discharge', '--readings', '0:310,5:255,10:209', '--target', '50']} | ${{ model: 'exponential' }}
  `('$argv answers JSON and nothing else', ({ argv, answers }) => {
    const { status, stdout, lines } = zorvek(...argv);
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toMatchObject(answers);
    expect(lines).toEqual([]);
  });

  test.each`
    argv                                       | names
    ${['decode', '']}                          | ${'marking is empty'}
    ${['decode', '12N65', '--kind', 'teapot']} | ${'“teapot”'}
    ${['bands', 'red', 'mauve', 'red']}        | ${'“mauve”'}
    ${['discharge', '--target', '50']}         | ${'--readings'}
    ${['fly']}                                 | ${'“fly”'}
  `('$argv ends with 2 and one line that names $names', ({ argv, names }) => {
    const { status, stdout, lines } = zorvek(...argv);
    expect(status).toBe(2);
    expect(stdout).toBe('');
    expect(lines).toEqual([expect.stringContaining(names)]);
  });

  test('--help documents each command', () => {
    const { status, stdout } = zorvek('--help');
    expect(status).toBe(0);
    for (const command of ['decode MARKING', 'bands COLOUR', 'discharge --readings']) expect(stdout).toContain(command);
  });
});
