/**
 * Energy in a charged capacitor, in joules: E = C·V²/2 (farads, volts).
 * @example storedEnergy({ capacitance: 220e-6, voltage: 400 }) // 17.6 J
 */
export function storedEnergy({ capacitance, voltage }: { capacitance: number; voltage: number }): number {
  return (capacitance * voltage * voltage) / 2;
}
