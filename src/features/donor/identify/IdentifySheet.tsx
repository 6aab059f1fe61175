import Link from '../../../ui/frame/Link';
import { EmptyState } from '../../../ui/feedback/EmptyState';
import { Halves } from '../../../ui/frame/Halves';
import { Judgement } from '../../../ui/judgement/Judgement';
import { Caution, Claim, Next, Section } from '../../../ui/judgement/parts';
import { List } from '../../../ui/list/List';
import type { NoteView } from '../shared/notes.server';
import type { IdentifyView } from './view.server';
import { IssueList } from '../shared/IssueList';
import { TakeClear } from './IdentifyForms';
import { PartEntry } from './PartEntry';
import { PartJudgement } from './PartJudgement';
import { routes } from '../../../routes';

/** Identify: the parts log on the left, what one part probably is on the right. */
export function IdentifySheet({
  code,
  view,
  issues,
}: {
  code: string;
  view: IdentifyView;
  /** Open claims and questions of the whole board. */
  issues: readonly NoteView[];
}) {
  const { selected } = view;
  return (
    <Halves
      judgement={
        selected ? (
          <PartJudgement code={code} part={selected} identity={selected.identity} />
        ) : (
          <LogJudgement code={code} view={view} issues={issues} />
        )
      }
    >
      <PartEntry code={code} refs={view.refs} nextRef={view.nextRef} packages={view.packages} />
      {view.rows.length > 0 ? (
        <List label="Parts" columns={view.columns} items={view.rows} />
      ) : (
        <div className="mt-5">
          <EmptyState title="No part is logged yet">
            Read the board out, one part a line: <span className="font-mono">q1 nmos to-220 marked 12N65</span>, or many
            at once: <span className="font-mono">c11..c20 1000u 16V polymer</span>. Type above, or into the bench line,
            where a pasted list is taken line by line.
          </EmptyState>
        </div>
      )}
    </Halves>
  );
}

function LogJudgement({ code, view, issues }: { code: string; view: IdentifyView; issues: readonly NoteView[] }) {
  const [first] = view.unread;
  const [misfit] = view.misfits;
  const left = view.total - view.identified;
  return (
    <Judgement>
      <Claim label="What these parts are">
        {view.total === 0
          ? 'Nothing is logged yet'
          : left === 0
            ? view.total === 1
              ? 'The one part is identified'
              : `All ${view.total} parts are identified`
            : `${left} of ${view.total} parts ${left === 1 ? 'is' : 'are'} left to identify`}
      </Claim>
      {view.misfits.length > 0 && (
        <Section label="They do not fit where they sit">
          <References code={code} refs={view.misfits} />
        </Section>
      )}
      {view.unread.length > 0 && (
        <Section label="Marked, but not read yet">
          <References code={code} refs={view.unread} />
          {view.clear > 0 && <TakeClear code={code} count={view.clear} />}
        </Section>
      )}
      {view.blocks.length > 0 && (
        <Section label="By block">
          <dl className="grid grid-cols-[1fr_auto_auto] gap-x-4">
            {view.blocks.map(({ label, total, left: open }) => (
              <div key={label} className="contents">
                <dt>{label}</dt>
                <dd className="q text-right">{total}</dd>
                <dd className="text-right text-ink-2">{open === 0 ? 'all known' : `${open} to identify`}</dd>
              </div>
            ))}
          </dl>
        </Section>
      )}
      {issues.length > 0 && (
        <Section label="Claimed and asked">
          <IssueList code={code} issues={issues} />
        </Section>
      )}
      <Next>
        {view.total === 0
          ? 'Log the switch on the heat sink first: its marking tells most.'
          : misfit
            ? `Look at ${misfit} again: either its reading or its place is wrong.`
            : first
              ? `Open ${first} and take one of its readings, or type what the datasheet says.`
              : 'Every marking that a rule knows is read. Log the next part, or go and test.'}
      </Next>
      <Caution>
        A reading by a number pattern is a guess with a reason. Check the datasheet before a part carries mains voltage.
      </Caution>
    </Judgement>
  );
}

function References({ code, refs }: { code: string; refs: readonly string[] }) {
  return (
    <ul className="flex flex-wrap gap-x-3 gap-y-1.5">
      {refs.map((ref) => (
        <li key={ref}>
          <Link className="ref" href={routes.station(code, 'identify', { part: ref })}>
            {ref}
          </Link>
        </li>
      ))}
    </ul>
  );
}
