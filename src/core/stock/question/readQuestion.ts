import { kindRule, PACKAGES, type KindName } from '../../part';
import { partDuty, readDuty } from '../duty/duty';
import type { StockFilter } from '../filter';
import type { Heard, QuestionProblem } from './heard';
import { Hearing } from './hear';
import { askedKind, demandsOf } from './resolve';
import { wordsOf } from './tokens';

export type { QuestionProblem } from './heard';

/** What to tell a person about a question that cannot be read. */
export function questionProblemText(problem: QuestionProblem): string {
  switch (problem.kind) {
    case 'bad-value':
      return `“${problem.token}”: ${problem.expected} is expected.`;
    case 'unknown-rating':
      return `“${problem.token}”: no rating of that name. Known: v, i, r, c, l, vds, id, vr, if, esr and more.`;
    case 'kind-needed':
      return `“${problem.token}” of which kind of part?`;
    case 'no-such-rating':
      return `“${problem.token}”: that is no rating of a ${problem.says}.`;
    case 'bad-duty':
      return `${problem.words.map((word) => `“${word}”`).join(', ')} in a duty: volts, amperes (ripple, peak), hertz, °C or watts are expected, such as duty 57V 2.6A 100kHz 45C.`;
    case 'not-understood':
      return `Not understood: ${problem.words.map((word) => `“${word}”`).join(', ')}. Name a kind of part, a value or a marking.`;
  }
}

export type ReadQuestion =
  | { readonly ok: true; readonly filter: StockFilter }
  | { readonly ok: false; readonly problem: QuestionProblem };

/**
 * Reads a question to the drawers, as a person types or says it, and the needs of a build: a kind in any usual word, values that
 * are about what is said or limits by what they are of (`resistor 4k7`, `nmos 600V`), comparisons in signs and words, ranges,
 * cases, grades, bins, markings, and “like” a type. What is not understood is asked back or listed, never dropped in silence.
 * @example readQuestion('electrolytic 1000u 25V') // about 1000 µF ± 20 %, at least 25 V
 */
export function readQuestion(text: string): ReadQuestion {
  const { asked, behind } = partDuty(text);
  const read = behind === undefined ? undefined : readDuty(behind);
  if (read && 'words' in read) return { ok: false, problem: { kind: 'bad-duty', words: read.words } };
  const hearing = new Hearing(wordsOf(asked));
  hearing.run();
  const { heard } = hearing;
  if (hearing.problem) return { ok: false, problem: hearing.problem };
  const { kind, leftOut } = askedKind(heard);
  const problem = unclear(heard, kind !== undefined, asked);
  if (problem) return { ok: false, problem };
  const demands: StockFilter['demands'][number][] = [];
  for (const found of demandsOf(heard.figures, kind)) {
    if ('problem' in found) return { ok: false, problem: found.problem };
    demands.push(found.demand);
  }
  const { packages, words, bin, donor, source, grades, uses, isLike, isStronger, isSurface, unread } = heard;
  const cases = packages.length > 0 || !isSurface ? [...new Set(packages)] : SURFACE_CASES;
  const [marking, ...others] = words;
  const like = isLike && marking !== undefined ? { marking, isStronger } : undefined;
  return {
    ok: true,
    filter: {
      ...(kind ? { kind } : {}),
      demands,
      ...(read ? { duty: read.duty } : {}),
      ...(cases.length > 0 ? { packages: cases } : {}),
      ...(bin === undefined ? {} : { bin }),
      ...(donor === undefined ? {} : { donor }),
      ...(source === undefined ? {} : { source }),
      ...(grades === undefined ? {} : { grades }),
      ...(uses.length > 0 ? { uses } : {}),
      words: like ? others : words,
      ...(like ? { like } : {}),
      ...(leftOut.length > 0 ? { leftOut } : {}),
      ...(unread.length > 0 ? { unread } : {}),
    },
  };
}

const SURFACE = /^(?:\d{4}|SM[ABC]|SO-\d+|SOT-.*|SOD-.*|MELF|D2?PAK|TO-263-5|SMD can|MBS)$/;
const SURFACE_CASES = PACKAGES.map(({ name }) => name).filter((name) => SURFACE.test(name));

/** Kinds that are asked for most, to offer where none was said. */
const OFFERED: readonly KindName[] = ['nmos', 'capacitor', 'diode', 'regulator', 'fan', 'relay'];

function unclear(heard: Heard, hasKind: boolean, text: string): QuestionProblem | undefined {
  const { figures, packages, words, bin, donor, source, grades, uses, isLike, unread } = heard;
  const isElsewhere =
    bin !== undefined || donor !== undefined || source !== undefined || grades !== undefined || uses.length > 0;
  if (isLike && words.length === 0)
    return { kind: 'not-understood', words: unread.length > 0 ? unread : [text.trim()], maybe: [] };
  if (hasKind || words.length > 0) return undefined;
  if (unread.length > 0) return { kind: 'not-understood', words: unread, maybe: [] };
  if (figures.length > 0) {
    // One figure alone may be of anything; several narrow it down.
    const isTold =
      figures.every(({ unit, name }) => unit !== undefined || name !== undefined) &&
      figures.length + packages.length > 1;
    if (isTold) return undefined;
    const [figure] = figures;
    const token = figure?.text ?? text;
    return {
      kind: 'kind-needed',
      token: figure?.token ?? text,
      maybe: OFFERED.filter((kind) => figure?.unit === undefined || figure.unit !== 'volt' || kind !== 'relay').map(
        (kind) => `${kindRule(kind).words[0] ?? kind} ${figure?.isBare ? `${token}V` : token}`,
      ),
    };
  }
  if (packages.length > 0 || isElsewhere) return undefined;
  return unread.length > 0 || text.trim() !== ''
    ? { kind: 'not-understood', words: unread.length > 0 ? unread : [text.trim()], maybe: [] }
    : undefined;
}
