import connectPgSimple from 'connect-pg-simple';
import type { Request, RequestHandler } from 'express';
import session from 'express-session';
import { Inject, Injectable, type OnApplicationShutdown } from '@nestjs/common';
import { Pool } from 'pg';
import type { User } from '../database/entities.js';
import { log } from '../http/logger.js';

declare module 'express-session' {
  interface SessionData {
    userId: string;
    isGuest: boolean;
    /** When they signed in, in milliseconds since 1970. */
    begunAt: number;
  }
}

/** The connections of the session store; they end with the application. */
@Injectable()
export class SessionPool extends Pool implements OnApplicationShutdown {
  constructor(connectionString: string) {
    super({ connectionString, max: 5, keepAlive: true, connectionTimeoutMillis: 10_000, statement_timeout: 10_000 });
    // A connection that breaks while nobody uses it is replaced when the next one is asked for.
    this.on('error', (error) => log.warn({ error: error.message }, 'lost a connection of the session store'));
  }

  onApplicationShutdown(): Promise<void> {
    return this.end();
  }
}

/** Sessions that a person may have: of more, those that began longest ago end. */
const MOST_SESSIONS = 20;

/** The sessions of people, as far as they are looked at from outside. */
@Injectable()
export class Sessions {
  constructor(@Inject(SessionPool) private readonly pool: SessionPool) {}

  /** Makes room for one more session of a person. */
  async keepLatest(userId: string): Promise<void> {
    await this.pool.query(
      `DELETE FROM sessions WHERE sid IN (SELECT sid FROM sessions WHERE sess ->> 'userId' = $1
         ORDER BY (sess ->> 'begunAt')::numeric DESC NULLS LAST OFFSET ${MOST_SESSIONS - 1})`,
      [userId],
    );
  }
}

const HOUR = 60 * 60 * 1000;
const PERSONS_STAY = 30 * 24 * HOUR;

/** However often they are there, they sign in again after so long. */
const LONGEST = 90 * 24 * HOUR;

/** How long a guest stays after they were last there; then they go with their book. */
const GUESTS_STAY = 24 * HOUR;

/** Sessions live in PostgreSQL, so that any number of servers can stand behind one address. */
export function sessions(pool: Pool, secret: string): RequestHandler {
  const Store = connectPgSimple(session);
  return session({
    name: 'nuvar.sid',
    secret,
    store: new Store({
      pool,
      tableName: 'sessions',
      pruneSessionInterval: 3600,
      errorLog: (...words: unknown[]) => log.warn(words.map(String).join(' ')),
    }),
    resave: false,
    saveUninitialized: false,
    rolling: true,
    cookie: { httpOnly: true, sameSite: 'lax', secure: 'auto', maxAge: PERSONS_STAY },
  });
}

const settled = (act: (done: (error?: unknown) => void) => void) =>
  new Promise<void>((done, fail) => act((error) => (error ? fail(error as Error) : done())));

/** A session gets a new id when somebody signs in, so that nobody can be handed one that is known already. */
export async function beginSession(request: Request, user: User): Promise<void> {
  await settled((done) => request.session.regenerate(done));
  request.session.userId = user.id;
  request.session.begunAt = Date.now();
  request.session.isGuest = user.kind === 'guest';
  if (user.kind === 'guest') request.session.cookie.maxAge = GUESTS_STAY;
  await settled((done) => request.session.save(done));
}

/** Ends a session that has lasted for the longest time that one may. */
export const endOldSession: RequestHandler = (request, _response, next) => {
  const { userId, begunAt } = request.session;
  if (userId === undefined || Date.now() - (begunAt ?? Date.now()) < LONGEST) next();
  else request.session.regenerate(next);
};

export const endSession = (request: Request): Promise<void> => settled((done) => request.session.destroy(done));
