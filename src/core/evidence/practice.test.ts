import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { FINDING_RULES } from '../findings';
import { MARKING_RULES } from '../marking';
import { SENSE_RULES } from '../sense';
import { PRACTICE } from '.';

/** Figures that rest on common practice alone, by topic: one more is entered here, and one with a source taken off. */
const FIGURES: Readonly<Record<string, number>> = {
  advice: 2,
  benchline: 1,
  board: 2,
  bringup: 12,
  chips: 3,
  combine: 1,
  compare: 3,
  converter: 1,
  derating: 1,
  design: 5,
  diagnose: 42,
  donor: 2,
  evidence: 1,
  findings: 13,
  harvest: 16,
  incircuit: 2,
  isolation: 1,
  magnetics: 7,
  marking: 14,
  measure: 56,
  module: 6,
  nameplate: 5,
  opening: 3,
  part: 1,
  photo: 1,
  safety: 32,
  sense: 4,
  soak: 6,
  stock: 9,
  substitute: 5,
  sums: 6,
  thermal: 7,
  topology: 65,
  traced: 43,
  uncertainty: 3,
  walk: 7,
  waveform: 6,
  whatif: 1,
};

const CORE = join(__dirname, '..');
const sources = (topic: string) =>
  readdirSync(join(CORE, topic), { recursive: true, encoding: 'utf8' })
    .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts') && name !== 'practice.ts')
    .map((name) => readFileSync(join(CORE, topic, name), 'utf8'));

test('every figure that rests on practice alone is known here', () => {
  const counted = readdirSync(CORE)
    .map(
      (topic) =>
        [
          topic,
          sources(topic)
            .join('')
            .match(/\bpractice\(/g)?.length ?? 0,
        ] as const,
    )
    .filter(([, count]) => count > 0);
  expect(Object.fromEntries(counted)).toEqual(FIGURES);
});

test.each([
  ['of markings', MARKING_RULES, 108, 56],
  ['of what fits its place', SENSE_RULES, 13, 5],
  ['of findings', FINDING_RULES, 18, 2],
])(
  'each rule %s names its source, and those that rest on practice alone are counted',
  (_what, rules, all, practised) => {
    const own: readonly { readonly source: string }[] = rules;
    expect(own.filter(({ source }) => source.trim() === '')).toEqual([]);
    expect([own.length, own.filter(({ source }) => source === PRACTICE).length]).toEqual([all, practised]);
  },
);
