'use client';

import { useState, type FormEvent } from 'react';
import { MADE_WAVES, type MadeWave } from '../../../core/waveform';
import { formatQuantity, parseQuantity } from '../../../core/quantity';
import { LazyWaveChart } from '../../../ui/charts/LazyWaveChart';
import { QuantityField } from '../../../ui/form/fields';
import { useHydrated } from '../../../ui/form/useHydrated';
import { Halves } from '../../../ui/frame/Halves';
import { WAVE_TASKS, type WaveParameters, type WaveTask } from '../../../workers/wave.contract';
import type { WavePart } from '../views/wavePart';
import { TASKS } from '../waveWords';
import { useWave } from './useWave';
import { WaveJudgement } from './WaveJudgement';

type Wave = ReturnType<typeof useWave>;
interface Span {
  readonly from: number;
  readonly to: number;
}

/** A recording of an oscilloscope: read in a worker, looked at with two cursors, and turned into measurements. */
export function WaveBench({ code, part }: { code: string; part: WavePart | null }) {
  const wave = useWave();
  const [task, setTask] = useState<WaveTask>(part?.test === 'capacitor' ? 'step' : 'ramp');
  const [channel, setChannel] = useState(0);
  const [cursors, setCursors] = useState<readonly [number, number]>();
  const [span, setSpan] = useState<Span>();
  const opened = wave.wave;
  const shown = span ?? (opened ? { from: opened.from, to: opened.to } : { from: 0, to: 1 });
  const [a, b] = cursors ?? [shown.from + 0.25 * (shown.to - shown.from), shown.from + 0.75 * (shown.to - shown.from)];

  function reset() {
    setChannel(0);
    setCursors(undefined);
    setSpan(undefined);
  }
  function look(next: Span, at = channel) {
    setSpan(next);
    setChannel(at);
    setCursors(undefined);
    wave.view({ channel: at, ...next });
  }

  return (
    <Halves judgement={<WaveJudgement code={code} part={part} wave={wave} />}>
      <Source wave={wave} onBegin={reset} />
      {opened && (
        <>
          <p className="mt-3 text-[12.5px] text-ink-2">
            {wave.title}, {opened.points.toLocaleString('en-GB')} points
          </p>
          {opened.channels.length > 1 && (
            <div className="mt-1 flex gap-2" role="group" aria-label="Channel">
              {opened.channels.map(({ name }, index) => (
                <button
                  key={name + index}
                  type="button"
                  className="btn"
                  aria-pressed={index === channel}
                  onClick={() => look(shown, index)}
                >
                  {name}
                </button>
              ))}
            </div>
          )}
          <LazyWaveChart
            label={opened.channels[channel]?.name ?? 'channel'}
            unit={opened.channels[channel]?.unit ?? ''}
            points={wave.points}
            cursors={[a, b]}
            onCursor={(moment) => setCursors(Math.abs(moment - a) <= Math.abs(moment - b) ? [moment, b] : [a, moment])}
          />
          <Cursors
            points={wave.points}
            unit={opened.channels[channel]?.unit ?? ''}
            cursors={[a, b]}
            shown={shown}
            onMove={setCursors}
          />
          <div className="mt-1 flex flex-wrap gap-2">
            <button type="button" className="btn" onClick={() => look({ from: Math.min(a, b), to: Math.max(a, b) })}>
              Zoom between the cursors
            </button>
            <button type="button" className="btn" onClick={() => look({ from: opened.from, to: opened.to })}>
              All of it
            </button>
          </div>
          <TaskForm
            task={task}
            onTask={(next) => {
              setTask(next);
              wave.forget();
            }}
            onAsk={(parameters) => wave.analyse(task, { channel, ...shown }, parameters)}
          />
        </>
      )}
    </Halves>
  );
}

