import Link from '../../ui/frame/Link';
import type { ReactNode } from 'react';
import { EmptyState } from '../../ui/feedback/EmptyState';
import { Halves } from '../../ui/frame/Halves';
import { Judgement } from '../../ui/judgement/Judgement';
import { Caution, Claim, Findings, Next, Section } from '../../ui/judgement/parts';
import { GradeMark } from '../../ui/value/marks';
import { LateSteps } from '../../ui/list/LateSteps';
import type { BuildView, NeedView } from './view.server';
import { ActionButton } from '../../ui/feedback/ActionButton';
import { keepTogetherAction } from './actions';
import type { NeedBegun } from './begun';
import { DesignFigure } from './DesignFigures';
import { ControlSection, WindingSection } from './DesignSheet';
import { LossBar } from './DesignParts';
import { NeedForm, PortionForm, DeleteNeed } from './BuildForms';
import { routes } from '../../routes';

/** Columns that a phone folds into the first one. */
const DESK_ONLY = 'max-[620px]:hidden';

/** A build: its needs with what the drawers have on the left, what it waits for on the right. @param kept sums kept with it; `begun` a need that its address begins */
export function BuildSheet({ build, begun, kept }: { build: BuildView; begun?: NeedBegun; kept?: ReactNode }) {
  return (
    <Halves judgement={<BuildJudgement build={build} />}>
      {build.design && <AsDesigned code={build.code} design={build.design} />}
      {build.needs.length === 0 && (
        <EmptyState title="What does it need?">
          One line for each part: what it is for, and what it must be, in the words of the stock search, like{' '}
          <span className="font-mono">nmos &gt;=100V id&gt;=10</span>.
        </EmptyState>
      )}
      <ol className="grid gap-5">
        {build.needs.map((need) => (
          <Need key={need.id} code={build.code} need={need} />
        ))}
      </ol>
      <NeedForm code={build.code} {...(begun ? { begun } : {})} />
      <p className="mt-1 text-[13px]">
        <Link href={routes.bringNeeds(build.code)} className="underline decoration-dotted">
          bring a list of needs in
        </Link>
      </p>
      {kept}
      {build.steps.length > 0 && (
        <div className="mt-5">
          <LateSteps steps={build.steps} />
        </div>
      )}
    </Halves>
  );
}

