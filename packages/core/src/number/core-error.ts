/** A fault in the use of core, never an expected state of the data (those are gaps). */
export class CoreError extends Error {
  constructor(
    readonly code: 'units-differ' | 'basis-not-positive' | 'unknown-figure' | 'not-a-day',
    message: string,
  ) {
    super(message);
    this.name = 'CoreError';
  }
}
