export { type VerbInput, type VerbName, type VerbOutput, verbs } from './verbs/index.ts';
