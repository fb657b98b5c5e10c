import type { Page } from '@playwright/test';
import { pick, readFirst } from './hand.ts';
import { expect, expectAccessible, putBottles, test } from './notebook.ts';

const ACID = 'plan?make=hydrochloric+acid+from+400+mL+hydrochloric+acid';

/** Steps up to the boil, each as it is asked for. */
async function upToTheBoil(page: Page) {
  for (const title of [
    /Outdoors, vent led away/,
    /of water in the flask/,
    /of acid, stirring/,
    /Put the still together/,
    /Bring to the boil/,
  ]) {
    await page.getByRole('navigation', { name: 'Steps of this run' }).getByRole('link', { name: title }).click();
    await readFirst(page);
    await page.getByRole('button', { name: 'Step done' }).click();
  }
}

test('a cut is dragged on the plan, run on simulated instruments with the page closed in between, and booked', async ({
  page,
  notebook,
}) => {
  await putBottles(page, 'hydrochloric acid 28% 5 L 11.50');
  await page.goto(`${notebook.origin}/${ACID}`);
  await page.getByRole('button', { name: /constant-boiling cut/ }).click();
  const still = page.getByRole('region', { name: 'The still' });
  await expect(still).toContainText('azeotrope 20.2 %');
  // By hand on the mark, then by keys.
  const mark = still.getByRole('slider', { name: 'Change 2 to 3' });
  await mark.scrollIntoViewIfNeeded();
  const before = Number(await mark.getAttribute('aria-valuenow'));
  const now = async () => Number(await mark.getAttribute('aria-valuenow'));
  // A hand that misses the mark, while the page still settles around it, takes it again.
  await expect(async () => {
    const box = (await mark.boundingBox())!;
    await page.mouse.move(box.x + box.width / 2, box.y + 8);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2 + 60, box.y + 8, { steps: 6 });
    await page.mouse.up();
    await expect.poll(now, { timeout: 3000 }).toBeGreaterThan(before + 30);
  }).toPass();
  const dragged = Number(await mark.getAttribute('aria-valuenow'));
  await mark.focus();
  await page.keyboard.press('PageDown');
  await expect.poll(async () => Number(await mark.getAttribute('aria-valuenow'))).toBeLessThan(dragged - 15);
  // The planner’s own proposal, taken.
  const planner = page.getByRole('region', { name: 'Cut planner' });
  await planner.getByText('at least this strong').click();
  await planner.getByRole('slider', { name: 'Strength wanted, %' }).fill('20');
  await expect(planner).toContainText('20.0 %');
  await planner.getByRole('button', { name: 'Switch there' }).click();
  await expect(still.getByRole('row', { name: /receiver 3/ })).toContainText(/20\.|19\.9/);
  await planner.getByRole('slider', { name: 'Strength wanted, %' }).fill('25');
  await expect(planner).toContainText('No cut of this charge comes to that');
  await expectAccessible(page);

  await page.getByRole('button', { name: 'Take it to the bench' }).click();
  await upToTheBoil(page);
  await page.getByRole('button', { name: 'simulated ones' }).click();
  await expect(page.getByText(/^simulated feed/)).toBeVisible();
  await page.getByRole('combobox', { name: 'Speed of the feed' }).click();
  await page.getByTitle('600 ×').click();
  const scene = page.getByRole('region', { name: 'The still' });
  await expect(scene).toContainText(/Switch to receiver 2 in about|Switch to receiver 2 now/);
  const url = page.url();
  const feed = async () =>
    (await (await page.request.get(`${notebook.origin}/api/batches/${/batch_[^?/]+/.exec(url)![0]}/feed`)).json()) as {
      status: { last: number };
    };
  const seen = (await feed()).status.last;
  await page.goto(`${notebook.origin}/shelf`);
  await expect.poll(async () => (await feed()).status.last).toBeGreaterThan(seen + 8);
  await page.goto(url);
  await expect(page.getByRole('region', { name: 'What the run says' })).toContainText(/readings fit a charge of/);
  await page.getByRole('button', { name: 'pause' }).click();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Switch now' }).click();
  await expect(page.getByRole('region', { name: 'The still' })).toContainText(/receiver 3/);
  const table = page.getByRole('region', { name: 'The still' }).getByRole('table');
  await expect(table.getByRole('row', { name: /1 booked/ })).toBeVisible();
  // Measured, it counts as measured; nonsense is answered at the field.
  await table.getByRole('button', { name: 'measure' }).click();
  await page.getByLabel('Strength of receiver 1, %').fill('140');
  await page.getByLabel('Strength of receiver 1, %').press('Enter');
  await expect(table).toContainText('A strength is 0 to 100 %');
  await page.getByLabel('Strength of receiver 1, %').fill('11,5');
  await page.getByLabel('Strength of receiver 1, %').press('Enter');
  await expect(table.getByRole('button', { name: 'measured' })).toBeVisible();
  await expect(page.locator('.still-balance')).toContainText('= 100 %');
  await page.getByRole('button', { name: 'go on' }).click();
  await page
    .getByRole('button', { name: 'Log head' })
    .or(page.getByRole('button', { name: 'other' }))
    .first()
    .click();
  await page.getByLabel('head, °C').fill('warm');
  await page.getByLabel('head, °C').press('Enter');
  await expect(page.getByText('Write it like 107.4 °C.')).toBeVisible();
  await table.getByRole('button', { name: /on the shelf/ }).click();
  await table.getByRole('link', { name: 'on the shelf' }).click();
  await expect(page.getByRole('region', { name: /Sheet of/ })).toContainText('receiver 1');
});

