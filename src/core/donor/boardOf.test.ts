import { parseNameplate } from '../nameplate';
import { boardOf, type LoggedPart, type ProbedFact } from '.';

const logged = (part: Partial<LoggedPart['part']>, capacitance?: number): LoggedPart => ({
  part: { ref: 'C1', kind: 'capacitor', subtype: null, package: null, marking: null, fitments: [], ...part },
  ratings: capacitance === undefined ? {} : { capacitance: { value: capacitance } },
});
const beep = (a: string, b: string): ProbedFact => ({ relation: 'joined', a, b, ohms: null, dropV: null });

test.each<[what: string, part: LoggedPart, facts: readonly ProbedFact[], pins: string, subtype: string | undefined]>([
  ['82 µF, said no more of', logged({}, 82e-6), [], '+ -', 'electrolytic'],
  ['100 nF, said no more of', logged({}, 1e-7), [], '1 2', undefined],
  ['10 µF in a case of 0805', logged({ package: '0805' }, 1e-5), [], '1 2', undefined],
  ['10 µF, said to be a film', logged({ subtype: 'film' }, 1e-5), [], '1 2', 'film'],
  ['82 µF whose pins were called 1 and 2', logged({}, 82e-6), [beep('C1.1', 'BR1.+')], '1 2', undefined],
  ['100 nF of which a plus was beeped', logged({}, 1e-7), [beep('C1.+', 'BR1.+')], '+ -', undefined],
  ['an output', logged({ ref: 'J2', kind: 'connector', subtype: 'output' }), [], '+ -', undefined],
  [
    'an output with a pin that has a name',
    logged({ ref: 'J2', kind: 'connector', subtype: 'output' }),
    [beep('J2.5V', 'C4.+')],
    '5V',
    undefined,
  ],
])('%s', (_, part, facts, pins, subtype) => {
  const board = boardOf({ plate: parseNameplate(''), parts: [part], facts });
  expect(Object.keys(board.parts[0]?.pins ?? {}).join(' ')).toBe(pins);
  expect(board.parts[0]?.subtype).toBe(subtype);
});
