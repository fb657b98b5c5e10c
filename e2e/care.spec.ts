import { readFileSync } from 'node:fs';
import { extractText, getDocumentProxy } from 'unpdf';
import { done, log, pick, title, weigh } from './hand.ts';
import { expect, expectAccessible, open, openBottle, putBottles, test } from './notebook.ts';

/** What a page says when it is read back, and its size in points. */
async function readBack(bytes: Uint8Array): Promise<{ text: string; pages: number; view: readonly number[] }> {
  const pdf = await getDocumentProxy(bytes);
  const { text } = await extractText(pdf, { mergePages: true });
  return { text, pages: pdf.numPages, view: (await pdf.getPage(1)).view };
}

test('it went wrong: the card says what to do, what happened is kept, and the card fits the wall', async ({
  page,
  notebook,
}) => {
  await putBottles(
    page,
    'zinc 99% 900 g 14.00',
    'battery acid 37% 1 L 7.90',
    'sodium hydrogencarbonate 99% 500 g 1.60',
    'sodium hypochlorite 12.5% 2 L 8.40',
  );
  await page.goto(`${notebook.origin}/plan?make=60+g+zinc+sulfate`);
  await page.getByRole('button', { name: 'Take it to the bench' }).click();

  // Before it is begun: the neutraliser of this batch stands on the list, and one thing is left with why.
  await page.getByRole('button', { name: /Before you start today/ }).click();
  const list = page.getByRole('region', { name: 'Before you start' });
  await expect(list.getByText(/g of Sodium hydrogencarbonate .*measured out/)).toBeVisible();
  await expectAccessible(page);
  for (const box of await list.getByRole('checkbox').all()) await box.check();
  await list.getByRole('checkbox').first().uncheck();
  await list.getByLabel(/not seen to: why/).fill('no wind today');
  await list.getByRole('button', { name: /seen to/ }).click();
  await expect(list).toBeHidden();
  await expect(log(page).getByText(/before starting: .* 1 not/)).toBeVisible();

  // What is grave is read before its step is done.
  await page.getByRole('button', { name: 'Step done' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'First these, then the step' })).toBeVisible();
  await done(page, 'of zinc');
  await weigh(page, '10');
  await done(page, /water/);
  await weigh(page, '60');
  await done(page, /acid/);
  await weigh(page, '40 g');

  await page.getByRole('link', { name: 'It went wrong' }).click();
  const now = page.getByRole('region', { name: 'What to do now' });
  await expect(now.getByText('Stay.')).toBeVisible();
  await expect(now.getByText('Nothing lit, no switches.')).toBeVisible();
  // 40 g of 37 % acid: 14.8 g, 0.1509 mol, 0.302 mol of H+; × 84.0 ÷ 0.99 × 1.25 = 32 g.
  await expect(now.getByRole('heading', { name: /Strew on 32 g Sodium hydrogencarbonate/ })).toBeVisible();
  await expect(now.getByText(/if it runs to Sodium hypochlorite: that makes chlorine/)).toBeVisible();
  await expect(page.getByRole('region', { name: 'Waste of this batch' })).toContainText('zinc');
  await expect(page.getByRole('region', { name: 'Waste of this batch' })).toContainText('to pH 8.5 to 9');
  await expectAccessible(page);

  // The card for the wall is one page of A6.
  const card = await readBack(new Uint8Array(await page.pdf({ preferCSSPageSize: true })));
  expect(card.text).toContain('If it spills');
  expect(card.text).toContain('32 g Sodium hydrogencarbonate');
  expect(card.pages).toBe(1);
  expect(card.view[2]).toBeCloseTo(298, -1);

  // Half of it is out: the record says so, and what is left is computed with it.
  await pick(now.getByLabel('How much is out'), 'half of it');
  await now.getByLabel('Where it went').fill('the tray');
  await now.getByRole('button', { name: 'Keep in the record' }).click();
  await expect(now.getByRole('status')).toContainText('It stands in the record');
  await expect(now.getByRole('heading', { name: /Strew on 16 g/ })).toBeVisible();
  await now.getByRole('link', { name: 'Go on with what is left' }).click();
  await expect(log(page).getByText(/it spilled, about 50 % of it, on the tray/)).toBeVisible();
});

