import { parseNameplate, type Nameplate } from '.';

/**
 * A plate in one line, every field: `ac 100-240V 1.5A 50,60Hz > 19V 4.74A; total 90W; class II`.
 * Marks behind an output: `|` a choice, `sb` standby, `~` alternating, `@` its socket.
 */
function inOneLine(plate: Nameplate): string {
  const amount = (value: number | undefined, unit: string) => (value === undefined ? '' : ` ${value}${unit}`);
  const inputs = plate.inputs.map(
    ({ kind, vMin, vMax, current, power, frequencies, phases }) =>
      `${kind}${phases ? '3~' : ''} ${vMin === vMax ? vMin : `${vMin}-${vMax}`}V${amount(current, 'A')}${amount(power, 'W')}${frequencies ? ` ${frequencies.join(',')}Hz` : ''}`,
  );
  const outputs = plate.outputs.map(
    ({ v, vMax, i, p, alternative, standby, ac, port }) =>
      `${v}${vMax === undefined ? '' : `..${vMax}`}V${ac ? '~' : ''}${amount(i, 'A')}${amount(p, 'W')}${standby ? ' sb' : ''}${alternative ? ' |' : ''}${port ? ` @${port}` : ''}`,
  );
  const more = [
    plate.totalPower === undefined ? '' : `total ${plate.totalPower}W`,
    ...(plate.sharedLimits ?? []).map(({ volts, power }) => `${volts.join('&')}V ${power}W`),
    ...(plate.conditions ?? []).map(({ power, vMin, vMax }) => `${power}W at ${vMin}-${vMax}V`),
    ...(plate.mended ?? []).map(({ from, to }) => `mended ${from} ${to}`),
    plate.efficiencyLevel ? `level ${plate.efficiencyLevel}` : '',
    plate.safetyClass ? `class ${plate.safetyClass}` : '',
    plate.limitedPower ? 'limited' : '',
    ...(plate.dateCodes ?? []).map((code) => `dated ${code}`),
    plate.unread ? `unread ${plate.unread}` : '',
  ];
  return [`${inputs.join(', ')} > ${outputs.join(', ')}`, ...more.filter((word) => word !== '')].join('; ');
}

