import { z } from 'zod';

const refs = z.array(z.string());
const ANSWER = z.object({
  stages: z.array(
    z.object({
      topology: z.string(),
      switches: refs.default([]),
      rectifiers: refs.default([]),
      magnetics: refs.default([]),
    }),
  ),
  bulk: refs.default([]),
  isolation: z.object({ isolated: z.boolean().default(false), crossing: refs.default([]) }),
  faults: z.array(z.object({ rule: z.string(), parts: refs })).default([]),
});

/** The right answer of a reference board. */
export type BoardAnswer = z.infer<typeof ANSWER>;

export function readAnswer(
  content: string,
):
  | { readonly ok: true; readonly answer: BoardAnswer }
  | { readonly ok: false; readonly where: string; readonly expected: string } {
  let json: unknown;
  try {
    json = JSON.parse(content);
  } catch (error) {
    return { ok: false, where: 'the file', expected: `JSON is expected (${(error as Error).message})` };
  }
  const parsed = ANSWER.safeParse(json);
  if (parsed.success) return { ok: true, answer: parsed.data };
  const [issue] = parsed.error.issues;
  return { ok: false, where: issue?.path.join('.') || 'the file', expected: issue?.message ?? 'an answer is expected' };
}
