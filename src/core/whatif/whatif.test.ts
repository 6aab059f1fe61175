import { CIRCUITS, FIELD_NOTES, circuitById, faultsOf, studyOf, type PowerCircuit, type Study, type Values } from '.';
import { answerOf, faultAnswer, spiceOf } from './answer';
import { readDeck, steadyState } from '../circuit';
import { analyse } from '../topology';
import { boardOf } from './board';

const usual = (circuit: PowerCircuit): Values =>
  Object.fromEntries(circuit.knobs.map(({ id, usual: one }) => [id, one]));

function known(id: string): PowerCircuit {
  const circuit = circuitById(id);
  if (!circuit) throw new Error(id);
  return circuit;
}

function study(id: string, change: Values = {}): Study {
  const circuit = known(id);
  const found = studyOf(circuit, { ...usual(circuit), ...change });
  if ('kind' in found) throw new Error(JSON.stringify(found));
  return found;
}

const stressOf = ({ stresses }: Study, name: string) => {
  const [ref, kind] = name.split(' ');
  return stresses.find((one) => one.ref === ref && one.kind === kind)?.value ?? Number.NaN;
};

interface Hand {
  circuit: string;
  stress: string;
  value: number;
  share: number;
}
interface Turned {
  id: string;
  change: Values;
  conduction?: string;
  isSoft?: boolean;
}

// By hand: the equations of section 6 (Erickson and Maksimović, chapters 2, 5 and 6; from memory) with the drops put in, that is Vo + Vf for
// Vo and Vi − Vsw for Vi. What the hand sum leaves out (resistances, ringing) is within the share that is allowed.
describe('stresses against hand sums', () => {
  test.each`
    circuit               | stress            | value    | share   | why
    ${'buck'}             | ${'L1 core'}      | ${3.46}  | ${0.01} | ${'3 A + half of (5.49 V × 0.547)/(33 µH × 100 kHz) = 0.91 A'}
    ${'buck'}             | ${'C1 ripple'}    | ${1.49}  | ${0.03} | ${'√(D(1 − D)) × 3 A, with its ramp'}
    ${'buck'}             | ${'C2 ripple'}    | ${0.263} | ${0.03} | ${'0.91 A/√12'}
    ${'buck'}             | ${'D1 mean'}      | ${1.64}  | ${0.01} | ${'3 A × (1 − 0.453)'}
    ${'boost'}            | ${'L1 core'}      | ${2.71}  | ${0.02} | ${'1 A/(1 − 0.516) + half of 12 V × 0.516/(47 µH × 100 kHz)'}
    ${'boost'}            | ${'C2 ripple'}    | ${1.06}  | ${0.02} | ${'√((1 − D)(I² + ΔI²/12) − 1)'}
    ${'boost'}            | ${'Q1 breakdown'} | ${24.4}  | ${0.01} | ${'24 V + 0.4 V'}
    ${'inverting'}        | ${'D1 reverse'}   | ${24}    | ${0.02} | ${'12 V + 12 V'}
    ${'sepic'}            | ${'C2 ripple'}    | ${1.2}   | ${0.05} | ${'1.197 A with its ripple'}
    ${'cuk'}              | ${'C2 voltage'}   | ${17.3}  | ${0.02} | ${'12 V + 5 V and half its ripple'}
    ${'flyback'}          | ${'T1 core'}      | ${1.98}  | ${0.03} | ${'√(2 × 66 W/(340 µH × 100 kHz)) at 0.9 through'}
    ${'flyback'}          | ${'D8 reverse'}   | ${96}    | ${0.03} | ${'325 V/4.5 + 24 V'}
    ${'forward'}          | ${'L1 core'}      | ${11.65} | ${0.02} | ${'10 A + half of 12.6 V × 0.57/(22 µH × 100 kHz)'}
    ${'forward'}          | ${'Q1 breakdown'} | ${610}   | ${0.03} | ${'2 × 300 V and what the leakage adds'}
    ${'push-pull'}        | ${'L1 core'}      | ${5.47}  | ${0.02} | ${'5 A + half of 24.9 V × (1 − 0.83)/(2 × 50 kHz × 47 µH)'}
    ${'half-bridge'}      | ${'L1 core'}      | ${23.9}  | ${0.02} | ${'20 A + half of 12.6 V × 0.287/(2 × 50 kHz × 4.7 µH)'}
    ${'full-bridge'}      | ${'L1 core'}      | ${22.35} | ${0.02} | ${'20 A + half of 49 V × 0.19/(2 × 100 kHz × 10 µH)'}
    ${'llc'}              | ${'C21 ripple'}   | ${4.83}  | ${0.09} | ${'0.483 × 10 A at the resonance'}
    ${'llc'}              | ${'T1 core'}      | ${0.974} | ${0.03} | ${'24.5 V × 7.959/(4 × 500 µH × 100 kHz)'}
    ${'pfc'}              | ${'L1 core'}      | ${2.34}  | ${0.03} | ${'twice 300 W/325 V + half of 325 V × 0.167/(877 µH × 65 kHz)'}
    ${'bridge-reservoir'} | ${'BR1 mean'}     | ${0.124} | ${0.05} | ${'half of the load through each pair'}
  `('$circuit: $stress is $value ($why)', ({ circuit, stress, value, share }: Hand) => {
    expect(Math.abs(stressOf(study(circuit), stress) / value - 1)).toBeLessThan(share);
  });

  test.each(CIRCUITS.map(({ id }) => id))('%s comes to rest and holds what it should', (id) => {
    const circuit = known(id);
    const found = study(id);
    const asked = found.setting.values['output'] ?? circuit.holds;
    expect(answerOf(found).isSettled).toBe(true);
    if (asked !== undefined) expect(Math.abs(found.output.volts / asked - 1)).toBeLessThan(1e-3);
    if (circuit.drive.kind === 'once') return;
    // What comes in is what goes out and what the parts keep: never less.
    if (circuit.drive.kind === 'duty' || circuit.drive.kind === 'frequency')
      expect(found.output.watts / found.input.watts).toBeGreaterThan(0.85);
    expect(found.output.watts).toBeLessThanOrEqual(found.input.watts * 1.001 + 1e-9);
  });
});

