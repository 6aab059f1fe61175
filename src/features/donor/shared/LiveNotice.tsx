'use client';

import { ConfirmButton } from '../../../ui/feedback/ConfirmButton';
import { goOnAction } from './actions';
import type { DonorFrame, HandsOnStation } from './view.server';
import { routes } from '../../../routes';

/** At the stations where hands go to the board: what is not measured dead, and the way to go on all the same. */
export function LiveNotice({ frame, station }: { frame: DonorFrame; station: HandsOnStation }) {
  // That power is on stands above every page.
  const notDead = frame.notDead[station];
  if (!notDead || frame.isPowered) return null;
  const went = frame.wentOn.includes(station);
  return (
    <section role="alert" className="mb-3.5 border-l-4 border-stop bg-stop-wash px-3.5 py-2.5 text-[13px]">
      <p>
        <b className="text-stop">{notDead}.</b>{' '}
        {went
          ? 'You said that you go on; the journal shows it. Keep your hands off the mains side.'
          : 'Hands and meter leads go to this board here. Read every store first, or say that you go on.'}
      </p>
      {!went && (
        <div className="mt-1.5 flex flex-wrap gap-2">
          <a href={routes.station(frame.code, 'make-safe')} className="btn">
            Make it safe
          </a>
          <ConfirmButton
            action={() => goOnAction({ code: frame.code, station })}
            title="Go on with a board that is not measured dead?"
            detail={`${notDead}. Stored charge at mains voltage can kill. The journal will show that you went on.`}
            confirm="I go on"
          >
            I go on all the same
          </ConfirmButton>
        </div>
      )}
    </section>
  );
}
