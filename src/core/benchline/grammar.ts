import { BLOCK_NAMES, DAMAGE_WORDS, DUTY_NAMES, FITMENT_NAMES } from '../part';

/** A bench line that shows a way of saying something, and what it means. */
export interface GrammarLine {
  readonly line: string;
  readonly means: string;
}

/** The bench line by example: parts first, then what is measured, what stores charge, and words. */
export const GRAMMAR: readonly GrammarLine[] = [
  {
    line: 'q1 nmos to-220 marked 12N65',
    means: 'a part: reference, kind, case, the marking last; ? for what is worn off',
  },
  { line: 'br1 gbu806', means: 'a number alone is enough where it tells the kind; your own words do as well' },
  { line: 'R14 is four point seven kilo ohms', means: 'dictated, or in German or French: R14 Widerstand 4,7 kΩ' },
  {
    line: 'c5 82u 400V 105C bulged',
    means: `a part with what is printed on it and what is wrong: ${DAMAGE_WORDS.join(', ')}`,
  },
  { line: 'c11..c20 1000u 16V polymer', means: 'ten parts alike; also c1,c4,c7' },
  { line: 'q2 like q1', means: 'a part like another; “same” takes the one above; what differs may follow' },
  { line: 'c5 secondary', means: `where it sits: ${BLOCK_NAMES.join(', ')}` },
  { line: 'r14 100k clamp', means: `what it is there for: ${DUTY_NAMES.join(', ')}` },
  { line: 'c30 unpopulated', means: `how it is fitted: ${FITMENT_NAMES.join(', ')}` },
  {
    line: 'q1 on hs1',
    means: 'what sits on a heat sink; “screwed to”, “clipped to” and “hs1 carries q1, d5” do as well',
  },
  { line: 'u1 ic so-8 dated 2148', means: 'a part with its date code, which bounds the age of the unit' },
  { line: 'q1 vds 650V datasheet', means: 'a value, with where it comes from' },
  { line: 'delete c5', means: 'takes a part out of the log; “rename c5 to c6” calls it otherwise' },
  { line: 'r12 measures 4k69', means: 'a measurement; several fields by name: c5 measures 78u esr 0.4' },
  { line: 'c5 esr 0.8', means: 'the name of a reading does in place of “measures”' },
  { line: 'q1 measures sd 0.51 ds OL gs OL', means: 'OL is an open reading; end with in-circuit if it was' },
  {
    line: 'store c3 82u 400V bleed 470k',
    means: 'something that stores charge, with the bleed path on the board; ? for a size that cannot be read',
  },
  {
    line: 'store c1 2 x 470u 200V series',
    means: 'several capacitors; also 470u + 330u, and battery, output or pulse',
  },
  { line: 'q1.d - t1.2', means: 'two pins beep: one net; more may follow, q1.d - t1.2 - d3.a' },
  {
    line: 'q1 drain goes to t1 pin 3',
    means: 'the same in words; “gate of q1 to pin 6 of u1 through r4” joins both ends of R4',
  },
  { line: 'q1.s x br1.-', means: 'two pins that do not beep' },
  {
    line: 't1.1 ~ t1.2 0R8',
    means:
      'a beep or reading through a part is no join; through a winding it tells which pins are one; 0.52V is diode mode',
  },
  { line: 'q1.d only', means: 'the probe was held there and every other pin tried: nothing else is on that net' },
  {
    line: 't1 as forward',
    means: 'you fix what a part is the main magnetic part of, or its role: q3 as rectifier, d9 as nothing',
  },
  { line: 'c3 212V @ 15s', means: 'a reading of a store; without @ the clock counts' },
  { line: 'c5 drops to 20 V in 1 min', means: 'the same in words; a capacitor that is read is a store from then on' },
  { line: 'power on', means: 'power is applied: readings from before count no more; “unplugged” when it is out' },
  {
    line: 'tool on c3 2k2',
    means: 'a bleed tool is on a store; its readings are fitted apart. “tool off c3” when it is gone',
  },
  { line: 'meter checked before and after', means: 'the meter was shown to work on a known source' },
  {
    line: 'soak 42W 51C 19.1V 2A @ 12min',
    means: 'a row of a run under load: what goes in, the case, the output, the load',
  },
  {
    line: 'claim q1 was changed before',
    means: 'a claim to prove; then support, settle or supersede q1 with the reason',
  },
  { line: '# glue under T1', means: 'a note at the station you are at' },
  { line: '? what is the six-pin part by T2', means: 'a question to chase' },
];
