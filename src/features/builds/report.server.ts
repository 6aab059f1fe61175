import 'server-only';
import { designFrom, firstPowerOf } from '../../core/design';
import { markdownOf, reportOf, type Report } from '../../core/report';
import { formatQuantity } from '../../core/quantity';
import { schematicSvg, type Schematic } from '../../core/schematic';
import type { AppContext } from '../../db/context';
import { findBuild } from '../../db/repositories/builds';
import { csvOf, reportPdf } from '../../formats/report';
import { runWithin } from './designView.server';
import { buildView, type BuildView } from './view.server';

const NEEDS = ['for', 'asked', 'pieces', 'lots', 'missing'] as const;
const CAUTION =
  'What is told here was built once, by hobbyists. Cans hold charge and parts get hot; local codes and licensed practice come first, and nothing of it is for the mains.';

/** A drawing with the values of its parts where room was kept for them. */
const withFigures = ({ schematic, figures }: NonNullable<BuildView['design']>): Schematic => ({
  ...schematic,
  symbols: schematic.symbols.map((symbol) => {
    const figure = figures[symbol.ref];
    const texts = [symbol.ref, figure ? formatQuantity(figure.value, figure.unit, { digits: 3 }) : ''];
    const { lines } = symbol.caption;
    return {
      ...symbol,
      caption: {
        ...symbol.caption,
        lines: lines.flatMap((line, place) => (texts[place] ? [{ ...line, text: texts[place] }] : [])),
      },
    };
  }),
});

const needRow = ({ role, filter, quantity, open, allocations }: BuildView['needs'][number]): readonly string[] => [
  role,
  filter,
  String(quantity),
  allocations
    .map(({ lot, marking, reserved, used }) =>
      [lot, marking, used > 0 ? `${used} built in` : `${reserved} set aside`].filter((word) => word !== '').join(' '),
    )
    .join(', '),
  open > 0 ? String(open) : '',
];

/** Files of a build’s report by their paths: as Markdown and PDF, its needs as a table, its drawing and its deck. */
export async function buildReportFiles(
  app: AppContext,
  code: string,
): Promise<ReadonlyMap<string, Uint8Array | string> | undefined> {
  const [view, found] = await Promise.all([buildView(app, code), findBuild(app.db.read, code.toUpperCase())]);
  if (!view || !found) return undefined;
  const record = found.build.design;
  const design = record && designFrom(record);
  const rows = view.needs.map(needRow);
  const report = reportOf(reportFor(view, rows, design && record ? firstPowerOf(design, record.spec) : []));
  const drawings = new Map(view.design ? [['schematic.svg', withFigures(view.design)] as const] : []);
  const run = design && record ? runWithin(design, record.spec) : undefined;
  return new Map<string, Uint8Array | string>([
    ['report.md', markdownOf(report)],
    ['report.pdf', await reportPdf(report, { pictures: new Map(), drawings })],
    ['needs.csv', csvOf(NEEDS, rows)],
    ...(view.design ? [['schematic.svg', schematicSvg(withFigures(view.design))] as const] : []),
    ...(run ? [['circuit.cir', run.spice] as const] : []),
  ]);
}

function reportFor(
  view: BuildView,
  rows: readonly (readonly string[])[],
  steps: readonly { readonly text: string; readonly expect: string }[],
): Report {
  const { design } = view;
  return {
    title: view.title,
    subtitle: `Build ${view.code} · ${view.line.message}`,
    sections: [
      {
        id: 'build',
        title: 'The build',
        blocks: [
          { kind: 'caution', text: CAUTION },
          { kind: 'text', text: view.note },
        ],
      },
      {
        id: 'needs',
        title: 'Needs, and what filled them',
        blocks: [{ kind: 'table', label: 'Needs', head: NEEDS, rows }],
      },
      {
        id: 'design',
        title: 'As designed',
        blocks: design
          ? [
              { kind: 'text', text: design.headline },
              { kind: 'caution', text: design.hazard ?? '' },
              {
                kind: 'drawing',
                file: 'schematic.svg',
                caption: 'The circuit with its own parts',
                svg: schematicSvg(withFigures(design)),
              },
              { kind: 'list', items: design.shows },
              { kind: 'facts', rows: design.winding.map(({ name, value }) => [name, value] as const) },
              { kind: 'facts', rows: (design.control?.outer ?? []).map(({ name, value }) => [name, value] as const) },
            ]
          : [],
      },
      {
        id: 'power',
        title: 'First power-up',
        blocks: [
          { kind: 'list', isOrdered: true, items: steps.map(({ text, expect }) => `${text} Expected: ${expect}.`) },
        ],
      },
      {
        id: 'done',
        title: 'What was done',
        blocks: [
          {
            kind: 'list',
            items: view.steps
              .filter(({ isUndone }) => !isUndone)
              .toReversed()
              .map((step) => `${step.day}: ${step.message}`),
          },
        ],
      },
    ],
  };
}
