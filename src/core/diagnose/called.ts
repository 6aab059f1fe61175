import { practice } from '../evidence';
import { decodeMarking, type Decoding } from '../marking';
import { has } from './circuitRoles';
import type { RoleName } from './words';

/** Words for a switch, a can, a coil, and for what stands at a place. */
const SWITCH = String.raw`(?:(?:power )?transistor|fet|mosfet|igbt|switch|power chip)(?:e?s)?\b`;
const AT = String.raw`(?:of|at|by|on|in|near|beside|next to|behind|after|under|below|against|across|in front of|belonging to)(?: the)?`;
const SIDE = String.raw`(?:secondary|output|low.voltage|cold)(?: side)?`;
const HOT = String.raw`(?:primary|mains|hot|high.voltage)(?: side)?`;
const CAN = String.raw`(?:can|cap|capacitor|electrolytic|elko)s?\b`;
const COIL = String.raw`(?:coil|choke|inductor|toroid)`;
const SMALL = String.raw`(?:small|little|tiny|wee)`;
const LARGE = String.raw`(?:big|fat|tall|large|main|mains|primary|high.voltage|4[0-9]0 ?v)`;
const BOX = String.raw`(?:box|block|cap|capacitor)\b`;

const said = (of: string): RegExp => new RegExp(String.raw`\b(?:${of})`, 'u');

/**
 * What people call a part that they have no number for; of two that begin at one word the first counts. Common practice,
 * no source.
 */