test.each(['flyback', 'half-bridge', 'llc', 'two-switch-forward'])(
  'a search for %s that is ended before its time goes on from there to the same state',
  (id) => {
    const circuit = known(id);
    const asked = { ...usual(circuit), load: 0.6 * (usual(circuit)['load'] ?? 1) };
    const whole = studyOf(circuit, asked, { nearby: study(id).operation });
    if ('kind' in whole) throw new Error(whole.kind);
    let last: Study = study(id);
    let [slices, asks] = [0, 0];
    for (; slices === 0 || (last.operation.isCut && slices < 40); slices += 1) {
      const most = 2 + slices;
      asks = 0;
      const next = studyOf(circuit, asked, { nearby: last.operation, isOver: () => (asks += 1) > most });
      if ('kind' in next) throw new Error(next.kind);
      if (next.operation.isCut)
        expect(answerOf(next)).toMatchObject({ isUnderWay: true, isSettled: false, headline: 'Still settling' });
      last = next;
    }
    expect(slices).toBeGreaterThan(1);
    expect(answerOf(last)).toMatchObject({ isUnderWay: false, isSettled: true });
    expect(Math.abs(last.output.volts / whole.output.volts - 1)).toBeLessThan(2e-3);
    expect(Math.abs(last.input.watts / whole.input.watts - 1)).toBeLessThan(1e-2);
  },
);

// By hand: the mode of conduction is decided by the load at the boundary, dI/2 for a buck: 0.45 A here.
test.each`
  id           | change                    | conduction         | why
  ${'buck'}    | ${{ load: 1 }}            | ${'continuous'}    | ${'over 0.45 A'}
  ${'buck'}    | ${{ load: 0.2 }}          | ${'discontinuous'} | ${'under it'}
  ${'buck'}    | ${{ load: 0.45 }}         | ${'boundary'}      | ${'at it'}
  ${'boost'}   | ${{ load: 0.1 }}          | ${'discontinuous'} | ${'under 0.32 A'}
  ${'flyback'} | ${{ inductance: 1.2e-3 }} | ${'continuous'}    | ${'over the critical inductance'}
`('$id at $change runs in $conduction mode ($why)', ({ id, change, conduction }: Turned) => {
  expect(study(id, change).mode.conduction).toBe(conduction);
});

test.each`
  id                        | change                                  | isSoft
  ${'llc'}                  | ${{}}                                   | ${true}
  ${'active-clamp-flyback'} | ${{}}                                   | ${true}
  ${'half-bridge'}          | ${{}}                                   | ${false}
  ${'llc'}                  | ${{ dead: 50e-9, magnetising: 1.2e-3 }} | ${false}
`('$id $change: closes at zero volts: $isSoft', ({ id, change, isSoft }: Turned) => {
  expect(answerOf(study(id, change)).reasons.join(' ').includes('at zero volts')).toBe(isSoft);
});

