import {
  MEASURE_OPS,
  type Coupling,
  type Course,
  type Deck,
  type DeckProblem,
  type Element,
  type Measure,
} from './deck';

const FACTORS: Readonly<Record<string, number>> = {
  f: 1e-15,
  p: 1e-12,
  n: 1e-9,
  u: 1e-6,
  m: 1e-3,
  k: 1e3,
  meg: 1e6,
  g: 1e9,
  t: 1e12,
};

/** A number with a suffix of SPICE (`10u`, `1Meg`); letters behind the suffix are a unit and are ignored. */
export function spiceNumber(text: string): number | undefined {
  const match = /^([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)([a-z]*)$/i.exec(text.trim());
  if (!match?.[1]) return undefined;
  const letters = (match[2] ?? '').toLowerCase();
  const suffix = letters.startsWith('meg') ? 'meg' : letters.slice(0, 1);
  const value = Number(match[1]) * (FACTORS[suffix] ?? 1);
  return Number.isFinite(value) ? value : undefined;
}

class Unusable extends Error {
  constructor(readonly expected: string) {
    super(expected);
  }
}

const ANODE_LAW = { drop: 0.05, ohms: 0.01 } as const;

/**
 * Reads a deck of the subset: R, L, C, K, V, I, S, D, `.model`, `.tran … uic`, `.ic`, and the comments `* pwl:`, `* period:`,
 * `* measure:` and `* saturates: L1 at 2.5 to 10u`. Names are case-insensitive.
 * @returns the deck, or every line that cannot be used with what was expected there
 */
export function readDeck(
  text: string,
): { readonly ok: true; readonly deck: Deck } | { readonly ok: false; readonly problems: readonly DeckProblem[] } {
  const lines = text.split(/\r?\n/);
  const problems: DeckProblem[] = [];
  const state = new Reading();
  for (const [index, raw] of lines.entries()) {
    const line = index + 1;
    const shown = raw.trim();
    if (index === 0 && !/^[.]/.test(shown)) {
      state.title = shown.replace(/^\*\s*/, '');
      continue;
    }
    try {
      state.take(shown, line);
    } catch (error) {
      if (!(error instanceof Unusable)) throw error;
      problems.push({ line, text: shown, expected: error.expected });
    }
    if (/^\.end$/i.test(shown)) break;
  }
  problems.push(...state.leftOpen());
  const elements = problems.length === 0 ? state.elements() : [];
  if (problems.length === 0 && elements.length === 0)
    problems.push({ line: 1, text: '', expected: 'at least one element is expected' });
  if (problems.length > 0) return { ok: false, problems: problems.toSorted((a, b) => a.line - b.line) };
  const { title, couplings, span, starts, period, measures } = state;
  return { ok: true, deck: { title, elements, couplings, span: span ?? 0, starts, period, measures } };
}

type Switch = { on: number; off: number; threshold: number; hysteresis: number };
type Late = (Element & { kind: 'S' | 'D' }) & { model: string; text: string };

class Reading {
  title = '';
  couplings: Coupling[] = [];
  starts: Record<string, number> = {};
  span: number | undefined;
  period: number | undefined;
  measures: Measure[] = [];
  private readonly plain: Element[] = [];
  private readonly late: Late[] = [];
  private readonly switches = new Map<string, Switch>();
  private readonly diodes = new Map<string, { drop: number; ohms: number }>();
  private law: { drop: number; ohms: number } | undefined;
  private readonly names = new Set<string>();
  private readonly cores = new Map<string, { amperes: number; henries: number }>();

  take(text: string, line: number): void {
    if (text === '' || /^\.end$/i.test(text)) return;
    if (text.startsWith('*')) return this.comment(text.slice(1).trim());
    const words = text
      .replace(/\s*=\s*/g, '=')
      .replace(/[(),]/g, ' ')
      .trim()
      .split(/\s+/);
    const [head = ''] = words;
    if (head.startsWith('.')) return this.control(head.toLowerCase(), words, text);
    this.element(head, words, line, text);
  }

  private comment(text: string): void {
    const period = /^period:\s*(\S+)$/i.exec(text)?.[1];
    if (period) this.period = spiceNumber(period);
    const law = /^pwl:\s*vf=(\S+)\s+ron=(\S+)/i.exec(text);
    if (law?.[1] && law[2]) this.law = { drop: need(law[1]), ohms: need(law[2]) };
    const core = /^saturates:\s*(\S+)\s+at\s+(\S+)\s+to\s+(\S+)$/i.exec(text);
    if (core?.[1] && core[2] && core[3])
      this.cores.set(core[1].toLowerCase(), { amperes: need(core[2]), henries: need(core[3]) });
    const measure = /^measure:\s*(.+)$/i.exec(text)?.[1];
    if (measure) {
      const read = readMeasure(measure);
      if (!read) throw new Unusable('a measure like “avg v(out) last 10 periods” is expected');
      this.measures.push(read);
    }
  }

  private control(head: string, words: readonly string[], text: string): void {
    if (head === '.tran') {
      const span = spiceNumber(words[2] ?? '');
      if (span === undefined || span <= 0) throw new Unusable('.tran with a step and a span above zero is expected');
      if (!words.some((word) => word.toLowerCase() === 'uic'))
        throw new Unusable('“uic” is expected: no operating point is computed');
      this.span = span;
    } else if (head === '.ic') {
      const pairs = [...text.matchAll(/v\(\s*([^)\s]+)\s*\)\s*=\s*(\S+)/gi)];
      if (pairs.length === 0) throw new Unusable('.ic v(node)=volts is expected');
      for (const [, node = '', volts = ''] of pairs) this.starts[node.toLowerCase()] = need(volts);
    } else if (head === '.model') this.model(words);
    else throw new Unusable('.model, .tran, .ic or .end is expected; nothing else that begins with a point is read');
  }

  private model(words: readonly string[]): void {
    const [, name = '', kind = '', ...rest] = words;
    const given = new Map(rest.map((word) => word.toLowerCase().split('=') as [string, string]));
    const value = (key: string, usual: number) => (given.has(key) ? need(given.get(key) ?? '') : usual);
    if (/^sw$/i.test(kind)) {
      const one = {
        on: value('ron', 1),
        off: value('roff', 1e6),
        threshold: value('vt', 0),
        hysteresis: value('vh', 0),
      };
      if (!(one.on > 0) || !(one.off > 0)) throw new Unusable('Ron and Roff above zero are expected');
      this.switches.set(name.toLowerCase(), one);
    } else if (/^d$/i.test(kind)) {
      this.diodes.set(name.toLowerCase(), { drop: ANODE_LAW.drop, ohms: Math.max(1e-6, value('rs', ANODE_LAW.ohms)) });
    } else throw new Unusable('a model of SW or D is expected');
  }

  private element(name: string, words: readonly string[], line: number, text: string): void {
    const key = name.toLowerCase();
    const kind = key.charAt(0).toUpperCase();
    if (this.names.has(key)) throw new Unusable(`a name of its own is expected: ${name} stands above already`);
    this.names.add(key);
    const [, a = '', b = '', ...rest] = words.map((word) => word.toLowerCase());
    const ends = { name: key, a, b, line };
    const number = (word: string | undefined, what: string) => {
      const value = spiceNumber(word ?? '');
      if (value === undefined) throw new Unusable(`${what} is expected, not “${word ?? ''}”`);
      return value;
    };
    const positive = (word: string | undefined, what: string) => {
      const value = number(word, what);
      if (!(value > 0)) throw new Unusable(`${what} above zero is expected, not “${word ?? ''}”`);
      return value;
    };
    const start = () => {
      const given = rest.find((word) => word.startsWith('ic='))?.slice(3);
      return given === undefined ? undefined : number(given, 'a value behind ic=');
    };
    if (kind !== 'K' && (a === '' || b === '')) throw new Unusable('two nodes are expected');
    switch (kind) {
      case 'R':
        this.plain.push({ ...ends, kind: 'R', ohms: positive(rest[0], 'a resistance') });
        return;
      case 'L':
        this.plain.push({ ...ends, kind: 'L', henries: positive(rest[0], 'an inductance'), start: start() });
        return;
      case 'C':
        this.plain.push({ ...ends, kind: 'C', farads: positive(rest[0], 'a capacitance'), start: start() });
        return;
      case 'K': {
        const factor = number(rest[0], 'a coupling');
        if (!(Math.abs(factor) < 1)) throw new Unusable('a coupling below 1 is expected');
        this.couplings.push({ name: key, first: a, second: b, factor, line });
        return;
      }
      case 'V':
      case 'I':
        this.plain.push({ ...ends, kind, course: course(rest, kind) });
        return;
      case 'S': {
        const [plus = '', minus = '', model = ''] = rest;
        if (model === '') throw new Unusable('Sx a b ctrl+ ctrl- model is expected');
        this.late.push({ ...ends, kind: 'S', plus, minus, on: 0, off: 0, threshold: 0, hysteresis: 0, model, text });
        return;
      }
      case 'D':
        if (!rest[0]) throw new Unusable('Dx anode cathode model is expected');
        this.late.push({ ...ends, kind: 'D', drop: 0, ohms: 0, model: rest[0], text });
        return;
      default:
        throw new Unusable('R, L, C, K, V, I, S or D is expected');
    }
  }

  /** What can only be told at the end: models that are missing, couplings of inductors that are not there, no span. */
  leftOpen(): DeckProblem[] {
    const inductors = new Set(this.plain.flatMap((one) => (one.kind === 'L' ? [one.name] : [])));
    return [
      ...this.late.flatMap(({ kind, model, line, text }) => {
        const known = kind === 'S' ? this.switches.has(model) : this.diodes.has(model) || this.law !== undefined;
        return known ? [] : [{ line, text, expected: `a .model ${model} of ${kind === 'S' ? 'SW' : 'D'} is expected` }];
      }),
      ...this.couplings.flatMap(({ first, second, line, name }) => {
        const missing = [first, second].find((one) => !inductors.has(one));
        return missing === undefined ? [] : [{ line, text: name, expected: `an inductor ${missing} is expected` }];
      }),
      ...(this.span === undefined ? [{ line: 1, text: '', expected: '.tran step span … uic is expected' }] : []),
    ];
  }

  elements(): Element[] {
    const late = this.late.map(({ model, text: _text, ...one }): Element => {
      if (one.kind === 'S') return { ...one, ...this.switches.get(model) };
      return { ...one, ...(this.law ?? this.diodes.get(model) ?? ANODE_LAW) };
    });
    const plain = this.plain.map((one): Element => {
      const saturation = one.kind === 'L' ? this.cores.get(one.name) : undefined;
      return one.kind === 'L' && saturation ? { ...one, saturation } : one;
    });
    return [...plain, ...late];
  }
}

