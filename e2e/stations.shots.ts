import { spawnSync } from 'node:child_process';
import { expect, type Page } from '@playwright/test';
import { test as base, Notebook } from './notebook.ts';

const OUT = 'docs/screenshots';

const test = base.extend<{ notebook: Notebook }>({
  notebook: async ({ browserName: _ }, use) => {
    const notebook = new Notebook();
    spawnSync(process.execPath, ['dist/server/seed.js'], {
      env: { ...process.env, EARNEST_HOME: notebook.home },
      stdio: 'inherit',
    });
    await notebook.start();
    await use(notebook);
    await notebook.stop();
    notebook.dispose();
  },
});

async function settled(page: Page): Promise<void> {
  await page.waitForLoadState('networkidle');
  await page.evaluate(() => document.fonts.ready.then(() => undefined));
  await page.mouse.move(640, 790);
}

test('stations', async ({ page, notebook }) => {
  const shot = async (name: string) => {
    await settled(page);
    await page.screenshot({ path: `${OUT}/${name}.png` });
  };
  const batches = (await (await fetch(`${notebook.origin}/api/batches`)).json()) as { id: string; number: number }[];
  const batch = (number: number) => batches.find((each) => each.number === number)!.id;

  await page.goto(`${notebook.origin}/shelf`);
  await page.getByRole('link', { name: /Slabwright/ }).click();
  await page.getByLabel('The label says').fill('household ammonia 9,5% 2 L 4.20 bought march');
  await page
    .getByRole('button', { name: /^amount: .* mol\/L, open/ })
    .first()
    .click();
  await expect(page.getByRole('region', { name: /^Working/ })).toBeVisible();
  await shot('shelf');

  await page.goto(`${notebook.origin}/plan?make=60+g+zinc+sulfate`);
  await page.getByRole('button', { name: /^zinc to take/ }).click();
  await shot('plan');

  await page.goto(`${notebook.origin}/bench`);
  await expect(page.getByRole('link', { name: /zinc sulfate/ }).first()).toBeVisible();
  await shot('board');

  await page.goto(`${notebook.origin}/bench/week`);
  await page
    .getByRole('button', { name: /Boil down to/ })
    .first()
    .click();
  await expect(page.getByText('Why then')).toBeVisible();
  await page.locator('.week-line').scrollIntoViewIfNeeded();
  await shot('week');

  await page.goto(`${notebook.origin}/bench/${batch(14)}`);
  await expect(page.getByRole('article', { name: 'This step' })).toBeVisible();
  await shot('bench');

  await page.goto(`${notebook.origin}/bench/${batch(16)}?step=soda`);
  await expect(page.getByText(/^Next:/)).toBeVisible();
  await shot('add');

  await page.goto(`${notebook.origin}/bench/${batch(14)}?step=grow`);
  await page.getByRole('button', { name: 'Dish', exact: true }).click();
  await page.getByText('Once more').scrollIntoViewIfNeeded();
  await shot('dish');

  await page.goto(`${notebook.origin}/bench/${batch(14)}/accident`);
  await expect(page.getByRole('region', { name: 'What to do now' })).toBeVisible();
  await shot('accident');

  await page.goto(`${notebook.origin}/bench/${batch(19)}`);
  await expect(page.getByRole('region', { name: 'Why the current changed' })).toBeVisible();
  await shot('cell');

  await page.goto(`${notebook.origin}/bench/${batch(21)}`);
  await expect(page.getByRole('region', { name: 'The funnel' })).toBeVisible();
  await shot('funnel');

  await page.goto(`${notebook.origin}/plan/own`);
  await page.getByLabel('Make', { exact: true }).fill('40 g ammonium zinc sulfate');
  for (const name of ['Ridgeway Zinc', 'Dray', 'Moorlight'])
    await page.getByRole('button', { name: new RegExp(`^Take ${name}`) }).click();
  await page.getByRole('textbox', { name: 'Equation' }).fill('Zn + H2SO4 + NH3 -> (NH4)2Zn(SO4)2.6H2O + H2');
  await expect(page.getByRole('region', { name: 'What comes of it' })).toContainText('At most');
  await shot('own');

  await page.goto(`${notebook.origin}/assay`);
  await page
    .getByRole('row', { name: /Ammonia/ })
    .getByRole('link', { name: 'find it out' })
    .click();
  await page.getByRole('button', { name: /acid and base, to a colour; weighed/ }).click();
  await expect(page.getByRole('img', { name: /^pH from/ })).toBeVisible();
  await shot('assay-choose');

  await page.goto(`${notebook.origin}/assay`);
  await page
    .getByRole('row', { name: /Pool Brightener/ })
    .getByRole('link', { name: 'go on with it' })
    .click();
  const enter = async (label: string, value: string) => {
    await page.getByLabel(label).fill(value);
    await page.getByLabel(label).press('Enter');
  };
  for (const [sample, from, to] of [
    ['2.91', '160.00', '145.10'],
    ['2.88', '145.10', '130.41'],
  ] as const) {
    await enter('The sample weighs', sample);
    await enter('The dropper bottle weighs', from);
    await page.getByLabel('The dropper bottle weighs').fill(to);
    await page.getByRole('button', { name: /Sign seen/ }).click();
    await expect(page.getByLabel('The sample weighs')).toBeVisible();
  }
  await enter('The sample weighs', '2.90');
  await enter('The dropper bottle weighs', '130.41');
  await enter('The dropper bottle weighs', '116.20');
  await expect(page.getByText(/Slow down/)).toBeVisible();
  await shot('assay-run');

  await page.goto(`${notebook.origin}/record`);
  await expect(page.getByRole('row', { name: /sodium acetate/ }).first()).toBeVisible();
  await shot('record');

  await page.goto(`${notebook.origin}/record/${batch(5)}`);
  await expect(page.getByRole('region', { name: 'Yield' })).toBeVisible();
  await shot('batch');

  await page.goto(`${notebook.origin}/record/compare?batches=${batch(11)},${batch(12)}`);
  await expect(page.getByRole('row', { name: /^noted/ })).toBeVisible();
  await shot('compare');

  await page.goto(
    `${notebook.origin}/plan?make=hydrochloric+acid+from+400+mL+hydrochloric+acid&route=constant-boiling-acid`,
  );
  await page.getByRole('button', { name: 'Rehearse the distillation' }).click();
  const stage = page.getByRole('dialog', { name: /Rehearsal/ });
  await stage.getByText('600 ×').click();
  await expect(stage.locator('.heat')).toContainText(/[1-9]\d mL over/);
  await stage.getByRole('button', { name: 'Switch to receiver 2' }).click();
  await expect(stage.locator('.heat')).toContainText(/2\d\d mL over/);
  await stage.getByRole('button', { name: 'Switch to receiver 3' }).click();
  await expect(stage.locator('.heat')).toContainText(/5\d\d mL over/);
  await stage.getByRole('button', { name: 'Stop', exact: true }).click();
  await expect(stage.getByRole('region', { name: 'Review' })).toBeVisible();
  await shot('rehearsal');

  // Its instruments go on: the line to them stays open.
  await page.goto(`${notebook.origin}/bench/${batch(18)}`);
  await expect(page.getByRole('region', { name: 'What the run says' })).toContainText('readings fit');
  await page.evaluate(() => document.fonts.ready.then(() => undefined));
  await page.mouse.move(640, 790);
  await page.screenshot({ path: `${OUT}/still.png` });

  await page.setViewportSize({ width: 390, height: 780 });
  await page.goto(`${notebook.origin}/bench/${batch(15)}?step=acid`);
  await expect(page.getByRole('article', { name: 'This step' })).toBeVisible();
  await shot('bench-phone');
});
