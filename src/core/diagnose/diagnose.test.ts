import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Board } from '../board';
import { stateOf } from './readings';
import { CAUSE_NAMES, CAUSES, diagnose, ROLES, type CauseName, type Complaint, type Seen, type Symptom } from '.';

/** Cause, complaint, kind of unit, circuits, what the person tells, and the reading that settles it. */
type Row = readonly [
  CauseName,
  Symptom,
  string,
  string,
  readonly (string | Seen)[],
  readonly [ref: string, test: Seen['test'] & string, text: string] | undefined,
];

const blown: Seen = { ref: 'F1', condition: 'blown' };
const bulkAt = (ref: string, value: number): Seen => ({ ref, test: 'voltage-dc', value });

// Written from the trade’s experience before they were played; common practice, no source. Each cause at least twice.
const ROWS: readonly Row[] = [
  [
    'switch-shorted',
    'fuse-blown',
    'desk-brick',
    'flyback',
    [blown, 'fuse black inside'],
    ['Q1', 'diode-mode', '0.002 V both ways: shorted'],
  ],
  [
    'switch-shorted',
    'fuse-blown',
    'pc-supply',
    'half-bridge',
    [blown, 'loud bang when switched on'],
    ['Q2', 'diode-mode', '0 V both ways'],
  ],
  [
    'bridge-shorted',
    'fuse-blown',
    'monitor-supply',
    'flyback',
    [blown, 'fuse is silvered'],
    ['BR1', 'diode-mode', 'one arm 0.001 V both ways'],
  ],
  [
    'bridge-shorted',
    'trips-breaker',
    'wall-plug',
    'rcc-flyback',
    ['trips at once'],
    ['D2', 'diode-mode', '0.003 V both ways: shorted'],
  ],
  [
    'bulk-shorted',
    'fuse-blown',
    'audio-supply',
    'forward',
    [blown],
    ['C3', 'resistance', '0.8 ohm, out of circuit: shorted'],
  ],
  [
    'bulk-shorted',
    'smell',
    'desk-brick',
    'flyback',
    ['the big can has vented with a bang'],
    ['C3', 'resistance', '1.2 ohm'],
  ],
  [
    'varistor-shorted',
    'fuse-blown',
    'din-rail',
    'flyback',
    [blown, 'after a thunderstorm'],
    ['RV1', 'visual', 'burst open'],
  ],
  [
    'varistor-shorted',
    'fuse-blown',
    'control-supply',
    'flyback',
    [blown, 'the neutral was lost for an hour'],
    ['RV1', 'resistance', '12 ohm: shorted'],
  ],
  [
    'x-capacitor-failed',
    'trips-breaker',
    'recorder-supply',
    'flyback',
    ['the fuse on the board is whole'],
    ['C1', 'resistance', '2 ohm, leg lifted: shorted'],
  ],
  [
    'x-capacitor-failed',
    'smell',
    'tv-supply',
    'boost-pfc llc-half-bridge',
    ['a plastic box near the inlet has burst and smoked, it still works'],
    ['CX1', 'visual', 'box split and brown'],
  ],
  ['ntc-open', 'dead', 'desk-brick', 'flyback', [bulkAt('C3', 0), 'the fuse is whole'], ['RT1', 'resistance', 'OL']],
  [
    'ntc-open',
    'dead',
    'monitor-supply',
    'flyback',
    ['no volts on the bulk', 'fuse good'],
    ['RT1', 'resistance', 'OL: cracked'],
  ],
  [
    'fuse-aged',
    'fuse-blown',
    'desk-brick',
    'flyback',
    [blown, 'the glass is clear and the wire hangs', 'ten years day and night'],
    ['Q1', 'diode-mode', '0.45 V one way, OL the other'],
  ],
  ['fuse-aged', 'fuse-blown', 'din-rail', 'flyback', [blown, 'a new fuse has held for two days now'], undefined],
  [
    'startup-resistor-open',
    'dead',
    'desk-brick',
    'flyback',
    [bulkAt('C3', 322), 'not a sound'],
    ['R3', 'resistance', 'OL, marked 680 kohm'],
  ],
  [
    'startup-resistor-open',
    'dead',
    'charger',
    'flyback',
    ['the bulk stays charged', 'VCC is 0'],
    ['R2', 'resistance', '9 Mohm, marked 330 kohm'],
  ],
  [
    'vcc-capacitor-dry',
    'hiccup',
    'desk-brick',
    'flyback',
    ['ticks three times a second', 'starts when warmed with a hair dryer'],
    ['C8', 'esr', '14 ohm'],
  ],
  [
    'vcc-capacitor-dry',
    'intermittent-warm',
    'din-rail',
    'flyback',
    ['will not start when cold', 'runs well once warm'],
    ['C8', 'capacitance', '3 uF of 47 uF'],
  ],
  [
    'controller-dead',
    'dead',
    'desk-brick',
    'flyback',
    [bulkAt('C3', 320), 'VCC climbs to 16 V and stays'],
    ['U1', 'voltage-dc', '16 V at VCC, nothing at VREF or OUT: dead'],
  ],
  ['controller-dead', 'dead', 'tv-supply', 'flyback', [], ['U1', 'resistance', '4 ohm from VCC to ground: shorted']],
  [
    'sense-resistor-open',
    'dead',
    'desk-brick',
    'flyback',
    [bulkAt('C3', 322)],
    ['R8', 'resistance', 'OL, marked 0.33 ohm'],
  ],
  [
    'sense-resistor-open',
    'dead',
    'charger',
    'flyback',
    ['switch was replaced, still nothing'],
    ['R8', 'resistance', '4.7 kohm, marked 0.47 ohm'],
  ],
  [
    'gate-drive-fault',
    'hot',
    'charger',
    'full-bridge',
    ['only one of the four sinks is hot'],
    ['R10', 'resistance', '850 ohm, marked 22 ohm'],
  ],
  [
    'gate-drive-fault',
    'fuse-blown',
    'pc-supply',
    'half-bridge',
    [blown, 'the second pair of transistors died within a minute'],
    ['R10', 'resistance', 'OL, marked 4.7 ohm'],
  ],
  [
    'snubber-failed',
    'noisy',
    'audio-supply',
    'flyback',
    ['interference on the radio'],
    ['C6', 'capacitance', '0.1 nF of 1 nF'],
  ],
  [
    'snubber-failed',
    'fuse-blown',
    'desk-brick',
    'flyback',
    [blown, 'third switch in a row, each lasts a day'],
    ['C6', 'visual', 'cracked through'],
  ],
  [
    'output-rectifier-shorted',
    'hiccup',
    'desk-brick',
    'flyback',
    ['ticks, the same without a load'],
    ['D6', 'diode-mode', '0.003 V both ways: shorted'],
  ],
  [
    'output-rectifier-shorted',
    'dead',
    'pc-supply',
    'two-switch-forward',
    [{ rail: '5V standby', volts: 5.02 }, 'fan kicks and stops at once'],
    ['D20', 'diode-mode', '0.001 V both ways'],
  ],
  [
    'output-rectifier-open',
    'rail-low',
    'module',
    'flyback',
    [
      { rail: '12V', volts: 0.1 },
      { rail: '5V', volts: 5 },
    ],
    ['D6', 'diode-mode', 'OL both ways'],
  ],
  [
    'output-rectifier-open',
    'dead',
    'module',
    'buck',
    [{ rail: '5V', volts: 0.2 }],
    ['D1', 'diode-mode', 'OL both ways'],
  ],
  [
    'sync-fet-shorted',
    'hiccup',
    'tv-supply',
    'llc-half-bridge',
    ['tries once a second, also without a load'],
    ['Q4', 'diode-mode', '0.001 V both ways: shorted'],
  ],
  [
    'sync-fet-shorted',
    'dead',
    'module',
    'buck',
    ['the source goes into current limit at once'],
    ['Q2', 'diode-mode', '0.002 V both ways, choke lifted: shorted'],
  ],
  [
    'output-capacitors-dry',
    'ripple',
    'pc-supply',
    'half-bridge',
    [{ ref: 'C20', condition: 'bulged' }, 'whistles under load'],
    ['C20', 'esr', '1.8 ohm, should be 0.03 ohm'],
  ],
  [
    'output-capacitors-dry',
    'rail-low',
    'desk-brick',
    'flyback',
    [{ rail: '12V', volts: 9.8 }, 'two cans have crust at the foot'],
    ['C12', 'esr', '4 ohm'],
  ],
  [
    'bulk-dry',
    'noisy',
    'audio-supply',
    'flyback',
    ['hums at 100 Hz under load'],
    ['C3', 'capacitance', '22 uF of 220 uF'],
  ],
  [
    'bulk-dry',
    'rail-low',
    'tv-supply',
    'flyback',
    ['restarts when it is fully loaded, mains ripple on the rail'],
    ['C3', 'esr', '9 ohm'],
  ],
  [
    'feedback-open',
    'rail-high',
    'desk-brick',
    'flyback',
    [{ rail: '12V', volts: 17.5 }],
    ['R2', 'resistance', 'OL, marked 10 kohm'],
  ],
  [
    'feedback-open',
    'rail-high',
    'module',
    'boost',
    [{ rail: '24V', volts: 38 }],
    ['R2', 'resistance', '1.4 Mohm, marked 82 kohm'],
  ],
  [
    'optocoupler-dead',
    'rail-high',
    'din-rail',
    'flyback',
    [{ rail: '24V', volts: 31 }, 'divider measures right'],
    ['U2', 'diode-mode', 'LED OL both ways: open'],
  ],
  [
    'optocoupler-dead',
    'rail-low',
    'desk-brick',
    'flyback',
    [{ rail: '5V', volts: 1.4 }, 'all output capacitors are new'],
    ['U2', 'resistance', '60 ohm with the LED dark; should be OL'],
  ],
  [
    'reference-dead',
    'rail-high',
    'desk-brick',
    'flyback',
    [{ rail: '12V', volts: 16 }],
    ['U3', 'voltage-dc', '3.6 V at REF, never regulates'],
  ],
  [
    'reference-dead',
    'rail-low',
    'desk-brick',
    'flyback',
    [{ rail: '12V', volts: 2.6 }, 'output capacitors tested good'],
    ['U3', 'diode-mode', '0.001 V both ways: shorted'],
  ],
  [
    'auxiliary-winding-open',
    'hiccup',
    'desk-brick',
    'flyback',
    ['ticks slowly without a load', 'VCC capacitor is new'],
    ['D4', 'diode-mode', 'OL both ways: open'],
  ],
  [
    'auxiliary-winding-open',
    'hiccup',
    'din-rail',
    'flyback',
    ['starts and stops for ever'],
    ['D4', 'diode-mode', 'OL both ways'],
  ],
  [
    'standby-capacitor-dry',
    'standby-dead',
    'pc-supply',
    'two-switch-forward flyback',
    ['starts after several tries', { rail: '5V standby', volts: 3.6 }],
    ['C50', 'esr', '7 ohm'],
  ],
  [
    'standby-capacitor-dry',
    'standby-high',
    'pc-supply',
    'half-bridge rcc-flyback',
    [{ rail: '5V standby', volts: 9.5 }],
    ['C41', 'capacitance', '0.8 uF of 10 uF'],
  ],
  [
    'standby-switch-shorted',
    'fuse-blown',
    'tv-supply',
    'boost-pfc llc-half-bridge flyback',
    [blown, 'it died while the set was in standby'],
    ['U3', 'diode-mode', '0.002 V both ways: shorted'],
  ],
  [
    'standby-switch-shorted',
    'standby-dead',
    'pc-supply',
    'half-bridge flyback',
    ['nothing at all on standby', 'a fusible resistor is open'],
    ['U3', 'resistance', '3 ohm from drain to source: shorted'],
  ],
  [
    'standby-unprotected',
    'standby-high',
    'pc-supply',
    'half-bridge rcc-flyback',
    [
      { rail: '5V standby', volts: 7.4 },
      'all capacitors of the standby are new',
      'two-transistor standby without an optocoupler',
    ],
    undefined,
  ],
  [
    'standby-unprotected',
    'standby-high',
    'recorder-supply',
    'rcc-flyback',
    [{ rail: '5V standby', volts: 6.6 }, 'new capacitors made no difference', 'no feedback from the output at all'],
    undefined,
  ],
  [
    'pfc-switch-shorted',
    'fuse-blown',
    'tv-supply',
    'boost-pfc llc-half-bridge',
    [blown, 'fuse black'],
    ['Q1', 'diode-mode', '0.001 V both ways: shorted'],
  ],
  [
    'pfc-switch-shorted',
    'fuse-blown',
    'din-rail',
    'boost-pfc full-bridge',
    [blown, 'blew with a bang after a power cut'],
    ['Q1', 'diode-mode', '0 V both ways'],
  ],
  [
    'pfc-diode-shorted',
    'fuse-blown',
    'tv-supply',
    'boost-pfc llc-half-bridge',
    [blown, { ref: 'Q2', condition: 'good' }],
    ['D1', 'diode-mode', '0.002 V both ways: shorted'],
  ],
  [
    'pfc-diode-shorted',
    'fuse-blown',
    'pc-supply',
    'boost-pfc two-switch-forward',
    [blown, 'new PFC switch blew again at once'],
    ['D1', 'diode-mode', '0 V both ways'],
  ],
  [
    'resonant-capacitor-faded',
    'rail-low',
    'tv-supply',
    'boost-pfc llc-half-bridge',
    [bulkAt('C9', 388), { rail: '24V', volts: 19 }],
    ['C12', 'capacitance', '21 nF of 33 nF'],
  ],
  [
    'resonant-capacitor-faded',
    'flicker',
    'ballast',
    'resonant-ballast',
    ['tube hardly lights'],
    ['C6', 'capacitance', '1.1 nF of 3.3 nF'],
  ],
  [
    'transformer-shorted-turns',
    'hiccup',
    'desk-brick',
    'flyback',
    ['ticks even without a load', 'the transformer gets hot', 'rectifier measured good'],
    ['T1', 'resistance', '0.4 ohm; a good one 1.2 ohm'],
  ],
  [
    'transformer-shorted-turns',
    'hot',
    'charger',
    'flyback',
    ['the transformer smells of varnish'],
    ['T1', 'visual', 'winding dark brown, smells'],
  ],
  [
    'solder-joint-cracked',
    'intermittent-warm',
    'tv-supply',
    'flyback',
    ['comes back when the board is tapped'],
    ['T1', 'visual', 'a ring round one leg'],
  ],
  [
    'solder-joint-cracked',
    'dead',
    'monitor-supply',
    'flyback',
    ['works when pressed near the transformer', 'it was dropped once'],
    ['T1', 'visual', 'cracked joint at a leg'],
  ],
  [
    'overloaded-outside',
    'hiccup',
    'desk-brick',
    'flyback',
    ['ticks as soon as the player is plugged in', 'holds a lamp of 30 W without trouble', { rail: '12V', volts: 12.1 }],
    undefined,
  ],
  ['overloaded-outside', 'rail-low', 'charger', 'flyback', ['works with another load'], undefined],
  [
    'line-selector-wrong',
    'fuse-blown',
    'pc-supply',
    'half-bridge',
    [blown, 'bought in America, the red switch is on 115'],
    undefined,
  ],
  [
    'line-selector-wrong',
    'smell',
    'pc-supply',
    'half-bridge',
    ['selector was on 110 when it was plugged in at home, bulk cans vented'],
    undefined,
  ],
  [
    'fan-stuck',
    'hot',
    'pc-supply',
    'two-switch-forward',
    ['the fan does not turn'],
    ['FAN1', 'visual', 'stuck, hard to turn'],
  ],
  [
    'fan-stuck',
    'intermittent-warm',
    'audio-supply',
    'full-bridge',
    ['stops after half an hour', 'fan full of dust'],
    ['FAN1', 'visual', 'stands'],
  ],
  [
    'triac-shorted',
    'rail-high',
    'dimmer',
    'phase-control',
    ['the lamp is always on at full brightness'],
    ['Q1', 'resistance', '0.4 ohm between its main terminals: shorted'],
  ],
  [
    'triac-shorted',
    'rail-high',
    'dimmer',
    'phase-control',
    ['cannot be dimmed since the bulb burst'],
    ['Q1', 'resistance', '2 ohm'],
  ],
  [
    'trigger-diode-dead',
    'dead',
    'dimmer',
    'phase-control',
    ['triac tested good'],
    ['D1', 'voltage-dc', 'climbs past 100 V and never fires'],
  ],
  [
    'trigger-diode-dead',
    'dead',
    'ballast',
    'resonant-ballast',
    [bulkAt('C1', 320), 'no glow at all', 'tube is new'],
    ['D7', 'voltage-dc', 'never breaks over'],
  ],
  [
    'timing-capacitor-leaky',
    'snap-on',
    'dimmer',
    'phase-control',
    ['comes on with a jump, more than it used to'],
    ['C2', 'capacitance', '41 nF of 100 nF'],
  ],
  [
    'timing-capacitor-leaky',
    'flicker',
    'dimmer',
    'phase-control',
    ['flickers at low settings'],
    ['C2', 'resistance', '300 kohm, should be OL'],
  ],
  [
    'dropper-capacitor-faded',
    'rail-low',
    'motion-lamp',
    'capacitive-dropper',
    [{ rail: '24V', volts: 11 }],
    ['C1', 'capacitance', '0.12 uF of 0.47 uF'],
  ],
  [
    'dropper-capacitor-faded',
    'flicker',
    'timer',
    'capacitive-dropper',
    ['the relay chatters'],
    ['C1', 'capacitance', '190 nF of 680 nF'],
  ],
  [
    'regulator-shorted',
    'rail-high',
    'control-supply',
    'line-transformer linear',
    [{ rail: '12V', volts: 21 }],
    ['U1', 'diode-mode', '0.002 V both ways from IN to OUT: shorted'],
  ],
  [
    'regulator-shorted',
    'rail-high',
    'motion-lamp',
    'capacitive-dropper linear',
    [{ rail: '5V', volts: 23 }],
    ['U1', 'resistance', '1 ohm from IN to OUT'],
  ],
  [
    'store-capacitor-faded',
    'no-pulse',
    'igniter',
    'capacitor-discharge',
    ['spark hardly there'],
    ['C4', 'capacitance', '0.2 uF of 1 uF'],
  ],
  [
    'store-capacitor-faded',
    'no-pulse',
    'fence',
    'capacitor-discharge',
    ['the pulse is weak', bulkAt('C4', 300)],
    ['C4', 'capacitance', '3 uF of 15 uF'],
  ],
  [
    'pulse-switch-shorted',
    'no-pulse',
    'igniter',
    'capacitor-discharge',
    ['the store never charges'],
    ['Q1', 'diode-mode', '0.002 V both ways: shorted'],
  ],
  [
    'pulse-switch-shorted',
    'no-pulse',
    'fence',
    'capacitor-discharge',
    [{ ref: 'C4', test: 'voltage-dc', value: 2 }],
    ['Q1', 'resistance', '0.5 ohm'],
  ],
  [
    'cable-broken',
    'dead',
    'desk-brick',
    'flyback',
    ['comes and goes when the cord is bent at the plug'],
    ['W1', 'continuity', 'drops out when bent'],
  ],
  [
    'cable-broken',
    'flicker',
    'wall-plug',
    'flyback',
    ['the lead was rolled over by a chair'],
    ['W1', 'continuity', 'comes and goes near the strain relief'],
  ],
  [
    'led-string-open',
    'dead',
    'led-driver',
    'flyback',
    ['the driver gives 60 V and the strip stays dark'],
    ['LED1', 'diode-mode', 'one LED open'],
  ],
  [
    'led-string-open',
    'flicker',
    'led-driver',
    'buck',
    ['one segment of the string blinks'],
    ['LED1', 'diode-mode', 'OL at the third LED'],
  ],
];

