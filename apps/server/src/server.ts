import 'reflect-metadata';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import compression from 'compression';
import express, { type NextFunction, type Request, type Response } from 'express';
import helmet from 'helmet';
import { pinoHttp } from 'pino-http';
import { SessionPool, sessions } from './accounts/session.js';
import { AppModule } from './app.module.js';
import { BookEvents } from './book/book-events.service.js';
import { DemoService } from './demo/demo.service.js';
import { frameworkLog, log } from './http/logger.js';
import { serveOpenApi } from './http/open-api.js';
import { sameSiteOnly } from './http/same-site.middleware.js';

export interface ServerOptions {
  readonly databaseUrl: string;
  readonly sessionSecret: string;
  /** The folder of the built web application, where there is one to serve. */
  readonly webFolder?: string;
}

/** Puts the server together, ready to listen. */
export async function makeServer({
  databaseUrl,
  sessionSecret,
  webFolder,
}: ServerOptions): Promise<NestExpressApplication> {
  const app = await NestFactory.create<NestExpressApplication>(AppModule.over(databaseUrl), {
    bodyParser: false,
    logger: frameworkLog,
  });
  app.set('trust proxy', 'loopback');
  app.disable('x-powered-by');
  app.set('etag', false);
  app.use(pinoHttp({ logger: log, autoLogging: log.level !== 'silent' }));
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
  app.use('/api/book-files', express.json({ limit: '40mb' }));
  app.use('/api/books/:id/changes', express.json({ limit: '16mb' }));
  app.use('/api', express.json({ limit: '200kb' }));
  app.use('/api', (_request: Request, response: Response, next: NextFunction) => {
    response.set('Cache-Control', 'no-store');
    next();
  });
  app.use('/api', sessions(app.get(SessionPool), sessionSecret));
  serveOpenApi(app);
  if (webFolder !== undefined && existsSync(webFolder)) serveWeb(app, webFolder);
  app.enableShutdownHooks();
  await app.init();
  await app.get(BookEvents).listen(databaseUrl);
  await app.get(DemoService).loadIfEmpty();
  return app;
}

/** Hashed assets may be kept for a year; every other address that is not the API's is a screen of the application. */
function serveWeb(app: NestExpressApplication, folder: string): void {
  app.use('/assets', express.static(join(folder, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }));
  app.use(express.static(folder, { index: false }));
  app.use((request: Request, response: Response, next: NextFunction) => {
    if (request.method !== 'GET' || request.path.startsWith('/api')) return next();
    response.sendFile(join(folder, 'index.html'));
  });
}
