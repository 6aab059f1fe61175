import { CONTROLLER_LAMP } from '../limits';
import type { Draft } from '../step';
import type { PowerUpFacts } from '../unit';
import { atPlug, running } from './parts';

/** A dimmer or speed controller is looked at by its load alone; its knob is turned only while it is unplugged. */
export function knobSteps({ names }: PowerUpFacts): readonly Draft[] {
  const turn = (id: string, end: string): Draft => ({
    ...atPlug,
    group: id,
    id,
    title: `Plug out; knob to its ${end} end`,
    how: 'Only the insulated knob is touched.',
    good: 'set, the plug out',
    protects: 'Your hand: the body of a pot is on the mains',
    failings: [
      { level: 'stop', when: 'it cannot be turned so', says: 'A bare shaft is never turned by hand: fit a knob.' },
    ],
  });
  const look = (id: string, of: Pick<Draft, 'good' | 'failings'>): Draft => ({
    ...running({ feed: 'controller' }),
    ...of,
    group: id,
    id,
    title: 'Plug in, stand back, switch on',
    how: `The ${CONTROLLER_LAMP} W lamp as its load.`,
    protects: 'Its triac, and you',
  });
  return [
    turn('knob:set-low', 'low'),
    look('knob:low', {
      good: 'dark, or a faint even glow',
      failings: [
        { level: 'stop', when: 'full bright', says: `${names('triac', 'The triac')} is shorted.`, symptom: 'snap-on' },
        {
          level: 'look',
          when: 'flickers',
          says: `${names('trigger', 'Its trigger diode')} or its capacitor.`,
          symptom: 'flicker',
        },
      ],
    }),
    turn('knob:set-high', 'high'),
    look('knob:high', {
      good: 'full bright, even',
      failings: [
        {
          level: 'stop',
          when: 'stays dark',
          says: `${names('trigger', 'Its trigger diode')}, its timing parts, or ${names('triac', 'the triac')} open.`,
          symptom: 'dead',
        },
        {
          level: 'look',
          when: 'half bright',
          says: 'It fires on one half wave only: no load with iron in it.',
          symptom: 'flicker',
        },
      ],
    }),
  ];
}
