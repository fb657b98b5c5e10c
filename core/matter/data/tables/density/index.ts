// Every density table by its solute. Made from published series; see the source beside each.
import { AgNO3 } from './AgNO3.ts';
import { CaCl2 } from './CaCl2.ts';
import { CuSO4 } from './CuSO4.ts';
import { FeSO4 } from './FeSO4.ts';
import { H2O2 } from './H2O2.ts';
import { H2SO4 } from './H2SO4.ts';
import { H3PO4 } from './H3PO4.ts';
import { HCl } from './HCl.ts';
import { HNO3 } from './HNO3.ts';
import { K2CO3 } from './K2CO3.ts';
import { KCl } from './KCl.ts';
import { KI } from './KI.ts';
import { KNO3 } from './KNO3.ts';
import { KOH } from './KOH.ts';
import { MgSO4 } from './MgSO4.ts';
import { NH3 } from './NH3.ts';
import { NH4Cl } from './NH4Cl.ts';
import { NH4_2SO4 } from './NH4_2SO4.ts';
import { Na2CO3 } from './Na2CO3.ts';
import { Na2S2O3 } from './Na2S2O3.ts';
import { Na2SO4 } from './Na2SO4.ts';
import { NaCl } from './NaCl.ts';
import { NaHCO3 } from './NaHCO3.ts';
import { NaNO3 } from './NaNO3.ts';
import { NaOCl } from './NaOCl.ts';
import { NaOH } from './NaOH.ts';
import { ZnCl2 } from './ZnCl2.ts';
import { ZnSO4 } from './ZnSO4.ts';
import { acetic_acid } from './acetic_acid.ts';
import { acetone } from './acetone.ts';
import { citric_acid } from './citric_acid.ts';
import { ethanol } from './ethanol.ts';
import { formic_acid } from './formic_acid.ts';
import { isopropanol } from './isopropanol.ts';
import type { DensityTable } from '../density-table.ts';

export { waterDensity } from './water.ts';

export const densityTables: readonly DensityTable[] = [
  AgNO3,
  CaCl2,
  CuSO4,
  FeSO4,
  H2O2,
  H2SO4,
  H3PO4,
  HCl,
  HNO3,
  K2CO3,
  KCl,
  KI,
  KNO3,
  KOH,
  MgSO4,
  NH3,
  NH4Cl,
  NH4_2SO4,
  Na2CO3,
  Na2S2O3,
  Na2SO4,
  NaCl,
  NaHCO3,
  NaNO3,
  NaOCl,
  NaOH,
  ZnCl2,
  ZnSO4,
  acetic_acid,
  acetone,
  citric_acid,
  ethanol,
  formic_acid,
  isopropanol,
];
