import { problem, ProblemError } from '@nuvar/book';
import { Injectable } from '@nestjs/common';

const MEGABYTE = 1024 * 1024;

/** Bytes of bodies that have come and are not answered yet. Who comes when there are more is asked to come again. */
const MOST = {
  ofOne: 96 * MEGABYTE,
  ofAGuest: 48 * MEGABYTE,
  /** Of all guests together: whoever has no account takes nothing from those who have one. */
  ofGuests: 96 * MEGABYTE,
  ofAll: 256 * MEGABYTE,
} as const;

/** Who sends a body. */
export interface Sender {
  readonly id: string;
  readonly isGuest: boolean;
}

/** What one body takes of the memory for bodies. */
export interface BodyClaim {
  /** So many bytes more have come. Throws `busy` where there are too many of them in use. */
  add(bytes: number): void;
  /** Gives all of it back. */
  release(): void;
}

/** The memory that bodies of requests take, counted as they come: what is only announced takes nothing. */
@Injectable()
export class BodyMemory {
  private readonly bySender = new Map<string, number>();
  private ofGuests = 0;
  private ofAll = 0;

  /** True where a change of some size would be refused now. */
  get isFull(): boolean {
    return this.ofAll + MEGABYTE > MOST.ofAll;
  }

  begin({ id, isGuest }: Sender): BodyClaim {
    let claimed = 0;
    const take = (bytes: number) => {
      claimed += bytes;
      this.ofAll += bytes;
      if (isGuest) this.ofGuests += bytes;
      const own = (this.bySender.get(id) ?? 0) + bytes;
      if (own > 0) this.bySender.set(id, own);
      else this.bySender.delete(id);
      return own;
    };
    return {
      add: (bytes) => {
        const own = take(bytes);
        if (
          own > (isGuest ? MOST.ofAGuest : MOST.ofOne) ||
          this.ofAll > MOST.ofAll ||
          (isGuest && this.ofGuests > MOST.ofGuests)
        )
          throw new ProblemError([problem('busy')]);
      },
      release: () => void take(-claimed),
    };
  }
}
