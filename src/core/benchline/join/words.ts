import type { PinRelation } from '../record';

/** Words that part one pin from the next, with the relation that they state; a few only part. */
export const LINKS: Readonly<Record<string, PinRelation | ''>> = {
  '-': 'joined',
  '–': 'joined',
  '—': 'joined',
  '->': 'joined',
  '→': 'joined',
  '<->': 'joined',
  '=': 'joined',
  '==': 'joined',
  '+': '',
  ',': '',
  '&': '',
  x: 'separate',
  '×': 'separate',
  '~': 'through',
  to: '',
  and: '',
  with: '',
  mit: '',
  an: '',
  zu: '',
  und: '',
  à: '',
  et: '',
  avec: '',
  goes: '',
  is: '',
  are: '',
  also: '',
  on: '',
  straight: '',
  directly: '',
  same: '',
  net: 'joined',
  beeps: 'joined',
  beep: 'joined',
  piept: 'joined',
  bip: 'joined',
  joined: 'joined',
  joins: 'joined',
  connected: 'joined',
  connects: 'joined',
  tied: 'joined',
  ties: 'joined',
  continuity: 'joined',
  verbunden: 'joined',
  relié: 'joined',
  reliée: 'joined',
  connecté: 'joined',
  shorted: 'joined',
  short: 'joined',
  dead: '',
  link: 'joined',
  linked: 'joined',
};

export const DENIALS =
  /^(?:not|no|nothing|isn'?t|aren'?t|isnt|arent|doesn'?t|doesnt|don'?t|nicht|kein|keine|pas|never|isolated|separate|open)$/i;

export const PATHS = /^(?:thru|through|via|über|par)$/i;

/** Words of a sentence about pins that add nothing. */
export const ASIDE =
  /^(?:between|together|each|other|which|pin|pins|the|a|of|leg|legs|terminal|terminals|end|all|both|it|there|bridge|resistor|cap|at|side|meter|says|reads|about|only|just|ok|low|range|do|does|du|de|der|die|das|le|la)$/i;
