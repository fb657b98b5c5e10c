import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { AxeBuilder } from '@axe-core/playwright';
import { test as base, expect, type Page } from '@playwright/test';

/** A built server on a notebook of its own, that can be stopped and started again on the same port. */
export class Notebook {
  // Its folder begins with a dot, as the default one does.
  readonly home = mkdtempSync(join(tmpdir(), '.still-e2e-'));
  origin = '';
  #child: ChildProcess | undefined;
  #port = '0';

  async start(env: NodeJS.ProcessEnv = {}, words: readonly string[] = []): Promise<void> {
    const child = spawn(process.execPath, ['dist/server/main.js', ...words], {
      env: { ...process.env, EARNEST_HOME: this.home, PORT: this.#port, ...env },
    });
    this.#child = child;
    this.origin = await new Promise<string>((resolve, reject) => {
      child.stdout?.on('data', (chunk: Buffer) => {
        const found = /http:\/\/127\.0\.0\.1:(\d+)/.exec(chunk.toString());
        if (found) {
          this.#port = found[1]!;
          resolve(found[0]);
        }
      });
      child.stderr?.on('data', (chunk: Buffer) => reject(new Error(chunk.toString())));
    });
  }

  async stop(signal: NodeJS.Signals = 'SIGTERM'): Promise<void> {
    const child = this.#child;
    if (!child || child.exitCode !== null || child.signalCode !== null) return;
    const gone = new Promise((resolve) => child.on('exit', resolve));
    this.hang(false);
    child.kill(signal);
    await gone;
  }

  /** Holds its breath: connections are taken, and nothing is answered. */
  hang(yes: boolean): void {
    this.#child?.kill(yes ? 'SIGSTOP' : 'SIGCONT');
  }

  get isRunning(): boolean {
    const child = this.#child;
    return child !== undefined && child.exitCode === null && child.signalCode === null;
  }

  /** A backup as the page takes one away. */
  async backup(): Promise<Uint8Array<ArrayBuffer>> {
    const answer = await fetch(`${this.origin}/api/backup`);
    if (!answer.ok) throw new Error(await answer.text());
    return new Uint8Array(await answer.arrayBuffer());
  }

  /** A backup in the place of all there is. */
  async restore(archive: Uint8Array<ArrayBuffer>): Promise<void> {
    const answer = await fetch(`${this.origin}/api/backup/restore`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/zip' },
      body: archive,
    });
    if (!answer.ok) throw new Error(await answer.text());
  }

  /** What a verb of the compute door answers. */
  async compute<T>(verb: string, body: unknown): Promise<T> {
    const { result } = await this.#answer<{ readonly result: T }>(`/compute/${verb}`, body);
    return result;
  }

  async post(path: string, body: unknown): Promise<void> {
    await this.#answer(path, body);
  }

  async #answer<T>(path: string, body: unknown): Promise<T> {
    const response = await fetch(`${this.origin}/api${path}`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(body),
    });
    if (!response.ok) throw new Error(await response.text());
    return (await response.json()) as T;
  }

  dispose(): void {
    rmSync(this.home, { recursive: true, force: true });
  }
}

interface Fixtures {
  readonly notebook: Notebook;
  /** Console errors that a test expects (a stopped server makes some). */
  readonly allowErrors: { on: boolean };
  /** A server for one test alone: its folder is looked into, or it is killed. */
  readonly alone: boolean;
  /** How many times as fast its simulated instruments run as they are set; where it is not 1, the server is for one test alone. */
  readonly pace: number;
}

interface Shared {
  /** One server for all tests of a worker, each of which finds its notebook empty. */
  readonly shared: { readonly notebook: Notebook; readonly empty: Uint8Array<ArrayBuffer> };
}

/** The notebook behind a page. */
const behind = new WeakMap<Page, Notebook>();