function need(text: string): number {
  const value = spiceNumber(text);
  if (value === undefined) throw new Unusable(`a number is expected, not “${text}”`);
  return value;
}

function course(words: readonly string[], kind: string): Course {
  const [first = ''] = words;
  if (first === 'pulse') {
    const [low, high, delay, rise, fall, width, period] = words.slice(1).map(need);
    if (low === undefined || high === undefined) throw new Unusable('PULSE(v1 v2 td tr tf pw per) is expected');
    return {
      kind: 'pulse',
      low,
      high,
      delay: delay ?? 0,
      rise: Math.max(rise ?? 0, 1e-12),
      fall: Math.max(fall ?? 0, 1e-12),
      width: width ?? Infinity,
      period: period ?? Infinity,
    };
  }
  if (first === 'sin' && kind === 'V') {
    const [offset, amplitude, frequency] = words.slice(1).map(need);
    if (offset === undefined || amplitude === undefined || !frequency)
      throw new Unusable('SIN(offset amplitude frequency) is expected');
    return { kind: 'sine', offset, amplitude, frequency };
  }
  const value = spiceNumber(first === 'dc' ? (words[1] ?? '') : first);
  if (value === undefined) throw new Unusable(`a value, PULSE or SIN is expected, not “${first}”`);
  return { kind: 'dc', value };
}

