'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { MADE_WAVES, type MadeWave, type WavePoint } from '../../../core/waveform';
import { startWaveWorker } from '../../../workers/wave.client';
import type { OpenedWave, WaveAnswer, WaveFinding, WaveParameters, WaveTask } from '../../../workers/wave.contract';

/** A recording in a worker of its own: what it holds, the stretch in view, and what was made of it. */
export function useWave() {
  const worker = useRef<ReturnType<typeof startWaveWorker>>(undefined);
  const [title, setTitle] = useState('');
  const [share, setShare] = useState<number>();
  const [refusal, setRefusal] = useState('');
  const [wave, setWave] = useState<OpenedWave>();
  const [points, setPoints] = useState<readonly WavePoint[]>([]);
  const [found, setFound] = useState<{ task: WaveTask; finding: WaveFinding }>();
  useEffect(() => () => worker.current?.stop(), []);

  const hear = useCallback((answer: WaveAnswer) => {
    if (answer.kind === 'share') setShare(answer.share);
    else if (answer.kind === 'points') setPoints(answer.points);
    else if (answer.kind === 'found') setFound(answer);
    else {
      setShare(undefined);
      if (answer.kind === 'refused') setRefusal(answer.says);
      else {
        setWave(answer.wave);
        worker.current?.ask({ kind: 'view', channel: 0, from: answer.wave.from, to: answer.wave.to });
      }
    }
  }, []);

  function begin(name: string) {
    worker.current?.stop();
    worker.current = startWaveWorker(hear);
    setTitle(name);
    setRefusal('');
    setWave(undefined);
    setPoints([]);
    setFound(undefined);
    setShare(0);
    return worker.current;
  }

  return {
    title,
    share,
    refusal,
    wave,
    points,
    found,
    open: (file: File) => begin(file.name).ask({ kind: 'open', file }),
    make: (name: MadeWave) => begin(`${MADE_WAVES[name].label}, made by formula`).ask({ kind: 'make', name }),
    stop: () => {
      worker.current?.stop();
      setShare(undefined);
      setRefusal('You stopped it; nothing was kept.');
    },
    view: (of: { channel: number; from: number; to: number }) => worker.current?.ask({ kind: 'view', ...of }),
    analyse: (task: WaveTask, of: { channel: number; from: number; to: number }, parameters: WaveParameters) =>
      worker.current?.ask({ kind: 'analyse', task, ...of, parameters }),
    forget: () => setFound(undefined),
  };
}
