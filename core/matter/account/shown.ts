/** What one finished run tells of the bench; null where it tells nothing. */
export interface RunShows {
  readonly routeId: string;
  /** % of a caught solid that was left in paper, rinse and vessel. */
  readonly lossPct: number | null;
  /** g of water that boiled off in an hour. */
  readonly boilGPerH: number | null;
  /** Current efficiency of a cell, %, by what was measured of its product. */
  readonly cellPct: number | null;
}

/** A rough value of the book beside what one's own runs say. */
export interface ShownValue {
  readonly what: 'loss' | 'boiling' | 'cell';
  readonly unit: '%' | 'g/h';
  readonly book: { readonly value: number; readonly sd: number };
  /** Mean of the runs, and how far the next one may lie from it (standard uncertainty). */
  readonly own: { readonly value: number; readonly sd: number; readonly runs: number };
  /** Whether it is used: from two runs on, where they lie closer together than the book’s own uncertainty, or far from its value. */
  readonly used: boolean;
}

/** One run is a chance. */
const ENOUGH = 2;
/** Two runs never lie so close together that less than this is believed, as a share of the value. */
const LEAST_SPREAD = 0.1;

/**
 * Mean and spread of what runs have shown. The spread of a next run is the sample’s, widened as one more draw from so few
 * (Student’s s × √(1 + 1/n)); with two or three runs it leans on the book’s spread as one more degree of freedom.
 */
export function shownOf(
  what: ShownValue['what'],
  values: readonly number[],
  book: ShownValue['book'],
): ShownValue | null {
  const n = values.length;
  if (n === 0) return null;
  const mean = values.reduce((sum, each) => sum + each, 0) / n;
  const squares = values.reduce((sum, each) => sum + (each - mean) ** 2, 0);
  const variance = (squares + book.sd ** 2) / Math.max(1, n);
  const sd = Math.max(Math.abs(mean) * LEAST_SPREAD, Math.sqrt(variance * (1 + 1 / n)));
  const far = Math.abs(mean - book.value) > 2 * book.sd;
  return {
    what,
    unit: what === 'boiling' ? 'g/h' : '%',
    book,
    own: { value: mean, sd, runs: n },
    used: n >= ENOUGH && (sd < book.sd * 1.5 || far),
  };
}

/** A hot plate’s pace as it is set up is believed to so much of itself. */
const PACE_SPREAD = 0.3;

/** So many times off, it did not boil all the time, or the step was ended late. */
const FAR_OFF = 4;

/** What the book says of a route and a bench, %, g/h; null for what the route has not. */
export interface BookSays {
  readonly route: { readonly id: string; readonly lossPct: number; readonly sdPct: number } | null;
  readonly boilGPerH: number;
  readonly cell: { readonly routeId: string; readonly value: number; readonly sd: number } | null;
}

/** What runs have shown of a route’s losses in filtering and of its cell, and of the hot plate whatever the route. */
export function shownBy(runs: readonly RunShows[], { route, boilGPerH, cell }: BookSays): readonly ShownValue[] {
  const losses = route
    ? runs.flatMap(({ routeId, lossPct }) => (routeId === route.id && lossPct !== null ? [lossPct] : []))
    : [];
  const paces = runs.flatMap(({ boilGPerH: pace }) =>
    pace !== null && pace > boilGPerH / FAR_OFF && pace < boilGPerH * FAR_OFF ? [pace] : [],
  );
  const cells = cell
    ? runs.flatMap(({ routeId, cellPct }) => (routeId === cell.routeId && cellPct !== null ? [cellPct] : []))
    : [];
  const found = [
    route ? shownOf('loss', losses, { value: route.lossPct, sd: route.sdPct }) : null,
    shownOf('boiling', paces, { value: boilGPerH, sd: PACE_SPREAD * boilGPerH }),
    cell ? shownOf('cell', cells, cell) : null,
  ];
  return found.filter((each) => each !== null);
}
