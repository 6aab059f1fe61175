import { practice } from '../evidence';
import {
  BOARD_KINDS,
  DUAL_DIODE_PINS,
  isBoardKind,
  splitPin,
  type Board,
  type BoardPart,
  type PartValue,
} from '../board';
import { outputPower, supplyOf, type Nameplate } from '../nameplate';
import { packageRule, type RatingName, safetyClassOf } from '../part';
import type { BoardFact } from './fact';
import type { Part } from './part';

/** What of a logged part its place on the traced board rests on. */
export interface LoggedPart {
  readonly part: Pick<Part, 'ref' | 'kind' | 'subtype' | 'package' | 'marking' | 'fitments'>;
  readonly ratings: Readonly<Partial<Record<RatingName, { readonly value: number }>>>;
}

/** What the meter said, without when it did. */
export type ProbedFact = Pick<BoardFact, 'relation' | 'a' | 'b' | 'ohms' | 'dropV'>;

/**
 * The board of a unit from what was logged of it: parts with their pins as far as they are known, what was joined, kept
 * apart, read through and swept, and what a person fixed.
 */
export function boardOf({
  plate,
  parts,
  facts,
}: {
  plate: Nameplate;
  parts: readonly LoggedPart[];
  facts: readonly ProbedFact[];
}): Board {
  const named = new Map<string, Set<string>>();
  const probed = facts.filter(({ relation }) => relation !== 'fixed');
  for (const pin of probed.flatMap(({ a, b }) => [a, b]).filter((name) => name !== '')) {
    const [ref, name] = splitPin(pin);
    named.set(ref, (named.get(ref) ?? new Set()).add(name));
  }
  const windings = windingsFrom(probed);
  const pairs = (relation: BoardFact['relation']) =>
    facts.filter((fact) => fact.relation === relation).map(({ a, b }) => [a, b] as const);
  const supply = supplyOf(plate);
  const outputs = plate.outputs
    .filter(({ v }) => v !== 0)
    .map((output) => {
      const power = outputPower(output);
      const i = output.i ?? (power === undefined ? undefined : power / Math.abs(output.v));
      return { v: output.v, ...(i === undefined ? {} : { i }) };
    });
  return {
    ...(supply || outputs.length > 0
      ? {
          nameplate: {
            ...(supply ? { input: { kind: supply.kind, vMin: supply.vMin, vMax: supply.vMax } } : {}),
            ...(outputs.length > 0 ? { outputs } : {}),
          },
        }
      : {}),
    parts: parts.flatMap((record) =>
      partFrom(record, named.get(record.part.ref) ?? new Set(), windings.get(record.part.ref)),
    ),
    joined: pairs('joined'),
    separate: pairs('separate'),
    through: facts
      .filter(({ relation, a, b }) => relation === 'through' && splitPin(a)[0] !== splitPin(b)[0])
      .map(({ a, b, ohms, dropV }) => ({
        a,
        b,
        ...(ohms === null ? {} : { ohms }),
        ...(dropV === null ? {} : { drop: dropV }),
      })),
    swept: facts.filter(({ relation }) => relation === 'swept').map(({ a }) => a),
    unsure: pairs('unsure'),
    fixed: facts.filter(({ relation }) => relation === 'fixed').map(({ a, b }) => ({ ref: a, as: b })),
  };
}

/** Pins of one part that read through each other are one winding, in the order in which they were read. */
export function windingsFrom(facts: readonly ProbedFact[]): ReadonlyMap<string, readonly (readonly string[])[]> {
  const found = new Map<string, string[][]>();
  for (const { relation, a, b } of facts) {
    const [[ref, first], [other, second]] = [splitPin(a), splitPin(b)];
    if (relation !== 'through' || ref !== other) continue;
    const list = found.get(ref) ?? [];
    found.set(ref, list);
    const winding = list.find((pins) => pins.includes(first) || pins.includes(second));
    if (!winding) list.push([first, second]);
    else if (!winding.includes(second)) winding.splice(winding.indexOf(first) === 0 ? 0 : winding.length, 0, second);
    else if (!winding.includes(first)) winding.splice(winding.indexOf(second) === 0 ? 0 : winding.length, 0, first);
  }
  return found;
}

