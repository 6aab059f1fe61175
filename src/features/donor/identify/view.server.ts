import 'server-only';
import type { Decoding } from '../../../core/marking';
import { BLOCK_NAMES, BLOCKS, kindRule, RATINGS } from '../../../core/part';
import { ratingHistory } from '../../../db/repositories/ratings';
import type { PartRecord } from '../../../db/repositories/parts';
import type { Dossier } from '../../../services/dossier';
import type { TableColumn, TableRow } from '../../../ui/list/rows';
import { clockOf } from '../../../ui/value/moments';
import {
  isMisfit,
  partHead,
  partsTable,
  ratingText,
  refOf,
  type JudgedPart,
  type PartHead,
} from '../shared/partsTable.server';
import { clearDecoding, decodingId, decodingsOf } from './decodings';
import { partIdentity, type PartIdentity } from './partIdentity.server';

/** One part at the Identify station. */
export interface IdentifiedPartView extends PartHead {
  /** What is made of it. */
  readonly identity: PartIdentity;
  /** Ids of decodings whose ratings it carries. */
  readonly taken: readonly string[];
  readonly history: readonly { label: string; value: string; source: string; when: string }[];
  readonly ratingChoices: readonly { value: string; label: string }[];
}

export interface IdentifyView {
  readonly columns: readonly TableColumn[];
  readonly rows: readonly TableRow[];
  /** References of all parts. */
  readonly refs: readonly string[];
  readonly selected: IdentifiedPartView | null;
  readonly total: number;
  readonly identified: number;
  /** Parts by block, with what is left to identify. */
  readonly blocks: readonly { label: string; total: number; left: number }[];
  /** References of parts that do not fit where they sit. */
  readonly misfits: readonly string[];
  /** References of parts with a marking that a rule knows, and of which nothing is taken yet. */
  readonly unread: readonly string[];
  /** How many decodings are clear enough to be taken at once. */
  readonly clear: number;
  /** The reference that follows the last one logged. */
  readonly nextRef: string;
  readonly packages: readonly string[];
}

/** The parts log, how far its parts are identified, and one of them in full. */
export async function identifyView(dossier: Dossier, wanted: string | undefined): Promise<IdentifyView> {
  const { columns, rows, all, fitted, chosen, unit } = await partsTable(dossier, { station: 'identify', wanted });
  return {
    columns,
    rows,
    refs: all.map(refOf),
    selected: chosen ? await identifiedPart(dossier, chosen) : null,
    total: fitted.length,
    identified: fitted.filter(isIdentified).length,
    blocks: BLOCK_NAMES.flatMap((name) => {
      const inBlock = fitted.filter(({ record }) => record.part.block === name);
      const left = inBlock.filter((one) => !isIdentified(one)).length;
      return inBlock.length === 0 ? [] : [{ label: BLOCKS[name].label, total: inBlock.length, left }];
    }),
    misfits: all.filter((entry) => isMisfit(entry, unit)).map(refOf),
    unread: all.filter((entry) => !isIdentified(entry) && decodingsOf(entry.record.part).length > 0).map(refOf),
    clear: all.filter(({ record }) => clearDecoding(record, unit)).length,
    nextRef: nextReference(all.at(-1)?.record.part.ref),
    packages: [...new Set(all.map(({ record }) => record.part.package ?? '').filter((name) => name !== ''))],
  };
}

async function identifiedPart(dossier: Dossier, chosen: JudgedPart): Promise<IdentifiedPartView> {
  const { record } = chosen;
  const { part } = record;
  const [identity, history] = await Promise.all([partIdentity(dossier, record), ratingHistory(dossier.db, part.id)]);
  return {
    ...partHead(chosen),
    identity,
    taken: decodingsOf(part)
      .filter((decoding) => isTaken(decoding, part, history))
      .map(decodingId),
    history: history
      .filter(({ superseded }) => superseded)
      .map(({ name, value, source, recordedMs }) => ({
        label: RATINGS[name].label,
        value: ratingText(name, value),
        source,
        when: clockOf(recordedMs),
      })),
    ratingChoices: kindRule(part.kind).ratings.map((name) => ({ value: name, label: RATINGS[name].label })),
  };
}

/** Whether anything is known of a part: a rating, or the number it carries. */
function isIdentified({ record: { part, ratings } }: JudgedPart): boolean {
  return Object.keys(ratings).length > 0 || part.typeId !== null;
}

/** The reference that follows one: `C12` behind `C11`. */
function nextReference(last = ''): string {
  const [, letters = '', number = ''] = /^([A-Z]+)(\d+)$/.exec(last) ?? [];
  return number ? `${letters}${Number(number) + 1}` : '';
}

/** Whether a part carries what a decoding says: its ratings by that rule, or its number when it has none. */
function isTaken(
  { kind, rule, ratings }: Decoding,
  part: PartRecord['part'],
  history: Awaited<ReturnType<typeof ratingHistory>>,
): boolean {
  const said = Object.entries(ratings);
  if (kind !== part.kind || (said.length === 0 && part.typeId === null)) return false;
  return said.every(([name, value]) =>
    history.some((entry) => entry.name === name && entry.rule === rule && entry.value === value),
  );
}
