import { clearance, creepage, touchCurrent, WORST } from '.';

// F10-1 and F10-2, derived on IEC 60664-1 and the limits of IEC 62368-1 (both from memory).
test('creepage and clearance', () => {
  for (const [volts, millimetres] of [
    [250, 2.5],
    [264, 2.64],
    [415, 4.15],
    [20, 1.2],
  ] as const)
    expect((creepage(volts, 'ordinary board') ?? NaN) * 1e3).toBeCloseTo(millimetres, 2);
  expect(creepage(250, 'CTI 600 and more')).toBeCloseTo(1.25e-3, 6);
  expect(creepage(2000, 'ordinary board')).toBeUndefined();
  expect(clearance(230)).toEqual({ basic: 1.5e-3, reinforced: 3e-3 });
  expect(clearance(120)).toEqual({ basic: 0.5e-3, reinforced: 1.5e-3 });
  expect(clearance(230, 3000)?.basic).toBeCloseTo(1.71e-3, 6);
  expect(clearance(400)).toBeUndefined();
});

test('touch current', () => {
  for (const [farads, microamperes] of [
    [1e-9, 72],
    [2.2e-9, 159],
    [3.3e-9, 238],
    [4.7e-9, 340],
  ] as const)
    expect(touchCurrent({ farads, volts: 230, line: 50 }) * 1e6).toBeCloseTo(microamperes, -0.1);
  expect(touchCurrent({ farads: 2.2e-9 * WORST.farads, volts: 230 * WORST.volts, line: 50 }) * 1e6).toBeCloseTo(
    210,
    -0.1,
  );
  expect(touchCurrent({ farads: 2.2e-9, volts: 120, line: 60 }) * 1e6).toBeCloseTo(99.5, 0);
});
