import { practice } from '../evidence';
import type { CauseName } from './causes';

/** What a person writes of a unit, and how many times likelier each cause makes it than the others do. */
export interface Sign {
  readonly says: RegExp;
  readonly tells: Partial<Record<CauseName, number>>;
}

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
  /(?:switch|fet|transistor|mosfet)s? (?:was |were |has been |have been |already )?(?:replaced|changed|renewed|fitted)|(?:second|third|fourth|next|new) (?:(?:set|pair) of )?(?:switch|fet|transistor|mosfet)|(?:kills|killed|blew|blows|died|dies|lasted).*(?:switch|fet|transistor|again|within|an? (?:day|hour|week|month|minute))|(?:two|three|four|five|several) (?:(?:pairs?|sets?) of )?(?:switches|fets|transistors|mosfets|igbts)|keeps (?:killing|blowing|eating)|(?:second|third|fourth) repair|each time the (?:[a-z]+ )?(?:switch|fet|transistor|mosfet)|(?:repaired|mended) (?:once|twice|three times|before|again)/u;

export const SIGNS: readonly Sign[] = practice([
  // The fuse, and what it says.
  {
    says: /fuse.*(?:black|silver|spatter|mirror|burst|shatter|explod)|(?:black|spatter).*fuse|\bbang\b|loud (?:pop|crack)|exploded/u,
    tells: SHORTS,
  },
  {
    says: /fuse.*(?:clear|sag|clean|slack|droop|hangs|parted|one end|no soot)|(?:wire|thread|glass).*(?:sagged|hangs|grey|thin|a gap)/u,
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
    says: /fuse.*(?:good|whole|intact|fine|ok\b)/u,
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
  {
    says: /output right alone/u,
    tells: {
      'overloaded-outside': 2,
      'output-capacitors-dry': 2.5,
      'sense-resistor-open': 1.5,
      'output-rectifier-shorted': 0.06,
      'sync-fet-shorted': 0.06,
      'auxiliary-winding-open': 0.2,
      'output-rectifier-open': 0.3,
      'feedback-open': 0.4,
    },
  },
  {
    says: /output right into another load/u,
    tells: {
      'overloaded-outside': 8,
      'output-capacitors-dry': 0.4,
      'sense-resistor-open': 0.4,
      'vcc-capacitor-dry': 0.3,
      'output-rectifier-shorted': 0.05,
      'sync-fet-shorted': 0.05,
      'auxiliary-winding-open': 0.1,
    },
  },
  {
    // What hangs on it is fine.
    says: /(?:another|other|second|new|borrowed) (?:adapter|charger|supply|brick|plug)[^.;]{0,28}(?:runs|works|feeds|charges|is fine)/u,
    tells: { 'overloaded-outside': 0.1 },
  },
  // What happened before.
  {
    says: /thunder|lightning|surge|storm|(?:lights?|lamps?|bulbs?) (?:went|got|became|were|burnt?|glowed)[a-z ]{0,12}bright|digger|cable of the street|(?:lost|broken|missing|swapped) neutral|400 ?v|generator|overvoltage/u,
    tells: {
      'varistor-shorted': 5,
      'bridge-shorted': 2.5,
      'bulk-shorted': 1.6,
      'switch-shorted': 0.8,
      'fuse-aged': 0.4,
    },
  },
  {
    says: /dip of the mains|brown.?out|mains (?:dip|came back|returned)|power cut|plugged? in again|holiday|(?:sockets?|mains|it) (?:was|were|had been) (?:switched )?off|unplugged (?:for|over|once)|after (?:weeks|months|being off)|never came back/u,
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
    says: /\bslider|slide switch|(?:red|voltage) (?:little )?(?:switch|slide)|selector/u,
    tells: { 'line-selector-wrong': 12 },
  },
  { says: /selector.{0,16}(?:230|220|240|right)/u, tells: { 'line-selector-wrong': 0.1 } },
  // How it behaves in time.
  {
    says: /(?:starts?|works?|runs?|comes up).{0,40}(?:only |better |again )?(?:when|once|after|if).{0,20}(?:warm|hair ?dry|heated)|cold.{0,30}(?:does not|will not|won.t|hardly|slow|no start|dead)|(?:longer|minutes|tries).{0,30}(?:start|come up)|longer every|wants longer|comes? (?:on |up )?late\b|(?:several|few|many|some) (?:attempts|tries|goes)/u,
    tells: {
      'vcc-capacitor-dry': 4,
      'standby-capacitor-dry': 4,
      'output-capacitors-dry': 2,
      'bulk-dry': 1.6,
      'startup-resistor-open': 1.3,
      'solder-joint-cracked': 0.8,
      'fan-stuck': 0.2,
      'optocoupler-dead': 0.8,
    },
  },
  {
    says: /(?:stops|fails|drops out|dies|cuts out|goes off|switches off|shuts).{0,40}(?:when|once|after|as).{0,24}(?:warm|hot|minutes|hour)|after (?:ten|twenty|thirty|half|some|a few|\d+)[ a-z]*(?:minutes|hour)/u,
    tells: {
      'solder-joint-cracked': 2.5,
      'fan-stuck': 2.5,
      'output-capacitors-dry': 1.6,
      'vcc-capacitor-dry': 1.3,
      'optocoupler-dead': 1.5,
      'controller-dead': 1.2,
    },
  },
  {
    says: /when (?:it |the plug |the cord )?(?:is )?(?:moved|touched|pressed|pushed|bent|twisted|turned)|pressing|push(?:ed|ing) (?:on|up|down|aside)|\bthumb\b|loose|wobbl|bend|wiggl|flex|\bangle|held (?:at|in)|sleeve/u,
    tells: { 'solder-joint-cracked': 4, 'cable-broken': 6 },
  },
  {
    says: /cable|cord|strain relief|plug (?:is |was )?(?:bent|pulled|crushed)|chewed|(?:rolled|drove) over/u,
    tells: { 'cable-broken': 5 },
  },
  {
    says: /(?<!\bno )(?:\btick|\bclick|\bchirp)|once a second|twice a second|times a second|pulses|hiccup|starts and stops|blinks/u,
    tells: {
      'output-rectifier-shorted': 1.5,
      'vcc-capacitor-dry': 1.5,
      'overloaded-outside': 1.4,
      'auxiliary-winding-open': 1.5,
      'sync-fet-shorted': 1.4,
      'startup-resistor-open': 0.2,
      'ntc-open': 0.05,
      'fuse-aged': 0.05,
      'controller-dead': 0.5,
      'trigger-diode-dead': 0.2,
    },
  },
  {
    says: /(?:fine|good|right|works|runs|starts|normal|correct|measured).{0,40}(?:alone|by itself|unloaded|on the bench|without (?:the |its |a |any )?(?:load|device)|with (?:the plug out|nothing connected|another)|unplugged from|on another)|(?:alone|by itself|unloaded|empty|without (?:the |its |a |any )?load|with nothing connected).{0,30}(?:fine|right|good|as it should|runs|works|normal)|(?:ticks?|stops|cuts out|shuts|drops).{0,24}(?:when|once|as soon as|the moment).{0,30}(?:plugged in|connected)/u,
    tells: { 'overloaded-outside': 4 },
  },
  {
    says: /(?:even|also|same|still|ticks?|just as).{0,20}(?:without|with no|with nothing|unloaded|empty|unplugged)/u,
    tells: {
      'overloaded-outside': 0.06,
      'output-rectifier-shorted': 1.5,
      'sync-fet-shorted': 1.4,
      'vcc-capacitor-dry': 1.3,
    },
  },
  {
    says: /(?:under|with|at|as soon as).{0,20}(?:full |heavy |more )?load.{0,30}(?:falls|drops|sags|dips|stops|restarts|freezes|resets|cuts)|(?:falls|sags|drops).{0,24}(?:under|with|at) (?:a |the |full |half )?load/u,
    tells: {
      'output-capacitors-dry': 1.8,
      'bulk-dry': 2,
      'overloaded-outside': 1.3,
      'dropper-capacitor-faded': 1.6,
      'resonant-capacitor-faded': 1.5,
      'feedback-open': 0.5,
      'sense-resistor-open': 1.6,
    },
  },
  {
    says: /output (?:caps?|capacitors?|cans?).{0,40}(?:good|fine|new|changed|replaced|renewed|measure)|(?:changed|replaced|renewed|tested|measured).{0,24}output (?:caps?|capacitors?|cans?)/u,
    tells: { 'output-capacitors-dry': 0.1 },
  },
  {
    says: /vcc (?:cap|capacitor|can).{0,30}(?:good|fine|new|changed|replaced|renewed)|(?:changed|replaced|renewed|new).{0,16}vcc (?:cap|can)/u,
    tells: { 'vcc-capacitor-dry': 0.08 },
  },
  {
    says: /(?:blew|died|failed|went|stopped).{0,30}(?:while|when|in the night).{0,30}(?:\boff\b|standby|asleep|nobody|not in use)|in standby/u,
    tells: {
      'standby-switch-shorted': 8,
      'x-capacitor-failed': 1.5,
      'varistor-shorted': 1.3,
      'pfc-switch-shorted': 0.3,
      'switch-shorted': 0.4,
    },
  },
  {
    says: /twitch|kicks|for a (?:moment|second)|blips|then (?:nothing|off|stops)|shuts down the moment|latches|until it is unplugged/u,
    tells: {
      'output-rectifier-shorted': 2.5,
      'sync-fet-shorted': 2.5,
      'overloaded-outside': 1.5,
      'startup-resistor-open': 0.3,
      'ntc-open': 0.1,
      'fuse-aged': 0.1,
      'cable-broken': 0.4,
    },
  },
  { says: /radio|interference|hiss|reception/u, tells: { 'snubber-failed': 5, 'output-capacitors-dry': 0.8 } },
  {
    says: /coffee|water|juice|liquid|spill|beer|\btea\b/u,
    tells: {
      'optocoupler-dead': 2.5,
      'feedback-open': 2.5,
      'reference-dead': 1.6,
      'timing-capacitor-leaky': 1.5,
      'x-capacitor-failed': 1.3,
    },
  },
  {
    says: /runs another|another (?:one|laptop|device|machine|unit|player) (?:runs|works)|(?:only|just) (?:with|when|while) (?:the |its |that |a )?[a-z ]{2,20}(?:is )?(?:plugged in|connected|on it)|(?:steady|right|fine|holds|good|correct).{0,30}(?:with|on|into) (?:a|an|another) [a-z ]{0,20}(?:lamp|bulb|load|resistor|device)/u,
    tells: { 'overloaded-outside': 5 },
  },
  {
    says: /(?:low|same|sags).{0,40}(?:no|without|any|at every|at no) load|from no load on|low.{0,16}(?:unloaded|empty)|even (?:unloaded|without load)/u,
    tells: {
      'output-rectifier-open': 3,
      'feedback-open': 2,
      'reference-dead': 2,
      'optocoupler-dead': 2,
      'output-capacitors-dry': 0.4,
      'bulk-dry': 0.3,
      'overloaded-outside': 0.15,
    },
  },
  {
    says: /(?:jumps|shoots|runs) (?:up )?to|overshoot|(?:shoots|jumps) up and/u,
    tells: { 'feedback-open': 3, 'optocoupler-dead': 4, 'reference-dead': 3, 'timing-capacitor-leaky': 2 },
  },
  {
    says: /does not (?:strike|light up)|no arc\b|\bends?\b.{0,24}(?:redden|\bred\b|glow|orange)|filaments? (?:glow|stay|only)|glows? (?:at|only at) (?:its|the|both) ends|tries to (?:strike|light)/u,
    tells: { 'resonant-capacitor-faded': 6, 'trigger-diode-dead': 0.2, 'switch-shorted': 0.3 },
  },
  {
    says: /resistor burnt/u,
    tells: {
      'switch-shorted': 2,
      'standby-switch-shorted': 3,
      'sense-resistor-open': 2,
      'gate-drive-fault': 1.5,
      'snubber-failed': 1.5,
      'output-capacitors-dry': 0.5,
      'standby-capacitor-dry': 0.5,
      'vcc-capacitor-dry': 0.5,
    },
  },
  {
    says: /pfc boosts/u,
    tells: {
      'pfc-switch-shorted': 0.1,
      'pfc-diode-shorted': 0.15,
      'ntc-open': 0.05,
      'startup-resistor-open': 0.3,
      'vcc-capacitor-dry': 0.5,
      'sync-fet-shorted': 1.5,
      'gate-drive-fault': 2,
    },
  },
  {
    says: /(?:supply|vcc).{0,32}(?:ticks|saw|between \d|(?:climbs|rises|creeps up|goes up).{0,24}(?:falls|drops|collapses|down)|up and down)/u,
    tells: {
      'startup-resistor-open': 0.06,
      'controller-dead': 0.5,
      'sense-resistor-open': 1.6,
      'auxiliary-winding-open': 4,
      'vcc-capacitor-dry': 2,
      'output-rectifier-shorted': 1.3,
    },
  },
  {
    says: /\bvents?\b.{0,16}(?:open|burst|lifted|blown)|(?:pushed|blown|opened) its vent|(?:bulk|big can|mains can).{0,24}(?:burst|vented|domed|swollen|bulged)|\bcan\b.{0,16}(?:burst|exploded|open at (?:its|the) top)|(?:bottom|lid|sleeve).{0,16}(?:came (?:out|off)|blown|torn|pushed)/u,
    tells: { 'bulk-shorted': 6, 'output-capacitors-dry': 1.6, 'bulk-dry': 1.6 },
  },
  {
    says: /(?:bulk|big can|mains can|pfc)\b(?![^.;]*(?:unplug|switched off|discharg))[^.;]{0,60}\b(?:ripple|sags?|dips?|loaded)\b/u,
    tells: { 'bulk-dry': 6, 'resonant-capacitor-faded': 0.5, 'output-capacitors-dry': 0.4, 'fan-stuck': 0.3 },
  },
  {
    says: /backlight.{0,40}(?:second|moment|flash|\boff\b|dark|\bout\b|goes)/u,
    tells: { 'led-string-open': 5 },
  },
  {
    says: /part of (?:it|the (?:strip|lamp|string))|some (?:leds|lamps|segments)|(?:leds|segments).{0,20}(?:dead|dark|out\b)|(?:panel|strip|string) (?:breathes|pulses)/u,
    tells: { 'led-string-open': 4 },
  },
  {
    says: /fusible.{0,24}(?:open|burnt|gone|blown)|(?:open|burnt|blown).{0,12}fusible/u,
    tells: { 'ntc-open': 0.3, 'startup-resistor-open': 0.3, 'vcc-capacitor-dry': 0.3, 'sense-resistor-open': 0.5 },
  },
  {
    says: /(?:\bsteady|stays|sits).{0,24}(?:chip|vcc|controller|supply pin)|(?:chip|vcc|controller|supply pin)[^.;]{0,20}\b[12]\d(?:\.\d+)? ?v\b.{0,16}(?:steady|constant|stays|not move)|(?:reference|ref) (?:pin )?(?:at |is |gives )?(?:0|nothing|zero|dead)|no (?:pulses?|drive|reference)\b/u,
    tells: {
      'controller-dead': 6,
      'startup-resistor-open': 0.15,
      'vcc-capacitor-dry': 0.4,
      'output-rectifier-shorted': 0.4,
    },
  },
  {
    says: /(?:input|feed).{0,24}(?:\b0(?:\.\d+)? ?ohm|shorted|near nothing|next to nothing)/u,
    tells: { 'switch-shorted': 7, 'bulk-shorted': 3, 'sense-resistor-open': 0.2, 'controller-dead': 0.4 },
  },
  {
    says: /folds? back|limits? (?:at|far|too)|gives up at|current limit/u,
    tells: { 'sense-resistor-open': 5, 'output-capacitors-dry': 0.4 },
  },
  {
    says: /whatever (?:hangs|is|load|the load)|steady,? .{0,12}with (?:a )?load (?:and|or) without|loaded or not|the same (?:low )?volts? (?:with|at) (?:any|every)/u,
    tells: {
      'reference-dead': 3,
      'feedback-open': 2,
      'optocoupler-dead': 2,
      'output-rectifier-open': 2,
      'output-capacitors-dry': 0.3,
      'bulk-dry': 0.3,
      'overloaded-outside': 0.2,
    },
  },
  { says: /opto|four.legged/u, tells: { 'optocoupler-dead': 4 } },
  { says: /(?:cold|freez)\w* spray/u, tells: { 'optocoupler-dead': 2, 'controller-dead': 1.5 } },
  {
    says: /pfc (?:transistor|fet|switch).{0,24}(?:good|fine|whole)/u,
    tells: { 'pfc-switch-shorted': 0.08, 'pfc-diode-shorted': 2 },
  },
  {
    says: /(?<!pfc )(?:switch|fet|transistor)s? (?:measures?|reads?|tests?|is|are) (?:good|fine)/u,
    tells: { 'switch-shorted': 0.15 },
  },
  {
    says: /(?:transistor|fet\b|switch).{0,24}(?:\bhole|crack|split|burst)/u,
    tells: { 'switch-shorted': 3, 'pfc-switch-shorted': 3, 'standby-switch-shorted': 1.5 },
  },
  { says: /(?:coil|choke).{0,12}(?:transistor|fet)/u, tells: { 'pfc-switch-shorted': 4, 'switch-shorted': 0.6 } },
  { says: /varnish|\bcore\b.{0,20}(?:hot|warm)/u, tells: { 'transformer-shorted-turns': 6 } },
  { says: /rattl|grind|squeak|(?:quiet|silent) now/u, tells: { 'fan-stuck': 6 } },
  {
    says: /charging resistor.{0,20}hot|store.{0,24}(?:never|does not|stays (?:low|at)|only)/u,
    tells: { 'pulse-switch-shorted': 4, 'store-capacitor-faded': 0.6 },
  },
  {
    says: /\b(?:cat|dog|rabbit|puppy|chair leg)\b|(?:dead|off|works) one day|comes and goes|now and then|on and off|sometimes (?:works|it)/u,
    tells: { 'cable-broken': 3, 'solder-joint-cracked': 2.5, 'startup-resistor-open': 0.5 },
  },
  {
    says: /(?:output|rail|secondary|volts?).{0,24}(?:0(?:\.\d+)? ?ohms?|dead short|\bshort(?:ed)? to (?:ground|minus))/u,
    tells: {
      'output-rectifier-shorted': 5,
      'sync-fet-shorted': 7,
      'overloaded-outside': 2,
      'startup-resistor-open': 0.1,
      'controller-dead': 0.2,
      'sense-resistor-open': 0.2,
      'ntc-open': 0.1,
    },
  },
  { says: /(?:red|standby) (?:lamp|light|led)/u, tells: { 'standby-capacitor-dry': 2, 'standby-switch-shorted': 1.5 } },
  { says: /frequency/u, tells: { 'resonant-capacitor-faded': 2.5 } },
  {
    says: /(?:upper|lower|one|left|right|high.side|low.side) (?:transistor|fet|switch|mosfet).{0,16}(?:hot|warm)|\bone gets (?:hot|warm)|gate.{0,24}(?:round|slow|weak|lazy|soft)/u,
    tells: { 'gate-drive-fault': 5, 'fan-stuck': 0.3 },
  },
  { says: /not loaded|no load on|unloaded/u, tells: { 'overloaded-outside': 0.15 } },
  { says: /trimmer|potentiometer|screwdriver|adjust/u, tells: { 'feedback-open': 1.6 } },
  {
    says: /pfc does not boost/u,
    tells: {
      'pfc-switch-shorted': 6,
      'controller-dead': 6,
      'sense-resistor-open': 3,
      'feedback-open': 1.6,
      'pfc-diode-shorted': 0.3,
      'vcc-capacitor-dry': 0.5,
      'output-rectifier-shorted': 0.3,
      'output-capacitors-dry': 0.4,
      'sync-fet-shorted': 0.3,
      'bulk-dry': 0.6,
    },
  },
  // What stands at one place and not at the next.
  {
    says: /(?:bench|outside|external|lab|second) (?:supply|volts?|feed).{0,60}(?:stops|dies|goes off|falls|only as long).{0,40}(?:taken|removed|off|away|there|gone)/u,
    tells: {
      'auxiliary-winding-open': 8,
      'vcc-capacitor-dry': 1.5,
      'startup-resistor-open': 0.4,
      'controller-dead': 0.05,
      'output-rectifier-shorted': 0.2,
      'ntc-open': 0.05,
      'cable-broken': 0.1,
    },
  },
  {
    says: /(?:bulk|pfc|big can)\b.{0,24}\b(?:3[6-9]\d|4[0-2]\d) ?v?\b/u,
    tells: {
      'resonant-capacitor-faded': 2.5,
      'bulk-dry': 0.6,
      'pfc-switch-shorted': 0.1,
      'pfc-diode-shorted': 0.15,
      'ntc-open': 0.03,
    },
  },
  {
    says: /same.{0,24}at the output|output.{0,16}(?:same|as much|only) (?:as |what )?(?:the )?(?:input|battery)|battery.{0,24}(?:goes|comes) straight through/u,
    tells: {
      'controller-dead': 4,
      'sense-resistor-open': 1.5,
      'output-rectifier-shorted': 0.3,
      'output-rectifier-open': 0.05,
      'cable-broken': 0.1,
    },
  },
  {
    says: /\d ?w\b.{0,24}(?:wall|mains|socket|outlet|plug).{0,16}(?:no load|nothing|unloaded|without)|(?:\bhot|\bwarm|degrees).{0,30}(?:nothing connected|no load|without (?:a |any )?load|unloaded|idle)/u,
    tells: {
      'transformer-shorted-turns': 5,
      'snubber-failed': 2,
      'gate-drive-fault': 1.3,
      'fan-stuck': 0.2,
      'overloaded-outside': 0.1,
    },
  },
  {
    says: /(?:reference|three.legged|\b431).{0,40}(?:no lower|does not (?:pull|conduct|regulate)|stays (?:up|high|open))/u,
    tells: { 'reference-dead': 6, 'feedback-open': 1.2, 'optocoupler-dead': 0.3 },
  },
  {
    // It sees more than its own 2.5 V and does not act.
    says: /reference (?:pin|input).{0,24}\b(?:2\.[6-9]|[3-9](?:\.\d+)?) ?v|cathode.{0,24}\bnot.{0,16}(?:pulled|low|down)/u,
    tells: { 'reference-dead': 6, 'feedback-open': 0.4, 'optocoupler-dead': 0.4 },
  },
  // What the eye and the nose found.
  {
    says: /bulg|dome|cushion|swollen|vented|crust|leak(?:ed|ing)?\b|electrolyte|brown (?:foot|ring)|fish/u,
    tells: { 'output-capacitors-dry': 3, 'bulk-dry': 1.3, 'standby-capacitor-dry': 1.8, 'vcc-capacitor-dry': 1.5 },
  },
  { says: /glue.{0,40}(?:brown|dark|conduct)|brown glue/u, tells: { 'output-capacitors-dry': 1 } },
  { says: /smell.{0,20}(?:fish|sweet)/u, tells: { 'output-capacitors-dry': 2, 'bulk-dry': 1.5 } },
  {
    says: /smok|burnt|acrid|scorch|charred/u,
    tells: {
      'x-capacitor-failed': 1.6,
      'varistor-shorted': 1.5,
      'snubber-failed': 1.4,
      'transformer-shorted-turns': 1.4,
      'sense-resistor-open': 1.3,
      'gate-drive-fault': 1.2,
    },
  },
  {
    says: /(?:dark|brown|discolou?red|scorched) (?:board|patch|spot|area)|(?:board|pcb).{0,20}(?:dark|brown)/u,
    tells: {
      'solder-joint-cracked': 1.8,
      'vcc-capacitor-dry': 1.6,
      'standby-capacitor-dry': 1.5,
      'startup-resistor-open': 1.4,
    },
  },
  {
    says: /ring(?:s)? (?:round|around)|crack(?:ed)?.{0,20}(?:joint|solder|leg)|(?:dull|grey|cracked) (?:joint|solder)/u,
    tells: { 'solder-joint-cracked': 9 },
  },
  // Noise, heat, light.
  {
    says: /\bhum|100 ?hz|120 ?hz|mains ripple|twice the mains/u,
    tells: {
      'bulk-dry': 5,
      'dropper-capacitor-faded': 1.5,
      'regulator-shorted': 1.3,
      'output-capacitors-dry': 0.8,
      'bridge-shorted': 0.6,
    },
  },
  {
    says: /switching frequency|\d+ ?khz|hash|whistl|squeal|whine|hiss/u,
    tells: {
      'output-capacitors-dry': 2,
      'snubber-failed': 1.6,
      'transformer-shorted-turns': 1.5,
      'vcc-capacitor-dry': 1.2,
      'resonant-capacitor-faded': 1.4,
      'bulk-dry': 0.6,
    },
  },
  {
    says: /(?:no|hardly any|does not|used to) (?:air|blow)|fan.{0,24}(?:stands|stuck|stopped|does not turn|hard|dust|seized|grinds|dead|slow)/u,
    tells: { 'fan-stuck': 20 },
  },
  { says: /fan (?:turns|runs|spins)|fan is (?:good|fine)/u, tells: { 'fan-stuck': 0.03 } },
  {
    says: /\b(?:one|two|three|half|some) of (?:the |its )?(?:two|three|four|six|eight|both|pair)\b.{0,40}(?:hot|warm|cold)|other.{0,16}(?:stays?|is) cold|one (?:sink|transistor|fet|switch|leg).{0,30}(?:hot|hotter)|only one .{0,20}hot/u,
    tells: { 'gate-drive-fault': 6, 'transformer-shorted-turns': 0.7, 'fan-stuck': 0.1 },
  },
  {
    says: /transformer.{0,24}(?:hot|smell|dark)/u,
    tells: { 'transformer-shorted-turns': 9, 'output-rectifier-shorted': 0.7, 'vcc-capacitor-dry': 0.4 },
  },
  {
    says: /low end|from dark|(?:jumps|snaps|comes on) (?:up|on|half|at once|suddenly)/u,
    tells: { 'timing-capacitor-leaky': 3 },
  },
  // Readings told in words.
  {
    says: /(?:bulk|big can|mains can).{0,24}(?:\b3[0-9]\d ?v|charged|full|stays)|(?:3[0-9]\d|charged|full).{0,20}(?:on|at|in|across) (?:the )?(?:bulk|big can|mains can)/u,
    tells: {
      'ntc-open': 0.03,
      'fuse-aged': 0.03,
      'bridge-shorted': 0.1,
      'switch-shorted': 0.15,
      'startup-resistor-open': 2.5,
      'sense-resistor-open': 1.8,
      'controller-dead': 1.6,
      'vcc-capacitor-dry': 1.3,
      'cable-broken': 0.15,
      'trigger-diode-dead': 1.6,
    },
  },
  {
    says: /(?:bulk|big can|mains can|bridge).{0,24}(?:\b0(?:\.\d+)? ?v|empty|nothing|no volt)|nothing (?:on|at|behind) (?:the )?(?:bulk|bridge)/u,
    tells: {
      'ntc-open': 9,
      'fuse-aged': 1.3,
      'cable-broken': 3,
      'startup-resistor-open': 0.1,
      'sense-resistor-open': 0.1,
      'controller-dead': 0.1,
      'solder-joint-cracked': 1.5,
    },
  },
  {
    says: /full(?:y)? bright|bright at (?:every|any|all|each)|full on\b|flat out|full speed|cannot be (?:dimmed|turned down)|always on|full power/u,
    tells: { 'triac-shorted': 15 },
  },
  {
    says: /too bright|too fast|runs away|crowbar|overvoltage protection/u,
    tells: { 'feedback-open': 2, 'regulator-shorted': 1.6 },
  },
  {
    says: /dim(?:mer)? (?:than|light)|weak(?:er)?\b|fades?\b|hardly (?:lights|glows)/u,
    tells: {
      'dropper-capacitor-faded': 2.5,
      'store-capacitor-faded': 2.5,
      'output-capacitors-dry': 1.3,
      'resonant-capacitor-faded': 1.6,
    },
  },
  {
    says: /no (?:optocoupler|opto|feedback|chip|regulation)|two.transistor|self.oscillat/u,
    tells: {
      'standby-unprotected': 6,
      'optocoupler-dead': 0.05,
      'reference-dead': 0.1,
      'feedback-open': 0.4,
      'controller-dead': 0.3,
    },
  },
  { says: /two .{0,12}(?:led|lamp)s? .{0,20}(?:dead|dark)|one led|string|segment/u, tells: { 'led-string-open': 3 } },
  {
    says: /(?:years|always|day and night|24.?7|continuous|never switched off|hot (?:attic|cabinet|cupboard|place))/u,
    tells: {
      'output-capacitors-dry': 1.4,
      'vcc-capacitor-dry': 1.5,
      'standby-capacitor-dry': 1.5,
      'fuse-aged': 1.6,
      'startup-resistor-open': 1.3,
      'bulk-dry': 1.3,
      'dropper-capacitor-faded': 1.4,
    },
  },
]);
