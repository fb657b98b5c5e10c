import type { ProductRow } from '../product-rows.ts';
import { gardenProducts } from './products-garden.ts';
import { householdProducts } from './products-household.ts';
import { kitchenProducts } from './products-kitchen.ts';
import { pharmacyProducts } from './products-pharmacy.ts';
import { poolAndPondProducts } from './products-pool-and-pond.ts';
import { workshopProducts } from './products-workshop.ts';

/**
 * Kinds of shop product by their generic names: what is in them, mass % typical, lowest and highest, what else, what tells them
 * from others, and how one tests them. Set down from published trade, pharmacopoeia and handbook figures.
 */
export const products: readonly ProductRow[] = [
  ...householdProducts,
  ...poolAndPondProducts,
  ...gardenProducts,
  ...pharmacyProducts,
  ...kitchenProducts,
  ...workshopProducts,
];
