import { inflateSync } from 'node:zlib';
import { expect, test, type Page } from './shop';
import jsQR from 'jsqr';
import sharp from 'sharp';
import { PDFArray, PDFDocument, PDFRawStream } from 'pdf-lib';
import { donorCode, goTo, judgement } from './hands';

/** Takes a reading of the simulated meter into a field. */
async function readInto(page: Page, ref: string, label: string) {
  const field = page.getByRole('form', { name: `Measure ${ref}` }).getByLabel(label, { exact: true });
  await field.focus();
  await field.press('F8');
  await expect(field).not.toHaveValue('');
}

// The last digit of the stand-in scatters, as that of a meter does.
const TESTS: readonly {
  ref: string;
  fields: readonly string[];
  typed?: Readonly<Record<string, string>>;
  message: RegExp;
}[] = [
  {
    ref: 'Q1',
    fields: ['source to drain', 'drain to source', 'gate to source'],
    typed: { 'gate holds its charge for': '15s' },
    message: /grade A/,
  },
  { ref: 'D8', fields: ['first half', 'second half', 'the other way'], message: /grade A/ },
  { ref: 'BR1', fields: ['~ to +', 'other ~ to +', '− to ~', '− to other ~', '+ to −'], message: /grade A/ },
  { ref: 'C21', fields: ['capacitance'], typed: { 'ESR at 100 kHz': '38m' }, message: /64\d.µF is 9[45] % of 680.µF/ },
  { ref: 'R12', fields: ['resistance'], message: /grade A/ },
  { ref: 'CX1', fields: ['capacitance'], message: /healed many breakdowns/ },
  { ref: 'D3', fields: ['forward drop', 'the other way'], message: /It blocks the other way/ },
  { ref: 'D4', fields: ['forward drop', 'the other way'], message: /It blocks the other way/ },
  { ref: 'NTC1', fields: ['resistance'], message: /5\.\d.Ω at 25/ },
  {
    ref: 'U2',
    fields: [],
    typed: { LED: '1.06', 'collector to emitter, dark': 'OL' },
    message: /transfer ratio was not measured/,
  },
];

