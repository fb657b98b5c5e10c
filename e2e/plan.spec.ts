import { expect, expectAccessible, open, putBottles, test } from './notebook.ts';

test('each of the three routes is planned, live, with its working and cautions', async ({ page }) => {
  await putBottles(
    page,
    'hydrochloric acid 28% 5 L 11.50',
    'vinegar 8% 5 L',
    'washing soda crystals 100% 1kg',
    'zinc 99% 900 g 14.00',
    'battery acid 37% 1 L 7.90',
  );
  await open(page);
  await page.getByRole('link', { name: /Plan/ }).click();
  const target = page.getByLabel('Make', { exact: true });
  const shelf = page.getByRole('region', { name: 'From the shelf' });
  const outcome = page.getByRole('region', { name: 'What comes of it' });

  // With nothing asked for yet, the shelf says what it can make, and what it lacks one product for.
  const makeable = page.getByRole('region', { name: 'From this shelf' });
  await expect(makeable.getByRole('button', { name: /^zinc sulfate heptahydrate up to about \d+ g/ })).toBeVisible();
  await expect(page.getByRole('region', { name: 'One product more opens' })).toBeVisible();
  await expectAccessible(page);
  await makeable.getByRole('button', { name: /^zinc sulfate heptahydrate/ }).click();
  await expect(target).toHaveValue(/^\d+ g zinc sulfate heptahydrate$/);
  await expect(page.getByRole('button', { name: 'Take it to the bench' })).toBeEnabled();

  await target.fill('1.5 L of 2 mol/L hydrochloric acid');
  await expect(shelf.getByRole('button', { name: /^acid to take, volume: 343 mL/ })).toBeVisible();
  await expect(outcome).toContainText('2.00 ± 0.08 mol/L');
  await expect(page.getByRole('region', { name: 'Cautions' })).toContainText('Acid into water');
  await shelf.getByRole('button', { name: /^acid to take, volume: 343 mL/ }).click();
  await expect(page.getByRole('region', { name: /Working/ })).toContainText('100 × n × M ÷ w');
  await expectAccessible(page);

  await target.fill('sodium acetate from 250 mL vinegar');
  await expect(shelf.getByRole('button', { name: /48\.11 g/ })).toBeVisible();
  await expect(page.locator('.gauges')).toContainText('4.0 L');
  await expect(page.getByRole('region', { name: 'Cautions' })).toContainText('Foam');

  await target.fill('60 g zinc sulfate');
  await expect(page.getByText('Zn + H₂SO₄ → ZnSO₄ + H₂')).toBeVisible();
  const zinc = shelf.getByRole('button', { name: /^zinc to take/ });
  const before = await zinc.textContent();
  await page.getByRole('slider', { name: /^cool to/ }).focus();
  for (let i = 0; i < 12; i++) await page.keyboard.press('ArrowRight');
  await expect(zinc).not.toHaveText(before!);
  await expect(shelf).toContainText('18 °C');
  await expectAccessible(page);

  await expect(outcome).toContainText(/Monte Carlo, 10,000 samples: 95 % between/);
  await page.getByLabel('Good enough within ±').fill('2');
  await expect(outcome).toContainText('Not yet:');
  await page.getByLabel('Good enough within ±').fill('20');
  await expect(outcome).toContainText('Good enough:');

  await page.getByRole('button', { name: 'Keep as a plan' }).click();
  await expect(page).toHaveURL(/\/plan\/batch_/);
  await expect(shelf).toContainText('18 °C');
  await page.reload();
  await expect(shelf).toContainText('18 °C');
});

test('targets that cannot be are explained', async ({ page }) => {
  await putBottles(page, 'hydrochloric acid 28% 5 L');
  await open(page);
  await page.getByRole('link', { name: /Plan/ }).click();
  const target = page.getByLabel('Make', { exact: true });
  for (const [text, said] of [
    ['zinc sulfate', 'How much?'],
    ['60 g phlogiston', 'No substance known'],
    ['60 g zinc sulfate', 'No zinc on the shelf'],
    ['1 L of 35 % hydrochloric acid', 'water cannot make it stronger'],
    ['1 L hydrochloric acid', 'How strong should'],
    ['500 L of 1 % hydrochloric acid', 'At most 20 L'],
    ['10 g silver nitrate', 'No route here makes'],
  ] as const) {
    await target.fill(text);
    await expect(page.getByText(said).first()).toBeVisible();
  }
});

test('a bottle that is missing is supposed, priced, and put on the shelf from the plan itself', async ({ page }) => {
  await putBottles(page, 'zinc 99% 900 g 14.00');
  await open(page);
  await page.getByRole('link', { name: /Plan/ }).click();
  await page.getByLabel('Make', { exact: true }).fill('60 g zinc sulfate');
  await expect(page.getByText(/on the shelf: put .* on it first/).first()).toBeVisible();
  const bench = page.getByRole('button', { name: 'Take it to the bench' });
  await expect(bench).toHaveCount(0);
  const label = page.getByLabel('The bottle that is missing says');
  const suppose = page.getByRole('button', { name: 'Only suppose I had it' });
  await label.fill('a cup of something');
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.locator('.missing-bottle .problem').first()).toBeVisible();
  await expect(suppose).toBeDisabled();
  await label.fill('battery acid 37% 1 L 7.90');
  await expectAccessible(page);
  await suppose.click();

  // All is computed, its cost too; but nothing can be taken to the bench that is not there.
  const supposed = page.getByRole('region', { name: 'Supposed bottles' });
  await expect(supposed).toContainText('battery acid 37% 1 L 7.90');
  await expect(page.getByRole('region', { name: 'What comes of it' })).toContainText(/g/);
  await expect(bench).toBeDisabled();
  await expectAccessible(page);
  await supposed.getByRole('button', { name: 'No longer suppose it' }).click();
  await expect(bench).toHaveCount(0);
  await label.fill('battery acid 37% 1 L 7.90');
  await suppose.click();
  await supposed.getByRole('button', { name: 'Now it is: put it there' }).click();
  await expect(supposed).toBeHidden();
  await expect(bench).toBeEnabled();
  await page.getByRole('link', { name: 'Shelf' }).first().click();
  await expect(page.getByRole('link', { name: /Battery acid/ })).toHaveCount(1);
});