const observed = (told: readonly (string | Seen)[]): readonly Seen[] =>
  told.map((one) => (typeof one === 'string' ? { text: one } : one));
const complaintOf = ([, symptom, kind, circuits, told]: Row): Complaint => ({
  unit: { kind },
  topologies: circuits.split(' '),
  symptom,
  observations: observed(told),
});

test('each cause twice: among the first two by what is told, first once it is measured', () => {
  const ranks = ROWS.map((row) => diagnose(complaintOf(row)).causes.findIndex(({ cause }) => cause === row[0]));
  expect(ranks.filter((rank) => rank >= 0 && rank < 2).length / ROWS.length).toBeGreaterThanOrEqual(0.7);
  const measured = ROWS.filter((row) => row[5] !== undefined);
  const missed = measured.filter((row) => {
    const [ref = '', test, text = ''] = row[5] ?? [];
    const complaint = complaintOf(row);
    const [first] = diagnose({
      ...complaint,
      observations: [...complaint.observations, { ref, ...(test ? { test } : {}), text }],
    }).causes;
    return first?.cause !== row[0];
  });
  expect(missed.map(([cause, symptom]) => `${cause}, ${symptom}`)).toEqual([]);
  for (const name of CAUSE_NAMES)
    expect([name, ROWS.filter(([cause]) => cause === name).length >= 2]).toEqual([name, true]);
});

