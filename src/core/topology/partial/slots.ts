import type { BoardPart } from '../../board';
import { CELL_STORIES } from '../forms/cellStories';
import { DRIVES } from '../forms/drives';
import { OUTPUT_FORMS } from '../forms/outputs';
import type { Binding, Candidates } from '../match/matchForm';
import { sayMatch } from '../match/say';
import type { FoundStage } from '../match/stage';
import type { Model } from '../model';
import { ISOLATED } from '../topologies';
import { CHOKE_CUES, cueWeight, TRANSFORMER_CUES } from './cues';
import { growForm, type PartialMatch } from './grow';
import type { Inventory } from './inventory';

/** One reading of a part: a topology with what fills its roles, or `none` when the part belongs to no stage of its own. */
export interface SlotReading {
  readonly topology: string;
  /** Log-odds, not normalised. */
  readonly score: number;
  readonly switches: readonly BoardPart[];
  readonly rectifiers: readonly BoardPart[];
  readonly magnetics: readonly BoardPart[];
  readonly evidence: readonly string[];
  readonly matches: readonly PartialMatch[];
}

/** A part that may be the heart of a stage, with its readings. */
export interface Slot {
  readonly heart: BoardPart;
  readonly readings: readonly SlotReading[];
}

/** What it weighs that a whole stage was found along known joins. */
const FOUND_WHOLE = 7;
/** What it weighs when a part of the stage is found to drive or carry signals instead. */
const SIGNAL = 2.5;

interface Ground {
  readonly model: Model;
  readonly candidates: Candidates;
  readonly inventory: Inventory;
  readonly found: readonly FoundStage[];
}

export function slotsOf(ground: Ground): readonly Slot[] {
  const { model } = ground;
  const live = model.board.parts.filter(({ fitted }) => fitted !== false);
  const transformers = live.filter(
    ({ kind, windings, pins }) => kind === 'transformer' && (windings?.length ?? Object.keys(pins).length / 2) >= 2,
  );
  const chokes = live.filter(({ kind }) => kind === 'inductor');
  const lamps = live.filter(({ role }) => role === 'lamp').slice(0, 1);
  const triacs = live.filter(({ kind }) => kind === 'triac');
  return [
    ...transformers.map((heart) => ({ heart, readings: transformerReadings(heart, ground) })),
    ...chokes.map((heart) => ({ heart, readings: chokeReadings(heart, ground) })),
    ...lamps.map((heart) => ({ heart, readings: simpleReadings(heart, 'resonant-ballast', 3, ground) })),
    ...triacs.map((heart) => ({ heart, readings: simpleReadings(heart, 'phase-control', 2, ground) })),
    ...dropperSlots(ground),
  ];
}

const none = (score: number): SlotReading => ({
  topology: 'none',
  score,
  switches: [],
  rectifiers: [],
  magnetics: [],
  evidence: [],
  matches: [],
});

const wasFound = (heart: BoardPart, topology: string, found: readonly FoundStage[]) =>
  found.find((stage) => stage.topology === topology && stage.magnetics[0] === heart);

function transformerReadings(heart: BoardPart, ground: Ground): readonly SlotReading[] {
  const { model, candidates, inventory, found } = ground;
  const own = (candidates.piece ?? []).filter(({ part }) => part === heart);
  const drives = DRIVES.flatMap((form) =>
    bestOf(starts(form.id, own).flatMap((start) => growForm(form, start, candidates, model))),
  );
  const outputs = OUTPUT_FORMS.flatMap((form) => own.flatMap((S) => bestOf(growForm(form, { S }, candidates, model))));
  const outputFor = (primary: PartialMatch, output: 'reservoir' | 'choke' | undefined) => {
    const taken = new Set(
      Object.values(primary.roles)
        .filter(({ part }) => part === heart)
        .map(({ winding }) => winding),
    );
    const switches = new Set(
      Object.entries(primary.roles).flatMap(([name, { part }]) =>
        primary.form.roles[name] === 'switch' ? [part] : [],
      ),
    );
    return outputs
      .filter(
        ({ form, roles }) =>
          (output === undefined || form.id.startsWith(output)) &&
          !taken.has(roles.S?.winding) &&
          !Object.entries(roles).some(([name, { part }]) => name !== 'S' && switches.has(part)),
      )
      .toSorted((a, b) => b.score - a.score)[0];
  };
  const readings = ISOLATED.flatMap((row): readonly SlotReading[] => {
    const options = drives
      .filter(({ form }) => form.id === row.drive)
      .map((drive) => ({ drive, output: outputFor(drive, row.output) }))
      .toSorted((a, b) => b.drive.score + (b.output?.score ?? -2) - a.drive.score - (a.output?.score ?? -2));
    const best = options[0];
    if (!best) return [];
    const whole = wasFound(heart, row.id, found);
    const matches = [best.drive, ...(best.output ? [best.output] : [])];
    return [
      reading(row.id, matches, heart, {
        score:
          best.drive.score +
          (best.output?.score ?? -2) +
          cueWeight(TRANSFORMER_CUES, inventory, row.id) +
          (whole ? FOUND_WHOLE : 0),
        whole,
      }),
    ];
  });
  const merged = [
    ...new Map(readings.toSorted((a, b) => a.score - b.score).map((entry) => [entry.topology, entry])).values(),
  ];
  const asChoke = chokeReadings(heart, ground).filter(({ topology }) => topology !== 'none');
  const line = wasFound(heart, 'line-transformer', found);
  const signal = isSignal(heart, model);
  const others = inventory.transformers - 1;
  return [
    ...merged,
    ...asChoke.map((entry) => ({ ...entry, score: entry.score - 1.5 })),
    reading('line-transformer', [], heart, {
      score: cueWeight(TRANSFORMER_CUES, inventory, 'line-transformer') - 0.5 + (line ? FOUND_WHOLE : 0),
      whole: line,
    }),
    none((others > 0 ? 1 : -2) + signal),
  ];
}

