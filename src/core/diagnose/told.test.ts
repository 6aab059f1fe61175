import { CAUSE_NAMES, diagnose } from '.';
import { complaintOf, ROWS } from './fixtures/rows';

test('each cause twice: among the first two by what is told, first once it is measured', () => {
  const ranks = ROWS.map((row) => diagnose(complaintOf(row)).causes.findIndex(({ cause }) => cause === row[0]));
  expect(ranks.filter((rank) => rank >= 0 && rank < 2).length / ROWS.length).toBeGreaterThanOrEqual(0.7);
  const measured = ROWS.filter((row) => row[5] !== undefined);
  const missed = measured.filter((row) => {
    const [ref = '', test, text = ''] = row[5] ?? [];
    const complaint = complaintOf(row);
    const [first] = diagnose({
      ...complaint,
      observations: [...complaint.observations, { ref, ...(test ? { test } : {}), text }],
    }).causes;
    return first?.cause !== row[0];
  });
  expect(missed.map(([cause, symptom]) => `${cause}, ${symptom}`)).toEqual([]);
  for (const name of CAUSE_NAMES)
    expect([name, ROWS.filter(([cause]) => cause === name).length >= 2]).toEqual([name, true]);
});