// Label texts invented in the styles that plates are printed in; the right-hand side was read by eye.
const WORN_AND_GLUED: readonly (readonly [string, string])[] = [
  // Glued, the commonest style
  ['INPUT:AC100-240V 50/60Hz 0.5A OUTPUT:DC5V 2A', 'ac 100-240V 0.5A 50,60Hz > 5V 2A'],
  ['INPUT:AC100-240V~50/60Hz0.3A\nOUTPUT:DC12V⎓1.5A', 'ac 100-240V 0.3A 50,60Hz > 12V 1.5A'],
  ['AC100-240V 0.2A DC5V1A', 'ac 100-240V 0.2A > 5V 1A'],
  ['OUTPUT12V1.5A', ' > 12V 1.5A'],
  ['INPUT100-240V~6A50-60Hz OUTPUT12VDC20A', 'ac 100-240V 6A 50,60Hz > 12V 20A'],
  ['OUTPUT:12VDC1.5A', ' > 12V 1.5A'],
  ['I/P:AC220V50Hz O/P:DC24V5A', 'ac 220V 50Hz > 24V 5A'],
  ['OUTPUT: 5v3a, 9v3a, 15v3a, 20v 3.25a', ' > 5V 3A |, 9V 3A |, 15V 3A |, 20V 3.25A |'],
  ['Output:5V3A/9V2A/12V1.5A', ' > 5V 3A |, 9V 2A |, 12V 1.5A |'],
  ['INPUT: 220V~50Hz30VA OUTPUT: 15V~1.8A', 'ac 220V 30W 50Hz > 15V~ 1.8A'],
  ['DC OUTPUT:+5V20A,+12V8A,-12V0.5A', ' > 5V 20A, 12V 8A, -12V 0.5A'],
  ['AC INPUT:100-240VAC,2.0A,50/60Hz.DC OUTPUT:19VDC,4.74A', 'ac 100-240V 2A 50,60Hz > 19V 4.74A'],
  // Conditions, batteries, steps, choices
  ['Input: 85~264VAC / 120~370VDC 2A Output: 24V 5A', 'ac 85-264V, dc 120-370V 2A > 24V 5A'],
  ['INPUT 220-240V~ 50Hz OUTPUT 14.4V 5A for 12V battery 4-40Ah', 'ac 220-240V 50Hz > 14.4V 5A'],
  ['OUTPUT 42V⎓2A for 36V Li-ion battery', ' > 42V 2A'],
  ['CHARGES 18V TOOL PACKS\nOUTPUT 20.5V 3A', ' > 20.5V 3A; unread'],
  ['BATTERY 12V 7Ah\nINPUT 230V~ OUTPUT 13.8V 2A', 'ac 230V > 13.8V 2A'],
  [
    '1200W at 200-240V / 800W at 100-127V OUTPUT +12V 66A',
    'ac 200-240V, ac 100-127V > 12V 66A; total 1200W; 1200W at 200-240V; 800W at 100-127V',
  ],
  ['OUTPUT: 5V 3A 9V 2A 12V 1.5A QC3.0', ' > 5V 3A |, 9V 2A |, 12V 1.5A |'],
  ['INPUT 3~ 400V 50Hz 2A OUTPUT 24V 10A', 'ac3~ 400V 2A 50Hz > 24V 10A'],
  ['INPUT 3-phase 380-480V 1A OUTPUT 48V 20A', 'ac3~ 380-480V 1A > 48V 20A'],
  ['INPUT 110/220V~ 60Hz OUTPUT 9V 1A', 'ac 110V 60Hz, ac 220V 60Hz > 9V 1A'],
  ['INPUT 100-120/200-240V~ 8/4A OUTPUT 12V 30A', 'ac 100-120V 8A, ac 200-240V 4A > 12V 30A'],
  // Lines are walls
  ['OUTPUT 9V\n2 MADE IN CHINA', ' > 9V; unread'],
  ['DATE: 2251\nVI', ' > ; dated 2251; unread'],
  ['OUTPUT 12V 2A\n2013 week 44', ' > 12V 2A; dated 2013 week 44'],
  ['MODEL PX-90\n100\nV2.1 OUTPUT 5V 1A', ' > 5V 1A; unread'],
  // Tables and columns
  ['+5V +3.3V +12V -12V +5VSB\n20A 15A 25A 0.3A 2.5A', ' > 5V 20A, 3.3V 15A, 12V 25A, -12V 0.3A, 5V 2.5A sb'],
  ['DC OUTPUT  +12V  +5V  +3.3V\nMAX CURRENT  18A  22A  20A', ' > 12V 18A, 5V 22A, 3.3V 20A; unread'],
  ['+5V(STBY) 2A +12V 16A', ' > 5V 2A sb, 12V 16A'],
  ['+12V1 16A +12V2 14A +5V(SB) 2.5A', ' > 12V 16A, 12V 14A, 5V 2.5A sb'],
  ['INPUT          OUTPUT\n100-240V~      19.5V⎓\n50/60Hz 1.6A   3.34A', 'ac 100-240V 1.6A 50,60Hz > 19.5V 3.34A'],
  ['MODEL X123   INPUT 100-240V\nS/N 12345    OUTPUT 12V 3A', 'ac 100-240V > 12V 3A; unread'],
  ['INPUT | OUTPUT\n230V~ | 24V⎓\n0.4A | 2A', 'ac 230V 0.4A > 24V 2A'],
  // Worn print and what a camera makes of it
  [
    'INPUT: 1OO-24OV~ 5O/6OHz l.5A OUTPUT: l9V 3.42A',
    'ac 100-240V 1.5A 50,60Hz > 19V 3.42A; mended 1OO-24O 100-240; mended 5O/6O 50/60; mended l.5 1.5; mended l9 19',
  ],
  ['lNPUT 100-240V~ OUTPUT 12V 1A', 'ac 100-240V > 12V 1A; unread'],
  [
    'INPUT 22O-24OV~ 0.I5A OUTPUT 12V 5OOmA',
    'ac 220-240V 0.15A > 12V 0.5A; mended 22O-24O 220-240; mended 0.I5 0.15; mended 5OO 500',
  ],
  ['INPUT I00-240V~ OUTPUT I2V 2A', 'ac 100-240V > 12V 2A; mended I00-240 100-240; mended I2 12'],
  ['USB-C 5V 3A', ' > 5V 3A'],
  ['OUTPUT SB 5V 2A', ' > 5V 2A; unread'],
];

test.each(WORN_AND_GLUED)('%s', (label, expected) => {
  const read = inOneLine(parseNameplate(label));
  expect(expected.endsWith('unread') ? read.replace(/unread.*$/, 'unread') : read).toBe(expected);
});

