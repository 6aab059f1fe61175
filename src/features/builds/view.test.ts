import { valueOf } from '../../services/command';
import { aShop, DONOR_CODE } from '../../db/testing/aShop';
import { shareContext } from '../../db/testing/sharedContext';
import { temporaryContext } from '../../db/testing/temporaryContext';
import { addNeed, moveParts, startBuild } from './commands';
import { buildLines, buildView } from './view.server';

type Fixture = Awaited<ReturnType<typeof temporaryContext>>;
let fixture: Fixture;
let code: string;

beforeEach(async () => {
  fixture = await temporaryContext();
  shareContext(fixture.app);
  await aShop(fixture.app, {
    lots: [
      { code: 'BIG-650', kind: 'nmos', marking: '12N65', bin: 'C1', ratings: { vds: [650, 'datasheet'] } },
      { code: 'FIT-150', kind: 'nmos', marking: '30N15', bin: 'C2', pieces: 2, ratings: { vds: [150, 'datasheet'] } },
      { code: 'DOUBT-1', kind: 'nmos', marking: '20N15', bin: 'C3', ratings: { vds: [150, 'decoded', 0.85] } },
      { code: 'NOTHING', kind: 'nmos', marking: 'X', bin: 'C4' },
      { code: 'LOW-060', kind: 'nmos', marking: '50N06', bin: 'C5', ratings: { vds: [60, 'datasheet'] } },
    ],
    onBoard: [{ code: 'L5', kind: 'inductor', ratings: { inductance: [100e-6, 'decoded'] } }],
  });
  ({ code } = valueOf(await startBuild(fixture.app, { title: 'lamp', note: '' })));
});
afterEach(() => fixture.dispose());

async function need(role: string, filter: string, quantity = 1) {
  return valueOf(await addNeed(fixture.app, code, { role, filter, quantity })).needId;
}
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value).replaceAll('\u00a0', ' ')) as T;
const view = async () => plain(await buildView(fixture.app, code));

test('matches come tightest first, then what fits on paper, then what is not known; what fails is left out', async () => {
  await need('switch', 'nmos vds>=100');
  const [only] = (await view())?.needs ?? [];
  expect(only?.matches.map(({ lot, word, margin }) => [lot, word, margin])).toEqual([
    ['FIT-150', 'fits', '1.5×'],
    ['BIG-650', 'fits', '6.5×'],
    ['DOUBT-1', 'with a limit', '0.8×'],
    ['NOTHING', 'not known', ''],
  ]);
  expect(only?.message).toBe('N-FET, at least 100 V');
  expect(only?.matches[2]?.checks[0]).toContain('use it up to 75 V until a datasheet is read');
});

test('what is set aside elsewhere is not offered, and a filled need asks for no more', async () => {
  const needId = await need('switch', 'nmos vds>=100', 2);
  const portion = { lotCode: 'FIT-150', needId, quantity: 2 };
  await moveParts(fixture.app, { step: 'reserve', ...portion });
  expect((await view())?.needs[0]).toMatchObject({
    open: 0,
    matches: [],
    allocations: [{ lot: 'FIT-150', reserved: 2, used: 0 }],
  });
  expect((await buildLines(fixture.app, 5))[0]).toMatchObject({
    message: 'all set aside, ready to build',
    ready: true,
  });
  await moveParts(fixture.app, { step: 'use', ...portion });
  expect((await view())?.needs[0]).toMatchObject({ open: 0, allocations: [{ reserved: 0, used: 2 }] });
  expect((await buildLines(fixture.app, 5))[0]).toMatchObject({ message: 'built' });

  const { code: other } = valueOf(await startBuild(fixture.app, { title: 'jig', note: '' }));
  await addNeed(fixture.app, other, { role: 'switch', filter: 'nmos vds>=100', quantity: 1 });
  expect((await buildView(fixture.app, other))?.needs[0]?.matches.map(({ lot: free }) => free)).not.toContain(
    'FIT-150',
  );
});

test.each`
  filter                   | message           | hint                                               | why
  ${'nmos vds>=100'}       | ${'lacks 1 part'} | ${'FIT-150 in C2 fits'}                            | ${'a lot fits'}
  ${'choke l~100u'}        | ${'lacks 1 part'} | ${`${DONOR_CODE} holds L5`}                        | ${'it sits on a board'}
  ${'nmos vds>=100 rds<1'} | ${'lacks 1 part'} | ${'FIT-150 in C2 may fit: not all of it is known'} | ${'nobody knows its resistance'}
  ${'nmos 20n15 vds>=100'} | ${'lacks 1 part'} | ${'DOUBT-1 in C3 fits with a limit'}               | ${'on paper'}
  ${'igbt vces>=1200'}     | ${'lacks 1 part'} | ${'nothing in sight'}                              | ${'nowhere'}
`('a build waits: $hint ($why)', async ({ filter, message, hint }) => {
  await need('part', filter);
  expect((await buildLines(fixture.app, 5))[0]).toMatchObject({ title: 'lamp', message, hint, ready: false });
});

test('a build without needs says so, and one that is not there is none', async () => {
  expect((await buildLines(fixture.app, 5))[0]).toMatchObject({ message: 'no needs written down' });
  expect(await buildView(fixture.app, 'ZZZ-ZZZ')).toBeUndefined();
});
