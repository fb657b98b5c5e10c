import type { Page } from '@playwright/test';
import { readFirst, title } from './hand.ts';
import { expect, expectAccessible, open, openBottle, putBottles, test } from './notebook.ts';

const enter = async (page: Page, label: string, value: string) => {
  const field = page.getByLabel(label);
  await field.fill(value);
  await field.press('Enter');
};

/** One replicate of a titration out of a dropper bottle, to its sign. */
const replicate = async (page: Page, key: number, [sample, from, to]: readonly [string, string, string]) => {
  await expect(page.getByText(`replicate ${key} ·`)).toBeVisible();
  await enter(page, 'The sample weighs', sample);
  await enter(page, 'The dropper bottle weighs', from);
  await expect(page.getByText(/Run in to about|By drops|Slow down/)).toBeVisible();
  await page.getByLabel('The dropper bottle weighs').fill(to);
  await page.getByRole('button', { name: /Sign seen/ }).click();
};

test('a peroxide bottle is assayed by mass with three replicates, written on it, and a plan counts with it', async ({
  page,
  notebook,
}) => {
  await putBottles(
    page,
    'potassium permanganate 0.02 mol/L 500 mL',
    'iron sulfate heptahydrate 92% 2 kg 7.20',
    'battery acid 37% 1 L 7.90',
    'hydrogen peroxide 9% 500 mL 4.40',
    'ammonium sulfate 98% 1 kg 3.10',
  );
  await page.goto(`${notebook.origin}/plan?make=40+g+ferric+alum`);
  const asked = page.getByRole('button', { name: 'Keep as a plan' });
  await asked.click();
  await expect(page).toHaveURL(/\/plan\/batch_/);
  const kept = page.url();
  await page.goto(`${notebook.origin}/assay`);
  await page
    .getByRole('row', { name: /Hydrogen peroxide/ })
    .getByRole('link', { name: 'find it out' })
    .click();
  await page.getByRole('button', { name: /permanganate, its own colour; weighed/ }).click();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Begin' }).click();
  // Silly numbers are answered at the field, and nothing of what was entered is lost.
  await enter(page, 'The sample weighs', '-3');
  await expect(page.getByRole('alert')).toContainText('more than 0 g');
  await replicate(page, 1, ['3,81', '148,36', '127.90']);
  await replicate(page, 2, ['3.79', '127.90', '107.55']);
  // It is taken before the page is left.
  await expect(page.getByText('replicate 3 ·')).toBeVisible();
  await page.reload();
  await replicate(page, 3, ['3.80', '107.55', '87.15']);
  await expect(page.getByRole('heading', { name: /Replicates/ })).toContainText('mean ');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Write it on the bottle' }).click();
  await expect(page.getByText(/^Written: /)).toBeVisible();
  await page.getByRole('link', { name: 'the bottle' }).click();
  const sheet = page.getByRole('region', { name: /Sheet of/ });
  await expect(sheet).toContainText('3 replicates');
  await expect(sheet).toContainText('measured');
  await page.goto(kept);
  await expect(page.getByRole('list', { name: 'Found since this plan was kept' })).toContainText('was measured');
});

test('an acid is standardised against soda, then a base against the acid, its uncertainty carried along', async ({
  page,
}) => {
  await putBottles(page, 'soda ash 99.5% 500 g', 'hydrochloric acid 0.1 mol/L 1 L', 'sodium hydroxide 0.1 mol/L 1 L');
  await open(page);
  const choose = async (bottle: RegExp, way: RegExp) => {
    await page.getByRole('link', { name: /Assay/ }).click();
    await page.getByRole('row', { name: bottle }).getByRole('link', { name: 'find it out' }).click();
    await page.getByRole('button', { name: way }).click();
    await page.getByRole('button', { name: 'Begin' }).click();
  };
  await choose(/Hydrochloric acid/, /against a weighed standard; weighed/);
  await expect(page.getByText('Soda ash', { exact: true })).toBeVisible();
  await replicate(page, 1, ['5.40', '120.00', '99.90']);
  await replicate(page, 2, ['5.38', '120.00', '100.02']);
  await page.getByRole('button', { name: 'Write it on the bottle' }).click();
  await expect(page.getByText(/^Written:/)).toBeVisible();
  await choose(/Sodium hydroxide/, /acid and base, to a colour; weighed/);
  // The chain names the acid, how and when it was measured.
  await expect(page.getByRole('listitem').filter({ hasText: 'Hydrochloric acid' }).first()).toContainText('against');
  await replicate(page, 1, ['20.02', '120.00', '99.80']);
  await expect(page.getByRole('region', { name: 'Where the uncertainty comes from' })).toContainText('Soda ash: label');
});

