import { upperInverse, type Network } from './network';

/** What stores hold at an instant, by the name of the element: volts of a capacitor, amperes of a coil. */
export type Stored = ReadonlyMap<string, number>;

/** Reads the stores of a network out of its scaled state. */
export function storedIn({ capacitors, inductors, inductance }: Network, state: Float64Array): Stored {
  const stored = new Map<string, number>();
  capacitors.forEach(({ name, farads }, index) => stored.set(name, (state[index] ?? 0) / Math.sqrt(farads)));
  const count = inductors.length;
  const inverse = upperInverse(inductance, count);
  inductors.forEach(({ name }, coil) => {
    let amperes = 0;
    for (let column = 0; column < count; column += 1)
      amperes += inverse[coil * count + column]! * (state[capacitors.length + column] ?? 0);
    // The winding stands before what its core gives way by.
    if (!stored.has(name)) stored.set(name, amperes);
  });
  return stored;
}
