import { log } from './logger.js';

type SecurityEvent =
  | 'wrong sign-in'
  | 'too many tries'
  | 'signed in'
  | 'signed up'
  | 'signed out'
  | 'role given'
  | 'member taken out'
  | 'book exported'
  | 'book removed';

/** Notes what whoever looks after a server asks about later: who, where, from which network; never a password or an address. */
export function noteSecurityEvent(event: SecurityEvent, about: Readonly<Record<string, string>>): void {
  log.warn({ security: event, ...about }, event);
}
