import type { KindName } from '../part';
import type { ChipFamily, ChipPin, ChipRole, Oscillator } from './chip';
import { PIN_NAMES, type PinFunction } from './pinFunctions';

/** What a row of the catalogue states; the rest follows from it. */
export interface ChipRow {
  readonly id: string;
  readonly role: ChipRole;
  readonly kind?: KindName;
  readonly is: string;
  /** Full numbers, parted by blanks. */
  readonly names: string;
  /** Second sources' letters: each is put before the first core. */
  readonly prefixes?: string;
  readonly cores?: string;
  readonly suffixes?: string;
  readonly packages: string;
  /** Pin names in order from pin 1, parted by blanks; `-` is a missing leg, `?` one not remembered. */
  readonly pins?: string;
  /** Functions of pins whose printed name says another thing on this chip. */
  readonly does?: Readonly<Record<number, PinFunction>>;
  readonly legs?: number;
  readonly start?: readonly [start: number, stop: number, most?: number];
  readonly range?: readonly [low: number, high: number];
  readonly duty?: number;
  readonly oscillator?: Oscillator;
  readonly frequency?: number;
  readonly feedback?: number;
  readonly reference?: number;
  readonly topologies?: string;
  readonly tells?: readonly [pin: number, why: string];
  readonly fair?: true;
  /** Pins in cases where they lie otherwise; empty where they are not remembered. */
  readonly cases?: Readonly<Record<string, string>>;
  /**
   * Members that belong to the family and differ in pins, case or data: nothing of the row is lent to them but what they
   * are for. What they state is theirs; without pins, theirs are not remembered.
   */
  readonly unlike?: readonly Unlike[];
}

type Unlike = Pick<ChipRow, 'names'> &
  Partial<
    Pick<
      ChipRow,
      'pins' | 'does' | 'packages' | 'legs' | 'start' | 'duty' | 'frequency' | 'feedback' | 'reference' | 'range' | 'is'
    >
  >;

/** The family of a row and those of its members that differ: pins numbered, names of second sources spelled out. */
export function describe(row: ChipRow): ChipFamily[] {
  return [
    familyOf(row),
    ...(row.unlike ?? []).map((member) => {
      const [id = ''] = member.names.split(' ');
      const { role, kind, topologies, packages, is } = row;
      const count = Math.max(...row.packages.split(', ').map((name) => Number(/\d+$/.exec(name)?.[0] ?? 0)));
      return familyOf({
        role,
        ...(kind ? { kind } : {}),
        ...(topologies === undefined ? {} : { topologies }),
        packages,
        ...(member.pins === undefined ? { legs: count } : {}),
        ...member,
        id,
        is: `${(member.is ?? is).split(',')[0] ?? is}${member.pins === undefined ? `, of the kind of the ${row.id}; its pins are not remembered` : `, like the ${row.id}, with pins or data of its own`}`,
        fair: true,
      });
    }),
  ];
}

function familyOf(row: ChipRow): ChipFamily {
  const words = (text = '') => text.split(' ').filter((word) => word !== '');
  const cores = words(row.cores);
  const pinNames = words(row.pins);
  const numbered = (names: readonly string[]) =>
    names.flatMap((name, index): ChipPin[] =>
      name === '-' || name === '?'
        ? []
        : [{ number: index + 1, name, does: row.does?.[index + 1] ?? PIN_NAMES[name] ?? 'signal' }],
    );
  const pins = numbered(pinNames);
  return {
    id: row.id,
    role: row.role,
    kind: row.kind ?? 'ic',
    function: row.is,
    names: [...words(row.names), ...words(row.prefixes).map((letters) => letters + (cores[0] ?? ''))],
    cores,
    ...(row.suffixes ? { suffixes: row.suffixes } : {}),
    packages: row.packages.split(', '),
    legs: row.legs ?? pinNames.length,
    pins,
    ...(row.cases
      ? {
          otherCases: Object.fromEntries(
            Object.entries(row.cases).map(([name, text]) => [name, numbered(words(text))]),
          ),
        }
      : {}),
    ...(row.start
      ? {
          supply: {
            start: row.start[0],
            stop: row.start[1],
            ...(row.start[2] === undefined ? {} : { most: row.start[2] }),
          },
        }
      : {}),
    ...(row.range ? { range: { low: row.range[0], high: row.range[1] } } : {}),
    ...(row.duty === undefined ? {} : { dutyLimit: row.duty }),
    ...(row.oscillator ? { oscillator: row.oscillator } : {}),
    ...(row.frequency === undefined ? {} : { frequency: row.frequency }),
    ...(row.feedback === undefined ? {} : { feedback: row.feedback }),
    ...(row.reference === undefined ? {} : { reference: row.reference }),
    topologies: words(row.topologies),
    ...(row.tells ? { tells: { pin: row.tells[0], why: row.tells[1] } } : {}),
    memory: row.fair ? 'fair' : 'sure',
  };
}
