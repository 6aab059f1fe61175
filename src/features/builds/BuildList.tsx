import Link from '../../ui/frame/Link';
import { routes } from '../../routes';
import type { BuildLine } from './view.server';

/** Builds in short, for the bench; nothing when there are none. */
export function BuildList({ builds }: { builds: readonly BuildLine[] }) {
  if (builds.length === 0) return null;
  return (
    <section aria-label="Builds" className="mt-6">
      <h2 className="label mb-1">Builds</h2>
      <ul>
        {builds.map(({ code, title, message, hint, hintHref }) => (
          <li
            key={code}
            className="grid grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)_minmax(0,0.9fr)] items-baseline gap-3.5 border-t border-rule py-2.5 text-[13px] max-[620px]:grid-cols-1 max-[620px]:gap-0.5"
          >
            <Link href={routes.build(code)} className="text-[14px] font-semibold">
              {title}
            </Link>
            <span className="text-ink-2">{message}</span>
            {hintHref ? (
              <Link href={hintHref} className="text-ochre">
                {hint}
              </Link>
            ) : (
              <span className="text-ink-2">{hint}</span>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
