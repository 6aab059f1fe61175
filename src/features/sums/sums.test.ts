import { sumById } from '../../core/sums';
import { refused, undoStep, valueOf } from '../../services/command';
import { temporaryContext } from '../../db/testing/temporaryContext';
import { startBuild } from '../builds/commands';
import { registerDonor } from '../donor/intake/commands';
import { donorForm } from '../donor/intake/schema';
import { recordLine } from '../donor/shared/recordLine';
import { queryOf, readAsked } from './address';
import { dropSum, keepSum } from './commands';
import { filledFrom, keptSumViews, originOf } from './view.server';

type Fixture = Awaited<ReturnType<typeof temporaryContext>>;
let fixture: Fixture;
let code: string;

beforeEach(async () => {
  fixture = await temporaryContext();
  const form = donorForm.parse({
    description: 'adapter',
    nameplate: 'INPUT 230V~ 1A OUTPUT 24V 2.5A',
    symptom: 'dead',
  });
  code = valueOf(await registerDonor(fixture.app, form)).code;
});
afterEach(() => fixture.dispose());

const say = async (line: string) =>
  expect(await recordLine(fixture.app, { code, station: 'identify', line })).toMatchObject({ ok: true });
async function kept(from = code) {
  const owner = (await originOf(fixture.app.db.read, from))?.owner;
  if (!owner) throw new Error(`Nothing is kept with ${from}.`);
  return keptSumViews(fixture.app, owner, from);
}

test('a sum opened from a part takes its values, is kept with it, and follows them', async () => {
  await say('c3 150u 400V');
  const sum = sumById('charge');
  const origin = await originOf(fixture.app.db.read, `${code}/c3`);
  if (!sum || !origin) throw new Error('C3 is not found.');
  const typed = filledFrom(sum, origin);
  expect(typed).toEqual({ c: '150u', v: '400V' });
  expect(await keepSum(fixture.app, { from: origin.from, sum: 'charge', typed })).toMatchObject({ ok: true });
  const [first] = await kept();
  expect(first).toMatchObject({ title: 'What a capacitor still holds', ref: 'C3', mark: 'danger' });
  expect(first?.answer).toMatch(/^12\s?J/);
  expect(first).not.toHaveProperty('was');
  expect(first?.href).toContain(`from=${encodeURIComponent(`${code}/C3`)}`);
  // The part is found to be another: the sum is worked out anew, and says what it was.
  await say('c3 220u');
  const [later] = await kept();
  expect(later?.answer).toMatch(/^17\.6\s?J/);
  expect(later?.was).toMatch(/^12\s?J/);
});

test('a sum opened from a donor takes its nameplate', async () => {
  const origin = await originOf(fixture.app.db.read, code);
  const filled = (id: string) => origin && filledFrom(sumById(id)!, origin);
  expect(filled('fuse')).toEqual({ p: '60W', v: '230V' });
  expect(filled('converter')).toEqual({ vout: '24V', iout: '2.5A' });
  expect(filled('nameplate')).toEqual({ plate: 'INPUT 230V~ 1A OUTPUT 24V 2.5A' });
});

test('what was typed over a value of the part stays as it was typed', async () => {
  await say('c3 150u 400V');
  await keepSum(fixture.app, { from: `${code}/C3`, sum: 'charge', typed: { c: '150u', v: '325V' } });
  await say('c3 150u 450V');
  expect((await kept())[0]?.answer).toMatch(/^7\.92\s?J/);
});

test('keeping is undone, and a sum is taken away', async () => {
  const done = await keepSum(fixture.app, { from: code, sum: 'fan', typed: {} });
  expect(await kept()).toHaveLength(1);
  await undoStep(fixture.app, (done.ok && done.undo) || '');
  expect(await kept()).toEqual([]);
  await keepSum(fixture.app, { from: code, sum: 'fan', typed: {} });
  expect(await dropSum(fixture.app, { code, id: (await kept())[0]?.id ?? '' })).toMatchObject({ ok: true });
  expect(await kept()).toEqual([]);
});

test('a build keeps sums as well', async () => {
  const build = valueOf(await startBuild(fixture.app, { title: 'lamp', note: '' })).code;
  expect(await keepSum(fixture.app, { from: build, sum: 'led', typed: { v: '12V', count: '3' } })).toMatchObject({
    ok: true,
  });
  expect((await kept(build))[0]?.answer).toMatch(/135\s?Ω/);
});

test.each([
  ['what cannot be worked out is refused with its name', { sum: 'led', typed: { count: '99' } }, 'sum-not-worked'],
  ['a sum that is none', { sum: 'none', typed: {} }, 'row-gone'],
])('%s', async (_, of, problem) => {
  expect(await keepSum(fixture.app, { from: code, ...of })).toMatchObject(refused({ code: problem } as never));
});

test('a code that is none, or a part that is not there, is no origin', async () => {
  for (const from of ['', 'nonsense', 'AAA-AAA', `${code}/Q9`])
    expect(await originOf(fixture.app.db.read, from)).toBeUndefined();
  expect(await keepSum(fixture.app, { from: 'AAA-AAA', sum: 'fan', typed: {} })).toMatchObject({ ok: false });
});

test.each([
  [{ texts: {} }, ''],
  [{ texts: { alone: '5M' } }, 'alone=5M'],
  [{ texts: { alone: '4M4' } }, ''],
  [{ texts: { alone: '5M' }, beside: { alone: '6M' } }, 'alone=5M&b.alone=6M'],
  [{ texts: {}, beside: {} }, 'b.alone=4M4'],
])('what is typed stands in the address and is read back: %j', (asked, query) => {
  const sum = sumById('snubber')!;
  expect(queryOf(sum, asked).toString()).toBe(query);
  const read = readAsked(sum, new URLSearchParams(query));
  expect(queryOf(sum, read).toString()).toBe(query);
});
