import type { IncomingMessage } from 'node:http';
import type { LoggerService } from '@nestjs/common';
import { pino, type Logger } from 'pino';
import { pinoHttp } from 'pino-http';

/** The log of the server, one JSON line an event. `LOG_LEVEL` sets what is written; `warn` where it is not set. */
export const log = pino({ level: process.env.LOG_LEVEL ?? 'warn' });

/**
 * Notes each request: what was asked and what came of it. Headers are left out: a cookie in a log is a key under the
 * mat. So is what stands behind the question mark of an address.
 */
export const requestLogTo = (logger: Logger) =>
  pinoHttp({
    logger,
    autoLogging: logger.level !== 'silent',
    serializers: {
      req: ({ id, method, url }: IncomingMessage & { id: unknown }) => ({ id, method, url: url?.split('?')[0] }),
      res: ({ statusCode }: { statusCode: number }) => ({ statusCode }),
    },
  });

/** Hands the framework's own messages to the same log. */
export const frameworkLog: LoggerService = {
  log: (message) => log.info(message),
  error: (message, ...more) => log.error({ more }, String(message)),
  warn: (message) => log.warn(message),
  debug: (message) => log.debug(message),
  verbose: (message) => log.trace(message),
};
