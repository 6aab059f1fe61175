import type { NextCheck } from '../../../core/diagnose';

const TEST_WORDS: Readonly<Record<NextCheck['test'], string>> = {
  'diode-mode': 'in diode mode',
  resistance: 'its resistance',
  capacitance: 'its capacitance',
  esr: 'its ESR',
  'voltage-dc': 'its voltage',
  visual: 'by eye',
  continuity: 'for continuity',
};

/** What to check, in words. */
export const checkWords = ({ ref, test, pins, check }: NextCheck): string =>
  `${test === 'visual' ? 'Look at' : 'Measure'} ${ref}, the ${(check.split(` ${ref}`)[0] ?? '').trim()}, ${TEST_WORDS[test]}${pins ? `, ${pins.replace('-', ' to ')}` : ''}`;
