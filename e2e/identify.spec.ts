import { expect, test, type Page } from './shop';
import { benchLine, donorCode, goTo, judgement } from './hands';

const parts = (page: Page) => page.getByRole('table', { name: 'Parts' });

/** Registers a unit that nothing is known of, and opens its parts log. */
async function freshBoard(page: Page, name: string): Promise<string> {
  await goTo(page, '/donors/new');
  await page.getByLabel('what it is').fill(name);
  await page.getByLabel('what the label says').fill('INPUT 100-240V~ 1.5A OUTPUT 24V 2.5A');
  await page.getByRole('button', { name: 'Put it on the bench' }).click();
  await expect(page).toHaveURL(/donors\/.{7}\/intake/);
  const code = /donors\/(.{7})/.exec(page.url())?.[1] ?? '';
  await goTo(page, `/donors/${code}/identify`);
  return code;
}

test('a board of 40 parts is logged by bench line alone', async ({ page }) => {
  await freshBoard(page, 'forty by line');
  for (const line of [
    'f1 input marked T3.15AL250V',
    'br1 bridge input marked KBP206',
    'c1 electrolytic 82u 400V 105C radial input',
    'cx1 x2 220n 275V input',
    'q1 nmos to-220 switch marked 12N65',
    't1 transformer',
    'u1 ic so-8 control marked UC3843B',
    'u2 optocoupler dip-4 marked PC817C',
    'r1..r12 10k 0805 control',
    'c11..c20 1000u 16V polymer secondary',
    'd1,d2,d5 marked 1N4007',
    'r20 100k clamp switch',
    'd6..d9 schottky smb marked SS34 secondary',
    'c30..c31 unpopulated secondary',
  ])
    await benchLine(page, line);
  await expect(parts(page).getByRole('row')).toHaveCount(1 + 40);
  await expect(judgement(page)).toContainText('of 38 parts are left to identify');
  await expect(judgement(page)).toContainText('They do not fit where they sit');
  await benchLine(page, 'undo');
  await expect(parts(page).getByRole('row')).toHaveCount(1 + 38);
  // What is clear is taken in one step; C11 to C20 stay to be looked at.
  await judgement(page)
    .getByRole('button', { name: /^Take the \d+ clear readings/ })
    .click();
  await expect(page.getByText(/clear readings are taken: /)).toBeVisible();
  await expect(parts(page).getByRole('row', { name: /^Q1 / })).toContainText('650 V');
});

test('a board of 40 parts is logged by mouse alone', async ({ page }) => {
  await freshBoard(page, 'forty by hand');
  const form = page.getByRole('form', { name: 'Log a part' });
  await page.getByRole('button', { name: 'point instead of typing' }).click();
  const keys = page.getByRole('group', { name: 'Keys to point at' });
  const press = (name: string) => keys.getByRole('button', { name, exact: true }).click();
  const write = async (into: string, text: string) => {
    await press(into);
    for (const letter of text) await press(letter === ' ' ? 'a blank' : letter);
  };
  const rows = [
    { kind: 'resistor', count: 12, values: '10K', block: 'control' },
    { kind: 'capacitor', count: 10, values: '100U 35V', case: 'radial', block: 'secondary' },
    { kind: 'diode', count: 8, marking: '1N4007', block: 'input' },
    { kind: 'N-FET', count: 2, marking: '12N65', case: 'TO-220', block: 'switch' },
    { kind: 'chip', count: 1, marking: 'UC3843', case: 'DIP-8', block: 'control' },
    { kind: 'optocoupler', count: 2, marking: 'PC817', case: 'DIP-4', block: 'control' },
    { kind: 'choke', count: 5, block: 'secondary' },
  ];
  let logged = 0;
  for (const row of rows) {
    await press(row.kind);
    if (row.case) await press(row.case);
    if (row.values) await write('values', row.values);
    if (row.marking) await write('marking', row.marking);
    for (let more = 1; more < row.count; more += 1) await press('one more');
    await form.getByLabel('block').selectOption(row.block);
    await form.getByRole('button', { name: 'Log it' }).click();
    logged += row.count;
    await expect(parts(page).getByRole('row')).toHaveCount(1 + logged);
  }
  expect(logged).toBe(40);
  await expect(parts(page).getByRole('row', { name: /^C10 / })).toContainText('100 µF 35 V');
  await expect(parts(page).getByRole('row', { name: /^Q2 / })).toContainText('12N65');
});

test('rows follow one another by keyboard: the reference counts on, and one is like the one above', async ({
  page,
}) => {
  await freshBoard(page, 'row after row');
  const form = page.getByRole('form', { name: 'Log a part' });
  const ref = form.getByLabel('part', { exact: true });
  await ref.fill('d11');
  await form.getByLabel('marking').fill('mbr20100ct');
  await expect(page.getByRole('status', { name: 'What the marking may mean' })).toContainText('20 A, 100 V Schottky');
  await form.getByLabel('marking').press('Enter');
  await expect(ref).toHaveValue('D12');
  await expect(ref).toBeFocused();
  await form.getByRole('button', { name: 'like the one above' }).click();
  await expect(parts(page).getByRole('row', { name: /^D12 / })).toContainText('MBR20100CT');
  await expect(ref).toHaveValue('D13');
});

