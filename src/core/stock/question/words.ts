import type { KindName } from '../../part';
import type { Unit } from '../../quantity';

/** What a word of a question says a lot is. */
export interface Sense {
  /** What is told the person. */
  readonly says: string;
  /** The word that reads back as this. */
  readonly word: string;
  readonly kinds: readonly KindName[];
  /** One of these subtypes or technologies. */
  readonly variants?: readonly string[];
  /** None of these subtypes. */
  readonly not?: readonly string[];
}

const sense = (
  says: string,
  word: string,
  kinds: readonly KindName[],
  more: Pick<Sense, 'variants' | 'not'> = {},
): Sense => ({ says, word, kinds, ...more });

/**
 * Words that mean another thing, or a wider one, in a question to the drawers than on the bench line, where one part is
 * described; all others are those of the bench line. Common practice, no source.
 */
export const WIDE_SENSES: readonly (readonly [sense: Sense, words: string])[] = [
  [sense('MOSFET', 'mosfet', ['nmos', 'pmos']), 'mosfet, mosfets, mos, fet, fets, mosfet transistor'],
  [sense('N-FET', 'nmos', ['nmos']), 'mosfet n, mosfet canal n, canal n, n type mosfet, n ch mosfet'],
  [sense('P-FET', 'pmos', ['pmos']), 'mosfet p, mosfet canal p, canal p, p type mosfet, p ch mosfet'],
  [sense('transistor', 'transistor', ['npn', 'pnp', 'nmos', 'pmos', 'igbt']), 'transistor, transistors, transistoren'],
  [
    sense('bipolar transistor', 'bipolar', ['npn', 'pnp']),
    'bipolar, bipolar transistor, bipolar transistors, bjt, bjts',
  ],
  [sense('NPN', 'npn', ['npn']), 'npn transistors, transistor npn'],
  [sense('PNP', 'pnp', ['pnp']), 'pnp transistors, transistor pnp'],
  [
    sense('Schottky', 'schottky', ['diode', 'dual-diode'], { variants: ['schottky'] }),
    'schottky, schottkys, schottky rectifier, schottky rectifiers',
  ],
  [
    sense('single Schottky diode', 'single-schottky', ['diode'], { variants: ['schottky'] }),
    'schottky diode, schottky diodes, diode schottky, schottkydiode, single schottky',
  ],
  [
    sense('dual Schottky', 'dual-schottky', ['dual-diode'], { variants: ['schottky'] }),
    'dual schottky, schottky dual, double schottky, schottky double, doppel schottky, schottky pair, dual schottky diode, dual schottky rectifier, twin schottky',
  ],
  [
    sense('fast rectifier', 'fast', ['diode', 'dual-diode'], { variants: ['fast'] }),
    'fast, ultrafast, ultra fast, fast recovery, fast rectifier, fast rectifiers, ultrafast rectifier',
  ],
  [
    sense('fast diode', 'fast-diode', ['diode'], { variants: ['fast'] }),
    'fast diode, fast diodes, ultrafast diode, ultra fast diode, fast recovery diode, schnelle diode, diode rapide',
  ],
  [
    sense('diode', 'diode', ['diode', 'dual-diode'], { not: ['zener', 'tvs', 'led'] }),
    'diode, diodes, dioden, rectifier, rectifiers, power diode',
  ],
  [
    sense('rectifier diode', 'rectifier-diode', ['diode'], { variants: ['rectifier'] }),
    'rectifier diode, rectifier diodes, standard diode, standard rectifier, mains diode, gleichrichterdiode, std diode',
  ],
  [
    sense('dual rectifier', 'dual', ['dual-diode']),
    'dual, dual diode, double diode, dual rectifier, doppeldiode, twin diode, double, twin, dual diodes',
  ],
  [sense('capacitor', 'cap', ['capacitor']), 'cap, caps, capacitor, capacitors'],
  [
    sense('X capacitor', 'x-cap', ['capacitor'], {
      variants: ['x', 'x1', 'x2', 'x3', 'x1y1', 'x1y2', 'x2y1', 'x2y2', 'x1y4', 'x2y4'],
    }),
    'x cap, x caps, x capacitor, x capacitors, x class, class x',
  ],
  [
    sense('Y capacitor', 'y-cap', ['capacitor'], {
      variants: ['y', 'y1', 'y2', 'y3', 'y4', 'x1y1', 'x1y2', 'x2y1', 'x2y2', 'x1y4', 'x2y4'],
    }),
    'y cap, y caps, y capacitor, y capacitors, y class, class y',
  ],
  [
    sense('X1 capacitor', 'x1', ['capacitor'], { variants: ['x1', 'x1y1', 'x1y2', 'x1y4'] }),
    'x1, x1 cap, x1 capacitor, class x1',
  ],
  [
    sense('X2 capacitor', 'x2', ['capacitor'], { variants: ['x2', 'x2y1', 'x2y2', 'x2y4'] }),
    'x2, x2 cap, x2 capacitor, x2 caps, class x2, x2 kondensator, condensateur x2',
  ],
  [
    sense('Y1 capacitor', 'y1', ['capacitor'], { variants: ['y1', 'x1y1', 'x2y1'] }),
    'y1, y1 cap, y1 capacitor, class y1',
  ],
  [
    sense('Y2 capacitor', 'y2', ['capacitor'], { variants: ['y2', 'x1y2', 'x2y2'] }),
    'y2, y2 cap, y2 capacitor, class y2',
  ],
  [
    sense('capacitor of class X or Y', 'mains-cap', ['capacitor'], {
      variants: ['x', 'x1', 'x2', 'x3', 'y', 'y1', 'y2', 'y3', 'y4', 'x1y1', 'x1y2', 'x2y1', 'x2y2', 'x1y4', 'x2y4'],
    }),
    'mains cap, mains caps, mains capacitor, safety cap, safety caps, safety capacitor, suppression capacitor, interference capacitor, entstörkondensator, funkentstörkondensator, cap for mains, capacitor for mains, cap for the mains, capacitor for the mains, line cap',
  ],
  [
    sense('electrolytic', 'electrolytic', ['capacitor'], { variants: ['electrolytic'] }),
    'e cap, e caps, e capacitor, bulk cap, bulk caps, bulk capacitor, smoothing cap, smoothing capacitor, reservoir cap, condensateur chimique, condo chimique, filter cap',
  ],
  [
    sense('film capacitor', 'film', ['capacitor'], { variants: ['film'] }),
    'foil, foil cap, condensateur film, film caps',
  ],
  [
    sense('ceramic capacitor', 'ceramic', ['capacitor'], { variants: ['ceramic'] }),
    'ceramic caps, ceramic capacitor, condensateur céramique, keramikkondensator',
  ],
  [
    sense('fusible resistor', 'fusible-resistor', ['resistor'], { variants: ['fusible'] }),
    'fusible resistor, fuse resistor, flameproof resistor, fusible resistors',
  ],
  [sense('choke', 'choke', ['inductor']), 'choke, chokes, inductor, inductors, coils, drosseln, spulen, selfs'],
  [
    sense('mains transformer', 'mains-transformer', ['transformer'], { variants: ['mains'] }),
    'mains transformer, mains transformers, line transformer, 50 hz transformer, netztrafo, netztransformator, power transformer',
  ],
  [
    sense('switch-mode transformer', 'smps-transformer', ['transformer'], { variants: ['smps'] }),
    'smps transformer, smps trafo, switch mode transformer, ferrite transformer, switching transformer, übertrager',
  ],
  [sense('transformer', 'transformer', ['transformer']), 'trafos, transfos'],
  [
    sense('adjustable regulator', 'adjustable', ['regulator'], { variants: ['adjustable'] }),
    'adjustable regulator, adjustable voltage regulator, adjustable, variable regulator, einstellbarer regler, régulateur ajustable',
  ],
  [
    sense('triac optocoupler', 'opto-triac', ['optocoupler'], { variants: ['triac'] }),
    'optos with triac output, opto with triac output, optocoupler with triac output, opto triac, optotriac, triac opto, triac optocoupler, triac driver, photo triac',
  ],
  [
    sense('NTC thermistor', 'ntc', ['thermistor'], { variants: ['ntc'] }),
    'ntc, ntcs, thermistor ntc, inrush ntc, inrush',
  ],
  [sense('shunt reference', 'reference', ['shunt-reference']), 'references, shunt references, reference'],
  [sense('fan', 'fan', ['fan']), 'ventilator, blowers'],
  [sense('heat sink', 'heat-sink', ['heat-sink']), 'heatsink, heatsinks, heat sinks, radiator, cooler, dissipateur'],
  [sense('wire', 'wire', ['wire']), 'wire, wires, cable, cables, draht, kabel, litze, fil, hookup wire'],
  [
    sense('varistor', 'varistor', ['varistor']),
    'varistance, surge suppressor, surge protector, absorb surges, against surges',
  ],
  // What a part is to do, as one says who does not know its name.
  [
    sense('rectifier', 'rectify', ['diode', 'dual-diode', 'bridge'], { not: ['zener', 'tvs', 'led'] }),
    'rectify, to rectify, rectifying, rectifies, rectification',
  ],
  [
    sense('transistor to switch with', 'to switch', ['nmos', 'pmos', 'npn', 'pnp', 'igbt']),
    'to switch, can switch, switching transistor, power transistor',
  ],
  [sense('regulator', 'regulate', ['regulator']), 'regulate, to regulate, regulating, stabilise, stabilize'],
  [sense('heat sink or fan', 'to cool', ['heat-sink', 'fan']), 'cool, to cool, cooling, keep cool'],
  [sense('optocoupler', 'isolate', ['optocoupler']), 'isolate, to isolate, isolating'],
  [
    sense('controller chip', 'controller', ['ic'], { variants: ['controller'] }),
    'controllers, pwm controllers, pwm chips, smps chip, control ics',
  ],
  [sense('bridge', 'bridge', ['bridge']), 'bridge rectifiers, rectifier bridges, pont redresseur'],
  [sense('fuse', 'fuse', ['fuse']), 'fusible, fusibles, feinsicherungen'],
  [
    sense('common-mode choke', 'cmc', ['common-mode-choke']),
    'gleichtaktdrossel, stromkompensierte drossel, stromkompensierte drosseln, netzdrossel',
  ],
  [sense('connector', 'connector', ['connector']), 'connectors, plugs, sockets, headers'],
  [
    sense('DC input connector', 'dc-input', ['connector'], { variants: ['dc-input'] }),
    'barrel jack, dc socket, dc connector, hohlbuchse, dc plug, power jack',
  ],
];

