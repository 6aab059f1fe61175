'use client';

import { ActionButton } from '../../../ui/feedback/ActionButton';
import { notePowerAction } from './actions';

/** Power is on: above everything else on every page of the unit, until it is unplugged. */
export function PowerNotice({ code }: { code: string }) {
  return (
    <p
      role="alert"
      className="flex flex-wrap items-center gap-x-4 gap-y-2 bg-stop px-[22px] py-3 text-[17px] font-semibold text-sheet max-[899px]:px-4"
    >
      <span>Power is on. Unplug it first: no reading from before counts, and nothing here is safe to touch.</span>
      <UnplugButton code={code} />
    </p>
  );
}

/** Says that the unit is unplugged. */
export function UnplugButton({ code }: { code: string }) {
  return <ActionButton action={() => notePowerAction(code, false)}>It is unplugged now</ActionButton>;
}

/** What stands where a station would say what is next, while power is on. */
export function UnplugFirst({ code }: { code: string }) {
  return (
    <>
      <h2 className="label mb-1">First</h2>
      <p className="text-[15.5px] leading-snug font-medium text-stop">Unplug it, then read every store again.</p>
      <div className="mt-2.5">
        <UnplugButton code={code} />
      </div>
    </>
  );
}
