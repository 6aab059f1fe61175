import { formatQuantity, type Unit } from '../quantity';
import { feedNet, legMate } from './legs';
import type { Fault, FaultKind } from './faults';
import { DRY, OVERLAP, TOO_SMALL } from './faults';
import type { Onset, Study } from './study';
import type { Stress, StressKind } from './stresses';

const shown = (value: number, unit: Unit) => formatQuantity(value, unit, { digits: 3 });
const volts = (value: number) => shown(value, 'volt');
const amperes = (value: number) => shown(value, 'ampere');

/** A stress is told as what a fault does when it grew by so much; one that stands as it stood is none of its doing. */
const GROWN = 1.1;
/** An output under this share of what it was is gone. */
const GONE = 0.05;

/** Why a fault does what it does, as far as the figures of this circuit bear it out. */
export function why(fault: Fault, healthy: Study, after: Study | Onset): string {
  const [ref = ''] = fault.refs;
  const { circuit, parts } = healthy.setting;
  const { drive, roles } = circuit;
  const { store = '', load, outputCapacitors } = roles;
  const before = (kind: StressKind, of: string) => healthy.stresses.find((one) => one.kind === kind && one.ref === of);
  /** The largest stress of a kind that grew with the fault. */
  const grown = (kind: StressKind): Stress | undefined =>
    after.stresses.find((one) => one.kind === kind && one.value > GROWN * (before(kind, one.ref)?.value ?? 0));
  const and = (kind: StressKind, say: (of: Stress) => string): string => {
    const found = grown(kind);
    return found ? say(found) : '';
  };
  const swings = and('breakdown', (of) =>
    of.share > 1
      ? `, and swings ${of.ref} past its ${volts(of.limit)}`
      : `, and swings ${of.ref} to ${volts(of.value)}`,
  );
  const output = 'output' in after ? after.output.volts : 0;
  const isGone = Math.abs(output) < GONE * Math.abs(healthy.output.volts);
  const model = parts.find((one) => one.ref === ref)?.model;
  const isLine = drive.kind === 'free';
  const isLeg = legMate(parts, ref) !== undefined;
  const sentences: Readonly<Record<FaultKind, () => string>> = {
    closed: () => {
      if (isLine) return `${ref} no longer holds any part of the wave back, and ${load} gets all of it.`;
      if (isLeg) return `When ${legMate(parts, ref) ?? ''} closes, both together join the input to its return.`;
      return `Nothing ends the pulse${and('core', (of) => `: the current of ${of.ref} rises until its core is full and only resistance is left, up to ${amperes(of.value)}`)}.`;
    },
    never: () =>
      isLine
        ? `No power goes through; the line stands across ${ref}.`
        : isGone
          ? `No power goes through; what stands at the input stays there, charged to ${volts(healthy.input.volts)}.`
          : 'Nothing is stepped up any more; the input goes straight through to the output.',
    'load away': () =>
      isLine
        ? roles.rectifiers.length > 0
          ? 'Only what senses the output still takes current, so the stores charge towards the crest.'
          : 'Next to no current is left to keep it conducting.'
        : 'Only what senses the output still takes current, so the control turns down.',
    'load shorted': () => 'The output cannot rise, whatever the control does.',
    'rectifier reversed': () =>
      (after.stresses.find((one) => one.ref === ref && one.kind === 'mean')?.value ?? 0) >
      GONE * (before('mean', ref)?.value ?? 0)
        ? `${ref} conducts in the wrong part of the period${and('reversed', (of) => ` and charges the output to ${volts(-of.value)}`)}.`
        : `${ref} now blocks what it should let through${swings}.`,
    'rectifier shorted': () =>
      `What ${ref} should block flows back through it${and('peak', (of) => `: a peak of ${amperes(of.value)} in ${of.ref}`)}.`,
    'rectifier open': () => `The current that ${ref} should take over must go another way${swings}.`,
    saturates: () =>
      `The current of ${store} rises twenty times as fast once its core is full, here at ${amperes(TOO_SMALL * (before('core', store)?.value ?? 0))}.`,
    dry: () => {
      const [are, each] = fault.refs.length > 1 ? ['have', ' each'] : ['has', ''];
      return model?.kind === 'capacitor'
        ? `${fault.refs.join(' and ')} ${are} ${shown(DRY.farads * model.farads, 'farad')} left of ${shown(model.farads, 'farad')}${each}, and ${shown(DRY.ohms * model.ohms, 'ohm')} of ESR instead of ${shown(model.ohms, 'ohm')}.`
        : '';
    },
    'clamp open': () =>
      isLine
        ? `What the load leaves over has nowhere to go but into ${outputCapacitors.join(' and ')}.`
        : `What ${ref} took of the stored energy must go another way${swings}.`,
    'feedback open': () => 'The control sees no output and gives all it can.',
    'half off': () => {
      if (isGone)
        return `${ref} no longer takes its turn: what stands in series with the primary charges until no current is left.`;
      return `${ref} no longer takes its turn${and('core', (of) => `: every pulse magnetises ${of.ref} the same way, up to ${amperes(of.value)}`)}.`;
    },
    overlap: () =>
      `For ${shown(OVERLAP, 'second')} ${ref} and the next switch are closed together${isLeg ? ' and join the input to its return' : ''}.`,
    'series shorted': () =>
      `${ref} no longer holds its ${volts(before('voltage', ref)?.value ?? 0)}, and what it kept apart is joined${feedNet(parts) === undefined ? ' to the line' : ''}.`,
    'bleed open': () => 'Nothing takes the charge away: only its own leakage does.',
  };
  return sentences[fault.kind]();
}
