import { dossierOf } from '../../../services/dossier/testing/dossierOf';
import { valueOf } from '../../../services/command';
import { shareContext } from '../../../db/testing/sharedContext';
import { temporaryContext } from '../../../db/testing/temporaryContext';
import { keepSetting } from '../../../db/testing/edited';
import { aShop } from '../../../db/testing/aShop';
import { donorForm } from '../intake/schema';
import { storeForm } from './schema';
import { registerDonor } from '../intake/commands';
import { recordLine } from '../shared/recordLine';
import { addStore, correctStore, listPartAsStore } from './commands';
import { loadDonor } from '../shared/load.server';
import { safetyView } from './view.server';

type Fixture = Awaited<ReturnType<typeof temporaryContext>>;
let fixture: Fixture;
let code: string;

beforeEach(async () => {
  fixture = await temporaryContext();
  shareContext(fixture.app);
  code = await aUnit('INPUT 100-240V~ 1.5A OUTPUT 24V 2.5A');
});
afterEach(() => fixture.dispose());

async function aUnit(nameplate: string) {
  return valueOf(await registerDonor(fixture.app, donorForm.parse({ description: 'adapter', nameplate }))).code;
}

async function type(...lines: string[]) {
  for (const line of lines) {
    const outcome = await recordLine(fixture.app, { code, station: 'make-safe', line });
    if (!outcome.ok) throw new Error(outcome.problems.map(({ message }) => message).join(' '));
  }
}

async function view(store?: string, app = fixture.app) {
  const plain = JSON.stringify(await safetyView(await dossierOf(app, code), store)).replaceAll('\u00a0', ' ');
  return JSON.parse(plain) as Awaited<ReturnType<typeof safetyView>>;
}

test('with nothing listed it is assumed to bite', async () => {
  expect(await view()).toMatchObject({
    claim: { stop: true, text: expect.stringContaining('Assume that it can') },
    cards: [],
  });
});

