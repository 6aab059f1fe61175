import { useEffect, useState } from 'react';
import { kinAction } from './actions';
import type { KinView } from '../shared/kin.server';

/** Milliseconds without a key before the family is asked for. */
const PAUSE = 400;

/** Units of the family that stands in the form, asked for when the typing pauses. @param id the unit itself, where it is stored */
export function useKin(of: { maker: string; model: string; id?: string | undefined }): readonly KinView[] {
  const { maker, model, id } = of;
  const [kin, setKin] = useState<readonly KinView[]>([]);
  useEffect(() => {
    let isLate = false;
    const wait = setTimeout(() => {
      const asked = model.trim() === '' ? Promise.resolve([]) : kinAction({ maker, model, id });
      asked.then(
        (found) => {
          if (!isLate) setKin(found);
        },
        // A warning that cannot be fetched leaves what stood there.
        () => undefined,
      );
    }, PAUSE);
    return () => {
      isLate = true;
      clearTimeout(wait);
    };
  }, [maker, model, id]);
  return kin;
}
