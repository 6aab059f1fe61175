import type { Sign } from './sign';

/** What was found at one place of the circuit and not at another, and how its parts move and sound. */
export const PLACES: readonly Sign[] = [
  {
    says: /(?:\bno\b|nothing|none|\b0 ?v|dead)[^,;.]{0,20}(?:after|behind|past|beyond) (?:the )?(?:inrush|thermistor|ntc|(?:green|black) disc)|(?:before|ahead of) (?:the )?(?:inrush|thermistor|ntc|(?:green|black) disc)[^;.]{0,24}(?:nothing|none|\b0 ?v)|(?:mains|volts?) stops? at|bulk has no charge|nothing (?:at|on|behind) the bridge/u,
    tells: { 'ntc-open': 9, 'startup-resistor-open': 0.1, 'sense-resistor-open': 0.1, 'controller-dead': 0.1 },
  },
  {
    says: /(?:one side|upper|lower|left|right|high.side|low.side)\b[^;.]{0,40}(?:half the|\bnone\b|no signal|missing|rounded|no pulse)|drive pulses?[^,;.]{0,30}(?:rounded|low|weak|half|slow)|driver[^,;.]{0,20}only one output|no signal (?:at|on) (?:the|one|its) (?:\w+ )?gate|pull.?down[^,;.]{0,16}(?:missing|open|gone)/u,
    tells: { 'gate-drive-fault': 5, 'controller-dead': 0.7 },
  },
  {
    says: /spikes? of \d+|(?:drain|switch|collector)[^,;.]{0,12}(?:peaks|spikes)|peaks (?:at|of|to) [5-9]\d\d|ringing (?:on|at|of)|spikes? (?:on|at) the (?:drain|switch)|medium.wave|\bash\b/u,
    tells: { 'snubber-failed': 6 },
  },
  {
    says: /short (?:between|from|across) l (?:and|to) n|fuse of the board (?:pulled|out|removed)|with (?:its|the) fuse (?:pulled|out|removed)|(?:ahead of|before) the fuse|power switch off|switch off or on|earth.leakage|\brcd (?:goes|trips|falls)|smell[^,;.]{0,30}(?:inlet|mains socket)|next to the mains (?:socket|inlet)/u,
    tells: { 'x-capacitor-failed': 5, 'switch-shorted': 0.1, 'bridge-shorted': 0.1, 'bulk-shorted': 0.1 },
  },
  {
    says: /(?:electrolyte|juice|paper|foil|fluff)[^,;.]{0,40}(?:all over|sprayed|everywhere|primary)|rubber (?:came|pushed|blown) out/u,
    tells: { 'bulk-shorted': 4, 'bulk-dry': 1.4, 'output-capacitors-dry': 1.3 },
  },
  {
    says: /plus (?:and|to) minus of the bulk[^,;.]{0,24}\b[0-4](?:\.\d+)? ?ohm|(?:bulk|big can)[^,;.]{0,30}\b[0-4](?:\.\d+)? ?ohms?\b[^,;.]{0,24}(?:leg|lead|lifted|out|off)/u,
    tells: { 'bulk-shorted': 9, 'switch-shorted': 0.3, 'bridge-shorted': 0.2 },
  },
  {
    says: /inductance[^,;.]{0,30}(?:tenth|low|fraction|half|third)|\d+ ?w\b[^,;.]{0,16}(?:no load|nothing|idle)|current ramps|\bq of (?:the )?(?:primary|winding)|ring test|shorted turns|overheats? (?:idle|with nothing)/u,
    tells: { 'transformer-shorted-turns': 6, 'fan-stuck': 0.3 },
  },
  {
    says: /upside down|\bdoor\b|reflow\w*|cracks? (?:a?round)|(?:dry|bad|cold) (?:solder )?joints?|\bslam|squeez|re.?solder\w*[^,;.]{0,24}(?:ran|runs|works|hour|day)|(?:circle|crater|halo)[^,;.]{0,20}\b(?:leg|pin)|\b(?:leg|pin)\b[^,;.]{0,40}(?:circle|crater|halo)|sparks? (?:under|at)|push(?:ed|ing) (?:the|a) (?:coil|choke|heat sink|transformer)|revives?|\bpress(?:es|ed|ing)?\b[^;.]{0,30}(?:jump|down|back|comes|goes)/u,
    tells: { 'solder-joint-cracked': 6, 'cable-broken': 0.8 },
  },
  {
    says: /sideways|\bangle\b|inside but (?:none|nothing)|(?:none|nothing) at the (?:end|plug|tip)|broken inside|\bchair\b|inner of the plug|\bpuppy\b|strain relief/u,
    tells: { 'cable-broken': 5, 'startup-resistor-open': 0.3 },
  },
  {
    says: /does not (?:spin|turn)|fan is still|\blint\b|slots? closed|\bair\b[^,;.]{0,16}(?:not|hardly|no longer|little)|vents? (?:blocked|clogged|full)|used to (?:roar|blow)|\bpencil\b|cat hair|\bfan\b[^,;.]{0,24}(?:came off|push|only starts)/u,
    tells: { 'fan-stuck': 8 },
  },
];
