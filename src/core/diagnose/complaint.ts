import type { Board } from '../board';
import { practice } from '../evidence';
import { firstVolts, nominalOf, type Seen } from './readings';
import { has, type Described, type RoleBook } from './roles';
import { ROLES, type Symptom } from './words';

/** A unit with a complaint. */
export interface Complaint {
  readonly unit?: { readonly kind?: string; readonly power?: number };
  readonly board?: Board;
  /** Circuits it is known to have. */
  readonly topologies?: readonly string[];
  readonly symptom: Symptom;
  readonly observations: readonly Seen[];
  /** What references are, in words, where a person wrote it down. */
  readonly described?: Described;
}

/** Circuits that a unit of a kind usually has, where nobody knows them. */
const USUAL: readonly (readonly [RegExp, string])[] = practice([
  [/dimmer/u, 'phase-control'],
  [/ballast/u, 'resonant-ballast'],
  [/motion|sensor/u, 'capacitive-dropper'],
  [/ignit|fence|flash|strobe/u, 'pulse discharge'],
  [/\bcar\b/u, 'buck'],
  [/\bpc\b|server|tower/u, 'half-bridge forward flyback boost-pfc'],
  [/\btv\b|monitor/u, 'flyback llc boost-pfc'],
  [/led/u, 'flyback led'],
  [/.*/u, 'flyback'],
] as const);

/** Watts up to which a unit may well be a dropper. */
const TINY = practice(3);

/** Volts of a can that only stands behind the mains. */
const CHARGED = 120;

/** Volts under which a step-down converter has a synchronous rectifier. */
const SYNC_BELOW = practice(2.6);

/** Circuits of a unit in one line: what is known, or what such a unit usually has. */
export function circuitsOf({ unit, topologies, symptom, observations }: Complaint): string {
  const hasStandby =
    symptom.startsWith('standby') ||
    observations.some(({ rail, ref, text }) => /stand.?by/iu.test(`${rail ?? ''} ${ref ?? ''} ${text ?? ''}`));
  const kind = (unit?.kind ?? '').toLowerCase();
  const usual = USUAL.find(([is]) => is.test(kind))?.[1] ?? 'flyback';
  const isTiny = (unit?.power ?? Infinity) <= TINY;
  const known =
    topologies && topologies.length > 0 ? topologies.join(' ') : isTiny ? `${usual} capacitive-dropper` : usual;
  // So low a rail wastes too much in a diode: a step-down for it has a second FET in its place.
  const isSync =
    known.startsWith('buck') &&
    observations.some(({ rail }) => rail !== undefined && (nominalOf(rail) ?? Infinity) < SYNC_BELOW);
  const own = `${known} ${kind}${isSync ? ' sync' : ''}`.trim();
  return hasStandby || /tv|pc-|monitor|recorder|console/u.test(kind) ? `${own} standby` : own;
}

/** What references are, as a person wrote it down or told it among other things, and as what stands on them shows. */
export function describedIn({ described, observations }: Complaint, circuits: string): Described {
  const found = new Map<string, string>(described ?? []);
  for (const { ref, test, value, volts, text } of observations) {
    if (ref?.startsWith('C') && test === 'voltage-dc' && (value ?? volts ?? 0) > CHARGED)
      found.set(ref, (has('store', circuits) ? ROLES.store : ROLES.bulk).label);
    for (const told of (ref === undefined ? (text ?? '') : '').matchAll(
      /\b(?<ref>[A-Z]{1,4}\d+) (?:is|was) (?:an? |the )(?<what>[^,;.]+)/gu,
    ))
      if (told.groups && !found.has(told.groups['ref'] ?? ''))
        found.set(told.groups['ref'] ?? '', (told.groups['what'] ?? '').toLowerCase());
  }
  return found;
}

const CRACKED = /\brings?\b.{0,16}(?:leg|pin|lead|both)|(?:cracked|dull|grey).{0,12}(?:joint|solder)/u;

/** An observation as a person would say it, in lower case: readings at a bulk capacitor, a fuse or an inlet are put into words. */
export function wordsOf(seen: Seen, of: RoleBook): string {
  const { ref, rail, test, value, volts, text, condition } = seen;
  if (rail !== undefined) return '';
  const parts = [text ?? ''];
  if (ref !== undefined && !ref.startsWith('rail ')) {
    const roles = of.rolesOf(ref);
    const likely = [...roles].toSorted((a, b) => b[1] - a[1])[0]?.[0];
    const reading = value ?? volts ?? (text === undefined ? undefined : firstVolts(text));
    // A main can is told by what stands on it.
    if (test === 'voltage-dc' && reading !== undefined && ref.startsWith('C') && reading > CHARGED)
      parts.push('bulk charged');
    if (
      test === 'voltage-dc' &&
      reading !== undefined &&
      likely === 'bulk' &&
      /pfc/u.test(of.circuits) &&
      reading > 150 &&
      reading < 345
    )
      parts.push('pfc does not boost');
    if (test === 'voltage-dc' && reading !== undefined && likely === 'bulk' && reading < 20) parts.push('bulk 0 v');
    if (
      likely === 'fuse' &&
      (condition === 'good' || ((test === 'continuity' || test === 'resistance') && (value ?? 9) < 5))
    )
      parts.push('fuse good');
    if (
      test === 'voltage-dc' &&
      reading !== undefined &&
      likely === 'bulk' &&
      /pfc/u.test(of.circuits) &&
      reading > 360
    )
      parts.push('pfc boosts');
    if (condition !== undefined && /burn|char|black/u.test(condition) && ref.startsWith('R') && !ref.startsWith('RV'))
      parts.push('resistor burnt');
    // A cracked joint says nothing of the part it holds.
    if (test === 'visual' && CRACKED.test(text?.toLowerCase() ?? '')) parts.push('cracked joint');
    // What is told of one part is no word on the whole unit.
    if (text !== undefined && test !== undefined && likely !== 'fuse' && likely !== 'fan')
      return parts.slice(1).join(' ').toLowerCase();
    if (likely === 'fuse' || likely === 'fan') parts[0] = `${likely} ${parts[0] ?? ''}`;
  }
  return parts.join(' ').toLowerCase().trim();
}

/** How sure a part is a fuse for its being open to count. */
const FUSE_SURE = 0.3;
const IS_OPEN = /blown|open|burnt|melted/u;

/** The complaint as what was seen makes it: a unit whose fuse or fusible resistor is open is not just dead. */
export function symptomOf({ symptom, observations }: Complaint, of: RoleBook): Symptom {
  if (symptom !== 'dead' && symptom !== 'standby-dead') return symptom;
  const isBlown = observations.some(({ ref, condition, text }) => {
    if (ref === undefined)
      return /\bfus(?:e|ible)\b[^,;.]{0,24}\b(?:blown|blew|is open|open too|burnt)/u.test(text ?? '');
    const roles = of.rolesOf(ref);
    const sure = Math.max(roles.get('fuse') ?? 0, roles.get('fusible') ?? 0);
    return sure > FUSE_SURE && condition !== undefined && IS_OPEN.test(condition);
  });
  return isBlown ? 'fuse-blown' : symptom;
}
