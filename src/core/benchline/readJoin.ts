import type { KindName } from '../part';
import { isPinWord, kindWithPins, pinOf, pinsOfKind } from './pins';
import { isPrefix, isReference, leadingReferences } from './references';
import type { BenchContext, BenchProblem, BenchRecord, ContextPart, PinRelation } from './record';
import type { Token } from './tokens';
import { isBareNumber, shorthandOf, valueOf } from './values';
import { meaningsOf } from './vocabulary';

/** What a line says of pins, as records: parts that had to be logged for it first. */
export type ReadJoin =
  | { readonly records: readonly BenchRecord[]; readonly unplaced: readonly Token[] }
  | { readonly problem: BenchProblem };

const PIN = /[a-z]{1,4}\d{1,4}[a-z]?\.(?:[a-z0-9_]{1,8}|[+~−-])/iy;
const SIGN = /(?:<->|->|→|[-–—=~×,]|x(?=[a-z]{1,4}\d))/iy;
const REF_WITH_SIGN = /^([a-z]{1,4}\d{1,4})([+-])$/i;

/** Words that part one pin from the next, with the relation that they state; a few only part. */
const LINKS: Readonly<Record<string, PinRelation | ''>> = {
  '-': 'joined',
  '–': 'joined',
  '—': 'joined',
  '->': 'joined',
  '→': 'joined',
  '<->': 'joined',
  '=': 'joined',
  '==': 'joined',
  '+': '',
  ',': '',
  '&': '',
  x: 'separate',
  '×': 'separate',
  '~': 'through',
  to: '',
  and: '',
  with: '',
  mit: '',
  an: '',
  zu: '',
  und: '',
  à: '',
  et: '',
  avec: '',
  goes: '',
  is: '',
  are: '',
  also: '',
  on: '',
  straight: '',
  directly: '',
  same: '',
  net: 'joined',
  beeps: 'joined',
  beep: 'joined',
  piept: 'joined',
  bip: 'joined',
  joined: 'joined',
  joins: 'joined',
  connected: 'joined',
  connects: 'joined',
  tied: 'joined',
  ties: 'joined',
  continuity: 'joined',
  verbunden: 'joined',
  relié: 'joined',
  reliée: 'joined',
  connecté: 'joined',
  shorted: 'joined',
  short: 'joined',
  dead: '',
  link: 'joined',
  linked: 'joined',
};
const DENIALS =
  /^(?:not|no|nothing|isn'?t|aren'?t|isnt|arent|doesn'?t|doesnt|don'?t|nicht|kein|keine|pas|never|isolated|separate|open)$/i;
const PATHS = /^(?:thru|through|via|über|par)$/i;
/** Words of a sentence about pins that add nothing. */
const ASIDE =
  /^(?:between|together|each|other|which|pin|pins|the|a|of|leg|legs|terminal|terminals|end|all|both|it|there|bridge|resistor|cap|at|side|meter|says|reads|about|only|just|ok|low|range|do|does|du|de|der|die|das|le|la)$/i;

interface NamedPin {
  readonly ref: string;
  readonly word: string;
  readonly token: Token;
}

/** `U1-6 to R7-1`: a pin behind a dash, where two such stand with a word between them. */
function dashed(tokens: readonly Token[]): readonly Token[] {
  const isDashed = (token: Token) => /^[a-z]{1,4}\d{1,4}-\d{1,2}$/i.test(token.text);
  const isSentence =
    tokens.filter(isDashed).length > 1 &&
    tokens.some(({ text }) => Object.hasOwn(LINKS, text.toLowerCase()) && LINKS[text.toLowerCase()] !== undefined);
  return isSentence
    ? tokens.map((token) => (isDashed(token) ? { ...token, text: token.text.replace('-', '.') } : token))
    : tokens;
}

