import fc from 'fast-check';
import { decodeMarking, type MarkingContext, type Decoding } from '.';
import { MARKING_CASES, type MarkingCase } from './fixtures/markings';

/** Whether a reading says what the table says. */
function message(decoding: Decoding | undefined, { kind, ratings, facts }: MarkingCase): boolean {
  return (
    decoding?.kind === kind &&
    Object.entries(ratings).every(([name, value]) => {
      const read = decoding.ratings[name as 'vds'];
      return read !== undefined && Math.abs(read - value) <= Math.abs(value) * 1e-6;
    }) &&
    Object.entries(facts).every(([name, value]) => decoding.facts?.[name] === value)
  );
}

test('the table holds at least 250 markings, each with its source, over every kind that is marked', () => {
  expect(MARKING_CASES.length).toBeGreaterThanOrEqual(250);
  expect(new Set(MARKING_CASES.map(({ marking, kind }) => `${marking} ${kind}`)).size).toBe(MARKING_CASES.length);
  expect(new Set(MARKING_CASES.map(({ kind }) => kind)).size).toBe(20);
  for (const { source } of MARKING_CASES) expect(source).toMatch(/memory|no source/);
});

describe.each([...new Set(MARKING_CASES.map(({ source }) => source))])('%s', (source) => {
  test.each(MARKING_CASES.filter((one) => one.source === source))('$marking is $kind', (one) => {
    const known = decodeMarking(one.marking, { kind: one.kind });
    expect(known[0]).toMatchObject({ kind: one.kind });
    expect(message(known[0], one) ? 'as the table' : known[0]).toBe('as the table');
    if (one.alone) {
      const [first] = decodeMarking(one.marking);
      expect(message(first, one) ? 'as the table' : first).toBe('as the table');
    }
  });
});

/** Small generator with a seed, so that every run wears the same characters. Source: Park and Miller, 1988. */
function randomFrom(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 48271) % 2147483647;
    return state / 2147483647;
  };
}

const CONFUSED: Readonly<Record<string, string>> = {
  '0': 'O',
  O: '0',
  D: '0',
  '1': 'I',
  I: '1',
  L: '1',
  '2': 'Z',
  Z: '2',
  '5': 'S',
  S: '5',
  '6': 'G',
  G: '6',
  '8': 'B',
  B: '8',
};

/** Wears one or two characters of a marking: lost, or taken for another where that is possible. */
function worn(marking: string, random: () => number): string {
  const letters = [...marking.toUpperCase()];
  const places = letters.flatMap((letter, index) => (/[A-Z\d]/.test(letter) ? [index] : []));
  const count = letters.length >= 6 && random() < 0.5 ? 2 : 1;
  for (let done = 0; done < count; done += 1) {
    const at = places.splice(Math.floor(random() * places.length), 1)[0] ?? 0;
    const other = CONFUSED[letters[at] ?? ''];
    letters[at] = other && random() < 0.5 ? other : '?';
  }
  return letters.join('');
}

test('of 100 worn markings the right reading is first for at least 70 and among the first three for at least 90', () => {
  // Markings of four characters and more: what is worn off two or three cannot be told by anyone.
  const readable = MARKING_CASES.filter(({ marking }) => marking.replace(/[^A-Z\d]/gi, '').length >= 4);
  const shares = [11, 12, 13].map((seed) => {
    const random = randomFrom(seed);
    const pool = [...readable];
    let first = 0;
    let three = 0;
    for (let drawn = 0; drawn < 100; drawn += 1) {
      const [one] = pool.splice(Math.floor(random() * pool.length), 1);
      if (!one) break;
      const decodings = decodeMarking(worn(one.marking, random), { kind: one.kind });
      if (message(decodings[0], one)) first += 1;
      if (decodings.slice(0, 3).some((decoding) => message(decoding, one))) three += 1;
    }
    return { first, three };
  });
  for (const { first, three } of shares) {
    expect(first).toBeGreaterThanOrEqual(70);
    expect(three).toBeGreaterThanOrEqual(90);
  }
});

test('of 500 random strings under 2 % are read with more than 0.5', () => {
  const random = randomFrom(4);
  const alphabet = '0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZ';
  let sure = 0;
  for (let drawn = 0; drawn < 500; drawn += 1) {
    const length = 3 + Math.floor(random() * 8);
    const text = Array.from({ length }, () => alphabet[Math.floor(random() * 36)]).join('');
    if ((decodeMarking(text)[0]?.confidence ?? 0) > 0.5) sure += 1;
  }
  expect(sure).toBeLessThan(10);
});

describe('what stands beside the number', () => {
  test.each`
    text                  | apart                                                                          | why
    ${'12N65 2314'}       | ${[{ text: '2314', as: 'date code' }]}                                         | ${'year and week'}
    ${'XK UC3843AN 0548'} | ${[{ text: 'XK', as: 'maker or lot' }, { text: '0548', as: 'date code' }]}     | ${'logo and date'}
    ${'IRF840 L22 P948'}  | ${[{ text: 'L22', as: 'maker or lot' }, { text: 'P948', as: 'maker or lot' }]} | ${'lot codes'}
    ${'MBR20100CT'}       | ${undefined}                                                                   | ${'nothing beside it'}
  `('$text ($why)', ({ text, apart }) => {
    expect(decodeMarking(text)[0]?.apart).toEqual(apart);
  });
});

