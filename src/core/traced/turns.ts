import type { BoardPart } from '../board';
import type { Model, Winding } from '../topology';
import type { OutputRail } from './rails';

/** Turns of the pins of a winding against one end of it, for one turn of the primary. */
export type PinTurns = ReadonlyMap<string, number>;

/** Which way the end of a winding goes while its rectifier conducts, and what it charges. */
interface Feed {
  readonly pin: string;
  /** Volts of the winding between this pin and its return while it conducts, with the sign of the pin. */
  readonly volts: number;
}

/** What each winding of a transformer feeds: pins that rectifiers lead away from, with the volts they must give. */
export function feedsOf(
  winding: Winding,
  { elements, held }: Model,
  outputs: readonly OutputRail[],
  drop: number,
): { readonly foot: string | undefined; readonly feeds: readonly Feed[] } {
  const across = (rail: number): number | undefined => {
    const output = outputs.find((one) => one.rails.includes(rail));
    return output && (output.isNegative ? -output.volts : output.volts);
  };
  const reached = (start: number): number | undefined => {
    const straight = across(start);
    if (straight !== undefined) return straight;
    for (const { part, a, b } of elements.inductive) {
      if (part === winding.part) continue;
      const far = a === start ? b : b === start ? a : -1;
      const volts = far < 0 ? undefined : across(far);
      if (volts !== undefined) return volts;
    }
    return undefined;
  };
  const heldAt = winding.rails.findIndex((rail) => held.isHeld(rail));
  // A tap from which a choke leads to an output is the foot of both halves.
  const footAt = heldAt >= 0 ? heldAt : winding.rails.findIndex((rail) => rail >= 0 && reached(rail) !== undefined);
  const foot = winding.pins[footAt];
  const footVolts = footAt < 0 ? 0 : (reached(winding.rails[footAt] ?? -1) ?? 0);
  const feeds = winding.pins.flatMap((pin, index): readonly Feed[] => {
    const rail = winding.rails[index] ?? -1;
    if (rail < 0 || index === footAt) return [];
    const out = elements.rectifiers.find(({ from, part }) => from === rail && part !== winding.part);
    const back = elements.rectifiers.find(({ to, part }) => to === rail && part !== winding.part);
    const outVolts = out && reached(out.to);
    if (outVolts !== undefined && outVolts - footVolts > 0)
      return [{ pin, volts: Math.abs(outVolts - footVolts) + drop }];
    const backVolts = back && (across(back.from) ?? 0);
    if (backVolts !== undefined && footVolts - backVolts > 0)
      return [{ pin, volts: -(Math.abs(footVolts - backVolts) + drop) }];
    return [];
  });
  return { foot, feeds };
}

/** Place of a pin along its winding before or behind its foot. */
export const sideOf = (winding: Winding, pin: string, foot: string | undefined): 1 | -1 =>
  winding.pins.indexOf(pin) >= winding.pins.indexOf(foot ?? winding.pins[0] ?? '') ? 1 : -1;

/** Whether dots are known of two windings of a part. */
export const dotOf = (part: BoardPart, winding: Winding): string | undefined =>
  part.dots?.find((pin) => winding.pins.includes(pin));
