import { expect, test } from './shop';

test('24 V to 48 V at 1 A is designed out of the drawers, and becomes a build with its lots set aside', async ({
  page,
}) => {
  // The line at the foot of any page asks for one.
  await page.goto('/stock');
  await page.getByLabel('Find line').fill('design 24V to 12V at 1A');
  await expect(page.getByText('design 24V in, 12V at 1A out, from the drawers')).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('form', { name: 'What is wanted' }).getByLabel('output')).toHaveValue('12V');
  await page.goto('/builds');
  await page.getByRole('link', { name: 'Design from stock' }).click();
  const wanted = page.getByRole('form', { name: 'What is wanted' });
  await wanted.getByLabel('input from').fill('22V');
  await wanted.getByLabel('to', { exact: true }).fill('26V');
  await wanted.getByLabel('output').fill('4x8V');
  await wanted.getByLabel('at', { exact: true }).fill('1A');
  await wanted.getByRole('button', { name: 'Look for designs' }).click();
  // What cannot be read is named, and stays as it was typed.
  await expect(page.getByRole('alert').filter({ hasText: 'Output' })).toBeVisible();
  await expect(wanted.getByLabel('output')).toHaveValue('4x8V');
  await wanted.getByLabel('output').fill('48V');
  await wanted.getByRole('button', { name: 'Look for designs' }).click();
  const says = page.getByRole('complementary', { name: 'Judgement' });
  await expect(says).toContainText(/Boost, 9\d\.\d % efficient/);
  await expect(says).toContainText(/Simulated with these parts: 48\sV/);
  await expect(page.getByRole('img', { name: /^Circuit/ })).toBeVisible();
  const parts = page.getByRole('table', { name: 'Parts, bin by bin' });
  await expect(parts.getByRole('row')).toHaveCount(7);
  // Another of the ways is looked at, and the best again.
  await says.getByRole('link', { name: /with a choke to buy/ }).click();
  await expect(says).toContainText('What is missing, and where it may be');
  await page.goBack();
  await says.getByRole('button', { name: 'Reserve all, as a build' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/48\sV at 1\sA out/);
  for (const role of ['choke', 'switch', 'rectifier', 'output capacitor', 'snubber capacitor'])
    await expect(page.getByRole('listitem', { name: role, exact: true })).toContainText('1 set aside');
  await expect(page.getByRole('listitem', { name: 'timing resistor' })).toBeVisible();
  // Its sheet prints, its deck runs elsewhere.
  const sheet = await page.request.get(
    (await page.getByRole('link', { name: 'Build sheet (PDF)' }).getAttribute('href')) ?? '',
  );
  expect([sheet.status(), sheet.headers()['content-type'], (await sheet.body()).subarray(0, 5).toString()]).toEqual([
    200,
    'application/pdf',
    '%PDF-',
  ]);
  const deck = await page.request.get((await page.getByRole('link', { name: /SPICE/ }).getAttribute('href')) ?? '');
  expect(await deck.text()).toMatch(/\.tran .*\n[\s\S]*\.end/);
});

test('from the mains a whole supply is named and the stages are shown; a core is wound for an output that floats', async ({
  page,
}) => {
  await page.goto('/builds/design');
  const wanted = page.getByRole('form', { name: 'What is wanted' });
  await wanted.getByLabel('input from').fill('mains');
  await wanted.getByLabel('output').fill('12V');
  await wanted.getByLabel('at', { exact: true }).fill('0.5A');
  await wanted.getByRole('button', { name: 'Look for designs' }).click();
  const says = page.getByRole('complementary', { name: 'Judgement' });
  await expect(says).toContainText('Do not build this: reuse a whole supply.');
  await expect(says).toContainText('creepage, reinforced');
  const stages = page.getByRole('list', { name: 'Stages from the mains to the output' });
  await expect(stages).toContainText(/peak of the switch\s*\d+\smA/u);
  await says.getByRole('link', { name: 'Whole supplies for it' }).click();
  await expect(page.getByRole('form', { name: 'What is wanted' }).getByLabel('volts')).toHaveValue('12V');
  await page.goto('/builds/design?from=20V&to=28V&out=12V&amps=1A&isolated=yes');
  await expect(says).toContainText('Winding sheet');
  await expect(says).toContainText(/turns of .* its end to the switch/);
});

test('needs are pasted with their duty, and lots that fit together are set aside for one', async ({ page }) => {
  await page.goto('/builds/new');
  await page.getByLabel('what it will be').fill('Fence light');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await page.getByRole('link', { name: 'bring a list of needs in' }).click();
  await page
    .getByLabel('Rows pasted here')
    .fill(
      'switch: nmos for 57V 2.6A 100kHz 45C\ninput: electrolytic 100u for 24V 0.5A ripple\nwhat: nmos duty 57V twelve',
    );
  await page.getByRole('button', { name: 'Read what is pasted' }).click();
  await expect(page.getByRole('table', { name: 'Needs that are added' })).toContainText(
    /under 57\sV, 2\.6\sA, 100\skHz/,
  );
  await expect(page.getByRole('table', { name: 'Refused lines' })).toContainText('“twelve” in a duty');
  await page.getByRole('button', { name: 'Take 2 in' }).click();
  // Held against its duty, with usual room.
  const forSwitch = page.getByRole('table', { name: 'Lots for switch' });
  await expect(forSwitch.getByRole('row').nth(1)).toContainText(/voltage 57\sV of 100\sV/);
  const together = page.getByRole('list', { name: 'Together for input' });
  await expect(together).toContainText(/47\sµF \+ 47\sµF = 94\sµF/);
  await together.getByRole('button', { name: 'Set aside together' }).first().click();
  await expect(page.getByRole('listitem', { name: 'input, 2 side by side' })).toContainText('2 set aside');
});

test('three supplies are stacked for a load that none gives alone, with what the stack wants', async ({ page }) => {
  await page.goto('/builds');
  await page.getByRole('link', { name: 'Use a whole supply' }).click();
  const wanted = page.getByRole('form', { name: 'What is wanted' });
  await wanted.getByLabel('volts').fill('12 bananas');
  await wanted.getByLabel('at', { exact: true }).fill('1A');
  await wanted.getByRole('button', { name: 'Look for supplies' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Volts' })).toBeVisible();
  await wanted.getByLabel('volts').fill('39.2V');
  await wanted.getByLabel('at', { exact: true }).fill('0.3A');
  await wanted.getByRole('button', { name: 'Look for supplies' }).click();
  const stacks = page.getByRole('region', { name: 'Stacks' });
  const three = stacks
    .getByRole('listitem')
    .filter({ hasText: /(?:\d+\sV \+ ){2}\d+\sV = 41\sV/ })
    .first();
  await expect(three).toContainText('In series');
  await expect(three).toContainText('A diode across each output');
  await expect(three).toContainText(/read ohms from each minus to each earth pin/);
  await wanted.getByLabel('volts').fill('12V');
  await wanted.getByLabel('at', { exact: true }).fill('1A');
  await wanted.getByLabel('isolated').check();
  await wanted.getByRole('button', { name: 'Look for supplies' }).click();
  await expect(page.getByRole('table', { name: 'Supplies' })).toContainText(/1\sA of 1\.5\sA/);
});
