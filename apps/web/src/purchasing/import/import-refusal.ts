/** A file that is not taken, and why, in a sentence that a person can act on. */
export class ImportRefusal extends Error {}

/** Files larger than this are not opened. */
export const MOST_BYTES = 20 * 1024 * 1024;

export const inMegabytes = (bytes: number) => `${Math.round(bytes / 1024 / 1024)} MB`;
