import { problem, ProblemError, statusOf, type Problem } from '@nuvar/book';
import { Catch, HttpException, Logger, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common';
import { ThrottlerException } from '@nestjs/throttler';
import type { Response } from 'express';

/** A conflict: the problems, and the newer rows that the person has to see to choose. */
export class ConflictError extends ProblemError {
  constructor(
    problems: readonly Problem[],
    readonly rows: readonly { readonly kind: string; readonly row: object | null }[],
  ) {
    super(problems);
  }
}

/** Turns whatever was thrown into problems of the catalogue. Nobody outside sees a stack trace. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  private readonly logger = new Logger('http');

  catch(thrown: unknown, host: ArgumentsHost): void {
    const response = host.switchToHttp().getResponse<Response>();
    // Half an answer is none: whoever waits for the rest sees the connection break, and asks again.
    if (response.headersSent || response.destroyed) {
      if (!isLeftEarly(thrown)) this.logger.error(thrown instanceof Error ? thrown.stack : String(thrown));
      response.destroy();
      return;
    }
    const problems = this.problemsOf(thrown);
    const first = problems[0] as Problem;
    const rows = thrown instanceof ConflictError ? { rows: thrown.rows } : {};
    response.status(statusOf(first.code)).json({ problems, ...rows });
  }

  private problemsOf(thrown: unknown): readonly Problem[] {
    if (thrown instanceof ProblemError) return thrown.problems;
    if (thrown instanceof ThrottlerException) return [problem('too-many-tries')];
    const status = thrown instanceof HttpException ? thrown.getStatus() : statusOfError(thrown);
    if (status === 404) return [problem('not-found')];
    if (status === 413) return [problem('too-large', { values: { limit: 'a few megabytes' } })];
    if (status !== null && status >= 400 && status < 500) {
      return [problem('malformed-request', { values: { detail: 'it is not the JSON that belongs here' } })];
    }
    this.logger.error(thrown instanceof Error ? thrown.stack : String(thrown));
    return [problem('server-error')];
  }
}

/** Whoever had asked went away before the answer was through. */
const isLeftEarly = (thrown: unknown) =>
  thrown instanceof Error && 'code' in thrown && thrown.code === 'ERR_STREAM_PREMATURE_CLOSE';

/** The status that the body parser gives its errors. */
function statusOfError(thrown: unknown): number | null {
  return typeof thrown === 'object' && thrown !== null && 'status' in thrown && typeof thrown.status === 'number'
    ? thrown.status
    : null;
}
