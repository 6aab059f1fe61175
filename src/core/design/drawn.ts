import type { Board, BoardPart } from '../board';
import type { Unit } from '../quantity';
import { boardOf, FIGURE_ROOM } from '../whatif';
import type { Control } from './control';
import type { DesignCircuit } from './run';

/** A design as it is drawn: its power parts with the divider, the sense resistor and the gate resistor of its controller. */
export interface DrawnDesign {
  readonly board: Board;
  /** What stands beside the parts. */
  readonly figures: Readonly<Record<string, { readonly value: number; readonly unit: Unit }>>;
}

/** Ohms between a controller and a gate; common practice, no source. */
const GATE_OHMS = 10;

const resistor = (ref: string, a: string, b: string): BoardPart => ({
  ref,
  kind: 'resistor',
  pins: { 1: a, 2: b },
  marking: FIGURE_ROOM,
});

/** What of a design is drawn, with the values that its controller was given. */
export function drawnDesign({ circuit, values, figures }: DesignCircuit, control: Control | undefined): DrawnDesign {
  const board = boardOf(circuit, values);
  const valueOf = (name: string) => control?.outer.find((one) => one.name === name)?.value;
  const [upper, lower, sense] = ['upper divider', 'lower divider', 'sense resistor'].map(valueOf);
  const [plus, minus] = circuit.output;
  const isGrounded = minus === '0';
  const source = board.parts.find(({ ref }) => ref === 'Q1')?.pins['S'];
  const hasSense = sense !== undefined && source === '0';
  const hasDivider = upper !== undefined && lower !== undefined && isGrounded;
  const parts = board.parts.map((part): BoardPart => {
    if (part.ref === 'Q1' && hasSense) return { ...part, pins: { ...part.pins, S: 'cs' } };
    if (part.kind !== 'ic') return part;
    return {
      ...part,
      pins: {
        VCC: 'in',
        ...(hasDivider ? { FB: 'fb' } : {}),
        OUT: 'drive',
        ...(hasSense ? { CS: 'cs' } : {}),
        GND: '0',
      },
    };
  });
  const small = [
    resistor('R4', 'drive', 'g1'),
    ...(hasSense ? [resistor('R3', 'cs', '0')] : []),
    ...(hasDivider ? [resistor('R1', plus, 'fb'), resistor('R2', 'fb', '0')] : []),
  ];
  const ohms = (value: number) => ({ value, unit: 'ohm' as const });
  return {
    board: { ...board, parts: [...parts, ...small] },
    figures: {
      ...figures,
      R4: ohms(GATE_OHMS),
      ...(hasSense ? { R3: ohms(sense) } : {}),
      ...(hasDivider ? { R1: ohms(upper), R2: ohms(lower) } : {}),
    },
  };
}
