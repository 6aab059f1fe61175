import { nextFitting, senseCheck, SENSE_RULES, unitStress, type UnitStress } from '.';
import { decodeMarking } from '../marking';
import { parseNameplate } from '../nameplate';

const mains = (plate: string, topology?: string): UnitStress => unitStress(parseNameplate(plate), topology);
const ADAPTER = mains('INPUT 100-240V~ 50/60Hz 1.5A OUTPUT 24V 2.5A');
const HEATER = mains('INPUT 230V~ 16A OUTPUT 12V 5A');
const FORWARD_48 = mains('INPUT 100-240V~ 3A OUTPUT 48V 5A', 'forward');
const CAR = mains('INPUT 12V DC 5A OUTPUT 5V 2A');

test('the stresses follow from the plate: 240 V with 10 % over peaks at 373 V', () => {
  expect(ADAPTER.input?.peak).toBeCloseTo(373.35, 1);
  expect(ADAPTER.outputs).toEqual([{ volts: 24, current: 2.5 }]);
});

describe('what does not fit its place', () => {
  // Peaks are arithmetic; what is usual is common practice, no source.
  test.each`
    part                                                                                                    | unit          | severity     | message        | why
    ${{ kind: 'nmos', block: 'switch', ratings: { vds: 60 } }}                                              | ${ADAPTER}    | ${'wrong'}   | ${'373'}       | ${'a 60 V MOSFET as mains switch'}
    ${{ kind: 'nmos', block: 'switch', ratings: { vds: 650 } }}                                             | ${ADAPTER}    | ${undefined} | ${''}          | ${'what belongs there'}
    ${{ kind: 'nmos', block: 'switch', ratings: { vds: 400 } }}                                             | ${ADAPTER}    | ${'tight'}   | ${'400'}       | ${'over the peak and under what is usual'}
    ${{ kind: 'nmos', block: 'switch', ratings: { vds: 60 } }}                                              | ${CAR}        | ${undefined} | ${''}          | ${'no mains here'}
    ${{ kind: 'nmos', block: 'pfc', ratings: { vds: 375 } }}                                                | ${ADAPTER}    | ${'wrong'}   | ${'400'}       | ${'a corrector makes 400 V'}
    ${{ kind: 'igbt', block: 'switch', ratings: { vces: 1200 } }}                                           | ${ADAPTER}    | ${undefined} | ${''}          | ${'ample'}
    ${{ kind: 'capacitor', block: 'secondary', ratings: { capacitance: 1e-3, voltage: 16 } }}               | ${ADAPTER}    | ${'wrong'}   | ${'24'}        | ${'a 16 V capacitor on a 24 V rail'}
    ${{ kind: 'capacitor', block: 'secondary', ratings: { capacitance: 1e-3, voltage: 25 } }}               | ${ADAPTER}    | ${'tight'}   | ${'25'}        | ${'nothing to spare'}
    ${{ kind: 'capacitor', block: 'secondary', ratings: { capacitance: 1e-3, voltage: 35 } }}               | ${ADAPTER}    | ${undefined} | ${''}          | ${'what belongs there'}
    ${{ kind: 'capacitor', block: 'input', ratings: { capacitance: 1e-4, voltage: 50 } }}                   | ${ADAPTER}    | ${'wrong'}   | ${'burst'}     | ${'a bulk capacitor of 50 V'}
    ${{ kind: 'capacitor', block: 'input', ratings: { capacitance: 1e-4, voltage: 200 } }}                  | ${ADAPTER}    | ${'tight'}   | ${'series'}    | ${'one of a doubler'}
    ${{ kind: 'capacitor', block: 'input', ratings: { capacitance: 1e-4, voltage: 400 } }}                  | ${ADAPTER}    | ${undefined} | ${''}          | ${'what belongs there'}
    ${{ kind: 'diode', block: 'secondary', technology: 'schottky', ratings: { vrrm: 100 } }}                | ${FORWARD_48} | ${'wrong'}   | ${'forward'}   | ${'a Schottky on 48 V of a forward converter'}
    ${{ kind: 'diode', block: 'secondary', technology: 'schottky', ratings: { vrrm: 60 } }}                 | ${ADAPTER}    | ${'tight'}   | ${'flyback'}   | ${'the topology is not known'}
    ${{ kind: 'dual-diode', block: 'secondary', technology: 'schottky', ratings: { vrrm: 100, ifav: 20 } }} | ${ADAPTER}    | ${undefined} | ${''}          | ${'what belongs there'}
    ${{ kind: 'diode', block: 'secondary', ratings: { vrrm: 200, ifav: 1 } }}                               | ${ADAPTER}    | ${'wrong'}   | ${'2.5'}       | ${'1 A on 2.5 A'}
    ${{ kind: 'diode', block: 'switch', technology: 'schottky', ratings: { vrrm: 100 } }}                   | ${ADAPTER}    | ${'wrong'}   | ${'Schottky'}  | ${'none stands on the mains side'}
    ${{ kind: 'nmos', block: 'secondary', ratings: { vds: 30 } }}                                           | ${ADAPTER}    | ${'wrong'}   | ${'48'}        | ${'a synchronous rectifier'}
    ${{ kind: 'bridge', block: 'input', ratings: { vrrm: 200 } }}                                           | ${ADAPTER}    | ${'wrong'}   | ${'373'}       | ${'a bridge of 200 V'}
    ${{ kind: 'bridge', block: 'input', ratings: { vrrm: 400 } }}                                           | ${ADAPTER}    | ${'tight'}   | ${'600'}       | ${'a bridge of 400 V'}
    ${{ kind: 'fuse', block: 'input', ratings: { current: 16, breaking: 160 } }}                            | ${HEATER}     | ${undefined} | ${''}          | ${'breaks more than a glass one'}
    ${{ kind: 'fuse', block: 'input', ratings: { current: 16, breaking: 35 } }}                             | ${HEATER}     | ${'wrong'}   | ${'sand'}      | ${'a glass fuse on a high-current input'}
    ${{ kind: 'fuse', block: 'input', ratings: { current: 2, breaking: 35, voltage: 250 } }}                | ${ADAPTER}    | ${undefined} | ${''}          | ${'a glass fuse where it belongs'}
    ${{ kind: 'fuse', block: 'input', ratings: { current: 1 } }}                                            | ${ADAPTER}    | ${'wrong'}   | ${'open'}      | ${'less than the plate draws'}
    ${{ kind: 'fuse', block: 'input', ratings: { current: 2, voltage: 125 } }}                              | ${ADAPTER}    | ${'wrong'}   | ${'125'}       | ${'a fuse for 125 V'}
    ${{ kind: 'varistor', block: 'input', ratings: { vn: 220 } }}                                           | ${ADAPTER}    | ${'wrong'}   | ${'141'}       | ${'one for 120 V mains'}
    ${{ kind: 'varistor', block: 'input', ratings: { vn: 470 } }}                                           | ${ADAPTER}    | ${undefined} | ${''}          | ${'what belongs there'}
    ${{ kind: 'capacitor', subtype: 'x2', block: 'input', ratings: { capacitance: 1e-7, voltage: 100 } }}   | ${ADAPTER}    | ${'wrong'}   | ${'X2'}        | ${'an X2 of 100 V'}
    ${{ kind: 'resistor', duty: 'snubber', ratings: { resistance: 47e3 } }}                                 | ${ADAPTER}    | ${'wrong'}   | ${'2 decades'} | ${'a snubber two decades off'}
    ${{ kind: 'resistor', duty: 'snubber', ratings: { resistance: 47 } }}                                   | ${ADAPTER}    | ${undefined} | ${''}          | ${'what belongs there'}
    ${{ kind: 'resistor', duty: 'clamp', ratings: { resistance: 5e3 } }}                                    | ${ADAPTER}    | ${'tight'}   | ${'just'}      | ${'just outside'}
    ${{ kind: 'resistor', duty: 'sense', ratings: { resistance: 4700 } }}                                   | ${ADAPTER}    | ${'wrong'}   | ${'decades'}   | ${'no shunt'}
    ${{ kind: 'nmos', ratings: { vds: 60 } }}                                                               | ${ADAPTER}    | ${undefined} | ${''}          | ${'no block, no misfit'}
    ${{ kind: 'nmos', block: 'switch', ratings: {} }}                                                       | ${ADAPTER}    | ${undefined} | ${''}          | ${'no rating, no misfit'}
    ${{ kind: 'nmos', block: 'switch', ratings: { vds: 60 } }}                                              | ${mains('')}  | ${undefined} | ${''}          | ${'no plate, no misfit'}
  `('$part.kind $part.ratings: $severity ($why)', ({ part, unit, severity, message }) => {
    const [worst] = senseCheck(part, unit);
    expect(worst?.severity).toBe(severity);
    expect((worst?.message ?? '').replace(/\u00a0/g, ' ')).toContain(message);
  });

  test('every rule names its source', () => {
    for (const { source } of SENSE_RULES) expect(source.length).toBeGreaterThan(10);
    expect(new Set(SENSE_RULES.map(({ name }) => name)).size).toBe(SENSE_RULES.length);
  });
});

test('the next reading that would fit is offered: bare digits on the mains side cannot be a Schottky', () => {
  const readings = decodeMarking('1660', { kind: 'diode', package: 'TO-220' });
  expect(readings[0]?.facts?.technology).toBe('schottky');
  expect(nextFitting(readings, { block: 'pfc' }, ADAPTER)?.facts?.technology).toBe('fast');
  expect(nextFitting(readings, { block: 'secondary' }, mains('INPUT 230V~ OUTPUT 5V 3A'))).toBeUndefined();
});
