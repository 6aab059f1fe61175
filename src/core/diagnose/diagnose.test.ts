import type { Board } from '../board';
import {
  CAUSES,
  diagnose,
  namedAs,
  NO_SUCH_PART,
  partsByRole,
  ROLES,
  type Complaint,
  type RoleName,
  type Seen,
} from '.';
import { stateOf } from './readings';

test('a good reading takes away, a bad one gives, and an answer is not asked for again', () => {
  const complaint: Complaint = {
    unit: { kind: 'desk-brick' },
    topologies: ['flyback'],
    symptom: 'fuse-blown',
    observations: [],
  };
  const share = (seen: readonly Seen[]) =>
    diagnose({ ...complaint, observations: seen }).causes.find(({ cause }) => cause === 'switch-shorted')
      ?.probability ?? 0;
  const [plain, good, bad] = [
    share([]),
    share([{ ref: 'Q1', test: 'diode-mode', text: '0.45 V one way, OL the other' }]),
    share([{ ref: 'Q1', test: 'diode-mode', text: '0.001 V both ways: shorted' }]),
  ];
  expect(good).toBeLessThan(0.6 * plain);
  expect(bad).toBeGreaterThan(plain);
  expect(
    diagnose({
      ...complaint,
      observations: [
        { ref: 'Q1', condition: 'shorted' },
        { ref: 'C6', condition: 'cracked' },
      ],
    }).causes[0]?.parts,
  ).toContain('Q1');
});

test('a second fault at a part that the first cause is not about is told beside it', () => {
  const complaint: Complaint = {
    unit: { kind: 'desk-brick' },
    topologies: ['flyback'],
    symptom: 'fuse-blown',
    described: new Map([
      ['Q1', 'main switch'],
      ['C6', 'clamp capacitor'],
      ['F1', 'fuse'],
      ['BR1', 'bridge'],
    ]),
    observations: [
      { ref: 'F1', condition: 'open' },
      { ref: 'Q1', test: 'diode-mode', text: '0.001 V both ways: shorted' },
      { ref: 'C6', condition: 'cracked' },
      { ref: 'BR1', test: 'diode-mode', text: '0.52 V one way, OL the other' },
    ],
  };
  const { causes, beside } = diagnose(complaint);
  expect(causes[0]?.cause).toBe('switch-shorted');
  expect(beside).toEqual([{ ref: 'C6', state: 'damaged', cause: 'snubber-failed' }]);
});

test('every check names a good and a bad outcome, every role what it is', () => {
  for (const { checks, together, common } of Object.values(CAUSES)) {
    for (const { good, bad, role } of checks)
      expect([good.length > 2, bad.length > 2, role in ROLES]).toEqual([true, true, true]);
    expect(together.length > 5 && common > 0).toBe(true);
  }
});

test.each([
  ['visual', 'whole', 'good'],
  ['visual', 'no crack, nothing burnt', 'good'],
  ['visual', 'flat top, dry foot', 'good'],
  ['visual', '1 kV disc split through, one half loose', 'damaged'],
  ['visual', 'bulged a little', 'damaged'],
  ['visual', 'fan turns freely', 'good'],
  ['resistance', 'OL, marked 0.33 ohm', 'open'],
  ['resistance', '68.3 kohm, as marked', 'good'],
  ['resistance', '1.9 kohm, marked 10 ohm', 'open'],
  ['capacitance', '0.09 nF of 2.2 nF', 'off'],
  ['capacitance', '445 uF of 470 uF', 'good'],
  ['esr', '0.6 ohm; a good one 0.02 ohm', 'off'],
  ['diode-mode', '0.52 V one way, OL the other', 'good'],
  ['diode-mode', '0.001 V both ways, out of circuit too: shorted', 'shorted'],
  ['diode-mode', 'OL both ways', 'open'],
  ['esr', '', 'unknown'],
  [undefined, 'split through', 'damaged'],
  [undefined, '0.5 ohm, shorted', 'shorted'],
] as const)('%p: “%s” is %s', (test, text, state) =>
  expect(stateOf({ ...(test ? { test } : {}), text }, false)).toBe(state),
);

