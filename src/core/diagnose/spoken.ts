import { practice } from '../evidence';
import { CAUSE_NAMES } from './causes';
import { isDenied } from './readings';
import { causeOf } from './rule';
import { has } from './roles';
import type { RoleName } from './words';
import type { Weigh } from './weigh';

/** What people call a part that they have no number for. */
const CALLED: readonly (readonly [RegExp, RoleName])[] = practice([
  [/\b(?:pfc|boost|coil.?s?|choke.?s?) (?:transistor|fet|mosfet|switch)/u, 'pfcSwitch'],
  [/(?:little|small|tiny|standby) (?:[a-z]+.legged )?chip/u, 'standbySwitch'],
  [/\b(?:standby) (?:transistor|fet|chip|switch)/u, 'standbySwitch'],
  [/\b(?:transistors?|fets?|mosfets?|igbts?|main switch)\b/u, 'mainSwitch'],
  [/\bbridge\b|rectifier block/u, 'bridge'],
  [/\b(?:bulk|(?:big|fat|tall|large|main|mains) (?:cans?|caps?|capacitors?))\b/u, 'bulk'],
  [/varistor|blue (?:disc|part|pill)|\bmov\b/u, 'varistor'],
  [/\bx2?.?(?:cap|capacitor)|(?:yellow|square|plastic|film) (?:box|cap|capacitor)/u, 'xCapacitor'],
  [/\bntc\b|thermistor|inrush/u, 'ntc'],
  [/start.?up resistor/u, 'startUp'],
  [/(?:small|little|tiny) (?:can|cap|capacitor)|vcc cap/u, 'vccCapacitor'],
  [/\bchip\b|controller|\bic\b/u, 'controller'],
  [/\bshunt\b(?! ref)|sense resistor/u, 'sense'],
  [/gate resistor|driver/u, 'gate'],
  [/snubber|clamp|resistors? (?:next to|beside|at) the transformer/u, 'clamp'],
  [/output diode|output rectifier|(?:double|schottky|secondary) diode/u, 'outputRectifier'],
  [/(?:output|secondary) (?:cans?|caps?|capacitors?)|\b(?:two|three|four|some|all|the) cans\b/u, 'outputCapacitor'],
  [/tantal/u, 'outputCapacitor'],
  [/opto|four.legged/u, 'optocoupler'],
  [/\b431\b|shunt ref|reference/u, 'reference'],
  [/divider|trimmer|little screw|adjustment|feedback/u, 'feedback'],
  [/transformer|\bcore\b/u, 'transformer'],
  [/\bfan\b|blower/u, 'fan'],
  [/\b(?:cable|cord|lead|barrel|connector|plug)\b/u, 'cable'],
  [/triac/u, 'triac'],
  [/diac|trigger/u, 'trigger'],
  [/timing/u, 'timing'],
  [/dropper/u, 'dropper'],
  [/regulator|three.legged|pass transistor/u, 'regulator'],
  [/\bstore\b|flash cap/u, 'store'],
  [/\bleds?\b|strip|panel|\bdots?\b/u, 'leds'],
  [/solder|joint/u, 'joints'],
] as const);

const SICK =
  /\bpit\b|cushion|puff|swell|swollen|fray|cook|brown|scorch|charr|\bhole\b|crack|split|burn|burst|bulg|dome|crust|leak|\bdull\b|caked|\bdust|stiff|turns hard|\bdead\b|short|broken|torn|vented|open lids?|popped|black (?:point|spot|dot)|clicked|gets? (?:very )?(?:hot|warm)|damaged|chewed|melted|blown off|halves|pieces|seam|juice|pimple|blister/u;
const WELL =
  /\b(?:measures?|reads?|tests?|is|are|was|were|looks?|has been) (?:all )?(?:good|fine|new|whole|ok|right)\b|\bso that one is whole|\b(?:new|replaced|renewed|changed)\b/u;

/** A part is out of the circuit: whether the fault left with it. */
const TAKEN_OUT = /\b(?:lifted|taken out|removed|unsoldered|pulled|disconnected)\b/u;
const STAYS =
  /\bstill\b|\bthe same\b|\bremains?\b|\bstays?\b|(?:\bnot\b|\bnever\b|n.t\b).{0,12}(?:gone|clear|vanish|disappear)/u;
const GONE = /\b(?:short|ohms?|leak|hum|fault)\b.{0,12}(?:gone|clears?|vanish|disappear)/u;
/** The fault came or went with the warmth of a part; not where that is denied. */
const BY_WARMTH =
  /(?:(?:freez\w*|cold|cooling) spray|hair ?dry\w*|heat gun|hot air)\b.{0,12}\b(?:on|at|over|to)\b(?:(?!\bnot\b|\bnever\b|n.t\b|\bno\b).){0,48}(?:bring|cure|kill|stop|start|change(?!s? nothing)|wake|back)/u;

/** How much a part that is told of as sick, as well, or by which the fault came and went, says. */
const SAYS = practice({ sick: 3, well: 0.3, guilty: 12 });
/** What hangs on the output may take along a short that is its own. */
const OUTSIDE: ReadonlySet<RoleName> = new Set(['leds', 'cable']);

/** How much a clause says of the part that it names; nothing where it does not tell. */
function saysOf(clause: string, role: RoleName): number | undefined {
  if (TAKEN_OUT.test(clause) && STAYS.test(clause)) return SAYS.well;
  if ((TAKEN_OUT.test(clause) && GONE.test(clause)) || BY_WARMTH.test(clause))
    return OUTSIDE.has(role) ? undefined : SAYS.guilty;
  const sick = SICK.exec(clause);
  if (sick && !isDenied(clause.slice(0, sick.index))) return SAYS.sick;
  return WELL.test(clause) ? SAYS.well : undefined;
}

/** What is told of parts in plain words, clause by clause: “the chip has a pit”, “the PFC transistor measures good”. */
export function weighSpoken(told: string, circuits: string, weigh: Weigh): void {
  const heard = new Map<RoleName, { readonly says: number; readonly clause: string }>();
  for (const clause of told.split(/[.;\n]|, (?!and\b)/u)) {
    // What is named first is what is spoken of: “the shunt under the transistor”.
    const [named] = CALLED.flatMap(([says, role]) => {
      const at = says.exec(clause)?.index;
      return at === undefined || !has(role, circuits) ? [] : [{ at, role }];
    }).toSorted((a, b) => a.at - b.at);
    if (!named) continue;
    const { role } = named;
    const says = saysOf(clause, role);
    if (says !== undefined) heard.set(role, { says, clause });
  }
  for (const [role, { says, clause }] of heard)
    for (const name of CAUSE_NAMES)
      if ((causeOf(name).roles as readonly RoleName[]).includes(role)) weigh(name, says, `“${clause.trim()}”`);
}
