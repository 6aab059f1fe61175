import { kindRule } from '../../part';
import { kindsOfReference } from '../references';
import type { BenchProblem } from '../record';

export function placeOf(line: string, problem: BenchProblem): { start: number; end: number } | undefined {
  const word = 'word' in problem ? problem.word : 'name' in problem ? problem.name : undefined;
  if (!word) return undefined;
  const pattern = new RegExp(`(?:^|[\\s.(])(${word.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')})(?=[\\s,;:.)]|$)`, 'i');
  const match = pattern.exec(line);
  if (!match) return undefined;
  const start = match.index + match[0].length - (match[1]?.length ?? 0);
  return { start, end: start + (match[1]?.length ?? 0) };
}

/** Lines that may have been meant by one that is not understood; the last keeps it as a note. */
export function maybeMeant(line: string, problem: BenchProblem): string[] {
  if (problem.kind === 'empty' && line === '') return [];
  const own =
    problem.kind === 'unclear'
      ? problem.maybe
      : problem.kind === 'no-store'
        ? [`store ${problem.name.toLowerCase()} `]
        : problem.kind === 'no-part' || problem.kind === 'kind-unknown'
          ? kindsOfReference(problem.ref)
              .slice(0, 2)
              .map(([kind]) => `${problem.ref.toLowerCase()} ${kindRule(kind).words[0] ?? kind}`)
          : problem.kind === 'no-pin'
            ? problem.pins
                .slice(0, 2)
                .map((pin) =>
                  line.replace(
                    new RegExp(`(${problem.ref}[.\\s]*(?:pin\\s*)?)${escaped(problem.word)}`, 'i'),
                    `$1${pin}`,
                  ),
                )
            : [];
  return [...new Set(own.filter((one) => one.toLowerCase() !== line.toLowerCase()))]
    .slice(0, 2)
    .concat(/^[#?!]/.test(line) ? [] : [line.endsWith('?') ? `? ${line.slice(0, -1).trimEnd()}` : `# ${line}`]);
}

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
