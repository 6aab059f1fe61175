import fc from 'fast-check';
import {
  afterStringShorted,
  bleedThrough,
  fitDischarge,
  hazardBand,
  largestBleed,
  mayHold,
  seriesCapacitance,
  storedEnergy,
  storeState,
  suggestBleed,
  timeToLimit,
  METER_LIMIT,
  TOUCH_LIMIT_DC,
  upperBound,
  type HazardSeverity,
} from '.';

const SEED = { seed: 20261114, numRuns: 400 };
const volts = fc.double({ min: 1, max: 800, noNaN: true });
const farads = fc.double({ min: 1e-9, max: 2e-2, noNaN: true });
const ohms = fc.double({ min: 10, max: 1e7, noNaN: true });
const GRAVITY: readonly HazardSeverity[] = ['ok', 'note', 'warn', 'danger'];

const gravity = (voltage: number, capacitance: number) =>
  GRAVITY.indexOf(hazardBand({ voltage, capacitance, energy: storedEnergy({ capacitance, voltage }) }).severity);

// Below the touch limit the bands speak of soldering and meters instead, so the law holds on either side of it.
test('more volts, or more farads, never make a store milder on the same side of the touch limit', () => {
  fc.assert(
    fc.property(volts, farads, fc.double({ min: 1, max: 5, noNaN: true }), (voltage, capacitance, more) => {
      if (voltage > TOUCH_LIMIT_DC.volts || voltage * more <= TOUCH_LIMIT_DC.volts)
        expect(gravity(voltage * more, capacitance)).toBeGreaterThanOrEqual(gravity(voltage, capacitance));
      expect(gravity(voltage, capacitance * more)).toBeGreaterThanOrEqual(gravity(voltage, capacitance));
    }),
    SEED,
  );
});

test('no single reading is ever called safe', () => {
  fc.assert(
    fc.property(fc.double({ min: 0, max: 800, noNaN: true }), farads, (voltage, capacitance) => {
      expect(gravity(voltage, capacitance)).toBeGreaterThan(GRAVITY.indexOf('ok'));
    }),
    SEED,
  );
});

test('after the time to a limit the voltage is at the limit: V0·exp(−t/RC)', () => {
  fc.assert(
    fc.property(volts, volts, farads, ohms, (start, limit, capacitance, resistance) => {
      const time = timeToLimit({ start, limit, capacitance, resistance });
      const left = start * Math.exp(-time / (resistance * capacitance));
      expect(left).toBeLessThanOrEqual(Math.min(start, limit) * (1 + 1e-9));
      if (start > limit) expect(left / limit).toBeCloseTo(1, 6);
    }),
    SEED,
  );
});

test('the largest bleed resistor takes exactly the time it was given', () => {
  fc.assert(
    fc.property(fc.double({ min: 61, max: 800, noNaN: true }), farads, (start, capacitance) => {
      const resistance = largestBleed({ start, limit: 60, capacitance, within: 5 });
      expect(timeToLimit({ start, limit: 60, capacitance, resistance })).toBeCloseTo(5, 6);
    }),
    SEED,
  );
});

test('a suggested tool stands the pulse it was suggested for, or says that nothing common does', () => {
  fc.assert(
    fc.property(fc.double({ min: 5, max: 1000, noNaN: true }), farads, (start, capacitance) => {
      const plan = suggestBleed({ start, capacitance });
      if (!plan) throw new Error('up to 1 kV there is a tool');
      expect(start / plan.pieces).toBeLessThanOrEqual(500);
      expect(plan.energy).toBeCloseTo(storedEnergy({ capacitance, voltage: start }), 9);
      expect(plan.initialPower).toBeCloseTo(start ** 2 / plan.resistance, 6);
      if (plan.wirewound !== undefined) {
        expect(plan.initialPower).toBeLessThanOrEqual(10 * plan.wirewound * plan.pieces);
        expect(plan.energy).toBeLessThanOrEqual(31.25 * plan.wirewound * plan.pieces);
      }
      expect(plan.timeToTouch).toBeLessThanOrEqual(plan.timeToSolder);
      expect(plan.timeToSolder).toBeLessThanOrEqual(plan.timeToMeter);
    }),
    SEED,
  );
});

test('twice the resistor, half the first power and twice the time', () => {
  fc.assert(
    fc.property(volts, farads, ohms, (start, capacitance, resistance) => {
      const one = bleedThrough({ start, capacitance, resistance });
      const two = bleedThrough({ start, capacitance, resistance: 2 * resistance });
      expect(two.initialPower * 2).toBeCloseTo(one.initialPower, 6);
      expect(two.timeToSolder).toBeCloseTo(2 * one.timeToSolder, 6);
      expect(two.energy).toBe(one.energy);
    }),
    SEED,
  );
});

