import type { Sign } from './sign';

/** How a unit starts, or tries to. */
export const STARTING: readonly Sign[] = [
  {
    says: /plugged in (?:several|many|a few|three|four|five)|over and over|slower and slower|\bcatch(?:es)?\b|longer each|then (?:holds|runs?) ?(?:normally|fine|well|all day)|once (?:it is )?(?:running|on).{0,20}(?:fine|stays|runs)|under its (?:lower )?threshold|warm room|once started|ever slower|(?:hair ?dry\w*|heat gun|warming|warm\w*)(?! up to).{0,24}(?:it )?(?:starts|runs|comes)/u,
    tells: {
      'vcc-capacitor-dry': 4,
      'standby-capacitor-dry': 3,
      'output-rectifier-shorted': 0.3,
      'sync-fet-shorted': 0.3,
      'overloaded-outside': 0.3,
    },
  },
  {
    says: /(?:chip|vcc|supply (?:pin|leg)|controller)[^,;.]{0,24}(?:never (?:gets|reaches|sees)|stays at (?:0|[1-6](?:\.\d+)?) ?v|only [0-6](?:\.\d+)? ?v|half a volt|creeps? (?:up )?to [1-8] ?v)|(?:pin \d|vcc)[^,;.]{0,16} (?:has|reads|at|is)(?: only)? [0-3](?:\.\d+)? ?v\b|vcc (?:is )?(?:zero|missing|absent)|no start.?up (?:current|volts)|never (?:kicks|fed)\b|is never fed|nothing at (?:the|its) (?:chip|controller|vcc|supply pin)|holds? (?:its )?(?:full )?charge|stays charged|no attempt|(?:touch|probe|bridg|finger)\w*[^,;.]{0,40}(?:resistor|chain)[^,;.]{0,40}(?:start|run|comes)|(?:starts?|comes (?:on|up)) (?:if|after|when) (?:one |you |i |we )?wait/u,
    tells: {
      'startup-resistor-open': 6,
      'ntc-open': 0.1,
      'cable-broken': 0.3,
      'sense-resistor-open': 0.4,
      'output-rectifier-shorted': 0.3,
    },
  },
  {
    says: /gate(?: pin)? (?:stays|is|at|sits)(?: at)? (?:zero|0|low)|no drive|oscillator[^,;.]{0,20}(?:not|dead|still)|no oscillation|(?:5 ?v )?reference(?: of the (?:chip|controller))?[^,;.]{0,12}(?:missing|gone)|0\.\d ?v instead of 5|supply (?:is |at the chip )?(?:right|steady|good)[^;.]{0,30}(?:nothing|no pulse|gate)/u,
    tells: {
      'controller-dead': 6,
      'startup-resistor-open': 0.15,
      'vcc-capacitor-dry': 0.4,
      'ntc-open': 0.05,
    },
  },
  {
    says: /(?:one|a|single|short) (?:short )?pulse[^,;.]{0,40}(?:gate|then|try)|current sense pin|cs pin[^,;.]{0,16}(?:jumps|trips|high)|(?:gives? up|shuts? (?:down|off)|trips|limits) at (?:half|a third|a quarter)|(?:third|half|quarter) of (?:the|its) (?:current|load|rating)|resistors in parallel[^;.]{0,24}(?:crack|open|burnt)/u,
    tells: { 'sense-resistor-open': 5, 'startup-resistor-open': 0.2, 'ntc-open': 0.1 },
  },
  {
    says: /(?:in|for) a (?:blink|wink|split second)|\bjerks?\b|moves a little and stops|\bhops?\b|trips at (?:the )?start|\blocks\b|\btrr\b|within a blink|cuts? (?:off|out) (?:at once|immediately)/u,
    tells: {
      'output-rectifier-shorted': 2.5,
      'sync-fet-shorted': 2.5,
      'overloaded-outside': 1.3,
      'startup-resistor-open': 0.3,
      'ntc-open': 0.1,
      'cable-broken': 0.3,
    },
  },
  {
    says: /(?:standby|5 ?v ?sb|purple)[^;.]{0,40}(?:comes? up (?:after|late)|sags|slow|rises? slowly|ticking|hair ?dry)|switch at the back|(?:back|rear|mains) switch[^;.]{0,24}(?:times|again|off and on)|power button|plug has been in|left plugged|for the night|(?:standby|5 ?v ?sb)[^,;.]{0,16}(?:pulsat|chirp|ticks)|unless (?:it is|the room is) warm/u,
    tells: { 'standby-capacitor-dry': 3, 'standby-switch-shorted': 0.4, 'switch-shorted': 0.4 },
  },
];
