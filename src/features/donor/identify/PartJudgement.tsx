import Link from '../../../ui/frame/Link';
import { Judgement } from '../../../ui/judgement/Judgement';
import { Caution, Findings, Section } from '../../../ui/judgement/parts';
import { Facts } from '../../../ui/value/Facts';
import type { PartIdentity } from './partIdentity.server';
import type { IdentifiedPartView } from './view.server';
import { ChipCard } from './ChipCard';
import { PlaceForm, RatingForm, DecodingsForm, DeletePart } from './IdentifyForms';
import { IssueForm, IssueList } from '../shared/IssueList';
import { UnknownChip } from './UnknownChip';
import { routes } from '../../../routes';

/** What one part probably is, why, what else it could be, and whether that makes sense where it sits. */
export function PartJudgement({
  code,
  part,
  identity,
}: {
  code: string;
  part: IdentifiedPartView;
  identity: PartIdentity;
}) {
  return (
    <Judgement key={part.ref}>
      <div>
        <h2 className="label mb-1">{part.title}</h2>
        <p className="say">{part.marking || 'no marking noted'}</p>
        {part.subtitle && <p className="mt-1 text-[12.5px] text-ink-2">{part.subtitle}</p>}
      </div>
      <Misfits code={code} refName={part.ref} identity={identity} />
      <Decodings code={code} part={part} identity={identity} />
      {part.ratings.length > 0 && (
        <Section label="Ratings">
          <Facts
            rows={part.ratings.map(({ label, value, source, meaning }) => ({
              label,
              value,
              evidence: source,
              title: meaning,
            }))}
          />
          {identity.typeHref && (
            <Link href={identity.typeHref} className="text-[12.5px] underline decoration-dotted">
              what the shop knows of this number
            </Link>
          )}
        </Section>
      )}
      {identity.chip && <ChipCard chip={identity.chip} />}
      {identity.unknown && <UnknownChip code={code} refName={part.ref} chip={identity.unknown} />}
      {part.ratingChoices.length > 0 && (
        <Section label="Type a rating">
          <RatingForm code={code} refName={part.ref} choices={part.ratingChoices} />
        </Section>
      )}
      <Section label="Where it sits and what is wrong with it">
        <PlaceForm code={code} refName={part.ref} place={identity.place} />
        <p className="text-[12.5px]">
          {identity.spots.map(({ href, message }) => (
            <Link key={href} href={href} className="mr-3 underline decoration-dotted">
              on the photo: {message}
            </Link>
          ))}
          {identity.photo && identity.spots.length === 0 && (
            <Link href={identity.photo} className="underline decoration-dotted">
              show its place on a photo
            </Link>
          )}
        </p>
      </Section>
      <Section label="Claims and questions">
        {identity.issues.length > 0 && <IssueList code={code} issues={identity.issues} />}
        <IssueForm code={code} refName={part.ref} station="identify" />
      </Section>
      {identity.seenOn.length > 0 && (
        <Section label="The same marking was seen on">
          <ul>
            {identity.seenOn.map(({ code: other, message, href }) => (
              <li key={href}>
                <Link href={href} className="ref">
                  {other}
                </Link>{' '}
                {message}
              </li>
            ))}
          </ul>
        </Section>
      )}
      {part.history.length > 0 && (
        <Section label="Superseded">
          <ul className="text-[12.5px] text-ink-2">
            {part.history.map(({ label, value, source, when }) => (
              <li key={label + value + when}>
                {label} <span className="q">{value}</span>, {source}, {when}
              </li>
            ))}
          </ul>
        </Section>
      )}
      <Caution>
        A reading by a number pattern is a guess with a reason. Check the datasheet before a part carries mains voltage.
      </Caution>
      <div className="flex items-center justify-between gap-3">
        <Link className="btn" href={routes.station(code, 'test', { part: part.ref })}>
          Test it
        </Link>
        <Link
          className="mr-auto text-[12.5px] underline decoration-dotted"
          href={routes.replace(code, { part: part.ref })}
        >
          what takes its place
        </Link>
        {!part.harvested && <DeletePart code={code} refName={part.ref} />}
      </div>
    </Judgement>
  );
}

function Misfits({ code, refName, identity }: { code: string; refName: string; identity: PartIdentity }) {
  const { misfits, instead } = identity;
  if (misfits.length === 0) return null;
  const wrong = misfits.some(({ severity }) => severity === 'wrong');
  return (
    <Section label="Does it make sense there?">
      {wrong && <p className="mb-1.5 font-semibold text-stop">Either the reading or the place is wrong.</p>}
      <Findings
        items={misfits.map(({ severity, message, rule }) => ({
          weight: severity === 'wrong' ? ('danger' as const) : ('check' as const),
          text: message,
          rule: routes.article('sense', rule),
        }))}
      />
      {instead && (
        <div className="mt-2">
          <p className="text-[12.5px] text-ink-2">The next reading that would fit:</p>
          <DecodingsForm
            code={code}
            refName={refName}
            decodings={[instead]}
            label={`Reading of ${refName} that fits`}
          />
        </div>
      )}
    </Section>
  );
}

function Decodings({ code, part, identity }: { code: string; part: IdentifiedPartView; identity: PartIdentity }) {
  const { decodings, otherKinds, apart, tell } = identity;
  if (part.marking === '') return null;
  return (
    <Section label="What the marking may mean">
      {decodings.length > 0 ? (
        <DecodingsForm code={code} refName={part.ref} decodings={decodings.slice(0, 5)} taken={part.taken} />
      ) : (
        <p>
          No rule knows it. It stays unknown: note its pins and what each touches, ask a question below, or type what a
          datasheet says.
        </p>
      )}
      {tell && (
        <p className="mt-1.5 text-[13px]">
          <b className="font-semibold">To tell them apart:</b> {tell}
        </p>
      )}
      {apart.length > 0 && (
        <p className="mt-1 text-[12.5px] text-ink-2">
          Set apart: {apart.map(({ text, as }) => `${text} (${as})`).join(', ')}.
        </p>
      )}
      {otherKinds.length > 0 && (
        <div className="mt-2">
          <p className="text-[12.5px] text-ink-2">As another kind of part it would be clearer:</p>
          <DecodingsForm code={code} refName={part.ref} decodings={otherKinds} label={`${part.ref} as another kind`} />
        </div>
      )}
    </Section>
  );
}