describe('one store, reading by reading', () => {
  // 82 uF and up to 20 % more at 373 V, the peak of 264 V: 98.4 uF × 373² / 2 = 6.9 J.
  test('never read: what it may hold, and that in words', async () => {
    await type('store c3 82u 400V bleed 470k');
    const { claim, hazard, cards, next, tool } = await view();
    expect(claim).toEqual({ stop: true, text: 'Assume yes. C3 was never read and may hold 373 V' });
    expect(hazard).toMatchObject({
      weight: 'danger',
      text: expect.stringMatching(/373 V, 6\.9 J and 37 mC: injures by shock/),
    });
    expect(cards[0]?.facts).toEqual([
      { label: 'may hold', value: '373 V' },
      { label: 'energy up to', value: '6.9 J' },
      { label: 'bleed path', value: '470 kΩ' },
      { label: 'last reading', value: 'never read' },
    ]);
    expect(next).toContain('c3 212V @ 15s');
    expect(tool?.message).toContain('Never short it');
  });

  // V = 318.2·e^(−t/38.54 s) at 470 kΩ × 82 uF; ln(318.2/60)·38.5 = 64.3 s.
  test('falling: the time constant with its bounds, the capacitance it means, and when to look again', async () => {
    await type(
      'store c3 82u 400V bleed 470k',
      'c3 318.2V @ 0s',
      'c3 233.1V @ 12s',
      'c3 170.8V @ 24s',
      'c3 112.7V @ 40s',
    );
    const { claim, message, selected } = await view();
    expect(claim.text).toMatch(/^Yes\. C3 had 113 V at the last reading, under 60 V at about 65 s$/);
    expect(message[0]).toMatch(/^Time constant 38\.\d s, between 38\.\d s and 38\.\d s \(95 %\)\.$/);
    expect(message[1]).toBe('470 kΩ bleeds it, as traced.');
    // 38.5 s through 470 kΩ beside the meter's 10 MΩ, 449 kΩ: 86 µF by hand.
    expect(message[2]).toBe('Through 470 kΩ and the meter that is 86 µF; 82 µF is printed.');
    expect(selected?.chart?.crossing?.time).toBeCloseTo(64.3, 0);
    expect(selected?.chart?.curve.every(({ low, volts, high }) => low <= volts && volts <= high)).toBe(true);
    expect(selected?.readings.map(({ time }) => time)).toEqual(['0 s', '12 s', '24 s', '40 s']);
  });

  test.each`
    lines                                                                                                                | message                      | why
    ${['c3 300V @ 0s', 'c3 245V @ 10s']}                                                                                 | ${/needs three/}             | ${'two readings make no fit'}
    ${['c3 200V @ 0s', 'c3 210V @ 10s', 'c3 220V @ 20s']}                                                                | ${/still plugged in/}        | ${'it rises'}
    ${['c3 300V @ 0s', 'c3 120V @ 5s', 'c3 71V @ 10s', 'c3 66V @ 15s', 'c3 65V @ 20s', 'c3 65V @ 25s']}                  | ${/stays near 65 V/}         | ${'the bleed opens on the way down'}
    ${['c3 300.0V @ 0s', 'c3 280.0V @ 10s', 'c3 260.0V @ 20s', 'c3 240.0V @ 30s', 'c3 220.0V @ 40s', 'c3 160.0V @ 70s']} | ${/constant current/}        | ${'a straight line'}
    ${['c3 300.0V @ 0s', 'c3 264.6V @ 10s', 'c3 223.6V @ 20s', 'c3 173.2V @ 30s', 'c3 100.0V @ 40s']}                    | ${/converter still running/} | ${'V² falls in a straight line'}
  `('a discharge that is none gives no time ($why)', async ({ lines, message }) => {
    await type('store c3 82u 400V bleed 470k', ...(lines as string[]));
    const seen = await view();
    expect(seen.message.join(' ')).toMatch(message as RegExp);
    expect(seen.claim.text).not.toContain('under 60 V');
    expect(seen.claim.stop).toBe(true);
    expect(seen.selected?.chart?.crossing).toBeNull();
  });

  test('a low reading makes it measured dead; a second one five minutes later says that it did not recover', async () => {
    await type('store c3 82u 400V', 'c3 318V @ 0s', 'c3 0.4V');
    const first = await view();
    expect(first.claim).toEqual({ stop: false, text: 'C3 is measured dead: 400 mV at the last reading' });
    expect(first.next).toMatch(/Read C3 again in 5 min.*recover by 3\.18 V to 31\.8 V/);
    expect(first.tool).toBeNull();
    const { app } = fixture;
    const later = { ...app, now: () => app.now() + 310_000 };
    await recordLine(later, { code, station: 'make-safe', line: 'c3 0.5V' });
    expect((await view()).next).toContain('Check the meter on a known source once more');
    await recordLine(later, { code, station: 'make-safe', line: 'meter checked before and after' });
    const second = await view();
    expect(second.claim.text).toBe('C3 is measured dead: 500 mV, and it did not recover');
    expect(second.hazard).toBeNull();
    expect(second.next).toContain('Every listed store is measured dead');
  });

  // 59.9 V on a meter of 0.5 % + 2 digits of 0.1 V may be 60.5 V: the safe side counts.
  test('a reading that the meter cannot tell from the limit is not dead', async () => {
    await type('store c3 82u 400V', 'c3 59.9V');
    expect((await view()).claim.stop).toBe(true);
    await type('c3 59.0V');
    expect((await view()).claim.stop).toBe(false);
  });
});

describe('a bleed tool', () => {
  test('readings with it on are fitted apart, and the advice stays one while it serves', async () => {
    await type('store c3 82u 400V', 'c3 318V @ 0s', 'c3 310V @ 15s', 'c3 302V @ 30s');
    const before = await view();
    expect(before.next).toMatch(/^Wait, or put a tool of .* across C3|^Put a tool of .* across C3/);
    const advised = /a ([\d.]+ k?Ω) tool/.exec(before.next)?.[1];
    await type('c3 120V @ 400s');
    expect(/a ([\d.]+ k?Ω) tool/.exec((await view()).next)?.[1]).toBe(advised);
    await type('tool on c3 22k');
    const on = await view();
    expect(on.next).toMatch(/^The tool of 22 kΩ is on C3\. Leave it on: under 5 V in/);
    expect(on.tool).toMatchObject({ on: 22e3, message: expect.stringMatching(/^22 kΩ is on it/) });
    // 82 µF through 22 kΩ: 1.80 s; worked by hand.
    await type('c3 100V @ 401s', 'c3 57.4V @ 402s', 'c3 32.9V @ 403s');
    const { selected, message } = await view();
    expect(selected?.readings.map(({ time }) => time)).toEqual(['401 s', '402 s', '403 s']);
    expect(selected?.readings[0]?.reading).toBe('100 V, tool on');
    expect(message.join(' ')).toMatch(/Time constant 1\.8.* s.*Through the tool of 22 kΩ that is 8\d µF/);
    await type('tool off c3');
    expect((await view()).tool?.on).toBeNull();
  });
});

