import type { BoardPart } from '../board';
import { TRANSISTOR_TERMINALS, type Analysis } from '../topology';
import { sayList } from './sayStage';

/** What stands around the stages, in sentences: on the way to the store, and beside the power path. */
export interface Surroundings {
  readonly before: readonly string[];
  readonly beside: readonly string[];
}

/** Explains the parts that are no stage of their own by their kind and by where they hang. */
export function surroundings(analysis: Analysis): Surroundings {
  const { model } = analysis.recognition;
  const { rails, held } = model;
  const parts = model.board.parts.filter(({ fitted }) => fitted !== false);
  const refsOf = (wanted: (part: BoardPart) => boolean) => parts.filter(wanted).map(({ ref }) => ref);
  const railsAt = (part: BoardPart) => Object.keys(part.pins).map((pin) => rails.at(part, pin));
  const say = (refs: readonly string[], one: string, many: string) =>
    refs.length === 0 ? [] : [`${sayList(refs)} ${refs.length > 1 ? many : one}`];
  const used = new Set(analysis.stages.flatMap(({ rectifiers }) => rectifiers));
  const isOnMains = (part: BoardPart) => railsAt(part).some((rail) => held.mains.has(rail));
  const isMains = held.mains.size > 0;
  const switchNodes = new Set(
    analysis.stages.flatMap(({ switches }) =>
      parts
        .filter(({ ref }) => switches.includes(ref))
        .flatMap((part) => {
          const hi = TRANSISTOR_TERMINALS[part.kind]?.hi;
          return hi === undefined ? [] : [rails.at(part, hi)];
        }),
    ),
  );
  const clampDiodes = parts.filter(
    (part) =>
      part.kind === 'diode' &&
      part.subtype !== 'zener' &&
      !used.has(part.ref) &&
      switchNodes.has(rails.at(part, 'A')) &&
      rails
        .on(rails.at(part, 'K'))
        .some(({ part: other }) => ['capacitor', 'diode'].includes(other.kind) && other !== part),
  );
  const clamps = clampDiodes.map((diode) => {
    const kept = rails
      .on(rails.at(diode, 'K'))
      .filter(({ part }) => part !== diode && ['capacitor', 'resistor', 'diode'].includes(part.kind))
      .map(({ part }) => part.ref);
    // A diode to a store leads the spike into it; what else hangs on the store has other work.
    return kept.some((ref) => analysis.bulk.includes(ref)) ? [diode.ref] : [...new Set([diode.ref, ...kept])];
  });
  return {
    before: [
      ...say(
        refsOf(({ kind, subtype }) => kind === 'fuse' || subtype === 'fusible'),
        'breaks the circuit when something shorts.',
        'break the circuit when something shorts.',
      ),
      ...say(
        refsOf((part) => part.kind === 'varistor' || part.kind === 'spark-gap'),
        'takes surges from the line.',
        'take surges from the line.',
      ),
      ...say(
        refsOf(({ kind, subtype }) => kind === 'common-mode-choke' || (kind === 'capacitor' && subtype === 'x')),
        'keeps the switching noise off the line.',
        'keep the switching noise off the line.',
      ),
      ...say(
        refsOf(
          (part) =>
            part.kind === 'thermistor' &&
            part.subtype !== 'ptc' &&
            isMains &&
            railsAt(part).some((rail) => held.mains.has(rail) || held.rectified.has(rail)),
        ),
        'limits the current that rushes into the empty store; it runs hot.',
        'limit the current that rushes into the empty store; they run hot.',
      ),
      ...say(
        refsOf(
          (part) =>
            (part.kind === 'bridge' || part.kind === 'diode') &&
            isMains &&
            isOnMains(part) &&
            !used.has(part.ref) &&
            part.subtype !== 'zener' &&
            part.subtype !== 'tvs',
        ),
        'rectifies the mains.',
        'rectify the mains.',
      ),
    ],
    beside: [
      ...clamps.map(
        (refs) =>
          `${sayList(refs)} ${refs.length > 1 ? 'take' : 'takes'} the spike of the leakage inductance off the switch.`,
      ),
      ...feedback(parts, say),
      ...say(
        refsOf((part) => part.kind === 'capacitor' && part.subtype === 'y'),
        'leads noise between the sides; it is a safety part.',
        'lead noise between the sides; they are safety parts.',
      ),
      ...say(
        refsOf((part) => part.kind === 'diode' && part.subtype === 'tvs'),
        'clamps what is too high.',
        'clamp what is too high.',
      ),
    ],
  };
}

function feedback(
  parts: readonly BoardPart[],
  say: (refs: readonly string[], one: string, many: string) => readonly string[],
): readonly string[] {
  const refs = (kind: BoardPart['kind']) => parts.filter((part) => part.kind === kind).map(({ ref }) => ref);
  const [references, couplers] = [refs('shunt-reference'), refs('optocoupler')];
  return [
    ...say(references, 'compares the output with its own reference.', 'compare outputs with their own reference.'),
    ...say(couplers, 'carries a signal across the barrier as light.', 'carry signals across the barrier as light.'),
  ];
}
