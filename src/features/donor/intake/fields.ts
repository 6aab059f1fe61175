import { listDateCodes, type InletName, type PowerBounds, type Size } from '../../../core/nameplate';
import { parseQuantity, typedQuantity, type Unit } from '../../../core/quantity';
import {
  kindFromDescription,
  mayTakeApart,
  type Clearance,
  type OriginName,
  type SymptomName,
  type UnitKindName,
} from '../../../core/unit';
import type { Donor } from '../../../core/donor';
import type { IntakeQuestion } from './present';

/** What the fields of a donor's sheet hold, as a person would type it. */
export type IntakeTexts = Readonly<Record<(typeof FIELDS)[number], string>>;

const FIELDS = [
  'description', 'kind', 'maker', 'model', 'nameplate', 'originKind', 'origin', 'clearance', 'symptomKind', 'symptom',
  'dateCodes', 'length', 'width', 'height', 'mass', 'ambient', 'fuse', 'switch', 'thyristor', 'inlet', 'cable',
  'plug', 'cooling', 'mounting', 'ripple',
] as const; // oxfmt-ignore

/** The sheet of a unit of which nothing is known. */
export const BLANK_TEXTS = Object.fromEntries(FIELDS.map((name) => [name, ''])) as IntakeTexts;

/** What the fields of a donor's sheet begin with. */
export function intakeTexts(donor: Donor): IntakeTexts {
  const typed = (value: number | null, unit: Unit) => (value === null ? '' : typedQuantity(value, unit));
  const { description, kind, maker, model, nameplate, originKind, origin, clearance, symptomKind, symptom } = donor;
  return {
    ...{ description, kind, maker, model, nameplate, originKind, origin, clearance, symptomKind, symptom },
    dateCodes: donor.dateCodes,
    length: typed(donor.lengthM, 'metre'),
    width: typed(donor.widthM, 'metre'),
    height: typed(donor.heightM, 'metre'),
    mass: typed(donor.massKg, 'kilogram'),
    ambient: typed(donor.ambientC, 'celsius'),
    fuse: typed(donor.fuseA, 'ampere'),
    switch: typed(donor.switchA, 'ampere'),
    thyristor: typed(donor.thyristorA, 'ampere'),
    inlet: donor.inlet ?? '',
    plug: donor.fittings.plug ?? '',
    cooling: donor.fittings.cooling ?? '',
    mounting: donor.fittings.mounting ?? '',
    ripple: typed(donor.fittings.ripple ?? null, 'volt'),
    cable: donor.cableM2 === null ? '' : String(Number((donor.cableM2 * 1e6).toPrecision(3))),
  };
}

/** Reads the fields while a person types; what cannot be read yet counts as not said. */
export function readTexts(texts: IntakeTexts): {
  size: Size;
  bounds: PowerBounds;
  symptom: SymptomName | '';
  right: { may: boolean; why: string };
} {
  const value = (text: string, unit: Unit) => {
    const parsed = text.trim() === '' ? undefined : parseQuantity(text, unit);
    return parsed?.ok && parsed.quantity.value > 0 ? parsed.quantity.value : undefined;
  };
  const given = <T extends object>(entries: T) =>
    Object.fromEntries(Object.entries(entries).filter(([, entry]) => entry !== undefined)) as {
      [K in keyof T]?: Exclude<T[K], undefined>;
    };
  return {
    size: given({
      length: value(texts.length, 'metre'),
      width: value(texts.width, 'metre'),
      height: value(texts.height, 'metre'),
      mass: value(texts.mass, 'kilogram'),
    }),
    bounds: given({
      fuse: value(texts.fuse, 'ampere'),
      switch: value(texts.switch, 'ampere'),
      thyristor: value(texts.thyristor, 'ampere'),
      inlet: texts.inlet === '' ? undefined : (texts.inlet as InletName),
      cable: texts.cable === '' ? undefined : Number(texts.cable) * 1e-6,
    }),
    symptom: texts.symptomKind as SymptomName | '',
    right: mayTakeApart({ origin: texts.originKind as OriginName | '', clearance: texts.clearance as Clearance }),
  };
}

/** The kind that is chosen, else the one that the description suggests. */
export function kindOf({ kind, description }: IntakeTexts): UnitKindName {
  return kind === '' ? (kindFromDescription(description) ?? 'other') : (kind as UnitKindName);
}

/** The question that the fields put, with what the board adds to it. */
export function questionOf(
  texts: IntakeTexts,
  more: Pick<IntakeQuestion, 'plate' | 'codes' | 'today'> & { bounds?: PowerBounds },
): IntakeQuestion {
  const { size, bounds } = readTexts(texts);
  return {
    nameplate: texts.nameplate,
    size,
    bounds: { ...more.bounds, ...bounds },
    today: more.today,
    kind: kindOf(texts),
    codes: [...listDateCodes(texts.dateCodes), ...(more.codes ?? [])],
    ...(more.plate ? { plate: more.plate } : {}),
  };
}
