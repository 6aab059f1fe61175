/** What a pin does, with what a person finds on it and where to look next. */
export interface PinRule {
  readonly label: string;
  /** Diode mode from ground (red lead) to the pin (black lead), in circuit and unpowered. */
  readonly diodeMode: string;
  /** Resistance from the pin to ground, unpowered. */
  readonly resistance: string;
  /** The next thing to look at on the board. */
  readonly next: string;
}

const CLAMP = '0.5 to 0.8 V, the pin’s clamp diode';

/** Functions of pins. What one reads is common practice, no source; every board differs, compare with a good one. */
export const PIN_FUNCTIONS = {
  ground: {
    label: 'ground',
    diodeMode: '0 V',
    resistance: 'under 1 Ω',
    next: 'It joins the low end of the sense resistor or the minus of the bulk capacitor.',
  },
  supply: {
    label: 'supply',
    diodeMode: '0.4 to 0.7 V',
    resistance: 'over 5 kΩ once its capacitor has charged',
    next: 'Look for a 10 to 100 µF electrolytic on it: dried out, it is the commonest fault. Start-up resistors come in here.',
  },
  gate: {
    label: 'gate drive',
    diodeMode: '0.4 to 0.7 V',
    resistance: 'often 10 to 47 kΩ, the gate’s bleeder',
    next: 'Follow it through 5 to 100 Ω to a gate. A dead short here means the switch took the driver with it.',
  },
  'current-sense': {
    label: 'current sense',
    diodeMode: CLAMP,
    resistance: '100 Ω to 2 kΩ, the filter resistor and the shunt',
    next: 'Follow it through 100 Ω to 1 kΩ to the source and its shunt; an open shunt blows this pin.',
  },
  feedback: {
    label: 'feedback',
    diodeMode: CLAMP,
    resistance: 'over 1 kΩ',
    next: 'Follow it to the transistor of an optocoupler or to a divider from the output.',
  },
  compensation: {
    label: 'compensation',
    diodeMode: CLAMP,
    resistance: 'over 5 kΩ',
    next: 'A resistor and small capacitors to the feedback pin; an optocoupler may pull it down.',
  },
  timing: {
    label: 'timing',
    diodeMode: CLAMP,
    resistance: 'over 5 kΩ',
    next: 'A resistor or a 0.1 to 10 nF capacitor here sets the frequency: read both.',
  },
  reference: {
    label: 'reference',
    diodeMode: '0.4 to 0.7 V',
    resistance: 'over 1 kΩ',
    next: 'A small capacitor to ground must stand close by; the timing resistor often hangs here.',
  },
  'high-voltage': {
    label: 'high-voltage start',
    diodeMode: 'OL, or over 0.6 V',
    resistance: 'over 500 kΩ',
    next: 'It leads to the bulk capacitor or, through diodes, to the mains. Charged: measure before you touch.',
  },
  drain: {
    label: 'drain of the built-in switch',
    diodeMode: '0.4 to 0.6 V, the body diode; 0 V means the switch is shorted',
    resistance: 'over 500 kΩ',
    next: 'It joins the transformer’s primary and the clamp.',
  },
  source: {
    label: 'source of the built-in switch',
    diodeMode: '0 V, or a few millivolts over a shunt',
    resistance: 'under 2 Ω',
    next: 'It sits on the minus of the bulk capacitor, and on a copper area that cools it.',
  },
  'soft-start': {
    label: 'soft start',
    diodeMode: CLAMP,
    resistance: 'over 100 kΩ',
    next: 'A capacitor of 10 nF to 1 µF to ground.',
  },
  'zero-current': {
    label: 'zero-current or valley sense',
    diodeMode: CLAMP,
    resistance: '5 to 50 kΩ',
    next: 'A resistor of 10 to 100 kΩ leads to an auxiliary winding.',
  },
  'line-sense': {
    label: 'line sense',
    diodeMode: CLAMP,
    resistance: '5 to 100 kΩ, the lower half of the divider',
    next: 'A chain of megohm resistors leads to the rectified mains; one open resistor stops the supply.',
  },
  enable: {
    label: 'enable or shutdown',
    diodeMode: CLAMP,
    resistance: 'over 5 kΩ',
    next: 'See what pulls it: an optocoupler, a zener for over-voltage, or a link.',
  },
  boot: {
    label: 'boost supply of the high side',
    diodeMode: 'OL or over 0.6 V',
    resistance: 'over 100 kΩ',
    next: 'A capacitor of 0.1 to 1 µF to the half-bridge midpoint and a fast diode from the supply.',
  },
  midpoint: {
    label: 'half-bridge midpoint',
    diodeMode: '0.4 to 0.6 V, the low switch’s body diode',
    resistance: 'over 100 kΩ',
    next: 'It joins the source of the high switch and the drain of the low one.',
  },
  'gate-high': {
    label: 'gate drive, high side',
    diodeMode: 'OL or over 0.6 V',
    resistance: 'over 100 kΩ to ground; 10 to 47 kΩ to the midpoint',
    next: 'Follow it to the gate of the high switch.',
  },
  switch: {
    label: 'switch output',
    diodeMode: '0.3 to 0.6 V',
    resistance: 'over 1 kΩ',
    next: 'A choke and a rectifier meet here.',
  },
  input: {
    label: 'input',
    diodeMode: CLAMP,
    resistance: 'over 1 kΩ',
    next: 'See which divider or signal feeds it.',
  },
  'power-in': {
    label: 'power input',
    diodeMode: '0.4 to 0.7 V',
    resistance: 'over 1 kΩ once the input capacitor has charged',
    next: 'It joins the input capacitor.',
  },
  output: {
    label: 'output',
    diodeMode: '0.4 to 0.8 V',
    resistance: 'over 500 Ω',
    next: 'See what it drives.',
  },
  adjust: {
    label: 'adjust',
    diodeMode: '0.5 to 0.9 V',
    resistance: '1 to 10 kΩ, the lower divider resistor',
    next: 'Two resistors set the output: read both.',
  },
  'led-anode': {
    label: 'LED anode',
    diodeMode: '1.0 to 1.3 V across anode and cathode',
    resistance: 'depends on what feeds it',
    next: 'A resistor of 100 Ω to 2 kΩ leads to the output.',
  },
  'led-cathode': {
    label: 'LED cathode',
    diodeMode: '1.0 to 1.3 V across anode and cathode',
    resistance: 'depends on what draws it',
    next: 'It leads to the cathode of the shunt reference.',
  },
  emitter: {
    label: 'emitter',
    diodeMode: '0 V if it sits on ground',
    resistance: 'under 1 Ω if it sits on ground',
    next: 'It usually sits on the controller’s ground.',
  },
  collector: {
    label: 'collector',
    diodeMode: CLAMP,
    resistance: 'over 1 kΩ',
    next: 'It usually leads to the controller’s feedback pin.',
  },
  anode: { label: 'anode', diodeMode: '0 V', resistance: 'under 1 Ω', next: 'It sits on the output’s ground.' },
  cathode: {
    label: 'cathode',
    diodeMode: '0.5 to 0.8 V from anode to cathode',
    resistance: 'over 1 kΩ',
    next: 'It draws the optocoupler’s LED.',
  },
  signal: {
    label: 'signal',
    diodeMode: CLAMP,
    resistance: 'over 1 kΩ',
    next: 'See where it leads; its use differs between boards.',
  },
  none: { label: 'not connected', diodeMode: 'OL', resistance: 'open', next: 'Nothing should hang here.' },
} as const satisfies Readonly<Record<string, PinRule>>;

