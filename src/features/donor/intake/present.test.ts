import { intakeView } from './present';
import { BLANK_TEXTS, questionOf, readTexts } from './fields';

const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value).replaceAll('\u00a0', ' ')) as T;
const TODAY = { year: 2026, week: 46 };
const LITRE = { length: 0.115, width: 0.05, height: 0.032, mass: 0.29 };

test.each`
  label                                                       | claim
  ${''}                                                       | ${'Nothing is known of it yet'}
  ${'made on the island'}                                     | ${'The rating cannot be read'}
  ${'INPUT 100-240V~ OUTPUT 24V 2.5A'}                        | ${'60 W, 24 V 2.5 A'}
  ${'INPUT 230V~ 0.2A OUTPUT 25-42V 0.9A'}                    | ${'37.8 W, 25–42 V 900 mA'}
  ${'INPUT 230V~ 5A OUTPUT 5V 20A 12V 18A MAX 300W'}          | ${'300 W over 2 outputs'}
  ${'INPUT 100-240V~ 0.7A OUTPUT 5V 3A or 9V 2A or 12V 1.5A'} | ${'18 W over 3 outputs'}
`('“$label” comes to: $claim', ({ label, claim }) => {
  expect(plain(intakeView({ nameplate: label, today: TODAY })).claim).toBe(claim);
});

test('what was read off the label is shown, so that a misreading is seen', () => {
  const { read } = plain(
    intakeView({ nameplate: 'INPUT: 100-240V~ 50/60Hz 1.5A OUTPUT: 24V = 2.5A EFFICIENCY LEVEL VI', today: TODAY }),
  );
  expect(read).toEqual([
    { label: 'input', value: '100–240 V~ 1.5 A' },
    { label: 'frequency', value: '50 or 60 Hz' },
    { label: 'output', value: '24 V 2.5 A' },
    { label: 'efficiency mark', value: 'VI' },
  ]);
});

// 60 W at the 0.88 that level VI promises and power factor 0.55, by hand: 1.08 A at 115 V, 0.539 A at 230 V.
test('likely input current, with what was assumed said', () => {
  const { currents, assumptions } = plain(
    intakeView({ nameplate: 'INPUT 100-240V~ 1.5A OUTPUT 24V 2.5A EFFICIENCY LEVEL VI', today: TODAY }),
  );
  expect(currents).toEqual([
    { label: 'at 115 V', value: '1.08 A' },
    { label: 'at 230 V', value: '539 mA' },
  ]);
  expect(assumptions).toMatch(/efficiency 0\.88 \(the least that mark VI promises\), power factor 0\.55/);
});

// 60 W in 115 × 50 × 32 mm is 326 W/L, and 60 W of 290 g is 207 W/kg, by hand.
test('density against what is usual', () => {
  const { density, findings } = plain(
    intakeView({ nameplate: 'INPUT 100-240V~ 1.5A OUTPUT 24V 2.5A', size: LITRE, today: TODAY }),
  );
  expect(density).toEqual([
    { label: 'per litre', value: '326 W' },
    { label: 'per kilogram', value: '207 W' },
  ]);
  expect(findings.find(({ text }) => text.startsWith('326'))).toMatchObject({ weight: 'ok' });
});

test.each`
  label                               | size                                           | weight      | word          | message
  ${'INPUT 230V~ 0.1A OUTPUT 12V 5A'} | ${{}}                                          | ${'danger'} | ${'doubtful'} | ${/not to be believed/}
  ${'INPUT 230V~ 1A OUTPUT 12V'}      | ${{}}                                          | ${'note'}   | ${'unknown'}  | ${/no current or power/}
  ${'INPUT 230V~ 2A OUTPUT 19V 10A'}  | ${{ length: 0.05, width: 0.04, height: 0.03 }} | ${'check'}  | ${undefined}  | ${/denser than any closed unit/}
`('a label that does not add up is marked: $message', ({ label, size, weight, word, message }) => {
  const found = intakeView({ nameplate: label, size, today: TODAY }).findings.find(({ text }) =>
    (message as RegExp).test(text),
  );
  expect(found).toMatchObject({ weight, ...(word ? { word } : {}) });
});

test.each`
  label                             | next
  ${''}                             | ${/Type or paste/}
  ${'INPUT 230V~ 1A'}               | ${/Add the output/}
  ${'INPUT 230V~ 1A OUTPUT 12V 1A'} | ${/Before the first screw/}
`('the next step for “$label”', ({ label, next }) => {
  expect(intakeView({ nameplate: label, today: TODAY }).next).toMatch(next as RegExp);
});

test('what bounds the power, the age and what was not read', () => {
  const { findings, age, unread } = plain(
    intakeView({
      nameplate: 'INPUT 230V~ OUTPUT 12V 60A INDOOR USE DATE 1948',
      bounds: { fuse: 2 },
      codes: [
        { code: '951', place: 'U1' },
        { code: 'XYZ', place: 'lid' },
      ],
      today: TODAY,
    }),
  );
  // 2 A at 230 V, 0.8 of the fuse, power factor 0.97, efficiency 0.9: 321 W, by hand.
  expect(findings.at(-1)).toMatchObject({
    weight: 'danger',
    word: 'doubtful',
    text: expect.stringMatching(/^720 W behind a 2 A fuse, which stands for about 320 W: the claim is not/),
  });
  expect(age).toEqual(['Not older than week 51 of 2019, by U1 951.', 'lid XYZ is no date code that could be right.']);
  expect(unread).toBe('INDOOR USE');
});

test('a plate put right by hand counts instead of its text', () => {
  const plate = { inputs: [], outputs: [{ v: 24, i: 3 }] };
  expect(plain(intakeView({ nameplate: 'OUTPUT 2AV 3A', plate, today: TODAY })).claim).toBe('72 W, 24 V 3 A');
});

test('the fields are read while one types; what cannot be read yet counts as not said', () => {
  const texts = { ...BLANK_TEXTS, nameplate: 'OUTPUT 12V 1A', length: '110mm', width: '5', height: 'tall', fuse: '2A' };
  expect(questionOf(texts, { plate: null, codes: [], today: TODAY, bounds: { fuse: 5, bulk: 1e-4 } })).toMatchObject({
    size: { length: 0.11, width: 5 },
    bounds: { fuse: 2, bulk: 1e-4 },
  });
  expect(readTexts({ ...texts, originKind: 'borrowed' }).right.may).toBe(false);
});
