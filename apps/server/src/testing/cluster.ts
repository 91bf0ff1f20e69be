import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';

interface Cluster {
  readonly url: string;
  readonly folder: string;
  stop(): void;
  remove(): void;
}
const { startCluster } = (await import(new URL('../../../../scripts/setup/cluster.mjs', import.meta.url).href)) as {
  startCluster: (name: string) => Promise<Cluster>;
};

/** A database cluster of a test's own, which it can kill as a power cut would. */
export interface MortalCluster {
  readonly url: string;
  /** Kills the cluster, and starts it again after so many milliseconds. */
  kill(downFor: number): Promise<void>;
  remove(): void;
}

export async function mortalCluster(): Promise<MortalCluster> {
  const name = `mortal-${process.pid}`;
  let cluster = await startCluster(name);
  return {
    url: cluster.url,
    async kill(downFor) {
      const [pid = ''] = readFileSync(join(cluster.folder, 'cluster/postmaster.pid'), 'utf8').split('\n');
      process.kill(Number(pid), 'SIGKILL');
      await pause(downFor);
      cluster = await startCluster(name);
    },
    remove() {
      cluster.stop();
      cluster.remove();
    },
  };
}
