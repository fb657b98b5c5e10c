import type { Route } from '../route.ts';
import { acidDilution } from './acid-dilution.ts';
import { ammoniaSolution } from './ammonia-solution.ts';
import { bakedSolids } from './baked.ts';
import { bleachFromPoolChlorine } from './bleach-from-pool-chlorine.ts';
import { bromineWater } from './bromine-water.ts';
import { saltsOfWeakAcids } from './carbonate-and-acid.ts';
import { acidByCell } from './cell-acid.ts';
import { copperCarbonateByCell } from './cell-copper-carbonate.ts';
import { copperSulfateByCell } from './cell-copper-sulfate.ts';
import { sodiumHydroxideByCell } from './cell-sodium-hydroxide.ts';
import { constantBoilingAcid } from './constant-boiling-acid.ts';
import { copperCarbonate } from './copper-carbonate.ts';
import { driedEthanol } from './dried-ethanol.ts';
import { ethylAcetate } from './ethyl-acetate.ts';
import { ethylSalicylate } from './ethyl-salicylate.ts';
import { ferricAlum } from './ferric-alum.ts';
import { ammoniaByGas, hydrochloricByGas } from './gas-into-water.ts';
import { hydroxylammoniumHydrogensulfate } from './hydroxylammonium-hydrogensulfate.ts';
import { hypochloriteByChlorine, hypochloriteCrystals } from './hypochlorite.ts';
import { iodine } from './iodine.ts';
import { iodineSolution } from './iodine-solution.ts';
import { isoamylFormate } from './isoamyl-formate.ts';
import { nitricAcid } from './nitric-acid.ts';
import { potassiumHydroxide } from './potassium-hydroxide.ts';
import { potassiumIodate } from './potassium-iodate.ts';
import { potassiumMetaperiodate } from './potassium-metaperiodate.ts';
import { potassiumNitrate } from './potassium-nitrate.ts';
import { recoveredAcetone, recoveredIsopropanol } from './recovered-solvent.ts';
import { recrystallisations } from './recrystallisations.ts';
import { saltsFromAcids } from './salts-from-acids.ts';
import { silicaFromWashedSand } from './silica.ts';
import { silicaFromCommonSand } from './silica-from-common-sand.ts';
import { sodiumAcetate } from './sodium-acetate.ts';
import { sodiumNitrate } from './sodium-nitrate.ts';
import { solutionDilution } from './solution-dilution.ts';
import { sulfuricAcid } from './sulfuric-acid.ts';
import { tinChloride } from './tin-chloride.ts';
import { formicAcid, strongerVinegar } from './weak-acid-strengthened.ts';
import { weighedSolution } from './weighed-solution.ts';
import { zincCarbonate } from './zinc-carbonate.ts';
import { zincCarbonateFromSalt } from './zinc-carbonate-from-salt.ts';
import { zincChloride } from './zinc-chloride.ts';
import { zincSulfate } from './zinc-sulfate.ts';

/** Every built-in route. A new one is a file beside this one and a line here. */
export const catalogue: readonly Route[] = [
  acidDilution,
  solutionDilution,
  sodiumAcetate,
  zincSulfate,
  zincCarbonate,
  zincCarbonateFromSalt,
  zincChloride,
  copperCarbonate,
  bleachFromPoolChlorine,
  bromineWater,
  hypochloriteByChlorine,
  hypochloriteCrystals,
  hydroxylammoniumHydrogensulfate,
  iodine,
  isoamylFormate,
  ethylAcetate,
  ethylSalicylate,
  potassiumIodate,
  potassiumMetaperiodate,
  potassiumNitrate,
  sodiumNitrate,
  ferricAlum,
  silicaFromWashedSand,
  silicaFromCommonSand,
  ...saltsOfWeakAcids,
  ...saltsFromAcids,
  ...bakedSolids,
  tinChloride,
  potassiumHydroxide,
  ...recrystallisations,
  constantBoilingAcid,
  nitricAcid,
  sulfuricAcid,
  driedEthanol,
  recoveredAcetone,
  recoveredIsopropanol,
  ammoniaSolution,
  ammoniaByGas,
  hydrochloricByGas,
  formicAcid,
  strongerVinegar,
  // Last: a solution only where one is asked for.
  weighedSolution,
  iodineSolution,
  // Days of current come after what is made in an hour.
  acidByCell,
  copperSulfateByCell,
  sodiumHydroxideByCell,
  copperCarbonateByCell,
];

export function routeById(id: string): Route | undefined {
  return catalogue.find((route) => route.id === id);
}
