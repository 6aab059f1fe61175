import type { z } from 'zod';
import type { Bench } from '../../db/context';
import type { Queryable } from '../../db/client';
import {
  allocationsOf,
  findBuild,
  findNeed,
  insertBuild,
  insertNeed,
  markNeedDeleted,
  release,
  reserve,
  use,
  type Portion,
} from '../../db/repositories/builds';
import { isConstraintFailure } from '../../db/repositories/journal';
import { findLot } from '../../db/repositories/lotSearch';
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
    const undo = await bench.db.write(async (tx) => {
      const refusal = await standsInTheWay(tx, of.step, of.lotCode, portion);
      if (refusal) throw new Refused(refusal);
      return STEPS[of.step](tx, bench, portion);
    });
    return { ok: true, says: `${of.quantity} of ${of.lotCode} ${DONE[of.step]}.`, undo };
  } catch (error) {
    if (error instanceof Refused) return problem(error.message);
    if (!isConstraintFailure(error)) throw error;
    const { onHand, reserved } = found.lot;
    return problem(`${of.quantity} of ${of.lotCode} cannot be set aside: ${onHand - reserved} of ${onHand} are free.`);
  }
}

class Refused extends Error {}

/**
 * Why a step cannot be done by what the need itself says: it is filled, or less of the lot is set
 * aside for it. Other needs may hold pieces of the same lot; those are not this need's to give.
 */
async function standsInTheWay(
  tx: Queryable,
  step: keyof typeof STEPS,
  lotCode: string,
  { needId, lotId, quantity }: Portion,
): Promise<string | undefined> {
  const need = await findNeed(tx, needId);
  if (!need) return 'That need is gone.';
  const allocations = await allocationsOf(tx, [needId]);
  if (step === 'reserve') {
    const open = need.quantity - allocations.reduce((sum, { reserved, used }) => sum + reserved + used, 0);
    return quantity > open ? `${need.role} wants ${Math.max(0, open)} more, not ${quantity}.` : undefined;
  }
  const held = allocations.find((entry) => entry.lotId === lotId)?.reserved ?? 0;
  return quantity > held ? `${quantity} of ${lotCode} are not set aside for ${need.role}: ${held} are.` : undefined;
}

function problem(message: string): FormOutcome {
  return { ok: false, problems: [{ message }] };
}
