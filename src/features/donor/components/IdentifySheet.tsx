import { EmptyState } from '../../../ui/feedback/EmptyState';
import { Halves } from '../../../ui/frame/Halves';
import { Judgement } from '../../../ui/judgement/Judgement';
import { Caution, Claim, Next, Section } from '../../../ui/judgement/parts';
import { DataTable } from '../../../ui/table/DataTable';
import { Facts } from '../../../ui/value/Facts';
import type { PartsView, PartView } from '../views/parts';
import { PartForm, RatingForm, ReadingsForm, StrikePart } from './IdentifyForms';

/** Identify: the parts log on the left, what one part probably is on the right. */
export function IdentifySheet({ code, view }: { code: string; view: PartsView }) {
  return (
    <Halves
      judgement={
        view.selected ? <PartJudgement code={code} part={view.selected} /> : <LogJudgement code={code} view={view} />
      }
    >
      <PartForm code={code} packages={view.packages} />
      {view.rows.length > 0 ? (
        <DataTable label="Parts" columns={view.columns} rows={view.rows} />
      ) : (
        <div className="mt-5">
          <EmptyState title="No part is logged yet">
            Read the board out, one part a line: <span className="font-mono">q1 nmos to-220 marked 12N65</span>. Type
            above, or into the bench line, where a pasted list is taken line by line.
          </EmptyState>
        </div>
      )}
    </Halves>
  );
}

function LogJudgement({ code, view }: { code: string; view: PartsView }) {
  const [first] = view.unread;
  return (
    <Judgement>
      <Claim label="What these parts are">
        {view.total === 0 ? 'Nothing is logged yet' : `${view.identified} of ${view.total} parts are identified`}
      </Claim>
      {view.unread.length > 0 && (
        <Section label="Marked, but not read yet">
          <ul className="flex flex-wrap gap-x-3 gap-y-1.5">
            {view.unread.map((ref) => (
              <li key={ref}>
                <a className="ref" href={`/donors/${code}/identify?part=${ref}`}>
                  {ref}
                </a>
              </li>
            ))}
          </ul>
        </Section>
      )}
      <Next>
        {view.total === 0
          ? 'Log the switch on the heat sink first: its marking tells most.'
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

function PartJudgement({ code, part }: { code: string; part: PartView }) {
  return (
    <Judgement key={part.ref}>
      <div>
        <h2 className="label mb-1">{part.title}</h2>
        <p className="say">{part.marking || 'no marking noted'}</p>
        {part.says && <p className="mt-1 text-[12.5px] text-ink-2">{part.says}</p>}
      </div>
      {part.readings.length > 0 && (
        <Section label="What the marking may mean">
          <ReadingsForm code={code} refName={part.ref} readings={part.readings} />
        </Section>
      )}
      {part.marking !== '' && part.readings.length === 0 && (
        <Section label="What the marking may mean">
          No rule knows it. Type what the datasheet or the board says, or note a question.
        </Section>
      )}
      {part.ratings.length > 0 && (
        <Section label="Ratings">
          <Facts
            rows={part.ratings.map(({ label, value, source, meaning }) => ({
              label,
              value,
              evidence: source,
              title: meaning,
            }))}
          />
        </Section>
      )}
      <Section label="Type a rating">
        <RatingForm code={code} refName={part.ref} choices={part.ratingChoices} />
      </Section>
      {part.history.length > 0 && (
        <Section label="Superseded">
          <ul className="text-[12.5px] text-ink-2">
            {part.history.map(({ label, value, source, when }) => (
              <li key={label + value + when}>
                {label} <span className="q">{value}</span>, {source}, {when}
              </li>
            ))}
          </ul>
        </Section>
      )}
      <div className="mt-auto flex items-center justify-between gap-3">
        <a className="btn" href={`/donors/${code}/test?part=${part.ref}`}>
          Test it
        </a>
        {!part.harvested && <StrikePart code={code} refName={part.ref} />}
      </div>
    </Judgement>
  );
}
