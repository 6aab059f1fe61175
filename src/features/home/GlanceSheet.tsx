import Link from '../../ui/frame/Link';
import { routes } from '../../routes';
import { Halves } from '../../ui/frame/Halves';
import { Judgement } from '../../ui/judgement/Judgement';
import { Claim, Next, Section } from '../../ui/judgement/parts';
import { Facts } from '../../ui/value/Facts';
import type { GlanceView } from './glance.server';

/** The shop on one page: what a month brought, what the drawers lack, what lies dead. */
export function GlanceSheet({ view }: { view: GlanceView }) {
  const [lack] = view.lacking;
  return (
    <Halves
      judgement={
        <Judgement>
          <Claim label={view.title}>{view.claim}</Claim>
          <Facts rows={view.brought} />
          {view.builds.length > 0 && (
            <Section label="Builds served">
              {view.builds.map(({ code, title }) => (
                <p key={code}>
                  <Link href={routes.build(code)} className="ref">
                    {code}
                  </Link>{' '}
                  {title}
                </p>
              ))}
            </Section>
          )}
          <Next>
            {lack
              ? `Look for ${lack.filter}: ${lack.build} waits for ${String(lack.pieces)}.`
              : 'No build waits for a part: take a unit off the pile.'}
          </Next>
        </Judgement>
      }
    >
      <section aria-label="What the drawers lack">
        <h2 className="label mb-1">What the drawers lack</h2>
        {view.lacking.length === 0 ? (
          <p className="text-[13px] text-ink-2">No build waits for a part.</p>
        ) : (
          <table className="rows plain" aria-label="What the drawers lack">
            <thead>
              <tr>
                <th>build</th>
                <th>for</th>
                <th>asked</th>
                <th data-align="end">n</th>
              </tr>
            </thead>
            <tbody>
              {view.lacking.map(({ build, role, filter, pieces }) => (
                <tr key={`${build} ${role} ${filter}`}>
                  <td>
                    <Link href={routes.build(build)} className="ref">
                      {build}
                    </Link>
                  </td>
                  <td>{role}</td>
                  <td className="font-mono">{filter}</td>
                  <td data-align="end" className="q">
                    {pieces}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </section>
      <section aria-label="What lies dead" className="mt-5">
        <h2 className="label mb-1">What lies dead</h2>
        <ul className="dotted text-[13px]">
          {view.lying.map(({ code, title, since }) => (
            <li key={code} className="py-1">
              <Link href={routes.donor(code)} className="ref">
                {code}
              </Link>{' '}
              {title} <span className="text-ink-2">not touched since {since}</span>
            </li>
          ))}
          {view.old.map(({ code, title, bin, why }) => (
            <li key={code} className="py-1">
              <Link href={routes.lot(code)} className="ref">
                {code}
              </Link>{' '}
              {title}, {bin} <span className="text-ink-2">{why}</span>
            </li>
          ))}
        </ul>
        {view.lying.length + view.old.length === 0 && (
          <p className="text-[13px] text-ink-2">Nothing: every unit and lot was touched lately.</p>
        )}
      </section>
      <p className="mt-5 text-[12.5px] text-ink-2">In the drawers: {view.totals}.</p>
    </Halves>
  );
}
