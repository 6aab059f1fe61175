/** How a unit came to the bench. */
export const ORIGINS = {
  bought: { label: 'bought', open: true, why: 'You bought it; it is yours to open.' },
  given: { label: 'given', open: true, why: 'It was given to you; it is yours to open.' },
  found: {
    label: 'found',
    open: true,
    why: 'Found and unclaimed. Where local rules give put-out waste to the council, ask first.',
  },
  'work-scrap': {
    label: 'work scrap',
    open: false,
    why: 'Scrap at work belongs to the firm until someone there says otherwise.',
  },
  borrowed: { label: 'borrowed', open: false, why: 'It is lent; it goes back as it came.' },
} as const;
export type OriginName = keyof typeof ORIGINS;
export const ORIGIN_NAMES = Object.keys(ORIGINS) as OriginName[];

/** What the person said about the right to open: that it is cleared, that it is not, or nothing. */
export type Clearance = 'cleared' | 'not-cleared' | '';

/**
 * Whether a unit may be taken apart for its parts, with the reason. What the person said counts before
 * what the origin suggests; nothing said about anything leaves it open, with a question.
 */
export function mayTakeApart(of: { origin: OriginName | ''; clearance: Clearance }): { may: boolean; why: string } {
  if (of.clearance === 'cleared') return { may: true, why: 'Cleared to be taken apart.' };
  if (of.clearance === 'not-cleared') return { may: false, why: 'Not cleared to be taken apart.' };
  if (of.origin === '') return { may: true, why: 'Nobody said whose it is. Say where it came from.' };
  const { open, why } = ORIGINS[of.origin];
  return { may: open, why };
}
