import { existsSync } from 'node:fs';
import { join } from 'node:path';
import express, { type Express } from 'express';
import staticGzip from 'express-static-gzip';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import { assayRoutes } from './assay/routes.ts';
import { assayStore } from './assay/store.ts';
import { attachmentRoutes } from './attachment/routes.ts';
import { boardRoutes } from './batch/board.ts';
import { clockRoutes } from './batch/clock.ts';
import { batchRoutes } from './batch/routes.ts';
import { batchStore } from './batch/store.ts';
import { benchOf, benchRoutes } from './bench/routes.ts';
import { computeAnswer } from './compute/answer.ts';
import { type Ask, computeRoutes } from './compute/routes.ts';
import type { Db } from './db/open.ts';
import { writtenIn } from './db/written.ts';
import { exchangeRoutes } from './exchange/routes.ts';
import { headers, jsonBodies } from './http/guard.ts';
import { ofThisNotebook } from './http/notebook.ts';
import { notFound, onError } from './http/problem.ts';
import { Feeds } from './instrument/feeds.ts';
import { instrumentRoutes } from './instrument/routes.ts';
import { instrumentStore } from './instrument/store.ts';
import { backupRoutes } from './keep/routes.ts';
import { lessonRoutes } from './lesson/routes.ts';
import { lessonStore } from './lesson/store.ts';
import { routeRoutes } from './route/routes.ts';
import { routeStore } from './route/store.ts';
import { deviceStore } from './share/devices.ts';
import { hostGate } from './share/gate.ts';
import { pairRoutes, shareRoutes } from './share/routes.ts';
import type { Sharing } from './share/sharing.ts';
import { stockRoutes } from './stock/routes.ts';
import { stockStore } from './stock/store.ts';
import { standingOn, weekIn } from './week/on-bench.ts';
import { plannedWeek } from './week/planned.ts';
import { noticeRoutes, weekRoutes } from './week/routes.ts';
import { weekStore } from './week/store.ts';

export interface AppDeps {
  readonly db: Db;
  /** Where attachments are kept. */
  readonly home: string;
  readonly log: Logger;
  /** The built interface; left out in tests of the API. */
  readonly webDir?: string;
  /** An ISO instant. */
  readonly now?: () => string;
  /** Told what to do when the notebook is closed. */
  readonly whenClosed?: (close: () => void) => void;
  /** Puts a backup in the place of the notebook. */
  readonly restore?: (archive: Uint8Array) => void;
  /** Reads everything anew that is held of the notebook. */
  readonly renew?: () => void;
  /** How the compute door computes; on this thread where it is not said. */
  readonly compute?: Ask;
  /** Opens it to the home network. */
  readonly sharing?: Sharing | null;
  /** How many times as fast simulated instruments run as their feed says. */
  readonly feedPace?: number;
}

const nothing = () => undefined;

/** The whole server, listening nowhere yet. */
export function createApp({
  db,
  home,
  log,
  webDir,
  now = () => new Date().toISOString(),
  whenClosed = nothing,
  restore = nothing,
  renew = nothing,
  compute = computeAnswer,
  sharing = null,
  feedPace = 1,
}: AppDeps): Express {
  const app = express();
  app.disable('x-powered-by');
  // Requests are logged only when asked for: at the bench every millisecond of an entry is waited for.
  if (log.isLevelEnabled('debug')) app.use(pinoHttp({ logger: log, quietReqLogger: true }));
  const week = weekStore(db);
  const shared = { sharing, devices: deviceStore(db), now, feedKey: week.feedKey };
  app.use(headers, ...hostGate(shared), ofThisNotebook(db));

  const stock = stockStore(db);
  const batches = batchStore(db, stock);
  const bench = benchOf(db);
  const feeds = new Feeds({ store: instrumentStore(db), batches, now, pace: feedPace });
  whenClosed(() => feeds.close());
  app.use('/api/attachments', attachmentRoutes(db, home, now));
  app.use('/api', (_req, res, next) => {
    res.set('Cache-Control', 'no-store');
    next();
  });
  app.use('/api/backup', backupRoutes({ db, home, now, restore }));
  app.use('/api', exchangeRoutes({ db, home, stock, batches, now, renew }));
  app.use('/api', jsonBodies, express.json({ limit: '4mb', type: 'application/json' }));
  app.get('/api/health', (_req, res) => {
    res.json({ ok: true });
  });
  app.use('/api/share', shareRoutes(shared));
  app.post('/api/pair', ...pairRoutes(shared));
  app.use('/api/bottles', stockRoutes(stock, now));
  app.use('/api/batches', batchRoutes(batches, now));
  app.use('/api/batches/:id/feed', instrumentRoutes(feeds));
  const written = writtenIn(db);
  app.use('/api/clock', clockRoutes(batches, stock, { now, tempC: () => bench().bench.tempC, written }));
  const read = weekIn({ db, batches, stock, week, bench: () => bench().bench, now });
  const standing = () => standingOn(batches);
  app.use('/api/week', weekRoutes({ store: week, read, planned: plannedWeek(read, written), standing, written, now }));
  app.use('/api/notices', noticeRoutes(week, now));
  app.use('/api/board', boardRoutes(batches, stock, now));
  app.use('/api/assays', assayRoutes(assayStore(db, stock), now));
  app.use('/api/lessons', lessonRoutes(lessonStore(db), now));
  app.use('/api/routes', routeRoutes(routeStore(db), now));
  app.use('/api/bench', benchRoutes(db));
  app.use('/api/compute', computeRoutes(compute));
  app.use('/api', notFound);

  if (webDir && existsSync(webDir)) serveInterface(app, webDir);
  app.use(notFound);
  app.use(onError(log));
  return app;
}

/** Built files, ready compressed; every other path is the interface's own and gets its page. */
function serveInterface(app: Express, webDir: string): void {
  const files = staticGzip(webDir, {
    enableBrotli: true,
    orderPreference: ['br', 'gz'],
    index: false,
    serveStatic: {
      setHeaders: (res, path) => {
        res.setHeader('Cache-Control', path.includes('/assets/') ? 'public, max-age=31536000, immutable' : 'no-cache');
      },
    },
  });
  app.use(files);
  app.get('/{*path}', (req, res, next) => {
    if (!req.accepts('html') || req.path.startsWith('/assets/')) return next();
    res.set('Cache-Control', 'no-cache').sendFile(join(webDir, 'index.html'));
  });
}
