'use client';

import { useState, type FormEvent } from 'react';
import { WAVE_TASKS, type WaveParameters, type WaveTask } from '../../../core/waveform';
import { parseQuantity, problemText } from '../../../core/quantity';
import { LazyWaveChart } from '../../../ui/charts/LazyWaveChart';
import { QuantityField } from '../../../ui/form/fields';
import { Halves } from '../../../ui/frame/Halves';
import type { WavePart } from './view.server';
import { TASKS } from './present';
import { useWave } from './useWave';
import { WaveCursors, type Span } from './WaveCursors';
import { WaveJudgement } from './WaveJudgement';
import { WaveSource } from './WaveSource';

/** A recording of an oscilloscope: read in a worker, looked at with two cursors, and turned into measurements. */
export function WaveBench({ code, part }: { code: string; part: WavePart | null }) {
  const wave = useWave();
  const [task, setTask] = useState<WaveTask>(part?.test === 'capacitor' ? 'step' : 'ramp');
  const [channel, setChannel] = useState(0);
  const [cursors, setCursors] = useState<readonly [number, number]>();
  const [span, setSpan] = useState<Span>();
  const opened = wave.wave;
  const shownSeries = (opened?.channels ?? []).map(({ name, unit }, index) => ({
    label: name,
    unit,
    points: wave.series[index] ?? [],
  }));
  const shown = span ?? (opened ? { from: opened.from, to: opened.to } : { from: 0, to: 1 });
  const [a, b] = cursors ?? [shown.from + 0.25 * (shown.to - shown.from), shown.from + 0.75 * (shown.to - shown.from)];

  function reset() {
    setChannel(0);
    setCursors(undefined);
    setSpan(undefined);
  }
  function look(next: Span) {
    setSpan(next);
    setCursors(undefined);
    // What was worked out is of what was in view.
    wave.forget();
    wave.view(next);
  }

  return (
    <Halves judgement={<WaveJudgement code={code} part={part} wave={wave} />}>
      <WaveSource wave={wave} onBegin={reset} />
      {opened && (
        <>
          <p className="mt-3 text-[12.5px] text-ink-2">
            {wave.title}, {opened.points.toLocaleString('en-GB')} points
          </p>
          {opened.channels.length > 1 && (
            <div className="mt-1 flex flex-wrap gap-2" role="group" aria-label="Channel">
              {opened.channels.map(({ name }, index) => (
                <button
                  key={name + index}
                  type="button"
                  className="btn"
                  aria-pressed={index === channel}
                  onClick={() => {
                    setChannel(index);
                    wave.forget();
                  }}
                >
                  {name}
                </button>
              ))}
            </div>
          )}
          <LazyWaveChart
            series={shownSeries}
            inHand={channel}
            cursors={[a, b]}
            onCursor={(moment) => setCursors(Math.abs(moment - a) <= Math.abs(moment - b) ? [moment, b] : [a, moment])}
          />
          <WaveCursors series={shownSeries} cursors={[a, b]} shown={shown} onMove={setCursors} />
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
  const [refusal, setRefusal] = useState('');
  function submit(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
    const parameters: Record<string, number> = {};
    for (const { name, label, unit } of TASKS[task].needs) {
      const text = String(data.get(name) ?? '').trim();
      if (text === '') continue;
      const read = parseQuantity(text, unit);
      if (!read.ok) {
        setRefusal(`${label}: ${problemText(read.problem)}`);
        return;
      }
      parameters[name] = read.quantity.value;
    }
    setRefusal('');
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
      <div className="col-span-full mt-2">
        <button type="submit" className="btn" data-tone="next">
          Calculate it
        </button>
        {refusal && (
          <p role="alert" className="mt-2 text-[13px] text-stop">
            {refusal}
          </p>
        )}
      </div>
    </form>
  );
}
