import { parseQuantity, type Quantity } from '../quantity';
import type { BenchProblem, BenchRecord } from './record';
import type { Token } from './tokens';
import { isBareNumber, valueOf } from './values';
import { meaningsOf } from './vocabulary';

const TIME_WORDS = /^(?:@|after|in|at|nach|après|apres|bei|à|t=)$/i;

/** What a line says of the voltage of a store, with its times. */
export type ReadReadings =
  | { readonly records: readonly BenchRecord[]; readonly hasTime: boolean; readonly unplaced: readonly Token[] }
  | { readonly problem: BenchProblem };

/**
 * Voltages of a store with the time of each: `212V @ 15s`, `300v @5s 210v @20s`, `drops to 20 V in 1 min`. The voltage
 * is recorded as it was typed; a comma that may part thousands, and an alternating voltage, are asked about.
 * @returns undefined when no voltage is named
 */
export function readReadings(store: string, typed: readonly Token[]): ReadReadings | undefined {
  const records: BenchRecord[] = [];
  const unplaced: Token[] = [];
  let pending: Quantity | undefined;
  let hasTime = false;
  /** “nach 30 s 95 V”: a time that stands before its voltage. */
  let ahead: number | undefined;
  const close = (elapsed?: number) => {
    if (pending)
      records.push({ kind: 'reading', store, voltage: pending, ...(elapsed === undefined ? {} : { elapsed }) });
    pending = undefined;
  };
  const [first] = typed;
  const tokens = typed.flatMap((token, index) => spelledTime(typed, token, index));
  const isTimed = tokens.some(
    ({ text }, index) =>
      text.includes('@') || (TIME_WORDS.test(text) && valueOf(tokens[index + 1]?.text ?? '')?.unit === 'second'),
  );
  for (let index = 0; index < tokens.length; index += 1) {
    const token = tokens[index];
    if (!token) break;
    const text = token.text.replace(/^-(?=\d)/, '-');
    const grouped = inGroups(text, tokens[index + 1]?.text);
    if (grouped) return { problem: grouped };
    const split = /^([^@]+)@(.*)$/.exec(text);
    if (split?.[1]) {
      // “61V@1:04” holds both.
      const volts = readVolts(split[1]);
      if (volts === undefined)
        return { problem: { kind: 'value-unreadable', word: split[1], expected: 'a voltage such as 212V' } };
      if ('problem' in volts) return volts;
      close();
      pending = volts;
      const elapsed = readTime(split[2] || (tokens[(index += 1)]?.text ?? ''));
      if (elapsed === undefined) return { problem: { kind: 'negative-time', word: split[2] || '@' } };
      hasTime = true;
      close(elapsed);
      continue;
    }
    const behind = TIME_WORDS.test(text) ? tokens[index + 1]?.text : text.startsWith('@') ? text.slice(1) : undefined;
    if (behind !== undefined && (pending || text.startsWith('@'))) {
      const elapsed = readTime(behind);
      if (elapsed !== undefined && pending) {
        hasTime = true;
        close(elapsed);
        if (TIME_WORDS.test(text)) index += 1;
        continue;
      }
      if (text.startsWith('@')) {
        if (!pending)
          return {
            problem: {
              kind: 'value-unreadable',
              word: tokens[index - 1]?.text ?? first?.text ?? '',
              expected: 'a voltage such as 212V',
            },
          };
        return { problem: { kind: 'negative-time', word: behind || '@' } };
      }
      continue;
    }
    const volts = readVolts(text) ?? (isTimed && isBareNumber(text) ? readVolts(`${text}V`) : undefined);
    if (volts) {
      if ('problem' in volts) return volts;
      close();
      pending = volts;
      if (ahead !== undefined) {
        hasTime = true;
        close(ahead);
        ahead = undefined;
      }
      continue;
    }
    if (behind !== undefined && !pending && records.length === 0 && valueOf(behind)?.unit === 'second') {
      ahead = readTime(behind);
      index += 1;
      continue;
    }
    const elapsed = pending && valueOf(text)?.unit === 'second' ? readTime(text) : undefined;
    if (elapsed !== undefined) {
      hasTime = true;
      close(elapsed);
      continue;
    }
    if (
      /^(?:holds|holding|has|hat|noch|encore|reste|charged|discharged|bled|bleeds|sits|drops|dropped|down|falls|fell|decays|decayed|to|still|now|sits|dc|left|only|after|later|unplugging|unplugged|power|off|switching|since|pulling|plug|ago)$/i.test(
        text,
      )
    )
      continue;
    if (!meaningsOf(text).some(({ as }) => as === 'filler' || as === 'measures' || as === 'marked'))
      unplaced.push(token);
  }
  close();
  return records.length === 0 ? undefined : { records, hasTime, unplaced };
}

const TIME_NAMES: Readonly<Record<string, string>> = { second: 's', minute: 'min', hour: 'h' };

/** “after a minute”, “after half an hour”: a time in words. */
function spelledTime(tokens: readonly Token[], token: Token, index: number): Token[] {
  const [before, next] = [tokens[index - 1]?.text.toLowerCase() ?? '', tokens[index + 1]];
  const unit = TIME_NAMES[next?.text.toLowerCase() ?? ''];
  const isHalf = before === 'half';
  if (/^(?:an?|one)$/i.test(token.text) && unit && next)
    return [{ ...token, text: isHalf ? (HALF[unit] ?? '') : `1${unit}`, end: next.end, parted: next.parted }];
  if (TIME_NAMES[token.text.toLowerCase()] && /^(?:an?|one)$/i.test(before)) return [];
  if (/^(?:start|beginning|anfang|début)$/i.test(token.text) && TIME_WORDS.test(before || 'none'))
    return [{ ...token, text: '0s' }];
  if (/^the$/i.test(token.text) && /^(?:start|beginning)$/i.test(next?.text ?? '')) return [];
  return /^half$/i.test(token.text) && /^an?$/i.test(next?.text ?? '') ? [] : [token];
}
const HALF: Readonly<Record<string, string>> = { s: '0.5s', min: '30s', h: '30min' };

function readVolts(text: string): Quantity | { readonly problem: BenchProblem } | undefined {
  const value = valueOf(text);
  if (value?.unit !== 'volt') return undefined;
  if (value.ac) return { problem: { kind: 'ac-range', word: text } };
  if (/[mµu]v(?:dc|⎓|=)?$/i.test(text) && !/MV/.test(text)) return { problem: { kind: 'millivolt-range', word: text } };
  if (value.ambiguous)
    return {
      problem: {
        kind: 'unclear',
        word: text,
        question: `${text}: is the comma a decimal point, or does it part thousands? Type it without the comma.`,
        maybe: [],
      },
    };
  return value.quantity;
}

/** “1 200V”: a blank that parts thousands, or two readings; never taken for either. */
function inGroups(text: string, next: string | undefined): BenchProblem | undefined {
  const [, tail = ''] = /^(\d{3}(?:[.,]\d+)?)v/i.exec(next ?? '') ?? [];
  return tail !== '' && /^[1-9]\d{0,2}$/.test(text)
    ? {
        kind: 'unclear',
        word: `${text} ${next ?? ''}`,
        question: `${text} ${next ?? ''}: does the blank part thousands, or are these two readings? Type the number without a blank, or each voltage with its V.`,
        maybe: [],
      }
    : undefined;
}

function readTime(text: string): number | undefined {
  const parsed = parseQuantity(text, 'second');
  return parsed.ok ? parsed.quantity.value : undefined;
}
