import { type Question, said } from './question.ts';

/** A name under which shops sell more than one thing: what it may be, and what to write. */
interface Asked {
  readonly pattern: RegExp;
  readonly says: string;
  /** Whatever else is named beside it or sold under it: a part of such a name would be taken for the whole. */
  readonly always?: true;
}

const word = (source: string) => new RegExp(`(?<!\\p{L})(?:${source})(?!\\p{L})`, 'iu');

/** After what stands on the packs; a name of the thing itself beside one of these decides. */
const ASKED: readonly Asked[] = [
  {
    pattern: word('(?:pink |prague |instacure )?curing salts?|pink salt #?\\d?'),
    says: 'Curing salt is common salt with about 6 % of sodium nitrite, which no plan here takes: write “sodium chloride” only where the pack says nothing else is in it.',
  },
  {
    pattern: word('hair bleach'),
    says: 'Hair bleach is a persulfate powder or a peroxide cream: write “potassium persulfate” or “hydrogen peroxide 9 %”, as the pack says.',
  },
  {
    pattern: word('(?:colou?r[ -]safe|oxygen|non[ -]?chlorine) bleach'),
    says: 'Colour-safe bleach is peroxide or percarbonate, and not chlorine bleach: write “hydrogen peroxide” or “sodium percarbonate”, with its strength.',
  },
  {
    pattern: word('caustic lime'),
    says: 'Caustic lime is quicklime: write “calcium oxide”; caustic soda is “sodium hydroxide”.',
  },
  {
    always: true,
    pattern: word('povidone[ -]iodine'),
    says: 'Povidone iodine 10 % holds about 1 % of iodine, bound: it is no source of it here.',
  },
  {
    pattern: word('iodine tincture|tincture of iodine'),
    says: 'How strong is it? A tincture holds 2 to 7 % of iodine in alcohol, with iodide: write “iodine 2 %”, or leave it off the shelf.',
  },
  {
    pattern: word('lawn sand'),
    says: 'Lawn sand is sand with iron sulfate and ammonium sulfate: it is neither clean sand nor a salt.',
  },
  {
    always: true,
    pattern: word('iron out'),
    says: 'That is a rust remover, of dithionite or metabisulfite: write what the pack names.',
  },
  {
    pattern: word('non[ -]?chlorine shock'),
    says: 'Non-chlorine shock is potassium peroxymonosulfate triple salt, of which 43 to 47 % is active: write “peroxymonosulfate 45 %”.',
  },
  {
    pattern: word('rubbing alcohol'),
    says: 'Rubbing alcohol is isopropyl alcohol in some countries and ethyl alcohol in others: write which the pack names, and its strength by volume, such as “isopropyl alcohol 70 % v/v”.',
  },
  {
    pattern: word('(?:wood |lab )?(?:alcohol|spirits?)'),
    says: 'Which alcohol? Methanol poisons and blinds, and looks and smells like the others: write “ethanol”, “denatured alcohol”, “isopropyl alcohol” or “methanol”, as the pack names it.',
  },
  {
    always: true,
    pattern: word('(?:stove|camping|burner|spirit) (?:alcohol|fuel|spirits?)'),
    says: 'Burner fuel is methanol in some countries, which poisons and blinds, and denatured ethanol in others: write “denatured alcohol” or “methanol”, as the pack names it.',
  },
  {
    pattern: word('vitriol'),
    says: 'Which vitriol? Write “blue vitriol” for copper sulfate, “green vitriol” for iron sulfate, “white vitriol” for zinc sulfate or “oil of vitriol” for sulfuric acid.',
  },
  {
    pattern: word('methylated spirits?|meths|denatured alcohol|surgical spirit'),
    says: 'Methylated spirit is ethanol with methanol, pyridine and dye: write “ethanol 90 % v/v” where its denaturants do no harm.',
  },
  {
    pattern: word('road salt|rock salt for roads|de-?icing salt|ice melt'),
    says: 'Road salt is mostly sodium chloride, sometimes calcium or magnesium chloride: write which the pack names.',
  },
  {
    always: true,
    pattern: word('lo[ -]?salt|salt substitute'),
    says: 'It is potassium chloride, alone or with sodium chloride: write “potassium chloride” with its per cent.',
  },
  {
    pattern: word('soda'),
    says: 'Which soda? Write “washing soda crystals”, “soda ash”, “baking soda” or “caustic soda”, as the pack has it.',
  },
  {
    pattern: word('sugar soap'),
    says: 'Sugar soap is soda with soap, and no sugar: write “sodium carbonate” where it is of use.',
  },
  {
    pattern: word('borax substitute'),
    says: 'Borax substitute is soda with bicarbonate, and no borax: write what the pack names.',
  },
  {
    pattern: word('stump remover'),
    says: 'Stump remover is potassium nitrate in some countries and metabisulfite in others: write which the pack names.',
  },
  {
    pattern: word('oxi ?(?:clean|action)?(?:ing)? ?(?:powder|cleaner|stain remover)'),
    says: 'Such powders hold 20 to 60 % of percarbonate with soda: write “sodium percarbonate” with its per cent.',
  },
  {
    pattern: word('(?:pool )?chlorine tablets?|trichlor tablets?'),
    says: 'Pool tablets are trichloroisocyanuric acid, dichloroisocyanurate or calcium hypochlorite: write which the pack names; its “90 %” is available chlorine.',
  },
  {
    pattern: word('pool shock'),
    says: 'Pool shock is calcium hypochlorite, dichloroisocyanurate or peroxymonosulfate: write which the pack names.',
  },
  {
    pattern: word('(?:potash|plant) fertili[sz]er potash|potash 0-0-\\d\\d|sulfate of potash magnesia'),
    says: 'Fertiliser potash is potassium chloride or sulfate: write which the pack names.',
  },
  { pattern: word('potash lye'), says: 'Potash lye is potassium hydroxide: write so; potash is potassium carbonate.' },
  {
    pattern: word('solder'),
    says: 'Which solder? Write its parts with their per cent, such as “tin 97 % and copper 3 %”; with lead in it, it is not used here.',
  },
  {
    pattern: word('milk of magnesia'),
    says: 'Milk of magnesia is about 8 % of magnesium hydroxide in water: write “magnesium hydroxide 8 %”.',
  },
];

/** Whether what is asked must be asked before anything else is read. */
export function isAskedFirst(typed: string): boolean {
  return ASKED.some(({ pattern, always }) => always && pattern.test(typed));
}

/** What has to be said of a name that stands for several things; undefined where it is said already by another. */
export function askedOf(
  typed: string,
  named: readonly { readonly index: number; readonly 0: string }[],
): Question | undefined {
  for (const { pattern, says, always = false } of ASKED) {
    const match = pattern.exec(typed);
    if (!match) continue;
    const at = [match.index, match.index + match[0].length] as const;
    // Part of a longer name that says which: “soda” in “caustic soda”.
    const within = ({ index, 0: text }: { readonly index: number; readonly 0: string }) =>
      index <= at[0] && index + text.length >= at[1] && text.length > match[0].length;
    if (named.some(within)) continue;
    if (!always && !named.every(({ index, 0: text }) => index < at[1] && index + text.length > at[0])) continue;
    const choices = [...says.matchAll(/“([^”]+)”/g)].map(([, name = '']) => ({
      says: name,
      decides: '',
      text: said(typed, at, name),
    }));
    return { asks: says, choices };
  }
  return undefined;
}
