/** What a person complains of. */
export const SYMPTOMS = {
  dead: 'dead',
  'fuse-blown': 'its fuse is blown',
  'trips-breaker': 'it trips the breaker',
  'intermittent-warm': 'it fails when warm, or starts only when warm',
  hiccup: 'it ticks, or starts and stops',
  'rail-high': 'an output is too high',
  'rail-low': 'an output is too low',
  'standby-high': 'the standby supply is too high',
  'standby-dead': 'the standby supply is dead',
  noisy: 'it hums, whistles or squeals',
  hot: 'it works but runs hot',
  ripple: 'ripple on an output',
  smell: 'it smells, or smoked',
  flicker: 'what it feeds flickers',
  'no-pulse': 'it gives no pulse',
  'snap-on': 'the dimmer snaps on',
} as const;
export type Symptom = keyof typeof SYMPTOMS;

/** Tests of a check. */
export const CHECK_TESTS = [
  'diode-mode',
  'resistance',
  'capacitance',
  'esr',
  'voltage-dc',
  'visual',
  'continuity',
] as const;
export type CheckTest = (typeof CHECK_TESTS)[number];

/** What a part is in its unit. */
export interface Role {
  readonly label: string;
  /** Words that name it where a person or a board describes it. */
  readonly words: RegExp;
  /** Letters of its reference. */
  readonly letters: string;
  /** How it is usually numbered, the likeliest first, for a board that nobody traced; common practice, no source. */
  readonly usual: readonly string[];
}

const role = (label: string, words: RegExp, letters: string, usual: string): Role => ({
  label,
  words,
  letters,
  usual: usual.split(' ').filter(Boolean),
});

