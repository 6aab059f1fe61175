'use client';

import Link from '../../../ui/frame/Link';
import { ActionForm } from '../../../ui/form/ActionForm';
import { SubmitButton } from '../../../ui/form/fields';
import { Section } from '../../../ui/judgement/parts';
import { hintPinsAction } from './actions';
import type { UnknownChipView } from './partIdentity.server';

/** A chip that no reading names: what its pins seem to be, and what it may be by that. */
export function UnknownChip({ code, refName, chip }: { code: string; refName: string; chip: UnknownChipView }) {
  const { legs, hints, functions, guesses } = chip;
  return (
    <Section label="It is unknown so far">
      <p className="text-[13px]">
        Say what its pins seem to be by what they touch: ground sits on the sense resistor’s low end, the supply has an
        electrolytic and start-up resistors, the gate drive leads to a gate through a few ohms.
      </p>
      {guesses.length > 0 && (
        <ul className="dotted my-1.5" aria-label="What it may be">
          {guesses.map(({ id, href, percent, message, reasons }) => (
            <li key={id} className="grid grid-cols-[52px_1fr] gap-x-2 py-1 leading-snug">
              <span className="q">{percent}</span>
              <span>
                <Link href={href} className="font-medium underline decoration-dotted">
                  {id}
                </Link>
                , {message}
                <span className="block text-[12px] text-ink-2">{reasons}</span>
              </span>
            </li>
          ))}
        </ul>
      )}
      <ActionForm
        action={hintPinsAction.bind(null, { code, ref: refName })}
        label={`Pins of ${refName}`}
        className="grid grid-cols-2 gap-x-3 gap-y-1"
      >
        {Array.from({ length: legs }, (_, index) => index + 1).map((number) => (
          <label key={number} className="grid grid-cols-[22px_1fr] items-center gap-1.5 text-[12.5px]">
            <span className="q">{number}</span>
            <select
              name={`pins.${number}`}
              aria-label={`pin ${number} seems to be`}
              defaultValue={hints[number] ?? ''}
              className="min-w-0 rounded-[3px] border border-rule-2 bg-lift px-1 py-1"
            >
              {functions.map(({ value, label }) => (
                <option key={value} value={value}>
                  {label}
                </option>
              ))}
            </select>
          </label>
        ))}
        <SubmitButton>Save the pins</SubmitButton>
      </ActionForm>
    </Section>
  );
}
