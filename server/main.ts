import { createServer } from 'node:http';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { pino } from 'pino';
import { createApp } from './app.ts';
import { openDb } from './db/open.ts';
import { notebookHome } from './home.ts';

const port = readPort(process.env.PORT);
const home = notebookHome();
const log = pino({ level: process.env.LOG_LEVEL ?? 'warn' });
const db = openDb(join(home, 'still.db'));
const webDir = process.env.EARNEST_WEB ?? fileURLToPath(new URL('../web', import.meta.url));
const server = createServer(createApp({ db, home, log, webDir }));

server.on('error', (error: NodeJS.ErrnoException) => {
  const why = error.code === 'EADDRINUSE' ? `Port ${port} is taken; choose another with PORT=…` : String(error.message);
  console.error(why);
  process.exit(1);
});

server.listen(port, '127.0.0.1', () => {
  const address = server.address();
  const at = typeof address === 'object' && address ? address.port : port;
  console.log(`Earnest Still is ready: http://127.0.0.1:${at}/   (notebook: ${home})`);
});

let stopping = false;
function stop(): void {
  if (stopping) return;
  stopping = true;
  server.close(() => {
    db.close();
    process.exit(0);
  });
  // Pages keep their connections open; they are told to go.
  server.closeIdleConnections();
  setTimeout(() => server.closeAllConnections(), 1000).unref();
}
process.on('SIGINT', stop);
process.on('SIGTERM', stop);

function readPort(text: string | undefined): number {
  if (text === undefined || text === '') return 4173;
  const number = Number(text);
  if (Number.isInteger(number) && number >= 0 && number <= 65_535) return number;
  console.error(`PORT is “${text}”; it is a whole number from 0 to 65535.`);
  process.exit(1);
}