/** Cuts words that hold several pins and signs without blanks: `c5.+-j2.+`, `q1.s=q2.d`, `xbr1.-`. */
function parted(typed: readonly Token[], { parts }: BenchContext): Token[] {
  const tokens = dashed(typed);
  const isKnown = (ref: string) => parts.some((part) => part.ref === ref.toUpperCase());
  return tokens.flatMap((token) => {
    if (!/\.[a-z0-9+~−-]/i.test(token.text) || FUSE_PRINT.test(token.text)) return [token];
    const pieces: Token[] = [];
    let at = 0;
    while (at < token.text.length) {
      SIGN.lastIndex = at;
      PIN.lastIndex = at;
      const pin = PIN.exec(token.text);
      // “xbr1.-” keeps BR1 apart, unless there is a part XBR1.
      const crossed = /^x([a-z]{1,3}\d+)\./i.exec(pin?.[0] ?? '');
      const found =
        pin && !(crossed && !isKnown(`x${crossed[1]}`) && isKnown(crossed[1] ?? '')) ? pin : SIGN.exec(token.text);
      if (!found) return [token];
      const start = token.start + at;
      pieces.push({ text: found[0], start, end: start + found[0].length, parted: false });
      at += found[0].length;
    }
    const last = pieces.pop();
    return last ? [...pieces, { ...last, parted: token.parted }] : [token];
  });
}

/** `F1.6A` is the print of a fuse. */
const FUSE_PRINT = /^[fmt]\d+[.,]\d+a[hl]?(?:\d+v)?$/i;
const isPin = (text: string) =>
  !FUSE_PRINT.test(text) && /^[a-z]{1,4}\d{1,4}[a-z]?\.(?:[a-z0-9_]{1,8}|[+~−-])$/i.test(text);

/**
 * Reads what a meter says between pins: joined, not joined, or a reading through what lies between. Pins by letter,
 * number, function or leg; joined by signs or in words.
 * @returns undefined when the statement names no pin
 */
export function readJoin(typed: readonly Token[], context: BenchContext): ReadJoin | undefined {
  const tokens = parted(typed, context);
  const pins: NamedPin[] = [];
  const bare: Token[] = [];
  const unplaced: Token[] = [];
  let relation: PinRelation | undefined;
  let denied = false;
  let through: string | undefined;
  let isSweep = false;
  let [ohms, drop]: [number | undefined, number | undefined] = [undefined, undefined];
  let linked = 0;
  const hasLink = tokens.some(
    ({ text }) => LINKS[text.toLowerCase()] !== undefined && !/^(?:and|is|on|are|\+|,)$/i.test(text),
  );
  for (let index = 0; index < tokens.length;) {
    const token = tokens[index];
    if (!token) break;
    const { text } = token;
    const lower = text.toLowerCase();
    const kindAt = (ref: string) => context.parts.find((part) => part.ref === ref)?.kind;
    if (isPin(text)) {
      const dot = text.indexOf('.');
      pins.push({ ref: text.slice(0, dot).toUpperCase(), word: text.slice(dot + 1), token });
      index += 1;
      continue;
    }
    const signed = REF_WITH_SIGN.exec(text);
    if (signed?.[1] && signed[2]) {
      pins.push({ ref: signed[1].toUpperCase(), word: signed[2], token });
      index += 1;
      continue;
    }
    if (PATHS.test(lower) && isReference(tokens[index + 1]?.text ?? '')) {
      through = tokens[index + 1]?.text.toUpperCase();
      index += 2;
      continue;
    }
    const spread = spreadPins(tokens, index, context);
    if (spread) {
      pins.push(...spread.pins);
      index += spread.used;
      continue;
    }
    const said =
      pinBehind(tokens, index, kindAt, pins.length + linked > 0 || hasLink) ??
      pinBefore(tokens, index) ??
      pinAgain(tokens, index, pins.at(-1));
    if (said) {
      pins.push(said.pin);
      index += said.used;
      continue;
    }
    if (lower === 'only' && pins.length === 1 && index === tokens.length - 1) {
      isSweep = true;
      index += 1;
      continue;
    }
    if (DENIALS.test(lower)) {
      denied = true;
      index += 1;
      continue;
    }
    if (Object.hasOwn(LINKS, lower)) {
      const states = LINKS[lower];
      if (states) relation = relation === undefined || relation === 'joined' ? states : relation;
      linked += 1;
      index += 1;
      continue;
    }
    if (isReference(text) && (kindAt(text.toUpperCase()) !== undefined || isPrefix(text.replace(/\d.*$/, '')))) {
      bare.push(token);
      index += 1;
      continue;
    }
    const reading = pins.length > 0 ? readingFrom(text, relation) : undefined;
    if (reading) {
      ({ ohms, drop } = { ohms, drop, ...reading });
      if (relation !== 'through' && !('bare' in reading)) relation = 'through';
      index += 1;
      continue;
    }
    if (!ASIDE.test(lower) && !meaningsOf(text).some(({ as }) => as === 'filler' || as === 'kind'))
      unplaced.push(token);
    index += 1;
  }
  if (pins.length === 0) return bareReferences(bare, tokens, linked);
  const [only] = pins;
  if (pins.length + bare.length < 2 && !isSweep)
    return only && isPin(only.token.text) && unplaced.length === 0
      ? { problem: { kind: 'nothing-said', ref: `${only.ref}.${only.word.toUpperCase()}` } }
      : undefined;
  const [stray] = unplaced;
  if (relation === 'through' && stray && ohms === undefined && drop === undefined)
    return {
      problem: {
        kind: 'value-unreadable',
        word: stray.text,
        expected: 'a resistance such as 0R22, or a diode reading such as 0.52V,',
      },
    };
  if (linked === 0 && !denied && !isSweep && through === undefined && ohms === undefined && drop === undefined) {
    const line = tokens.map(({ text }) => text).join(' ');
    const names = pins.map(({ token }) => token.text);
    if (unplaced.length > 0) return undefined;
    return {
      problem: {
        kind: 'unclear',
        word: names[0] ?? line,
        question: 'Do they beep, or not?',
        maybe: [names.join(' - '), names.join(' x ')],
      },
    };
  }
  const wanted = [...pins, ...bare.map((token) => ({ ref: token.text.toUpperCase(), word: '', token }))].sort(
    (a, b) => a.token.start - b.token.start,
  );
  return resolve(wanted, {
    relation: denied ? 'separate' : (relation ?? (ohms !== undefined || drop !== undefined ? 'through' : 'joined')),
    through,
    isSweep,
    ohms,
    drop,
    unplaced,
    context,
  });
}

