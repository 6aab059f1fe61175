import { TOPOLOGY_WORDS, type BoardPart } from '../board';
import { formatQuantity } from '../quantity';
import type { Analysis } from '../topology';
import { aroundControl } from './control';
import type { RailEstimate } from './rails/estimate';
import { railEstimates } from './rails/railEstimates';
import { sayList, sayStage } from './sayStage';
import { surroundings } from './surroundings';

/** The unit explained in order from the inlet to the outputs, with this board’s parts and the voltages to expect. */
export function powerWalk(analysis: Analysis): readonly string[] {
  const { board } = analysis.recognition.model;
  const estimates = railEstimates(analysis);
  const parts = board.parts.filter(({ fitted }) => fitted !== false);
  const refsOf = (wanted: (part: BoardPart) => boolean) => parts.filter(wanted).map(({ ref }) => ref);
  const around = surroundings(analysis);
  const outputs = refsOf(({ kind, role }) => kind === 'connector' && role === 'output');
  const volts = (board.nameplate?.outputs ?? []).map(({ v }) => `${v} V`);
  return [
    ...comesIn(analysis, refsOf),
    ...around.before,
    ...holdsBulk(analysis.bulk, estimates),
    ...analysis.stages.map(
      (stage) =>
        `${capital(TOPOLOGY_WORDS[stage.topology] ?? stage.topology)}${stage.probability < 0.9 ? ', probably' : ''}: ${sayStage(stage, analysis, estimates)}`,
    ),
    ...aroundControl(analysis),
    ...around.beside,
    ...(analysis.isolation.isolated
      ? [
          `${sayList(analysis.isolation.crossing)} ${analysis.isolation.crossing.length > 1 ? 'are' : 'is'} all that crosses from the mains side to the output side.`,
        ]
      : []),
    ...(outputs.length > 0
      ? [`The output leaves at ${sayList(outputs)}${volts.length > 0 ? `: ${sayList(volts)} by the nameplate` : ''}.`]
      : []),
  ];
}

function comesIn(
  { recognition }: Analysis,
  refsOf: (wanted: (part: BoardPart) => boolean) => readonly string[],
): readonly string[] {
  const inlets = refsOf(({ kind, role }) => kind === 'connector' && (role === 'mains-inlet' || role === 'dc-input'));
  if (inlets.length === 0) return [];
  const input = recognition.model.board.nameplate?.input;
  const most =
    input?.vMax === undefined
      ? ''
      : input.kind === 'ac'
        ? `, mains of up to ${input.vMax} V alternating`
        : `, up to ${input.vMax} V direct`;
  return [`Power comes in at ${sayList(inlets)}${most}.`];
}

function holdsBulk(bulk: readonly string[], estimates: readonly RailEstimate[]): readonly string[] {
  if (bulk.length === 0) return [];
  const rail = estimates.find(({ at }) => bulk.some((ref) => at.startsWith(`${ref}.`)));
  const about =
    rail?.volts === undefined ? '' : `: about ${formatQuantity(rail.volts, 'volt', { digits: 3 })} (${rail.why})`;
  return [
    `${sayList(bulk)} ${bulk.length > 1 ? 'hold' : 'holds'} the rectified voltage${about}. It stays charged after the plug is pulled.`,
  ];
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
