import type { PowerCircuit } from '../powerCircuit';
import { BRIDGES } from './bridges';
import { ISOLATED } from './isolated';
import { LINE } from './line';
import { SINGLE } from './single';

/** Every circuit that can be asked what if, as they are listed. */
export const CIRCUITS: readonly PowerCircuit[] = [...SINGLE, ...ISOLATED, ...BRIDGES, ...LINE];

export const circuitById = (id: string): PowerCircuit | undefined => CIRCUITS.find((circuit) => circuit.id === id);
