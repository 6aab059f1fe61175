import { z } from 'zod';
import { databaseUrl, openContext, type AppContext } from './context';

const shared = globalThis as { zorvekContext?: AppContext };

/** The context of this server process, opened at first use: building the pages must not open a file. */
export function appContext(): AppContext {
  shared.zorvekContext ??= openContext(databaseUrl(), process.env.ZORVEK_DATABASE_TOKEN);
  return shared.zorvekContext;
}

const seen = z.object({
  readMs: z.coerce.number().int().nonnegative(),
  own: z.array(z.string().max(64)).max(100),
  answers: z.array(z.tuple([z.string().max(200), z.string().max(600)])).max(100),
});

/** The context for a form that changes what stands: with what the form knew of it (`ui/form/seen.ts` names the fields). */
export function contextFor(data: FormData): AppContext {
  const texts = [...data].flatMap(([name, value]) => (typeof value === 'string' ? [[name, value] as const] : []));
  const found = seen.safeParse({
    readMs: texts.find(([name]) => name === '~read')?.[1],
    own: texts.flatMap(([name, value]) => (name === '~own' ? [value] : [])),
    answers: texts.flatMap(([name, value]) =>
      name.startsWith('~answer.') ? [[name.slice('~answer.'.length), value]] : [],
    ),
  });
  if (!found.success) return appContext();
  const { readMs, own, answers } = found.data;
  return { ...appContext(), form: { readMs, own, answers: new Map(answers) } };
}
