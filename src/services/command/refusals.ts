import { benchProblemText, type BenchProblem } from '../../core/benchline';
import { PAIRING_PROBLEM_TEXT, type PairingProblem } from '../../core/photo';
import { problemText, type QuantityProblem } from '../../core/quantity';
import { meterFailureText, type MeterFailure } from '../../core/meter';
import type { FieldQuestion } from './metFields';
import { datasheetProblemText, photoProblemText, type DatasheetProblem, type PhotoProblem } from '../attachments';

/** Everything a command may refuse, by its code, with the data that its sentence needs. */
export interface Refusals {
  // The database and the journal.
  readonly busy: NoData;
  readonly 'undo-nothing': NoData;
  readonly 'undone-already': NoData;
  readonly 'changed-since': NoData;
  readonly 'steps-rest-on-it': { readonly steps: readonly string[] };
  readonly 'redo-impossible': NoData;
  readonly 'met-others': { readonly fields: number };
  readonly 'list-in-use': { readonly codes: readonly string[] };

  readonly 'plate-or-text': NoData;
  readonly 'none-powered': NoData;
  readonly 'several-powered': { readonly codes: string };

  // What was typed.
  readonly 'line-unreadable': { readonly problem: BenchProblem };
  readonly 'quantity-unreadable': { readonly problem: QuantityProblem };
  readonly 'choice-unknown': { readonly text: string };
  readonly 'nothing-measured': NoData;
  readonly 'ohms-unreadable': { readonly line: number; readonly why: string };
  readonly 'rating-foreign': { readonly kind: string; readonly rating: string };
  readonly 'subtype-unknown': { readonly word: string };
  readonly 'measured-by-hand': NoData;
  readonly 'limit-missing': NoData;

  // A donor and what belongs to it.
  readonly 'donor-gone': { readonly code: string };
  readonly 'donor-not-archived': { readonly code: string };
  readonly 'clearance-reason-missing': NoData;
  readonly 'row-gone': NoData;
  readonly 'power-up-moved': NoData;
  readonly 'power-up-first': { readonly first: string };
  readonly 'power-up-outside': { readonly says: string };
  readonly 'note-gone': NoData;
  readonly 'no-number': { readonly ref: string };
  readonly 'closing-stopped': { readonly why: string };
  readonly 'sum-not-worked': { readonly sum: string };
  readonly 'nothing-open': { readonly ref: string };
  readonly 'all-measured-dead': NoData;
  readonly 'part-not-logged': { readonly ref: string };
  readonly 'fuse-ends': { readonly ref: string };
  readonly 'beeps-through': { readonly a: string; readonly b: string };
  readonly 'part-exists': { readonly ref: string };
  readonly 'part-differs': { readonly changes: readonly string[] };
  readonly 'part-in-stock': { readonly ref: string };
  readonly 'part-already-taken': { readonly ref: string };
  readonly 'part-scrap': { readonly ref: string; readonly why: string };
  readonly 'part-damaged': { readonly ref: string; readonly word: string };
  readonly 'piece-damaged': { readonly word: string };
  readonly 'part-behind-itself': NoData;
  readonly 'no-test': { readonly kind: string };
  readonly 'no-clear-decoding': NoData;
  readonly 'marking-changed': { readonly ref: string };
  readonly 'store-gone': { readonly name: string };
  readonly 'store-unknown': { readonly name: string };
  readonly 'store-name-taken': { readonly name: string };
  readonly 'store-listed': { readonly ref: string };
  readonly 'store-too-small': { readonly ref: string };
  readonly 'clock-running': NoData;
  readonly 'clock-stopped': NoData;
  readonly 'not-cleared': { readonly why: string };
  readonly 'not-measured-dead': { readonly message: string };
  readonly 'run-open': NoData;
  readonly 'run-missing': NoData;
  readonly 'job-gone': NoData;
  readonly 'board-unreadable': { readonly name: string; readonly where: string; readonly expected: string };
  readonly 'board-reference': { readonly name: string; readonly ref: string };

  // Photos and datasheets.
  readonly 'photo-gone': NoData;
  readonly 'photo-source-gone': NoData;
  readonly 'photo-known': NoData;
  readonly 'photo-unusable': { readonly name: string; readonly problem: PhotoProblem };
  readonly 'photo-own-side': NoData;
  readonly 'pairing-impossible': { readonly problem: PairingProblem };
  readonly 'no-pins-placed': { readonly ref: string };
  readonly 'datasheet-unusable': { readonly name: string; readonly problem: DatasheetProblem };
  readonly 'datasheet-known': { readonly name: string };

