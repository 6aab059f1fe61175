import {
  chipByMarking,
  CHIP_FAMILIES,
  CHIP_ROLES,
  chipFacts,
  chipFamily,
  guessFamilies,
  oscillatorFrequency,
  outlineOf,
  PIN_FUNCTIONS,
  pinsIn,
  regulatorFamily,
} from '.';
import { decodeMarking } from '../marking';

describe('the catalogue', () => {
  test('it holds at least 80 families over every role, each named once', () => {
    expect(CHIP_FAMILIES.length).toBeGreaterThanOrEqual(80);
    expect(new Set(CHIP_FAMILIES.map(({ id }) => id)).size).toBe(CHIP_FAMILIES.length);
    expect(new Set(CHIP_FAMILIES.map(({ role }) => role))).toEqual(new Set(Object.keys(CHIP_ROLES)));
    const names = CHIP_FAMILIES.flatMap((family) => family.names);
    const twice = names.filter((name, index) => names.indexOf(name) !== index);
    expect(twice).toEqual([]);
  });

  test.each(CHIP_FAMILIES.map((family) => [family.id, family] as const))('%s is sound', (_id, family) => {
    const numbers = family.pins.map(({ number }) => number);
    expect(new Set(numbers).size).toBe(numbers.length);
    for (const number of numbers) expect(number).toBeLessThanOrEqual(family.legs);
    for (const { does } of family.pins) expect(PIN_FUNCTIONS).toHaveProperty(does);
    if (family.supply) expect(family.supply.start).toBeGreaterThan(family.supply.stop);
    if (family.tells && family.pins.length > 0) expect(numbers).toContain(family.tells.pin);
    if (family.dutyLimit !== undefined) expect(family.dutyLimit).toBeLessThanOrEqual(1);
    if (family.pins.length >= 8) {
      const does = family.pins.map((pin) => pin.does);
      expect(does.some((one) => one === 'ground' || one === 'source' || one === 'signal' || one === 'emitter')).toBe(
        true,
      );
    }
    for (const name of family.names)
      expect(decodeMarking(name, { kind: family.kind })[0]).toMatchObject({ facts: { family: family.id } });
  });

  // Pins of multi-source families, from memory: datasheets of the UC384x, TL494, TL431 and 817 classes.
  test.each`
    id              | pin   | name        | does
    ${'UC3842'}     | ${3}  | ${'ISENSE'} | ${'current-sense'}
    ${'UC3842'}     | ${7}  | ${'VCC'}    | ${'supply'}
    ${'UC3845'}     | ${6}  | ${'OUT'}    | ${'gate'}
    ${'TL494'}      | ${12} | ${'VCC'}    | ${'supply'}
    ${'TL431'}      | ${3}  | ${'K'}      | ${'cathode'}
    ${'817 class'}  | ${4}  | ${'C'}      | ${'collector'}
    ${'VIPer22'}    | ${5}  | ${'D'}      | ${'drain'}
    ${'UC3842'}     | ${4}  | ${'RT/CT'}  | ${'timing'}
    ${'UC3842'}     | ${8}  | ${'VREF'}   | ${'reference'}
    ${'TL494'}      | ${5}  | ${'CT'}     | ${'timing'}
    ${'TL494'}      | ${7}  | ${'GND'}    | ${'ground'}
    ${'TL494'}      | ${3}  | ${'FB'}     | ${'compensation'}
    ${'SG3525'}     | ${11} | ${'OUTA'}   | ${'gate'}
    ${'SG3525'}     | ${16} | ${'VREF'}   | ${'reference'}
    ${'UC3846'}     | ${13} | ${'VC'}     | ${'supply'}
    ${'SG6841'}     | ${6}  | ${'SENSE'}  | ${'current-sense'}
    ${'NCP1200'}    | ${8}  | ${'HV'}     | ${'high-voltage'}
    ${'NCP1207'}    | ${1}  | ${'DMG'}    | ${'zero-current'}
    ${'TEA1507'}    | ${4}  | ${'DEM'}    | ${'zero-current'}
    ${'TOP22x'}     | ${2}  | ${'SOURCE'} | ${'source'}
    ${'TOP22x'}     | ${3}  | ${'DRAIN'}  | ${'drain'}
    ${'TNY27x'}     | ${4}  | ${'D'}      | ${'drain'}
    ${'LNK30x'}     | ${4}  | ${'FB'}     | ${'feedback'}
    ${'KA5M0380R'}  | ${3}  | ${'VCC'}    | ${'supply'}
    ${'L6562'}      | ${5}  | ${'ZCD'}    | ${'zero-current'}
    ${'L6562'}      | ${7}  | ${'GD'}     | ${'gate'}
    ${'MC34262'}    | ${3}  | ${'MULT'}   | ${'line-sense'}
    ${'UC3854'}     | ${16} | ${'GTDRV'}  | ${'gate'}
    ${'UC3854'}     | ${6}  | ${'IAC'}    | ${'line-sense'}
    ${'ML4800'}     | ${11} | ${'PWMOUT'} | ${'gate'}
    ${'ML4800'}     | ${14} | ${'VREF'}   | ${'reference'}
    ${'L6599'}      | ${16} | ${'VBOOT'}  | ${'boot'}
    ${'L6599'}      | ${15} | ${'HVG'}    | ${'gate-high'}
    ${'IR2153'}     | ${6}  | ${'VS'}     | ${'midpoint'}
    ${'IR2153'}     | ${7}  | ${'HO'}     | ${'gate-high'}
    ${'IR2110'}     | ${6}  | ${'VB'}     | ${'boot'}
    ${'IR2104'}     | ${2}  | ${'IN'}     | ${'input'}
    ${'TC4427'}     | ${6}  | ${'VDD'}    | ${'supply'}
    ${'TLP250'}     | ${8}  | ${'VCC'}    | ${'supply'}
    ${'IR1167'}     | ${5}  | ${'VD'}     | ${'input'}
    ${'4N35 class'} | ${5}  | ${'C'}      | ${'collector'}
    ${'6N137'}      | ${8}  | ${'VCC'}    | ${'supply'}
    ${'LM393'}      | ${4}  | ${'GND'}    | ${'ground'}
    ${'LM324'}      | ${4}  | ${'V+'}     | ${'supply'}
    ${'LM339'}      | ${12} | ${'GND'}    | ${'ground'}
    ${'NE555'}      | ${1}  | ${'GND'}    | ${'ground'}
    ${'78xx'}       | ${2}  | ${'GND'}    | ${'ground'}
    ${'79xx'}       | ${2}  | ${'VIN'}    | ${'power-in'}
    ${'LM317'}      | ${2}  | ${'VOUT'}   | ${'output'}
    ${'LM2576'}     | ${2}  | ${'SW'}     | ${'switch'}
    ${'MC34063'}    | ${7}  | ${'IPK'}    | ${'current-sense'}
    ${'MP2307'}     | ${3}  | ${'SW'}     | ${'switch'}
    ${'TPS54331'}   | ${8}  | ${'PH'}     | ${'switch'}
    ${'L6599'}      | ${14} | ${'OUT'}    | ${'midpoint'}
    ${'LM358'}      | ${8}  | ${'V+'}     | ${'supply'}
  `('pin $pin of $id is $name, $does', ({ id, pin, name, does }) => {
    expect(chipFamily(id)?.pins.find(({ number }) => number === pin)).toMatchObject({ name, does });
  });

  // Members that carry another's number pattern and not its pins: datasheets, from memory.
  test.each`
    marking       | pin          | name
    ${'L6384E'}   | ${2}         | ${'VCC'}
    ${'L6385E'}   | ${3}         | ${'VCC'}
    ${'L6388E'}   | ${1}         | ${'LIN'}
    ${'FAN7388'}  | ${undefined} | ${''}
    ${'IR1168'}   | ${undefined} | ${''}
    ${'IR1167'}   | ${8}         | ${'VGATE'}
    ${'UCC28180'} | ${8}         | ${'GATE'}
    ${'CM6802'}   | ${undefined} | ${''}
    ${'L6564'}    | ${undefined} | ${''}
    ${'FAN6961'}  | ${3}         | ${'MOT'}
    ${'FAN7930'}  | ${2}         | ${'RDY'}
    ${'XL1509'}   | ${2}         | ${'SW'}
    ${'LM2574'}   | ${undefined} | ${''}
    ${'TNY254'}   | ${undefined} | ${''}
    ${'6N138'}    | ${7}         | ${'VB'}
    ${'6N137'}    | ${7}         | ${'EN'}
    ${'CNY75'}    | ${undefined} | ${''}
    ${'IR2183'}   | ${2}         | ${'LIN'}
    ${'UCC27321'} | ${3}         | ${'EN'}
    ${'NCP3063'}  | ${8}         | ${'NC'}
  `('$marking: pin $pin is $name', ({ marking, pin, name }) => {
    const family = chipByMarking(marking as string);
    expect(family).toBeDefined();
    if (pin === undefined) expect(family?.pins).toEqual([]);
    else expect(family?.pins.find(({ number }) => number === pin)?.name).toBe(name);
  });

  test.each`
    marking       | start   | stop   | feedback
    ${'UC3842'}   | ${16}   | ${10}  | ${2.5}
    ${'UCC38C42'} | ${14.5} | ${9}   | ${2.5}
    ${'UCC38C43'} | ${8.4}  | ${7.6} | ${2.5}
    ${'UC3854'}   | ${16}   | ${10}  | ${7.5}
    ${'UC3854B'}  | ${10.5} | ${10}  | ${3}
    ${'L6562A'}   | ${12.5} | ${10}  | ${2.5}
  `('$marking starts at $start V and stops at $stop V', ({ marking, start, stop, feedback }) => {
    const family = chipByMarking(marking as string);
    expect(family?.supply).toMatchObject({ start, stop });
    expect(family?.feedback).toBe(feedback);
  });

  test.each`
    id          | case        | first
    ${'TL431'}  | ${'TO-92'}  | ${'REF'}
    ${'TL431'}  | ${'SOT-23'} | ${undefined}
    ${'TL431'}  | ${'SO-8'}   | ${'K'}
    ${'TL431'}  | ${null}     | ${'REF'}
    ${'TOP22x'} | ${'DIP-8'}  | ${'S'}
    ${'LNK30x'} | ${'SO-8'}   | ${'BP'}
    ${'78xx'}   | ${'SO-8'}   | ${undefined}
    ${'UC3842'} | ${'SO-8'}   | ${'COMP'}
    ${'UC3842'} | ${'SO-14'}  | ${undefined}
  `('$id in $case: pin 1 is $first', ({ id, case: case_, first }) => {
    const family = chipFamily(id as string);
    expect(family && pinsIn(family, case_ as string | null)[0]?.name).toBe(first);
  });

  test('missing legs stay missing: the TNY26x has no pin 6', () => {
    const family = chipFamily('TNY26x');
    expect(family?.legs).toBe(8);
    expect(family?.pins.map(({ number }) => number)).toEqual([1, 2, 3, 4, 5, 7, 8]);
  });
});

