import { shareUsed, VOLTS } from '../derating';
import type { Unit } from '../quantity';
import { BOUNDS } from './bounds';
import { numberOf, shown, technologyOf, wordOf, type PartFacts, type PlaceFacts } from './judged';

interface Line {
  readonly key: string;
  readonly unit: Unit;
  readonly say: string;
  /** The bound, of the old value. */
  readonly share?: number;
}

const AT_MOST = 'at most';
const AT_LEAST = 'at least';
/** What is asked of a part by kind, beside its voltage. */
const LINES: Readonly<Record<string, readonly Line[]>> = {
  nmos: [
    { key: 'rdsOn', unit: 'ohm', say: `on-resistance ${AT_MOST}`, share: BOUNDS.onResistance.good },
    { key: 'qg', unit: 'coulomb', say: `gate charge ${AT_MOST}`, share: BOUNDS.gateCharge.good },
    { key: 'vgsMax', unit: 'volt', say: `gate stands ${AT_LEAST}` },
  ],
  pmos: [{ key: 'rdsOn', unit: 'ohm', say: `on-resistance ${AT_MOST}`, share: BOUNDS.onResistance.good }],
  igbt: [{ key: 'ic', unit: 'ampere', say: AT_LEAST }],
  npn: [{ key: 'ic', unit: 'ampere', say: AT_LEAST }],
  pnp: [{ key: 'ic', unit: 'ampere', say: AT_LEAST }],
  diode: [
    { key: 'ifav', unit: 'ampere', say: AT_LEAST },
    { key: 'vz', unit: 'volt', say: 'Zener voltage' },
    { key: 'power', unit: 'watt', say: AT_LEAST },
  ],
  'dual-diode': [{ key: 'ifav', unit: 'ampere', say: AT_LEAST }],
  bridge: [{ key: 'ifav', unit: 'ampere', say: AT_LEAST }],
  capacitor: [
    { key: 'capacitance', unit: 'farad', say: '' },
    { key: 'temperature', unit: 'celsius', say: AT_LEAST },
    { key: 'esr', unit: 'ohm', say: `ESR ${AT_MOST}`, share: BOUNDS.esr.good },
    { key: 'ripple', unit: 'ampere', say: `ripple ${AT_LEAST}` },
    { key: 'diameter', unit: 'metre', say: `diameter ${AT_MOST}` },
    { key: 'height', unit: 'metre', say: `height ${AT_MOST}` },
  ],
  resistor: [
    { key: 'resistance', unit: 'ohm', say: '' },
    { key: 'power', unit: 'watt', say: AT_LEAST },
  ],
  fuse: [
    { key: 'current', unit: 'ampere', say: 'exactly' },
    { key: 'voltage', unit: 'volt', say: AT_LEAST },
    { key: 'breaking', unit: 'ampere', say: `breaking ${AT_LEAST}` },
  ],
  varistor: [
    { key: 'vac', unit: 'volt', say: 'for AC of' },
    { key: 'diameter', unit: 'metre', say: `disc ${AT_LEAST}` },
  ],
  thermistor: [
    { key: 'r25', unit: 'ohm', say: 'cold' },
    { key: 'current', unit: 'ampere', say: AT_LEAST },
  ],
  optocoupler: [
    { key: 'ctrMin', unit: 'ratio', say: `transfer ${AT_LEAST}` },
    { key: 'ctrMax', unit: 'ratio', say: `and ${AT_MOST}` },
    { key: 'viso', unit: 'volt', say: `isolation ${AT_LEAST}` },
  ],
  triac: [
    { key: 'itRms', unit: 'ampere', say: AT_LEAST },
    { key: 'igt', unit: 'ampere', say: `gate current ${AT_MOST}` },
  ],
  regulator: [
    { key: 'vout', unit: 'volt', say: '' },
    { key: 'iout', unit: 'ampere', say: AT_LEAST },
    { key: 'vinMax', unit: 'volt', say: `input ${AT_LEAST}` },
  ],
  'shunt-reference': [{ key: 'vref', unit: 'volt', say: 'reference' }],
  relay: [
    { key: 'coil', unit: 'volt', say: 'coil' },
    { key: 'current', unit: 'ampere', say: `contacts ${AT_LEAST}` },
  ],
};

/** A specification to buy a replacement by, in a line. */
export function toBuy(failed: PartFacts, place: PlaceFacts): string {
  const said = [
    technologyOf(failed),
    failed.kind,
    failed.package ?? '',
    wordOf(failed, 'safetyClass') ?? '',
    wordOf(failed, 'speed') ?? '',
  ].filter(Boolean);
  const key = VOLTS[failed.kind];
  const old = key === undefined ? undefined : numberOf(failed, key);
  const put = place.stress?.['voltage'];
  const least = Math.max(old ?? 0, put === undefined ? 0 : put / shareUsed(failed));
  const volts =
    key !== undefined && least > 0 && wordOf(failed, 'safetyClass') === undefined
      ? [`at least ${shown(Math.ceil(least), 'volt')}`]
      : [];
  const rest = (LINES[failed.kind] ?? []).flatMap(({ key: rating, unit, say, share = 1 }) => {
    const value = numberOf(failed, rating);
    return value === undefined ? [] : [`${say} ${shown(value * share, unit)}`.trim()];
  });
  const exact = failed.kind === 'ic' && failed.marking ? [`${failed.marking}, with this very suffix`] : [];
  return [said.join(' '), ...exact, ...volts, ...rest].join(', ');
}
