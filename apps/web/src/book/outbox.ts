import type { Change } from '@nuvar/book';
import { keptOnMachine } from './kept-on-machine.js';

/** Changes that wait to be sent. The ids of changes sort by the time at which they were made. */
export const outboxOf = keptOnMachine<Change>('nuvar-outbox', 'changes', ({ id }) => id);
