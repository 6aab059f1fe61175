import { request as plainRequest } from 'node:http';
import { expect, test } from './shop';
import { benchLine, donorCode, goTo } from './hands';

test('what a refreshed page loads later passes the policy of the first', async ({ page }) => {
  const complaints: string[] = [];
  page.on('console', (message) => {
    if (message.type() === 'error') complaints.push(message.text());
  });
  page.on('pageerror', (error) => complaints.push(error.message));
  await goTo(page, `/donors/${await donorCode(page, 'label-printer')}/identify`);
  await expect(page.locator('body')).toHaveCSS('font-family', /Instrument Sans/);
  await benchLine(page, '# a note');
  await page.getByRole('button', { name: 'columns' }).click();
  await expect(page.getByRole('checkbox', { name: 'verdict' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.locator('body').press('?');
  await expect(page.getByRole('dialog')).toBeVisible();
  expect(complaints).toEqual([]);
});

test('answers carry a strict policy', async ({ request }) => {
  const headers = (await request.get('/')).headers();
  expect(headers['content-security-policy']).toMatch(/script-src 'self' 'nonce-[^']+' 'strict-dynamic'/);
  expect(headers['content-security-policy']).not.toContain('unsafe-eval');
  expect(headers['x-content-type-options']).toBe('nosniff');
  expect(headers['x-powered-by']).toBeUndefined();
});

test('a foreign host is refused, with a word on what to do', async ({ baseURL }) => {
  const { port } = new URL(baseURL ?? '');
  const answer = await new Promise<{ status: number | undefined; text: string }>((resolve, reject) => {
    plainRequest({ host: '127.0.0.1', port, path: '/', headers: { host: 'evil.example' } }, (response) => {
      let text = '';
      response.on('data', (chunk: Buffer) => (text += chunk.toString()));
      response.on('end', () => resolve({ status: response.statusCode, text }));
    })
      .on('error', reject)
      .end();
  });
  expect(answer.status).toBe(421);
  expect(answer.text).toContain('ZORVEK_ALLOWED_HOSTS');
});

test('a body over the limit is refused', async ({ request }) => {
  expect((await request.post('/donors/new', { data: 'x'.repeat(1_100_000) })).status()).toBe(413);
});

test('what does not exist says what to do', async ({ page }) => {
  for (const path of ['/donors/AAA-AAA/intake', '/stock/AAA-AAA', '/builds/AAA-AAA', '/no/such/page']) {
    expect((await goTo(page, path))?.status(), path).toBe(404);
    await expect(page.getByRole('heading', { name: 'No such place' })).toBeVisible();
  }
});

test('the theme is chosen and kept', async ({ page }) => {
  await goTo(page, '/');
  await page.getByRole('button', { name: /Theme: as system/ }).click();
  await page.getByRole('button', { name: /Theme: light/ }).click();
  await expect(page.locator('html')).toHaveAttribute('data-scheme', 'dark');
  await goTo(page, '/guide');
  await expect(page.locator('html')).toHaveAttribute('data-scheme', 'dark');
  await expect(page.locator('body')).toHaveCSS('background-color', 'rgb(18, 22, 27)');
});

test('an empty list says what to do', async ({ page }) => {
  await goTo(page, '/donors?find=nothing-is-called-so');
  await expect(page.getByRole('heading', { name: 'No donor carries “nothing-is-called-so”' })).toBeVisible();
  await goTo(page, '/stock?find=igbt');
  await expect(page.getByRole('heading', { name: 'No lot fits' })).toBeVisible();
});
