export { CandidatePrice } from './candidate-price.js';