/** `q1-t1`: parts without pins say too little, unless something else is said of them. */
function bareReferences(bare: readonly Token[], tokens: readonly Token[], linked: number): ReadJoin | undefined {
  const glued =
    tokens.length === 1 ? /^([a-z]{1,4}\d{1,4})\s*[-–=~]\s*([a-z]{1,4}\d{1,4})$/i.exec(tokens[0]?.text ?? '') : null;
  const refs = glued ? [glued[1] ?? '', glued[2] ?? ''] : bare.map(({ text }) => text);
  if (refs.length < 2 || (!glued && (linked === 0 || bare.length + linked < tokens.length))) return undefined;
  const letters = new Set(refs.map((ref) => ref.replace(/\d+.*/, '').toUpperCase()));
  if (letters.size < 2) return undefined;
  const names = refs.map((ref) => ref.toUpperCase());
  return {
    problem: {
      kind: 'unclear',
      word: glued ? (tokens[0]?.text ?? '') : (bare[0]?.text ?? ''),
      question: `Which pin of ${names.join(', which of ')}?`,
      maybe: [],
    },
  };
}

/** `c10..c12 all + to l2.2`: one pin of each of several parts. */
function spreadPins(
  tokens: readonly Token[],
  index: number,
  context: BenchContext,
): { pins: NamedPin[]; used: number } | undefined {
  if (index !== 0) return undefined;
  const leading = leadingReferences(tokens);
  if (!leading || 'problem' in leading || leading.refs.length < 2) return undefined;
  const used = tokens.length - leading.rest.length;
  let at = used;
  while (/^(?:all|both|each|every|alle|tous)$/i.test(tokens[at]?.text ?? '')) at += 1;
  const word = tokens[at];
  if (!word || !isPinWord(word.text) || (at === used && /^\d+$/.test(word.text))) return undefined;
  if (at === used && /^[-–~]$/.test(word.text)) return undefined;
  void context;
  return { pins: leading.refs.map((ref) => ({ ref, word: word.text, token: word })), used: at + 1 };
}

