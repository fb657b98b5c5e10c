// Numeric: solvers whose outcome is data. Whoever asks says what it does when there is no root, and never gets half an answer.
export { bisect, type Root } from './bisect.ts';
