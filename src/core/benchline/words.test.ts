import { pinOf, kindWithPins } from './join/pins';
import { isPrefix, leadingReferences } from './references';
import { written } from './spoken';
import { tokensOf } from './tokens';
import { valueOf } from './values';
import { mended } from './mend';
import { meaningsOf } from './vocabulary';

const write = (line: string) =>
  written(tokensOf(line))
    .map(({ text }) => text)
    .join(' ');

// What was dictated or set apart, as one types it.
test.each`
  said                                | typed                | why
  ${'four point seven kilo ohms'}     | ${'4.7kΩ'}           | ${'a point in words'}
  ${'point three three microfarads'}  | ${'0.33microfarads'} | ${'no whole number'}
  ${'eighty two microfarads'}         | ${'82µF'}            | ${'tens and ones'}
  ${'four hundred and seventy volts'} | ${'470V'}            | ${'hundreds'}
  ${'four seventy K'}                 | ${'470K'}            | ${'as people say it'}
  ${'one twenty volts'}               | ${'120V'}            | ${'the same'}
  ${'one thousand microfarads'}       | ${'1000µF'}          | ${'thousands'}
  ${'275 volts AC'}                   | ${'275V~'}           | ${'alternating'}
  ${'82 µF'}                          | ${'82µF'}            | ${'a blank before the unit'}
  ${'6,8 V'}                          | ${'6.8V'}            | ${'a decimal comma'}
  ${'1,200 V'}                        | ${'1,200V'}          | ${'thousands or decimals: left alone'}
  ${'470 k ohm'}                      | ${'470kΩ'}           | ${'prefix and unit apart'}
  ${'1/4 W'}                          | ${'0.25W'}           | ${'a fraction'}
  ${'C X 1'}                          | ${'CX1'}             | ${'a spelled reference'}
  ${'R twenty two'}                   | ${'R22'}             | ${'a number in words'}
  ${'NTC 1 thermistor'}               | ${'NTC1 thermistor'} | ${'letters and number apart'}
  ${'N P N'}                          | ${'NPN'}             | ${'spelled letters'}
  ${'SO 8'}                           | ${'SO-8'}            | ${'a case'}
  ${'TO 220 F'}                       | ${'TO-220F'}         | ${'a case with its ending'}
  ${'four pin DIP'}                   | ${'DIP-4'}           | ${'a case in words'}
  ${'drops to 20v'}                   | ${'drops to 20v'}    | ${'no case of 20 V'}
  ${'one of the caps'}                | ${'one of the caps'} | ${'a word, no number'}
  ${'Q1 pin 4 a'}                     | ${'Q1 pin 4 a'}      | ${'a pin, no current'}
`('“$said” is written $typed ($why)', ({ said, typed }) => {
  expect(write(said).replace('0.33µF', '0.33microfarads')).toBe(typed);
});

test.each`
  line                  | words                          | parted
  ${'C5, C6: same'}     | ${['C5', 'C6', 'same']}        | ${[true, true, false]}
  ${'T1 (6) x T1 [1]'}  | ${['T1', '6', 'x', 'T1', '1']} | ${[true, true, false, true, true]}
  ${'12N65 / 1432 / V'} | ${['12N65', '1432', 'V']}      | ${[true, true, false]}
  ${'zener? small.'}    | ${['zener', 'small']}          | ${[false, false]}
  ${'12N?5 0.22'}       | ${['12N?5', '0.22']}           | ${[false, false]}
`('“$line” is cut into $words', ({ line, words, parted }) => {
  const tokens = tokensOf(line);
  expect(tokens.map(({ text }) => text)).toEqual(words);
  expect(tokens.map((token) => token.parted)).toEqual(parted);
  for (const { text, start, end } of tokens) expect(line.slice(start, end)).toBe(text);
});

test.each`
  typed              | meant            | why
  ${'brige'}         | ${'bridge'}      | ${'a letter left out'}
  ${'crakced'}       | ${'cracked'}     | ${'two swapped'}
  ${'buldged'}       | ${'bulged'}      | ${'one too many'}
  ${'trasformer'}    | ${'transformer'} | ${'in a long word'}
  ${'fues'}          | ${'fuses'}       | ${'in a short one'}
  ${'cap'}           | ${undefined}     | ${'too short to be mended'}
  ${'12n65'}         | ${undefined}     | ${'numbers are never mended'}
  ${'perpendicular'} | ${undefined}     | ${'nothing near'}
  ${'printer'}       | ${undefined}     | ${'an everyday word'}
`('“$typed” was meant for $meant ($why)', ({ typed, meant }) => {
  expect(mended(typed)).toBe(meant);
});

test.each`
  phrase                 | means
  ${'common mode choke'} | ${{ as: 'kind', kind: 'common-mode-choke' }}
  ${'Common-Mode-Choke'} | ${{ as: 'kind', kind: 'common-mode-choke' }}
  ${'elko'}              | ${{ as: 'kind', kind: 'capacitor' }}
  ${'gone open'}         | ${{ as: 'damage', damage: 'open' }}
  ${'slow blow'}         | ${{ as: 'speed', speed: 'slow' }}
  ${'fullpak'}           | ${{ as: 'package', name: 'TO-220FP' }}
`('“$phrase” is known', ({ phrase, means }) => {
  expect(meaningsOf(phrase)).toContainEqual(expect.objectContaining(means));
});

test('letters of two words make no third one', () => {
  expect(meaningsOf('auf')[0]?.as).toBe('filler');
  expect(meaningsOf('a uf')).toEqual([]);
});

