// Gear: the person's place and what is owned there: balance, cylinders, vessels, still, cell, hours, country. A sheet, an assay
// and the week all ask it what they can be carried out with.
export type { Country } from '#matter/data';
export {
  type AirKind,
  airKinds,
  type Bench,
  BenchDefaults,
  type Burette,
  benchShape,
  type Cylinder,
  countries,
  countryName,
  cylinderFor,
  type Gear,
  gearKinds,
  KITCHEN_GEAR,
  type Material,
  materials,
  type OwnMeasure,
  type OwnVessel,
  roundTo,
  USUAL_BURETTE,
  vesselsShape,
} from './bench.ts';
export {
  type AnodeMaterial,
  anodeMaterials,
  type CathodeMaterial,
  type CellGear,
  cathodeMaterials,
  cellGearShape,
  type DividerKind,
  dividerKinds,
  type Supply,
  type SupplyKind,
  supplyKinds,
  supplyText,
  USUAL_CELL,
} from './cell-gear.ts';
export { airSpan, type Hours, USUAL_HOURS, withinClock } from './hours.ts';
export { type Apparatus, apparatusShape, USUAL_STILL } from './still-gear.ts';
