import { describe, expect, it } from 'vitest';
import { isEmail } from './people.js';

describe('an e-mail address', () => {
  it.each([
    'wren@quillfern.example',
    ' wren@quillfern.example ',
    "o'hare+book@mail.quillfern.example",
    'ü@bäckerei.example',
  ])('may be "%s"', (text) => expect(isEmail(text)).toBe(true));

  it.each([
    '',
    'wren',
    'wren@home',
    '@quillfern.example',
    'wren@quillfern.',
    'wren@.example',
    'w ren@quillfern.example',
    'a@b@c.example',
  ])('is not "%s"', (text) => expect(isEmail(text)).toBe(false));
});
