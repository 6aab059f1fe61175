import 'server-only';
import { judgeSoak } from '../../../core/soak';
import { formatQuantity } from '../../../core/quantity';
import { judgeNameplate } from '../../../core/nameplate';

import { latestSoak } from '../../../db/repositories/soaks';
import type { Dossier } from '../../../services/dossier';

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
  }[];
  /** Curves against minutes, those with at least two points. */
  readonly curves: readonly {
    readonly label: string;
    readonly unit: string;
    readonly points: readonly { readonly time: number; readonly value: number }[];
  }[];
  readonly findings: readonly { weight: 'danger' | 'check' | 'note' | 'ok'; text: string }[];
  /** Power is on by the record. */
}

const WEIGHT = { ok: 'ok', note: 'note', warn: 'check', danger: 'danger' } as const;

/** The latest run of a donor. */
export async function soakView(dossier: Dossier): Promise<SoakView> {
  const { db, donor, plate } = dossier;
  const rows = await latestSoak(db, donor.id);
  const { ratedPower, efficiency } = judgeNameplate(plate);
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
      time: minutesAndSeconds(row.elapsedS),
      watts: row.inputW === null ? '' : formatQuantity(row.inputW, 'watt'),
      celsius: row.caseC === null ? '' : formatQuantity(row.caseC, 'celsius'),
      volts: row.outputV === null ? '' : formatQuantity(row.outputV, 'volt', { digits: 4 }),
      load: row.loadA === null ? '' : formatQuantity(row.loadA, 'ampere'),
      remark: row.remark,
    })),
    curves: [
      curve('case temperature', '°C', ({ caseC }) => caseC),
      curve('output', 'V', ({ outputV }) => outputV),
      curve('input power', 'W', ({ inputW }) => inputW),
    ].filter(({ points }) => points.length >= 2),
    findings: judged.findings.map(({ severity, text }) => ({ weight: WEIGHT[severity], text })),
  };
}

/** Minutes and seconds as a clock shows them: `12:05`. */
function minutesAndSeconds(seconds: number): string {
  const whole = Math.round(seconds);
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}
