import { readDeck, steadyState } from '../circuit';
import { QUESTIONS, readSumLine, sumById, SUMS, workOut, type Question, type Worked } from '.';

function worked(id: string, texts: Readonly<Record<string, string>> = {}): Worked {
  const sum = sumById(id);
  if (!sum) throw new Error(`There is no sum ${id}.`);
  const came = workOut(sum, texts);
  if (!came.worked) throw new Error(JSON.stringify(came));
  return came.worked;
}

/** A figure that rounds to what a source gives. */
function holds(
  id: string,
  texts: Readonly<Record<string, string>>,
  wanted: Readonly<Record<string, number>>,
  within = 0.006,
) {
  const { figures } = worked(id, texts);
  for (const [name, value] of Object.entries(wanted)) {
    const got = figures.find((one) => one.id === name)?.value ?? NaN;
    expect([name, Math.abs(got - value) <= within * Math.abs(value) || got]).toEqual([name, true]);
  }
}

describe.each(SUMS.map((sum) => [sum.id, sum] as const))('%s', (_, sum) => {
  test('answers with what stands in it at first, in finite numbers', () => {
    const came = workOut(sum, {});
    expect(came.problem).toBeUndefined();
    expect(Object.values(came.fields).flatMap(({ problem }) => problem ?? [])).toEqual([]);
    const { answer, figures, curve, next, why } = came.worked!;
    expect(answer).not.toMatch(/NaN|undefined|∞|—/);
    expect(next.length).toBeGreaterThan(10);
    expect(why.length + figures.length).toBeGreaterThan(0);
    expect(figures.filter(({ value }) => !Number.isFinite(value))).toEqual([]);
    expect(new Set(figures.map(({ id }) => id)).size).toBe(figures.length);
    for (const line of curve?.lines ?? [])
      expect(line.points.filter((point) => !point.every(Number.isFinite))).toEqual([]);
    expect(sum.source.length * sum.formula.length).toBeGreaterThan(0);
  });

  test('a field that is empty or cannot be read is named, and nothing is worked out', () => {
    for (const field of sum.fields.filter(({ unit, choices, isOptional }) => (unit || choices) && !isOptional))
      for (const text of ['', 'xyz', ...(field.unit && !field.isSigned && field.unit !== 'celsius' ? ['-3'] : [])]) {
        const came = workOut(sum, { [field.id]: text });
        expect(came.worked).toBeUndefined();
        expect(came.fields[field.id]?.problem).toBeTruthy();
      }
  });
});

test('each question has its sums', () => {
  for (const question of Object.keys(QUESTIONS) as Question[])
    expect(SUMS.filter((one) => one.question === question).length).toBeGreaterThan(5);
  expect(new Set(SUMS.map(({ id }) => id)).size).toBe(SUMS.length);
});

