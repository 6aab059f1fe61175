/** How a stage that works through a transformer is told: its drive, its output, and what commands it. */
export interface IsolatedTopology {
  readonly id: string;
  readonly drive: string;
  readonly output?: 'reservoir' | 'choke' | 'direct';
  /** Whether a chip drives the switch, or a winding of the transformer. */
  readonly control?: 'chip' | 'self';
}

/** Isolated topologies, first fitting row first. Textbook forms, from memory. */
export const ISOLATED: readonly IsolatedTopology[] = [
  { id: 'full-bridge', drive: 'full' },
  { id: 'push-pull', drive: 'push-pull' },
  { id: 'two-switch-flyback', drive: 'pair', output: 'reservoir' },
  { id: 'two-switch-forward', drive: 'pair', output: 'choke' },
  { id: 'llc-half-bridge', drive: 'totem', output: 'reservoir' },
  { id: 'half-bridge', drive: 'totem', output: 'choke' },
  // Halogen lamps and the like take the alternating voltage as it is.
  { id: 'half-bridge', drive: 'totem', output: 'direct' },
  { id: 'active-clamp-flyback', drive: 'clamped', output: 'reservoir' },
  { id: 'forward', drive: 'clamped', output: 'choke' },
  { id: 'rcc-flyback', drive: 'single', output: 'reservoir', control: 'self' },
  { id: 'flyback', drive: 'single', output: 'reservoir' },
  { id: 'forward', drive: 'single', output: 'choke' },
];
