import type { Course, Deck, Element } from './deck';

/** Drop that the model of every diode of a written deck has at `NOMINAL` amperes; what is more is a source in series. */
const MODEL_DROP = 0.05;
const NOMINAL = 1;
/** Emission of a knee so sharp that it is one of two straight lines. */
const EMISSION = 0.05;
const THERMAL_VOLTS = 0.025852;
const EDGE = 1e-9;

/**
 * A deck as text of the subset, to be read by this program or a general-purpose simulator: a MOSFET as its switch and its body diode, a
 * larger drop of a diode as a source in series. What a core does in saturation stands in a comment, since the subset has no card for it.
 */
export function writeDeck(deck: Deck): string {
  const bodies = deck.elements.flatMap((one): DiodeElement[] => {
    if (one.kind === 'D') return [one];
    if (one.kind !== 'M') return [];
    return [{ kind: 'D', name: `d${one.name}`, a: one.b, b: one.a, line: 0, ...one.body }];
  });
  const ohms = Math.min(...bodies.map((one) => one.ohms));
  const models = new Map<string, string>();
  const model = (text: string): string => {
    const known = models.get(text);
    if (known) return known;
    const name = `sw${models.size + 1}`;
    models.set(text, name);
    return name;
  };
  const cards = deck.elements.flatMap((one) => cardsOf(one, model));
  const diodes = bodies.flatMap((one) => diodeCards(one, ohms));
  const saturating = deck.elements.flatMap((one) =>
    one.kind === 'L' && one.saturation
      ? [`* saturates: ${named('l', one.name)} at ${num(one.saturation.amperes)} to ${num(one.saturation.henries)}`]
      : [],
  );
  const saturation = NOMINAL * Math.exp(-MODEL_DROP / (EMISSION * THERMAL_VOLTS));
  const starts = Object.entries(deck.starts);
  return [
    `* ${deck.title || 'circuit'}`,
    ...(bodies.length > 0 ? [`* pwl: vf=${MODEL_DROP} ron=${num(ohms)}`] : []),
    ...(deck.period === undefined ? [] : [`* period: ${num(deck.period)}`]),
    ...deck.measures.map(({ text }) => `* measure: ${text}`),
    ...saturating,
    ...cards,
    ...diodes,
    ...deck.couplings.map(
      ({ name, first, second, factor }) =>
        `${named('k', name)} ${named('l', first)} ${named('l', second)} ${num(factor)}`,
    ),
    ...[...models].map(([text, name]) => `.model ${name} ${text}`),
    ...(bodies.length > 0 ? [`.model dd D(is=${num(saturation)} n=${EMISSION} rs=${num(ohms)})`] : []),
    ...(starts.length > 0 ? [`.ic ${starts.map(([node, volts]) => `v(${node})=${num(volts)}`).join(' ')}`] : []),
    `.tran ${num((deck.period ?? deck.span) / 200)} ${num(deck.span)} 0 ${num((deck.period ?? deck.span) / 400)} uic`,
    '.end',
    '',
  ].join('\n');
}

type DiodeElement = Extract<Element, { kind: 'D' }>;

/** Ten digits: what is written is read again as the same circuit. */
const num = (value: number): string => String(Number(value.toPrecision(10)));

/** A name begins with the letter of its card. */
const named = (letter: string, name: string) => (name.startsWith(letter) ? name : `${letter}${name}`);

function cardsOf(one: Element, model: (text: string) => string): readonly string[] {
  const ends = `${one.a} ${one.b}`;
  const start = (value: number | undefined) => (value === undefined ? '' : ` ic=${num(value)}`);
  switch (one.kind) {
    case 'R':
      return [`${named('r', one.name)} ${ends} ${num(one.ohms)}`];
    case 'L':
      return [`${named('l', one.name)} ${ends} ${num(one.henries)}${start(one.start)}`];
    case 'C':
      return [`${named('c', one.name)} ${ends} ${num(one.farads)}${start(one.start)}`];
    case 'V':
    case 'I':
      return [`${named(one.kind.toLowerCase(), one.name)} ${ends} ${courseText(one.course)}`];
    case 'S':
    case 'M': {
      const hysteresis = one.kind === 'S' ? one.hysteresis : 0;
      const text = `SW(Ron=${num(one.on)} Roff=${num(one.off)} Vt=${num(one.threshold)} Vh=${num(hysteresis)})`;
      return [`${named('s', one.name)} ${ends} ${one.plus} ${one.minus} ${model(text)}`];
    }
    case 'D':
      return [];
  }
}

function diodeCards({ name, a, b, drop, ohms }: DiodeElement, least: number): readonly string[] {
  const own = named('d', name);
  const more = drop - MODEL_DROP;
  const [volts, resistance] = [Math.abs(more) > 1e-9, ohms > 1.000001 * least];
  const behind = volts ? `${own}k` : b;
  const between = resistance ? `${own}r` : behind;
  return [
    `${own} ${a} ${between} dd`,
    ...(resistance ? [`r${own} ${between} ${behind} ${num(ohms - least)}`] : []),
    ...(volts ? [`v${own} ${behind} ${b} ${num(more)}`] : []),
  ];
}

function courseText(course: Course): string {
  if (course.kind === 'dc') return num(course.value);
  if (course.kind === 'sine') return `SIN(${num(course.offset)} ${num(course.amplitude)} ${num(course.frequency)})`;
  const { low, high, delay, rise, fall, width, period } = course;
  // The subset has no pulse without end: it comes again only after all that anybody runs.
  const finite = (value: number) => num(Number.isFinite(value) ? value : 1e6);
  return `PULSE(${[low, high, delay, Math.max(rise, EDGE / 1e3), Math.max(fall, EDGE / 1e3)].map(num).join(' ')} ${finite(width)} ${finite(period)})`;
}
