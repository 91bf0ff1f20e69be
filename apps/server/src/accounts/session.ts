import connectPgSimple from 'connect-pg-simple';
import type { RequestHandler } from 'express';
import session from 'express-session';
import { Injectable, type OnApplicationShutdown } from '@nestjs/common';
import { Pool, type PoolConfig } from 'pg';
import { log } from '../http/logger.js';

declare module 'express-session' {
  interface SessionData {
    userId: string;
  }
}

/** The connections of the session store; they end with the application. */
@Injectable()
export class SessionPool extends Pool implements OnApplicationShutdown {
  constructor(config: PoolConfig) {
    super(config);
    // A connection that breaks while nobody uses it is replaced when the next one is asked for.
    this.on('error', (error) => log.warn({ error: error.message }, 'lost a connection of the session store'));
  }

  onApplicationShutdown(): Promise<void> {
    return this.end();
  }
}

const THIRTY_DAYS = 30 * 24 * 60 * 60 * 1000;

/** Sessions live in PostgreSQL, so that any number of servers can stand behind one address. */
export function sessions(pool: Pool, secret: string): RequestHandler {
  const Store = connectPgSimple(session);
  return session({
    name: 'nuvar.sid',
    secret,
    store: new Store({ pool, tableName: 'sessions', pruneSessionInterval: 3600 }),
    resave: false,
    saveUninitialized: false,
    rolling: true,
    cookie: { httpOnly: true, sameSite: 'lax', secure: 'auto', maxAge: THIRTY_DAYS },
  });
}
