'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { Schematic } from '../../core/schematic';
import {
  faultsOf,
  LIVE_BUDGET,
  type Answer,
  type FaultAnswer,
  type PowerCircuit,
  type Values,
} from '../../core/whatif';
import { startWhatIfWorker, type Turn, type Turned } from '../../workers/whatif.client';

/** What a worker says of a circuit while its knobs are turned. */
export interface WhatIf {
  readonly schematic?: Schematic;
  readonly answer?: Answer;
  /** The last one whose search had come to its end: its words stand while the knob moves on. */
  readonly settled?: Answer;
  /** Why it cannot be run at these values; the last answer still stands. */
  readonly problem?: string;
  /** Faults that have been worked out of the answer that stands. */
  readonly faults: Readonly<Record<string, FaultAnswer>>;
  /** How many of them are to come. */
  readonly left: number;
  readonly stop: () => void;
  readonly spice: () => Promise<string>;
}

/** Milliseconds without a turn before what takes long is worked out. */
const REST = 250;

const NO_FAULTS: Readonly<Record<string, FaultAnswer>> = {};

/** Turns that are asked at once: the next is worked out while the page still draws the one before. */
const AHEAD = 2;

/** Turns come one after another: of those that wait only the latest is asked, and faults only follow when none does. */
export function useWhatIf(circuit: PowerCircuit, values: Values, control: number | undefined, first?: string): WhatIf {
  const [schematic, setSchematic] = useState<Schematic>();
  const [answer, setAnswer] = useState<Answer>();
  const [settled, setSettled] = useState<Answer>();
  const [problem, setProblem] = useState<string>();
  const [faults, setFaults] = useState<Readonly<Record<string, FaultAnswer>>>(NO_FAULTS);
  const [left, setLeft] = useState(0);
  const worker = useRef<ReturnType<typeof startWhatIfWorker>>(undefined);
  const beside = useRef<ReturnType<typeof startWhatIfWorker>>(undefined);
  const wanted = useRef<string>(undefined);
  const inFlight = useRef(0);
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
      inFlight.current = 0;
      started.stop();
      endBeside();
    };
  }, [circuit.id]);

  /** What takes long is worked out beside, where it holds up no turn; the next turn ends it. */
  function endBeside() {
    beside.current?.stop();
    beside.current = undefined;
  }

  /** Faults one by one, that which is looked at first, until a new turn comes. */
  async function workOutFaults(started: ReturnType<typeof startWhatIfWorker>, mine: number) {
    const waiting = new Set(faultsOf(circuit).map(({ kind }) => kind));
    setLeft(waiting.size);
    while (waiting.size > 0) {
      const [next] = [...waiting].toSorted(
        (a, b) => Number(b === firstFault.current) - Number(a === firstFault.current),
      );
      if (!next) return;
      waiting.delete(next);
      const one = await started.ask((call) => call.fault(next));
      if (round.current !== mine) return;
      setFaults((before) => ({ ...before, [next]: one }));
      setLeft(waiting.size);
    }
  }

  function show({ answer, message }: Turned) {
    setFaults(NO_FAULTS);
    setLeft(0);
    if (answer) setAnswer(answer);
    if (answer && !answer.isUnderWay) setSettled(answer);
    setProblem(message);
  }

  /** Asks what is wanted last, unless enough is asked already. */
  async function turn() {
    if (wanted.current === undefined || inFlight.current >= AHEAD) return;
    const asked = JSON.parse(wanted.current) as Turn;
    wanted.current = undefined;
    round.current += 1;
    const mine = round.current;
    endBeside();
    inFlight.current += 1;
    const turned = await worker.current?.ask((call) => call.turn({ ...asked, budget: LIVE_BUDGET }));
    inFlight.current -= 1;
    if (!turned) return;
    show(turned);
    await (wanted.current === undefined ? rest(asked, mine, turned) : turn());
  }

  /** At rest, what has not settled in the time of a live answer is worked out to its end; then come the faults. */
  async function rest(asked: Turn, mine: number, { answer: live }: Turned) {
    await new Promise((resolve) => setTimeout(resolve, REST));
    if (round.current !== mine) return;
    const started = startWhatIfWorker();
    beside.current = started;
    const whole = await started.ask((call) => call.turn(asked));
    if (round.current !== mine) return;
    if (live?.isUnderWay) show(whole);
    await workOutFaults(started, mine);
  }

  useEffect(() => {
    wanted.current = question;
    turn().catch(() => {
      inFlight.current = 0;
      setProblem('The simulation stopped. Reload the page to start it again.');
    });
    // oxlint-disable-next-line react/exhaustive-deps -- `turn` takes what is wanted
  }, [question]);

  const stop = useCallback(() => {
    round.current += 1;
    beside.current?.stop();
    beside.current = undefined;
    setLeft(0);
  }, []);

  return {
    ...(schematic ? { schematic } : {}),
    ...(answer ? { answer } : {}),
    ...(settled ? { settled } : {}),
    ...(problem === undefined ? {} : { problem }),
    faults,
    left,
    stop,
    spice: () => (beside.current ?? worker.current)?.ask((call) => call.spice()) ?? Promise.resolve(''),
  };
}
