import express, { Router } from 'express';
import { problem } from '#base/problem';
import { notFound, sendProblem } from '../http/problem.ts';
import { ARCHIVE_LIMIT, ARCHIVE_TYPES, bytesOf } from '../keep/routes.ts';
import { type Exporting, exportOf, pageOf } from './export.ts';
import { readImport } from './import.ts';
import { recordCsv, shelfCsv } from './tables.ts';

interface Exchanging extends Exporting {
  readonly now: () => string;
  /** Everything that was read of the notebook is read again. */
  readonly renew: () => void;
}

/** The notebook in open formats, out and in: an archive, tables, a batch as a page. */
export function exchangeRoutes({ now, renew, ...from }: Exchanging): Router {
  const { db, home, stock, batches } = from;
  const router = Router();

  router.get('/export', (_req, res) => {
    const at = now();
    res
      .type('application/zip')
      .set('Content-Disposition', `attachment; filename="earnest-still-export-${at.slice(0, 10)}.zip"`)
      .send(Buffer.from(exportOf(from, at)));
  });
  const table = (name: string, text: () => string) =>
    router.get(`/export/${name}`, (_req, res) => {
      res.type('text/csv').attachment(name).send(text());
    });
  table('shelf.csv', () => shelfCsv(stock.all()));
  table('record.csv', () => recordCsv(batches.list()));
  router.get('/export/batches/:id.md', (req, res, next) => {
    const batch = batches.one(req.params.id);
    const page = batch.ok
      ? pageOf(batch.value, batches, (id) => `${req.protocol}://${req.headers.host}/api/attachments/${id}`)
      : undefined;
    if (!batch.ok || !page) return notFound(req, res, next);
    res.type('text/markdown').attachment(`batch-${batch.value.number}.md`).send(page.text);
  });

  const archive = express.raw({ type: ARCHIVE_TYPES, limit: ARCHIVE_LIMIT });
  const read = (take: boolean) => async (req: express.Request, res: express.Response) => {
    let found: Awaited<ReturnType<typeof readImport>>;
    try {
      found = await readImport(db, home, bytesOf(req.body));
    } catch (error) {
      return sendProblem(res, problem('invalid-input', error instanceof Error ? error.message : String(error)));
    }
    if (take) {
      found.take();
      renew();
    }
    res.json(found.answer);
  };
  router.post('/import/look', archive, read(false));
  router.post('/import', archive, read(true));
  return router;
}
