import { analyse, tracedSoFar } from '../topology';
import { CORPUS } from '../topology/fixtures/corpus';
import { OTHER_BOARDS } from '../topology/fixtures/otherBoards';
import { PRACTICAL } from '../topology/fixtures/practicalBoards';
import { textbookBoard } from '../topology/fixtures/textbook';
import { powerWalk, railEstimates } from '.';

const BOARDS = [...CORPUS, ...OTHER_BOARDS, ...PRACTICAL];
const analysed = (name: string) => {
  const entry = BOARDS.find((board) => board.name === name);
  if (!entry) throw new Error(`no board ${name}`);
  return analyse(entry.board);
};
const rail = (name: string, at: string) => railEstimates(analysed(name)).find((estimate) => estimate.at === at);

// 2.495 V (1 + R1/R2) at a shunt reference of the 431 family; the square root of two times the highest mains.
test.each`
  board                    | at          | volts    | most   | because
  ${'printer-adapter-24v'} | ${'C303.+'} | ${23.29} | ${35}  | ${'divider at Q301'}
  ${'router-adapter-12v'}  | ${'C312.+'} | ${12.23} | ${16}  | ${'divider at U301'}
  ${'printer-adapter-24v'} | ${'C105.+'} | ${339.4} | ${400} | ${'240 V of mains'}
  ${'tower-supply-200'}    | ${'C12.+'}  | ${169.7} | ${200} | ${'240 V of mains'}
  ${'room-thermostat'}     | ${'C1.+'}   | ${24}    | ${35}  | ${''}
  ${'door-chime-supply'}   | ${'C13.+'}  | ${12}    | ${16}  | ${''}
`('$board: about $volts V at $at', ({ board, at, volts, most, because }) => {
  const estimate = rail(board, at);
  expect(estimate?.volts).toBeCloseTo(volts, 1);
  expect(estimate?.most).toBe(most);
  expect(estimate?.why).toContain(because);
});

// 1.24 V (1 + R1/R2) of the low-voltage kin of the 431; a UC3843 runs from 7.6 to 30 V (datasheets, from memory).
test.each`
  board                   | ref       | marking      | at          | least  | most
  ${'router-adapter-12v'} | ${'U301'} | ${'TLV431A'} | ${'C312.+'} | ${6.0} | ${6.2}
`('$board with $marking at $ref: between $least and $most V at $at', ({ board, ref, marking, at, least, most }) => {
  const told = CORPUS.find(({ name }) => name === board)?.board ?? { parts: [] };
  const parts = told.parts.map((part) => (part.ref === ref ? { ...part, marking: marking as string } : part));
  const { nameplate: _, ...bare } = told;
  const volts = railEstimates(analyse({ ...bare, parts })).find((estimate) => estimate.at === at)?.volts;
  expect(volts).toBeGreaterThan(least as number);
  expect(volts).toBeLessThan(most as number);
});

/** A board of named nets, without a plate unless its input is given. */
const drawn = (lines: string, input?: { readonly vMin: number; readonly vMax: number }) => {
  const { nameplate: _, ...board } = textbookBoard({ name: 'drawn', input: 'dc', lines });
  return analyse(input ? { ...board, nameplate: { input: { kind: 'dc', ...input } } } : board);
};

const CONTROLLED =
  'J1 connector/dc-input in 0\nC1 capacitor/electrolytic in 0 100u/63\nR1 resistor in vcc 4.7k\nC2 capacitor/electrolytic vcc 0 47u/50\n' +
  'U1 ic/controller comp fb cs rt 0 o vcc ref !UC3843\nR2 resistor o g 10\nQ1 nmos g x cs\nR3 resistor cs 0 0.1\nR4 resistor ref rt 10k\n' +
  'L1 inductor in x 47u\nD1 diode/fast x out\nC3 capacitor/electrolytic out 0 220u/63\nR5 resistor out m 33k\nR6 resistor m fb 14k\nR7 resistor fb 0 2.5k\n' +
  'C5 capacitor/electrolytic ref 0 10u/16\nJ2 connector/output out 0';
const STEP_DOWN =
  'J1 connector/dc-input j 0\nL2 inductor j in 10u\nC1 capacitor/electrolytic in 0 100u/63\nU1 ic/switcher in x 0 fb 0 !LM2576\n' +
  'D1 diode/schottky 0 x\nL1 inductor x out 100u\nC2 capacitor/electrolytic out 0 470u/35\nR1 resistor out fb 3.01k\nR2 resistor fb 0 1k\n' +
  'J2 connector/output out 0';
