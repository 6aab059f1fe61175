import { practice } from '../evidence';
import { formatQuantity } from '../quantity';
import type { Analysis, StageClaim } from '../topology';
import type { RailEstimate } from './rails/estimate';

/**
 * What a stage does, in one sentence. `{S}`, `{M}` and `{R}` stand for its switches, magnetic parts and rectifiers; a
 * verb with a bar, `{stores|store}`, agrees with the parts before it.
 */
const DOES: Readonly<Record<string, string>> = {
  'boost-pfc': '{S} with {M} {draws|draw} the current in step with the mains and {charges|charge} {bulk} through {R}.',
  flyback:
    '{S} {stores|store} energy in {M} while conducting; when the current stops, {R} {passes|pass} it to the output.',
  'active-clamp-flyback':
    '{S} {works|work} {M}; the clamp gives the leakage energy back, and {R} {passes|pass} the rest to the output.',
  'two-switch-flyback':
    '{S} {connects|connect} {M} together; when they open, {R} {passes|pass} its energy to the output.',
  'rcc-flyback': '{S} {oscillates|oscillate} with {M} without a chip; {R} {passes|pass} the energy to the output.',
  forward:
    'While {S} {is|are} on, {M} {passes|pass} power straight on through {R}; the choke carries it over the pause.',
  'two-switch-forward':
    'While {S} {is|are} on, {M} {passes|pass} power straight on through {R}; the choke carries it over the pause.',
  'push-pull': '{S} {pulls|pull} the halves of {M} in turn; {R} {rectifies|rectify} both halves.',
  'half-bridge':
    '{S} {swings|swing} one end of {M} between the rails; {R} {rectifies|rectify} both halves and the choke smooths them.',
  'full-bridge': '{S} {drives|drive} both ends of {M}; {R} {rectifies|rectify} both halves.',
  'llc-half-bridge':
    '{S} {drives|drive} {M} in resonance with a small film capacitor; {R} {rectifies|rectify} both halves.',
  'resonant-ballast': '{S} {drives|drive} the lamp through {M}.',
  'phase-control': '{S} {lets|let} a part of each half wave of the mains through.',
  'capacitive-dropper': 'A capacitor in series with the mains limits the current; {R} {rectifies|rectify} it.',
  'line-transformer': '{M} {steps|step} the mains down; {R} {rectifies|rectify} it.',
  'capacitor-discharge': '{S} {dumps|dump} its store into {M}.',
  buck: '{S} {chops|chop} its supply; {M} and {R} make a lower voltage of it.',
  boost: '{S} {charges|charge} {M}, which adds its voltage to the supply through {R}.',
  'inverting-buck-boost': '{S} {charges|charge} {M}, which gives it out below ground through {R}.',
  sepic: '{S}, {M} and {R} make a voltage above or below the supply.',
  cuk: '{S}, {M} and {R} make a voltage below ground.',
};

/** What stands for a role of which no part is known. */
const OPEN: Readonly<Record<string, string>> = {
  S: 'a switch that is not traced yet',
  M: 'a winding that is not traced yet',
  R: 'a rectifier that is not traced yet',
  bulk: 'the store',
};

/** Share of a period that the switch conducts, from supply to output, in continuous current and without losses. Textbook. */
const DUTY: Readonly<Record<string, (supply: number, output: number) => number>> = {
  buck: (supply, output) => output / supply,
  boost: (supply, output) => 1 - supply / output,
  'inverting-buck-boost': (supply, output) => output / (output + supply),
  sepic: (supply, output) => output / (output + supply),
  cuk: (supply, output) => output / (output + supply),
};
/** A share outside of these is no working point: the estimate of a rail is off. */
const DUTY_WITHIN = practice({ from: 0.03, to: 0.95 });

/** Names in a row: “Q1”, “Q1 and Q2”, “Q1, Q2 and Q3”. */
export const sayList = (refs: readonly string[]): string =>
  refs.length <= 1 ? (refs[0] ?? '') : `${refs.slice(0, -1).join(', ')} and ${refs.at(-1) ?? ''}`;

/** What a stage does with this board’s parts, and to the voltage where both sides of it are known. */
export function sayStage(stage: StageClaim, analysis: Analysis, estimates: readonly RailEstimate[]): string {
  const roles: Readonly<Record<string, readonly string[]>> = {
    S: stage.switches,
    M: stage.magnetics,
    R: stage.rectifiers,
    bulk: analysis.bulk,
  };
  let many = false;
  const said = (DOES[stage.topology] ?? '').replace(
    /\{(\w+)(?:\|(\w+))?\}/g,
    (_, name: string, plural: string | undefined) => {
      if (plural !== undefined) return many ? plural : name;
      const refs = roles[name] ?? [];
      many = refs.length > 1;
      return refs.length > 0 ? sayList(refs) : (OPEN[name] ?? '');
    },
  );
  const does = said.charAt(0).toUpperCase() + said.slice(1);
  const change = voltageChange(stage, analysis, estimates);
  return change ? `${does} ${change}` : does;
}

/** From which voltage to which, with the share of a period or the ratio that this takes. */
function voltageChange(
  stage: StageClaim,
  { recognition, bulk }: Analysis,
  estimates: readonly RailEstimate[],
): string | undefined {
  const found = recognition.stages.find(
    ({ topology, magnetics }) =>
      topology === stage.topology && magnetics.some(({ ref }) => stage.magnetics.includes(ref)),
  );
  if (!found) return undefined;
  const { rails, board } = recognition.model;
  const stores = estimates.flatMap(({ at, volts, isGuess }) => {
    const [ref = '', plus = ''] = at.split('.');
    const part = board.parts.find((entry) => entry.ref === ref);
    const minus = Object.keys(part?.pins ?? {}).find((pin) => pin !== plus);
    return part && minus !== undefined && volts !== undefined && !isGuess
      ? [{ ref, volts, plus: rails.at(part, plus), minus: rails.at(part, minus) }]
      : [];
  });
  // Two halves of the bulk in series feed it together; a store below the common return holds an output of its own.
  const below = (minus: number) => stores.find(({ ref, plus }) => plus === minus && bulk.includes(ref))?.volts ?? 0;
  const isBelow = (plus: number) => stores.some(({ minus }) => minus === plus);
  const supply = Math.max(
    0,
    ...stores
      .filter(({ plus }) => found.sources.includes(plus) && !isBelow(plus))
      .map(({ ref, volts, minus }) => volts + (bulk.includes(ref) ? below(minus) : 0)),
  );
  const outputs = stores
    .filter(({ plus }) => found.outputs.includes(plus) && !found.sources.includes(plus))
    .map(({ volts }) => volts);
  const output = Math.max(0, ...outputs);
  if (supply === 0 || output === 0) return undefined;
  const v = (value: number) => formatQuantity(value, 'volt', { digits: 2 });
  const duty = DUTY[stage.topology]?.(supply, output);
  if (duty === undefined)
    return `It takes about ${v(supply)} and gives ${[...new Set(outputs)].map((value) => `about ${v(value)}`).join(', ')}.`;
  if (duty < DUTY_WITHIN.from || duty > DUTY_WITHIN.to) return undefined;
  return `From about ${v(supply)} to about ${v(output)} it conducts for some ${Math.round(100 * duty)} % of the time.`;
}
