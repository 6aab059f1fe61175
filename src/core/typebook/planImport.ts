import { replaces } from '../evidence';
import { RATINGS, type RatingName } from '../part';
import { formatQuantity } from '../quantity';
import type { RefusedLine } from '../table';
import type { ReadEntry, TypeEntry } from './entry';

/** What is to be done with one row. */
export interface PlannedEntry extends ReadEntry {
  readonly action: 'add' | 'change' | 'same';
  /** What changes, or why a value stays, one sentence each. */
  readonly message: readonly string[];
}

export interface ImportPlan {
  readonly planned: readonly PlannedEntry[];
  readonly refused: readonly RefusedLine[];
}

/** What the shop knows already. */
export interface KnownTypes {
  /** The type of a kind with a name, if there is one. */
  find(kind: TypeEntry['kind'], name: string): TypeEntry | undefined;
  /** The name of the type that has another marking, if there is one. */
  ownerOf(kind: TypeEntry['kind'], alias: string): string | undefined;
}

/**
 * Says for every row of a file whether it adds a type, changes one, or changes nothing, and refuses
 * rows whose markings belong to another type. A weaker source never takes the place of a stronger one.
 */
export function planImport(
  file: { readonly read: readonly ReadEntry[]; readonly refused: readonly RefusedLine[] },
  known: KnownTypes,
): ImportPlan {
  const refused = [...file.refused];
  const planned: PlannedEntry[] = [];
  for (const { line, entry } of file.read) {
    const what = `${entry.kind} ${entry.name}`;
    const owner = known.ownerOf(entry.kind, entry.name);
    if (owner !== undefined && owner !== entry.name) {
      refused.push({
        line,
        what,
        why: `${entry.name} is another marking of ${owner}; write ${owner}, or split it off first.`,
      });
      continue;
    }
    const stolen = entry.aliases.find((alias) => {
      const has = known.ownerOf(entry.kind, alias) ?? known.find(entry.kind, alias)?.name;
      return has !== undefined && has !== entry.name;
    });
    if (stolen !== undefined) {
      refused.push({ line, what, why: `“${stolen}” belongs to another type already; merge the two first.` });
      continue;
    }
    planned.push({ line, entry, ...compare(entry, known.find(entry.kind, entry.name)) });
  }
  return { planned, refused: refused.sort((a, b) => a.line - b.line) };
}

function compare(entry: TypeEntry, present: TypeEntry | undefined): Pick<PlannedEntry, 'action' | 'message'> {
  if (!present) return { action: 'add', message: [] };
  const message: string[] = [];
  let changes = 0;
  for (const name of Object.keys(entry.ratings) as RatingName[]) {
    const [next, now] = [entry.ratings[name], present.ratings[name]];
    if (!next) continue;
    const same = now?.value === next.value && now.source === next.source && (next.page ?? now.page) === now.page;
    if (same) continue;
    const shown = (value: number) => formatQuantity(value, RATINGS[name].unit);
    if (!replaces(next.source, now?.source)) {
      message.push(
        `${RATINGS[name].label} stays ${shown(now?.value ?? 0)}: ${now?.source} is stronger than ${next.source}`,
      );
      continue;
    }
    changes += 1;
    message.push(
      now
        ? `${RATINGS[name].label} ${shown(now.value)} becomes ${shown(next.value)}`
        : `${RATINGS[name].label} ${shown(next.value)}`,
    );
  }
  for (const field of ['technology', 'package', 'note'] as const)
    if (entry[field] !== '' && entry[field] !== present[field]) {
      changes += 1;
      message.push(`${field} becomes “${entry[field]}”`);
    }
  const fresh = entry.aliases.filter((alias) => !present.aliases.includes(alias));
  if (fresh.length > 0) {
    changes += 1;
    message.push(`also marked ${fresh.join(', ')}`);
  }
  return { action: changes > 0 ? 'change' : 'same', message };
}