describe('what the meter must stand', () => {
  test.each`
    store                          | rows
    ${'store c3 82u 400V'}         | ${[/^It may hold 373 V: meter and leads must be rated for at least 600 V, CAT III/]}
    ${'store c9 output 2200u 16V'} | ${[]}
    ${'store c1 pulse 100u 1.6kV'} | ${[/^It may hold 2\.26 kV: hand meters and their leads end at 1 kV.*Do not put one on it/]}
  `('$store, before the first reading', async ({ store, rows }) => {
    await type(store as string);
    const { meter } = await view();
    expect(meter).toHaveLength((rows as RegExp[]).length);
    for (const [index, row] of (rows as RegExp[]).entries()) expect(meter[index]?.text).toMatch(row);
  });

  test('a reading above what it stands is not believed, and nothing reads empty before it was checked', async () => {
    await type('store c1 pulse 1u 2kV', 'c1 1.9kV @ 0s');
    expect((await view()).meter.map(({ text }) => text).join(' ')).toMatch(
      /1\.9 kV is more than a hand meter measures/,
    );
    await type('c1 0.0V @ 60s');
    const doubtful = await view();
    expect(doubtful.claim).toEqual({
      stop: true,
      text: 'Assume yes. C1 reads 0 V, but the meter was put to more than it stands',
    });
    expect(doubtful.next).toMatch(/^Check the meter on a known source/);
    await type('meter checked', 'c1 0.0V @ 90s');
    expect((await view()).claim.stop).toBe(false);
  });

  test('an empty reading asks for the check of the meter, which takes the doubt away', async () => {
    await type('store c3 82u 400V', 'c3 0.02V @ 60s');
    expect((await view()).meter[0]?.text).toMatch(/^Leads on nothing and a dead meter read zero as well/);
    await type('checked the meter');
    expect(await view()).toMatchObject({ meter: [], meterCheck: expect.stringMatching(/\d\d:\d\d/) });
  });
});

test('a capacitor whose size cannot be read is listed, and counts as one that can kill', async () => {
  await type('c6 450V electrolytic');
  expect((await view()).offers).toEqual([{ ref: 'C6', message: 'mains reservoir, size not known 450 V' }]);
  const listed = await listPartAsStore(fixture.app, { code, ref: 'C6' });
  expect(listed.ok).toBe(true);
  await type('c6 318V @ 10s');
  expect(await view('c6')).toMatchObject({
    hazard: { weight: 'danger', text: expect.stringMatching(/size is not known: assume that it can kill/) },
    next: expect.stringMatching(/^Bleed C6 through a resistor.*nobody knows how long/),
    tool: null,
  });
});

test('a store is put right as it would be typed, and keeps its readings', async () => {
  await type('store c1 2 x 470u 200V series bleed 150k', 'c1 120V @ 10s', 'store c9 output 2200u 16V');
  const typed = (await view('c1')).selected?.typed;
  expect(typed).toMatchObject({ name: 'C1', capacitance: '2 x 470u 200V series', ratedVoltage: '400V', bleed: '150k' });
  const right = storeForm.parse({ ...typed, name: 'C1A', capacitance: '220u', bleed: '' });
  expect((await correctStore(fixture.app, { code, name: 'C1' }, right)).ok).toBe(true);
  const after = await view('c1a');
  expect(after.cards.map(({ name, size }) => [name, size])).toEqual([
    ['C1A', '220 µF, 400 V'],
    ['C9', '2.2 mF, 16 V'.replace('2.2 mF', '2200 µF')],
  ]);
  expect(after.selected?.readings).toHaveLength(1);
  expect((await correctStore(fixture.app, { code, name: 'C9' }, { ...right, name: 'C1A' })).ok).toBe(false);
  expect((await correctStore(fixture.app, { code, name: 'GONE' }, right)).ok).toBe(false);
});

