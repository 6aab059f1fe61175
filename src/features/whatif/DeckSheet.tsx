'use client';

import { useEffect, useRef, useState } from 'react';
import { formatQuantity } from '../../core/quantity';
import { startDeckWorker } from '../../workers/deck.client';
import type { RunDeck } from '../../workers/deck.worker';
import { Halves } from '../../ui/frame/Halves';
import { Judgement } from '../../ui/judgement/Judgement';
import { Facts } from '../../ui/value/Facts';
import { keepText } from '../../ui/picture/keepFile';

const EXAMPLE = `* Buck, 12 V to 5 V
* period: 10u
* pwl: vf=0.4 ron=0.02
* measure: avg v(out) last 10 periods
* measure: pp i(L1) last 10 periods
V1 in 0 12
Vg g 0 PULSE(0 1 0 10n 10n 4.3u 10u)
S1 in x g 0 sw
D1 0 x d
L1 x out 33u ic=3
C1 out 0 220u ic=5
R1 out 0 1.67
.model sw SW(Ron=0.03 Roff=10Meg Vt=0.5 Vh=0)
.model d D(is=1e-17 n=0.05 rs=0.02)
.tran 50n 5m 0 25n uic
.end
`;

/** A deck of the SPICE subset: typed, pasted or opened, run aside, with its measures and its waves. */
export function DeckSheet() {
  const [text, setText] = useState(EXAMPLE);
  const [result, setResult] = useState<RunDeck>();
  const [since, setSince] = useState<number>();
  const worker = useRef<ReturnType<typeof startDeckWorker>>(undefined);
  useEffect(() => () => worker.current?.stop(), []);

  async function run() {
    worker.current?.stop();
    const started = startDeckWorker();
    worker.current = started;
    setResult(undefined);
    setSince(Date.now());
    try {
      const found = await started.ask((call) => call.run(text));
      if (worker.current === started) setResult(found);
    } catch {
      setResult({ message: 'The simulation stopped; the deck is as you left it.' });
    }
    setSince(undefined);
  }

  function cancel() {
    worker.current?.stop();
    worker.current = undefined;
    setSince(undefined);
    setResult({ message: 'Cancelled; the deck is as you left it.' });
  }

  return (
    <Halves judgement={<DeckJudgement result={result} since={since} onCancel={cancel} />}>
      <p className="mb-2 text-[13px] text-ink-2">
        R, L, C, K, V, I, S and D cards, <span className="q">.model</span>, <span className="q">.ic</span> and{' '}
        <span className="q">.tran … uic</span>; comments say the period, the law of the diodes and the measures, as in
        the example.
      </p>
      <textarea
        className="deck q"
        aria-label="Deck"
        value={text}
        spellCheck={false}
        onChange={({ target }) => setText(target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) void run();
        }}
      />
      <div className="mt-2 flex flex-wrap items-center gap-2">
        <button
          type="button"
          className="btn"
          data-tone="next"
          disabled={since !== undefined}
          onClick={() => void run()}
        >
          Run
        </button>
        <label className="btn">
          Open a file
          <input
            type="file"
            accept=".cir,.sp,.net,.txt"
            className="sr-only"
            onChange={({ target }) => void target.files?.[0]?.text().then(setText)}
          />
        </label>
        <button type="button" className="btn" onClick={() => keepText(text, 'circuit.cir', 'text/plain')}>
          Save the deck
        </button>
      </div>
    </Halves>
  );
}

function DeckJudgement({
  result,
  since,
  onCancel,
}: {
  result: RunDeck | undefined;
  since: number | undefined;
  onCancel: () => void;
}) {
  const { waves } = result ?? {};
  return (
    <Judgement label="What came of it">
      <p className="label">What came of it</p>
      <div aria-live="polite">
        {since !== undefined && <Working since={since} onCancel={onCancel} />}
        {result?.message && <p className="text-[14px]">{result.message}</p>}
        {result?.problems && (
          <>
            <h2 className="say">
              {result.problems.length === 1
                ? 'One line cannot be used'
                : `${result.problems.length} lines cannot be used`}
            </h2>
            <ul className="dotted mt-2 text-[13px]">
              {result.problems.map(({ line, text, expected }) => (
                <li key={`${line} ${expected}`} className="py-1.5">
                  <b>Line {line}</b>
                  {text !== '' && <span className="q"> {text}</span>}
                  <span className="block text-ink-2">{expected}.</span>
                </li>
              ))}
            </ul>
          </>
        )}
        {result?.measures && (
          <>
            <h2 className="say">
              Ran {formatQuantity(result.reached ?? 0, 'second', { digits: 3 })} of the circuit in{' '}
              {formatQuantity(result.seconds ?? 0, 'second', { digits: 2 })}
            </h2>
            <Facts
              rows={result.measures.map(({ text, value, unit, missing }) => ({
                label: text,
                value:
                  value === undefined
                    ? `the deck has no such signal: ${missing ?? ''}`
                    : formatQuantity(value, unit === 'V' ? 'volt' : unit === 'A' ? 'ampere' : 'watt', { digits: 4 }),
              }))}
            />
            {result.measures.length === 0 && (
              <p className="mt-2 text-[13px] text-ink-2">
                The deck asks for no measure; add a line like{' '}
                <span className="q">* measure: avg v(out) last 10 periods</span>.
              </p>
            )}
          </>
        )}
        {waves && (
          <button type="button" className="btn mt-3" onClick={() => keepText(csvOf(waves), 'waves.csv', 'text/csv')}>
            Node volts as CSV, last two periods
          </button>
        )}
        {!result && since === undefined && (
          <p className="text-[13.5px] text-ink-2">Nothing ran yet. Run the deck, or press Ctrl and Enter in it.</p>
        )}
      </div>
    </Judgement>
  );
}

function Working({ since, onCancel }: { since: number; onCancel: () => void }) {
  const [now, setNow] = useState(since);
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), 500);
    return () => clearInterval(timer);
  }, []);
  return (
    <p className="text-[14px]">
      Running for {Math.round((now - since) / 1000)} s.{' '}
      <button type="button" className="btn" onClick={onCancel}>
        Cancel
      </button>
    </p>
  );
}

const csvOf = ({ seconds, signals }: NonNullable<RunDeck['waves']>): string =>
  [
    ['seconds', ...signals.map(({ name }) => (name.includes(',') ? `"${name}"` : name))].join(','),
    ...Array.from(seconds, (second, index) =>
      [second, ...signals.map(({ values }) => values[index] ?? 0)]
        .map((value) => Number(value.toPrecision(9)))
        .join(','),
    ),
    '',
  ].join('\n');
