// Problems: expected failures as values. One catalogue holds each code with its plain title and the HTTP status
// it answers with; the sentence of a single case says what came and what would be right. A programmer's mistake throws.
export { type Problem, type ProblemCode, problem, problemCatalogue } from './problem.ts';
export { fail, ok, type Result, unwrap } from './result.ts';
