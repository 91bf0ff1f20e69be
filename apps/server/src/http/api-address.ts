import { posix } from 'node:path';

/** True for an address under /api, however it is spelled: capitals, doubled or turned slashes, dots, percent signs. */
export function isApiAddress(path: string): boolean {
  const plain = posix
    .normalize(
      decoded(path)
        .replaceAll('\\', '/')
        .replace(/\/{2,}/g, '/'),
    )
    .toLowerCase();
  return plain === '/api' || plain.startsWith('/api/');
}

function decoded(path: string): string {
  try {
    return decodeURIComponent(path);
  } catch {
    return path;
  }
}
