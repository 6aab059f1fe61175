import { practice } from '../../evidence';
import { inletPins, type BoardPart, type Nets } from '../../board';
import type { FindingRule } from '../finding';

const isFuse = ({ kind, subtype }: BoardPart) => kind === 'fuse' || (kind === 'resistor' && subtype === 'fusible');

/** Parts that take power on from the mains: a fuse must stand before the first of them. */
const FIRST_STAGE: ReadonlySet<string> = new Set(['bridge', 'diode', 'dual-diode', 'triac', 'scr', 'transformer']);
/** Resistors up to this stand in series with the line. */
const LINE_RESISTOR_AT_MOST = practice(220);
/** A film capacitor from this on may be a dropper. */
const DROPPER_AT_LEAST = practice(47e-9);

export const missingFuse: FindingRule = {
  rule: 'missing-fuse',
  severity: 'danger',
  source: 'IEC 62368-1 asks for protection against faults; that it is a fuse in the line is common practice',
  check({ model: { board, nets } }) {
    if (!nets.complete) return [];
    return board.parts
      .filter(({ role }) => role === 'mains-inlet')
      .filter((inlet) => {
        const lines = inletPins(inlet).map((pin) => nets.of(`${inlet.ref}.${pin}`));
        return lines.length >= 2 && lines.every((line) => reachesStage(line, lines, board.parts, nets));
      })
      .map((inlet) => ({
        parts: [inlet],
        message: `Nothing between the mains inlet ${inlet.ref} and the first stage would break a fault current: no fuse and no fusible resistor.`,
        advice:
          'Do not run it on the mains as it is; fit the fuse that its maker meant, of the right breaking capacity.',
      }));
  },
};

/** Whether power gets from a line to the first stage without passing a fuse. */
function reachesStage(line: number, lines: readonly number[], parts: readonly BoardPart[], nets: Nets): boolean {
  const seen = new Set([line]);
  const at = (part: BoardPart, pin: string) => nets.of(`${part.ref}.${pin}`);
  for (const net of seen)
    for (const { part, pin } of nets.pins[net] ?? []) {
      if (part.fitted === false || isFuse(part)) continue;
      if (FIRST_STAGE.has(part.kind) || (part.kind === 'connector' && part.role === 'load')) return true;
      if (part.kind === 'capacitor' && part.subtype === 'film' && (part.value?.capacitance ?? 0) >= DROPPER_AT_LEAST) {
        const far = Object.keys(part.pins).map((other) => at(part, other));
        if (!far.every((other) => lines.includes(other) || seen.has(other))) return true;
      }
      for (const next of onward(part, pin)) {
        const other = at(part, next);
        if (!lines.includes(other) && other >= 0) seen.add(other);
      }
    }
  return false;
}

function onward(part: BoardPart, pin: string): readonly string[] {
  const { kind, value, pins } = part;
  if (kind === 'common-mode-choke') return [{ '1': '2', '2': '1', '3': '4', '4': '3' }[pin] ?? pin];
  if (kind === 'relay')
    return pin === '1' || pin === '2' ? [] : Object.keys(pins).filter((name) => name !== '1' && name !== '2');
  const isLine =
    ['switch', 'thermistor', 'inductor', 'spark-gap'].includes(kind) ||
    (kind === 'resistor' && (value?.resistance ?? Infinity) <= LINE_RESISTOR_AT_MOST);
  return isLine ? Object.keys(pins) : [];
}
