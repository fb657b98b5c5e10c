// Data: published facts, each with its source and grade, and the substances by their many names.
// Tables stand in tables/, one a file, unchanged from their sources; accessors with units live in the rooms that use them.
// Grade A is good to the last figure, B to a few of it, C is an estimate and shows as “about”.

export type { StandardRow, TestRow } from './assay-rows.ts';
export type { Form } from './form.ts';
export type { HazardCautionRow, PictogramId, StatementRow } from './hazard-rows.ts';
export type { ProductRow } from './product-rows.ts';
export type {
  AcidRow,
  AirLimitRow,
  AntisolventRow,
  AtomicWeightRow,
  CeilingRow,
  ClashSeverity,
  ClassMemberRow,
  ElectronRow,
  GrainId,
  HazardRow,
  HeatOfSolutionRow,
  IncompatibilityRow,
  IndicatorRow,
  KeepAwayRow,
  KeepingRow,
  LawCondition,
  LimitRow,
  MixedSaltRow,
  RefusedNameRow,
  RegulatedRow,
  SolubilityRow,
  SparingRow,
  ThermochemRow,
  TransitionRow,
} from './rows.ts';
export type { DryingAgentRow, NeatLiquidRow, SaltInAcidRow, VolatileRow } from './still-rows.ts';
export { acids } from './tables/acids.ts';
export { airLimits } from './tables/air-limits.ts';
export { antisolvents } from './tables/antisolvent.ts';
export { atomicWeights } from './tables/atomic-weights.ts';
export { ceilings } from './tables/ceilings.ts';
export { anodeWear } from './tables/cell/anode-wear.ts';
export { cellConstants } from './tables/cell/cell-constants.ts';
export { cellEfficiencies } from './tables/cell/cell-efficiencies.ts';
export { conductivities, mixedConductivities } from './tables/cell/conductivity.ts';
export { dividerRows } from './tables/cell/dividers.ts';
export { electrodeMaterials } from './tables/cell/electrode-materials.ts';
export { endSigns } from './tables/cell/end-signs.ts';
export { ionConductivities } from './tables/cell/ion-conductivities.ts';
export { openCells } from './tables/cell/open-cells.ts';
export { potentials } from './tables/cell/potentials.ts';
export type { CellRow, ConductivitySeries, ElectrodeMaterialRow, PotentialRow } from './tables/cell/rows.ts';
export { type SupplyId, supplyRows } from './tables/cell/supplies.ts';
export { transportNumbers } from './tables/cell/transport-numbers.ts';
export { classMembers } from './tables/class-members.ts';
export { type Country, countryRows } from './tables/countries.ts';
export { densityTables, waterDensity } from './tables/density/index.ts';
export type { DensitySeries, DensityTable } from './tables/density-table.ts';
export { dryingAgents } from './tables/drying-agents.ts';
export { electrons } from './tables/electrons.ts';
export { esterEquilibria } from './tables/ester/ester-equilibria.ts';
export { esterAcids, esterAlcohols, esterCatalysts } from './tables/ester/ester-rates.ts';
export type { CatalystRow, EsterAcidRow, EsterAlcoholRow, EsterRow } from './tables/ester/rows.ts';
export { absorptionHeats } from './tables/gas/absorption-heats.ts';
export { gasSolubilities } from './tables/gas/gas-solubilities.ts';
export type { AbsorptionHeatRow, GasSolubilityRow, SublimationRow } from './tables/gas/rows.ts';
export { sublimations } from './tables/gas/sublimations.ts';
export { hazardCautions } from './tables/hazard-cautions.ts';
export { hazards } from './tables/hazards.ts';
export { hazardsMore } from './tables/hazards-more.ts';
export { heatsOfSolution } from './tables/heats-of-solution.ts';
export { incompatibilities } from './tables/incompatibilities.ts';
export { incompatibleMore } from './tables/incompatible-more.ts';
export { indicators } from './tables/indicators.ts';
export { keepAways } from './tables/keep-aways.ts';
export { keepings } from './tables/keepings.ts';
export { distributions } from './tables/layers/distributions.ts';
export { drivenOut } from './tables/layers/driven-out.ts';
export { mutual } from './tables/layers/mutual.ts';
export type { DistributionRow, DrivenOutRow, MutualRow, SaltingRow } from './tables/layers/rows.ts';
export { saltings } from './tables/layers/saltings.ts';
export { limits } from './tables/limits.ts';
export { mixedSalts } from './tables/mixed-salts.ts';
export { namesAbroad } from './tables/names-abroad.ts';
export { namesRefused } from './tables/names-refused.ts';
export { neatLiquids } from './tables/neat-liquids.ts';
export { products } from './tables/products.ts';
export { refusedElements, refusedOnes } from './tables/refused-formulas.ts';
export { type RefusedWord, refusedWords } from './tables/refused-words.ts';
export { regulated } from './tables/regulated.ts';
export { saltInAcid } from './tables/salt-in-acid.ts';
export { solubility, solubilityMore } from './tables/solubility.ts';
export { sparing } from './tables/sparing.ts';
export { standards } from './tables/standards.ts';
export { precautions, statements } from './tables/statements.ts';
export type {
  AcidBase,
  ClassEntry,
  HydrateFacts,
  SpeciesFacts,
  SubstanceFacts,
  WaterKind,
} from './tables/substance-row.ts';
export { type SubstanceId, substances } from './tables/substances/index.ts';
export { tests } from './tables/tests.ts';
export { thermochem } from './tables/thermochem.ts';
export { transitions, transitionsMore } from './tables/transitions.ts';
export { vle } from './tables/vle/index.ts';
export type { VleTable } from './tables/vle/row.ts';
export { volatiles } from './tables/volatiles.ts';
export { yields } from './tables/yields.ts';
export type { Tint } from './tint.ts';
export type { YieldRow } from './yield-row.ts';
