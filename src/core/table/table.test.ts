import fc from 'fast-check';
import { neutralised, plainCell, readHeading } from '.';

// OWASP, CSV injection, from memory: a cell that begins with one of = + - @, a tab or a return is run as a formula.
test.each(['=1+1', '+cmd', '-2+3', '@SUM(A1)', '\tx', '\rx'])('%j goes out as a text', (cell) => {
  expect(neutralised(cell)).toBe(`'${cell}`);
});

test('what goes out comes in as it was, and nothing that goes out is run', () => {
  fc.assert(
    fc.property(fc.string(), (text) => {
      fc.pre(!text.startsWith("'"));
      expect(plainCell(neutralised(text))).toBe(text);
      expect(neutralised(text)).not.toMatch(/^[=+\-@\t\r]/);
    }),
    { seed: 6, numRuns: 500 },
  );
});

test.each`
  cells                            | usable   | whys
  ${['kind', 'bin', 'vds']}        | ${true}  | ${[]}
  ${[' KIND ', 'Bin']}             | ${true}  | ${[]}
  ${['kind', 'bin', '', 'colour']} | ${true}  | ${['Column “colour” is no text column and no rating; it is left out.']}
  ${['bin', 'colour']}             | ${false} | ${['The heading has no column “kind”; at least kind and bin are expected.']}
  ${[]}                            | ${false} | ${['The heading has no column “kind” and “bin”; at least kind and bin are expected.']}
`('the heading $cells', ({ cells, usable, whys }) => {
  const isKnown = (column: string) => ['kind', 'bin', 'vds'].includes(column.toLowerCase());
  const { isUsable, refused, columns } = readHeading(cells as string[], { needed: ['kind', 'bin'], isKnown });
  expect(isUsable).toBe(usable);
  expect(refused.map(({ line, why }) => `${line} ${why}`)).toEqual((whys as string[]).map((why) => `1 ${why}`));
  expect(columns).toHaveLength((cells as string[]).length);
});
