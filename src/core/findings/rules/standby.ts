import { PRACTICE } from '../../evidence';
import type { BoardPart } from '../../board';
import type { Evidence, FindingRule, FoundFault } from '../finding';

export const unprotectedStandby: FindingRule = {
  rule: 'unprotected-standby',
  severity: 'danger',
  source: `an oscillating converter without feedback rises until something gives: ${PRACTICE}`,
  check: (evidence) =>
    evidence.model.nets.complete
      ? evidence.stages
          .filter(({ topology }) => topology === 'rcc-flyback')
          .flatMap((stage): readonly FoundFault[] => {
            const [oscillator] = stage.switches;
            if (!oscillator || isLimited(oscillator, stage.outputs, evidence)) return [];
            return [
              {
                parts: [oscillator, ...stage.magnetics.slice(0, 1)],
                message: `${oscillator.ref} oscillates with ${stage.magnetics[0]?.ref ?? 'its transformer'}, and nothing limits the voltage it makes: no optocoupler, no reference and no zener reaches its ${oscillator.kind === 'nmos' ? 'gate' : 'base'}.`,
                advice:
                  'When a part of it ages, its output can rise to several times its voltage. Do not reuse this standby supply.',
              },
            ];
          })
      : [],
};

/** Whether an optocoupler, a reference or a zener takes drive away when the output rises. */
function isLimited(oscillator: BoardPart, outputs: readonly number[], { model }: Evidence): boolean {
  const { rails, elements, held, board } = model;
  const own = elements.switches.find(({ part }) => part === oscillator);
  if (!own) return true;
  const foot = own.lo;
  const seen = new Set([own.gate]);
  const visit = (rail: number) => {
    if (rail >= 0 && rail !== foot && rail !== own.hi && !held.isHeld(rail)) seen.add(rail);
  };
  for (const rail of seen)
    for (const { part, pin } of rails.on(rail)) {
      if (part === oscillator) continue;
      const others = Object.keys(part.pins).map((name) => rails.at(part, name));
      if (part.kind === 'optocoupler' || part.kind === 'shunt-reference' || part.kind === 'ic') return true;
      if (part.kind === 'diode' && part.subtype === 'zener') {
        if (others.some((other) => other !== rail && other !== foot && other !== own.gate) || rail !== own.gate)
          return true;
        continue;
      }
      if (part.kind === 'npn' || part.kind === 'pnp' || part.kind === 'nmos') {
        if (pin === 'C' || pin === 'D') visit(rails.at(part, part.kind === 'nmos' ? 'G' : 'B'));
        else visit(rails.at(part, 'C'));
      } else if (['resistor', 'diode', 'capacitor'].includes(part.kind)) others.forEach(visit);
    }
  return board.parts.some(
    (part) =>
      part.kind === 'diode' &&
      (part.subtype === 'zener' || part.subtype === 'tvs') &&
      outputs.includes(rails.at(part, 'A')) &&
      outputs.includes(rails.at(part, 'K')),
  );
}
