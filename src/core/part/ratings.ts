import type { Unit } from '../quantity';

/** Names of the ratings a part can carry; all values in SI base units. */
export const RATING_NAMES = [
  'resistance',
  'capacitance',
  'inductance',
  'tolerance',
  'tempco',
  'voltage',
  'current',
  'power',
  'temperature',
  'esr',
  'leakage',
  'vds',
  'id',
  'rdsOn',
  'vgsTh',
  'vrrm',
  'ifav',
  'vf',
  'vz',
  'vceo',
  'vces',
  'ic',
  'itRms',
  'vdrm',
  'vout',
  'iout',
  'vn',
  'r25',
  'diameter',
  'breaking',
  'life',
  'ripple',
  'dcr',
  'saturation',
  'ctr',
  'gain',
  'turnsRatio',
  'coupling',
  'thermal',
  'starts',
  'recovery',
  'size',
  'height',
  'pitch',
  'length',
  'primary',
  'acVoltage',
  'pins',
] as const;

export type RatingName = (typeof RATING_NAMES)[number];

export interface RatingRule {
  readonly label: string;
  readonly unit: Unit;
  /** Words a person may type for it in a filter or on the bench line, lower case. */
  readonly words: readonly string[];
  /** A part may stand in when its rating is at least (limits) or at most (losses) what is asked. */
  readonly better: 'higher' | 'lower' | 'equal';
  /**
   * Share of the rating that steady stress, spikes included, may use. Common practice, no source.
   */
  readonly derating?: number;
}

export const RATINGS: Readonly<Record<RatingName, RatingRule>> = {
  resistance: { label: 'resistance', unit: 'ohm', words: ['r', 'ohm', 'resistance'], better: 'equal' },
  capacitance: { label: 'capacitance', unit: 'farad', words: ['c', 'cap', 'capacitance'], better: 'equal' },
  inductance: { label: 'inductance', unit: 'henry', words: ['l', 'ind', 'inductance'], better: 'equal' },
  tolerance: { label: 'tolerance', unit: 'ratio', words: ['tol', 'tolerance'], better: 'lower' },
  tempco: { label: 'temperature coefficient', unit: 'ratio', words: ['tempco'], better: 'lower' },
  voltage: { label: 'rated voltage', unit: 'volt', words: ['v', 'voltage'], better: 'higher', derating: 0.9 },
  current: { label: 'rated current', unit: 'ampere', words: ['i', 'current'], better: 'higher', derating: 0.9 },
  power: { label: 'rated power', unit: 'watt', words: ['p', 'power'], better: 'higher', derating: 0.5 },
  temperature: { label: 'temperature class', unit: 'celsius', words: ['temp', 'temperature'], better: 'higher' },
  esr: { label: 'ESR', unit: 'ohm', words: ['esr'], better: 'lower' },
  leakage: { label: 'leakage', unit: 'ampere', words: ['leak', 'leakage'], better: 'lower' },
  vds: { label: 'drain to source', unit: 'volt', words: ['vds', 'vdss'], better: 'higher', derating: 0.8 },
  id: { label: 'drain current, 25 °C', unit: 'ampere', words: ['id'], better: 'higher', derating: 0.7 },
  rdsOn: { label: 'on resistance, 25 °C', unit: 'ohm', words: ['rds', 'rdson', 'ron'], better: 'lower' },
  vgsTh: { label: 'gate threshold', unit: 'volt', words: ['vth', 'vgsth'], better: 'equal' },
  vrrm: { label: 'reverse voltage', unit: 'volt', words: ['vr', 'vrrm'], better: 'higher', derating: 0.75 },
  ifav: { label: 'forward current', unit: 'ampere', words: ['if', 'ifav'], better: 'higher', derating: 0.7 },
  vf: { label: 'forward drop', unit: 'volt', words: ['vf'], better: 'lower' },
  vz: { label: 'zener voltage', unit: 'volt', words: ['vz'], better: 'equal' },
  vceo: { label: 'collector to emitter', unit: 'volt', words: ['vceo'], better: 'higher', derating: 0.8 },
  vces: { label: 'collector to emitter', unit: 'volt', words: ['vces'], better: 'higher', derating: 0.8 },
  ic: { label: 'collector current', unit: 'ampere', words: ['ic'], better: 'higher', derating: 0.7 },
  itRms: { label: 'on-state current', unit: 'ampere', words: ['it', 'itrms'], better: 'higher', derating: 0.5 },
  vdrm: { label: 'blocking voltage', unit: 'volt', words: ['vdrm'], better: 'higher', derating: 0.8 },
  vout: { label: 'output voltage', unit: 'volt', words: ['vout'], better: 'equal' },
  iout: { label: 'output current', unit: 'ampere', words: ['iout'], better: 'higher', derating: 0.8 },
  vn: { label: 'voltage at 1 mA', unit: 'volt', words: ['vn'], better: 'equal' },
  r25: { label: 'resistance at 25 °C', unit: 'ohm', words: ['r25'], better: 'equal' },
  diameter: {
    label: 'diameter',
    unit: 'metre',
    words: ['diameter', 'disc', 'd', 'dia', 'durchmesser', 'diamètre'],
    better: 'higher',
  },
  breaking: { label: 'breaking current', unit: 'ampere', words: ['breaking'], better: 'higher' },
  life: { label: 'rated life', unit: 'hour', words: ['life'], better: 'higher' },
  ripple: { label: 'rated ripple current', unit: 'ampere', words: ['ripple'], better: 'higher', derating: 0.9 },
  dcr: { label: 'winding resistance', unit: 'ohm', words: ['dcr'], better: 'lower' },
  saturation: { label: 'saturation current', unit: 'ampere', words: ['isat', 'saturation'], better: 'higher' },
  ctr: { label: 'transfer ratio', unit: 'ratio', words: ['ctr'], better: 'higher' },
  gain: { label: 'current gain', unit: 'count', words: ['hfe', 'gain'], better: 'higher' },
  turnsRatio: { label: 'turns ratio', unit: 'ratio', words: ['ratio', 'turns'], better: 'equal' },
  coupling: { label: 'coupling', unit: 'ratio', words: ['coupling'], better: 'higher' },
  thermal: { label: 'thermal resistance', unit: 'kelvinPerWatt', words: ['rth', 'thermal'], better: 'lower' },
  starts: { label: 'starts from', unit: 'volt', words: ['starts'], better: 'lower' },
  recovery: { label: 'reverse recovery', unit: 'second', words: ['trr', 'recovery'], better: 'lower' },
  size: { label: 'frame size', unit: 'metre', words: ['size', 'frame'], better: 'equal' },
  height: { label: 'height', unit: 'metre', words: ['height', 'h', 'höhe', 'hauteur', 'tall'], better: 'lower' },
  pitch: {
    label: 'pitch of the pins',
    unit: 'metre',
    words: ['pitch', 'rm', 'raster', 'rastermaß', 'lead-spacing'],
    better: 'equal',
  },
  length: { label: 'length', unit: 'metre', words: ['length', 'long'], better: 'higher' },
  primary: { label: 'primary voltage', unit: 'volt', words: ['primary', 'prim'], better: 'equal' },
  acVoltage: { label: 'rated AC voltage', unit: 'volt', words: ['vac', 'acvoltage'], better: 'equal' },
  pins: { label: 'pins', unit: 'count', words: ['pins'], better: 'equal' },
};

/** Whether a text names a rating. */
export function isRatingName(name: string): name is RatingName {
  return Object.hasOwn(RATINGS, name);
}
