import type { Figure } from './figure.js';

/**
 * What is worked out of something, without its parts: they are worked out again, in the same way, when somebody first
 * opens it. For figures of which there are tens of thousands, and of which few are ever opened.
 */
export function folded<Of>(workOut: (of: Of) => Figure, of: Of): Figure {
  return new FoldedFigure(workOut(of), workOut, of);
}

class FoldedFigure<Of> implements Figure {
  readonly operation;
  readonly name;
  readonly subject;
  readonly unit;
  readonly amount;
  readonly gaps;
  readonly place;
  readonly note;
  readonly publishedOf;
  readonly member;
  /** Kept once they were asked for: a figure has the same parts each time. */
  private opened: readonly Figure[] | null = null;

  constructor(
    figure: Figure,
    private readonly workOut: (of: Of) => Figure,
    private readonly of: Of,
  ) {
    this.operation = figure.operation;
    this.name = figure.name;
    this.subject = figure.subject;
    this.unit = figure.unit;
    this.amount = figure.amount;
    this.gaps = figure.gaps;
    this.place = figure.place;
    this.note = figure.note;
    this.publishedOf = figure.publishedOf;
    this.member = figure.member;
  }

  get parts(): readonly Figure[] {
    return (this.opened ??= this.workOut(this.of).parts);
  }
}
