import type { ElectrodeMaterialRow } from './rows.ts';

/** What electrodes and dividers bear, in words. */
export const electrodeMaterials: readonly ElectrodeMaterialRow[] = [
  { material: 'graphite', use: 'anode: cold acid chloride brine pH < 4', verdict: 'survives, slow wear', note: 'erodes quickly with oxygen evolution (sulfate, dilute chloride, alkaline, warm); sheds carbon; pencil and gouging rods carry clay, copper or binder', grade: 'B', source: 'Pletcher & Walsh; general electrochemistry texts' },
  { material: 'graphite', use: 'cathode: any common electrolyte', verdict: 'survives', note: '', grade: 'B', source: 'Pletcher & Walsh; general electrochemistry texts' },
  { material: 'PbO2 on Pb', use: 'anode: sulfuric acid and sulfate', verdict: 'survives', note: 'chloride, nitrate and acetate attack it and release lead; every use contaminates the product with lead: not for anything skin-contact; lead waste', grade: 'B', source: 'Pletcher & Walsh; general electrochemistry texts' },
  { material: 'platinum / platinised titanium', use: 'anode: sulfate, nitrate, chloride, alkaline', verdict: 'survives', note: 'thin plating lost by bromide/iodide with acid, by current reversal; organic acids shorten life; Ti base pits above about 9 V bromide / 12 V chloride', grade: 'B', source: 'Pletcher & Walsh; general electrochemistry texts' },
  { material: 'platinum', use: 'cathode: any', verdict: 'survives', note: '', grade: 'B', source: 'Pletcher & Walsh; general electrochemistry texts' },
  { material: 'MMO on Ti (RuO2/IrO2)', use: 'anode: chloride brine (Ru type), sulfate and oxygen (Ir type)', verdict: 'survives', note: 'alkali above pH 12, fluoride, reversal, copper-coated grids used as cathode', grade: 'B', source: 'Pletcher & Walsh; general electrochemistry texts' },
  { material: 'titanium (bare)', use: 'anode', verdict: 'does not work', note: 'passivates (blocks current); pits in bromide', grade: 'B', source: 'Pletcher & Walsh; general electrochemistry texts' },
  { material: 'titanium', use: 'cathode: acid sulfate, copper winning', verdict: 'survives with care', note: 'hydrides slowly; fluoride dissolves it', grade: 'B', source: 'Pletcher & Walsh; general electrochemistry texts' },
  { material: 'copper', use: 'anode', verdict: 'dissolves by design', note: 'sulfate, acetate or chloride to Cu(II)/Cu(I); scale in carbonate', grade: 'B', source: 'Pletcher & Walsh; general electrochemistry texts' },
  { material: 'copper', use: 'cathode: acid sulfate, alkali', verdict: 'survives', note: 'nitrate, ammonia, Fe(III) and peroxide dissolve it when current is off', grade: 'B', source: 'Pletcher & Walsh; general electrochemistry texts' },
  { material: 'stainless steel 304/316', use: 'cathode: alkali, neutral, acid sulfate for copper', verdict: 'survives', note: 'chloride pits it when idle', grade: 'B', source: 'Pletcher & Walsh; general electrochemistry texts' },
  { material: 'stainless steel 304/316', use: 'anode: chloride, acid, or strong voltage anywhere', verdict: 'FORBIDDEN', note: 'dissolves to Ni and chromium, including toxic Cr(VI); colour yellow to orange', grade: 'B', source: 'Pletcher & Walsh; general electrochemistry texts' },
  { material: 'nickel', use: 'anode: strong NaOH/KOH', verdict: 'survives', note: 'dissolves in acid or chloride; nickel is a sensitiser', grade: 'B', source: 'Pletcher & Walsh; general electrochemistry texts' },
  { material: 'mild steel', use: 'cathode: alkali', verdict: 'survives', note: 'rusts on standing; anode only as sacrificial iron', grade: 'B', source: 'Pletcher & Walsh; general electrochemistry texts' },
  { material: 'aluminium', use: 'cathode: zinc/copper in acid', verdict: 'limited', note: 'dissolves in chloride and in alkali with hydrogen', grade: 'B', source: 'Pletcher & Walsh; general electrochemistry texts' },
  { material: 'galvanised or plated objects', use: 'any', verdict: 'avoid', note: 'unknown plating metals (Cd, Cr, Ni) enter the product', grade: 'B', source: 'Pletcher & Walsh; general electrochemistry texts' },
  { material: 'magnetite / ferrite', use: 'anode: chloride', verdict: 'survives, high resistance', note: 'brittle', grade: 'B', source: 'Pletcher & Walsh; general electrochemistry texts' },
  { material: 'unglazed ceramic pot', use: 'diaphragm', verdict: 'survives acid, neutral, dilute alkali', note: 'iron and lime leach; crystals in pores crack it on drying', grade: 'B', source: 'Pletcher & Walsh; general electrochemistry texts' },
];
