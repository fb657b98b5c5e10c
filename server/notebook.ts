import type { RequestListener } from 'node:http';
import { join } from 'node:path';
import type { Logger } from 'pino';
import { createApp } from './app.ts';
import type { Ask } from './compute/routes.ts';
import { markOpen } from './db/lock.ts';
import { type Db, openDb } from './db/open.ts';
import { restoreBackup } from './keep/archive.ts';
import type { Sharing } from './share/sharing.ts';

interface NotebookDeps {
  readonly home: string;
  readonly log: Logger;
  readonly webDir?: string;
  /** An ISO instant. */
  readonly now?: () => string;
  readonly compute?: Ask;
  readonly sharing?: Sharing | null;
  readonly feedPace?: number;
}

/** A notebook that is open: it answers, and another may be put in its place while the server runs. */
export class Notebook {
  db!: Db;
  private readonly deps: NotebookDeps;
  private app!: RequestListener;
  private closers: (() => void)[] = [];

  constructor(deps: NotebookDeps) {
    this.deps = deps;
    this.open();
  }

  readonly handle: RequestListener = (req, res) => this.app(req, res);

  private open(): void {
    this.db = openDb(join(this.deps.home, 'still.db'));
    markOpen(this.deps.home);
    this.build();
  }

  /** Reads everything anew that is held of the notebook. */
  private build(): void {
    for (const close of this.closers) close();
    this.closers = [];
    this.app = createApp({
      ...this.deps,
      db: this.db,
      whenClosed: (close) => void this.closers.push(close),
      restore: (archive) => this.restore(archive),
      renew: () => this.build(),
    });
  }

  /** Puts a backup in its place. What was here is kept beside it; where it cannot be done, it stays. */
  restore(archive: Uint8Array): void {
    const { home, now = () => new Date().toISOString() } = this.deps;
    this.close();
    try {
      restoreBackup(archive, home, now());
    } finally {
      this.open();
    }
  }

  close(): void {
    for (const close of this.closers) close();
    this.closers = [];
    this.db.close();
  }
}
