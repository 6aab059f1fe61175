import fc from 'fast-check';
import {
  expectationsOf,
  judgePart,
  limitsFrom,
  limitText,
  mergeLimits,
  mergeReadings,
  TESTS,
  testField,
  transformerReport,
  type Limit,
  type PartUnderTest,
  type Readings,
} from '.';
import { KIND_NAMES, kindRule, type KindName, type TestName } from '../part';
import { remainingLife } from './remainingLife';
import { onResistance } from './judgeMosfet';

const OL = Infinity;
/** Readings as `body 0.51 blocking OL`; the last digit is a thousandth of the value, an ESR tester's 0.01 ohm. */
function readings(text: string, inCircuit = false): Readings {
  const words = text.split(/\s+/).filter((word) => word !== '');
  const pairs = words.flatMap((word, index) => (index % 2 === 0 ? [[word, words[index + 1] ?? ''] as const] : []));
  return Object.fromEntries(
    pairs.map(([name, value]) => {
      const number = value === 'OL' ? OL : Number(value);
      const resolution = name === 'esr' ? 0.01 : number === OL ? 0 : Math.abs(number) / 1000;
      return [name, { value: number, resolution, ...(inCircuit ? { inCircuit: true } : {}) }];
    }),
  );
}
const part = (
  kind: KindName,
  ratings: PartUnderTest['ratings'] = {},
  more: Partial<PartUnderTest> = {},
): PartUnderTest => ({
  kind,
  test: kindRule(kind).test as TestName,
  ratings,
  damage: [],
  ...more,
});

const CAN = part('capacitor', { capacitance: 100e-6, voltage: 25 }, { subtype: 'electrolytic' });
const BULK = part('capacitor', { capacitance: 82e-6, voltage: 400 }, { subtype: 'electrolytic' });
const FILM = part('capacitor', { capacitance: 220e-9, tolerance: 0.1 }, { subtype: 'film' });
const X2 = part('capacitor', { capacitance: 220e-9 }, { subtype: 'x2' });
const Y1 = part('capacitor', { capacitance: 2.2e-9, tolerance: 0.2 }, { subtype: 'y1' });
const FET = part('nmos', { rdsOn: 0.4, vgsTh: 3 });
const MOS = 'body 0.51 blocking OL gate OL hold 12';
const PFET = part('pmos', {});
const SCHOTTKY = part('diode', {}, { subtype: 'schottky' });
const RECTIFIER = part('diode', {}, { subtype: 'rectifier' });
const ZENER = part('diode', { vz: 12 }, { subtype: 'zener' });
const UNREAD = part('diode');
const DUAL = part('dual-diode', {}, { technology: 'schottky' });
const BRIDGE = part('bridge');
const FOUR = 'forward 0.51 second 0.51 third 0.52 fourth 0.51';
const R4K7 = part('resistor', { resistance: 4700 });
const OPTO = part('optocoupler', {}, { marking: '817B' });
const LIT = 'led 1.05 dark OL';
const CHOKE = part('inductor', { inductance: 100e-6, current: 5 });
const RELAY = part('relay', { voltage: 12 });
const FAN = part('fan', { voltage: 12, current: 0.18 });
const GOOD = { from: 'U1 of another', pins: { '1': 0.6, '2': OL, '3': 0.55, '4': 0.62 }, proved: true };
const CHIP = part('ic', {}, { known: [GOOD] });
const LIKELY = part('ic', {}, { known: [{ ...GOOD, proved: false }] });
// A whole one that reads otherwise does not count beside one that worked.
const MIXED = part('ic', {}, { known: [{ from: 'U2', pins: { '1': 0.2, '2': 0.2 }, proved: false }, GOOD] });

