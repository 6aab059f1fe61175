import Link from '../../ui/frame/Link';
import { ActionButton } from '../../ui/feedback/ActionButton';
import { EmptyState } from '../../ui/feedback/EmptyState';
import { Halves } from '../../ui/frame/Halves';
import { Judgement } from '../../ui/judgement/Judgement';
import { Caution, Claim, Next, Section } from '../../ui/judgement/parts';
import { routes } from '../../routes';
import { keepDesignAction } from './actions';
import type { DesignQuery } from './design.server';
import { DesignFigure, DesignWaves } from './DesignFigures';
import { DesignParts, LossBar } from './DesignParts';
import type { DesignView } from './designView.server';
import { Searching } from './Searching';
import { MainsStages, MainsThought, type MainsLessonProps } from './MainsLesson';

const FIELDS: readonly { readonly name: keyof DesignQuery; readonly label: string; readonly placeholder: string }[] = [
  { name: 'from', label: 'input from', placeholder: '22V' },
  { name: 'to', label: 'to', placeholder: '26V' },
  { name: 'out', label: 'output', placeholder: '48V' },
  { name: 'amps', label: 'at', placeholder: '1A' },
  { name: 'ripple', label: 'ripple at most', placeholder: '1 % of it' },
  { name: 'ambient', label: 'air around it', placeholder: '40C' },
];

const WISHES = [
  { wish: '', label: 'efficient' },
  { wish: 'small', label: 'small' },
  { wish: 'quiet', label: 'quiet' },
] as const;

/** Another design of the same query, in a line. */
export interface OtherDesign {
  readonly id: string;
  readonly title: string;
  readonly efficiency: string;
  readonly message: string;
}

export interface DesignSheetProps {
  readonly query: DesignQuery;
  readonly problem: string | undefined;
  readonly chosen:
    | { readonly id: string; readonly view: DesignView; readonly missing: readonly MissingPart[] }
    | undefined;
  /** Where its input is the mains. */
  readonly mains: MainsLessonProps | undefined;
  readonly others: readonly OtherDesign[];
  readonly searched: number;
}

/** What is not in the drawers, with what to buy it by and which unopened unit likely holds one. */
export interface MissingPart {
  readonly refs: string;
  readonly buy: string;
  readonly likely: readonly { readonly donor: string; readonly message: string }[];
}

/** A converter out of the drawers: what is asked and the best of it on the left, what is thought of it on the right. */
export function DesignSheet({ query, problem, chosen, mains, others, searched }: DesignSheetProps) {
  return (
    <Halves judgement={mains ? <MainsThought {...mains} /> : <Thought query={query} chosen={chosen} others={others} />}>
      <DesignForm query={query} />
      {problem !== undefined && (
        <p role="alert" className="mt-3 text-[13.5px] font-semibold text-stop">
          {problem}
        </p>
      )}
      {mains && <MainsStages stages={mains.stages} core={mains.core} />}
      {problem === undefined && !chosen && !mains && (
        <EmptyState title="What is it to feed?">
          Volts in, volts out and amperes. Every fitting lot is weighed for every role, at every frequency.
        </EmptyState>
      )}
      {chosen && (
        <>
          <DesignFigure schematic={chosen.view.schematic} figures={chosen.view.figures} />
          <DesignParts rows={chosen.view.rows} />
          <p className="mt-2 text-[12.5px] text-ink-2">
            {searched.toLocaleString('en')} combinations weighed; the best that differ in their circuit or choke.
          </p>
          {chosen.view.answer && <DesignWaves answer={chosen.view.answer} />}
        </>
      )}
    </Halves>
  );
}

/** What a design is asked by. */
function DesignForm({ query }: { query: DesignQuery }) {
  return (
    <form method="get" aria-label="What is wanted" className="flex flex-wrap items-end gap-3">
      {FIELDS.map(({ name, label, placeholder }) => (
        <label key={name} className="field w-[98px]" data-mono="">
          <span className="text-[12px] text-ink-2">{label}</span>
          <input name={name} defaultValue={query[name]} placeholder={placeholder} autoComplete="off" />
        </label>
      ))}
      <label className="field w-[104px]">
        <span className="text-[12px] text-ink-2">most of all</span>
        <select name="wish" defaultValue={query.wish}>
          {WISHES.map(({ wish, label }) => (
            <option key={wish} value={wish}>
              {label}
            </option>
          ))}
        </select>
      </label>
      <label className="mb-2.5 flex items-center gap-2 text-[13px]">
        <input type="checkbox" name="isolated" value="yes" defaultChecked={query.isolated !== ''} /> floating
      </label>
      <button type="submit" className="btn" data-tone="next">
        Look for designs
      </button>
    </form>
  );
}

