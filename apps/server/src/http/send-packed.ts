import type { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGunzip } from 'node:zlib';
import type { Request, Response } from 'express';

/** Sends packed (gzip) JSON text as it is, or unpacked to whoever takes nothing packed. */
export async function sendPacked(request: Request, response: Response, packed: Readable): Promise<void> {
  response.type('application/json');
  if (request.acceptsEncodings('gzip') === false) return pipeline(packed, createGunzip(), response);
  response.set('Content-Encoding', 'gzip');
  await pipeline(packed, response);
}
