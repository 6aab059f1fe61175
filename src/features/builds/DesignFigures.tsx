'use client';

import type { Schematic } from '../../core/schematic';
import type { Answer } from '../../core/whatif';
import { WavesFigure } from '../../ui/charts/WavesFigure';
import { CircuitFigure } from '../../ui/schematic/CircuitFigure';

const NONE: readonly string[] = [];

/** A design drawn with the values of its lots. */
export function DesignFigure({ schematic, answer }: { schematic: Schematic; answer: Answer | undefined }) {
  return (
    <figure className="circuit-box mt-3">
      <CircuitFigure schematic={schematic} figures={answer?.figures} struck={NONE} over={NONE} />
      <figcaption>Not drawn: the small parts around U1.</figcaption>
    </figure>
  );
}

/** The waves of a design as it runs with its own parts. */
export function DesignWaves({ answer }: { answer: Answer }) {
  return <WavesFigure answer={answer} />;
}