// Windows and multiples are common practice without a source, or stand in the tables of the modules; the ESR that is
// expected of 100 uF 25 V is 0.65 ohm by the documented model.
describe('the verdict a careful old hand would give', () => {
  test.each`
    of                                                                                    | measured                                                                 | verdict     | grade        | message
    ${CAN}                                                                                | ${'capacitance 98e-6 esr 0.3'}                                           | ${'keep'}   | ${'A'}       | ${'both as new'}
    ${CAN}                                                                                | ${'capacitance 98e-6 esr 1.0'}                                           | ${'limit'}  | ${'B'}       | ${'ESR 1.5 times'}
    ${CAN}                                                                                | ${'capacitance 98e-6 esr 1.6'}                                           | ${'limit'}  | ${'C'}       | ${'ESR 2.5 times'}
    ${CAN}                                                                                | ${'capacitance 98e-6 esr 4'}                                             | ${'scrap'}  | ${'reject'}  | ${'ESR six times'}
    ${CAN}                                                                                | ${'capacitance 98e-6 esr 0.9 leads 0.5'}                                 | ${'keep'}   | ${'A'}       | ${'the leads taken off'}
    ${CAN}                                                                                | ${'capacitance 78e-6 esr 0.3'}                                           | ${'limit'}  | ${'C'}       | ${'78 %'}
    ${CAN}                                                                                | ${'capacitance 40e-6 esr 0.3'}                                           | ${'scrap'}  | ${'reject'}  | ${'far too little, ESR fine'}
    ${CAN}                                                                                | ${'capacitance 170e-6 esr 0.3'}                                          | ${'scrap'}  | ${'reject'}  | ${'leakage reads as capacitance'}
    ${CAN}                                                                                | ${'capacitance 98e-6 esr 0.02'}                                          | ${'retest'} | ${undefined} | ${'too good to be true'}
    ${CAN}                                                                                | ${'capacitance 98e-6'}                                                   | ${'limit'}  | ${'B'}       | ${'no ESR, no A'}
    ${CAN}                                                                                | ${'capacitance 98e-6 loss 0.1'}                                          | ${'keep'}   | ${'A'}       | ${'D 0.1 at 120 Hz, 0.14 is the limit of 25 V'}
    ${CAN}                                                                                | ${'capacitance 98e-6 loss 0.2'}                                          | ${'limit'}  | ${'B'}       | ${'1.4 times the limit'}
    ${CAN}                                                                                | ${'capacitance 98e-6 loss 0.36'}                                         | ${'limit'}  | ${'C'}       | ${'2.6 times the limit'}
    ${CAN}                                                                                | ${'capacitance 98e-6 loss 0.6'}                                          | ${'scrap'}  | ${'reject'}  | ${'over four times the limit'}
    ${CAN}                                                                                | ${'capacitance 98e-6 loss 0.1 lossAt 100'}                               | ${'keep'}   | ${'A'}       | ${'at 100 Hz, the ESR limit is 1.2 times as high'}
    ${CAN}                                                                                | ${'capacitance 98e-6 loss 0.4 lossAt 1000'}                              | ${'keep'}   | ${'A'}       | ${'at 1 kHz: 0.64 ohm, of 0.8'}
    ${CAN}                                                                                | ${'capacitance 98e-6 esr 0.3 leakage 20e-6'}                             | ${'keep'}   | ${'A'}       | ${'under 25 uA'}
    ${CAN}                                                                                | ${'capacitance 98e-6 esr 0.3 leakage 50e-6'}                             | ${'retest'} | ${undefined} | ${'reform first'}
    ${CAN}                                                                                | ${'capacitance 98e-6 esr 0.3 leakage 90e-6'}                             | ${'scrap'}  | ${'reject'}  | ${'more than three times'}
    ${CAN}                                                                                | ${'capacitance 70e-6 esr 0.3'}                                           | ${'retest'} | ${undefined} | ${'straddles 70 %'}
    ${CAN}                                                                                | ${'capacitance 98e-6 esr 0.3 hours 300000'}                              | ${'limit'}  | ${'C'}       | ${'its hours are used up'}
    ${CAN}                                                                                | ${'capacitance 98e-6 esr 0.3 hours 9000 around 45'}                      | ${'keep'}   | ${'A'}       | ${'years are left'}
    ${CAN}                                                                                | ${''}                                                                    | ${'retest'} | ${undefined} | ${'nothing measured'}
    ${part('capacitor')}                                                                  | ${'capacitance 98e-6'}                                                   | ${'retest'} | ${undefined} | ${'what is printed is not known'}
    ${{ ...CAN, damage: ['bulged'] }}                                                     | ${'capacitance 98e-6 esr 0.3'}                                           | ${'scrap'}  | ${'reject'}  | ${'looks decide'}
    ${BULK}                                                                               | ${'capacitance 80e-6 esr 0.6'}                                           | ${'limit'}  | ${'B'}       | ${'no leakage test of a reservoir'}
    ${BULK}                                                                               | ${'capacitance 80e-6 esr 0.6 leakage 2e-4 held 330'}                     | ${'keep'}   | ${'A'}       | ${'held 330 of 400 V'}
    ${BULK}                                                                               | ${'capacitance 80e-6 esr 0.6 leakage 2e-4 held 200'}                     | ${'limit'}  | ${'B'}       | ${'tested at half its voltage'}
    ${FILM}                                                                               | ${'capacitance 218e-9'}                                                  | ${'keep'}   | ${'A'}       | ${'inside 10 %'}
    ${FILM}                                                                               | ${'capacitance 150e-9'}                                                  | ${'scrap'}  | ${'reject'}  | ${'outside'}
    ${X2}                                                                                 | ${'capacitance 215e-9'}                                                  | ${'keep'}   | ${'A'}       | ${'98 %'}
    ${X2}                                                                                 | ${'capacitance 189e-9'}                                                  | ${'limit'}  | ${'B'}       | ${'86 %, it has healed'}
    ${X2}                                                                                 | ${'capacitance 150e-9'}                                                  | ${'scrap'}  | ${'reject'}  | ${'under 80 %'}
    ${Y1}                                                                                 | ${'capacitance 2.2e-9'}                                                  | ${'retest'} | ${undefined} | ${'no insulation test'}
    ${Y1}                                                                                 | ${'capacitance 2.2e-9 insulation OL'}                                    | ${'keep'}   | ${'A'}       | ${'insulates'}
    ${Y1}                                                                                 | ${'capacitance 2.2e-9 insulation 2e7'}                                   | ${'scrap'}  | ${'reject'}  | ${'20 Mohm'}
    ${FET}                                                                                | ${MOS}                                                                   | ${'keep'}   | ${'A'}       | ${'a sound FET'}
    ${FET}                                                                                | ${'body 0.002 blocking 0.4 gate OL'}                                     | ${'scrap'}  | ${'reject'}  | ${'shorted'}
    ${FET}                                                                                | ${'body 0.51 blocking OL gate 2000'}                                     | ${'scrap'}  | ${'reject'}  | ${'punched gate'}
    ${FET}                                                                                | ${'body 0.51 blocking 300000 gate OL'}                                   | ${'retest'} | ${undefined} | ${'gate still charged?'}
    ${FET}                                                                                | ${'body OL blocking OL gate OL'}                                         | ${'retest'} | ${undefined} | ${'open or wide-gap'}
    ${FET}                                                                                | ${'blocking OL gate OL'}                                                 | ${'retest'} | ${undefined} | ${'one reading missing is no pass'}
    ${FET}                                                                                | ${'body 0.51 blocking OL gate OL'}                                       | ${'limit'}  | ${'B'}       | ${'never turned on'}
    ${PFET}                                                                               | ${'body 0.51 blocking OL gate OL hold 12'}                               | ${'keep'}   | ${'A'}       | ${'a sound P channel'}
    ${PFET}                                                                               | ${'body OL blocking 0.5e6 gate OL'}                                      | ${'retest'} | ${undefined} | ${'leads the other way round'}
    ${part('nmos', {}, { technology: 'silicon carbide' })}                                | ${'body OL blocking OL gate OL hold 12'}                                 | ${'keep'}   | ${'A'}       | ${'carbide reads OL'}
    ${part('npn', { vceo: 45, ic: 0.1 })}                                                 | ${'be 0.66 bc 0.65 ce OL gain 12'}                                       | ${'scrap'}  | ${'reject'}  | ${'a small type has 60 and more'}
    ${part('npn', { vceo: 45, ic: 0.1 })}                                                 | ${'be 0.66 bc 0.65 ce OL gain 30'}                                       | ${'limit'}  | ${'C'}       | ${'far under its range'}
    ${part('npn', { vceo: 400, ic: 8 })}                                                  | ${'be 0.66 bc 0.65 ce OL gain 12'}                                       | ${'keep'}   | ${'A'}       | ${'a high-voltage type'}
    ${part('npn')}                                                                        | ${'be 0.66 bc 0.65 ce OL'}                                               | ${'limit'}  | ${'B'}       | ${'gain never read'}
    ${part('capacitor', { capacitance: 100e-9, tolerance: 0.8 }, { subtype: 'ceramic' })} | ${'capacitance 150e-9'}                                                  | ${'keep'}   | ${'A'}       | ${'Z: −20 to +80 %'}
    ${part('capacitor', { capacitance: 100e-9, tolerance: 0.8 }, { subtype: 'ceramic' })} | ${'capacitance 70e-9'}                                                   | ${'limit'}  | ${'B'}       | ${'aged Y5V'}
    ${part('capacitor', { capacitance: 100e-9, tolerance: 0.8 }, { subtype: 'ceramic' })} | ${'capacitance 30e-9'}                                                   | ${'scrap'}  | ${'reject'}  | ${'too little for Z too'}
    ${X2}                                                                                 | ${'capacitance 352e-9'}                                                  | ${'scrap'}  | ${'reject'}  | ${'160 % of its value'}
    ${part('capacitor', { capacitance: 1e-3, voltage: 6.3 }, { subtype: 'polymer' })}     | ${'capacitance 985e-6 esr 0.009'}                                        | ${'keep'}   | ${'A'}       | ${'a polymer as low as the tester can tell'}
    ${part('diode', { vrrm: 15 }, { subtype: 'tvs', marking: 'SMBJ15CA' })}               | ${'forward OL reverse OL zener 17'}                                      | ${'keep'}   | ${'A'}       | ${'open both ways is right'}
    ${part('diode', { vrrm: 15 }, { subtype: 'tvs', marking: 'SMBJ15CA' })}               | ${'forward OL reverse OL'}                                               | ${'limit'}  | ${'B'}       | ${'not seen to break'}
    ${part('diode', { vrrm: 15 }, { subtype: 'tvs', marking: 'SMBJ15A' })}                | ${'forward OL reverse OL'}                                               | ${'scrap'}  | ${'reject'}  | ${'one way it must conduct'}
    ${part('diode', { vz: 32 }, { technology: 'diac', marking: 'DB3' })}                  | ${'forward OL reverse OL zener 33'}                                      | ${'keep'}   | ${'A'}       | ${'a trigger diode'}
    ${part('diode', { vz: 3.3 }, { subtype: 'zener' })}                                   | ${'forward 0.7 reverse 20e3 zener 2.7'}                                  | ${'limit'}  | ${'B'}       | ${'3.3 V leaks, and reads low at 5 mA'}
    ${part('diode', { vz: 12 }, { subtype: 'zener' })}                                    | ${'forward 0.7 reverse 20e3 zener 12'}                                   | ${'scrap'}  | ${'reject'}  | ${'12 V does not leak'}
    ${part('diode', { vrrm: 45, ifav: 30 }, { subtype: 'schottky' })}                     | ${'forward 0.2 reverse 60e3 leakage 8e-4'}                               | ${'keep'}   | ${'A'}       | ${'30 A leaks hundreds of microamperes'}
    ${part('diode', { vrrm: 45, ifav: 1 }, { subtype: 'schottky' })}                      | ${'forward 0.2 reverse 30e3'}                                            | ${'scrap'}  | ${'reject'}  | ${'1 A does not leak so much'}
    ${part('diode', { vrrm: 650, ifav: 6 }, { technology: 'silicon carbide' })}           | ${'forward 0.85 reverse OL'}                                             | ${'keep'}   | ${'A'}       | ${'carbide drops more'}
    ${part('diode', { vrrm: 100, ifav: 0.15 }, { technology: 'signal' })}                 | ${'forward 0.62 reverse OL'}                                             | ${'keep'}   | ${'A'}       | ${'a small-signal diode'}
    ${part('optocoupler', {}, { marking: '4N25' })}                                       | ${`${LIT} drive 10e-3 output 2.4e-3 insulation OL`}                      | ${'keep'}   | ${'A'}       | ${'24 %, its type has 20 and more'}
    ${part('optocoupler', {}, { marking: 'XY99' })}                                       | ${`${LIT} drive 5e-3 output 1.1e-3 insulation OL`}                       | ${'limit'}  | ${'B'}       | ${'22 % can be right'}
    ${part('regulator', { vout: -5 })}                                                    | ${'output -5.05 input -9'}                                               | ${'keep'}   | ${'A'}       | ${'a negative one, by magnitude'}
    ${part('triac')}                                                                      | ${'blocking OL gate 12 latch 1 latchThird 1'}                            | ${'keep'}   | ${'A'}       | ${'a large one that latches'}
    ${FET}                                                                                | ${'body 0.51 blocking OL gate OL hold 0.5'}                              | ${'scrap'}  | ${'reject'}  | ${'its gate leaks'}
    ${FET}                                                                                | ${'body 0.51 blocking OL gate OL hold 5'}                                | ${'retest'} | ${undefined} | ${'neither'}
    ${FET}                                                                                | ${`${MOS} threshold 1.2`}                                                | ${'scrap'}  | ${'reject'}  | ${'under 0.6 of 3 V'}
    ${FET}                                                                                | ${`${MOS} onVolts 0.38 onAmps 1`}                                        | ${'keep'}   | ${'A'}       | ${'0.38 of 0.40 ohm'}
    ${FET}                                                                                | ${`${MOS} onVolts 0.46 onAmps 1`}                                        | ${'limit'}  | ${'B'}       | ${'1.15 times'}
    ${FET}                                                                                | ${`${MOS} onVolts 0.7 onAmps 1`}                                         | ${'scrap'}  | ${'reject'}  | ${'1.75 times'}
    ${FET}                                                                                | ${`${MOS} onVolts 0.42 onAmps 1 leads 0.15`}                             | ${'retest'} | ${undefined} | ${'leads over 20 % of it'}
    ${FET}                                                                                | ${`${MOS} onVolts 0.05 onAmps 1`}                                        | ${'retest'} | ${undefined} | ${'too good'}
    ${FET}                                                                                | ${`${MOS} onVolts 0.38`}                                                 | ${'retest'} | ${undefined} | ${'at what current'}
    ${FET}                                                                                | ${`${MOS} leakage 5e-5`}                                                 | ${'limit'}  | ${'B'}       | ${'50 uA'}
    ${part('diode', { vrrm: 150 }, { subtype: 'schottky' })}                              | ${'forward 0.42 reverse OL'}                                             | ${'keep'}   | ${'A'}       | ${'a Schottky of 150 V drops more'}
    ${part('diode', { vrrm: 45 }, { subtype: 'schottky' })}                               | ${'forward 0.42 reverse OL'}                                             | ${'retest'} | ${undefined} | ${'one of 45 V does not'}
    ${SCHOTTKY}                                                                           | ${'forward 0.22 reverse OL'}                                             | ${'keep'}   | ${'A'}       | ${'usual drop'}
    ${RECTIFIER}                                                                          | ${'forward 0.55 reverse OL'}                                             | ${'keep'}   | ${'A'}       | ${'usual drop'}
    ${SCHOTTKY}                                                                           | ${'forward 0.55 reverse OL'}                                             | ${'retest'} | ${undefined} | ${'no Schottky’s drop'}
    ${UNREAD}                                                                             | ${'forward 0.55 reverse OL'}                                             | ${'limit'}  | ${'B'}       | ${'marking not read'}
    ${UNREAD}                                                                             | ${'forward 0.4 reverse OL'}                                              | ${'retest'} | ${undefined} | ${'between the kinds'}
    ${SCHOTTKY}                                                                           | ${'forward 0.02 reverse 3'}                                              | ${'scrap'}  | ${'reject'}  | ${'shorted'}
    ${SCHOTTKY}                                                                           | ${'forward OL reverse OL'}                                               | ${'scrap'}  | ${'reject'}  | ${'open'}
    ${SCHOTTKY}                                                                           | ${'forward 0.22 reverse 200000'}                                         | ${'scrap'}  | ${'reject'}  | ${'leaks'}
    ${SCHOTTKY}                                                                           | ${'forward 0.22'}                                                        | ${'retest'} | ${undefined} | ${'one way only'}
    ${ZENER}                                                                              | ${'forward 0.7 reverse OL'}                                              | ${'limit'}  | ${'B'}       | ${'its voltage not measured'}
    ${ZENER}                                                                              | ${'forward 0.7 reverse OL zener 12.1'}                                   | ${'keep'}   | ${'A'}       | ${'inside 5 %'}
    ${ZENER}                                                                              | ${'forward 0.7 reverse OL zener 9.1'}                                    | ${'scrap'}  | ${'reject'}  | ${'another part'}
    ${part('diode', {}, { subtype: 'led' })}                                              | ${'forward OL reverse OL'}                                               | ${'retest'} | ${undefined} | ${'many meters light no LED'}
    ${DUAL}                                                                               | ${'forward 0.22 second 0.223 reverse OL'}                                | ${'keep'}   | ${'A'}       | ${'alike'}
    ${DUAL}                                                                               | ${'forward 0.22 second 0.24 reverse OL'}                                 | ${'limit'}  | ${'B'}       | ${'20 mV apart'}
    ${DUAL}                                                                               | ${'forward 0.22 reverse OL'}                                             | ${'limit'}  | ${'B'}       | ${'half of it'}
    ${DUAL}                                                                               | ${'forward 0.22 second OL reverse OL'}                                   | ${'scrap'}  | ${'reject'}  | ${'one half open'}
    ${BRIDGE}                                                                             | ${`${FOUR} reverse OL across OL`}                                        | ${'keep'}   | ${'A'}       | ${'four alike'}
    ${BRIDGE}                                                                             | ${`${FOUR} reverse OL across 12`}                                        | ${'scrap'}  | ${'reject'}  | ${'shorted across the mains'}
    ${BRIDGE}                                                                             | ${'forward 0.51 second 0.51 third 0.52 reverse OL'}                      | ${'retest'} | ${undefined} | ${'three of four'}
    ${R4K7}                                                                               | ${'resistance 4690'}                                                     | ${'keep'}   | ${'A'}       | ${'inside 5 %'}
    ${R4K7}                                                                               | ${'resistance 5600'}                                                     | ${'scrap'}  | ${'reject'}  | ${'drifted'}
    ${R4K7}                                                                               | ${'resistance 4930'}                                                     | ${'retest'} | ${undefined} | ${'straddles 5 %'}
    ${R4K7}                                                                               | ${'resistance OL'}                                                       | ${'scrap'}  | ${'reject'}  | ${'open'}
    ${part('resistor')}                                                                   | ${'resistance 4690'}                                                     | ${'retest'} | ${undefined} | ${'value not known'}
    ${part('potentiometer', { resistance: 1000 })}                                        | ${'resistance 1050 smooth 1'}                                            | ${'keep'}   | ${'A'}       | ${'runs smoothly'}
    ${part('potentiometer', { resistance: 1000 })}                                        | ${'resistance 1050 smooth 0'}                                            | ${'limit'}  | ${'C'}       | ${'jumps'}
    ${part('npn')}                                                                        | ${'be 0.66 bc 0.65 ce OL gain 25'}                                       | ${'keep'}   | ${'A'}       | ${'a high-voltage type'}
    ${part('npn')}                                                                        | ${'be 0.66 bc 0.65 ce OL gain 5'}                                        | ${'limit'}  | ${'C'}       | ${'weak'}
    ${part('npn')}                                                                        | ${'be OL bc 0.65 ce OL'}                                                 | ${'scrap'}  | ${'reject'}  | ${'emitter open'}
    ${part('npn')}                                                                        | ${'be 0.62 bc 0.68 ce OL'}                                               | ${'retest'} | ${undefined} | ${'legs swapped?'}
    ${part('npn')}                                                                        | ${'be 0.05 bc 0.65 ce OL'}                                               | ${'scrap'}  | ${'reject'}  | ${'shorted'}
    ${part('igbt')}                                                                       | ${'blocking OL reverse 0.45 gate OL saturation 1.8'}                     | ${'keep'}   | ${'A'}       | ${'with its diode'}
    ${part('igbt')}                                                                       | ${'blocking OL reverse OL gate OL'}                                      | ${'limit'}  | ${'B'}       | ${'without a diode, never turned on'}
    ${part('igbt')}                                                                       | ${'blocking OL reverse 0.45 gate OL saturation 4'}                       | ${'scrap'}  | ${'reject'}  | ${'saturates late'}
    ${part('triac')}                                                                      | ${'blocking OL gate 110 latch 1 latchThird 1'}                           | ${'keep'}   | ${'A'}       | ${'both ways'}
    ${part('triac')}                                                                      | ${'blocking OL gate 110 latch 1'}                                        | ${'limit'}  | ${'B'}       | ${'one way only'}
    ${part('triac')}                                                                      | ${'blocking OL gate 110'}                                                | ${'retest'} | ${undefined} | ${'not latched'}
    ${part('triac')}                                                                      | ${'blocking 40 gate 110'}                                                | ${'scrap'}  | ${'reject'}  | ${'conducts before it is told'}
    ${part('scr')}                                                                        | ${'blocking OL gate 0.6 latch 1'}                                        | ${'keep'}   | ${'A'}       | ${'latches'}
    ${part('scr')}                                                                        | ${'blocking OL gate 0.6 latch 0'}                                        | ${'scrap'}  | ${'reject'}  | ${'does not'}
    ${OPTO}                                                                               | ${`${LIT} drive 5e-3 output 9.5e-3 insulation OL`}                       | ${'keep'}   | ${'A'}       | ${'190 %, rank B has 130 to 260'}
    ${OPTO}                                                                               | ${`${LIT} drive 5e-3 output 5e-3 insulation OL`}                         | ${'limit'}  | ${'C'}       | ${'100 %: fading'}
    ${OPTO}                                                                               | ${`${LIT} drive 5e-3 output 6.52e-3 insulation OL`}                      | ${'limit'}  | ${'C'}       | ${'130.4 %: the meters cannot tell it from 130'}
    ${OPTO}                                                                               | ${`${LIT} drive 5e-3 output 2e-3 insulation OL`}                         | ${'scrap'}  | ${'reject'}  | ${'under half of the rank’s least'}
    ${OPTO}                                                                               | ${LIT}                                                                   | ${'limit'}  | ${'B'}       | ${'no ratio, no insulation'}
    ${part('shunt-reference')}                                                            | ${'reference 2.49 current 5e-3'}                                         | ${'keep'}   | ${'A'}       | ${'2.495 V'}
    ${part('shunt-reference')}                                                            | ${'reference 2.3 current 5e-3'}                                          | ${'scrap'}  | ${'reject'}  | ${'8 % low'}
    ${part('shunt-reference')}                                                            | ${'reference 2.3 current 2e-4'}                                          | ${'retest'} | ${undefined} | ${'starved'}
    ${part('regulator', { vout: 5 })}                                                     | ${'output 5.05 input 8'}                                                 | ${'keep'}   | ${'A'}       | ${'1 % off'}
    ${part('regulator', { vout: 5 })}                                                     | ${'output 4.2 input 6'}                                                  | ${'retest'} | ${undefined} | ${'starved'}
    ${part('fuse')}                                                                       | ${'resistance 0.1'}                                                      | ${'scrap'}  | ${'reject'}  | ${'whole, and replaced all the same'}
    ${part('fuse')}                                                                       | ${'resistance OL'}                                                       | ${'scrap'}  | ${'reject'}  | ${'blown'}
    ${part('varistor', { vn: 470 })}                                                      | ${'insulation OL knee 455'}                                              | ${'keep'}   | ${'A'}       | ${'3 % off'}
    ${part('varistor', { vn: 470 })}                                                      | ${'insulation OL knee 400'}                                              | ${'scrap'}  | ${'reject'}  | ${'aged'}
    ${part('varistor', { vn: 470 })}                                                      | ${'insulation OL'}                                                       | ${'limit'}  | ${'C'}       | ${'not measured at 1 mA'}
    ${part('thermistor', { r25: 25 }, { subtype: 'ptc' })}                                | ${'resistance 26 falls 0'}                                               | ${'keep'}   | ${'A'}       | ${'a PTC rises'}
    ${part('thermistor', { r25: 25 }, { subtype: 'ptc' })}                                | ${'resistance 26 falls 1'}                                               | ${'scrap'}  | ${'reject'}  | ${'a PTC that falls'}
    ${part('thermistor', { r25: 10 })}                                                    | ${'resistance 10 falls 0'}                                               | ${'scrap'}  | ${'reject'}  | ${'an NTC that does not'}
    ${part('thermistor', { r25: 10 })}                                                    | ${'resistance 11.6 around 20 falls 1'}                                   | ${'keep'}   | ${'A'}       | ${'cold room'}
    ${part('thermistor', { r25: 10 })}                                                    | ${'resistance 22 falls 1'}                                               | ${'scrap'}  | ${'reject'}  | ${'cracked'}
    ${CHOKE}                                                                              | ${'inductance 95e-6 rings 12'}                                           | ${'keep'}   | ${'A'}       | ${'rings'}
    ${CHOKE}                                                                              | ${'inductance 95e-6 rings 1'}                                            | ${'retest'} | ${undefined} | ${'a shorted turn, or iron powder'}
    ${part('inductor', { inductance: 100e-6 }, { technology: 'ferrite' })}                | ${'inductance 95e-6 rings 1'}                                            | ${'scrap'}  | ${'reject'}  | ${'shorted turn on ferrite'}
    ${CHOKE}                                                                              | ${'inductance 95e-6 rings 12 saturation 3'}                              | ${'limit'}  | ${'B'}       | ${'saturates early'}
    ${part('inductor')}                                                                   | ${'inductance 95e-6'}                                                    | ${'limit'}  | ${'B'}       | ${'nothing printed'}
    ${part('common-mode-choke')}                                                          | ${'inductance 10e-3 second 10.2e-3'}                                     | ${'keep'}   | ${'A'}       | ${'alike'}
    ${part('common-mode-choke')}                                                          | ${'inductance 10e-3 second 5e-3'}                                        | ${'scrap'}  | ${'reject'}  | ${'shorted turn'}
    ${part('transformer')}                                                                | ${'open 600e-6 shorted 15e-6 rings 12'}                                  | ${'limit'}  | ${'B'}       | ${'2.5 % leakage'}
    ${part('transformer')}                                                                | ${'open 600e-6 shorted 15e-6 rings 1'}                                   | ${'scrap'}  | ${'reject'}  | ${'shorted turn'}
    ${part('transformer')}                                                                | ${'open 600e-6'}                                                         | ${'retest'} | ${undefined} | ${'a shorted turn would not show'}
    ${part('transformer')}                                                                | ${'open 600e-6 shorted 120e-6 rings 12'}                                 | ${'limit'}  | ${'B'}       | ${'made to leak, resonant'}
    ${part('transformer')}                                                                | ${'open 600e-6 shorted 300e-6 rings 12'}                                 | ${'retest'} | ${undefined} | ${'too much for any'}
    ${part('transformer')}                                                                | ${'open 600e-6 shorted 15e-6 rings 12 forwardRatio 0.12 backRatio 9.6'}  | ${'retest'} | ${undefined} | ${'coupling above 1'}
    ${part('transformer')}                                                                | ${'open 600e-6 shorted 15e-6 rings 12 insulation 1e6'}                   | ${'scrap'}  | ${'reject'}  | ${'1 Mohm'}
    ${RELAY}                                                                              | ${'coil 400 pullIn 8 contact 0.05'}                                      | ${'keep'}   | ${'A'}       | ${'as new'}
    ${RELAY}                                                                              | ${'coil 400 pullIn 8 contact 0.3'}                                       | ${'limit'}  | ${'C'}       | ${'burnt contact'}
    ${RELAY}                                                                              | ${'coil 400 pullIn 8 contact 0.0999'}                                    | ${'retest'} | ${undefined} | ${'the meter cannot tell it from 0.1'}
    ${RELAY}                                                                              | ${'coil 400 pullIn 8 dropOut 0.2 contact 0.05'}                          | ${'scrap'}  | ${'reject'}  | ${'sticks'}
    ${FAN}                                                                                | ${'starts 5 current 0.17 noise 1'}                                       | ${'keep'}   | ${'A'}       | ${'starts early'}
    ${FAN}                                                                                | ${'starts 9 current 0.17 noise 1'}                                       | ${'limit'}  | ${'B'}       | ${'late'}
    ${FAN}                                                                                | ${'starts 11 current 0.17 noise 1'}                                      | ${'scrap'}  | ${'reject'}  | ${'bearing'}
    ${FAN}                                                                                | ${'starts 5 current 0.17 speed 2000 slowSpeed 1150 slowVolts 7 noise 1'} | ${'keep'}   | ${'A'}       | ${'58 % at 7 V'}
    ${FAN}                                                                                | ${'starts 5 current 0.17 speed 2000 slowSpeed 600 slowVolts 7 noise 1'}  | ${'limit'}  | ${'C'}       | ${'30 % at 7 V: it drags'}
    ${part('heat-sink')}                                                                  | ${'power 10 sink 65 around 25 minutes 300'}                              | ${'keep'}   | ${'A'}       | ${'4 K/W'}
    ${part('heat-sink')}                                                                  | ${'power 10 sink 65 around 25'}                                          | ${'retest'} | ${undefined} | ${'cut short?'}
    ${CHIP}                                                                               | ${'1 0.61 2 OL 3 0.56 4 0.63'}                                           | ${'keep'}   | ${'A'}       | ${'like a good one'}
    ${CHIP}                                                                               | ${'1 0.001 2 OL 3 0.56 4 0.63'}                                          | ${'scrap'}  | ${'reject'}  | ${'pin 1 shorted'}
    ${CHIP}                                                                               | ${'1 0.61 2 0.5 3 0.56 4 0.63'}                                          | ${'scrap'}  | ${'reject'}  | ${'pin 2 open in the good one'}
    ${LIKELY}                                                                             | ${'1 0.61 2 OL 3 0.56 4 0.63'}                                           | ${'limit'}  | ${'B'}       | ${'like one that nobody saw work'}
    ${MIXED}                                                                              | ${'1 0.61 2 OL 3 0.56 4 0.63'}                                           | ${'keep'}   | ${'A'}       | ${'the one that worked counts'}
    ${part('ic')}                                                                         | ${'1 0.61 2 OL 3 0.56 4 0.63 proved 1'}                                  | ${'keep'}   | ${'A'}       | ${'it worked itself'}
    ${part('ic')}                                                                         | ${'1 0.61 proved 1'}                                                     | ${'limit'}  | ${'B'}       | ${'it worked itself, one pin'}
    ${part('ic')}                                                                         | ${'1 0.61 proved 0'}                                                     | ${'retest'} | ${undefined} | ${'nobody knows'}
    ${part('ic')}                                                                         | ${'1 0.61'}                                                              | ${'retest'} | ${undefined} | ${'no good one to hold it against'}
  `('$of.kind, $measured: $verdict ($message)', ({ of, measured, verdict, grade }) => {
    const judged = judgePart(of as PartUnderTest, readings(measured as string));
    expect({ verdict: judged.verdict, grade: judged.grade }).toEqual({ verdict, grade });
    expect(judged.reasons.every(({ text }) => text.length > 5 && !/NaN|undefined/.test(text))).toBe(true);
    if (verdict === 'limit' && grade === 'C') expect(judged.limits.length).toBeGreaterThan(0);
    if (verdict === 'scrap' || verdict === 'retest') expect(judged.limits).toEqual([]);
  });

  // The limits are those of the modules; the uncertainty is that of the usual meters: 0.5 % + 2 for volts, 1.2 % + 3 for
  // amperes, 0.8 % + 3 for ohms, 1.5 % + 3 in diode mode, the last digit a thousandth of the value; an insulation tester’s is the 30 % of IEC 61557-2
  // (from memory), all of it guarded.
  test.each`
    of                                 | measured                                                    | grade        | message
    ${CAN}                             | ${'capacitance 81e-6 esr 0.3'}                              | ${'C'}       | ${/81 % of 100.µF\. With ± .*F of the meter that is no sure A/}
    ${CAN}                             | ${'capacitance 70e-6 esr 0.3'}                              | ${undefined} | ${/70 % of 100.µF\. But ± .*F of the meter straddles/}
    ${X2}                              | ${'capacitance 178e-9'}                                     | ${undefined} | ${/straddles/}
    ${FILM}                            | ${'capacitance 200e-9'}                                     | ${undefined} | ${/10 % is its tolerance\. But ± .* straddles/}
    ${FET}                             | ${`${MOS} leakage 9.9e-6`}                                  | ${'B'}       | ${/± .*A of the meter that is no sure A/}
    ${FET}                             | ${`${MOS} leakage 5e-6`}                                    | ${'A'}       | ${/^Drain leakage 5.µA\.$/}
    ${FET}                             | ${`${MOS} leakage 1.01e-4`}                                 | ${undefined} | ${/does not block\. But ± .* straddles/}
    ${FET}                             | ${'body 0.51 blocking 99500 gate OL'}                       | ${undefined} | ${/does not block\. But ± .*Ω of the meter straddles/}
    ${FET}                             | ${'body 0.698 blocking OL gate OL hold 12'}                 | ${'A'}       | ${/± .* reaches the edge/}
    ${ZENER}                           | ${'forward 0.7 reverse OL zener 12.59'}                     | ${'B'}       | ${/no sure A/}
    ${ZENER}                           | ${'forward 0.7 reverse OL zener 13.21'}                     | ${undefined} | ${/straddles/}
    ${DUAL}                            | ${'forward 0.22 second 0.2296 reverse OL'}                  | ${'B'}       | ${/no sure A/}
    ${part('npn')}                     | ${'be 0.66 bc 0.65 ce 100500'}                              | ${undefined} | ${/over 1.MΩ is wanted/}
    ${part('igbt')}                    | ${'blocking OL reverse 0.45 gate OL saturation 2.19'}       | ${'B'}       | ${/no sure A/}
    ${OPTO}                            | ${`${LIT.replace('OL', '1.005e6')} drive 5e-3 output 9e-3`} | ${undefined} | ${/straddles/}
    ${part('scr')}                     | ${'blocking OL gate 0.0201 latch 1'}                        | ${undefined} | ${/straddles/}
    ${part('varistor', { vn: 470 })}   | ${'insulation OL knee 422'}                                 | ${undefined} | ${/straddles/}
    ${part('thermistor', { r25: 10 })} | ${'resistance 12.05 falls 1'}                               | ${undefined} | ${/straddles/}
    ${part('shunt-reference')}         | ${'reference 2.54 current 5e-3'}                            | ${'B'}       | ${/no sure A/}
    ${CHOKE}                           | ${'inductance 81e-6'}                                       | ${'B'}       | ${/no sure A/}
    ${CHOKE}                           | ${'inductance 95e-6 rings 12 saturation 5.02'}              | ${'B'}       | ${/no sure A/}
    ${part('common-mode-choke')}       | ${'inductance 10e-3 second 10.5e-3'}                        | ${'B'}       | ${/no sure A/}
    ${part('transformer')}             | ${'open 600e-6 shorted 17.8e-6 rings 12 insulation OL'}     | ${'B'}       | ${/± .* % of the meter that is no sure A/}
    ${RELAY}                           | ${'coil 400 pullIn 9.59 contact 0.05'}                      | ${'C'}       | ${/no sure A/}
    ${FAN}                             | ${'starts 9.6 current 0.17 noise 1'}                        | ${undefined} | ${/straddles/}
    ${Y1}                              | ${'capacitance 2.2e-9 insulation 130e6'}                    | ${undefined} | ${/Insulation 130.MΩ\. But ± 45.MΩ of the meter straddles/}
    ${Y1}                              | ${'capacitance 2.2e-9 insulation 160e6'}                    | ${'A'}       | ${/^Insulation 160.MΩ\.$/}
    ${OPTO}                            | ${`${LIT} drive 5e-3 output 9.5e-3 insulation 120e6`}       | ${undefined} | ${/straddles/}
    ${part('transformer')}             | ${'open 600e-6 shorted 9e-6 rings 12 insulation 110e6'}     | ${undefined} | ${/straddles/}
  `('$of.kind, $measured: $grade, and the meter’s uncertainty is told', ({ of, measured, grade, message }) => {
    const judged = judgePart(of as PartUnderTest, readings(measured as string));
    expect(judged.grade).toBe(grade);
    expect(judged.reasons.map(({ text }) => text).filter((text) => (message as RegExp).test(text))).toHaveLength(1);
  });

  test.each`
    of      | measured                       | verdict     | why
    ${CAN}  | ${'capacitance 98e-6 esr 0.3'} | ${'retest'} | ${'the board lies in parallel'}
    ${CAN}  | ${'capacitance 40e-6 esr 0.3'} | ${'scrap'}  | ${'in circuit it can condemn'}
    ${FET}  | ${MOS}                         | ${'retest'} | ${'never passes on the board'}
    ${FET}  | ${'body 0.002'}                | ${'scrap'}  | ${'a short shows through anything'}
    ${R4K7} | ${'resistance OL'}             | ${'scrap'}  | ${'a board only lowers a reading'}
  `('$of.kind in circuit, $measured: $verdict ($why)', ({ of, measured, verdict }) => {
    expect(judgePart(of as PartUnderTest, readings(measured as string, true)).verdict).toBe(verdict);
  });
});

