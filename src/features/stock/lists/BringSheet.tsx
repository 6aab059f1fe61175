'use client';

import { counted } from '../../../core/quantity';
import { ImportRows, ListImport } from '../../../ui/list/ListImport';
import type { LotsPreview } from '../../../services/exchange';
import { routes } from '../../../routes';
import { ROLE_NAMES } from '../../../core/stock';
import { SheetColumns } from '../../../ui/list/SheetColumns';

/** Brings a list of lots in. */
export function BringSheet() {
  return (
    <ListImport<LotsPreview>
      url={routes.importLots()}
      goto={routes.stock()}
      fileLabel="List of lots"
      claimLabel="What the file would import"
      claim={({ lots, pieces, refusedCount }) =>
        `${counted(lots, 'lot')}, ${counted(pieces, 'piece')}, ${counted(refusedCount, 'row')} refused`
      }
      useful={({ lots }) => lots}
      useless="No row of the file can be taken in."
      caution="What a list says of a part is no measurement: test it before it carries mains voltage."
      adjust={({ columns, bin }, again, isBusy) =>
        columns.length > 0 && (
          <SheetColumns
            key={columns.map(({ heading }) => heading).join('|')}
            columns={columns}
            choices={ROLE_NAMES}
            bin={bin}
            isBusy={isBusy}
            onSay={(roles, place) => again({ roles: roles.join(','), bin: place })}
          />
        )
      }
      taken={({ rows, lots }) =>
        rows.length > 0 && (
          <ImportRows
            heading={`Taken in${lots > rows.length ? `, the first ${rows.length} of ${lots}` : ''}`}
            label="Rows that are imported"
            columns={['line', 'what', 'it']}
            rows={rows.map(({ line, what, message }) => ({ key: `${line}`, cells: [line, what, message] }))}
          />
        )
      }
    >
      A table from any spreadsheet, saved as CSV: a heading, then a row for each lot. Columns are known by their names
      in English, German or French, or by what stands in them; a cell may hold several values, such as{' '}
      <span className="font-mono">470u 35V 105C</span>, and the number of a part tells what the list leaves out. You can
      put each column right before anything is written. Or JSON of the format{' '}
      <span className="font-mono">zorvek.stock/1</span>, as Stock writes it.
    </ListImport>
  );
}
