import { done, log, readFirst, title, weigh } from './hand.ts';
import { expect, expectAccessible, putBottles, test } from './notebook.ts';

test('chlorine is led into cold lye until the window, with less acid than planned, and stopped there', async ({
  page,
  notebook,
}) => {
  await putBottles(
    page,
    'caustic soda 98% 1 kg 6.80',
    'trichloroisocyanuric acid 90% 1 kg 14.00',
    'hydrochloric acid 18% 1 L 4.10',
  );
  // A tenth of a mol of chlorine is the most, whatever is asked.
  await page.goto(`${notebook.origin}/plan?make=500+g+sodium+hypochlorite`);
  await expect(page.getByText(/at most 0.1 mol/).first()).toBeVisible();
  await page.goto(`${notebook.origin}/plan?make=50+g+sodium+hypochlorite`);
  await page.getByText('chlorine made in place, led into cold lye').first().click();
  await page.getByRole('button', { name: 'Take it to the bench' }).click();
  await expect(title(page)).toContainText('Outdoors, upwind');
  await expect(page.getByText(/with a second bottle of lye that takes all of it/).first()).toBeVisible();
  await done(page, 'Ice and water');
  await done(page, 'Dissolve');
  await weigh(page, '6,40');
  await done(page, 'Lay');
  await done(page, 'into the dropping funnel');
  // Less acid in the funnel than asked for.
  await weigh(page, '20');
  await done(page, 'Drip the acid in');
  await readFirst(page);
  const absorber = page.getByRole('region', { name: 'The absorber' });
  await expect(absorber).toContainText(/drops, of 20 to a mL/);
  const gauge = absorber.getByRole('img', { name: /Stop between/ });
  const words = (await gauge.getAttribute('aria-label')) ?? '';
  const [from = 0, to = 0] = [...words.matchAll(/[\d.]+/g)].map(([each]) => Number(each));
  expect(from).toBeGreaterThan(4);
  expect(to).toBeGreaterThan(from);
  const enter = async (value: string) => {
    await page.getByLabel('The absorber has gained, g').fill(value);
    await page.getByRole('button', { name: 'Enter the gain' }).click();
  };
  await enter('2,5');
  await expect(absorber).toContainText('Not yet: go on');
  await page.getByLabel('Acid dripped in so far, mL').fill('900');
  await page.getByRole('button', { name: 'Enter the mL' }).click();
  await expect(absorber).toContainText(/There were .* mL in the funnel/);
  await enter(((from + to) / 2).toFixed(2));
  await expect(absorber).toContainText('Stop here: shut the tap');
  await expectAccessible(page);
  await done(page, 'Tap shut, tube out');
  await done(page, 'Bottle, label');
  await expect(page.getByRole('article', { name: 'This step' })).toContainText(/about 1\d(\.\d)? %/);
  await expect(log(page)).toContainText(/mass/);
});