export const ROLES = {
  fuse: role('fuse', /\bfuse\b/u, 'F', 'F1'),
  inlet: role('mains inlet', /inlet|plug/u, 'J', 'J1'),
  ntc: role('NTC', /\bntc\b|inrush therm|thermistor/u, 'RT|NTC|TH|NR', 'RT1 NTC1 TH1 NR1'),
  varistor: role('varistor', /varistor|\bmov\b|\bvdr\b/u, 'RV|MOV|VDR|VR', 'RV1 MOV1 VDR1 VR1'),
  xCapacitor: role('X capacitor', /\bx ?\d? ?cap/u, 'C|CX', 'C1 CX1 C2'),
  bridge: role('bridge', /\bbridge(?! ?(?:switch|driver))|mains rectif/u, 'BR|DB|BD|D', 'BR1 D1 DB1 BD1 D2'),
  bulk: role('bulk capacitor', /bulk|mains can|big (?:can|cap)/u, 'C', 'C3 C5 C1 C9 C4'),
  inputCapacitor: role('input capacitor', /input cap/u, 'C', 'C1 C4 C2'),
  mainSwitch: role(
    'main switch',
    /main switch|primary (?:switch|fet|transistor)|half.?bridge switch|llc switch/u,
    'Q|T',
    'Q1 Q2 Q3',
  ),
  pfcSwitch: role('PFC switch', /pfc (?:switch|fet)/u, 'Q', 'Q1 Q2'),
  pfcDiode: role('PFC diode', /pfc diode/u, 'D', 'D1 D2'),
  controller: role('controller', /controller|driver chip|control chip/u, 'U|IC', 'U1 IC1'),
  startUp: role('start-up resistor', /start-?up res/u, 'R', 'R3 R2 R4'),
  vccCapacitor: role('VCC capacitor', /vcc cap|supply can|aux(?:iliary)? cap/u, 'C', 'C8 C7 C9 C6'),
  auxiliary: role('auxiliary rectifier', /aux(?:iliary)? (?:rect|diode)/u, 'D', 'D4 D5'),
  auxiliaryResistor: role('auxiliary resistor', /aux(?:iliary)? res/u, 'R', 'R6 R7'),
  sense: role('sense resistor', /sense res|current sens|shunt res|source res/u, 'R', 'R8 R9 R5 R12'),
  gate: role('gate resistor', /gate (?:res|turn|pull)|drive res|base res/u, 'R', 'R10 R5 R31 R6'),
  drive: role('drive transformer or transistor', /drive (?:trans|coup)|driver trans/u, 'T|Q|C', 'T2 Q2'),
  clamp: role('clamp capacitor', /clamp|snubber/u, 'C', 'C6 C14 C7'),
  clampResistor: role('clamp resistor', /clamp res|snubber res/u, 'R', 'R5 R14 R6'),
  outputRectifier: role(
    'output rectifier',
    /output rect|secondary rect|output diode/u,
    'D|BR|DB',
    'D6 D20 D21 D5 D7 D1',
  ),
  syncFet: role('synchronous rectifier', /sync/u, 'Q', 'Q4 Q5 Q3 Q6'),
  outputCapacitor: role('output capacitor', /output cap|secondary cap|filter cap/u, 'C', 'C12 C10 C20 C21 C11 C5'),
  optocoupler: role('optocoupler', /opto/u, 'U|IC|PC|OC|PH', 'U2 PC1 IC2 U9 U3'),
  reference: role('shunt reference', /reference|431/u, 'U|IC', 'U3 IC3 U8 U7'),
  feedback: role('feedback resistor', /feedback res|divider|upper res|lower res/u, 'R', 'R2 R7 R3 R8'),
  standbySwitch: role('standby switch', /standby (?:switch|chip|fet|trans)/u, 'U|Q', 'U3 U7 Q10 Q3'),
  standbyCapacitor: role(
    'standby capacitor',
    /standby (?:cap|vcc|drive cap|output cap|can)/u,
    'C',
    'C50 C41 C60 C61 C44 C22',
  ),
  resonant: role('resonant capacitor', /resonan|tank/u, 'C', 'C12 C6 C9'),
  transformer: role('transformer', /transformer/u, 'T', 'T1'),
  fan: role('fan', /\bfan\b/u, 'FAN|M', 'FAN1'),
  triac: role('triac', /triac/u, 'Q|TR|T', 'Q1 TR1 T1'),
  trigger: role('trigger diode', /trigger diode|diac/u, 'D', 'D7 D1'),
  timing: role('timing capacitor', /timing cap/u, 'C', 'C2 C3 C1'),
  timingResistor: role('timing resistor', /timing res|trimmer|pot/u, 'R', 'R2 R3 RV1'),
  dropper: role('dropper capacitor', /dropper cap/u, 'C', 'C1 C2'),
  fusible: role('fusible resistor', /fusible/u, 'R', 'R1 RF1'),
  zener: role('Zener diode', /zener/u, 'D|Z|ZD', 'D5 Z1 ZD1'),
  regulator: role('regulator', /regulator|pass trans/u, 'U|IC|Q', 'U1 Q1'),
  store: role('store capacitor', /store cap|pulse cap|dump cap/u, 'C', 'C4 C5 C2 C10'),
  pulseSwitch: role('pulse switch', /pulse switch|thyristor|igbt/u, 'Q|SCR|TH|T', 'Q1 Q2 SCR1 T1'),
  charging: role('charging rectifier', /charging rect/u, 'D', 'D1 D2'),
  cable: role('cable', /cable|cord|lead/u, 'W|CABLE', 'W1'),
  leds: role('LED string', /led (?:string|strip|chain|board)/u, 'LED', 'LED1'),
  lineSelector: role('mains selector', /selector|115.?230/u, 'S|SW|K', 'S1 SW1'),
  joints: role('joints', /joint|solder/u, '', ''),
  choke: role('choke', /choke/u, 'L', 'L1 L2'),
} as const satisfies Record<string, Role>;
export type RoleName = keyof typeof ROLES;
export const ROLE_NAMES = Object.keys(ROLES) as RoleName[];