interface Case {
  readonly checks: Readonly<Record<string, string>>;
  readonly refs: Readonly<Record<string, string>>;
  readonly truth: readonly string[];
  readonly case: Complaint;
}
const read = (file: string) =>
  (JSON.parse(readFileSync(join(__dirname, 'fixtures', file), 'utf8')) as readonly Case[]).map((one) => ({
    ...one,
    case: { ...one.case, observations: (one.case as Partial<Complaint>).observations ?? [] },
  }));
// Invented faults by a repair technician. Six were read before the engine was written; played blind it had the cause among the first two
// in 23 of 36, and found 19 by its own advice. It was then mended by what the others taught.
const cases = read('faults.json');
// Invented faults of our own, common practice, in seventeen batches, each written before the engine was mended by it: blind, among two in
// 21 of 36, 26 of 42, 21 of 42, 21 of 28, 18 of 26, 19 of 30, 14 of 20, 10 of 16, 13 of 18, 11 of 23, 15 of 18, 12 of 16, 10 of 16, 15 of 24, 17 of 24,
// 20 of 24 and 15 of 20,
// found by its own advice 22, 34, 28, 23, 21, 18, 12, 12, 13, 11, 13, 13, 11, 17, 16,
// 17 and 13; five whose cause was none at all, is not in the table or was arguable were left out afterwards.
// The sixth, seventh and tenth number their parts otherwise than the technician does, and word what they tell more obliquely; the
// thirteenth is in the words of a telegram.
const workbench = read('workbench.json');

