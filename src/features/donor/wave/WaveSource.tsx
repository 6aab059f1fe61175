'use client';

import { MADE_WAVES, type MadeWave } from '../../../core/waveform';
import { useHydrated } from '../../../ui/form/useHydrated';
import type { useWave } from './useWave';

/** Where the recording comes from: a file, or one made by formula to try things on. */
export function WaveSource({ wave, onBegin }: { wave: ReturnType<typeof useWave>; onBegin: () => void }) {
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
            className="mt-1 block h-[34px] rounded-[3px] border border-rule-2 bg-lift px-2 text-[13px] text-ink"
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
