import { practice } from '../evidence';
import type { CheckTest, RoleName, Symptom } from './words';

/** What a check would show. */
export interface CauseCheck {
  readonly role: RoleName;
  readonly test: CheckTest;
  readonly pins?: string;
  readonly good: string;
  readonly bad: string;
  /** How surely it tells: how often it is bad where this is the cause. */
  readonly tells?: number;
}

/** What may be wrong with a unit: how common, with what complaint, in which circuits, and what tells. */
export interface Cause {
  readonly label: string;
  /** How common, against the others, before anything is known. */
  readonly common: number;
  readonly symptoms: Partial<Record<Symptom, number>>;
  /** Complaints that it makes in some circuits only. */
  readonly alsoIn?: readonly { readonly circuits: RegExp; readonly symptoms: Partial<Record<Symptom, number>> }[];
  /** Circuits it can be in; without it in all that switch. */
  readonly needs?: RegExp;
  /** Circuits it is not in. */
  readonly never?: RegExp;
  readonly checks: readonly CauseCheck[];
  /** Guilty parts, where the unit has them. */
  readonly roles: readonly RoleName[];
  /** Parts that it takes along, so that they are found bad with it. */
  readonly wake?: readonly RoleName[];
  /** Parts that it kills again and again: bad ones speak for it where the unit has killed one before. */
  readonly kills?: readonly RoleName[];
  /** What is replaced with it, and why. */
  readonly together: string;
}

const check = (
  role: RoleName,
  test: CheckTest,
  good: string,
  bad: string,
  more: { readonly pins?: string; readonly tells?: number } = {},
): CauseCheck => ({ role, test, good, bad, ...more });

const DIODE_GOOD = 'about 0.4 to 0.6 V one way, open the other';
const SHORT = 'near 0 V both ways: shorted';
/** A unit that does nothing may just have its fuse blown by what is shorted behind it. */
const FUSE_FIRST = check('fuse', 'continuity', 'beeps', 'open', { tells: 0.9 });
const MAINS = /line-transformer|linear|flyback|forward|bridge|push|llc|pfc|resonan|offline|dimmer|phase|dropper/u;
/** Units that feed LEDs. */
const LIT = /led|light|lamp|panel|luminaire|strip/u;
/** Circuits with a store at what feeds them. */
const FED = new RegExp(`${MAINS.source}|^(?:buck|boost|sepic|inverting|cuk)`, 'u');
const LOW_INPUT = /^(?:buck|boost|sepic|inverting|cuk)\b(?!-)/u;
const LINE = /phase|dropper|pulse|discharge|linear|line-transformer|ignit/u;
/** Circuits without a start from the mains: their controller is fed by what they convert. */
const NO_START =
  /phase|dropper|pulse|discharge|linear|line-transformer|ignit|^(?:buck|boost|sepic|inverting|cuk)\b(?!-)|ballast/u;
/** Units that are sold without a fan. */
const FANLESS = /fanless|adapter|charger|\bwall|plug|dimmer|ballast|sensor|fence|ignit|bulb|lantern/u;
const STANDBY = /rcc|standby|flyback.*(?:forward|bridge|llc|pfc)|(?:forward|bridge|llc|pfc).*flyback/u;

