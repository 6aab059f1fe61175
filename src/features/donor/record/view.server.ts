import 'server-only';
import { closingChecks, OUTCOME_NAMES, OUTCOMES, type ClosingCheck, type OutcomeName } from '../../../core/donor';
import { savedBy } from '../../../core/harvest';
import { counted } from '../../../core/quantity';
import { STATION_LABEL } from '../../../core/station';
import { minutesByStation, yieldsOf } from '../../../db/repositories/yields';
import type { Dossier } from '../../../services/dossier';
import { dayOf } from '../../../ui/value/moments';
import { kinView, type KinView } from '../shared/kin.server';
import { closingFacts } from './closingFacts';

export interface RecordView {
  /** How it ended, where it did. */
  readonly closed: string | null;
  readonly outcomes: readonly { readonly value: OutcomeName; readonly label: string }[];
  /** What to look at before it ends so. */
  readonly checks: Readonly<Record<OutcomeName, readonly ClosingCheck[]>>;
  /** What came of it: pieces, builds, minutes. */
  readonly came: readonly { readonly label: string; readonly value: string }[];
  readonly told: readonly string[];
  readonly kin: readonly KinView[];
}

/** What stands at the end of a donor's line. */
export async function recordView(dossier: Dossier): Promise<RecordView> {
  const { db, donor } = dossier;
  const [facts, minutes, yields, notes, kin] = await Promise.all([
    closingFacts(dossier),
    minutesByStation(db, [donor.id]),
    yieldsOf(db, [donor.id]),
    dossier.notes(),
    kinView(db, donor),
  ]);
  const taken = yields.get(donor.id);
  const saved = savedBy(taken?.usedKinds ?? []);
  const spent = minutes.reduce((sum, one) => sum + one.minutes, 0);
  return {
    closed:
      donor.outcome === ''
        ? null
        : [OUTCOMES[donor.outcome].label, donor.closedMs === null ? '' : dayOf(donor.closedMs), donor.outcomeNote]
            .filter((word) => word !== '')
            .join(', '),
    outcomes: OUTCOME_NAMES.map((value) => ({ value, label: OUTCOMES[value].label })),
    checks: Object.fromEntries(OUTCOME_NAMES.map((name) => [name, closingChecks(name, facts)])) as RecordView['checks'],
    came: [
      ...(taken
        ? [
            { label: 'came out', value: `${counted(taken.pieces, 'piece')} in ${counted(taken.lots, 'lot')}` },
            {
              label: 'served',
              value: `${taken.used} used, ${taken.setAside} set aside${taken.builds.length > 0 ? `: ${taken.builds.join(', ')}` : ''}`,
            },
            ...(saved > 0 ? [{ label: 'saved', value: `about ${saved} € of new parts` }] : []),
          ]
        : []),
      ...(spent > 0
        ? [
            {
              label: 'minutes',
              value: `${Math.round(spent)}: ${minutes
                .map((one) => `${STATION_LABEL[one.station]} ${Math.round(one.minutes)}`)
                .join(', ')}`,
            },
            ...(taken && taken.pieces > 0
              ? [{ label: 'a piece took', value: `${(spent / taken.pieces).toFixed(1)} min` }]
              : []),
          ]
        : []),
    ],
    told: notes.filter(({ tellNext }) => tellNext).map(({ text }) => text),
    kin,
  };
}
