import { currentShare, onGrowth, plateFor, plateResistance, switchLosses } from '.';

const near = (got: number | undefined, want: number, within = 0.006) =>
  expect([got, Math.abs((got ?? NaN) / want - 1) < within]).toEqual([got, true]);

// F7-1, F7-3, F7-4 and F4-4, derived; the plate on the classic formula of handbooks (from memory).
test('losses, plates, derating', () => {
  const losses = switchLosses({
    rms: 1.5,
    ohms: 0.38,
    growth: 2,
    volts: 400,
    current: 1.5,
    seconds: 50e-9,
    frequency: 100e3,
    outputCapacitance: 150e-12,
  });
  near(losses.conduction, 1.71);
  near(losses.switching, 1.5);
  near(losses.charging, 1.2);
  const black = { area: 100e-4, thickness: 2e-3, finish: 'black, upright' } as const;
  near(plateResistance(black), 4.1, 0.015);
  near(plateResistance({ ...black, finish: 'bright, upright' }), 7.1, 0.015);
  near(plateResistance({ ...black, area: 50e-4, thickness: 1.5e-3 }), 7.1, 0.015);
  near(plateFor({ ...black, resistance: plateResistance(black) }), 100e-4, 1e-9);
  expect(plateFor({ ...black, resistance: 1 })).toBeUndefined();
  near(currentShare({ celsius: 100, most: 150 }), 0.632, 1e-3);
  near(currentShare({ celsius: 75, most: 150 }), 0.775, 1e-3);
  expect(currentShare({ celsius: 160, most: 150 })).toBe(0);
  near(onGrowth({ rating: 650, celsius: 125 }), 2.01);
  near(onGrowth({ rating: 200, celsius: 125 }), 1.82);
  near(onGrowth({ rating: 60, celsius: 125 }), 1.57);
});
