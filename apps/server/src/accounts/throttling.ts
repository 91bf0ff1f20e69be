import type { ThrottlerModuleOptions } from '@nestjs/throttler';
import type { Request } from 'express';
import type { Tries } from './tries.js';

/** Ten tries a minute for one e-mail address from one machine. */
export function signInLimit(storage: Tries): ThrottlerModuleOptions {
  return {
    storage,
    throttlers: [{ ttl: 60_000, limit: 10 }],
    getTracker: (request) => {
      const { ip, body } = request as unknown as Request;
      const email: unknown = typeof body === 'object' && body !== null ? (body as { email?: unknown }).email : '';
      return `${ip ?? ''}|${typeof email === 'string' ? email.slice(0, 200).toLowerCase() : ''}`;
    },
  };
}
