import { formatQuantity, type Unit } from '../quantity';
import type { Fault, FaultKind } from './faults';
import type { Onset, Study } from './study';
import { STRESS_WORDS, type Stress } from './stresses';

const shown = (value: number, unit: Unit) => formatQuantity(value, unit, { digits: 3 });
const volts = (value: number) => shown(value, 'volt');
const amperes = (value: number) => shown(value, 'ampere');

/** In which mode a circuit runs, and what stands tightest: the line above everything. */
export function headline(study: Study): string {
  const { mode, stresses, operation, setting } = study;
  const { store } = setting.circuit.roles;
  const [tightest] = stresses;
  const runs =
    operation.held === 'limit'
      ? 'The current limit holds it'
      : operation.held === 'most'
        ? 'The duty is at its most'
        : operation.held === 'least'
          ? 'The duty is at its least'
          : mode.resonance !== undefined
            ? `Runs ${resonanceWord(mode.resonance)} resonance`
            : mode.conduction
              ? `Runs in ${mode.conduction === 'boundary' ? 'boundary' : mode.conduction} mode`
              : outputSentence(study);
  const tight = tightest
    ? `; ${tightest.ref} sees ${shown(tightest.value, STRESS_WORDS[tightest.kind].unit)} of its ${shown(tightest.limit, STRESS_WORDS[tightest.kind].unit)}`
    : '';
  return `${runs}${tight}${store ? '' : ''}`;
}

const outputSentence = ({ output, mode }: Study) =>
  mode.harmless === undefined
    ? `Gives ${volts(output.volts)}`
    : `Falls under ${volts(mode.harmless.volts)} in ${shown(mode.harmless.seconds, 'second')}`;

/** Within so much of its resonance a circuit is at it; common practice, no source. */
const AT_RESONANCE = 0.025;

const resonanceWord = (share: number) => (Math.abs(share - 1) < AT_RESONANCE ? 'at' : share > 1 ? 'above' : 'below');

/** Volts across a switch as its gate closes that are as good as none, as a share of what it blocks; common practice, no source. */
const ZERO_VOLTS = 0.08;

/** Why the circuit runs as it does, in sentences that stand under the headline. */
export function reasons(study: Study): readonly string[] {
  const { mode, setting, operation, intervals, stresses, output, input } = study;
  const { store, switches } = setting.circuit.roles;
  const sentences: string[] = [];
  const core = stresses.find(({ ref, kind }) => ref === store && kind === 'core');
  if (mode.conduction === 'discontinuous' && store)
    sentences.push(
      `${store} runs empty in every period and rests for ${Math.round(100 * mode.rest)} % of it${core ? `, after a peak of ${amperes(core.value)}` : ''}.`,
    );
  if (mode.conduction === 'boundary' && store) sentences.push(`${store} runs empty just as the next pulse begins.`);
  if (mode.conduction === 'continuous' && store)
    sentences.push(`${store} never runs empty${core ? `; its peak is ${amperes(core.value)}` : ''}.`);
  if (mode.resonance !== undefined) {
    const word = resonanceWord(mode.resonance);
    sentences.push(
      word === 'at'
        ? 'At the resonance the gain is that of the turns alone, whatever the load.'
        : word === 'above'
          ? 'Above the resonance the gain falls, and the rectifiers are cut off while they still carry current.'
          : 'Below the resonance the gain rises, and the rectifiers come to rest before their half period ends.',
    );
  }
  const closing = switches.flatMap((ref) => {
    const at = mode.closingVolts[ref];
    const blocks = stresses.find((one) => one.ref === ref && one.kind === 'breakdown')?.value;
    return at === undefined || blocks === undefined ? [] : [{ ref, at, blocks }];
  });
  const soft = closing.filter(({ at, blocks }) => at < ZERO_VOLTS * blocks);
  if (soft.length > 0)
    sentences.push(
      `${soft.map(({ ref }) => ref).join(' and ')} ${soft.length === 1 ? 'closes' : 'close'} at zero volts: the current of the winding has swung the node over before the gate comes.`,
    );
  else if (setting.circuit.knobs.some(({ id }) => id === 'dead') && closing[0])
    sentences.push(
      `${closing[0].ref} closes at ${volts(closing[0].at)}: the node has not been swung over when the gate comes.`,
    );
  if (operation.held === 'most')
    sentences.push(
      `More duty gives no more output: at ${shown(operation.control ?? 0, 'ratio')} the parts keep ${shown(Math.max(0, input.watts - output.watts), 'watt')} as heat, and the output stays at ${volts(output.volts)}.`,
    );
  if (operation.held === 'limit')
    sentences.push(`The peak current is at its limit, so the output comes to ${volts(output.volts)} only.`);
  if (operation.settled.way === 'not settled')
    sentences.push('No state was found that repeats from period to period: what is shown is one period of many.');
  if (setting.circuit.drive.kind === 'free' && intervals.length > 0 && setting.circuit.roles.rectifiers.length > 0) {
    const lit = intervals
      .filter(({ conducts }) => conducts.length > 0)
      .reduce((sum, { from, to }) => sum + to - from, 0);
    sentences.push(`The line charges it for ${shown(lit, 'second')} of every ${shown(operation.period, 'second')}.`);
  }
  return sentences;
}