/** The board format knows X and Y; a part that is both may stand where a Y may. */
function boardSubtype(subtype: string): string {
  const classed = safetyClassOf(subtype);
  return classed ? (classed.y === undefined ? 'x' : 'y') : subtype;
}
const POLARISED: ReadonlySet<string> = new Set(['electrolytic', 'polymer', 'tantalum']);

/** A capacitor of which nobody said how it is made: from so many farads on it is an electrolytic, unless it is a chip. */
const ELECTROLYTIC_FROM = practice(3.3e-6);
const CHIP_CASE = /^\d{4}$/;

const looksElectrolytic = ({ part, ratings }: LoggedPart): boolean =>
  part.kind === 'capacitor' &&
  part.subtype === null &&
  (ratings.capacitance?.value ?? 0) >= ELECTROLYTIC_FROM &&
  !CHIP_CASE.test(part.package ?? '');

function partFrom(
  logged: LoggedPart,
  named: ReadonlySet<string>,
  windings: readonly (readonly string[])[] | undefined,
): readonly BoardPart[] {
  const { part, ratings } = logged;
  if (!isBoardKind(part.kind)) return [];
  const isUnmarked = named.has('1') || named.has('2');
  const subtype = part.subtype
    ? boardSubtype(part.subtype)
    : looksElectrolytic(logged) && !isUnmarked
      ? 'electrolytic'
      : undefined;
  const isConnector = part.kind === 'connector';
  const names = pinsOf(part, subtype, named);
  const volts = ratings.vz?.value ?? ratings.vn?.value ?? ratings.voltage?.value;
  const value: PartValue = {
    ...given('resistance', ratings.resistance?.value ?? ratings.r25?.value),
    ...given('capacitance', ratings.capacitance?.value),
    ...given('inductance', ratings.inductance?.value),
    ...given('voltage', volts),
    ...given('current', ratings.current?.value),
    ...given('power', ratings.power?.value),
  };
  return [
    {
      ref: part.ref,
      kind: part.kind,
      pins: Object.fromEntries(names.map((name) => [name, null])),
      ...(subtype && !isConnector ? { subtype } : {}),
      ...(subtype && isConnector ? { role: subtype === 'lamp-socket' ? 'lamp' : subtype } : {}),
      ...(Object.keys(value).length > 0 ? { value } : {}),
      ...(part.marking ? { marking: part.marking } : {}),
      ...(windings ? { windings } : {}),
      ...(part.fitments.includes('unpopulated') ? { fitted: false as const } : {}),
    },
  ];
}

const given = (name: keyof PartValue, value: number | undefined) => (value === undefined ? {} : { [name]: value });

/** Pins of a part: its kind's, else those of its case, else those that were probed. */
function pinsOf(
  { kind, package: case_ }: LoggedPart['part'],
  subtype: string | undefined,
  named: ReadonlySet<string>,
): readonly string[] {
  if (kind === 'capacitor')
    return named.has('+') || named.has('-') || (!named.has('1') && !named.has('2') && POLARISED.has(subtype ?? ''))
      ? ['+', '-']
      : ['1', '2'];
  if (kind === 'dual-diode')
    return named.has('K1') || named.has('K2')
      ? (DUAL_DIODE_PINS['common-anode'] ?? [])
      : (DUAL_DIODE_PINS[subtype ?? 'common-cathode'] ?? DUAL_DIODE_PINS['common-cathode'] ?? []);
  if (isBoardKind(kind) && BOARD_KINDS[kind].pins.length > 0) return BOARD_KINDS[kind].pins;
  // Direct voltage comes and goes by a plus and a minus, until its pins are named.
  if (kind === 'connector' && (subtype === 'dc-input' || subtype === 'output') && named.size === 0) return ['+', '-'];
  // An inlet has two lines, unless the person gave its pins other names.
  if (kind === 'connector' && subtype === 'mains-inlet' && (named.size === 0 || named.has('L') || named.has('N')))
    return [...new Set(['L', 'N', ...named])];
  const legs = kind === 'ic' && case_ ? (packageRule(case_)?.legs ?? 0) : 0;
  const numbered = Array.from({ length: legs }, (_, index) => `${index + 1}`);
  return [...new Set([...numbered, ...named])];
}
