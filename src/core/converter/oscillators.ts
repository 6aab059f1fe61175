/** How a controller’s frequency follows from its parts; all from memory of datasheets and makers’ notes. */
export interface Oscillator {
  readonly family: string;
  readonly frequency: (of: { readonly ohms: number; readonly farads: number; readonly discharge: number }) => number;
  /** The output runs at this share of the oscillator. */
  readonly output: number;
  /** It takes a resistor of its own for the discharge. */
  readonly hasDischarge?: true;
  readonly note?: string;
}

const plain =
  (constant: number) =>
  ({ ohms, farads }: { readonly ohms: number; readonly farads: number }) =>
    constant / (ohms * farads);

export const OSCILLATORS: readonly Oscillator[] = [
  { family: 'UC3842', frequency: plain(1.72), output: 1, note: 'holds for a resistor above 5 kΩ' },
  { family: 'UC3843', frequency: plain(1.72), output: 1, note: 'holds for a resistor above 5 kΩ' },
  { family: 'UC3844', frequency: plain(1.72), output: 0.5, note: 'holds for a resistor above 5 kΩ' },
  { family: 'UC3845', frequency: plain(1.72), output: 0.5, note: 'holds for a resistor above 5 kΩ' },
  {
    family: 'TL494',
    frequency: plain(1.1),
    output: 0.5,
    note: 'each output at half of it in push-pull; single-ended at all of it',
  },
  {
    family: 'SG3525',
    frequency: ({ ohms, farads, discharge }) => 1 / (farads * (0.7 * ohms + 3 * discharge)),
    output: 0.5,
    hasDischarge: true,
  },
  { family: 'SG3524', frequency: plain(1.3), output: 0.5 },
  { family: 'UC3846', frequency: plain(2.2), output: 0.5 },
  { family: 'UC3854', frequency: plain(1.25), output: 1 },
  { family: 'IR2153', frequency: ({ ohms, farads }) => 1 / (1.4 * (ohms + 75) * farads), output: 1 },
  { family: 'L6599', frequency: plain(1 / 3), output: 1, note: 'the lowest frequency; the feedback raises it' },
];
