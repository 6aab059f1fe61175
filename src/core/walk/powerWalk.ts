import { TOPOLOGY_WORDS } from '../board';
import { formatQuantity } from '../quantity';
import type { Analysis } from '../topology';
import { railEstimates } from './rails';

/** What a stage does, in one sentence; `{name}` stands for its parts. */
const DOES: Readonly<Record<string, string>> = {
  'boost-pfc': '{S} with {M} draws the current in step with the mains and charges {bulk} through {R}.',
  flyback: '{S} stores energy in {M} while it is on; when it opens, {R} passes it to the output.',
  'active-clamp-flyback':
    '{S} work {M}; the clamp gives the leakage energy back, and {R} passes the rest to the output.',
  'two-switch-flyback': '{S} connect {M} together; when they open, {R} passes its energy to the output.',
  'rcc-flyback': '{S} oscillates with {M} without a chip; {R} passes the energy to the output.',
  forward: 'While {S} is on, {M} passes power straight on through {R}; the choke carries it over the pause.',
  'two-switch-forward':
    'While {S} are on, {M} pass power straight on through {R}; the choke carries it over the pause.',
  'push-pull': '{S} pull the halves of {M} in turn; {R} rectify both halves.',
  'half-bridge': '{S} swing one end of {M} between the rails; {R} rectify both halves and the choke smooths them.',
  'full-bridge': '{S} drive both ends of {M}; {R} rectify both halves.',
  'llc-half-bridge': '{S} drive {M} in resonance with a small film capacitor; {R} rectify both halves.',
  'resonant-ballast': '{S} drive the lamp through {M}.',
  'phase-control': '{S} lets a part of each half wave of the mains through.',
  'capacitive-dropper': 'A capacitor in series with the mains limits the current; {R} rectify it.',
  'line-transformer': '{M} steps the mains down; {R} rectify it.',
  'capacitor-discharge': '{S} dumps its store into {M}.',
  buck: '{S} chops its supply; {M} and {R} make a lower voltage of it.',
  boost: '{S} charges {M}, which adds its voltage to the supply through {R}.',
  'inverting-buck-boost': '{S} charges {M}, which gives it out below ground through {R}.',
  sepic: '{S}, {M} and {R} make a voltage above or below the supply.',
  cuk: '{S}, {M} and {R} make a voltage below ground.',
};

const list = (refs: readonly string[]) =>
  refs.length === 0
    ? 'its parts'
    : refs.length === 1
      ? (refs[0] ?? '')
      : `${refs.slice(0, -1).join(', ')} and ${refs.at(-1) ?? ''}`;

/** The unit explained in order from the inlet to the outputs, with this board's parts and the voltages to expect. */
export function powerWalk(analysis: Analysis): readonly string[] {
  const { board } = analysis.recognition.model;
  const refsOf = (wanted: (kind: string, role: string | undefined, subtype: string | undefined) => boolean) =>
    board.parts.filter(({ kind, role, subtype }) => wanted(kind, role, subtype)).map(({ ref }) => ref);
  const estimates = railEstimates(analysis);
  const steps: string[] = [];
  const inlets = refsOf((kind, role) => kind === 'connector' && (role === 'mains-inlet' || role === 'dc-input'));
  const input = board.nameplate?.input;
  if (inlets.length > 0)
    steps.push(
      `Power comes in at ${list(inlets)}${input?.vMax === undefined ? '' : `, ${input.kind === 'ac' ? 'mains of' : ''} up to ${input.vMax} V ${input.kind === 'ac' ? 'alternating' : 'direct'}`}.`.replace(
        '  ',
        ' ',
      ),
    );
  const fuses = refsOf((kind, _, subtype) => kind === 'fuse' || subtype === 'fusible');
  const filters = refsOf(
    (kind, _, subtype) => kind === 'common-mode-choke' || (kind === 'capacitor' && subtype === 'x'),
  );
  if (fuses.length > 0)
    steps.push(`${list(fuses)} ${fuses.length > 1 ? 'break' : 'breaks'} the circuit when something shorts.`);
  if (filters.length > 0)
    steps.push(`${list(filters)} ${filters.length > 1 ? 'keep' : 'keeps'} the switching noise off the line.`);
  const bulk = estimates.find(({ at }) => analysis.bulk.some((ref) => at.startsWith(`${ref}.`)));
  if (analysis.bulk.length > 0)
    steps.push(
      `${list(analysis.bulk)} ${analysis.bulk.length > 1 ? 'hold' : 'holds'} the rectified voltage${bulk?.volts === undefined ? '' : `: about ${formatQuantity(bulk.volts, 'volt', { digits: 3 })} (${bulk.why})`}. It stays charged after the plug is pulled.`,
    );
  for (const { topology, switches, rectifiers, magnetics, probability } of analysis.stages) {
    const sentence = (DOES[topology] ?? '')
      .replace('{S}', list(switches))
      .replace('{M}', list(magnetics))
      .replace('{R}', list(rectifiers))
      .replace('{bulk}', list(analysis.bulk));
    steps.push(`${capital(TOPOLOGY_WORDS[topology] ?? topology)}${probability < 0.9 ? ', probably' : ''}: ${sentence}`);
  }
  if (analysis.isolation.isolated)
    steps.push(
      `${list(analysis.isolation.crossing)} ${analysis.isolation.crossing.length > 1 ? 'are' : 'is'} all that crosses from the mains side to the output side.`,
    );
  const outputs = refsOf((kind, role) => kind === 'connector' && role === 'output');
  const volts = (board.nameplate?.outputs ?? []).map(({ v }) => `${v} V`);
  if (outputs.length > 0)
    steps.push(`The output leaves at ${list(outputs)}${volts.length > 0 ? `: ${list(volts)} by the nameplate` : ''}.`);
  return steps;
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
