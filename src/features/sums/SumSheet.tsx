'use client';

import { useEffect, useMemo, useState } from 'react';
import { sumById, workOut, type Curve, type Sum } from '../../core/sums';
import { ActionButton } from '../../ui/feedback/ActionButton';
import { Halves } from '../../ui/frame/Halves';
import { keepText } from '../../ui/picture/keepFile';
import { keepSumAction } from './actions';
import { queryOf, readAsked, type AskedSum } from './address';
import { LazySumChart } from './LazySumChart';
import { SumFields } from './SumFields';
import { SumJudgement } from './SumJudgement';
import { SumList } from './SumList';
import { SumPicture } from './SumPicture';

/** Milliseconds without a change before the address follows. */
const ADDRESS_RESTS = 200;

/** What a result can be kept with. */
export interface SumKeeper {
  readonly from: string;
  readonly code: string;
}

/** One sum: what is typed on the left, what it comes to on the right; what is typed stands in the address. */
export function SumSheet({
  id,
  query,
  touchLimit,
  origin,
}: {
  id: string;
  query: string;
  touchLimit: number;
  /** What it was opened from, where its result can be kept. */
  origin?: SumKeeper | undefined;
}) {
  const sum = sumById(id);
  return sum ? <Open sum={sum} query={query} touchLimit={touchLimit} origin={origin} /> : null;
}

function Open({
  sum,
  query,
  touchLimit,
  origin,
}: {
  sum: Sum;
  query: string;
  touchLimit: number;
  origin: SumKeeper | undefined;
}) {
  const [asked, setAsked] = useState<AskedSum>(() => readAsked(sum, new URLSearchParams(query)));
  const { texts, beside } = asked;
  const outcome = useMemo(() => workOut(sum, texts, { touch: touchLimit }), [sum, texts, touchLimit]);
  const other = useMemo(
    () => (beside ? workOut(sum, beside, { touch: touchLimit }) : undefined),
    [sum, beside, touchLimit],
  );

  // The address follows when typing rests.
  useEffect(() => {
    const timer = setTimeout(() => {
      const place = new URLSearchParams(window.location.search);
      const next = queryOf(sum, asked);
      const from = place.get('from');
      if (from !== null) next.set('from', from);
      const text = next.toString();
      window.history.replaceState(null, '', `${window.location.pathname}${text === '' ? '' : `?${text}`}`);
    }, ADDRESS_RESTS);
    return () => clearTimeout(timer);
  }, [sum, asked]);

  const { curve, picture } = outcome.worked ?? {};
  return (
    <Halves
      judgement={
        <SumJudgement sum={sum} outcome={outcome} beside={other}>
          {origin && (
            <ActionButton action={() => keepSumAction({ from: origin.from, sum: sum.id, typed: texts })} tone="next">
              Keep with {origin.code}
            </ActionButton>
          )}
        </SumJudgement>
      }
    >
      <div className="sum-top" data-curve={curve || picture ? '' : undefined}>
        <div>
          <SumFields
            sum={sum}
            texts={texts}
            states={outcome.fields}
            beside={beside}
            besideStates={other?.fields}
            onText={(id, text) => setAsked((before) => ({ ...before, texts: { ...before.texts, [id]: text } }))}
            onBeside={(id, text) => setAsked((before) => ({ ...before, beside: { ...before.beside, [id]: text } }))}
          />
          <div className="no-print mt-3 flex flex-wrap gap-2">
            {beside ? (
              <button type="button" className="btn" onClick={() => setAsked({ texts })}>
                Put the other away
              </button>
            ) : (
              <button type="button" className="btn" onClick={() => setAsked({ texts, beside: texts })}>
                Hold another beside it
              </button>
            )}
            {curve && (
              <button
                type="button"
                className="btn"
                onClick={() => keepText(curveCsv(curve), `${sum.id}.csv`, 'text/csv')}
              >
                Curve as CSV
              </button>
            )}
          </div>
        </div>
        {curve ? <LazySumChart curve={curve} /> : picture && <SumPicture picture={picture} />}
      </div>
      {sum.readings && (
        <section className="sum-readings" aria-label="How to take the readings">
          <h2>How to take the readings</h2>
          <ol>
            {sum.readings.map((step) => (
              <li key={step}>{step}</li>
            ))}
          </ol>
        </section>
      )}
      <SumList current={sum.id} from={new URLSearchParams(query).get('from') ?? undefined} />
    </Halves>
  );
}

/** A curve as a table: a row a point, a column a line. */
function curveCsv({ x, y, lines }: Curve): string {
  const quoted = (text: string) => `"${text.replaceAll('"', '""')}"`;
  return [
    ['line', `${x.label} (${x.unit})`, `${y.label} (${y.unit})`].map(quoted).join(','),
    ...lines.flatMap((line) => line.points.map(([at, value]) => `${quoted(line.label)},${at},${value}`)),
    '',
  ].join('\n');
}
