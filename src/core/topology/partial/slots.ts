import type { BoardPart } from '../../board';
import { CELL_STORIES } from '../forms/cellStories';
import { DRIVES } from '../forms/drives';
import { OUTPUT_FORMS } from '../forms/outputs';
import { candidatesOf } from '../match/candidates';
import type { Binding } from '../match/matchForm';
import { sayMatch } from '../match/say';
import type { FoundStage } from '../match/stage';
import type { Model } from '../model';
import { TRANSISTOR_TERMINALS } from '../model/parts';
import { ISOLATED } from '../topologies';
import { featuresOf, type FormScores } from './features';
import { growForm, indexCandidates, type CandidateIndex, type PartialMatch } from './grow';
import { inventoryOf } from './inventory';

/** What fills the roles of one reading, as far as it is known. */
export interface Cast {
  readonly switches: readonly BoardPart[];
  readonly rectifiers: readonly BoardPart[];
  readonly magnetics: readonly BoardPart[];
  readonly evidence: readonly string[];
  readonly matches: readonly PartialMatch[];
}

/** A part that may be the anchor of a stage, described by numbers, with a cast for every topology it may be of. */
export interface Slot {
  readonly anchor: BoardPart;
  readonly features: Readonly<Record<string, number>>;
  readonly castOf: (topology: string) => Cast;
  /** The best ways in which the forms of a topology fit what is known, best first: what a probe may decide between. */
  readonly fitsOf: (topology: string) => readonly PartialMatch[];
}

/** Slots of a board: every transformer with two windings or more, and every choke. */
export function slotsOf(model: Model, found: readonly FoundStage[]): readonly Slot[] {
  const all = candidatesOf(model);
  const candidates = indexCandidates(all);
  // What rectifies the mains is no output of a transformer.
  const behind = indexCandidates({
    ...all,
    passive: all.passive.filter(({ rails }) => !rails.some((rail) => model.held.mains.has(rail))),
  });
  const inventory = inventoryOf(model.board);
  const noAnchors = new Set(
    (model.board.fixed ?? []).filter(({ as }) => as === 'nothing' || as === 'output-choke').map(({ ref }) => ref),
  );
  return model.board.parts
    .filter((part) => mayAnchor(part) && !noAnchors.has(part.ref))
    .map((anchor) => {
      const grown = growAll(anchor, candidates, behind, model);
      return {
        anchor,
        features: featuresOf(anchor, model, inventory, found, grown.scores),
        castOf: (topology) => castFrom(topology, anchor, grown, found),
        fitsOf: (topology) => fitsFrom(topology, grown),
      };
    });
}

/**
 * Whether a part may be the anchor of a stage: a choke, or a transformer with two windings or more. One whose windings
 * are not listed has them all the same.
 */
export const mayAnchor = ({ kind, windings, pins, fitted }: BoardPart): boolean =>
  fitted !== false &&
  (kind === 'inductor' || (kind === 'transformer' && (windings === undefined || windingsAtLeast(windings, pins) >= 2)));

/** Windings that are known, and one for every two pins that are on none yet. */
const windingsAtLeast = (windings: readonly (readonly string[])[], pins: BoardPart['pins']): number =>
  windings.length + Math.ceil(Object.keys(pins).filter((pin) => !windings.some((own) => own.includes(pin))).length / 2);

interface Grown {
  readonly scores: FormScores;
  readonly drives: readonly PartialMatch[];
  readonly outputs: readonly PartialMatch[];
  readonly cells: readonly PartialMatch[];
}

function growAll(anchor: BoardPart, candidates: CandidateIndex, behind: CandidateIndex, model: Model): Grown {
  const pieces = (candidates.all.piece ?? []).filter(({ part }) => part === anchor);
  const chokes = (candidates.all.choke ?? []).filter(({ part }) => part === anchor);
  const drives = DRIVES.flatMap((form) =>
    best(starts(form.id, pieces).flatMap((start) => growForm(form, start, candidates, model))),
  );
  const outputs = OUTPUT_FORMS.flatMap((form) =>
    pieces.flatMap((S) => best(growForm(form, { S }, behind, model)).slice(0, OUTPUTS_OF_A_WINDING)),
  ).toSorted((a, b) => b.score - a.score);
  const cells = CELL_STORIES.flatMap((form) =>
    anchor.kind === 'transformer' && form.id !== 'boost'
      ? []
      : best(chokes.flatMap((L) => growForm(form, { L }, candidates, model))),
  );
  const top = (matches: readonly PartialMatch[]) => {
    const scores: Record<string, number> = {};
    for (const { form, score } of matches) scores[form.id] = Math.max(scores[form.id] ?? -Infinity, score);
    return scores;
  };
  return { drives, outputs, cells, scores: { drives: top(drives), outputs: top(outputs), cells: top(cells) } };
}

