'use client';

import Link from '../../../ui/frame/Link';
import { ActionForm } from '../../../ui/form/ActionForm';
import { SubmitButton, TextField } from '../../../ui/form/fields';
import { EmptyState } from '../../../ui/feedback/EmptyState';
import { Halves } from '../../../ui/frame/Halves';
import { List } from '../../../ui/list/List';
import type { TableColumn, TableRow } from '../../../ui/list/rows';
import { Judgement } from '../../../ui/judgement/Judgement';
import { Caution, Claim, Next, Section } from '../../../ui/judgement/parts';
import { sizeBinAction } from './actions';
import { LateSteps } from '../../../ui/list/LateSteps';
import type { AgeingView, BinsView, DoneLately, DrawerView } from './view.server';
import { routes } from '../../../routes';

const COLUMNS: readonly TableColumn[] = [
  { id: 'bin', label: 'bin' },
  { id: 'lots', label: 'lots', align: 'end' },
  { id: 'pieces', label: 'pieces', align: 'end' },
  { id: 'room', label: 'room for' },
  { id: 'counted', label: 'last counted', from: 620 },
  { id: 'count', label: 'count' },
];

/** The cabinets with their drawers on the left; what asks for a look on the right. */
export function BinsSheet({ view, ageing, done }: { view: BinsView; ageing: AgeingView; done: DoneLately }) {
  return (
    <Halves judgement={<BinsJudgement view={view} ageing={ageing} />}>
      {done.length > 0 && <LateSteps steps={done} />}
      {view.cabinets.length === 0 && (
        <EmptyState title="There is no bin yet">A bin is made when the first part goes into it.</EmptyState>
      )}
      {view.cabinets.length > 0 && (
        <div className="max-w-[760px]">
          <List
            label="Drawers"
            columns={COLUMNS}
            items={view.cabinets.flatMap(({ name, drawers }) => drawers.map((drawer) => drawerRow(name, drawer)))}
            choose={false}
          />
        </div>
      )}
    </Halves>
  );
}

function drawerRow(cabinet: string, { code, lots, pieces, capacity, full, counted, countedMs }: DrawerView): TableRow {
  return {
    id: code,
    href: routes.stock({ find: `bin:${code}` }),
    group: cabinet,
    cells: {
      bin: { text: code, shown: <span className="ref">{code}</span> },
      lots: { text: `${lots}`, sort: lots, as: 'value' },
      pieces: {
        text: `${pieces}`,
        sort: pieces,
        shown: (
          <span className={`q ${full ? 'font-semibold text-stop' : ''}`}>
            {pieces}
            {full && ', over-full'}
          </span>
        ),
      },
      room: {
        text: capacity === null ? '' : `${capacity}`,
        ...(capacity !== null && { sort: capacity }),
        shown: (
          <ActionForm
            action={sizeBinAction.bind(null, code)}
            label={`Room of ${code}`}
            className="bare flex items-center gap-2"
          >
            <TextField
              name="capacity"
              label={`room for, in ${code}`}
              defaultValue={capacity === null ? '' : `${capacity}`}
              mono
              className="w-20"
            />
            <SubmitButton tone="quiet">keep</SubmitButton>
          </ActionForm>
        ),
      },
      counted: { text: counted || 'never', ...(countedMs !== null && { sort: countedMs }), as: 'quiet' },
      count: {
        text: 'count it',
        shown: (
          <Link href={routes.stocktake(code)} className="underline decoration-dotted">
            count it
          </Link>
        ),
      },
    },
  };
}

function BinsJudgement({ view, ageing }: { view: BinsView; ageing: AgeingView }) {
  const { cans, unwanted, full } = ageing;
  const calm = cans.length + unwanted.length + full.length === 0;
  return (
    <Judgement>
      <Claim label="What needs attention">
        {calm
          ? 'Nothing is too old'
          : [
              cans.length > 0 && `${cans.length} old ${cans.length === 1 ? 'can' : 'cans'}`,
              unwanted.length > 0 && `${unwanted.length} unwanted`,
              full.length > 0 && `${full.length} over-full`,
            ]
              .filter(Boolean)
              .join(', ')}
      </Claim>
      {full.length > 0 && (
        <Section label="Over-full">
          {full.map(({ code, message }) => (
            <p key={code}>
              <Link className="ref" href={routes.stock({ find: `bin:${code}` })}>
                {code}
              </Link>{' '}
              {message}
            </p>
          ))}
        </Section>
      )}
      <OldLots label="Electrolytics that are old" lots={cans} />
      <OldLots label="No build has asked for these in two years" lots={unwanted} />
      <Next>
        {calm
          ? `Count a drawer when you have a minute: ${view.cabinets[0]?.drawers[0]?.code ?? 'none yet'}.`
          : 'Form old cans before a build asks for them; give away what nobody wants.'}
      </Next>
      <Caution>
        A can that lay for years may gas when it is formed: glasses, an enclosure from 60 V, discharged and measured
        dead after.
      </Caution>
    </Judgement>
  );
}

function OldLots({ label, lots }: { label: string; lots: AgeingView['cans'] }) {
  if (lots.length === 0) return null;
  return (
    <Section label={label}>
      <ul>
        {lots.slice(0, 8).map(({ code, title, bin, message }) => (
          <li key={code} className="mb-1.5">
            <Link className="ref" href={routes.lot(code)}>
              {code}
            </Link>{' '}
            {title}, {bin}: <span className="text-ink-2">{message}</span>
          </li>
        ))}
      </ul>
      {lots.length > 8 && <p className="text-ink-2">and {lots.length - 8} more</p>}
    </Section>
  );
}
