import { practice } from '../evidence';
import { calledIn } from './called';
import { CAUSE_NAMES } from './causes';
import { CHIP_SHORT_OHMS, isDenied, isOffBy, ohmsIn, ratioSaid, SHORT_OHMS, type State } from './readings';
import { causeOf, RULE, type Weigh } from './rule';
import { BLOCKING } from './stateByRole';
import { fits } from './weigh';
import type { RoleName } from './words';

const SICK =
  /\bpit\b|cushion|puff|swell|swollen|fray|cook|browned|\bbrown\b(?= *$| (?:at|on|in|inside|spot|ring|foot|patch|edge|belly|and|under|goo|crust|stuff))|scorch|charr|charcoal|charred|\bash\b|\bblack\b(?= *$| (?:at|on|inside|spot|point|dot|centre|middle|patch|and))|\bholes?\b|crater|bubble|crack|split|burn|burst|bulg|dome|mushroom|rounded|head like|pushed up|\begg\b|fat belly|\bhats?\b|crust|\bgoo\b|leak(?!y|age)|\bdull\b|cold solder|stiff|turns hard|broken|broke\b|torn|vented|vents?\b.{0,12}\bup\b|(?:top|lid) (?:has )?opened|open lids?|popped|explod|discolou?red|clicked|gets? (?:very )?(?:hot|warm)|scalding|overheat|damaged|chewed|melt|blown?\b|blew its|halves|in pieces|chunk|chip out|crumbl|seam|lost its juice|pimple|blister|flux|splash|came off|wobbl|kink|bent|\bbare\b|\bworn\b|loose|jammed|seized/u;
/** What stops a fan, and lies on all else. */
const DUSTY = /caked|\bdust|\blint\b|hair\b(?! dr)|fluff|clogged|felted/u;
/** A verdict without its reading. */
const CONDEMNED =
  /\b(?:bad|faulty|defective|dead|kaput|toast|shot|finished|fried|failed|went bang|blew up|broken|gone|destroyed|ruined|no good|useless)\b/u;
const WELL =
  /\b(?:measures?|reads?|tests?|is|are|was|were|looks?|has been) (?:all )?(?:good|fine|new|whole|ok|right|well)\b|\bso that one is whole|\b(?:new|replaced|renewed|changed|swapped)\b/u;
/** A new one was tried, and did not help. */
const NO_HELP =
  /\b(?:new|another|other|replaced|renewed|changed|swapped|exchanged)\b.{0,24}(?:no (?:change|help|difference|better|luck|use)|\bthe same\b|same (?:fault|thing|again)|nothing (?:changed|better)|did(?: not|n.t) help)|\bno (?:change|help|difference)\b.{0,16}\bnew\b/u;
/** A new one was tried, and it helped. */
const CURED =
  /\b(?:replac\w+|renew\w+|chang\w+|swapp\w+|exchang\w+|reflow\w+|re.?solder\w+)\b(?!.{0,24}\b(?:same|not|no|still)\b).{0,40}(?:\b(?:works?|runs?|ran)\b(?! (?:hot|only|until|but|for|a|an|one|two)\b)|\blights?\b|\bback (?:at|to)\b|all well|\bfixed\b|\bcured?s?\b|is (?:fine|well) (?:again|now))|(?:works?|runs|fine) (?:again )?(?:after|since|with) (?:a |the )?(?:new|reflow\w*|replac\w*|re.?solder\w*)/u;

const SHORTED =
  /\bshort(?:ed|s)?\b(?!.{0,8}(?:circuit )?(?:protection|time|while|moment|pulse|burst|blink|tick|lead|run))|\b(?:zero|nothing|0(?:\.0\d*)?(?: ?v)?) (?:both|in both|in either) (?:ways|directions)|both (?:ways|directions) (?:zero|0(?:\.0\d*)?\b|nothing)|conducts? (?:both ways|in both)|\bbeeps?\b|\bpunched\b|\ba few ohms?\b|\bhalf an ohm|\b(?:reads?|measures?|shows?|gives?|is|has|a-k|d-s) (?:zero|0(?:\.0\d*)?)\b(?! ?(?:v\b|\.\d*[1-9]))|\bzero (?:ohms?|resistance)|\b(?:as|is|like) a wire\b|\bjoined\b|terminals[^,;.]*connected|lets? (?:everything|all) through|passes (?:the )?(?:raw|whole|full)|gives? (?:the )?full input/u;
