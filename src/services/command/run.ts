import type { Donor } from '../../core/donor';
import type { StationName } from '../../core/station';
import type { AppContext } from '../../db/context';
import { findArchived, findDonor } from '../../db/repositories/donors';
import { isBusy, isConstraintFailure, MetOthers, recordEdit, type Edit } from '../../db/repositories/journal';
import { fieldQuestions } from './metFields';
import { refusal, Refused, refuse, type Refusal } from './refusals';

/** A step on one donor at a station. */
interface DonorScope {
  readonly scope: 'donor';
  readonly code: string;
  readonly station: StationName;
  /** The donor is looked for in the archive. */
  readonly archived?: true;
}

/** The step that makes a donor. */
interface NewDonorScope {
  readonly scope: 'new-donor';
}

/** A step of the whole shop. */
interface ShopScope {
  readonly scope: 'stock' | 'types' | 'builds' | 'settings';
}

/** What a command is about, and what it answers when the database refuses a row (a name taken, a balance below zero). */
export type Scope = (DonorScope | NewDonorScope | ShopScope) & { readonly onConflict?: Refusal };

/** What a command has done. */
export interface Done<T> {
  /** The sentence for the journal and the person. */
  readonly message: string;
  readonly value: T;
  /** The address to go to next. */
  readonly goto?: string;
}

/** What came of a command: what was done and how to undo it, or why nothing was. */
export type Outcome<T = undefined> =
  | {
      readonly ok: true;
      readonly message: string;
      readonly undo?: string;
      /** The step that was undone, which may be done again. */
      readonly redo?: string;
      readonly goto?: string;
      readonly value: T;
    }
  | { readonly ok: false; readonly problems: readonly Refusal[] };

/** A change of stock: what another took meanwhile is answered as such. */
export const ON_STOCK = { scope: 'stock', onConflict: refusal('stock-changed', {}) } as const;

/** A step on types; a name that is taken is refused at its field. */
export const ON_TYPES = { scope: 'types', onConflict: refusal('type-name-taken', {}, 'name') } as const;

type Subject<S extends Scope> = S extends DonorScope ? Donor : undefined;

/** How long a busy database is waited for between tries, in milliseconds; after the last the command is refused. */
const BUSY_WAITS = [50, 200, 800];

/**
 * Runs one command: everything it reads and writes in one transaction, with one journal entry by which it can be undone
 * whole. A refusal inside the work stores nothing. A database that another process holds is tried again a few times.
 * @param work gets the open edit and, in the scope of a donor, the donor; it answers with the sentence of what was done,
 *   alone or with a value
 */
export async function run<const S extends Scope, T = undefined>(
  app: AppContext,
  scope: S,
  work: (edit: Edit, subject: Subject<S>) => Promise<string | Done<T>>,
): Promise<Outcome<T>> {
  for (let tries = 0; ; tries += 1)
    try {
      return await attempt(app, scope, work);
    } catch (error) {
      if (error instanceof Refused) return refused(error.refusal);
      if (error instanceof MetOthers)
        return refused({
          ...refusal('met-others', { fields: error.met.length }),
          questions: fieldQuestions(error.met),
        });
      if (isBusy(error)) {
        const wait = BUSY_WAITS[tries];
        if (wait === undefined) return refused(refusal('busy', {}));
        await new Promise((resolve) => setTimeout(resolve, wait));
      } else if (scope.onConflict && isConstraintFailure(error)) return refused(scope.onConflict);
      else throw error;
    }
}

/** The answer of a command that refuses without having begun. */
export function refused(...problems: readonly Refusal[]): {
  readonly ok: false;
  readonly problems: readonly Refusal[];
} {
  return { ok: false, problems };
}

async function attempt<S extends Scope, T>(
  app: AppContext,
  scope: S,
  work: (edit: Edit, subject: Subject<S>) => Promise<string | Done<T>>,
): Promise<Outcome<T>> {
  let done: string | Done<T> = '';
  const { journalId, message } = await recordEdit(
    app,
    scope.scope === 'new-donor' ? 'donor' : scope.scope,
    async (begin) => {
      const subject = await subjectOf(app, scope);
      const edit = begin({
        donorId: scope.scope === 'new-donor' ? app.newKey() : (subject?.id ?? ''),
        station: stationOf(scope),
      });
      done = await work(edit, subject as Subject<S>);
      return typeof done === 'string' ? done : done.message;
    },
  );
  const { value, goto } = asDone<T>(done);
  return { ok: true, message, undo: journalId, value, ...(goto === undefined ? {} : { goto }) };

  async function subjectOf({ db }: AppContext, of: Scope): Promise<Donor | undefined> {
    if (of.scope !== 'donor') return undefined;
    return db.write(async (tx) =>
      of.archived
        ? ((await findArchived(tx, of.code)) ?? refuse('donor-not-archived', { code: of.code }))
        : ((await findDonor(tx, of.code)) ?? refuse('donor-gone', { code: of.code })),
    );
  }
}

function stationOf(scope: Scope): StationName | '' {
  if (scope.scope === 'donor') return scope.station;
  return scope.scope === 'new-donor' ? 'intake' : '';
}

function asDone<T>(done: string | Done<T>): { value: T; goto?: string } {
  return typeof done === 'string' ? { value: undefined as T } : done;
}

/** The value of a command that must have worked, for scenarios and tests; a refusal is thrown. */
export function valueOf<T>(outcome: Outcome<T>): T {
  if (outcome.ok) return outcome.value;
  throw new Error(outcome.problems.map(({ message }) => message).join(' '));
}
