import { expect, tellMeter, test, type Page } from './shop';
import { donorCode, goTo, judgement } from './hands';

/** Where the simulated meter listens, as the settings name it. */
async function meterAddress(page: Page): Promise<string> {
  await goTo(page, '/settings');
  return page.getByLabel('meter on the network').inputValue();
}

/** Tells the simulated meter something. */
const tell = (address: string, line: string) => tellMeter(Number(address.split(':').at(-1)), line);

async function aStore(page: Page, capacitance: string, bleed: string) {
  const form = page.getByRole('form', { name: 'New store' });
  await form.getByLabel('name').fill('C1');
  await form.getByLabel('capacitance, or several').fill(capacitance);
  await form.getByLabel('rated').fill('400V');
  await form.getByLabel('bleed path').fill(bleed);
  await form.getByRole('button', { name: 'List it' }).click();
  await page.getByRole('list', { name: 'Stores' }).getByRole('link', { name: /^C1/ }).click();
  await expect(page).toHaveURL(/store=C1$/);
}

test('a store is watched from 320 V until it is below the touch limit, and the fit comes up with the readings', async ({
  page,
}) => {
  await tell(await meterAddress(page), '*RST');
  await page.getByRole('button', { name: 'Ask the meter who it is' }).click();
  await expect(page.getByText('the stand-in that ships')).toBeVisible();

  await goTo(page, `/donors/${await donorCode(page, 'plug-top')}/make-safe`);
  await aStore(page, '10u', '470k');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Watch' }).click();
  const shown = page.getByLabel('Meter reading');
  await expect(shown).toContainText(/\d+(\.\d+)?\s*V/);
  await page.getByRole('button', { name: /^Start/ }).click();
  const rows = page.getByRole('table', { name: 'Readings on C1' }).getByRole('row');
  await page.getByRole('heading', { level: 1 }).click();
  const volts = async () => parseFloat((await shown.textContent()) ?? 'NaN');
  // A reading each time the store has fallen by a tenth: five are enough for the fit, however slow the machine.
  for (let count = 1; count <= 5; count += 1) {
    const before = await volts();
    await page.keyboard.press('m');
    await expect(rows).toHaveCount(count + 1);
    await expect.poll(volts, { timeout: 20_000 }).toBeLessThan(before * 0.9);
  }
  // 9.6 µF through 470 kΩ beside the meter's 10 MΩ: 4.31 s.
  const tau = async () =>
    Number(/Time constant ([\d.]+)\s*s/.exec((await judgement(page).textContent()) ?? '')?.[1]) / 4.31;
  await expect.poll(async () => Math.abs((await tau()) - 1)).toBeLessThan(0.1);
  await expect(judgement(page)).toContainText('as traced');
  await expect(page.getByRole('img', { name: /Voltage of C1 against time/ })).toBeVisible();
  await expect.poll(volts, { timeout: 30_000 }).toBeLessThan(50);
  await page.getByRole('button', { name: 'stop', exact: true }).click();
  await page.keyboard.press('m');
  await expect(judgement(page)).toContainText('C1 is below the touch limit of 60 V');
});

test('a meter that dies in mid-run is told; what was recorded stays, and the run goes on by hand', async ({ page }) => {
  const address = await meterAddress(page);
  await tell(address, '*RST');
  await goTo(page, '/donors/new');
  await page.getByLabel('what it is').fill('bike charger');
  await page.getByLabel('model').fill('MC-42');
  await page.getByRole('button', { name: 'Put it on the bench' }).click();
  await expect(page).toHaveURL(/intake$/);
  await page.getByRole('link', { name: /^Make safe:/ }).click();
  await aStore(page, '100u', '1M');
  await page.getByRole('button', { name: 'Watch' }).click();
  await expect(page.getByLabel('Meter reading')).toContainText(/31\d/);
  await page.getByRole('heading', { level: 1 }).click();
  await page.keyboard.press('m');
  const rows = page.getByRole('table', { name: 'Readings on C1' }).getByRole('row');
  await expect(rows).toHaveCount(2);
  try {
    await tell(address, 'SIM:FAULT drop');
    await expect(page.getByRole('alert').filter({ hasText: 'The meter has gone' })).toBeVisible();
    await expect(rows).toHaveCount(2);
    const form = page.getByRole('form', { name: 'Reading of C1' });
    await form.getByLabel('reading').fill('310V');
    await form.getByRole('button', { name: 'Record' }).click();
    await expect(rows).toHaveCount(3);
    for (const [fault, message] of [
      ['garbage', 'is no reading'],
      ['silent', 'did not answer'],
    ] as const) {
      await tell(address, `SIM:FAULT ${fault}`);
      await page.getByRole('button', { name: 'Try again' }).click();
      await expect(page.getByRole('alert').filter({ hasText: message })).toBeVisible();
    }
    await tell(address, 'SIM:FAULT overrange');
    await page.getByRole('button', { name: 'Try again' }).click();
    await expect(page.getByLabel('Meter reading')).toHaveText('OL');
  } finally {
    await tell(address, 'SIM:FAULT none');
  }
});

