import type { Donor } from '../../core/donor';
import {
  isoWeek,
  judgeAge,
  listDateCodes,
  parseNameplate,
  type AgeJudgement,
  type Nameplate,
} from '../../core/nameplate';

/** The plate of a donor: as a person put it right, else as the text reads. */
export function plateOf({ plate, nameplate }: Pick<Donor, 'plate' | 'nameplate'>): Nameplate {
  return plate ?? parseNameplate(nameplate);
}

/** How old a donor is by the codes on its label, those noted, and those on its parts. */
export function ageOf(
  donor: Pick<Donor, 'plate' | 'nameplate' | 'dateCodes'>,
  parts: readonly { ref: string; dateCode: string | null }[],
  now: number,
): AgeJudgement {
  return judgeAge(
    [
      ...(plateOf(donor).dateCodes ?? []).map((code) => ({ code, place: 'label' })),
      ...listDateCodes(donor.dateCodes),
      ...parts.flatMap(({ ref, dateCode }) => (dateCode ? [{ code: dateCode, place: ref }] : [])),
    ],
    isoWeek(now),
  );
}
