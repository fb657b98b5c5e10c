import type { Notebook } from './notebook.ts';
import { expect, expectAccessible, putBottles, test } from './notebook.ts';

// One run, one truth, read off the page: what was seeded over HTTP is told the same on bench, record and shelf.

interface Choice {
  readonly plan: { readonly route: { readonly id: string; readonly steps: readonly { readonly id: string }[] } };
}

interface Bottle {
  readonly id: string;
  readonly card: object;
  readonly usedG: number;
  readonly archived: boolean;
}

/** A batch of a route for a target from the shelf, its steps ended one after the other up to one of them. */
async function batchOf(
  notebook: Notebook,
  {
    id,
    text,
    route,
    upTo,
  }: { readonly id: string; readonly text: string; readonly route: string; readonly upTo?: string },
): Promise<void> {
  const today = new Date().toISOString().slice(0, 10);
  const bottles = (await (await fetch(`${notebook.origin}/api/bottles`)).json()) as readonly Bottle[];
  const shelf = bottles.map(({ id: bottle, card, usedG, archived }) => ({ id: bottle, card, usedG, archived }));
  const { bench } = (await (await fetch(`${notebook.origin}/api/bench`)).json()) as { readonly bench: object };
  const found = await notebook.compute<{ readonly choices: readonly Choice[]; readonly problems: readonly unknown[] }>(
    'target',
    { text, shelf, bench, today },
  );
  const plan = found.choices.find((each) => each.plan.route.id === route)?.plan;
  if (!plan) throw new Error(`no ${route}: ${JSON.stringify(found.problems)}`);
  await notebook.post('/batches', { id, plan });
  const steps = plan.route.steps.map((each) => each.id);
  const ended = upTo === undefined ? steps : steps.slice(0, steps.indexOf(upTo));
  const at = new Date().toISOString();
  const events = ended.map((step, i) => ({
    id: `ev_${id}${String(i).padStart(4, '0')}`,
    happened: { at, giveOrTakeMin: 0 },
    body: { kind: 'finished', step },
  }));
  await notebook.post(`/batches/${id}/events`, { events });
}

test('a batch that was finished without a weighing is weighed from its record, and goes to the shelf as it weighs', async ({
  page,
  notebook,
}) => {
  await putBottles(notebook, 'potassium alum 97% 1 kg');
  await batchOf(notebook, { id: 'batch_truth1', text: '60 g alum', route: 'alum-recrystallised' });
  await page.goto(`${notebook.origin}/record/batch_truth1`);
  await expect(page.getByText('Nothing of what was made was measured')).toBeVisible();
  await expectAccessible(page);
  await page.getByLabel('Product weighs, dry').fill('47.3');
  await page.getByRole('button', { name: 'Enter it', exact: true }).click();
  await expect(page.getByText('Nothing of what was made was measured')).toBeHidden();
  const yields = page.getByRole('region', { name: 'Yield' });
  await expect(yields).toContainText('47.3');
  await page.reload();
  await expect(page.getByRole('region', { name: 'Yield' })).toContainText('47.3');
  // In the vessel, too: by the state that the page shows everywhere.
  const { plan, events } = (await (await fetch(`${notebook.origin}/api/batches/batch_truth1`)).json()) as {
    readonly plan: unknown;
    readonly events: unknown;
  };
  type State = { readonly sheet: { readonly now: { readonly massG: number } } };
  const { sheet } = await notebook.compute<State>('run', { plan, events });
  expect(sheet.now.massG).toBeCloseTo(47.3, 3);
});

test('two distillations of a route are told apart at the bench', async ({ page, notebook }) => {
  await putBottles(
    notebook,
    'salicylic acid 99% 500 g',
    'ethanol 96% 1 L',
    'sulfuric acid 96% 500 mL',
    'magnesium sulfate anhydrous 98% 500 g',
    'sodium bicarbonate 99% 1 kg',
    'sodium chloride 99% 1 kg',
  );
  await batchOf(notebook, {
    id: 'batch_truth2',
    text: '50 g ethyl salicylate',
    route: 'ethyl-salicylate',
    upTo: 'fore-run',
  });
  await page.goto(`${notebook.origin}/bench/batch_truth2?step=fore-run`);
  const still = page.getByRole('region', { name: 'The still' });
  await expect(still.getByRole('row')).toHaveCount(3);
  await expect(still).not.toContainText('NaN');
  await expect(still).not.toContainText(/-\d+(?:\.\d+)? mL/);
  // The ester boils at 233 °C, the ethanol that was driven off before is no part of it.
  await expect(still).toContainText(/23[23]\.\d/);
  await expectAccessible(page);
  const first = { id: 'batch_truth3', text: '50 g ethyl salicylate', route: 'ethyl-salicylate', upTo: 'strip' };
  await batchOf(notebook, first);
  await page.goto(`${notebook.origin}/bench/batch_truth3?step=strip`);
  await expect(still.getByRole('row')).toHaveCount(2);
  await expect(still).not.toContainText('NaN');
});