// Check values F1-1 to F14-3, derived, or from the source that the sum names.
test.each<[string, string, Record<string, string>, Record<string, number>]>([
  ['F1-1', 'charge', { c: '220u', v: '400V' }, { energy: 17.6 }],
  ['F1-1, three of them', 'charge', { c: '100u', v: '400V', count: '3' }, { energy: 24 }],
  ['F1-1, two in series', 'bank', {}, { energy: 12.4 }],
  ['F1-2', 'discharge', {}, { power: 48, current: 0.148, tau: 0.33, touch: 0.558, solder: 1.378, meter: 1.909 }],
  ['F1-3', 'bleeder', {}, { most: 11.98e3, power: 13.4 }],
  ['F1-9', 'standby', {}, { time: 3.72 }],
  ['F2-1', 'fuse', {}, { current: 1.358 }],
  ['F2-1 at 230 V', 'fuse', { v: '230V' }, { current: 0.591 }],
  ['F2-5', 'efficiency', {}, { least: 0.862 }],
  ['F2-5, level V', 'efficiency', { level: 'V', v: '12V', i: '3A' }, { least: 0.846 }],
  ['F2-6', 'density', {}, { density: 436 }],
  ['F2-9', 'holdup', {}, { valley: 75.5 }],
  ['F3-5', 'inrush', { line: '0' }, { current: 65 }],
  ['F4-3', 'life', {}, { total: 32000 }],
  ['F4-3, half of the ripple', 'life', { ripple: '50%' }, { total: 53817 }],
  ['F4-8', 'ring', { f: '64.97k' }, { inductance: 600e-6 }],
  ['F5-1 and F5-7', 'wire', { d: '0.2mm' }, { area: 1, depth: 0.209e-3 }],
  ['F5-3', 'gap', {}, { energy: 0.675e-3, factor: 122e-9 }],
  ['F5-6', 'toroid', {}, { factor: 108.4e-9, inductance: 173.4e-6, field: 3105 }],
  ['F6-18', 'clamp', { i: '1.474A' }, { leaked: 0.706, heat: 1.714, ohms: 16.9e3, stands: 545 }],
  ['F6-20', 'sense', { wanted: '1.474A' }, { wanted: 0.611 }],
  ['F7-2', 'sink', { jc: '1K/W', between: 'grease' }, { junction: 105 }],
  ['F7-2, bare', 'bare', { p: '2.4W' }, { junction: 189 }],
  ['F7-4', 'derate', {}, { share: 0.632, current: 6.96 }],
  ['F7-5', 'triac', {}, { heat: 4.4 }],
  ['F2-10', 'triac', {}, { bare: 85 / 62 / 1.1 }],
  [
    'F7-1, gate and recovery',
    'losses',
    { qg: '40n', qrr: '100n' },
    { gate: 48e-3, recovery: 4, switching: 1.5, charging: 1.2 },
  ],
  ['F8-1', 'switch-volts', { vout: '12V', n: '8', spike: '70V' }, { total: 545, rectifier: 58.9 }],
  ['F9-1', 'string', {}, { resistor: 0.505e6, heat: 79e-3 }],
  ['F9-2', 'string', { rated: '200V', v: '399V' }, { limit: 333, usable: 267 }],
  ['F9-3', 'parallel', {}, { together: 0.2073 }],
  ['F9-4', 'share', {}, { high: 6, low: 4, idle: 1 }],
  ['F9-5', 'stack', {}, { nominal: 58.5, most: 61.4 }],
  ['F10-1', 'barrier', {}, { basic: 2.5e-3, creepage: 5e-3, clearance: 3e-3 }],
  ['F10-2', 'touch', {}, { usual: 159e-6, worst: 210e-6 }],
  ['F10-3', 'touch', {}, { largest: 6.29e-9 }],
  ['F11-2', 'phase', { left: '0' }, { start: 322e3, angle: 48.6 }],
  ['F11-3', 'phase', {}, { angle: 55.2 }],
  ['F11-4', 'triac-snubber', {}, { leaks: 7.23e-3, energy: 5.29e-3, heat: 0.53, surge: 3.25 }],
  ['F11-4 with 47 Ω', 'triac-snubber', { r: '47R' }, { surge: 6.9 }],
  ['F12-2', 'lamp', { p: '20W' }, { volts: 182.5 }],
  ['F12-2, 40 W', 'lamp', { lamp: '40W', p: '10W' }, { volts: 207.7 }],
  ['F12-3', 'minimum-load', {}, { ohms: 1, heat: 25, rating: 50 }],
  ['F12-4', 'fan', {}, { speed: 0.583, pressure: 0.34, power: 2.4 * 0.198 }],
  ['F13-1', 'meter', {}, { bound: 81.7e-3, standard: 47.2e-3, expanded: 94.3e-3 }],
  ['F14-1', 'divider', {}, { now: 12.05 }],
  ['F14-3', 'startup', {}, { largest: 104e3 }],
])('%s: %s', (_, id, texts, wanted) => holds(id, texts, wanted));

