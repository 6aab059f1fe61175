import 'server-only';
import type { DesignSpec, MainsDesign } from '../../core/design';
import { formatQuantity } from '../../core/quantity';
import type { AppContext } from '../../db/context';
import { routes } from '../../routes';
import type { DesignQuery } from './design.server';
import { specText } from './designView.server';
import type { MainsLessonProps } from './MainsLesson';
import { wholeSheet } from './whole.server';

/** Where the circuit of a stage can be turned and broken. */
const CIRCUITS: Readonly<Record<MainsDesign['stages'][number]['id'], string>> = {
  entry: 'bridge-reservoir',
  bulk: 'bridge-reservoir',
  pfc: 'pfc',
  flyback: 'flyback',
  llc: 'llc',
};

/** How a supply from the mains would be made, and which whole ones of the shop do it already. */
export async function mainsLesson(
  app: Pick<AppContext, 'db'>,
  query: DesignQuery,
  { spec, design }: { readonly spec: DesignSpec; readonly design: MainsDesign },
): Promise<MainsLessonProps> {
  const asked = { volts: query.out, amps: query.amps, isolated: 'yes' };
  const { rows } = await wholeSheet(app, asked);
  return {
    asked: specText(spec),
    stages: design.stages.map(({ id, name, why, figures }) => ({
      id,
      name,
      why,
      href: routes.whatIf(CIRCUITS[id]),
      figures: figures.map((figure) => ({
        name: figure.name,
        value:
          figure.unit === 'count' ? figure.value.toFixed(1) : formatQuantity(figure.value, figure.unit, { digits: 3 }),
      })),
    })),
    barrier: design.barrier,
    core: design.core?.name,
    whole: {
      href: routes.wholeSupply(asked),
      rows: rows.map(({ key, code, href, title, verdict }) => ({ key, code, href, title, verdict })),
    },
  };
}