test('of several sessions the newest reading out of circuit counts, and a clear one on the board', () => {
  const set = (value: number, inCircuit: boolean) => ({ values: { body: { value, resolution: 0.001 } }, inCircuit });
  expect(mergeReadings([set(0.4, true), set(0.5, false)]).body).toMatchObject({ value: 0.5 });
  expect(mergeReadings([set(0.4, true), set(0.5, true)]).body).toMatchObject({ value: 0.4, inCircuit: true });
  expect(mergeReadings([set(0.4, true), set(0.5, false)], () => true).body).toEqual({ value: 0.4, resolution: 0.001 });
});

// Readings as they are typed, each with the last digit that stands there.
test.each`
  of       | typed                                                                       | verdict     | why
  ${RELAY} | ${{ coil: [400, 1], pullIn: [8, 1], contact: [0.08, 0.01] }}                | ${'retest'} | ${'0.08 ohm is all it shows'}
  ${RELAY} | ${{ coil: [400, 1], pullIn: [8, 1], contact: [0.05, 0.001] }}               | ${'keep'}   | ${'8 stands for 8.00 V'}
  ${FET}   | ${{ body: [0.5, 0.1], blocking: [2e6, 1e6], gate: [OL, 0], hold: [12, 1] }} | ${'keep'}   | ${'2M stands for 2.00 Mohm'}
  ${ZENER} | ${{ forward: [0.7, 0.1], reverse: [OL, 0], zener: [12, 1] }}                | ${'keep'}   | ${'12 stands for 12.0 V'}
`('$of.kind, trailing zeros left out: $verdict ($why)', ({ of, typed, verdict }) => {
  const read = Object.entries(typed as Record<string, [number, number]>).map(
    ([name, [value, resolution]]) => [name, { value, resolution }] as const,
  );
  expect(judgePart(of as PartUnderTest, Object.fromEntries(read)).verdict).toBe(verdict);
});

