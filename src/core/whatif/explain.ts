import { formatQuantity, type Unit } from '../quantity';
import type { Fault } from './faults';
import type { Operation } from './operate';
import type { Onset, Study } from './study';
import { STRESS_WORDS } from './stresses';
import { why } from './why';

/** A state that repeats, with every diode in its order and the control where it should be. */
export const isSound = ({ settled, held, isCut }: Operation): boolean =>
  !isCut &&
  held !== 'nothing' &&
  settled.way !== 'not settled' &&
  settled.run.unsettled === 0 &&
  settled.run.cut === undefined;

const shown = (value: number, unit: Unit) => formatQuantity(value, unit, { digits: 3 });
const volts = (value: number) => shown(value, 'volt');
const amperes = (value: number) => shown(value, 'ampere');

/** In which mode a circuit runs, and what stands tightest: the line above everything. */
export function headline(study: Study): string {
  if (study.operation.isCut) return 'Still settling';
  const [tightest] = study.stresses;
  const { unit } = STRESS_WORDS[tightest?.kind ?? 'heat'];
  const tight = !tightest
    ? ''
    : tightest.kind === 'reversed'
      ? `; ${tightest.ref} has ${volts(tightest.value)} the wrong way round`
      : Number.isFinite(tightest.limit)
        ? `; ${tightest.ref} sees ${shown(tightest.value, unit)} of its ${shown(tightest.limit, unit)}`
        : '';
  return `${howItRuns(study)}${tight}`;
}

function howItRuns(study: Study): string {
  const { mode, operation, setting } = study;
  const what = setting.circuit.drive.kind === 'frequency' ? 'frequency' : 'duty';
  switch (operation.held) {
    case 'limit':
      return 'The current limit holds it';
    case 'most':
      return what === 'duty' ? 'The duty is at its most' : 'The frequency is at its least';
    case 'least':
      return what === 'duty' ? 'The duty is at its least' : 'The frequency is at its most';
    case 'nothing':
      return `No ${what} was found that holds the output`;
    case 'output':
    case 'free':
      if (mode.resonance !== undefined) return `Runs ${resonanceWord(mode.resonance)} resonance`;
      return mode.conduction ? `Runs in ${mode.conduction} mode` : outputSentence(study);
  }
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
      `It can be turned no further: the parts keep ${shown(Math.max(0, input.watts - output.watts), 'watt')} of ${shown(input.watts, 'watt')} as heat, and the output comes to ${volts(output.volts)} only.`,
    );
  if (operation.held === 'limit')
    sentences.push(`The peak current is at its limit, so the output comes to ${volts(output.volts)} only.`);
  if (operation.isCut) return ['The search for the state that repeats goes on; the figures still move.'];
  if (!isSound(operation))
    sentences.push(
      'No state was found that repeats from period to period: what is shown is one period of many, and its figures may be off.',
    );
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

/** Without a load the shortest pulse may be too much; every control leaves pulses out then (common practice, no source). */
export const skipsPulses = ({ kind }: Fault, { operation }: Study): boolean =>
  kind === 'load away' && operation.held === 'least';

/** What happens, in one sentence on why and one on what a meter would find, out of the figures of both states. */
export function whatHappens(fault: Fault, healthy: Study, after: Study | Onset): string {
  if ('operation' in after && skipsPulses(fault, after))
    return 'Even the shortest pulses give more than is taken, so the control leaves pulses out to hold the output.';
  if ('passed' in after) return `${why(fault, healthy, after)} ${onsetSentence(after)}`;
  return `${why(fault, healthy, after)} ${effect(healthy, after)}`;
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