/** Reads `avg v(out) last 10 periods`, `max i(L1) from 0 to 20m`, `avg p(S1) last 10 periods`, `at v(a) at 50m`. */
export function readMeasure(text: string): Measure | undefined {
  const match = /^(\w+)\s+([vip])\(\s*([^)]+?)\s*\)\s+(.+)$/i.exec(text.trim());
  const op = MEASURE_OPS.find((name) => name === match?.[1]?.toLowerCase());
  if (!match?.[2] || !match[3] || !match[4] || !op) return undefined;
  const [plus = '', minus = '0'] = match[3].toLowerCase().split(/\s*,\s*/);
  const kind = ({ v: 'volts', i: 'amperes', p: 'watts' } as const)[match[2].toLowerCase() as 'v' | 'i' | 'p'];
  const signal = kind === 'volts' ? { kind, plus, minus } : { kind, element: plus };
  const last = /^last\s+(\d+(?:\.\d+)?)\s+periods?$/i.exec(match[4])?.[1];
  if (last && op !== 'at') return { text, op, signal, window: { kind: 'last', periods: Number(last) } };
  const span = /^from\s+(\S+)\s+to\s+(\S+)$/i.exec(match[4]);
  const [from, to] = [spiceNumber(span?.[1] ?? ''), spiceNumber(span?.[2] ?? '')];
  if (from !== undefined && to !== undefined && to > from && op !== 'at')
    return { text, op, signal, window: { kind: 'span', from, to } };
  const at = spiceNumber(/^at\s+(\S+)$/i.exec(match[4])?.[1] ?? '');
  return at !== undefined && op === 'at' ? { text, op, signal, window: { kind: 'moment', at } } : undefined;
}
