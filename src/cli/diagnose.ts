import { z } from 'zod';
import {
  CHECK_TESTS,
  diagnose,
  SYMPTOMS,
  type CheckTest,
  type Complaint,
  type Seen,
  type Symptom,
} from '../core/diagnose';
import { UnusableInput, type CommandLine } from './arguments';
import { boardFrom, contentOf } from './board';

const symptoms = Object.keys(SYMPTOMS) as [Symptom, ...Symptom[]];
const observation = z.object({
  ref: z.string().optional(),
  rail: z.string().optional(),
  test: z.string().nullish(),
  pins: z.array(z.string()).optional(),
  value: z.number().optional(),
  volts: z.number().optional(),
  condition: z.string().optional(),
  text: z.string().optional(),
});
const caseSchema = z.object({
  unit: z.object({ kind: z.string().optional(), power: z.number().optional() }).optional(),
  board: z.unknown().optional(),
  topologies: z.array(z.string()).optional(),
  symptom: z.enum(symptoms),
  observations: z.array(observation).default([]),
});

const isTest = (text: string | null | undefined): text is CheckTest => CHECK_TESTS.some((one) => one === text);

/** Likely causes of a unit’s complaint, and the checks that would tell most. */
export function diagnoseFile(line: CommandLine, note: (text: string) => void) {
  const { name, content } = contentOf(line, 'diagnose');
  let json: unknown;
  try {
    json = JSON.parse(content);
  } catch {
    throw new UnusableInput(`diagnose: ${name}: JSON is expected.`);
  }
  const read = caseSchema.safeParse(json);
  if (!read.success) {
    const [issue] = read.error.issues;
    throw new UnusableInput(
      `diagnose: ${name}, ${issue?.path.join('.') || 'its top'}: ${issue?.message ?? 'unusable'}.`,
    );
  }
  const { unit, board, topologies, symptom, observations } = read.data;
  const complaint = {
    symptom,
    ...(unit ? { unit } : {}),
    ...(topologies ? { topologies } : {}),
    ...(board === undefined ? {} : { board: boardFrom(JSON.stringify(board), `${name}, board`, note) }),
    // A test that is not known here is left out; what was told of it still counts.
    observations: observations.map(({ test, ...seen }) => ({ ...seen, ...(isTest(test) ? { test } : {}) }) as Seen),
  } as Complaint;
  const { causes, next } = diagnose(complaint);
  return {
    causes: causes.map((cause) => ({ ...cause, probability: Number(cause.probability.toFixed(4)) })),
    next,
  };
}
