'use client';

import { ROLE_NAMES } from '../../core/stock';
import { ImportRows, ListImport } from '../../ui/list/ListImport';
import { SheetColumns } from '../../ui/list/SheetColumns';
import type { TypesPreview } from '../../services/exchange';
import { routes } from '../../routes';

/** A type lies in no bin, and is of no grade. */
const CHOICES = Object.fromEntries(
  Object.entries(ROLE_NAMES).filter(([role]) => !['pieces', 'bin', 'grade', 'limits', 'code'].includes(role)),
);

const ACTIONS = { add: 'new', change: 'changes', same: 'stays' } as const;

/** Brings a list of types in. */
export function ImportSheet() {
  return (
    <ListImport<TypesPreview>
      url={routes.importTypes()}
      goto={routes.types()}
      fileLabel="List of types"
      claimLabel="What the file would do"
      claim={({ added, changed, same, refusedCount }) =>
        `${added} new, ${changed} changed, ${same} stay, ${refusedCount} refused`
      }
      useful={({ added, changed }) => added + changed}
      useless="Nothing in the file would change anything."
      caution="A stronger source never gives way to a weaker one: what you read in a datasheet stays when a list says otherwise."
      adjust={({ columns }, again, isBusy) =>
        columns.length > 0 && (
          <SheetColumns
            key={columns.map(({ heading }) => heading).join('|')}
            columns={columns}
            choices={CHOICES}
            isBusy={isBusy}
            onSay={(roles) => again({ roles: roles.join(',') })}
          />
        )
      }
      taken={({ rows, more }) =>
        rows.length > 0 && (
          <ImportRows
            heading={`Taken in${more > 0 ? `, the first ${rows.length}; ${more} more are like them` : ''}`}
            label="Lines that are imported"
            columns={['line', 'type', 'it', 'what changes']}
            rows={rows.map(({ line, what, action, message }) => ({
              key: `${line}`,
              cells: [line, what, ACTIONS[action], message],
            }))}
          />
        )
      }
    >
      A table from any spreadsheet: a heading, then a row for each type. Columns are known by their names in English,
      German or French, or by what stands in them, and can be put right before anything is written. A cell is a value,
      with its source and page if you like: <span className="font-mono">650 V; datasheet p. 3</span>. Or the columns
      that Types writes itself, which begin with <span className="font-mono">kind, name</span>, or JSON of the format{' '}
      <span className="font-mono">zorvek.types/1</span>.
    </ListImport>
  );
}
