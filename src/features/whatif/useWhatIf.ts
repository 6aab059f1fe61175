'use client';

import { useEffect, useRef, useState } from 'react';
import type { Schematic } from '../../core/schematic';
import { faultsOf, type Answer, type FaultAnswer, type PowerCircuit, type Values } from '../../core/whatif';
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

/** Milliseconds without a turn before faults are worked out. */
const REST = 250;

/** Milliseconds of a search while the knob moves, and those after which it is left to go to its end. */
const BUDGET = { live: 28, most: 2000 } as const;

/** Turns that are asked at once: the next is worked out while the page still draws the one before. */
const AHEAD = 2;

/** Turns come one after another: of those that wait only the latest is asked, and faults only follow when none does. */
export function useWhatIf(circuit: PowerCircuit, values: Values, control: number | undefined, first?: string): WhatIf {
  const [schematic, setSchematic] = useState<Schematic>();
  const [answer, setAnswer] = useState<Answer>();
  const [settled, setSettled] = useState<Answer>();
  const [problem, setProblem] = useState<string>();
  const [faults, setFaults] = useState<Readonly<Record<string, FaultAnswer>>>({});
  const [left, setLeft] = useState(0);
  const worker = useRef<ReturnType<typeof startWhatIfWorker>>(undefined);
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

  function show({ answer, message }: Turned) {
    setFaults({});
    setLeft(0);
    if (answer) setAnswer(answer);
    if (answer && !answer.isUnderWay) setSettled(answer);
    setProblem(message);
  }

  const ask = (turn: Turn) => worker.current?.ask((call) => call.turn(turn));

  /** Asks what is wanted last, unless enough is asked already. */
  async function turn() {
    if (wanted.current === undefined || inFlight.current >= AHEAD) return;
    const asked = JSON.parse(wanted.current) as Turn;
    wanted.current = undefined;
    round.current += 1;
    const mine = round.current;
    inFlight.current += 1;
    const turned = await ask({ ...asked, budget: BUDGET.live });
    inFlight.current -= 1;
    if (!turned) return;
    show(turned);
    await (wanted.current === undefined ? rest(asked, mine, turned) : turn());
  }

  /** What has not settled in the time of a live answer goes on for longer and longer; then come the faults. */
  async function rest(asked: Turn, mine: number, first: Turned) {
    let turned = first;
    for (let budget = 2 * BUDGET.live; turned.answer?.isUnderWay && round.current === mine; budget *= 2) {
      const further = await ask(budget < BUDGET.most ? { ...asked, budget } : asked);
      if (!further || round.current !== mine) return;
      turned = further;
      show(turned);
    }
    // A fault that is begun holds the next turn up: none is while the knob still moves.
    await new Promise((resolve) => setTimeout(resolve, REST));
    if (round.current === mine) await workOutFaults(mine);
  }

  useEffect(() => {
    wanted.current = question;
    turn().catch(() => {
      inFlight.current = 0;
      setProblem('The simulation stopped. Reload the page to start it again.');
    });
    // eslint-disable-next-line react-hooks/exhaustive-deps -- `turn` takes what is wanted
  }, [question]);

  return {
    ...(schematic ? { schematic } : {}),
    ...(answer ? { answer } : {}),
    ...(settled ? { settled } : {}),
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