test.each([
  ['lamp', { p: '30W' }, 'cannot tell'],
  ['charge', {}, 'danger'],
  ['doubler', {}, 'ok'],
  ['doubler', { v: '230V' }, 'danger'],
  ['bleed', { r: '10M' }, 'danger'],
  ['stack', {}, 'warn'],
  ['stack', { count: '7' }, 'danger'],
  ['switch-volts', { rated: '500V' }, 'reject'],
  ['switch-volts', { rated: '800V' }, 'ok'],
  ['barrier', { creep: '4mm', clear: '6mm' }, 'danger'],
  ['barrier', { creep: '8mm', clear: '6mm' }, 'ok'],
  ['barrier', {}, 'cannot tell'],
  ['startup', { r: '470k' }, 'reject'],
  ['startup', { aux: '9V' }, 'reject'],
  ['losses', { rth: '60K/W' }, 'reject'],
  ['battery', { kind: 'lithium-ion, each cell', cells: '3', v: '13V' }, 'danger'],
  ['parallel', { kind: 'Schottky diodes' }, 'reject'],
  ['meter', { limit: '12.40V' }, 'cannot tell'],
  ['dropper', {}, 'danger'],
  // F2-4 in spirit: a claim that its parts cannot carry.
  ['nameplate', { plate: 'INPUT 230V~ OUTPUT 12V 100A', fuse: '2A' }, 'reject'],
])('%s %j is marked %s', (id, texts, mark) => expect(worked(id, texts).mark).toBe(mark));

test.each([
  ['clamp', { vc: '90V' }, 'vc', /above what the output reflects/],
  ['snubber', { slowed: '5M' }, 'slowed', /must slow the ring/],
  ['converter', { vout: '15V' }, 'vin', /more at its input/],
  ['led', { count: '9' }, 'count', /fewer in series/],
  ['string', { count: '1' }, 'count', /two or more/],
  ['pfc', { vout: '350V' }, 'vout', /above the peak/],
  ['barrier', { v: '2000V' }, 'v', /ends at 1000 V/],
  ['bank', { bank: 'plenty' }, 'bank', /plenty/],
  ['nameplate', { plate: 'MADE ON MARS' }, 'plate', /No output/],
  ['bands', { bands: 'mauve red' }, 'bands', /mauve/],
  ['marking', { kind: 'banana' }, 'kind', /banana/],
])('%s %j says what is wrong with %s', (id, texts, field, says) => {
  const came = workOut(sumById(id)!, texts);
  expect(came.worked).toBeUndefined();
  expect(came.fields[field]?.problem).toMatch(says);
});

test('what a converter loses is what the simulator finds', () => {
  const slow = { time: '0.1ns', coss: '0.1p', rth: '0.001K/W', air: '25C' };
  const { figures } = worked('budget', slow);
  const efficiency = figures.find(({ id }) => id === 'efficiency')?.value ?? NaN;
  const read = readDeck(
    [
      't\n* pwl: vf=0.45 ron=0.0001\n* period: 10u\n* measure: avg i(Vin) last 1 periods\n* measure: avg v(out) last 1 periods',
      'Vin in 0 24\nVg g 0 PULSE(0 1 0 1n 1n 5.15u 10u)\nS1 in sw g 0 SWM\nD1 0 sw DI\nL1 sw a 33u\nRL a out 20m',
      'C1 out e 1m ic=12\nRE e 0 30m\nR1 out 0 2.4',
      '.model SWM SW(Ron=25m Roff=100Meg Vt=0.5 Vh=0)\n.model DI D(is=1e-14 n=0.05 rs=0.0001)\n.tran 1u 10m uic\n.end',
    ].join('\n'),
  );
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  const steady = steadyState(read.deck, { period: 1e-5 });
  if ('kind' in steady) throw new Error(JSON.stringify(steady));
  const [amperes = NaN, volts = NaN] = Object.values(steady.measures).map(({ value }) => value);
  expect(Math.abs(efficiency / (volts ** 2 / 2.4 / (24 * Math.abs(amperes))) - 1)).toBeLessThan(0.003);
});

test('what parts deliver, forwards again, stands at the limit of the weakest', () => {
  const back = worked('deliver');
  const current = back.figures.find(({ id }) => id === 'current')?.value ?? NaN;
  const forth = worked('converter', {
    kind: 'step-up (boost)',
    vin: '12V',
    vout: '24V',
    iout: String(current),
    l: '47u',
    vf: '0.5V',
  });
  const figure = (id: string) => forth.figures.find((one) => one.id === id)?.value ?? NaN;
  const shares = [
    figure('peak') / (0.9 * 4),
    figure('switchRms') / 5,
    figure('rectifierMean') / (0.7 * 3),
    figure('outputRms') / 1.5,
  ];
  expect(Math.max(...shares)).toBeCloseTo(1, 4);
});

test('markings and bands are read as elsewhere', () => {
  expect(worked('bands').answer).toMatch(/4\.7\s?kΩ/);
  expect(worked('marking', { marking: '12N65' }).more).toMatch(/N-FET/);
});

