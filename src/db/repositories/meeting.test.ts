import { donors, parts } from '../schema';
import { edited } from '../testing/edited';
import { temporaryContext } from '../testing/temporaryContext';
import { MetOthers, type Edit } from './journal';
import { seenAs } from './meeting';
import { recordPartRatings } from './ratings';
import { undoEdit } from './undo';

let fixture: Awaited<ReturnType<typeof temporaryContext>>;
beforeEach(async () => {
  fixture = await temporaryContext();
  await fixture.app.db.write(async (tx) => {
    await tx.insert(donors).values({ id: 'd1', code: 'K7F-2QM', description: 'adapter', createdMs: 0 });
    const row = { donorId: 'd1', kind: 'resistor' as const, damage: [], state: 'on-board' as const, createdMs: 0 };
    await tx.insert(parts).values({ id: 'p1', ref: 'R1', ...row, package: 'axial', marking: 'old' });
  });
});
afterEach(() => fixture.dispose());

const OF = { donorId: 'd1', station: 'identify' } as const;
const work = (patch: Record<string, string | null>) => async (edit: Edit) => {
  await edit.update('parts', 'p1', patch);
  return 'saved';
};
/** Someone else’s step, and one of a form whose page was read at a moment. */
const others = (patch: Record<string, string | null>) => edited(fixture.app, OF, work(patch));
const fromForm = (
  readMs: number,
  patch: Record<string, string | null>,
  more: { own?: readonly string[]; answers?: Readonly<Record<string, string>> } = {},
) => {
  const form = { readMs, own: more.own ?? [], answers: new Map(Object.entries(more.answers ?? {})) };
  return edited({ ...fixture.app, form }, OF, work(patch));
};
const row = async () => {
  const [found] = await fixture.app.db.read.select().from(parts);
  return [found?.marking, found?.package];
};
const MARKING = 'parts.p1.marking';

test.each([
  { they: {}, I: { marking: 'mine' }, stands: ['mine', 'axial'] },
  // What I left as it was stays as they made it; what only I changed is saved.
  { they: { marking: 'theirs' }, I: { marking: 'old', package: 'SMD' }, stands: ['theirs', 'SMD'] },
  { they: { marking: 'theirs' }, I: { marking: 'theirs' }, stands: ['theirs', 'axial'] },
  { they: { package: 'DIP' }, I: { marking: 'mine', package: 'axial' }, stands: ['mine', 'DIP'] },
  {
    they: { marking: 'theirs' },
    I: { marking: 'mine', package: 'SMD' },
    asks: ['marking'],
    stands: ['theirs', 'axial'],
  },
  {
    they: { marking: 'theirs', package: 'DIP' },
    I: { marking: 'mine', package: 'SMD' },
    asks: ['marking', 'package'],
    stands: ['theirs', 'DIP'],
  },
  { they: { marking: 'theirs' }, I: { marking: 'mine' }, answer: 'mine', stands: ['mine', 'axial'] },
  { they: { marking: 'theirs' }, I: { marking: 'mine', package: 'SMD' }, answer: 'theirs', stands: ['theirs', 'SMD'] },
] as { they: object; I: object; answer?: string; asks?: string[]; stands: string[] }[])(
  'they save $they, I save $I, answering $answer: $stands',
  async ({ they, I, asks, answer, stands }) => {
    const readMs = fixture.app.now();
    if (Object.keys(they).length > 0) await others(they as never);
    const answers = answer ? { [MARKING]: `${answer}:${seenAs('theirs')}` } : {};
    const saved = fromForm(readMs, I as never, { answers });
    if (asks) {
      const refused = await saved.catch((error: unknown) => error);
      expect(refused).toBeInstanceOf(MetOthers);
      expect((refused as MetOthers).met.map(({ field }) => field)).toEqual(asks);
    } else await saved;
    expect(await row()).toEqual(stands);
  },
);

test('an answer counts for what was shown: what was changed once more is asked again', async () => {
  const readMs = fixture.app.now();
  await others({ marking: 'theirs' });
  await others({ marking: 'theirs too' });
  const answers = { [MARKING]: `mine:${seenAs('theirs')}` };
  await expect(fromForm(readMs, { marking: 'mine' }, { answers })).rejects.toBeInstanceOf(MetOthers);
  expect(await row()).toEqual(['theirs too', 'axial']);
});

test('what was changed before the page was read, what was taken back, and the form’s own steps are no others', async () => {
  await others({ marking: 'before' });
  const readMs = fixture.app.now();
  const { journalId } = await others({ marking: 'slip' });
  await undoEdit(fixture.app, journalId);
  const own = await fromForm(readMs, { marking: 'mine' });
  await fromForm(readMs, { marking: 'mine again' }, { own: [own.journalId] });
  expect(await row()).toEqual(['mine again', 'axial']);
});

test('what another window took back since counts as changed', async () => {
  const { journalId } = await others({ marking: 'theirs' });
  const readMs = fixture.app.now();
  await undoEdit(fixture.app, journalId);
  // The form still shows “theirs” and leaves it.
  await fromForm(readMs, { marking: 'theirs', package: 'SMD' });
  expect(await row()).toEqual(['old', 'SMD']);
});

test('a rating that another window recorded since is asked about', async () => {
  const rate = (value: number) => async (edit: Edit) => {
    await recordPartRatings(edit, 'p1', [{ name: 'resistance', value, source: 'typed' }]);
    return 'rated';
  };
  const readMs = fixture.app.now();
  await edited(fixture.app, OF, rate(4700));
  const form = { readMs, own: [], answers: new Map<string, string>() };
  const asked = await edited({ ...fixture.app, form }, OF, rate(470)).catch((error: unknown) => error);
  expect((asked as MetOthers).met).toMatchObject([{ field: 'resistance', theirs: 4700, mine: 470 }]);
  await edited({ ...fixture.app, form }, OF, rate(4700));
});