test.each([
  ['a technician', cases, 0.85],
  ['our own', workbench, 0.75],
] as const)('faults of %s are among the first two at once', (_, table, share) => {
  const right = table.filter(({ truth, case: complaint }) =>
    diagnose(complaint)
      .causes.slice(0, 2)
      .some(({ cause }) => cause === truth[0]),
  );
  expect(right.length / table.length).toBeGreaterThanOrEqual(share);
});

test.each([
  ['a technician', cases, 0.9],
  ['our own', workbench, 0.9],
] as const)(
  'faults of %s are found by the advised checks, each answered as the board would, no surer than they are right',
  (_, table, share) => {
    const claims: { readonly p: number; readonly holds: boolean }[] = [];
    const played = table.map(({ truth, checks, refs, case: complaint }): boolean => {
      const answer = (ref: string, test: string) => {
        const told = Object.entries(checks).filter(([key]) => key.startsWith(`${ref} ${test}`));
        const isThere = Object.keys(checks).some((key) => key === ref || key.startsWith(`${ref} `));
        return told.length > 0
          ? told.map(([, text]) => text).join('; ')
          : !isThere && ref in refs
            ? 'good'
            : 'no difference seen';
      };
      let observations = complaint.observations;
      for (let asked = 0; asked < 12; asked += 1) {
        const {
          causes: [first],
          next: [step],
        } = diagnose({ ...complaint, observations });
        if (first) claims.push({ p: first.probability, holds: truth.includes(first.cause) });
        if (first && first.cause === truth[0] && first.probability >= 0.7) return true;
        if (step)
          observations = [...observations, { ref: step.ref, test: step.test, text: answer(step.ref, step.test) }];
      }
      return diagnose({ ...complaint, observations }).causes[0]?.cause === truth[0];
    });
    expect(played.filter(Boolean).length / table.length).toBeGreaterThanOrEqual(share);
    // The rules were mended by these cases, so that the table shows only that no bin claims more than holds.
    for (const [from, to] of [
      [0, 0.2],
      [0.2, 0.4],
      [0.4, 0.7],
      [0.7, 1.01],
    ] as const) {
      const bin = claims.filter(({ p }) => p >= from && p < to);
      const mean = bin.reduce((sum, { p }) => sum + p, 0) / bin.length;
      const held = bin.filter(({ holds }) => holds).length / bin.length;
      expect([from, bin.length > 5, held > mean - 0.1]).toEqual([from, true, true]);
    }
  },
);

