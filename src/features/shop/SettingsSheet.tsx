'use client';

import { ActionButton } from '../../ui/feedback/ActionButton';
import { ActionForm } from '../../ui/form/ActionForm';
import { SelectField, SubmitButton, TextField } from '../../ui/form/fields';
import type { Scheme } from '../../ui/frame/scheme';
import { SchemeToggle } from '../../ui/frame/SchemeToggle';
import { Halves } from '../../ui/frame/Halves';
import { Judgement } from '../../ui/judgement/Judgement';
import { Caution, Claim, Next, Section } from '../../ui/judgement/parts';
import { askMeterAction, keepSettingsAction } from './actions';
import { useHydrated } from '../../ui/form/useHydrated';
import type { MetersView, WordsView } from './view.server';
import { WordList } from './WordList';
import { MeterList } from './MeterList';
import { useSerialMeter } from './MeterRoot';
import { routes } from '../../routes';

/** Bit rates that USB meters use. Common practice, no source. */
const BAUDS = [2400, 9600, 19200, 115200] as const;

/** What holds for the whole shop: the touch limit, and the meter. */
export function SettingsSheet({
  touchLimit,
  mains,
  meterAddress,
  meters,
  words,
  scheme,
}: {
  touchLimit: number;
  mains: number;
  meterAddress: string;
  meters: MetersView;
  words: WordsView;
  scheme: Scheme;
}) {
  const serial = useSerialMeter();
  const hydrated = useHydrated();
  return (
    <Halves
      judgement={
        <Judgement>
          <Claim label="Under this a store counts as touchable" rule={routes.article('charge')}>
            {touchLimit} V DC
          </Claim>
          <Section label="What it changes">
            <p>
              The limit decides when a store counts as below the touch limit, in every list and at every station, and
              where the bleed plan and the fit of a discharge aim. Measured dead is less: under 1 V. 60 V is the limit
              of IEC 62368-1, from memory; 50 V is what some schools and shops keep to.
            </p>
          </Section>
          <Next>
            {meterAddress === ''
              ? 'Name the address of a meter, or start the simulated one: npm run meter.'
              : 'Put the cursor into any field of volts, ohms or farads, and press F8.'}
          </Next>
          <Caution>
            A lower limit makes nothing safe by itself. Local codes and licensed practice come first; only a reading on
            the store counts.
          </Caution>
        </Judgement>
      }
    >
      <ActionForm action={keepSettingsAction} label="Settings" className="grid max-w-[560px] gap-2">
        <SelectField
          name="touchLimit"
          label="touch limit"
          defaultValue={String(touchLimit)}
          options={[
            { value: '60', label: '60 V DC, as IEC 62368-1 has it' },
            { value: '50', label: '50 V DC, the careful shop' },
          ]}
        />
        <SelectField
          name="mains"
          label="mains at the bench"
          defaultValue={String(mains)}
          options={[
            { value: '230', label: '230 V' },
            { value: '120', label: '120 V' },
            { value: '100', label: '100 V' },
          ]}
          hint="the first power-up of a unit reckons with it"
        />
        <TextField
          name="meterAddress"
          label="meter on the network"
          defaultValue={meterAddress}
          placeholder="127.0.0.1:5025"
          mono
          hint="host and port of a meter that answers line queries such as MEAS:VOLT:DC?"
        />
        <div className="flex items-center gap-3">
          <SubmitButton tone="next">Save the settings</SubmitButton>
          <ActionButton action={askMeterAction}>Ask the meter who it is</ActionButton>
        </div>
      </ActionForm>
      <section aria-label="USB meter" className="mt-6 max-w-[560px] border-t border-rule pt-3">
        <h2 className="text-[15px] font-semibold">A meter on this browser’s USB</h2>
        <p className="mt-0.5 text-[12.5px] text-ink-2">
          Meters that stream a line for each reading, such as “212.3 V DC”. While one is connected it comes before the
          one on the network.
        </p>
        {hydrated && serial?.available ? (
          <div className="mt-2 flex flex-wrap items-center gap-2">
            {serial.connected ? (
              <button type="button" className="btn" onClick={() => serial.disconnect()}>
                Disconnect it
              </button>
            ) : (
              BAUDS.map((baud) => (
                <button key={baud} type="button" className="btn" onClick={() => void serial.connect(baud)}>
                  {baud} baud
                </button>
              ))
            )}
          </div>
        ) : (
          <p className="mt-2 text-[13px]">This browser has no serial port; use the address of a meter instead.</p>
        )}
        {serial?.message && (
          <p role="status" className="mt-2 text-[13px]">
            {serial.message}
          </p>
        )}
      </section>
      <div className="mt-4 min-[900px]:hidden">
        <SchemeToggle initial={scheme} />
      </div>
      <MeterList view={meters} />
      <WordList view={words} />
    </Halves>
  );
}
