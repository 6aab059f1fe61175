'use client';

import { useAct } from '../../../ui/command/useAct';
import { stopPowerUpAction } from './actions';

/** What the key presses. */
export const STOP_ID = 'power-up-stop';

/** Ends the power-up at the step in hand. Always on the screen while one goes on. */
export function StopButton({ code, step, isPowered }: { code: string; step: string; isPowered: boolean }) {
  const { act, pending } = useAct(() => stopPowerUpAction(code, { step, text: '', when: '', isOff: true }));
  return (
    <button type="button" id={STOP_ID} className="power-stop" disabled={pending} onClick={act}>
      <strong>STOP</strong>
      <span>
        {isPowered ? 'strip switch first, then this' : 'ends it, keeps the readings'}
        <span className="max-[899px]:hidden">
          {' '}
          or <kbd>Esc</kbd>
        </span>
      </span>
    </button>
  );
}
