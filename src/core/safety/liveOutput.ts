import type { UnitCaution } from './cautions';

/** Topologies whose output is of one piece with their input. */
const NOT_ISOLATED: Readonly<Record<string, string>> = {
  'capacitive-dropper': 'a dropper: live low-voltage side',
  'phase-control': 'phase control: live load side',
  buck: 'a switcher without isolation',
  boost: 'a switcher without isolation',
  'inverting-buck-boost': 'a switcher without isolation',
  sepic: 'a switcher without isolation',
  cuk: 'a switcher without isolation',
};
/** A front end that feeds another stage says nothing of the output. */
const FRONT_ENDS: ReadonlySet<string> = new Set(['boost-pfc', 'capacitor-discharge', 'resonant-ballast']);

/** Whether one of the stages that lead to the output works through a transformer. */
export const hasTransformer = (topologies: readonly string[]): boolean =>
  topologies.some((name) => !FRONT_ENDS.has(name) && !NOT_ISOLATED[name]);

/**
 * The hazard of a board that is fed from the mains and parts nothing from it: every stage that was recognised works
 * without a barrier. Nothing when one of them has a transformer, or when nothing was recognised.
 */
export function liveOutputCaution(of: {
  readonly fedFromMains: boolean;
  readonly topologies: readonly string[];
}): UnitCaution | undefined {
  const stages = of.topologies.filter((name) => !FRONT_ENDS.has(name));
  const [name] = stages.flatMap((topology) => NOT_ISOLATED[topology] ?? []);
  if (!of.fedFromMains || name === undefined || hasTransformer(of.topologies)) return undefined;
  return {
    name,
    text: 'Nothing parts its output from the mains: while it is plugged in the whole low-voltage side is live mains, however low the voltage that is printed. Touch nothing of it, put no earthed instrument on it (an oscilloscope blows up), and build nothing with it that a hand can reach.',
    grave: true,
  };
}