test('of two cans that do one work the first good one clears half, and its fellow is asked for; the second clears the rest', () => {
  const can = (ref: string) => ({
    ref,
    kind: 'capacitor' as const,
    subtype: 'electrolytic',
    pins: { '+': null, '-': null },
    value: { capacitance: 470e-6, voltage: 200 },
  });
  const complaint = (...good: readonly string[]): Complaint => ({
    unit: { kind: 'pc-supply', power: 200 },
    board: { parts: [can('C1'), can('C2')] } as never,
    topologies: ['half-bridge'],
    symptom: 'rail-low',
    observations: [
      { rail: '12V', volts: 10.6 },
      { rail: '5V', volts: 4.4 },
      ...good.map((ref) => ({ ref, test: 'capacitance' as const, text: '445 uF of 470 uF' })),
    ],
  });
  const [none, one, both] = [complaint(), complaint('C1'), complaint('C1', 'C2')].map((asked) => diagnose(asked));
  const of = (found: typeof none) => found?.causes.find(({ cause }) => cause === 'bulk-dry')?.probability ?? 0;
  const odds = (p: number) => p / (1 - p);
  expect(odds(of(one)) / odds(of(none))).toBeGreaterThan(0.35);
  expect(odds(of(both)) / odds(of(none))).toBeLessThan(0.1);
  expect(one?.next.slice(0, 3).map(({ ref, test: by }) => `${ref} ${by}`)).toContain('C2 capacitance');
});

test.each`
  text                          | cause               | factor
  ${'300 kohm, marked 47 kohm'} | ${'snubber-failed'} | ${3}
  ${'OL, marked 22 ohm'}        | ${'snubber-failed'} | ${0}
`('a resistor is what its ohms let it be: $text', ({ text, cause, factor }) => {
  const of = (observations: Complaint['observations']) => {
    const { causes } = diagnose({
      unit: { kind: 'adapter', power: 40 },
      topologies: ['flyback'],
      symptom: 'hot',
      observations,
    });
    const p = (name: string) => causes.find((one) => one.cause === name)?.probability ?? 0;
    return p(cause as string) / p('gate-drive-fault');
  };
  const change = of([{ ref: 'R5', test: 'resistance', text: text as string }]) / of([]);
  if (factor === 0) expect(change).toBeLessThan(1);
  else expect(change).toBeGreaterThan(factor as number);
});

/** What is less likely is not listed. */
const LEAST_LISTED = 0.002;
const chanceOf = (cause: string, of: Partial<Complaint>): number =>
  diagnose({
    unit: { kind: 'adapter' },
    topologies: ['flyback'],
    symptom: 'dead',
    observations: [],
    ...of,
  }).causes.find((one) => one.cause === cause)?.probability ?? LEAST_LISTED;
const empty = (ref: string): Partial<Complaint> => ({ observations: [{ ref, test: 'voltage-dc', value: 0 }] });
const selector = (text: string, vMax = 240): Partial<Complaint> => ({
  topologies: ['half-bridge'],
  symptom: 'fuse-blown',
  board: { parts: [], nameplate: { input: { kind: 'ac', vMin: 90, vMax } } },
  observations: [{ ref: 'S1', test: 'visual', text }],
});
const rails = (...names: string[]): Partial<Complaint> => ({
  symptom: 'smell',
  observations: names.map((rail) => ({ rail, volts: 0.9 * Number.parseFloat(rail) })),
});

const plate = (...volts: number[]): Board => ({
  parts: [],
  nameplate: { input: { kind: 'ac', vMin: 100, vMax: 240 }, outputs: volts.map((v) => ({ v, i: 2 })) },
});
const words = (text: string, of: Partial<Complaint> = {}): Partial<Complaint> => ({ observations: [{ text }], ...of });
const ticks: Partial<Complaint> = { symptom: 'hiccup', board: plate(12) };
const sags = (volts: number): Partial<Complaint> => ({
  unit: { kind: 'pc-supply' },
  topologies: ['flyback', 'half-bridge'],
  symptom: 'intermittent-warm',
  observations: [{ rail: '5V standby', volts }],
});
const punched: Seen = { ref: 'Q1', test: 'diode-mode', text: '0.001 V both ways' };
const reads = (...observations: Seen[]): Partial<Complaint> => ({ symptom: 'fuse-blown', observations });
const esr = (text: string): Partial<Complaint> => ({
  symptom: 'rail-low',
  observations: [{ ref: 'C12', test: 'esr', text }],
});
const burnt = (board?: Board): Partial<Complaint> => ({
  ...(board && { board }),
  topologies: ['buck'],
  symptom: 'fuse-blown',
  observations: [{ ref: 'RV1', condition: 'burnt' }],
});