test('an exact decay gives its time constant back, whatever the resistor and the capacitor', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.5, max: 2000, noNaN: true }),
      fc.double({ min: 100, max: 420, noNaN: true }),
      fc.integer({ min: 4, max: 9 }),
      (tau, start, count) => {
        const readings = Array.from({ length: count }, (_, index) => {
          const time = (index * 1.2 * tau) / (count - 1);
          return { time, voltage: start * Math.exp(-time / tau) };
        });
        const fit = fitDischarge(readings);
        expect(fit.model).toBe('exponential');
        expect((fit.tau ?? 0) / tau).toBeCloseTo(1, 6);
        expect((fit.timeTo?.(60).time ?? 0) / (tau * Math.log(start / 60))).toBeCloseTo(1, 6);
        expect(fit.timeTo?.(60).latest).toBeGreaterThanOrEqual((fit.timeTo?.(60).time ?? 0) - 1e-9);
      },
    ),
    SEED,
  );
});

test('no readings make the fit throw, and a time comes out only with an exponential', () => {
  const reading = fc.record({
    time: fc.double({ min: 0, max: 1e4, noNaN: true }),
    voltage: fc.double({ min: -10, max: 800, noNaN: true }),
    resolution: fc.constantFrom(0.001, 0.1, 1),
  });
  fc.assert(
    fc.property(fc.array(reading, { maxLength: 8 }), (readings) => {
      const fit = fitDischarge(readings);
      expect(fit.residuals).toHaveLength(readings.length);
      if (fit.model !== 'exponential') {
        expect(fit.timeTo).toBeUndefined();
        expect(fit.warnings.length).toBeGreaterThan(0);
      }
    }),
    { ...SEED, numRuns: 1500 },
  );
});

test('a store is dead only by its own last reading after the last power, under 1 V with its doubt, in whatever order they come', () => {
  const reading = fc.record({
    voltage: fc.oneof(fc.double({ min: 0, max: 400, noNaN: true }), fc.double({ min: 0, max: 1.2, noNaN: true })),
    resolution: fc.constantFrom(0.001, 0.1, 1),
    takenAt: fc.integer({ min: 0, max: 1e6 }),
  });
  fc.assert(
    fc.property(
      fc.uniqueArray(reading, { maxLength: 6, selector: ({ takenAt }) => takenAt }),
      fc.record({
        appliedAt: fc.option(fc.integer({ min: 0, max: 1e6 }), { nil: undefined }),
        removedAt: fc.option(fc.integer({ min: 0, max: 1e6 }), { nil: undefined }),
      }),
      (readings, power) => {
        const state = storeState(readings, { history: power });
        const last = [...readings].sort((a, b) => b.takenAt - a.takenAt)[0];
        const { appliedAt, removedAt } = power;
        const isOff = appliedAt === undefined || (removedAt !== undefined && removedAt >= appliedAt);
        const isAfter = last !== undefined && last.takenAt >= Math.max(appliedAt ?? 0, removedAt ?? 0);
        const isEmpty = last !== undefined && upperBound(last) <= METER_LIMIT.volts;
        expect(state.kind === 'measured-dead').toBe(isOff && isAfter && isEmpty);
        expect(storeState([...readings].reverse(), { history: power })).toEqual(state);
      },
    ),
    SEED,
  );
});

test('a shorted string keeps no voltage over its ends, and its charge over the parts adds up', () => {
  const member = fc.record({ capacitance: fc.double({ min: 1e-6, max: 1e-3, noNaN: true }), voltage: volts });
  fc.assert(
    fc.property(fc.array(member, { minLength: 2, maxLength: 5 }), (members) => {
      const left = afterStringShorted(members);
      expect(left.reduce((sum, { voltage }) => sum + voltage, 0)).toBeCloseTo(0, 6);
      const moved = members.map(
        ({ voltage, capacitance }, index) => (voltage - (left[index]?.voltage ?? 0)) * capacitance,
      );
      for (const charge of moved) expect(charge / (moved[0] ?? 1)).toBeCloseTo(1, 6);
      expect(seriesCapacitance(members)).toBeLessThan(Math.min(...members.map(({ capacitance }) => capacitance)));
    }),
    SEED,
  );
});

test('knowing less never makes a store hold less', () => {
  const known = fc.record({
    role: fc.constantFrom('bulk' as const, 'filter' as const),
    ratedVoltage: fc.option(fc.constantFrom(200, 400, 450), { nil: undefined }),
    highestBulkVoltage: fc.constantFrom(186, 373),
    ratedPower: fc.option(fc.constantFrom(5, 60, 200), { nil: undefined }),
    input: fc.constantFrom('ac' as const),
  });
  fc.assert(
    fc.property(known, (store) => {
      const { highestBulkVoltage: _plate, ...unread } = store;
      expect(mayHold(unread).volts ?? Infinity).toBeGreaterThanOrEqual(
        mayHold({ ...store, ratedPower: undefined }).volts ?? 0,
      );
    }),
    SEED,
  );
});
