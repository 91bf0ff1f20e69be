import 'reflect-metadata';
import { existsSync } from 'node:fs';
import type { Server } from 'node:http';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import compression from 'compression';
import type { NextFunction, Request, RequestHandler, Response } from 'express';
import helmet from 'helmet';
import type { LimitPoints } from './accounts/limits.js';
import { endOldSession, SessionPool, sessions } from './accounts/session.js';
import { AppModule } from './app.module.js';
import { migrate } from './database/data-source.js';
import { frameworkLog, log, requestLogTo } from './http/logger.js';
import { serveOpenApi } from './http/open-api.js';
import { sameSiteOnly } from './http/same-site.middleware.js';
import { serveWeb } from './http/serve-web.js';
import { machineDay, type Today } from './http/today.js';

export interface ServerOptions {
  readonly databaseUrl: string;
  readonly sessionSecret: string;
  /** The folder of the built web application, where there is one to serve. */
  readonly webFolder?: string;
  /** The proxies whose word is taken for where a request comes from, as Express names them; none unless set. */
  readonly trustedProxies?: string | undefined;
  /** How often something may be done, where that is not the usual. */
  readonly limits?: LimitPoints;
  /** Notes each request; in the log of the server unless said otherwise. */
  readonly requestLog?: RequestHandler;
  /** The day on which it is asked; that of the machine unless said otherwise. */
  readonly today?: Today;
}

/** Puts the server together, ready to listen. */
export async function makeServer({
  databaseUrl,
  sessionSecret,
  webFolder,
  trustedProxies,
  limits = {},
  requestLog = requestLogTo(log),
  today = machineDay,
}: ServerOptions): Promise<NestExpressApplication> {
  await migrate(databaseUrl);
  const app = await NestFactory.create<NestExpressApplication>(AppModule.over(databaseUrl, limits, today), {
    bodyParser: false,
    logger: frameworkLog,
  });
  if (trustedProxies !== undefined) app.set('trust proxy', trustedProxies.split(','));
  app.disable('x-powered-by');
  app.set('etag', false);
  app.use(requestLog);
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          'script-src': ["'self'", "'wasm-unsafe-eval'"],
          'style-src': ["'self'", "'unsafe-inline'"],
          'upgrade-insecure-requests': null,
        },
      },
      strictTransportSecurity: false,
    }),
  );
  app.use(
    compression({
      level: 1,
      filter: (request: Request, response: Response) =>
        !request.path.endsWith('/events') && compression.filter(request, response),
    }),
  );
  app.use('/api', sameSiteOnly);
  app.use('/api', (_request: Request, response: Response, next: NextFunction) => {
    response.set('Cache-Control', 'no-store');
    next();
  });
  app.use('/api', sessions(app.get(SessionPool), sessionSecret), endOldSession);
  serveOpenApi(app);
  if (webFolder !== undefined && existsSync(webFolder)) serveWeb(app, webFolder);
  app.enableShutdownHooks();
  cutOffSlowRequests(app.getHttpServer() as Server);
  await app.init();
  return app;
}

/** Who is slow to say what they ask for holds a connection for nothing. In milliseconds. */
function cutOffSlowRequests(server: Server): void {
  server.headersTimeout = 10_000;
  server.requestTimeout = 120_000;
  // How often Node.js looks; it reads this when it begins to listen, and its types do not name it.
  Object.assign(server, { connectionsCheckingInterval: 5_000 });
}