test.each([
  // Plain adapters
  ['INPUT 100-240V~ 50/60Hz 1.5A OUTPUT 19V 4.74A', 'ac 100-240V 1.5A 50,60Hz > 19V 4.74A'],
  ['INPUT: 100-240V~ 50/60Hz 1.5A\nOUTPUT: 24V ⎓ 2.5A', 'ac 100-240V 1.5A 50,60Hz > 24V 2.5A'],
  ['Input:100-240VAC,50-60Hz,0.35A Output:5.0VDC,2.0A', 'ac 100-240V 0.35A 50,60Hz > 5V 2A'],
  ['INPUT:100~240V~50~60Hz 0.8A OUTPUT:12V⎓3A', 'ac 100-240V 0.8A 50,60Hz > 12V 3A'],
  ['I/P: 100-240Vac 47-63Hz 1.2A  O/P: 15Vdc 3A', 'ac 100-240V 1.2A 47,63Hz > 15V 3A'],
  ['100-240V~ 1.5A 19V 3.42A', 'ac 100-240V 1.5A > 19V 3.42A'],
  ['INPUT 230V~50Hz 0,2A OUTPUT 9V=0,66A', 'ac 230V 0.2A 50Hz > 9V 0.66A'],
  ['Output: 24 V DC 2,5 A; Input: 230 V AC 0,6 A', 'ac 230V 0.6A > 24V 2.5A'],
  ['INPUT AC 100-240V 0.5A DC 5V 3A', 'ac 100-240V 0.5A > 5V 3A'],
  ['AC INPUT: 100V-240V 50/60Hz 0.3A DC OUTPUT: 6V 500mA', 'ac 100-240V 0.3A 50,60Hz > 6V 0.5A'],
  ['Input: AC 220V 50Hz  Output: DC 12V 1,000mA', 'ac 220V 50Hz > 12V 1A'],
  ['PRI 230V 50Hz 28mA SEC 12V 300mA', 'ac 230V 0.028A 50Hz > 12V 0.3A'],
  ['INPUT 120VAC 60Hz 15W OUTPUT 9VDC 850mA', 'ac 120V 15W 60Hz > 9V 0.85A'],
  ['Input 100 to 240 V~, 1.7 A Output 20 V, 3.25 A', 'ac 100-240V 1.7A > 20V 3.25A'],
  ['INPUT 100–240 V ∼ 1,8 A OUTPUT 19,5 V ⎓ 6,15 A 120 W', 'ac 100-240V 1.8A > 19.5V 6.15A 120W'],
  ['Input 100-240V~(50-60Hz) 2A(MAX) Output 12V 5A', 'ac 100-240V 2A 50,60Hz > 12V 5A'],
  ['OUTPUT 5V=2A', ' > 5V 2A'],
  ['INPUT 100-240V~ 0.2A', 'ac 100-240V 0.2A > '],
  // Words of other languages
  ['ENTRADA 127/220V~ SAÍDA 12V 1A', 'ac 127V, ac 220V > 12V 1A'],
  ['EINGANG: 230V~ 50Hz 0,15A AUSGANG: 12V= 1A', 'ac 230V 0.15A 50Hz > 12V 1A'],
  ['Entrée 230V~ 0,3A Sortie 18V= 1,5A', 'ac 230V 0.3A > 18V 1.5A'],
  ['输入: 100-240V~50/60Hz 0.5A 输出: 5V⎓2.4A', 'ac 100-240V 0.5A 50,60Hz > 5V 2.4A'],
  ['INGRESSO 220-240V~ USCITA 24V 1A', 'ac 220-240V > 24V 1A'],
  // Two mains ranges, two inputs
  ['115V/6A 230V/3A 50-60Hz +12V 16A', 'ac 115V 6A 50,60Hz, ac 230V 3A 50,60Hz > 12V 16A'],
  ['AC INPUT 115/230V~ 6A/3A 60/50Hz DC OUTPUT +5V 16A', 'ac 115V 6A 60,50Hz, ac 230V 3A 60,50Hz > 5V 16A'],
  ['INPUT 100-127V~ 4A / 200-240V~ 2A 50-60Hz OUTPUT 24V 10A', 'ac 100-127V 4A 50,60Hz, ac 200-240V 2A 50,60Hz > 24V 10A'],
  ['INPUT 1: 100-240V~ 1.5A INPUT 2: 12-24VDC 5A OUTPUT 5V 2A', 'ac 100-240V 1.5A, dc 12-24V 5A > 5V 2A'],
  ['INPUT 100-240VAC 2A 140-340VDC 1.5A OUTPUT 48V 3A', 'ac 100-240V 2A, dc 140-340V 1.5A > 48V 3A'],
  // Direct inputs
  ['INPUT 18-60VDC 4A OUTPUT 12VDC 5A', 'dc 18-60V 4A > 12V 5A'],
  ['IN 12-24V OUT 5V 3A', 'dc 12-24V > 5V 3A'],
  ['Input: 36-72Vdc Output: 5Vdc 6A 30W', 'dc 36-72V > 5V 6A 30W'],
  ['DC INPUT 10...30V 3A DC OUTPUT 19V 3.4A', 'dc 10-30V 3A > 19V 3.4A'],
  ['VIN 9-36V VOUT 3.3V 2A', 'dc 9-36V > 3.3V 2A'],
  // Several rails
  ['OUTPUT: +15V/2A -15V/0.5A INPUT: 230Vac', 'ac 230V > 15V 2A, -15V 0.5A'],
  ['INPUT 230V~ OUTPUT ±12V 0.5A +5V 3A', 'ac 230V > 12V 0.5A, -12V 0.5A, 5V 3A'],
  ['INPUT 230V~ OUTPUT +5V -12V 0.3A', 'ac 230V > 5V 0.3A, -12V 0.3A'],
  ['+3.3V 14A +5V 16A +12V 16A -12V 0.3A +5VSB 2A MAX. OUTPUT 300W', ' > 3.3V 14A, 5V 16A, 12V 16A, -12V 0.3A, 5V 2A sb; total 300W'],
  ['INPUT 230V 5A +3.3V&+5V=120W MAX +3.3V 20A +5V 20A +12V 25A TOTAL POWER 400W', 'ac 230V 5A > 3.3V 20A, 5V 20A, 12V 25A; total 400W; 3.3&5V 120W'],
  ['INPUT 100-240V~ OUTPUT V1: 24V 3A V2: 5V 1A Max. 75W', 'ac 100-240V > 24V 3A, 5V 1A; total 75W'],
  ['INPUT 220-240V~ OUTPUT 5V 10A, 12V 5A, 24V 2A 150W MAX', 'ac 220-240V > 5V 10A, 12V 5A, 24V 2A; total 150W'],
  ['INPUT 100-240V~ 2A OUTPUT +5V STANDBY 1A +12V 8A', 'ac 100-240V 2A > 5V 1A sb, 12V 8A'],
  ['AC 100-240V 5A OUTPUT 12V1 18A 12V2 16A', 'ac 100-240V 5A > 12V 18A, 12V 16A'],
  // Ranges and choices
  ['PRI: 220-240V~ 0.2A 50/60Hz SEC: 25-42V 0.9A', 'ac 220-240V 0.2A 50,60Hz > 25..42V 0.9A'],
  ['INPUT 230V~ OUTPUT 0-30V 0-5A', 'ac 230V > 0..30V 5A'],
  ['INPUT 220-240V~ 0.35A OUTPUT 27-40Vdc 1050mA 42W max', 'ac 220-240V 0.35A > 27..40V 1.05A; total 42W'],
  ['INPUT 230V OUTPUT 3/4.5/6/7.5/9/12V 1,000mA selectable', 'ac 230V > 3V 1A |, 4.5V 1A |, 6V 1A |, 7.5V 1A |, 9V 1A |, 12V 1A |'],
  ['INPUT 230V~ 1A OUTPUT 5V 3A or 9V 2A', 'ac 230V 1A > 5V 3A |, 9V 2A |'],
  ['OUTPUT 12V/24V 3A INPUT 230V~', 'ac 230V > 12V 3A |, 24V 3A |'],
  ['INPUT 100-240V 0.6A OUTPUT 5V/9V/12V 3A/2A/1.5A', 'ac 100-240V 0.6A > 5V 3A |, 9V 2A |, 12V 1.5A |'],
  // USB chargers
  ['INPUT: 100-240V~ 0.6A OUTPUT: 5V⎓3A / 9V⎓2A / 12V⎓1.5A', 'ac 100-240V 0.6A > 5V 3A |, 9V 2A |, 12V 1.5A |'],
  ['INPUT 100-240V~ 1.8A OUTPUT USB-C 5V=3A 9V=3A 15V=3A 20V=3.25A', 'ac 100-240V 1.8A > 5V 3A |, 9V 3A |, 15V 3A |, 20V 3.25A |'],
  ['INPUT 100-240V~ 1.7A USB-C1: 5V=3A 9V=3A 20V=3.25A USB-A: 5V=2.4A total output 65W', 'ac 100-240V 1.7A > 5V 3A | @USB-C1, 9V 3A | @USB-C1, 20V 3.25A | @USB-C1, 5V 2.4A @USB-A; total 65W'],
  ['INPUT 100-240V~ 0.7A OUTPUT PD 5V/3A 9V/3A 12V/2.5A PPS 3.3-11V/3A', 'ac 100-240V 0.7A > 5V 3A |, 9V 3A |, 12V 2.5A |, 3.3..11V 3A |'],
  ['INPUT 100-240V~ 0.5A OUTPUT USB 5V 2.1A', 'ac 100-240V 0.5A > 5V 2.1A'],
  // Alternating outputs, class, marks, dates, what is left over
  ['INPUT 230V~50Hz 10VA OUTPUT 12V~ 800mA CLASS II', 'ac 230V 10W 50Hz > 12V~ 0.8A; class II'],
  ['IN 230V~ 50Hz OUT 24VAC 1A', 'ac 230V 50Hz > 24V~ 1A'],
  ['INPUT 100-240V~ 1.5A OUTPUT 24V=2.5A EFFICIENCY LEVEL VI', 'ac 100-240V 1.5A > 24V 2.5A; level VI'],
  ['INPUT 100-240V~ OUTPUT 12V 2A (V) LPS ⧈', 'ac 100-240V > 12V 2A; level V; class II; limited'],
  ['INPUT 230V~ 2A OUTPUT 24V 5A CLASS I must be earthed', 'ac 230V 2A > 24V 5A; class I'],
  ['INPUT 24VDC 2A OUTPUT 12V 3A CLASS III', 'dc 24V 2A > 12V 3A; class III'],
  ['INPUT 120V~ 0.3A OUTPUT 12V 1A CLASS 2', 'ac 120V 0.3A > 12V 1A; limited'],
  ['INPUT 100-240V~ 1A OUTPUT 12V 3A DATE: 2314', 'ac 100-240V 1A > 12V 3A; dated 2314'],
  ['VK-2402 ADAPTER INPUT 100-240V~ 1A OUTPUT 24V 2A FOR INDOOR USE ONLY', 'ac 100-240V 1A > 24V 2A; unread VK-2402 ADAPTER FOR INDOOR USE ONLY'],
  ['INPUT 100-240V~ 1A OUTPUT 12V 3A tc 85°C', 'ac 100-240V 1A > 12V 3A; unread tc 85°C'],
  ['MAX. POWER 2.5kW MAINS 230V~ 11A', 'ac 230V 11A > ; total 2500W'],
])('%s', (text, expected) => {
  expect(inOneLine(parseNameplate(text))).toBe(expected);
}); // oxfmt-ignore

