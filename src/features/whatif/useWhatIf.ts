'use client';

import { useEffect, useRef, useState } from 'react';
import type { Schematic } from '../../core/schematic';
import { faultsOf, type Answer, type FaultAnswer, type PowerCircuit, type Values } from '../../core/whatif';
import { startWhatIfWorker } from '../../workers/whatif.client';

/** What a worker says of a circuit while its knobs are turned. */
export interface WhatIf {
  readonly schematic?: Schematic;
  readonly answer?: Answer;
  /** Why it cannot be run at these values; the last answer still stands. */
  readonly problem?: string;
  /** Faults that have been worked out of the answer that stands. */
  readonly faults: Readonly<Record<string, FaultAnswer>>;
  /** How many of them are to come. */
  readonly left: number;
  readonly stop: () => void;
  readonly spice: () => Promise<string>;
}

/** Milliseconds without a turn before faults are worked out. */
const REST = 250;

/** Turns come one after another: while one is worked out only the latest waits, and faults only follow when none does. */
export function useWhatIf(circuit: PowerCircuit, values: Values, control: number | undefined, first?: string): WhatIf {
  const [schematic, setSchematic] = useState<Schematic>();
  const [answer, setAnswer] = useState<Answer>();
  const [problem, setProblem] = useState<string>();
  const [faults, setFaults] = useState<Readonly<Record<string, FaultAnswer>>>({});
  const [left, setLeft] = useState(0);
  const worker = useRef<ReturnType<typeof startWhatIfWorker>>(undefined);
  const wanted = useRef<string>(undefined);
  const isBusy = useRef(false);
  const round = useRef(0);
  const firstFault = useRef(first);
  const question = JSON.stringify({ id: circuit.id, values, ...(control === undefined ? {} : { control }) });

  useEffect(() => {
    firstFault.current = first;
  }, [first]);

  useEffect(() => {
    const started = startWhatIfWorker();
    worker.current = started;
    started
      .ask((call) => call.draw(circuit.id))
      .then(setSchematic)
      .catch(() => setProblem('The circuit could not be drawn.'));
    return () => {
      round.current += 1;
      isBusy.current = false;
      started.stop();
    };
  }, [circuit.id]);

  /** Faults one by one, that which is looked at first, until a new turn comes. */
  async function workOutFaults(mine: number) {
    const waiting = new Set(faultsOf(circuit).map(({ kind }) => kind));
    setLeft(waiting.size);
    while (waiting.size > 0) {
      const [next] = [...waiting].toSorted(
        (a, b) => Number(b === firstFault.current) - Number(a === firstFault.current),
      );
      if (!next) return;
      waiting.delete(next);
      const one = await worker.current?.ask((call) => call.fault(next));
      if (!one || round.current !== mine) return;
      setFaults((before) => ({ ...before, [next]: one }));
      setLeft(waiting.size);
    }
  }

  async function turn() {
    if (isBusy.current) return;
    isBusy.current = true;
    let mine = round.current;
    while (wanted.current !== undefined) {
      const asked = JSON.parse(wanted.current) as { id: string; values: Values; control?: number };
      wanted.current = undefined;
      round.current += 1;
      mine = round.current;
      const turned = await worker.current?.ask((call) => call.turn(asked));
      if (!turned || round.current !== mine) return;
      setFaults({});
      setLeft(0);
      if (turned.answer) setAnswer(turned.answer);
      setProblem(turned.message);
    }
    isBusy.current = false;
    // A fault that is begun holds the next turn up: none is while the knob still moves.
    await new Promise((resolve) => setTimeout(resolve, REST));
    if (round.current === mine && !isBusy.current) await workOutFaults(mine);
  }

  useEffect(() => {
    wanted.current = question;
    turn().catch(() => {
      isBusy.current = false;
      setProblem('The simulation stopped. Reload the page to start it again.');
    });
    // eslint-disable-next-line react-hooks/exhaustive-deps -- `turn` takes what is wanted
  }, [question]);

  return {
    ...(schematic ? { schematic } : {}),
    ...(answer ? { answer } : {}),
    ...(problem === undefined ? {} : { problem }),
    faults,
    left,
    stop: () => {
      round.current += 1;
      setLeft(0);
    },
    spice: () => worker.current?.ask((call) => call.spice()) ?? Promise.resolve(''),
  };
}
