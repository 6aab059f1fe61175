import { BOARD_KINDS, DUAL_DIODE_PINS, isBoardKind } from '../../board';
import { packageRule, type KindName } from '../../part';
import { kindsOfReference } from '../references';
import type { ContextPart } from '../record';

/** What people call pins, with the names that boards use; the first that the part has is meant. Common practice, no source. */
const PIN_WORDS: Readonly<Record<string, readonly string[]>> = {
  drain: ['D'],
  gate: ['G'],
  source: ['S'],
  base: ['B'],
  basis: ['B'],
  collector: ['C'],
  kollektor: ['C'],
  collecteur: ['C'],
  emitter: ['E'],
  émetteur: ['E'],
  anode: ['A'],
  cathode: ['K'],
  kathode: ['K'],
  cath: ['K'],
  band: ['K'],
  stripe: ['K'],
  plus: ['+'],
  positive: ['+'],
  pos: ['+'],
  minus: ['-'],
  negative: ['-'],
  neg: ['-'],
  '–': ['-'],
  '−': ['-'],
  ground: ['GND', '-'],
  gnd: ['GND', '-'],
  masse: ['GND', '-'],
  input: ['IN'],
  output: ['OUT'],
  reference: ['R'],
  ref: ['R'],
  wiper: ['W'],
  slider: ['W'],
  schleifer: ['W'],
  live: ['L'],
  line: ['L'],
  phase: ['L'],
  neutral: ['N'],
  earth: ['E'],
  ac: ['AC1'],
  '~': ['AC1'],
  '~1': ['AC1'],
  '~2': ['AC2'],
  ac1: ['AC1'],
  ac2: ['AC2'],
  // Trigger electrodes of a triac by their other letters.
  a1: ['A1', 'MT1'],
  a2: ['A2', 'MT2'],
};

/** The pin in the middle, and the tab, of parts in cases with a tab. */
const MIDDLE: Partial<Record<KindName, string>> = {
  nmos: 'D',
  pmos: 'D',
  npn: 'C',
  pnp: 'C',
  igbt: 'C',
  triac: 'MT2',
  scr: 'A',
};

/** Pins by number where every part of the kind in the usual case has them so; from multi-source datasheets, from memory. */
const NUMBERED: Partial<Record<KindName, readonly string[]>> = {
  optocoupler: ['A', 'K', 'E', 'C'],
  nmos: ['G', 'D', 'S'],
  pmos: ['G', 'D', 'S'],
  igbt: ['G', 'C', 'E'],
};
/** Kinds of which one may have more pins than two. */
const MORE_PINS: Partial<Record<KindName, readonly string[]>> = {
  inductor: ['1', '2', '3', '4'],
  switch: ['1', '2', '3', '4', '5', '6'],
  relay: [],
};

/** Words that may name a pin behind a reference, whatever its kind. */
export const isPinWord = (word: string): boolean =>
  Object.hasOwn(PIN_WORDS, word.toLowerCase()) ||
  /^(?:[gdsbceakrwln+~-]|mt[12]|ac[12]|a[12]|k[12]|in|out|adj|vcc|vdd|fb|cs|comp|\d{1,2}|(?:middle|centre|center|tab))$/i.test(
    word,
  );

/** Names of the pins of a kind; none where they are the maker's own. */
export function pinsOfKind(kind: KindName): readonly string[] {
  if (kind === 'capacitor') return ['1', '2', '+', '-'];
  if (kind === 'dual-diode') return [...new Set(Object.values(DUAL_DIODE_PINS).flat())];
  return MORE_PINS[kind] ?? (isBoardKind(kind) ? BOARD_KINDS[kind].pins : []);
}

/**
 * The pin of a part that a word means: by its name, its number, what it does, or as the middle leg.
 * @returns undefined when the part has no such pin, or may have several that it names
 */
export function pinOf(
  part: Pick<ContextPart, 'kind' | 'subtype' | 'package' | 'marking'>,
  word: string,
): string | undefined {
  const { kind, subtype = '' } = part;
  const known = pinsOfKind(kind);
  const wanted = word.toLowerCase();
  const exact = known.find((name) => name.toLowerCase() === wanted);
  if (exact !== undefined) return exact;
  if (/^(?:middle|centre|center|tab|mid)$/.test(wanted)) return middleOf(part);
  const named = PIN_WORDS[wanted]?.find((name) => known.length === 0 || known.includes(name));
  if (named !== undefined) return named;
  if (known.length === 0) return /^[a-z0-9_+~-]{1,8}$/i.test(word) ? word.toUpperCase() : undefined;
  if (kind === 'diode' && subtype === 'led' && (wanted === '+' || wanted === '-')) return wanted === '+' ? 'A' : 'K';
  const number = /^\d$/.test(wanted) ? Number(wanted) : 0;
  return number > 0 && isInUsualCase(part) ? NUMBERED[kind]?.[number - 1] : undefined;
}

/** Couplers with six pins carry other numbers; a FET in a case of eight legs has its source there. */
function isInUsualCase({
  kind,
  package: case_ = '',
  marking = '',
}: Pick<ContextPart, 'kind' | 'package' | 'marking'>): boolean {
  const group = packageRule(case_)?.group;
  if (kind === 'optocoupler')
    return (group === undefined || group === 'dip-4') && !/^(?:4N|CNY17|MOC|H11|TIL1)/i.test(marking);
  return group === undefined || group === 'tab';
}

function middleOf({
  kind,
  subtype,
  package: case_ = '',
  marking = '',
}: Pick<ContextPart, 'kind' | 'subtype' | 'package' | 'marking'>): string | undefined {
  const group = packageRule(case_)?.group;
  if (group !== undefined && group !== 'tab') return undefined;
  if (kind === 'potentiometer') return 'W';
  if (kind === 'dual-diode') return subtype === 'common-anode' ? 'A' : subtype === 'series' ? 'M' : 'K';
  if (kind === 'regulator') return /78/.test(marking) ? 'GND' : undefined;
  return MIDDLE[kind];
}

/** The kind that a part not logged yet must be of, for its pins to be named so; by its letters the likeliest. */
export function kindWithPins(ref: string, pins: readonly string[]): KindName | undefined {
  const kinds = kindsOfReference(ref);
  const fits = kinds.filter(([kind]) => pins.every((pin) => pinOf({ kind }, pin) !== undefined));
  const [first] = fits;
  // A bare number says nothing of a transistor's kind.
  if (kinds.length > 1 && kinds[0]?.[0] === 'nmos' && pins.every((pin) => /^\d$/.test(pin))) return undefined;
  const exact = fits.find(([kind]) =>
    pins.every((pin) => pinsOfKind(kind).some((name) => name.toLowerCase() === pin.toLowerCase())),
  );
  return (exact ?? first)?.[0];
}
