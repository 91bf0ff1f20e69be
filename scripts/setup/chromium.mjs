import { existsSync } from 'node:fs';
import { installFromDebian } from './debian.mjs';

/** Debian's Chromium without a window: with one, even unseen, half of the processor goes into drawing its frame. */
export const CHROMIUM = '/usr/bin/chromium-headless-shell';

/** That Chromium, installed where it is missing. */
export function ensureChromium() {
  if (!existsSync(CHROMIUM)) installFromDebian(['chromium-headless-shell'], 'Chromium');
}
