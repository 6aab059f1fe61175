'use client';

import { counted } from '../../core/quantity';
import { NEED_ROLE_NAMES } from '../../core/stock';
import type { NeedsPreview } from '../../services/exchange';
import { ImportRows, ListImport } from '../../ui/list/ListImport';
import { SheetColumns } from '../../ui/list/SheetColumns';
import { routes } from '../../routes';

/** Brings a list of needs into a build. */
export function BringNeeds({ code }: { code: string }) {
  return (
    <ListImport<NeedsPreview>
      url={routes.importNeeds(code)}
      goto={routes.build(code)}
      fileLabel="List of needs"
      claimLabel="What the list would add"
      claim={({ needs, refusedCount }) => `${counted(needs, 'need')}, ${counted(refusedCount, 'line')} refused`}
      useful={({ needs }) => needs}
      useless="No line of the list is a need."
      caution="A need asks for what you wrote: put your own margin in for spikes and heat."
      adjust={({ columns }, again, isBusy) =>
        columns.length > 0 && (
          <SheetColumns
            key={columns.map(({ heading }) => heading).join('|')}
            columns={columns}
            choices={NEED_ROLE_NAMES}
            isBusy={isBusy}
            onSay={(roles) => again({ roles: roles.join(',') })}
          />
        )
      }
      taken={({ rows }) =>
        rows.length > 0 && (
          <ImportRows
            heading="Needs as they will stand"
            label="Needs that are added"
            columns={['line', 'for', 'what it must be', 'in the drawers']}
            rows={rows.map(({ line, role, message, stock }) => ({
              key: `${line}`,
              cells: [line, role, message, stock],
            }))}
          />
        )
      }
    >
      A table from any spreadsheet, or lines as you would write them, such as{' '}
      <span className="font-mono">output: 3 x 1000u 25V low esr</span> or{' '}
      <span className="font-mono">2 nmos 600V 10A (switch)</span>. Columns are known by their names in English, German
      or French; where a column names the places, as in <span className="font-mono">R1, R2, R5</span>, they are counted.
    </ListImport>
  );
}
