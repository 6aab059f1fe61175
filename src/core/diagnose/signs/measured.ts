import type { Sign } from './sign';

/** What was measured, told in words. */
export const MEASURED: readonly Sign[] = [
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
    says: /same.{0,24}at the output|same volts? (?:in as out|out as in)|output.{0,16}(?:same|as much|only) (?:as |what )?(?:the )?(?:input|battery)|battery.{0,24}(?:goes|comes) straight through|what goes in comes out|input and output (?:measure|read|are) (?:as one|the same|alike)/u,
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
    // Fed, and silent.
    says: /(?:chip|controller|\bic)\b(?: (?:itself|alone))? (?:has|gets|sees|is fed) (?:with )?(?:1[0-9]|2[0-5])(?:\.\d+)? ?v\b/u,
    tells: {
      'controller-dead': 3,
      'startup-resistor-open': 0.1,
      'vcc-capacitor-dry': 0.4,
      'output-rectifier-shorted': 0.6,
    },
  },
  {
    says: /(?:phototransistor|opto(?:coupler)?)\b(?:(?!\bno[tr]?\b|\bnever\b)[^;.]){0,40}\b(?:answers|responds|conducts|works|is good)/u,
    tells: { 'optocoupler-dead': 0.12 },
  },
  {
    // From one side of the diode to the other.
    says: /(?:plus|\+|positive) of (?:the )?bridge.{0,24}(?:to|and) .{0,16}bulk.{0,12}(?:beep|short|\b0(?:\.\d+)? ?(?:ohm|v))/u,
    tells: { 'pfc-diode-shorted': 10 },
  },
  {
    // It sees more than its own 2.5 V and does not act.
    says: /(?:reference (?:pin|input)|divider(?: (?:middle|tap|midpoint|node))?).{0,24}\b(?:2\.[6-9]\d*|[3-9](?:\.\d+)?) ?v|cathode.{0,24}\bnot.{0,16}(?:pulled|low|down)/u,
    tells: { 'reference-dead': 6, 'feedback-open': 0.4, 'optocoupler-dead': 0.4 },
  },
  {
    // The mains comes as far as the board.
    says: /\b(?:1[0-3]\d|2[0-5]\d) ?v?(?: ?ac)? .{0,8}(?:at|on|across) (?:the )?(?:legs of the |pins of the )?(?:bridge|rectifier|fuse|choke)|mains (?:reaches|arrives at|is at|stands at) (?:the )?(?:bridge|rectifier|choke|board)/u,
    tells: { 'cable-broken': 0.06, 'fuse-aged': 0.2 },
  },
  {
    // A ring test, told without the part.
    says: /\brings?\b(?! (?:a?round)).{0,12}\b(?:only|[0-3]|none|not at all|once|twice)\b(?!.{0,4}(?:ohm|k\b|r\b))|\b(?:[0-2]|no|one|two) rings?\b(?! (?:a?round))|(?:does|will) not ring/u,
    tells: { 'transformer-shorted-turns': 12 },
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
    says: /full(?:y)? bright|full light|(?:bright|light) at (?:every|any|all|each)|full on\b|flat out|full speed|cannot be (?:dimmed|turned down)|always on|full power/u,
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
];
