import type { Container } from '#matter/stock';

/** The made-up shelf of Millrace Shed, which keeps a river kit. */
export interface DemoBottle {
  readonly key: string;
  readonly name: string;
  /** As its label would be typed. */
  readonly label: string;
  readonly boughtDaysAgo: number;
  readonly container?: Container;
  readonly assayed?: { readonly value: number; readonly band: number };
  readonly made?: true;
  readonly note?: string;
  readonly place?: string;
  readonly waste?: true;
}

export const demoBottles: readonly DemoBottle[] = [
  {
    key: 'brick',
    place: 'shelf 2',
    name: 'Slabwright Patio & Brick Acid',
    label: 'hydrochloric acid 28 % 5 L 11.50',
    boughtDaysAgo: 120,
    note: 'Iron-stained, straw yellow.',
  },
  {
    key: 'drain',
    place: 'box by the door',
    name: 'Clearrun Drain Crystals',
    label: 'sodium hydroxide 97 % 1 kg 6.80',
    boughtDaysAgo: 210,
    container: 'tub',
  },
  {
    key: 'ammonia',
    place: 'shelf 3',
    name: 'Moorlight Plain Ammonia',
    label: 'ammonia 9.5 % 2 L 4.20',
    boughtDaysAgo: 260,
  },
  {
    key: 'soak',
    place: 'shelf 1',
    name: 'Bathstone Soaking Salt',
    label: 'magnesium sulfate heptahydrate 99 % 2 kg 5.40',
    boughtDaysAgo: 300,
  },
  {
    key: 'dechlor',
    place: 'shelf 1',
    name: 'Pondkind Dechlor Crystals',
    label: 'sodium thiosulfate pentahydrate 99 % 500 g 4.75',
    boughtDaysAgo: 90,
    assayed: { value: 99.2, band: 0.4 },
  },
  { key: 'pipe', place: 'shelf 1', name: 'Ridgeway Copper Strip', label: 'copper 99 % 400 g 6.50', boughtDaysAgo: 95 },
  { key: 'zinc', place: 'shelf 1', name: 'Ridgeway Zinc Flashing', label: 'zinc 99 % 900 g 14.00', boughtDaysAgo: 100 },
  {
    key: 'battery',
    place: 'shelf 2',
    name: 'Dray Battery Top-up Acid',
    label: 'sulfuric acid 37 % 1 L 7.90',
    boughtDaysAgo: 95,
  },
  {
    key: 'ethanol',
    place: 'metal cupboard',
    name: 'Hearthglow Clean Lamp Spirit',
    label: 'ethanol 90 % v/v 1 L 6.20',
    boughtDaysAgo: 150,
    note: 'Denatured. Not for drinking, and not made so here.',
  },
  {
    key: 'vinegar',
    place: 'shelf 2',
    name: 'Picklewell White Spirit Vinegar',
    label: 'acetic acid 8 % 5 L 5.50',
    boughtDaysAgo: 80,
    assayed: { value: 7.86, band: 0.06 },
  },
  {
    key: 'soda',
    place: 'shelf 1',
    name: 'Snowdrift Washing Crystals',
    label: 'sodium carbonate decahydrate 1 kg 2.10',
    boughtDaysAgo: 75,
    note: 'A little white at the top: partly effloresced.',
  },
  {
    key: 'bake',
    place: 'shelf 1',
    name: 'Larderline Baking Soda',
    label: 'sodium hydrogencarbonate 99.5 % 500 g 1.60',
    boughtDaysAgo: 60,
    container: 'tub',
  },
  {
    key: 'pool',
    place: 'left end of the bench',
    name: 'Halo Pool Brightener',
    label: 'sodium hypochlorite 12.5 % 2 L 8.40',
    boughtDaysAgo: 110,
  },
  {
    key: 'cream',
    place: 'shelf 4',
    name: 'Fern & Finch Hair Cream Peroxide',
    label: 'hydrogen peroxide 30 vol 120 mL 3.90',
    boughtDaysAgo: 70,
    container: 'tube',
  },
  {
    key: 'alum',
    place: 'shelf 1',
    name: 'Mordant House Alum',
    label: 'potassium alum 99 % 500 g 5.95',
    boughtDaysAgo: 180,
  },
  {
    key: 'moss',
    place: 'shelf 1',
    name: 'Terrace Moss Iron',
    label: 'iron(II) sulfate heptahydrate 92 % 2 kg 7.20',
    boughtDaysAgo: 240,
    note: 'Browned at the edges.',
  },
  {
    key: 'iodide',
    place: 'shelf 4',
    name: "Stockman's Iodide Drops",
    label: 'potassium iodide 99 % 100 g 12.40',
    boughtDaysAgo: 130,
  },
  {
    key: 'oxalic',
    place: 'shelf 2',
    name: 'Boathouse Wood Whitener',
    label: 'oxalic acid dihydrate 99.5 % 250 g 6.20',
    boughtDaysAgo: 132,
  },
  { key: 'iodate', name: 'Saltpan Iodising Grains', label: 'potassium iodate 99.8 % 50 g 9.80', boughtDaysAgo: 64 },
  {
    key: 'permanganate',
    place: 'shelf 4',
    name: 'Permanganate, made up',
    label: 'potassium permanganate 0.02 mol/L 500 mL',
    boughtDaysAgo: 44,
    made: true,
    note: 'Boiled, stood a week in the dark.',
  },
  {
    key: 'thio',
    place: 'shelf 1',
    name: 'Thiosulfate, made up',
    label: 'sodium thiosulfate 0.1 mol/L 1 L',
    boughtDaysAgo: 31,
    made: true,
  },
  {
    key: 'jarz',
    name: 'Jar Z, zinc sludge',
    label: 'zinc carbonate 35 % 1 kg',
    boughtDaysAgo: 66,
    container: 'jar',
    place: 'under the bench',
    waste: true,
    note: 'To be handed in when it is full.',
  },
  {
    key: 'amyl',
    place: 'metal cupboard',
    name: 'Coopers Lane Fusel Spirit',
    label: 'isoamyl alcohol 98 % 500 mL 13.50',
    boughtDaysAgo: 48,
  },
  {
    key: 'formic',
    place: 'shelf 2',
    name: 'Hivewell Mite Acid',
    label: 'formic acid 60 % 1 L 11.20',
    boughtDaysAgo: 50,
  },
  {
    key: 'minus',
    place: 'shelf 2',
    name: 'Halo Pool Minus',
    label: 'sodium hydrogensulfate 95 % 1.5 kg 7.40',
    boughtDaysAgo: 85,
    container: 'tub',
  },
  {
    key: 'potash',
    place: 'shelf 1',
    name: 'Kiln & Loaf Potash',
    label: 'potassium carbonate 99 % 500 g 6.30',
    boughtDaysAgo: 47,
  },
  {
    key: 'salt',
    place: 'shelf 1',
    name: 'Saltpan Table Salt',
    label: 'sodium chloride 99 % 1 kg 0.85',
    boughtDaysAgo: 140,
  },
  {
    key: 'dried',
    place: 'shelf 1',
    name: 'Soaking salt, baked dry',
    label: 'anhydrous magnesium sulfate 98 % 120 g',
    boughtDaysAgo: 12,
    container: 'jar',
    made: true,
    note: 'Baked at 250 °C in a thin layer.',
  },
  { key: 'lye', name: 'Lye, made up', label: 'sodium hydroxide 0.1 mol/L 1 L', boughtDaysAgo: 18, made: true },
];

