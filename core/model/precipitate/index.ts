// Precipitate: how completely a sparingly soluble solid precipitates, and how long it takes to settle and to run through a
// paper. Solubility products with activities by Davies, Stokes hindered by Richardson and Zaki, Ruth at constant pressure.
// Grain sizes and cake resistances are estimates of their kind: times are right about how long, not about how many minutes.
export { type Completeness, completeness, pureSolubility, saltByName } from './completeness.ts';
export { type FilterPaper, filterMinutes, papers, throughCake } from './filter-time.ts';
export { type PrecipitateAnswer, precipitation, precipitationShape } from './precipitation.ts';
export { type Grain, grainNamed, grainOf, settlingHours, stokesMmPerS } from './settle.ts';
