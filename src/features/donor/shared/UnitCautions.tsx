import type { UnitCaution } from '../../../core/safety';
import { Section } from '../../../ui/judgement/parts';

/** The cautions that apply to this unit, gravest first; nothing when none does. */
export function UnitCautions({ cautions }: { cautions: readonly UnitCaution[] }) {
  if (cautions.length === 0) return null;
  return (
    <Section label="For this unit">
      <ul className="dotted" aria-label="Cautions">
        {cautions.map(({ name, text, grave }) => (
          <li key={name} className="py-1">
            {grave && <i aria-hidden="true" className="hatch mr-1.5 inline-block size-[11px] align-[-1px]" />}
            {text}
          </li>
        ))}
      </ul>
    </Section>
  );
}
