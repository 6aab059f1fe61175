import {
  BLOCK_NAMES,
  BLOCKS,
  damageFromWord,
  DAMAGE_WORDS,
  DUTY_NAMES,
  FITMENT_NAMES,
  KIND_NAMES,
  kindRule,
  PACKAGES,
  SUBTYPES,
  type BlockName,
  type DamageWord,
  type DutyName,
  type FitmentName,
  type KindName,
} from '../part';

/** What a word, or a few words that belong together, may mean on the bench line. */
export type Meaning =
  | { readonly as: 'kind'; readonly kind: KindName; readonly subtype?: string }
  | { readonly as: 'poly' }
  | { readonly as: 'package'; readonly name: string }
  | { readonly as: 'damage'; readonly damage: DamageWord }
  | { readonly as: 'block'; readonly block: BlockName }
  | { readonly as: 'duty'; readonly duty: DutyName }
  | { readonly as: 'fitment'; readonly fitment: FitmentName }
  | { readonly as: 'speed'; readonly speed: 'slow' | 'fast' }
  /** Belongs to the sentence and says nothing of the part. */
  | { readonly as: 'filler' }
  /** The marking follows. */
  | { readonly as: 'marked' }
  /** A reading of a meter follows. */
  | { readonly as: 'measures' };

/**
 * Words of the trade beside the names that the tables of parts carry: slang, everyday English, German and French.
 * Common practice, no source. Blanks and hyphens inside a phrase do not matter.
 */
