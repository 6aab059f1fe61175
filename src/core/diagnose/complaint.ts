import type { Board } from '../board';
import { practice } from '../evidence';
import { firstVolts, isNothing, isStandbyRail, nominalOf, type Seen } from './readings';
import { FED_DIRECT, has } from './circuitRoles';
import type { Described, RoleBook } from './roles';
import { likeliestOf } from './stateByRole';
import { ROLES, type RoleName, type Symptom } from './words';

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
  [/dimmer|motor|speed|drill|mixer|vacuum/u, 'phase-control'],
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

/** Watts up to which a unit that speaks of no fan has none. */
const COOL = practice(50);

/** Converters that stand on the mains as well as on low volts: the nameplate tells. */
const EITHER = /^(?:buck|boost|sepic|inverting|cuk)/u;

/** Volts of a can that only stands behind the mains. */
const CHARGED = 120;

/** Volts under which a step-down converter has a synchronous rectifier. */
const SYNC_BELOW = practice(2.6);

/** Said of a unit that feeds LEDs; one LED is a mere sign that it is on. */
const SPEAKS_OF_LEDS = /\bleds\b|led string|\bstrips?\b|backlight|panel (?:breathes|blinks|flashes|flickers|pulses)/iu;

/** Said of a standby rail: that it is not there. */
const GONE =
  /(?:nothing(?! wrong)|\bno (?:volts?|voltage)|\b0(?:\.\d)? ?v\b)[^,;.]{0,30}(?:purple|5 ?v ?sb|standby (?:rail|volt|supply))|(?:purple (?:wire|lead)|5 ?v ?sb|standby (?:rail|volt\w*|supply))[^,;.]{0,24}(?:nothing(?! wrong)|\b0(?:\.\d)? ?v\b|dead|missing|gone)/iu;

/** Circuits of a unit in one line: what is known, or what such a unit usually has. */
export function circuitsOf({ unit, board, topologies, symptom, observations }: Complaint): string {
  const hasStandby =
    symptom.startsWith('standby') ||
    observations.some(({ rail, ref, text }) => isStandbyRail(`${rail ?? ''} ${ref ?? ''} ${text ?? ''}`));
  const kind = (unit?.kind ?? '').toLowerCase();
  const usual = USUAL.find(([is]) => is.test(kind))?.[1] ?? 'flyback';
  const isTiny = (unit?.power ?? Infinity) <= TINY;
  const known =
    topologies && topologies.length > 0 ? topologies.join(' ') : isTiny ? `${usual} capacitive-dropper` : usual;
  // So low a rail wastes too much in a diode: a step-down for it has a second FET in its place.
  const isSync =
    known.startsWith('buck') &&
    observations.some(({ rail }) => rail !== undefined && (nominalOf(rail) ?? Infinity) < SYNC_BELOW);
  const isLit = observations.some(({ text }) => SPEAKS_OF_LEDS.test(text ?? ''));
  const isOffline = board?.nameplate?.input?.kind === 'ac' && EITHER.test(known);
  const isFanless =
    (unit?.power ?? Infinity) <= COOL &&
    !observations.some(({ ref, text }) => !isNothing(text) && /\bfan|blower/iu.test(`${ref ?? ''} ${text ?? ''}`));
  const isFedDirect = board?.nameplate?.input?.kind === 'dc';
  const own = [
    isOffline && 'offline',
    known,
    kind,
    isFedDirect && FED_DIRECT,
    isSync && 'sync',
    isLit && 'led',
    isFanless && 'fanless',
  ]
    .filter(Boolean)
    .join(' ');
  return hasStandby || /tv|pc-|monitor|recorder|console/u.test(kind) ? `${own} standby` : own;
}

/** What a person tells of a part that is numbered otherwise than usual: what it is there for, as `describedIn` reads it. */
export const namedAs = (ref: string, role: RoleName): string => `${ref} is the ${ROLES[role].label}`;

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

const CRACKED = /\brings?\b.{0,28}(?:leg|pin|lead|both)|(?:cracked|dull|grey).{0,12}(?:joint|solder)/u;

const UNBOOSTED = 'pfc does not boost';

const BULK_SAID = String.raw`\b(?:bulk|pfc|(?:big|main|mains) (?:can|cap|capacitor|elko|electrolytic))\b`;
const VOLTS_OF_BULK = [
  new RegExp(String.raw`${BULK_SAID}[^.;]{0,24}?\b(?<volts>\d{1,3}) ?v\b`, 'iu'),
  new RegExp(String.raw`\b(?<volts>\d{1,3}) ?v (?:dc )?(?:at|on|over|across) (?:the )?${BULK_SAID}`, 'iu'),
];

/** Volts that a person tells of the bulk can without its number. */
const bulkVoltsIn = (text: string): number | undefined => {
  const volts = VOLTS_OF_BULK.map((says) => says.exec(text)?.groups?.['volts']).find((found) => found !== undefined);
  return volts === undefined ? undefined : Number(volts);
};

/** Volts of a bulk can in words: empty, charged, and whether a power-factor stage in front of it boosts. */
function bulkWords(reading: number | undefined, { circuits }: RoleBook): string {
  if (reading === undefined) return '';
  if (reading < BULK.empty) return 'bulk 0 v';
  const charged = reading > CHARGED ? 'bulk charged' : '';
  if (!/pfc/u.test(circuits)) return charged;
  return reading > BULK.boosted
    ? `${charged} pfc boosts`
    : reading > BULK.rectified && reading < BULK.notBoosted
      ? `${charged} ${UNBOOSTED}`
      : charged;
}

