import type { Sign } from './sign';

const SHORTS = {
  'switch-shorted': 4,
  'bridge-shorted': 4,
  'bulk-shorted': 2.5,
  'varistor-shorted': 3,
  'pfc-switch-shorted': 4,
  'pfc-diode-shorted': 3,
  'standby-switch-shorted': 2,
  'x-capacitor-failed': 0.7,
  'fuse-aged': 0.05,
} as const;
const NO_SHORT = {
  'switch-shorted': 0.1,
  'bridge-shorted': 0.1,
  'bulk-shorted': 0.1,
  'varistor-shorted': 0.2,
  'pfc-switch-shorted': 0.1,
  'pfc-diode-shorted': 0.15,
  'fuse-aged': 12,
} as const;

/** Words of a unit that has killed the same part before: what kills it is still there. */
export const KILLED_BEFORE =
  /(?:switch|fet|transistor|mosfet)s? (?:was |were |has been |have been |already )?(?:replaced|changed|renewed|fitted)|(?:second|third|fourth|next|new) (?:(?:set|pair) of )?(?:[a-z]+ )?(?:switch|fet|transistor|mosfet)|(?:kills|killed|blew|blows|died|dies|lasted).*(?:switch|fet|transistor|again|within|an? (?:day|hour|week|month|minute))|(?:two|three|four|five|several) (?:(?:pairs?|sets?) of )?(?:switches|fets|transistors|mosfets|igbts)|keeps (?:killing|blowing|eating)|(?:second|third|fourth) repair|each time the (?:[a-z]+ )?(?:switch|fet|transistor|mosfet)|(?:changed|replaced|renewed|fitted) (?:them|both|it|all)\b.{0,60}\b(?:again|went|blew|died|gone)|(?:repaired|mended) (?:once|twice|three times|before|again)/u;

