import { existsSync } from 'node:fs';
import { installFromDebian } from './debian.mjs';

/** Debian's Chromium without a window: the one with a window draws its frame also where nobody sees it, and tests wait for that. */
export const CHROMIUM = '/usr/bin/chromium-headless-shell';

/** That Chromium, installed where it is missing. */
export function ensureChromium() {
  if (!existsSync(CHROMIUM)) installFromDebian(['chromium-headless-shell'], 'Chromium');
}
