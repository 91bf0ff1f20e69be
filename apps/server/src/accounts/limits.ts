import { setTimeout as pause } from 'node:timers/promises';
import { problem, ProblemError } from '@nuvar/book';
import { Inject, Injectable } from '@nestjs/common';
import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible';
import { countedAddress } from './network.js';
import { SessionPool } from './session.js';

const MINUTE = 60;
const HOUR = 60 * MINUTE;

/** How often something may be done. `points` times in `seconds`. */
interface Limit {
  readonly points: number;
  readonly seconds: number;
}

const LIMITS = {
  /** Wrong passwords for one address from one network. */
  signInPair: { points: 10, seconds: 15 * MINUTE },
  /** Wrong passwords from one network, whatever the address. */
  signInNetwork: { points: 100, seconds: 15 * MINUTE },
  /** Wrong passwords for one address from anywhere: more make each try slow, and shut nobody out. */
  signInAddress: { points: 20, seconds: 15 * MINUTE },
  /** Wrong passwords in all: more make every try slow. */
  signInAll: { points: 1_000, seconds: 15 * MINUTE },
  /** Right passwords of one person: each makes a session that is kept. */
  signInRight: { points: 60, seconds: HOUR },
  /** Accounts made, or tried to make, from one network. */
  signUp: { points: 20, seconds: HOUR },
  /** Addresses that a person looks up to give them a role. */
  lookUp: { points: 60, seconds: HOUR },
  /** Guests from one network. */
  guest: { points: 60, seconds: HOUR },
  /** Guests in all. */
  guestAll: { points: 300, seconds: HOUR },
} as const satisfies Record<string, Limit>;

type LimitName = keyof typeof LIMITS;

/** Numbers of a server of its own, in place of the usual ones. */
export type LimitPoints = Partial<Readonly<Record<LimitName, number>>>;

export const LIMIT_POINTS = Symbol('limits');

/** How long a slowed try waits, in milliseconds. */
const SLOWED = 2_000;

const EVERYBODY = 'all';

/** Counts tries in PostgreSQL, so that limits hold however many servers there are. What is past is pruned. */
@Injectable()
export class Limits {
  private readonly counters: Readonly<Record<LimitName, RateLimiterPostgres>>;

  constructor(@Inject(SessionPool) pool: SessionPool, @Inject(LIMIT_POINTS) points: LimitPoints) {
    const counter = ([name, limit]: [string, Limit]) => {
      const made = new RateLimiterPostgres({
        storeClient: pool,
        storeType: 'pool',
        tableName: 'limits',
        tableCreated: true,
        clearExpiredByTimeout: true,
        keyPrefix: name,
        points: points[name as LimitName] ?? limit.points,
        duration: limit.seconds,
      });
      return [name, made] as const;
    };
    this.counters = Object.fromEntries(Object.entries(LIMITS).map(counter)) as Record<LimitName, RateLimiterPostgres>;
  }

  /**
   * Counts one more of something. Throws `too-many-tries` where that is more than is allowed, with the seconds to wait.
   */
  async count(name: LimitName, of: string): Promise<void> {
    try {
      await this.counters[name].consume(of);
    } catch (refused) {
      if (!(refused instanceof RateLimiterRes)) throw refused;
      throw tooMany(refused.msBeforeNext);
    }
  }

  async countGuest(network: string): Promise<void> {
    await this.count('guest', network);
    await this.count('guestAll', EVERYBODY);
  }

  /**
   * Signs somebody in by `work`, which throws where the password is wrong. A try is counted before it is made, so that
   * many at once do not pass, and given back where it was right. Many wrong ones from a network end tries from there;
   * many for an address from elsewhere only make each one slow: a stranger can delay the owner, and not lock them out.
   */
  async signIn<Result>(email: string, network: string, work: () => Promise<Result>): Promise<Result> {
    const address = countedAddress(email);
    const pair = `${network} ${address}`;
    await this.count('signInPair', pair);
    await this.count('signInNetwork', network);
    const slowed = [await this.isOver('signInAddress', address), await this.isOver('signInAll', EVERYBODY)];
    if (slowed.includes(true)) await pause(SLOWED);
    const result = await work();
    await Promise.all([
      this.counters.signInPair.delete(pair),
      this.counters.signInNetwork.reward(network),
      this.counters.signInAddress.reward(address),
      this.counters.signInAll.reward(EVERYBODY),
    ]);
    return result;
  }

  /** Counts one more of something that is never refused, and says whether there were too many. */
  private async isOver(name: LimitName, of: string): Promise<boolean> {
    const counted = await this.counters[name].penalty(of);
    return counted.consumedPoints > this.counters[name].points;
  }
}

function tooMany(milliseconds: number): ProblemError {
  const seconds = Math.max(1, Math.ceil(milliseconds / 1000));
  const wait = seconds < 90 ? `${seconds} seconds` : `${Math.ceil(seconds / 60)} minutes`;
  return new ProblemError([problem('too-many-tries', { values: { wait, seconds: String(seconds) } })]);
}
