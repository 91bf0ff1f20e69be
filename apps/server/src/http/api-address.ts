import { posix } from 'node:path';

/** True for an address under /api, as it stands or however it is spelled: capitals, doubled or turned slashes, dots, percent signs. */
export function isApiAddress(path: string): boolean {
  return isBelow(path.toLowerCase()) || isBelow(plainOf(path));
}

const isBelow = (path: string): boolean => path === '/api' || path.startsWith('/api/');

function plainOf(path: string): string {
  return posix
    .normalize(
      decoded(path)
        .replaceAll('\\', '/')
        .replace(/\/{2,}/g, '/'),
    )
    .toLowerCase();
}

function decoded(path: string): string {
  try {
    return decodeURIComponent(path);
  } catch {
    return path;
  }
}