// Names of pins by kind; numbers where multi-source datasheets agree, from memory.
test.each`
  kind                 | word         | pin          | more
  ${'nmos'}            | ${'drain'}   | ${'D'}       | ${{}}
  ${'nmos'}            | ${'2'}       | ${'D'}       | ${{}}
  ${'nmos'}            | ${'2'}       | ${undefined} | ${{ package: 'SO-8' }}
  ${'nmos'}            | ${'middle'}  | ${'D'}       | ${{ package: 'TO-220' }}
  ${'npn'}             | ${'middle'}  | ${undefined} | ${{ package: 'TO-92' }}
  ${'npn'}             | ${'2'}       | ${undefined} | ${{}}
  ${'optocoupler'}     | ${'4'}       | ${'C'}       | ${{}}
  ${'optocoupler'}     | ${'4'}       | ${undefined} | ${{ package: 'DIP-6' }}
  ${'optocoupler'}     | ${'4'}       | ${undefined} | ${{ marking: '4N35' }}
  ${'diode'}           | ${'cathode'} | ${'K'}       | ${{}}
  ${'diode'}           | ${'1'}       | ${undefined} | ${{}}
  ${'diode'}           | ${'+'}       | ${'A'}       | ${{ subtype: 'led' }}
  ${'bridge'}          | ${'plus'}    | ${'+'}       | ${{}}
  ${'capacitor'}       | ${'minus'}   | ${'-'}       | ${{}}
  ${'regulator'}       | ${'middle'}  | ${'GND'}     | ${{ marking: 'LM7805' }}
  ${'regulator'}       | ${'middle'}  | ${undefined} | ${{ marking: 'LM317' }}
  ${'dual-diode'}      | ${'tab'}     | ${'K'}       | ${{}}
  ${'dual-diode'}      | ${'middle'}  | ${'A'}       | ${{ subtype: 'common-anode' }}
  ${'triac'}           | ${'a2'}      | ${'MT2'}     | ${{}}
  ${'potentiometer'}   | ${'wiper'}   | ${'W'}       | ${{}}
  ${'ic'}              | ${'gnd'}     | ${'GND'}     | ${{}}
  ${'transformer'}     | ${'6'}       | ${'6'}       | ${{}}
  ${'shunt-reference'} | ${'ref'}     | ${'R'}       | ${{}}
`('“$word” of a $kind $more is $pin', ({ kind, word, pin, more }) => {
  expect(pinOf({ kind, ...more }, word)).toBe(pin);
});

test.each`
  ref      | pins          | kind
  ${'F1'}  | ${['1']}      | ${'fuse'}
  ${'Q9'}  | ${['D', 'S']} | ${'nmos'}
  ${'Q9'}  | ${['B']}      | ${'npn'}
  ${'Q9'}  | ${['1']}      | ${undefined}
  ${'U5'}  | ${['A', 'C']} | ${'optocoupler'}
  ${'U5'}  | ${['7']}      | ${'ic'}
  ${'D3'}  | ${['A1']}     | ${'dual-diode'}
  ${'ZZ1'} | ${['1']}      | ${undefined}
`('$ref with $pins named must be a $kind', ({ ref, pins, kind }) => {
  expect(kindWithPins(ref, pins)).toBe(kind);
});

test.each`
  line                   | refs                     | rest
  ${'c10 c11 c12 1000u'} | ${['C10', 'C11', 'C12']} | ${['1000u']}
  ${'C1 to C3 100n'}     | ${['C1', 'C2', 'C3']}    | ${['100n']}
  ${'d5 and d6 uf4007'}  | ${['D5', 'D6']}          | ${['uf4007']}
  ${'q2 s8050'}          | ${['Q2']}                | ${['s8050']}
  ${'cx1 x2 220n'}       | ${['CX1']}               | ${['x2', '220n']}
  ${'q1nmos 12n65'}      | ${['Q1']}                | ${['nmos', '12n65']}
  ${'u1 lm2596s-adj'}    | ${['U1']}                | ${['lm2596s-adj']}
  ${'hello there'}       | ${undefined}             | ${undefined}
`('“$line” begins with $refs', ({ line, refs, rest }) => {
  const found = leadingReferences(tokensOf(line));
  if (refs === undefined) expect(found).toBeUndefined();
  else
    expect(found && 'refs' in found ? [found.refs, found.rest.map(({ text }) => text)] : found).toEqual([refs, rest]);
});

test.each`
  text        | unit         | value    | ac
  ${'400V'}   | ${'volt'}    | ${400}   | ${false}
  ${'275V~'}  | ${'volt'}    | ${275}   | ${true}
  ${'310VAC'} | ${'volt'}    | ${310}   | ${true}
  ${'.52v'}   | ${'volt'}    | ${0.52}  | ${false}
  ${'20mH'}   | ${'henry'}   | ${0.02}  | ${false}
  ${'105°C'}  | ${'celsius'} | ${105}   | ${false}
  ${'82µF'}   | ${'farad'}   | ${82e-6} | ${false}
  ${'0.4Ω'}   | ${'ohm'}     | ${0.4}   | ${false}
`('$text carries its unit', ({ text, unit, value, ac }) => {
  expect(valueOf(text)).toMatchObject({ unit, quantity: { value }, ac, ambiguous: false });
});

test.each(['12N65', 'TO-220', '47', 'soup', '5%x'])('%s carries none', (text) => {
  expect(valueOf(text)).toBeUndefined();
});

test.each([
  ['Q', true],
  ['cx', true],
  ['IRF', false],
  ['uc', false],
  ['', false],
])('%s is what boards print before a number: %s', (letters, is) => {
  expect(isPrefix(letters)).toBe(is);
});
