import type { Field, Typed } from './sum';

/** What a switch costs beside itself, where it is known: charge of its gate, and of the rectifier that it turns off. */
export const DRIVE_FIELDS: readonly Field[] = [
  { id: 'qg', label: 'gate charge', unit: 'coulomb', usual: '', isOptional: true },
  { id: 'vg', label: 'gate volts', unit: 'volt', usual: '12V' },
  {
    id: 'qrr',
    label: 'recovery charge of the rectifier it turns off',
    unit: 'coulomb',
    usual: '',
    isOptional: true,
  },
];

/** Those fields as losses take them; what was left out is missing. */
export function drivenBy({ n, maybe }: Pick<Typed, 'n' | 'maybe'>) {
  const [charge, recovery] = [maybe('qg'), maybe('qrr')];
  return {
    ...(recovery === undefined ? {} : { recovery }),
    ...(charge === undefined ? {} : { gate: { charge, volts: n('vg') } }),
  };
}
