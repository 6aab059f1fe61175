import { apart, held, joined, swinging, type Form } from './form';

/** Converters without a barrier, each with the reservoir that tells its output. For boards traced in part. */
export const CELL_STORIES: readonly Form[] = [
  {
    id: 'buck',
    roles: { L: 'choke', Q: 'switch', D: 'passive', C: 'reservoir' },
    relations: [
      joined('L.b', 'Q.near'),
      joined('L.b', 'D.a'),
      joined('L.a', 'C.a'),
      joined('D.b', 'C.b'),
      swinging('L.b'),
      held('L.a'),
      apart('Q.far', 'L.a'),
    ],
    source: [],
    message: ['{L} leads from {Q.near} to the output at {C}, and {D} freewheels.'],
  },
  {
    id: 'boost',
    roles: { L: 'choke', Q: 'switch', D: 'passive', C: 'reservoir' },
    relations: [
      joined('L.b', 'Q.near'),
      joined('L.b', 'D.a'),
      joined('D.b', 'C.a'),
      joined('Q.far', 'C.b'),
      swinging('L.b'),
      apart('L.a', 'D.b'),
    ],
    source: [],
    message: ['{L} comes from the input, {Q} pulls {Q.near} down, and {D} feeds {C}.'],
  },
  {
    id: 'inverting-buck-boost',
    roles: { L: 'choke', Q: 'switch', D: 'passive', C: 'reservoir' },
    relations: [
      joined('L.b', 'Q.near'),
      joined('L.b', 'D.a'),
      joined('D.b', 'C.a'),
      joined('L.a', 'C.b'),
      swinging('L.b'),
      apart('Q.far', 'D.b'),
    ],
    source: [],
    message: ['{L} returns to the ground at {C}, and {D} feeds the output on the other side of it.'],
  },
  {
    id: 'sepic',
    roles: { L: 'choke', Q: 'switch', K: 'coupling', M: 'choke', D: 'passive', C: 'reservoir' },
    relations: [
      joined('L.b', 'Q.near'),
      joined('L.b', 'K.a'),
      joined('K.b', 'M.a'),
      joined('K.b', 'D.a'),
      joined('M.b', 'C.b'),
      joined('D.b', 'C.a'),
      swinging('L.b'),
    ],
    source: [],
    message: ['{K} couples {Q.near} to {M.a}, from where {D} feeds {C}.'],
  },
  {
    id: 'cuk',
    roles: { L: 'choke', Q: 'switch', K: 'coupling', M: 'choke', D: 'passive', C: 'reservoir' },
    relations: [
      joined('L.b', 'Q.near'),
      joined('L.b', 'K.a'),
      joined('K.b', 'M.a'),
      joined('K.b', 'D.a'),
      joined('D.b', 'C.b'),
      joined('M.b', 'C.a'),
      swinging('L.b'),
    ],
    source: [],
    message: ['{K} couples {Q.near} to {M.a}; {D} returns to ground and {M} leads to {C}.'],
  },
];