/** Where the recording comes from: a file, or one made by formula to try things on. */
function Source({ wave, onBegin }: { wave: Wave; onBegin: () => void }) {
  const hydrated = useHydrated();
  const isBusy = wave.share !== undefined;
  return (
    <section aria-label="Recording">
      <div className="flex flex-wrap items-end gap-4">
        <label className="text-[12px] text-ink-2">
          CSV of an oscilloscope
          <input
            type="file"
            accept=".csv,.txt,text/csv"
            className="mt-1 block text-[12.5px]"
            disabled={!hydrated || isBusy}
            onChange={(event) => {
              const [file] = event.target.files ?? [];
              if (!file) return;
              onBegin();
              wave.open(file);
            }}
          />
        </label>
        <label className="text-[12px] text-ink-2">
          or one made by formula
          <select
            className="mt-1 block h-9 rounded-[3px] border border-rule-2 bg-lift px-2 text-[13px] text-ink"
            value=""
            disabled={!hydrated || isBusy}
            onChange={(event) => {
              onBegin();
              wave.make(event.target.value as MadeWave);
            }}
          >
            <option value="">choose one to try</option>
            {(Object.keys(MADE_WAVES) as MadeWave[]).map((name) => (
              <option key={name} value={name}>
                {MADE_WAVES[name].label}
              </option>
            ))}
          </select>
        </label>
      </div>
      {isBusy && (
        <div role="status" className="mt-2 flex items-center gap-3 text-[12.5px]">
          <progress value={wave.share} max={1} aria-label="Reading the recording" />
          <button type="button" className="btn" onClick={wave.stop}>
            Stop
          </button>
        </div>
      )}
      {wave.refusal && (
        <p role="alert" className="mt-2 text-[13px] text-stop">
          {wave.refusal}
        </p>
      )}
    </section>
  );
}

/** What lies under the cursors, and between them. */
function Cursors({
  points,
  unit,
  cursors: [a, b],
  shown,
  onMove,
}: {
  points: Wave['points'];
  unit: string;
  cursors: readonly [number, number];
  shown: Span;
  onMove: (cursors: readonly [number, number]) => void;
}) {
  const valueAt = (moment: number) =>
    points.reduce(
      (near, point) => (Math.abs(point.t - moment) < Math.abs(near.t - moment) ? point : near),
      points[0] ?? { t: 0, v: 0 },
    ).v;
  const kind = unit === 'A' ? 'ampere' : 'volt';
  const show = (value: number) => formatQuantity(value, kind, { digits: 3 });
  const step = (shown.to - shown.from) / 200;
  return (
    <div className="mt-1 grid grid-cols-[1fr_1fr_1.2fr] gap-x-5 text-[12.5px] max-[620px]:grid-cols-1">
      {([a, b] as const).map((moment, index) => (
        <label key={index === 0 ? 'a' : 'b'} className="text-ink-2">
          cursor {index === 0 ? 'A' : 'B'}:{' '}
          <span className="q text-ink">{formatQuantity(moment, 'second', { digits: 4 })}</span>,{' '}
          <span className="q text-ink">{show(valueAt(moment))}</span>
          <input
            type="range"
            className="block w-full accent-ochre"
            min={shown.from}
            max={shown.to}
            step={step}
            value={moment}
            aria-label={`cursor ${index === 0 ? 'A' : 'B'}`}
            onChange={(event) =>
              onMove(index === 0 ? [Number(event.target.value), b] : [a, Number(event.target.value)])
            }
          />
        </label>
      ))}
      <p className="text-ink-2">
        between: <span className="q text-ink">{formatQuantity(Math.abs(b - a), 'second', { digits: 4 })}</span>
        {b !== a && (
          <>
            , <span className="q text-ink">{formatQuantity(1 / Math.abs(b - a), 'hertz', { digits: 3 })}</span>
          </>
        )}
        , <span className="q text-ink">{show(valueAt(b) - valueAt(a))}</span>
      </p>
    </div>
  );
}

/** What to make of the stretch in view. */
function TaskForm({
  task,
  onTask,
  onAsk,
}: {
  task: WaveTask;
  onTask: (task: WaveTask) => void;
  onAsk: (parameters: WaveParameters) => void;
}) {
  function submit(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
    const parameters: Record<string, number> = {};
    for (const { name, unit } of TASKS[task].needs) {
      const read = parseQuantity(String(data.get(name) ?? ''), unit);
      if (read.ok) parameters[name] = read.quantity.value;
    }
    onAsk(parameters);
  }
  return (
    <form
      onSubmit={submit}
      aria-label="What to make of it"
      className="mt-4 grid grid-cols-4 items-start gap-x-3 border-t border-rule pt-3 max-[620px]:grid-cols-2"
    >
      <div className="field col-span-2">
        <label htmlFor="wave-task">what it shows</label>
        <select id="wave-task" value={task} onChange={(event) => onTask(event.target.value as WaveTask)}>
          {WAVE_TASKS.map((name) => (
            <option key={name} value={name}>
              {TASKS[name].label}
            </option>
          ))}
        </select>
      </div>
      {TASKS[task].needs.map(({ name, label, unit }) => (
        <QuantityField key={name} name={name} label={label} unit={unit} wants="nothing" />
      ))}
      <div className="col-span-full">
        <button type="submit" className="btn" data-tone="next">
          Work it out
        </button>
      </div>
    </form>
  );
}
