import { createParamDecorator, type ExecutionContext } from '@nestjs/common';
import type { Request } from 'express';

/** Who makes a request, as far as it matters to whose turn it is. */
export interface Asker {
  readonly id: string;
  readonly isGuest: boolean;
}

/** Whoever is signed in; behind `SignedInGuard` somebody always is. */
export const SignedIn = createParamDecorator((_data: unknown, context: ExecutionContext): Asker => {
  const { userId, isGuest } = context.switchToHttp().getRequest<Request>().session;
  return { id: userId as string, isGuest: isGuest === true };
});