describe('what is known beside the marking weighs in', () => {
  const firstOf = (marking: string, context: MarkingContext) => decodeMarking(marking, context)[0];
  test.each`
    marking     | context                                      | kind                 | why
    ${'104'}    | ${{ package: '0805' }}                       | ${'resistor'}        | ${'chip capacitors carry no print'}
    ${'104'}    | ${{ package: 'disc' }}                       | ${'capacitor'}       | ${'a disc'}
    ${'C106D'}  | ${{ package: 'TO-220' }}                     | ${'scr'}             | ${'a tab package'}
    ${'1660'}   | ${{ package: 'TO-220' }}                     | ${'diode'}           | ${'bare digits on a tab package'}
    ${'103'}    | ${{ package: '0603' }}                       | ${'resistor'}        | ${'a chip'}
    ${'4R7'}    | ${{ package: '1206' }}                       | ${'resistor'}        | ${'a chip'}
    ${'01C'}    | ${{ package: '0603' }}                       | ${'resistor'}        | ${'EIA-96 on a chip'}
    ${'223J'}   | ${{ package: 'radial' }}                     | ${'capacitor'}       | ${'a tolerance that films have'}
    ${'100'}    | ${{ package: 'SMD can', kind: 'capacitor' }} | ${'capacitor'}       | ${'a can'}
    ${'M7'}     | ${{ package: 'SMA' }}                        | ${'diode'}           | ${'a rectifier of the 4001 list'}
    ${'SS34'}   | ${{ package: 'SMB' }}                        | ${'diode'}           | ${'a chip Schottky'}
    ${'13003'}  | ${{ kind: 'npn', package: 'TO-126' }}        | ${'npn'}             | ${'bare digits of a switch'}
    ${'C1815'}  | ${{ package: 'TO-92' }}                      | ${'npn'}             | ${'2S left off'}
    ${'817C'}   | ${{ kind: 'optocoupler' }}                   | ${'optocoupler'}     | ${'bare digits of a family'}
    ${'817C'}   | ${{ package: 'DIP-4' }}                      | ${'optocoupler'}     | ${'the case tells'}
    ${'431'}    | ${{ kind: 'shunt-reference' }}               | ${'shunt-reference'} | ${'the kind tells'}
    ${'7805'}   | ${{ package: 'TO-220' }}                     | ${'regulator'}       | ${'a tab package is no date code'}
    ${'TYN612'} | ${{ package: 'TO-220' }}                     | ${'scr'}             | ${'a thyristor'}
    ${'GBU806'} | ${{ package: 'GBU' }}                        | ${'bridge'}          | ${'four legs'}
    ${'5D-9'}   | ${{ package: 'disc' }}                       | ${'thermistor'}      | ${'a disc'}
    ${'40N60'}  | ${{ package: 'TO-220' }}                     | ${'nmos'}            | ${'too small a case for an IGBT of 40 A'}
    ${'3843'}   | ${{ kind: 'ic' }}                            | ${'ic'}              | ${'bare digits of a family'}
  `('$marking in $context is $kind ($why)', ({ marking, context, kind }) => {
    expect(firstOf(marking, context)?.kind).toBe(kind);
  });

  test('on the mains side bare digits are an ultrafast, on the secondary a Schottky first', () => {
    const technology = (place: 'pfc' | 'secondary') =>
      firstOf('1660', { kind: 'diode', package: 'TO-220', place })?.facts?.technology;
    expect(technology('pfc')).toBe('fast');
    expect(technology('secondary')).toBe('schottky');
  });
});

test('a reading of worn print says which text it took', () => {
  expect(decodeMarking('1ZN65', { kind: 'nmos' })[0]).toMatchObject({ readAs: '12N65', ratings: { id: 12, vds: 650 } });
  expect(decodeMarking('I2N65', { kind: 'nmos' }).map(({ ratings }) => ratings.id)).toEqual([12, 2]);
  expect(decodeMarking('RNJE13007', { kind: 'npn' })[0]).toMatchObject({ readAs: 'MJE13007' });
  expect(decodeMarking('UC38?3', { kind: 'ic' })[0]).toMatchObject({ readAs: 'UC3843' });
  expect(decodeMarking('12N65')[0]?.readAs).toBeUndefined();
});

test('confidences stay over nothing and add up to at most 1, whatever is filled in or changed', () => {
  fc.assert(
    fc.property(fc.stringMatching(/^[0-9A-Z?]{2,7}$/), (text) => {
      const decodings = decodeMarking(text);
      expect(decodings.reduce((sum, { confidence }) => sum + confidence, 0)).toBeLessThanOrEqual(1);
      for (const { confidence, ratings } of decodings) {
        expect(confidence).toBeGreaterThan(0);
        for (const value of Object.values(ratings)) expect(Number.isFinite(value)).toBe(true);
      }
    }),
    { seed: 5, numRuns: 400 },
  );
});
