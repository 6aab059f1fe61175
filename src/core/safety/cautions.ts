import type { UnitKindName } from '../unit';
import { METER_CEILING } from './limits';
import type { StoreRole } from './mayHold';

/** What is known of a unit when its cautions are picked. Volts. */
export interface CautionFacts {
  readonly kind: UnitKindName;
  readonly description: string;
  readonly fedFromMains: boolean;
  /** Volts each may hold; without where nothing bounds it. */
  readonly stores: readonly { readonly role: StoreRole; readonly mayHold?: number; readonly links: number }[];
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
  /** Why the unit is not opened here at all, where that is so. */
  readonly leaveShut?: string;
}

const any = (words: readonly string[], pattern: RegExp) => words.some((word) => pattern.test(word));

/** Cautions with when each applies. Common practice, no source, unless one is named. */
export const CAUTIONS: readonly (UnitCaution & { readonly applies: (facts: CautionFacts) => boolean })[] = [
  {
    name: 'mains capacitors',
    text: 'The reservoir and the X capacitors stay charged after the plug is out: minutes when their bleeder is open. Read each one.',
    grave: false,
    applies: ({ fedFromMains, stores }) =>
      fedFromMains || stores.some(({ role }) => role === 'bulk' || role === 'filter'),
  },
  {
    name: 'an oven’s transformer and capacitor',
    text: 'The transformer of a microwave oven and its capacitor kill: about 2 kV at an ampere and more while it runs, about 3 kV in the capacitor afterwards, for minutes to days. No meter here stands it. Leave it shut; licensed people only.',
    grave: true,
    leaveShut: 'An oven’s high-voltage side kills, and no tool or meter here stands it: leave it shut.',
    applies: ({ description, parts }) => any([description, ...parts], /microwave|magnetron/i),
  },
  {
    name: 'beryllia in a magnetron',
    text: 'The pink or white ceramic of a magnetron may be beryllia: its dust scars lungs. Never break, file or open one; hand it in whole.',
    grave: true,
    applies: ({ description, parts, opening }) => any([description, ...parts, ...opening], /magnetron|microwave/i),
  },
  {
    name: 'PCB oil',
    text: 'Ballast and motor capacitors from before about 1986 may hold PCB oil, which is poison to skin and soil: never open, drill or heat one, wear gloves where one leaks, and hand it in as hazardous waste.',
    grave: true,
    applies: ({ year, description, kind, parts, opening }) =>
      (year === undefined || year < 1987) &&
      (any(
        [description, ...parts, ...opening],
        /ballast|motor capacitor|oil[- ]?filled|paper[- ]in[- ]oil|\bpcbs?\b oil/i,
      ) ||
        (kind === 'lamp-driver' && year !== undefined)),
  },
  {
    name: 'burnt inside',
    text: 'Charred parts and boards give off soot that irritates and conducts: gloves, air, no blowing. What stood beside the fire is suspect, and a burnt lithium pack may burn again; a charger that burnt with its cells goes outdoors.',
    grave: true,
    leaveShut:
      'It burnt with its cells or as a charger: what is left may burn again. Keep it outdoors on stone, and leave it shut.',
    applies: ({ description, kind, stores }) =>
      /burn(?:t|ed)|fire|charred|smok/i.test(description) &&
      (kind === 'battery-charger' || stores.some(({ role }) => role === 'battery')),
  },
  {
    name: 'a pulse store',
    text: 'A pulse store holds charge for hours, often above 400 V and above what a meter stands. Bleed it through a resistor tool of enough voltage; if you do not know the circuit, leave it shut.',
    grave: true,
    applies: ({ kind, stores }) => kind === 'pulse-unit' || stores.some(({ role }) => role === 'boosted'),
  },
  {
    name: 'a store above what a meter stands',
    text: `A pulse store that may hold more than ${METER_CEILING.volts} V, or nobody knows what: no hand meter and no usual resistor stands it, so it cannot be shown dead here. Leave it shut.`,
    grave: true,
    leaveShut: 'It cannot be shown dead here: no hand meter stands what its pulse store may hold. Leave it shut.',
    applies: ({ stores }) =>
      stores.some(
        ({ role, mayHold }) => role === 'boosted' && (mayHold === undefined || mayHold > METER_CEILING.volts),
      ),
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
    applies: ({ stores }) => stores.some(({ links, mayHold }) => links > 1 && (mayHold === undefined || mayHold > 60)),
  },
];

/** The cautions that apply to this unit, gravest first; nothing that does not. */
export function cautionsFor(facts: CautionFacts): UnitCaution[] {
  return CAUTIONS.filter(({ applies }) => applies(facts))
    .map(({ name, text, grave, leaveShut }) => ({
      name,
      text,
      grave,
      ...(leaveShut === undefined ? {} : { leaveShut }),
    }))
    .sort((a, b) => Number(b.grave) - Number(a.grave));
}
