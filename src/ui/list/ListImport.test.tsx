/** @jest-environment jsdom */
import { act, screen, within } from '@testing-library/react';
import { NO_ANSWER } from '../command/useCommand';
import { sendLong } from '../form/sendBytes';
import { answerLater, mount } from '../testing/mount';
import { ListImport, type ListPreview } from './ListImport';

jest.mock('../form/sendBytes', () => ({ sendLong: jest.fn() }));

interface Preview extends ListPreview {
  readonly added: number;
}
const PREVIEW: Preview = { added: 2, refusedCount: 3, refused: [{ line: 4, what: '2N39O4', why: 'no such kind' }] };
const FILE = new File(['a,b'], 'types.csv', { type: 'text/csv' });

/** What the route answers, one after another. */
function answers(...given: unknown[]) {
  for (const answer of given) jest.mocked(sendLong).mockImplementationOnce(() => Promise.resolve(answer as object));
}
const sent = () => jest.mocked(sendLong).mock.calls.map(([url]) => url);

beforeEach(() => jest.mocked(sendLong).mockReset());

async function choose() {
  const mounted = mount(
    <ListImport<Preview>
      url="/types/import"
      goto="/types"
      fileLabel="List of types"
      claimLabel="What the file would do"
      claim={({ added, refusedCount }) => `${added} new, ${refusedCount} refused`}
      useful={({ added }) => added}
      useless="No line can be taken in."
      caution="A list is no measurement."
      taken={({ added }) => <p>{added} rows shown</p>}
    >
      CSV with a heading.
    </ListImport>,
  );
  await mounted.user.upload(screen.getByLabelText('List of types'), FILE);
  return mounted;
}

test('the file is looked at first: what it would do, and the lines that are refused, by number and reason', async () => {
  answers({ ok: true, preview: PREVIEW });
  await choose();
  expect(await screen.findByText('2 new, 3 refused')).toBeTruthy();
  expect(screen.getByText('Refused, the first 1')).toBeTruthy();
  const [, line] = within(screen.getByRole('table', { name: 'Refused lines' })).getAllByRole('row');
  expect(line?.textContent).toBe('42N39O4no such kind');
  expect(screen.getByText('2 rows shown')).toBeTruthy();
  expect(sent()).toEqual(['/types/import?mode=preview']);
});

test('taken in, it leads to the list, with the step that takes it back', async () => {
  answers({ ok: true, preview: PREVIEW }, { ok: true, message: '2 types came in.', undo: 'J1' });
  const { user, router } = await choose();
  await user.click(await screen.findByRole('button', { name: 'Take 2 in' }));
  expect(await screen.findByText('2 types came in.')).toBeTruthy();
  expect(router.push).toHaveBeenCalledWith('/types');
  expect(sent()).toEqual(['/types/import?mode=preview', '/types/import?mode=apply']);
});

test('a file of which nothing can be taken offers nothing', async () => {
  answers({ ok: true, preview: { ...PREVIEW, added: 0 } });
  await choose();
  expect(await screen.findByText('No line can be taken in.')).toBeTruthy();
  expect(screen.queryByRole('button', { name: /^Take/ })).toBeNull();
});

test.each([
  [
    'a refusal',
    { ok: false, problems: [{ message: 'The first line is no heading.' }] },
    'The first line is no heading.',
  ],
  ['an answer that broke off', undefined, NO_ANSWER],
])('%s is told, and the file may be chosen again', async (_what, answer, message) => {
  answers(answer);
  await choose();
  expect((await screen.findByRole('alert')).textContent).toBe(message);
  expect(screen.getByLabelText<HTMLInputElement>('List of types').disabled).toBe(false);
});

test('it tells how far it is, and stops when it is told to', async () => {
  const later = answerLater<object | undefined>();
  jest.mocked(sendLong).mockImplementationOnce((_url, _file, { share, signal }) => {
    signal.addEventListener('abort', () => later.settle(undefined));
    share(0.4);
    return later.promise as Promise<undefined>;
  });
  const { user } = await choose();
  const progress = await screen.findByRole<HTMLProgressElement>('progressbar', { name: 'Reading the file …' });
  expect(progress.value).toBe(0.4);
  await user.click(screen.getByRole('button', { name: 'Stop' }));
  await act(() => later.promise);
  expect((await screen.findByRole('alert')).textContent).toBe('You stopped it; nothing was written.');
  expect(screen.queryByRole('progressbar')).toBeNull();
});

test('what is put right goes with the next reading and with the taking in; what is pasted is read like a file', async () => {
  answers({ ok: true, preview: PREVIEW }, { ok: true, preview: PREVIEW }, { ok: true, preview: PREVIEW }, { ok: true });
  const { user } = mount(
    <ListImport<Preview>
      url="/stock/import"
      goto="/stock"
      fileLabel="List of lots"
      claimLabel="What the file would do"
      claim={({ added }) => `${added} new`}
      useful={({ added }) => added}
      useless="None."
      caution="A list is no measurement."
      taken={() => null}
      adjust={(_, again) => (
        <button type="button" onClick={() => again({ bin: 'C2', roles: 'kind,of volt' })}>
          again
        </button>
      )}
    >
      A table.
    </ListImport>,
  );
  await user.upload(screen.getByLabelText('List of lots'), FILE);
  await user.click(await screen.findByRole('button', { name: 'again' }));
  await user.type(await screen.findByLabelText('Rows pasted here'), 'kind;pieces');
  await user.click(screen.getByRole('button', { name: 'Read what is pasted' }));
  await user.click(await screen.findByRole('button', { name: 'Take 2 in' }));
  expect(sent()).toEqual([
    '/stock/import?mode=preview',
    '/stock/import?bin=C2&roles=kind%2Cof+volt&mode=preview',
    '/stock/import?mode=preview',
    '/stock/import?mode=apply',
  ]);
});
