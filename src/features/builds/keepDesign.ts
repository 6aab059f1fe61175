import {
  controlOf,
  isPaired,
  loopOf,
  needFor,
  recordOf,
  rolesOf,
  snubberOf,
  type Control,
  type DesignRole,
} from '../../core/design';
import { formatQuantity } from '../../core/quantity';
import type { AppContext } from '../../db/context';
import { freshCode } from '../../db/repositories/codes';
import { findLot } from '../../db/repositories/lotSearch';
import { routes } from '../../routes';
import { refusal, refuse, run, type Outcome } from '../../services/command';
import { designId, findDesigns, type DesignQuery } from './design.server';
import { specText } from './designView.server';

const ROLE_WORDS: Readonly<Record<DesignRole, string>> = {
  choke: 'choke',
  switch: 'switch',
  rectifier: 'rectifier',
  link: 'coupling capacitor',
  output: 'output capacitor',
  input: 'input capacitor',
  snubber: 'snubber capacitor',
};

const setAside = (lotId: string, needId: string, pieces: number) =>
  ({ lotId, needId, note: '', onHandDelta: 0, reservedDelta: pieces, reason: 'reserved' }) as const;

/** A small part around a controller, as the drawers are asked for it. */
function smallNeed({ value, unit }: Pick<Control['outer'][number], 'value' | 'unit'>): string {
  const typed = formatQuantity(value, unit)
    .replace(/[\s\u00a0Ω]/gu, '')
    .replace('µ', 'u')
    .replace(/F$/u, '');
  return `${unit === 'ohm' ? 'resistor' : 'capacitor'} ${typed}`;
}

/** A design becomes a build: a need for each role, with its lot set aside; what must be bought stays open. */
export async function keepDesign(app: AppContext, query: DesignQuery, id: string): Promise<Outcome<{ code: string }>> {
  const found = await findDesigns(app, query);
  return run(app, { scope: 'builds', onConflict: refusal('stock-changed', {}) }, async (edit) => {
    const design = found.kind === 'designs' ? found.designs.find((one) => designId(one) === id) : undefined;
    if (found.kind !== 'designs' || !design) return refuse('stock-changed', {});
    const { spec } = found;
    const code = await freshCode(edit.tx, app, 'build');
    const title = specText(spec);
    const control = controlOf(design, spec, found.stock);
    const buildId = await edit.insert('builds', {
      code,
      title,
      note: `${design.topology} at ${formatQuantity(design.frequency, 'hertz')}, ${Math.round(1000 * design.efficiency) / 10} % by its sums`,
      design: recordOf(design, spec, control?.lot),
      createdMs: app.now(),
    });
    for (const role of rolesOf(design.topology)) {
      const label = ROLE_WORDS[role];
      const fit = design.parts[role];
      const quantity = fit?.count ?? (role === 'choke' && isPaired(design.topology) ? 2 : 1);
      const needId = await edit.insert('needs', {
        buildId,
        role: label,
        filter: needFor(design, role),
        quantity,
        createdMs: app.now(),
      });
      const lot = fit && (await findLot(edit.tx, fit.lot.code));
      if (lot && lot.lot.onHand - lot.lot.reserved >= quantity)
        await edit.ledger(setAside(lot.lot.id, needId, quantity));
    }
    await edit.insert('needs', {
      buildId,
      role: 'snubber resistor',
      filter: smallNeed({ value: snubberOf(design.demand).ohms, unit: 'ohm' }),
      quantity: 1,
      createdMs: app.now(),
    });
    if (control) {
      const outer = [...control.outer, ...(loopOf(design, spec, control)?.outer ?? [])];
      const asked = [
        { role: 'controller', filter: `ic ${control.lot?.marking ?? control.family.id}`, lot: control.lot?.code },
        ...outer.map((one) => ({ role: one.name, filter: smallNeed(one), lot: undefined })),
      ];
      for (const { role, filter, lot: lotCode } of asked) {
        const needId = await edit.insert('needs', { buildId, role, filter, quantity: 1, createdMs: app.now() });
        const lot = lotCode === undefined ? undefined : await findLot(edit.tx, lotCode);
        if (lot && lot.lot.onHand > lot.lot.reserved) await edit.ledger(setAside(lot.lot.id, needId, 1));
      }
    }
    return {
      message: `${title} is written down as ${code}; what is there is set aside.`,
      value: { code },
      goto: routes.build(code),
    };
  });
}
