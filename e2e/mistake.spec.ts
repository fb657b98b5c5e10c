import { done, log, weigh } from './hand.ts';
import { expect, expectAccessible, putBottles, test } from './notebook.ts';

test('the wrong bottle goes in: what comes off, how much of this room it is, and in how many minutes', async ({
  page,
  notebook,
}) => {
  await putBottles(
    page,
    'zinc 99% 900 g 14.00',
    'battery acid 37% 1 L 7.90',
    'sodium metabisulfite 97% 500 g 4.60',
    'baking soda 1 kg 2.10',
  );
  await page.goto(`${notebook.origin}/plan?make=60+g+zinc+sulfate`);
  await page.getByRole('button', { name: 'Take it to the bench' }).click();
  await done(page, 'of zinc');
  await weigh(page, '10');
  await done(page, /water/);
  await weigh(page, '60');
  await done(page, /acid/);
  await weigh(page, '60 g');
  // 20 g of 97 % metabisulfite are 0.102 mol, and twice as much of gas: 13.1 g, 4.9 L, 245 ppm of 20 m³.
  await page.getByRole('button', { name: 'Add something else' }).click();
  await page.getByLabel('What goes in').click();
  await page
    .locator('.ant-select-item-option')
    .filter({ hasText: /metabisulfite/i })
    .first()
    .click();
  await page.getByLabel('How much').fill('20');
  const why = page.getByLabel('Say why it is to go in all the same');
  if (await why.isVisible()) await why.fill('took the wrong tub');
  await page.getByRole('button', { name: 'It is in' }).last().click();
  await expect(log(page)).toContainText('20 g');
  const first = page.getByRole('alert', { name: 'Do this first' });
  await expect(first).toContainText(/sulfur dioxide/);
  await expect(first).toContainText(/1[23](\.\d)? g of sulfur dioxide, 2[45]\d ppm of this room/);
  await expect(first).toContainText(/beyond its limit in/);
  await expectAccessible(page);
  await page.getByRole('link', { name: 'It went wrong' }).click();
  const now = page.getByRole('region', { name: 'What to do now' });
  await expect(now.getByText('Leave.')).toBeVisible();
  await expect(now).toContainText(/sulfur dioxide/);
});

test('a name that may be opposite things is asked about, and the law is one line that unfolds', async ({
  page,
  notebook,
}) => {
  await page.goto(`${notebook.origin}/shelf`);
  const label = page.getByLabel('The label says');
  await label.fill('acid lye cleaner 500 mL');
  await expect(page.getByText(/is sold as more than one thing/)).toBeVisible();
  await label.fill('acetone oxime 250 g');
  await expect(
    page.getByText('I read only “acetone” of “acetone oxime”. Is it acetone and nothing else?'),
  ).toBeVisible();
  await label.fill('hydrogen peroxide 35% 1 L 14.00');
  await page.getByRole('button', { name: 'correct …' }).waitFor();
  await label.press('Enter');
  await page
    .getByRole('link', { name: /hydrogen peroxide/i })
    .first()
    .click();
  const law = page.getByText('Rules on it hold in some countries');
  await expect(law).toBeVisible();
  await expect(page.getByText(/set your country in the bench settings/)).toBeHidden();
  await law.click();
  await expect(page.getByText(/set your country in the bench settings/)).toBeVisible();
});