test('a plan is refused by the room, and accepted outdoors', async ({ page, notebook }) => {
  await putBottles(page, 'zinc 99% 2 kg 24.00', 'battery acid 37% 5 L 27.90');
  await open(page);
  const bench = async (then: () => Promise<void>) => {
    await page.getByRole('button', { name: /Your bench/ }).click();
    await then();
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByRole('dialog')).toBeHidden();
  };
  await bench(() => page.getByLabel(/Air in the room/).fill('2'));
  await page.goto(`${notebook.origin}/plan?make=400+g+zinc+sulfate`);
  await expect(page.getByText(/a quarter of the 4 % from which it burns in air/).first()).toBeVisible();
  await expect(page.getByText(/At most \d+ g at a time here/).first()).toBeVisible();
  await expect(page.getByRole('button', { name: 'Take it to the bench' })).toHaveCount(0);
  await bench(async () => {
    await page.getByLabel('How its air is renewed').click();
    await page.getByTitle('none: it is outdoors').click();
  });
  await page.getByRole('button', { name: 'Take it to the bench' }).click();
  await expect(title(page)).toBeVisible();
});

test('a label goes to paper and is read back; a shelf is laid out by place', async ({ page }) => {
  await openBottle(page, 'hydrochloric acid 28% 5 L 11.50');
  await page.getByRole('button', { name: 'Label', exact: true }).click();
  const dialog = page.getByRole('dialog', { name: /Label of/ });
  await expect(dialog.getByRole('img', { name: /Label of/ })).toBeVisible();
  await expectAccessible(page);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    dialog.getByRole('button', { name: 'PDF' }).click(),
  ]);
  const label = await readBack(new Uint8Array(readFileSync(await download.path())));
  expect(label.text).toMatch(/28\.0 ± [\d.]+ %/);
  expect(label.text).toContain('DANGER');
  expect(label.text).toContain('H314 Causes severe skin burns');
  expect(label.view[2]).toBeCloseTo((100 / 25.4) * 72, 0);
  const [picture] = await Promise.all([
    page.waitForEvent('download'),
    dialog.getByRole('button', { name: /PNG/ }).click(),
  ]);
  // Width of a PNG, from its header: 100 mm at 600 dots an inch.
  expect(readFileSync(await picture.path()).readUInt32BE(16)).toBe(2362);
  await dialog.getByRole('button', { name: 'Close' }).click();

  // Acid and bleach in one place are told; what is only kept away from has its place too.
  const place = async (where: string) => {
    await page.getByRole('button', { name: 'Edit' }).click();
    await page.getByLabel('Place', { exact: true }).fill(where);
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByRole('region', { name: /Sheet of/ }).getByText(where)).toBeVisible();
  };
  await place('shelf 1');
  await openBottle(page, 'sodium hypochlorite 5% 1 L 2.40');
  await place('shelf 1');
  const line = page.getByRole('textbox', { name: 'The label says' });
  await line.fill('petrol, shelf 1');
  await page.getByRole('button', { name: /stand “petrol” as something to keep away from/ }).click();
  await expect(page).toHaveURL(/view=places/);
  const places = page.getByRole('region', { name: 'By place' });
  await expect(places.getByRole('alert').first()).toContainText('part them');
  await expect(places.getByText('chlorine gas').first()).toBeVisible();
  await expectAccessible(page);
  await places.getByRole('button', { name: 'Take petrol off' }).click();
  await expect(places.getByRole('button', { name: 'Take petrol off' })).toBeHidden();
});