test('halves of which one was typed without its last zero are held apart by the digits of the other', () => {
  const halves = { forward: { value: 0.25, resolution: 0.01 }, second: { value: 0.253, resolution: 0.001 } };
  expect(judgePart(DUAL, { ...halves, reverse: { value: OL, resolution: 0 } }).grade).toBe('A');
});

test('a better meter settles what a usual one leaves open', () => {
  const near = { resistance: { value: 4925, resolution: 1 } };
  expect(judgePart(R4K7, near).verdict).toBe('retest');
  const meter = { ohm: { share: 0.0005, digits: 1 } };
  expect(judgePart(R4K7, { resistance: { ...near.resistance, meter } }).verdict).toBe('keep');
});

test('every kind with a test has its fields, expectations that name them, and some verdict for nothing at all', () => {
  for (const kind of KIND_NAMES) {
    const { test: name } = kindRule(kind);
    if (!name) continue;
    const names = TESTS[name].fields.map((field) => field.name);
    expect(new Set(names).size).toBe(names.length);
    expect(Object.keys(expectationsOf(part(kind))).every((field) => testField(name, field) !== undefined)).toBe(true);
    expect(['retest', 'limit']).toContain(judgePart(part(kind), {}).verdict);
  }
});

// Laws: more of what is bad never betters a verdict; what a limit says survives being stored.
const RANK = { keep: 0, limit: 1, retest: 1.5, scrap: 2 } as const;
test('a higher ESR or a lower capacitance never betters a verdict', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.2, max: 3, noNaN: true }),
      fc.double({ min: 1, max: 4, noNaN: true }),
      fc.double({ min: 50e-6, max: 100e-6, noNaN: true }),
      (esr, worse, farads) => {
        const verdict = (ohms: number, value: number) =>
          RANK[
            judgePart(CAN, { esr: { value: ohms, resolution: 0.01 }, capacitance: { value, resolution: 1e-7 } }).verdict
          ];
        if (verdict(esr, 98e-6) !== RANK.retest && verdict(esr * worse, 98e-6) !== RANK.retest)
          expect(verdict(esr * worse, 98e-6)).toBeGreaterThanOrEqual(verdict(esr, 98e-6));
        if (verdict(0.3, farads) !== RANK.retest && verdict(0.3, farads / worse) !== RANK.retest)
          expect(verdict(0.3, farads / worse)).toBeGreaterThanOrEqual(verdict(0.3, farads));
      },
    ),
    { seed: 4, numRuns: 300 },
  );
});

