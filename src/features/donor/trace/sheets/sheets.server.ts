import 'server-only';
import { counted } from '../../../../core/quantity';
import { drawSchematic, sectionsIn, sheetSvg, type Paper, type SchematicView } from '../../../../core/schematic';
import { analyse } from '../../../../core/topology';
import { tracedBoard } from '../../../../services/board';
import type { Dossier } from '../../../../services/dossier';
import { dayOf } from '../../../../ui/value/moments';

export interface SchematicSheet {
  readonly name: string;
  readonly section: string;
  readonly svg: string;
}

/** How a board is shared out to sheets: all of it on one, or a sheet for the mains input and for each stage. */
export type SharedOut = 'whole' | 'section';

/** The schematic of a donor on sheets of paper; none while no part is logged. */
export async function schematicSheets(
  dossier: Dossier,
  { paper, by, isDone }: { readonly paper: Paper; readonly by: SharedOut; readonly isDone: boolean },
): Promise<readonly SchematicSheet[]> {
  const { donor } = dossier;
  const board = await tracedBoard(dossier, isDone);
  if (board.parts.length === 0) return [];
  const analysis = analyse(board);
  const sections = by === 'section' ? sectionsIn(analysis) : [];
  const shown: readonly { readonly view: SchematicView; readonly section: string }[] =
    sections.length > 0
      ? sections.map(({ id, title }) => ({ view: { kind: 'section', id }, section: title }))
      : [{ view: { kind: 'whole' }, section: 'the whole board' }];
  return shown.map(({ view, section }, index) => ({
    name: `${donor.code}-schematic-${index + 1}`,
    section,
    svg: sheetSvg(drawSchematic(analysis, { view }).schematic, paper, {
      title: donor.description,
      section,
      lines: [
        `${donor.code}, ${counted(board.parts.length, 'part')}`,
        `drawn ${dayOf(dossier.now)}${isDone ? '' : ', not all is traced yet'}`,
      ],
      number: index + 1,
      of: shown.length,
    }),
  }));
}