/** A figure that a fault changes is told when it changes by so much. */
const TOLD = 0.03;

const changed = (now: number, before: number, share = TOLD) =>
  Math.abs(now - before) > share * Math.max(Math.abs(before), 1e-9);

/** What happens, in one sentence on why and one on what a meter would find, out of the figures of both states. */
export function whatHappens(fault: Fault, healthy: Study, after: Study | Onset): string {
  if ('passed' in after) return `${why(fault, healthy, after.stresses)} ${onsetSentence(after)}`;
  return `${why(fault, healthy, after.stresses)} ${effect(healthy, after)}`;
}

function onsetSentence({ passed, piece, period }: Onset): string {
  const [first] = passed;
  if (!first) return `Nothing passes what it stands within ${shown(piece.to, 'second')}.`;
  const { label, unit } = STRESS_WORDS[first.kind];
  const periods = first.seconds / period;
  return `${first.ref} passes its ${shown(first.limit, unit)} (${label}) after ${shown(first.seconds, 'second')}${periods < 1 ? ', before the period is over' : `, ${Math.round(periods)} periods on`}.`;
}

function effect(healthy: Study, after: Study): string {
  const told: string[] = [];
  const [before, now] = [healthy.output, after.output];
  if (healthy.mode.harmless !== undefined) return 'Only its own leakage is left.';
  if (changed(now.volts, before.volts))
    told.push(`the output goes from ${volts(before.volts)} to ${volts(settledZero(now.volts, before.volts))}`);
  else told.push(`the output stays at ${volts(now.volts)}`);
  if (changed(now.ripple, before.ripple, 0.3) && now.ripple > 1e-3 * before.volts)
    told.push(`its ripple from ${volts(before.ripple)} to ${volts(now.ripple)}`);
  const [was, is] = [healthy.operation.control, after.operation.control];
  if (was !== undefined && is !== undefined && changed(is, was, 0.05))
    told.push(
      healthy.setting.circuit.drive.kind === 'duty'
        ? `the duty from ${shown(was, 'ratio')} to ${shown(is, 'ratio')}`
        : `the frequency from ${shown(was, 'hertz')} to ${shown(is, 'hertz')}`,
    );
  if (after.operation.held === 'limit') told.push('and the current limit ends every pulse');
  const sentence = told.join(', ');
  return `${sentence.charAt(0).toUpperCase()}${sentence.slice(1)}.`;
}

const settledZero = (now: number, before: number) => (Math.abs(now) < 1e-4 * Math.abs(before) ? 0 : now);