test.each([
  [{ name: 'C9', capacitance: '?' }, true],
  [{ name: 'C9', capacitance: '' }, false],
  [{ name: 'BAT1', role: 'battery', capacitance: '' }, true],
])('the form takes %j: %s', (fields, isTaken) => {
  const parsed = storeForm.safeParse({
    role: '',
    ratedVoltage: '',
    bleed: '',
    holdSource: '',
    holdVoltage: '',
    ...fields,
  });
  expect(parsed.success).toBe(isTaken);
});

describe('several stores', () => {
  test('the one under the leads stays, then the one that is not dead comes first, unless another is asked for', async () => {
    await type('store cx1 220n 275V', 'store c3 82u 400V', 'cx1 0.2V');
    expect((await view()).selected?.name).toBe('CX1');
    const { app } = fixture;
    const seen = await view(undefined, { ...app, now: () => app.now() + 180_000 });
    expect(seen.selected?.name).toBe('C3');
    expect(seen.cards.map(({ name, role, dead }) => [name, role, dead])).toEqual([
      ['CX1', 'filter', true],
      ['C3', 'bulk', false],
    ]);
    const asked = await view('cx1');
    expect(asked.selected?.name).toBe('CX1');
    expect(asked.next).toBe('Go on with C3: not measured dead yet.');
  });

  test('a corrected rail is expected from 75 W, and a store of unknown voltage counts as the mains side', async () => {
    code = await aUnit('INPUT 100-240V~ 3A OUTPUT 12V 17A');
    await type('store c5 150u 450V', 'store c9 10u');
    const facts = (await view()).cards.map(({ facts: [first] }) => first?.value);
    expect(facts).toEqual(['400 V', '375 V']);
  });
});