test.each([
  ['snubber 4M4 100p 3M1', 'snubber', { alone: '4M4', added: '100p', slowed: '3M1' }],
  ['discharge 220u 400V 4k7', 'discharge', { c: '220u', v: '400V', r: '4k7' }],
  // A value that says its unit need not stand in its turn.
  ['discharge 400V 4k7ohm 220uF', 'discharge', { v: '400V', r: '4k7ohm', c: '220uF' }],
  ['sink 12W r=2', 'sink', { p: '12W' }],
  ['gap ETD29/16/10 500u 3A', 'gap', { core: 'ETD29/16/10', l: '500u', i: '3A' }],
  ['clamp vc=200V', 'clamp', { vc: '200V' }],
])('“%s” is understood', (text, id, texts) => {
  const line = readSumLine(text);
  expect(line?.sum.id).toBe(id);
  expect(line?.texts).toEqual(texts);
});

// Lines as people wrote them who had not read how.
test.each([
  ['heat sink 10W', 'sink', { p: '10W' }],
  ['heatsink 10W 6.5K/W', 'sink', { p: '10W', jc: '6.5K/W' }],
  ['snubber 4.4MHz 100pF 3.1MHz', 'snubber', { alone: '4.4MHz', added: '100pF', slowed: '3.1MHz' }],
  ['discharge time 150uF 325V 2k2', 'discharge', { c: '150uF', v: '325V', r: '2k2' }],
  ['stored energy 220u 400V', 'charge', { c: '220u', v: '400V' }],
  ['creepage 250V', 'barrier', { v: '250V' }],
  ['skin depth 65kHz', 'wire', { f: '65kHz' }],
  ['NTC 5R', 'inrush', { r: '5R' }],
  ['inrush current 230V 220u 5R', 'inrush', { v: '230V', c: '220u', r: '5R' }],
  ['LED string 24V 3.1V 7', 'led', { v: '24V', vf: '3.1V', count: '7' }],
  ['converter boost 12V 24V 1A', 'converter', { kind: 'step-up (boost)', vin: '12V', vout: '24V', iout: '1A' }],
  ['flyback 120V 12V 2A', 'converter', { kind: 'flyback', vin: '120V', vout: '12V', iout: '2A' }],
  ['oscillator TL494 12k 1n', 'oscillator', { chip: 'TL494', r: '12k', c: '1n' }],
  ['life of a capacitor 2000h 105C 60C', 'life', { hours: '2000h', rated: '105C', around: '60C' }],
  ['Y capacitor 4n7', 'touch', { c: '4n7' }],
  ['touch current 4n7 230V', 'touch', { c: '4n7', v: '230V' }],
  ['series lamp 60W', 'lamp', { lamp: '60W' }],
  ['fan 12V 7V', 'fan', { rated: '12V', v: '7V' }],
  ['turns ETD39/20/13', 'turns', { core: 'ETD39/20/13' }],
  ['gap for a core E25/13/7 600u 1.5A', 'gap', { core: 'E25/13/7', l: '600u', i: '1.5A' }],
  ['voltage divider TL431 10k', 'divider', { ref: 'TL431', lower: '10k' }],
  ['ripple 1.2A 80m', 'ripple', { i: '1.2A', esr: '80m' }],
  ['hold-up 100u 75W', 'holdup', { c: '100u', p: '75W' }],
  ['dimmer 230V', 'phase', { v: '230V' }],
  ['psu in series 3 19.5V', 'stack', { count: '3', v: '19.5V' }],
  ['startup resistor 68k', 'startup', { r: '68k' }],
  ['phase control 100k', 'phase', { at: '100k' }],
  ['resistor colour red red brown gold', 'bands', { bands: 'red red brown gold' }],
  ['balancing resistors 330u 400V', 'string', { c: '330u', rated: '400V' }],
])('“%s”, typed on a page of sums', (text, id, texts) => {
  const line = readSumLine(text, { isLoose: true });
  expect([line?.sum.id, line?.texts, line?.left]).toEqual([id, texts, []]);
});

test('a line that names no sum is left to others', () => {
  expect(readSumLine('c5 82u 400V')).toBeUndefined();
  expect(readSumLine('sink 12W r=2')?.left).toEqual(['r=2']);
});
