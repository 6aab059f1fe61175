import { isPrefix, isReference } from '../references';
import type { BenchContext, PinRelation } from '../record';
import type { Token } from '../tokens';
import { isBareNumber, shorthandOf, valueOf } from '../values';
import { meaningsOf } from '../vocabulary';
import { LINKS, DENIALS, PATHS, ASIDE } from './words';
import { parted, isPin } from './cutPins';
import { type NamedPin, REF_WITH_SIGN, spreadPins, pinBehind, pinBefore, pinAgain } from './namedPins';
import { type ReadJoin, resolve } from './resolve';

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
    const spread = spreadPins(tokens, index);
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
    if (/^(?:nothing|nowhere)$/.test(lower) && tokens[index + 1]?.text.toLowerCase() === 'else') {
      isSweep = true;
      index += 2;
      continue;
    }
    if (lower === 'nowhere') {
      isSweep = tokens.some((token) => token.text.toLowerCase() === 'else');
      index += 1;
      continue;
    }
    if (lower === 'else') {
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
  // An R in it is ohms, whatever stands between the pins.
  return ohms && (relation === 'through' || /^\d*[.,]?\d*R\d*$/i.test(text)) ? { ohms: ohms.value } : undefined;
}
