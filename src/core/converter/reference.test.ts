import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { reservoirValley } from '../nameplate';
import { convert, firedShare, resonantCurrents } from '.';

// Reference: what ngspice measured on decks of such circuits (core/circuit/fixtures), at a tight setting.
interface Results {
  readonly decks: Readonly<Record<string, { readonly measures: Readonly<Record<string, { readonly value: number }>> }>>;
}
const { decks } = JSON.parse(
  readFileSync(join(__dirname, '..', 'circuit', 'fixtures', 'results.json'), 'utf8'),
) as Results;
const measured = (deck: string, name: string): number =>
  Math.abs(Object.entries(decks[deck]?.measures ?? {}).find(([text]) => text.startsWith(name))?.[1].value ?? NaN);

const within = (got: number, want: number, share: number) =>
  expect([got, want, Math.abs(got / want - 1) < share]).toEqual([got, want, true]);

test.each([
  ['buck_ccm', { topology: 'buck', input: 24, frequency: 200e3, inductance: 22e-6, rectifierDrop: 0.54, load: 2.5 }],
  ['boost_ccm', { topology: 'boost', input: 12, frequency: 100e3, inductance: 47e-6, rectifierDrop: 0.75, load: 24 }],
  [
    'buck_boost_inv',
    { topology: 'inverting', input: 15, frequency: 150e3, inductance: 33e-6, rectifierDrop: 0.55, load: 10 },
  ],
  ['buck_dcm', { topology: 'buck', input: 12, frequency: 100e3, inductance: 10e-6, rectifierDrop: 0.5, load: 20 }],
] as const)('%s: the currents follow from the output that was measured', (deck, { load, ...task }) => {
  const output = measured(deck, 'avg v(out)');
  const came = convert({ ...task, output, current: output / load, switchDrop: 0.06 });
  if ('wrong' in came) throw new Error(came.wrong);
  within(came.switchRms, measured(deck, 'rms i(S1)'), 0.03);
  if (came.mode === 'continuous') within(came.ripple, measured(deck, 'pp i(L1)'), 0.03);
  else within(came.peak, measured(deck, 'max i(L1)'), 0.03);
});

test('a forward: ripple of its choke and what goes through its rectifier', () => {
  const output = measured('forward_reset', 'avg v(out)');
  const came = convert({
    topology: 'forward',
    input: 48,
    output,
    current: output,
    frequency: 100e3,
    inductance: 22e-6,
    turns: 3,
    rectifierDrop: 0.55,
  });
  if ('wrong' in came) throw new Error(came.wrong);
  within(came.ripple, measured('forward_reset', 'pp i(L1)'), 0.03);
  // The leakage takes some of the duty away, so that the switch stays closed longer than the sum says.
  within(output - came.rectifierMean, measured('forward_reset', 'avg i(VF1)'), 0.05);
});

test('an LLC at its resonance', () => {
  const volts = measured('llc_at_resonance', 'avg v(out)');
  const current = volts / 2.4;
  const tank = { series: 75e-6, magnetising: 400e-6, capacitance: 33e-9, turns: 8 };
  const came = resonantCurrents(tank, { volts: volts + 0.55, current, resonance: 1 / 9.88e-6 });
  within(came.secondary, measured('llc_at_resonance', 'rms i(LS1)'), 0.03);
  // The dead time squeezes the current into what is left of each half of the period: the sum without it is that much low.
  const squeezed = Math.hypot(came.load * Math.sqrt(4940 / 4690), came.magnetisingPeak / Math.sqrt(3));
  within(squeezed, measured('llc_at_resonance', 'rms i(LR)'), 0.03);
});

test('phase control at a right angle, and a bridge with its bulk', () => {
  within(230 * Math.sqrt(firedShare(Math.PI / 2)), measured('dimmer_phase', 'rms v(line,b)'), 0.001);
  const [bus, ripple] = [measured('bridge_rectifier', 'avg v(bus)'), measured('bridge_rectifier', 'pp v(bus)')];
  const top = bus + ripple / 2;
  const valley = reservoirValley({ power: bus ** 2 / 1000, capacitance: 220e-6, volts: top / Math.SQRT2, hertz: 50 });
  // Through the inrush resistor the bulk charges past the crest: the sum, which falls from there on, is on the safe side.
  expect(top - valley).toBeGreaterThan(ripple);
  within(top - valley, ripple, 0.12);
});