  // Stock.
  readonly 'stock-changed': NoData;
  readonly 'lot-unfit': { readonly code: string; readonly ref: string; readonly why: string };
  readonly 'lot-none-free': { readonly code: string };
  readonly 'lot-gone': { readonly code: string };
  readonly 'lot-empty': { readonly code: string };
  readonly 'lot-in-bin': { readonly code: string; readonly bin: string };
  readonly 'lot-itself': NoData;
  readonly 'lots-unlike': {
    readonly code: string;
    readonly what: string;
    readonly theirs: string;
    readonly here: string;
  };
  readonly 'lot-scrap': { readonly code: string; readonly why: string };
  readonly 'lot-reserved': { readonly code: string; readonly pieces: number };
  readonly 'too-many-taken': Pieces;
  readonly 'too-many-split': Pieces;
  readonly 'bin-unknown': { readonly bin: string };
  readonly 'nothing-counted': NoData;
  readonly 'count-below-reserved': { readonly code: string; readonly counted: number; readonly reserved: number };
  readonly 'list-empty': { readonly why: string | undefined };
  readonly 'list-changes-nothing': NoData;
  readonly 'filter-gone': NoData;

  // Builds.
  readonly 'build-gone': { readonly code: string };
  readonly 'need-gone': NoData;
  readonly 'need-holds-parts': { readonly role: string };
  readonly 'need-wants-fewer': { readonly role: string; readonly open: number; readonly asked: number };
  readonly 'need-holds-fewer': {
    readonly role: string;
    readonly code: string;
    readonly held: number;
    readonly asked: number;
  };
  readonly 'too-many-reserved': Pieces & { readonly code: string };

  // Types.
  readonly 'type-gone': NoData;
  readonly 'type-name-taken': NoData;
  readonly 'type-unknown': { readonly kind: string; readonly name: string };
  readonly 'type-itself': NoData;
  readonly 'type-in-use': { readonly name: string; readonly count: number };
  readonly 'alias-here': { readonly name: string };
  readonly 'alias-elsewhere': { readonly name: string; readonly owner: string };

  // Instruments.
  readonly 'meter-failed': { readonly failure: MeterFailure };
}

type NoData = Readonly<Record<string, never>>;
interface Pieces {
  readonly asked: number;
  readonly onHand: number;
  readonly reserved: number;
}

export type RefusalCode = keyof Refusals;