test('ten parts are tested with the meter, forty minutes planned and worked, a lot found by its code, moved and used', async ({
  page,
}) => {
  test.setTimeout(180_000);
  const code = await donorCode(page, 'notebook brick');
  for (const { ref, fields, typed = {}, message } of TESTS) {
    await goTo(page, `/donors/${code}/test?part=${ref}`);
    for (const label of fields) await readInto(page, ref, label);
    const form = page.getByRole('form', { name: `Measure ${ref}` });
    for (const [label, text] of Object.entries(typed)) await form.getByLabel(label, { exact: true }).fill(text);
    await form.getByRole('button', { name: 'Judge it' }).click();
    await expect(judgement(page)).toContainText(message);
  }

  // What the board adds is told from its nets: one reading needs no leg lifted.
  await goTo(page, `/donors/${code}/test?part=Q1`);
  const place = page.getByRole('region', { name: 'Q1 as it sits' });
  await expect(place).toContainText('no leg to lift');
  await expect(place).toContainText('lift one leg');

  // The plan: one heat sink first, and why the rest is left.
  await goTo(page, `/donors/${code}/harvest`);
  await page.getByLabel('minutes at hand').fill('25');
  await page.getByRole('button', { name: 'Plan them' }).click();
  await expect(judgement(page)).toContainText('With 25 minutes');
  const plan = page.getByRole('table', { name: 'Jobs in their order' });
  await expect(plan).toContainText('clears the way');
  await page.getByText(/Left for another day/).click();
  await expect(page.getByRole('list', { name: 'Left for another day' })).toContainText('resistor');
  await page.getByLabel('minutes at hand').fill('40');
  await page.getByRole('button', { name: 'Plan them' }).click();
  await expect(judgement(page)).toContainText('With 40 minutes');

  // The work: taken, broken, left, each by one key.
  const start = page.getByRole('form', { name: 'Start working' });
  await start.getByLabel('parts go into bin').fill('F1-1');
  await start.getByRole('button', { name: 'Start the clock' }).click();
  const job = page.getByRole('region', { name: 'Present job' });
  await expect(job.getByRole('timer')).toBeVisible();
  const titles: string[] = [];
  for (const key of ['t', 't', 't', 'x', 'k']) {
    const title = (await job.locator('p').nth(1).textContent()) ?? '';
    titles.push(title);
    await expect(job.getByRole('button', { name: 'leave it' })).toBeEnabled();
    await page.getByRole('heading', { level: 1 }).click();
    await page.keyboard.press(key);
    await expect(job.locator('p').nth(1)).not.toHaveText(title);
  }
  await expect(job).toContainText('broke');
  expect(new Set(titles).size).toBe(titles.length);
  await job.getByRole('button', { name: 'End this run' }).click();
  await expect(job).toHaveCount(0);
  const taken = page.getByRole('region', { name: 'Taken from this donor' });
  const lots = await taken.getByRole('listitem').getByRole('link').allTextContents();
  expect(lots.length).toBeGreaterThanOrEqual(2);

  // Labels: the square of the PDF leads to the lot's page.
  await taken.getByRole('link', { name: /labels of its/ }).click();
  await page.getByLabel('paper').selectOption('a4-24');
  await page.getByRole('button', { name: 'Show it so' }).click();
  await expect(page.getByLabel('labels used already')).toBeVisible();
  const href = (await page.getByRole('link', { name: 'PDF to print' }).getAttribute('href')) ?? '';
  const answer = await page.request.get(href);
  expect(answer.headers()['content-type']).toBe('application/pdf');
  const leads = await readLabels(await answer.body());
  const found = lots.find((lot) => leads?.endsWith(`/stock/${lot}`)) ?? '';
  expect(found).not.toBe('');

  // Found by its code, moved, split, used.
  await goTo(page, '/stock/scan');
  await page.getByLabel('code on the label').fill('nonsense');
  await page.getByRole('button', { name: 'Go there' }).click();
  await expect(page.locator('#scan-says')).toContainText('“nonsense” is no code');
  await page.getByLabel('code on the label').fill(found.toLowerCase());
  await page.getByRole('button', { name: 'Go there' }).click();
  await expect(page).toHaveURL(new RegExp(`/stock/${found}$`));
  const move = page.getByRole('form', { name: 'Move' });
  await move.getByLabel('to bin').fill('F1-2');
  await move.getByRole('button', { name: 'Move it' }).click();
  const ledger = page.getByRole('table', { name: 'Ledger' });
  await expect(ledger).toContainText('moved: F1-1 to F1-2');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByText('F1-1', { exact: true }).first()).toBeVisible();
  const take = page.getByRole('form', { name: 'Take out' });
  await take.getByLabel('for what').fill('the lamp');
  await take.getByRole('button', { name: 'Take out' }).click();
  await expect(ledger).toContainText('taken out: the lamp');

  // The line at the foot moves it as well, and says what it did not understand.
  const line = page.getByLabel('Find line');
  await line.fill(`move ${found} to the_shelf`);
  await expect(page.locator('#find-line-says')).toContainText('“the_shelf” is no bin');
  await line.fill(`move ${found} to F1-3`);
  await line.press('Enter');
  await expect(ledger).toContainText('moved: F1-1 to F1-3');
  await line.fill('undo');
  await expect(page.locator('#find-line-says')).toContainText('undo the last change of stock');
  await line.press('Enter');
  await expect(page.getByRole('status').filter({ hasText: 'Undone' })).toContainText('F1-3');

  // Long after, the drawers still tell what was done, and each step has its way back.
  await goTo(page, '/stock/bins');
  await page.getByText('recent changes, and undo').click();
  const done = page.getByRole('table', { name: 'Recent changes' });
  await expect(done.getByRole('row').first()).toContainText('undone');
  await done.getByRole('button', { name: `1 taken out of ${found}: the lamp` }).click();
  await expect(done.getByRole('row').nth(1)).toContainText('undone');
});