test('a live simulated curve is followed and stopped at its end', async ({ page }) => {
  await open(page);
  await page.getByRole('button', { name: /Your bench/ }).click();
  const settings = page.getByRole('dialog');
  await settings.getByLabel('burette').check();
  await expectAccessible(page);
  await settings.getByRole('button', { name: 'Keep it' }).click();
  await expect(settings).toBeHidden();
  await putBottles(page, 'sodium hydroxide 0.1 mol/L 1 L');
  await openBottle(page, 'vinegar 5% 500 mL');
  await page.getByRole('link', { name: 'Find out how strong it is' }).click();
  await page.getByRole('button', { name: /acid and base, to a colour; by burette/ }).click();
  await page.getByRole('button', { name: 'Begin' }).click();
  await enter(page, 'The sample weighs', '2.00');
  await page.getByRole('button', { name: /Follow it with a pH probe/ }).click();
  await page.getByLabel('simulated, to practise').check();
  const headline = page
    .getByRole('status')
    .filter({ hasText: /mL|end|Read|Run|drops/ })
    .first();
  const probe = page.getByRole('region', { name: 'pH probe' });
  const add = async (name: string) => {
    const before = await probe.getByRole('status').textContent();
    await probe.getByRole('button', { name, exact: true }).click();
    await expect(probe.getByRole('status')).not.toHaveText(before ?? '');
  };
  for (let i = 0; i < 60; i++) {
    const says = (await headline.textContent()) ?? '';
    if (/The end was at/.test(says)) break;
    await add(/Slow down|the end is here/.test(says) ? '0.2 mL' : '1 mL');
  }
  await expect(headline).toContainText('The end was at');
  await expectAccessible(page);
  await page.getByRole('button', { name: /Sign seen/ }).click();
  await expect(page.getByRole('region', { name: 'Result' })).toContainText('%');
});

test('a portion is titrated within a run, and what it finds counts at once', async ({ page, notebook }) => {
  await putBottles(page, 'sodium hydroxide 98% 1 kg 6.80', 'hydrochloric acid 0.5 mol/L 1 L');
  await page.goto(`${notebook.origin}/plan?make=${encodeURIComponent('1 L of 0.5 mol/L sodium hydroxide')}`);
  await page.getByRole('button', { name: 'Take it to the bench' }).click();
  await expect(title(page)).toBeVisible();
  for (let i = 0; i < 5 && !/Make up/.test((await title(page).textContent()) ?? ''); i++) {
    await readFirst(page);
    const before = await title(page).textContent();
    await page.getByRole('button', { name: 'Step done' }).click();
    await expect(title(page)).not.toHaveText(before ?? '');
  }
  await expect(title(page)).toContainText('Make up');
  await page.getByRole('button', { name: 'Titrate a portion' }).click();
  await page.getByLabel('Portion of it').fill('10.00');
  await page.getByLabel('Used of it').fill('9.40');
  // 9.40 g of 0.5 mol/L acid (1.007 g/mL), M 40.00, in 10.00 g: 1.87 %.
  await expect(page.getByText(/That is/)).toContainText('1.8');
  await expectAccessible(page);
  await page.getByLabel('Used of it').press('Enter');
  await expect(page.getByRole('region', { name: 'Log' })).toContainText('strength 1.');
  await page.getByRole('button', { name: 'Step done' }).click();
  await expect(page.getByRole('region', { name: 'Log' })).toContainText('titration');
});
