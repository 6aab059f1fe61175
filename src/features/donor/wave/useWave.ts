'use client';

import { proxy, type Remote } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import {
  MADE_WAVES,
  type MadeWave,
  type WaveFinding,
  type WaveParameters,
  type WavePoint,
  type WaveTask,
} from '../../../core/waveform';
import { startWaveWorker } from '../../../workers/wave.client';
import type { OpenedWave, Opening, WaveWorker } from '../../../workers/wave.worker';

type WaveCalls = Remote<WaveWorker>;

const FAILED = 'Reading the recording failed; try a shorter stretch.';

/** A recording in a worker of its own: what it holds, the stretch in view, and what was made of it. */
export function useWave() {
  const worker = useRef<ReturnType<typeof startWaveWorker>>(undefined);
  const [title, setTitle] = useState('');
  const [isMade, setIsMade] = useState(false);
  const [share, setShare] = useState<number>();
  const [refusal, setRefusal] = useState('');
  const [wave, setWave] = useState<OpenedWave>();
  const [series, setSeries] = useState<readonly (readonly WavePoint[])[]>([]);
  const [found, setFound] = useState<{ task: WaveTask; finding: WaveFinding }>();
  useEffect(() => () => worker.current?.stop(), []);

  /** Starts anew, takes in what `take` opens, and shows the whole of it; what an earlier worker still says is left alone. */
  async function begin(name: string, made: boolean, take: (on: WaveCalls) => Promise<Opening>) {
    worker.current?.stop();
    const started = startWaveWorker();
    worker.current = started;
    setTitle(name);
    setIsMade(made);
    setRefusal('');
    setWave(undefined);
    setSeries([]);
    setFound(undefined);
    setShare(0);
    const opening = await started.ask(take).catch((): Opening => ({ ok: false, message: FAILED }));
    if (worker.current !== started) return;
    setShare(undefined);
    if (!opening.ok) setRefusal(opening.message);
    else {
      setWave(opening.wave);
      await look(opening.wave);
    }
  }

  async function look({ from, to }: { from: number; to: number }) {
    await asked((call) => call.view(from, to), setSeries);
  }

  /** Asks the worker that holds the recording, and shows what it answers while it is still the one. */
  async function asked<T>(question: (on: WaveCalls) => Promise<T>, show: (answer: T) => void) {
    const present = worker.current;
    if (!present) return;
    const answer = await present.ask(question).catch(() => undefined);
    if (worker.current !== present) return;
    if (answer === undefined) setRefusal(FAILED);
    else show(answer);
  }

  return {
    title,
    isMade,
    share,
    refusal,
    wave,
    series,
    found,
    open: (file: File) => void begin(file.name, false, (call) => call.open(file, proxy(setShare))),
    make: (name: MadeWave) => void begin(`${MADE_WAVES[name].label}, made by formula`, true, (call) => call.make(name)),
    stop: () => {
      worker.current?.stop();
      worker.current = undefined;
      setShare(undefined);
      setRefusal('You stopped it; nothing was kept.');
    },
    view: (of: { from: number; to: number }) => void look(of),
    analyse: (task: WaveTask, of: { channel: number; from: number; to: number }, parameters: WaveParameters) =>
      void asked(
        async (call): Promise<WaveFinding | undefined> => call.analyse({ task, ...of, parameters }),
        (finding) => finding && setFound({ task, finding }),
      ),
    forget: () => setFound(undefined),
  };
}
