import { practice } from '../evidence';
import { bleedThrough, suggestBleed, type BleedPlan } from './bleed';

/** A resistor someone means to bleed a store with. Ohms, watts. */
export interface BleedTool {
  readonly resistance: number;
  readonly power: number;
  readonly build: 'wirewound' | 'film';
}

export interface BleedVerdict {
  readonly plan: BleedPlan;
  readonly verdict: 'good' | 'slow' | 'poor';
  /** Why, worst first; for a good one, what it stands. */
  readonly reasons: readonly { readonly kind: BleedReason; readonly value: number; readonly limit: number }[];
  /** A better choice when this one is not good. */
  readonly better?: BleedPlan;
}

export type BleedReason = 'first-power' | 'pulse-energy' | 'voltage' | 'too-slow';

/**
 * What a resistor stands for a moment, as multiples of its rating: first power, and joules per watt
 * over five seconds. Source: common practice, after the overload test of IEC 60115-1 (from memory).
 */
const OVERLOAD = { wirewound: { initial: 10, pulse: 6.25 * 5 }, film: { initial: 2.5, pulse: 6.25 * 5 } } as const;
/** Limiting voltage by rated power: a 0.25 W axial part flashes over above 250 V. */
const LIMITING_VOLTAGE: readonly (readonly [watts: number, volts: number])[] = practice([
  [1, 500],
  [0.5, 350],
  [0.25, 250],
  [0.125, 200],
]);
/** A wait under the hand longer than this invites letting go too early. */
const LONGEST_HOLD = practice(10);

/** Whether one resistor will do as a bleeder for a store, with the figures it fails on and a better choice. */
export function judgeBleedTool(
  of: { start: number; capacitance: number; touchLimit?: number },
  tool: BleedTool,
): BleedVerdict {
  const plan = bleedThrough({ ...of, resistance: tool.resistance });
  const stands = OVERLOAD[tool.build];
  const flashover = LIMITING_VOLTAGE.find(([watts]) => tool.power >= watts)?.[1] ?? 150;
  const checks: { kind: BleedReason; value: number; limit: number }[] = [
    { kind: 'first-power', value: plan.initialPower, limit: stands.initial * tool.power },
    { kind: 'pulse-energy', value: plan.energy, limit: stands.pulse * tool.power },
    { kind: 'voltage', value: of.start, limit: flashover },
    { kind: 'too-slow', value: plan.timeToSolder, limit: LONGEST_HOLD },
  ];
  // A load that its rating carries for good is no overload, however long it lasts.
  const endures = plan.initialPower <= tool.power;
  const failed = checks.filter(({ kind, value, limit }) => value > limit && !(endures && kind === 'pulse-energy'));
  const verdict = failed.length === 0 ? 'good' : failed.every(({ kind }) => kind === 'too-slow') ? 'slow' : 'poor';
  const better = verdict === 'good' ? undefined : suggestBleed(of);
  return {
    plan,
    verdict,
    reasons: failed.length === 0 ? checks : failed.sort((a, b) => b.value / b.limit - a.value / a.limit),
    ...(better ? { better } : {}),
  };
}