const CALLED: readonly (readonly [RegExp, RoleName])[] = practice([
  // Said by two places between which something was read.
  [said(String.raw`(?:bulk|big can|mains can)(?: plus)?(?: to| and) (?:the )?(?:source|sense|shunt)`), 'mainSwitch'],
  [
    said(String.raw`(?:plus|positive) of (?:the )?bridge[^,;.]{0,16} (?:to|and) [^,;.]{0,12}bulk|bridge plus to bulk`),
    'pfcDiode',
  ],
  [said(String.raw`${COIL}\S*[^,;.]{0,16} (?:to|and) (?:the )?(?:bulk|big can|mains can|output)`), 'pfcDiode'],
  // By what stands beside it.
  [
    said(
      String.raw`(?:${SMALL} [^,;.]{0,12}(?:${SWITCH}|to.\d+)|to.(?:92|220)|${SWITCH}|chip|ic|dip.?8|one) ${AT} (?:${SMALL} |standby\b|5 ?v ?sb)|(?:standby|5 ?v ?sb) (?:${SWITCH}|chip)|aux(?:iliary)? (?:supply )?(?:chip|${SWITCH})|${SMALL} (?:[a-z]+.legged )?chip`,
    ),
    'standbySwitch',
  ],
  [
    said(
      String.raw`(?:pfc|boost|power.factor|coil.?s?|choke.?s?|first(?: power)?) ${SWITCH}|${SWITCH} ${AT} (?:(?:big |large )?${COIL}|boost|pfc|bridge)`,
    ),
    'pfcSwitch',
  ],
  [
    said(
      String.raw`(?:pfc|boost|coil.?s?|silicon.carbide|sic) (?:diode|rectifier)|(?:diode|ultrafast) ${AT} (?:big |large |pfc )?${COIL}|two.legged part[^,;.]{0,24}${COIL}`,
    ),
    'pfcDiode',
  ],
  [
    said(
      String.raw`(?:rectifier|synchronous|sync|sr|${SIDE}) (?:power )?${SWITCH}|(?:${SWITCH}|so.?8s?|power so) ${AT} ${SIDE}|${SIDE} so.?8|low.side sync|${SWITCH} that (?:replace|rectify)`,
    ),
    'syncFet',
  ],
  [
    said(
      String.raw`(?:drive|driver) (?:transformer|transistor|stage)|driver\b|bootstrap|(?:gate|base)(?: drive)? (?:resistor|stopper|waveform)|(?:gate|base) of|one gate|pull.?down|\d+ ?(?:ohm|r)? ?(?:resistor )?(?:at|in) the (?:gate|base)`,
    ),
    'gate',
  ],
  [
    said(
      String.raw`(?:source|emitter|current sense|sense|shunt|wirewound|low.ohm)(?: power)? resistors?|shunt\b(?! (?:ref|regul))|(?:resistors?|wirewound|r?\d*(?:[.r]\d+) ?(?:ohms?|r)?) (?:${AT}) (?:${SWITCH}|source|emitter)|0r\d+|(?:power )?resistor (?:at|by) the ${SWITCH}`,
    ),
    'sense',
  ],
  [
    said(
      String.raw`(?:\d{3} ?k|[1-4](?:\.\d)? ?m)(?:ohm)? (?:reads|measures)|start.?up (?:resistor|chain|string)|resistor chain|high.voltage resistors?|row of [a-z]* ?resistors|(?:\d{2,3} ?k|[12](?:\.\d)? ?m)(?:ohm)? ${AT} (?:high voltage|bulk|plus)`,
    ),
    'startUp',
  ],
  [
    said(
      String.raw`snubber|clamp|tvs\b|suppressor|rc across|rcd clamp|resistors?[^,;.]{0,24} ${AT} (?:transformer|primary)|disc ${AT} (?:drain|${SWITCH}|transformer)`,
    ),
    'clamp',
  ],
  [
    said(
      String.raw`${SWITCH}|drain (?:to|and) source|source (?:to|and) drain|collector (?:to|and) emitter|gate (?:to|and) source`,
    ),
    'mainSwitch',
  ],
  [
    said(
      String.raw`bridge\b|rectifier block|(?:mains|input|front.end|primary) (?:rectifier|diodes?)|(?:two|one|some|diode|arms?) of the (?:four|rectifier)|four diodes|ac (?:pins?|legs?|to)|tildes?|rectifier [^,;.]{0,12}\bac\b|square black part`,
    ),
    'bridge',
  ],
  [
    said(
      String.raw`standby (?:[a-z]+ )?${CAN}|${CAN} ${AT} (?:the )?(?:standby|5 ?v ?sb|${SMALL} transformer)|${SMALL} ${CAN} [^,;.]{0,16}standby|\d+ ?uf?(?: \d+ ?v)? ${AT} standby`,
    ),
    'standbyCapacitor',
  ],
  [
    said(
      String.raw`bulk|${LARGE}(?: filter| electrolytic)? ${CAN}|${CAN} ${AT} (?:mains|${HOT})\b|(?:smoothing|filter|reservoir) ${CAN} ${AT} ${HOT}|mains electrolytic|4[0-9]0 ?v ${CAN}`,
    ),
    'bulk',
  ],
  [
    said(
      String.raw`(?:black|green|grey|dark)(?: [a-z]+)? disc|ntc|thermistor|inrush (?:resistor|limiter|thermistor)|round (?:black|green|dark) (?:part|component|thing)`,
    ),
    'ntc',
  ],
  [
    said(
      String.raw`varistor|mov\b|vdr\b|znr\b|zinc.oxide|surge (?:part|protector|absorber|arrest[a-z]*)|(?:(?:blue|red|orange|yellow) )?(?:disc|lentil|pill)\b|blue part`,
    ),
    'varistor',
  ],
  [
    said(
      String.raw`(?:step.?up |main )?(?:transformer|trafo|xfmr|lopt)|core\b|primary (?:winding|inductance)|windings?\b`,
    ),
    'transformer',
  ],
  [
    said(
      String.raw`resonan[a-z]*|tank|cr\b|(?:film|box|block|capacitor|mkp)[^,;.]{0,20}(?:between (?:the )?transformer|at the transformer|in (?:series|the (?:half )?bridge)|half bridge|tank)`,
    ),
    'resonant',
  ],
  [
    said(
      String.raw`x[12]?\b.?(?:${BOX})?|line filter cap|(?:yellow|square|plastic|film|rectangular|box|white)(?: film)?(?: ${BOX})+|box capacitor|paper capacitor|\d+ ?vac (?:cap|capacitor)|\d?\.?\d+ ?uf? \d+ ?vac`,
    ),
    'xCapacitor',
  ],
  [
    said(
      String.raw`vcc ${CAN}|aux(?:iliary)? ${CAN}|${SMALL} (?:[a-z]+ )?${CAN}|${CAN} ${AT} (?:the )?(?:chip|controller|ic\b)|\d+ ?uf?(?: \d+ ?v)? (?:by|at|beside|near|next to) (?:the )?(?:chip|controller|ic\b|pin)`,
    ),
    'vccCapacitor',
  ],
  [said(String.raw`opto[a-z]*|coupler|(?:4|four).(?:legged|pin) (?:part|chip|thing)?`), 'optocoupler'],
  [
    said(
      String.raw`43[12]\b|shunt (?:ref|regul)[a-z]*|reference|(?:three.legged|to.92)[^,;.]{0,16} (?:of|at|in) the (?:divider|feedback)|ref pin`,
    ),
    'reference',
  ],
  [
    said(
      String.raw`divider|trimmer|pot\b|little screw|adjustment|feedback|wiper|sense wire|\d+(?:\.\d)?k of the divider`,
    ),
    'feedback',
  ],
  [
    said(
      String.raw`regulator|three.legged|3.terminal|(?:series )?pass transistor|(?:input|in) (?:and|to) (?:the )?out(?:put)?|between in(?:put)? and out(?:put)?`,
    ),
    'regulator',
  ],
  [
    said(
      String.raw`(?:output|secondary|double|dual|twin|schottky|\d+ ?v|${SIDE}) (?:double )?(?:diode|rectifier)s?|schottky|diode on the (?:secondary )?(?:heat )?sink|rectifier\b`,
    ),
    'outputRectifier',
  ],
  [
    said(
      String.raw`${SIDE} (?:filter )?${CAN}|filter ${CAN}|${CAN} ${AT} ${SIDE}|(?:two|three|four|some|all|the|green|brown|tops of(?: the)?(?: [a-z]+)?)(?: [a-z]+)? (?:cans|caps)|(?:cans|caps)\b|tantal[a-z]*|\d{3,4} ?(?:uf?|µf?)\b`,
    ),
    'outputCapacitor',
  ],
  [said(String.raw`chip|controller|(?:uc)?38[4-6]\d\b|494\b|(?:pwm )?ic\b|pwm`), 'controller'],
  [said(String.raw`fan|blower|ventilator|bearings?\b`), 'fan'],
  [
    said(
      String.raw`cable|cord|lead|barrel|connector|plug\b|strain relief|(?:output|dc|inner|plus|minus) wire|wire break`,
    ),
    'cable',
  ],
  [said(String.raw`triac|mt[12]\b`), 'triac'],
  [said(String.raw`diac|trigger(?: diode)?\b(?! cap)`), 'trigger'],
  [said(String.raw`timing|${SMALL} (?:film )?cap(?:acitor)?|100 ?nf? `), 'timing'],
  [said(String.raw`drop(?:per)? cap|dropper|big yellow (?:cap|box)|\d{2,3} ?n(?:f)?\b`), 'dropper'],
  [said(String.raw`store|(?:flash|storage|discharge|pulse|cdi) cap|cap of the pulse`), 'store'],
  [said(String.raw`thyristor|scr\b|pulse (?:switch|transistor)|igbt`), 'pulseSwitch'],
  [said(String.raw`leds?\b|strip|string\b|panel|dots?\b`), 'leds'],
  [said(String.raw`solder|joints?\b`), 'joints'],
] as const);

