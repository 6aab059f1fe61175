import { formatQuantity } from '../quantity';
import { supplyOf, type Nameplate, type NameplateInput, type NameplateOutput } from './plate';

/** A nameplate in a few words: `100–240 V~ 1.5 A to 24 V 2.5 A`; empty when nothing was read. */
export function describePlate(plate: Nameplate): string {
  const input = supplyOf(plate);
  const { outputs } = plate;
  const out = outputs.map(describeOutput).join(outputs.some(({ alternative }) => alternative) ? ' or ' : ', ');
  return [input && describeInput(input), out && (input ? `to ${out}` : out)].filter(Boolean).join(' ');
}

/** One output in a few words: `19 V 4.74 A`. */
export function describeOutput({ v, vMax, i, p, ac, standby }: NameplateOutput): string {
  const volts = vMax === undefined ? formatQuantity(v, 'volt') : `${v}–${formatQuantity(vMax, 'volt')}`;
  const load = i !== undefined ? formatQuantity(i, 'ampere') : p !== undefined ? formatQuantity(p, 'watt') : '';
  return [`${volts}${ac ? '~' : ''}`, load, standby ? 'standby' : ''].filter((word) => word !== '').join(' ');
}

/** One input in a few words: `100–240 V~ 1.5 A`. */
export function describeInput({ kind, vMin, vMax, current, phases }: NameplateInput): string {
  const volts = vMin === vMax ? formatQuantity(vMin, 'volt') : `${vMin}–${formatQuantity(vMax, 'volt')}`;
  return `${phases ? '3~ ' : ''}${volts}${kind === 'ac' ? '~' : ' DC'}${current === undefined ? '' : ` ${formatQuantity(current, 'ampere')}`}`;
}
