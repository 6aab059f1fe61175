import { SAMPLE_ORIGIN } from '../../../core/donor';
import type { StationName } from '../../../core/station';

/** A made-up 12 V adapter: a flyback, wholly traced, with its stores dead and some of its parts tested. */
export const SAMPLE_UNIT = {
  description: 'made-up sample: 12 V adapter',
  kind: 'desk-brick',
  maker: 'Norrsund',
  model: 'NS-1224',
  nameplate: 'INPUT 100-240V~ 50/60Hz 0.8A OUTPUT 12V 2A',
  originKind: 'given',
  origin: SAMPLE_ORIGIN,
  symptom: 'dead, fuse whole',
} as const;

/** What was typed at its stations, in the words of the bench line. */
export const SAMPLE_LINES: readonly (readonly [StationName, string])[] = [
  ...at(
    'identify',
    'j1 mains inlet',
    'f1 fuse T2A 250V',
    'ntc1 thermistor 5D-9',
    'cx1 x2 220n 275V',
    'br1 bridge KBP206',
    'c1 electrolytic 47u 400V 105C',
    't1 transformer, windings 1-2, 3-4, 5-6',
    'q1 nmos to-220 marked 4N65',
    'd1 FR107',
    'r1 100k 2W clamp',
    'c2 ceramic 2n2 1kV',
    'r2 1R 1W sense',
    'u1 UC3843 so-8',
    'r3 22R gate',
    'd2 FR107',
    'c3 electrolytic 22u 50V',
    'r4 470k start-up',
    'd3 dual schottky MBR1060CT to-220',
    'c4, c5 electrolytic 680u 16V',
    'j2 output 12V',
    'u2 817C dip-4',
    'u3 TL431 to-92',
    'r5 1k',
    'r6 39k divider',
    'r7 10k divider',
    'cy1 2n2 y1',
  ),
  ...at('make-safe', 'store c1 47u 400V', 'store cx1 220n', 'c1 0.0V @ 60s', 'cx1 0.0V @ 70s'),
  ...at(
    'trace',
    'j1.L - f1.1',
    'f1.2 - cx1.1 - ntc1.1',
    'ntc1.2 - br1.AC1',
    'j1.N - cx1.2 - br1.AC2',
    'br1.+ - c1.+ - t1.1 - r1.2 - c2.2 - r4.1',
    'br1.- - c1.- - r2.2 - u1.5 - c3.- - t1.4 - u2.E - cy1.1',
    't1.2 - q1.D - d1.A',
    'd1.K - r1.1 - c2.1',
    'q1.S - r2.1 - u1.3',
    'q1.G - r3.1',
    'r3.2 - u1.6',
    't1.3 - d2.A',
    'd2.K - c3.+ - r4.2 - u1.7',
    'u2.C - u1.1',
    't1.5 - d3.A1 - d3.A2',
    'd3.K - c4.+ - c5.+ - j2.+ - r5.1 - r6.1',
    't1.6 - c4.- - c5.- - j2.- - u3.A - r7.2 - cy1.2',
    'r5.2 - u2.A',
    'u2.K - u3.K',
    'r6.2 - r7.1 - u3.R',
    'j2.- x c1.-',
  ),
  ...at(
    'test',
    'q1 measures sd 0.52 ds OL gs OL hold 20s',
    'c1 measures 45.1u esr 0.9',
    'c4 measures 655u esr 0.04',
    'c5 measures 240u esr 1.8',
    'r2 measures 1.01',
    '? c5 has dried out: is c4 next',
  ),
];

function at(station: StationName, ...lines: readonly string[]): (readonly [StationName, string])[] {
  return lines.map((line) => [station, line] as const);
}