test('a distillation is rehearsed, and reviewed against the best there is', async ({ page, notebook }) => {
  await putBottles(page, 'hydrochloric acid 28% 5 L 11.50');
  await page.goto(`${notebook.origin}/${ACID}`);
  await page.getByRole('button', { name: /constant-boiling cut/ }).click();
  await page.getByRole('button', { name: 'Rehearse the distillation' }).click();
  const stage = page.getByRole('dialog', { name: /Rehearsal/ });
  await stage.getByText('600 ×').click();
  await expect(stage.locator('.heat')).toContainText(/[1-9]\d mL over/);
  await stage.getByRole('button', { name: 'Switch to receiver 2' }).click();
  await stage.getByRole('button', { name: 'Switch to receiver 3' }).click();
  await stage.getByRole('button', { name: 'More heat' }).click();
  await expect(stage.getByText('Heat 260 W')).toBeVisible();
  await expect(stage.locator('.heat')).toContainText(/[1-9]\d\d mL over/);
  await stage.getByRole('button', { name: 'Stop', exact: true }).click();
  await expect(stage.getByRole('region', { name: 'Review' })).toContainText(/too early|as wanted/);
  await expect(stage.getByRole('row', { name: /the best there is/ })).toBeVisible();
  await expectAccessible(page);
  await stage.getByRole('button', { name: 'Once more' }).click();
  await expect(stage.getByRole('button', { name: 'Switch to receiver 2' })).toBeVisible();
});

test('charges and files that cannot be are refused in a sentence, and nothing is lost', async ({
  page,
  notebook,
  allowErrors,
}) => {
  await putBottles(page, 'hydrochloric acid 28% 5 L 11.50');
  await page.goto(`${notebook.origin}/${ACID}`);
  await page.getByRole('button', { name: /constant-boiling cut/ }).click();
  // A flask that is too small, and no heat: each is told.
  await page.getByRole('button', { name: /^Your still/ }).click();
  await page.getByRole('textbox', { name: 'Flask', exact: true }).fill('250');
  await expect(page.getByText(/do not go into a flask of 250 mL/)).toBeVisible();
  await page.getByRole('textbox', { name: 'Heater', exact: true }).fill('0');
  await expect(page.getByText('Heat 0 W: nothing boils.')).toBeVisible();
  await page.getByRole('textbox', { name: 'Heater', exact: true }).fill('240');
  await page.getByRole('textbox', { name: 'Flask', exact: true }).fill('1000');
  await page.getByRole('button', { name: 'Take it to the bench' }).click();
  await upToTheBoil(page);
  const file = (text: string) => ({ name: 'run.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  const chooser = page.getByLabel('File of readings');
  // The refusal is a 422, which the browser notes as an error.
  allowErrors.on = true;
  await chooser.setInputFiles(file('time,head,pot,mass\n0,warm,20,0'));
  await expect(page.getByText(/Row 2: head is “warm”/)).toBeVisible();
  const rows = Array.from(
    { length: 40 },
    (_, i) => `${i},${i < 6 ? 30 + 12 * i : 107.2},${i < 6 ? 40 + 11 * i : 107.4},${Math.max(0, 4 * (i - 6))}`,
  );
  await chooser.setInputFiles(file(['time,head,pot,mass', ...rows].join('\n')));
  await expect(page.getByText(/readings of a file/)).toBeVisible();
  allowErrors.on = false;
  await pick(page.getByRole('combobox', { name: 'Speed of the feed' }), '600 ×');
  await expect(page.getByText('at its end')).toBeVisible();

  // Nitric acid past its azeotrope, over the compute door.
  const refused = await page.request.post(`${notebook.origin}/api/compute/still`, {
    data: {
      first: 'nitric-acid',
      second: 'water',
      pressureHPa: 1009,
      grams: 500,
      pct: 75,
      staying: [],
      apparatus: {
        flaskMl: 1000,
        plates: 1.3,
        reflux: 0,
        holdupMl: 3,
        heaterW: 240,
        heatShare: 0.8,
        lagged: false,
        condenser: { by: 'air' },
        thermometer: { minC: -10, maxC: 150 },
      },
      airC: 16,
      wanted: null,
    },
  });
  expect(refused.status()).toBe(422);
  expect(await refused.text()).toMatch(/Add \d+ g of water/);
});
