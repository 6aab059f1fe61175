import { markdownOf, plotSvg, plotted, reportOf, type Report } from '.';

const report: Report = {
  title: 'A_1 *brick*',
  subtitle: '19 V | 4.74 A',
  sections: [
    {
      id: 'empty',
      title: 'Empty',
      blocks: [
        { kind: 'list', items: [] },
        { kind: 'text', text: '' },
      ],
    },
    {
      id: 'all',
      title: 'All',
      blocks: [
        { kind: 'caution', text: 'It bites.' },
        { kind: 'text', text: '1. not a list\nsame paragraph\n\n# not a heading' },
        { kind: 'facts', rows: [['weight', '290 g']] },
        { kind: 'list', items: ['one', 'two'], isOrdered: true },
        { kind: 'table', label: 'T', head: ['part', 'reads'], rows: [['C1', '4 | 5']] },
        {
          kind: 'picture',
          file: 'photos/a b.jpg',
          caption: 'the board',
          width: 4,
          height: 3,
          pins: [{ number: 1, x: 0.5, y: 0.5, note: 'vent' }],
        },
      ],
    },
  ],
};

test('a report as Markdown: what says nothing is left out, and no sign of a text is taken for Markdown', () => {
  expect(markdownOf(reportOf(report)).split('\n')).toEqual([
    String.raw`# A\_1 \*brick\*`,
    '',
    String.raw`19 V \| 4.74 A`,
    '',
    '## All',
    '',
    '> **Caution.** It bites.',
    '',
    String.raw`1\. not a list same paragraph`,
    '',
    String.raw`\# not a heading`,
    '',
    '|  |  |',
    '| --- | --- |',
    '| weight | 290 g |',
    '',
    '1. one',
    '2. two',
    '',
    '| part | reads |',
    '| --- | --- |',
    String.raw`| C1 | 4 \| 5 |`,
    '',
    '![the board](photos/a%20b.jpg)',
    '',
    '1. vent',
    '',
    '',
  ]);
});

test('a plot lies within its frame, from its first to its last moment, and says its span', () => {
  const line = {
    label: 'CH1',
    unit: 'V',
    points: [
      { t: 0, v: -1 },
      { t: 1e-3, v: 3 },
    ],
  };
  const { paths, legend, span } = plotted([line]);
  expect(paths).toEqual(['M8.0 158.0L552.0 20.0']);
  expect(legend).toEqual(['CH1: -1.00 to 3.00 V']);
  expect(span).toMatch(/^1\sms from edge to edge$/u);
  expect(plotSvg([{ ...line, label: '<b>' }], 'a & b')).toContain('&lt;b&gt;');
});
