import { practice } from '../../evidence';
import { BOARD_KINDS, type BoardPart } from '../../board';
import { SMOOTHING_CHOKE_ABOVE } from '../partial/facts/partsList';
import { AFFINITIES, USUAL_AFFINITY } from './affinities';

/** Resistors up to this carry power or sense it. */
const SMALL_RESISTOR_AT_MOST = practice(10);
const TWO_ALIKE: ReadonlySet<string> = new Set(['capacitor', 'resistor', 'inductor', 'fuse', 'thermistor', 'varistor']);

/** Stores from here on stand on the mains. */
const PRIMARY_STORE_FROM = practice(160);

/** What a pin is as far as one sees without knowing the circuit: a drain, the minus of an electrolytic, an output. */
export function pinClass({ kind, subtype, role, value }: BoardPart, pin: string): string {
  if (kind === 'capacitor' && (pin === '+' || pin === '-'))
    return `${(value?.voltage ?? 0) >= PRIMARY_STORE_FROM ? 'primary store' : 'store'} ${pin}`;
  if (kind === 'capacitor') return subtype ?? 'capacitor';
  if (kind === 'connector') return `${role ?? 'connector'} ${connectorSide(pin)}`.trim();
  if (kind === 'resistor')
    return (value?.resistance ?? Infinity) <= SMALL_RESISTOR_AT_MOST ? 'small resistor' : 'resistor';
  if (kind === 'diode' || kind === 'dual-diode') {
    const isPower = kind === 'dual-diode' || subtype === 'schottky';
    if (pin.length > 1) return 'leg of a diode';
    return `${subtype === 'zener' || subtype === 'tvs' ? 'zener' : isPower ? 'power diode' : 'diode'} ${pin}`;
  }
  if (kind === 'inductor') return (value?.inductance ?? 1) > SMOOTHING_CHOKE_ABOVE ? 'choke' : 'small choke';
  const isNamed = BOARD_KINDS[kind].pins.length > 0 && !TWO_ALIKE.has(kind);
  return isNamed ? `${kind} ${pin.startsWith('AC') ? 'AC' : pin}` : kind;
}

const SORTS: readonly (readonly [RegExp, string])[] = [
  [/^(nmos|npn|igbt) [DC]$|^p(mos|np) [SE]$/, 'upper end of a switch'],
  [/^(nmos|npn|igbt) [SE]$|^p(mos|np) [DC]$/, 'lower end of a switch'],
  [/ [GB]$/, 'gate'],
  [/^(power )?diode A$/, 'anode'],
  [/^(power )?diode K$/, 'cathode'],
  [/choke$/, 'choke'],
];

/** What a class of pins is much like: classes that are seldom met are judged by it. */
export const pinSort = (name: string): string => SORTS.find(([like]) => like.test(name))?.[1] ?? name;

/** Pins of two classes as one key, whichever comes first. */
export const classPair = (a: string, b: string): string => (a < b ? `${a}|${b}` : `${b}|${a}`);

/** Whether a pin of a connector is the mains’, or the return or the other side of a direct voltage, by its name. */
function connectorSide(pin: string): string {
  if (/^(L|N)$/i.test(pin)) return 'line';
  if (/^(-|GND|0V?|COM|RTN|G)$/i.test(pin)) return 'return';
  return /^(\+|-)|\d\s*V|^V/i.test(pin) ? 'rail' : '';
}

/** How often two such pins of one board are joined: counted on composed and reference boards (`npm run fit`). */
export const affinityOf = (a: string, b: string): number => AFFINITIES[classPair(a, b)] ?? USUAL_AFFINITY;

/** How often a pin of a transformer across the mains is joined with a pin of a class. Set by hand on textbook circuits. */
const AT_LINE: Readonly<Record<string, number>> = practice({
  'mains-inlet line': 0.15,
  fuse: 0.2,
  switch: 0.15,
  'bridge AC': 0.25,
  'diode A': 0.15,
  'power diode A': 0.15,
  'store -': 0.1,
});

/** The same for a pin of a transformer that lies across the mains. */
export function lineAffinity(a: string, b: string): number {
  if (a !== 'transformer' && b !== 'transformer') return affinityOf(a, b);
  return AT_LINE[a === 'transformer' ? b : a] ?? 0;
}
