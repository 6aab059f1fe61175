/** How a stage that works through a transformer is told: its drive, its output, and what commands it. */
export interface IsolatedTopology {
  readonly id: string;
  readonly drive: string;
  readonly output?: 'reservoir' | 'choke';
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
  { id: 'active-clamp-flyback', drive: 'clamped', output: 'reservoir' },
  { id: 'forward', drive: 'clamped', output: 'choke' },
  { id: 'rcc-flyback', drive: 'single', output: 'reservoir', control: 'self' },
  { id: 'flyback', drive: 'single', output: 'reservoir' },
  { id: 'forward', drive: 'single', output: 'choke' },
];

/** Names a hobbyist reads. */
export const TOPOLOGY_WORDS: Readonly<Record<string, string>> = {
  buck: 'step-down converter (buck)',
  boost: 'step-up converter (boost)',
  'inverting-buck-boost': 'inverting converter (buck-boost)',
  sepic: 'SEPIC',
  cuk: 'Ćuk converter',
  'boost-pfc': 'power factor front end (boost)',
  flyback: 'flyback converter',
  'active-clamp-flyback': 'active-clamp flyback converter',
  'two-switch-flyback': 'two-switch flyback converter',
  'rcc-flyback': 'self-oscillating flyback converter',
  forward: 'forward converter',
  'two-switch-forward': 'two-switch forward converter',
  'push-pull': 'push-pull converter',
  'half-bridge': 'half-bridge converter',
  'full-bridge': 'full-bridge converter',
  'llc-half-bridge': 'resonant half-bridge (LLC)',
  'resonant-ballast': 'lamp ballast (resonant half-bridge)',
  'phase-control': 'phase control',
  'capacitive-dropper': 'capacitive dropper',
  'line-transformer': 'mains-frequency transformer',
  'capacitor-discharge': 'capacitor discharge',
};
