import { QueryFailedError, QueryRunnerAlreadyReleasedError, TransactionNotStartedError } from 'typeorm';
import { describe, expect, it } from 'vitest';
import { isBusy, isDatabaseAway } from './database-error.js';

const withCode = (code: string) => Object.assign(new Error('PostgreSQL says so'), { code });
const ofStatement = (code: string) => new QueryFailedError('SELECT 1', [], withCode(code));

describe('a database that is away', () => {
  // Codes: PostgreSQL documentation, appendix A.
  it.each(['08006', '08P01', '53100', '53200', '53300', '57P01', '57P02', '57P03', '57P05', '58030', '3D000'])(
    'is known by what PostgreSQL says: %s',
    (code) => expect([isDatabaseAway(ofStatement(code)), isDatabaseAway(withCode(code))]).toEqual([true, true]),
  );

  it.each([
    new Error('Connection terminated unexpectedly'),
    new Error('timeout exceeded when trying to connect'),
    new Error('Cannot use a pool after calling end on the pool'),
    new Error('Client has encountered a connection error and is not queryable'),
    new Error('Driver not Connected'),
    new Error('Connection with sqlite database is not established. Check connection configuration.'),
    new QueryRunnerAlreadyReleasedError(),
    new TransactionNotStartedError(),
    Object.assign(new Error('connect'), { code: 'ECONNREFUSED' }),
    new AggregateError([Object.assign(new Error('connect'), { code: 'ECONNREFUSED' })]),
  ])('is known by what the driver and TypeORM say: %s', (error) => expect(isDatabaseAway(error)).toBe(true));

  it.each(['23505', '23503', '22P02', '42P01', '55P03', '57014', '40001'])(
    'is not what is said of a statement: %s',
    (code) => {
      expect(isDatabaseAway(ofStatement(code))).toBe(false);
      expect(isBusy(ofStatement(code))).toBe(['55P03', '57014', '40001'].includes(code));
    },
  );

  it.each([new TypeError('x is not a function'), 'text', null, undefined])('is nothing else: %s', (thrown) =>
    expect(isDatabaseAway(thrown)).toBe(false),
  );
});
