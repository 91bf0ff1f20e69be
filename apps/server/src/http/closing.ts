import { Inject, Injectable, type BeforeApplicationShutdown } from '@nestjs/common';
import { HttpAdapterHost } from '@nestjs/core';
import type { Server } from 'node:http';

/** How long requests that are under way may take when the server is asked to stop, in milliseconds. */
const GRACE = 1_500;

/** Lets the server stop although browsers hold connections open: requests under way get a moment, and then all are cut. */
@Injectable()
export class Closing implements BeforeApplicationShutdown {
  constructor(@Inject(HttpAdapterHost) private readonly host: HttpAdapterHost) {}

  beforeApplicationShutdown(): void {
    const server = this.host.httpAdapter.getHttpServer() as Server;
    setTimeout(() => server.closeAllConnections(), GRACE).unref();
  }
}