/** The fuse, and what happened before. */
export const BEFORE: readonly Sign[] = [
  // The fuse, and what it says.
  {
    says: /fuse.*(?:black|silver|spatter|mirror|burst|shatter|explod)|(?:black|spatter).*fuse|\bbang\b|loud (?:pop|crack)|exploded|(?<!(?:cans?|caps?|lids?|tops?) )\bpop(?:ped)?\b|(?:blue|white) flash|flash mark|magic smoke|with a crack/u,
    tells: SHORTS,
  },
  {
    says: /everything behind (?:it )?(?:is|reads|measures) (?:normal|good|fine|whole|open)|\b(?:nothing|no part|none)\b[^,;.]{0,24}\bshort|all (?:semiconductors?|parts|diodes)\b[^,;.]{0,24}(?:well|good|fine|ok)\b|no (?:blackening|soot|spatter)|(?:glass|window)\b[^,;.]{0,24}\bclear|just parted|break at the end|works since|as if nothing|only the fuse|fatigue|no shorts? (?:found|anywhere)|checked everything|has (?:run|worked|held) (?:for|since|ever)|fuse.*(?:clear|sag|clean|slack|droop|hangs|parted|one end|no soot)|(?:wire|thread|glass).*(?:sagged|hangs|grey|thin|a gap)/u,
    tells: NO_SHORT,
  },
  {
    says: /(?:new|second|third|next|replacement) fuse.*(?:holds|runs|good|lasted|weeks|months|days)|runs .*new fuse/u,
    tells: NO_SHORT,
  },
  {
    says: /(?:new|second|third|next|replacement) fuse (?:blew|blows|went|goes)|(?:blew|blows) (?:again|the next)|fuse.*(?:at once|instantly) again/u,
    tells: { ...SHORTS, 'snubber-failed': 2, 'gate-drive-fault': 2 },
  },
  {
    says: /(?<!(?:new|changed|replaced|renewed) (?:the )?)fuse\b(?! replaced| changed)[^,;]*(?:good|whole|intact|fine|ok\b)/u,
    tells: {
      'switch-shorted': 0.25,
      'bridge-shorted': 0.15,
      'bulk-shorted': 0.2,
      'varistor-shorted': 0.2,
      'pfc-switch-shorted': 0.15,
      'pfc-diode-shorted': 0.3,
      'fuse-aged': 0.05,
      'x-capacitor-failed': 2,
      'line-selector-wrong': 0.4,
    },
  },
  // What happened before.
  {
    says: /thunder|fell on the line|lightning|neighbou?rs?\b.{0,40}(?:lost|too\b|also|blew|died)|two phases|three.phase|surge|storm|(?:lights?|lamps?|bulbs?)\b[a-z ]{0,20} (?:went|got|became|were|burnt?|glowed|shone)[a-z ]{0,12}bright|digger|cable of the street|(?:lost|broken|missing|swapped) neutral|400 ?v|generator|overvoltage/u,
    tells: {
      'varistor-shorted': 5,
      'bridge-shorted': 2.5,
      'bulk-shorted': 1.6,
      'switch-shorted': 0.8,
      'fuse-aged': 0.4,
    },
  },
  {
    says: /(?:dip|sag|drop) (?:of|in) the mains|brown.?out|mains (?:dip|came back|returned)|power cut|plugged? in again|holiday|(?:sockets?|mains|it) (?:was|were|had been) (?:switched )?off|unplugged (?:for|over|once)|after (?:weeks|months|being off)|never came back/u,
    tells: {
      'switch-shorted': 1.6,
      'ntc-open': 1.6,
      'bridge-shorted': 1.4,
      'pfc-switch-shorted': 1.6,
      'startup-resistor-open': 1.4,
      'vcc-capacitor-dry': 1.6,
      'standby-capacitor-dry': 1.5,
    },
  },
  {
    says: KILLED_BEFORE,
    tells: {
      'snubber-failed': 7,
      'gate-drive-fault': 6,
      'sense-resistor-open': 1.5,
      'transformer-shorted-turns': 2,
      'pfc-diode-shorted': 3,
      'resonant-capacitor-faded': 1.6,
      'switch-shorted': 0.2,
      'pfc-switch-shorted': 0.3,
    },
  },
  {
    says: /(?:caps|capacitors?|cans).{0,24}(?:replaced|renewed|changed|\bnew\b)|(?:changed|replaced|renewed|new).{0,20}(?:caps|capacitors?|cans)|recapped/u,
    tells: {
      'output-capacitors-dry': 0.25,
      'standby-capacitor-dry': 0.2,
      'vcc-capacitor-dry': 0.4,
      'bulk-dry': 0.4,
      'standby-unprotected': 5,
      'solder-joint-cracked': 1.5,
    },
  },
  {
    says: /\bdamp|moist|\bwet\b|flood|cellar|condens|humid/u,
    tells: {
      'x-capacitor-failed': 2.5,
      'varistor-shorted': 1.3,
      'startup-resistor-open': 1.4,
      'timing-capacitor-leaky': 1.6,
      'solder-joint-cracked': 1.2,
      'feedback-open': 1.3,
    },
  },
  {
    says: /\bdrop(?:ped)?\b(?! out)|\bfell (?:off|down)|shaken|vibrat|carried|travel|transport|forklift|hammer|knock|\btap(?:ping|ped)?\b|\bhit\b|\bslap/u,
    tells: { 'solder-joint-cracked': 6, 'cable-broken': 2 },
  },
  {
    says: /(?:from|bought in|used in|moved? to|came from) (?:america|japan|abroad|the (?:us|states))|(?:selector|slider|slide switch|red switch|voltage switch).{0,24}\b1(?:00|10|15|20)\b|\b(?:set|switched) (?:to|on|for) 1(?:00|10|15|20) ?v|\b1(?:00|10|15|20) ?v.{0,30}(?:230|socket here)/u,
    tells: { 'line-selector-wrong': 40 },
  },
  {
    // Countries of 100 to 127 V (IEC, “World plugs”); from memory.
    says: /\babroad\b|overseas|\b(?:america|canada|mexico|japan|taiwan|colombia|ecuador|venezuela)n?\b|moved countries|two.blade|flat (?:plug|blades)|expat|wrong (?:voltage|mains)|other mains|\bimport(?:ed)?\b|american|(?:but )?we have 1(?:10|15|20)|for 1[012][05]? ?v|(?:says|marked|label)[^,;.]{0,16}\b1(?:10|15|20)\b|(?:slide|switch|selector)[^,;.]{0,20}wrong way|(?:all|every|both) rails?[^,;.]{0,12}half/u,
    tells: { 'line-selector-wrong': 30 },
  },
  {
    says: /\bslider|slide switch|(?:red|voltage) (?:little )?(?:switch|slide)|selector/u,
    tells: { 'line-selector-wrong': 12 },
  },
  {
    // The doubler of the lower mains, fed with the higher one.
    says: /(?:selector|slider|switch).{0,24}\b1(?:00|10|15|20)\b(?!\/).{0,30}\b2[234]0\b/u,
    tells: { 'bulk-shorted': 5, 'varistor-shorted': 3 },
  },
  { says: /selector.{0,16}(?:230|220|240|right)/u, tells: { 'line-selector-wrong': 0.1 } },
];
