import { PRACTICE } from '../evidence';
import { AGREEMENT, DENSITY_RANGES, FUSE_SHARE } from './tradeRanges';

/** What a plate is held against. */
export type PlateRule = 'outputs' | 'input' | 'density' | 'bounds';

const per = (share: number) => `${Math.round(100 * share)} %`;

/** Each rule in words, with its source; the figures are those that the judgement uses. */
export const PLATE_RULES: Readonly<
  Record<PlateRule, { readonly name: string; readonly text: string; readonly source: string }>
> = {
  outputs: {
    name: 'Outputs and their total',
    text: `Volts times amperes are the printed watts within ${per(AGREEMENT.rounding)}; several outputs may add up to more than the total, which is then the limit.`,
    source: PRACTICE,
  },
  input: {
    name: 'Input against outputs',
    text: `At the lowest input volts, with usual efficiency and power factor, the outputs need no more than the printed current: from ${AGREEMENT.optimistic} times they are optimistic, from ${AGREEMENT.unbelievable} times not to be believed.`,
    source: 'FORMULAS of power, efficiency and power factor; the steps are common practice, no source',
  },
  density: {
    name: 'Watts for its size and weight',
    text: DENSITY_RANGES.map(({ build, perLitre }) => `${build}: ${perLitre.join(' to ')} W a litre`).join('; '),
    source: PRACTICE,
  },
  bounds: {
    name: 'Watts against what it is built of',
    text: `A fuse lets through ${per(FUSE_SHARE)} of its current for good; inlet, cable, switch and reservoir each bound the power too. The tightest counts.`,
    source:
      'IEC 60320-1, IEC 60245 and 60227 for inlets and cables, from memory; the others common practice, no source',
  },
};
