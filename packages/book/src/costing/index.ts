export { CandidateBatch } from './candidate-batch.js';
export { FrozenCard } from './saved-card.js';
export { FrozenLine } from './saved-card-line.js';
