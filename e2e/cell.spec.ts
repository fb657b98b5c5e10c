import type { Page } from '@playwright/test';
import { done, log, pick, readFirst, title, weigh } from './hand.ts';
import { expect, expectAccessible, putBottles, test } from './notebook.ts';

const cellOf = (page: Page) => page.getByRole('region', { name: 'The cell' });

/** Both sides filled and the strap hung, as the sheet asks. */
async function fill(page: Page): Promise<void> {
  for (const [next, grams] of [
    [/Dissolve it in .* of water/, null],
    [/Soak the pot/, null],
    [/Into the pot/, null],
    [/And .* of water/, null],
    [/of copper and hang it/, null],
    [/Plus to the copper/, '16'],
    [/Run it to/, null],
  ] as const) {
    if (grams) await weigh(page, grams);
    await done(page, next);
  }
}

test.describe('with instruments that run fast', () => {
  test.use({ pace: 6 });

  test('a cell is planned, run on simulated instruments with a top-up, its falling current found out, ended by its charge, and comes to a bottle', async ({
    page,
    notebook,
  }) => {
    await putBottles(page, 'magnesium sulfate heptahydrate 99% 2 kg 6.00', 'copper 99% 400 g 6.50');
    await page.goto(`${notebook.origin}/plan?make=12+g+copper+sulfate`);
    await page.getByRole('button', { name: /copper dissolved at the anode/ }).click();
    const cell = cellOf(page);
    await expect(cell).toContainText(/A·h in all/);

    // What cannot be, first: a supply that alternates, and no area at all.
    await cell.getByRole('button', { name: /Your cell/ }).click();
    await pick(cell.getByRole('combobox', { name: 'Supply' }), 'transformer, AC');
    await expect(page.getByText(/alternating current/).first()).toBeVisible();
    await pick(cell.getByRole('combobox', { name: 'Supply' }), 'bench supply, with a current limit');
    await expect(cell).toContainText(/A·h in all/);
    const area = cell.getByLabel('Anode under the liquid');
    await area.fill('0');
    await area.press('Tab');
    await expect(cell.getByText(/0\.1|between|at least/).first()).toBeVisible();
    await area.fill('40');
    await cell.getByLabel('Volts', { exact: true }).fill('4,2');
    await cell.getByLabel('Volts', { exact: true }).press('Tab');
    await cell.getByRole('button', { name: '0.80' }).click();
    await expect(cell).toContainText('4.2 V');
    await expect(cell.getByRole('heading', { name: 'Which supply is enough' })).toBeVisible();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Take it to the bench' }).click();

    await expect(title(page)).toContainText('Epsom salt into the jar');
    await fill(page);
    await readFirst(page);
    const bench = cellOf(page);
    await expect(bench).toContainText('Current on, then read');

    // Nonsense in the fields of a look is told, and nothing is entered.
    await bench.getByLabel('amps').fill('-0.3');
    await bench.getByRole('button', { name: 'Log the look' }).click();
    await expect(bench.getByRole('alert')).toContainText(/below zero/);
    await bench.getByLabel('amps').fill('420');
    await bench.getByRole('button', { name: 'Log the look' }).click();
    await expect(bench.getByRole('alert')).toContainText(/mA/);
    await bench.getByLabel('amps').fill('');

    await bench.getByRole('button', { name: 'Current is on' }).click();
    await bench.getByRole('button', { name: 'simulated ones' }).click();
    await pick(bench.getByRole('combobox', { name: 'Speed of the feed' }), '300 ×');
    await expect(bench).toContainText(/by charge/);
    // Salt runs short in the pot: it asks for more before the current is gone.
    await expect(bench.getByText(/into the pot/)).toBeVisible({ timeout: 120_000 });
    await bench.getByRole('button', { name: 'pause' }).click();
    await expect(bench.getByRole('region', { name: 'Why the current changed' })).toBeVisible();
    // One reading decides: nearly all of the volts stand across the wall.
    const probe = bench.getByLabel('Volts across the divider');
    await probe.fill('many');
    await bench.getByRole('button', { name: 'Enter it' }).click();
    await expect(bench.getByText('Write it like 1.4 V.')).toBeVisible();
    await probe.fill('2,9');
    await bench.getByRole('button', { name: 'Enter it' }).click();
    await expect(
      bench.getByRole('region', { name: 'Why the current changed' }).getByRole('listitem').first(),
    ).toContainText('the divider clogs');
    await bench.getByRole('button', { name: 'It is in' }).click();
    await expect(log(page)).toContainText('into the cathode side');
    await expect(bench.getByText(/, into the pot\./)).toBeHidden();
    await expectAccessible(page);
    await pick(bench.getByRole('combobox', { name: 'Speed of the feed' }), '600 ×');
    await bench.getByRole('button', { name: 'go on' }).click();

    // By its charge it is done.
    await expect(bench.getByRole('button', { name: 'Switched off', exact: true })).toBeVisible({ timeout: 240_000 });
    await bench.getByRole('button', { name: 'Switched off', exact: true }).click();
    await expect(log(page)).toContainText(/charge .* A·h/);
    await page
      .getByRole('navigation', { name: 'Steps of this run' })
      .getByRole('link', { name: /lift the pot out/ })
      .click();
    await expect(title(page)).toContainText('lift the pot out');
    await done(page, 'Filter the blue');
    await done(page, 'Boil down');
    await done(page, 'Cool');
    await done(page, 'Filter off and rinse');
    await done(page, 'Dry in air');
    await page.getByRole('button', { name: 'Weigh it' }).click();
    await page.getByLabel('Product weighs').fill('11,4');
    await page.getByRole('button', { name: 'Enter it', exact: true }).click();
    await done(page, 'Weigh, and into a jar');
    await readFirst(page);
    await page.getByRole('button', { name: 'Step done' }).click();
    await page.getByRole('link', { name: 'See its record' }).click();
    await expect(page.getByRole('region', { name: 'Yield' })).toContainText('%');
    await page.getByRole('button', { name: 'Put it on the shelf' }).click();
    await expect(page.getByRole('link', { name: 'On the shelf' })).toBeVisible();
  });
});

