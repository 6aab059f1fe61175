import type { BoardPart } from '../board';
import { ISOLATED, isPolarised, TRANSISTOR_TERMINALS, twoPins, type Analysis } from '../topology';
import { sayList } from './sayStage';

/** What stands around the stages, in sentences: on the way to the store, and beside the power path. */
export interface Surroundings {
  readonly before: readonly string[];
  readonly beside: readonly string[];
}

/**
 * Explains the parts that are no stage of their own, as far as their joins show it: one of which nothing is known is
 * left out, since the same part may do other work elsewhere.
 */
export function surroundings(analysis: Analysis): Surroundings {
  const parts = analysis.recognition.model.board.parts.filter(({ fitted }) => fitted !== false);
  const { rails, held } = analysis.recognition.model;
  const railsAt = (part: BoardPart) => Object.keys(part.pins).map((pin) => rails.at(part, pin));
  const say = (wanted: (part: BoardPart) => boolean, one: string, many: string) => {
    const refs = parts.filter(wanted).map(({ ref }) => ref);
    return refs.length === 0 ? [] : [`${sayList(refs)} ${refs.length > 1 ? many : one}`];
  };
  const isFed = (rail: number) => held.mains.has(rail) || held.input.has(rail);
  const clamps = clampsOf(analysis, parts);
  const clamped = new Set(clamps.flat());
  const crossing = new Set(analysis.isolation.crossing);
  const isOnOutput = ({ ref }: BoardPart) => analysis.sides[`${ref}.A`]?.startsWith('isolated') === true;
  return {
    before: [
      ...say(
        ({ kind, subtype }) => kind === 'fuse' || subtype === 'fusible',
        'breaks the circuit when something shorts.',
        'break the circuit when something shorts.',
      ),
      ...say(
        (part) => (part.kind === 'varistor' || part.kind === 'spark-gap') && railsAt(part).some(isFed),
        'takes surges from the line.',
        'take surges from the line.',
      ),
      ...say(
        (part) =>
          part.kind === 'common-mode-choke' ||
          (part.kind === 'capacitor' && part.subtype === 'x' && railsAt(part).every((rail) => held.mains.has(rail))),
        'keeps the switching noise off the line.',
        'keep the switching noise off the line.',
      ),
      ...say(
        (part) =>
          part.kind === 'thermistor' &&
          part.subtype !== 'ptc' &&
          held.mains.size > 0 &&
          railsAt(part).some((rail) => held.mains.has(rail) || held.rectified.has(rail)),
        'limits the current that rushes into the empty store; it runs hot.',
        'limit the current that rushes into the empty store; they run hot.',
      ),
      ...say((part) => rectifiesMains(part, analysis), 'rectifies the mains.', 'rectify the mains.'),
    ],
    beside: [
      ...clamps.map(
        (refs) =>
          `${sayList(refs)} ${refs.length > 1 ? 'take' : 'takes'} the spike of the leakage inductance off the switch.`,
      ),
      ...say(
        (part) => part.kind === 'shunt-reference' && isOnOutput(part),
        'compares the output with its own reference.',
        'compare outputs with their own reference.',
      ),
      ...say(
        ({ kind, ref }) => kind === 'optocoupler' && crossing.has(ref),
        'carries a signal across the barrier as light.',
        'carry signals across the barrier as light.',
      ),
      ...say(
        ({ kind, subtype, ref }) => kind === 'capacitor' && subtype === 'y' && crossing.has(ref),
        'leads noise back across the barrier; it is a safety part.',
        'lead noise back across the barrier; they are safety parts.',
      ),
      ...say(
        ({ kind, subtype, ref }) => kind === 'diode' && subtype === 'tvs' && !clamped.has(ref),
        'clamps what is too high.',
        'clamp what is too high.',
      ),
    ],
  };
}

/** A bridge on the mains, or a diode from the mains to a rail that carries the power on; one that starts a chip carries none. */
function rectifiesMains(part: BoardPart, { stages, bulk, recognition }: Analysis): boolean {
  const { rails, held } = recognition.model;
  if (stages.some(({ rectifiers }) => rectifiers.includes(part.ref))) return false;
  if (part.kind === 'bridge') return ['AC1', 'AC2'].some((pin) => held.mains.has(rails.at(part, pin)));
  const pins = part.kind === 'diode' && part.subtype !== 'zener' && part.subtype !== 'tvs' ? twoPins(part) : undefined;
  if (!pins) return false;
  const ends = pins.map((pin) => rails.at(part, pin));
  const hasStore = (rail: number) => rails.on(rail).some(({ part: other }) => isPolarised(other));
  // The return of a half-wave rectifier is a line of the mains itself; from there nothing is rectified.
  const line = ends.find((rail) => held.mains.has(rail) && !hasStore(rail));
  const far = ends.find((rail) => rail !== line);
  return (
    line !== undefined &&
    far !== undefined &&
    rails
      .on(far)
      .some(
        ({ part: other }) =>
          bulk.includes(other.ref) ||
          other.kind === 'inductor' ||
          other.kind === 'transformer' ||
          other.kind === 'fuse',
      )
  );
}

/** Parts of a clamp: a diode, and what holds its voltage. */
const CLAMP_PARTS_AT_MOST = 4;

/** Diodes from the switched end of a transformer to a store, or to parts that do nothing else than hold the spike. */
function clampsOf(
  { stages, bulk, recognition }: Analysis,
  parts: readonly BoardPart[],
): readonly (readonly string[])[] {
  const { rails } = recognition.model;
  const isolated = stages.filter(({ topology }) => ISOLATED.some(({ id }) => id === topology));
  const used = new Set(stages.flatMap(({ rectifiers }) => rectifiers));
  const switched = new Set(
    isolated.flatMap(({ switches }) =>
      parts.flatMap((part) => {
        const hi = switches.includes(part.ref) ? TRANSISTOR_TERMINALS[part.kind]?.hi : undefined;
        return hi === undefined ? [] : [rails.at(part, hi)];
      }),
    ),
  );
  return parts.flatMap((diode) => {
    if (diode.kind !== 'diode' || used.has(diode.ref) || !switched.has(rails.at(diode, 'A'))) return [];
    const kept = [
      ...new Set(
        rails
          .on(rails.at(diode, 'K'))
          .map(({ part }) => part)
          .filter((part) => part !== diode),
      ),
    ];
    // What else hangs on the store has other work.
    if (kept.some(({ ref }) => bulk.includes(ref))) return [[diode.ref]];
    const isClamp =
      kept.length > 0 &&
      kept.length < CLAMP_PARTS_AT_MOST &&
      kept.every(({ kind }) => kind === 'capacitor' || kind === 'resistor' || kind === 'diode') &&
      kept.some(({ kind, subtype }) => kind === 'capacitor' || subtype === 'tvs' || subtype === 'zener');
    return isClamp ? [[diode.ref, ...kept.map(({ ref }) => ref)]] : [];
  });
}