/** How far a transformer looks like one that carries signals: its windings on gates and chips, or few parts that take power. */
function isSignal(heart: BoardPart, { rails }: Model): number {
  const pins = Object.keys(heart.pins).flatMap((pin) =>
    rails.on(rails.at(heart, pin)).filter(({ part }) => part !== heart),
  );
  const commands = pins.some(
    ({ part, pin }) => part.kind === 'ic' || ((pin === 'G' || pin === 'B') && part.kind !== 'connector'),
  );
  const powers = pins.some(({ part }) => part.kind === 'dual-diode' || (part.kind === 'capacitor' && '+' in part.pins));
  return (commands ? SIGNAL : 0) - (powers ? SIGNAL : 0);
}

function chokeReadings(heart: BoardPart, { model, candidates, inventory, found }: Ground): readonly SlotReading[] {
  const own = (candidates.choke ?? []).filter(({ part }) => part === heart);
  const isTransformer = heart.kind === 'transformer';
  const readings = CELL_STORIES.flatMap((form): readonly SlotReading[] => {
    if (isTransformer && form.id !== 'boost') return [];
    const best = own.flatMap((L) => growForm(form, { L }, candidates, model)).toSorted((a, b) => b.score - a.score)[0];
    if (!best) return [];
    const ids = form.id === 'boost' ? ['boost', 'boost-pfc'] : [form.id];
    return ids.map((id) => {
      const whole = wasFound(heart, id, found);
      return reading(id, [best], heart, {
        score: best.score + cueWeight(CHOKE_CUES, inventory, id) + (whole ? FOUND_WHOLE : 0),
        whole,
      });
    });
  });
  const partner = found.some(({ magnetics }) => magnetics.includes(heart) && magnetics[0] !== heart);
  return [...readings, none(cueWeight(CHOKE_CUES, inventory, 'none') + (partner ? FOUND_WHOLE + 3 : 0))];
}

function simpleReadings(heart: BoardPart, topology: string, weight: number, { found }: Ground): readonly SlotReading[] {
  const whole = found.find((stage) => stage.topology === topology);
  return [reading(topology, [], heart, { score: weight + (whole ? FOUND_WHOLE : 0), whole }), none(0)];
}

/** A board on the mains with neither transformer nor choke takes its power through a capacitor. */
function dropperSlots({ model, inventory, found }: Ground): readonly Slot[] {
  const whole = found.find(({ topology }) => topology === 'capacitive-dropper');
  const heart = model.board.parts.find(
    ({ kind, subtype, value }) =>
      kind === 'capacitor' && (subtype === 'film' || subtype === 'x') && (value?.capacitance ?? 0) >= 1e-7,
  );
  if (!whole && (!heart || !inventory.isMains || inventory.transformers + inventory.chokes > 0)) return [];
  const at = heart ?? whole?.rectifiers[0];
  return at
    ? [
        {
          heart: at,
          readings: [
            reading('capacitive-dropper', [], at, { score: 1 + (whole ? FOUND_WHOLE : 0), whole }),
            none(inventory.triacs > 0 ? 2 : 0),
          ],
        },
      ]
    : [];
}

function reading(
  topology: string,
  matches: readonly PartialMatch[],
  heart: BoardPart,
  { score, whole }: { score: number; whole: FoundStage | undefined },
): SlotReading {
  if (whole)
    return {
      topology,
      score,
      matches,
      switches: whole.switches,
      rectifiers: whole.rectifiers,
      magnetics: whole.magnetics,
      evidence: whole.evidence,
    };
  const filled = (kinds: readonly string[]) => [
    ...new Set(
      matches.flatMap(({ form, roles }) =>
        Object.entries(roles).flatMap(([name, { part }]) => (kinds.includes(form.roles[name] ?? '') ? [part] : [])),
      ),
    ),
  ];
  const switches = filled(['switch']);
  return {
    topology,
    score,
    matches,
    switches,
    rectifiers: filled(['passive']).filter((part) => !switches.includes(part)),
    magnetics: [
      ...new Set([
        ...(heart.kind === 'transformer' || heart.kind === 'inductor' ? [heart] : []),
        ...filled(['choke', 'output-choke']),
      ]),
    ],
    evidence: matches
      .filter(({ form, roles }) => Object.keys(form.roles).every((name) => name in roles))
      .flatMap((match) => sayMatch(match)),
  };
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

const bestOf = (matches: readonly PartialMatch[]): readonly PartialMatch[] =>
  matches.toSorted((a, b) => b.score - a.score).slice(0, 4);
