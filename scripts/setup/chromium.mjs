import { existsSync } from 'node:fs';
import { installFromDebian } from './debian.mjs';

/** Debian's Chromium, installed where it is missing. */
export function ensureChromium() {
  if (!existsSync('/usr/bin/chromium')) installFromDebian(['chromium'], 'Chromium');
}
