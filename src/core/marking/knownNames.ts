import { CHIP_FAMILIES, type ChipFamily } from '../chips';
import type { Draft, MarkingContext } from './decoding';
import { BIPOLAR_TYPES, FET_TYPES, THYRISTOR_TYPES } from './types/transistorTypes';
import { CHIP_CODES } from './types/chipCodes';
import { DIODE_TYPES } from './types/diodeTypes';
import { mayBeTakenFor } from './wear';

/** A number that is remembered, with what it says. */
interface KnownName {
  readonly name: string;
  readonly rule: string;
  readonly prior: number;
  /** What may stand behind the number: package and grade letters. */
  readonly behind: RegExp;
  draft(text: string): Draft;
}

/** A name found in a text. */
export interface NameMatch {
  readonly rule: string;
  readonly prior: number;
  readonly draft: Draft;
  readonly changes: number;
  readonly gaps: number;
  readonly name: string;
}

const GRADE = /^(?:[A-Z]{1,3}|-?\d{2}[A-Z]?|-[A-Z\d]{1,3})$/;
const CHIP_GRADE = /^-?[A-Z][A-Z\d]{0,7}(?:-[A-Z\d]{1,4})?$|^-\d{1,3}[A-Z]?$/;
/** Fewest readable characters that may name a part. */
const FEWEST_READ = 3;
const MOST_EVENTS = 2;

function chipDraft(family: ChipFamily, text: string): Draft {
  return {
    kind: family.kind,
    ratings: family.kind === 'shunt-reference' && family.feedback !== undefined ? { vout: family.feedback } : {},
    facts: { family: family.id, function: family.function },
    why: `${text}: ${family.id === text ? '' : `${family.id} family, `}${family.function}; remembered, check the datasheet`,
  };
}

const KNOWN: readonly KnownName[] = [
  ...CHIP_FAMILIES.flatMap((family) =>
    family.names.map((name): KnownName => ({
      name,
      rule: 'chip-family',
      prior: name.length >= 5 ? 0.95 : 0.85,
      behind: CHIP_GRADE,
      draft: (text) => chipDraft(family, text),
    })),
  ),
  ...BIPOLAR_TYPES.flatMap(({ names, kind, vceo, ic }) =>
    names.flatMap(withoutPrefix).map(({ name, share }): KnownName => ({
      name,
      rule: 'transistor-type',
      // Bare digits such as 9013 or 13003 may be many things.
      prior: (/^\d+$/.test(name) ? 0.55 : 0.93) * share,
      behind: GRADE,
      draft: (text) => ({
        kind,
        ratings: { vceo, ic },
        why: `${text}: ${kind.toUpperCase()}, ${vceo} V, ${ic} A`,
      }),
    })),
  ),
  ...FET_TYPES.flatMap(({ names, kind, vds, id, rdsOn }) =>
    names.flatMap(withoutPrefix).map(({ name, share }): KnownName => ({
      name,
      rule: 'fet-type',
      prior: 0.95 * share,
      behind: GRADE,
      draft: (text) => ({
        kind,
        ratings: { vds, id, ...(rdsOn === undefined ? {} : { rdsOn }) },
        why: `${text}: ${kind === 'nmos' ? 'N' : 'P'} channel, ${vds} V, ${id} A`,
      }),
    })),
  ),
  ...THYRISTOR_TYPES.flatMap(({ names, kind, itRms, vdrm }) =>
    names.map((name): KnownName => ({
      name,
      rule: 'thyristor-type',
      prior: 0.95,
      behind: GRADE,
      draft: (text) => ({
        kind,
        ratings: { itRms, vdrm },
        why: `${text}: ${kind === 'scr' ? 'thyristor' : 'triac'}, ${itRms} A, ${vdrm} V`,
      }),
    })),
  ),
  ...DIODE_TYPES.flatMap(({ names, kind = 'diode', vrrm, ifav, vz, technology }) =>
    names.map((name): KnownName => ({
      name,
      rule: 'diode-type',
      prior: /^\d+$/.test(name) ? 0.55 : 0.93,
      behind: /^[A-Z]{1,3}$/,
      draft: (text) => ({
        kind,
        ratings: {
          ...(vrrm === undefined ? {} : { vrrm }),
          ...(ifav === undefined ? {} : { ifav }),
          ...(vz === undefined ? {} : { vz }),
        },
        facts: { technology },
        why: `${text}: ${[ifav === undefined ? '' : `${ifav} A`, vrrm === undefined ? '' : `${vrrm} V`, vz === undefined ? '' : `${vz} V`, technology].filter((word) => word !== '').join(', ')}`,
      }),
    })),
  ),
];

/** JIS numbers go without their 2S on the case. */
function withoutPrefix(name: string): { name: string; share: number }[] {
  return name.startsWith('2S')
    ? [
        { name, share: 1 },
        { name: name.slice(2), share: 0.92 },
      ]
    : [{ name, share: 1 }];
}

const BY_NAME = new Map<string, KnownName[]>();
for (const known of KNOWN) BY_NAME.set(known.name, [...(BY_NAME.get(known.name) ?? []), known]);

const BY_CORE = new Map(CHIP_FAMILIES.flatMap((family) => family.cores.map((core) => [core, family] as const)));
const SHORTEST = Math.min(...[...BY_NAME.keys()].map((name) => name.length));
const LONGEST = Math.max(...[...BY_NAME.keys()].map((name) => name.length));