const ofOutput = (text: string, i: number): Partial<Complaint> => ({
  symptom: 'smell',
  board: { ...plate(15), nameplate: { outputs: [{ v: 15, i }] } },
  observations: [{ ref: 'C12', test: 'esr', text }],
});
const small: Partial<Complaint> = {
  symptom: 'hiccup',
  board: { ...plate(12), nameplate: { outputs: [{ v: 12, i: 1.5 }] } },
};
const high: Partial<Complaint> = { symptom: 'rail-high' };
const boosted: Partial<Complaint> = { symptom: 'trips-breaker', topologies: ['boost-pfc', 'llc-half-bridge'] };
const dimmer: Partial<Complaint> = { symptom: 'flicker', topologies: ['triac-dimmer'] };
const good = (ref: string): Seen => ({ ref, test: 'diode-mode', text: '0.2 V one way, OL the other' });

const at = (seen: Seen, of: Partial<Complaint> = {}): Partial<Complaint> => ({ ...of, observations: [seen] });
const discharge: Partial<Complaint> = { topologies: ['capacitor-discharge'], symptom: 'no-pulse' };
const stepUp = (volts: number): Partial<Complaint> => ({
  topologies: ['boost'],
  symptom: 'rail-low',
  board: { parts: [], nameplate: { input: { kind: 'dc', vMin: 11, vMax: 15 }, outputs: [{ v: 19, i: 1 }] } },
  observations: [{ rail: '19V', volts }],
});
const withFet = (marking: string): Partial<Complaint> => ({
  symptom: 'hiccup',
  board: { ...plate(12), parts: [{ ref: 'Q7', kind: 'nmos', pins: { G: null, D: null, S: null }, marking }] },
  observations: [{ ref: 'Q7', test: 'diode-mode', text: '0.001 V both ways' }],
});

