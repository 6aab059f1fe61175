import type { KindName } from '../../part';

/** Whether one kind may be said beside the other of the same part. */
const KIN: readonly (readonly KindName[])[] = [
  ['diode', 'dual-diode', 'bridge', 'diac', 'scr', 'triac'],
  ['inductor', 'common-mode-choke'],
  ['resistor', 'potentiometer', 'thermistor', 'fuse', 'varistor'],
  ['nmos', 'pmos', 'igbt', 'npn', 'pnp'],
  ['ic', 'regulator', 'optocoupler', 'shunt-reference'],
  ['connector', 'lamp', 'switch'],
];

export const isKin = (one: KindName, other: KindName) =>
  KIN.some((group) => group.includes(one) && group.includes(other));