export interface DemoBatch {
  readonly target: string;
  readonly daysAgo: number;
  readonly hours?: number;
  readonly controls?: Readonly<Record<string, number>>;
  /** The step it stops at, running; null for a batch that ran to its end; “planned” for one not begun. */
  readonly stopsAt?: string | 'planned';
  readonly abandoned?: { readonly at: string; readonly reason: string };
  /** Product against the expected mass. */
  readonly product?: number;
  readonly damp?: boolean;
  readonly notes?: Readonly<Record<string, string>>;
  readonly bottled?: boolean;
}

export const demoBatches: readonly DemoBatch[] = [
  { target: '1 L of 1 mol/L hydrochloric acid', daysAgo: 72, bottled: true },
  {
    target: '40 g zinc sulfate',
    daysAgo: 66,
    product: 0.88,
    notes: { cool: 'Only one night: the liquor still gave crystals next day.' },
    bottled: true,
  },
  { target: 'sodium acetate from 500 mL vinegar', daysAgo: 58, product: 0.97, bottled: true },
  { target: '250 mL of 20 % sulfuric acid', daysAgo: 52, notes: { acid: 'For the oxygen test.' }, bottled: true },
  {
    target: '80 g sodium acetate',
    daysAgo: 47,
    product: 1.36,
    damp: true,
    controls: { 'boil-to': 120 },
    notes: { collect: 'No time to drain it properly.' },
  },
  {
    target: '50 g zinc sulfate',
    daysAgo: 41,
    controls: { 'boil-to': 75 },
    abandoned: {
      at: 'boil-down',
      reason:
        'Boiled too far: white monohydrate caked and the dish cracked. Stop at two thirds, keep it below a simmer.',
    },
  },
  { target: '1.5 L of 2 mol/L hydrochloric acid', daysAgo: 34, bottled: true },
  { target: '500 mL of 1 mol/L acetic acid', daysAgo: 27 },
  {
    target: '60 g sodium acetate',
    daysAgo: 21,
    product: 1.02,
    notes: { carbonate: 'Eight spoons, foam never above half.' },
    bottled: true,
  },
  { target: '1 L of 0.5 mol/L hydrochloric acid', daysAgo: 13, bottled: true },
  {
    target: '60 g alum',
    daysAgo: 26,
    product: 0.98,
    notes: { cool: 'Method of cooling: one night in the cold. Small, a little cloudy.' },
    bottled: true,
  },
  {
    target: '60 g alum',
    daysAgo: 19,
    product: 0.86,
    controls: { spare: 30, 'water-left': 45, cold: 16 },
    notes: { open: 'Method of leaving it open: big clear octahedra after four days, none of them cloudy.' },
    bottled: true,
  },
  {
    target: '15 g zinc carbonate',
    daysAgo: 9,
    product: 0.94,
    notes: { soda: 'By the sheet, in ten portions; the last two no longer fizzed.' },
    bottled: true,
  },
  {
    target: '60 g zinc sulfate',
    daysAgo: 3,
    hours: 4,
    stopsAt: 'grow',
    notes: { dissolve: 'Started slowly; warm by the second third.' },
  },
  { target: '500 mL of 0.1 mol/L hydrochloric acid', daysAgo: 0, hours: 0.25, stopsAt: 'cool' },
  { target: '20 g zinc carbonate', daysAgo: 1, stopsAt: 'soda' },
  { target: '500 mL of 10 % sulfuric acid', daysAgo: 1, stopsAt: 'planned' },
];

/** What was learnt, for the steps at which it comes back. */
/** Plans that wait for their week, beside the one among the batches; wanted in so many days where that is said. */
export const demoPlans: readonly { readonly target: string; readonly wantedInDays?: number }[] = [
  { target: '80 g alum', wantedInDays: 11 },
  { target: 'sodium acetate from 400 mL vinegar' },
];

export const demoLessons: readonly { readonly routeId: string; readonly step: string | null; readonly text: string }[] =
  [
    {
      routeId: 'zinc-carbonate',
      step: 'soda',
      text: 'The first fifth only fizzes: that is the acid left over. Use less acid.',
    },
    {
      routeId: 'zinc-carbonate',
      step: 'wash',
      text: 'Settled overnight it filters in ten minutes, at once in two hours.',
    },
    {
      routeId: 'zinc-sulfate',
      step: 'dissolve',
      text: 'Cut to 5 mm it was done by evening; in strips it took two days.',
    },
  ];