test('a reading arrives in the field that has the focus, and its unit is checked', async ({ page }) => {
  await goTo(page, `/donors/${await donorCode(page, 'label-printer')}/test?part=R12`);
  const field = page.getByLabel('resistance', { exact: true });
  await field.focus();
  await page.keyboard.press('F8');
  await expect(field).toHaveValue(/^4\.69\d?kΩ$|^4\.7\d*kΩ$/);
});

test('the lower touch limit holds in every place at once', async ({ page }) => {
  await goTo(page, '/settings');
  await page.getByLabel('touch limit').selectOption('50');
  await page.getByRole('button', { name: 'Save the settings' }).click();
  await expect(judgement(page)).toContainText('50 V DC');
  await goTo(page, `/donors/${await donorCode(page, 'label-printer')}/make-safe?store=C3`);
  await expect(judgement(page)).toContainText(/under 50\s*V at about/);
  await goTo(page, '/sums/discharge');
  await expect(page.getByText('Under 50 V after')).toBeVisible();
  await goTo(page, '/settings');
  await page.getByLabel('meter on the network').fill('somewhere');
  await page.getByRole('button', { name: 'Save the settings' }).click();
  await expect(page.getByText('A host and a port are expected')).toBeVisible();
  await page.reload();
  await page.getByLabel('touch limit').selectOption('60');
  await page.getByRole('button', { name: 'Save the settings' }).click();
  await expect(judgement(page)).toContainText('60 V DC');
});

/** A USB meter for the page: lines are pushed by `meterSays`, and `meterLeaves` pulls its plug. */
interface FakeMeter {
  meterMessage: (line: string) => void;
  meterLeaves: () => void;
}

test('a meter on USB streams its lines: the unit is checked, garbage is told, and its plug may be pulled', async ({
  page,
}) => {
  await page.addInitScript(() => {
    let controller: ReadableStreamDefaultController<Uint8Array> | undefined;
    const readable = new ReadableStream<Uint8Array>({ start: (own) => (controller = own) });
    const port = { readable, open: () => Promise.resolve(), close: () => Promise.resolve() };
    Object.defineProperty(navigator, 'serial', { value: { requestPort: () => Promise.resolve(port) } });
    Object.assign(window, {
      meterMessage: (line: string) => controller?.enqueue(new TextEncoder().encode(`${line}\r\n`)),
      meterLeaves: () => controller?.error(new Error('unplugged')),
    });
  });
  const message = (line: string) => page.evaluate((text) => (window as unknown as FakeMeter).meterMessage(text), line);
  await goTo(page, '/settings');
  await page.getByRole('button', { name: '9600 baud' }).click();
  await expect(page.getByText('A USB meter is connected to this browser.')).toBeVisible();
  // Within the application the connection lasts from page to page.
  await page.getByRole('link', { name: 'Donors', exact: true }).click();
  await page
    .getByRole('link', { name: /label-printer/ })
    .first()
    .click();
  await page.getByRole('link', { name: /^Make safe:/ }).click();
  const field = page.getByRole('form', { name: /^Reading of/ }).getByLabel('reading');
  await expect(field).toBeEnabled();
  await field.focus();
  await page.keyboard.press('F8');
  await expect(page.getByText('The USB meter has sent nothing yet')).toBeVisible();
  await message('61.4 V DC');
  await page.keyboard.press('F8');
  await expect(field).toHaveValue('61.4V');
  await message('4.69 kOhm');
  await page.keyboard.press('F8');
  await expect(page.getByText('The meter shows resistance; this field wants volts DC. Turn its dial.')).toBeVisible();
  await message('HOLD');
  await page.keyboard.press('F8');
  await expect(page.getByText('The meter sent “HOLD”, which is no reading')).toBeVisible();
  await expect(field).toHaveValue('61.4V');
  await page.getByRole('button', { name: 'Watch' }).click();
  await message('58.02 V');
  await expect(page.getByLabel('Meter reading')).toHaveText('58.02\u00a0V');
  await page.evaluate(() => (window as unknown as FakeMeter).meterLeaves());
  await expect(page.getByRole('alert').filter({ hasText: 'The meter has gone' })).toBeVisible();
});
