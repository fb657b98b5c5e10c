// Chains: a reagent made over intermediates, searched backwards from what is wanted to what stands on the shelf, with an overall
// sheet, an overall yield and a shopping list.

export { type ChainAnswer, type ChainShown, chainsFor } from './asked.ts';
export { type ChainSheet, type ChainStepSheet, chainSheet } from './chain-sheet.ts';
export { type Chain, type ChainInput, type ChainNode, findChains } from './find-chains.ts';