const ALONE =
  /\balone\b|\bempty\b|by itself|unloaded|no load|nothing connected|with (?:the |its )?(?:terminals?|plug|connector|load|lead|wires?) (?:[a-z]+ )?(?:out|off|pulled|lifted|disconnected|unplugged|removed)|without (?:the |its |a |any )?(?:device|load|unit|set|notebook)/iu;
const ON_ANOTHER =
  /\bon (?:a|an|another|the other)\b[^:;.]{0,40}(?:lamp|bulb|resistor|load|device|unit)|\b(?:with|into) (?:an?|another|the other)\b[^:;.]{0,24}(?:lamp|bulb|resistor|dummy)/iu;

/** Numbers that may be volts: those with their unit, and those with none. */
const MAY_BE_VOLTS = /(?<volts>\d+(?:\.\d+)?)(?= ?v\b|\b(?! ?(?:w|a|hz|ohm)\b))/giu;

/** Volts of an output told with what hangs on it, as words: right alone, or right into another load. */
function underLoad(text: string, of: RoleBook): string {
  const volts = of.outputVolts;
  const told = [...text.matchAll(MAY_BE_VOLTS)].map(({ groups }) => Number(groups?.['volts']));
  const isRight = told.some((one) => volts.some((own) => Math.abs(one - own) <= RIGHT * own));
  const isLow = told.some((one) => volts.some((own) => one > 0 && one < 0.8 * own));
  if (!isRight || isLow) return '';
  return ON_ANOTHER.test(text) ? 'output right into another load' : ALONE.test(text) ? 'output right alone' : '';
}

const TAKES = /\b(?:takes|draws|pulls|needs|wants) (?:up to |about )?(?<amps>\d+(?:\.\d+)?) ?a\b/iu;
/** What the unit itself takes is no load. */
const OWN_FEED = /\b(?:mains|input|primary|wall|bulk|feed)\b|\b(?:it|unit|supply|board) (?:takes|draws|pulls)/iu;
/** How much more than its plate a unit bears. */
const BEARS = 1.15;

/** What hangs on it takes more than the plate gives, as words. */
function overPlate(text: string, { mostAmps }: RoleBook): string {
  const clause = text.split(/[;.](?!\d)/u).find((one) => TAKES.test(one) && !OWN_FEED.test(one)) ?? '';
  const taken = Number(TAKES.exec(clause)?.groups?.['amps'] ?? 0);
  return mostAmps !== undefined && taken > BEARS * mostAmps ? 'load takes more than the plate gives' : '';
}

/** How far an output that is right is off at most. */
const RIGHT = practice(0.06);

/** Volts of a bulk can: empty under the first; boosted over the second; between the others it has the mains' crest. */
const BULK = practice({ empty: 20, boosted: 360, rectified: 150, notBoosted: 345 });
/** Cans of other places: a part that is usually one of them, surer than this, is not taken for the bulk can. */
const OTHER_CANS = [
  'vccCapacitor',
  'outputCapacitor',
  'standbyCapacitor',
  'inputCapacitor',
  'store',
] as const satisfies readonly RoleName[];
const OTHER_CAN_FROM = 0.1;

/** A can at which a person measured volts first is the bulk can, unless it is usually another: charged, or empty. */
const isBulkRead = (
  { value, volts }: Seen,
  roles: ReadonlyMap<RoleName, number>,
  reading: number | undefined,
): boolean =>
  reading !== undefined &&
  (reading > CHARGED ||
    ((value ?? volts) !== undefined &&
      reading < 2 &&
      OTHER_CANS.every((role) => (roles.get(role) ?? 0) <= OTHER_CAN_FROM)));

/** An observation as a person would say it, in lower case: readings at a bulk capacitor, a fuse or an inlet are put into words. */
export function wordsOf(seen: Seen, of: RoleBook): string {
  const { ref, rail, test, value, volts, text, condition } = seen;
  if (rail !== undefined) return /^(?:bulk|pfc)\b/iu.test(rail) ? bulkWords(value ?? volts, of) : '';
  const parts = [text ?? ''];
  if (ref === undefined) {
    parts.push(bulkWords(bulkVoltsIn(text ?? ''), of), underLoad(text ?? '', of), overPlate(text ?? '', of));
  }
  if (ref !== undefined && !ref.startsWith('rail ')) {
    const roles = of.rolesOf(ref);
    const likely = likeliestOf(roles);
    const reading = value ?? volts ?? (text === undefined ? undefined : firstVolts(text));
    if (test === 'voltage-dc' && ref.startsWith('C') && (likely === 'bulk' || isBulkRead(seen, roles, reading)))
      parts.push(bulkWords(reading, of));
    if (
      likely === 'fuse' &&
      (condition === 'good' || ((test === 'continuity' || test === 'resistance') && (value ?? 9) < 5))
    )
      parts.push('fuse good');
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
  const isStandby = observations.some(({ ref, text = '' }) => ref === undefined && GONE.test(text));
  const isBlown = observations.some(({ ref, test, condition, text }) => {
    if (ref === undefined)
      return /\bfus(?:e|ible)\b[^,;.]{0,24}\b(?:blown|blew|(?:is|reads|measures) open|is through|is gone|open too|burnt)/u.test(
        text ?? '',
      );
    const roles = of.rolesOf(ref);
    const sure = Math.max(roles.get('fuse') ?? 0, roles.get('fusible') ?? 0);
    if (sure <= FUSE_SURE) return false;
    if (test === 'continuity' || test === 'resistance') return /^(?:ol|open)\b/iu.test(text?.trim() ?? '');
    return condition !== undefined && IS_OPEN.test(condition);
  });
  return isBlown ? 'fuse-blown' : isStandby ? 'standby-dead' : symptom;
}
