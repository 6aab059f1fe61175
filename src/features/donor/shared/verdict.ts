import type { Judgement, Reason, Verdict } from '../../../core/measure';
import type { TestName } from '../../../core/part';
import { routes } from '../../../routes';

/** What each verdict asks of a person. */
export const VERDICT_MEANING: Readonly<Record<Verdict, string>> = {
  keep: 'As good as new, as far as a meter can tell.',
  limit: 'Usable, with the limit stated below.',
  retest: 'The readings do not settle it.',
  scrap: 'Not to be reused.',
};

const ITEM: Readonly<Record<Reason['severity'], { weight: 'ok' | 'note' | 'check' | 'danger'; word: string }>> = {
  ok: { weight: 'ok', word: 'good' },
  note: { weight: 'note', word: 'limit' },
  warn: { weight: 'check', word: 'weak' },
  reject: { weight: 'danger', word: 'bad' },
  'cannot tell': { weight: 'note', word: 'unclear' },
};

/** The reasons of a judgement as marked lines, the gravest first; the first leads to the rules of its test. */
export function reasonItems({ reasons }: Judgement, test: TestName | undefined) {
  const order: readonly Reason['severity'][] = ['reject', 'cannot tell', 'warn', 'note', 'ok'];
  return [...reasons]
    .sort((a, b) => order.indexOf(a.severity) - order.indexOf(b.severity))
    .map(({ severity, text }, place) => ({
      ...ITEM[severity],
      text,
      ...(test && place === 0 ? { rule: routes.article('tests', test) } : {}),
    }));
}
