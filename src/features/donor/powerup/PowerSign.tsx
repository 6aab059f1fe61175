import type { PowerSign as Sign } from './view.server';

const WORDS: Readonly<Record<Sign['state'], string>> = {
  on: 'ON, HANDS OFF',
  dead: 'OFF AND DEAD',
  'not-dead': 'OFF, NOT YET DEAD',
};

/** Whether power is on, and whether what stores charge is dead: the loudest mark of the page. */
export function PowerSign({ sign: { state, detail } }: { sign: Sign }) {
  return (
    <p role="status" className="power-sign" data-state={state}>
      <i aria-hidden="true" />
      <strong>{WORDS[state]}</strong>
      <span>{detail}</span>
      <i aria-hidden="true" />
    </p>
  );
}
