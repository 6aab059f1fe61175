import type { DamageWord, DutyName, FitmentName, KindName } from '../part';

/**
 * Words of the trade beside the names that the tables of parts carry: slang, everyday English, German and French.
 * Common practice, no source. Blanks and hyphens inside a phrase do not matter.
 */
export const KIND_WORDS: readonly (readonly [kind: KindName, words: string, subtype?: string])[] = [
  [
    'resistor',
    'resistors, widerstand, widerstände, résistance, shunt, shunt resistor, sense resistor, ballast resistor',
  ],
  ['resistor', 'fusible, fusible resistor, flameproof, sicherungswiderstand', 'fusible'],
  ['potentiometer', 'trimpot, preset, poti, trimmer potentiometer, potentiomètre, trim pot, variable resistor, pots'],
  [
    'capacitor',
    'caps, capacitors, kondensator, kondensatoren, condensateur, condo, safety capacitor, safety cap, capa',
  ],
  [
    'capacitor',
    'ecap, ecaps, lytic, lytics, elcap, elec, electro, electrolytics, electrolytic cap, electrolytic capacitor, elko, elkos, chimique, can cap, big can',
    'electrolytic',
  ],
  [
    'capacitor',
    'solid poly, polymer can, solid cap, solid capacitor, polymer cap, polymère, polymers, conductive polymer',
    'polymer',
  ],
  [
    'capacitor',
    'mkp, mkt, mkc, polyester, polypropylene, polypropylène, pp cap, film cap, film capacitor, folie, folienkondensator, box cap, mylar, metal film cap, poly film, pet film',
    'film',
  ],
  [
    'capacitor',
    'disc, disk, disc cap, disk cap, mlcc, keramik, kerko, céramique, ceramics, ceramic cap, ceramic disc, chip cap, x7r, x5r, np0, c0g, y5v, z5u',
    'ceramic',
  ],
  ['capacitor', 'tant, tantal, tantale, tants, tantalum cap', 'tantalum'],
  ['capacitor', 'x cap, x caps, x capacitor, x capacitors, xcap', 'x2'],
  ['capacitor', 'y cap, y caps, y capacitor, y capacitors, ycap', 'y'],
  [
    'inductor',
    'chokes, coil, coils, drossel, speicherdrossel, spule, bobine, self, inductance, toroid, ferrite bead, bead, inductors, rod choke',
  ],
  [
    'common-mode-choke',
    'common mode choke, common mode, line filter, emi filter, mains filter, emi choke, filter choke, netzfilter, cm choke, common choke, line choke, line filter choke, stromkompensierte drossel, self de mode commun, mode commun, double choke',
  ],
  [
    'transformer',
    'xfmr, xformer, transfo, transformateur, transformator, übertrager, main trafo, transformers, flyback transformer',
  ],
  ['diode', 'diodes, gleichrichterdiode, redresseur, rectifier diode, std diode', 'rectifier'],
  ['diode', 'diode, dioden'],
  [
    'diode',
    'ultrafast, ultra fast, fast recovery, fast diode, fast rectifier, schnelle diode, diode rapide, ultrafast diode',
    'fast',
  ],
  ['diode', 'schottky diode, schottkydiode, skottky', 'schottky'],
  ['diode', 'zener diode, zenerdiode, z diode, zd, diode zener, zeners', 'zener'],
  ['diode', 'transil, suppressor, suppressor diode, tvs diode, transorb', 'tvs'],
  ['diode', 'light emitting diode, leuchtdiode', 'led'],
  ['dual-diode', 'doppelt, doppelte, double, dual diode, double diode, twin diode, doppeldiode, dual rectifier'],
  ['dual-diode', 'dual schottky, double schottky, twin schottky', 'schottky'],
  ['dual-diode', 'dual ultrafast, dual fast', 'fast'],
  ['dual-diode', 'common cathode, gemeinsame kathode', 'common-cathode'],
  ['dual-diode', 'common anode', 'common-anode'],
  [
    'bridge',
    'bridge rectifier, rectifier bridge, diode bridge, brückengleichrichter, gleichrichterbrücke, brücke, graetz, pont de diodes, pont, bridges, full wave bridge',
  ],
  [
    'nmos',
    'fet, fets, mosfets, n fet, n channel, n channel mosfet, n channel fet, nch, n ch, n kanal, n kanal mosfet, n mosfet, power mosfet, n mos, nchannel',
  ],
  ['pmos', 'p channel, p channel mosfet, p channel fet, pch, p ch, p kanal, p kanal mosfet, p mosfet, p fet, p mos'],
  ['npn', 'npn transistor, npn bjt'],
  ['pnp', 'pnp transistor, pnp bjt'],
  ['scr', 'thyristors, silicon controlled rectifier'],
  ['triac', 'triacs'],
  ['diac', 'trigger diode'],
  [
    'optocoupler',
    'optos, opto coupler, optokoppler, photocoupler, opto isolator, optoisolator, optocoupleur, photo coupler',
  ],
  ['shunt-reference', 'shunt reference, shunt regulator, voltage reference, shunt ref, referenz, référence'],
  ['regulator', 'voltage regulator, linear regulator, ldo, spannungsregler, régulateur, regler, linear reg'],
  ['ic', 'chips, integrated circuit, schaltkreis, circuit intégré, controller ic'],
  [
    'ic',
    'pwm, pwm controller, control ic, control chip, pwm ic, pwm chip, regulator ic, qr controller, pfc controller, flyback controller, smps controller, smps ic, contrôleur, resonant controller, steuer ic',
    'controller',
  ],
  [
    'ic',
    'offline switcher, switcher ic, switching regulator, buck regulator, buck converter, step down regulator, schaltregler',
    'switcher',
  ],
  [
    'ic',
    'gate driver, half bridge driver, bridge driver, mosfet driver, high side driver, treiber, driver ic',
    'gate-driver',
  ],
  ['ic', 'op amp, opamp, operational amplifier, operationsverstärker', 'opamp'],
  ['ic', 'comparator, dual comparator, komparator', 'comparator'],
  ['ic', 'mcu, micro, microcontroller, mikrocontroller', 'microcontroller'],
  ['ic', 'sync rectifier, synchronous rectifier, sr controller', 'sync-rectifier'],
  ['fuse', 'fuses, sicherung, feinsicherung, glass fuse, blade fuse, cartridge fuse, pico fuse, fusible, thermal fuse'],
  ['thermistor', 'inrush limiter, inrush thermistor, heißleiter, heissleiter, ntc thermistor, thermistance', 'ntc'],
  ['thermistor', 'polyfuse, polyswitch, resettable fuse, kaltleiter, pptc', 'ptc'],
  ['varistor', 'movs, varistors, metal oxide varistor, surge absorber'],
  [
    'connector',
    'socket, plug, terminal, terminals, header, stecker, buchse, klemme, connecteur, terminal block, loom, wires, usb, usb connector',
  ],
  [
    'connector',
    'mains inlet, iec inlet, ac in, ac input, mains in, mains input, mains connector, mains terminal, iec socket, iec connector, mains socket, line in, netzeingang, netzbuchse, netzstecker, kaltgerätebuchse, entrée secteur, prise secteur, ac inlet, mains plug, inlet',
    'mains-inlet',
  ],
  ['connector', 'dc in, dc input, dc jack, dc inlet, battery in', 'dc-input'],
  [
    'connector',
    'output connector, out, output plug, dc out, output terminal, output terminals, output header, ausgang, sortie, outputs, output loom, battery output, output cable, output wires, vout',
    'output',
  ],
  ['connector', 'lamp terminal, lamp socket, lamp connector', 'lamp-socket'],
  [
    'switch',
    'switch, rocker, rocker switch, power switch, push switch, toggle switch, mains switch, schalter, netzschalter, interrupteur, selector switch, slide switch, voltage selector',
  ],
  ['lamp', 'lamp, neon, neon lamp, bulb, glimmlampe, néon, indicator lamp'],
  ['spark-gap', 'spark gap, sparkgap, funkenstrecke, éclateur, arrester, gdt, gas discharge tube'],
  ['relay', 'relais, relays'],
  ['fan', 'lüfter, ventilateur, fans'],
  ['heat-sink', 'heat sink, kühlkörper, radiateur'],
];