test.each<[string, string, Partial<Complaint>, 'more' | 'less' | 'as much', Partial<Complaint>]>([
  ['a bulk can at 330 V is no empty one', 'ntc-open', words('bulk reads 330 V'), 'less', words('bulk reads 0 V')],
  ['volts are told before their place too', 'ntc-open', words('0 V at the big elko'), 'more', {}],
  ['an output right alone is not shorted', 'output-rectifier-shorted', words('alone: 12.1 V', ticks), 'less', ticks],
  [
    'nor is what hangs on it fine, where another load runs',
    'overloaded-outside',
    words('on a halogen lamp 11.9 V, steady', ticks),
    'more',
    ticks,
  ],
  [
    'but it is, where another adapter runs it',
    'overloaded-outside',
    words('another adapter runs it', ticks),
    'less',
    ticks,
  ],
  ['a standby rail that sags points to its cans', 'standby-capacitor-dry', sags(4.4), 'more', sags(5.1)],
  [
    'what one test found bad no other clears',
    'switch-shorted',
    reads(punched, { ref: 'Q1', test: 'resistance', text: '300 kohm' }),
    'as much',
    reads(punched),
  ],
  [
    'of several readings the worst counts',
    'bridge-shorted',
    reads({ ref: 'BR1', test: 'diode-mode', text: '0.5 V one way, OL the other; 0.001 V both ways' }),
    'more',
    reads({ ref: 'BR1', test: 'diode-mode', text: '0.5 V one way, OL the other; 0.5 V one way, OL the other' }),
  ],
  [
    'a can is held against the ESR of its size',
    'output-capacitors-dry',
    esr('2 ohm; 1000 uF'),
    'more',
    esr('2 ohm; 22 uF'),
  ],
  ['a step-down on the mains has a varistor', 'varistor-shorted', burnt(plate(48)), 'more', burnt()],
  [
    'a small unit has no fan',
    'fan-stuck',
    { unit: { kind: 'module', power: 18 }, symptom: 'hot' },
    'less',
    { unit: { kind: 'module', power: 300 }, symptom: 'hot' },
  ],
  ['a can that reads nothing is the bulk can', 'ntc-open', empty('C1'), 'more', {}],
  ['but not one that is usually of the output', 'ntc-open', empty('C12'), 'as much', {}],
  ['a selector at the lower mains', 'line-selector-wrong', selector('stands at 115'), 'more', selector('at 230')],
  [
    'which is right where that is the mains',
    'line-selector-wrong',
    selector('at 230'),
    'as much',
    selector('set to 115', 125),
  ],
  [
    'and its name says nothing',
    'line-selector-wrong',
    selector('clean; name is 115/230'),
    'less',
    selector('set to 115'),
  ],
  ['rails that are there are one reason', 'switch-shorted', rails('12V', '5V', '3.3V'), 'as much', rails('12V', '5V')],
  [
    'a ring test told without the part',
    'transformer-shorted-turns',
    words('rings once only; a sister gives 11'),
    'more',
    words('looks clean'),
  ],
  [
    'a numbered part with which the fault leaves',
    'sync-fet-shorted',
    words('lifting Q4 ends it', { symptom: 'hiccup', topologies: ['llc-half-bridge'] }),
    'more',
    { symptom: 'hiccup', topologies: ['llc-half-bridge'] },
  ],
  [
    'a chip that is fed and gives nothing',
    'controller-dead',
    { observations: [{ ref: 'U1', test: 'voltage-dc', text: 'VCC 11.6 V, reference 0.1 V, outputs 0 V' }] },
    'more',
    {},
  ],
  [
    'a few ohms at a chip behind a blown fuse are those of its switch',
    'controller-dead',
    { symptom: 'fuse-blown', observations: [{ ref: 'U1', test: 'resistance', text: '1.2 ohm' }] },
    'less',
    { symptom: 'fuse-blown', observations: [{ ref: 'U1', test: 'resistance', text: '1.2 ohm from VCC to ground' }] },
  ],
  [
    'what is fed with direct voltage has no inrush part',
    'ntc-open',
    { topologies: ['push-pull'], board: { ...plate(12), nameplate: { input: { kind: 'dc' }, outputs: [{ v: 12 }] } } },
    'less',
    { topologies: ['push-pull'], board: { ...plate(12), nameplate: { input: { kind: 'ac' }, outputs: [{ v: 12 }] } } },
  ],
  [
    'a can of another board is none of the supply',
    'output-capacitors-dry',
    {
      symptom: 'hiccup',
      observations: [{ ref: 'C30', condition: 'bulged' }, { text: 'C30 is a small capacitor on the audio board' }],
    },
    'less',
    { symptom: 'hiccup', observations: [{ ref: 'C30', condition: 'bulged' }] },
  ],
  [
    'a fuse that is open by the meter is blown',
    'switch-shorted',
    { observations: [{ ref: 'F1', test: 'continuity', text: 'OL' }] },
    'more',
    { observations: [{ ref: 'F1', test: 'continuity', text: 'beeps' }] },
  ],
  [
    'rings round a joint are no ring test',
    'transformer-shorted-turns',
    words('ring round one leg'),
    'as much',
    words('crack round one leg'),
  ],
  [
    'a buzz a hundred times a second is the mains',
    'bulk-dry',
    words('buzzes, 100 times a second'),
    'more',
    words('buzzes'),
  ],
  [
    'a mains can whose sleeve has shrunk',
    'bulk-dry',
    words('mains can warm, its sleeve has shrunk'),
    'more',
    words('its sleeve'),
  ],
  [
    'and no loose cord',
    'cable-broken',
    words('mains can warm, its sleeve has shrunk'),
    'as much',
    words('mains can warm'),
  ],
  ['mains that comes as far as the bridge', 'cable-broken', words('230 V at the bridge'), 'less', words('looks clean')],
  [
    'what comes up for a moment is not shorted',
    'output-rectifier-shorted',
    words('picture comes for half a second and goes'),
    'less',
    words('no picture'),
  ],
  [
    'so strong an output is rectified by FETs in any circuit',
    'sync-fet-shorted',
    { board: { ...plate(12), nameplate: { outputs: [{ v: 12, i: 54 }] } } },
    'more',
    { board: { ...plate(12), nameplate: { outputs: [{ v: 12, i: 5 }] } } },
  ],
  [
    'a load that takes more than the plate gives',
    'overloaded-outside',
    words('the router takes 2.4 A', small),
    'more',
    words('the router takes 1.5 A', small),
  ],
  [
    'what the unit itself takes is no load',
    'overloaded-outside',
    words('it takes 2.4 A from the mains', small),
    'as much',
    words('the router takes 1.5 A', small),
  ],
  ['right with a resistor', 'overloaded-outside', words('with a 10 W resistor it gives 12.0 V', ticks), 'more', ticks],
  [
    'an opto that answers a torch is none that died',
    'optocoupler-dead',
    words('phototransistor answers a torch', high),
    'less',
    high,
  ],
  ['one that does not may be', 'optocoupler-dead', words('phototransistor does not answer', high), 'as much', high],
  [
    'a divider above 2.5 V that nothing acts on',
    'reference-dead',
    words('divider middle at 3.3 V', high),
    'more',
    words('looks clean', high),
  ],
  [
    'bridge and bulk joined past the diode',
    'pfc-diode-shorted',
    words('plus of the bridge to plus of the bulk: beeps', boosted),
    'more',
    boosted,
  ],
  [
    'a doubler fed with the higher mains',
    'bulk-shorted',
    words('switch at the back was at 115, wall gives 230', { symptom: 'fuse-blown' }),
    'more',
    words('looks clean', { symptom: 'fuse-blown' }),
  ],
  [
    'a fuse resistor that reads open is a blown fuse',
    'fuse-aged',
    words('fuse resistor reads open'),
    'more',
    words('fuse resistor reads 10 ohm'),
  ],
  ['full light at every position', 'triac-shorted', words('full light at every position', dimmer), 'more', dimmer],
  [
    'the next of a row is asked for its role',
    'output-rectifier-open',
    {
      ...ticks,
      board: plate(12, 5, 3.3),
      observations: [good('D20'), good('D21'), { ref: 'D22', test: 'diode-mode', text: 'OL both ways' }],
    },
    'more',
    {
      ...ticks,
      board: plate(12, 5, 3.3),
      observations: [good('D20'), good('D21'), { ref: 'D27', test: 'diode-mode', text: 'OL both ways' }],
    },
  ],
  [
    'tries on a cold morning',
    'vcc-capacitor-dry',
    words('needs three tries on a cold morning'),
    'more',
    words('needs a wipe on a sunny morning'),
  ],
  [
    'a lost hold where the only converter is the standby supply',
    'feedback-open',
    { symptom: 'standby-high', topologies: ['flyback'] },
    'more',
    { symptom: 'standby-high', topologies: ['flyback', 'half-bridge'] },
  ],
  [
    'a reading told in a sentence is one',
    'switch-shorted',
    words('Q1 on the primary reads 0.001 both ways', { symptom: 'fuse-blown' }),
    'as much',
    reads({ ...punched, text: '0.001 both ways' }),
  ],
  [
    'with or without its unit',
    'switch-shorted',
    reads({ ...punched, text: '0.001 both ways' }),
    'more',
    reads({ ref: 'Q1', test: 'diode-mode', text: '0.5 one way, OL the other' }),
  ],
  [
    'each of two in one sentence is one',
    'switch-shorted',
    words('Q2 reads 0.5 V one way, and Q1 reads 0.001 both ways', { symptom: 'fuse-blown' }),
    'as much',
    words('Q1 reads 0.001 both ways; Q2 reads 0.5 V one way', { symptom: 'fuse-blown' }),
  ],
  [
    'and none is of another part',
    'switch-shorted',
    words('Q1 reads fine, D5 0.001 both ways', { symptom: 'fuse-blown' }),
    'as much',
    words('looks clean', { symptom: 'fuse-blown' }),
  ],
  [
    'a can of a strong output has little ESR',
    'output-capacitors-dry',
    ofOutput('0.8 ohm', 3),
    'more',
    ofOutput('0.1 ohm', 3),
  ],
  [
    'that of a weak one may have more',
    'output-capacitors-dry',
    ofOutput('0.8 ohm', 0.3),
    'as much',
    ofOutput('0.2 ohm', 0.3),
  ],
  [
    'a chip that is fed has its start-up resistor',
    'startup-resistor-open',
    words('chip has 15 V, no pulse'),
    'less',
    words('no pulse'),
  ],
  [
    'a crust at the output',
    'output-capacitors-dry',
    words('brown crust at the output', { symptom: 'smell' }),
    'more',
    words('brown crust', { symptom: 'smell' }),
  ],
  [
    'a reference told more than its own volts, and not acting',
    'reference-dead',
    at({ ref: 'U3', test: 'voltage-dc', text: '3.4 V' }, high),
    'more',
    high,
  ],
  [
    'one told less than it needs has a divider that is off',
    'feedback-open',
    at({ ref: 'U3', test: 'voltage-dc', text: '1.9 V' }, high),
    'more',
    at({ ref: 'U3', test: 'voltage-dc', text: '3.4 V' }, high),
  ],
  [
    'a chip that is fed and gives nothing',
    'controller-dead',
    at({ ref: 'U1', test: 'voltage-dc', text: '13.8 V; 0.00 V' }),
    'more',
    at({ ref: 'U1', test: 'voltage-dc', text: '13.8 V; 4.1 V' }),
  ],
  [
    'volts that it is told wrong are not its own fault',
    'controller-dead',
    at({ ref: 'U1', test: 'voltage-dc', text: '2.9 V, too high' }, high),
    'as much',
    high,
  ],
  [
    'a rectifier that drops 1.4 V',
    'output-rectifier-open',
    at({ ref: 'D6', test: 'diode-mode', text: '1.4 V one way, OL the other' }, ticks),
    'more',
    at(good('D6'), ticks),
  ],
  [
    'an opto whose transistor stays open while its LED is driven',
    'optocoupler-dead',
    at({ ref: 'U2', test: 'resistance', text: 'OL even with 10 mA through its LED' }, high),
    'more',
    at({ ref: 'U2', test: 'resistance', text: 'OL' }, high),
  ],
  [
    'a divider that gives hardly anything is open',
    'feedback-open',
    at({ ref: 'U3', test: 'voltage-dc', text: '0.2 V' }, high),
    'more',
    at({ ref: 'U3', test: 'voltage-dc', text: '3.4 V' }, high),
  ],
  [
    'volts that a controller is told wrong are what tells it',
    'feedback-open',
    at({ ref: 'U1', test: 'voltage-dc', text: '2.9 V, too high' }, { symptom: 'rail-low' }),
    'more',
    { symptom: 'rail-low' },
  ],
  [
    'a selector that stands as the mains is told to be',
    'line-selector-wrong',
    selector('stands at 115, the mains is 115 V'),
    'less',
    selector('stands at 115'),
  ],
  [
    'a selector and the mains, told together',
    'line-selector-wrong',
    selector('stands at 230; the mains here is 115 V', 127),
    'more',
    selector('stands at 115', 127),
  ],
  [
    'a thyristor that blocks both ways is none that died',
    'pulse-switch-shorted',
    at({ ref: 'Q2', test: 'diode-mode', text: 'OL both ways' }, discharge),
    'less',
    at({ ref: 'Q2', test: 'diode-mode', text: '0.01 V both ways' }, discharge),
  ],
  [
    'a can too large for the mains side of so small a unit is one of the output',
    'output-capacitors-dry',
    at(
      { ref: 'C31', test: 'capacitance', text: '44 uF of 470 uF' },
      { unit: { kind: 'adapter', power: 9 }, symptom: 'noisy' },
    ),
    'more',
    at(
      { ref: 'C31', test: 'capacitance', text: '460 uF of 470 uF' },
      { unit: { kind: 'adapter', power: 9 }, symptom: 'noisy' },
    ),
  ],
  [
    'what a new one reads is told without its unit',
    'output-capacitors-dry',
    at({ ref: 'C12', test: 'esr', text: '1.4 ohm; a new one 0.05' }, { symptom: 'rail-low' }),
    'more',
    at({ ref: 'C12', test: 'esr', text: '1.4 ohm; a new one 1.1' }, { symptom: 'rail-low' }),
  ],
  ['a step-up converter that passes its input on', 'controller-dead', stepUp(11.8), 'more', stepUp(16)],
  [
    'what kills again was bad before the switch was renewed',
    'gate-drive-fault',
    reads({ text: 'I changed them both and they went again' }, punched, {
      ref: 'R10',
      test: 'resistance',
      text: 'OL, marked 22 ohm',
    }),
    'more',
    reads(punched, { ref: 'R10', test: 'resistance', text: 'OL, marked 22 ohm' }),
  ],
  [
    'a good capacitor does not clear a clamp whose resistor burnt',
    'snubber-failed',
    {
      symptom: 'hot',
      observations: [
        { ref: 'R5', condition: 'burnt' },
        { ref: 'C6', test: 'capacitance', text: '2.2 nF' },
      ],
    },
    'as much',
    { symptom: 'hot', observations: [{ ref: 'R5', condition: 'burnt' }] },
  ],
  [
    'a second panel that flickers too clears the first',
    'led-string-open',
    words('another panel flickers too', { unit: { kind: 'led-driver' }, symptom: 'flicker' }),
    'less',
    words('the panel flickers', { unit: { kind: 'led-driver' }, symptom: 'flicker' }),
  ],
  [
    'a low-voltage FET behind the mains rectifies the output',
    'sync-fet-shorted',
    withFet('IRF1404'),
    'more',
    withFet('8N65'),
  ],
])('%s', (_, cause, one, compared, other) => {
  const [a, b] = [chanceOf(cause, one), chanceOf(cause, other)];
  const ratio = Math.log(a / b);
  expect(compared === 'more' ? ratio > 1 : compared === 'less' ? ratio < -1 : Math.abs(ratio) < 0.7).toBe(true);
});

