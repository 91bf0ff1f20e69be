import { problem, ProblemError } from '@nuvar/book';
import {
  Inject,
  Injectable,
  SetMetadata,
  type CallHandler,
  type ExecutionContext,
  type NestInterceptor,
} from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import express, { type Request, type Response } from 'express';
import type { Observable } from 'rxjs';
import { readJson, SMALL } from './read-json.js';

/** What a route takes in. */
interface Taken {
  /** The most bytes, unpacked. */
  readonly bytes: number;
  /** True where the route reads the bytes itself; else they are parsed as a small body. */
  readonly raw: boolean;
}

const TAKEN = 'taken body';

const KILOBYTE = 1024;
const MEGABYTE = 1024 * KILOBYTE;

/** The route takes a small body: a few texts. */
export const TakesSmallBody = () => SetMetadata<string, Taken>(TAKEN, { bytes: 32 * KILOBYTE, raw: false });

/** The route takes a body of up to so many megabytes, as bytes. */
export const TakesBytes = (megabytes: number) =>
  SetMetadata<string, Taken>(TAKEN, { bytes: megabytes * MEGABYTE, raw: true });

/**
 * Reads the body of a request, and only of a route that takes one. It comes after the guards: nobody makes the server
 * read what they may not send.
 */
@Injectable()
export class BodyInterceptor implements NestInterceptor {
  constructor(@Inject(Reflector) private readonly reflector: Reflector) {}

  async intercept(context: ExecutionContext, next: CallHandler): Promise<Observable<unknown>> {
    const taken = this.reflector.get<Taken | undefined>(TAKEN, context.getHandler());
    const http = context.switchToHttp();
    const request = http.getRequest<Request>();
    request.body = {};
    if (taken !== undefined) {
      const bytes = await bytesOf(request, http.getResponse<Response>(), taken.bytes);
      request.body = taken.raw ? bytes : readJson(bytes, SMALL);
    }
    return next.handle();
  }
}

async function bytesOf(request: Request, response: Response, limit: number): Promise<Buffer> {
  if (request.is('application/json') === false)
    throw new ProblemError([
      problem('malformed-request', { values: { detail: 'its content type is not application/json' } }),
    ]);
  await new Promise<void>((done, fail) =>
    express.raw({ type: () => true, limit })(request, response, (error: unknown) =>
      error === undefined ? done() : fail(error as Error),
    ),
  );
  return Buffer.isBuffer(request.body) ? request.body : Buffer.alloc(0);
}
