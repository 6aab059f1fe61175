import { CAPACITORS } from './capacitors';
import { CONTROL } from './control';
import { CONVERTERS } from './converters';
import { HEAT } from './heat';
import { LOADS } from './loads';
import { MARKINGS } from './markings';
import { PROTECTION } from './protection';
import { RINGING } from './ringing';
import { STORED } from './stored';
import type { Question, Sum } from './sum';
import { WINDINGS } from './windings';

/** Every sum, in the order of its list. */
export const SUMS: readonly Sum[] = [
  ...STORED,
  ...PROTECTION,
  ...CAPACITORS,
  ...HEAT,
  ...MARKINGS,
  ...CONVERTERS,
  ...WINDINGS,
  ...CONTROL,
  ...RINGING,
  ...LOADS,
];

export const sumById = (id: string): Sum | undefined => SUMS.find((one) => one.id === id);

export const sumsOf = (question: Question): readonly Sum[] => SUMS.filter((one) => one.question === question);