test.each(['no difference seen', NO_SUCH_PART])(
  'what is not at one reference is looked for at the next: %s',
  (text) => {
    const asked = (observations: Seen[]) =>
      diagnose({ unit: { kind: 'adapter' }, topologies: ['flyback'], symptom: 'dead', observations })
        .next.filter(({ role }) => role === 'sense')
        .map(({ ref, gain }) => [ref, gain] as const);
    const before = new Map(asked([]));
    const after = new Map(asked([{ ref: 'R8', test: 'resistance', text }]));
    expect([...before.keys()][0]).toBe('R8');
    expect([...after.keys()][0]).toBe('R9');
    expect(after.get('R9')).toBeGreaterThan(before.get('R9') ?? 0);
  },
);

/** Circuits that have, among them, a part of every role. */
const EVERY_CIRCUIT = [
  'buck',
  'flyback',
  'boost-pfc',
  'llc',
  'phase-control',
  'capacitive-dropper',
  'pulse discharge',
  'linear',
  'led',
  'standby',
];

test.each(Object.entries(ROLES).filter(([, { letters }]) => letters !== ''))(
  'a %s that is named by its number is taken for one',
  (role, { letters }) => {
    const ref = `${letters.split('|')[0] ?? ''}97`;
    const parts = partsByRole({ observations: [{ text: namedAs(ref, role as RoleName) }], topologies: EVERY_CIRCUIT });
    expect(parts(role as RoleName)).toContain(ref);
  },
);