// UC384x: f = 1.72 / (RT·CT), half of it at the gate of the 3844 and 3845; from memory of the datasheet.
test.each`
  id          | ohms    | farads  | hertz
  ${'UC3842'} | ${10e3} | ${1e-9} | ${172e3}
  ${'UC3845'} | ${10e3} | ${1e-9} | ${86e3}
  ${'TL494'}  | ${12e3} | ${1e-9} | ${91667}
`('$id with $ohms Ω and $farads F oscillates at $hertz Hz', ({ id, ohms, farads, hertz }) => {
  const family = chipFamily(id);
  expect(family && oscillatorFrequency(family, ohms, farads)).toBeCloseTo(hertz, -2);
});

test('no frequency without an oscillator, or without parts', () => {
  const [plain, timed] = [chipFamily('LM358'), chipFamily('UC3842')];
  expect(plain && oscillatorFrequency(plain, 1e4, 1e-9)).toBeUndefined();
  expect(timed && oscillatorFrequency(timed, 0, 1e-9)).toBeUndefined();
});

describe('the drawing of a case', () => {
  test('from the top pin 1 is at the upper left and 8 faces it; from the solder side they change places', () => {
    const [top, below] = [false, true].map((mirrored) => outlineOf({ packages: ['DIP-8'], legs: 8 }, mirrored));
    const at = (outline: typeof top, number: number) => outline?.legs.find((leg) => leg.number === number);
    expect(at(top, 1)).toMatchObject({ x: 0, side: 'left' });
    expect(at(top, 8)).toMatchObject({ x: 1, side: 'right' });
    expect(at(top, 8)?.y).toBe(at(top, 1)?.y);
    expect(at(top, 4)?.y).toBe(at(top, 5)?.y);
    expect(at(below, 1)).toMatchObject({ x: 1, side: 'right' });
  });

  test('a tab case stands in one row', () => {
    const { style, legs } = outlineOf({ packages: ['TO-220'], legs: 3 }, false);
    expect(style).toBe('row');
    expect(legs.map(({ x }) => x)).toEqual([...legs.map(({ x }) => x)].sort((a, b) => a - b));
  });
});

