import type { Setting } from './operate';
import type { PowerPart } from './part';

/** A setting with some of its parts changed, or taken out. */
export const replace = (
  setting: Setting,
  refs: readonly string[],
  by: (part: PowerPart) => PowerPart | undefined,
): Setting => ({
  ...setting,
  parts: setting.parts.flatMap((part) => (refs.includes(part.ref) ? (by(part) ?? []) : [part])),
});

/** A setting whose choke or transformer saturates from a current on. */
export const saturating = (setting: Setting, ref: string, amperes: number): Setting =>
  replace(setting, [ref], (part) =>
    part.model.kind === 'choke' || part.model.kind === 'transformer'
      ? { ...part, model: { ...part.model, saturates: amperes } }
      : part,
  );
