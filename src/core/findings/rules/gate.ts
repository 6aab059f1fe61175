import type { FindingRule } from '../finding';

/** What a gate may be led to through: the path may be of any resistance, but not a capacitor alone. */
const LEADS_ON: ReadonlySet<string> = new Set([
  'resistor',
  'diode',
  'inductor',
  'transformer',
  'potentiometer',
  'fuse',
  'switch',
  'thermistor',
]);
const DRIVES: ReadonlySet<string> = new Set([
  'ic',
  'npn',
  'pnp',
  'optocoupler',
  'connector',
  'shunt-reference',
  'regulator',
  'nmos',
  'pmos',
  'igbt',
  'scr',
  'diac',
  'dual-diode',
  'bridge',
  'relay',
]);

export const floatingGate: FindingRule = {
  rule: 'floating-gate',
  severity: 'danger',
  source: 'a gate without a path keeps its charge and its switch half on: textbook, from memory',
  check({ model: { board, nets } }) {
    return board.parts
      .filter((part) => ['nmos', 'pmos', 'igbt'].includes(part.kind) && part.fitted !== false)
      .filter((part) => {
        const start = nets.of(`${part.ref}.G`);
        if (start < 0) return false;
        const seen = new Set([start]);
        for (const net of seen) {
          if (!nets.closed(net)) return false;
          for (const { part: other, pin } of nets.pins[net] ?? []) {
            if (other === part) {
              if (pin !== 'G') return false;
              continue;
            }
            if (pin === 'G' && ['nmos', 'pmos', 'igbt'].includes(other.kind)) continue;
            if (DRIVES.has(other.kind)) return false;
            if (LEADS_ON.has(other.kind))
              for (const next of Object.keys(other.pins)) seen.add(nets.of(`${other.ref}.${next}`));
          }
        }
        return true;
      })
      .map((part) => ({
        parts: [part],
        message: `The gate of ${part.ref} leads nowhere: neither to a driver nor to its own ${part.kind === 'igbt' ? 'emitter' : 'source'}.`,
        advice: 'Look for a broken track, a lifted gate resistor or a missing driver before you power the board.',
      }));
  },
};