/** Codes of parts too small for a number: believed in the cases they are met in, or where the kind is known. */
function chipCodes(text: string, { kind, package: case_ }: MarkingContext): NameMatch[] {
  return CHIP_CODES.flatMap(({ codes, cases = ['SOT-23', 'SOT-323'], ...of }): NameMatch[] => {
    const isCase = case_ !== undefined && cases.includes(case_);
    if (!codes.includes(text) || !(isCase || kind === of.kind || (case_ === undefined && text === 'A7'))) return [];
    const isSeen = isCase || kind !== undefined;
    return [
      {
        rule: 'chip-code',
        // Never sure: it tells what to look up, and decides nothing.
        prior: !isSeen ? 0.3 : isCase && text.length > 2 ? 0.48 : 0.42,
        changes: 0,
        gaps: 0,
        name: text,
        draft: {
          kind: of.kind,
          ratings: of.ratings,
          ...(of.technology === undefined ? {} : { facts: { technology: of.technology } }),
          why: `${text}: code of ${of.stands}; other makers use it for other parts, measure before you rely on it`,
        },
      },
    ];
  });
}

/** Remembered numbers that begin a text, the longest one; package letters may follow. */
export function knownNames(text: string, context: MarkingContext): NameMatch[] {
  const coded = chipCodes(text, context);
  if (coded.length > 0) return coded;
  for (let length = Math.min(text.length, LONGEST); length >= SHORTEST; length -= 1) {
    const found = BY_NAME.get(text.slice(0, length));
    const rest = text.slice(length);
    const fitting = found?.filter(({ behind }) => rest === '' || fitsBehind(text.charAt(length - 1), rest, behind));
    if (fitting?.length)
      return fitting.map((known) => match(known, text, { changes: 0, gaps: 0, prior: known.prior * restWeight(rest) }));
  }
  return byCore(text, context);
}

/** A chip by its digits behind a maker's letters that are not in the list, or bare when the kind is known. */
function byCore(text: string, { kind, package: case_ }: MarkingContext): NameMatch[] {
  const [, letters = '', digits = '', rest = ''] = /^([A-Z]{0,4})(\d{3,5})([A-Z]{0,3}\d?[A-Z]?)$/.exec(text) ?? [];
  const family = BY_CORE.get(digits);
  if (!family) return [];
  const told = kind === family.kind || (case_ !== undefined && family.packages.includes(case_));
  if (letters === '' && !told) return [];
  const prior =
    (digits.length >= 4 ? 0.75 : 0.55) * (letters === '' ? 0.9 : letters.length === 1 ? 0.8 : 1) * (rest ? 0.97 : 1);
  return [
    {
      rule: 'chip-digits',
      prior,
      changes: 0,
      gaps: 0,
      name: text,
      draft: {
        ...chipDraft(family, text),
        why: `${text}: ${family.id} family by its digits, ${family.function}; remembered, check the datasheet`,
      },
    },
  ];
}

/** Chips whose digits a worn text may hold behind the letters of an unlisted maker. */
function coresLike(text: string): NameMatch[] {
  const letters = /^[A-Z?]{1,4}(?=[\dA-Z?]{4})/.exec(text)?.[0] ?? '';
  return [...BY_CORE].flatMap(([core, family]): NameMatch[] => {
    if (core.length < 4) return [];
    for (let start = 1; start <= letters.length; start += 1) {
      const seen = text.slice(start, start + core.length);
      const events = countEvents(seen, core);
      if (events === undefined || events.changes + events.gaps === 0) continue;
      if (!/^[A-Z]{0,3}\d?[A-Z]?$/.test(text.slice(start + core.length))) continue;
      const name = text.slice(0, start) + core + text.slice(start + core.length);
      return [{ rule: 'chip-digits', prior: 0.7, name, ...events, draft: chipDraft(family, name) }];
    }
    return [];
  });
}

/** Unreadable and changed characters between what is seen and a name, or nothing when they are too many. */
function countEvents(seen: string, name: string): { changes: number; gaps: number } | undefined {
  if (seen.length < name.length) return undefined;
  let changes = 0;
  let gaps = 0;
  for (let index = 0; index < name.length; index += 1) {
    const letter = seen.charAt(index);
    if (letter === '?') gaps += 1;
    else if (letter !== name.charAt(index)) {
      if (!mayBeTakenFor(letter, name.charAt(index))) return undefined;
      changes += 1;
    }
    if (changes + gaps > MOST_EVENTS) return undefined;
  }
  return name.length - gaps - changes < FEWEST_READ ? undefined : { changes, gaps };
}

/** Remembered numbers that a worn text may stand for; `?` stands for any character. */
export function namesLike(text: string): NameMatch[] {
  const found = coresLike(text);
  for (const known of KNOWN) {
    const { name } = known;
    const events = countEvents(text, name);
    if (!events) continue;
    const rest = text.slice(name.length);
    if (rest !== '' && !fitsBehind(name.at(-1) ?? '', rest.replaceAll('?', 'A'), known.behind)) continue;
    const clear = restWeight(rest) * (rest.includes('?') ? 0.9 : 1);
    found.push(match(known, name + rest, { ...events, prior: known.prior * clear }));
  }
  return found;
}

function match(known: KnownName, text: string, of: { changes: number; gaps: number; prior: number }): NameMatch {
  return { rule: known.rule, draft: known.draft(text), name: text, ...of };
}

function fitsBehind(last: string, rest: string, behind: RegExp): boolean {
  // Another digit behind a digit makes another number.
  return !(/\d/.test(last) && /^\d/.test(rest)) && behind.test(rest);
}

function restWeight(rest: string): number {
  return rest === '' ? 1 : Math.max(0.85, 1 - 0.015 * rest.length);
}
