import { createServer } from 'node:http';
import { fileURLToPath } from 'node:url';
import { pino } from 'pino';
import { computePool } from './compute/pool.ts';
import { holdNotebook } from './db/lock.ts';
import { notebookHome } from './home.ts';
import { dailyCopy } from './keep/copies.ts';
import { Notebook } from './notebook.ts';
import { Sharing } from './share/sharing.ts';

// What is kept here is for its owner alone.
process.umask(0o077);

const SENTENCES: Readonly<Record<string, string>> = {
  SQLITE_NOTADB:
    'still.db in the notebook’s folder is no notebook, or is damaged. Put a copy of it back: npm run restore -- FILE, or one from its folder “copies”.',
  SQLITE_CORRUPT:
    'The notebook is damaged. Put a copy of it back: npm run restore -- FILE, or one from its folder “copies”.',
  SQLITE_FULL: 'The disk is full: make room, then start again. Nothing was written.',
  SQLITE_CANTOPEN: 'The notebook’s folder cannot be written to: look at its owner and its rights.',
  SQLITE_READONLY: 'The notebook’s folder cannot be written to: look at its owner and its rights.',
  EACCES: 'The notebook’s folder cannot be written to: look at its owner and its rights.',
};

const sharing = readArguments(process.argv.slice(2));
const port = readPort(process.env.PORT);
const home = orSay(notebookHome);
const log = pino({ level: process.env.LOG_LEVEL ?? 'warn' });
const release = orSay(() => holdNotebook(home));
const webDir = process.env.EARNEST_WEB ?? fileURLToPath(new URL('../web', import.meta.url));
const pool = computePool();
const notebook = orSay(
  () =>
    new Notebook({ home, log, webDir, compute: pool.ask, sharing, feedPace: readPace(process.env.EARNEST_FEED_PACE) }),
);
const server = createServer(notebook.handle);

server.on('error', (error: NodeJS.ErrnoException) => {
  const why = error.code === 'EADDRINUSE' ? `Port ${port} is taken; choose another with PORT=…` : String(error.message);
  console.error(why);
  process.exit(1);
});

server.listen(port, sharing ? '0.0.0.0' : '127.0.0.1', () => {
  const address = server.address();
  const at = typeof address === 'object' && address ? address.port : port;
  console.log(`Earnest Still is ready: http://127.0.0.1:${at}/   (notebook: ${home})`);
  if (!sharing) return;
  sharing.port = at;
  const { code } = sharing.codeNow(Date.now());
  console.log(`Open to your home network: ${sharing.urls().join('  ')}   code ${code}`);
  console.log('The code changes every ten minutes; the page on this machine shows the one of now, and as a picture.');
});

// A copy a day: at the start, and looked for every hour while it runs.
const copy = () => {
  dailyCopy(notebook.db, home, new Date().toISOString()).catch((error: unknown) => log.error(error));
};
setTimeout(copy, 2000).unref();
setInterval(copy, 3_600_000).unref();

let stopping = false;
function stop(): void {
  if (stopping) return;
  stopping = true;
  server.close(() => {
    notebook.close();
    release();
    void pool.close().finally(() => process.exit(0));
  });
  // Pages keep their connections open; they are told to go.
  server.closeIdleConnections();
  setTimeout(() => server.closeAllConnections(), 1000).unref();
}
process.on('SIGINT', stop);
process.on('SIGTERM', stop);

/** What cannot be begun is told in a sentence, not in a trace. */
function orSay<T>(begin: () => T): T {
  try {
    return begin();
  } catch (error) {
    const { code = '', message } = error as { code?: string; message: string };
    console.error(SENTENCES[code] ?? message);
    process.exit(1);
  }
}

/** `--share` opens the notebook to the home network; `--share=NAME` under a further name that the router gives this machine. */
function readArguments(words: readonly string[]): Sharing | null {
  const other = words.find((word) => !/^--share(?:=[\w.-]{1,100})?$/.test(word));
  if (other !== undefined) {
    console.error(
      `“${other}” is not known: --share opens the notebook to the home network, --share=NAME under a further name.`,
    );
    process.exit(1);
  }
  return words.length === 0 ? null : new Sharing(words.flatMap((word) => word.split('=')[1] ?? []));
}

/** Simulated instruments may run faster than their feeds say: whoever tests does not wait for them. */
function readPace(text: string | undefined): number {
  const pace = Number(text ?? 1);
  return pace > 0 && pace <= 100 ? pace : 1;
}

function readPort(text: string | undefined): number {
  if (text === undefined || text === '') return 4173;
  const number = Number(text);
  if (Number.isInteger(number) && number >= 0 && number <= 65_535) return number;
  console.error(`PORT is “${text}”; it is a whole number from 0 to 65535.`);
  process.exit(1);
}
