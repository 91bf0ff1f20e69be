import { request as httpRequest } from 'node:http';
import { gunzipSync } from 'node:zlib';

export interface RawRequest {
  readonly method: string;
  /** The path as it goes over the wire: nothing is normalised. */
  readonly path: string;
  readonly headers?: Readonly<Record<string, string>>;
  readonly body?: Uint8Array | undefined;
}

export interface RawAnswer {
  readonly status: number;
  readonly contentType: string;
  readonly text: string;
  readonly headers: Readonly<Record<string, unknown>>;
}

/** Sends a request as it is given and gives what came back; of a stream of events no more than its beginning. */
export function send(base: string, { method, path, headers = {}, body }: RawRequest): Promise<RawAnswer> {
  const { hostname, port } = new URL(base);
  return new Promise((done, fail) => {
    const outgoing = httpRequest({ hostname, port, method, path, headers: { ...headers }, agent: false }, (answer) => {
      const contentType = answer.headers['content-type'] ?? '';
      const told = { status: answer.statusCode ?? 0, contentType, headers: answer.headers };
      if (contentType.includes('event-stream')) {
        done({ ...told, text: '' });
        outgoing.destroy();
        return;
      }
      const pieces: Buffer[] = [];
      answer.on('data', (piece: Buffer) => pieces.push(piece));
      answer.on('end', () => {
        const bytes = Buffer.concat(pieces);
        const isPacked = answer.headers['content-encoding'] === 'gzip';
        done({ ...told, text: (isPacked ? gunzipSync(bytes) : bytes).toString('utf8') });
      });
      answer.on('error', fail);
    });
    outgoing.on('error', fail);
    outgoing.end(body);
  });
}
