import { problem, statusOf, type Problem } from '@nuvar/book';
import { Catch, Logger, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common';
import type { Response } from 'express';
import { ConflictError } from '../book/conflict-error.js';
import { problemsOf } from './problems-of.js';

/** Turns whatever was thrown into problems of the catalogue. Nobody outside sees a stack trace. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  private readonly logger = new Logger('http');

  catch(thrown: unknown, host: ArgumentsHost): void {
    const response = host.switchToHttp().getResponse<Response>();
    // Half an answer is none: whoever waits for the rest sees the connection break, and asks again.
    if (response.headersSent || response.destroyed) {
      if (!isLeftEarly(thrown)) this.log(thrown);
      response.destroy();
      return;
    }
    const problems = problemsOf(thrown) ?? this.unexpected(thrown);
    const first = problems[0] as Problem;
    const rows = thrown instanceof ConflictError ? { rows: thrown.rows } : {};
    if (first.values?.seconds !== undefined) response.set('Retry-After', first.values.seconds);
    else if (statusOf(first.code) === 503) response.set('Retry-After', '2');
    response.status(statusOf(first.code)).json({ problems, ...rows });
  }

  private unexpected(thrown: unknown): readonly Problem[] {
    this.log(thrown);
    return [problem('server-error')];
  }

  private log(thrown: unknown): void {
    this.logger.error(thrown instanceof Error ? thrown.stack : String(thrown));
  }
}

/** Whoever had asked went away before the answer was through. */
const isLeftEarly = (thrown: unknown) =>
  thrown instanceof Error &&
  (('code' in thrown && thrown.code === 'ERR_STREAM_PREMATURE_CLOSE') ||
    ('type' in thrown && thrown.type === 'request.aborted'));
