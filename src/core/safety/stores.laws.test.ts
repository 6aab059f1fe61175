import fc from 'fast-check';
import {
  bleedThroughLamp,
  judgeBleedTool,
  linkVoltages,
  parseBank,
  storesFromParts,
  storeState,
  suggestBleed,
  type BankLink,
} from '.';

const SEED = { seed: 17, numRuns: 500 };
const microfarads = fc.constantFrom(1, 4.7, 22, 68, 100, 220, 470, 1000);
const bankOf = (text: string) => {
  const read = parseBank(text);
  if (!read.ok) throw new Error(text);
  return read.bank;
};

test('n capacitors in parallel hold n times as much, in series an n-th', () => {
  fc.assert(
    fc.property(microfarads, fc.integer({ min: 1, max: 20 }), (uF, count) => {
      expect(bankOf(`${count} x ${uF}u`).capacitance).toBeCloseTo(count * uF * 1e-6, 12);
      expect(bankOf(`${count} x ${uF}u series`).capacitance).toBeCloseTo((uF * 1e-6) / count, 12);
    }),
    SEED,
  );
});

test('the shares of a string add up to the whole, and the worst case is never below the nominal', () => {
  const links = fc.array(
    microfarads.map((uF): BankLink => ({ capacitance: uF * 1e-6, count: 1 })),
    { minLength: 2, maxLength: 5 },
  );
  fc.assert(
    fc.property(links, fc.integer({ min: 10, max: 900 }), (string, volts) => {
      const shares = linkVoltages(string, volts);
      expect(shares.reduce((sum, { nominal }) => sum + nominal, 0)).toBeCloseTo(volts, 6);
      for (const { nominal, worst } of shares) {
        expect(worst).toBeGreaterThanOrEqual(nominal - 1e-9);
        expect(worst).toBeLessThanOrEqual(volts + 1e-9);
      }
    }),
    SEED,
  );
});

test('no text makes the bank reader throw, and what it reads is a size', () => {
  fc.assert(
    fc.property(fc.string({ maxLength: 40 }), (text) => {
      const read = parseBank(text);
      if (read.ok) expect(read.bank.capacitance).toBeGreaterThan(0);
    }),
    SEED,
  );
});

const store = fc.record({
  start: fc.integer({ min: 70, max: 450 }),
  capacitance: microfarads.map((uF) => uF * 1e-6),
});

test('a stronger resistor of the same value is never judged worse', () => {
  const rank = { poor: 0, slow: 1, good: 2 } as const;
  fc.assert(
    fc.property(
      store,
      fc.constantFrom(470, 2200, 10e3, 100e3),
      fc.constantFrom(0.25, 1, 5),
      (of, resistance, power) => {
        const verdict = (watts: number) =>
          rank[judgeBleedTool(of, { resistance, power: watts, build: 'wirewound' }).verdict];
        expect(verdict(power * 4)).toBeGreaterThanOrEqual(verdict(power));
      },
    ),
    SEED,
  );
});

test('what is suggested passes its own judgement, where a wirewound part can do it', () => {
  fc.assert(
    fc.property(store, (of) => {
      const plan = suggestBleed(of);
      if (plan?.wirewound === undefined) return;
      // Each piece sees its share of the voltage, and of the energy.
      const { pieces, resistance, wirewound } = plan;
      const share = { ...of, start: of.start / pieces, capacitance: of.capacitance * pieces };
      const { verdict } = judgeBleedTool(share, {
        resistance: resistance / pieces,
        power: wirewound,
        build: 'wirewound',
      });
      expect(verdict).toBe('good');
    }),
    SEED,
  );
});

test('a lamp empties a store later under a lower limit, and a bigger lamp sooner', () => {
  fc.assert(
    fc.property(store, fc.constantFrom(25, 40, 60, 100), (of, ratedPower) => {
      const bleed = (watts: number) =>
        bleedThroughLamp({ ...of, lamp: { ratedVoltage: 230, ratedPower: watts }, touchLimit: 60, solderLimit: 5 });
      const own = bleed(ratedPower);
      expect(own.timeToSolder).toBeGreaterThanOrEqual(own.timeToTouch);
      expect(bleed(ratedPower * 2).timeToSolder).toBeLessThan(own.timeToSolder);
    }),
    SEED,
  );
});

test('power that was never taken away leaves nothing measured dead', () => {
  const reading = fc.record({
    voltage: fc.double({ min: 0, max: 20, noNaN: true }),
    resolution: fc.constantFrom(0.001, 0.01),
    takenAt: fc.integer({ min: 0, max: 1e6 }),
  });
  fc.assert(
    fc.property(fc.array(reading, { maxLength: 6 }), fc.integer({ min: 0, max: 1e6 }), (readings, appliedAt) => {
      expect(storeState(readings, { history: { appliedAt } }).kind).not.toBe('measured-dead');
    }),
    SEED,
  );
});

test.each`
  part                                                               | role         | why
  ${{ ref: 'C3', capacitance: 82e-6, voltage: 400 }}                 | ${'bulk'}    | ${'a reservoir'}
  ${{ ref: 'C2', capacitance: 470e-9, voltage: 400 }}                | ${undefined} | ${'small at high voltage: a snubber'}
  ${{ ref: 'CX1', capacitance: 220e-9, voltage: 275 }}               | ${'filter'}  | ${'named as a filter'}
  ${{ ref: 'C8', subtype: 'x2', capacitance: 330e-9 }}               | ${'filter'}  | ${'its class'}
  ${{ ref: 'CY1', subtype: 'y1', capacitance: 2.2e-9 }}              | ${undefined} | ${'too small to bleed'}
  ${{ ref: 'C21', capacitance: 2200e-6, voltage: 25 }}               | ${'output'}  | ${'0.7 J'}
  ${{ ref: 'C22', capacitance: 100e-6, voltage: 25 }}                | ${undefined} | ${'0.03 J'}
  ${{ ref: 'R1', kind: 'resistor', capacitance: 1 }}                 | ${undefined} | ${'no capacitor'}
  ${{ ref: 'C4', capacitance: 82e-6, voltage: 400, onBoard: false }} | ${undefined} | ${'taken already'}
  ${{ ref: 'C9', capacitance: 82e-6, voltage: 400 }}                 | ${undefined} | ${'listed already'}
`('$part.ref is offered as $role ($why)', ({ part, role }) => {
  const [offer] = storesFromParts([{ kind: 'capacitor', subtype: null, onBoard: true, ...part }], ['C9']);
  expect(offer?.role).toBe(role);
});