/** The sheet while the drawers are weighed, with what was typed. */
export function DesignSearching({ query }: { query: DesignQuery }) {
  return (
    <Halves
      judgement={
        <Judgement>
          <Claim label="Designs">The drawers are being weighed</Claim>
        </Judgement>
      }
    >
      <DesignForm query={query} />
      <Searching />
    </Halves>
  );
}

function Thought({ query, chosen, others }: Pick<DesignSheetProps, 'query' | 'chosen' | 'others'>) {
  if (!chosen)
    return (
      <Judgement>
        <Claim label="Design from stock">Nothing is asked yet</Claim>
        <Cautions />
      </Judgement>
    );
  const { id, view, missing } = chosen;
  const there = view.rows.filter(({ lot }) => lot !== undefined).length;
  return (
    <Judgement>
      <Claim label={`Best of what is here: ${view.asked}`} rule={routes.article('derating')}>
        {view.headline}
      </Claim>
      {view.hazard !== undefined && <p className="font-semibold text-stop">△ {view.hazard}</p>}
      <LossBar losses={view.losses} lost={view.lost} frequency={view.frequency} />
      <Next
        actions={
          <ActionButton action={keepDesignAction.bind(null, query, id)} tone="next">
            Reserve all, as a build
          </ActionButton>
        }
      >
        {missing.length === 0
          ? `Take ${there} lots now: all its power parts are in the drawers.`
          : `Take ${there} lots now; ${missing.map(({ refs }) => refs).join(' and ')} must be found.`}
      </Next>
      {missing.length > 0 && (
        <Section label="What is missing, and where it may be">
          {missing.map(({ refs, buy, likely }) => (
            <p key={refs}>
              <b className="font-mono">{refs}</b> {buy}.{' '}
              {likely.map(({ donor, message }) => (
                <span key={donor}>
                  <Link href={routes.donor(donor)} className="ref">
                    {donor}
                  </Link>
                  , not opened yet: {message}.{' '}
                </span>
              ))}
            </p>
          ))}
        </Section>
      )}
      <Section label="As it runs">
        {view.shows.map((text) => (
          <p key={text}>{text}</p>
        ))}
      </Section>
      <ControlSection view={view} />
      <WindingSection view={view} />
      <Section label="Work out further">
        {view.further.map(({ label, href }) => (
          <Link key={label} href={href} className="mr-4 underline decoration-dotted">
            {label}
          </Link>
        ))}
      </Section>
      {others.length > 0 && (
        <Section label="Other ways">
          {others.map(({ id: other, title, efficiency, message }) => (
            <p key={other} className="border-t border-rule-2 py-1.5">
              <Link
                href={routes.design({ ...query, pick: other })}
                className="font-semibold underline decoration-dotted"
              >
                {title}
              </Link>{' '}
              <span className="q float-right">{efficiency}</span>
              <span className="block text-[12.5px] text-ink-2">{message}</span>
            </p>
          ))}
        </Section>
      )}
      <Cautions />
    </Judgement>
  );
}

/** What commands a design, with the small parts around it. */
export function ControlSection({ view: { control, loop } }: { view: DesignView }) {
  return (
    <Section label="Controller, and the parts around it">
      {control ? (
        <>
          <p>
            {control.title}
            {control.lot !== undefined && (
              <>
                {' '}
                <Link href={routes.lot(control.lot)} className="ref">
                  {control.lot}
                </Link>
              </>
            )}
          </p>
          <ul>
            {control.outer.map(({ name, value, why }) => (
              <li key={name} title={why} className="flex justify-between border-b border-dotted border-rule-2">
                {name} <span className="q">{value}</span>
              </li>
            ))}
          </ul>
          {loop !== undefined && <p className="mt-1 text-[12.5px]">{loop}</p>}
          <p className="mt-1 text-[12.5px] text-ink-2">{control.notes.join('; ')}.</p>
        </>
      ) : (
        'None that is known serves this circuit at these volts: choose one by its datasheet.'
      )}
    </Section>
  );
}

/** How a core of the drawers is wound for a design. */
export function WindingSection({ view: { winding } }: { view: DesignView }) {
  if (winding.length === 0) return null;
  return (
    <Section label="Winding sheet">
      <dl className="grid grid-cols-[auto_1fr] gap-x-3">
        {winding.map(({ name, value }) => (
          <div key={name} className="contents">
            <dt className="text-ink-2">{name}</dt>
            <dd className="border-b border-dotted border-rule-2">{value}</dd>
          </div>
        ))}
      </dl>
    </Section>
  );
}

function Cautions() {
  return (
    <Caution>
      Worked out, not built: equations of textbooks, derating and heat by common practice; losses in cores that were not
      wound here are left out; a snubber starts from usual strays and is settled by the ring that is seen. Below 60 V DC
      only. For anything that must be isolated from the mains reuse a whole supply: a transformer of your own needs
      creepage, test voltage and class as its standard says, and local codes and licensed people apply.
    </Caution>
  );
}