const OPEN =
  /(?<!vent )(?<!vents )(?<!valve )\bopen\b(?! (?:lid|at its top|circuit volt|collector|the (?:lid|case)))|\bol\b(?! (?:the other|both ways as))|\binterrupted|no continuity|burnt (?:through|open)|never conducts|does(?: not|n.t) conduct|\binfinite\b|conducts in (?:one|neither)|gone high|no (?:forward )?drop|\bgone open|\bnone on the other|\bno path\b/u;
const OFF =
  /\bdrift|\b(?:a|an?|one) (?:half|third|quarter|fifth|tenth|fraction)\b|\blost (?:a|half|most|its|two|three|nearly|capacity|value)|has lost\b|\bweak\b|\bleaky\b|\bhas leakage|\bdr(?:ied|y)\b(?! joint)|(?:does|do|did|will)(?: not|n.t) (?:sink|pull|regulate|break over|fire|act|move|react|trigger)|no light|gives? nothing|never (?:moves|acts|fires|turns)|nearly (?:zero|nothing)|\bstuck\b|stays (?:up|open|high)|dirty wiper|\bfaded\b|high esr|\besr (?:of |is |at )?(?:[4-9]|\d\d+)\b|\b(?:[4-9]|\d\d+) ?ohm esr|shorted turns|fails the ring|far too (?:low|high)/u;

/** A part is out of the circuit: whether the fault left with it. */
const TAKEN_OUT = /\b(?:lift(?:ed|ing)|taken out|removed|unsoldered|pulled|disconnected)\b/u;
const STAYS =
  /\bstill\b|\bthe same\b|\bremains?\b|\bstays?\b|(?:\bnot\b|\bnever\b|n.t\b).{0,12}(?:gone|clear|vanish|disappear)/u;
const GONE = /\b(?:short|ohms?|leak|hum|fault)\b.{0,12}(?:gone|clears?|goes|vanish|disappear)|\bcleared (?:it|the)/u;
/** The fault came or went with the warmth of a part; not where that is denied. */
const BY_WARMTH =
  /(?:(?:freez\w*|cold|cooling) spray|hair ?dry\w*|heat gun|hot air|cooling|warming|blowing)\b.{0,12}\b(?:on|at|over|to|the)\b(?:(?!\bnot\b|\bnever\b|n.t\b|\bno\b).){0,48}(?:bring|cure|kill|stop|start|change(?!s? nothing)|wake|back|keeps? it|alive)/u;

/** How much a part that is told of as well, or by which the fault came and went, says. */
const SAYS = practice({ well: 0.3, noHelp: 0.12, guilty: 12 });
/** How sure a part that is told of without its number is the one meant: by a reading, by a verdict, and by its looks. */
const SURE = practice({ read: 0.7, verdict: 0.35, looks: 0.12 });
/** What hangs on the output may take along a short that is its own. */
const OUTSIDE: ReadonlySet<RoleName> = new Set(['leds', 'cable']);

/** What a clause says of a part: a factor for its causes, or the state it was found in. */
type Said = { readonly factor: number } | { readonly state: State; readonly sure: number };

const isSaid = (words: RegExp, clause: string): boolean => {
  const found = words.exec(clause);
  return found !== null && !isDenied(clause.slice(0, found.index));
};

