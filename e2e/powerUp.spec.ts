import type { Page } from '@playwright/test';
import { donorCode, goTo } from './hands';
import { expect, test } from './shop';

const card = (page: Page) => page.getByRole('region', { name: /^Step \d+/ });
const sign = (page: Page) => page.getByRole('status').filter({ hasText: /HANDS OFF|DEAD/ });

/** Answers the step in hand as it should be: switched as it asks, read in the middle of what is right. */
async function pass(page: Page): Promise<string> {
  const here = card(page);
  const title = (await here.getByRole('heading', { level: 2 }).textContent()) ?? '';
  const first = here.getByRole('button', { name: /^It is (?:on|off)/ });
  if (await first.isVisible()) {
    await first.click();
    await expect(first).toBeHidden();
  }
  const field = here.getByLabel('reading');
  if (await field.isVisible()) await field.fill(rightReading(await here.innerText()));
  await here.getByRole('button', { name: /^p Pass/ }).click();
  await expect(here.getByRole('heading', { level: 2 }).filter({ hasText: title.replace(/^\d+/, '') })).toHaveCount(0);
  return title;
}

/** A reading in the middle of what a card says is right. */
function rightReading(text: string): string {
  const [, words = ''] = /should be\n+(?<words>[^\n]+)/.exec(text.replace(/\u00a0/g, ' ')) ?? [];
  const unit = /[kM]?Ω|mV|V|mA|A|°C/.exec(words)?.[0] ?? '';
  const typed = unit.replace('Ω', '').replace('°C', 'C');
  const [low = 0, high = 0] = [...words.matchAll(/\d+(?:\.\d+)?/g)].map(([digits]) => Number(digits));
  if (words.startsWith('under')) return `${(low * 0.3).toFixed(2)}${typed}`;
  if (words.startsWith('over')) return 'OL';
  return `${((low + high) / 2).toFixed(2)}${typed}`;
}

test('a repaired supply is powered up from the first reading to the last, hands off while it is on', async ({
  page,
}) => {
  const donor = `/donors/${await donorCode(page, 'label-printer')}`;
  await goTo(page, `${donor}/record`);
  await page.getByRole('navigation', { name: 'Repair' }).getByRole('link', { name: 'First power-up' }).click();
  const stop = page.getByRole('button', { name: /^STOP/ });
  const passed: string[] = [];
  await expect(stop).toBeVisible();
  while ((await card(page).count()) > 0) {
    await expect(stop).toBeVisible();
    // Hands come to the board only while the page says that it is off and dead.
    const isOn = (await sign(page).textContent())?.includes('ON, HANDS OFF') ?? false;
    const title = await pass(page);
    if (isOn) expect(title).not.toMatch(/Fit clips|Look it over|Ohms/);
    passed.push(title);
    expect(passed.length).toBeLessThan(40);
  }
  await expect(page.getByRole('complementary', { name: 'Judgement' })).toContainText('It passed every step');
  expect(passed.some((title) => title.includes('W lamp'))).toBe(true);
  expect(passed.some((title) => title.includes('24 V rail'))).toBe(true);
  await expect(sign(page)).not.toContainText('HANDS OFF');
  // The readings of the stores count at Make safe.
  await goTo(page, `${donor}/make-safe`);
  await expect(page.getByRole('region', { name: 'Evidence' })).toContainText('C3');
});

test('a lamp that stays bright stops the power-up, and Diagnose has what was seen', async ({ page }) => {
  const donor = `/donors/${await donorCode(page, 'inner supply')}`;
  await goTo(page, `${donor}/power-up`);
  const says = page.getByRole('complementary', { name: 'Judgement' });
  // A reading that is wrong is told so while it is typed, and does not pass.
  await card(page).getByLabel('reading').fill('seven');
  await expect(card(page)).toContainText('seven');
  await expect(card(page).getByRole('button', { name: /^p Pass/ })).toBeDisabled();
  const heading = card(page).getByRole('heading', { level: 2 });
  while (!(await heading.textContent())?.includes('W lamp')) await pass(page);
  await card(page)
    .getByRole('button', { name: /^It is on/ })
    .click();
  await expect(sign(page)).toContainText('ON, HANDS OFF');
  await expect(says).toContainText('stays bright');
  await card(page).getByRole('button', { name: 'Stop: stays bright' }).click();
  await expect(says).toContainText('a short on the mains side');
  // That it failed does not say that it is off: a person does.
  await expect(sign(page)).toContainText('ON, HANDS OFF');
  await page.getByRole('button', { name: 'It is unplugged now' }).click();
  await expect(sign(page)).toContainText('NOT YET DEAD');
  await says.getByRole('link', { name: 'Diagnose it' }).click();
  await expect(page.getByRole('region', { name: 'Evidence' })).toContainText('stays bright');
  await expect(page.getByRole('complementary', { name: 'Judgement' })).toContainText(/Most likely.*shorted/s);
});

test('on a phone the step, its reading and STOP are on one screen', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const donor = `/donors/${await donorCode(page, 'notebook brick')}`;
  await goTo(page, `${donor}/power-up`);
  for (const one of [page.getByRole('button', { name: /^STOP/ }), sign(page), card(page).getByLabel('reading')])
    await expect(one).toBeInViewport();
  await card(page).getByLabel('reading').fill('312V');
  await expect(card(page)).toContainText('It is not dead');
  // A charged store keeps its reading, and the step stays in hand.
  await card(page).getByRole('button', { name: 'Keep the reading; read again' }).click();
  await expect(card(page).getByLabel('reading')).toHaveValue('');
  await expect(card(page)).toContainText('unplugged');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('complementary', { name: 'Judgement' })).toContainText('Stopped');
  await expect(page.getByRole('button', { name: 'Begin again' })).toBeAttached();
});
