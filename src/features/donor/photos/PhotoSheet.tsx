'use client';

import Link from '../../../ui/frame/Link';
import { STATION_LABEL, STATIONS } from '../../../core/station';
import { ActionButton } from '../../../ui/feedback/ActionButton';
import { ConfirmButton } from '../../../ui/feedback/ConfirmButton';
import { ActionForm } from '../../../ui/form/ActionForm';
import { SelectField, SubmitButton, TextField } from '../../../ui/form/fields';
import { Halves } from '../../../ui/frame/Halves';
import type { Shortcut } from '../../../ui/frame/shortcut';
import { Shortcuts } from '../../../ui/frame/Shortcuts';
import { Judgement } from '../../../ui/judgement/Judgement';
import { Claim, Next, Section } from '../../../ui/judgement/parts';
import { amendPhotoAction, removePhotoAction, removePinAction } from './actions';
import type { PhotoPageView } from './view.server';
import { PhotoPairing } from './PhotoPairing';
import { PhotoReady } from './PhotoReady';
import { PhotoViewer } from './PhotoViewer';
import { routes } from '../../../routes';

const SIDES = [
  { value: '', label: 'not said' },
  { value: 'front', label: 'front of the board' },
  { value: 'back', label: 'back of the board' },
  { value: 'inside', label: 'inside of the case' },
  { value: 'label', label: 'label' },
];

/** One photo: large on the left with its other side below, what is written on it on the right. */
export function PhotoSheet({
  code,
  photo,
  place,
}: {
  code: string;
  photo: PhotoPageView;
  /** A part whose place is to be pinned, or empty. */
  place: string;
}) {
  const keys: Shortcut[] = [
    ...(photo.previous ? [{ key: ',', label: 'previous photo', href: photo.previous }] : []),
    ...(photo.next ? [{ key: '.', label: 'next photo', href: photo.next }] : []),
  ];
  return (
    <Halves
      judgement={
        <Judgement>
          <Claim label={`Photo of ${photo.when}`}>{photo.message}</Claim>
          <Section label="Pins">
            {photo.pins.length === 0 ? (
              <p>None yet. Put pins where something is worth a word.</p>
            ) : (
              <ol className="dotted" aria-label="Pins">
                {photo.pins.map(({ id, number, note }) => (
                  <li key={id} className="grid grid-cols-[26px_1fr_auto] items-baseline gap-2 py-1">
                    <span className="q">{number}</span>
                    <span>{note || 'no note'}</span>
                    <ActionButton
                      tone="small"
                      action={() => removePinAction(code, id)}
                      label={`Take pin ${number} off`}
                    >
                      take off
                    </ActionButton>
                  </li>
                ))}
              </ol>
            )}
          </Section>
          <Next>
            {photo.pair
              ? 'A pin on this side shows on the other too.'
              : photo.others.length > 0
                ? 'Pair front and back by three spots, and a pin on one shows on the other.'
                : 'Turn the board over and take the other side.'}
          </Next>
          <ActionForm
            action={amendPhotoAction.bind(null, code, photo.id)}
            label="Caption"
            className="grid grid-cols-2 gap-x-3"
          >
            <TextField name="caption" label="caption" defaultValue={photo.caption} className="col-span-2" />
            <SelectField name="side" label="what it shows" defaultValue={photo.side} options={SIDES} />
            <SelectField
              name="station"
              label="station"
              defaultValue={photo.station}
              options={STATIONS.map((station) => ({ value: station, label: STATION_LABEL[station] }))}
            />
            <div className="col-span-2 flex items-center gap-3">
              <SubmitButton>Save it</SubmitButton>
              <ConfirmButton
                action={() => removePhotoAction(code, photo.id)}
                title="Delete this photo?"
                detail="It leaves the donor with its pins and its pairing. The step can be undone."
                confirm="Delete it"
              >
                delete it
              </ConfirmButton>
            </div>
          </ActionForm>
        </Judgement>
      }
    >
      <nav aria-label="Photos" className="mb-2 flex items-center gap-4 text-[13px]">
        <Link href={routes.photos(code)} className="underline decoration-dotted">
          all photos
        </Link>
        <span className="ml-auto flex gap-3">
          {photo.previous && <Link href={photo.previous}>‹ before</Link>}
          {photo.next && <Link href={photo.next}>next ›</Link>}
        </span>
      </nav>
      <PhotoViewer key={photo.id} code={code} photo={photo} place={place} />
      <section aria-label="Made ready for tracing" className="mt-4 border-t border-rule pt-3">
        <h2 className="mb-1 text-[15px] font-semibold">Make it ready for tracing</h2>
        <PhotoReady key={photo.id} code={code} photo={photo} />
      </section>
      <section aria-label="Other side" className="mt-4 border-t border-rule pt-3">
        <h2 className="mb-1 text-[15px] font-semibold">The other side</h2>
        <PhotoPairing key={photo.id} code={code} photo={photo} />
      </section>
      <Shortcuts keys={keys} />
    </Halves>
  );
}
