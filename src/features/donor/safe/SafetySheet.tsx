import Link from '../../../ui/frame/Link';
import { EmptyState } from '../../../ui/feedback/EmptyState';
import { LazyDecayChart } from '../../../ui/charts/LazyDecayChart';
import { Halves } from '../../../ui/frame/Halves';
import { Judgement } from '../../../ui/judgement/Judgement';
import { Caution, Claim, Findings, Next, Section } from '../../../ui/judgement/parts';
import type { SafetyView, StoreCard } from './view.server';
import { DischargeClock } from './DischargeClock';
import { CorrectStore, MeterCheckRow, PowerRow, StoreForm, StoreOffers, DeleteStore } from './SafetyForms';
import { ToolTrial } from './ToolTrial';
import { UnitCautions } from '../shared/UnitCautions';
import { routes } from '../../../routes';

/** Make safe: the stores, the discharge of one, and whether it can hurt now. */
export function SafetySheet({ code, view }: { code: string; view: SafetyView }) {
  const { cards, selected } = view;
  return (
    <Halves judgement={<SafetyJudgement code={code} view={view} />}>
      <PowerRow code={code} power={view.power} />
      {cards.length > 0 && <MeterCheckRow code={code} checked={view.meterCheck} />}
      {cards.length > 0 && (
        <ul aria-label="Stores" className="mb-4 grid grid-cols-[repeat(auto-fit,minmax(290px,1fr))] gap-2">
          {cards.map((card) => (
            <StoreEntry key={card.name} card={card} />
          ))}
        </ul>
      )}
      {selected ? (
        <section
          aria-label={selected.heading}
          className="mb-5 grid grid-cols-[minmax(310px,340px)_minmax(0,1fr)] gap-x-6 gap-y-3 max-[1080px]:grid-cols-1"
        >
          <div>
            <h2 className="label">{selected.heading}</h2>
            {selected.last && (
              <p className="my-2 flex items-baseline gap-2">
                <span className="q text-[30px] leading-none tracking-[-0.03em]">{selected.last.number}</span>
                <span className="ml-auto text-right text-[12px] text-ink-2">{selected.last.message}</span>
              </p>
            )}
            <DischargeClock
              key={selected.name}
              code={code}
              store={selected.name}
              point={selected.point}
              clock={selected.clock}
            />
            {selected.readings.length > 0 && (
              <table className="rows plain mt-1 font-mono" aria-label={`Readings on ${selected.name}`}>
                <thead>
                  <tr>
                    <th>time</th>
                    <th>reading</th>
                    <th data-align="end">off fit</th>
                  </tr>
                </thead>
                <tbody>
                  {selected.readings.map(({ id, time, reading, offFit }) => (
                    <tr key={id}>
                      <td>{time}</td>
                      <td>{reading}</td>
                      <td data-align="end">{offFit}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            )}
            <div className="mt-1 flex items-center gap-2">
              <CorrectStore code={code} typed={selected.typed} />
              <DeleteStore code={code} name={selected.name} />
            </div>
          </div>
          {selected.chart && (
            <LazyDecayChart
              points={selected.chart.points.map(({ time, volts }) => ({ time, value: volts }))}
              curve={selected.chart.curve.map(({ volts, ...rest }) => ({ ...rest, value: volts }))}
              unit="V"
              limit={selected.chart.limit}
              limitLabel={`${selected.chart.limit} V limit`}
              crossing={selected.chart.crossing}
              label={`Voltage of ${selected.name} against time with the ${selected.chart.limit} V limit`}
              caption={
                selected.chart.curve.length > 0
                  ? 'volts on a log scale against seconds; grey: 95 % band of the fit'
                  : 'volts on a log scale against seconds; no fit holds'
              }
            />
          )}
        </section>
      ) : (
        <div className="mb-5">
          <EmptyState title="What can hold a charge?">
            The mains reservoir, X capacitors, large output cans, a battery. List each below, or type{' '}
            <span className="font-mono">store c3 82u 400V bleed 470k</span> into the bench line.
          </EmptyState>
        </div>
      )}
      <StoreOffers code={code} offers={view.offers} />
      <StoreForm code={code} first={cards.length === 0} />
    </Halves>
  );
}

function StoreEntry({ card }: { card: StoreCard }) {
  return (
    <li className="rounded-[3px] border border-rule bg-lift" data-selected={card.selected ? '' : undefined}>
      <Link
        href={card.href}
        aria-current={card.selected ? 'true' : undefined}
        className={`block px-4 pt-3 pb-3 ${card.selected ? 'shadow-[inset_0_3px_0_var(--ochre)]' : ''}`}
      >
        <b className="font-semibold">
          {card.name} {card.role}
        </b>
        <span className="text-[12px] text-ink-2"> · {card.size}</span>
        {!card.dead && <i aria-hidden="true" className="hatch ml-2 inline-block size-[12px] align-[-1px]" />}
        <span className="mt-1.5 grid grid-cols-[auto_1fr] gap-x-3 gap-y-0.5 text-[13px]">
          {card.facts.map(({ label, value }) => (
            <span key={label} className="contents">
              <span className="text-ink-2">{label}</span>
              <span className="q">{value}</span>
            </span>
          ))}
        </span>
      </Link>
    </li>
  );
}

function SafetyJudgement({ code, view }: { code: string; view: SafetyView }) {
  return (
    <Judgement>
      <Claim
        label="Can it hurt you now"
        rule={routes.article('charge')}
        {...(view.claim.stop ? { tone: 'stop' as const } : {})}
      >
        {view.claim.text}
      </Claim>
      <Findings items={[...(view.hazard ? [view.hazard] : []), ...view.meter]} />
      {view.message.length > 0 && (
        <Section label="What the readings say">
          <ul className="grid gap-1">
            {view.message.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </Section>
      )}
      <Next>{view.next}</Next>
      {view.string.length > 0 && (
        <Section label="Each capacitor by itself">
          <ul className="grid gap-0.5">
            {view.string.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </Section>
      )}
      {view.tool && (
        <Section label="The tool">
          <p className="mb-2">{view.tool.message}</p>
          {view.tool.start !== null && (
            <ToolTrial
              key={view.selected?.name}
              code={code}
              store={view.tool.store}
              on={view.tool.on}
              start={view.tool.start}
              capacitance={view.tool.capacitance}
              touchLimit={view.tool.touchLimit}
              stocked={view.tool.stocked}
            />
          )}
        </Section>
      )}
      <UnitCautions cautions={view.cautions} />
      <Caution>
        Mains work can kill. This page does arithmetic; only your own reading makes a store safe. Follow your local
        code, and leave live work to licensed people.
      </Caution>
    </Judgement>
  );
}
