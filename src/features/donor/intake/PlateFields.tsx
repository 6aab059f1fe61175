'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { Nameplate } from '../../../core/nameplate';

/** Loaded when someone opens it: most plates are read right. */
const LazyPlateEditor = dynamic(() => import('./PlateEditor'), {
  ssr: false,
  loading: () => <p className="mt-2 text-[12px] text-ink-2">Opening the fields …</p>,
});

/** The plate's fields, folded away until they are wanted. */
export function PlateFields({ code, plate, byHand }: { code: string; plate: Nameplate; byHand: boolean }) {
  const [open, setOpen] = useState(byHand);
  return (
    <details
      className="mt-4 max-w-[820px] border-t border-rule pt-2.5"
      open={byHand}
      onToggle={(event) => setOpen(event.currentTarget.open)}
    >
      <summary className="cursor-pointer text-[15px] font-semibold">
        The plate, field by field
        <span className="ml-3 text-[12.5px] font-normal text-ink-2">
          {byHand ? 'put right by hand' : 'as its text reads; put right what was misread'}
        </span>
      </summary>
      {open && <LazyPlateEditor key={JSON.stringify(plate)} code={code} plate={plate} byHand={byHand} />}
    </details>
  );
}