export const DAMAGE_SLANG: readonly (readonly [damage: DamageWord, words: string])[] = [
  [
    'bulged',
    'bulging, bulgy, domed, swollen, puffed, puffed up, pregnant, blown up, aufgebläht, gewölbt, gonflé, bulge',
  ],
  ['leaking', 'leaked, leaky, leaks, ausgelaufen, fuit'],
  [
    'burnt',
    'burned, burned out, burnt out, scorched, toast, toasted, fried, cooked, verbrannt, brûlé, burnt up, crispy',
  ],
  ['cracked', 'split, gerissen, fissuré, crack, chipped, exploded'],
  [
    'blown',
    'hole in it, has a hole, hole blown in it, crater, gone, dead, popped, durchgebrannt, blows, grillé, defekt, kaputt, hs',
  ],
  ['open', 'gone open, open circuit, open circuited, unterbrochen'],
  [
    'shorted',
    'short, short circuit, dead short, gone short, shorted out, kurzschluss, kurzgeschlossen, court circuit, short circuited',
  ],
];

export const FITMENT_SLANG: readonly (readonly [fitment: FitmentName, words: string])[] = [
  [
    'unpopulated',
    'not fitted, not populated, missing, dnp, nicht bestückt, fehlt, empty pads, empty footprint, absent, manquant, not there',
  ],
  ['reworked', 'resoldered'],
  ['replaced', 'swapped, exchanged, ersetzt, remplacé'],
];

