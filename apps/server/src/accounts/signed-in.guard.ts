import { problem, ProblemError } from '@nuvar/book';
import { createParamDecorator, Injectable, type CanActivate, type ExecutionContext } from '@nestjs/common';
import type { Request } from 'express';

/** Lets only signed-in people through. */
@Injectable()
export class SignedInGuard implements CanActivate {
  canActivate(context: ExecutionContext): boolean {
    if (context.switchToHttp().getRequest<Request>().session.userId === undefined)
      throw new ProblemError([problem('not-signed-in')]);
    return true;
  }
}

/** The id of the person who makes the request; behind `SignedInGuard` it is always there. */
export const PersonId = createParamDecorator((_data: unknown, context: ExecutionContext): string => {
  return context.switchToHttp().getRequest<Request>().session.userId as string;
});
