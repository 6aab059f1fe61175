'use client';

import { useEffect, useRef, useState } from 'react';
import { millivoltsText } from '../../../core/meter';
import { formatQuantity } from '../../../core/quantity';
import { useCommand } from '../../../ui/command/useCommand';
import { useNotice } from '../../../ui/feedback/Notices';
import { ActionForm } from '../../../ui/form/ActionForm';
import { QuantityField, shorthand, SubmitButton } from '../../../ui/form/fields';
import { InstrumentPoint, useInstrument, type InstrumentOutcome } from '../../../ui/form/instrument';
import { useHydrated } from '../../../ui/form/useHydrated';
import { Shortcuts } from '../../../ui/frame/Shortcuts';
import { latchReadingAction, readStoreAction } from './actions';
import { routes } from '../../../routes';

/** Seconds of the stopwatch at a moment, to its hundredth. */
const secondsSince = (startedAt: number, at = Date.now()) => Math.max(0, Math.round((at - startedAt) / 10) / 100);

/** Ids that the keys of the screen press. */
const CLOCK_ID = 'discharge-clock';
const LATCH_ID = 'discharge-latch';

/**
 * The discharge of one store as it goes on: a stopwatch, what the meter shows, and the next reading,
 * typed or latched. A reading without a time takes that of the stopwatch while it runs.
 */
export function DischargeClock({
  code,
  store,
  point,
  clock,
}: {
  code: string;
  store: string;
  point: string;
  clock: { elapsed: number; at: number } | null;
}) {
  const [startedAt, setStartedAt] = useState<number | null>(clock ? clock.at - clock.elapsed * 1000 : null);
  const elapsed = useElapsed(startedAt);

  /** The stopwatch's time at the reading's moment goes with a reading that names none. */
  const record = (data: FormData) =>
    readStoreAction({ code, elapsed: startedAt === null ? undefined : secondsSince(startedAt) }, data);

  return (
    <InstrumentPoint at={point}>
      <div className="mt-2 flex items-center gap-3">
        <span className="w-[62px] text-[12px] text-ink-2">stopwatch</span>
        <span
          role="timer"
          aria-label="Stopwatch"
          className="q text-[38px] leading-none tracking-[-0.03em]"
          data-running={startedAt === null ? undefined : ''}
        >
          {clockText(elapsed)}
        </span>
        <button
          type="button"
          id={CLOCK_ID}
          className="btn ml-auto"
          onClick={() => setStartedAt(startedAt === null ? Date.now() : null)}
        >
          {startedAt === null ? 'Start' : 'Stop'}
          <kbd>t</kbd>
        </button>
      </div>
      <MeterRow code={code} store={store} point={point} startedAt={startedAt} />
      <ActionForm
        key={store}
        action={record}
        label={`Reading of ${store}`}
        className="mt-1 grid grid-cols-[1fr_1fr_auto] items-start gap-x-2.5"
        clearAfter
      >
        <input type="hidden" name="store" value={store} />
        <QuantityField name="voltage" label="reading" unit="volt" placeholder="212V" keypad />
        <QuantityField
          name="elapsed"
          label="at"
          unit="second"
          placeholder={startedAt === null ? 'now' : 'by the clock'}
        />
        <div className="pt-[21px]">
          <SubmitButton tone="next">Record</SubmitButton>
        </div>
      </ActionForm>
      <Shortcuts
        keys={[
          { key: 't', label: 'start or stop the stopwatch', press: CLOCK_ID },
          { key: 'm', label: 'record what the meter shows', press: LATCH_ID },
        ]}
      />
    </InstrumentPoint>
  );
}

/** What the meter shows while the leads are on the store, and the way to latch it. */
function MeterRow({
  code,
  store,
  point,
  startedAt,
}: {
  code: string;
  store: string;
  point: string;
  startedAt: number | null;
}) {
  const instrument = useInstrument();
  const notify = useNotice();
  const [watching, setWatching] = useState(false);
  const [shown, setShown] = useState<InstrumentOutcome>();
  const { run, pending, start } = useCommand();
  const { watch, name } = instrument;

  useEffect(() => {
    if (!watching) return;
    return watch('volt', point, (outcome) => {
      setShown(outcome);
      if (!outcome.ok) setWatching(false);
    });
  }, [watching, watch, point]);

  if (name === '')
    return (
      <p className="mt-1.5 text-[12.5px] text-ink-2">
        No meter is set: type the readings, or name one in{' '}
        <a href={routes.settings()} className="underline decoration-dotted">
          Settings
        </a>
        .
      </p>
    );
  const reading = shown?.ok ? shown.reading : undefined;
  const failure = shown && !shown.ok ? shown.message : undefined;

  function latch() {
    start(async () => {
      // What came in before the stopwatch started belongs to no moment of it.
      const fresh = shown?.ok && watching && shown.reading.at >= (startedAt ?? 0);
      const outcome = fresh ? shown : await instrument.read('volt', point);
      if (!outcome.ok) {
        setShown(outcome);
        return;
      }
      if (outcome.reading.value === null) {
        notify({ message: 'The meter is over range: nothing was recorded. Choose a higher range.' });
        return;
      }
      if (outcome.reading.inMillivolts) {
        setShown({
          ok: false,
          message: millivoltsText(shorthand(outcome.reading.value, outcome.reading.resolution, 'volt')),
        });
        return;
      }
      const { value, resolution, at } = outcome.reading;
      const elapsed = startedAt === null ? undefined : secondsSince(startedAt, at);
      await run(() => latchReadingAction(code, { store, voltage: { value, resolution }, elapsed }));
    });
  }

  return (
    <div className="mt-2 border-y border-rule py-2">
      <div className="flex items-center gap-2">
        <span className="w-[44px] flex-none text-[12px] text-ink-2">meter</span>
        <span className="q text-[24px] leading-none" aria-label="Meter reading" role="status">
          {reading
            ? reading.value === null
              ? 'OL'
              : formatQuantity(reading.value, 'volt', { resolution: reading.resolution })
            : '– –'}
        </span>
        {watching ? (
          <button type="button" className="btn ml-auto" data-tone="quiet" onClick={() => setWatching(false)}>
            stop
          </button>
        ) : (
          <button
            type="button"
            className="btn ml-auto"
            onClick={() => {
              setShown(undefined);
              setWatching(true);
            }}
          >
            {failure ? 'Try again' : 'Watch'}
          </button>
        )}
        <button type="button" id={LATCH_ID} className="btn" disabled={pending} onClick={latch}>
          Record <kbd>m</kbd>
        </button>
      </div>
      {failure && (
        <p role="alert" className="mt-1 text-[12.5px] text-stop">
          {failure}
        </p>
      )}
    </div>
  );
}

/** Seconds since a moment, ten times a second while it runs; the last value stays when it stops. */
function useElapsed(startedAt: number | null): number {
  const hydrated = useHydrated();
  const [elapsed, setElapsed] = useState(0);
  const frame = useRef(0);
  useEffect(() => {
    if (startedAt === null) return;
    const tick = () => setElapsed((Date.now() - startedAt) / 1000);
    const timer = window.setInterval(tick, 100);
    frame.current = window.requestAnimationFrame(tick);
    return () => {
      window.clearInterval(timer);
      window.cancelAnimationFrame(frame.current);
    };
  }, [startedAt]);
  return hydrated ? elapsed : 0;
}

function clockText(seconds: number): string {
  const tenths = Math.floor(Math.max(0, seconds) * 10);
  const minutes = Math.floor(tenths / 600);
  const rest = (tenths % 600) / 10;
  return `${minutes}:${rest.toFixed(1).padStart(4, '0')}`;
}
