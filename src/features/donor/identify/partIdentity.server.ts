import type { Part } from '../../../core/donor';
import 'server-only';
import {
  chipFacts,
  chipFamily,
  guessFamilies,
  outlineOf,
  pinsIn,
  PIN_FUNCTIONS,
  regulatorFamily,
  type ChipFamily,
  type Outline,
  type PinFunction,
} from '../../../core/chips';
import { tellApart, type Decoding } from '../../../core/marking';
import {
  BLOCK_NAMES,
  BLOCKS,
  DUTIES,
  DUTY_NAMES,
  kindRule,
  packageRule,
  SUBTYPES,
  type BlockName,
  type DutyName,
  type FitmentName,
} from '../../../core/part';
import { nextFitting, senseCheck, type Misfit } from '../../../core/sense';

import { donorsWithMarking, type PartRecord } from '../../../db/repositories/parts';
import { decodingId, decodingsAsOtherKind, decodingsOf } from './decodings';
import { donorStress } from '../../../services/board';
import { notesView, type NoteView } from '../shared/notes.server';
import type { Dossier } from '../../../services/dossier';
import { routes } from '../../../routes';

/** One of the readings of a marking. */
export interface DecodingView {
  readonly id: string;
  readonly kind: string;
  readonly why: string;
  readonly confidence: number;
  readonly percent: string;
  readonly rule: string;
  /** The text that was read, when print was worn. */
  readonly readAs: string | null;
}

/** A chip's pins with what a person finds on them. */
export interface ChipView {
  readonly id: string;
  readonly title: string;
  readonly href: string;
  readonly sure: boolean;
  readonly legs: number;
  readonly pins: readonly {
    readonly number: number;
    readonly name: string;
    readonly does: string;
    readonly diodeMode: string;
    readonly resistance: string;
    readonly next: string;
  }[];
  readonly facts: readonly { readonly label: string; readonly value: string }[];
  readonly tells: { readonly pin: number; readonly why: string } | null;
  readonly top: Outline;
  readonly below: Outline;
}

/** A chip that stays unknown for now. */
export interface UnknownChipView {
  readonly legs: number;
  readonly hints: Readonly<Record<number, PinFunction>>;
  readonly functions: readonly { value: string; label: string }[];
  readonly guesses: readonly {
    readonly id: string;
    readonly href: string;
    readonly percent: string;
    readonly message: string;
    readonly reasons: string;
  }[];
}

/** What a part is and whether that makes sense where it sits. */
export interface PartIdentity {
  readonly decodings: readonly DecodingView[];
  /** Readings as another kind of part, when none of its own is likely. */
  readonly otherKinds: readonly DecodingView[];
  readonly apart: readonly { readonly text: string; readonly as: string }[];
  readonly tell: string | null;
  readonly misfits: readonly Misfit[];
  /** The next reading that would fit its place. */
  readonly instead: DecodingView | null;
  readonly chip: ChipView | null;
  /** For a chip that no reading names: its legs, what they seem to be, and what it may be. */
  readonly unknown: UnknownChipView | null;
  /** Other donors on which the same marking was seen. */
  readonly seenOn: readonly { readonly code: string; readonly message: string; readonly href: string }[];
  readonly issues: readonly NoteView[];
  /** Photos on which its place is pinned. */
  readonly spots: readonly { readonly href: string; readonly message: string }[];
  /** A photo to pin its place on. */
  readonly photo: string | null;
  readonly typeHref: string | null;
  readonly place: {
    readonly block: BlockName | '';
    readonly duty: DutyName | '';
    readonly subtype: string;
    /** The heat sink it sits on, and those that the board has. */
    readonly sink: string;
    readonly sinks: readonly string[];
    readonly damage: readonly string[];
    readonly fitments: readonly FitmentName[];
    readonly blocks: readonly { value: string; label: string }[];
    readonly duties: readonly { value: string; label: string }[];
    readonly subtypes: readonly { value: string; label: string }[];
  };
}

/** The heat sinks of a board, as they are logged or named of other parts. */
async function sinksOf(dossier: Dossier): Promise<readonly string[]> {
  const sinks = (await dossier.parts()).flatMap(({ part }) =>
    part.kind === 'heat-sink' ? [part.ref] : part.mounting.sink ? [part.mounting.sink] : [],
  );
  return [...new Set(sinks)].toSorted();
}

