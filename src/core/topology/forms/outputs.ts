import { apart, held, joined, swinging, type Form } from './form';

/** Ways a winding gives its power away. Textbook forms, from memory. */
export const OUTPUT_FORMS: readonly Form[] = [
  {
    id: 'reservoir',
    roles: { S: 'piece', D: 'passive', C: 'reservoir' },
    relations: [joined('S.a', 'D.a'), joined('D.b', 'C.a'), joined('S.b', 'C.b'), held('D.b')],
    source: [],
    message: ['{D} leads from {S.a} straight to {C}.'],
  },
  {
    id: 'reservoir-in-return',
    roles: { S: 'piece', D: 'passive', C: 'reservoir' },
    relations: [joined('S.a', 'D.a'), joined('S.b', 'C.a'), joined('D.b', 'C.b'), held('D.b')],
    source: [],
    message: ['{D} leads from {S.a} to the return of {C}, and {S.b} to its other end.'],
  },
  {
    id: 'choke',
    roles: { S: 'piece', D: 'passive', L: 'output-choke', F: 'passive', C: 'reservoir' },
    relations: [
      joined('S.a', 'D.a'),
      joined('D.b', 'L.a'),
      swinging('D.b'),
      joined('F.b', 'L.a'),
      apart('F.a', 'D.a'),
      joined('L.b', 'C.a'),
      joined('S.b', 'C.b'),
    ],
    source: [],
    message: ['{D} leads from {S.a} to the choke {L}, and {F} freewheels before it.'],
  },
  {
    id: 'choke-at-tap',
    roles: { S: 'piece', D: 'passive', L: 'output-choke', C: 'reservoir' },
    relations: [
      joined('S.a', 'D.a'),
      joined('S.b', 'L.a'),
      swinging('S.b'),
      joined('L.b', 'C.a'),
      joined('D.b', 'C.b'),
    ],
    source: [],
    message: ['{L} leads from the tap {S.b} to the output, and {D} closes {S.a} to its return.'],
  },
];
