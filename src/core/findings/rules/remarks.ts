import { PRACTICE, practice } from '../../evidence';
import type { BoardPart } from '../../board';
import { formatQuantity } from '../../quantity';
import type { Evidence, FindingRule } from '../finding';

/** Highest touch current of a unit without protective earth, in ampere. IEC 62368-1, ES1 for touch current, from memory. */
const TOUCH_CURRENT_AT_MOST = 0.25e-3;
/** Mains frequency and voltage a touch current is worked out at: the worst of common networks. */
const NETWORK = { hertz: 60, volts: 240 } as const;
/** From this store on an inrush limiter is usual. */
const LIMITED_FROM = practice(10e-6);

const hasEarth = ({ parts }: Evidence['model']['board']) =>
  parts.some(
    ({ role, pins }) => role === 'mains-inlet' && Object.keys(pins).some((pin) => /^(?:E|PE|EARTH)$/i.test(pin)),
  );
const isMains = ({ parts }: Evidence['model']['board']) => parts.some(({ role }) => role === 'mains-inlet');
const fitted = (parts: readonly BoardPart[]) => parts.filter((part) => part.fitted !== false);

/** Current that Y capacitors between mains side and output drive through a person. */
export const touchCurrent: FindingRule = {
  rule: 'touch-current',
  severity: 'warn',
  source: 'IEC 62368-1, touch current, from memory; I = 2π f C U',
  check({ model: { board, nets }, barrier }) {
    if (!nets.complete || !isMains(board) || hasEarth(board)) return [];
    const across = barrier.crossing.filter(({ kind, subtype }) => kind === 'capacitor' && subtype === 'y');
    const farads = across.reduce((sum, { value }) => sum + (value?.capacitance ?? 0), 0);
    const current = 2 * Math.PI * NETWORK.hertz * farads * (board.nameplate?.input?.vMax ?? NETWORK.volts);
    if (current <= TOUCH_CURRENT_AT_MOST) return [];
    return [
      {
        parts: across,
        message: `${across.map(({ ref }) => ref).join(' and ')} let about ${formatQuantity(current, 'ampere', { digits: 2 })} through to the output; without protective earth ${formatQuantity(TOUCH_CURRENT_AT_MOST, 'ampere')} is the most that is usual.`,
        advice: 'It tingles. Read the values again; never add to Y capacitors, and never bridge them.',
      },
    ];
  },
};

/** Whether the output hangs on earth or floats: said, not judged. */
export const outputReference: FindingRule = {
  rule: 'output-reference',
  severity: 'note',
  source: 'what was traced',
  check({ model: { board, nets }, barrier }) {
    if (!nets.complete || !isMains(board) || !barrier.isIsolated) return [];
    const inlet = board.parts.find(({ role }) => role === 'mains-inlet');
    const earth = Object.keys(inlet?.pins ?? {}).find((pin) => /^(?:E|PE|EARTH)$/i.test(pin));
    const isTied =
      inlet !== undefined &&
      earth !== undefined &&
      barrier.islands.outputs.has(barrier.islands.of(nets.of(`${inlet.ref}.${earth}`)));
    const outputs = board.parts.filter(({ role }) => role === 'output');
    const names = outputs.map(({ ref }) => ref).join(' and ');
    return [
      {
        parts: outputs,
        message: isTied
          ? `${names} is tied to the protective earth of the inlet.`
          : `${names} floats: nothing ties it to earth.`,
        advice: isTied
          ? 'Two such outputs in series short one of them through earth.'
          : 'A floating output may sit at half the mains against earth, at the small current of the Y capacitors.',
      },
    ];
  },
};

/** Wire-wound resistors that limit an inrush; smaller ones sense a current. Common practice, no source. */
const isInrushResistor = (ohms: number) => ohms >= 2 && ohms <= 47;

/** Protection that is usual on a mains input and is not there. */
export const bareInput: FindingRule = {
  rule: 'bare-input',
  severity: 'note',
  source: PRACTICE,
  check({ model: { board, nets }, bulk }) {
    const inlet = board.parts.find(({ role }) => role === 'mains-inlet');
    if (!nets.complete || !inlet) return [];
    const parts = fitted(board.parts);
    const store = bulk.parts.reduce((sum, { value }) => sum + (value?.capacitance ?? 0), 0);
    const isLimited = parts.some(
      ({ kind, subtype, value }) =>
        kind === 'thermistor' ||
        subtype === 'fusible' ||
        (kind === 'resistor' && (value?.power ?? 0) >= 1 && isInrushResistor(value?.resistance ?? 0)),
    );
    const missing = [
      ...(parts.some(({ kind }) => kind === 'varistor') ? [] : ['no varistor takes surges']),
      ...(store >= LIMITED_FROM && !isLimited ? ['nothing limits the inrush into the store'] : []),
    ];
    return missing.length === 0
      ? []
      : [
          {
            parts: [inlet],
            message: `Behind ${inlet.ref} ${missing.join(', and ')}.`,
            advice: 'Cheap units leave it out. Put it in front when you reuse the board as a supply.',
          },
        ];
  },
};

/** Rectifiers side by side as parts of their own: the warmer one takes more and grows warmer. */
export const sharedRectifiers: FindingRule = {
  rule: 'shared-rectifiers',
  severity: 'note',
  source: 'the forward voltage of a diode falls as it warms: textbook, from memory',
  check({ model: { elements }, stages }) {
    const carrying = new Set(stages.flatMap(({ rectifiers }) => rectifiers));
    const seen = new Map<string, BoardPart[]>();
    for (const { part, from, to, isBody } of elements.rectifiers) {
      if (isBody || !carrying.has(part) || part.kind !== 'diode') continue;
      const key = `${from} ${to}`;
      seen.set(key, [...(seen.get(key) ?? []), part]);
    }
    return [...seen.values()]
      .filter((parts) => parts.length > 1)
      .map((parts) => ({
        parts,
        message: `${parts.map(({ ref }) => ref).join(' and ')} lie side by side with nothing that makes them share the current.`,
        advice: 'Keep them together on one piece of metal, or reuse one of twice the rating.',
      }));
  },
};

/** Places on the board where nothing is fitted. */
export const emptyFootprints: FindingRule = {
  rule: 'empty-footprints',
  severity: 'note',
  source: 'what was seen',
  check({ model: { board } }) {
    const empty = board.parts.filter(({ fitted: isFitted }) => isFitted === false);
    return empty.length === 0
      ? []
      : [
          {
            parts: empty,
            message: `Nothing is fitted at ${empty.map(({ ref }) => ref).join(', ')}.`,
            advice:
              'The board was made for more than one model, or something was taken off; it counts as open in what is said here.',
          },
        ];
  },
};
