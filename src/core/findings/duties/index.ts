import type { Recognition } from '../../topology';
import { cellDuties } from './cell';
import type { Duty } from './duty';
import { lineDuties } from './line';
import { smallDuties } from './small';
import { supplyDuties } from './supply';
import { secondaryWindings, windingDuties } from './winding';

export type { Duty } from './duty';

/** What the rectifiers that make the rails have to do: their direction says which rail is the higher one. */
export const railDuties = (recognition: Recognition): readonly Duty[] => [
  ...recognition.stages.flatMap((stage) => cellDuties(stage, recognition)),
  ...secondaryWindings(recognition).flatMap((winding) => windingDuties(winding, recognition.model)),
];

/** What every diode has to do whose place is understood. */
export const dutiesOf = (recognition: Recognition): readonly Duty[] => [
  ...recognition.stages.flatMap((stage) => supplyDuties(stage, recognition)),
  ...railDuties(recognition),
  ...lineDuties(recognition),
  ...smallDuties(recognition),
];