/** What the first label of a sheet leads to, by an independent reader of QR codes. */
async function readLabels(bytes: Uint8Array): Promise<string | undefined> {
  const document = await PDFDocument.load(bytes);
  const page = document.getPage(0);
  const contents = page.node.Contents();
  const streams =
    contents instanceof PDFArray ? contents.asArray().map((ref) => document.context.lookup(ref)) : [contents];
  const text = streams
    .map((one) => (one instanceof PDFRawStream ? inflateSync(one.contents).toString('latin1') : ''))
    .join('\n');
  const { width, height } = page.getSize();
  const label = { width: width / 3, height: (37 * 72) / 25.4 };
  const scale = 5;
  const size = { width: Math.round(label.width * scale), height: Math.round(label.height * scale) };
  const data = new Uint8ClampedArray(size.width * size.height * 4).fill(255);
  for (const match of text.matchAll(/1 0 0 1 ([\d.]+) ([\d.]+) cm\s+(?:1 0 0 1 0 0 cm\s+)*0 0 m\s+0 ([\d.]+) l/g)) {
    const [x, below, side] = match.slice(1).map(Number) as [number, number, number];
    const y = height - below - side;
    if (x + side > label.width || y + side > label.height) continue;
    for (let row = Math.round(y * scale); row < Math.round((y + side) * scale); row += 1)
      for (let column = Math.round(x * scale); column < Math.round((x + side) * scale); column += 1)
        data.fill(0, (row * size.width + column) * 4, (row * size.width + column) * 4 + 3);
  }
  return jsQR(data, size.width, size.height)?.data;
}

test('a recording becomes a measurement of its part', async ({ page }) => {
  const code = await donorCode(page, 'PC supply');
  await goTo(page, `/donors/${code}/test?part=L3`);
  await page.getByRole('link', { name: 'from a recording of the oscilloscope' }).click();
  await expect(page.getByText('Load a recording')).toBeVisible();
  const csv = [
    'Time (us),CH1 (V)',
    ...Array.from({ length: 600 }, (_, index) => `${index / 10},${Math.max(0, index - 50) * 0.01}`),
  ];
  await page
    .getByLabel('CSV of an oscilloscope')
    .setInputFiles({ name: 'empty.csv', mimeType: 'text/csv', buffer: Buffer.from('a,b\nc,d\n') });
  await expect(page.getByRole('alert').filter({ hasText: 'None of the first' })).toBeVisible();
  await page
    .getByLabel('CSV of an oscilloscope')
    .setInputFiles({ name: 'ramp.csv', mimeType: 'text/csv', buffer: Buffer.from(csv.join('\n')) });
  await expect(page.getByText('ramp.csv, 600 points')).toBeVisible();
  await expect(page.getByRole('img', { name: /CH1 against time/ })).toBeVisible();
  const task = page.getByRole('form', { name: 'What to make of it' });
  await task.getByLabel('what it shows').selectOption('ramp');
  await task.getByRole('button', { name: 'Calculate it' }).click();
  await expect(judgement(page)).toContainText('is needed');
  await task.getByLabel('volts across the winding').fill('10');
  await task.getByLabel('amperes for each volt shown').fill('1');
  await task.getByRole('button', { name: 'Calculate it' }).click();
  // 0.01 A in 0.1 µs at 10 V is 100 µH.
  await expect(judgement(page)).toContainText(/100\sµH/);
  await judgement(page).getByRole('button', { name: 'Save it' }).click();
  await judgement(page).getByRole('link', { name: 'back to L3' }).click();
  await expect(judgement(page)).toContainText(/100\sµH/);

  // Two channels: 50 mΩ under a triangle of 2 A, on 12 V.
  await goTo(page, `/donors/${code}/test/wave?part=C22`);
  const triangle = (index: number) => Math.abs(((index / 30) % 2) - 1) * 2 - 1;
  const two = [
    'second,Volt,Ampere',
    ...Array.from({ length: 600 }, (_, index) => `${index}e-7,${12 + 0.05 * triangle(index)},${triangle(index)}`),
  ];
  await page
    .getByLabel('CSV of an oscilloscope')
    .setInputFiles({ name: 'ripple.csv', mimeType: 'text/csv', buffer: Buffer.from(two.join('\n')) });
  await task.getByLabel('what it shows').selectOption('ripple');
  await task.getByRole('button', { name: 'Calculate it' }).click();
  await expect(judgement(page)).toContainText(/ESR\s*50\smΩ/);
  await expect(judgement(page)).toContainText('the ESR hides it');
  await judgement(page).getByRole('button', { name: 'Save it' }).click();
  await judgement(page).getByRole('link', { name: 'back to C22' }).click();
  await expect(judgement(page)).toContainText(/50\smΩ/);
});

