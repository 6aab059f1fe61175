import type { z } from 'zod';
import type { AppContext } from '../../db/context';
import { allocationsOf, findBuild, findNeed } from '../../db/repositories/builds';
import { freshCode } from '../../db/repositories/codes';
import type { Edit, LedgerEntry } from '../../db/repositories/journal';
import { findLot } from '../../db/repositories/lotSearch';
import { routes } from '../../routes';
import { refusal, refuse, run, type Outcome } from '../../services/command';
import type { buildForm, needForm } from './schema';

/** Writes down something a person wants to make. */
export function startBuild(app: AppContext, form: z.output<typeof buildForm>): Promise<Outcome<{ code: string }>> {
  return run(app, { scope: 'builds' }, async (edit) => {
    const code = await freshCode(edit.tx, app, 'build');
    await edit.insert('builds', { code, ...form, createdMs: app.now() });
    return { message: `${form.title} is written down as ${code}.`, value: { code }, goto: routes.build(code) };
  });
}

async function knownBuild(edit: Edit, code: string) {
  return (await findBuild(edit.tx, code)) ?? refuse('build-gone', { code });
}

/** Adds a line that stock must fill. */
export function addNeed(
  app: AppContext,
  code: string,
  form: z.output<typeof needForm>,
): Promise<Outcome<{ needId: string }>> {
  return run(app, { scope: 'builds' }, async (edit) => {
    const { build } = await knownBuild(edit, code);
    const needId = await edit.insert('needs', { buildId: build.id, ...form, createdMs: app.now() });
    return { message: `${form.role}: ${form.quantity} of ${form.filter}.`, value: { needId } };
  });
}

/** Deletes a need that nothing was set aside for. */
export function removeNeed(app: AppContext, of: { code: string; needId: string }): Promise<Outcome> {
  return run(app, { scope: 'builds' }, async (edit) => {
    const { needs } = await knownBuild(edit, of.code);
    const entry = needs.find(({ need }) => need.id === of.needId);
    if (!entry) return refuse('need-gone', {});
    const { role } = entry.need;
    if (entry.filled > 0) return refuse('need-holds-parts', { role });
    await edit.remove('needs', of.needId);
    return `${role} was deleted.`;
  });
}

type Step = 'reserve' | 'release' | 'use';

const STEPS: Readonly<
  Record<
    Step,
    {
      done: (role: string) => string;
      entry: (pieces: number) => Pick<LedgerEntry, 'onHandDelta' | 'reservedDelta' | 'reason'>;
    }
  >
> = {
  reserve: {
    done: (role) => `set aside for ${role}`,
    entry: (pieces) => ({ onHandDelta: 0, reservedDelta: pieces, reason: 'reserved' }),
  },
  release: {
    done: (role) => `given back by ${role}`,
    entry: (pieces) => ({ onHandDelta: 0, reservedDelta: -pieces, reason: 'released' }),
  },
  use: {
    done: (role) => `built in as ${role}; they left stock`,
    entry: (pieces) => ({ onHandDelta: -pieces, reservedDelta: -pieces, reason: 'used' }),
  },
};

/** Sets pieces of a lot aside for a need, gives them back, or builds them in. Each writes the ledger. */
export function moveParts(
  app: AppContext,
  of: { step: Step; lotCode: string; needId: string; quantity: number },
): Promise<Outcome> {
  const { step, lotCode: code, needId, quantity: asked } = of;
  return run(app, { scope: 'builds', onConflict: refusal('stock-changed', {}) }, async (edit) => {
    const found = await findLot(edit.tx, code);
    if (!found) return refuse('lot-gone', { code });
    const { id: lotId, onHand, reserved, grade, gradeReason } = found.lot;
    if (grade === 'reject' && step !== 'release') return refuse('lot-scrap', { code, why: gradeReason });
    const need = await findNeed(edit.tx, needId);
    if (!need) return refuse('need-gone', {});
    const { role } = need;
    const allocations = await allocationsOf(edit.tx, [needId]);
    if (step === 'reserve') {
      const open = Math.max(0, need.quantity - allocations.reduce((sum, one) => sum + one.reserved + one.used, 0));
      if (asked > open) return refuse('need-wants-fewer', { role, open, asked });
      if (asked > onHand - reserved) return refuse('too-many-reserved', { code, asked, onHand, reserved });
    } else {
      // Other needs may hold pieces of the same lot; those are not this need's to give.
      const held = allocations.find((entry) => entry.lotId === lotId)?.reserved ?? 0;
      if (asked > held) return refuse('need-holds-fewer', { role, code, held, asked });
    }
    await edit.ledger({ lotId, needId, note: '', ...STEPS[step].entry(asked) });
    return `${asked} of ${code} ${STEPS[step].done(role)}.`;
  });
}