/** A type number, in lower case: letters and digits. */
const TYPE_NUMBER =
  /\b(?!\d+(?:\.\d+)?(?:[kmunpr]?(?:f|ohm|v|a|w|hz)?|vsb|vac|vdc|mv|ma)\b)(?:(?=[a-z-]*\d)(?=\d*-?[a-z])[a-z\d-]{3,12}|78[01]\d)\b/gu;
/** Readings of a type number that are surer than this, in sum, name a role. */
const TYPE_SURE = practice(0.4);

/** What a part of a type does in a unit. */
function roleOfType({ kind, facts }: Decoding, circuits: string): RoleName | undefined {
  switch (kind) {
    case 'bridge':
      return 'bridge';
    case 'thermistor':
      return 'ntc';
    case 'varistor':
      return 'varistor';
    case 'optocoupler':
      return 'optocoupler';
    case 'shunt-reference':
      return 'reference';
    case 'regulator':
      return 'regulator';
    case 'ic':
      return 'controller';
    case 'triac':
    case 'scr':
      return has('triac', circuits) ? 'triac' : 'pulseSwitch';
    case 'nmos':
    case 'npn':
    case 'igbt':
      return 'mainSwitch';
    case 'dual-diode':
      return 'outputRectifier';
    case 'diode': {
      const technology = facts?.['technology'] ?? '';
      if (technology === 'diac') return 'trigger';
      if (technology === 'tvs') return 'clamp';
      if (technology === 'zener') return 'zener';
      if (technology === 'schottky') return 'outputRectifier';
      if (/fast|sic/u.test(technology)) return has('pfcDiode', circuits) ? 'pfcDiode' : 'outputRectifier';
      return 'bridge';
    }
    default:
      return undefined;
  }
}

