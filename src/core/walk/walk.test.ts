import { analyse, tracedSoFar } from '../topology';
import { CORPUS } from '../topology/fixtures/corpus';
import { OTHER_BOARDS } from '../topology/fixtures/otherBoards';
import { powerWalk, railEstimates } from '.';

const BOARDS = [...CORPUS, ...OTHER_BOARDS];
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

test('a role of which no part is known is said to be open, never left out', () => {
  const { board } = CORPUS.find(({ name }) => name === 'printer-adapter-24v') ?? { board: { parts: [] } };
  const steps = powerWalk(analyse(tracedSoFar(board, []))).join(' ');
  expect(steps).toMatch(/Flyback converter.*: A switch that is not traced yet stores energy in T301/);
  expect(steps).toMatch(/a rectifier that is not traced yet passes it to the output/);
});

// The same kind of part does other work elsewhere: a dropper capacitor carries the power and filters nothing.
test.each`
  board                   | what                                                     | never
  ${'hour-switch'}        | ${'a dropper capacitor of class X'}                      | ${/C201[^.]* noise/}
  ${'room-thermostat'}    | ${'a dropper capacitor of class X'}                      | ${/keeps? the switching noise/}
  ${'burner-igniter-12v'} | ${'the gap that fires the spark'}                        | ${/SG1[^.]*surges/}
  ${'lathe-dc'}           | ${'diodes beside thyristors that no transformer is at'}  | ${/leakage inductance/}
  ${'wall-dimmer-300'}    | ${'diodes that reset the timing of a dimmer'}            | ${/rectif(y|ies) the mains/}
  ${'usbc-charger-65w'}   | ${'diodes that start a controller from the mains'}       | ${/D15[^.]*rectif(y|ies) the mains/}
  ${'tower-200'}          | ${'the base drive of a bipolar pair'}                    | ${/R905[^.]*leakage inductance/}
  ${'bias-15'}            | ${'a supply that only its capacitor’s rating speaks of'} | ${/From about/}
`('the walk of $board takes $what for nothing else', ({ board, never }) => {
  expect(powerWalk(analysed(board)).join(' ')).not.toMatch(never);
});