describe('banks, sources and power', () => {
  test('a series string is told capacitor by capacitor, and one past its rating is named', async () => {
    await type('store c1 220u 200V in series with 470u 200V');
    const { string, cards } = await view();
    // 373 V over 220 µF and 470 µF: 254 V and 119 V, by hand.
    expect(cards[0]?.size).toBe('220u 200V in series with 470u 200V, 150 µF, 400 V');
    expect(string[0]).toMatch(/^Capacitor 1, 220 µF: 254 V, up to 285 V if it is small; that is above its rating\.$/);
    expect(string.at(-1)).toMatch(/read every one/);
  });

  test('what it may hold can be named', async () => {
    await addStore(
      fixture.app,
      code,
      storeForm.parse({ name: 'C7', capacitance: '1u', role: 'boosted', holdSource: 'user', holdVoltage: '620V' }),
    );
    await addStore(fixture.app, code, storeForm.parse({ name: 'C8', capacitance: '470u', holdSource: 'doubler' }));
    const holds = (await view()).cards.map(({ facts: [first] }) => first?.value);
    expect(holds).toEqual(['620 V', '187 V']);
    expect((await view()).cautions.map(({ name }) => name)).toContain('a pulse store');
  });

  test('a battery has no discharge to plan', async () => {
    await type('store bat1 battery 36V');
    const { tool, hazard, cautions } = await view();
    expect(tool).toBeNull();
    expect(hazard?.text).toMatch(/does not run down/);
    expect(cautions[0]?.name).toBe('a battery');
    await type('bat1 36.1V');
    const read = await view();
    expect(read.claim).toEqual({
      stop: false,
      text: 'BAT1 has 36.1 V, under the limit of touch; a battery is never dead',
    });
    expect(read.next).toMatch(/^Part BAT1 at its connector/);
  });

  test('power applied later undoes what was measured, everywhere, until it is off and read again', async () => {
    await type('store c3 82u 400V', 'c3 0.4V');
    expect((await view()).claim.stop).toBe(false);
    await type('power on');
    const on = await view();
    expect(on.claim).toMatchObject({ stop: true, text: expect.stringMatching(/^Yes\. Power is on since/) });
    expect(on.power.on).toBe(true);
    expect((await loadDonor(code))?.frame.live?.message).toBe('C3 not measured dead since power was on');
    await type('c3 0.3V');
    expect((await view()).claim.stop).toBe(true);
    await type('power off');
    expect((await view()).claim.text).toMatch(/after the last reading of C3/);
    await type('c3 0.3V');
    expect((await view()).claim).toMatchObject({ stop: false });
    expect((await loadDonor(code))?.frame.live).toBeNull();
  });

  test('a run under load counts as power applied', async () => {
    await type('store c3 82u 400V', 'c3 0.4V', 'soak 42W 31C 24.0V 1.5A');
    expect((await view()).claim.stop).toBe(true);
  });

  test('capacitors of the parts log are offered, and listed once', async () => {
    await type('c3 electrolytic 82u 400V', 'cx1 x2 220n 275V', 'c9 100n 50V', 'c21 electrolytic 2200u 25V', 'r1 4k7');
    const offers = () => view().then((seen) => seen.offers.map(({ ref, message }) => `${ref}: ${message}`));
    expect(await offers()).toEqual([
      'C3: mains reservoir, 82 µF 400 V',
      'CX1: X or Y filter, 220 nF 275 V',
      'C21: output bank, 2200 µF 25 V',
    ]);
    await listPartAsStore(fixture.app, { code, ref: 'C3' });
    expect((await view()).cards[0]).toMatchObject({ name: 'C3', role: 'bulk' });
    expect(await offers()).toHaveLength(2);
    expect(await listPartAsStore(fixture.app, { code, ref: 'R1' })).toMatchObject({ ok: false });
  });

  test('the lower touch limit of a careful shop holds at once, in the fit and in the lists', async () => {
    await type('store c3 82u 400V bleed 470k', 'c3 55.0V');
    expect((await view()).claim.stop).toBe(false);
    await keepSetting(fixture.app, 'touchLimit', 50);
    const seen = await view();
    expect(seen.claim.stop).toBe(true);
    expect(seen.tool?.touchLimit).toBe(50);
    expect((await loadDonor(code))?.frame.live?.message).toContain('C3');
  });

  test('a resistor of the drawers is looked at for the tool', async () => {
    const ratings = (resistance: number, power: number) => ({
      resistance: [resistance, 'decoded'] as const,
      power: [power, 'decoded'] as const,
    });
    await aShop(fixture.app, {
      lots: [
        { code: 'R0A-AAA', kind: 'resistor', bin: 'R1', ratings: ratings(2200, 5) },
        { code: 'R0B-BBB', kind: 'resistor', bin: 'R1', ratings: { resistance: [4700, 'decoded'] } },
      ],
    });
    await type('store c3 82u 400V');
    expect((await view()).tool?.stocked).toEqual([
      { lot: 'R0A-AAA', resistance: 2200, power: 5, message: '2.2 kΩ 5 W, bin R1' },
    ]);
  });
});

describe('what the size and the shape of a discharge add', () => {
  test('an X capacitor is held against what the standards ask of its bleeder', async () => {
    await type('store cx1 470n 275V bleed 10M', 'cx1 0.2V');
    // 373 V peak: 2 s to 60 V is 2.33 MΩ, the time-constant rule 2.13 MΩ, 1 s to 34 V 0.89 MΩ, by hand.
    const message = (await view()).message.join(' ');
    expect(message).toContain(
      '2.1 MΩ for time constant of 1 s (IEC 60950-1), 2.3 MΩ for 60 V within 2 s (IEC 62368-1)',
    );
    expect(message).toContain('The 10 MΩ traced is more than any of them allows.');
  });

  test('a converter that still runs: what it draws and when it stops', async () => {
    // 150 µF, V² falling by 9000 V² a second: 0.675 W; (212.1² − 80²)/9000 = 4.3 s more, by hand.
    await type(
      'store c3 150u 400V',
      ...[300, 284.6, 268.3, 251.0, 232.4, 212.1].map((volts, second) => `c3 ${volts.toFixed(1)}V @ ${second}s`),
    );
    const message = (await view()).message.join(' ');
    expect(message).toContain('It draws about 680 mW, and stops near 80 V after 4.3 s more.');
    expect(message).toContain('stops near 80 V');
  });
});