test('limits merge to the strictest, read as words, and come back from storage', () => {
  const limits: Limit[] = [
    { kind: 'derated', rating: 'vds', share: 0.8 },
    { kind: 'not-for', use: 'mains' },
    { kind: 'derated', rating: 'vds', share: 0.5 },
    { kind: 'not-for', use: 'mains' },
  ];
  const merged = mergeLimits(limits);
  expect(merged.map(limitText)).toEqual(['not for mains', 'drain to source to 50 %']);
  expect(limitsFrom(JSON.parse(JSON.stringify([...merged, { kind: 'not-for', use: 'soup' }, 7])))).toEqual(merged);
});

// Ripple form of the ten-degree rule, by hand: 2000 h at 105 °C lasts 2^4 times as long at 65 °C.
test.each`
  hours   | celsius | around | ripple | total     | why
  ${2000} | ${105}  | ${65}  | ${1}   | ${32000}  | ${'rated ripple'}
  ${2000} | ${105}  | ${65}  | ${1.5} | ${13454}  | ${'its own heating 11.25 K'}
  ${2000} | ${105}  | ${65}  | ${0.5} | ${53817}  | ${'its own heating 1.25 K'}
  ${1000} | ${85}   | ${55}  | ${1}   | ${8000}   | ${'an 85 degree can'}
  ${5000} | ${105}  | ${35}  | ${0.5} | ${131490} | ${'the seal sets the end at 15 years'}
`('$hours h at $celsius °C last $total h at $around °C ($why)', ({ hours, celsius, around, ripple, total }) => {
  const life = remainingLife({ ratedHours: hours, ratedCelsius: celsius, around, rippleShare: ripple, served: 1000 });
  expect(life.total / total).toBeCloseTo(1, 3);
  expect(life.left).toBeCloseTo(life.total - 1000, 6);
  expect(life.low).toBeLessThan(life.left);
  expect(life.high).toBeGreaterThanOrEqual(life.left);
});

