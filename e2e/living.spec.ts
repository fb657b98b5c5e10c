import type { Page } from '@playwright/test';
import { done, dryAndClose, log, read, readFirst, says, weigh } from './hand.ts';
import { expect, expectAccessible, type Notebook, putBottles, test } from './notebook.ts';

/** From the target to zinc and acid in the vessel. */
async function begin(page: Page, notebook: Notebook): Promise<void> {
  await page.goto(`${notebook.origin}/plan?make=20+g+zinc+carbonate`);
  await page.getByRole('button', { name: 'Take it to the bench' }).click();
  await done(page, 'of zinc');
  await weigh(page, '12,7');
  await done(page, 'of water');
  await weigh(page, '90');
  await done(page, 'of acid');
  await weigh(page, '61 g');
  await done(page, 'let it dissolve');
}

test('zinc carbonate twice: by the dose, with a stall and a wash inserted; by the endpoint, with a portion and a surprise', async ({
  page,
  notebook,
}) => {
  await putBottles(page, 'zinc 99% 900 g 14.00', 'battery acid 37% 1 L 7.90', 'washing soda crystals 100% 1 kg 2.10');

  // By the sheet. The zinc stops dissolving: its acid is weaker than its label.
  await begin(page, notebook);
  await read(page, 'solid left', '3,6');
  await read(page, 'solid left', '2,2');
  await read(page, 'solid left', '2,2');
  // 10.5 g of 99 % zinc: 0.15900 mol; × 98.078 ÷ 61 g = 25.56 %.
  await expect(says(page)).toContainText('was 25.6 ± 0.');
  await expect(says(page)).toContainText('How far: 8');
  await page.getByRole('button', { name: /Enter it as an assay of Battery acid/ }).click();
  await expect(says(page)).toContainText('Entered on the bottle.');
  await done(page, 'Filter off the specks');
  // No acid is left for the soda to take: 0.15900 × 1.05 × 286.14 = 47.8 g.
  await done(page, 'Add 47.7');
  await expectAccessible(page);
  await page.getByRole('button', { name: '9.5 g went in' }).click();
  for (const portion of ['9,5', '9.5', '9.5 g']) {
    await page.getByLabel('Or really went in').fill(portion);
    await page.getByRole('button', { name: 'It is in' }).click();
  }
  await expect(log(page).getByText(/^Washing soda crystals 9.5 g/i)).toHaveCount(4);
  await page.getByLabel('Or really went in').fill('11');
  await page.getByRole('button', { name: 'It is in' }).click();
  await expect(page.getByText('All is in. Test.').or(page.getByText(/Past the window/))).toBeVisible();
  await done(page, 'let it settle');
  await done(page, 'Filter off the carbonate');
  await page.getByRole('button', { name: 'Change the run' }).click();
  await page.getByLabel('New step').fill('Wash cold, once more');
  await page.getByLabel('Why').fill('it clouded barium chloride');
  await page.getByRole('button', { name: 'Insert it' }).click();
  // The step ends only once what follows it is there.
  await expect(page.getByText('Wash cold, once more').first()).toBeVisible();
  await done(page, 'Wash cold, once more');
  await page.getByRole('button', { name: 'Add something else' }).click();
  await page.getByLabel('How much').fill('50');
  await page.getByRole('button', { name: 'It is in' }).click();
  await expect(log(page)).toContainText('water 50 g');
  await page.getByLabel('For next time').fill('Less acid, or a fresher bottle.');
  await page.getByRole('button', { name: 'keep' }).click();
  await expect(page.getByRole('region', { name: 'Learnt before' })).toContainText('a fresher bottle');
  await done(page, 'Wash with hot water');
  await done(page, 'to constant mass');
  await dryAndClose(page, '16.1');
  // 0.15900 ÷ 5 × 549.0 = 17.46 g at best.
  const outcome = page.getByRole('region', { name: 'Yield' });
  await expect(outcome).toContainText('92');
  await expect(outcome).toContainText('17.4');
  await expect(outcome).toContainText('Battery acid');
  await expect(page.getByRole('article')).toContainText('Wash cold, once more');
  await expect(page.getByRole('article')).toContainText('± 1.0 h');
  await expectAccessible(page);

  // To the endpoint. The acid's new strength is in the plan.
  await begin(page, notebook);
  await done(page, 'Filter off the specks');
  await done(page, 'of Washing soda crystals in portions');
  await page.getByRole('button', { name: 'Test portion' }).click();
  await page.getByLabel('Taken out').fill('5 mL');
  await page.getByLabel('For', { exact: true }).fill('how much soda');
  await page.getByRole('button', { name: 'Book it' }).click();
  await page.getByRole('button', { name: 'Enter what it took' }).click();
  await page.getByLabel('It took, to its endpoint').fill('1,8');
  await page.getByRole('button', { name: 'Scale it' }).click();
  await expect(page.getByRole('list', { name: 'Test portions' })).toContainText('For the whole batch');
  await page.getByRole('button', { name: 'It went back in' }).click();
  await expect(page.getByRole('list', { name: 'Test portions' })).toContainText('back in the vessel');
  await page.getByLabel('Or really went in').fill('30');
  await page.getByRole('button', { name: 'It is in' }).click();
  await page.getByRole('button', { name: 'Surprise' }).click();
  await page.getByRole('button', { name: 'foam climbing' }).click();
  await expect(page.getByRole('list', { name: /^Causes/ })).toContainText('carbonate going in too fast');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'foam to a third' }).click();
  await page.getByRole('button', { name: 'still fizzes', exact: true }).click();
  await page.getByLabel('Or really went in').fill('16');
  await page.getByRole('button', { name: 'It is in' }).click();
  await page.getByRole('button', { name: 'no longer fizzes' }).click();
  await page.getByRole('button', { name: 'green, 7 to 8' }).click();
  await expect(says(page)).toContainText('How far:');
  await expect(log(page)).toContainText('pH 7 to 8');
  await done(page, 'let it settle');
  await done(page, 'Filter off the carbonate');
  await done(page, 'Wash with hot water');
  await expect(page.getByRole('region', { name: 'Learnt before' })).toBeVisible();
  await done(page, 'to constant mass');
  await dryAndClose(page, '15.9');
  const record = page.getByRole('article');
  await expect(record).toContainText('seen: foam climbing');
  await expect(record).toContainText('5 mL for how much soda, returned; for the whole batch');
  await expect(record).toContainText('Washing soda crystals 16 g');
  await page.keyboard.press('5');
  await expect(page.getByRole('row', { name: /zinc carbonate/ })).toHaveCount(2);
});