// By hand, with the ratings of the circuits: which part a fault ends first, and the figure that says so.
describe('what gives way first', () => {
  const never = () => false;
  test.each`
    id                      | kind                    | first    | what                    | why
    ${'flyback'}            | ${'closed'}             | ${'Q1'}  | ${'core is full'}       | ${'nothing but resistance is left'}
    ${'flyback'}            | ${'clamp open'}         | ${'Q1'}  | ${'past its 650 V'}     | ${'325 V + 111 V + 2 A × √(13.3 µH/100 pF) = 1.16 kV, damped'}
    ${'flyback'}            | ${'dry'}                | ${'C21'} | ${'264 mΩ of ESR'}      | ${'heat in it grows with its resistance'}
    ${'flyback'}            | ${'rectifier open'}     | ${'Q1'}  | ${'another way'}        | ${'all of the core goes into the clamp'}
    ${'flyback'}            | ${'rectifier reversed'} | ${'C21'} | ${'−'}                  | ${'the output is charged the wrong way'}
    ${'flyback'}            | ${'never'}              | ${''}    | ${'325 V'}              | ${'the bulk stays charged'}
    ${'buck'}               | ${'rectifier shorted'}  | ${'Q1'}  | ${'flows back'}         | ${'12 V across 90 mΩ'}
    ${'buck'}               | ${'feedback open'}      | ${'C2'}  | ${'sees no output'}     | ${'10.5 V on a 10 V can'}
    ${'boost'}              | ${'load shorted'}       | ${'Q1'}  | ${'cannot rise'}        | ${'nothing stands between the input and a short'}
    ${'two-switch-forward'} | ${'clamp open'}         | ${'Q2'}  | ${'another way'}        | ${'the core swings on beyond the input'}
    ${'half-bridge'}        | ${'closed'}             | ${'Q1'}  | ${'join the input'}     | ${'300 V through two switches'}
    ${'llc'}                | ${'overlap'}            | ${'Q1'}  | ${'60 ns'}              | ${'390 V through two switches'}
    ${'doubler'}            | ${'rectifier shorted'}  | ${'R1'}  | ${'flows back'}         | ${'the line through the series resistor'}
    ${'dropper'}            | ${'series shorted'}     | ${'R1'}  | ${'joined to the line'} | ${'230 V across 100 Ω'}
  `('$id, $kind: $first ($why)', ({ id, kind, first, what }: Record<string, string>) => {
    const healthy = study(id!);
    const fault = faultsOf(known(id!)).find((one) => one.kind === kind);
    const { told } = faultAnswer(fault!, healthy, never);
    const deaths = told?.deaths.map(({ ref }) => ref) ?? ['not told'];
    // Two cans that share a load go together.
    expect((deaths[0] ?? '').replace('C22', 'C21')).toBe(first);
    expect(told?.what.replace(/[\u00A0\u202F]/g, ' ')).toContain(what);
  });

  test('a semiconductor that becomes a short takes the fuse with it', () => {
    const fault = faultsOf(known('flyback')).find(({ kind }) => kind === 'closed');
    expect(
      faultAnswer(fault!, study('flyback'), never)
        .told?.deaths.map(({ ref }) => ref)
        .slice(0, 2),
    ).toEqual(['Q1', 'F1']);
  });

  test('a fault that takes longer than it may is not told', () => {
    const fault = faultsOf(known('flyback')).find(({ kind }) => kind === 'dry');
    expect(faultAnswer(fault!, study('flyback'), () => true)).toEqual({ kind: 'dry' });
  });

  // A load that goes away kills nothing where the control leaves pulses out; the shortest pulse is no figure to judge by.
  test('a control that leaves pulses out is not blamed for its shortest pulse', () => {
    const healthy = study('pfc');
    const fault = faultsOf(known('pfc')).find(({ kind }) => kind === 'load away');
    const { told } = faultAnswer(fault!, healthy, never);
    expect([told?.deaths, told?.what]).toEqual([[], expect.stringContaining('leaves pulses out')]);
  });

  // What stood as it stood before is none of the fault's doing.
  test('nothing is said of what did not change', () => {
    const fault = faultsOf(known('half-bridge')).find(({ kind }) => kind === 'rectifier open');
    expect(faultAnswer(fault!, study('half-bridge'), never).told?.what).not.toContain('swings');
  });

  test('every fault of a circuit is there once', () => {
    for (const circuit of CIRCUITS) {
      const kinds = faultsOf(circuit).map(({ kind }) => kind);
      expect(new Set(kinds).size).toBe(kinds.length);
    }
  });
});

// The recogniser of boards knows nothing of these circuits.
test.each([
  ['flyback', 'flyback'],
  ['two-switch-forward', 'two-switch-forward'],
  ['push-pull', 'push-pull'],
  ['llc', 'llc-half-bridge'],
  ['cuk', 'cuk'],
])('%s is drawn as what it is', (id, topology) => {
  const circuit = known(id);
  expect(analyse(boardOf(circuit, usual(circuit))).stages.map((stage) => stage.topology)).toContain(topology);
});

test.each(['buck', 'flyback', 'llc', 'push-pull'])('%s as a SPICE deck gives the same output', (id) => {
  const found = study(id);
  const read = readDeck(spiceOf(found).replace('* pwl', '* measure: avg v(out) last 1 periods\n* pwl'));
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  const again = steadyState(read.deck, { period: read.deck.period ?? 0 });
  if ('kind' in again) throw new Error(again.kind);
  expect(again.measures['avg v(out) last 1 periods']?.value).toBeCloseTo(found.output.volts, 2);
});

test('every circuit has its notes, and none is of another', () => {
  expect(Object.keys(FIELD_NOTES).toSorted()).toEqual(CIRCUITS.map(({ id }) => id).toSorted());
  for (const { purpose, found, tells, worth, fails } of Object.values(FIELD_NOTES))
    expect([purpose, found, ...tells, ...worth, ...fails].filter((text) => text.trim().length < 6)).toEqual([]);
});
