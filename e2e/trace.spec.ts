import { expect, test, type Page } from './shop';
import { benchLine, donorCode, goTo, judgement, station } from './hands';

/** A plug-top flyback of forty parts: what is seen, then what beeps from the inlet on. */
const PARTS = [
  'j1 mains-inlet',
  'j2 output',
  'f1 fuse 1A',
  'rv1 varistor',
  'cx1 x2 100n',
  'lf1 common-mode-choke',
  'd1..d4 rectifier diode',
  'c1 electrolytic 22u 400V',
  'q1 nmos',
  'u1 ic so-8',
  't1 transformer',
  'd5 fast diode',
  'd6 fast diode',
  'd7 schottky diode',
  'c2 electrolytic 22u 25V',
  'c3,c4 electrolytic 470u 16V',
  'c5 ceramic 1n',
  'cy1 y1 1n',
  'l1 choke 3u3',
  'u2 optocoupler',
  'u3 shunt-reference',
  'r1..r14 10k',
  'c6..c8 ceramic 100n',
];
const JOINS = [
  't1.1 ~ t1.2 2R',
  't1.3 ~ t1.4 0R5',
  't1.5 ~ t1.6 0R05',
  'j1.l - f1.1',
  'f1.2 - rv1.1 - cx1.1 - lf1.1',
  'j1.n - rv1.2 - cx1.2 - lf1.3',
  'lf1.2 - d1.a - d3.k',
  'lf1.4 - d2.a - d4.k',
  'd1.k - d2.k - c1.+ - t1.1 - r1.1 - c5.2',
  'd3.a - d4.a - c1.- - r3.2 - c2.- - u1.1 - t1.4',
  't1.2 - q1.d - d5.a',
  'd5.k - c5.1',
  'q1.s - r3.1 - r4.1',
  'q1.g - r5.1',
  'r5.2 - u1.6',
  't1.3 - d6.a',
  'd6.k - c2.+ - u1.5',
  't1.5 - d7.a',
  'd7.k - c3.+ - l1.1',
  'l1.2 - c4.+ - j2.1',
  't1.6 - c3.- - c4.- - j2.2 - u3.a',
];

async function pasteLines(page: Page, lines: readonly string[]) {
  const input = page.getByLabel('Bench line');
  await input.focus();
  await input.evaluate((element, text) => {
    const data = new DataTransfer();
    data.setData('text/plain', text);
    element.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
  }, lines.join('\n'));
  await expect(page.getByText(`${lines.length} of ${lines.length} lines recorded.`)).toBeVisible({ timeout: 60_000 });
}

test('forty parts are beeped together by keyboard until the circuit has a name, with its schematic', async ({
  page,
}) => {
  test.setTimeout(150_000);
  await goTo(page, '/donors/new');
  await page.getByLabel('what the label says').fill('INPUT 100-240V~ 0.5A OUTPUT 9V 1A');
  await page.getByLabel('what it is').fill('plug-top of forty parts');
  await page.getByRole('button', { name: 'Put it on the bench' }).click();
  await expect(page).toHaveURL(/\/donors\/[A-Z0-9]{3}-[A-Z0-9]{3}/);
  await station(page, 'Trace');
  await expect(judgement(page)).toContainText('Nothing is logged yet');
  await pasteLines(page, PARTS);
  await expect(page.getByRole('list', { name: 'Parts and their pins' }).getByRole('listitem')).toHaveCount(42);
  await expect(judgement(page)).toContainText('Probe next');
  await pasteLines(page, JOINS);
  await expect(judgement(page)).toContainText('Flyback converter', { timeout: 20_000 });
  await expect(judgement(page)).toContainText('T1 lies between the supply (T1.1) and Q1 (Q1.D).');
  await page.getByRole('tab', { name: 'Schematic' }).click();
  const schematic = page.getByRole('group', { name: /^Schematic/ });
  // So many parts open with their control in boxes.
  const shown = page.getByLabel('Show', { exact: true });
  await expect(shown).toHaveValue('folded');
  await shown.selectOption('whole');
  await expect(schematic.locator('[data-ref]')).toHaveCount(42);
  await page.getByRole('button', { name: 'expected volts' }).click();
  await schematic
    .getByRole('img', { name: /about \d+\sV/ })
    .first()
    .focus();
  await expect(page.getByRole('status').filter({ hasText: 'about' })).toBeVisible();
  await page.getByRole('link', { name: 'sheets to print' }).click();
  await page.getByLabel('paper').selectOption('A3');
  await page.getByRole('button', { name: 'Show it so' }).click();
  await expect(page.getByRole('img', { name: /the whole board$/ })).toHaveAttribute('width', '420mm');
  await page.getByRole('link', { name: 'back to Trace' }).click();
  await page.getByRole('tab', { name: 'Power walk' }).click();
  await expect(page.getByRole('list', { name: 'Power walk' })).toContainText(
    'C1 holds the rectified voltage: about 339 V',
  );
});

