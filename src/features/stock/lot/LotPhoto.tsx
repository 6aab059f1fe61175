import { SendFile } from '../../../ui/form/SendFile';
import type { LotPicture } from './lotPhoto';
import { routes } from '../../../routes';

/** What a lot looks like, and the way to take a photo of it. */
export function LotPhoto({ code, picture }: { code: string; picture: LotPicture | null }) {
  return (
    <figure className="w-[240px] max-w-full">
      {picture && (
        <div className="relative aspect-[4/3] overflow-hidden border border-rule-2 bg-margin">
          {/* oxlint-disable-next-line nextjs/no-img-element -- it lies beside the database, in its own sizes */}
          <img
            src={picture.url}
            alt={picture.message}
            loading="lazy"
            className={picture.crop ? 'absolute max-w-none' : 'size-full object-cover'}
            style={picture.crop ? placed(picture.crop) : undefined}
          />
        </div>
      )}
      <figcaption className="mt-1 text-[12px] text-ink-2">
        {picture ? picture.message : 'No photo yet.'}
        <details>
          <summary className="cursor-pointer underline decoration-dotted">
            {picture && !picture.crop ? 'take another photo' : 'add a photo of it'}
          </summary>
          <SendFile url={routes.lotPhoto(code)} accept="image/*" label={`Photo of ${code}`} />
        </details>
      </figcaption>
    </figure>
  );
}

/** The whole picture laid so that the crop fills its box. */
function placed({ left, top, width, height }: NonNullable<LotPicture['crop']>) {
  const percent = (share: number) => `${100 * share}%`;
  return { width: percent(1 / width), left: percent(-left / width), top: percent(-top / height) };
}
