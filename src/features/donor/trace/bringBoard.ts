import { counted } from '../../../core/quantity';
import { splitPin, type Board, type BoardPart } from '../../../core/board';
import { understand } from '../../../core/benchline';
import { SUBTYPES, type KindName, type RatingName } from '../../../core/part';
import type { AppContext } from '../../../db/context';
import { addBoardFact } from '../../../db/repositories/boardFacts';
import type { Edit } from '../../../db/repositories/journal';
import { logPart } from '../../../db/repositories/parts';
import { recordPartRatings } from '../../../db/repositories/ratings';
import { readAnyBoard } from '../../../formats/anyBoard';
import { refuse, run, type Outcome } from '../../../services/command';

/** Subtypes and roles of board files under the names of the parts log. */
const SUBTYPE_NAMES: Readonly<Record<string, string>> = { x: 'x2', y: 'y2', lamp: 'lamp-socket' };

/**
 * Takes a board file, a SPICE netlist or a CSV net list in: its parts are logged, its nets become joins. Parts that
 * are logged already keep what is known of them. One step, which can be undone.
 */
export function bringBoard(app: AppContext, of: { code: string; name: string; content: string }): Promise<Outcome> {
  return run(app, { scope: 'donor', code: of.code, station: 'trace' }, async (edit) => {
    const file = readAnyBoard(of.content);
    if (!file.ok) return refuse('board-unreadable', { name: of.name, where: file.where, expected: file.expected });
    const { board } = file;
    for (const { ref } of board.parts) if (!isLoggable(ref)) return refuse('board-reference', { name: of.name, ref });
    for (const part of board.parts) await bringPart(edit, part);
    const facts = await bringFacts(edit, board);
    return [
      `${counted(board.parts.length, 'part')} and ${counted(facts, 'join or reading', 'joins and readings')} were brought in.`,
      ...file.notes,
    ].join(' ');
  });
}

const isLoggable = (ref: string) => understand(`${ref} resistor`, { parts: [], stores: [] }).ok;

async function bringPart(edit: Edit, { ref, kind, subtype, role, marking, value, fitted }: BoardPart): Promise<void> {
  const name = role ?? subtype;
  const known = name === undefined ? undefined : (SUBTYPE_NAMES[name] ?? name);
  const partId = await logPart(edit, {
    ref: ref.toUpperCase(),
    kind: kind as KindName,
    ...(known !== undefined && SUBTYPES[known] === kind ? { subtype: known } : {}),
    ...(marking === undefined ? {} : { marking }),
    ...(fitted === false ? { fitments: ['unpopulated'] } : {}),
  });
  const volts = subtype === 'zener' ? 'vz' : kind === 'varistor' ? 'vn' : 'voltage';
  const names: Readonly<Record<string, RatingName>> = {
    resistance: kind === 'thermistor' ? 'r25' : 'resistance',
    capacitance: 'capacitance',
    inductance: 'inductance',
    voltage: volts,
    current: 'current',
    power: 'power',
  };
  await recordPartRatings(
    edit,
    partId,
    Object.entries(value ?? {}).flatMap(([key, amount]) => {
      const rating = names[key];
      return rating ? [{ name: rating, value: amount, source: 'decoded' as const }] : [];
    }),
  );
}

async function bringFacts(edit: Edit, board: Board): Promise<number> {
  const upper = (pin: string) => {
    const [ref, name] = splitPin(pin);
    return `${ref.toUpperCase()}.${name}`;
  };
  const nets = new Map<string, string[]>();
  for (const { ref, pins } of board.parts)
    for (const [pin, net] of Object.entries(pins))
      if (net !== null) nets.set(net, [...(nets.get(net) ?? []), `${ref}.${pin}`]);
  const chained = (pins: readonly string[]) => pins.slice(1).map((pin, index) => [pins[index] ?? '', pin] as const);
  const wound = board.parts.flatMap(({ ref, windings = [] }) =>
    windings.flatMap((pins) => chained(pins.map((pin) => `${ref}.${pin}`))),
  );
  const facts = [
    ...[...nets.values()].flatMap(chained).map(([a, b]) => ({ relation: 'joined' as const, a, b })),
    ...(board.joined ?? []).map(([a, b]) => ({ relation: 'joined' as const, a, b })),
    ...(board.separate ?? []).map(([a, b]) => ({ relation: 'separate' as const, a, b })),
    ...(board.unsure ?? []).map(([a, b]) => ({ relation: 'unsure' as const, a, b })),
    ...(board.through ?? []).map(({ a, b, ohms, drop }) => ({ relation: 'through' as const, a, b, ohms, drop })),
    ...wound.map(([a, b]) => ({ relation: 'through' as const, a, b })),
    ...(board.swept ?? []).map((a) => ({ relation: 'swept' as const, a })),
  ];
  for (const fact of facts)
    await addBoardFact(edit, { ...fact, a: upper(fact.a), ...('b' in fact ? { b: upper(fact.b) } : {}) });
  return facts.length;
}
