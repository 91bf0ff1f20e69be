import { QueryFailedError } from 'typeorm';

/** What PostgreSQL says of a statement that it refused. */
export interface DatabaseError {
  /** The SQLSTATE: PostgreSQL documentation, appendix A. */
  readonly code: string;
  readonly table?: string;
  readonly constraint?: string;
  readonly detail?: string;
}

/** The refusal of PostgreSQL behind an error, or null where it is another error. */
export function databaseError(thrown: unknown): DatabaseError | null {
  const inner: unknown = thrown instanceof QueryFailedError ? thrown.driverError : thrown;
  const isOne =
    inner instanceof Error && 'code' in inner && typeof inner.code === 'string' && /^[0-9A-Z]{5}$/.test(inner.code);
  return isOne ? (inner as unknown as DatabaseError) : null;
}

export const isUniqueViolation = (thrown: unknown): boolean => databaseError(thrown)?.code === '23505';

/** Somebody else holds a lock, or a statement has taken too long: the same may do well a little later. */
const BUSY = ['55P03', '57014', '40001', '40P01'];

export const isBusy = (thrown: unknown): boolean => BUSY.includes(databaseError(thrown)?.code ?? '');

/** Codes of sockets, and words of the driver, that mean that there is no connection. */
const NO_CONNECTION = ['ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ETIMEDOUT', 'ENOTFOUND', 'EHOSTUNREACH', 'EAI_AGAIN'];
const NO_CONNECTION_WORDS =
  /connection terminated|timeout exceeded when trying to connect|client has encountered a connection error|not queryable|connection ended|driver not connected|connection (with .* )?(is )?not established|cannot use a pool after calling end|query runner already released|transaction is not started/i;

/** Connection exceptions, insufficient resources, system errors. */
const AWAY_CLASSES = ['08', '53', '58'];
/** The server is being shut down, has crashed, starts up or has ended a session; the database is not there. */
const AWAY_CODES = ['57P01', '57P02', '57P03', '57P05', '25P03', '3D000'];

/** The database cannot be reached, is shutting down or starting up: nothing is wrong with the request. */
export function isDatabaseAway(thrown: unknown): boolean {
  const inner: unknown = thrown instanceof QueryFailedError ? thrown.driverError : thrown;
  const code = databaseError(thrown)?.code ?? '';
  if (AWAY_CLASSES.some((each) => code.startsWith(each)) || AWAY_CODES.includes(code)) return true;
  if (!(inner instanceof Error)) return false;
  const socketCode = 'code' in inner && typeof inner.code === 'string' ? inner.code : '';
  if (inner instanceof AggregateError) return inner.errors.some(isDatabaseAway);
  return NO_CONNECTION.includes(socketCode) || NO_CONNECTION_WORDS.test(inner.message);
}
