import type { Task } from './task';

/** Of converters that divide the input by a transformer: inputs that a switch stands, and parts of the winding that a rectifier stands. */
const DIVIDED = {
  forward: { inputs: 2, windings: 1 },
  'two-switch-forward': { inputs: 1, windings: 1 },
  'push-pull': { inputs: 2, windings: 2 },
  // Its primary sees half of the input.
  'half-bridge': { inputs: 1, windings: 1 },
  'full-bridge': { inputs: 1, windings: 2 },
} as const;

/** Volts that the switch and the rectifier of a converter stand, without spikes; both legs of a tapped secondary count. */
export function standing({
  topology,
  input,
  output,
  turns = 1,
  rectifierDrop = 0,
  switchDrop = 0,
}: Pick<Task, 'topology' | 'input' | 'output' | 'turns' | 'rectifierDrop' | 'switchDrop'>): {
  readonly switchVolts: number;
  readonly rectifierVolts: number;
} {
  switch (topology) {
    case 'buck':
      return { switchVolts: input + rectifierDrop, rectifierVolts: input - switchDrop };
    case 'boost':
      return { switchVolts: output + rectifierDrop, rectifierVolts: output - switchDrop };
    case 'inverting':
    case 'sepic':
    case 'cuk':
      return { switchVolts: input + output + rectifierDrop, rectifierVolts: input + output };
    case 'flyback':
      return { switchVolts: input + turns * (output + rectifierDrop), rectifierVolts: input / turns + output };
    default: {
      const { inputs, windings } = DIVIDED[topology];
      return { switchVolts: inputs * input, rectifierVolts: (windings * input) / turns };
    }
  }
}
