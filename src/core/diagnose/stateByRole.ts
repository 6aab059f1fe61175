import { practice } from '../evidence';
import { firstVolts, outputCanOf, stateOf, type Seen, type State } from './readings';
import type { RoleName } from './words';

/** Parts that block when they are good, so that few ohms are a short. */
export const BLOCKING: ReadonlySet<RoleName> = new Set([
  'bridge',
  'bulk',
  'inputCapacitor',
  'mainSwitch',
  'pfcSwitch',
  'pfcDiode',
  'varistor',
  'xCapacitor',
  'outputRectifier',
  'syncFet',
  'outputCapacitor',
  'clamp',
  'standbySwitch',
  'standbyCapacitor',
  'resonant',
  'triac',
  'dropper',
  'regulator',
  'store',
  'pulseSwitch',
  'charging',
  'vccCapacitor',
  'auxiliary',
  'controller',
  'zener',
  'timing',
  'optocoupler',
  'reference',
]);

/** Whether ohms were read at a small film capacitor, which should read none. */
const leaks = ({ test, text }: Seen): boolean =>
  test === 'resistance' && /^\d+(?:\.\d+)? ?(?:k|m)?(?:ohm|Ω)/iu.test(text?.trim() ?? '');

/** Parts that are one silicon junction, and volts over which such a one is going open. */
const RECTIFIES: ReadonlySet<RoleName> = new Set(['outputRectifier', 'bridge', 'auxiliary', 'pfcDiode', 'charging']);
const MOST_DROP = 1;
const dropsMuch = ({ test, text, value }: Seen): boolean =>
  test === 'diode-mode' && (value ?? firstVolts(text ?? '') ?? 0) > MOST_DROP;

/** Volts that feed a chip, and under which a pin gives nothing. */
const CHIP_VOLTS = practice({ fed: [7, 26], nothing: 0.1 } as const);

/** Whether a chip was read to be fed and to give nothing at another pin: “13.8 V; 0.00 V”. */
function isMute({ test, text = '' }: Seen): boolean {
  const volts = text.split(';').flatMap((one) => firstVolts(one) ?? []);
  const [least, most] = CHIP_VOLTS.fed;
  return (
    test === 'voltage-dc' &&
    volts.some((one) => one >= least && one <= most) &&
    volts.some((one) => Math.abs(one) < CHIP_VOLTS.nothing)
  );
}

/** Parts that block both ways until they fire. */
const FIRES: ReadonlySet<RoleName> = new Set(['triac', 'trigger', 'pulseSwitch']);

/** How sure a part is to be one that fires for its blocking both ways to say nothing. */
const MAY_FIRE = practice(0.2);

/**
 * How a part was found to be, for what it is in its unit.
 * @param roles how sure it is to be each role; `mostAmps` the most that an output gives, A
 */
export function stateAs(seen: Seen, roles: ReadonlyMap<RoleName, number>, mostAmps: number | undefined): State {
  const role = likeliestOf(roles);
  const byItself = stateOf(seen, role !== undefined && BLOCKING.has(role));
  const read = role === 'outputCapacitor' ? outputCanOf(seen, byItself, mostAmps) : byItself;
  if (role === 'controller' && isMute(seen)) return 'off';
  if (role === 'timing' && read === 'good' && leaks(seen)) return 'off';
  if (role !== undefined && RECTIFIES.has(role) && read === 'good' && dropsMuch(seen)) return 'off';
  const mayFire = () => [...roles].some(([one, sure]) => FIRES.has(one) && sure >= MAY_FIRE);
  return read === 'open' && seen.test === 'diode-mode' && mayFire() ? 'good' : read;
}

/** What a part most likely is. */
export const likeliestOf = (roles: ReadonlyMap<RoleName, number>): RoleName | undefined =>
  [...roles].toSorted((a, b) => b[1] - a[1])[0]?.[0];
