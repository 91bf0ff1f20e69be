/** What somebody may do with a book: everything, edit it, or look at it. */
export const ROLES = ['owner', 'editor', 'reader'] as const;
export type Role = (typeof ROLES)[number];

/** So many characters a password has at least. */
export const LEAST_PASSWORD = 10;

const EMAIL = /^[^\s@]+@[^\s@.]+(\.[^\s@.]+)+$/;

/** True for what looks like an e-mail address, spaces around it left aside. Whether there is such a one only mail can tell. */
export const isEmail = (text: string): boolean => EMAIL.test(text.trim());
