export { PROBLEMS, type ProblemCode } from './catalogue.js';
export { problem, ProblemError, statusOf, type Problem, type ProblemDetails } from './problem.js';
