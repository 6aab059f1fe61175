import { practice } from '../evidence';

/** What a person who opens supplies knows of a circuit. */
export interface FieldNotes {
  /** What it is for, and between which powers it is met, watts. */
  readonly purpose: string;
  readonly watts?: readonly [from: number, to: number];
  readonly found: string;
  /** How it is told on a board, unpowered. */
  readonly tells: readonly string[];
  /** Parts that are worth taking, and for what. */
  readonly worth: readonly string[];
  /** What fails first in service, and what it takes with it. */
  readonly fails: readonly string[];
}

/** By circuit. Common practice, no source. */
export const FIELD_NOTES: Readonly<Record<string, FieldNotes>> = practice({
  buck: {
    purpose: 'A lower voltage from a higher one, without isolation.',
    watts: [1, 200],
    found: 'vehicle chargers, modules, the second stage behind an adapter, regulators beside a processor',
    tells: [
      'One end of the choke goes to the output capacitor, the other to a node where a switch and a rectifier meet.',
      'The rectifier leads to ground from that node; the switch leads to the input.',
      'No transformer, and both grounds are one.',
    ],
    worth: ['the choke, for any converter of its current', 'the Schottky rectifier', 'low-impedance output capacitors'],
    fails: [
      'The switch shorts: the whole input stands at the output, and kills what hangs there.',
      'The output capacitors dry out: ripple rises and the regulator grows noisy.',
    ],
  },
  boost: {
    purpose: 'A higher voltage from a lower one, without isolation.',
    watts: [1, 200],
    found: 'power banks, lamp drivers, the first stage of battery units',
    tells: [
      'The choke comes straight from the input; its other end meets a switch to ground and a rectifier to the output.',
      'From input to output there is a path through choke and rectifier even when nothing runs.',
    ],
    worth: ['the choke', 'a switch with low on-resistance for its voltage', 'the Schottky rectifier'],
    fails: [
      'The load shorts: nothing but the fuse ends the current through choke and rectifier.',
      'The feedback opens: the output climbs until switch or capacitor gives way.',
    ],
  },
  inverting: {
    purpose: 'A negative voltage from a positive one.',
    watts: [0.5, 30],
    found: 'bias supplies, audio and measuring gear',
    tells: [
      'The choke leads to ground; its other end meets the switch from the input and a rectifier.',
      'The output capacitor stands with its plus at ground.',
    ],
    worth: ['the choke', 'the rectifier'],
    fails: [
      'A capacitor put in the usual way round: its plus belongs at ground.',
      'The switch stands input and output together, and is often chosen too small.',
    ],
  },
  sepic: {
    purpose: 'A voltage that may be above or below the input, not inverted.',
    watts: [1, 60],
    found: 'vehicle electronics, battery units whose cell runs from full to empty',
    tells: [
      'Two chokes, or two windings on one core, of the same value.',
      'A capacitor between the switch node and the rectifier, with no other way from input to output.',
    ],
    worth: ['the pair of chokes', 'the ceramic or film capacitor between: it carries the whole current'],
    fails: [
      'The capacitor between dries out or cracks: the output sags under load.',
      'It shorts: input and output are joined through a choke.',
    ],
  },
  cuk: {
    purpose: 'A negative voltage with smooth currents at both ends.',
    watts: [1, 60],
    found: 'measuring gear, amplifiers, older bias supplies',
    tells: [
      'Two chokes, one at the input and one at the output, and a capacitor between them.',
      'The rectifier leads from the far side of that capacitor to ground.',
    ],
    worth: ['both chokes', 'the film capacitor between'],
    fails: ['The capacitor between carries all of the power and fails first.'],
  },
  flyback: {
    purpose: 'One or several isolated outputs from the mains, at the least cost.',
    watts: [1, 150],
    found: 'nearly every adapter and charger, standby supplies, printers, set-top boxes',
    tells: [
      'One switch between a primary and ground; a resistor, capacitor and diode over that primary.',
      'Behind each secondary one rectifier, and a capacitor straight behind it: no choke between.',
      'The core has a gap.',
    ],
    worth: [
      'the transformer with its controller, as a whole',
      'the switch of 600 V and more',
      'Schottky or fast rectifiers for 60 to 200 V',
      'the optocoupler and its reference',
    ],
    fails: [
      'The small capacitor of the controller’s supply dries out: it ticks, or does not start.',
      'The output capacitors dry out: ripple, and hot cans.',
      'The switch shorts and takes the fuse, the sense resistor, the gate resistor and often the controller with it.',
    ],
  },
  'two-switch-flyback': {
    purpose: 'A flyback whose switches stand the input alone, with the leakage handed back.',
    watts: [60, 250],
    found: 'larger adapters, industrial supplies',
    tells: [
      'Two switches, one at each end of the primary, and two diodes from those ends to the rails.',
      'A capacitor straight behind the rectifier.',
    ],
    worth: ['two equal switches of 500 to 650 V', 'a gate-drive transformer or driver'],
    fails: ['One switch shorts: the other and the drive usually follow.'],
  },
  'active-clamp-flyback': {
    purpose: 'A flyback that hands its leakage back and switches softly, for small chargers.',
    watts: [30, 100],
    found: 'compact fast chargers',
    tells: [
      'A capacitor and a second switch over the primary in place of a resistor and a diode.',
      'A synchronous rectifier, and a core that is small for its power.',
    ],
    worth: ['low-profile core and transformer', 'polymer output capacitors', 'the synchronous rectifier'],
    fails: ['The clamp capacitor or its switch: the main switch then stands the leakage alone.'],
  },
  forward: {
    purpose: 'One strong isolated output with smooth current.',
    watts: [50, 250],
    found: 'older computer and telephone supplies, industrial supplies',
    tells: [
      'Two rectifiers with joined cathodes and a choke behind them.',
      'A third winding with a diode to the rail, which empties the core.',
      'No gap in the core.',
    ],
    worth: ['the output choke', 'the dual rectifier', 'a switch of 800 V and more'],
    fails: [
      'The reset winding’s diode opens: the switch stands far more and dies.',
      'The rectifiers short and the supply cuts out at once.',
    ],
  },
  'two-switch-forward': {
    purpose: 'A forward whose switches stand the input alone.',
    watts: [100, 600],
    found: 'computer supplies behind a power factor stage, rail supplies',
    tells: ['Two switches and two diodes as in the two-switch flyback, but a choke behind the rectifiers.'],
    worth: ['two equal switches', 'the output choke', 'rectifiers for 100 A at low voltage'],
    fails: [
      'Both switches together, from a gate drive that opened.',
      'Dried capacitors of the output, many in parallel.',
    ],
  },
  'push-pull': {
    purpose: 'Power from a low voltage, such as a battery.',
    watts: [20, 1000],
    found: 'inverters for vehicles, audio amplifiers in vehicles, older telephone supplies',
    tells: [
      'A primary with a tap at the input, and two switches to ground at its ends.',
      'Several switches in parallel on each side.',
    ],
    worth: ['many equal switches of 55 to 100 V', 'the core', 'fast rectifiers for 200 to 600 V'],
    fails: [
      'One half stays off: the core is driven one way and saturates, and the other half dies.',
      'Input capacitors dried by their ripple.',
    ],
  },
  'half-bridge': {
    purpose: 'Several strong outputs with cheap switches.',
    watts: [100, 600],
    found: 'older computer supplies, halogen lamp supplies, welders of small size',
    tells: [
      'Two equal bulk capacitors in series; the primary hangs at their middle.',
      'Two switches in series from rail to rail, driven by a small transformer.',
      'A capacitor in series with the primary.',
    ],
    worth: [
      'two bulk capacitors of 200 V',
      'the toroid of the output choke',
      'high-current dual rectifiers',
      'the fan',
    ],
    fails: [
      'A dried bulk capacitor shifts the middle, and one switch takes more.',
      'Both switches with the drive when one shorts.',
      'The standby supply beside it: a dried capacitor there raises its output.',
    ],
  },
  'full-bridge': {
    purpose: 'The most power from a given switch.',
    watts: [500, 5000],
    found: 'server and telephone rectifiers, welders, chargers of vehicles',
    tells: [
      'Four equal switches on one heat sink; the primary between the middles of two pairs.',
      'Heavy bars or several rectifiers in parallel at the output.',
    ],
    worth: ['four equal switches', 'large cores', 'driver transformers'],
    fails: [
      'A pair shorts through: both of a leg are replaced, with their drive.',
      'Unequal halves walk the core into saturation.',
    ],
  },
  llc: {
    purpose: 'Power at high efficiency, with switches that turn on without loss.',
    watts: [90, 1000],
    found: 'television and notebook supplies of the last years, lamp drivers, servers',
    tells: [
      'Two switches in series, and a film capacitor in series with the primary.',
      'A capacitor straight behind two rectifiers: no output choke.',
      'The transformer has its windings side by side, with air between.',
    ],
    worth: ['the resonant film capacitor', 'two superjunction switches', 'the controller with its half-bridge driver'],
    fails: [
      'The resonant capacitor loses value: the frequency moves and the switches lose their soft turn-on.',
      'Both switches short together with the driver.',
    ],
  },
  pfc: {
    purpose: 'A line current that follows the line voltage, and a steady rail of some 390 V.',
    watts: [75, 3000],
    found: 'before the converter of most supplies above 75 W',
    tells: [
      'A choke straight behind the bridge, then a switch to ground and a fast rectifier to the bulk.',
      'Only a small film capacitor behind the bridge; the bulk is for 400 V and more.',
    ],
    worth: [
      'the choke',
      'the bulk capacitor of 400 to 450 V, once tested',
      'a silicon carbide or hyperfast rectifier',
      'the switch',
    ],
    fails: [
      'The rectifier shorts and takes the switch along.',
      'The bulk dries out: its ripple grows, and its protection cuts in.',
      'The divider of the rail drifts up: the rail rises.',
    ],
  },
  'bridge-reservoir': {
    purpose: 'Direct voltage from the line.',
    watts: [1, 200],
    found: 'the entry of nearly every supply',
    tells: [
      'Four diodes or one bridge between the line and a large capacitor.',
      'Fuse, NTC, varistor and X capacitor before it.',
    ],
    worth: ['the bulk capacitor, once tested', 'the bridge', 'the filter choke'],
    fails: [
      'A diode of the bridge shorts when the switch behind it does.',
      'The bulk loses its value: the valley falls, and the converter stops at low mains.',
    ],
  },
  doubler: {
    purpose: 'Twice the peak of a 115 V line, so that one supply runs at both mains.',
    watts: [100, 500],
    found: 'older computer supplies with a selector',
    tells: [
      'Two equal bulk capacitors in series, their middle at one line through a selector.',
      'A resistor across each of them.',
    ],
    worth: ['two bulk capacitors of 200 V'],
    fails: [
      'The selector in the wrong place at 230 V: both capacitors burst.',
      'A balancing resistor opens, and one capacitor takes too much.',
    ],
  },
  'phase-control': {
    purpose: 'Less power to a lamp or a motor by closing late in each half wave.',
    watts: [40, 3000],
    found: 'dimmers, drills, vacuum cleaners, lathes',
    tells: [
      'A triac or thyristor in series with the load, a trigger diode at its gate.',
      'A potentiometer with one or two capacitors; a choke and an X capacitor against interference.',
    ],
    worth: ['the triac', 'the interference choke', 'the X capacitor', 'the potentiometer'],
    fails: ['The triac shorts: the load is on for ever.', 'The timing capacitor loses value: the dimmer snaps on.'],
  },
  dropper: {
    purpose: 'A few milliamperes straight from the line, for electronics that are never touched.',
    watts: [0.05, 2],
    found: 'thermostats, timers, cheap lamps, appliance boards',
    tells: [
      'An X capacitor of 100 nF to 2 µF in series with the line, a resistor across it and one in series.',
      'A Zener diode and a small electrolytic; no transformer.',
    ],
    worth: ['the X capacitor, only if its value is whole'],
    fails: [
      'The X capacitor loses its value over the years: the supply sags, relays chatter.',
      'The Zener opens: the capacitor behind it bursts.',
    ],
  },
  discharge: {
    purpose: 'How a charged capacitor empties through what lies across it.',
    found: 'every bulk capacitor that was unplugged',
    tells: ['Two or more large resistors across a capacitor, or none at all.'],
    worth: ['the capacitor, once it is measured dead'],
    fails: ['The bleed resistor opens: the charge stays for days.'],
  },
});
