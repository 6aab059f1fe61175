'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import {
  MADE_WAVES,
  type MadeWave,
  type WaveFinding,
  type WaveParameters,
  type WavePoint,
  type WaveTask,
} from '../../../core/waveform';
import { startWaveWorker } from '../../../workers/wave.client';
import type { OpenedWave, WaveAnswer } from '../../../workers/wave.contract';

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

  const hear = useCallback((answer: WaveAnswer) => {
    if (answer.kind === 'share') setShare(answer.share);
    else if (answer.kind === 'points') setSeries(answer.series);
    else if (answer.kind === 'found') setFound(answer);
    else {
      setShare(undefined);
      if (answer.kind === 'refused') setRefusal(answer.message);
      else {
        setWave(answer.wave);
        worker.current?.ask({ kind: 'view', from: answer.wave.from, to: answer.wave.to });
      }
    }
  }, []);

  function begin(name: string, made: boolean) {
    worker.current?.stop();
    worker.current = startWaveWorker(hear);
    setTitle(name);
    setIsMade(made);
    setRefusal('');
    setWave(undefined);
    setSeries([]);
    setFound(undefined);
    setShare(0);
    return worker.current;
  }

  return {
    title,
    isMade,
    share,
    refusal,
    wave,
    series,
    found,
    open: (file: File) => begin(file.name, false).ask({ kind: 'open', file }),
    make: (name: MadeWave) => begin(`${MADE_WAVES[name].label}, made by formula`, true).ask({ kind: 'make', name }),
    stop: () => {
      worker.current?.stop();
      setShare(undefined);
      setRefusal('You stopped it; nothing was kept.');
    },
    view: (of: { from: number; to: number }) => worker.current?.ask({ kind: 'view', ...of }),
    analyse: (task: WaveTask, of: { channel: number; from: number; to: number }, parameters: WaveParameters) =>
      worker.current?.ask({ kind: 'analyse', task, ...of, parameters }),
    forget: () => setFound(undefined),
  };
}