/** Names of quantities as people write them before a figure, beside the names of ratings; the kind decides what they stand for. */
export const QUANTITY_WORDS: Readonly<Record<string, Unit>> = Object.fromEntries(
  (
    [
      [
        'volt',
        'v, u, vr, vrrm, vrm, vds, vdss, vce, vceo, vces, vdrm, voltage, spannung, tension, wv, vdc, vac, volts',
      ],
      ['ampere', 'i, id, ic, if, iav, ifav, it, itrms, irms, current, strom, courant, amps, amp'],
      ['watt', 'p, pd, ptot, power, leistung, watts, watt, wattage, puissance'],
      ['ohm', 'r, ohms, ohm, resistance, widerstand, résistance'],
      ['farad', 'c, capacity, capacitance, kapazität, capacité'],
      ['henry', 'l, inductance, induktivität'],
      ['celsius', 't, temp, temperature, tmax, temperatur, température'],
    ] as const
  ).flatMap(([unit, words]) => words.split(', ').map((word) => [word, unit])),
);

/** Comparisons as they are said before a figure, and behind it. */
export type Said = 'plain' | 'at-least' | 'at-most' | 'above' | 'below' | 'equal' | 'near';

const phrases = (rows: readonly (readonly [said: Said, words: string])[]): ReadonlyMap<string, Said> =>
  new Map(rows.flatMap(([said, words]) => words.split(', ').map((word) => [word, said] as const)));

