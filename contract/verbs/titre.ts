import { strengthFromTitres, titreSumShape } from '#model/assay';
import { verb } from '../verb.ts';

export const titre = verb({
  name: 'titre',
  input: titreSumShape,
  run: strengthFromTitres,
  example: {
    analyte: 'acetic-acid',
    titrant: 'sodium-hydroxide',
    titrantMolPerL: 0.1012,
    titrantSd: 0.0003,
    byMass: false,
    replicates: [
      { sampleG: 2.013, titre: 18.42 },
      { sampleG: 2.004, titre: 18.36 },
      { sampleG: 2.021, titre: 18.5 },
    ],
    blanks: [0.04],
    dilution: null,
    balanceG: 0.001,
  },
});
