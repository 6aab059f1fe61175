import type { Sign } from './sign';

/** What the output does, and what hangs on it. */
export const FEEDING: readonly Sign[] = [
  {
    says: /(?:drops? out|crash\w*|restarts?|resets?|reboots?|freezes?|starts over|cuts out) (?:under load|when|as soon as|whenever|the moment|if|once)[^,;.]{0,30}(?:disk|radio|volume|motor|starts?|turned up|load|plays?|prints?|draws?)/u,
    tells: { 'output-capacitors-dry': 2.5, 'bulk-dry': 1.6, 'output-rectifier-open': 0.6 },
  },
  {
    says: /(?:moving|rolling|wandering) (?:bars|lines)|(?:bars|lines) (?:roll|run|crawl|move|wander)|\bsnow\b|noise on|\b\d{2,3} ?mv\b|right on the meter|meter (?:says|shows)[^,;.]{0,24}(?:right|good)/u,
    tells: { 'output-capacitors-dry': 3, 'output-rectifier-open': 0.5, 'feedback-open': 0.5 },
  },
  {
    says: /\b(?:new|good|second|another|fresh) (?:can|cap|capacitor)[^,;.]{0,24}(?:across|parallel|over|held|tacked)|\badding a \d+ ?uf?|(?:can|cap|capacitor|uf) (?:held |tacked )?(?:in parallel|across)/u,
    tells: { 'output-capacitors-dry': 5, 'output-rectifier-shorted': 0.3, 'feedback-open': 0.4 },
  },
  {
    says: /\bbuzz|hum bars?|kettle|motor in the house|lights? dim|works? on 2\d\d ?v? but not|low mains|mains dips?|swings? by \d{2,3} ?v|follows the mains|when the mains (?:dips|sags)|cuts out[^;.]{0,30}(?:fridge|pump|drill|saw|heater) starts/u,
    tells: { 'bulk-dry': 4, 'output-capacitors-dry': 0.5, 'dropper-capacitor-faded': 1.3, 'regulator-shorted': 1.3 },
  },
  {
    says: /(?:went|crept|drifted|gone|goes|runs?|volts?) (?:up|off) (?:slowly|over|by itself|once it is warm)|climbs? until|rises? further|stays at max|cannot be adjusted|sense wire|runs away|trips? (?:its )?(?:own )?protection|over.?voltage (?:protection )?trips/u,
    tells: { 'feedback-open': 2.5, 'optocoupler-dead': 2.5, 'reference-dead': 1.6 },
  },
  {
    says: /transistor side|current transfer|\bctr\b|led side|(?:into|at) the opto/u,
    tells: { 'optocoupler-dead': 5 },
  },
  {
    says: /cathode[^,;.]{0,24}(?:never|stuck|stays|not |up\b)|\bref(?: pin)? (?:is |at |2\.5|[3-9])/u,
    tells: { 'reference-dead': 4, 'optocoupler-dead': 0.5 },
  },
  {
    says: /(?:after|behind|past) the (?:diode|rectifier)[^,;.]{0,20}(?:nothing|none|no volts|0 ?v)|(?:nothing|no volts)[^,;.]{0,16}(?:after|behind|past) the (?:diode|rectifier)|winding (?:has|gives) pulses|pulses before|half of what it should|half wave|dc is not|only one (?:winding )?half/u,
    tells: {
      'output-rectifier-open': 6,
      'output-capacitors-dry': 0.5,
      'startup-resistor-open': 0.2,
      'controller-dead': 0.2,
    },
  },
  {
    says: /\b\d*\.?\d+ ?ohms? (?:across|between|at|on|over) the (?:output|terminals?|lead|plug|rail)|(?:output terminals?|the output|core rail|terminals)[^,;.]{0,16}(?:reads? (?:a )?short|\bshort|beeps?)|(?:coil|choke)\S*[^,;.]{0,16}(?:end )?to ground[^,;.]{0,12}\b0?\.\d+ ?ohm/u,
    tells: {
      'output-rectifier-shorted': 4,
      'sync-fet-shorted': 6,
      'startup-resistor-open': 0.1,
      'controller-dead': 0.2,
      'sense-resistor-open': 0.2,
      'cable-broken': 0.3,
    },
  },
  {
    says: /(?:runs|feeds|lights|holds|drives)[^,;.]{0,20}(?:test lamp|\blamp|dummy|resistor)|(?:only|just) (?:with|on) (?:that|this|one|the same)\b|another (?:charger|supply|adapter|brick)[^,;.]{0,30}(?:too|as well|same|also)|other (?:supply|charger|adapter)[^,;.]{0,16}same|until the (?:load|device|plug|machine)[^,;.]{0,16}(?:plugged|connected)|(?:device|battery|machine|laptop|notebook|amplifier|player|load)\b[^,;.]{0,30}(?:\bshort|beeps|takes \d|draws \d|\b0?\.\d ?ohm)|(?:lamp|bulb|resistor) as (?:a )?load|dummy load|\d ?ohm resistor (?:at|on|across) the output|no trouble with|strip[^,;.]{0,16}too long|jammed|twice (?:its|the) (?:rating|current|load)|(?:fault|problem) (?:goes|travels|follows|moves) (?:with )?(?:the )/u,
    tells: {
      'overloaded-outside': 6,
      'output-rectifier-shorted': 0.3,
      'sync-fet-shorted': 0.3,
      'vcc-capacitor-dry': 0.6,
    },
  },
  {
    says: /(?:boards?|motherboards?|machines?|drives|memory|usb|southbridge)[^,;.]{0,30}(?:\bdie\b|died|\bdead|killed|fried|burnt|one after another)|(?:killed|kills)[^,;.]{0,20}(?:boards?|machines?|telephones?|phones?)|\b\w+ (?:board|motherboard|machine) it (?:has )?kill|rises? without (?:limit|end)|(?:bulged|swollen|dry) again/u,
    tells: { 'standby-unprotected': 5, 'feedback-open': 2, 'optocoupler-dead': 1.4 },
  },
];