test('a cell is read by hand: late, coarse, one of nothing, and what is seen set beside the charge', async ({
  page,
  notebook,
}) => {
  await putBottles(page, 'copper sulfate pentahydrate 99% 1 kg 9.00');
  await page.goto(`${notebook.origin}/plan?make=${encodeURIComponent('250 mL 0.4 mol/L sulfuric acid')}`);
  await page.getByRole('button', { name: /copper sulfate electrolysed/ }).click();
  await page.getByRole('button', { name: 'Take it to the bench' }).click();
  await expect(title(page)).toContainText('of copper sulfate');
  await done(page, 'Dissolve it');
  await done(page, 'Hang the electrodes');
  await done(page, 'Run it');
  await readFirst(page);
  const bench = cellOf(page);
  await bench.getByRole('button', { name: 'Current is on' }).click();
  await bench.getByLabel('volts').fill('3,2');
  await bench.getByLabel('amps').fill('0,6');
  await bench.getByLabel('warmth').fill('22');
  await bench.getByRole('button', { name: 'Log the look' }).click();
  await expect(bench).toContainText(/By charge 0/);
  // A look of yesterday, before the current was on, is not taken.
  await bench.getByText('earlier', { exact: true }).click();
  await bench.getByLabel('amps').fill('0,6');
  await bench.getByRole('button', { name: 'Log the look' }).click();
  await expect(bench.getByRole('alert')).toContainText('How long ago');
  await bench.getByLabel('how long ago').fill('1 d');
  await bench.getByRole('button', { name: 'Log the look' }).click();
  await expect(bench.getByRole('alert')).toContainText('before the current was on');
  await bench.getByText('now', { exact: true }).click();
  await bench.getByLabel('amps').fill('');
  // A meter counted four hours of it.
  await bench.getByLabel('A·h, by a meter').fill('2,4');
  await bench.getByRole('button', { name: 'Log the look' }).click();
  // 0.101 mol × 2 × 96485 ÷ 3600 ÷ 0.8 = 6.8 A·h: 35 %.
  await expect(bench).toContainText(/By charge 3[4-7]/);
  // It looks half as strong as that: they do not agree, and it is said.
  await bench.getByLabel('strength seen').fill('0.4 ± 0.1');
  await bench.getByRole('button', { name: 'Log the look' }).click();
  await expect(bench).toContainText(/do not agree/);
  await bench.getByLabel('amps').fill('0');
  await bench.getByRole('button', { name: 'Log the look' }).click();
  await expect(bench).toContainText(/No current flows/);
  await expectAccessible(page);
  // Stopped long before its end, by the step’s own button: the next step has its turn.
  await page.getByRole('button', { name: 'Step done' }).click();
  await expect(title(page)).toContainText('lift the cathode out');
  await expect(log(page)).toContainText(/charge 2.4/);
});
