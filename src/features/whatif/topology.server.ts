import 'server-only';
import { drawSchematic, type Schematic } from '../../core/schematic';
import { analyse } from '../../core/topology';
import { answerOf, boardOf, circuitById, studyOf, type Answer } from '../../core/whatif';

/** A circuit as the Guide shows it: drawn, and as it runs at its usual values. */
export interface TopologyView {
  readonly schematic: Schematic;
  readonly answer?: Answer;
}

/** They never change while the server runs. */
const known = new Map<string, TopologyView>();

/** @returns undefined where there is no such circuit */
export function topologyView(id: string): TopologyView | undefined {
  const before = known.get(id);
  if (before) return before;
  const circuit = circuitById(id);
  if (!circuit) return undefined;
  const usual = Object.fromEntries(circuit.knobs.map((knob) => [knob.id, knob.usual]));
  const study = studyOf(circuit, usual);
  const view: TopologyView = {
    schematic: drawSchematic(analyse(boardOf(circuit, usual))).schematic,
    ...('kind' in study ? {} : { answer: answerOf(study) }),
  };
  known.set(id, view);
  return view;
}