/** `Q1 drain`, `Q1 pin 1`, `T1 (6)`, `d5 middle leg`, `TR1 MT2`. */
function pinBehind(
  tokens: readonly Token[],
  index: number,
  kindAt: (ref: string) => KindName | undefined,
  isJoin: boolean,
): { pin: NamedPin; used: number } | undefined {
  const token = tokens[index];
  if (!token || !isReference(token.text)) return undefined;
  const ref = token.text.toUpperCase();
  let used = 1;
  let next = tokens[index + used];
  const isPinSaid = /^(?:pin|leg|no|number|terminal|broche|anschluss)$/i.test(next?.text ?? '');
  const glued = /^pin(\d{1,2})$/i.exec(next?.text ?? '');
  if (glued?.[1]) return { pin: { ref, word: glued[1], token }, used: 2 };
  if (isPinSaid) {
    used += 1;
    next = tokens[index + used];
  }
  if (!next || /\s/.test(next.text)) return undefined;
  const kind = kindAt(ref);
  const isSign = /^[-–~+]$/.test(next.text);
  // A sign behind a reference is a pin in brackets, or where another link or the end follows it.
  const after = tokens[index + used + 1]?.text.toLowerCase();
  const isNamed =
    next.bracketed === true ||
    isPinSaid ||
    (isSign ? after === undefined || Object.hasOwn(LINKS, after) : isPinWord(next.text) && !/^\d+$/.test(next.text)) ||
    (isJoin &&
      /^\d{1,2}$/.test(next.text) &&
      (after === undefined || Object.hasOwn(LINKS, after) || PATHS.test(after)) &&
      (kind ?? kindWithPins(ref, [next.text])) !== undefined);
  if (!isNamed) return undefined;
  used += 1;
  if (/^(?:leg|pin|legs)$/i.test(tokens[index + used]?.text ?? '') && !isPinSaid) used += 1;
  return { pin: { ref, word: next.text, token }, used };
}

/** `gnd of u1`, `pin 4 of u2`, `drain of q1`. */
function pinBefore(tokens: readonly Token[], index: number): { pin: NamedPin; used: number } | undefined {
  let at = index;
  if (/^(?:pin|leg)$/i.test(tokens[at]?.text ?? '')) at += 1;
  const word = tokens[at];
  if (!word || !isPinWord(word.text)) return undefined;
  if (/^(?:pin|leg)$/i.test(tokens[at + 1]?.text ?? '')) at += 1;
  if (!/^(?:of|from|on|von|de)$/i.test(tokens[at + 1]?.text ?? '')) return undefined;
  const ref = tokens[at + 2];
  if (!ref || !isReference(ref.text)) return undefined;
  return { pin: { ref: ref.text.toUpperCase(), word: word.text, token: word }, used: at + 3 - index };
}

/** `T1 pin 1 to pin 3`: the second is of the same part. */
function pinAgain(
  tokens: readonly Token[],
  index: number,
  last: NamedPin | undefined,
): { pin: NamedPin; used: number } | undefined {
  const [pin, word] = [tokens[index], tokens[index + 1]];
  if (!last || !pin || !word || !/^(?:pin|leg)$/i.test(pin.text) || !isPinWord(word.text) || isPinWord(pin.text))
    return undefined;
  return { pin: { ref: last.ref, word: word.text, token: word }, used: 2 };
}

function readingFrom(
  text: string,
  relation: PinRelation | undefined,
): { ohms: number } | { drop: number } | { ohms: number; bare: true } | undefined {
  const value = valueOf(text);
  if (value?.unit === 'volt') return { drop: value.quantity.value };
  if (value?.unit === 'ohm') return { ohms: value.quantity.value };
  if (relation === 'through' && (isBareNumber(text) || /^[.,]\d+$/.test(text))) {
    const ohms = shorthandOf(text, 'ohm');
    return ohms ? { ohms: ohms.value, bare: true } : undefined;
  }
  const ohms = isBareNumber(text) ? undefined : shorthandOf(text, 'ohm');
  return ohms && relation === 'through' ? { ohms: ohms.value } : undefined;
}

