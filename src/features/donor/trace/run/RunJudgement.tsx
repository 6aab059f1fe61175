import Link from '../../../../ui/frame/Link';
import { strained } from '../../../../core/traced';
import { routes } from '../../../../routes';
import { ProgressLine } from '../../../../ui/feedback/ProgressLine';
import { Judgement } from '../../../../ui/judgement/Judgement';
import { Caution, Claim, Section } from '../../../../ui/judgement/parts';
import { WeightMark } from '../../../../ui/value/marks';
import { headline, restsOn, stageWords, worthMeasuring } from './present';
import type { BoardRunning, Hunt } from './useBoardRun';

/** Whether the board does as its plate says, what does not agree and which part may account for it, and on what that rests. */
export function RunJudgement({ code, running }: { code: string; running: BoardRunning }) {
  const { run, isRunning, problem, hunt, look, stop, again } = running;
  const measure = run ? worthMeasuring(run.used) : [];
  const over = run ? strained(run) : [];
  return (
    <Judgement label="As traced">
      <div aria-live="polite">
        <Claim label="As traced">{run && !isRunning ? headline(run) : isRunning ? 'Running it' : 'Not run'}</Claim>
        {isRunning && (
          <p className="mt-1 text-[13px] text-ink-2">
            The control is turned until the output is held.{' '}
            <button type="button" className="underline" onClick={stop}>
              stop
            </button>
          </p>
        )}
        {problem && (
          <p className="mt-1 text-[13px] text-stop" role="alert">
            {problem}{' '}
            <button type="button" className="underline" onClick={again}>
              run it again
            </button>
          </p>
        )}
      </div>
      {run && run.disagreements.length > 0 && (
        <section aria-label="What does not agree">
          <h2 className="label mb-1">What does not agree</h2>
          <ul className="border-t border-rule">
            {run.disagreements.map(({ kind, text, at, stage }) => (
              <li key={`${kind} ${at}`} className="border-b border-rule py-1.5 text-[13px] leading-snug">
                <WeightMark
                  weight={kind === 'rating' ? 'danger' : 'check'}
                  word={kind === 'rating' ? 'over' : 'differs'}
                />{' '}
                {text}{' '}
                {!isRunning && (!hunt || hunt.isOver) && (
                  <button type="button" className="underline" onClick={() => look(stage)}>
                    which part may it be?
                  </button>
                )}
              </li>
            ))}
          </ul>
          {hunt && <HuntView hunt={hunt} onStop={stop} />}
        </section>
      )}
      {over.length > 0 && (
        <Section label="Somewhat over their ratings">
          <span className="ref">{over.join(' ')}</span>
          <span className="text-ink-2">: so little that a typical value may account for it</span>
        </Section>
      )}
      {run && run.stages.length === 0 && run.notRun.length === 0 && !isRunning && (
        <p className="text-[13.5px]">
          No stage is traced whole yet: its switch, its transformer or choke, its rectifier and both ends of what feeds
          it must be joined. Trace names the probe that tells most.
        </p>
      )}
      {run && run.notRun.length > 0 && (
        <Section label="Not run">
          <ul>
            {run.notRun.map(({ topology, why }) => (
              <li key={`${topology} ${why}`}>
                {stageWords(topology)}: {why}.
              </li>
            ))}
          </ul>
        </Section>
      )}
      {measure.length > 0 && (
        <Section label="Measure first">
          <ul>
            {measure.map(({ ref, label, how }) => (
              <li key={`${ref} ${label}`}>
                <span className="ref">{ref}</span> {label}
                {how && <span className="text-ink-2">: {how}</span>}
              </li>
            ))}
          </ul>
        </Section>
      )}
      {run && run.used.length > 0 && (
        <Section label="Rests on">
          {restsOn(run.used)}.{' '}
          <Link className="underline" href={routes.station(code, 'trace')}>
            Back to the board
          </Link>
        </Section>
      )}
      {run && run.used.length === 0 && (
        <p className="text-[13.5px]">
          <Link className="underline" href={routes.station(code, 'trace')}>
            Back to the board
          </Link>
        </p>
      )}
      <Caution>
        Reckoned, not measured: what nobody measured is taken as typical, switching losses and heat in cores are left
        out. It makes no circuit safe to power or to touch.
      </Caution>
    </Judgement>
  );
}

function HuntView({ hunt: { done, all, isOver, suspects }, onStop }: { hunt: Hunt; onStop: () => void }) {
  return (
    <div className="mt-2 text-[13px]" aria-live="polite">
      {isOver ? (
        <p className="text-ink-2">
          {done + 1 < all
            ? `Stopped after ${done + 1} of ${all} trials.`
            : `${all} trials: each value a decade off, each part the other way round, each join left unsure.`}
        </p>
      ) : (
        <ProgressLine done={done} total={all} label="Trials" onCancel={onStop} />
      )}
      {suspects.length > 0 ? (
        <>
          <p className="label mt-1">It would agree with</p>
          <ol>
            {suspects.map(({ text, explains }) => (
              <li key={text} className="grid grid-cols-[1fr_auto] gap-3 border-b border-dotted border-rule-2 py-1">
                <span>{text}</span>
                <span className="q text-ink-2">{Math.round(100 * explains)} %</span>
              </li>
            ))}
          </ol>
        </>
      ) : (
        isOver && <p>No single slip accounts for it. Two may, or a typical value is off.</p>
      )}
    </div>
  );
}
