import { practice } from '../../evidence';
import type { Board, BoardPart } from '../../board';

/** A stage without a magnetic anchor, as the parts of a board suggest it before its joins are known. */
export interface SuggestedStage {
  readonly topology: string;
  readonly probability: number;
  readonly switches: readonly BoardPart[];
  readonly rectifiers: readonly BoardPart[];
  readonly magnetics: readonly BoardPart[];
  readonly evidence: readonly string[];
}

/** How sure a suggestion is: on the reference boards none was wrong, which are few. */
const SUGGESTED = 0.85;
/** Capacitors that drop the mains are of this size and more. */
const DROPPER_AT_LEAST = practice(100e-9);

/** Stages that stand on the mains without a magnetic part, from the parts list alone. */
export function anchorlessByParts({ parts }: Board): readonly SuggestedStage[] {
  const fitted = parts.filter((part) => part.fitted !== false);
  if (!fitted.some(({ role }) => role === 'mains-inlet')) return [];
  return [...phaseControl(fitted), ...dropper(fitted)];
}

function phaseControl(parts: readonly BoardPart[]): readonly SuggestedStage[] {
  const triacs = parts.filter(({ kind }) => kind === 'triac');
  const timing = parts.find(({ kind }) => kind === 'diac' || kind === 'potentiometer');
  return triacs.length === 0 || !timing
    ? []
    : [
        {
          topology: 'phase-control',
          probability: SUGGESTED,
          switches: triacs,
          rectifiers: [],
          magnetics: [],
          evidence: [`${triacs[0]?.ref ?? ''} and ${timing.ref} are what a phase control is made of.`],
        },
      ];
}

function dropper(parts: readonly BoardPart[]): readonly SuggestedStage[] {
  const converts = parts.some(({ kind }) => ['transformer', 'inductor', 'nmos', 'pmos', 'igbt'].includes(kind));
  const zener = parts.find(({ kind, subtype }) => kind === 'diode' && subtype === 'zener');
  const capacitor = parts.find(
    ({ kind, subtype, value }) =>
      kind === 'capacitor' && (subtype === 'x' || subtype === 'film') && (value?.capacitance ?? 0) >= DROPPER_AT_LEAST,
  );
  const rectifiers = parts.filter(
    ({ kind, subtype }) => kind === 'bridge' || (kind === 'diode' && (subtype ?? 'rectifier') === 'rectifier'),
  );
  return converts || !zener || !capacitor || rectifiers.length === 0
    ? []
    : [
        {
          topology: 'capacitive-dropper',
          probability: SUGGESTED,
          switches: [],
          rectifiers,
          magnetics: [],
          evidence: [`${capacitor.ref} can drop the mains for ${zener.ref}, and nothing else here could lower it.`],
        },
      ];
}
