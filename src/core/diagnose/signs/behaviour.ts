import type { Sign } from './sign';

/** How a unit behaves in time and under load. */
export const BEHAVIOUR: readonly Sign[] = [
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
  {
    says: /(?:starts?|works?|runs?|comes up).{0,40}(?:only |better |again )?(?:when|once|after|if).{0,20}(?:warm|hair ?dry|heated)|cold.{0,30}(?:does not|will not|won.t|hardly|slow|no start|dead)|tries on a cold|blinks? faster and faster until|(?:longer|minutes|tries).{0,30}(?:start|come up)|longer every|wants longer|comes? (?:on |up )?late\b|(?:several|few|many|some) (?:attempts|tries|goes)/u,
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
    says: /when (?:it |the plug |the cord )?(?:is )?(?:moved|touched|pressed|pushed|bent|twisted|turned)|pressing|push(?:ed|ing) (?:on|up|down|aside)|\bthumb\b|loose|wobbl|bend|wiggl|flex|\bangle|held (?:at|in)|(?:cable|cord|plug|lead|kink).{0,16}sleeve|sleeve.{0,16}(?:fray|kink|cable|cord|plug|lead)/u,
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
      'resonant-capacitor-faded': 2,
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
  { says: /load takes more than the plate gives/u, tells: { 'overloaded-outside': 8 } },
  {
    // What is shorted lets nothing come up, not for a moment.
    says: /(?:comes|lights|starts|runs).{0,24}(?:half a|a|one|1|0\.\d) (?:second|moment).{0,24}(?:goes|\boff|dies|gone|stops)/u,
    tells: { 'output-rectifier-shorted': 0.25, 'sync-fet-shorted': 0.25 },
  },
];