const KIND_WORDS: readonly (readonly [kind: KindName, words: string, subtype?: string])[] = [
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
  ['capacitor', 'x cap, x capacitor, xcap', 'x2'],
  ['capacitor', 'y cap, y capacitor, ycap', 'y'],
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
  [
    'dual-diode',
    'doppelt, doppelte, double, dual diode, double diode, twin diode, doppeldiode, dual schottky, dual rectifier, double schottky, dual ultrafast',
  ],
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

const DAMAGE_SLANG: readonly (readonly [damage: DamageWord, words: string])[] = [
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
  ['blown', 'gone, dead, popped, durchgebrannt, blows, grillé, defekt, kaputt, hs'],
  ['open', 'gone open, open circuit, open circuited, unterbrochen'],
  [
    'shorted',
    'short, short circuit, dead short, gone short, shorted out, kurzschluss, kurzgeschlossen, court circuit, short circuited',
  ],
];

const FITMENT_SLANG: readonly (readonly [fitment: FitmentName, words: string])[] = [
  [
    'unpopulated',
    'not fitted, not populated, missing, dnp, nicht bestückt, fehlt, empty pads, empty footprint, absent, manquant, not there',
  ],
  ['reworked', 'resoldered, replaced'],
];

const DUTY_SLANG: readonly (readonly [duty: DutyName, words: string])[] = [
  ['start-up', 'startup, for startup'],
  ['bleeder', 'bleed resistor, bleed'],
  ['gate', 'gate resistor'],
  ['sense', 'current sense'],
];

const PACKAGE_SLANG: readonly (readonly [name: string, words: string])[] = [
  ['TO-220FP', 'full pack, fullpak, to220fullpak, isolated to220'],
  ['SMD', 'smd, smt, chip part'],
  ['axial', 'glass axial'],
  ['disc', 'blob'],
];

const SPEEDS: readonly (readonly [speed: 'slow' | 'fast', words: string])[] = [
  ['slow', 'slow blow, slow, slo blo, slowblow, träge, time lag, timelag, temporisé, anti surge, t type'],
  ['fast', 'fast blow, flink, quick blow, rapide, fast acting, fastblow'],
];

const MARKED =
  'marked, marking, markings, labelled, labeled, printed, print, says, reads as, beschriftet, aufdruck, marqué, gestempelt, stamped';
const MEASURES =
  'meter, dmm, multimeter, measures, measured, measure, measuring, meas, reads, reading, read, shows, tests, tested, test, meter says, misst, gemessen, mißt, mesure, mesuré, gives, at the meter';

const FILLER =
  'is, are, a, an, the, of, and, with, it, its, in, on, at, this, that, which, for, to, from, by, here, there, i, me, my, we, cant, can, not, no, dont, know, tell, read, some, kind, type, or so, about, roughly, looks, look, like a, seems, probably, maybe, ' +
  'part, component, one, ones, each, both, all, same board, value, rated, rating, volt rating, pin, pins, pinned, leg, legs, legged, lead, leads, side, sides, windings, winding, pole, way, ' +
  'marking unreadable, unreadable, illegible, no marking, unmarked, unknown, cold, axial leads, big, small, little, tiny, large, main, old, new, through hole, tht, ' +
  'heatsinked, on heatsink, heatsink, coil, contact, contacts, changeover, parallel, series, in series, in parallel, across, near, next, beside, behind, under, inside, back, panel, ' +
  'ist, ein, eine, einen, der, die, das, mit, und, auf, im, am, est, un, une, le, la, les, de, du, des, avec, et, sur, dans, looks ok, ok, good, fine, still, has, have, says so, transistor, bjt, device, thing, gone bad, bad, way high, way low, high, low, core, rod, drive, driver, x, n, l, e, pe, metal oxide, metal film, carbon film, carbon, wirewound, wire wound, cement, ' +
  'ways, both ways, way round, between, together, double pole, single pole, dpst, spst, dpdt, glue, glued, clear, round, square, flat, standing, lying, upright, genuine, original, standard, ordinary, plain, usual, possibly, probably, safety, badly';

/** A phrase as it is looked up: small letters without blanks, hyphens, points and apostrophes. */
export function keyOf(phrase: string): string {
  return phrase.toLowerCase().replace(/[\s\-–_.'’]/g, '');
}

/** Most words of a phrase. */
export const LONGEST_PHRASE = 4;

const VOCABULARY = new Map<string, Meaning[]>();
const SPELLED = new Map<string, string>();
/** Phrases that may be typed in several words; `a UF` is not the word “auf”. */
const PHRASES = new Set<string>();

function learn(words: string | readonly string[], meaning: Meaning): void {
  for (const word of typeof words === 'string' ? words.split(',') : words) {
    const key = keyOf(word);
    if (key === '') continue;
    if (/[\s-]/.test(word.trim())) PHRASES.add(key);
    if (!SPELLED.has(key)) SPELLED.set(key, word.trim());
    const known = VOCABULARY.get(key) ?? [];
    VOCABULARY.set(key, known);
    if (!known.some((one) => JSON.stringify(one) === JSON.stringify(meaning))) known.push(meaning);
  }
}

for (const [kind, words, subtype] of KIND_WORDS) learn(words, { as: 'kind', kind, ...(subtype ? { subtype } : {}) });
for (const [word, kind] of Object.entries(SUBTYPES)) learn([word], { as: 'kind', kind, subtype: word });
for (const kind of KIND_NAMES) {
  learn([kind], { as: 'kind', kind });
  for (const word of kindRule(kind).words)
    learn([word], SUBTYPES[word] === kind ? { as: 'kind', kind, subtype: word } : { as: 'kind', kind });
}
learn('poly', { as: 'poly' });
for (const { name, spellings } of PACKAGES) learn([name, ...spellings], { as: 'package', name });
for (const [name, words] of PACKAGE_SLANG) learn(words, { as: 'package', name });
for (const word of DAMAGE_WORDS) learn([word], { as: 'damage', damage: word });
for (const [damage, words] of DAMAGE_SLANG) learn(words, { as: 'damage', damage: damageFromWord(damage) ?? damage });
for (const block of BLOCK_NAMES) learn(BLOCKS[block].words, { as: 'block', block });
for (const duty of DUTY_NAMES) learn([duty], { as: 'duty', duty });
for (const [duty, words] of DUTY_SLANG) learn(words, { as: 'duty', duty });
for (const fitment of FITMENT_NAMES) learn([fitment], { as: 'fitment', fitment });
for (const [fitment, words] of FITMENT_SLANG) learn(words, { as: 'fitment', fitment });
for (const [speed, words] of SPEEDS) learn(words, { as: 'speed', speed });
learn(MARKED, { as: 'marked' });
learn(MEASURES, { as: 'measures' });
learn(FILLER, { as: 'filler' });

/** What a phrase may mean, the likelier first; nothing when no table has it. */
export function meaningsOf(phrase: string): readonly Meaning[] {
  const key = keyOf(phrase);
  return phrase.includes(' ') && !PHRASES.has(key) ? [] : (VOCABULARY.get(key) ?? []);
}

const isSentence = (key: string) => {
  const [meaning] = VOCABULARY.get(key) ?? [];
  return meaning?.as === 'filler' || (meaning?.as === 'marked' && key !== 'marked' && key !== 'marking');
};
/** Words that a slip of the finger may have been meant for; short ones are too alike. */
const SHORTEST_MENDED = 4;
const MENDABLE = [...VOCABULARY.keys()].filter((key) => key.length >= SHORTEST_MENDED && /^\p{L}+$/u.test(key));

/**
 * The phrase of the tables that a mistyped word was meant for: one error in four to six letters, two in more, with
 * neighbours swapped counted as one. Nothing when two different meanings are as near.
 */
export function mended(word: string): string | undefined {
  const typed = word.toLowerCase();
  if (MENDED.has(typed)) return MENDED.get(typed);
  if (MENDED.size >= MOST_REMEMBERED) MENDED.clear();
  const key = keyOf(word);
  const found = (word.includes(' ') ? undefined : endingOf(key)) ?? meantBy(key);
  MENDED.set(typed, found);
  return found;
}

/** Letters of a word that may end a longer one: a Ringkerndrossel is a Drossel. */
const LEAST_ENDING = 6;

function endingOf(key: string): string | undefined {
  const found = MENDABLE.find(
    (candidate) =>
      candidate.length >= LEAST_ENDING &&
      key.length > candidate.length + 2 &&
      key.endsWith(candidate) &&
      VOCABULARY.get(candidate)?.[0]?.as === 'kind',
  );
  return found === undefined ? undefined : SPELLED.get(found);
}

/** A line is read again with every key. */
const MENDED = new Map<string, string | undefined>();
const MOST_REMEMBERED = 2000;

function meantBy(key: string): string | undefined {
  if (key.length < SHORTEST_MENDED || !/^\p{L}+$/u.test(key)) return undefined;
  const allowed = key.length <= 6 ? 1 : 2;
  let best: { readonly key: string; readonly distance: number } | undefined;
  let tied = false;
  for (const candidate of MENDABLE) {
    // A word of everyday language is no slip of another one that says nothing.
    if (isSentence(candidate)) continue;
    if (Math.abs(candidate.length - key.length) > allowed) continue;
    const distance = typingErrors(key, candidate, allowed);
    if (distance > allowed) continue;
    if (!best || distance < best.distance) [best, tied] = [{ key: candidate, distance }, false];
    else if (distance === best.distance && !meanTheSame(best.key, candidate)) tied = true;
  }
  return tied || !best ? undefined : SPELLED.get(best.key);
}

const meanTheSame = (one: string, other: string) =>
  JSON.stringify(VOCABULARY.get(one)?.[0]) === JSON.stringify(VOCABULARY.get(other)?.[0]);

/** Letters left out, added, changed or swapped with their neighbour; more than `most` is not counted on. */
function typingErrors(one: string, other: string, most: number): number {
  const rows: number[][] = [Array.from({ length: other.length + 1 }, (_, index) => index)];
  for (let i = 1; i <= one.length; i += 1) {
    const row = [i];
    let least = i;
    for (let j = 1; j <= other.length; j += 1) {
      const same = one[i - 1] === other[j - 1];
      let cost = Math.min(
        (rows[i - 1]?.[j] ?? 0) + 1,
        (row[j - 1] ?? 0) + 1,
        (rows[i - 1]?.[j - 1] ?? 0) + (same ? 0 : 1),
      );
      if (i > 1 && j > 1 && one[i - 1] === other[j - 2] && one[i - 2] === other[j - 1])
        cost = Math.min(cost, (rows[i - 2]?.[j - 2] ?? 0) + 1);
      row.push(cost);
      least = Math.min(least, cost);
    }
    if (least > most) return most + 1;
    rows.push(row);
  }
  return rows[one.length]?.[other.length] ?? most + 1;
}
