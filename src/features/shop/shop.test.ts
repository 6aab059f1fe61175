import { connect } from 'node:net';
import { readSettings } from '../../db/repositories/settings';
import { shareContext } from '../../db/testing/sharedContext';
import { temporaryContext } from '../../db/testing/temporaryContext';
import { startSimulatedMeter, type SimulatedMeter } from '../../server/meter/simulatedMeter';
import { closeMeters } from '../../server/meter';
import { settings } from '../../db/schema';
import { blamed, formOf } from '../../ui/form/testing/forms';
import { askMeterAction, checkMeterAction, keepSettingsAction } from './actions';
import { meterForm } from './schema';
import { removeMeter, keepMeter } from './commands';
import { questionIn, readingEvents, readingFor } from './meterRoute.server';
import { loadMeterLabel } from './pages.server';
import { metersView, settingsView } from './view.server';

type Fixture = Awaited<ReturnType<typeof temporaryContext>>;
let fixture: Fixture;
let meter: SimulatedMeter;
let address: string;

beforeEach(async () => {
  fixture = await temporaryContext();
  shareContext(fixture.app);
  meter = await startSimulatedMeter({ port: 0, gaussian: () => 0 });
  address = `127.0.0.1:${meter.port}`;
});
afterEach(async () => {
  closeMeters();
  await meter.close();
  fixture.dispose();
});

const keep = (fields: Record<string, string>) =>
  keepSettingsAction(formOf({ touchLimit: '60', mains: '230', ...fields }));

test('settings are as shipped until they are changed, and what makes no sense counts as not changed', async () => {
  expect(await settingsView(fixture.app)).toMatchObject({
    touchLimit: 60,
    mains: 230,
    meterAddress: '',
    weights: { symptom: 3 },
  });
  await fixture.app.db.write(async (tx) => {
    await tx.insert(settings).values([
      { name: 'touchLimit', value: 400 },
      { name: 'mains', value: 400 },
      { name: 'weights', value: { symptom: 99, yield: 4, effort: 'much' } },
      { name: 'meterAddress', value: 7 },
      { name: 'meters', value: ['a', { name: 3 }] },
    ]);
  });
  expect(await readSettings(fixture.app.db.read)).toEqual({
    touchLimit: 60,
    mains: 230,
    meterAddress: '',
    meters: [],
    ownWords: [],
    weights: { symptom: 3, hazard: 2, yield: 4, needs: 2, effort: 1 },
  });
});

test.each`
  fields                                | blames
  ${{ meterAddress: '10.0.0.7:5025' }}  | ${[]}
  ${{ meterAddress: 'bench-meter:55' }} | ${[]}
  ${{ meterAddress: '[::1]:5025' }}     | ${[]}
  ${{ meterAddress: '' }}               | ${[]}
  ${{ meterAddress: 'bench-meter' }}    | ${['meterAddress']}
  ${{ meterAddress: 'http://a:5025/' }} | ${['meterAddress']}
  ${{ meterAddress: 'a:5025;b' }}       | ${['meterAddress']}
  ${{ touchLimit: '400' }}              | ${['touchLimit']}
  ${{ mains: '400' }}                   | ${['mains']}
`('settings $fields blame $blames', async ({ fields, blames }) => {
  const outcome = await keep(fields);
  expect(outcome.ok ? [] : blamed(outcome)).toEqual(blames);
});

test('the meter says who it is, or what is wrong with it', async () => {
  const problem = async () => {
    const outcome = await askMeterAction();
    return outcome.ok ? outcome.message : outcome.problems[0]?.message;
  };
  expect(await problem()).toMatch(/^No meter is set/);
  await keep({ meterAddress: address });
  expect(await loadMeterLabel()).toBe(address);
  expect(await problem()).toBe('Skerry Instruments, Bench meter (simulated), the stand-in that ships.');
  await meter.close();
  await keep({ meterAddress: address });
  expect(await problem()).toMatch(new RegExp(`^Nothing answers at ${address}`));
});

