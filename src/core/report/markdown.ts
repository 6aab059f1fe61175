import type { Block, Report } from './report';

/** Signs that Markdown takes for its own; a reference such as `C_1` or `*` in a note stays as it was written. */
const plain = (text: string): string =>
  text
    .replaceAll(/([\\`*_[\]<>#|~])/gu, String.raw`\$1`)
    .replaceAll(/\s*\n\s*/gu, ' ')
    .trim();

/** A line that would begin a list or a heading of its own is kept from it. */
const paragraph = (text: string): string =>
  text
    .split(/\n{2,}/u)
    .map((part) =>
      plain(part)
        .replace(/^(\d+)([.)])/u, String.raw`$1\$2`)
        .replace(/^([-+])/u, String.raw`\$1`),
    )
    .filter((part) => part !== '')
    .join('\n\n');

const row = (cells: readonly string[]): string => `| ${cells.map(plain).join(' | ')} |`;

function block(of: Block): string {
  switch (of.kind) {
    case 'text':
      return paragraph(of.text);
    case 'caution':
      return `> **Caution.** ${plain(of.text)}`;
    case 'facts':
      return [row(['', '']), '| --- | --- |', ...of.rows.map(row)].join('\n');
    case 'list':
      return of.items.map((item, place) => `${of.isOrdered ? `${place + 1}.` : '-'} ${plain(item)}`).join('\n');
    case 'table':
      return [row(of.head), `|${' --- |'.repeat(of.head.length)}`, ...of.rows.map(row)].join('\n');
    case 'picture':
      return [
        `![${plain(of.caption)}](${encodeURI(of.file)})`,
        ...(of.pins.length > 0 ? ['', ...of.pins.map(({ number, note }) => `${number}. ${plain(note) || 'pin'}`)] : []),
      ].join('\n');
    case 'plot':
    case 'drawing':
      return `![${plain(of.caption)}](${encodeURI(of.file)})`;
  }
}

/** A report as Markdown (CommonMark with tables); pictures by their files. */
export function markdownOf({ title, subtitle, sections }: Report): string {
  return [
    `# ${plain(title)}`,
    paragraph(subtitle),
    ...sections.flatMap((section) => [`## ${plain(section.title)}`, ...section.blocks.map(block)]),
    '',
  ]
    .filter((part, place, all) => part !== '' || place === all.length - 1)
    .join('\n\n');
}