const HIGH_SIDE =
  'J1 connector/dc-input in 0\nC1 capacitor/electrolytic in 0 100u/63\nU2 regulator in v 0 !7812\nC2 capacitor/electrolytic v 0 10u/25\n' +
  'U1 ic/gate-driver i 0 v hg x b lg\nD3 diode/fast v b\nC4 capacitor/electrolytic b x 10u/25\nQ1 nmos hg in x\nQ2 nmos lg x 0\n' +
  'L1 inductor x out 47u\nC3 capacitor/electrolytic out 0 470u/35\nJ2 connector/output out 0';

// A UC3843 runs from 7.6 to 30 V, holds 2.5 V at pin 2 and 5 V at pin 8; an LM2576 holds 1.23 V: data sheets, from memory.
// Dividers by hand: 2.5 (1 + 47/2.5) = 49.5 V, 1.23 (1 + 3.01) = 4.93 V; 12 V less a diode.
test.each`
  circuit       | lines                                                      | input                     | at        | volts    | because
  ${'boost'}    | ${CONTROLLED}                                              | ${undefined}              | ${'C3.+'} | ${49.5}  | ${'divider at U1 holds 2.5 V'}
  ${'boost'}    | ${CONTROLLED}                                              | ${undefined}              | ${'C2.+'} | ${14}    | ${'runs between 7.6 V and 30 V'}
  ${'boost'}    | ${CONTROLLED}                                              | ${undefined}              | ${'U1.8'} | ${5}     | ${'the reference of a UC3843'}
  ${'boost'}    | ${CONTROLLED}                                              | ${undefined}              | ${'Q1.G'} | ${14}    | ${'U1 drives it with pulses'}
  ${'buck'}     | ${STEP_DOWN}                                               | ${undefined}              | ${'C2.+'} | ${4.932} | ${'divider at U1'}
  ${'buck'}     | ${STEP_DOWN}                                               | ${{ vMin: 18, vMax: 32 }} | ${'C1.+'} | ${32}    | ${'the input may reach 32 V'}
  ${'fixed'}    | ${STEP_DOWN.replace('fb 0 !LM2576', 'out 0 !LM2596S-5.0')} | ${undefined}              | ${'C2.+'} | ${5}     | ${'marked LM2596S-5.0'}
  ${'floating'} | ${HIGH_SIDE}                                               | ${undefined}              | ${'C4.+'} | ${11.3}  | ${'D3 charges it from a supply of about 12'}
`('$circuit: about $volts V at $at', ({ lines, input, at, volts, because }) => {
  const estimate = railEstimates(drawn(lines as string, input as { vMin: number; vMax: number })).find(
    (one) => one.at === at,
  );
  expect(estimate?.volts).toBeCloseTo(volts as number, 2);
  expect(estimate?.why.replace(/\s/g, ' ')).toContain(because);
});

test('a rail that nothing tells of is put at four fifths of what its capacitor stands', () => {
  const { nameplate: _, ...board } = CORPUS.find(({ name }) => name === 'step-down-5v')?.board ?? { parts: [] };
  const estimate = railEstimates(analyse(board)).find(({ at }) => at === 'C5.+');
  expect(estimate?.volts).toBeCloseTo(6.3 * 0.8, 2);
  expect(estimate?.why).toContain('usually run at about 80 %');
});

test('no estimate lies above what the parts on the rail stand, unless a part there is underrated', () => {
  for (const { board, answer } of CORPUS)
    for (const { volts, most } of railEstimates(analyse(board)))
      if (!answer.faults.some(({ rule }) => rule === 'capacitor-underrated'))
        expect(volts ?? 0).toBeLessThanOrEqual((most ?? Infinity) * 1.001);
});

