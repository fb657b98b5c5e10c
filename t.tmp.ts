import { beginning, isDivided, takeStock, USUAL_HYDROXIDE, type CellSetup } from './core/cell/cell.ts';
import { letRun } from './core/cell/run.ts';
import { litreOf, massG, amountsOf } from './core/cell/liquid.ts';
import { USUAL_CELL } from './core/cell/gear.ts';
import { at, speciesNames } from './core/cell/species.ts';
const base: Omit<CellSetup,'anode'|'cathode'|'divider'> = { gear: USUAL_CELL, airC: 20, stirred:false, anodeGives:.97, cathodeGives:.95, hydroxide: USUAL_HYDROXIDE, wall:1 };
const scale=(n:number[],f:number)=>n.map(x=>x*f);
function show(name:string, setup:CellSetup, st:any, h:number, until?:any){
  const m0=massG(st.a)+massG(st.k)+massG(st.gas); const t0=performance.now();
  const pts=letRun(setup,st,{untilS:h*3600,until,points:10});
  const dt=performance.now()-t0;
  const m1=massG(st.a)+massG(st.k)+massG(st.gas)+st.evaporatedG - st.wornMol*63.546;
  console.log('\n##',name,dt.toFixed(1)+'ms','mass',m0.toFixed(6),m1.toFixed(6));
  for(const p of pts) console.log((p.seconds/3600).toFixed(2)+'h', p.ampHours.toFixed(3)+'Ah', p.amps.toFixed(3)+'A', p.volts.toFixed(2)+'V', p.tempC.toFixed(1)+'C', 'pH',p.pHa.toFixed(1),p.pHk.toFixed(1),'CuA',p.copperA.toFixed(3),'OH',p.hydroxide.toFixed(3),'H',p.acid.toFixed(3), 'wall',p.drops.wall.toFixed(2),'an',p.drops.anode.toFixed(2),'ca',p.drops.cathode.toFixed(2),'la',p.drops.anolyte.toFixed(2),'lk',p.drops.catholyte.toFixed(2),p.mlA.toFixed(0),p.mlK.toFixed(0));
  const q=st.coulombs/96485.33;
  console.log('mol e', q.toFixed(4), speciesNames.filter(n=>st.a[at[n]]>1e-6&&n!=='H2O').map(n=>'A:'+n+'='+st.a[at[n]].toFixed(4)).join(' '), speciesNames.filter(n=>st.k[at[n]]>1e-6&&n!=='H2O').map(n=>'K:'+n+'='+st.k[at[n]].toFixed(4)).join(' '), 'gas',speciesNames.filter(n=>st.gas[at[n]]>1e-6).map(n=>n+'='+st.gas[at[n]].toFixed(4)).join(' '), 'E', JSON.stringify(st.energy), 'evap', st.evaporatedG.toFixed(1), 'worn', st.wornMol.toFixed(4), 'wallmol',st.wallMol.toFixed(4),'div',st.dividerUsed.toFixed(2));
}
// copper anode & magnesium sulfate in pot
{ const setup={...base, anode:'copper',cathode:'stainless steel',divider:'flower pot'} as CellSetup;
 const gear={...USUAL_CELL, supply:{...USUAL_CELL.supply, volts:4, amps:.42}};
 const s2={...setup,gear};
 const st=beginning(s2,{anolyte:scale(litreOf({'Mg2+':.8,'SO4 2-':.8}),.25),catholyte:scale(litreOf({'Mg2+':.8,'SO4 2-':.8}),.15),anodeMol:.35});
 show('Cu/MgSO4',s2,st,48);
}
{ const setup={...base, gear:{...USUAL_CELL,supply:{kind:'bench supply',volts:6,amps:.8}}, anode:'nickel',cathode:'stainless steel',divider:'agar gel', } as CellSetup;
 const g={...setup,gear:{...setup.gear,dividerCm2:5,dividerMm:15}};
 const st=beginning(g,{anolyte:scale(litreOf({'Na+':1,'HCO3-':1}),.4),catholyte:scale(litreOf({'Na+':.1,'HCO3-':.1}),.15),anodeMol:null});
 show('NaOH gel',g,st,24);
}
{ const setup={...base, gear:{...USUAL_CELL,supply:{kind:'bench supply',volts:5,amps:.8}}, anode:'carbon',cathode:'copper',divider:'none',anodeGives:.75 } as CellSetup;
 const st=beginning(setup,{anolyte:scale(litreOf({'Cu2+':.5,'SO4 2-':.5}),.25),catholyte:null,anodeMol:null});
 show('H2SO4',setup,st,14);
}

for (let i=0;i<4;i++){ const setup={...base, anode:'copper',cathode:'stainless steel',divider:'flower pot',gear:{...USUAL_CELL, supply:{...USUAL_CELL.supply, volts:4, amps:.42}}} as CellSetup;
 const st=beginning(setup,{anolyte:scale(litreOf({'Mg2+':.8,'SO4 2-':.8}),.25),catholyte:scale(litreOf({'Mg2+':.8,'SO4 2-':.8}),.15),anodeMol:.35});
 const t0=performance.now(); let turns=0; letRun(setup,st,{untilS:72*3600,points:200,until:()=>{turns++;return false}}); console.log('72h',(performance.now()-t0).toFixed(1),'ms',turns); }