test('a run is split and joined, and something else goes in only when it may', async ({ page, notebook }) => {
  await putBottles(
    page,
    'zinc 99% 900 g 14.00',
    'battery acid 37% 1 L 7.90',
    'washing soda crystals 100% 1 kg 2.10',
    'bleach sodium hypochlorite 5% 1 L',
  );
  await begin(page, notebook);
  await page.getByRole('button', { name: 'Add something else' }).click();
  await page.getByLabel('What goes in').click();
  await page.getByTitle(/hypochlorite|bleach/i).click();
  await page.getByLabel('How much').fill('10');
  await expect(page.getByRole('alert').filter({ hasText: 'Not together' })).toContainText('chlorine');
  await expect(page.getByRole('button', { name: 'It is in' })).toBeDisabled();
  await expectAccessible(page);
  // What has happened is taken, and said first; taken back, it is gone.
  await page.getByRole('button', { name: 'It has gone in already' }).click();
  const first = page.getByRole('alert', { name: 'Do this first' });
  await expect(first).toContainText(/sodium hypochlorite.*in it together.*chlorine/);
  await expect(first).toContainText('Put nothing more in');
  await expect(first).toBeInViewport();
  await expect(log(page)).toContainText('it had gone in already');
  await expectAccessible(page);
  await page.reload();
  await expect(first).toBeVisible();
  const entry = log(page).getByRole('listitem').filter({ hasText: 'it had gone in already' });
  await entry.getByRole('button', { name: 'correct' }).click();
  await entry.getByRole('button', { name: /strike/ }).click();
  await expect(first).toBeHidden();
  await done(page, 'Filter off the specks');
  await page.getByRole('button', { name: 'Change the run' }).click();
  await page.getByText('split', { exact: true }).click();
  await page.getByLabel('Part that goes').fill('40');
  await page.getByRole('button', { name: 'Split it' }).click();
  await expect(page.getByText('batch 2')).toBeVisible();
  await expect(log(page)).toContainText('joined by what came from batch 1');
  await expect(page.getByRole('region', { name: 'As it stands' })).toContainText('zinc sulfate');
  await page.getByRole('button', { name: 'Change the run' }).click();
  await page.getByText('join', { exact: true }).click();
  await page.getByLabel('Batch that comes in').click();
  await page.getByTitle(/^1, /).click();
  await page.getByRole('button', { name: 'Join it' }).click();
  await expect(log(page).getByText('joined by what came from batch 1')).toHaveCount(2);
});

test('an alarm is seen, the type can be large, and one who works alone is asked', async ({ page, notebook }) => {
  await putBottles(page, 'zinc 99% 900 g 14.00', 'battery acid 37% 1 L 7.90', 'washing soda crystals 100% 1 kg 2.10');
  await begin(page, notebook);
  await page.getByRole('link', { name: /Warm to 60/ }).click();
  await readFirst(page);
  await page.getByRole('button', { name: 'Begin' }).click();
  await read(page, 'temperature', '93');
  await expect(page.getByRole('alert').filter({ hasText: 'above the ceiling of 80' })).toBeVisible({ timeout: 40_000 });
  await page.keyboard.press('Escape');
  await page.locator('body').press('?');
  const large = page.getByRole('switch', { name: 'Large type' });
  await large.press('Space');
  await expect(large).toBeChecked();
  await expect(page.locator('html')).toHaveAttribute('data-type', 'large');
  await page.getByText('15', { exact: true }).click();
  await page.getByRole('button', { name: 'Close' }).click();
  await page.clock.install();
  await page.clock.fastForward('16:00');
  await expect(page.getByRole('dialog', { name: 'Are you well?' })).toBeVisible({ timeout: 20_000 });
  await page.getByRole('button', { name: 'I am' }).click();
  await expect(page.getByRole('dialog', { name: 'Are you well?' })).toBeHidden();
});
