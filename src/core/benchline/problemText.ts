import { millivoltsText } from '../meter';
import { kindRule, RATINGS } from '../part';
import type { BenchProblem } from './record';

/** One line that says what was not understood and what to write instead. */
export function benchProblemText(problem: BenchProblem): string {
  switch (problem.kind) {
    case 'empty':
      return 'Type what you see.';
    case 'no-subject':
      return `“${problem.word}” is neither a reference such as Q1 nor a known store. Begin with one, or with ? or # for a note.`;
    case 'nothing-said':
      return `What of ${problem.ref}? Say its kind, a value, a marking or “measures”.`;
    case 'kind-unknown':
      return `${problem.ref}: what kind of part is it? Say nmos, diode, capacitor or the like.`;
    case 'word-unknown':
      return `“${problem.word}” is not understood ${problem.ref === '' ? 'here' : `for ${problem.ref}`}.`;
    case 'value-unreadable':
      return `“${problem.word}”: ${problem.expected} is expected.`;
    case 'no-part':
      return `${problem.ref} is not logged yet. Log it first, like ${problem.ref.toLowerCase()} capacitor 82u 400V.`;
    case 'no-store':
      return `${problem.name} is not an energy store yet. Type: store ${problem.name.toLowerCase()} 82u 400V.`;
    case 'measure-instead':
      return `A measured ${RATINGS[problem.rating].label} does not replace what is printed: it is judged against it. Type ${problem.ref.toLowerCase()} measures and the reading.`;
    case 'no-test':
      return `There is no bench test for a ${kindRule(problem.partKind).label} yet (${problem.ref}).`;
    case 'bad-range':
      return `“${problem.word}”: ${problem.why}.`;
    case 'nothing-to-copy':
      return `“${problem.word}” is no logged part to copy from.`;
    case 'taken':
      return `There is a part ${problem.ref} already.`;
    case 'no-pin':
      return `“${problem.word}” is no pin of ${problem.ref}; its pins are ${problem.pins.join(', ')}.`;
    case 'same-pin':
      return `${problem.word} cannot be probed against itself; two different pins are expected.`;
    case 'ac-range':
      return `“${problem.word}” is an alternating voltage. A charged capacitor holds direct voltage, which an AC range hides: switch the meter to DC and read again.`;
    case 'millivolt-range':
      return millivoltsText(problem.word);
    case 'unclear':
      return problem.question;
    case 'negative-time':
      return `“${problem.word}”: a time behind @ such as 15s or 1:30 is expected.`;
  }
}
