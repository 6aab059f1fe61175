import { bankFit, chokeFit, linkFit, rectifierFit, switchFit, transformerFit, type Fit } from './parts';
import type { Demand } from './point';
import { snubberFit } from './snubber';
import type { DesignRole } from './spec';

/** The fit of a lot in its role; nothing where it is put under more than it stands. */
export function fitAs(role: DesignRole, demand: Demand, { lot, count }: Pick<Fit, 'lot' | 'count'>): Fit | undefined {
  switch (role) {
    case 'choke':
      return demand.point.topology === 'flyback' ? transformerFit(demand, lot) : chokeFit(demand, lot);
    case 'switch':
      return switchFit(demand, lot);
    case 'rectifier':
      return rectifierFit(demand, lot);
    case 'link':
      return linkFit(demand, lot, count);
    case 'output':
      return bankFit(demand, lot, { at: 'output', count });
    case 'input':
      return bankFit(demand, lot, { at: 'input', count });
    case 'snubber':
      return snubberFit(demand, lot);
  }
}