/** Readings of one winding as an output that are kept; the next winding has its own. */
const OUTPUTS_OF_A_WINDING = 3;
const FITS = 4;

function fitsFrom(topology: string, { drives, outputs, cells }: Grown): readonly PartialMatch[] {
  const row = ISOLATED.find(({ id }) => id === topology);
  if (!row)
    return cells.filter(({ form }) => form.id === (topology === 'boost-pfc' ? 'boost' : topology)).slice(0, FITS);
  const driven = drives.filter(({ form }) => form.id === row.drive).slice(0, FITS);
  const primary = Object.values(driven[0]?.roles ?? {}).find(({ winding }) => winding !== undefined)?.winding;
  return [
    ...driven,
    ...outputs
      .filter(
        ({ form, roles }) =>
          (row.output === undefined || form.id.startsWith(row.output)) && roles.S?.winding !== primary,
      )
      .slice(0, FITS),
  ];
}

/** What it costs to read a transistor as a rectifier while the stage still lacks a switch. */
const SWITCH_AS_RECTIFIER = 5;

const NOBODY: Cast = { switches: [], rectifiers: [], magnetics: [], evidence: [], matches: [] };

function castFrom(topology: string, anchor: BoardPart, grown: Grown, found: readonly FoundStage[]): Cast {
  if (topology === 'none') return NOBODY;
  const whole = found.find((stage) => stage.topology === topology && stage.magnetics.includes(anchor));
  const row = ISOLATED.find(({ id }) => id === topology);
  const matches = row
    ? isolatedMatches(row, anchor, grown)
    : grown.cells.filter(({ form }) => form.id === (topology === 'boost-pfc' ? 'boost' : topology)).slice(0, 1);
  if (whole) return { ...whole, matches };
  const filled = (kinds: readonly string[]) => [
    ...new Set(
      matches.flatMap(({ form, roles }) =>
        Object.entries(roles).flatMap(([name, { part }]) => (kinds.includes(form.roles[name] ?? '') ? [part] : [])),
      ),
    ),
  ];
  const switches = filled(['switch']);
  return {
    switches,
    rectifiers: filled(['passive']).filter((part) => !switches.includes(part)),
    magnetics: [...new Set([anchor, ...filled(['choke', 'output-choke'])])],
    evidence: matches
      .filter(({ form, roles }) => Object.keys(form.roles).every((name) => name in roles))
      .flatMap((match) => sayMatch(match)),
    matches,
  };
}

function isolatedMatches(
  row: (typeof ISOLATED)[number],
  anchor: BoardPart,
  { drives, outputs }: Grown,
): readonly PartialMatch[] {
  const options = drives
    .filter(({ form }) => form.id === row.drive)
    .map((drive) => {
      const bound = Object.entries(drive.roles);
      const taken = new Set(bound.filter(([, { part }]) => part === anchor).map(([, { winding }]) => winding));
      const switches = new Set(
        bound.flatMap(([name, { part }]) => (drive.form.roles[name] === 'switch' ? [part] : [])),
      );
      const output = outputs.find(
        ({ form, roles }) =>
          (row.output === undefined || form.id.startsWith(row.output)) &&
          !taken.has(roles.S?.winding) &&
          !Object.entries(roles).some(([name, { part }]) => name !== 'S' && switches.has(part)),
      );
      const isOpen = Object.entries(drive.form.roles).some(
        ([name, kind]) => kind === 'switch' && !(name in drive.roles),
      );
      const takesSwitch = Object.values(output?.roles ?? {}).some(({ part }) => TRANSISTOR_TERMINALS[part.kind]);
      return {
        matches: [drive, ...(output ? [output] : [])],
        score: drive.score + (output?.score ?? 0) - (isOpen && takesSwitch ? SWITCH_AS_RECTIFIER : 0),
      };
    });
  return options.toSorted((a, b) => b.score - a.score)[0]?.matches ?? [];
}

const starts = (form: string, own: readonly Binding[]): readonly Readonly<Record<string, Binding>>[] =>
  form !== 'push-pull'
    ? own.map((P) => ({ P }))
    : own.flatMap((P1) =>
        own
          .filter(
            (P2) => P1 !== P2 && P1.winding === P2.winding && P1.pins[0] === P2.pins[0] && P1.pins[1] !== P2.pins[1],
          )
          .map((P2) => ({ P1, P2 })),
      );

/** The best matches of a form, the best first. */
const best = (matches: readonly PartialMatch[]): readonly PartialMatch[] =>
  matches.toSorted((a, b) => b.score - a.score).slice(0, 6);
