import { readFileSync } from 'node:fs';
import { find } from './find';

const LOTS = 'src/core/stock/fixtures/lots.json';
const QUESTIONS = 'src/core/stock/fixtures/questions.json';

interface Case {
  readonly q: string;
  readonly by: number;
  readonly unclear: boolean;
  readonly want: {
    readonly all: readonly string[];
    readonly may?: readonly string[];
    readonly first: readonly string[];
  };
}
interface Told {
  readonly ok: boolean;
  readonly lots?: readonly string[];
  readonly means?: string;
  readonly problem?: string;
}
const CASES = JSON.parse(readFileSync(QUESTIONS, 'utf8')) as readonly Case[];
const ask = (question: string) => find({ words: [question, LOTS], options: {} }, () => {}) as Told;

test('40 questions of ten persons to 320 lots: sets and first lots right, what is unclear is asked back', () => {
  const wrong: string[] = [];
  for (const { q, unclear, want } of CASES) {
    const told = ask(q);
    const found = (told.lots ?? []).filter((lot) => !want.may?.includes(lot));
    const isSame = [...found].toSorted().join() === [...want.all].toSorted().join();
    const isFirst = want.first.length === 0 ? found.length === 0 : want.first.includes(found[0] ?? '');
    if (unclear ? told.ok : !isSame || !isFirst) wrong.push(q);
  }
  expect(CASES).toHaveLength(40);
  // Five in a hundred may be lost by a later change; the set is small.
  expect(wrong.length <= 2 ? [] : wrong).toEqual([]);
});

// Questions typed without a look at the reader, in the voices of the ten persons.
test.each`
  question                                          | means
  ${'pmos >=30v <50m so-8'}                         | ${'P-FET, at least 30 V, on resistance, 25 °C less than 50 mΩ, SO-8'}
  ${'cap x2 100n'}                                  | ${'X2 capacitor, about 100 nF ± 10 %'}
  ${'how many 12 volt relays are there'}            | ${'relay, about 12 V ± 8 %'}
  ${'resistors between 1k and 10k'}                 | ${'resistor, 1 kΩ to 10 kΩ'}
  ${'do we have any optos with triac output'}       | ${'triac optocoupler'}
  ${'7812'}                                         | ${'“7812”'}
  ${'47uF 50V 105C'}                                | ${'capacitor, about 47 µF ± 20 %, at least 50 V, temperature class at least 105 °C'}
  ${'elko 100uf/25v'}                               | ${'electrolytic capacitor, about 100 µF ± 20 %, at least 25 V'}
  ${'N-Kanal MOSFET 100V 30A'}                      | ${'N-FET, at least 100 V, at least 30 A'}
  ${'Lüfter 80 mm 12 V'}                            | ${'fan, about 80 mm ± 5 %, about 12 V ± 8 %'}
  ${'Sicherung 5x20 4A träge'}                      | ${'fuse, about 4 A ± 5 %, “5x20”, “slow”'}
  ${'Kondensator 35 V, Durchmesser max 16 mm'}      | ${'capacitor, at least 35 V, diameter at most 16 mm'}
  ${'pont de diodes 4 A'}                           | ${'bridge, at least 4 A'}
  ${'condensateur chimique 47 µF 400 V'}            | ${'electrolytic, about 47 µF ± 20 %, at least 400 V'}
  ${'two hundred twenty nanofarad x two capacitor'} | ${'X2 capacitor, about 220 nF ± 10 %'}
  ${'forty seven micro four hundred volts'}         | ${'capacitor, about 47 µF ± 20 %, at least 400 V'}
  ${'five volt regulator one and a half amps'}      | ${'regulator, about 5 V ± 5 %, at least 1.5 A'}
  ${'electrolitc 220uf'}                            | ${'electrolytic, about 220 µF ± 20 %'}
  ${'transitor npn 60v'}                            | ${'NPN, at least 60 V'}
  ${'fuse 2a fast 5x20'}                            | ${'fuse, about 2 A ± 5 %, “fast”, “5x20”'}
  ${'cap for across the mains'}                     | ${'capacitor of class X or Y'}
  ${'film cap for the mains'}                       | ${'capacitor of class X or Y'}
  ${'electrolytic 100u 400v for a mains supply'}    | ${'electrolytic, about 100 µF ± 20 %, at least 400 V'}
  ${'part to rectify 12V at 10A'}                   | ${'rectifier, at least 12 V, at least 10 A'}
  ${'transformer 230 to 12'}                        | ${'transformer, primary voltage about 230 V ± 8 %, about 12 V ± 8 %'}
  ${'heat sink for a transistor'}                   | ${'heat sink, left out: transistor'}
  ${'MOSFET N, Vds 55…100 V, Rds(on) < 30 mΩ'}      | ${'N-FET, 55 V to 100 V, on resistance, 25 °C less than 30 mΩ'}
  ${'PNP, Ic ≥ 1 A'}                                | ${'PNP, at least 1 A'}
  ${'fet 30v so8 low rds'}                          | ${'MOSFET, at least 30 V, SO-8, not understood: low rds'}
  ${'electrolytic cap >= 25V'}                      | ${'electrolytic capacitor, at least 25 V'}
  ${'Zener 4.7 V ± 5 %, ≥ 1 W'}                     | ${'zener diode, about 4.7 V ± 5 %, at least 1 W'}
  ${'equivalent of IRFZ44'}                         | ${'N-FET, in place of IRFZ44, at least 60 V, at least 50 A'}
  ${'better than BC547'}                            | ${'NPN, in place of BC547, stronger, at least 45 V, more than 100 mA'}
  ${'cap bigger than 1000u under 35v'}              | ${'capacitor, more than 1000 µF, less than 35 V'}
  ${'black wire 1 m or longer'}                     | ${'wire, length at least 1 m, “black”'}
`('“$question” is understood as $means', ({ question, means }) => {
  expect(ask(question as string)).toMatchObject({ ok: true, means });
});

test.each`
  words                       | message
  ${['nmos']}                 | ${/a question and a file of lots/}
  ${['nmos', 'nowhere.json']} | ${/cannot be read/}
  ${['nmos', 'package.json']} | ${/a list of lots under “lots” is expected/}
  ${['nmos', 'README.md']}    | ${/is not JSON/}
`('find $words names what is wrong', ({ words, message }) => {
  expect(() => find({ words: words as string[], options: {} }, () => {})).toThrow(message as RegExp);
});
