import { readdirSync, readFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { FAULT_RULES, findingsOf } from '../core/findings';
import {
  analyse,
  Calibration,
  MOST_PROBES,
  probesAtRandom,
  probesWithAdvice,
  rightWhileTraced,
  TRACED_SHARES,
  type Analysis,
} from '../core/topology';
import { readAnswer, type BoardAnswer } from '../formats/answer';
import { UnusableInput, type CommandLine } from './arguments';
import { boardFrom } from './board';

/** Boards of which the probing is simulated: it asks for an analysis after every answer. */
const PROBED_BOARDS = 12;

/** Scores the engine over a folder of boards with answers. */
export function evaluateFolder({ words: [folder, ...more], options }: CommandLine, note: (text: string) => void) {
  if (folder === undefined || more.length > 0)
    throw new UnusableInput('evaluate: one folder with boards and answers/ is expected.');
  const seed = Number(options.seed ?? 1);
  if (!Number.isInteger(seed)) throw new UnusableInput(`evaluate --seed: “${options.seed}” is no whole number.`);
  const boards = readFolder(folder, note);
  const times: number[] = [];
  const full = { boards: boards.length, stages: 0, roles: 0, bulk: 0, crossing: 0, faults: 0, falseFaults: 0 };
  for (const { board, answer } of boards) {
    const start = performance.now();
    const analysis = analyse(board);
    const findings = findingsOf(analysis.recognition);
    times.push(performance.now() - start);
    const score = scoreFull(analysis, findings, answer);
    for (const key of Object.keys(score) as (keyof typeof score)[]) full[key] += score[key] ? 1 : 0;
  }
  const calibration = new Calibration();
  const known = boards.map(({ board, answer }) => ({ board, truth: answer }));
  const partial = Object.fromEntries(
    (['power', 'random'] as const).map((order) => {
      note(`tracing in ${order} order`);
      const right = known.map((entry, index) => rightWhileTraced(entry, order, seed + index, calibration));
      return [
        order,
        Object.fromEntries(
          TRACED_SHARES.map((share, at) => [`${share}`, shareOf(right.map((row) => row[at] ?? false))]),
        ),
      ];
    }),
  );
  const probed = known.slice(0, PROBED_BOARDS);
  note(`probing ${probed.length} boards`);
  const probes = {
    boards: probed.length,
    most: MOST_PROBES,
    withAdvice: quartiles(probed.map((entry) => probesWithAdvice(entry))),
    without: quartiles(probed.map((entry, index) => probesAtRandom(entry, seed + index))),
  };
  return {
    full,
    partial,
    probes,
    calibration: calibration.table(),
    time: { medianMs: quartiles(times).median, worstMs: Math.max(...times) },
  };
}

function readFolder(folder: string, note: (text: string) => void) {
  let names: string[];
  try {
    names = readdirSync(join(folder, 'answers'))
      .filter((name) => name.endsWith('.json'))
      .toSorted();
  } catch {
    throw new UnusableInput(`evaluate: ${folder} holds no folder answers/ with the right answers.`);
  }
  const read = (path: string) => {
    try {
      return readFileSync(path, 'utf8');
    } catch (error) {
      throw new UnusableInput(`evaluate: ${path} cannot be read (${(error as Error).message}).`);
    }
  };
  return names.map((name) => {
    const path = join(folder, name);
    const answer = readAnswer(read(join(folder, 'answers', name)));
    if (!answer.ok) throw new UnusableInput(`answers/${name}, ${answer.where}: ${answer.expected}.`);
    return { name: basename(name, '.json'), board: boardFrom(read(path), path, note), answer: answer.answer };
  });
}

const same = (a: readonly string[], b: readonly string[]) => a.toSorted().join(' ') === b.toSorted().join(' ');
function scoreFull(analysis: Analysis, findings: ReturnType<typeof findingsOf>, answer: BoardAnswer) {
  const role = ({
    topology,
    switches,
    rectifiers,
    magnetics,
  }: Analysis['stages'][number] | BoardAnswer['stages'][number]) =>
    [topology, ...[switches, rectifiers, magnetics].map((refs) => refs.toSorted().join(','))].join(' ');
  const wanted = new Set(answer.faults.map(({ rule }) => rule));
  return {
    stages: same(
      analysis.stages.map(({ topology }) => topology),
      answer.stages.map(({ topology }) => topology),
    ),
    roles: same(analysis.stages.map(role), answer.stages.map(role)),
    bulk: same(analysis.bulk, answer.bulk),
    crossing: same(analysis.isolation.crossing, answer.isolation.crossing),
    faults: answer.faults.every(({ rule, parts }) =>
      findings.some((finding) => finding.rule === rule && parts.some((ref) => finding.parts.includes(ref))),
    ),
    falseFaults: findings.some(({ rule }) => FAULT_RULES.has(rule) && !wanted.has(rule)),
  };
}

const shareOf = (right: readonly boolean[]) =>
  right.length === 0 ? null : Math.round((1000 * right.filter(Boolean).length) / right.length) / 1000;

function quartiles(values: readonly number[]) {
  const list = values.toSorted((a, b) => a - b);
  const at = (share: number) => list[Math.min(list.length - 1, Math.floor(list.length * share))] ?? null;
  return { lower: at(0.25), median: at(0.5), upper: at(0.75) };
}
