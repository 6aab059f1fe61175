import Link from '../../../ui/frame/Link';
import { routes } from '../../../routes';
import { Section } from '../../../ui/judgement/parts';
import type { KinView } from './kin.server';

/** Other units of its model, with what they tell it and what failed in them. */
export function KinList({
  kin,
  code: own,
}: {
  kin: readonly KinView[];
  /** The unit itself, to be laid beside one of them. */
  code?: string;
}) {
  if (kin.length === 0) return null;
  return (
    <Section label="From others of its family">
      <ul aria-label="From others of its family" className="dotted">
        {kin.map(({ code, title, kinship, outcome, told, failed }) => (
          <li key={code} className="py-1.5">
            <Link href={routes.donor(code)} className="ref">
              {code}
            </Link>{' '}
            {title}{' '}
            <span className="text-[12px] text-ink-2">
              {[kinship, outcome].filter((word) => word !== '').join(', ')}
            </span>
            {own !== undefined && (
              <Link href={routes.compare([code, own])} className="ml-2 text-[12px] underline decoration-dotted">
                what differs
              </Link>
            )}
            {told.map((text) => (
              <b key={text} className="block font-semibold text-ochre">
                {text}
              </b>
            ))}
            {failed.length > 0 && <span className="block text-[12.5px] text-ink-2">failed: {failed.join('; ')}</span>}
          </li>
        ))}
      </ul>
    </Section>
  );
}
