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
import { finalize, type Observable } from 'rxjs';
import { networkOf } from '../accounts/network.js';
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

/** Bodies that are under way, of one person and of all: who comes when there are more is asked to come again. */
const MOST_OF_ONE = 96 * MEGABYTE;
const MOST_OF_ALL = 256 * MEGABYTE;

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
  /** Bytes of bodies of requests that are not answered yet, by who sent them. */
  private readonly inUse = new Map<string, number>();

  constructor(@Inject(Reflector) private readonly reflector: Reflector) {}

  async intercept(context: ExecutionContext, next: CallHandler): Promise<Observable<unknown>> {
    const taken = this.reflector.get<Taken | undefined>(TAKEN, context.getHandler());
    const http = context.switchToHttp();
    const request = http.getRequest<Request>();
    request.body = {};
    if (taken === undefined) return next.handle();
    const announced = Number(request.get('content-length') ?? taken.bytes);
    const release = this.claim(request.session.userId ?? networkOf(request.ip), Math.min(taken.bytes, announced));
    try {
      const bytes = await bytesOf(request, http.getResponse<Response>(), taken.bytes);
      request.body = taken.raw ? bytes : readJson(bytes, SMALL);
    } catch (error) {
      release();
      throw error;
    }
    return next.handle().pipe(finalize(release));
  }

  /** Claims memory for a body, and gives how to give it back. Throws `busy` where too much of it is in use. */
  private claim(who: string, bytes: number): () => void {
    const own = this.inUse.get(who) ?? 0;
    const all = [...this.inUse.values()].reduce((sum, each) => sum + each, 0);
    if (own + bytes > MOST_OF_ONE || all + bytes > MOST_OF_ALL) throw new ProblemError([problem('busy')]);
    this.inUse.set(who, own + bytes);
    return () => {
      const left = (this.inUse.get(who) ?? 0) - bytes;
      if (left > 0) this.inUse.set(who, left);
      else this.inUse.delete(who);
    };
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
