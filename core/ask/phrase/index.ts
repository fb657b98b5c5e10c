// Phrase: a typed line cut into what it is about: amounts, strengths, substances, gases, and what is asked for.
export { isGasFormula } from './gases.ts';
export {
  cutPhrase,
  type Phrase,
  pointAt,
  readStuff,
  readSubstanceName,
  type Stuff,
  strengthPct,
  unitSentence,
  wantedStrength,
} from './phrase.ts';
export { NUMBER, typedGrams, typedNumber } from './typed.ts';
