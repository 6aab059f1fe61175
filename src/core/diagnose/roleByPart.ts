import type { BoardPart } from '../board';
import { practice } from '../evidence';
import { decodeMarking } from '../marking';
import { FED_DIRECT } from './circuitRoles';
import type { RoleName } from './words';

/** Volts from which a switch stands on the rectified mains, and up to which it only serves an output. */
const SWITCH_VOLTS = practice({ mains: 400, output: 200 });
/** Ohms up to which a resistor is hardly anything but the one that senses the current. */
const SENSES_TO = practice(1);
/** Farads from which a can serves an output, and volts from which it stands behind the mains. */
const CANS = practice({ output: 100e-6, mains: 160 });
/** Volts from which a ceramic or a film capacitor is one of the high-voltage side. */
const HIGH_VOLTS = practice({ ceramic: 500, film: 400 });

/** Volts that a switch bears, by its value or its marking. */
function switchVolts({ kind, value, marking }: BoardPart): number | undefined {
  if (value?.voltage !== undefined) return value.voltage;
  const read = marking === undefined ? undefined : decodeMarking(marking).find((one) => one.kind === kind);
  return read && (read.ratings.vds ?? read.ratings.vces ?? read.ratings.vceo);
}

function switchRoles(part: BoardPart, circuits: string): readonly RoleName[] {
  const volts = switchVolts(part);
  if (volts === undefined) return [];
  if (circuits.includes(FED_DIRECT)) return part.kind === 'nmos' ? ['mainSwitch', 'syncFet'] : [];
  if (volts >= SWITCH_VOLTS.mains) return ['mainSwitch', 'pfcSwitch', 'standbySwitch'];
  return volts <= SWITCH_VOLTS.output && part.kind === 'nmos' ? ['syncFet'] : [];
}

function diodeRoles({ subtype, marking }: BoardPart, circuits: string): readonly RoleName[] {
  const read = marking === undefined ? undefined : decodeMarking(marking).find(({ kind }) => kind === 'diode');
  switch (subtype ?? read?.facts?.['technology']) {
    case 'schottky':
      return ['outputRectifier'];
    case 'zener':
      return ['zener'];
    case 'tvs':
      return ['clamp'];
    case 'led':
      return ['leds'];
    case 'fast':
    case 'sic':
      return /pfc/u.test(circuits) ? ['pfcDiode', 'outputRectifier'] : [];
    default:
      return [];
  }
}

function capacitorRoles({ subtype = '', value }: BoardPart): readonly RoleName[] {
  const volts = value?.voltage ?? 0;
  const farads = value?.capacitance ?? 0;
  if (subtype === 'x') return ['xCapacitor', 'dropper'];
  if (subtype === 'electrolytic' && volts >= CANS.mains) return ['bulk', 'store'];
  if (subtype === 'electrolytic' && farads > 0)
    return farads <= CANS.output ? ['vccCapacitor', 'standbyCapacitor'] : ['outputCapacitor'];
  if (subtype === 'ceramic' && volts >= HIGH_VOLTS.ceramic) return ['clamp'];
  return subtype === 'film' && volts >= HIGH_VOLTS.film ? ['resonant', 'clamp'] : [];
}

const BY_KIND: Partial<Record<BoardPart['kind'], RoleName>> = {
  fuse: 'fuse',
  bridge: 'bridge',
  varistor: 'varistor',
  thermistor: 'ntc',
  optocoupler: 'optocoupler',
  'shunt-reference': 'reference',
  regulator: 'regulator',
  triac: 'triac',
  scr: 'pulseSwitch',
  diac: 'trigger',
  transformer: 'transformer',
  'dual-diode': 'outputRectifier',
};

/** What a part on the board may be by its kind, its values and its marking alone; none where these say nothing. */
export function byPart(part: BoardPart, circuits: string): readonly RoleName[] {
  switch (part.kind) {
    case 'nmos':
    case 'npn':
    case 'igbt':
      return switchRoles(part, circuits);
    case 'diode':
      return diodeRoles(part, circuits);
    case 'capacitor':
      return capacitorRoles(part);
    case 'resistor':
      return (part.value?.resistance ?? Infinity) <= SENSES_TO ? ['sense'] : [];
    default: {
      const own = BY_KIND[part.kind];
      return own ? [own] : [];
    }
  }
}
