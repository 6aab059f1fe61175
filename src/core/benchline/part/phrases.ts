import { packageRule, type BlockName, type KindName } from '../../part';
import type { Token } from '../tokens';
import { mended } from '../mend';
import { LONGEST_PHRASE, meaningsOf, type Meaning } from '../vocabulary';
import { isKin } from './kin';
import type { Sorted } from './said';

interface Phrase {
  readonly length: number;
  readonly meaning: Meaning;
}

export const HAS_GATE: ReadonlySet<KindName> = new Set(['nmos', 'pmos', 'igbt', 'scr', 'triac']);

/** The longest run of words that a table has. A word that is also a filler is taken as what it says of the kind. */
export function longestPhrase(all: readonly Token[], index: number, kind: KindName | undefined): Phrase | undefined {
  for (let length = Math.min(LONGEST_PHRASE, all.length - index); length >= 1; length -= 1) {
    const run = all.slice(index, index + length);
    if (run.slice(0, -1).some(({ parted }) => parted)) continue;
    // The gate of a transistor is a pin of it; a gate resistor is another part.
    const meanings = meaningsOf(run.map(({ text }) => text).join(' ')).filter(
      ({ as }) => as !== 'duty' || kind === undefined || !HAS_GATE.has(kind),
    );
    if (meanings.length === 0) continue;
    const meaning =
      meanings.find((one) => one.as === 'kind' && one.kind === kind) ??
      meanings.find((one) => (one.as === 'block' || one.as === 'duty') && kind !== 'connector' && kind !== 'switch') ??
      meanings[0];
    if (meaning) return { length, meaning: asPlace(meaning, run, kind) };
  }
  return undefined;
}

/** Where a part sits that a word says by what it is near to: the output is a connector, and the capacitors at it are none. */
const PLACES: Readonly<Record<string, BlockName>> = {
  output: 'secondary',
  load: 'secondary',
  'mains-inlet': 'input',
  'dc-input': 'input',
};
const NAMES_A_PART =
  /connect|plug|sock|terminal|header|jack|inlet|cable|loom|wires|steck|buchse|klemme|prise|barrel|pigtail/i;

function asPlace(meaning: Meaning, run: readonly Token[], kind: KindName | undefined): Meaning {
  if (meaning.as !== 'kind' || meaning.kind !== 'connector' || kind === undefined) return meaning;
  if (kind === 'connector' || isKin(kind, 'connector') || run.some(({ text }) => NAMES_A_PART.test(text)))
    return meaning;
  const block = PLACES[meaning.subtype ?? ''];
  return block ? { as: 'block', block } : meaning;
}

/** A phrase of several words with a slip in it: `comon mode choke`. */
export function mendedRun(
  all: readonly Token[],
  index: number,
): (Phrase & { typed: string; read: string }) | undefined {
  for (let length = Math.min(LONGEST_PHRASE, all.length - index); length >= 2; length -= 1) {
    const run = all.slice(index, index + length);
    if (run.slice(0, -1).some(({ parted }) => parted) || run.some(({ text }) => /\d/.test(text))) continue;
    const typed = run.map(({ text }) => text).join(' ');
    const read = mended(typed);
    const [meaning] = read === undefined ? [] : meaningsOf(read);
    if (read !== undefined && meaning && meaning.as !== 'filler') return { length, meaning, typed, read };
  }
  return undefined;
}

export function placeMeaning(meaning: Meaning, token: Token, before: Token | undefined, sorted: Sorted): void {
  const { said } = sorted;
  if (meaning.as === 'filler' || meaning.as === 'measures' || meaning.as === 'marked') return;
  sorted.describes += 1;
  switch (meaning.as) {
    case 'kind':
      sorted.kinds.push({
        meaning,
        token,
        placedBy: before,
        isFirst: sorted.describes === 1 && sorted.codes.length === 0 && sorted.values.length === 0,
      });
      return;
    case 'poly':
      sorted.poly = token;
      return;
    case 'package':
      said.package ??= meaning.name;
      if (meaning.name === 'SMD' || packageRule(meaning.name)?.group === 'chip') sorted.isChip = true;
      return;
    case 'damage':
      if (!said.damage.includes(meaning.damage)) said.damage.push(meaning.damage);
      return;
    case 'block':
      said.block ??= meaning.block;
      return;
    case 'duty':
      said.duty ??= meaning.duty;
      return;
    case 'fitment':
      if (!said.fitments.includes(meaning.fitment)) said.fitments.push(meaning.fitment);
      return;
    case 'speed':
      sorted.speed = meaning.speed;
  }
}
