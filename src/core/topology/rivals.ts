/** The readings a stage is most easily taken for, and what speaks against each. Textbook, from memory. */
const SIGNS: Readonly<Record<string, string>> = {
  flyback: 'its rectifier would lead straight to a reservoir, with no choke and no freewheel path',
  'active-clamp-flyback': 'a second switch would lead from the switched point to a capacitor that nothing else uses',
  'two-switch-flyback': 'both ends of the primary would be switched, and the rectifier lead straight to a reservoir',
  'rcc-flyback': 'a winding of the transformer, and no chip, would drive the switch',
  forward: 'a choke with a freewheel path would stand between rectifier and reservoir',
  'two-switch-forward': 'both ends of the primary would be switched, with a choke behind the rectifier',
  'half-bridge': 'two switches would stand one on the other, with a choke behind the rectifiers',
  'llc-half-bridge':
    'two switches would drive the primary through a small capacitor, with no choke behind the rectifiers',
  'full-bridge': 'four switches would drive both ends of the primary',
  'push-pull': 'two switches would pull the ends of a tapped primary',
  'line-transformer': 'the primary would lie across the mains with no switch before it',
  buck: 'the choke would lead to the output, with the switch on its input side',
  boost: 'the choke would come from the input, with the switch to ground behind it',
  'boost-pfc': 'the choke would come from the rectified mains and feed the bulk capacitor',
  'inverting-buck-boost': 'the choke would return to the ground that input and output share',
  sepic: 'a capacitor would couple two chokes, the second to ground',
  cuk: 'a capacitor would couple two chokes, the second to the output',
  'resonant-ballast': 'two switches would drive a lamp through an inductor',
  'phase-control': 'a thyristor would stand in series with the mains',
  'capacitive-dropper': 'a capacitor would stand in series with the mains',
  'capacitor-discharge': 'a thyristor would dump a store into a winding',
};

const RIVALS: Readonly<Record<string, readonly string[]>> = {
  flyback: ['forward', 'active-clamp-flyback'],
  'active-clamp-flyback': ['flyback', 'half-bridge'],
  'two-switch-flyback': ['two-switch-forward', 'half-bridge'],
  'rcc-flyback': ['flyback'],
  forward: ['flyback', 'push-pull'],
  'two-switch-forward': ['two-switch-flyback', 'half-bridge'],
  'half-bridge': ['llc-half-bridge', 'two-switch-forward'],
  'llc-half-bridge': ['half-bridge', 'active-clamp-flyback'],
  'full-bridge': ['half-bridge', 'push-pull'],
  'push-pull': ['full-bridge', 'forward'],
  'line-transformer': ['capacitive-dropper'],
  buck: ['inverting-buck-boost', 'boost'],
  boost: ['buck', 'sepic'],
  'boost-pfc': ['boost', 'flyback'],
  'inverting-buck-boost': ['buck', 'cuk'],
  sepic: ['boost', 'cuk'],
  cuk: ['sepic', 'inverting-buck-boost'],
  'resonant-ballast': ['half-bridge'],
  'phase-control': [],
  'capacitive-dropper': [],
  'capacitor-discharge': ['flyback'],
};

export const rivalsOf = (topology: string): readonly string[] => RIVALS[topology] ?? [];

/** Why it is the one and not the other: the sign of the other that is missing. */
export const againstOf = (other: string): string =>
  `${SIGNS[other] ?? 'its parts would lie otherwise'}; that is not what was found`;
