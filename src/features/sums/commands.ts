import { sumById, workOut } from '../../core/sums';
import type { AppContext } from '../../db/context';
import type { Edit } from '../../db/repositories/journal';
import { keptSumById } from '../../db/repositories/keptSums';
import { readSettings } from '../../db/repositories/settings';
import { refusal, refuse, refused, run, type Outcome } from '../../services/command';
import { filledFrom, originOf } from './view.server';

/** Runs a step on sums of a code: written with the donor, or with the builds. */
function onSums(
  app: AppContext,
  { code, isDonor }: { readonly code: string; readonly isDonor: boolean },
  work: (edit: Edit) => Promise<string>,
): Promise<Outcome> {
  return isDonor ? run(app, { scope: 'donor', code, station: 'record' }, work) : run(app, { scope: 'builds' }, work);
}

/** Keeps a sum with the donor, the part or the build it was opened from. */
export async function keepSum(
  app: AppContext,
  of: { readonly from: string; readonly sum: string; readonly typed: Readonly<Record<string, string>> },
): Promise<Outcome> {
  const origin = await originOf(app.db.read, of.from);
  const owner = origin?.owner;
  if (!origin || !owner) return refused(refusal('row-gone', {}));
  return onSums(app, { code: origin.code, isDonor: 'donorId' in owner }, async (edit) => {
    const sum = sumById(of.sum) ?? refuse('row-gone', {});
    const texts = Object.fromEntries(sum.fields.map(({ id, usual }) => [id, of.typed[id] ?? usual]));
    const { touchLimit } = await readSettings(edit.tx);
    const { worked } = workOut(sum, texts, { touch: touchLimit });
    if (!worked) return refuse('sum-not-worked', { sum: sum.title });
    const filled = filledFrom(sum, origin);
    await edit.insert('keptSums', {
      ...owner,
      ref: origin.ref,
      sum: sum.id,
      typed: texts,
      follows: Object.keys(filled).filter((field) => filled[field] === texts[field]),
      answer: worked.answer,
      createdMs: app.now(),
    });
    return `${sum.title}${origin.ref === '' ? '' : `, ${origin.ref}`}: ${worked.answer}.`;
  });
}

/** Takes a kept sum away. */
export async function dropSum(app: AppContext, of: { readonly code: string; readonly id: string }): Promise<Outcome> {
  const kept = await keptSumById(app.db.read, of.id);
  return onSums(app, { code: of.code, isDonor: kept?.donorId !== null }, async (edit) => {
    const row = (await keptSumById(edit.tx, of.id)) ?? refuse('row-gone', {});
    await edit.remove('keptSums', row.id);
    return `${sumById(row.sum)?.title ?? row.sum} is not kept any more.`;
  });
}