// As people find them printed; worked by eye.
test.each`
  text                                            | dates            | fuse         | unread
  ${'INPUT 230V~ OUTPUT 12V 2A wk12 2019'}        | ${['wk12 2019']} | ${undefined} | ${undefined}
  ${'OUTPUT 12V 2A MFG DATE: 03/2019'}            | ${['03/2019']}   | ${undefined} | ${undefined}
  ${'OUTPUT 5V 1A Date Mar 2019'}                 | ${['Mar 2019']}  | ${undefined} | ${undefined}
  ${'2019-W12 INPUT 230V~ OUTPUT 12V 2A'}         | ${['2019-W12']}  | ${undefined} | ${undefined}
  ${'OUTPUT 12V 2A KW 12/19'}                     | ${['KW 12/19']}  | ${undefined} | ${undefined}
  ${'OUTPUT 12V 2A DATE 2148'}                    | ${['2148']}      | ${undefined} | ${undefined}
  ${'INPUT 230V~ FUSE T3.15AL250V OUTPUT 12V 2A'} | ${undefined}     | ${3.15}      | ${undefined}
  ${'INPUT 230V~ T500mAL250V OUTPUT 12V 2A'}      | ${undefined}     | ${0.5}       | ${undefined}
  ${'INPUT 230V~ F1.6A OUTPUT 12V 2A'}            | ${undefined}     | ${1.6}       | ${undefined}
  ${'OUTPUT 2000 W 12V 160A'}                     | ${undefined}     | ${undefined} | ${undefined}
  ${'1.5 kW 12/24V OUTPUT'}                       | ${undefined}     | ${undefined} | ${undefined}
`('the label “$text” has the dates $dates and the fuse $fuse', ({ text, dates, fuse, unread }) => {
  const plate = parseNameplate(text as string);
  expect(plate.dateCodes).toEqual(dates);
  expect(plate.fuse).toBe(fuse);
  expect(plate.unread).toBe(unread);
});
