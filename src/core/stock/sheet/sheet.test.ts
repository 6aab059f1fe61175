import { allAtOnce } from '../../steps';
import { asTypeTable, readLotTable, readNeedTable, type LotEntry, type SheetSaid } from '..';

const cells = (sheet: string, separator: string) =>
  sheet
    .trim()
    .split('\n')
    .map((line) => line.split(separator).map((cell) => cell.trim()));
const read = (sheet: string, separator: string, said: SheetSaid = {}) =>
  allAtOnce(readLotTable(cells(sheet, separator), said));
/** A lot in a line: kind, marking, values with their sources, pieces, bin. */
const shown = ({ kind, subtype, technology, marking, package: case_, ratings, pieces, bin, note }: LotEntry) =>
  [
    kind,
    subtype || technology,
    marking,
    case_,
    ...Object.entries(ratings).map(([name, { value, source }]) => `${name} ${Number(value.toPrecision(4))} ${source}`),
    `${pieces} in ${bin}`,
    note,
  ]
    .filter(Boolean)
    .join(', ');

const GERMAN = `
Bauteil; Wert; Spannung [V]; Anzahl; Fach; Zustand
Elko; 1000 µF; 25; 12; C2-1; gut
Elko; 4,7 µF; 50; 3; C2-2;
Widerstand; 4k7 1/4W; ; 100; R1;
Elko; 220 µF; 16; 2; C2-3; defekt
Relais; 12 V; ; 2; K1;
`;
const DESCRIBED = `
My parts, autumn
Qty | Description | Location
3 | N-channel MOSFET 600V 10A TO-220 | A1
10 | electrolytic cap 470uF 35V 105C | C1
2 pcs | Schottky diode 40V 3A 1N5822 | D1
5 | X2 cap 100n | C9
1 | heat sink 5 K/W | H1
`;
const NUMBERS = `
Part Number,Type,Package,Qty,Bin,Notes
IRF840,N-MOSFET,TO-220,4,A2-1,from a scanner
1N4007,diode,DO-41,25,A2-2,
MOC3021,opto,DIP-6,1,A2-3,
XYZ9999,transistor,TO-92,3,A2-4,
BT136-600,triac,TO220,2,A2-5,shorted
`;
const FRENCH = `
Composant; Valeur; Tension; Quantité; Tiroir; Boîtier
condensateur chimique; 47 µF; 400 V; 2; C3; radial
résistance; 100 ohms 2W; ; 20; R2; axial
fusible; 2 A temporisé; ; 5; F1; 5x20
diode zener; 5,1 V; ; 8; D2; DO-35
`;
const BARE = `
a,b,c
IRF540N,3,A2-1
BC547B,20,A2-2
TL431,5,A2-3
`;
const UNITS_ABOVE = `
C (µF)	V	ESR (mΩ)	Diameter (mm)	count	drawer
1000	25	28	10	4	Box 3
2,2	50		5	10	B4
`;

test.each([
  [
    'German, with semicolons and decimal commas; what is called defective stays out',
    GERMAN,
    ';',
    [
      'capacitor, electrolytic, capacitance 0.001 typed, voltage 25 typed, 12 in C2-1, gut',
      'capacitor, electrolytic, capacitance 0.0000047 typed, voltage 50 typed, 3 in C2-2',
      'resistor, resistance 4700 typed, power 0.25 typed, 100 in R1',
      'relay, voltage 12 typed, 2 in K1',
    ],
    [/line 5: .*“defekt”/],
  ],
  [
    'a description with everything in it, under a title',
    DESCRIBED,
    '|',
    [
      'nmos, TO-220, vds 600 typed, id 10 typed, 3 in A1',
      'capacitor, electrolytic, capacitance 0.00047 typed, voltage 35 typed, temperature 105 typed, 10 in C1',
      'diode, schottky, 1N5822, vrrm 40 typed, ifav 3 typed, 2 in D1',
      'capacitor, x2, capacitance 1e-7 typed, 5 in C9',
      'heat-sink, thermal 5 typed, 1 in H1',
    ],
    [],
  ],
  [
    'part numbers, which tell what the list leaves out',
    NUMBERS,
    ',',
    [
      expect.stringMatching(
        /^nmos, IRF840, TO-220, vds 500 (?:decoded|remembered), .*4 in A2-1, from a scanner$/,
      ) as unknown as string,
      expect.stringMatching(/^diode, 1N4007, DO-41, .*vrrm 1000 decoded.*, 25 in A2-2$/) as unknown as string,
      expect.stringMatching(/^optocoupler, MOC3021, DIP-6, (?:.*, )?1 in A2-3$/) as unknown as string,
    ],
    [/line 5: .*NPN or PNP/, /line 6: .*“shorted”/],
  ],
  [
    'French',
    FRENCH,
    ';',
    [
      'capacitor, electrolytic, radial, capacitance 0.000047 typed, voltage 400 typed, 2 in C3',
      'resistor, axial, resistance 100 typed, power 2 typed, 20 in R2',
      'fuse, 5x20, current 2 typed, 5 in F1',
      'diode, zener, DO-35, vz 5.1 typed, 8 in D2',
    ],
    [],
  ],
  [
    'headings that say nothing: what stands in the columns tells',
    BARE,
    ',',
    [
      expect.stringMatching(/^nmos, IRF540N, vds 100 .*3 in A2-1$/) as unknown as string,
      expect.stringMatching(/^npn, BC547B, .*20 in A2-2$/) as unknown as string,
      expect.stringMatching(/^shunt-reference, TL431, .*5 in A2-3$/) as unknown as string,
    ],
    [],
  ],
  [
    'units in the headings, and no kind',
    UNITS_ABOVE,
    '\t',
    [
      'capacitor, esr 0.028 typed, diameter 0.01 typed, capacitance 0.001 typed, voltage 25 typed, 4 in 3, was in Box 3',
      'capacitor, diameter 0.005 typed, capacitance 0.0000022 typed, voltage 50 typed, 10 in B4',
    ],
    [],
  ],
] as const)('a foreign list: %s', (_, sheet, separator, lots, refused) => {
  const found = read(sheet, separator);
  expect(found.read.map(({ entry }) => shown(entry))).toEqual(lots);
  const told = found.refused.map(({ line, why }) => `line ${line}: ${why}`);
  expect(told.filter((text) => !text.startsWith('line 1'))).toHaveLength(refused.length);
  for (const why of refused) expect(told.join('\n')).toMatch(why);
});

