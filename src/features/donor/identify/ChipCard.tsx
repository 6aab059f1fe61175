import Link from '../../../ui/frame/Link';
import { Section } from '../../../ui/judgement/parts';
import { ChosenPin } from '../../../ui/charts/ChosenPin';
import type { ChipView } from './partIdentity.server';

/** A chip's pins from the top and from the solder side, with what to expect on each, unpowered. */
export function ChipCard({ chip }: { chip: ChipView }) {
  const { id, title, href, pins, facts, tells, top, below, legs } = chip;
  return (
    <Section label={`Pins of the ${id} family`}>
      <p className="mb-2 text-[13px]">
        {title[0]?.toUpperCase()}
        {title.slice(1)}. <b className="font-semibold">Remembered</b>
        {chip.sure ? '' : ', and not for sure'}: check the datasheet.
      </p>
      {pins.length === 0 ? (
        <p className="text-[13px] text-ink-2">
          Its {legs} pins are not remembered. Trace them: ground and supply first, then the gate.
        </p>
      ) : (
        <ChosenPin
          label={id}
          style={top.style}
          sides={[
            { name: 'the top', legs: top.legs },
            { name: 'the solder side', legs: below.legs },
          ]}
          names={pins.map(({ number, name }) => [number, name] as const)}
          first={tells?.pin ?? pins[0]?.number}
          details={Object.fromEntries(
            pins.map(({ number, name, does, diodeMode, resistance, next }) => [
              number,
              <dl key={number} className="grid grid-cols-[104px_1fr] gap-x-2">
                <dt className="q">
                  {number} {name}
                </dt>
                <dd className="font-semibold">{does}</dd>
                <dt className="text-ink-2">diode mode</dt>
                <dd>{diodeMode}</dd>
                <dt className="text-ink-2">to ground</dt>
                <dd>{resistance}</dd>
                <dt className="text-ink-2">look next</dt>
                <dd>
                  {next}
                  {tells?.pin === number && <> This pin tells most: {tells.why}.</>}
                </dd>
              </dl>,
            ]),
          )}
        />
      )}
      <dl className="mt-2 grid grid-cols-[104px_1fr] gap-x-2 text-[12.5px]">
        {facts.map(({ label, value }) => (
          <div key={label} className="contents">
            <dt className="text-ink-2">{label}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
      <p className="mt-1.5 text-[12px] text-ink-2">
        What one reads is common practice for a board that is unpowered and measured dead; compare with a good one.{' '}
        <Link href={href} className="underline decoration-dotted">
          The whole family
        </Link>
      </p>
    </Section>
  );
}
