import type { Knob, PowerCircuit, Values } from '../../core/whatif';

/** What is turned on a page of a circuit, as its address holds it. */
export interface Asked {
  readonly values: Values;
  /** A duty or a frequency that is set; found when missing. */
  readonly control?: number;
  /** The fault that is looked at. */
  readonly fault?: string;
}

/** Reads an address; what is not a number, or beyond what a knob goes to, is the usual value or the end of its span. */
export function readAsked({ knobs, drive }: PowerCircuit, query: { get: (name: string) => string | null }): Asked {
  const values = Object.fromEntries(
    knobs.map((knob) => {
      const typed = query.get(knob.id);
      const value = typed === null || typed.trim() === '' ? Number.NaN : Number(typed);
      return [knob.id, Number.isFinite(value) ? within(knob, value) : knob.usual];
    }),
  );
  const control = Number(query.get('control') ?? Number.NaN);
  const fault = query.get('fault');
  return {
    values,
    ...('least' in drive && Number.isFinite(control) && query.get('control') !== null
      ? { control: Math.min(drive.most, Math.max(drive.least, control)) }
      : {}),
    ...(fault ? { fault } : {}),
  };
}

export const within = ({ from, to }: Knob, value: number): number => Math.min(to, Math.max(from, value));

/** The query of an address: only what differs from the usual values. */
export function queryOf({ knobs }: PowerCircuit, { values, control, fault }: Asked): string {
  const query = new URLSearchParams();
  for (const { id, usual } of knobs) {
    const value = values[id];
    if (value !== undefined && value !== usual) query.set(id, String(value));
  }
  if (control !== undefined) query.set('control', String(control));
  if (fault) query.set('fault', fault);
  const text = query.toString();
  return text === '' ? '' : `?${text}`;
}

/** Where a value stands on its slider, 0 to 1. */
export const shareOf = ({ from, to, isLog }: Knob, value: number): number =>
  isLog ? Math.log(value / from) / Math.log(to / from) : (value - from) / (to - from);

/** The value at a place of a slider, to three digits. */
export function valueAt(knob: Knob, share: number): number {
  const { from, to, isLog } = knob;
  const value = isLog ? from * (to / from) ** share : from + share * (to - from);
  return within(knob, Number(value.toPrecision(3)));
}
