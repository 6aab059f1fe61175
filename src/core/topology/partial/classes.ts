/** What one slot can be read as; `none` is a part that is no anchor of a stage. */
export const SLOT_CLASSES = [
  'none',
  'flyback',
  'active-clamp-flyback',
  'two-switch-flyback',
  'rcc-flyback',
  'forward',
  'two-switch-forward',
  'push-pull',
  'half-bridge',
  'full-bridge',
  'llc-half-bridge',
  'line-transformer',
  'boost-pfc',
  'buck',
  'boost',
  'inverting-buck-boost',
  'sepic',
  'cuk',
  'resonant-ballast',
  'capacitor-discharge',
] as const;

export type SlotClass = (typeof SLOT_CLASSES)[number];

/**
 * What the classes have in common, so that a fact speaks for all that share it: through a transformer (`isolated`);
 * how it is driven (`single` switch, `clamped`, a `pair` of switches at both ends, a `totem`, `full` bridge,
 * `push-pull`, the mains itself: `line`, a `dump` of a capacitor, a `lamp`); what takes the output (`reservoir` or
 * `choke`); what commands (`chip`, or its own winding: `self`); `one-way` or `two-way` use of the core; two power
 * switches or more in `two`; a choke that switches: `cell`, of these `step-up`, and those with two chokes coupled by a
 * capacitor: `coupled`.
 */
export const TRAITS: Readonly<Record<SlotClass, readonly string[]>> = {
  none: [],
  flyback: ['isolated', 'single', 'reservoir', 'chip', 'one-way'],
  'active-clamp-flyback': ['isolated', 'clamped', 'reservoir', 'chip', 'one-way', 'two'],
  'two-switch-flyback': ['isolated', 'pair', 'reservoir', 'chip', 'one-way', 'two'],
  'rcc-flyback': ['isolated', 'single', 'reservoir', 'self', 'one-way'],
  forward: ['isolated', 'single', 'choke', 'chip', 'one-way'],
  'two-switch-forward': ['isolated', 'pair', 'choke', 'chip', 'one-way', 'two'],
  'push-pull': ['isolated', 'opposed', 'two-way', 'two'],
  'half-bridge': ['isolated', 'totem', 'choke', 'two-way', 'two'],
  'full-bridge': ['isolated', 'full', 'choke', 'two-way'],
  'llc-half-bridge': ['isolated', 'totem', 'reservoir', 'two-way', 'two'],
  'line-transformer': ['isolated', 'line', 'two-way', 'reservoir'],
  'boost-pfc': ['cell', 'step-up'],
  buck: ['cell'],
  boost: ['cell', 'step-up'],
  'inverting-buck-boost': ['cell'],
  sepic: ['cell', 'coupled'],
  cuk: ['cell', 'coupled'],
  'resonant-ballast': ['lamp'],
  'capacitor-discharge': ['dump'],
};

/** Power switches a stage needs. */
export const SWITCHES_NEEDED: Readonly<Record<SlotClass, number>> = {
  none: 0,
  flyback: 1,
  'active-clamp-flyback': 2,
  'two-switch-flyback': 2,
  'rcc-flyback': 1,
  forward: 1,
  'two-switch-forward': 2,
  'push-pull': 2,
  'half-bridge': 2,
  'full-bridge': 4,
  'llc-half-bridge': 2,
  'line-transformer': 0,
  'boost-pfc': 1,
  buck: 1,
  boost: 1,
  'inverting-buck-boost': 1,
  sepic: 1,
  cuk: 1,
  'resonant-ballast': 2,
  'capacitor-discharge': 0,
};

/** Whether a class is of a trait, or is itself named. */
export const isOf = (name: SlotClass, traitOrClass: string): boolean =>
  name === traitOrClass || TRAITS[name].includes(traitOrClass);