test('a contradiction names the smallest set, and dropping one of it ends it', async ({ page }) => {
  await goTo(page, `/donors/${await donorCode(page, 'label-printer')}/trace`);
  await benchLine(page, 'br1.+ x c3.+');
  const alert = judgement(page).getByRole('alert');
  await expect(alert).toContainText('These cannot all be so');
  await expect(alert.getByRole('listitem')).toHaveCount(2);
  await alert.getByRole('button', { name: 'Delete that BR1.+ and C3.+ are not joined' }).click();
  await expect(alert).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(alert).toContainText('BR1.+ C3.+ not joined');
  await benchLine(page, 'undo');
});

test('a click holds a probe, a second one joins, one key answers what is asked', async ({ page }) => {
  await goTo(page, `/donors/${await donorCode(page, 'label-printer')}/trace`);
  const log = page.getByRole('list', { name: 'What the meter said' });
  await page.getByRole('button', { name: 'Hold a probe on U3.R' }).click();
  await page.getByRole('button', { name: 'R12.1 beeps with U3.R' }).click();
  await expect(log).toContainText('U3.R R12.1 joined');
  await page.getByRole('button', { name: 'nothing else beeps' }).click();
  await expect(log).toContainText('U3.R nothing else on it');
  await expect(judgement(page).getByRole('button', { name: 'they do not' })).toBeEnabled();
  const asked = await judgement(page).locator('.next .font-mono').last().textContent();
  await page.keyboard.press('x');
  await expect(log).toContainText(`${asked ?? ''} not joined`);
});

test('two tabs beep on one board, and neither loses a join', async ({ page, context }) => {
  const code = await donorCode(page, 'label-printer');
  const other = await context.newPage();
  await goTo(page, `/donors/${code}/trace`);
  await goTo(other, `/donors/${code}/trace`);
  await benchLine(page, 'rp1.1 - r12.2');
  await benchLine(other, 'rp1.2 - rp1.w');
  await page.reload();
  const log = page.getByRole('list', { name: 'What the meter said' });
  await expect(log).toContainText('RP1.1 R12.2 joined');
  await expect(log).toContainText('RP1.2 RP1.W joined');
});

test('a pin that is not there is named with those that are', async ({ page }) => {
  await goTo(page, `/donors/${await donorCode(page, 'label-printer')}/trace`);
  await page.getByLabel('Bench line').fill('q1.x - t1.2');
  await expect(page.locator('#bench-line-says')).toContainText('no pin of Q1; its pins are G, D, S');
});

/** A step-down converter of seven parts, and its nets as a meter would find them. */
const STEP_DOWN = [
  'j1 dc-input',
  'j2 output',
  'c1 electrolytic 100u 35V',
  'c2 electrolytic 470u 16V',
  'l1 choke 47u',
  'd1 schottky diode',
  'q1 nmos to-220',
];
const NETS = ['J1.+ C1.+ Q1.D', 'J1.- C1.- D1.A C2.- J2.-', 'Q1.S D1.K L1.1', 'L1.2 C2.+ J2.+'].map((net) =>
  net.split(' '),
);

test('a board is traced by the advice alone, no question comes twice, and why is told fact by fact', async ({
  page,
}) => {
  test.setTimeout(150_000);
  await goTo(page, '/donors/new');
  await page.getByLabel('what the label says').fill('INPUT 24VDC OUTPUT 5V 2A');
  await page.getByLabel('what it is').fill('a converter to be asked about');
  await page.getByRole('button', { name: 'Put it on the bench' }).click();
  await expect(page).toHaveURL(/\/donors\/[A-Z0-9]{3}-[A-Z0-9]{3}/);
  await station(page, 'Trace');
  await pasteLines(page, STEP_DOWN);
  await page.getByLabel('Bench line').blur();
  const question = judgement(page).locator('.next .font-mono').last();
  const asked = new Set<string>();
  for (let probes = 0; probes < 40; probes += 1) {
    if ((await judgement(page).getByText('The circuit is named').count()) > 0) break;
    await expect(judgement(page).getByRole('button', { name: 'they do not' })).toBeEnabled();
    const pair = (await question.textContent()) ?? '';
    expect([...asked]).not.toContain(pair);
    asked.add(pair);
    const [a = '', b = ''] = pair.split(' ');
    const areJoined = (one: string, other: string) => NETS.some((net) => net.includes(one) && net.includes(other));
    const kept = judgement(page).getByRole('group', { name: /keep one lead/ });
    if (probes === 1) await page.keyboard.press('o');
    else if ((await kept.count()) > 0) {
      const hold = (await judgement(page).locator('.next .ref').textContent()) ?? '';
      for (const pin of await kept.locator('.pin').all())
        if (areJoined(hold, (await pin.textContent()) ?? '')) await pin.click();
      await page.keyboard.press('t');
    } else await page.keyboard.press(areJoined(a, b) ? 'j' : 'x');
    await expect(question.filter({ hasText: pair })).toHaveCount(0);
  }
  await expect(judgement(page)).toContainText('The circuit is named and its way of the power is traced');
  await expect(judgement(page)).toContainText(/Step-down converter.*(0\.9\d|1\.00)Power path/);
  expect(asked.size).toBeLessThan(40);
  const facts = judgement(page)
    .locator('details')
    .filter({ hasText: /^step-down converter/ })
    .last();
  await facts.locator('summary').click();
  await expect(facts).toContainText('For it');
  await expect(facts).toContainText('D1');
});
