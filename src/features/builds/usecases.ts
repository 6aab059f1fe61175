import type { z } from 'zod';
import type { Bench } from '../../db/bench';
import {
  findBuild,
  insertBuild,
  insertNeed,
  markNeedDeleted,
  release,
  reserve,
  use,
  type Portion,
} from '../../db/repositories/builds';
import { isConstraintFailure } from '../../db/repositories/journal';
import { findLot } from '../../db/repositories/lots';
import type { FormOutcome } from '../../ui/form/outcome';
import type { buildForm, needForm } from './schema';

/** Writes down something a person wants to make. */
export async function startBuild(
  bench: Bench,
  form: z.output<typeof buildForm>,
): Promise<FormOutcome & { ok: true; code: string }> {
  const build = await bench.db.write((tx) => insertBuild(tx, bench, form));
  return {
    ok: true,
    says: `${build.title} is written down as ${build.code}.`,
    goto: `/builds/${build.code}`,
    code: build.code,
  };
}

/** Adds a line that stock must fill. */
export async function addNeed(
  bench: Bench,
  code: string,
  form: z.output<typeof needForm>,
): Promise<FormOutcome & { needId?: string }> {
  const found = await findBuild(bench.db.read, code);
  if (!found) return problem(`There is no build ${code} any more.`);
  const needId = await bench.db.write((tx) => insertNeed(tx, bench, { buildId: found.build.id, ...form }));
  return { ok: true, needId, says: `${form.role}: ${form.quantity} of ${form.filter}.` };
}

/** Strikes a need that nothing was set aside for. */
export async function strikeNeed(bench: Bench, of: { code: string; needId: string }): Promise<FormOutcome> {
  const found = await findBuild(bench.db.read, of.code);
  const entry = found?.needs.find(({ need }) => need.id === of.needId);
  if (!entry) return problem('That need is gone already.');
  if (entry.filled > 0) return problem(`Parts are set aside for ${entry.need.role}. Give them back first.`);
  await bench.db.write((tx) => markNeedDeleted(tx, of.needId, bench.now()));
  return { ok: true, says: `${entry.need.role} was struck.` };
}

const STEPS = { reserve, release, use } as const;
const DONE: Readonly<Record<keyof typeof STEPS, string>> = {
  reserve: 'set aside',
  release: 'given back',
  use: 'built in; they left stock',
};

/** Sets pieces of a lot aside for a need, gives them back, or builds them in. Each writes the ledger. */
export async function moveParts(
  bench: Bench,
  of: { step: keyof typeof STEPS; lotCode: string; needId: string; quantity: number },
): Promise<FormOutcome> {
  const found = await findLot(bench.db.read, of.lotCode);
  if (!found) return problem(`There is no lot ${of.lotCode} any more.`);
  const portion: Portion = { lotId: found.lot.id, needId: of.needId, quantity: of.quantity };
  try {
    const undo = await bench.db.write((tx) => STEPS[of.step](tx, bench, portion));
    return { ok: true, says: `${of.quantity} of ${of.lotCode} ${DONE[of.step]}.`, undo };
  } catch (error) {
    if (!isConstraintFailure(error)) throw error;
    const { onHand, reserved } = found.lot;
    return problem(
      of.step === 'reserve'
        ? `${of.quantity} of ${of.lotCode} cannot be set aside: ${onHand - reserved} of ${onHand} are free.`
        : `${of.quantity} of ${of.lotCode} are not set aside: ${reserved} are.`,
    );
  }
}

function problem(message: string): FormOutcome {
  return { ok: false, problems: [{ message }] };
}
