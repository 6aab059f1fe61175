import Link from '../../ui/frame/Link';
import { SendFile } from '../../ui/form/SendFile';
import { Halves } from '../../ui/frame/Halves';
import { Judgement } from '../../ui/judgement/Judgement';
import { Caution, Claim, Section } from '../../ui/judgement/parts';
import type { TypeView } from './view.server';
import {
  AliasForm,
  DetachButton,
  ForgetType,
  MergeForm,
  SplitButton,
  TypeForm,
  TypeRatingForm,
  UnrateButton,
} from './TypeForms';
import { routes } from '../../routes';

/** One type: its ratings with where they come from on the left, where it is and what it is also called on the right. */
export function TypeSheet({ type }: { type: TypeView }) {
  return (
    <Halves judgement={<TypeJudgement type={type} />}>
      <table className="rows plain mb-4" aria-label="Ratings">
        <thead>
          <tr>
            <th>rating</th>
            <th>value</th>
            <th>from</th>
            <th>page</th>
            <th>
              <span className="sr-only">delete</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {type.ratings.map(({ name, label, value, source, meaning, page, pageHref }) => (
            <tr key={name}>
              <td>{label}</td>
              <td className="q">{value}</td>
              <td className="text-ink-2" title={meaning}>
                {source}
              </td>
              <td>{pageHref ? <a href={pageHref}>page {page}</a> : (page ?? '')}</td>
              <td data-align="end">
                <UnrateButton id={type.id} name={name} label={label} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {type.ratings.length === 0 && <p className="mb-3 text-[13px] text-ink-2">No rating is known yet.</p>}
      {type.ratingChoices.length > 0 && <TypeRatingForm type={type} />}
      {type.history.length > 0 && (
        <section className="mb-4">
          <h2 className="label mb-1">Superseded</h2>
          <ul className="text-[12.5px] text-ink-2">
            {type.history.map(({ label, value, source, when }, index) => (
              <li key={index}>
                {label} <span className="q">{value}</span>, {source}, {when}
              </li>
            ))}
          </ul>
        </section>
      )}
      <h2 className="label mt-3 mb-1">What it is</h2>
      <TypeForm kinds={type.kinds} type={type} />
    </Halves>
  );
}

function TypeJudgement({ type }: { type: TypeView }) {
  const uses = [...type.onDonors, ...type.inStock];
  return (
    <Judgement>
      <Claim label={type.kindLabel}>{type.name}</Claim>
      <Section label="Where it is">
        {uses.length === 0 ? (
          <p>On no donor and in no drawer.</p>
        ) : (
          <ul>
            {uses.map(({ href, code, message }) => (
              <li key={href}>
                <Link href={href} className="ref">
                  {code}
                </Link>{' '}
                {message}
              </li>
            ))}
          </ul>
        )}
      </Section>
      <Section label="Datasheets">
        <ul>
          {type.datasheets.map(({ id, href, name, size }) => (
            <li key={id} className="grid grid-cols-[1fr_auto] items-baseline gap-2">
              <a href={href} className="truncate underline decoration-dotted">
                {name}, {size}
              </a>
              <DetachButton id={id} name={name} />
            </li>
          ))}
        </ul>
        <SendFile url={routes.typeDatasheet(type.id)} accept="application/pdf" label={`Datasheet of ${type.name}`} />
        <p className="mt-1 text-[12px] text-ink-2">
          The file is kept beside the database; its text is not read. Record a rating with its page, and the page is a
          link.
        </p>
      </Section>
      <Section label="Also marked">
        <ul aria-label="Markings">
          {type.aliases.map(({ id, name }) => (
            <li key={id} className="grid grid-cols-[1fr_auto] items-baseline gap-2">
              <span className="font-mono">{name}</span>
              <SplitButton id={type.id} aliasId={id} alias={name} />
            </li>
          ))}
        </ul>
        <AliasForm id={type.id} name={type.name} />
        <MergeForm id={type.id} name={type.name} />
      </Section>
      <Caution>
        A remembered or decoded value is a guess with a reason: read the datasheet before a part carries mains voltage.
      </Caution>
      <div className="text-right">
        <ForgetType id={type.id} name={type.name} />
      </div>
    </Judgement>
  );
}
