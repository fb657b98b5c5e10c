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

  async post(path: string, body: unknown): Promise<void> {
    const response = await fetch(`${this.origin}/api${path}`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(body),
    });
    if (!response.ok) throw new Error(await response.text());
  }

  dispose(): void {
    rmSync(this.home, { recursive: true, force: true });
  }
}

interface Fixtures {
  readonly notebook: Notebook;
  /** Console errors that a test expects (a stopped server makes some). */
  readonly allowErrors: { on: boolean };
}

export const test = base.extend<Fixtures>({
  notebook: async ({ browserName: _ }, use) => {
    const notebook = new Notebook();
    await notebook.start();
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
    await page.goto(notebook.origin);
    await use(page);
    expect(errors).toEqual([]);
  },
});

export { expect };

/** Puts a bottle on the shelf as a person does: by typing its label. */
export async function putBottle(page: Page, label: string, named: RegExp): Promise<void> {
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
  const { violations } = await new AxeBuilder({ page }).analyze();
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