test('a part that is named by its number is asked for in the place of the usual one', () => {
  const observations: Seen[] = [{ text: namedAs('Q7', 'mainSwitch') }];
  const asked = diagnose({ symptom: 'fuse-blown', topologies: ['flyback'], observations }).next;
  const refs = asked.filter(({ role }) => role === 'mainSwitch').map(({ ref }) => ref);
  expect(new Set(refs)).toEqual(new Set(['Q7']));
});

test('what was told to look good is not asked to be looked at', () => {
  const observations: Seen[] = [{ ref: 'C12', condition: 'good' }];
  const asked = diagnose({ symptom: 'rail-low', topologies: ['flyback'], observations }).next;
  expect(asked.map(({ ref, test: by }) => `${ref} ${by}`)).not.toContain('C12 visual');
});

test.each([
  ['nothing at all from the purple wire', 'standby-switch-shorted', true],
  ['it went dead in standby', 'standby-switch-shorted', false],
  ['nothing wrong with the standby rail', 'standby-switch-shorted', false],
])('“%s” is a dead standby supply: %s, %s', (text, cause, isSo) => {
  const of = { unit: { kind: 'pc-supply' }, topologies: ['flyback', 'half-bridge'], observations: [{ text }] };
  const asStandby = chanceOf(cause, { ...of, symptom: 'standby-dead' });
  expect(Math.abs(chanceOf(cause, of) - asStandby) < 1e-9).toBe(isSo);
});
