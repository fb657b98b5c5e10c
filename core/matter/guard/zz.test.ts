import { it } from 'vitest';
import { parseLabel } from '#matter/label';

const L = `acetone oxime 250 g
iodine trichloride 50 g
stearyl alcohol 500 g
copper coated welding wire 1 kg
copper octanoate 500 mL
onion salt 200 g
magnesium chelate 500 g
tin foil tape 1 kg
iron-on glue 100 g
zinc plated screws 500 g
acetic acid anhydride 500 mL
chloroacetic acid 99% 250 g
trichloroacetic acid 100 g
sulfuric acid dimethyl ester 100 mL
sodium acetate 500 g
zinc sulphte 500 g
sodium acetat 500 g
potasium nitrate 500 g
acetone peroxyde 50 g
Kaliumcyanid 100 g
cyanure de potassium 100 g
Natriumazid 50 g
sodium azid 50 g
KCN 100 g
grey salt KCN 100 g
K2Cr2O7 100 g
Brightway hydrochloric acid 28% 1 L
pool granules soda ash 5 kg
hydrochloric acid 10% 500 mL supermarket 2.10
citric acid monohydrate 1 kg
isopropyl alcohol 99% 1 L
lye drain opener 99% 500 g
ammonium hydroxide lotion 200 mL
boric acid ointment 50 g
sodium chloride lozenges 100 g
potassium permanganate crystals 100 g
copper sulfate pentahydrate 1 kg
copper sulphate 5-hydrate 500 g
CuSO4*5H2O 500 g
CuSO4 · 5 H2O 500 g
CuSO4 x 5H2O 500 g
CuSO4+5H2O 500 g
CuSO4-5H2O 500 g
iron EDTA chelate 6% Fe 1 kg
iron sulfate 20% Fe 1 kg
zinc sulfate 35% Zn 1 kg
zinc sulfate 22% Zn 1 kg
potassium sulfate 50% K2O 1 kg
magnesium sulfate 16% MgO 2 kg
manganese sulfate 32% Mn 500 g
copper sulfate 25% Cu 500 g
calcium nitrate 15.5% N 2 kg
borax 11% B 1 kg
rust remover hydrofluoric acid 500 mL
ammonium bifluoride 200 g
methanol 1 L
denatured alcohol 1 L
acid or lye cleaner 1 L
battery acid 37% 1 L
oxalic acid dihydrate 500 g
nail polish remover acetone 200 mL
acetone-free nail polish remover 200 mL
silver nitrate 25 g
toluene 1 L
white vinegar 5% 1 L
cider vinegar 6% 750 mL
epsom salt 1 kg
glycerol 500 mL
sodium percarbonate 1 kg
hydrogen peroxide 12% 1 L
copper wire 500 g
zinc anode 500 g
zinc roofing strip offcuts 500 g
iron filings 200 g
aluminium foil 200 g
limestone chips 2 kg
toilet cleaner hydrochloric acid 9% 750 mL
caustic potash 90% 1 kg
potassium hydroxide flakes 90% 1 kg`.split('\n');
it('x', () => {
  for (const l of L) {
    const r = parseLabel(l, '2026-03-01', 20);
    console.log(
      `${l} => ${r.card ? `${r.card.substanceId} ${r.card.strength?.value ?? '-'}${r.card.strength?.unit ?? ''}` : '(none)'} || ${r.problems
        .map((p) => p.message)
        .join(' ; ')
        .slice(0, 200)}`,
    );
  }
});