export const SAID_BEFORE = phrases([
  [
    'at-least',
    'at least, no less than, not less than, minimum, min, mindestens, au moins, minimum of, from, ab, starting at',
  ],
  [
    'at-most',
    "at most, no more than, not more than, maximum, max, up to, höchstens, maximal, au plus, bis zu, jusqu’à, jusqu'à, maximum of",
  ],
  [
    'above',
    'more than, over, above, greater than, higher than, bigger than, larger than, über, mehr als, plus de, beyond',
  ],
  ['below', 'less than, under, below, smaller than, lower than, unter, weniger als, moins de'],
  ['near', 'near, close to, around, about, roughly, approximately, approx, circa, ca, etwa, ungefähr, environ'],
  ['equal', 'exactly, genau, exactement'],
]);
export const SAID_BEHIND = phrases([
  [
    'at-least',
    'or more, or better, or higher, or bigger, or longer, or wider, or greater, or above, or over, or up, or stronger, and up, and above, and more, upwards, oder mehr, oder höher, oder besser, ou plus, ou mieux, minimum, min, mini, mindestens, at least, and over, plus',
  ],
  [
    'at-most',
    'or less, or lower, or smaller, or shorter, or below, or under, and below, and less, oder weniger, oder kleiner, ou moins, maximum, max, maxi, at most, tops',
  ],
]);
export const SIGNS: Readonly<Record<string, Said>> = {
  '>=': 'at-least',
  '<=': 'at-most',
  '>': 'above',
  '<': 'below',
  '=': 'equal',
  '~': 'near',
};

