'use client';

import type { Schematic } from '../../core/schematic';
import type { Answer } from '../../core/whatif';
import { WavesFigure } from '../../ui/charts/WavesFigure';
import { CircuitFigure, type CircuitFigures } from '../../ui/schematic/CircuitFigure';

const NONE: readonly string[] = [];

/** A design drawn with the values of its lots. */
export function DesignFigure({ schematic, figures }: { schematic: Schematic; figures: CircuitFigures }) {
  return (
    <figure className="circuit-box mt-3">
      <CircuitFigure schematic={schematic} figures={figures} struck={NONE} over={NONE} />
      <figcaption>Not drawn: timing and compensation of U1, fuse, snubber.</figcaption>
    </figure>
  );
}

/** The waves of a design as it runs with its own parts. */
export function DesignWaves({ answer }: { answer: Answer }) {
  return <WavesFigure answer={answer} />;
}
