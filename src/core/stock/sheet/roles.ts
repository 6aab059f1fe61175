import { RATING_NAMES, ratingFromWord, RATINGS, type RatingName } from '../../part';
import { UNITS, type Unit } from '../../quantity';
import { QUANTITY_WORDS } from '../question/words';

/** Columns that hold words, as Stock writes them itself. */
export const TEXT_COLUMNS = [
  'code',
  'kind',
  'subtype',
  'technology',
  'marking',
  'package',
  'grade',
  'limits',
  'pieces',
  'bin',
  'note',
] as const;
export type TextColumn = (typeof TEXT_COLUMNS)[number];

/** What a column of a list is: words, one rating, one quantity whose rating the kind decides, any values, or nothing. */
export type ColumnRole = TextColumn | 'values' | 'nothing' | RatingName | `of ${Unit}`;

/** Quantities that a column may hold for parts of several kinds. */
const QUANTITIES: readonly Unit[] = ['volt', 'ampere', 'watt', 'ohm', 'farad', 'henry', 'celsius'];

/** Every role, with what a person is told of it. */
export const ROLE_NAMES: Readonly<Record<string, string>> = {
  nothing: 'leave out',
  kind: 'kind of part',
  marking: 'marking or type number',
  values: 'values or description',
  pieces: 'pieces',
  bin: 'bin',
  package: 'case',
  grade: 'grade',
  note: 'note',
  subtype: 'subtype',
  technology: 'technology',
  limits: 'limits',
  code: 'code of the lot',
  ...Object.fromEntries(QUANTITIES.map((unit) => [`of ${unit}`, UNITS[unit].word])),
  ...Object.fromEntries(RATING_NAMES.map((name) => [name, RATINGS[name].label])),
};

export const isRole = (text: string): text is ColumnRole => Object.hasOwn(ROLE_NAMES, text);

/** What people call the columns of their lists: everyday English, German, French. Common practice, no source. */
const ALIASES: readonly (readonly [role: ColumnRole, names: string])[] = [
  [
    'kind',
    'type, part type, parttype, component type, category, kat, kategorie, catégorie, categorie, class, component, art, bauteilart, bauteiltyp, gruppe, group, family, famille, typ de composant, genre, sorte',
  ],
  [
    'marking',
    'part number, part no, part nr, part, partnumber, mpn, p/n, pn, number, type number, typenumber, type no, typ, typennummer, bezeichnung, teilenummer, artikel, artikelnummer, name, device, model, modell, modèle, référence, reference, marked, printed, print, aufdruck, marquage, désignation, item',
  ],
  [
    'values',
    'value, values, val, wert, werte, valeur, valeurs, rating, ratings, spec, specs, specification, description, desc, beschreibung, details, data, daten, parameters, caractéristiques, what, what is it, was, quoi, information, info',
  ],
  [
    'pieces',
    'qty, quantity, quant, amount, count, number of pieces, pcs, pc, stk, stck, stück, stueck, anzahl, menge, bestand, qté, qte, quantité, quantite, nombre, nb, stock, in stock, how many, on hand, left, total, #, n, no, nr',
  ],
  [
    'bin',
    'location, loc, place, where, drawer, box, shelf, storage, container, cabinet, lager, lagerort, lagerplatz, ort, fach, schublade, kiste, schachtel, platz, wo, emplacement, tiroir, boîte, boite, casier, rangement, où, position',
  ],
  [
    'package',
    'case, footprint, housing, body, form, gehäuse, gehaeuse, bauform, boîtier, boitier, format, pkg, outline',
  ],
  ['grade', 'condition, quality, state, zustand, qualität, état, etat, tested, test, ok'],
  [
    'note',
    'notes, comment, comments, remark, remarks, bemerkung, bemerkungen, notiz, kommentar, remarque, remarques, commentaire, source, origin, from, herkunft, provenance, donor, came from, date, age',
  ],
  ['subtype', 'sub type, sub-type, variant, dielectric, dielektrikum, diélectrique, material'],
  ['technology', 'tech'],
  [
    'nothing',
    'id, price, preis, prix, cost, link, url, datasheet, datenblatt, supplier, lieferant, fournisseur, ordered, last changed, photo, bild',
  ],
  ['size', 'size, grösse, größe, taille, frame size'],
];

const plain = (text: string) =>
  text
    .toLowerCase()
    .replace(/[\s\-_.:]+/g, ' ')
    .trim();
const BY_ALIAS: ReadonlyMap<string, ColumnRole> = new Map(
  ALIASES.flatMap(([role, names]) => names.split(', ').map((name) => [plain(name), role] as const)),
);

/** A unit in a heading: `C (µF)`, “Spannung [V]”, “Voltage in V”. */
const HEADED = /^(.*?)\s*(?:[([]\s*([^)\]]+?)\s*[)\]]|(?:\s|^)in\s+(\S+))\s*$/i;
const UNIT_SIGNS: readonly (readonly [RegExp, Unit])[] = [
  [/^[kmµu]?v(?:olts?|dc|ac)?$/i, 'volt'],
  [/^[mµu]?a(?:mps?|mpere)?$/i, 'ampere'],
  [/^m?w(?:atts?)?$/i, 'watt'],
  [/^(?:[kKmM]?(?:Ω|ohms?|ω|r))$/i, 'ohm'],
  [/^[pnuµm]?f(?:arads?)?$/i, 'farad'],
  [/^[nuµm]?h(?:enr(?:y|ies))?$/i, 'henry'],
  [/^°?c(?:elsius)?$/i, 'celsius'],
  [/^[mc]?m$/i, 'metre'],
];

export interface Headed {
  readonly role: ColumnRole | undefined;
  readonly by: 'name' | 'alias';
  /** What stands behind bare figures of the column. */
  readonly unit?: string;
}

/** What the heading of a column says. */
export function roleOfHeading(heading: string): Headed {
  const [, before, bracketed, behind] = HEADED.exec(heading.trim()) ?? [];
  const sign = bracketed ?? behind;
  const unit = sign === undefined ? undefined : UNIT_SIGNS.find(([pattern]) => pattern.test(sign))?.[1];
  const name = plain(unit === undefined ? heading.replace(/\s*[([].*$/, '') : (before ?? ''));
  const shown = unit === undefined ? {} : { unit: sign ?? '' };
  const own = TEXT_COLUMNS.find((column) => column === name);
  if (own) return { role: own, by: 'name' };
  const exact = RATING_NAMES.find((rating) => rating.toLowerCase() === name.replace(/ /g, ''));
  if (exact && !isQuantityName(exact)) return { role: exact, by: 'name', ...shown };
  const alias = BY_ALIAS.get(name);
  const quantity = QUANTITY_WORDS[name.replace(/^(?:max|rated|nominal|nenn) /, '')] ?? (alias ? undefined : unit);
  if (quantity !== undefined && QUANTITIES.includes(quantity))
    return { role: `of ${quantity}`, by: exact ? 'name' : 'alias', ...shown };
  if (alias && !(alias === 'marking' && unit)) return { role: alias, by: 'alias', ...shown };
  const rating = name === '' ? undefined : ratingFromWord(name);
  return rating ? { role: rating, by: 'alias', ...shown } : { role: undefined, by: 'alias', ...shown };
}

/** Names of ratings that stand for whatever the kind has of them. */
const isQuantityName = (name: RatingName) =>
  ['voltage', 'current', 'power', 'resistance', 'capacitance', 'inductance', 'temperature'].includes(name);
