import type { LoggerService } from '@nestjs/common';
import { pino } from 'pino';

/** The log of the server, one JSON line an event. `LOG_LEVEL` sets what is written; `warn` where it is not set. */
export const log = pino({ level: process.env.LOG_LEVEL ?? 'warn' });

/** Hands the framework's own messages to the same log. */
export const frameworkLog: LoggerService = {
  log: (message) => log.info(message),
  error: (message, ...more) => log.error({ more }, String(message)),
  warn: (message) => log.warn(message),
  debug: (message) => log.debug(message),
  verbose: (message) => log.trace(message),
};
