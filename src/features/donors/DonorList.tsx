'use client';

import type { DonorLine } from '../../services/dossier';
import { SmallStageLine } from '../../ui/frame/StageLine';
import { List } from '../../ui/list/List';
import type { LongPlan, TableColumn, TableRow } from '../../ui/list/rows';

const COLUMNS: readonly TableColumn[] = [
  { id: 'label', label: 'label', chars: 13 },
  { id: 'unit', label: 'unit', chars: 40 },
  { id: 'station', label: 'station', from: 1080, chars: 28 },
  { id: 'next', label: 'next', from: 620, chars: 20 },
];
/** Pixels of a row of two lines. */
const ROW_HEIGHT = 56;

/** Donors as rows: tag, what it is, where it stands, what comes next. */
export function DonorList({ lines, total, long }: { lines: readonly DonorLine[]; total?: number; long?: LongPlan }) {
  return (
    <List
      label="Donors"
      columns={COLUMNS}
      items={lines}
      rowOf={rowOf}
      rowHeight={ROW_HEIGHT}
      filter={false}
      choose={false}
      total={total}
      long={long}
    />
  );
}

function rowOf({ code, title, message, stages, station, next, href, live }: DonorLine): TableRow {
  const tone = live.length > 0 ? 'text-stop' : '';
  return {
    id: code,
    href,
    name: `${code} ${title}`,
    cells: {
      label: { text: code, as: 'tag' },
      unit: {
        text: title,
        shown: (
          <span className="block min-w-0 py-1.5 text-[13.5px]">
            <b className="block truncate font-semibold">{title}</b>
            <span className="block truncate text-[12px] text-ink-2">{message}</span>
            <span className={`hidden text-[13px] max-[619px]:block ${tone}`}>{next}</span>
          </span>
        ),
      },
      station: {
        text: station,
        sort: stages.findIndex(({ id }) => id === station),
        shown: <SmallStageLine stages={stages} current={station} />,
      },
      next: { text: next, shown: <span className={tone}>{next}</span> },
    },
  };
}
