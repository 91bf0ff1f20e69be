import { problem, statusOf } from '@nuvar/book';
import type { NextFunction, Request, Response } from 'express';

/**
 * Refuses requests that another site makes a browser send. Browsers say with `Sec-Fetch-Site`, older ones with `Origin`,
 * where a request comes from; scripts send neither and carry no cookie of a person unless they were given one.
 */
export function sameSiteOnly(request: Request, response: Response, next: NextFunction): void {
  if (['GET', 'HEAD', 'OPTIONS'].includes(request.method)) return next();
  const site = request.get('sec-fetch-site');
  const origin = request.get('origin');
  const sameOrigin =
    site === undefined
      ? origin === undefined || hostOf(origin) === request.get('host')
      : site === 'same-origin' || site === 'none';
  if (sameOrigin) return next();
  const refused = problem('cross-site');
  response.status(statusOf(refused.code)).json({ problems: [refused] });
}

function hostOf(origin: string): string | null {
  return URL.canParse(origin) ? new URL(origin).host : null;
}
