import 'server-only';
import { judgeSoak, type SoakOutcome } from '../../../core/soak';
import { formatDuration, formatQuantity, formatShorthand, typedTime, type Unit } from '../../../core/quantity';
import { judgeNameplate } from '../../../core/nameplate';

import { latestSoak } from '../../../db/repositories/soaks';
import { oncePerDossier, type Dossier } from '../../../services/dossier';

/** The fields of a row. */
export type SoakTexts = Readonly<Record<'watts' | 'celsius' | 'volts' | 'load' | 'elapsed' | 'remark', string>>;

/** A run under load: its rows, its curves and what they suggest. */
export interface SoakView {
  readonly rows: readonly {
    readonly id: string;
    readonly time: string;
    readonly watts: string;
    readonly celsius: string;
    readonly volts: string;
    readonly load: string;
    readonly remark: string;
    /** The row as it would be typed, for correcting it. */
    readonly typed: SoakTexts;
  }[];
  /** Curves against minutes, those with at least two points. */
  readonly curves: readonly {
    readonly label: string;
    readonly unit: string;
    readonly points: readonly { readonly time: number; readonly value: number }[];
  }[];
  /** What the run amounts to, for the advice. */
  readonly run: { readonly outcome: SoakOutcome; readonly text: string } | null;
  readonly findings: readonly { weight: 'danger' | 'check' | 'note' | 'ok'; text: string }[];
}

const WEIGHT = { ok: 'ok', note: 'note', warn: 'check', danger: 'danger' } as const;

const RUN_TEXT: Readonly<Record<SoakOutcome, (rows: readonly { readonly elapsedS: number }[]) => string>> = {
  held: (rows) => `its output held for ${formatDuration(rows.at(-1)?.elapsedS ?? 0)}.`,
  dipped: () => 'its output dips as it warms.',
  'went-off': () => 'it went off as it warmed.',
  rose: () => 'its output rose out of control: connect nothing to it.',
};

/** The latest run of a donor. */
export const soakView = oncePerDossier(async (dossier: Dossier): Promise<SoakView> => {
  const { db, donor, plate } = dossier;
  const rows = await latestSoak(db, donor.id);
  const { ratedPower, efficiency } = judgeNameplate(plate);
  const [only] = plate.outputs;
  const marked = plate.efficiencyLevel ? efficiency?.value : undefined;
  const judged = judgeSoak(
    rows.map(({ elapsedS, inputW, caseC, outputV, loadA }) => ({
      time: elapsedS,
      ...(inputW === null ? {} : { watts: inputW }),
      ...(caseC === null ? {} : { celsius: caseC }),
      ...(outputV === null ? {} : { volts: outputV }),
      ...(loadA === null ? {} : { load: loadA }),
    })),
    {
      ...(donor.ambientC === null ? {} : { ambient: donor.ambientC }),
      ...(marked === undefined ? {} : { leastEfficiency: marked }),
      ...(ratedPower === undefined ? {} : { statedPower: ratedPower }),
      ...(only === undefined || plate.outputs.length > 1 ? {} : { nominal: only.vMax ?? only.v }),
    },
  );
  const curve = (label: string, unit: string, pick: (row: (typeof rows)[number]) => number | null) => ({
    label,
    unit,
    points: rows.flatMap((row) => {
      const value = pick(row);
      return value === null ? [] : [{ time: row.elapsedS / 60, value }];
    }),
  });
  return {
    rows: rows.map((row) => ({
      id: row.id,
      time: typedTime(row.elapsedS),
      watts: row.inputW === null ? '' : formatQuantity(row.inputW, 'watt'),
      celsius: row.caseC === null ? '' : formatQuantity(row.caseC, 'celsius'),
      volts: row.outputV === null ? '' : formatQuantity(row.outputV, 'volt', { digits: 4 }),
      load: row.loadA === null ? '' : formatQuantity(row.loadA, 'ampere'),
      remark: row.remark,
      typed: {
        watts: typed(row.inputW, 'watt'),
        celsius: typed(row.caseC, 'celsius'),
        volts: typed(row.outputV, 'volt'),
        load: typed(row.loadA, 'ampere'),
        elapsed: typedTime(row.elapsedS),
        remark: row.remark,
      },
    })),
    curves: [
      curve('case temperature', '°C', ({ caseC }) => caseC),
      curve('output', 'V', ({ outputV }) => outputV),
      curve('input power', 'W', ({ inputW }) => inputW),
    ].filter(({ points }) => points.length >= 2),
    run: judged.outcome ? { outcome: judged.outcome, text: RUN_TEXT[judged.outcome](rows) } : null,
    findings: judged.findings.map(({ severity, text }) => ({ weight: WEIGHT[severity], text })),
  };
});

/** A value as it would be typed; empty for none. */
const typed = (value: number | null, unit: Unit) => (value === null ? '' : formatShorthand(value, unit));
