import { apart, held, inSeries, joined, swinging, type Form } from './form';

/** Forms that hang on the mains, a lamp or a thyristor. Textbook forms, from memory. */
export const DUMPS: readonly Form[] = [
  {
    id: 'dump-through-winding',
    roles: { C: 'store', P: 'piece', Q: 'thyristor' },
    relations: [joined('C.a', 'P.a'), joined('P.b', 'Q.near'), joined('Q.far', 'C.b')],
    source: [],
    message: ['{Q} dumps {C} into the winding of {P} ({P.a} to {P.b}).'],
  },
  {
    id: 'dump-through-store',
    roles: { C: 'store', P: 'piece', Q: 'thyristor' },
    relations: [joined('C.b', 'P.a'), joined('C.a', 'Q.near'), joined('Q.far', 'P.b')],
    source: [],
    message: ['{Q} shorts {C} through the winding of {P} ({P.a} to {P.b}).'],
  },
];

export const BALLAST: Form = {
  id: 'ballast',
  roles: { H: 'switch', L: 'switch', X: 'lamp' },
  relations: [
    joined('H.near', 'L.near'),
    swinging('H.near'),
    held('H.far'),
    held('L.far'),
    apart('H.far', 'L.far'),
    inSeries('H.near', 'X.a'),
  ],
  source: ['H.far', 'L.far'],
  message: ['The middle of {H} and {L} drives the lamp at {X.a} through an inductor.'],
};
