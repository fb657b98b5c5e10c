import { keyOf } from '#matter/substance';

// Words of a label that nobody accounted for and that say which substance it is: with one of them left over, a name that was
// read is only a part of another.

/** Ends of the names of salts and of other compounds. */
const ANIONS =
  'sulfate|sulfide|sulfite|bisulfate|thiosulfate|persulfate|oxide|dioxide|peroxide|superoxide|hydroxide|chloride|dichloride|tetrachloride|chlorate|chlorite|perchlorate|hypochlorite|fluoride|bifluoride|bromide|bromate|iodide|iodate|nitrate|nitrite|nitride|phosphate|phosphide|phosphite|carbonate|carbide|hydrogencarbonate|cyanide|cyanate|thiocyanate|ferrocyanide|ferricyanide|chromate|dichromate|manganate|permanganate|acetate|formate|oxalate|citrate|tartrate|lactate|azide|amide|hydride|silicate|borate|perborate|aluminate|arsenate|arsenide|selenide|telluride|tungstate|molybdate|stearate|gluconate|salicylate|benzoate|isocyanurate|ammonium|hydrazine|picrate|fulminate';
/** Elements and the like that stand beside others in alloys and salts. */
const ELEMENTS =
  'hydrofluoric|sodium|potassium|lithium|calcium|magnesium|barium|strontium|aluminium|zinc|copper|iron|tin|lead|nickel|cobalt|chromium|manganese|silver|gold|mercury|cadmium|antimony|arsenic|bismuth|bromine|chlorine|iodine|fluorine|phosphorus|sulfur|ethyl|methyl|propyl|isopropyl|butyl|amyl|isoamyl|vinyl|phenyl|benzyl';
/** What may not be in it, or what it is only in name. */
const TURNS =
  'free|non|without|substitute|imitation|alternative|remover|killer|dust|powdered|flash|solder|alloy|batter(?:y|ie)|inhibitor|water|tincture|complex|solution of';
const CHEMICAL = new RegExp(
  `(?<!\\p{L})(?:${ANIONS}|${ELEMENTS}|\\p{L}*(?:phosphide|azide|cyanide|chromate|fluoride)|\\((?:i{1,3}|iv|v|vi|vii)\\))(?!\\p{L})`,
  'u',
);
const TURNED = new RegExp(`(?<!\\p{L})(?:${TURNS})(?!\\p{L})`, 'u');

/** What is never said of the metal itself: “liquid copper” is a complex of it, “iron tablets” are a salt. */
const NO_METAL =
  /(?<!\p{L})(?:liquid|solution|spray|tablet|capsule|supplement|syrup|gluconate|feed|complex|chelated)(?!\p{L})/u;

/** The first word left over that no metal is called; undefined where nothing is. */
export function unsaidOfMetal(leftOver: string): string | undefined {
  return NO_METAL.exec(keyOf(leftOver))?.[0];
}

/** The first word left over that makes another thing of what was read; undefined where nothing does. */
export function unsaid(leftOver: string): string | undefined {
  const words = keyOf(leftOver);
  return (CHEMICAL.exec(words) ?? TURNED.exec(words))?.[0];
}
