export { type VerbInput, type VerbName, type VerbOutput, verbs } from './verbs/index.ts';
export { shelfVerbs } from './verbs/shelf-verbs.ts';