export const DUTY_SLANG: readonly (readonly [duty: DutyName, words: string])[] = [
  ['start-up', 'startup, for startup'],
  ['bleeder', 'bleed resistor, bleed'],
  ['gate', 'gate resistor'],
  ['sense', 'current sense'],
];

export const PACKAGE_SLANG: readonly (readonly [name: string, words: string])[] = [
  ['TO-220FP', 'full pack, fullpak, to220fullpak, isolated to220'],
  ['SMD', 'smd, smt, chip part'],
  ['axial', 'glass axial'],
  ['disc', 'blob'],
];

export const SPEEDS: readonly (readonly [speed: 'slow' | 'fast', words: string])[] = [
  ['slow', 'slow blow, slow, slo blo, slowblow, träge, time lag, timelag, temporisé, anti surge, t type'],
  ['fast', 'fast blow, flink, quick, quick blow, rapide, fast acting, fastblow'],
];

export const MARKED =
  'marked, marking, markings, labelled, labeled, printed, print, says, reads as, beschriftet, aufdruck, marqué, gestempelt, stamped';
export const MEASURES =
  'meter, dmm, multimeter, measures, measured, measure, measuring, meas, reads, reading, read, shows, tests, tested, test, meter says, misst, gemessen, mißt, mesure, mesuré, gives, at the meter';

export const FILLER =
  'is, are, a, an, the, of, and, with, it, its, in, on, at, this, that, which, for, to, from, by, here, there, i, me, my, we, cant, can, not, no, dont, know, tell, read, some, kind, type, or so, about, roughly, looks, look, like a, seems, probably, maybe, ' +
  'part, component, one, ones, each, both, all, same board, value, rated, rating, volt rating, pin, pins, pinned, leg, legs, legged, lead, leads, side, sides, windings, winding, pole, way, ' +
  'marking unreadable, unreadable, illegible, no marking, unmarked, unknown, cold, axial leads, big, small, little, tiny, large, main, old, new, through hole, tht, ' +
  'heatsinked, on heatsink, heatsink, coil, contact, contacts, changeover, parallel, series, in series, in parallel, across, near, next, beside, behind, under, inside, back, panel, ' +
  'ist, ein, eine, einen, der, die, das, mit, und, auf, im, am, est, un, une, le, la, les, de, du, des, avec, et, sur, dans, looks ok, ok, good, fine, still, has, have, says so, transistor, bjt, device, thing, indicator, gone bad, bad, way high, way low, high, low, core, rod, drive, driver, x, n, l, e, pe, metal oxide, metal film, carbon film, carbon, wirewound, wire wound, cement, ' +
  'soldered, soldered in, ways, both ways, way round, between, together, double pole, single pole, dpst, spst, dpdt, glue, glued, clear, round, square, flat, standing, lying, upright, genuine, original, standard, ordinary, plain, usual, possibly, probably, safety, badly';

/** Colours of bands and cases. */
export const COLOURS = /^(?:black|brown|red|orange|yellow|green|blue|violet|purple|grey|gray|white|gold|silver)$/i;
