import Link from '../../ui/frame/Link';
import { Judgement } from '../../ui/judgement/Judgement';
import { Caution, Claim, Next, Section } from '../../ui/judgement/parts';
import { routes } from '../../routes';

export interface MainsLessonProps {
  readonly asked: string;
  readonly stages: readonly {
    readonly id: string;
    readonly name: string;
    readonly why: string;
    /** Its circuit, to turn and to break. */
    readonly href: string;
    readonly figures: readonly { readonly name: string; readonly value: string }[];
  }[];
  readonly barrier: readonly { readonly name: string; readonly value: string; readonly source: string }[];
  readonly core: string | undefined;
  readonly whole: {
    readonly href: string;
    readonly rows: readonly {
      readonly key: string;
      readonly code: string;
      readonly href: string;
      readonly title: string;
      readonly verdict: string;
    }[];
  };
}

/** Stage by stage what the parts of a supply from the mains must stand. */
export function MainsStages({ stages, core }: Pick<MainsLessonProps, 'stages' | 'core'>) {
  return (
    <ol aria-label="Stages from the mains to the output" className="mt-4">
      {stages.map(({ id, name, why, href, figures }) => (
        <li key={id} className="border-t border-rule-2 py-2.5">
          <p>
            <b>{name}</b>{' '}
            <Link href={href} className="text-[12.5px] underline decoration-dotted">
              turn its values
            </Link>
            <span className="block text-[12.5px] text-ink-2">{why}</span>
          </p>
          <dl className="mt-1.5 grid grid-cols-2 gap-x-6 text-[13px] max-[620px]:grid-cols-1">
            {figures.map((figure) => (
              <div key={figure.name} className="flex justify-between border-b border-dotted border-rule-2">
                <dt>{figure.name}</dt>
                <dd className="q">{figure.value}</dd>
              </div>
            ))}
          </dl>
        </li>
      ))}
      {core !== undefined && (
        <li className="border-t border-rule-2 py-2.5 text-[12.5px] text-ink-2">
          A transformer for such a power is often a {core} or larger.
        </li>
      )}
    </ol>
  );
}

/** What is thought of a supply from the mains: a whole one is reused; what lies between it and a hand. */
export function MainsThought({ asked, barrier, whole }: MainsLessonProps) {
  const [first] = whole.rows;
  return (
    <Judgement>
      <Claim label={`From the mains: ${asked}`} tone="stop">
        Do not build this: reuse a whole supply. Its stages are shown to learn from, and to repair one by.
      </Claim>
      <Next
        actions={
          <Link href={whole.href} className="btn" data-tone="next">
            Whole supplies for it
          </Link>
        }
      >
        {first
          ? `${whole.rows.length === 1 ? 'One of the shop does' : `${whole.rows.length} of the shop do`} it: ${first.title} first.`
          : 'None of the shop does it yet: log whole supplies as they come in, or buy one with its approvals.'}
      </Next>
      {whole.rows.length > 0 && (
        <Section label="In the shop">
          {whole.rows.map(({ key, code, href, title, verdict }) => (
            <p key={key}>
              <Link href={href} className="ref">
                {code}
              </Link>{' '}
              {title} <span className="text-[12.5px] text-ink-2">{verdict}</span>
            </p>
          ))}
        </Section>
      )}
      <Section label="Between the mains and a hand">
        <dl>
          {barrier.map(({ name, value, source }) => (
            <div key={name} className="border-b border-dotted border-rule-2 py-1">
              <dt className="text-[12.5px] text-ink-2">{name}</dt>
              <dd>
                {value} <span className="block text-[11.5px] text-ink-2">{source}</span>
              </dd>
            </div>
          ))}
        </dl>
      </Section>
      <Section label="With one that is broken">
        <Link href={routes.donors()} className="underline decoration-dotted">
          open its donor: Repair names the part, what its place asks, and the first power-up
        </Link>
      </Section>
      <Caution>
        A supply of your own on the mains can kill years later, through a barrier that nobody tested. Distances, test
        voltage and class are those of its standard; local codes and licensed people apply. These figures are how such
        supplies are usually made, not a design.
      </Caution>
    </Judgement>
  );
}
