import type { BoardPart } from '../board';
import type { StageTask } from './task';

/** Nets between which the switch inside a chip lies, and the rail it swings. */
export function chipEnds(
  part: BoardPart,
  { recognition: { model }, stage, way, rails: ends }: StageTask,
): { readonly hi: number; readonly lo: number; readonly swing: number } | undefined {
  const { rails, nets } = model;
  const pinOn = (rail: number) => Object.keys(part.pins).find((pin) => rails.at(part, pin) === rail);
  const netAt = (rail: number) => nets.of(`${part.ref}.${pinOn(rail) ?? ''}`);
  const worked = new Set(
    [...stage.magnetics, ...stage.rectifiers].flatMap((one) => Object.keys(one.pins).map((pin) => rails.at(one, pin))),
  );
  const swing = Object.keys(part.pins)
    .map((pin) => rails.at(part, pin))
    .find((rail) => worked.has(rail) && !model.held.isHeld(rail) && rail !== ends.plus && rail !== ends.minus);
  if (swing === undefined) return undefined;
  const isHighSide =
    way.ratio !== 'boost' && !way.isTransformer && stage.topology !== 'sepic' && stage.topology !== 'cuk';
  const other = isHighSide ? ends.plus : ends.minus;
  if (pinOn(other) === undefined) return undefined;
  return isHighSide ? { hi: netAt(other), lo: netAt(swing), swing } : { hi: netAt(swing), lo: netAt(other), swing };
}
