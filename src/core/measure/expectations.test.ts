import { cautionOf, expectationsOf, idleFields, lifeOf, lifeText, testField, testFields, type PartUnderTest } from '.';
import { kindRule, type KindName, type TestName } from '../part';

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
const CHIP = part('ic', {}, { known: [{ from: 'U1', pins: { '1': 0.6, '2': Infinity }, proved: true }] });
const plain = (text: string | undefined) => text?.replaceAll('\u00a0', ' ');
const CAN = part('capacitor', { capacitance: 1e-3, voltage: 16 }, { subtype: 'electrolytic' });

// Values follow from the tables named in the modules; the ESR of 1000 uF 16 V is 0.074 ohm by the documented model.
test.each`
  of                                                               | field            | should
  ${CAN}                                                           | ${'capacitance'} | ${'800 µF to 1200 µF'}
  ${CAN}                                                           | ${'esr'}         | ${'under 74 mΩ'}
  ${CAN}                                                           | ${'leakage'}     | ${'under 160 µA'}
  ${CAN}                                                           | ${'loss'}        | ${'under 0.16 at 120 Hz'}
  ${{ ...CAN, technology: 'low-impedance' }}                       | ${'esr'}         | ${'under 33 mΩ'}
  ${{ ...CAN, marking: '1000/16 low esr' }}                        | ${'esr'}         | ${'under 33 mΩ'}
  ${{ ...CAN, subtype: 'polymer' }}                                | ${'esr'}         | ${'under 11 mΩ'}
  ${{ ...CAN, ratings: { ...CAN.ratings, esr: 0.05 } }}            | ${'esr'}         | ${'under 50 mΩ'}
  ${part('capacitor', { capacitance: 220e-9 }, { subtype: 'x2' })} | ${'capacitance'} | ${'198 nF to 264 nF'}
  ${part('capacitor', { capacitance: 220e-9 }, { subtype: 'x2' })} | ${'esr'}         | ${undefined}
  ${part('capacitor')}                                             | ${'capacitance'} | ${undefined}
  ${part('resistor', { resistance: 4700, tolerance: 0.01 })}       | ${'resistance'}  | ${'4.65 kΩ to 4.75 kΩ'}
  ${part('nmos', { rdsOn: 0.38 })}                                 | ${'onVolts'}     | ${'380 mΩ at most'}
  ${part('nmos')}                                                  | ${'onVolts'}     | ${undefined}
  ${part('diode', {}, { subtype: 'schottky' })}                    | ${'forward'}     | ${'0.15 to 0.35 V'}
  ${part('diode', {}, { subtype: 'schottky' })}                    | ${'leakage'}     | ${'under 500 µA'}
  ${part('diode', { vrrm: 150 }, { subtype: 'schottky' })}         | ${'forward'}     | ${'0.15 to 0.45 V'}
  ${part('diode')}                                                 | ${'forward'}     | ${'Schottky 0.15 to 0.35 V, silicon 0.45 to 0.65 V'}
  ${part('diode', { vz: 12 }, { subtype: 'zener' })}               | ${'zener'}       | ${'11.4 V to 12.6 V'}
  ${part('dual-diode', {}, { technology: 'fast' })}                | ${'second'}      | ${'within 10 mV of the first'}
  ${part('optocoupler', {}, { marking: 'EL817C' })}                | ${'output'}      | ${'10 to 20 mA at 5 mA'}
  ${part('optocoupler')}                                           | ${'output'}      | ${'2.5 to 30 mA at 5 mA'}
  ${part('shunt-reference')}                                       | ${'reference'}   | ${'2.495 V'}
  ${part('regulator', { vout: 12 })}                               | ${'output'}      | ${'11.4 V to 12.6 V'}
  ${part('regulator')}                                             | ${'output'}      | ${undefined}
  ${part('varistor', { vn: 470 })}                                 | ${'knee'}        | ${'423 V to 517 V'}
  ${part('thermistor', { r25: 10 })}                               | ${'falls'}       | ${'yes'}
  ${part('thermistor', { r25: 10 }, { subtype: 'ptc' })}           | ${'falls'}       | ${'no'}
  ${part('inductor', { inductance: 100e-6 })}                      | ${'inductance'}  | ${'80 µH to 120 µH'}
  ${part('relay', { voltage: 12 })}                                | ${'pullIn'}      | ${'under 9.6 V'}
  ${part('fan', { voltage: 12, current: 0.18 })}                   | ${'starts'}      | ${'under 7.2 V'}
  ${part('fan', { voltage: 12, current: 0.18 })}                   | ${'current'}     | ${'about 180 mA'}
  ${part('ic')}                                                    | ${'1'}           | ${undefined}
  ${CHIP}                                                          | ${'1'}           | ${'600 mV'}
  ${CHIP}                                                          | ${'2'}           | ${'OL'}
`('$of.kind: $field should read $should', ({ of, field, should }) => {
  expect(plain(expectationsOf(of as PartUnderTest)[field as string])).toBe(should);
});

