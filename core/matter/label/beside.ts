import { keyOf } from '#matter/substance';

// Words right before or behind a name that was read. A word that says how good, how fine or in what it is sold leaves the name
// what it is; any other may be a part of a longer name of another thing.

/** Words that change nothing of what it is, in common spelling. */
const ORDINARY = new Set(
  [
    'a an and are as at by contain containing contents for from in is it of on only or other our per the this to via with without your',
    'salt reagent chemical substance product compound additive agent raw material ingredient quality grade purity pure',
    'ph fg usp bp ep ar acs lr cp gr puriss purum analytical laboratory lab technical tech food feed pharma pharmaceutical cosmetic',
    'reagent-grade industrial agricultural horticultural garden household kitchen professional extra super ultra premium best fine coarse',
    'finely coarsely ground crushed milled granular granulated powder powdered crystal crystalline crystallised granule grain bead pearl',
    'prill flake pellet tablet lump piece chunk block bar rod wire sheet strip plate foil shot turning chip granulate mesh sponge ribbon',
    'rods nail scrap clean polished bright electrolytic cast rolled flat thin thick bare solid liquid solution aqueous concentrate gel paste',
    'dry dried anhydrous anhydr hydrated wet damp moist calcined fused burnt slaked distilled deionised demineralised stabilised glacial',
    'concentrated conc dilute diluted strong weak fuming half saturated standard volumetric normal molar ready use clear colourless white',
    'blue green red yellow pink brown black grey gray pale dark natural synthetic mineral organic denatured unscented scented free flowing',
    'iodised iodized non sea rock table cooking baking pickling pool spa pond swimming water battery drain toilet descaler cleaner cleaning',
    'dish washing laundry household rinse aid power supermarket shop store hardware pharmacy chemist drugstore diy brand own',
    'old new opened unopened half-full full empty left rest remaining used spare second first last bought found recovered homemade home made',
    'bottle jar bag box tin can tub bucket sack pack packet sachet canister drum jug flask vial container plastic glass litre liter kilo gram',
    'about approx approximately ca circa roughly around min minimum max maximum least most over under up typically usually content assay',
    'weight volume mass density strength vol percent degree ml mg kg each x price eur gbp usd date batch lot no nr number label say labelled',
    'photo photographic art craft dyeing dye etching plating soldering flux brewing wine beer cheese meat curing fertiliser fertilizer plant',
    'soil lawn aquarium animal horse vet medical skin foot bath epsom mordant canning preserving fruit vegetable leather tanning glaze pottery',
    'ceramic paint wood stain cut cutting cheap good bad fresh stale caked hard soft loose bulk refill small medium large big heavy light',
    'made origin product item type sort kind style version formula trade commercial general purpose multi high low purity double triple',
    'anode cathode electrode offcut roofing filing wool coil pipe tube tubing cable busbar casting ball rail gutter flashing wick mat',
    "cider malt apple balsamic rice electrolyte micro micropearl beekeeper beekeeper's beekeepers beekeeping winemaking baker maker stuff",
    'surgical rubbing crystal-clear hot cold room temperature shelf garage shed cupboard cellar lab-grade',
  ]
    .join(' ')
    .split(' ')
    .map(keyOf),
);

/** A word with a piece of a chemical name in it is never a brand. */
const CHEMICAL =
  /chlor|brom|iod|fluor|nitr|amin|amid|sulf|thio|meth|eth[yeo]|prop|but[yoe]|phen|benz|oxy|oxi|acet|stear|laur|cetyl|oct|hex|pent|glyc|cyan|phos|yl$|ol$|ide$|ate$|ite$|ium$|ine$|ane$|ene$|one$|ose$|ether|ester|anhydrid|chelat|alum|complex|edta|mono|di$|tri|tetra|poly|iso|per$|hypo|pyro|ortho|meta|para/;

/** The stretch of a text around a name that may be one longer name, with the words that are strange in it. */
export interface Beside {
  readonly at: readonly [number, number];
  readonly words: readonly string[];
}

/** Words that end a name: what follows says what for, where or when. */
const ENDS = new Set(
  'a an and are as at by contain containing contents for from in is on only or per the this to via with without your bought since opened used'.split(
    ' ',
  ),
);

/** Strange words right beside a name; undefined where there are none. Numbers, marks, other names and “for”, “from” end the stretch. */
export function besideName(
  typed: string,
  { index, 0: name }: { readonly index: number; readonly 0: string },
  isRead: (from: number, to: number) => boolean,
): Beside | undefined {
  const behind = run(typed, index + name.length, isRead);
  const before = runBefore(typed, index, isRead);
  const words = [...before.words, ...behind.words];
  return words.length > 0 ? { at: [before.end, behind.end], words } : undefined;
}

interface Run {
  readonly words: readonly string[];
  /** How far the words reach, where one of them is strange; else where the name ends. */
  readonly end: number;
}

function run(typed: string, from: number, isRead: (from: number, to: number) => boolean): Run {
  const words: string[] = [];
  let [at, end] = [from, from];
  for (;;) {
    const found = /^( |-)(\p{L}[\p{L}'’]*)/u.exec(typed.slice(at));
    const word = found?.[2] ?? '';
    if (!found || isRead(at + 1, at + found[0].length)) break;
    // A short word that is tied on makes another: “iron-on”.
    const tied = found[1] === '-' && word.length <= 2;
    if (!tied && ENDS.has(word.toLowerCase())) break;
    at += found[0].length;
    if (tied || isStrange(word)) words.push(word);
    if (words.length > 0) end = at;
  }
  return { words, end };
}

function runBefore(typed: string, from: number, isRead: (from: number, to: number) => boolean): Run {
  const words: string[] = [];
  let [at, end] = [from, from];
  for (;;) {
    const found = /(\p{L}[\p{L}'’]*)[ -]$/u.exec(typed.slice(0, at));
    const word = found?.[1] ?? '';
    if (!found || isRead(found.index, found.index + word.length) || ENDS.has(word.toLowerCase())) break;
    at = found.index;
    // With a capital, before the name, it is who makes it.
    if (!isStrange(word) || isBrand(word)) continue;
    words.unshift(word);
    end = at;
  }
  return { words, end };
}

function isStrange(word: string): boolean {
  return word.length > 2 && !ORDINARY.has(keyOf(word)) && !/hydrate$/i.test(word);
}

function isBrand(word: string): boolean {
  return /^\p{Lu}/u.test(word) && !CHEMICAL.test(keyOf(word));
}
