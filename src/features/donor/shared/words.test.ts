import type { Evidenced } from '../../../core/evidence';
import { ratingSummary, weakestSource } from './words';
import { agoOf, dayOf } from '../../../ui/value/moments';

const NOW = new Date(2026, 10, 25, 9, 0).getTime();
const MINUTE = 60_000;

test.each`
  minutes      | message
  ${-5}        | ${'just now'}
  ${0}         | ${'just now'}
  ${1.4}       | ${'just now'}
  ${2}         | ${'2 min ago'}
  ${119}       | ${'119 min ago'}
  ${120}       | ${'2 h ago'}
  ${47 * 60}   | ${'47 h ago'}
  ${48 * 60}   | ${'2 days ago'}
  ${11 * 1440} | ${'11 days ago'}
`('$minutes minutes ago reads “$message”', ({ minutes, message }) => {
  expect(agoOf(NOW - minutes * MINUTE, NOW)).toBe(message);
});

test('a day carries its year only when it is another one', () => {
  expect(dayOf(new Date(2026, 10, 14).getTime(), NOW)).toBe('14 Nov');
  expect(dayOf(new Date(2025, 0, 2).getTime(), NOW)).toBe('2 Jan 2025');
});

describe('ratings at a glance', () => {
  const rating = (value: number, source: Evidenced['source']): Evidenced => ({ value, source });

  test('come in the order of the kind, the tolerance left out', () => {
    const ratings = {
      tolerance: rating(0.2, 'decoded'),
      voltage: rating(25, 'decoded'),
      capacitance: rating(1e-3, 'measured'),
    };
    expect(ratingSummary('capacitor', ratings).map(({ text }) => text.replace('\u00a0', ' '))).toEqual([
      '1000 µF',
      '25 V',
    ]);
    expect(ratingSummary('capacitor', ratings, 1)).toHaveLength(1);
    expect(ratingSummary('transformer', {})).toEqual([]);
  });

  test('are as well known as the weakest of them', () => {
    expect(weakestSource([{ source: 'measured' }, { source: 'guessed' }, { source: 'decoded' }])).toBe('guessed');
    expect(weakestSource([{ source: 'measured' }, { source: 'datasheet' }])).toBe('datasheet');
    expect(weakestSource([])).toBe('');
  });
});