test.each`
  of                                                               | idle                                          | caution
  ${CAN}                                                           | ${['insulation']}                             | ${false}
  ${part('capacitor', { capacitance: 82e-6, voltage: 400 })}       | ${['insulation']}                             | ${true}
  ${part('capacitor', { capacitance: 82e-6 })}                     | ${['insulation']}                             | ${true}
  ${part('capacitor', { capacitance: 1e-7 }, { subtype: 'film' })} | ${expect.arrayContaining(['esr', 'leakage'])} | ${false}
  ${part('diode', {}, { subtype: 'fast' })}                        | ${['zener']}                                  | ${false}
  ${part('varistor', { vn: 470 })}                                 | ${[]}                                         | ${true}
`('$of.kind $of.ratings: $idle stand idle, a caution $caution', ({ of, idle, caution }) => {
  expect(idleFields(of as PartUnderTest)).toEqual(idle);
  expect(cautionOf(of as PartUnderTest) !== undefined).toBe(caution);
});

test.each`
  test             | name       | label
  ${'chip'}        | ${'7'}     | ${'pin 7'}
  ${'chip'}        | ${'seven'} | ${undefined}
  ${'transformer'} | ${'r1-2'}  | ${'pin 1 to 2'}
  ${'transformer'} | ${'open'}  | ${'primary, others open'}
  ${'resistor'}    | ${'r1-2'}  | ${undefined}
`('the field $name of a $test is $label', ({ test: name, name: field, label }) => {
  expect(testField(name as TestName, field as string)?.label).toBe(label);
});

test('a chip has a field for each leg and whether it worked, and no case has too many', () => {
  expect(testFields('chip', 8).map(({ name }) => name)).toEqual(['1', '2', '3', '4', '5', '6', '7', '8', 'proved']);
  expect(testFields('chip', 500)).toHaveLength(65);
  expect(testFields('fuse', 8)).toHaveLength(1);
});

test.each`
  hours     | around | message
  ${1000}   | ${45}  | ${/^About \d+(\.\d)? years of running left, .* to .*\.$/}
  ${5000}   | ${85}  | ${/^About 3\.3 years of running left/}
  ${60000}  | ${85}  | ${/^Its life may be used up; at best 1\.8 years left\.$/}
  ${200000} | ${85}  | ${/used up\.$/}
  ${1000}   | ${30}  | ${/its seal sets the end/}
`('after $hours h at $around °C: $message', ({ hours, around, message }) => {
  const reading = (value: number) => ({ value, resolution: 1 });
  const life = lifeOf(
    { hours: reading(hours), around: reading(around), rippleShare: reading(0.5) },
    { temperature: 105, life: 5000 },
  );
  expect(life && lifeText(life)).toMatch(message as RegExp);
  expect(lifeOf({}, {})).toBeUndefined();
});
