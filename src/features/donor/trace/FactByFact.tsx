import { Section } from '../../../ui/judgement/parts';
import type { BoardAnswer } from '../../../workers/board.contract';

type Reading = BoardAnswer['analysis']['hypotheses'][number];

const READINGS = 4;
const FACTS_EACH = 8;

/** What speaks for and against each reading of a board traced in part, fact by fact, the weightiest first. */
export function FactByFact({
  readings,
  wordsOf,
}: {
  readings: readonly Reading[];
  wordsOf: (topology: string) => string;
}) {
  const told = readings.filter(({ reasons }) => reasons && reasons.length > 0).slice(0, READINGS);
  if (told.length === 0) return null;
  return (
    <Section label="Fact by fact">
      {told.map(({ topology, magnetics, probability, reasons = [] }) => (
        <details key={`${topology} ${magnetics.join()}`}>
          <summary className="cursor-pointer py-0.5">
            {wordsOf(topology)} <span className="ref">{magnetics.join(' ')}</span>{' '}
            <span className="font-mono text-ink-2">{probability.toFixed(2)}</span>
          </summary>
          <Facts label="For it" items={reasons.filter(({ weight }) => weight > 0)} />
          <Facts label="Against it" items={reasons.filter(({ weight }) => weight < 0)} />
        </details>
      ))}
    </Section>
  );
}

function Facts({ label, items }: { label: string; items: NonNullable<Reading['reasons']> }) {
  if (items.length === 0) return null;
  return (
    <div className="mb-1 pl-3 text-[13px]">
      <span className="text-ink-2">{label}</span>
      <ul>
        {items.slice(0, FACTS_EACH).map(({ text, weight }) => (
          <li key={text} className="flex justify-between gap-3">
            <span>{text}</span>
            <span className="font-mono text-ink-2">
              {weight > 0 ? '+' : '−'}
              {Math.abs(weight).toFixed(1)}
            </span>
          </li>
        ))}
      </ul>
    </div>
  );
}
