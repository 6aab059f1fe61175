'use client';

import { useState } from 'react';
import { formatDuration, formatQuantity } from '../../../core/quantity';
import { bleedThrough } from '../../../core/safety';
import { QuantityField } from '../../../ui/form/fields';
import { Facts } from '../../../ui/value/Facts';

/** What a resistor at hand would do across the store: nothing is recorded. */
export function ToolTrial({ start, capacitance }: { start: number; capacitance: number }) {
  const [resistance, setResistance] = useState<number>();
  const plan = resistance ? bleedThrough({ start, capacitance, resistance }) : undefined;
  const watts = plan && formatQuantity(plan.initialPower, 'watt', { digits: 2 });
  return (
    <div>
      <QuantityField name="tool" label="a resistor you have" unit="ohm" placeholder="4k7" onValue={setResistance} />
      {plan && (
        <Facts
          rows={[
            { label: 'at first', value: `${watts}, ${formatQuantity(plan.initialCurrent, 'ampere', { digits: 2 })}` },
            { label: 'takes in all', value: formatQuantity(plan.energy, 'joule', { digits: 2 }) },
            { label: 'under 60 V in', value: formatDuration(plan.timeToTouch) },
            { label: 'under 5 V in', value: formatDuration(plan.timeToSolder) },
            {
              label: 'must be rated',
              value: plan.wirewound === undefined ? 'more than 50 W' : `${plan.wirewound} W wirewound`,
            },
          ]}
        />
      )}
    </div>
  );
}