describe('readings for a page', () => {
  beforeEach(() => keep({ meterAddress: address }));

  test.each`
    search                               | question
    ${'wants=volt&point=VK-2402 C3'}     | ${{ wants: 'volt', point: 'VK-2402 C3' }}
    ${'wants=diode'}                     | ${{ wants: 'diode', point: '' }}
    ${'wants=ohm&point=A/1 C3.%2B Q1.D'} | ${{ wants: 'ohm', point: 'A/1 C3.+ Q1.D' }}
    ${'wants=ohm&point=A/1 C3.- Q1.~'}   | ${{ wants: 'ohm', point: 'A/1 C3.- Q1.~' }}
    ${'wants=furlongs'}                  | ${undefined}
    ${'point=C3'}                        | ${undefined}
    ${'wants=volt&point=C3"%0ASIM:X'}    | ${undefined}
  `('the question “$search”', ({ search, question }) => {
    expect(questionIn(new URLSearchParams(search))).toEqual(question);
  });

  test('a part reads its value; open leads are over range, and leads on no demo unit read nothing', async () => {
    const ohms = await readingFor({ wants: 'ohm', point: 'VK-2402 R12' });
    expect(ohms.ok && ohms.reading.value).toBeCloseTo(4701, -1);
    expect(await readingFor({ wants: 'farad', point: 'VK-2402 C99' })).toMatchObject({
      ok: true,
      reading: { value: null },
    });
    expect(await readingFor({ wants: 'volt', point: 'nowhere C1' })).toMatchObject({
      ok: false,
      message: expect.stringMatching(/simulated meter has no leads on this/),
    });
  });

  test('events come until nobody listens, and end with the failure when the meter goes', async () => {
    const stop = new AbortController();
    const reader = readingEvents({ wants: 'volt', point: 'VK-2402 C3' }, stop.signal).getReader();
    const next = async () => {
      const { value, done } = await reader.read();
      return done ? 'the end' : new TextDecoder().decode(value);
    };
    const first = await next();
    expect(JSON.parse(first.replace('data: ', ''))).toMatchObject({ ok: true });
    await new Promise<void>((resolve) => {
      const line = connect(meter.port, '127.0.0.1', () => line.end('SIM:FAULT drop\n'));
      line.on('close', () => resolve());
      line.resume();
    });
    let last = await next();
    while (last.includes('"ok":true')) last = await next();
    expect(last).toContain('The meter has gone');
    expect(await next()).toBe('the end');
  });
});

test('a meter is kept with what its sheet says, replaced by one of its name, and deleted', async () => {
  const parse = (fields: Record<string, string>) => meterForm.parse({ name: 'blue tester', ...fields });
  await keepMeter(fixture.app, parse({ esr: '5 % + 0 + 0.02', ohm: '' }));
  await keepMeter(fixture.app, parse({ esr: '2 % + 0 + 0.01' }));
  const { meters, quantities } = await metersView(fixture.app);
  expect(meters).toEqual([{ name: 'blue tester', message: 'ESR 2 % + 0 + 0.01' }]);
  expect(quantities.find(({ name }) => name === 'esr')?.usual).toBe('10 % + 3 + 0.005');
  expect(meterForm.safeParse({ name: 'x', ohm: 'good' }).error?.issues[0]).toMatchObject({
    path: ['ohm'],
    message: expect.stringContaining('“good”'),
  });
  await removeMeter(fixture.app, 'blue tester');
  expect((await metersView(fixture.app)).meters).toEqual([]);
});

test('two known parts tell how well a meter reads; what is known of it besides stays', async () => {
  const check = (more: Record<string, string> = {}) =>
    checkMeterAction(
      formOf({
        name: 'my ESR tester',
        quantity: 'esr',
        'known[0]': '0R1 1%',
        'reads[0]': '0R112',
        'known[1]': '1R',
        'reads[1]': '1R03',
        ...more,
      }),
    );
  await keepMeter(fixture.app, meterForm.parse({ name: 'my ESR tester', ohm: '1 % + 2' }));
  expect(await check()).toMatchObject({ ok: true });
  const [kept] = (await readSettings(fixture.app.db.read)).meters;
  expect(kept?.accuracies.ohm).toEqual({ share: 0.01, digits: 2 });
  expect(kept?.accuracies.esr).toMatchObject({ digits: 1 });
  expect(blamed(await check({ 'known[1]': '0R15' }))).toEqual(['known[1]']);
  expect(blamed(await check({ 'reads[0]': 'a bit' }))).toEqual(['reads[0]']);
});
