export { LONG_TEXTS } from './long-texts.js';