/** The reason of each fault, with the figures of this circuit. */
function why(fault: Fault, healthy: Study, after: readonly Stress[]): string {
  const [ref = ''] = fault.refs;
  const of = (kind: Stress['kind'], part?: string) =>
    after.find((one) => one.kind === kind && (part === undefined || one.ref === part));
  const { circuit, parts } = healthy.setting;
  const { store, load } = circuit.roles;
  const part = parts.find((one) => one.ref === ref);
  const feed = healthy.input.volts;
  const core = parts.find((one) => one.ref === store);
  const henries = core && 'henries' in core.model ? core.model.henries : undefined;
  const can = part?.model.kind === 'capacitor' ? part.model : undefined;
  const sentences: Readonly<Record<FaultKind, () => string>> = {
    closed: () =>
      henries !== undefined && core && circuit.roles.switches.length < 2
        ? `Nothing ends the pulse: the ${volts(feed)} of the input stand across ${core.ref}, whose current rises by ${amperes((feed / henries) * 1e-6)} in every microsecond until the core saturates and only resistance is left.`
        : circuit.drive.kind === 'free'
          ? `${ref} no longer holds any part of the wave back, and ${load} gets all of it.`
          : `When the next switch closes, both together join the input to its return, with nothing but their own resistance between.`,
    never: () =>
      circuit.drive.kind === 'free'
        ? `No power goes through; the line stands across ${ref}.`
        : `No power goes through; what stands at the input stays there, charged to ${volts(feed)}.`,
    'load away': () =>
      `Only what senses the output still takes current, so ${circuit.drive.kind !== 'free' ? 'the pulses shrink' : circuit.roles.rectifiers.length > 0 ? 'the stores charge to the crest' : 'what the snubber lets through is all that is left'}.`,
    'load shorted': () =>
      `The output cannot rise, and nothing pushes back while ${store ?? 'the input'} empties into it.`,
    'rectifier reversed': () =>
      `${ref} conducts in the wrong part of the period${of('reversed') ? ` and charges the output to ${volts(-(of('reversed')?.value ?? 0))}` : ''}.`,
    'rectifier shorted': () =>
      `What ${ref} should block flows back through it${of('peak') ? `: a peak of ${amperes(of('peak')?.value ?? 0)} in ${of('peak')?.ref ?? ''}` : ''}.`,
    'rectifier open': () =>
      `The current that ${ref} should take over has no way to go${of('breakdown') ? `, and drives ${of('breakdown')?.ref ?? ''} to ${volts(of('breakdown')?.value ?? 0)}` : ''}.`,
    saturates: () =>
      `Its current rises twenty times as fast once the core is full, here at ${amperes(0.6 * (healthy.stresses.find((one) => one.ref === store && one.kind === 'core')?.value ?? 0))}.`,
    dry: () =>
      can
        ? `${fault.refs.join(' and ')} ${fault.refs.length > 1 ? 'have' : 'has'} less than a third of ${shown(can.farads, 'farad')} left, and six times the series resistance: ${shown(6 * can.ohms, 'ohm')}${fault.refs.length > 1 ? ' each' : ''}.`
        : '',
    'clamp open': () =>
      circuit.drive.kind === 'free'
        ? `What the load leaves over has nowhere to go but into ${circuit.roles.outputCapacitors.join(' and ')}.`
        : `What the leakage stores has nowhere to go${of('breakdown') ? `, and swings ${of('breakdown')?.ref ?? ''} to ${volts(of('breakdown')?.value ?? 0)}` : ''}.`,
    'feedback open': () => 'The control sees no output and gives all it can.',
    'half off': () => {
      const wound = parts.find(({ model }) => model.kind === 'transformer')?.ref ?? '';
      const [was, is] = [healthy.stresses.find((one) => one.ref === wound && one.kind === 'core'), of('core', wound)];
      return is && was && is.value > was.value
        ? `${ref} no longer brings the core back: every pulse magnetises ${wound} the same way, up to ${amperes(is.value)}.`
        : `${ref} no longer takes its turn: what stands in series with ${wound} charges until no current is left.`;
    },
    overlap: () => `For 60 ns both switches of a leg are closed and join the input to its return.`,
    'series shorted': () =>
      `${ref} no longer holds its ${volts(healthy.stresses.find((one) => one.ref === ref && one.kind === 'voltage')?.value ?? 0)}, and direct current goes through.`,
    'bleed open': () => `Nothing takes the charge away: what was read before stays, for hours.`,
  };
  return sentences[fault.kind]();
}