/** Causes of a dead or sick unit, with how common they are; a person may add to it. */
export const CAUSES = practice({
  'switch-shorted': {
    label: 'main switch shorted',
    common: 10,
    wake: ['sense', 'gate', 'controller', 'clamp', 'clampResistor', 'drive'],
    symptoms: { 'fuse-blown': 0.8, 'trips-breaker': 0.08, dead: 0.08, smell: 0.05, hiccup: 0.02 },
    alsoIn: [{ circuits: /^(?:offline )?buck(?!-)/u, symptoms: { 'rail-high': 0.5 } }],
    never: LINE,
    roles: ['mainSwitch'],
    checks: [FUSE_FIRST, check('mainSwitch', 'diode-mode', DIODE_GOOD, SHORT, { pins: 'D-S' })],
    together:
      'Gate resistor, driver or controller, sense resistor and the clamp beside it go with the switch: what is left bad kills the next.',
  },
  'bridge-shorted': {
    label: 'mains bridge shorted',
    common: 4,
    wake: ['ntc'],
    symptoms: { 'fuse-blown': 0.8, 'trips-breaker': 0.15, dead: 0.04 },
    never: /phase|dropper|^(?:buck|boost|sepic|inverting|cuk)\b(?!-)/u,
    roles: ['bridge'],
    checks: [
      FUSE_FIRST,
      check('bridge', 'diode-mode', 'four arms alike, about 0.5 V one way', 'an arm near 0 V both ways'),
    ],
    together: 'The fuse, and look at the NTC and the bulk capacitor: a surge takes all of them.',
  },
  'bulk-shorted': {
    label: 'bulk capacitor shorted',
    common: 1,
    wake: ['bridge', 'ntc'],
    symptoms: { 'fuse-blown': 0.7, 'trips-breaker': 0.15, smell: 0.15, dead: 0.03 },
    needs: FED,
    roles: ['bulk', 'inputCapacitor'],
    checks: [
      FUSE_FIRST,
      check('bulk', 'resistance', 'climbs past 100 kΩ', 'stays under a few ohms'),
      check('inputCapacitor', 'resistance', 'climbs past 100 kΩ', 'stays under a few ohms'),
    ],
    together: 'All bulk capacitors of the pair, and the bridge and NTC that fed the short.',
  },
  'varistor-shorted': {
    label: 'varistor shorted',
    common: 1.2,
    wake: ['bridge', 'bulk'],
    symptoms: { 'fuse-blown': 0.8, 'trips-breaker': 0.12, smell: 0.1, dead: 0.03 },
    needs: MAINS,
    never: LOW_INPUT,
    roles: ['varistor'],
    checks: [
      FUSE_FIRST,
      check('varistor', 'resistance', 'open', 'a few ohms to some kilohms', { tells: 0.8 }),
      check('varistor', 'visual', 'whole', 'split, burnt or a hole', { tells: 0.7 }),
    ],
    together: 'The fuse that carried the surge.',
  },
  'x-capacitor-failed': {
    label: 'X capacitor failed',
    common: 1.2,
    symptoms: { 'trips-breaker': 0.55, 'fuse-blown': 0.25, smell: 0.3, noisy: 0.03 },
    needs: MAINS,
    never: LOW_INPUT,
    roles: ['xCapacitor'],
    checks: [
      check('xCapacitor', 'resistance', 'open, past its bleed resistor', 'a few ohms'),
      check('xCapacitor', 'visual', 'whole', 'box split or bulged', { tells: 0.6 }),
    ],
    together: 'The other X capacitors of the same age.',
  },
  'ntc-open': {
    label: 'NTC open',
    common: 1.2,
    symptoms: { dead: 0.9, 'intermittent-warm': 0.05 },
    needs: MAINS,
    never: /ballast|rcc|line-transformer|linear|^(?:buck|boost|sepic|inverting|cuk)\b(?!-)/u,
    roles: ['ntc'],
    checks: [check('ntc', 'resistance', 'a few ohms', 'open')],
    together: 'Look for what it carried: a bridge, a switch or a bulk capacitor that shorted.',
  },
  'fuse-aged': {
    label: 'fuse aged, nothing shorted behind it',
    common: 1.2,
    symptoms: { 'fuse-blown': 0.9, dead: 0.1 },
    needs: MAINS,
    never: LOW_INPUT,
    roles: ['fuse'],
    checks: [
      FUSE_FIRST,
      check('fuse', 'visual', 'black or spattered inside', 'clear, its wire parted or sagged', { tells: 0.7 }),
    ],
    together: 'Only the fuse, of the same kind, once everything behind it measures open.',
  },
  'startup-resistor-open': {
    label: 'start-up resistor open',
    common: 3,
    symptoms: { dead: 0.85, 'standby-dead': 0.05, 'intermittent-warm': 0.05, hiccup: 0.03 },
    never: NO_START,
    roles: ['startUp'],
    checks: [
      check('startUp', 'resistance', 'as marked', 'open, or much higher'),
      check('vccCapacitor', 'voltage-dc', 'climbs, then drops, again and again', 'stays near 0 V', { tells: 0.8 }),
    ],
    together: 'Two in series of the same value, rated for the voltage.',
  },
  'vcc-capacitor-dry': {
    label: 'VCC capacitor of the controller dry',
    common: 4,
    symptoms: { hiccup: 0.4, dead: 0.3, 'intermittent-warm': 0.2, noisy: 0.04, 'rail-low': 0.02 },
    alsoIn: [{ circuits: LIT, symptoms: { flicker: 0.3 } }],
    never: NO_START,
    roles: ['vccCapacitor'],
    checks: [
      check('vccCapacitor', 'esr', 'under 1 Ω', 'several ohms'),
      check('vccCapacitor', 'capacitance', 'near what is printed', 'far under what is printed', { tells: 0.85 }),
    ],
    together: 'The small cans beside it, which have had the same heat.',
  },
  'controller-dead': {
    label: 'controller dead',
    common: 1.5,
    symptoms: { dead: 0.55, hiccup: 0.15, 'fuse-blown': 0.08, 'rail-low': 0.05, 'no-pulse': 0.1 },
    never: /ballast|phase|dropper|line-transformer/u,
    roles: ['controller'],
    checks: [
      check('controller', 'resistance', 'some kilohms from supply to ground', 'a few ohms', {
        pins: 'VCC-GND',
        tells: 0.7,
      }),
      check(
        'controller',
        'voltage-dc',
        'supply and reference as they should be',
        'supply there, no reference or no output',
        { tells: 0.8 },
      ),
    ],
    together: 'Gate resistor and the can of its supply.',
  },
  'sense-resistor-open': {
    label: 'current sense resistor open',
    common: 1.5,
    symptoms: { dead: 0.6, hiccup: 0.2, 'fuse-blown': 0.15, 'rail-low': 0.1 },
    never: /ballast|phase|dropper|line-transformer/u,
    roles: ['sense'],
    checks: [check('sense', 'resistance', 'as marked', 'open, or much higher')],
    together: 'Look for the switch that burnt it.',
  },
  'gate-drive-fault': {
    label: 'gate drive faulty',
    common: 1,
    kills: ['mainSwitch'],
    symptoms: { hot: 0.35, 'fuse-blown': 0.2, dead: 0.12, noisy: 0.08, hiccup: 0.1, 'rail-low': 0.08 },
    // Half of the drive gone leaves half of the volts, or nothing.
    alsoIn: [{ circuits: /bridge|push/u, symptoms: { hot: 0.45, 'fuse-blown': 0.35, 'rail-low': 0.15 } }],
    never: LINE,
    roles: ['gate', 'drive'],
    checks: [
      check('gate', 'resistance', 'as marked', 'open, or much higher'),
      check('drive', 'resistance', 'all windings alike', 'a winding open, or a junction gone', { tells: 0.4 }),
      check('drive', 'diode-mode', 'junctions of about 0.6 V', 'open, or near 0 V both ways', { tells: 0.4 }),
    ],
    together: 'Gate resistor, its diode and pull-down of every switch of the bridge.',
  },
  'snubber-failed': {
    label: 'clamp or snubber failed',
    common: 1.2,
    kills: ['mainSwitch'],
    symptoms: { 'fuse-blown': 0.3, hot: 0.15, noisy: 0.2, ripple: 0.1, dead: 0.1, smell: 0.1, hiccup: 0.05 },
    never: LINE,
    roles: ['clamp', 'clampResistor'],
    checks: [
      check('clamp', 'capacitance', 'near what is printed', 'far under it, or split'),
      check('clamp', 'visual', 'whole', 'cracked or burnt', { tells: 0.5 }),
      check('clampResistor', 'resistance', 'as marked', 'open, or far off', { tells: 0.5 }),
    ],
    together: 'The switch that its spike has overdriven.',
  },
  'output-rectifier-shorted': {
    label: 'output rectifier shorted',
    common: 4.5,
    wake: ['outputCapacitor'],
    symptoms: { hiccup: 0.6, dead: 0.25, noisy: 0.05, hot: 0.03, 'fuse-blown': 0.03, 'rail-low': 0.05 },
    never: /phase|dropper|ballast|\bsync\b/u,
    roles: ['outputRectifier'],
    checks: [check('outputRectifier', 'diode-mode', '0.15 to 0.5 V one way, open the other', SHORT)],
    together: 'Its snubber, and the output capacitors that it fed with AC.',
  },
  'output-rectifier-open': {
    label: 'output rectifier open',
    common: 0.7,
    symptoms: { dead: 0.4, 'rail-low': 0.45, 'rail-high': 0.05, hiccup: 0.05, noisy: 0.05, flicker: 0.1 },
    never: /phase|ballast/u,
    roles: ['outputRectifier'],
    checks: [check('outputRectifier', 'diode-mode', '0.15 to 0.5 V one way, open the other', 'open both ways')],
    together: 'Its snubber.',
  },
  'sync-fet-shorted': {
    label: 'synchronous rectifier shorted',
    common: 0.8,
    symptoms: { hiccup: 0.6, dead: 0.3, hot: 0.05 },
    needs: /llc|sync|flyback|forward|bridge|^(?:offline )?buck\b/u,
    roles: ['syncFet'],
    checks: [check('syncFet', 'diode-mode', DIODE_GOOD, SHORT, { pins: 'D-S' })],
    together: 'Its twin, its gate resistor, and the driver chip beside it.',
  },
  'output-capacitors-dry': {
    label: 'output capacitors dry',
    common: 7,
    symptoms: {
      ripple: 0.35,
      'rail-low': 0.18,
      flicker: 0.12,
      'intermittent-warm': 0.1,
      hiccup: 0.1,
      noisy: 0.08,
      dead: 0.04,
      hot: 0.02,
      'standby-dead': 0.02,
    },
    never: /phase|ballast/u,
    roles: ['outputCapacitor'],
    checks: [
      check('outputCapacitor', 'esr', 'under 0.1 Ω', 'several times that'),
      check('outputCapacitor', 'capacitance', 'near what is printed', 'far under it', { tells: 0.8 }),
      check('outputCapacitor', 'visual', 'flat top, dry foot', 'bulged, or crust at the foot', { tells: 0.6 }),
    ],
    together: 'All cans of the bank, low-impedance, 105 °C.',
  },
  'bulk-dry': {
    label: 'bulk capacitor dry',
    common: 2,
    symptoms: {
      noisy: 0.12,
      ripple: 0.25,
      'rail-low': 0.15,
      'intermittent-warm': 0.15,
      flicker: 0.12,
      dead: 0.06,
      hiccup: 0.12,
      hot: 0.03,
    },
    alsoIn: [{ circuits: /ballast/u, symptoms: { flicker: 0.4, dead: 0.1 } }],
    needs: /flyback|forward|bridge|push|llc|pfc|dropper|line-transformer|linear|offline|^buck\b/u,
    roles: ['bulk'],
    checks: [
      check('bulk', 'capacitance', 'near what is printed', 'far under it'),
      check('bulk', 'esr', 'under 1 Ω', 'several ohms', { tells: 0.8 }),
    ],
    together: 'Both of a pair, and the bridge, which carries higher peaks with a dry one.',
  },
  'feedback-open': {
    label: 'feedback open',
    common: 1.8,
    wake: ['outputCapacitor', 'zener', 'leds'],
    symptoms: { 'rail-high': 0.75, hiccup: 0.06, 'rail-low': 0.06, noisy: 0.02 },
    alsoIn: [{ circuits: /line-transformer|linear/u, symptoms: { 'rail-high': 0.35 } }],
    never: /phase/u,
    roles: ['feedback'],
    checks: [check('feedback', 'resistance', 'as marked', 'open, or much higher')],
    together: 'Output capacitors that stood more than they are rated for.',
  },
  'optocoupler-dead': {
    label: 'optocoupler dead or aged',
    common: 1.5,
    wake: ['outputCapacitor', 'zener', 'leds'],
    symptoms: { 'rail-high': 0.3, hiccup: 0.25, 'rail-low': 0.15, dead: 0.1, 'intermittent-warm': 0.08 },
    needs: /flyback|forward|bridge|push|llc|pfc/u,
    roles: ['optocoupler'],
    checks: [
      check('optocoupler', 'resistance', 'its transistor conducts when its LED does', 'nothing comes through', {
        tells: 0.75,
      }),
      check('optocoupler', 'diode-mode', 'its LED about 1.1 V one way', 'open both ways', { tells: 0.6 }),
    ],
    together: 'The shunt reference that drives it.',
  },
  'reference-dead': {
    label: 'shunt reference dead',
    common: 1,
    wake: ['outputCapacitor', 'zener', 'optocoupler'],
    symptoms: { 'rail-high': 0.35, 'rail-low': 0.3, hiccup: 0.2, dead: 0.1 },
    needs: /flyback|forward|bridge|push|llc/u,
    roles: ['reference'],
    checks: [
      check('reference', 'voltage-dc', '2.5 V at its reference pin', 'another voltage there', { tells: 0.8 }),
      check('reference', 'diode-mode', 'one way about 0.6 V', SHORT, { tells: 0.5 }),
    ],
    together: 'The optocoupler it drives.',
  },
  'auxiliary-winding-open': {
    label: 'auxiliary winding, its rectifier or its resistor open',
    common: 1,
    symptoms: { hiccup: 0.7, dead: 0.15, 'intermittent-warm': 0.05 },
    needs: /flyback|forward|bridge|push|llc|pfc/u,
    roles: ['auxiliary', 'auxiliaryResistor'],
    checks: [
      check('auxiliary', 'diode-mode', DIODE_GOOD, 'open both ways', { tells: 0.7 }),
      check('auxiliaryResistor', 'resistance', 'a few ohms, as marked', 'open', { tells: 0.35 }),
      check('transformer', 'continuity', 'each winding beeps', 'the auxiliary winding is open', { tells: 0.4 }),
    ],
    together: 'The can it charges.',
  },
  'standby-capacitor-dry': {
    label: 'capacitor of the standby supply dry',
    common: 3,
    symptoms: { 'standby-high': 0.3, 'standby-dead': 0.3, dead: 0.12, 'intermittent-warm': 0.18, hiccup: 0.05 },
    needs: STANDBY,
    roles: ['standbyCapacitor'],
    checks: [
      check('standbyCapacitor', 'esr', 'under 1 Ω', 'several ohms'),
      check('standbyCapacitor', 'capacitance', 'near what is printed', 'far under it', { tells: 0.85 }),
    ],
    together: 'All small cans of the standby supply; whatever its rail has fed is checked.',
  },
  'standby-switch-shorted': {
    label: 'switch of the standby supply shorted',
    common: 1.6,
    wake: ['fusible', 'standbyCapacitor'],
    symptoms: { 'standby-dead': 0.4, 'fuse-blown': 0.3, dead: 0.2 },
    needs: STANDBY,
    roles: ['standbySwitch'],
    checks: [
      check('standbySwitch', 'diode-mode', DIODE_GOOD, SHORT),
      check('standbySwitch', 'resistance', 'some hundred kilohms from drain to source', 'a few ohms', { tells: 0.8 }),
    ],
    together: 'Its clamp, its supply can and the fusible resistor ahead of it.',
  },
  'standby-unprotected': {
    label: 'standby supply without protection at light load',
    common: 0.4,
    symptoms: { 'standby-high': 0.9, 'rail-high': 0.02 },
    alsoIn: [{ circuits: /rcc|self-osc/u, symptoms: { 'rail-high': 0.3 } }],
    needs: /rcc/u,
    roles: [],
    checks: [check('standbyCapacitor', 'capacitance', 'near what is printed', 'far under it', { tells: 0.05 })],
    together: 'A limiter on its output, or a load that stays.',
  },
  'pfc-switch-shorted': {
    label: 'PFC switch shorted',
    common: 5,
    wake: ['pfcDiode', 'sense', 'gate', 'controller'],
    // A gate that is punched through leaves the stage idle: what is behind runs on the mains' crest.
    symptoms: { 'fuse-blown': 0.85, 'trips-breaker': 0.1, dead: 0.04, 'rail-low': 0.03, hiccup: 0.02 },
    needs: /pfc/u,
    roles: ['pfcSwitch'],
    checks: [
      FUSE_FIRST,
      check('pfcSwitch', 'diode-mode', DIODE_GOOD, SHORT, { pins: 'D-S' }),
      check('pfcSwitch', 'resistance', 'kilohms', 'a few ohms: the gate is punched through', { pins: 'G-S' }),
    ],
    together: 'PFC diode, gate resistor, sense resistor and PFC controller.',
  },
  'pfc-diode-shorted': {
    label: 'PFC diode shorted',
    common: 1.5,
    wake: ['pfcSwitch'],
    kills: ['pfcSwitch'],
    symptoms: { 'fuse-blown': 0.75, 'trips-breaker': 0.1, noisy: 0.05, dead: 0.1, 'rail-low': 0.08 },
    needs: /pfc/u,
    roles: ['pfcDiode'],
    checks: [check('pfcDiode', 'diode-mode', DIODE_GOOD, SHORT)],
    together: 'The PFC switch that it discharged the bulk into.',
  },
  'resonant-capacitor-faded': {
    label: 'resonant capacitor faded',
    common: 1.5,
    symptoms: { 'rail-low': 0.25, noisy: 0.2, dead: 0.15, hot: 0.12, hiccup: 0.15, flicker: 0.15, 'fuse-blown': 0.05 },
    alsoIn: [{ circuits: /ballast/u, symptoms: { flicker: 0.4, dead: 0.35 } }],
    needs: /llc|resonan|ballast/u,
    roles: ['resonant'],
    checks: [check('resonant', 'capacitance', 'within 5 % of what is printed', 'under it')],
    together: 'Its twin where there are two; film of polypropylene of the same value.',
  },
  'transformer-shorted-turns': {
    label: 'shorted turns in the transformer',
    common: 0.6,
    symptoms: { hiccup: 0.35, hot: 0.2, noisy: 0.15, 'fuse-blown': 0.12, 'rail-low': 0.1, 'no-pulse': 0.1, dead: 0.08 },
    roles: ['transformer'],
    checks: [
      check('transformer', 'resistance', 'windings as on a like one', 'one lower, or inductance far down', {
        tells: 0.6,
      }),
      check('transformer', 'visual', 'clean', 'dark or smelling windings', { tells: 0.4 }),
    ],
    together: 'A transformer from a unit of the same model, and no other.',
  },
  'solder-joint-cracked': {
    label: 'solder joint cracked',
    common: 3,
    symptoms: {
      'intermittent-warm': 0.45,
      flicker: 0.15,
      dead: 0.2,
      noisy: 0.04,
      'rail-low': 0.04,
      hiccup: 0.05,
      'no-pulse': 0.05,
      'snap-on': 0.02,
      hot: 0.02,
    },
    roles: ['joints'],
    checks: [
      check('transformer', 'visual', 'shiny joints all round', 'a ring round a leg', { tells: 0.5 }),
      check('mainSwitch', 'visual', 'shiny joints', 'a ring round a leg', { tells: 0.35 }),
      check('choke', 'continuity', 'each winding beeps at its pads', 'open, or it comes and goes', { tells: 0.25 }),
    ],
    together: 'Every joint of a heavy or hot part, with fresh solder.',
  },
  'overloaded-outside': {
    label: 'what it feeds is shorted or too much',
    common: 1,
    symptoms: { hiccup: 0.4, 'rail-low': 0.3, hot: 0.15, 'fuse-blown': 0.05, noisy: 0.05, dead: 0.08 },
    roles: [],
    checks: [check('outputRectifier', 'diode-mode', '0.15 to 0.5 V one way, open the other', SHORT, { tells: 0.04 })],
    together: 'Nothing in the unit: the load, its plug or its cable.',
  },
  'line-selector-wrong': {
    label: 'mains selector set wrong',
    common: 0.25,
    wake: ['bulk', 'varistor', 'bridge', 'mainSwitch'],
    symptoms: { 'fuse-blown': 0.5, smell: 0.2, 'rail-low': 0.2, dead: 0.15 },
    needs: /half-bridge|forward|doubler|flyback|push/u,
    roles: ['lineSelector'],
    checks: [check('lineSelector', 'visual', 'set to the mains here', 'set to the other')],
    together: 'Both bulk capacitors and the varistors across them.',
  },
  'fan-stuck': {
    label: 'fan stuck',
    common: 1.2,
    wake: ['outputCapacitor', 'bulk'],
    symptoms: { hot: 0.6, 'intermittent-warm': 0.25, noisy: 0.15 },
    never: FANLESS,
    roles: ['fan'],
    checks: [check('fan', 'visual', 'turns freely', 'stands, or turns hard')],
    together: 'The cans that stood in the heat.',
  },
  'triac-shorted': {
    label: 'triac shorted',
    common: 4,
    symptoms: {
      'rail-high': 0.4,
      'fuse-blown': 0.2,
      flicker: 0.05,
      'trips-breaker': 0.05,
      'snap-on': 0.05,
      dead: 0.03,
    },
    needs: /phase|triac|dimmer/u,
    roles: ['triac'],
    checks: [check('triac', 'resistance', 'open between its main terminals', 'a few ohms')],
    together: 'Its snubber and the trigger diode.',
  },
  'trigger-diode-dead': {
    label: 'trigger diode dead',
    common: 1.5,
    symptoms: { dead: 0.6, flicker: 0.15, 'snap-on': 0.1, 'no-pulse': 0.15 },
    needs: /phase|ballast|resonant-ballast|dimmer|rcc|self-osc|pulse|discharge|ignit/u,
    roles: ['trigger'],
    checks: [
      check('trigger', 'voltage-dc', 'breaks over near 32 V', 'never breaks over', { tells: 0.9 }),
      check('trigger', 'diode-mode', 'open both ways, which says little', 'conducts', { tells: 0.3 }),
    ],
    together: 'Its capacitor.',
  },
  'timing-capacitor-leaky': {
    label: 'timing capacitor leaky or faded',
    common: 1.5,
    symptoms: { 'snap-on': 0.5, flicker: 0.35, dead: 0.1, 'no-pulse': 0.1 },
    needs: /phase|dimmer|pulse|discharge|ignit|timer|ballast/u,
    roles: ['timing'],
    checks: [
      check('timing', 'capacitance', 'near what is printed', 'far from it', { tells: 0.7 }),
      check('timing', 'resistance', 'open', 'some hundred kilohms', { tells: 0.6 }),
    ],
    together: 'Its twin in the second time constant.',
  },
  'dropper-capacitor-faded': {
    label: 'dropper capacitor faded',
    common: 6,
    wake: ['bulk'],
    symptoms: { 'rail-low': 0.45, flicker: 0.25, dead: 0.25, 'intermittent-warm': 0.05 },
    needs: /dropper/u,
    roles: ['dropper'],
    checks: [check('dropper', 'capacitance', 'near what is printed', 'far under it')],
    together: 'An X2 capacitor of the same value; the Zener diode and the reservoir are measured with it.',
  },
  'regulator-shorted': {
    label: 'regulator or pass transistor shorted',
    common: 2,
    wake: ['outputCapacitor'],
    symptoms: { 'rail-high': 0.65, hot: 0.1, dead: 0.1, 'fuse-blown': 0.1, ripple: 0.1 },
    alsoIn: [{ circuits: /line-transformer|linear/u, symptoms: { 'rail-high': 0.95 } }],
    needs: /linear|line-transformer|dropper|^(?:offline )?buck\b|regulator/u,
    roles: ['regulator'],
    checks: [
      check('regulator', 'diode-mode', 'open from input to output one way', SHORT, { pins: 'IN-OUT' }),
      check('regulator', 'resistance', 'some kilohms from input to output', 'a few ohms', { tells: 0.8 }),
    ],
    together: 'What its rail has fed with too much.',
  },
  'store-capacitor-faded': {
    label: 'store capacitor faded',
    common: 3,
    symptoms: { 'no-pulse': 0.6, 'rail-low': 0.1, hiccup: 0.05 },
    needs: /pulse|discharge|ignit|fence|flash|dump/u,
    roles: ['store'],
    checks: [
      check('store', 'capacitance', 'near what is printed', 'far under it'),
      check('store', 'esr', 'low', 'high', { tells: 0.7 }),
    ],
    together: 'Its whole string, each measured empty first.',
  },
  'pulse-switch-shorted': {
    label: 'switch of the pulse unit shorted',
    common: 2,
    symptoms: { 'no-pulse': 0.6, dead: 0.1, 'fuse-blown': 0.15, hot: 0.1 },
    needs: /pulse|discharge|ignit|fence|flash|dump/u,
    roles: ['pulseSwitch'],
    checks: [
      check('pulseSwitch', 'diode-mode', 'open both ways, or a diode one way', SHORT),
      check('pulseSwitch', 'resistance', 'open', 'a few ohms', { tells: 0.8 }),
    ],
    together: 'Its gate parts and the diode across it.',
  },
  'cable-broken': {
    label: 'cable broken',
    common: 2.5,
    symptoms: { dead: 0.35, 'intermittent-warm': 0.2, flicker: 0.2, 'rail-low': 0.1, 'no-pulse': 0.05, hot: 0.03 },
    never: /phase|dimmer|ballast/u,
    roles: ['cable'],
    checks: [
      check('cable', 'continuity', 'beeps while it is bent all along', 'drops out where it is bent'),
      check('cable', 'resistance', 'a few tenths of an ohm', 'more, or changing', { tells: 0.7 }),
    ],
    together: 'The strain relief that broke it.',
  },
  'led-string-open': {
    label: 'LED string open',
    common: 3,
    symptoms: { dead: 0.45, flicker: 0.4, 'rail-high': 0.2, hiccup: 0.15 },
    needs: LIT,
    never: /phase|triac|ballast/u,
    roles: ['leds'],
    checks: [check('leds', 'diode-mode', 'each LED glows', 'one is open', { tells: 0.85 })],
    together: 'The driver’s output capacitor, which stood its open voltage.',
  },
} as const satisfies Record<string, Cause>);
export type CauseName = keyof typeof CAUSES;
export const CAUSE_NAMES = Object.keys(CAUSES) as CauseName[];
