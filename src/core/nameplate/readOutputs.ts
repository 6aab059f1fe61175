import { practice } from '../evidence';
import { amounts, type Amount } from './amounts';
import type { NameplateOutput } from './plate';

type Draft = { -readonly [K in keyof NameplateOutput]: NameplateOutput[K] };

/** Words that make the voltages of a stretch a list to choose from. */
const CHOICE_WORDS = practice(
  /USB|\bPD(?![a-z])|\bPPS\b|\bQC(?![a-z])|\bPDO\b|quick|fast charge|selectable|switchable|\bor\b/i,
);
const PORT =
  /(?:USB[\s-]*(?:type[\s-]*)?[AC]?\s*\d?|type[\s-]*[AC]\s*\d?|\b[AC][1-4]|port\s*\d)\s*(?:output)?\s*[:.]/gi;

/**
 * The outputs that a stretch of text speaks of. A current or a power belongs to the voltage before
 * it; several voltages before one current share it and are a choice; a slash or “or” between two
 * outputs makes them a choice, as do the words of USB chargers; ± makes two rails.
 */
export function readOutputs(text: string, kind?: 'ac' | 'dc'): NameplateOutput[] {
  const ports = [...text.matchAll(PORT)].map((match) => ({
    at: match.index,
    name: match[0]
      .replace(/output|[:.]/gi, '')
      .replace(/\s+/g, ' ')
      .trim()
      .toUpperCase(),
  }));
  const several = ports.length > 1;
  const outputs: Draft[] = [];
  let open: Draft[] = [];
  let pendingCurrent: number | undefined;
  let previousEnd = 0;
  // Names of sockets carry digits that are no amounts.
  const all = amounts(text.replace(PORT, (found) => ' '.repeat(found.length)));
  let skip = 0;
  for (const [index, amount] of all.entries()) {
    if (skip > 0) {
      skip -= 1;
      previousEnd = amount.end;
      continue;
    }
    const last = outputs.at(-1);
    const settled = last !== undefined && (last.i !== undefined || last.p !== undefined);
    if (amount.unit === 'V') {
      const port = several ? ports.filter(({ at }) => at < amount.at).at(-1)?.name : undefined;
      const between = text.slice(previousEnd, amount.at);
      const choice = last?.port === port && joins(between, settled && !amount.signed) && last !== undefined;
      if (choice) last.alternative = true;
      const fresh = drafts(amount, { choice, pendingCurrent, port, kind });
      if (settled || open.length === 0) open = [];
      open.push(...(pendingCurrent === undefined ? fresh : []));
      outputs.push(...fresh);
      pendingCurrent = undefined;
    } else if (amount.unit === 'A') {
      const row = cellsBelow(all, index, open);
      if (row) {
        // A row of currents under a row of rails: cell by cell.
        open.forEach((output, place) => (output.i = row[place] ?? 0));
        skip = row.length - 1;
        open = [];
      } else if (open.length > 0) {
        giveCurrents(open, amount);
        if (open.every(({ i }) => i !== undefined)) open = [];
      } else if (!last || settled) pendingCurrent = amount.values[0];
    } else if (amount.unit === 'W' && last && last.p === undefined) last.p = amount.values.at(-1) ?? 0;
    previousEnd = amount.end;
  }
  markChoices(outputs, text);
  return outputs;
}

/** Single currents in a row, as many as rails wait for one: the second row of a table. */
function cellsBelow(all: readonly Amount[], from: number, open: readonly Draft[]): number[] | undefined {
  const waiting = open.filter(({ i }) => i === undefined);
  const behind = all.slice(from);
  const end = behind.findIndex(({ unit, values }) => unit !== 'A' || values.length > 1);
  const row = behind.slice(0, end < 0 ? undefined : end).map(({ values }) => values[0] ?? 0);
  return waiting.length > 1 && waiting.length === open.length && row.length === open.length ? row : undefined;
}

/** Whether what stands between two outputs makes them a choice. */
function joins(between: string, settled: boolean): boolean {
  return /\bor\b/i.test(between) || (settled && /^\s*[/|]\s*$/.test(between));
}

function drafts(
  amount: Amount,
  of: { choice: boolean; pendingCurrent: number | undefined; port: string | undefined; kind: 'ac' | 'dc' | undefined },
): Draft[] {
  const isAc = amount.mark === 'ac' || (of.kind === 'ac' && amount.mark === undefined);
  const one = (v: number, more: Draft | object = {}): Draft => ({
    v,
    ...(of.pendingCurrent === undefined ? {} : { i: of.pendingCurrent }),
    ...(of.choice ? { alternative: true as const } : {}),
    ...(amount.standby ? { standby: true as const } : {}),
    ...(isAc ? { ac: true as const } : {}),
    ...(of.port === undefined ? {} : { port: of.port }),
    ...more,
  });
  const [first = 0, ...others] = amount.values;
  if (amount.both) return [one(first), one(-first)];
  if (amount.joined === 'list') return amount.values.map((v) => one(v, { alternative: true as const }));
  return [one(first, others.length > 0 ? { vMax: others.at(-1) } : {})];
}

/** Currents go one to each voltage where the numbers agree; a single one goes to all that wait. */
function giveCurrents(open: Draft[], amount: Amount): void {
  const waiting = open.filter(({ i }) => i === undefined);
  const { values } = amount;
  if (amount.joined === 'list' && values.length === waiting.length)
    waiting.forEach((output, index) => (output.i = values[index] ?? 0));
  else for (const output of waiting) output.i = Math.max(...values);
  const positive = waiting.filter(({ v }) => v > 0);
  if (positive.length > 1) for (const output of positive) output.alternative = true;
}

/** Volts that quick chargers step through; a supply with all of them as rails is not made. */
const LADDER: readonly number[] = practice([5, 9, 12, 15, 20, 28, 36, 48]);
const isLadder = (own: readonly Draft[]) =>
  own.length > 1 &&
  own.some(({ v }) => v === 5) &&
  own.some(({ v }) => v === 9) &&
  own.every(({ v, vMax }) => vMax === undefined && LADDER.includes(v));

/** A USB socket offers its voltages one at a time; a lone output is no choice. */
function markChoices(outputs: readonly Draft[], text: string): void {
  const byPort = new Map<string | undefined, Draft[]>();
  for (const output of outputs) byPort.set(output.port, [...(byPort.get(output.port) ?? []), output]);
  for (const own of byPort.values()) {
    if (own.length === 1) for (const output of own) delete output.alternative;
    else if (CHOICE_WORDS.test(text) || isLadder(own)) for (const output of own) output.alternative = true;
  }
}