export const test = base.extend<Fixtures, Shared>({
  shared: [
    async ({ browserName: _ }, use) => {
      const notebook = new Notebook();
      await notebook.start();
      await use({ notebook, empty: await notebook.backup() });
      await notebook.stop();
      notebook.dispose();
    },
    { scope: 'worker' },
  ],
  alone: [false, { option: true }],
  pace: [1, { option: true }],
  notebook: async ({ shared, alone, pace }, use) => {
    if (!alone && pace === 1) {
      await shared.notebook.restore(shared.empty);
      await use(shared.notebook);
      return;
    }
    const notebook = new Notebook();
    await notebook.start({ EARNEST_FEED_PACE: String(pace) });
    await use(notebook);
    await notebook.stop();
    notebook.dispose();
  },
  allowErrors: async ({ browserName: _ }, use) => use({ on: false }),
  page: async ({ page, notebook, allowErrors }, use) => {
    const errors: string[] = [];
    page.on('console', (message) => {
      // Nothing is kept for when the server is stopped, but in the test of it.
      if (message.text().startsWith('Service Worker registration blocked')) return;
      if (['error', 'warning'].includes(message.type()) && !allowErrors.on) errors.push(message.text());
    });
    page.on('pageerror', (error) => errors.push(error.message));
    behind.set(page, notebook);
    await use(page);
    expect(errors).toEqual([]);
  },
});

export { expect };

/** Opens the notebook at its first page. */
export async function open(page: Page): Promise<void> {
  await page.goto(notebookOf(page).origin);
}

function notebookOf(page: Page): Notebook {
  const notebook = behind.get(page);
  if (!notebook) throw new Error('this page has no notebook of a test behind it');
  return notebook;
}

let bottles = 0;

/** Puts bottles on the shelf by their labels, read as the page reads them; typing one is a test of its own. Resolves with their ids. */
export async function putBottles(on: Page | Notebook, ...labels: readonly string[]): Promise<readonly string[]> {
  const notebook = on instanceof Notebook ? on : notebookOf(on);
  const today = new Date().toISOString().slice(0, 10);
  const ids: string[] = [];
  for (const text of labels) {
    type Read = { readonly reading: { readonly card: object | null; readonly problems: readonly unknown[] } };
    const { reading } = await notebook.compute<Read>('label', { text, today, tempC: 20 });
    if (!reading.card || reading.problems.length > 0) throw new Error(`“${text}” is asked about: type it in the page`);
    bottles += 1;
    const id = `bottle_${String(bottles).padStart(6, '0')}`;
    await notebook.post('/bottles', { id, eventId: `ev_put_${id}`, card: reading.card });
    ids.push(id);
  }
  return ids;
}

/** Puts a bottle on the shelf, and opens its sheet. */
export async function openBottle(page: Page, label: string): Promise<string> {
  const [id = ''] = await putBottles(page, label);
  await page.goto(`${notebookOf(page).origin}/shelf/${id}`);
  return id;
}

/** Types a label on the shelf, as a person does, and sees the bottle there. */
export async function typeBottle(page: Page, label: string, named: RegExp): Promise<void> {
  await page.getByLabel('The label says').fill(label);
  await page.getByRole('button', { name: 'correct …' }).waitFor();
  await page.getByLabel('The label says').press('Enter');
  await expect(page.getByRole('link', { name: named }).first()).toBeVisible();
}

/** Axe finds nothing on the page as it stands. */
export async function expectAccessible(page: Page): Promise<void> {
  // Half faded in, everything is too pale.
  await page.evaluate(() =>
    Promise.race([
      Promise.all(document.getAnimations().map((each) => each.finished.catch(() => undefined))),
      new Promise((resolve) => setTimeout(resolve, 1000)),
    ]),
  );
  // In one page, and only what is wrong: the other way opens a second page for the sums.
  const axe = new AxeBuilder({ page }).setLegacyMode(true).options({ resultTypes: ['violations'] });
  const { violations } = await axe.analyze();
  expect(
    violations.map(
      (each) =>
        `${each.id}: ${each.nodes
          .map((node) => node.target.join(' '))
          .slice(0, 4)
          .join(' | ')}`,
    ),
  ).toEqual([]);
}
