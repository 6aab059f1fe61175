import { twoPins } from '../../topology';
import type { FindingRule } from '../finding';

export const capacitorUnderrated: FindingRule = {
  rule: 'capacitor-underrated',
  severity: 'danger',
  source: 'arithmetic on the nameplate: highest input, nominal outputs, no derating',
  check: ({ model: { board, rails, held }, voltages }) =>
    board.parts.flatMap((part) => {
      const rated = part.value?.voltage;
      const pins = part.kind === 'capacitor' && part.fitted !== false ? twoPins(part) : undefined;
      if (rated === undefined || !pins) return [];
      const [a, b] = [rails.at(part, pins[0]), rails.at(part, pins[1])];
      if (part.subtype === 'y') return [];
      const line = board.nameplate?.input?.vMax;
      const isAcrossLine = part.subtype === 'x' && held.mains.has(a) && held.mains.has(b);
      const volts = isAcrossLine ? line : part.subtype === 'x' ? undefined : voltages.across(a, b);
      if (volts === undefined || rated >= volts) return [];
      return [
        {
          parts: [part],
          message: `${part.ref} is rated ${rated} V and stands on about ${Math.round(volts)} V.`,
          advice: 'Do not reuse it, and expect it to vent: replace it by one rated above its rail with a margin.',
        },
      ];
    }),
};
