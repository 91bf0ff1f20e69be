/** The day of a moment on this machine, "2026-03-31". */
export function dayOf(moment: Date): string {
  return new Date(moment.getTime() - moment.getTimezoneOffset() * 60_000).toISOString().slice(0, 10);
}

/** The day on this machine. */
export const today = (): string => dayOf(new Date());
