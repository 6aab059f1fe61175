import type { BoardKind } from './kinds';

/** What a person says a part is, against or ahead of the evidence: `as` is a topology whose main magnetic part it is, or a role. */
export interface FixedPart {
  readonly ref: string;
  readonly as: string;
}

/** Names of topologies as a hobbyist reads them. */
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

/** Topologies that work without a magnetic part have no magnetic part to fix them on. */
const ANCHORLESS: ReadonlySet<string> = new Set(['phase-control', 'capacitive-dropper']);
const CHOKE_TOPOLOGIES = ['buck', 'boost', 'boost-pfc', 'inverting-buck-boost', 'sepic', 'cuk', 'resonant-ballast'];
const NEEDS_WINDINGS: ReadonlySet<string> = new Set(
  Object.keys(TOPOLOGY_WORDS).filter((name) => !ANCHORLESS.has(name) && !CHOKE_TOPOLOGIES.includes(name)),
);

/** Roles a person may give a part, with the kinds of part that can play them; no kinds stand for any. */
export const FIXED_ROLES: Readonly<
  Record<string, { readonly message: string; readonly kinds?: readonly BoardKind[] }>
> = {
  switch: { message: 'a switch', kinds: ['nmos', 'pmos', 'npn', 'igbt', 'scr', 'triac', 'ic'] },
  rectifier: { message: 'a rectifier', kinds: ['diode', 'dual-diode', 'nmos', 'pmos'] },
  'output-choke': { message: 'an output choke', kinds: ['inductor', 'transformer'] },
  nothing: { message: 'no part of a stage' },
};

/** What may be said of a part of a kind: topologies it can be the main magnetic part of, then roles it can play. */
export function fixableAs(kind: BoardKind): readonly string[] {
  const topologies =
    kind === 'transformer' ? [...NEEDS_WINDINGS, ...CHOKE_TOPOLOGIES] : kind === 'inductor' ? CHOKE_TOPOLOGIES : [];
  return [
    ...topologies,
    ...Object.keys(FIXED_ROLES).filter((role) => FIXED_ROLES[role]?.kinds?.includes(kind) ?? true),
  ];
}

/** What a fixed word says: `the main magnetic part of a forward converter`, `a rectifier`. */
export function fixedWords(as: string): string {
  const topology = TOPOLOGY_WORDS[as];
  return topology === undefined ? (FIXED_ROLES[as]?.message ?? as) : `the main magnetic part of a ${topology}`;
}
