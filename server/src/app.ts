import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { startingWords } from '@puntada/core/words';
import compression from 'compression';
import express, { type Express, type RequestHandler } from 'express';
import staticGzip from 'express-static-gzip';
import type { Logger } from 'pino';
import { binRoutes } from './bin/routes.ts';
import type { Copies } from './copies/copies.ts';
import { Incoming } from './copies/incoming.ts';
import { Jobs } from './copies/jobs.ts';
import { copyRoutes, handoverRoutes, incomingRoutes } from './copies/routes.ts';
import type { Database } from './db/database.ts';
import { draftRoutes } from './drafts/routes.ts';
import { drawerRoutes } from './drawer/routes.ts';
import type { Heavy } from './heavy/heavy.ts';
import { answerErrors, Refusal } from './http/answers.ts';
import { ofThisBench } from './http/bench.ts';
import { refuseDeep } from './http/depth.ts';
import { guard, nonceOf } from './http/guard.ts';
import { withoutText } from './http/withoutText.ts';
import { labelPrinterRoutes } from './labelPrinter/routes.ts';
import { simulatedPrinter } from './labelPrinter/simulated.ts';
import { labelRoutes, markRoutes } from './labels/routes.ts';
import { logRoutes } from './log/routes.ts';
import { onwardRoutes } from './onward/routes.ts';
import { patternRoutes } from './patterns/routes.ts';
import { planRoutes } from './plan/routes.ts';
import { preferenceRoutes } from './preferences/routes.ts';
import { printRoutes } from './print/routes.ts';
import { progressRoutes } from './progress/routes.ts';
import { scaleRoutes } from './scale/routes.ts';
import { simulatedScale } from './scale/simulated.ts';
import type { Reckoning } from './schedule/reckoning.ts';
import { scheduleRoutes } from './schedule/routes.ts';
import { swatchRoutes } from './swatches/routes.ts';
import { unreadRoutes } from './unread/routes.ts';
import { workRoutes } from './works/routes.ts';

export interface AppParts {
  readonly db: Database;
  readonly log: Logger;
  /** Folder of the built pages; without it only the API is served. */
  readonly pages?: string | undefined;
  /** Does what would keep everybody else waiting. */
  readonly heavy: Heavy;
  /** Reckons how long works still take. */
  readonly reckoning: Reckoning;
  /** The copies of the bench. */
  readonly copies: Copies;
  /** Where files on their way in are kept until they are whole. */
  readonly incoming: string;
}

const localNames = /^(localhost|127\.0\.0\.1|\[::1\])(:\d+)?$/;

/** The whole server as an Express app, listening to nobody yet. */
export function createApp({ db, log, pages, heavy, reckoning, copies, incoming }: AppParts): Express {
  const app = express();
  const now = () => new Date();
  const broke = (error: unknown) => log.error({ err: withoutText(error) }, 'broke');
  const files = { db, copies, jobs: new Jobs(broke), incoming: new Incoming(incoming), now };
  app.disable('x-powered-by');
  app.use(guard);
  app.use(compression());
  app.use((request, response, next) => {
    const started = performance.now();
    response.on('finish', () => {
      const { method, originalUrl: url } = request;
      log.info({ method, url, status: response.statusCode, ms: Math.round(performance.now() - started) }, 'answered');
    });
    // A page elsewhere that names this machine must not be able to speak to it.
    if (localNames.test(request.headers.host ?? '')) next();
    else response.status(403).end(startingWords.onlyHere);
  });
  app.use('/api', ofThisBench(db, copies));
  // A cloth of many runs, with all its strands.
  app.use('/api/works/:id/onward', express.json({ limit: '16mb', verify: refuseDeep }));
  // A pattern of many rows, and a plan that holds one.
  app.use(
    ['/api/patterns', '/api/works', '/api/drafts', '/api/swatches', '/api/plan'],
    express.json({ limit: '1mb', verify: refuseDeep }),
  );
  // A drawer of twenty thousand yarns, as a table.
  app.use('/api/drawer/many', express.json({ limit: '16mb', verify: refuseDeep }));
  app.use('/api', express.json({ limit: '256kb', verify: refuseDeep }));
  app.get('/api/health', (_request, response) => {
    response.json({ ok: true });
  });
  app.use(
    '/api/works',
    workRoutes(db, heavy),
    progressRoutes(db),
    logRoutes(db),
    onwardRoutes(db, heavy),
    printRoutes(db, heavy),
    labelRoutes(db, heavy),
  );
  app.use('/api/drawer', drawerRoutes(db, copies));
  app.use('/api/swatches', swatchRoutes(db, heavy));
  app.use('/api/patterns', patternRoutes(db));
  app.use('/api/bin', binRoutes(db));
  app.use('/api/drafts', draftRoutes(db));
  app.use('/api/preferences', preferenceRoutes(db));
  app.use('/api/handover', handoverRoutes(files));
  app.use('/api/copies', copyRoutes(files));
  app.use('/api/incoming', incomingRoutes(files));
  app.use('/api/mark', markRoutes());
  app.use('/api/label-printer', labelPrinterRoutes(simulatedPrinter()));
  app.use('/api/scale', scaleRoutes(simulatedScale(Date.now, Math.random)));
  app.use('/api/schedule', scheduleRoutes(db, reckoning, now));
  app.use('/api/unread', unreadRoutes(db, copies));
  app.use('/api/plan', planRoutes(heavy));
  app.use('/api', () => {
    throw new Refusal(404, [
      {
        code: 'no-address',
        path: '',
      },
    ]);
  });
  if (pages) servePages(app, pages);
  app.use(answerErrors(broke));
  return app;
}

function servePages(app: Express, pages: string): void {
  // What never changes needs no mark of its version.
  const unmarked = { etag: false, lastModified: false, acceptRanges: false };
  const assets = { immutable: true, maxAge: '1y', fallthrough: false, ...unmarked };
  app.use('/assets', staticGzip(`${pages}/assets`, { enableBrotli: true, index: false, serveStatic: assets }));
  const page = readFileSync(join(pages, 'index.html'), 'utf8');
  // Each page says the word of its own answer; it is asked for anew, since an older one would say another.
  const answerPage: RequestHandler = (_request, response) => {
    response
      .type('html')
      .set('cache-control', 'no-cache')
      .end(page.replace('%NONCE%', nonceOf(response)));
  };
  app.get('/index.html', answerPage);
  app.use(express.static(pages, { index: false, cacheControl: false }));
  app.get('/{*path}', answerPage);
}