export type PinFunction = keyof typeof PIN_FUNCTIONS;

/** Functions by the names that datasheets print, upper case. */
export const PIN_NAMES: Readonly<Record<string, PinFunction>> = {
  ...named('ground', 'GND COM VSS VEE SGND PGND AGND SG PG'),
  ...named('supply', 'VCC VDD VS+ VC LVCC V+ BP BP/M CONTROL VIN+ VSUP'),
  ...named(
    'gate',
    'OUT OUTA OUTB DRV GATE GD DRIVER PWMOUT PFCOUT GTDRV DRVOUT LO LVG MLOWER GD1 GD2 VGATE OUT1 OUT2 C1 C2 E1 E2 CA CB EA1 EB LOUT',
  ),
  ...named('current-sense', 'ISENSE CS SENSE ISEN ISNS IPRI IS CS+ CS- CL+ CL- PKLMT DCILIM IPK OC CAI CURR'),
  ...named('feedback', 'FB VFB INV VSENSE VA- REG FB1 FB2 EN/UV CTRL CON'),
  ...named('compensation', 'COMP CAOUT VAOUT IEAO VEAO ICOMP VCOMP EAOUT VCTRL'),
  ...named(
    'timing',
    'RT CT RT/CT RI OSC RSET FREQ RAMP1 RAMP2 CF RFMIN RFSTART RC DISCH FMAX RCT DT CTIMER MOT MIN_TON MIN_TOFF MOT/TON TON',
  ),
  ...named('reference', 'VREF REF VREF1 VREF2 V33REF'),
  ...named('high-voltage', 'HV VSTR HVS HVCC VDL'),
  ...named('drain', 'D DRAIN'),
  ...named('source', 'S SOURCE'),
  ...named('soft-start', 'SS CSS CL/SS'),
  ...named('zero-current', 'ZCD DEM DMG ZERO IDET DET ZC TRIG'),
  ...named('line-sense', 'MULT IAC VRMS LINE BO VINS VFF IN-LINE VM VPRI BR TBO UVAC VLINE'),
  ...named(
    'enable',
    'EN ENA SHDN SD DIS STBY ON/OFF INH EN1 EN2 PSON DELAY OPP OVP LATCH SKIP RUN PFC_STOP PFC_OK PWM_STOP PWM_LATCH STATUS OUTCTRL DTC FAULT SLOWFAULT FASTFAULT ADJ-SKIP NVP OVT SYNC STANDBY BA DC DC-LIM',
  ),
  ...named('boot', 'VB VBOOT BST BS BOOT'),
  ...named('midpoint', 'VS HB MID VCTR'),
  ...named('gate-high', 'HO HVG MUPPER'),
  ...named('switch', 'SW PH SWC SWE LX DRC'),
  ...named(
    'input',
    'IN1+ IN1- IN2+ IN2- NI EA+ EA- OP1 OP2 INA INB HIN LIN IN TRIG-IN THR A+ A- B+ B- C+ C- D+ D- IN+ IN- IN3+ IN3- IN4+ IN4- VA+ VDC V5 V12 V3.3 OPIN+ OPIN- VD VSR EA PGI',
  ),
  ...named('power-in', 'VIN PIN'),
  ...named('output', 'OUTC OUTD OUT3 OUT4 VOUT PG-OUT PGO VO OPOUT RESET FPO OUTPUT'),
  ...named('adjust', 'ADJ R'),
  ...named('led-anode', 'LED+'),
  ...named('led-cathode', 'LED-'),
  ...named('emitter', 'E'),
  ...named('collector', 'C'),
  ...named('anode', 'A'),
  ...named('cathode', 'K'),
  ...named('none', 'NC'),
};

function named(does: PinFunction, names: string): Record<string, PinFunction> {
  return Object.fromEntries(names.split(' ').map((name) => [name, does]));
}
