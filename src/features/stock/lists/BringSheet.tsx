'use client';

import { ImportRows, ListImport } from '../../../ui/list/ListImport';
import type { LotsPreview } from '../../../services/exchange';
import { routes } from '../../../routes';

/** Brings a list of lots in. */
export function BringSheet() {
  return (
    <ListImport<LotsPreview>
      url={routes.importLots()}
      goto={routes.stock()}
      fileLabel="List of lots"
      claimLabel="What the file would import"
      claim={({ lots, pieces, refusedCount }) => `${lots} lots, ${pieces} pieces, ${refusedCount} rows refused`}
      useful={({ lots }) => lots}
      useless="No row of the file can be taken in."
      caution="What a list says of a part is no measurement: test it before it carries mains voltage."
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
      CSV with a heading: <span className="font-mono">kind, pieces, bin</span>, then what you have of{' '}
      <span className="font-mono">code, subtype, technology, marking, package, grade, limits, note</span> and one column
      a rating, such as <span className="font-mono">vds</span>. A cell is a value, with its source if you like:{' '}
      <span className="font-mono">650 V; datasheet</span>. Or JSON of the format{' '}
      <span className="font-mono">zorvek.stock/1</span>, as Stock writes it.
    </ListImport>
  );
}
