import { sql } from 'drizzle-orm';
import { index, integer, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { IssueStatus } from '../../core/benchline';
import type { PinFunction } from '../../core/chips';
import type { CheckTest, RepairFact } from '../../core/diagnose';
import type { FactRelation, OutcomeName } from '../../core/donor';
import type { Mounting, Wish } from '../../core/harvest';
import type { BlockName, DutyName, FitmentName, KindName, TestName } from '../../core/part';
import type { Fittings } from '../../core/module';
import type { Nameplate, InletName } from '../../core/nameplate';
import type { HoldSource, StoreRole } from '../../core/safety';
import type { StationName } from '../../core/station';
import type { RecordedChannel } from '../../core/waveform';
import type { Clearance, OriginName, SymptomName, UnitKindName } from '../../core/unit';
import { builds } from './build';
import { createdMs, deletedMs, key, ratingColumns } from './columns';
import { types } from './type';

/** One discarded unit. The nameplate is kept as typed and read by core whenever it is shown. */
export const donors = sqliteTable(
  'donors',
  {
    id: key(),
    code: text('code').notNull().unique(),
    description: text('description').notNull(),
    maker: text('maker').notNull().default(''),
    model: text('model').notNull().default(''),
    kind: text('kind').$type<UnitKindName>().notNull().default('other'),
    nameplate: text('nameplate').notNull().default(''),
    plate: text('plate', { mode: 'json' }).$type<Nameplate>(),
    originKind: text('origin_kind').$type<OriginName | ''>().notNull().default(''),
    origin: text('origin').notNull().default(''),
    clearance: text('clearance').$type<Clearance>().notNull().default(''),
    symptomKind: text('symptom_kind').$type<SymptomName | ''>().notNull().default(''),
    symptom: text('symptom').notNull().default(''),
    dateCodes: text('date_codes').notNull().default(''),
    fuseA: real('fuse_a'),
    inlet: text('inlet').$type<InletName>(),
    cableM2: real('cable_m2'),
    switchA: real('switch_a'),
    thyristorA: real('thyristor_a'),
    ambientC: real('ambient_c'),
    lengthM: real('length_m'),
    widthM: real('width_m'),
    heightM: real('height_m'),
    massKg: real('mass_kg'),
    /** Its plug, cooling and mounting, and what else counts when it is used whole. */
    fittings: text('fittings', { mode: 'json' }).$type<Fittings>().notNull().default({}),
    /** How its work ended; empty while it is under way. */
    outcome: text('outcome').$type<OutcomeName | ''>().notNull().default(''),
    outcomeNote: text('outcome_note').notNull().default(''),
    closedMs: integer('closed_ms'),
    createdMs: createdMs(),
    deletedMs: deletedMs(),
  },
  (t) => [index('donors_created').on(t.createdMs)],
);

/** A station that the person declared done. */
export const stationMarks = sqliteTable(
  'station_marks',
  {
    id: key(),
    donorId: text('donor_id')
      .notNull()
      .references(() => donors.id),
    station: text('station').$type<StationName>().notNull(),
    /** `done`, or `went-on` when work went on beside a store that was not measured dead. */
    mark: text('mark').$type<'done' | 'went-on'>().notNull(),
    createdMs: createdMs(),
    deletedMs: deletedMs(),
  },
  (t) => [index('station_marks_donor').on(t.donorId)],
);

/** What a step of the journal is about. */
export type JournalScope = 'donor' | 'stock' | 'types' | 'builds' | 'settings';

/** What was done to a donor, in order, with the rows it changed so that it can be undone. */
export const journal = sqliteTable(
  'journal',
  {
    id: key(),
    /** Empty for a step that is the whole shop's, such as merging two types. */
    donorId: text('donor_id').references(() => donors.id),
    atMs: integer('at_ms').notNull(),
    /** Empty for a step that is the whole shop's. */
    station: text('station').$type<StationName | ''>().notNull(),
    scope: text('scope').$type<JournalScope>().notNull().default('donor'),
    message: text('says').notNull(),
    changes: text('changes').notNull(),
    undoneMs: integer('undone_ms'),
  },
  (t) => [
    index('journal_donor').on(t.donorId, t.id),
    index('journal_scope').on(t.scope, t.id),
    // Every open window asks for the latest of these every few seconds.
    index('journal_undone')
      .on(t.undoneMs)
      .where(sql`${t.undoneMs} is not null`),
  ],
);

/** A note, a question or a claim. */
export const notes = sqliteTable(
  'notes',
  {
    id: key(),
    donorId: text('donor_id')
      .notNull()
      .references(() => donors.id),
    station: text('station').$type<StationName>().notNull(),
    ref: text('ref').notNull().default(''),
    text: text('text').notNull(),
    question: integer('question', { mode: 'boolean' }).notNull(),
    claim: integer('claim', { mode: 'boolean' }).notNull().default(false),
    status: text('standing').$type<IssueStatus | ''>().notNull().default(''),
    /** What the next unit of its kind should be told. */
    tellNext: integer('tell_next', { mode: 'boolean' }).notNull().default(false),
    /** Whom a question was put to, and by when an answer is expected. */
    askedOf: text('asked_of').notNull().default(''),
    dueMs: integer('due_ms'),
    answeredMs: integer('answered_ms'),
    createdMs: createdMs(),
    deletedMs: deletedMs(),
  },
  (t) => [index('notes_donor').on(t.donorId)],
);

/** A sum that was kept with what it was made for: a donor, or a build. */
export const keptSums = sqliteTable(
  'kept_sums',
  {
    id: key(),
    donorId: text('donor_id').references(() => donors.id),
    buildId: text('build_id').references(() => builds.id),
    /** The part it is about; empty for the whole unit. */
    ref: text('ref').notNull().default(''),
    sum: text('sum').notNull(),
    /** What was typed, by field. */
    typed: text('typed', { mode: 'json' }).$type<Readonly<Record<string, string>>>().notNull(),
    /** Fields that follow a rating of the part. */
    follows: text('follows', { mode: 'json' }).$type<readonly string[]>().notNull(),
    /** What it came to when it was kept. */
    answer: text('answer').notNull(),
    createdMs: createdMs(),
    deletedMs: deletedMs(),
  },
  (t) => [index('kept_sums_donor').on(t.donorId), index('kept_sums_build').on(t.buildId)],
);

/** What is told, checked or done when a unit is repaired: its complaint, what was seen, the answer to a check, a part that was fitted. */
export const repairFacts = sqliteTable(
  'repair_facts',
  {
    id: key(),
    donorId: text('donor_id')
      .notNull()
      .references(() => donors.id),
    kind: text('kind').$type<RepairFact['kind']>().notNull(),
    /** The part it is about; empty for the whole unit. */
    ref: text('ref').notNull().default(''),
    test: text('test').$type<CheckTest | ''>().notNull().default(''),
    /** In words, or the reading of a check; of a complaint its name. */
    text: text('text').notNull(),
    /** How a check came out, where that was said by a key. */
    outcome: text('outcome').$type<'good' | 'bad' | 'unclear' | ''>().notNull().default(''),
    createdMs: createdMs(),
    deletedMs: deletedMs(),
  },
  (t) => [index('repair_facts_donor').on(t.donorId)],
);

/** How a step of a first power-up was answered; steps of one attempt share a run. */
export const powerUpMarks = sqliteTable(
  'power_up_marks',
  {
    id: key(),
    donorId: text('donor_id')
      .notNull()
      .references(() => donors.id),
    run: integer('run').notNull(),
    step: text('step').notNull(),
    /** The reading as it was typed, or what was seen. */
    text: text('text').notNull().default(''),
    outcome: text('outcome').$type<'pass' | 'stop'>().notNull(),
    createdMs: createdMs(),
    deletedMs: deletedMs(),
  },
  (t) => [index('power_up_marks_donor').on(t.donorId)],
);

/** A step in the life of a claim or a question. */
export const noteEvents = sqliteTable(
  'note_events',
  {
    id: key(),
    noteId: text('note_id')
      .notNull()
      .references(() => notes.id),
    status: text('standing').$type<IssueStatus>().notNull(),
    because: text('because').notNull().default(''),
    atMs: integer('at_ms').notNull(),
    deletedMs: deletedMs(),
  },
  (t) => [index('note_events_note').on(t.noteId)],
);

/** Something that stores charge. */
export const stores = sqliteTable(
  'stores',
  {
    id: key(),
    donorId: text('donor_id')
      .notNull()
      .references(() => donors.id),
    name: text('name').notNull(),
    role: text('role').$type<StoreRole>().notNull(),
    bank: text('bank').notNull().default(''),
    capacitanceF: real('capacitance_f').notNull(),
    ratedV: real('rated_v'),
    ratedAc: integer('rated_ac', { mode: 'boolean' }).notNull().default(false),
    holdSource: text('hold_source').$type<HoldSource>().notNull().default('auto'),
    holdV: real('hold_v'),
    bleedOhm: real('bleed_ohm'),
    /** The bleed tool that is across it now. */
    toolOhm: real('tool_ohm'),
    createdMs: createdMs(),
    deletedMs: deletedMs(),
  },
  (t) => [
    uniqueIndex('stores_name')
      .on(t.donorId, t.name)
      .where(sql`${t.deletedMs} is null`),
    index('stores_donor').on(t.donorId),
  ],
);

/** A reading of a store. Readings of one discharge share a run; elapsed seconds count from its first. */
export const storeReadings = sqliteTable(
  'store_readings',
  {
    id: key(),
    storeId: text('store_id')
      .notNull()
      .references(() => stores.id),
    run: integer('run').notNull(),
    elapsedS: real('elapsed_s').notNull(),
    voltageV: real('voltage_v').notNull(),
    resolutionV: real('resolution_v').notNull(),
    takenMs: integer('taken_ms').notNull(),
    /** The bleed tool that was across the store. */
    toolOhm: real('tool_ohm'),
    deletedMs: deletedMs(),
  },
  (t) => [index('store_readings_store').on(t.storeId)],
);

/** A component on a board. */
export const parts = sqliteTable(
  'parts',
  {
    id: key(),
    donorId: text('donor_id')
      .notNull()
      .references(() => donors.id),
    ref: text('ref').notNull(),
    kind: text('kind').$type<KindName>().notNull(),
    subtype: text('subtype'),
    package: text('package'),
    marking: text('marking'),
    technology: text('technology'),
    dateCode: text('date_code'),
    damage: text('damage', { mode: 'json' }).$type<string[]>().notNull(),
    block: text('block').$type<BlockName>(),
    duty: text('duty').$type<DutyName>(),
    fitments: text('fitments', { mode: 'json' }).$type<FitmentName[]>().notNull().default([]),
    pinHints: text('pin_hints', { mode: 'json' }).$type<Record<number, PinFunction>>().notNull().default({}),
    typeId: text('type_id').references(() => types.id),
    wish: text('wish').$type<Wish>(),
    mounting: text('mounting', { mode: 'json' }).$type<Mounting>().notNull().default({ ways: [], behind: [] }),
    state: text('state').$type<'on-board' | 'harvested'>().notNull(),
    createdMs: createdMs(),
    deletedMs: deletedMs(),
  },
  (t) => [
    uniqueIndex('parts_ref')
      .on(t.donorId, t.ref)
      .where(sql`${t.deletedMs} is null`),
    index('parts_donor').on(t.donorId),
    index('parts_marking').on(t.marking),
  ],
);

export const partRatings = sqliteTable(
  'part_ratings',
  {
    ...ratingColumns(),
    partId: text('part_id')
      .notNull()
      .references(() => parts.id),
  },
  (t) => [index('part_ratings_part').on(t.partId)],
);

/** What a meter said between two pins of a board; a swept net names one pin only. */
export const boardFacts = sqliteTable(
  'board_facts',
  {
    id: key(),
    donorId: text('donor_id')
      .notNull()
      .references(() => donors.id),
    relation: text('relation').$type<FactRelation>().notNull(),
    a: text('a').notNull(),
    b: text('b').notNull().default(''),
    ohms: real('ohms'),
    dropV: real('drop_v'),
    createdMs: createdMs(),
    deletedMs: deletedMs(),
  },
  (t) => [index('board_facts_donor').on(t.donorId)],
);

/** One bench measurement; `measured` maps field names to value and resolution, null value for OL. */
export const measurements = sqliteTable(
  'measurements',
  {
    id: key(),
    partId: text('part_id')
      .notNull()
      .references(() => parts.id),
    test: text('test').$type<TestName>().notNull(),
    measured: text('measured', { mode: 'json' })
      .$type<Record<string, { value: number | null; resolution: number }>>()
      .notNull(),
    inCircuit: integer('in_circuit', { mode: 'boolean' }).notNull(),
    /** Name of the meter as the settings list it; empty for a usual one. */
    meter: text('meter').notNull().default(''),
    takenMs: integer('taken_ms').notNull(),
    deletedMs: deletedMs(),
  },
  (t) => [index('measurements_part').on(t.partId)],
);

/** A moment at which the meter was checked on a known source, before and after the readings. */
export const meterChecks = sqliteTable(
  'meter_checks',
  {
    id: key(),
    donorId: text('donor_id')
      .notNull()
      .references(() => donors.id),
    atMs: integer('at_ms').notNull(),
    deletedMs: deletedMs(),
  },
  (t) => [index('meter_checks_donor').on(t.donorId)],
);

/** When power was put to a unit, and when it was taken away: readings from before say nothing any more. */
export const powerEvents = sqliteTable(
  'power_events',
  {
    id: key(),
    donorId: text('donor_id')
      .notNull()
      .references(() => donors.id),
    applied: integer('applied', { mode: 'boolean' }).notNull(),
    atMs: integer('at_ms').notNull(),
    note: text('note').notNull().default(''),
    deletedMs: deletedMs(),
  },
  (t) => [index('power_events_donor').on(t.donorId)],
);

/** A row of a run under load; rows of one run share its number. */
export const soakRows = sqliteTable(
  'soak_rows',
  {
    id: key(),
    donorId: text('donor_id')
      .notNull()
      .references(() => donors.id),
    run: integer('run').notNull(),
    elapsedS: real('elapsed_s').notNull(),
    inputW: real('input_w'),
    caseC: real('case_c'),
    outputV: real('output_v'),
    loadA: real('load_a'),
    remark: text('remark').notNull().default(''),
    takenMs: integer('taken_ms').notNull(),
    deletedMs: deletedMs(),
  },
  (t) => [index('soak_rows_donor').on(t.donorId)],
);

/** What was in view of an oscilloscope's recording when something was worked out of it. */
export const recordings = sqliteTable(
  'recordings',
  {
    id: key(),
    partId: text('part_id')
      .notNull()
      .references(() => parts.id),
    title: text('title').notNull(),
    channels: text('channels', { mode: 'json' }).$type<readonly RecordedChannel[]>().notNull(),
    takenMs: integer('taken_ms').notNull(),
    deletedMs: deletedMs(),
  },
  (t) => [index('recordings_part').on(t.partId)],
);
