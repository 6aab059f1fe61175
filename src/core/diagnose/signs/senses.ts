import type { Sign } from './sign';

/** What the eye and the nose found; noise, heat, light. */
export const SENSES: readonly Sign[] = [
  // What the eye and the nose found.
  {
    says: /bulg|dome|cushion|swollen|vented|crust|leak(?:ed|ing)?\b|electrolyte|brown (?:foot|ring)|fish/u,
    tells: { 'output-capacitors-dry': 3, 'bulk-dry': 1.3, 'standby-capacitor-dry': 1.8, 'vcc-capacitor-dry': 1.5 },
  },
  {
    says: /(?:crust|leak|bulg|swollen|brown).{0,40}(?:at|on|of|near) the (?:output|secondary)|(?:output|secondary) (?:cans?|caps?).{0,24}(?:crust|leak|bulg|swollen)/u,
    tells: { 'output-capacitors-dry': 3, 'x-capacitor-failed': 0.3, 'snubber-failed': 0.5 },
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
  {
    says: /(?:bulk|big can|mains can|primary can|input can)\b.{0,24}(?:\bwarm|\bhot|shrunk|sleeve|swollen|lifted)/u,
    tells: { 'bulk-dry': 5, 'output-capacitors-dry': 0.5 },
  },
  // Noise, heat, light.
  {
    says: /\bhum|100 ?hz|120 ?hz|(?:100|120|hundred) times (?:a|per|each) second|mains ripple|twice the mains/u,
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
];
