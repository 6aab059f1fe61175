import Link from '../frame/Link';
import type { ReactNode } from 'react';
import { WeightMark, type Weight } from '../value/marks';

export { Next } from './Next';

/** The answer in large plain words. */
export function Claim({
  label,
  children,
  tone,
  rule,
}: {
  label: string;
  children: ReactNode;
  tone?: 'stop';
  /** Where the rule stands that it rests on. */
  rule?: string;
}) {
  return (
    <div>
      <h2 className="label mb-1">
        {label}
        {rule !== undefined && <RuleLink href={rule} />}
      </h2>
      <p className={`say ${tone === 'stop' ? 'text-stop' : ''}`}>{children}</p>
    </div>
  );
}

/** A titled passage of the judgement. */
export function Section({ label, children }: { label: string; children: ReactNode }) {
  return (
    <section>
      <h2 className="label mb-1">{label}</h2>
      <div className="text-[13.5px] leading-[1.55]">{children}</div>
    </section>
  );
}

/** Reasons with their weights; each may lead to the rule that it rests on. */
export function Findings({
  items,
}: {
  items: readonly { weight: Weight; word?: string; text: string; rule?: string }[];
}) {
  return (
    <ul className="border-t border-rule">
      {items.map(({ weight, word, text, rule }) => (
        <li
          key={text}
          className="grid grid-cols-[84px_1fr] items-baseline gap-2.5 border-b border-rule py-1.5 text-[13px] leading-snug"
        >
          <WeightMark weight={weight} {...(word ? { word } : {})} />
          <span>
            {text}
            {rule !== undefined && <RuleLink href={rule} />}
          </span>
        </li>
      ))}
    </ul>
  );
}

/** The way to the rule that something rests on. */
export function RuleLink({ href }: { href: string }) {
  return (
    <>
      {' '}
      <Link href={href} className="text-[11.5px] text-ink-2 underline decoration-dotted">
        rule
      </Link>
    </>
  );
}

/** What a part's grade keeps it from; nothing when there is nothing. */
export function Limits({ limits }: { limits: readonly string[] }) {
  if (limits.length === 0) return null;
  return (
    <Section label="Limits that go with it">
      <ul>
        {limits.map((limit) => (
          <li key={limit}>{limit}</li>
        ))}
      </ul>
    </Section>
  );
}

/** A caution at the foot of a judgement. */
export function Caution({ children }: { children: ReactNode }) {
  return <p className="mt-auto pt-2 text-[12px] leading-normal text-ink-2">{children}</p>;
}
