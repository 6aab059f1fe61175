/** The tank of an LLC converter. Henry, farad; turns are primary turns for one of the secondary. */
export interface Tank {
  readonly series: number;
  readonly magnetising: number;
  readonly capacitance: number;
  readonly turns: number;
}

/** What a tank is at a load; method: first harmonic, as in makers’ notes for LLC half bridges (from memory). */
export interface TankFigures {
  /** Resonance of the series inductance alone and of both, hertz. */
  readonly resonance: number;
  readonly lower: number;
  readonly impedance: number;
  readonly ratio: number;
  readonly quality: number;
  /** Resistance that the load is at the primary. */
  readonly reflected: number;
}

export function tankOf({ series, magnetising, capacitance, turns }: Tank, load: number): TankFigures {
  const resonance = 1 / (2 * Math.PI * Math.sqrt(series * capacitance));
  const ratio = magnetising / series;
  const impedance = Math.sqrt(series / capacitance);
  const reflected = (8 * turns ** 2 * load) / Math.PI ** 2;
  return {
    resonance,
    lower: resonance / Math.sqrt(1 + ratio),
    impedance,
    ratio,
    quality: impedance / reflected,
    reflected,
  };
}

/** Gain at a frequency as a share of the resonance; one at resonance whatever the load. */
export function tankGain({ ratio, quality }: Pick<TankFigures, 'ratio' | 'quality'>, share: number): number {
  const square = share ** 2;
  return (ratio * square) / Math.hypot((ratio + 1) * square - 1, (square - 1) * share * quality * ratio);
}

/** The largest gain and where it is, as a share of the resonance; below it the tank is capacitive and the switches lose their soft turn-on. */
export function peakGain(tank: Pick<TankFigures, 'ratio' | 'quality'>): {
  readonly share: number;
  readonly gain: number;
} {
  const lowest = 1 / Math.sqrt(1 + tank.ratio);
  const shares = Array.from({ length: 2001 }, (_, index) => lowest * 0.7 + ((1.2 - lowest * 0.7) * index) / 2000);
  const [first = 1] = shares;
  return shares.reduce(
    (best, share) => {
      const gain = tankGain(tank, share);
      return gain > best.gain ? { share, gain } : best;
    },
    { share: first, gain: tankGain(tank, first) },
  );
}

/** The share of the resonance above the peak at which a gain is reached; undefined where it is above the peak. */
export function shareForGain(tank: Pick<TankFigures, 'ratio' | 'quality'>, gain: number): number | undefined {
  const peak = peakGain(tank);
  if (gain > peak.gain) return undefined;
  let [low, high] = [peak.share, 20];
  if (tankGain(tank, high) > gain) return undefined;
  for (let turn = 0; turn < 80; turn += 1) {
    const middle = (low + high) / 2;
    if (tankGain(tank, middle) > gain) low = middle;
    else high = middle;
  }
  return low;
}

/** Currents at resonance, rms unless said otherwise; with a centre-tapped secondary. */
export function resonantCurrents(
  tank: Tank,
  { volts, current, resonance }: { readonly volts: number; readonly current: number; readonly resonance: number },
) {
  const { turns, magnetising, capacitance } = tank;
  const load = (Math.PI * current) / (2 * Math.SQRT2 * turns);
  const magnetisingPeak = (turns * volts) / (4 * magnetising * resonance);
  const total = Math.hypot(load, magnetisingPeak / Math.sqrt(3));
  return {
    load,
    magnetisingPeak,
    total,
    secondary: (Math.PI * current) / 4,
    outputCapacitor: current * Math.sqrt(Math.PI ** 2 / 8 - 1),
    capacitorVolts: total / (2 * Math.PI * resonance * capacitance),
  };
}
