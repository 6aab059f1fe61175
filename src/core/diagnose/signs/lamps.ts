import type { Sign } from './sign';

/** Units without a converter, or that feed lamps: dimmers, droppers, ballasts, LED drivers, pulse units. */
export const LAMPS: readonly Sign[] = [
  {
    // What it feeds is cleared by a second one.
    says: /(?:test|another|other|second|spare|single|new|borrowed) (?:[a-z]+ )?(?:lamp|bulb|panel|strip|string|tube|load)s?\b[^,;.]{0,40}\b(?:too|also|as well|(?:just|does|the) the same|likewise)\b/u,
    tells: { 'led-string-open': 0.1, 'overloaded-outside': 0.15 },
  },
  {
    says: /^(?!.*(?:never lights|stays dark|no light)).*(?:whatever the (?:knob|dial|slider)|(?:knob|dial)(?: is)? (?:dead|does nothing|changes nothing)|turning (?:it )?down (?:changes|does) nothing|cannot be (?:turned|switched off)|\bon or off only|(?:top|full) speed|either full|\bat full\b|full or off)/u,
    tells: { 'triac-shorted': 10 },
  },
  { says: /(?:bulb|lamp)s?\b[^,;.]{0,24}(?:flash|blew|blown|burst|popped)/u, tells: { 'triac-shorted': 4 } },
  {
    says: /starts? at half|cannot set a low|hysteresis|turned up half|before anything|lowest (?:setting|position)|low end|jumps? in\b|(?:third|quarter|half) of the way|comes? on (?:late|bright)/u,
    tells: { 'timing-capacitor-leaky': 3, 'triac-shorted': 0.4 },
  },
  {
    says: /no trigger|(?:trigger|starter) (?:cap|capacitor)[^,;.]{0,24}(?:charges|climbs|rises|1\d\d ?v)|no kick|break(?:s)? ?over|(?:in )?one direction only|gate gets nothing|nothing at the gate|tube (?:is )?good/u,
    tells: { 'trigger-diode-dead': 5 },
  },
  {
    says: /relay (?:is on|does not hold)|dim over|relay[^,;.]{0,16}(?:chatter|buzz|pulls|drops|lets go)|(?:paler|faint|dimmer)\b[^,;.]{0,24}(?:year|month|for|before|week)|never gets to (?:its|the)|goes on and off/u,
    tells: { 'dropper-capacitor-faded': 3, 'output-capacitors-dry': 0.8 },
  },
  {
    says: /output (?:equals|follows|is|gives) (?:the )?(?:whole |full )?(?:input|rectified|unregulated)|unregulated|78\d\d (?:gives|puts out|has) \d|logic[^,;.]{0,16}(?:boil|hot)|full input/u,
    tells: { 'regulator-shorted': 4 },
  },
  {
    says: /(?:faint|feeble|weak) (?:tick|spark|pulse|kick)|(?:sparks?|pulse|flash|kick|bang)\b[^,;.]{0,16}(?:feeble|thin|yellow|dim|weak|small|faint)|misfir|hardly any (?:kick|spark)|bites no|charges? (?:in an instant|at once|too fast|much faster|at the first)|ready at once|reads a (?:tenth|third|quarter)/u,
    tells: { 'store-capacitor-faded': 4, 'pulse-switch-shorted': 0.3 },
  },
  {
    says: /store[^,;.]{0,24}(?:near zero|stays|empty|few volts|does not (?:fill|charge))|no click|will not charge|charg(?:e|ing) resistor (?:glows|is hot|hot)|into a short|\bstrains?\b/u,
    tells: { 'pulse-switch-shorted': 4, 'store-capacitor-faded': 0.5 },
  },
  {
    says: /open.circuit,? no light|(?:third|half|part|quarter) of the (?:strip|panel|light|lamp|string)|black (?:centre|middle)|(?:output|volts?)[^,;.]{0,16}(?:shoots? up|at its limit|climbs to its limit)|lights? again|flashes and goes|pulses about once/u,
    tells: { 'led-string-open': 4 },
  },
];
