import fc from 'fast-check';
import { describePlate, judgeNameplate, outputPower, parseNameplate } from '.';

const SEED = { seed: 11, numRuns: 1500 };

test('no text makes the reader throw, and no figure comes out that is none', () => {
  const scrap = fc.constantFrom(
    'INPUT',
    'OUTPUT',
    '100-240V~',
    '19V',
    '4.74A',
    '2,5A',
    '50/60Hz',
    'MAX',
    '300W',
    'or',
    '-12V',
    'USB-C',
    '=',
    '⎓',
    'x',
    '1.',
    'V',
    '..',
    '5VSB',
  );
  fc.assert(
    fc.property(
      fc.oneof(
        fc.string({ maxLength: 60 }),
        fc.array(scrap, { maxLength: 12 }).map((words) => words.join(' ')),
      ),
      (text) => {
        const plate = parseNameplate(text);
        const judged = judgeNameplate(plate, { length: 0.1, width: 0.05, height: 0.03 });
        expect(describePlate(plate)).not.toContain('NaN');
        for (const value of [
          judged.ratedPower,
          judged.highestBulkVoltage,
          ...judged.inputCurrents.map(({ amperes }) => amperes),
        ])
          if (value !== undefined) expect(Number.isFinite(value)).toBe(true);
        for (const { text: message } of judged.findings) expect(message).not.toContain('NaN');
      },
    ),
    SEED,
  );
});

const output = fc.record({ v: fc.constantFrom(3.3, 5, 12, 19, 24, 42), i: fc.constantFrom(0.5, 1, 2.5, 4.74, 10) });

test('what is printed in the usual way is read back', () => {
  fc.assert(
    fc.property(
      fc.array(output, { minLength: 1, maxLength: 4 }),
      fc.constantFrom('V ', 'V/', 'V=', 'VDC '),
      (outputs, join) => {
        const text = `INPUT 100-240V~ 50/60Hz 2A OUTPUT ${outputs.map(({ v, i }) => `${v}${join}${i}A`).join(' ')}`;
        expect(parseNameplate(text).outputs).toEqual(outputs);
      },
    ),
    SEED,
  );
});

test('the sum over the outputs is the rated power, unless a smaller total is printed', () => {
  fc.assert(
    fc.property(
      fc.array(output, { minLength: 1, maxLength: 4 }),
      fc.option(fc.integer({ min: 1, max: 400 }), { nil: undefined }),
      (outputs, total) => {
        const plate = { inputs: [], outputs, ...(total === undefined ? {} : { totalPower: total }) };
        const sum = outputs.reduce((watts, entry) => watts + (outputPower(entry) ?? 0), 0);
        expect(judgeNameplate(plate).ratedPower).toBeCloseTo(Math.min(sum, total ?? Infinity), 6);
      },
    ),
    SEED,
  );
});

test('more volts at the plug, less current; the product is the same power', () => {
  fc.assert(
    fc.property(output, (entry) => {
      const { inputCurrents } = judgeNameplate({ inputs: [{ kind: 'ac', vMin: 100, vMax: 240 }], outputs: [entry] });
      const [low, high] = inputCurrents;
      expect((low?.volts ?? 0) * (low?.amperes ?? 0)).toBeCloseTo((high?.volts ?? 0) * (high?.amperes ?? 1), 6);
    }),
    SEED,
  );
});