test('where nothing says where the parts lie, one bin is given for all; a column is put right by hand', () => {
  const sheet = 'thing,how\nnmos 600V 10A,3\nresistor 4k7,12';
  expect(read(sheet, ',').refused[0]?.why).toMatch(/which column is the bin/);
  const { columns, read: lots } = read(sheet, ',', { bin: 'Z1', roles: ['values', 'pieces'] });
  expect(columns.map(({ role, by }) => `${role} ${by}`)).toEqual(['values person', 'pieces person']);
  expect(lots.map(({ entry }) => shown(entry))).toEqual([
    'nmos, vds 600 typed, id 10 typed, 3 in Z1',
    'resistor, resistance 4700 typed, 12 in Z1',
  ]);
});

test('a list of types of another hand takes the form that Types writes; its own is left as it is', () => {
  const foreign = cells(
    'Part Number,Type,Voltage (V),Current (A),RDS (mΩ),Gehäuse\nXN12,N-MOSFET,650,12,380,TO-220\nXB4,bridge,600,4,,KBL',
    ',',
  );
  expect(asTypeTable(foreign).rows).toEqual([
    ['kind', 'name', 'package', 'vds', 'id', 'rdsOn', 'vrrm', 'ifav'],
    ['nmos', 'XN12', 'TO-220', '650V', '12A', '380mΩ', '', ''],
    ['bridge', 'XB4', 'KBL', '', '', '', '600V', '4A'],
  ]);
  const own = [
    ['kind', 'name', 'vds'],
    ['nmos', 'XN12', '650 V; datasheet p. 3'],
  ];
  expect(asTypeTable(own).rows).toBe(own);
});

test('in a very long list the numbers of parts are not read, and that is told', () => {
  const rows = [
    ['kind', 'marking', 'pieces', 'bin'],
    ...Array.from({ length: 20_001 }, () => ['nmos', 'IRF840', '1', 'A1']),
  ];
  const { read: lots, refused } = allAtOnce(readLotTable(rows));
  expect([lots.length, lots[0]?.entry.ratings]).toEqual([20_001, {}]);
  expect(refused[0]?.why).toMatch(/numbers of the parts are not read/);
});

describe('lists of needs', () => {
  const cells = (text: string, by: string) => text.split('\n').map((line) => line.split(by));
  const told = (text: string, by = ';') => {
    const { read, refused } = readNeedTable(cells(text, by));
    return [
      ...read.map(({ role, filter, quantity }) => `${quantity} ${role}: ${filter}`),
      ...refused.map(({ line, why }) => `line ${line} refused: ${why}`),
    ];
  };

  test.each([
    ['switch: 2 x nmos 600V 10A', '2 switch: nmos vds>=600V id>=10A'],
    ['output: 3 x 1000u 25V low esr', '3 output: cap c~1000uF v>=25V esr<=100m'],
    ['2 resistor 0R22 2W (sense)', '2 sense: resistor r~220m p>=2W'],
    ['resistor 4k7 x 10', '10 resistor: resistor r~4.7k'],
    ['4 pcs 100nF X2 275V', '4 X2 capacitor: x2 c~100nF v>=275V'],
    ['4x 1N4007', '4 diode: diode 1n4007'],
    ['optocoupler', '1 optocoupler: optocoupler'],
  ])('“%s” as a line', (line, need) => {
    expect(told(line)).toEqual([need]);
  });

  test('a table with places: its kind by the letters or by the number, pieces counted where no column says how many', () => {
    const table = [
      'Ref\tValue\tVoltage\tPackage',
      'R1, R2, R5\t4k7\t\t1206',
      'C1\t470µF\t35V\tradial',
      'D1\t1N5822\t\t',
      'U1\tTL431\t\tTO-92',
      'X9\tM3 screw\t\t',
      '\t\t\t',
    ].join('\n');
    expect(told(table, '\t')).toEqual([
      '3 R1, R2, R5: resistor r~4.7k 1206',
      '1 C1: cap c~470uF v>=35V radial',
      '1 D1: diode 1n5822',
      '1 U1: shunt-reference to-92 tl431',
      expect.stringMatching(/^line 6 refused: Nothing says what kind of part/),
    ]);
  });

  test('a table of another language, and a column put right', () => {
    const table =
      'Bauteil;Wert;Menge;Wozu\nWiderstand;10k 1%;4;Teiler\nElko;2200 µF 16 V;zwei;Ausgang\nElko;100u 50V;1;Eingang';
    expect(told(table)).toEqual([
      '4 resistor: resistor r~10k tol<=1%',
      '1 electrolytic capacitor: electrolytic c~100uF v>=50V',
      'line 3 refused: Pieces “zwei”: a whole number from 1 to 1000 is expected.',
    ]);
    const { read, columns } = readNeedTable(cells(table, ';'), [undefined, undefined, undefined, 'for']);
    expect(read.map(({ role }) => role)).toEqual(['Teiler', 'Eingang']);
    expect(columns.at(-1)).toMatchObject({ heading: 'Wozu', role: 'for', by: 'person' });
  });
});
