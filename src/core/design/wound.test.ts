import { CORES } from '../magnetics';
import { allAtOnce } from '../steps';
import { readQuestion } from '../stock';
import { demandOf } from './point';
import { coreHeat, coreOf, turnsFor, woundLot } from './wound';
import {
  designFrom,
  needFor,
  recordOf,
  runDesign,
  searchDesigns,
  windingSheet,
  type DesignLot,
  type DesignSpec,
} from '.';

const core = (name: string) => {
  const found = CORES.find((one) => one.name === name);
  if (!found) throw new Error(name);
  return found;
};
const lot = (kind: string, more: Partial<DesignLot>): DesignLot => ({
  code: more.code ?? 'K1',
  kind,
  pieces: 2,
  ratings: {},
  ...more,
});

test.each`
  kind             | of                                  | name
  ${'transformer'} | ${{ package: 'EF25' }}              | ${'E25/13/7'}
  ${'transformer'} | ${{ package: 'E25/13/7' }}          | ${'E25/13/7'}
  ${'inductor'}    | ${{ marking: 'core etd 34 ETD34' }} | ${'ETD34/17/11'}
  ${'transformer'} | ${{ package: 'PQ26/25' }}           | ${'PQ26/25'}
  ${'transformer'} | ${{ package: 'E42' }}               | ${undefined}
  ${'transformer'} | ${{ package: 'EE33' }}              | ${undefined}
  ${'transformer'} | ${{ package: 'toroid' }}            | ${undefined}
  ${'nmos'}        | ${{ package: 'RM8' }}               | ${undefined}
`('a $kind of $of is the core $name', ({ kind, of, name }) => {
  // Two cores begin with E42; the window of an EE33 is not in the table.
  expect(coreOf(lot(kind as string, of as Partial<DesignLot>))?.name).toBe(name);
});

// FORMULAS F5-3: 600 µH, 1.5 A, E25/13/7 at 0.25 T: 70 turns and a gap of 0.508 mm.
test('turns and gap are those of the worked example', () => {
  const found = turnsFor(core('E25/13/7'), 600e-6, 1.5);
  expect(found?.turns).toBe(70);
  expect(found?.gap).toBeCloseTo(0.508e-3, 6);
});

// A usual power ferrite at 100 °C, 100 kHz and 0.2 T loses some 375 kW/m³ by its makers' curves, from memory; half as much again is reckoned with.
test('a core loses what its swing makes it lose', () => {
  const e25 = core('E25/13/7');
  const wound = woundLot(
    { inputLow: 12, inputHigh: 12, output: 24, current: 1 },
    lot('transformer', { package: 'EF25' }),
    { topology: 'boost', frequency: 100e3, core: e25 },
  );
  const demand = demandOf(
    { inputLow: 12, inputHigh: 12, output: 24, current: 1 },
    { topology: 'boost', frequency: 100e3, inductance: wound?.ratings['inductance'] ?? 0 },
  );
  const heat = demand && wound?.winding && coreHeat(demand, wound.winding, 0);
  // Volts × seconds over turns and area swing it from end to end: half of it counts.
  const duty = demand?.point.at[0]?.duty ?? 0;
  const flux = (11.9 * duty) / (100e3 * (wound?.winding?.primary.turns ?? 1) * e25.area) / 2;
  expect(heat?.watts).toBeCloseTo(560e3 * e25.volume * (flux / 0.2) ** 2.5, 2);
  expect(heat?.celsius).toBeGreaterThan(40);
});

const DRAWERS: readonly DesignLot[] = [
  lot('nmos', { code: 'Q1', package: 'TO-220', ratings: { vds: 150, rdsOn: 0.06, id: 30 } }),
  lot('dual-diode', { code: 'D1', package: 'TO-220', technology: 'schottky', ratings: { vrrm: 150, ifav: 20 } }),
  lot('capacitor', {
    code: 'C1',
    technology: 'electrolytic',
    pieces: 6,
    ratings: { capacitance: 1e-3, voltage: 63, esr: 0.03, ripple: 2 },
  }),
  lot('transformer', { code: 'K25', package: 'EF25' }),
  lot('transformer', { code: 'K16', package: 'EF16' }),
  lot('inductor', { code: 'K34', marking: 'ETD34' }),
];

test.each<[DesignSpec]>([
  [{ inputLow: 22, inputHigh: 26, output: 48, current: 1 }],
  [{ inputLow: 20, inputHigh: 28, output: 12, current: 3 }],
  [{ inputLow: 20, inputHigh: 28, output: 12, current: 1.5, isolated: true }],
])('%j on a core that is wound runs as its sums say, is kept, and is asked for in the drawers', (spec) => {
  const result = allAtOnce(searchDesigns(spec, DRAWERS));
  const designs = ('wrong' in result ? [] : result.designs).filter(({ parts }) => parts.choke?.lot.winding);
  expect(designs.length).toBeGreaterThan(0);
  for (const design of designs) {
    const { lot: wound, celsius = 0 } = design.parts.choke ?? {};
    const { winding } = wound ?? {};
    if (!wound || !winding) continue;
    expect(winding.flux).toBeLessThan(0.26);
    expect(winding.fill).toBeLessThanOrEqual(0.6);
    expect(celsius).toBeLessThanOrEqual(100);
    const run = runDesign(design, spec);
    expect(Math.abs((run?.volts ?? 0) / spec.output - 1)).toBeLessThan(0.01);
    // The leakage of a flyback costs duty that its sums take as a loss of power.
    expect(Math.abs((run?.peak ?? 0) / design.demand.peak - 1)).toBeLessThan(
      design.topology === 'flyback' ? 0.08 : 0.03,
    );
    const again = designFrom(JSON.parse(JSON.stringify(recordOf(design, spec, undefined))) as never);
    expect(again?.cost).toBeCloseTo(design.cost, 9);
    const read = readQuestion(needFor(design, 'choke'));
    expect(read.ok && read.filter.kind?.kinds).toContain(wound.kind);
  }
});

test('a winding sheet says turns, gap, checks and what keeps it from the mains', () => {
  const spec = { inputLow: 20, inputHigh: 28, output: 12, current: 1.5, isolated: true };
  const result = allAtOnce(searchDesigns(spec, DRAWERS));
  const [best] = 'wrong' in result ? [] : result.designs;
  const sheet = best ? windingSheet(best) : [];
  const says = Object.fromEntries(sheet.map(({ name, value }) => [name, value]));
  const { primary, secondary } = best?.parts.choke?.lot.winding ?? {};
  expect(says['primary']).toMatch(new RegExp(`^${String(primary?.turns)} turns of .* its end to the switch$`, 'u'));
  expect(says['secondary']).toContain(`${String(secondary?.turns)} turns`);
  expect(says['gap']).toMatch(/a spacer of .* under every leg/u);
  expect(best?.parts.choke?.notes.join()).toContain('no barrier to the mains');
  // A transformer or choke that is taken as it is has no sheet.
  const plain = allAtOnce(
    searchDesigns({ ...spec, isolated: false }, [
      ...DRAWERS.slice(0, 3),
      lot('inductor', { code: 'L1', ratings: { inductance: 100e-6, saturation: 6, current: 6, dcr: 0.03 } }),
    ]),
  );
  expect('wrong' in plain ? undefined : plain.designs.map(windingSheet).flat()).toEqual([]);
});
