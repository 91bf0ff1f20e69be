import { dictionary } from '@zxcvbn-ts/language-common';

const COMMON: ReadonlySet<string> = new Set(dictionary['passwords-common'].map((word) => String(word)));

/** True for a password that is on the list of those that are tried first, however it is written in capitals. */
export const isCommonPassword = (password: string): boolean => COMMON.has(password.trim().toLowerCase());
