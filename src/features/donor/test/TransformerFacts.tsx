import { Section } from '../../../ui/judgement/parts';
import { Facts } from '../../../ui/value/Facts';
import type { TransformerView } from './transformer';

/** What the bench says of a transformer: its windings, what was worked out, and what it is good for. */
export function TransformerFacts({ view }: { view: TransformerView }) {
  const { windings, lonely, ask, facts, core, goodFor } = view;
  return (
    <>
      {goodFor.length > 0 && (
        <Section label="What it is good for">
          {goodFor.map(({ message, why }) => (
            <p key={message} className="mb-1">
              <b className="font-semibold">{message}</b>
              <br />
              <span className="text-ink-2">{why}</span>
            </p>
          ))}
        </Section>
      )}
      {(windings.length > 0 || lonely.length > 0) && (
        <Section label="Windings">
          <Facts rows={windings.map(({ pins, ohms, guess }) => ({ label: pins, value: ohms, evidence: guess }))} />
          {lonely.length > 0 && <p className="text-ink-2">No winding ends at {lonely.join(', ')}.</p>}
          {ask.length > 0 && <p className="text-ink-2">Read next: {ask.join(', ')}.</p>}
        </Section>
      )}
      {(facts.length > 0 || core) && (
        <Section label="Worked out">
          <Facts rows={[...(core ? [{ label: 'core', value: core }] : []), ...facts]} />
          {core && (
            <p className="text-[12.5px] text-ink-2">
              By its outside. What ferrite it is nobody can see: 0.20 T at most.
            </p>
          )}
        </Section>
      )}
    </>
  );
}