function readingOf(clause: string, role: RoleName): State | undefined {
  if (isSaid(OFF, clause) && !/\bshort(?!ed turns)/u.test(clause)) return 'off';
  const ratio = ratioSaid(clause);
  if (ratio !== undefined) return isOffBy(ratio) ? 'off' : 'good';
  if (isSaid(OPEN, clause)) return BLOCKING.has(role) && /\bol\b/u.test(clause) ? undefined : 'open';
  if (!BLOCKING.has(role)) return undefined;
  if (isSaid(SHORTED, clause)) return 'shorted';
  const ohms = ohmsIn(clause);
  if (ohms === undefined) return undefined;
  return ohms < shortOhmsOf(role) ? 'shorted' : FILM.has(role) && ohms < LEAKS ? 'off' : undefined;
}

/** Film capacitors, which should pass nothing, and ohms under which one leaks. */
const FILM: ReadonlySet<RoleName> = new Set(['timing', 'xCapacitor', 'resonant', 'dropper', 'clamp']);
const LEAKS = practice(5e6);
const shortOhmsOf = (role: RoleName) => (role === 'controller' ? CHIP_SHORT_OHMS : SHORT_OHMS);

/** How a part is by what a clause says; nothing where it does not tell. */
function saidOf(clause: string, role: RoleName): Said | undefined {
  if (TAKEN_OUT.test(clause) && STAYS.test(clause)) return { factor: SAYS.well };
  if ((TAKEN_OUT.test(clause) && GONE.test(clause)) || BY_WARMTH.test(clause))
    return OUTSIDE.has(role) ? undefined : { factor: SAYS.guilty };
  if (NO_HELP.test(clause)) return { factor: SAYS.noHelp };
  if (CURED.test(clause)) return { factor: SAYS.guilty };
  const state = readingOf(clause, role);
  if (state !== undefined) return state === 'good' ? { factor: SAYS.well } : { state, sure: SURE.read };
  if (isSaid(CONDEMNED, clause)) return { state: 'damaged', sure: SURE.verdict };
  if (isSaid(SICK, clause) || (role === 'fan' && isSaid(DUSTY, clause))) return { state: 'damaged', sure: SURE.looks };
  return WELL.test(clause) ? { factor: SAYS.well } : undefined;
}

const clausesOf = (told: string): readonly string[] =>
  told.split(/[;\n]|\.(?!\d)|, (?!(?:and|says|marked|should|printed|is marked)\b)/u);

/**
 * What is told of parts in plain words, clause by clause: “the chip has a pit”, “the boost diode conducts both ways”.
 * @param told texts in lower case
 * @returns for each text, whether a part was read in it: how it was found, not just how it looks
 */
export function weighSpoken(told: readonly string[], circuits: string, weigh: Weigh): readonly boolean[] {
  const heard = new Map<RoleName, { readonly said: Said; readonly clause: string }>();
  const isRead = told.map((text) => {
    let isPartRead = false;
    for (const clause of clausesOf(text)) {
      const named = calledIn(clause, circuits);
      // What is named first is what is spoken of: “the shunt under the transistor”.
      for (const role of /\b(?:both|all)\b/u.test(clause) ? named : named.slice(0, 1)) {
        const said = saidOf(clause, role);
        if (said === undefined) continue;
        heard.set(role, { said, clause });
        isPartRead ||= !('factor' in said) && said.sure !== SURE.looks;
      }
    }
    return isPartRead;
  });
  for (const [role, { said, clause }] of heard) {
    const reason = `“${clause.trim()}”`;
    for (const name of CAUSE_NAMES) {
      const { roles, wake = [] } = causeOf(name);
      const isGuilty = (roles as readonly RoleName[]).includes(role);
      if ('factor' in said) {
        if (isGuilty) weigh(name, said.factor, reason);
        continue;
      }
      const fit = isGuilty ? said.sure * fits(name, said.state) : 0;
      // Looks and verdicts speak for their part; only a reading speaks against the others.
      if (said.sure !== SURE.read) {
        if (fit > 0) weigh(name, fit * RULE.bad + 1 - fit, reason);
        continue;
      }
      const other = (wake as readonly RoleName[]).includes(role) ? 1 : 1 - said.sure * (1 - RULE.unexplained);
      weigh(name, fit * RULE.bad + (1 - fit) * other, reason);
    }
  }
  return isRead;
}
