'use client';

import type { Schematic } from '../../core/schematic';
import type { Answer } from '../../core/whatif';
import { WavesFigure } from '../../ui/charts/WavesFigure';
import { CircuitFigure } from '../../ui/schematic/CircuitFigure';

const NONE: readonly string[] = [];

/** A circuit drawn with its figures, and its waves below. */
export function TopologyFigures({ schematic, answer }: { schematic: Schematic; answer?: Answer | undefined }) {
  return (
    <>
      <figure className="circuit-box mb-3">
        <CircuitFigure schematic={schematic} figures={answer?.figures} struck={NONE} over={NONE} />
        <figcaption>At the usual values of its what if; the figures come out of the simulator.</figcaption>
      </figure>
      {answer && <WavesFigure answer={answer} />}
    </>
  );
}
