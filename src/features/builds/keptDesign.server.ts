import 'server-only';
import { designFrom, type DesignRecord } from '../../core/design';
import { lotTitle } from '../../core/stock';
import type { AppContext } from '../../db/context';
import { findLots } from '../../db/repositories/lotSearch';
import { designView, type DesignView, type LotPlace } from './designView.server';

/** A design that was kept with a build, worked out again with its lots as they were; nothing where its parts fit no longer. */
export async function keptDesign(
  { db }: Pick<AppContext, 'db'>,
  record: DesignRecord,
): Promise<DesignView | undefined> {
  const design = designFrom(record);
  if (!design) return undefined;
  const codes = [
    ...Object.values(record.parts).map(({ lot }) => lot.code),
    ...(record.control ? [record.control.code] : []),
  ];
  const rows = await findLots(db.read, [...new Set(codes)]);
  const lots = new Map<string, LotPlace>(
    rows.map(({ lot, bin, ratings }) => [
      lot.code,
      { title: lotTitle({ kind: lot.kind, marking: lot.marking, ratings }), bin },
    ]),
  );
  return designView(design, record.spec, { lots, stock: record.control ? [{ ...record.control, pieces: 1 }] : [] });
}
