import { CHIP_FAMILIES } from '../chips';
import { judgePart, remainingLife, TESTS } from '../measure';
import { PACKAGES } from '../part';
import { articleById, ARTICLES, searchGuide } from '.';

test('every line of every article has its name, its text and its source, and an address of its own', () => {
  for (const { id, lines } of ARTICLES) {
    expect([
      id,
      lines.filter(({ name, text, source }) => [name, text, source].some((one) => one.trim() === '')),
    ]).toEqual([id, []]);
    expect([id, new Set(lines.map((line) => line.id)).size]).toEqual([id, lines.length]);
  }
  expect(new Set(ARTICLES.map(({ id }) => id)).size).toBe(ARTICLES.length);
});

test('the pages are the tables that the engines use', () => {
  expect(articleById('packages')?.lines).toHaveLength(PACKAGES.length);
  expect(articleById('chips')?.lines).toHaveLength(CHIP_FAMILIES.length);
  expect(articleById('nothing')).toBeUndefined();
  // 2000 h at 105 °C are 32,000 h in air of 65 °C at the rated ripple: the ten-degree rule, four doublings.
  expect(remainingLife({ ratedCelsius: 105, around: 65, rippleShare: 1, served: 0 }).total).toBe(32000);
  expect(articleById('capacitors')?.lines.find(({ id }) => id === 'class-105')?.text).toContain(
    '32,000 h in air of 65 °C',
  );
});

test('figures of the rules are those that the engines judge by', () => {
  const text = (article: string, line: string) =>
    articleById(article)
      ?.lines.find(({ id }) => id === line)
      ?.text.replaceAll('\u00a0', ' ');
  expect(text('charge', 'small-capacitors')).toContain('100 V at 91 nF');
  expect(text('charge', 'can-kill')).toMatch(/^Over the touch limit, from 10 J\. Insulated resistor tool/);
  expect(text('tests', 'capacitor')).toMatch(/80 % is B and 70 % C; of the ESR expected 2 times is B, 3 times C/);
  // What grades B at 80 % and C at 70 % is so judged.
  for (const [microfarads, grade] of [
    [86, 'B'],
    [75, 'C'],
  ] as const)
    expect(
      judgePart(
        {
          kind: 'capacitor',
          test: 'capacitor',
          subtype: 'electrolytic',
          ratings: { capacitance: 100e-6, voltage: 25, tolerance: 0.1 },
          damage: [],
        },
        { capacitance: { value: microfarads * 1e-6, resolution: 1e-7 }, esr: { value: 0.5, resolution: 0.01 } },
      ).grade,
    ).toBe(grade);
  expect(articleById('tests')?.lines).toHaveLength(Object.keys(TESTS).length);
  expect(text('power-up', 'ripple-12')).toBe('120 mV from peak to peak');
  expect(text('plates', 'input')).toMatch(/from 1\.1 times they are optimistic, from 1\.5 times not to be believed/);
});

test.each`
  asked                         | article         | line
  ${'glue'}                     | ${'seams'}      | ${'glue'}
  ${'ultrasonic weld'}          | ${'seams'}      | ${'weld'}
  ${'what is a TO-220FP'}       | ${'packages'}   | ${'to-220fp'}
  ${'UC3843'}                   | ${'chips'}      | ${'uc3843'}
  ${'magnetron'}                | ${'cautions'}   | ${'beryllia-in-a-magnetron'}
  ${'schottky derating'}        | ${'derating'}   | ${'schottky'}
  ${'flyback'}                  | ${'topologies'} | ${'flyback'}
  ${'hours of a 105 capacitor'} | ${'capacitors'} | ${'class-105'}
  ${'shorted bridge'}           | ${'causes'}     | ${'bridge-shorted'}
`('“$asked” finds $line in $article first', ({ asked, article, line }) => {
  const [first] = searchGuide(asked as string);
  expect([first?.article.id, first?.line.id]).toEqual([article, line]);
});

test('what nobody wrote of finds nothing', () => {
  expect(searchGuide('zeppelin')).toEqual([]);
  expect(searchGuide('  ')).toEqual([]);
});