// JCGM 100: 0.351 V (0.5 % + 2 of 1 mV) at 1.000 A (1.2 % + 3 of 1 mA) is 0.351 ohm, relative uncertainty 1.06 %.
test('on resistance by four and by two wires', () => {
  const current = { value: 1, resolution: 1e-3 };
  const { value, standard } = onResistance({ value: 0.351, resolution: 1e-3 }, current, 0);
  expect(value).toBeCloseTo(0.351, 6);
  expect((2 * standard) / 7.5e-3).toBeCloseTo(1, 1);
  expect(onResistance({ value: 0.42, resolution: 1e-3 }, current, 0.15).value).toBeCloseTo(0.27, 6);
});

test('a transformer by all its readings', () => {
  const report = transformerReport(
    readings(
      'open 600e-6 shorted 15e-6 forwardRatio 0.098 backRatio 9.6 aiding 980e-6 opposing 180e-6 width 25e-3 height 12.7e-3 depth 7.3e-3 perTurn 0.0142857 saturation 2 wire 0.4e-3 r1-2 1.2 r3-4 0.4 r5-6 0.03 r1-3 OL',
    ),
  );
  expect(report.coupling?.coupling).toBeCloseTo(0.9874, 4);
  expect(report.ratio?.ratio).toBeCloseTo(9.897, 3);
  expect(report.cores[0]?.core.name).toBe('E25/13/7');
  expect(report.turns?.turns).toBeCloseTo(70, 1);
  expect(report.gap).toMatchObject({ gapped: true });
  expect(report.windings.windings.map(({ pins, guess }) => `${pins.join('-')} ${guess}`)).toEqual([
    '1-2 primary',
    '3-4 auxiliary',
    '5-6 output',
  ]);
  expect(report.goodFor.map(({ topology }) => topology)).toEqual(['flyback']);
});
