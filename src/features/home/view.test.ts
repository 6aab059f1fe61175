import { shareContext } from '../../db/testing/sharedContext';
import { temporaryContext } from '../../db/testing/temporaryContext';
import { aShop, DONOR_CODE } from '../../db/testing/aShop';
import { registerDonor } from '../donor/intake/commands';
import { donorForm } from '../donor/intake/schema';
import { addSample } from '../donor/sample/commands';
import { unplugThePowered } from '../donor/shared/commands';
import { recordLine } from '../donor/shared/recordLine';
import { valueOf } from '../../services/command';
import { benchView } from './view.server';

let fixture: Awaited<ReturnType<typeof temporaryContext>>;
beforeEach(async () => shareContext((fixture = await temporaryContext()).app));
afterEach(() => fixture.dispose());

const bench = () => benchView(fixture.app);
const aUnit = async (nameplate = '') =>
  valueOf(await registerDonor(fixture.app, donorForm.parse({ description: 'adapter', nameplate }))).code;
async function type(code: string, ...lines: string[]) {
  for (const line of lines) {
    const outcome = await recordLine(fixture.app, { code, station: 'make-safe', line });
    if (!outcome.ok) throw new Error(`${line}: ${outcome.problems.map(({ message }) => message).join(' ')}`);
  }
}

test('an empty shop: nothing of anything, and the first steps lead to the first unit', async () => {
  const { donors, issues, subtitle, sample, path, live } = await bench();
  expect([donors.total, issues, sample, live]).toEqual([0, [], null, []]);
  expect(subtitle).toBe('0 units, 0 lots in 0 bins');
  expect(path?.map(({ isDone, href }) => [isDone, href])).toEqual(Array(4).fill([false, '/donors/new']));
});

test('the first steps are ticked by doing them, and go when all are done', async () => {
  const ticks = async () => (await bench()).path?.map(({ isDone }) => isDone);
  const code = await aUnit();
  expect(await ticks()).toEqual([false, false, false, false]);
  expect((await bench()).path?.[3]?.href).toBe(`/donors/${code}/trace`);
  await type(code, 'store c3 82u 400V', 'c3 0.4V @ 60s');
  expect(await ticks()).toEqual([false, true, false, false]);
  await type(code, 'q1 nmos 12N65', 'q1.s - c3.-');
  expect(await ticks()).toEqual([false, true, true, true]);
  expect((await bench()).path).not.toBeNull();
});

test('the made-up unit is named, and does not count as one’s own first', async () => {
  const { code } = valueOf(await addSample(fixture.app));
  const { sample, path } = await bench();
  expect(sample).toBe(code);
  expect(path?.every(({ isDone }) => !isDone)).toBe(true);
});

test('what is plugged in comes before what may still be charged', async () => {
  const charged = await aUnit('INPUT 100-240V~ OUTPUT 24V 2.5A');
  await type(charged, 'store c3 82u 400V', 'c3 212V @ 10s');
  const powered = await aUnit('INPUT 100-240V~ OUTPUT 12V 1A');
  await type(powered, 'store c1 22u 400V', 'power on');
  const again = await aUnit('INPUT 100-240V~ OUTPUT 5V 1A');
  await type(again, 'store c1 22u 400V', 'c1 180V @ 10s');
  const { live } = await bench();
  expect(live.map(({ code }) => code)[0]).toBe(powered);
  expect(new Set(live.map(({ code }) => code))).toEqual(new Set([charged, powered, again]));
});

test('questions and claims of all units stand with where they lead', async () => {
  const code = await aUnit();
  await type(code, 'q1 nmos 12N65', '? what is under the glue', 'claim q1 was changed before');
  const { issues } = await bench();
  expect(issues.map(({ text, sign, href }) => [text, sign, href])).toEqual([
    ['what is under the glue', 'asked', `/donors/${code}/record`],
    ['Q1: was changed before', 'claimed', `/donors/${code}/identify?part=Q1`],
  ]);
});

test('the shop is counted: units, lots and bins', async () => {
  await aShop(fixture.app, {
    lots: [
      { code: 'FIT-150', kind: 'nmos', marking: '30N15', bin: 'C1' },
      { code: 'FIT-200', kind: 'nmos', marking: '30N20', bin: 'C2' },
    ],
  });
  const { subtitle, donors } = await bench();
  expect(subtitle).toBe('1 unit, 2 lots in 2 bins');
  expect(donors.lines.map(({ code }) => code)).toEqual([DONOR_CODE]);
});

test('“unplugged” without a unit is said of the one that has power on', async () => {
  expect((await unplugThePowered(fixture.app)).ok).toBe(false);
  const one = await aUnit();
  await type(one, 'power on');
  expect(await unplugThePowered(fixture.app)).toMatchObject({ ok: true });
  expect((await bench()).donors.lines.some(({ isPowered }) => isPowered)).toBe(false);
  const other = await aUnit();
  await type(one, 'power on');
  await type(other, 'power on');
  const asked = await unplugThePowered(fixture.app);
  expect(!asked.ok && asked.problems[0]?.message).toMatch(new RegExp(`Several units.*${one}`));
});
