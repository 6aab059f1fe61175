'use client';

import { ImportRows, ListImport } from '../../ui/list/ListImport';
import type { TypesPreview } from '../../services/exchange';
import { routes } from '../../routes';

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
      CSV with a heading: <span className="font-mono">kind, name</span>, then what you have of{' '}
      <span className="font-mono">aliases, technology, package, note, source</span> and one column a rating, such as{' '}
      <span className="font-mono">vds</span>. A cell is a value, with its source and page if you like:{' '}
      <span className="font-mono">650 V; datasheet p. 3</span>. Or JSON of the format{' '}
      <span className="font-mono">zorvek.types/1</span>.
    </ListImport>
  );
}