/** Before a type that others are to stand in for. */
export const LIKE_WORDS: ReadonlySet<string> = new Set(
  'like, like a, like an, similar to, same as, instead of, in place of, replacement for, replacement of, to replace, replace, replaces, replacing, equivalent to, equivalent of, equivalent for, substitute for, substitute, alternative to, statt, anstatt, ersatz für, ersatz, remplacer, remplace, à la place de, wie'.split(
    ', ',
  ),
);
export const STRONGER_WORDS: ReadonlySet<string> = new Set(
  'stronger, bigger, better, more, beefier, tougher, higher, larger, stärker, größer, besser, mieux, plus fort'.split(
    ', ',
  ),
);

/** Words of a question that say nothing of a part, beside those of the bench line. */
export const QUESTION_FILLER: ReadonlySet<string> = new Set(
  "similar, what's, whats, where's, that's, i've, there's, go, goes, going, do, have, has, got, any, what, who, where, when, show, find, give, list, need, needs, want, wants, wanted, looking, look, please, can, could, would, should, might, will, take, takes, taken, stand, stands, something, anything, everything, stuff, use, used, using, kept, stored, left, or, than, them, their, then, bin, bins, drawer, drawers, box, boxes, compartment, schublade, fach, tiroir, tiroirs, piece, pieces, item, items, am, was, be, been, how, many, much, spare, nice, these, those, our, your, you, also, only, just, into, out, get, getting, make, makes, build, building, fit, fits, fitting, suitable, available, stock, shop, für, von, im, in der, welche, welcher, welches, habe, haben, hab, suche, brauche, gibt, es, noch, einer, pour, je, cherche, quels, quelle, quelles, quel, avez, vous, il, me faut, besoin, est ce que, possible, rated, package, case, gehäuse, boîtier, max, voltage, current, size, sized, frame, form, factor, sort, model, series, amount, capacity, class, single, power, proper, decent, whatever, per, half, mains, supply, supplies, circuit, charger, lamp, job, project, hi, hello, thanks, thank, danke, merci, bitte".split(
    ', ',
  ),
);

export const COLOURS = /^(?:red|green|blue|yellow|white|black|orange|rot|grün|blau|gelb|weiß|schwarz)$/;
export const CONTACTS = /^(?:spst|spdt|dpst|dpdt|4pdt)$/;
/** Cases that are no name of the table of cases: cores, sizes of fuses, of boxes. */
export const CASE_WORD =
  /^(?:to-?p?\d{1,3}[a-z]{0,3}|top-?3|do-?\d{1,3}[a-z]{0,2}|r-6|tr-?5|pico|cement|bead|drum|toroid|dipped|e[ei]\d{2}|et[dq]?\d{2}|pq\d{2}|rm\d{1,2}|uu\d{1,2}(?:\.\d)?|smd-?\d|\d{1,2}x\d{1,2})$/i;