test('worn print is read, a reading that does not fit its place is told, and the next one offered', async ({
  page,
}) => {
  const code = await freshBoard(page, 'worn and misread');
  await benchLine(page, 'q1 nmos to-220 switch marked 12N?5');
  await goTo(page, `/donors/${code}/identify?part=Q1`);
  await expect(judgement(page)).toContainText('taking the worn print as 12N65');
  await judgement(page).getByRole('button', { name: 'Take it' }).first().click();
  await expect(judgement(page).getByText('taken', { exact: true }).first()).toBeVisible();
  await expect(judgement(page)).toContainText('650 V');

  // Bare digits on the mains side cannot be a Schottky, and a 16 V capacitor cannot stand on 24 V.
  await benchLine(page, 'd3 diode to-220 marked 1660');
  await benchLine(page, 'd3 secondary schottky');
  await benchLine(page, 'c9 100u 16V secondary');
  await expect(page.getByText(/But does it fit\? The lowest rail is 24\sV/)).toBeVisible();
  await goTo(page, `/donors/${code}/identify?part=C9`);
  await expect(judgement(page)).toContainText('Either the reading or the place is wrong.');
  await goTo(page, `/donors/${code}/identify?part=D3`);
  await expect(judgement(page)).toContainText('To tell them apart: Diode mode');
});

test('a chip shows its pins from both sides; an unknown one is guessed by what its pins seem to be', async ({
  page,
}) => {
  const code = await freshBoard(page, 'chips');
  await benchLine(page, 'u1 ic dip-8 marked XK KA3842B 1348');
  await goTo(page, `/donors/${code}/identify?part=U1`);
  await expect(judgement(page)).toContainText('Set apart: XK (maker or lot), 1348 (date code)');
  const drawing = judgement(page).getByRole('group', { name: /^UC3842, seen from the top/ });
  await drawing.getByRole('button', { name: 'pin 7, VCC' }).click();
  await expect(judgement(page)).toContainText('electrolytic on it: dried out');
  const left = async () => (await judgement(page).getByRole('button', { name: 'pin 1, COMP' }).boundingBox())?.x ?? 0;
  const fromTop = await left();
  await judgement(page).getByRole('button', { name: 'the solder side' }).click();
  expect(await left()).toBeGreaterThan(fromTop);

  await benchLine(page, 'u2 ic dip-8 control');
  await goTo(page, `/donors/${code}/identify?part=U2`);
  const pins = page.getByRole('form', { name: 'Pins of U2' });
  for (const [pin, does] of [
    [3, 'current-sense'],
    [5, 'ground'],
    [6, 'gate'],
    [7, 'supply'],
  ] as const)
    await pins.getByLabel(`pin ${pin} seems to be`).selectOption(does);
  await pins.getByRole('button', { name: 'Save the pins' }).click();
  await expect(judgement(page).getByRole('list', { name: 'What it may be' })).toContainText('UC384');
  await expect(judgement(page).getByRole('list', { name: 'What it may be' })).not.toContainText('L6562');
});

test('a claim is made on a part, stands on the bench, and is settled with its reason', async ({ page }) => {
  const code = await freshBoard(page, 'claims');
  await benchLine(page, 'rp1 trimmer 1k');
  await benchLine(page, 'claim rp1 sets the current limit');
  await goTo(page, '/');
  await expect(judgement(page)).toContainText('claimed RP1: sets the current limit');
  await goTo(page, `/donors/${code}/identify?part=RP1`);
  await judgement(page).getByText('change its status').click();
  const move = page.getByRole('form', { name: 'Move on: sets the current limit' });
  await move.getByLabel('it is now').selectOption('supported');
  await move.getByLabel('because').fill('turning it moves the limit');
  await move.getByRole('button', { name: 'Save it' }).click();
  await expect(judgement(page)).toContainText('turning it moves the limit');
  await benchLine(page, 'settle rp1 2.1 A at the stop');
  await goTo(page, '/');
  await expect(judgement(page)).not.toContainText('RP1: sets the current limit');
});

test('what one donor taught is recalled on the next, and its place is shown on a photo', async ({ page }) => {
  const first = await freshBoard(page, 'the teacher');
  await benchLine(page, 'q1 nmos marked 9N95');
  await goTo(page, `/donors/${first}/identify?part=Q1`);
  await judgement(page).getByRole('button', { name: 'Take it' }).first().click();
  await expect(judgement(page)).toContainText('950 V');
  const second = await freshBoard(page, 'the pupil');
  // The number is known by now: it needs no word before it.
  await benchLine(page, 'q5 nmos 9n95');
  await expect(page.getByText(/this number is known, 2 ratings recalled/)).toBeVisible();
  await goTo(page, `/donors/${second}/identify?part=Q5`);
  await expect(judgement(page)).toContainText('The same marking was seen on');
  await expect(judgement(page).getByRole('link', { name: first })).toBeVisible();

  const code = await donorCode(page, 'label-printer');
  await goTo(page, `/donors/${code}/identify?part=BR1`);
  await judgement(page).getByRole('link', { name: 'show its place on a photo' }).click();
  await expect(page.getByLabel('Note of the pin')).toHaveValue('BR1');
  await page.getByRole('button', { name: 'Pin the middle' }).click();
  await expect(judgement(page).getByRole('list', { name: 'Pins' })).toContainText('BR1');
  await goTo(page, `/donors/${code}/identify?part=BR1`);
  await expect(judgement(page).getByRole('link', { name: /on the photo/ })).toBeVisible();
});
