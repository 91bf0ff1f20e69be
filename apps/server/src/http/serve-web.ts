import { join } from 'node:path';
import { problem, statusOf } from '@nuvar/book';
import type { NestExpressApplication } from '@nestjs/platform-express';
import express, { type NextFunction, type Request, type Response } from 'express';
import { isApiAddress } from './api-address.js';

/** The last part of an address that names a file, and no screen. */
const FILE = /\.[^/]*$/;

/** Hashed assets may be kept for a year; every other address that is not the API's is a screen of the application. */
export function serveWeb(app: NestExpressApplication, folder: string): void {
  app.use('/assets', express.static(join(folder, 'assets'), { immutable: true, maxAge: '1y', redirect: false }));
  app.use(express.static(folder, { index: false, redirect: false }));
  app.use((request: Request, response: Response, next: NextFunction) => {
    if (isApiAddress(request.path)) return next();
    if (!['GET', 'HEAD'].includes(request.method) || FILE.test(request.path)) return notFound(response);
    response.sendFile(join(folder, 'index.html'));
  });
}

function notFound(response: Response): void {
  const missing = problem('not-found');
  response.status(statusOf(missing.code)).json({ problems: [missing] });
}