function resolve(
  wanted: readonly NamedPin[],
  of: {
    relation: PinRelation;
    through: string | undefined;
    isSweep: boolean;
    ohms: number | undefined;
    drop: number | undefined;
    unplaced: readonly Token[];
    context: BenchContext;
  },
): ReadJoin {
  const { context, through, relation } = of;
  const assumed = new Map<string, ContextPart>();
  for (const { ref } of wanted) {
    if (context.parts.some((part) => part.ref === ref) || assumed.has(ref)) continue;
    const words = wanted.filter((pin) => pin.ref === ref && pin.word !== '').map(({ word }) => word);
    const kind = kindWithPins(ref, words);
    if (kind === undefined) return { problem: { kind: 'no-part', ref } };
    assumed.set(ref, { ref, kind });
  }
  const partOf = (ref: string) => assumed.get(ref) ?? context.parts.find((part) => part.ref === ref);
  const pins: string[] = [];
  const chains: string[][] = [pins];
  for (const [index, { ref, word, token }] of wanted.entries()) {
    const part = partOf(ref);
    if (!part) continue;
    // A part named whole between two others is in line with them: in at one end, out at the other.
    if (word === '' && index > 0 && index < wanted.length - 1 && relation === 'joined' && isTwoEnded(part)) {
      chains.at(-1)?.push(`${ref}.1`);
      chains.push([`${ref}.2`]);
      continue;
    }
    const name = word === '' ? freeEnd(part, pins) : pinOf(part, word);
    if (name === undefined)
      return word === ''
        ? { problem: { kind: 'unclear', word: token.text, question: `Which pin of ${ref}?`, maybe: [] } }
        : { problem: { kind: 'no-pin', word, ref, pins: pinsOfKind(part.kind) } };
    const pin = `${ref}.${name}`;
    if (chains.some((chain) => chain.includes(pin))) return { problem: { kind: 'same-pin', word: pin } };
    chains.at(-1)?.push(pin);
  }
  const logged = [...assumed.values()].map(({ ref, kind }): BenchRecord => ({
    kind: 'part',
    ref,
    partKind: kind,
    fitments: [],
    damage: [],
    ratings: [],
    isAssumed: true,
  }));
  if (of.isSweep) return { records: [...logged, { kind: 'sweep', pin: pins[0] ?? '' }], unplaced: of.unplaced };
  if (through !== undefined && relation !== 'separate') {
    const [one = '', other = ''] = pins;
    const path = context.parts.find((part) => part.ref === through) ?? {
      ref: through,
      kind: kindWithPins(through, ['1', '2']),
    };
    if (path.kind === undefined || pins.length !== 2 || !pinsOfKind(path.kind).includes('1'))
      return { problem: { kind: 'unclear', word: through, question: `Which pins of ${through}?`, maybe: [] } };
    const own: readonly BenchRecord[] = context.parts.some((part) => part.ref === through)
      ? []
      : [{ kind: 'part', ref: through, partKind: path.kind, fitments: [], damage: [], ratings: [], isAssumed: true }];
    return {
      records: [
        ...logged,
        ...own,
        { kind: 'join', relation: 'joined', pins: [one, `${through}.1`] },
        { kind: 'join', relation: 'joined', pins: [`${through}.2`, other] },
      ],
      unplaced: of.unplaced,
    };
  }
  if (chains.length > 1)
    return {
      records: [...logged, ...chains.map((chain): BenchRecord => ({ kind: 'join', relation: 'joined', pins: chain }))],
      unplaced: of.unplaced,
    };
  return {
    records: [
      ...logged,
      {
        kind: 'join',
        relation,
        pins,
        ...(of.ohms === undefined ? {} : { ohms: of.ohms }),
        ...(of.drop === undefined ? {} : { drop: of.drop }),
      },
    ],
    unplaced: of.unplaced,
  };
}

/** The end of a part without polarity that nothing is joined to yet. */
function freeEnd(part: ContextPart, taken: readonly string[]): string | undefined {
  if (!isTwoEnded(part)) return undefined;
  return ['1', '2'].find((name) => !(part.joined ?? []).includes(name) && !taken.includes(`${part.ref}.${name}`));
}

/** Whether a part has two ends that are alike. */
function isTwoEnded(part: ContextPart): boolean {
  const known = pinsOfKind(part.kind);
  const isPlain =
    ['resistor', 'inductor', 'fuse', 'thermistor', 'varistor', 'lamp', 'switch', 'spark-gap', 'diac'].includes(
      part.kind,
    ) ||
    (part.kind === 'capacitor' && ['ceramic', 'film', 'x', 'x1', 'x2', 'y', 'y1', 'y2'].includes(part.subtype ?? ''));
  return isPlain && known.includes('1');
}
