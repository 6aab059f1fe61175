import 'server-only';
import type { CheckTest, Seen } from '../../../core/diagnose';
import { kindRule, type TestName } from '../../../core/part';
import { formatQuantity } from '../../../core/quantity';
import { latestSoak } from '../../../db/repositories/soaks';
import { judgeRecord, testContext } from '../../../services/board';
import type { Dossier } from '../../../services/dossier';

/** What another station has on record that bears on a fault, with where that stands. */
export interface OnRecord {
  readonly seen: readonly Seen[];
  readonly from: 'Intake' | 'Identify' | 'Test' | 'Run under load' | 'Notes';
  readonly text: string;
}

/** The checks of Diagnose that a bench test answers; resistance where it is not named. */
const ANSWERS: Readonly<Partial<Record<TestName, readonly CheckTest[]>>> = {
  capacitor: ['capacitance', 'esr'],
  mosfet: ['diode-mode'],
  diode: ['diode-mode'],
  'dual-diode': ['diode-mode'],
  bridge: ['diode-mode'],
  igbt: ['diode-mode'],
  transistor: ['diode-mode'],
  triac: ['diode-mode'],
  thyristor: ['diode-mode'],
  optocoupler: ['diode-mode'],
  choke: ['continuity'],
  transformer: ['resistance', 'continuity'],
};

/** What is on record of a donor beside what was told at Diagnose: complaint, damage, measured parts, a run under load, notes. */
export async function onRecord(dossier: Dossier): Promise<readonly OnRecord[]> {
  const { donor, plate } = dossier;
  const [parts, notes, soak, context] = await Promise.all([
    dossier.parts(),
    dossier.notes(),
    latestSoak(dossier.db, donor.id),
    testContext(dossier),
  ]);
  const found: OnRecord[] = [];
  if (donor.symptom !== '') found.push({ from: 'Intake', text: donor.symptom, seen: [{ text: donor.symptom }] });
  for (const record of parts) {
    const { ref, damage } = record.part;
    for (const condition of damage)
      found.push({ from: 'Identify', text: `${ref}: ${condition}`, seen: [{ ref, condition, test: 'visual' }] });
    if (record.measurements.length === 0) continue;
    const judgement = judgeRecord(record, context);
    const { test } = kindRule(record.part.kind);
    const answered = (condition: string): readonly Seen[] =>
      ((test && ANSWERS[test]) ?? ['resistance']).map((check) => ({ ref, condition, test: check }));
    if (judgement?.verdict === 'keep') found.push({ from: 'Test', text: `${ref} is good`, seen: answered('good') });
    if (judgement?.verdict !== 'scrap') continue;
    const why = judgement.reasons
      .filter(({ severity }) => severity === 'reject')
      .map(({ text }) => text.replace(/\.$/u, ''))
      .join('; ');
    found.push({ from: 'Test', text: `${ref}: ${why || 'it is scrap'}`, seen: answered(why || 'scrap') });
  }
  const [output, ...others] = plate.outputs;
  const loaded = soak.findLast(({ outputV, loadA }) => outputV !== null && (loadA ?? 0) > 0);
  if (output && others.length === 0 && loaded?.outputV !== undefined && loaded.outputV !== null)
    found.push({
      from: 'Run under load',
      text: `${formatQuantity(loaded.outputV, 'volt')} at ${formatQuantity(loaded.loadA ?? 0, 'ampere')}`,
      seen: [{ rail: `${output.v} V`, volts: loaded.outputV }],
    });
  for (const { remark } of soak)
    if (remark !== '') found.push({ from: 'Run under load', text: remark, seen: [{ text: remark }] });
  // Questions and claims are not known yet.
  for (const { ref, text, question, claim } of notes)
    if (!question && !claim)
      found.push({
        from: 'Notes',
        text: ref === '' ? text : `${ref}: ${text}`,
        seen: [{ ...(ref === '' ? {} : { ref }), text }],
      });
  // Said twice it weighs no more.
  return [...new Map(found.map((one) => [`${one.from} ${one.text}`, one])).values()];
}