test('a drawer is counted, a list is brought in and undone, a question is kept', async ({ page }) => {
  await goTo(page, '/stock/bins');
  const room = page.getByRole('form', { name: 'Room of B1-2' });
  await room.getByLabel(/room for/).fill('1');
  await room.getByRole('button', { name: 'keep' }).click();
  await expect(judgement(page)).toContainText('over-full');
  await page
    .getByRole('table', { name: 'Drawers' })
    .getByRole('row', { name: /B1-2/ })
    .getByRole('link', { name: 'count it' })
    .click();
  const count = page.getByRole('form', { name: 'Count B1-2' });
  await count.getByLabel('counted').first().fill('some');
  await count.getByRole('button', { name: 'Save the count' }).click();
  await expect(count.getByRole('alert')).toContainText('“some” is no count');
  await count.getByLabel('counted').first().fill('3');
  await count.getByRole('button', { name: 'Save the count' }).click();
  await expect(page.getByText('1 lot counted in B1-2, 1 put right.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();

  await goTo(page, '/stock/bring');
  const list = 'kind,marking,pieces,bin,vds\nnmos,20N60,4,G1,600V\nnmos,bad,none,G1,600V\n';
  await page
    .getByLabel('List of lots')
    .setInputFiles({ name: 'lots.csv', mimeType: 'text/csv', buffer: Buffer.from(list) });
  await expect(page.getByRole('table', { name: 'Refused lines' })).toContainText('Pieces “none”');
  await page.getByRole('button', { name: 'Take 1 in' }).click();
  await expect(page).toHaveURL(/\/stock$/);
  await goTo(page, '/stock?find=20N60');
  await expect(page.getByRole('table', { name: 'Lots', exact: true })).toContainText('20N60');

  // A long list that is stopped while it is written leaves nothing behind.
  const long = ['kind,marking,pieces,bin', ...Array.from({ length: 60_000 }, (_, row) => `nmos,LONG${row},1,G2`)];
  await goTo(page, '/stock/bring');
  await page
    .getByLabel('List of lots')
    .setInputFiles({ name: 'long.csv', mimeType: 'text/csv', buffer: Buffer.from(long.join('\n')) });
  await page.getByRole('button', { name: 'Take 60000 in' }).click({ timeout: 30_000 });
  await expect(page.getByRole('progressbar', { name: 'Writing …' })).toHaveAttribute('value', /^0\.[1-9]/);
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'nothing was written' })).toBeVisible();
  await goTo(page, '/stock?find=bin:G2');
  await expect(judgement(page)).toContainText('0 lots, 0 pieces');

  // A list longer than a screen is fetched as it is scrolled, to its oldest row.
  const brought = await page.request.post('/stock/import?mode=apply', {
    data: Buffer.from(['kind,marking,pieces,bin', ...long.slice(1, 601)].join('\n')),
    headers: { 'content-type': 'application/octet-stream' },
  });
  expect(await brought.text()).toContain('600 lots came in');
  await goTo(page, '/stock?find=bin:G2');
  const lots = page.getByRole('table', { name: 'Lots', exact: true });
  await expect(lots).toHaveAttribute('aria-rowcount', '601');
  await lots.getByRole('row').filter({ hasText: 'LONG599' }).focus();
  await page.keyboard.press('End');
  await expect(lots.getByRole('row').filter({ hasText: /LONG0N-FET/ })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'LONG0' })).toBeVisible();
  await page.getByText('add a photo of it').click();
  const background = '#7a5a33';
  await page.getByLabel(/^Photo of /).setInputFiles({
    name: 'lot.jpg',
    mimeType: 'image/jpeg',
    buffer: await sharp({ create: { width: 400, height: 300, channels: 3, background } })
      .jpeg()
      .toBuffer(),
  });
  await expect(page.getByText(/has a photo/)).toBeVisible();
  const picture = page.getByRole('img', { name: /^lot / });
  await expect.poll(() => picture.evaluate((img: HTMLImageElement) => img.naturalWidth)).toBe(400);

  await goTo(page, '/stock?find=nmos+vds%3E%3D640');
  await expect(judgement(page)).toContainText(/more if 6\d0\sV will do/);
  await page.getByText('save this search').click();
  await page.getByLabel('under the name').fill('mains switches');
  await page.getByRole('button', { name: 'Save it' }).click();
  await expect(page.getByRole('link', { name: 'mains switches' })).toBeVisible();
  await page.getByRole('button', { name: 'delete mains switches' }).click();
  await expect(page.getByRole('link', { name: 'mains switches' })).toHaveCount(0);
  const csv = await page.request.get('/stock/export?as=csv&find=20N60');
  expect(await csv.text()).toContain('20N60');
});