test('what is remembered is told in words, what is not is left out', () => {
  const family = chipFamily('UC3842');
  const facts = family ? chipFacts(family) : [];
  expect(facts.find(({ label }) => label === 'starts and stops at')?.value.replace(/\u00a0/g, ' ')).toBe(
    '16 V and 10 V',
  );
  const bare = chipFamily('NCP4810');
  expect(bare && chipFacts(bare).map(({ label }) => label)).toEqual(['cases']);
});

test.each`
  marking      | id
  ${'L7805CV'} | ${'78xx'}
  ${'LM7912'}  | ${'79xx'}
  ${'LM317T'}  | ${'LM317'}
  ${'LM2596S'} | ${'LM2576'}
  ${'12N65'}   | ${undefined}
`('$marking has the pins of $id', ({ marking, id }) => {
  expect(regulatorFamily(marking)?.id).toBe(id);
});

describe('an unknown chip', () => {
  const best = (chip: Parameters<typeof guessFamilies>[0]) => guessFamilies(chip)[0];

  test.each`
    chip                                                                                                                    | id                                | why
    ${{ package: 'DIP-8', pins: { 3: 'current-sense', 4: 'timing', 5: 'ground', 6: 'gate', 7: 'supply', 8: 'reference' } }} | ${/^UC/}                          | ${'six pins of the UC384x'}
    ${{ package: 'SO-8', block: 'pfc', pins: { 5: 'zero-current', 6: 'ground', 7: 'gate', 8: 'supply' } }}                  | ${/L656|MC34262|FAN7530|NCP1606/} | ${'a transition-mode corrector'}
    ${{ package: 'SOT-23-6', block: 'switch', pins: {} }}                                                                   | ${/SOT-23-6|NCP1251/}             | ${'case and place alone'}
    ${{ package: 'DIP-8', pins: { 1: 'ground', 5: 'drain', 6: 'drain', 7: 'drain' } }}                                      | ${undefined}                      | ${'no family has these'}
  `('$why', ({ chip, id }) => {
    const guess = best(chip);
    if (id === undefined) expect(guess).toBeUndefined();
    else expect(guess?.family.id).toMatch(id);
    if (guess) expect(guess.reasons.length).toBeGreaterThan(0);
  });

  test('a family whose ground lies elsewhere is out, and nothing is believed without the marking', () => {
    const pins = {
      3: 'current-sense',
      5: 'ground',
      6: 'gate',
      7: 'supply',
      8: 'reference',
      1: 'compensation',
    } as const;
    const ids = guessFamilies({ package: 'DIP-8', pins }, 50).map(({ family }) => family.id);
    expect(ids).toEqual(expect.arrayContaining(['UC3842', 'UC3843', 'UC3844', 'UC3845']));
    expect(ids).not.toContain('L6562');
    for (const { score } of guessFamilies({ package: 'DIP-8', block: 'control', pins }))
      expect(score).toBeLessThanOrEqual(0.6);
    expect(guessFamilies({ pins: {} })).toEqual([]);
  });
});
