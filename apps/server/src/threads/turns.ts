import { problem, ProblemError } from '@nuvar/book';

/** Whose work it is, and whether somebody looks at a screen until it is done. */
export interface Turn {
  readonly personId: string;
  readonly isGuest: boolean;
  readonly isUrgent: boolean;
}

interface Waiting {
  readonly turn: Turn;
  readonly begin: () => void;
}

/** Pieces of work of one person that are under way at the same time. */
const MOST_OF_A_PERSON = 2;
const MOST_OF_A_GUEST = 1;

/** Who comes when so many of their own wait, or so many of all, is asked to come again. */
const MOST_WAITING_OF_ONE = 20;
const MOST_WAITING = 400;

/**
 * Gives a few seats to many people in turns: each has a few pieces of work under way, guests together leave a seat free, and
 * of what waits it is the turn of whoever was given a seat longest ago. What somebody looks at goes before documents.
 */
export class Turns {
  private readonly underWay: Turn[] = [];
  private waiting: Waiting[] = [];
  /** When each person was last given a seat, as a number that rises. */
  private readonly lastTurn = new Map<string, number>();
  private turns = 0;

  constructor(private readonly seats: number) {}

  /**
   * Does some work when it is its turn. Throws `busy` where too much waits, and `took-too-much` where `left` says before its
   * turn that nobody waits for it any more.
   */
  async run<Result>(turn: Turn, work: () => Promise<Result>, left: AbortSignal): Promise<Result> {
    await this.seat(turn, left);
    try {
      return await work();
    } finally {
      this.underWay.splice(this.underWay.indexOf(turn), 1);
      if (!this.isKnown(turn.personId)) this.lastTurn.delete(turn.personId);
      this.giveSeats();
    }
  }

  private seat(turn: Turn, left: AbortSignal): Promise<void> {
    if (this.mayBegin(turn)) {
      this.take(turn);
      return Promise.resolve();
    }
    const own = this.waiting.filter((each) => each.turn.personId === turn.personId).length;
    if (own >= MOST_WAITING_OF_ONE || this.waiting.length >= MOST_WAITING)
      return Promise.reject(new ProblemError([problem('busy')]));
    return new Promise((begin, refuse) => {
      const waiting: Waiting = { turn, begin };
      this.waiting.push(waiting);
      left.addEventListener('abort', () => {
        if (!this.waiting.includes(waiting)) return;
        this.waiting = this.waiting.filter((each) => each !== waiting);
        refuse(new ProblemError([problem('took-too-much')]));
      });
    });
  }

  private mayBegin({ personId, isGuest }: Turn): boolean {
    const own = this.underWay.filter((each) => each.personId === personId).length;
    const ofGuests = this.underWay.filter((each) => each.isGuest).length;
    if (this.underWay.length >= this.seats || own >= (isGuest ? MOST_OF_A_GUEST : MOST_OF_A_PERSON)) return false;
    return !isGuest || ofGuests < Math.max(1, this.seats - 1);
  }

  private take(turn: Turn): void {
    this.underWay.push(turn);
    this.turns += 1;
    this.lastTurn.set(turn.personId, this.turns);
  }

  /** Gives free seats to those who may begin, one after the other. */
  private giveSeats(): void {
    for (let next = this.chosen(); next !== undefined; next = this.chosen()) {
      const given = next;
      this.waiting = this.waiting.filter((each) => each !== given);
      this.take(given.turn);
      given.begin();
    }
  }

  private chosen(): Waiting | undefined {
    const [first] = this.waiting
      .filter(({ turn }) => this.mayBegin(turn))
      .sort(
        ({ turn: one }, { turn: other }) =>
          Number(other.isUrgent) - Number(one.isUrgent) || this.lastOf(one.personId) - this.lastOf(other.personId),
      );
    return first;
  }

  private lastOf(personId: string): number {
    return this.lastTurn.get(personId) ?? 0;
  }

  private isKnown(personId: string): boolean {
    return [...this.underWay, ...this.waiting.map(({ turn }) => turn)].some((each) => each.personId === personId);
  }
}