/** What is made of one part of a donor at the Identify station. */
export async function partIdentity(dossier: Dossier, { part, ratings }: PartRecord): Promise<PartIdentity> {
  const { db, donor } = dossier;
  const decodings = decodingsOf(part);
  const unit = await donorStress(dossier);
  const values = Object.fromEntries(Object.entries(ratings).map(([name, { value }]) => [name, value]));
  const [best] = decodings;
  const place = { block: part.block, duty: part.duty, subtype: part.subtype };
  const bare = Object.keys(values).length === 0;
  // A part without ratings is checked by what its marking most likely says.
  const checked = bare && best ? best : { kind: part.kind, ratings: values };
  const misfits = senseCheck({ ...place, ...checked, technology: part.technology ?? best?.facts?.technology }, unit);
  const instead = misfits.some(({ severity }) => severity === 'wrong')
    ? nextFitting(decodings, place, unit)
    : undefined;
  const [seen, issues, spots] = await Promise.all([
    part.marking ? donorsWithMarking(db, { marking: part.marking, besides: donor.id }, 5) : [],
    notesView(dossier, { ref: part.ref }),
    spotsOf(dossier, part),
  ]);
  return {
    decodings: decodings.map(decodingView),
    otherKinds: decodingsAsOtherKind(part).slice(0, 3).map(decodingView),
    apart: best?.apart ?? [],
    tell: tellApart(decodings) ?? null,
    misfits,
    instead: instead ? decodingView(instead) : null,
    chip: chipView(best, part),
    unknown: part.kind === 'ic' && (best?.confidence ?? 0) < NAMED ? unknownChip(part) : null,
    seenOn: seen.map(({ code, description, ref }) => ({
      code,
      message: `${ref} of ${description}`,
      href: routes.station(code, 'identify', { part: ref }),
    })),
    issues,
    ...spots,
    typeHref: part.typeId ? routes.type(part.typeId) : null,
    place: {
      block: part.block ?? '',
      duty: part.duty ?? '',
      subtype: part.subtype ?? '',
      sink: part.mounting.sink ?? '',
      sinks: await sinksOf(dossier),
      damage: part.damage,
      fitments: part.fitments,
      blocks: choices(BLOCK_NAMES, (name) => BLOCKS[name].label, 'not said'),
      duties: choices(DUTY_NAMES, (name) => DUTIES[name], 'not said'),
      subtypes: choices(
        Object.keys(SUBTYPES).filter((word) => subtypeFits(word, part.kind)),
        (word) => word,
        'not said',
      ),
    },
  };
}

function subtypeFits(word: string, kind: Part['kind']): boolean {
  return SUBTYPES[word] === kind || (kind === 'dual-diode' && SUBTYPES[word] === 'diode');
}

function choices<T extends string>(names: readonly T[], label: (name: T) => string, none: string) {
  return [{ value: '', label: none }, ...names.map((name) => ({ value: name, label: label(name) }))];
}

function decodingView(decoding: Decoding): DecodingView {
  const { kind, why, confidence, rule, readAs } = decoding;
  return {
    id: decodingId(decoding),
    kind: kindRule(kind).label,
    why,
    confidence,
    percent: `${Math.round(confidence * 100)} %`,
    rule,
    readAs: readAs ?? null,
  };
}

/** The pins of a part that is a chip, by its best reading or by its number. */
function chipView(best: Decoding | undefined, part: Part): ChipView | null {
  const family =
    (best?.facts?.family === undefined ? undefined : chipFamily(best.facts.family)) ??
    (part.kind === 'regulator' && part.marking ? regulatorFamily(part.marking) : undefined);
  return family ? describeChip(family, part.package) : null;
}

/** A chip whose best reading is believed less than this counts as unknown. */
const NAMED = 0.3;
/** Legs shown when the case was not said. */
const USUAL_LEGS = 8;

function unknownChip(part: Part): UnknownChipView {
  const { pinHints: hints, block } = part;
  const package_ = part.package ?? undefined;
  const guesses = guessFamilies({ package: package_, block: block ?? undefined, pins: hints });
  return {
    legs: (package_ && packageRule(package_)?.legs) || USUAL_LEGS,
    hints,
    functions: [
      { value: '', label: 'not known' },
      ...Object.entries(PIN_FUNCTIONS).map(([value, { label }]) => ({ value, label })),
    ],
    guesses: guesses.map(({ family, score, reasons }) => ({
      id: family.id,
      href: routes.chip(family.id),
      percent: `${Math.round(score * 100)} %`,
      message: family.function,
      reasons: reasons.join('; '),
    })),
  };
}

function describeChip(family: ChipFamily, case_: string | null): ChipView {
  const pins = pinsIn(family, case_);
  const drawn = case_ && pins !== family.pins && pins.length > 0 ? { packages: [case_], legs: pins.length } : family;
  return {
    id: family.id,
    title: family.function,
    href: routes.chip(family.id),
    sure: family.memory === 'sure',
    legs: drawn.legs,
    pins: pins.map(({ number, name, does }) => {
      const { label, diodeMode, resistance, next } = PIN_FUNCTIONS[does];
      return { number, name, does: label, diodeMode, resistance, next };
    }),
    facts: chipFacts(family),
    tells: pins === family.pins ? (family.tells ?? null) : null,
    top: outlineOf(drawn, false),
    below: outlineOf(drawn, true),
  };
}

/** Where a part is pinned on photos: a pin whose note is its reference, or begins with it. */
async function spotsOf(dossier: Dossier, part: Part): Promise<Pick<PartIdentity, 'spots' | 'photo'>> {
  const { code } = dossier.donor;
  const photos = await dossier.photos();
  const isOf = (note: string) => new RegExp(`^${part.ref}(?:$|[^A-Z0-9])`, 'i').test(note);
  const board = photos.find(({ photo }) => photo.side === 'front' || photo.side === 'back') ?? photos[0];
  return {
    spots: photos.flatMap(({ photo, pins }) =>
      pins.some(({ note }) => isOf(note))
        ? [{ href: routes.photo(code, photo.id), message: photo.caption || photo.side || 'photo' }]
        : [],
    ),
    photo: board ? routes.photo(code, board.photo.id, { place: part.ref }) : null,
  };
}
