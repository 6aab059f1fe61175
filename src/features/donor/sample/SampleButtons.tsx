'use client';

import { ActionButton } from '../../../ui/feedback/ActionButton';
import { addSampleAction, removeSampleAction } from './actions';

/** Puts a made-up unit into the shop. */
export function AddSample() {
  return <ActionButton action={addSampleAction}>Try a made-up unit</ActionButton>;
}

/** Takes it out again. */
export function RemoveSample({ code }: { code: string }) {
  return <ActionButton action={() => removeSampleAction(code)}>Remove the made-up unit</ActionButton>;
}
