// Times the search for designs: combinations a second, against a plain loop over the same table of costs in the same run.
import { searchDesigns, type DesignLot } from '../../src/core/design';
import { allAtOnce } from '../../src/core/steps';

const AIM = 1e6;
const spread = (index: number, from: number, to: number) => from * (to / from) ** ((index * 0.618034) % 1);
const many = (count: number, make: (index: number) => Omit<DesignLot, 'code' | 'pieces'>): DesignLot[] =>
  Array.from({ length: count }, (_, index) => {
    const lot = make(index);
    return { ...lot, code: `${lot.kind}${index}`, pieces: 4 };
  });

const lots = [
  ...many(120, (i) => ({
    kind: 'inductor',
    ratings: { inductance: spread(i, 5e-6, 1e-3), saturation: spread(i * 7, 1, 20), dcr: 0.03 },
  })),
  ...many(120, (i) => ({
    kind: 'nmos',
    package: 'TO-220',
    ratings: { vds: spread(i, 30, 600), rdsOn: spread(i * 3, 0.004, 1), id: spread(i * 5, 5, 80) },
  })),
  ...many(80, (i) => ({
    kind: 'diode',
    technology: 'schottky',
    package: 'TO-220',
    ratings: { vrrm: spread(i, 20, 200), ifav: spread(i * 3, 1, 40) },
  })),
  ...many(80, (i) => ({
    kind: 'capacitor',
    technology: 'electrolytic',
    ratings: { capacitance: spread(i, 22e-6, 4.7e-3), voltage: spread(i * 3, 10, 100), esr: 0.04, ripple: 2 },
  })),
];

const began = performance.now();
const result = allAtOnce(searchDesigns({ inputLow: 22, inputHigh: 26, output: 48, current: 1 }, lots));
const seconds = (performance.now() - began) / 1000;
if ('wrong' in result) throw new Error(result.wrong);
const rate = result.searched / seconds;

// The plain loop: costs of one choke at one frequency, every switch with every rectifier and every pair of banks.
const costs = (count: number) => Float64Array.from({ length: count }, (_, index) => spread(index, 0.1, 30));
const [switches, rectifiers, outputs, inputs] = [costs(120), costs(80), costs(240), costs(240)];
const start = performance.now();
let cheapest = Infinity;
for (const a of switches)
  for (const b of rectifiers)
    for (const c of outputs) for (const d of inputs) if (a + b + c + d < cheapest) cheapest = a + b + c + d;
const plain = (120 * 80 * 240 * 240) / ((performance.now() - start) / 1000);

const digits = (value: number) => value.toExponential(1);
process.stdout.write(
  `design: ${digits(result.searched)} combinations in ${seconds.toFixed(2)} s, ${digits(rate)} a second (aim ${digits(AIM)}); a plain loop ${digits(plain)} a second (${cheapest.toFixed(1)}); ratio ${(rate / plain).toFixed(0)}\n`,
);
if (rate < AIM) process.exitCode = 1;
