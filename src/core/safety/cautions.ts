import type { UnitKindName } from '../unit';
import type { StoreRole } from './mayHold';

/** What is known of a unit when its cautions are picked. Volts. */
export interface CautionFacts {
  readonly kind: UnitKindName;
  readonly description: string;
  readonly fedFromMains: boolean;
  readonly stores: readonly { readonly role: StoreRole; readonly mayHold: number; readonly links: number }[];
  /** Words of packages, kinds and markings of the parts seen. */
  readonly parts: readonly string[];
  /** Words of opening steps and notes. */
  readonly opening: readonly string[];
  /** Year the unit is from, when known. */
  readonly year?: number | undefined;
}

export interface UnitCaution {
  /** A few words, as in a list of hazards. */
  readonly name: string;
  readonly text: string;
  /** Grave enough to weigh in the advice. */
  readonly grave: boolean;
}

const any = (words: readonly string[], pattern: RegExp) => words.some((word) => pattern.test(word));

/** Cautions with when each applies. Common practice, no source, unless one is named. */
const CAUTIONS: readonly (UnitCaution & { readonly applies: (facts: CautionFacts) => boolean })[] = [
  {
    name: 'mains capacitors',
    text: 'The reservoir and the X capacitors stay charged after the plug is out: minutes when their bleeder is open. Read each one.',
    grave: false,
    applies: ({ fedFromMains, stores }) =>
      fedFromMains || stores.some(({ role }) => role === 'bulk' || role === 'filter'),
  },
  {
    name: 'a pulse store',
    text: 'A pulse store holds charge for hours, often above 400 V and above what a meter stands. Bleed it through a resistor tool of enough voltage; if you do not know the circuit, leave it shut.',
    grave: true,
    applies: ({ kind, stores }) => kind === 'pulse-unit' || stores.some(({ role }) => role === 'boosted'),
  },
  {
    name: 'a battery',
    text: 'A battery does not run down while you wait. Part it at its connector, tape each contact by itself, never pierce, bend or heat a cell; a swollen one goes outdoors, onto stone.',
    grave: true,
    applies: ({ stores, parts }) =>
      stores.some(({ role }) => role === 'battery') || any(parts, /battery|li-?ion|18650/i),
  },
  {
    name: 'a lamp with mercury',
    text: 'Fluorescent tubes and old ballast lamps hold mercury: keep the glass whole and hand it in. If one breaks, air the room and do not sweep.',
    grave: true,
    applies: ({ description, kind }) =>
      /fluorescen|\bcfl\b|energy[- ]saving|tube|mercury|uv lamp/i.test(description) && kind === 'lamp-driver',
  },
  {
    name: 'an asbestos-like washer',
    text: 'Grey fibrous washers and boards under old heaters and resistors may be asbestos. Do not drill, scrape or sand them; leave the unit whole.',
    grave: true,
    applies: ({ year, kind, description, opening }) =>
      any(opening, /asbestos|fibrous/i) ||
      (year !== undefined && year < 1990 && (kind === 'appliance-board' || /oven|toaster|heater/i.test(description))),
  },
  {
    name: 'a beryllia washer',
    text: 'White or pink ceramic washers under power parts of old or high-frequency units may be beryllia: its dust scars lungs. Never file, break or sand one.',
    grave: true,
    applies: ({ parts, opening, year }) =>
      any([...parts, ...opening], /beryl|beo\b/i) ||
      (year !== undefined && year < 1995 && any(parts, /to-3\b|ceramic washer/i)),
  },
  {
    name: 'sharp edges',
    text: 'Heat sinks, cans and cut cases have edges like knives: gloves on the holding hand.',
    grave: false,
    applies: ({ kind, opening }) =>
      kind === 'internal' || kind === 'open-frame' || any(opening, /clips|rivets|saw|rotary|solder/i),
  },
  {
    name: 'brittle plastic',
    text: 'Old or heated plastic splinters when it is pried: eye protection, and warm the seam first.',
    grave: false,
    applies: ({ year, opening, kind }) =>
      any(opening, /glue|weld|snaps/i) ||
      (year !== undefined && year < 2008 && (kind === 'plug-top' || kind === 'desk-brick')),
  },
  {
    name: 'potting',
    text: 'Potting gives off fumes when heated and hides charged parts when cut: no hot air, air the room, and read the stores through their leads first.',
    grave: true,
    applies: ({ opening }) => any(opening, /pott/i),
  },
  {
    name: 'a series stack',
    text: 'Capacitors in series above 60 V: after the ends read zero each one may still hold charge. Read every capacitor by itself.',
    grave: false,
    applies: ({ stores }) => stores.some(({ links, mayHold }) => links > 1 && mayHold > 60),
  },
];

/** The cautions that apply to this unit, gravest first; nothing that does not. */
export function cautionsFor(facts: CautionFacts): UnitCaution[] {
  return CAUTIONS.filter(({ applies }) => applies(facts))
    .map(({ name, text, grave }) => ({ name, text, grave }))
    .sort((a, b) => Number(b.grave) - Number(a.grave));
}