function Need({ code, need }: { code: string; need: NeedView }) {
  const filled = need.quantity - need.open;
  return (
    <li aria-label={need.role}>
      <div className="flex flex-wrap items-baseline gap-x-3 border-b border-rule-2 pb-1">
        <h2 className="text-[15px] font-semibold">{need.role}</h2>
        <span className="font-mono text-[13px]">{need.filter}</span>
        <span className="ml-auto flex items-baseline gap-3">
          {filled === 0 && <DeleteNeed code={code} needId={need.id} role={need.role} />}
          <span className="q text-[13px]">
            {filled} of {need.quantity}
          </span>
        </span>
        <p className="w-full text-[12px] text-ink-2">{need.message}</p>
      </div>
      {need.allocations.map(({ lot, marking, reserved, used, scrap }) => (
        <div
          key={lot}
          className="grid grid-cols-[84px_1fr_auto] items-center gap-x-3 border-b border-dotted border-rule-2 py-1.5 text-[13px]"
        >
          <Link href={routes.lot(lot)} className="ref justify-self-start">
            {lot}
          </Link>
          <span>
            <span className="font-mono">{marking}</span>{' '}
            {[reserved > 0 ? `${reserved} set aside` : '', used > 0 ? `${used} built in` : '']
              .filter(Boolean)
              .join(', ')}
            {scrap && <strong className="block text-[12.5px] text-stop">Scrap since it was set aside: {scrap}</strong>}
          </span>
          {reserved > 0 && (
            <span className="flex gap-2">
              {!scrap && <PortionForm needId={need.id} lot={lot} step="use" quantity={reserved} />}
              <PortionForm needId={need.id} lot={lot} step="release" quantity={reserved} />
            </span>
          )}
        </div>
      ))}
      {need.matches.length > 0 && (
        <table className="rows plain" aria-label={`Lots for ${need.role}`}>
          <thead>
            <tr>
              <th>lot</th>
              <th className={DESK_ONLY}>marking</th>
              <th className={DESK_ONLY}>grade</th>
              <th className={DESK_ONLY}>bin</th>
              <th data-align="end" className={DESK_ONLY}>
                free
              </th>
              <th>match</th>
              <th data-align="end">margin</th>
              <th />
            </tr>
          </thead>
          <tbody>
            {need.matches.map(({ lot, marking, grade, bin, free, verdict, word, margin, checks }) => (
              <tr key={lot} data-verdict={verdict}>
                <td>
                  <Link href={routes.lot(lot)} className="ref">
                    {lot}
                  </Link>
                  <span className="block text-[11.5px] text-ink-2 min-[621px]:hidden">
                    {marking}, {bin}
                  </span>
                </td>
                <td className={`font-mono whitespace-nowrap ${DESK_ONLY}`}>{marking}</td>
                <td className={DESK_ONLY}>
                  <GradeMark grade={grade} />
                </td>
                <td className={`font-mono whitespace-nowrap ${DESK_ONLY}`}>{bin}</td>
                <td data-align="end" className={`q ${DESK_ONLY}`}>
                  {free}
                </td>
                <td>
                  <span className="font-semibold">{word}</span>
                  <span className="block text-[11.5px] leading-snug text-ink-2">{checks.join('; ')}</span>
                </td>
                <td data-align="end" className="q">
                  {margin}
                </td>
                <td data-align="end">
                  <PortionForm needId={need.id} lot={lot} step="reserve" quantity={Math.min(free, need.open)} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {need.together.length > 0 && <Together code={code} need={need} />}
      {need.open > 0 && need.matches.length === 0 && need.together.length === 0 && (
        <p className="py-1.5 text-[13px] text-ink-2">No free lot fits.</p>
      )}
      {need.likely.length > 0 && (
        <p className="py-1.5 text-[13px]">
          <span className="text-ink-2">Likely in a unit that is not opened yet: </span>
          {need.likely.map(({ donor, title, message }) => (
            <span key={donor} className="mr-3">
              <Link href={routes.donor(donor)} className="ref">
                {donor}
              </Link>{' '}
              {title}, {message}.
            </span>
          ))}
        </p>
      )}
      {need.onBoards.length > 0 && (
        <p className="py-1.5 text-[13px]">
          <span className="text-ink-2">Still on a board: </span>
          {need.onBoards.map(({ donor, ref, message, href }) => (
            <span key={donor + ref} className="mr-3">
              <Link href={href} className="ref">
                {donor} {ref}
              </Link>{' '}
              {message}
            </span>
          ))}
        </p>
      )}
    </li>
  );
}

/** What the build was designed as, with its sheet to print and its deck. */
function AsDesigned({ code, design }: { code: string; design: NonNullable<BuildView['design']> }) {
  return (
    <section aria-label="As designed" className="mb-5">
      <DesignFigure schematic={design.schematic} figures={design.figures} />
      <p className="mt-2 flex flex-wrap gap-x-5 text-[13px]">
        <a href={routes.buildSheet(code)} className="btn" data-tone="next">
          Build sheet (PDF)
        </a>
        <a href={routes.buildDeck(code)} className="self-center underline decoration-dotted">
          deck for a SPICE simulator
        </a>
      </p>
    </section>
  );
}

/** What several lots come to together, with what speaks against it. */
function Together({ code, need }: { code: string; need: NeedView }) {
  return (
    <ul aria-label={`Together for ${need.role}`} className="grid">
      {need.together.map(({ key, lots, way, sum, checks, drawbacks, margin }) => (
        <li
          key={key}
          className="grid grid-cols-[1fr_auto_auto] items-start gap-x-3 border-b border-dotted border-rule-2 py-1.5 text-[13px]"
        >
          <span>
            {lots.map(({ code: lot, count }, place) => (
              <span key={lot}>
                {place > 0 && ' and '}
                {count} ×{' '}
                <Link href={routes.lot(lot)} className="ref">
                  {lot}
                </Link>
              </span>
            ))}{' '}
            <b>{way}</b>: <span className="q">{sum}</span>
            <span className="block text-[11.5px] leading-snug text-ink-2">{checks.join('; ')}</span>
            <span className="block text-[11.5px] leading-snug">△ {drawbacks.join(' ')}</span>
          </span>
          <span className="q">{margin}</span>
          <ActionButton action={keepTogetherAction.bind(null, { code, needId: need.id, key })}>
            Set aside together
          </ActionButton>
        </li>
      ))}
    </ul>
  );
}

function BuildJudgement({ build }: { build: BuildView }) {
  const { line, needs } = build;
  return (
    <Judgement>
      <Claim label="What it waits for" rule={routes.article('derating')}>
        {sentence(line.message)}
      </Claim>
      {build.note && <Section label="Note">{build.note}</Section>}
      {build.design && (
        <>
          <Section label="As designed">
            <p className="font-semibold">{build.design.headline}</p>
            {build.design.hazard !== undefined && <p className="font-semibold text-stop">△ {build.design.hazard}</p>}
            {build.design.shows.map((text) => (
              <p key={text}>{text}</p>
            ))}
          </Section>
          <LossBar losses={build.design.losses} lost={build.design.lost} frequency={build.design.frequency} />
          <ControlSection view={build.design} />
          <WindingSection view={build.design} />
        </>
      )}
      {needs.length > 0 && (
        <Findings
          items={needs.map(({ role, quantity, open, matches, onBoards }) => ({
            weight:
              open === 0
                ? ('ok' as const)
                : matches.some(({ verdict }) => verdict === 'fits')
                  ? ('note' as const)
                  : ('check' as const),
            word: open === 0 ? 'filled' : 'open',
            text:
              open === 0
                ? `${role}: ${quantity} set aside or built in`
                : `${role}: ${open} wanted, ${matches.length > 0 ? `${matches.length} ${matches.length === 1 ? 'lot' : 'lots'} to choose from` : onBoards.length > 0 ? `on the board of ${onBoards[0]?.donor}` : 'nothing in sight'}`,
          }))}
        />
      )}
      <Next>
        {needs.length === 0
          ? 'Write down the first need.'
          : line.ready
            ? 'Take the parts out of their bins and build them in; each step writes the ledger.'
            : 'Set aside the lot with the tightest margin that still fits; the strong ones are kept for stronger needs.'}
      </Next>
      <Caution>
        A margin of 1 means exactly what you wrote into the need: put spikes and heat into it first, or write what it is
        put under, as in <span className="font-mono">nmos for 57V 2.6A</span>, and usual room is kept. Nothing here
        replaces a look at the datasheet.
      </Caution>
    </Judgement>
  );
}

function sentence(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
