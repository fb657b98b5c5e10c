// Washing a cake or decanting over it: portions, what they leave, and what they cost of the product.
// The cake is taken to hold the same liquor after each portion and to mix with it wholly; channels in it make it worse.
export { paperHolds, type Rinse, rinse } from './hold-up.ts';
export { phAsWashed, portionsFor, type Washing, type WashReading, washed, washings, washReading } from './wash.ts';
export { type WashAnswer, washing, washingShape } from './washing.ts';