test('probabilities, reasons and checks hold together', () => {
  for (const { case: complaint } of [...cases, ...ROWS.map((row) => ({ case: complaintOf(row) }))]) {
    const { causes, next } = diagnose(complaint);
    const total = causes.reduce((sum, { probability }) => sum + probability, 0);
    expect(total > 0.85 && total < 1.0001).toBe(true);
    expect(causes.some(({ cause }) => cause === 'none of these')).toBe(true);
    expect(next.length).toBeGreaterThan(3);
    const done = complaint.observations.map(({ ref, test }) => `${ref ?? ''} ${test ?? ''}`);
    for (const one of next) {
      expect(done).not.toContain(`${one.ref} ${one.test}`);
      // Power is off but where a voltage is the reading.
      expect(one.power).toBe(one.test === 'voltage-dc' ? 'on' : 'off');
      expect(one.gain).toBeGreaterThanOrEqual(0);
    }
  }
});

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
    ofOutput('0.1 ohm', 0.3),
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
])('%s', (_, cause, one, compared, other) => {
  const [a, b] = [chanceOf(cause, one), chanceOf(cause, other)];
  const ratio = Math.log(a / b);
  expect(compared === 'more' ? ratio > 1 : compared === 'less' ? ratio < -1 : Math.abs(ratio) < 0.7).toBe(true);
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
