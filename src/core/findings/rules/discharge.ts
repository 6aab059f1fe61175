import { conductingGroups, type BoardPart, type Nets } from '../../board';
import type { FindingRule } from '../finding';

/** X capacitors above this need a discharge path. IEC 62368-1, capacitor discharge after disconnection, from memory. */
const X_CAPACITOR_WITHOUT_BLEED = 100e-9;

export const noDischargePath: FindingRule = {
  rule: 'no-discharge-path',
  severity: 'warn',
  source: 'IEC 62368-1, capacitor discharge after disconnection of a connector, from memory',
  check({ model: { board, nets }, bulk, stages }) {
    if (!nets.complete) return [];
    const discharged = stages
      .filter(({ topology }) => topology === 'capacitor-discharge')
      .flatMap(({ stores }) => stores ?? []);
    const stores = [...new Set([...bulk.parts, ...discharged])];
    const acrossLine = board.parts.filter(
      ({ kind, subtype, value }) =>
        kind === 'capacitor' && subtype === 'x' && (value?.capacitance ?? 0) > X_CAPACITOR_WITHOUT_BLEED,
    );
    return [...acrossLine, ...stores]
      .filter((part) => part.fitted !== false && !hasPath(part, board.parts, nets))
      .map((part) => ({
        parts: [part],
        message:
          part.subtype === 'x'
            ? `${part.ref} lies across the mains, and no resistor or winding discharges it: the pins of the plug stay live after it is pulled.`
            : `Nothing but leakage empties ${part.ref}: no resistor or winding leads from one end to the other.`,
        advice: 'Discharge it through a resistor and measure it before every touch; do not rely on waiting.',
        severity: part.subtype === 'x' ? ('warn' as const) : ('danger' as const),
      }));
  },
};

const BLEEDS: ReadonlySet<string> = new Set([
  'resistor',
  'potentiometer',
  'transformer',
  'inductor',
  'common-mode-choke',
  'fuse',
  'thermistor',
  'switch',
  'lamp',
]);

/** Whether resistors and windings lead from one end of a capacitor to the other. */
function hasPath(capacitor: BoardPart, parts: readonly BoardPart[], nets: Nets): boolean {
  const at = (part: BoardPart, pin: string) => nets.of(`${part.ref}.${pin}`);
  const [start = -1, end = -1] = Object.keys(capacitor.pins).map((pin) => at(capacitor, pin));
  const seen = new Set([start]);
  for (const net of seen)
    for (const { part, pin } of nets.pins[net] ?? []) {
      const groups = part.kind === 'relay' ? [['1', '2']] : BLEEDS.has(part.kind) ? conductingGroups(part) : [];
      for (const group of groups) if (group.includes(pin)) for (const other of group) seen.add(at(part, other));
    }
  return seen.has(end);
}