/** The sentence of each refusal: the one place where they are worded. */
const TEXT: { readonly [C in RefusalCode]: (data: Refusals[C]) => string } = {
  busy: () => 'The database is in use by someone else. Nothing was changed; try again.',
  'undo-nothing': () => 'There is nothing to undo.',
  'undone-already': () => 'That was undone already.',
  'plate-or-text': () => 'The label has another text now, and fields of it were put right by hand. Say which counts.',
  'none-powered': () => 'No unit has power on, by what is recorded.',
  'several-powered': ({ codes }) =>
    `Several units have power on: ${codes}. Go to the one that you unplugged, and say it there.`,
  'changed-since': () => 'Something was done to it since, so it stays. Undo the later step first.',
  'steps-rest-on-it': ({ steps: [first = '', ...more] }) =>
    `This rests on it: “${first}”${more.length > 0 ? ` and ${more.length} more` : ''} So it stays; undo that first.`,
  'redo-impossible': () =>
    'It cannot be done again as it was: something else was done since, or it was a list. Record it anew.',
  'met-others': ({ fields }) =>
    `${fields === 1 ? 'One field was' : `${fields} fields were`} changed elsewhere since this page was read. Say which counts; nothing is saved yet.`,
  'list-in-use': ({ codes }) =>
    `Of the list ${codes.slice(0, 3).join(', ')}${codes.length > 3 ? ` and ${codes.length - 3} more` : ''} ${codes.length === 1 ? 'was' : 'were'} moved, used or set aside since, so it stays. Undo that first.`,

  'line-unreadable': ({ problem }) => benchProblemText(problem),
  'quantity-unreadable': ({ problem }) => problemText(problem),
  'choice-unknown': ({ text }) => `“${text}” is no answer to this.`,
  'nothing-measured': () => 'Type at least one reading of the meter.',
  'ohms-unreadable': ({ line, why }) => `Line ${line}: ${why}`,
  'rating-foreign': ({ kind, rating }) => `A ${kind} has no rating “${rating}”.`,
  'subtype-unknown': ({ word }) => `“${word}” is no word for a part.`,
  'measured-by-hand': () =>
    'Leave “measured” out: a lot counted in by hand carries what is printed on it or what a datasheet says.',
  'limit-missing': () => 'A B is good within a limit: say what it is kept from, or grade it A.',

  'donor-gone': ({ code }) => `There is no donor ${code} any more.`,
  'donor-not-archived': ({ code }) => `${code} is not in the archive.`,
  'clearance-reason-missing': () => 'It was not cleared to be taken apart. Say who cleared it, or what changed.',
  'row-gone': () => 'That is not there any more.',
  'power-up-moved': () => 'That step is not in hand any more: the list has moved on.',
  'power-up-first': ({ first }) => `${first} first; then this step can be answered.`,
  'power-up-outside': ({ says }) => `It does not pass: ${says}`,
  'no-number': ({ ref }) => `${ref} has no marking that is a number: the answer cannot be kept with a type.`,
  'closing-stopped': ({ why }) => `${why} Tick “all the same” to close it so.`,
  'note-gone': () => 'That note is not there any more.',
  'sum-not-worked': ({ sum }) => `“${sum}” cannot be worked out of what is typed.`,
  'nothing-open': ({ ref }) => `Nothing is claimed or asked about ${ref} that is still open.`,
  'all-measured-dead': () => 'Every listed store is measured dead; there is nothing to go on beside.',
  'part-not-logged': ({ ref }) => `${ref} is not logged on this donor.`,
  'fuse-ends': ({ ref }) =>
    `${ref} beeps from end to end: that is a whole fuse, no joint. Type what it reads, like ${ref.toLowerCase()} measures 0.1, or note the wire that bridges it.`,
  'beeps-through': ({ a, b }) =>
    `${a} and ${b} are ends of one part, and the meter beeps through it. Choose the one that reads nearer to 0 Ω, or leave both open.`,
  'part-exists': ({ ref }) => `There is a part ${ref} already.`,
  'part-differs': ({ changes }) => `${changes.join(' ')} If it is another part, give it a reference of its own.`,
  'part-in-stock': ({ ref }) => `${ref} is in stock; take it out there.`,
  'part-already-taken': ({ ref }) => `${ref} was taken already.`,
  'part-scrap': ({ ref, why }) => `${ref} is scrap and does not go into stock. ${why}`.trim(),
  'part-damaged': ({ ref, word }) => `${ref} is ${word} and does not go into stock.`,
  'piece-damaged': ({ word }) => `What is “${word}” is scrap and does not go into stock.`,
  'part-behind-itself': () => 'A part does not stand in its own way.',
  'no-test': ({ kind }) => `There is no bench test for a ${kind} yet.`,
  'no-clear-decoding': () => 'No decoding is clear enough to be taken without a look at it.',
  'marking-changed': ({ ref }) => `The marking of ${ref} was changed meanwhile; look at its decodings again.`,
  'store-gone': ({ name }) => `${name} is not a store of this donor any more.`,
  'store-unknown': ({ name }) => `${name} is not an energy store of this donor.`,
  'store-name-taken': ({ name }) => `There is a store ${name} already. Choose another name.`,
  'store-listed': ({ ref }) => `${ref} is listed as a store already.`,
  'store-too-small': ({ ref }) => `${ref} is no capacitor that stores a charge worth the name.`,
  'clock-running': () => 'The clock runs already.',
  'clock-stopped': () => 'The clock stands already.',
  'not-cleared': ({ why }) =>
    `${why} No lot can be made of it. If that has changed, say so at Intake, with who cleared it.`,
  'not-measured-dead': ({ message }) => `${message}. Measure first, or say that you go on.`,
  'run-open': () => 'A run is under way already; end it first.',
  'run-missing': () => 'No run is under way. Say how many minutes you have, and start one.',
  'job-gone': () => 'That job is not open any more; the page shows the present plan.',
  'board-unreadable': ({ name, where, expected }) => `${name}, ${where}: ${expected}.`,
  'board-reference': ({ name, ref }) =>
    `${name}: “${ref}” is no reference such as Q1; letters and then a number are expected.`,

  'photo-gone': () => 'That photo is not among those of this donor any more.',
  'photo-source-gone': () => 'The photo it was made from is not there any more.',
  'photo-known': () => 'This picture is among the photos already.',
  'photo-unusable': ({ name, problem }) => photoProblemText(name, problem),
  'photo-own-side': () => 'A photo cannot be its own other side. Choose two photos.',
  'pairing-impossible': ({ problem }) => PAIRING_PROBLEM_TEXT[problem],
  'no-pins-placed': ({ ref }) => `No pin of ${ref} is placed on this photo.`,
  'datasheet-unusable': ({ name, problem }) => datasheetProblemText(name, problem),
  'datasheet-known': ({ name }) => `${name} is attached already.`,

  'stock-changed': () => 'Someone took or set aside pieces in the meantime. Look at the lot again.',
  'lot-unfit': ({ code, ref, why }) => `${code} must not take the place of ${ref}: ${why}`,
  'lot-none-free': ({ code }) => `No piece of ${code} is free: all are set aside, or gone.`,
  'lot-gone': ({ code }) => `There is no lot ${code} any more.`,
  'lot-empty': ({ code }) => `There is no lot ${code} with pieces in it.`,
  'lot-in-bin': ({ code, bin }) => `${code} is in ${bin} already.`,
  'lot-itself': () => 'A lot is not joined with itself.',
  'lots-unlike': ({ code, what, theirs, here }) => `${code} is not alike: ${what} is ${theirs}, here it is ${here}.`,
  'lot-scrap': ({ code, why }) => `${code} is scrap: ${why} Give it back and choose another lot.`,
  'lot-reserved': ({ code, pieces }) => `${pieces} of ${code} are set aside for a build; give them back first.`,
  'too-many-taken': ({ asked, onHand, reserved }) =>
    `${asked} cannot be taken: ${onHand - reserved} of ${onHand} are free, ${reserved} reserved.`,
  'too-many-split': ({ asked, onHand, reserved }) =>
    `${asked} cannot be split off: ${onHand - reserved} of ${onHand} are free, and one at least stays.`,
  'bin-unknown': ({ bin }) => `There is no bin ${bin}.`,
  'nothing-counted': () => 'Nothing was counted: type what you find beside a lot.',
  'count-below-reserved': ({ code, counted, reserved }) =>
    `${code}: ${counted} counted, but ${reserved} are set aside for a build. Give them back first.`,
  'list-empty': ({ why }) => `No row can be taken in. ${why ?? 'The file has none.'}`,
  'list-changes-nothing': () => 'Nothing in the file would change anything.',
  'filter-gone': () => 'That kept question is not there any more.',

  'build-gone': ({ code }) => `There is no build ${code} any more.`,
  'need-gone': () => 'That need is gone already.',
  'need-holds-parts': ({ role }) => `Parts are set aside for ${role}. Give them back first.`,
  'need-wants-fewer': ({ role, open, asked }) => `${role} wants ${open} more, not ${asked}.`,
  'need-holds-fewer': ({ role, code, held, asked }) =>
    `${asked} of ${code} are not set aside for ${role}: ${held} are.`,
  'too-many-reserved': ({ code, asked, onHand, reserved }) =>
    `${asked} of ${code} cannot be set aside: ${onHand - reserved} of ${onHand} are free.`,

  'type-gone': () => 'That type is not there any more.',
  'type-name-taken': () => 'There is a type of that kind with this number already; merge the two instead.',
  'type-unknown': ({ kind, name }) => `There is no ${kind} called ${name}.`,
  'type-itself': () => 'A type cannot be merged into itself.',
  'type-in-use': ({ name, count }) =>
    `${count} ${count === 1 ? 'part or lot rests' : 'parts and lots rest'} on ${name}; merge it into another type instead.`,
  'alias-here': ({ name }) => `“${name}” stands here already.`,
  'alias-elsewhere': ({ name, owner }) => `“${name}” belongs to ${owner}; merge the two instead.`,

  'meter-failed': ({ failure }) => meterFailureText(failure),
};

/** A refusal: its code and data for programs and tests, its sentence for people, and the field it is about, if one is. */
export type Refusal = {
  [C in RefusalCode]: {
    readonly code: C;
    readonly data: Refusals[C];
    readonly message: string;
    readonly field?: string;
    /** What must be answered before it can be saved. */
    readonly questions?: readonly FieldQuestion[];
  };
}[RefusalCode];

/** Makes a refusal with its sentence. */
export function refusal<C extends RefusalCode>(code: C, data: Refusals[C], field?: string): Refusal {
  return { code, data, message: TEXT[code](data), ...(field === undefined ? {} : { field }) } as Refusal;
}

/** Carries a refusal out of a command's work; nothing is stored then. */
export class Refused extends Error {
  constructor(readonly refusal: Refusal) {
    super(refusal.message);
  }
}

/** Stops a command with a refusal, beside a field when one is to blame. */
export function refuse<C extends RefusalCode>(code: C, data: Refusals[C], field?: string): never {
  throw new Refused(refusal(code, data, field));
}
