import type { RepairScript } from './script';

/** What was looked for in a unit that is to run again. */
export const REPAIRS: readonly RepairScript[] = [
  {
    unit: 'console inner supply',
    symptom: 'fuse-blown',
    at: '2026-11-14T15:20:00',
    seen: [
      ['F1', 'black inside'],
      ['', 'went with a bang in a thunderstorm'],
    ],
    checks: [
      ['BR1', 'diode-mode', '0.52 V one way, OL the other, all four arms alike'],
      ['Q1', 'diode-mode', '0.45 V one way, OL the other'],
    ],
  },
];
