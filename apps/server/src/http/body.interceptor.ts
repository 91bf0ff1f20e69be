import {
  Inject,
  Injectable,
  SetMetadata,
  type CallHandler,
  type ExecutionContext,
  type NestInterceptor,
} from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import type { Request, Response } from 'express';
import { finalize, type Observable } from 'rxjs';
import { networkOf } from '../accounts/network.js';
import { BodyMemory } from './body-memory.js';
import { readBody } from './read-body.js';
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
  constructor(
    @Inject(Reflector) private readonly reflector: Reflector,
    @Inject(BodyMemory) private readonly memory: BodyMemory,
  ) {}

  async intercept(context: ExecutionContext, next: CallHandler): Promise<Observable<unknown>> {
    const taken = this.reflector.get<Taken | undefined>(TAKEN, context.getHandler());
    const http = context.switchToHttp();
    const request = http.getRequest<Request>();
    request.body = {};
    if (taken === undefined) return next.handle();
    const { userId, isGuest = false } = request.session;
    const claim = this.memory.begin({ id: userId ?? networkOf(request.ip), isGuest });
    try {
      // Small bodies take nothing of the memory that large ones share: whoever signs in waits for nobody.
      const bytes = await readBody(request, taken.bytes, taken.raw ? (more) => claim.add(more) : () => undefined);
      request.body = taken.raw ? bytes : readJson(bytes, SMALL);
    } catch (error) {
      claim.release();
      // What is still to come of the body is not waited for.
      http.getResponse<Response>().set('Connection', 'close');
      throw error;
    }
    return next.handle().pipe(finalize(() => claim.release()));
  }
}
