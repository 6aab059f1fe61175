import type { Grade } from '../measure';
import { packageRule, type KindName } from '../part';
import type { FilledNeed } from './needs';
import { capacitorShare, CASE_SHARE, GRADE_SHARE, USEFULNESS, WANTED } from './usefulness';

/** What a person said of a part: take it, or leave it. */
export type Wish = 'take' | 'leave';

export interface Worth {
  readonly kind: KindName;
  readonly subtype?: string | null | undefined;
  readonly package?: string | null | undefined;
  /** Of a capacitor. */
  readonly farads?: number | undefined;
  /** Its grade by the bench; none while it was not tested. */
  readonly grade?: Grade | undefined;
  /** The readings did not settle it. */
  readonly unsettled?: boolean;
  /** Like parts in the drawers. */
  readonly held: number;
  /** The open need of a build that it would fill. */
  readonly need?: FilledNeed | undefined;
  readonly wish?: Wish | null | undefined;
}

export interface Value {
  readonly points: number;
  /** Why so much or so little, the weightiest first. */
  readonly reasons: readonly string[];
}

/**
 * What one part is worth taking, in points: usefulness of its kind and case, what its grade leaves, halved for every
 * so many that lie in the drawers, and what open needs and the person add. Nothing for what is condemned or to be
 * left.
 */
export function valueOf(part: Worth): Value {
  const { points, plenty, why: general } = USEFULNESS[part.kind];
  if (part.wish === 'leave') return { points: 0, reasons: ['you said to leave it'] };
  if (part.grade === 'reject') return { points: 0, reasons: ['it did not pass'] };
  const size = part.package ? (CASE_SHARE[packageRule(part.package)?.group ?? ''] ?? 1) : 1;
  const build = part.kind === 'capacitor' ? capacitorShare(part.subtype, part.farads) : undefined;
  const why = build?.why ?? general;
  const grade = part.grade ?? 'untested';
  const scarcity = 1 / (1 + part.held / plenty);
  const useful = points * size * (build?.share ?? 1) * GRADE_SHARE[grade] * scarcity;
  const { need } = part;
  const wanted = need ? WANTED[need.verdict] * (part.grade === undefined ? GRADE_SHARE.untested : 1) : 0;
  const wish = part.wish === 'take' ? WANTED.wish : 0;
  return { points: useful + wanted + wish, reasons: reasonsOf() };

  function reasonsOf(): string[] {
    const reasons: string[] = [];
    if (wish > 0) reasons.push('you want it');
    if (need) reasons.push(`${need.title} needs one${need.verdict === 'limit' ? ', with a limit' : ''}`);
    if (part.held >= plenty) reasons.push(`you hold ${part.held}`);
    reasons.push(why);
    if (part.unsettled) reasons.push('its readings did not settle it');
    else if (part.grade === undefined) reasons.push('not tested yet');
    else reasons.push(`grade ${part.grade}`);
    if (part.held < plenty) reasons.push(part.held > 0 ? `you hold ${part.held}` : 'you hold none');
    return reasons;
  }
}
