import { apart, held, inSeries, joined, returned, stored, swinging, type Form, type FormRelation } from './form';

/** A winding between the supply and one switch. */
const ONE_SWITCH: readonly FormRelation[] = [
  held('P.a'),
  swinging('P.b'),
  joined('P.b', 'Q.near'),
  held('Q.far'),
  apart('P.a', 'Q.far'),
];

/** Ways a transformer's primary is driven. Textbook forms, from memory. */
export const DRIVES: readonly Form[] = [
  {
    id: 'full',
    roles: { P: 'piece', H1: 'switch', L1: 'switch', H2: 'switch', L2: 'switch' },
    relations: [
      inSeries('P.a', 'H1.near'),
      joined('H1.near', 'L1.near'),
      held('H1.far'),
      held('L1.far'),
      apart('H1.far', 'L1.far'),
      swinging('H1.near'),
      inSeries('P.b', 'H2.near'),
      joined('H2.near', 'L2.near'),
      apart('H1.near', 'H2.near'),
      joined('H1.far', 'H2.far'),
      joined('L1.far', 'L2.far'),
    ],
    source: ['H1.far', 'L1.far'],
    message: ['{H1} and {L1} drive one end of {P} ({P.a}), {H2} and {L2} the other ({P.b}).'],
  },
  {
    id: 'push-pull',
    roles: { P1: 'piece', P2: 'piece', Q1: 'switch', Q2: 'switch' },
    relations: [
      held('P1.a'),
      joined('P1.a', 'P2.a'),
      apart('P1.b', 'P2.b'),
      swinging('P1.b'),
      swinging('P2.b'),
      joined('P1.b', 'Q1.near'),
      joined('P2.b', 'Q2.near'),
      held('Q1.far'),
      joined('Q1.far', 'Q2.far'),
      apart('P1.a', 'Q1.far'),
    ],
    source: ['P1.a', 'Q1.far'],
    message: [
      '{Q1} and {Q2} pull the two ends of the tapped winding of {P1} ({P1.b}, {P2.b}) in turn; its tap {P1.a} lies on the supply.',
    ],
  },
  {
    id: 'pair',
    roles: { P: 'piece', H: 'switch', L: 'switch' },
    relations: [
      swinging('P.a'),
      swinging('P.b'),
      joined('P.a', 'H.near'),
      held('H.far'),
      joined('P.b', 'L.near'),
      held('L.far'),
      apart('H.far', 'L.far'),
    ],
    source: ['H.far', 'L.far'],
    message: ['{H} and {L} connect both ends of {P} ({P.a}, {P.b}) to the supply together.'],
  },
  {
    id: 'totem',
    roles: { P: 'piece', H: 'switch', L: 'switch' },
    relations: [
      inSeries('P.a', 'H.near'),
      joined('H.near', 'L.near'),
      swinging('H.near'),
      held('H.far'),
      held('L.far'),
      apart('H.far', 'L.far'),
      returned('P.b'),
    ],
    source: ['H.far', 'L.far'],
    message: [
      '{H} and {L} stand one on the other; their middle drives {P} at {P.a}, and {P.b} comes back through a capacitor.',
    ],
  },
  {
    id: 'clamped',
    roles: { P: 'piece', Q: 'switch', K: 'switch' },
    relations: [
      ...ONE_SWITCH,
      joined('P.b', 'K.near'),
      apart('K.far', 'Q.far'),
      apart('K.far', 'P.a'),
      stored('K.far'),
    ],
    source: ['P.a', 'Q.far'],
    message: [
      '{P} lies between the supply ({P.a}) and {Q} ({Q.near}).',
      '{K} clamps that point to a capacitor that nothing is fed from.',
    ],
  },
  {
    id: 'clamped',
    roles: { P: 'piece', Q: 'switch', K: 'switch' },
    relations: [
      ...ONE_SWITCH,
      inSeries('P.b', 'K.near'),
      apart('P.b', 'K.near'),
      joined('K.far', 'Q.far'),
      stored('K.near'),
    ],
    source: ['P.a', 'Q.far'],
    message: [
      '{P} lies between the supply ({P.a}) and {Q} ({Q.near}).',
      '{K} leads from the return to a capacitor at that point, which clamps it.',
    ],
  },
  {
    id: 'single',
    roles: { P: 'piece', Q: 'switch' },
    relations: ONE_SWITCH,
    source: ['P.a', 'Q.far'],
    message: ['{P} lies between the supply ({P.a}) and {Q} ({Q.near}).'],
  },
];
