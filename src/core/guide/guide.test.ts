import { CHIP_FAMILIES } from '../chips';
import { remainingLife } from '../measure';
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
