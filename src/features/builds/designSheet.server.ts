import 'server-only';
import { needFor, refsOf, rolesOf, toBuyFor, whyOf, type Design } from '../../core/design';
import { formatQuantity } from '../../core/quantity';
import type { AppContext } from '../../db/context';
import { ask, donorOdds, type DonorOdds } from '../../services/matching';
import type { DesignSheetProps, MissingPart, OtherDesign } from './DesignSheet';
import { designId, findDesigns, type DesignQuery } from './design.server';
import { designView, TOPOLOGY_NAMES } from './designView.server';
import { mainsLesson } from './mainsLesson.server';

/** Donors named for a missing part. */
const LIKELY = 2;

/** The sheet of what is asked: the design that was picked, else the best, worked out whole; the others in a line each. */
export async function designSheet(app: Pick<AppContext, 'db'>, query: DesignQuery): Promise<DesignSheetProps> {
  const found = await findDesigns(app, query);
  const none = { query, chosen: undefined, mains: undefined, others: [], searched: 0 };
  if (found.kind === 'problem') return { ...none, problem: found.text };
  if (found.kind === 'empty') return { ...none, problem: undefined };
  if (found.kind === 'mains') return { ...none, problem: undefined, mains: await mainsLesson(app, query, found) };
  const chosen = found.designs.find((one) => designId(one) === query.pick) ?? found.designs[0];
  if (!chosen)
    return {
      ...none,
      problem: found.spec.isolated
        ? 'No transformer of the drawers does it: its primary inductance, its ratio and the current it saturates at must be known. A whole supply is the better way to an output that floats.'
        : 'No circuit of this kind does it with any choke: ask for less current, or other volts.',
    };
  const oddsOf = donorOdds(app.db.read);
  return {
    query,
    problem: undefined,
    mains: undefined,
    searched: found.searched,
    chosen: {
      id: designId(chosen),
      view: designView(chosen, found.spec, found),
      missing: await Promise.all(chosen.missing.map((role) => missingPart(app, oddsOf, chosen, role))),
    },
    others: found.designs.filter((one) => one !== chosen).map(otherDesign),
  };
}

async function missingPart(
  { db }: Pick<AppContext, 'db'>,
  oddsOf: DonorOdds,
  design: Design,
  role: Design['missing'][number],
): Promise<MissingPart> {
  const asked = await ask(db.read, needFor(design, role));
  const likely = asked.ok ? await oddsOf(asked.filter, LIKELY) : [];
  return {
    refs: refsOf(design, role).join(' '),
    buy: toBuyFor(design, role),
    likely: likely.map(({ code, held, opened, odds }) => ({
      donor: code,
      message: `${held} of ${opened} opened like it held one, ${odds.toFixed(1)} likely`,
    })),
  };
}

function otherDesign(design: Design): OtherDesign {
  const { topology, frequency, efficiency, parts, missing } = design;
  const choke = parts.choke;
  return {
    id: designId(design),
    title: `${TOPOLOGY_NAMES[topology] ?? topology} ${choke?.lot.winding ? `wound on ${choke.lot.code}, ${choke.lot.winding.core.name}` : choke ? `with ${choke.lot.code}` : 'with a choke to buy'}, ${formatQuantity(frequency, 'hertz')}`,
    efficiency: `${(100 * efficiency).toFixed(1)} %`,
    message: `${missing.length === 0 ? 'Every part is here' : `${missing.length} of ${rolesOf(topology).length} to buy`}; its limit: ${whyOf(design).limit}.`,
  };
}