test('the walk leads from the inlet to the output, with this board’s parts', () => {
  const steps = powerWalk(analysed('console-supply'));
  expect(steps[0]).toContain('P4');
  expect(steps.at(-1)).toContain('P3');
  const order = ['L2', 'TR1', 'TR2'].map((ref) => steps.findIndex((step) => step.includes(`${ref}`)));
  expect(order.every((at) => at > 0)).toBe(true);
  expect(steps.join(' ')).toMatch(/C53 holds the rectified voltage: about 3\d\d.V/);
  for (const { board } of BOARDS) expect(powerWalk(analyse(board)).join(' ')).not.toMatch(/undefined|NaN|\{/);
});

// Duty in continuous current: Vout/Vin of a buck, 1 − Vin/Vout of a boost (textbook).
test.each`
  board                      | says
  ${'step-down-5v'}          | ${/buck.*: IC1 chops its supply; L1 and D2 make a lower voltage of it\. From about 36.V to about 5.V it conducts for some 14 % of the time\./}
  ${'bias-15'}               | ${/SEPIC.*From about 18.V to about 15.V it conducts for some 45 % of the time/}
  ${'tower-supply-200'}      | ${/Half-bridge.*Q3 and Q5 swing one end.*It takes about 340.V and gives/}
  ${'router-adapter-12v'}    | ${/D203, C204 and R203 take the spike of the leakage inductance off the switch/}
  ${'router-adapter-12v'}    | ${/MOV101 takes surges from the line.*NR101 limits the current that rushes/}
  ${'router-adapter-12v'}    | ${/D104, D102, D103 and D101 rectify the mains/}
  ${'router-adapter-12v'}    | ${/U301 compares the output with its own reference\. OC301 carries a signal across the barrier/}
  ${'router-adapter-12v'}    | ${/CY301 leads noise back across the barrier; it is a safety part/}
  ${'washer-control-supply'} | ${/VDR1 takes surges.*C7 keeps.*D2 rectifies the mains/}
`('the walk of $board says $says', ({ board, says }) => {
  expect(powerWalk(analysed(board)).join(' ')).toMatch(says);
});

// What starts, feeds, limits and guards the switches: each said of its own parts only.
test.each`
  board                    | says                                                                           | never
  ${'adapter-12v-ob'}      | ${/R2 and R3 let enough current through to start U1.*Once T1 works, D7 feeds/} | ${/how warm/}
  ${'mini-itx-brick'}      | ${/Once T1 works, D3 feeds U1 and U2 from one of its windings/}                | ${/Once L1/}
  ${'tv-llc'}              | ${/R2 senses the current of Q1\./}                                             | ${/senses the current of Q3/}
  ${'printer-brick-qr'}    | ${/R3 senses the current of Q1/}                                               | ${/RT1 tells/}
  ${'monitor-supply'}      | ${/NR7 tells a chip how warm it is/}                                           | ${/shorts the output/}
  ${'battery-charger-scr'} | ${/Mains-frequency transformer/}                                               | ${/shorts the output/}
  ${'ballast-bjt'}         | ${/drive the lamp through L1/}                                                 | ${/senses/}
  ${'cdi'}                 | ${/R1 senses the current of Q1/}                                               | ${/current of TH1/}
`('the walk of $board says $says and never $never', ({ board, says, never }) => {
  const walk = powerWalk(analysed(board)).join(' ');
  expect(walk).toMatch(says);
  expect(walk).not.toMatch(never);
});

test('the supply of a chip is bounded by what the chip stands, whatever its capacitor does', () => {
  const supply = railEstimates(drawn(CONTROLLED)).find(({ at }) => at === 'C2.+');
  expect(supply?.most).toBe(30);
});

test('a resistor that bleeds the supply of a chip does not start it', () => {
  const bled = CONTROLLED.replace('R1 resistor in vcc 4.7k', 'R1 resistor in vcc 4.7k\nR8 resistor vcc 0 22k');
  expect(powerWalk(drawn(bled)).join(' ')).toContain('R1 lets enough current through to start U1.');
});

test('a thyristor across the output of a converter is said to guard it', () => {
  const guarded = `${STEP_DOWN}\nTH1 scr out 0 gt\nD9 diode/zener gt out\nR9 resistor gt 0 1k`;
  expect(powerWalk(drawn(guarded)).join(' ')).toContain('TH1 shorts the output when that rises too high.');
});

test('a role of which no part is known is said to be open, never left out', () => {
  const { board } = CORPUS.find(({ name }) => name === 'printer-adapter-24v') ?? { board: { parts: [] } };
  const steps = powerWalk(analyse(tracedSoFar(board, []))).join(' ');
  expect(steps).toMatch(/Flyback converter.*: A switch that is not traced yet stores energy in T301/);
  expect(steps).toMatch(/a rectifier that is not traced yet passes it to the output/);
});

// The same kind of part does other work elsewhere: a dropper capacitor carries the power and filters nothing.
test.each`
  board                   | what                                                    | never
  ${'hour-switch'}        | ${'a dropper capacitor of class X'}                     | ${/C201[^.]* noise/}
  ${'room-thermostat'}    | ${'a dropper capacitor of class X'}                     | ${/keeps? the switching noise/}
  ${'burner-igniter-12v'} | ${'the gap that fires the spark'}                       | ${/SG1[^.]*surges/}
  ${'lathe-dc'}           | ${'diodes beside thyristors that no transformer is at'} | ${/leakage inductance/}
  ${'wall-dimmer-300'}    | ${'diodes that reset the timing of a dimmer'}           | ${/rectif(y|ies) the mains/}
  ${'usbc-charger-65w'}   | ${'diodes that start a controller from the mains'}      | ${/D15[^.]*rectif(y|ies) the mains/}
  ${'tower-200'}          | ${'the base drive of a bipolar pair'}                   | ${/R905[^.]*leakage inductance/}
`('the walk of $board takes $what for nothing else', ({ board, never }) => {
  expect(powerWalk(analysed(board)).join(' ')).not.toMatch(never);
});