/** Switches by what stands beside them. */
const SWITCH_AT: readonly (readonly [RegExp, RoleName])[] = practice([
  [/stand.?by|5 ?v ?sb/u, 'standbySwitch'],
  [/pfc|boost|choke|coil|toroid/u, 'pfcSwitch'],
  [/secondary|output side/u, 'syncFet'],
] as const);
const byPlace = (role: RoleName, clause: string, circuits: string): RoleName =>
  role === 'mainSwitch'
    ? (SWITCH_AT.find(([says, one]) => says.test(clause) && has(one, circuits))?.[1] ?? role)
    : role;

/** Parts that are named by their type number. */
function typedIn(clause: string, circuits: string): readonly { readonly at: number; readonly role: RoleName }[] {
  return [...clause.matchAll(TYPE_NUMBER)].flatMap(({ 0: number, index }) => {
    const sure = new Map<RoleName, number>();
    for (const one of decodeMarking(number.toUpperCase())) {
      const role = roleOfType(one, circuits);
      if (role && has(role, circuits)) sure.set(role, (sure.get(role) ?? 0) + one.confidence);
    }
    const [first] = [...sure].toSorted((a, b) => b[1] - a[1]);
    return first && first[1] >= TYPE_SURE ? [{ at: index, role: byPlace(first[0], clause, circuits) }] : [];
  });
}

/** Only where it is said of a part that is spoken of: “the resistor beside the chip”. */
const BESIDE =
  /\b(?:near|beside|by|next to|under|behind|below|above|against|around|round|towards|off)(?: the| its| a)?(?: [a-z]+)? $/u;

/** What a clause speaks of, the first first; what is only named to say where something is does not count. */
export function calledIn(clause: string, circuits: string): readonly RoleName[] {
  const called = CALLED.flatMap(([says, role]) => {
    const at = has(role, circuits) ? says.exec(clause)?.index : undefined;
    return at === undefined ? [] : [{ at, role }];
  });
  const found = [...typedIn(clause, circuits), ...called]
    .filter(({ at }) => !BESIDE.test(clause.slice(0, at)))
    .toSorted((a, b) => a.at - b.at);
  return [...new Set(found.map(({ role }) => role))];
}
