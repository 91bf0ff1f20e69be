import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { ThrottlerStorage } from '@nestjs/throttler';
import { DataSource } from 'typeorm';

/** Counts tries in PostgreSQL, so that the limit holds however many servers there are. */
@Injectable()
export class Tries implements ThrottlerStorage {
  constructor(@InjectDataSource() private readonly database: DataSource) {}

  async increment(key: string, ttl: number, limit: number, blockDuration: number) {
    const rows: { hits: number; left: number }[] = await this.database.query(
      `INSERT INTO tries AS known (key, hits, expires_at) VALUES ($1, 1, now() + make_interval(secs => $2))
       ON CONFLICT (key) DO UPDATE SET
         hits = CASE WHEN known.expires_at < now() THEN 1 ELSE known.hits + 1 END,
         expires_at = CASE WHEN known.expires_at < now() THEN EXCLUDED.expires_at ELSE known.expires_at END
       RETURNING hits, ceil(extract(epoch FROM expires_at - now()))::integer AS left`,
      [key, Math.max(ttl, blockDuration) / 1000],
    );
    const { hits, left } = rows[0] ?? { hits: 1, left: 0 };
    return { totalHits: hits, timeToExpire: left, isBlocked: hits > limit, timeToBlockExpire: left };
  }
}
