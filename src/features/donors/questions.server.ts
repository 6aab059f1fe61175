import 'server-only';
import type { AppContext } from '../../db/context';
import { openIssues, settledIssues } from '../../db/repositories/notes';
import { dayOf } from '../../ui/value/moments';

/** Questions shown, and those that were settled. */
const OPEN = 300;
const SETTLED = 60;

export interface QuestionLine {
  readonly id: string;
  readonly donorCode: string;
  readonly ref: string;
  readonly text: string;
  readonly isClaim: boolean;
  readonly since: string;
  readonly askedOf: string;
  readonly due: string;
  readonly isOverdue: boolean;
  /** What settled it. */
  readonly answer: string;
}

export interface QuestionsView {
  readonly open: readonly QuestionLine[];
  readonly settled: readonly QuestionLine[];
  readonly overdue: number;
}

/** What is asked and claimed over all donors, and what was answered lately. */
export async function questionsView({ db, now }: Pick<AppContext, 'db' | 'now'>): Promise<QuestionsView> {
  const moment = now();
  const [open, settled] = await Promise.all([openIssues(db.read, OPEN, moment), settledIssues(db.read, SETTLED)]);
  const line = (row: (typeof open)[number], answer = ''): QuestionLine => ({
    id: row.id,
    donorCode: row.donorCode,
    ref: row.ref,
    text: row.text,
    isClaim: row.claim,
    since: dayOf(row.createdMs, moment),
    askedOf: row.askedOf,
    due: row.dueMs === null ? '' : dayOf(row.dueMs, moment),
    isOverdue: row.dueMs !== null && row.dueMs < moment && row.answeredMs === null,
    answer,
  });
  const lines = open.map((row) => line(row));
  return {
    open: lines,
    settled: settled.map((row) => line(row, row.last?.because ?? '')),
    overdue: lines.filter(({ isOverdue }) => isOverdue).length,
  };
}
