/** @jest-environment jsdom */
import { screen, within } from '@testing-library/react';
import type { DonorLine } from '../../services/dossier';
import { mount } from '../../ui/testing/mount';
import { BenchSheet } from './BenchSheet';
import type { BenchView } from './view.server';

const LINE: DonorLine = {
  code: 'FQM-ZN8',
  title: 'Norrsund NS-1224 adapter',
  message: '24 W',
  stages: [],
  station: 'trace',
  next: 'trace',
  href: '/donors/FQM-ZN8/trace',
  live: [],
  isPowered: false,
  isSample: false,
  begun: { label: true, stores: false, parts: false, beeps: false },
};
const STEPS = (done: number) =>
  ['label', 'stores', 'parts', 'beeps'].map((label, index) => ({ label, isDone: index < done, href: `/${label}` }));

function bench(view: Partial<BenchView> = {}) {
  const whole = {
    donors: { lines: [LINE], total: 1 },
    issues: [],
    subtitle: '1 unit',
    sample: null,
    path: null,
    live: [],
    ...view,
  } as BenchView;
  return mount(
    <BenchSheet
      view={whole}
      donors={<p>the list</p>}
      builds={<p>the builds</p>}
      addSample={<button type="button">Try a made-up unit</button>}
      removeSample={<button type="button">Remove it</button>}
    />,
  );
}
const claim = () =>
  screen.getByText('Look at this first').parentElement?.textContent?.replace('Look at this first', '');

test('an empty bench offers a unit of one’s own and a made-up one', () => {
  bench({ donors: { lines: [], total: 0 } });
  expect(screen.getByRole('link', { name: 'New donor' })).toBeTruthy();
  expect(screen.getByRole('button', { name: 'Try a made-up unit' })).toBeTruthy();
  expect(claim()).toBe('Nothing is on the bench');
});

test('the made-up unit is told as such, with the way to be rid of it', () => {
  bench({ sample: 'FQM-ZN8' });
  expect(screen.getByText(/FQM-ZN8 is made up/)).toBeTruthy();
  expect(screen.getByRole('button', { name: 'Remove it' })).toBeTruthy();
});

test.each([
  [0, 'label'],
  [2, 'parts'],
])('with %i steps of the short path done, %s is the next, and what is done leads nowhere', (done, next) => {
  bench({ path: STEPS(done) });
  const list = within(screen.getByRole('list'));
  const links = list.getAllByRole('link').map(({ textContent }) => textContent);
  expect(links[0]).toBe(next);
  expect(links).toHaveLength(4 - done);
  expect(list.getAllByRole('listitem').filter(({ textContent }) => textContent?.includes('✓'))).toHaveLength(done);
});

// What can hurt comes first, and leads to where it is made safe.
test.each([
  [[], 'Every listed store is measured dead', /^Norrsund NS-1224 adapter: trace\.$/, '/donors/FQM-ZN8/trace'],
  [
    [{ code: 'FQM-ZN8', name: 'C3', message: 'never read' }],
    'One unit is not measured dead',
    /^Read C3 of FQM-ZN8/,
    '/donors/FQM-ZN8/make-safe?store=C3',
  ],
  [
    [{ code: 'FQM-ZN8', name: '', message: 'power is on: unplug it first' }],
    'One unit is not measured dead',
    /^FQM-ZN8: power is on: unplug it first\.$/,
    '/donors/FQM-ZN8/make-safe',
  ],
  [
    [
      { code: 'FQM-ZN8', name: 'C3', message: 'never read' },
      { code: 'AAA-111', name: '', message: 'no store is listed: treat it as charged' },
    ],
    'Two units are not measured dead',
    /^Read C3/,
    '/donors/FQM-ZN8/make-safe?store=C3',
  ],
])('with %j it says “%s”', (live, says, next, href) => {
  bench({ live });
  expect(claim()).toBe(says);
  expect(screen.getByText(next)).toBeTruthy();
  expect(screen.getByRole('link', { name: 'Go there' }).getAttribute('href')).toBe(href);
});
