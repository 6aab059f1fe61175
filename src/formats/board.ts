import { z } from 'zod';
import { BOARD_FORMAT, BOARD_KINDS, splitPin, type Board, type BoardKind, type BoardPart } from '../core/board';

/** A board read from a file, with what was set aside; or what keeps it from being read, and where. */
export type BoardFile =
  | { readonly ok: true; readonly board: Board; readonly notes: readonly string[] }
  | { readonly ok: false; readonly where: string; readonly expected: string };

const KINDS = Object.keys(BOARD_KINDS) as [BoardKind, ...BoardKind[]];

const text = z.string().trim().min(1);
const amount = z.number().finite();
const pair = z.tuple([text, text]);
const optional = <T extends z.ZodType>(type: T) => type.nullish().transform((value) => value ?? undefined);

const PART = {
  ref: text,
  kind: z.enum(KINDS),
  subtype: optional(text),
  role: optional(text),
  pins: z.record(text, z.string().nullable()),
  value: optional(z.record(z.string(), z.unknown())),
  marking: optional(z.string()),
  pinNames: optional(z.record(z.string(), z.string())),
  windings: optional(z.array(z.array(text).min(1))),
  dots: optional(z.array(text)),
  fitted: optional(z.boolean()),
};
const NAMEPLATE = z.object({
  input: optional(z.object({ kind: z.enum(['ac', 'dc']), vMin: optional(amount), vMax: optional(amount) })),
  outputs: optional(z.array(z.object({ v: amount, i: optional(amount) }))),
});
const BOARD = {
  format: z.literal(BOARD_FORMAT),
  title: optional(z.string()),
  nameplate: optional(NAMEPLATE),
  parts: z.array(z.object(PART)),
  joined: optional(z.array(pair)),
  separate: optional(z.array(pair)),
  through: optional(z.array(z.object({ a: text, b: text, ohms: optional(amount), drop: optional(amount) }))),
  swept: optional(z.array(text)),
  unsure: optional(z.array(pair)),
  complete: optional(z.boolean()),
  notes: optional(z.array(z.string())),
  fixed: optional(z.array(z.object({ ref: text, as: text }))),
};
const SCHEMA = z.object(BOARD);

/**
 * Reads a `zorvek.board/1` file. Fields the format does not know are set aside and named; a reference given twice, an
 * unknown kind, or a pin that no part has is an error with its place.
 */
export function readBoard(content: string): BoardFile {
  let json: unknown;
  try {
    json = JSON.parse(content);
  } catch (error) {
    return { ok: false, where: 'the file', expected: `JSON is expected (${(error as Error).message})` };
  }
  const parsed = SCHEMA.safeParse(json);
  if (!parsed.success) {
    const [issue] = parsed.error.issues;
    return { ok: false, where: placeOf(issue?.path ?? [], json), expected: issue?.message ?? 'a board is expected' };
  }
  const { format: _, ...data } = parsed.data;
  const refs = new Set<string>();
  for (const [index, { ref }] of data.parts.entries()) {
    if (ref.includes('.'))
      return {
        ok: false,
        where: `parts[${index}].ref`,
        expected: `“${ref}” holds a dot; a reference such as Q1 is expected`,
      };
    if (refs.has(ref))
      return {
        ok: false,
        where: `parts[${index}].ref`,
        expected: `“${ref}” is given twice; every reference may stand once`,
      };
    refs.add(ref);
  }
  const parts = data.parts.map(partFrom);
  const byRef = new Map(parts.map((part) => [part.ref, part]));
  const isPin = (pin: string) => {
    const [ref, name] = splitPin(pin);
    return name in (byRef.get(ref)?.pins ?? {});
  };
  for (const list of ['joined', 'separate', 'unsure'] as const)
    for (const [index, pins] of (data[list] ?? []).entries())
      for (const pin of pins)
        if (!isPin(pin))
          return {
            ok: false,
            where: `${list}[${index}]`,
            expected: `“${pin}” is no pin of a part on this board; one such as Q1.D is expected`,
          };
  for (const [index, part] of parts.entries())
    for (const winding of part.windings ?? [])
      for (const pin of winding)
        if (!(pin in part.pins))
          return {
            ok: false,
            where: `parts[${index}].windings`,
            expected: `“${pin}” is no pin of ${part.ref}; one of ${Object.keys(part.pins).join(', ')} is expected`,
          };
  return {
    ok: true,
    board: dropUndefined({
      ...data,
      parts,
      nameplate: data.nameplate ? dropUndefined(data.nameplate) : undefined,
    }) as Board,
    notes: unknownFields(json),
  };
}

/** Writes a board as a `zorvek.board/1` file: one part to a line, so that two versions can be compared. */
export function writeBoard(board: Board): string {
  const { parts, ...rest } = board;
  const head = JSON.stringify({ format: BOARD_FORMAT, ...rest });
  const lines = parts.map((part) => `    ${JSON.stringify(part)}`).join(',\n');
  return `${head.slice(0, -1)},\n  "parts": [\n${lines}\n  ]\n}\n`;
}

function partFrom(part: z.infer<typeof SCHEMA>['parts'][number]): BoardPart {
  const names = BOARD_KINDS[part.kind].pins;
  const isPolarised = part.kind === 'capacitor' && ('+' in part.pins || '-' in part.pins);
  const missing = Object.fromEntries(
    (isPolarised ? ['+', '-'] : names).filter((pin) => !(pin in part.pins)).map((pin) => [pin, null]),
  );
  const value = part.value
    ? Object.fromEntries(
        Object.entries(part.value).filter(([, amount]) => typeof amount === 'number' && Number.isFinite(amount)),
      )
    : undefined;
  return dropUndefined({
    ...part,
    pins: { ...part.pins, ...missing },
    value,
    fitted: part.fitted === false ? false : undefined,
  }) as BoardPart;
}

const dropUndefined = (record: object) =>
  Object.fromEntries(Object.entries(record).filter(([, value]) => value !== undefined));

/** The place of a problem as a person finds it: the part's reference stands beside its number. */
function placeOf(path: readonly PropertyKey[], json: unknown): string {
  if (path.length === 0) return 'the file';
  const spelled = path
    .map((step) => (typeof step === 'number' ? `[${step}]` : `.${String(step)}`))
    .join('')
    .replace(/^\./, '');
  if (path[0] !== 'parts' || typeof path[1] !== 'number') return spelled;
  const ref = (json as { parts?: { ref?: unknown }[] }).parts?.[path[1]]?.ref;
  return typeof ref === 'string' ? `${spelled} (${ref})` : spelled;
}

function unknownFields(json: unknown): readonly string[] {
  const { parts = [], ...top } = json as { parts?: object[] };
  const fields = new Set(Object.keys(top).filter((key) => !(key in BOARD)));
  for (const part of parts) for (const key of Object.keys(part)) if (!(key in PART)) fields.add(`parts[].${key}`);
  return [...fields].map((field) => `the field ${field} is not part of ${BOARD_FORMAT} and was set aside`);
}
