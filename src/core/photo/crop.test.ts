import fc from 'fast-check';
import { cropAround } from '.';

// By hand: two pins a tenth of the width apart are shown with 2.2 times that around them; 4:3 of a 3:2 picture.
test('a part is shown with what lies around it', () => {
  const spots = [
    { x: 0.45, y: 0.5 },
    { x: 0.55, y: 0.5 },
  ];
  const crop = cropAround(spots, { width: 3000, height: 2000 }, 4 / 3);
  expect(crop.width).toBeCloseTo(0.22, 9);
  expect(crop.height).toBeCloseTo(0.22 * (3 / 4) * (3000 / 2000), 9);
  expect(crop.left).toBeCloseTo(0.39, 9);
  expect(crop.top + crop.height / 2).toBeCloseTo(0.5, 9);
});

test('the spots lie in the crop, which lies in the picture and has its shape', () => {
  const share = fc.double({ min: 0, max: 1, noNaN: true });
  const side = fc.integer({ min: 100, max: 4000 });
  fc.assert(
    fc.property(
      fc.array(fc.record({ x: share, y: share }), { minLength: 1, maxLength: 6 }),
      fc.record({ width: side, height: side }),
      (spots, picture) => {
        const crop = cropAround(spots, picture, 4 / 3);
        expect((crop.width * picture.width) / (crop.height * picture.height)).toBeCloseTo(4 / 3, 6);
        expect(crop.width).toBeLessThanOrEqual(1);
        if (crop.height > 1) return;
        expect(crop.left).toBeGreaterThanOrEqual(0);
        expect(crop.top).toBeGreaterThanOrEqual(0);
        expect(crop.top + crop.height).toBeLessThanOrEqual(1 + 1e-9);
        if (crop.width === 1) return;
        for (const { x, y } of spots) {
          expect(x).toBeGreaterThanOrEqual(crop.left - 1e-9);
          expect(x).toBeLessThanOrEqual(crop.left + crop.width + 1e-9);
          expect(y).toBeGreaterThanOrEqual(crop.top - 1e-9);
          expect(y).toBeLessThanOrEqual(crop.top + crop.height + 1e-9);
        }
      },
    ),
    { seed: 4, numRuns: 300 },
  );
});
