import { workerData } from 'node:worker_threads';
import type { DataSource } from 'typeorm';
import { dataSource } from '../database/data-source.js';

/** Gives a thread its one connection to the database, made when it is first needed and again after it has failed. */
export function connection(): () => Promise<DataSource> {
  const { databaseUrl } = workerData as { databaseUrl: string };
  let made: Promise<DataSource> | null = null;
  return () => {
    made ??= dataSource(databaseUrl, 1)
      .initialize()
      .catch((error: unknown) => {
        made = null;
        throw error;
      });
    return made;
  };
}
