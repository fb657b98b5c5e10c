import { setImmediate as breath } from 'node:timers/promises';
import type { ImportAnswer } from '#contract/api';
import { contentOf, reduceBottle } from '#matter/stock';
import { substanceById } from '#matter/substance';
import { admitRoute } from '#run/own';
import { planTitle } from '#run/plan';
import type { Route } from '#run/route';
import { sheetOf } from '#run/sheet';
import { runState } from '#run/state';
import { pictureCheck } from '../attachment/picture.ts';
import type { Db } from '../db/open.ts';
import type {
  KeptAssay,
  KeptEvent,
  KeptLesson,
  KeptNotebook,
  KeptPhotoRow,
  KeptReading,
  KeptRoute,
} from './kept-rows.ts';
import { keptRows } from './kept-rows.ts';
import { at } from './names.ts';
import { jsonOf, openExport } from './opened.ts';
import { type ReadBatch, type ReadBottle, readAssay, readBatch, readBottle, readWhole } from './read.ts';
import { benchFile, lessonsFile, photosFile, routesFile, weekFile } from './shapes.ts';
import { readingsFrom } from './tables.ts';
import { type Additions, writeAdditions } from './write.ts';

/** An archive that was read through, against the notebook that it would join. */
export interface Import {
  readonly answer: ImportAnswer;
  /** Adds it all, or nothing. */
  readonly take: () => void;
}

/** A long archive is read in slices: others are answered between, ms. */
const SLICE_MS = 50;

/**
 * Reads an archive and says what it would add: by id, so that what is here already is passed over, what is new joins it, and what
 * differs stays as it is here. Throws a sentence where it is no export, is not whole, or holds what it should not.
 */
export async function readImport(db: Db, home: string, archive: Uint8Array): Promise<Import> {
  const { manifest, files } = openExport(archive);
  const here = keptRows(db);
  const adding = new Adding(here);
  let since = performance.now();
  for (const [name, bytes] of files) {
    await adding.read(name, bytes);
    if (performance.now() - since < SLICE_MS) continue;
    await breath();
    since = performance.now();
  }
  await adding.settle(files);
  return { answer: adding.answer(manifest.writtenAt), take: () => writeAdditions(db, home, adding.additions()) };
}

/** Entries that may join something that is here already. */
interface Joining {
  readonly what: 'bottle' | 'batch' | 'assay';
  readonly id: string;
  readonly name: string;
  readonly before: readonly KeptEvent[];
  readonly all: readonly KeptEvent[];
}

/** What joins the notebook, gathered file by file. */
class Adding {
  private readonly bottles: ReadBottle[] = [];
  private readonly batches: ReadBatch[] = [];
  private readonly assays: KeptAssay[] = [];
  private readonly readings = new Map<string, readonly KeptReading[]>();
  private lessons: readonly KeptLesson[] = [];
  private routes: readonly KeptRoute[] = [];
  private photos: readonly KeptPhotoRow[] = [];
  private readonly pictures = new Map<string, Uint8Array>();
  private bench: KeptNotebook['bench'] = null;
  private week: KeptNotebook['week'] = null;
  /** Entries for what is here already: of a bottle, a batch, an assay. */
  private readonly more = {
    bottle: new Map<string, readonly KeptEvent[]>(),
    batch: new Map<string, readonly (KeptEvent & { readonly giveOrTakeMin: number })[]>(),
    assay: new Map<string, readonly KeptEvent[]>(),
  };
  private readonly kept: string[] = [];
  private readonly leftOut: string[] = [];
  private readonly here: KeptNotebook;
  private readonly known: ReadonlySet<string>;

  constructor(here: KeptNotebook) {
    this.here = here;
    const { bottles, batches, assays } = here;
    this.known = new Set(
      [
        ...bottles.flatMap(({ events }) => events),
        ...batches.flatMap(({ events }) => events),
        ...assays.flatMap(({ entries }) => entries),
      ].map(({ id }) => id),
    );
  }

  async read(name: string, bytes: Uint8Array): Promise<void> {
    if (name.startsWith('bottles/')) this.bottle(readBottle(bytes, name), name);
    else if (name.startsWith('batches/')) this.batch(readBatch(bytes, name), name);
    else if (name.startsWith('assays/')) this.assay(readAssay(bytes, name), name);
    else if (name.startsWith('readings/')) this.reading(name, bytes);
    else if (name === at.lessons) this.lessons = readWhole(lessonsFile, bytes, name);
    else if (name === at.routes) this.ownRoutes(readWhole(routesFile, bytes, name));
    else if (name === at.photos) this.photos = readWhole(photosFile, bytes, name);
    else if (name === at.bench) this.place(bytes);
    else if (name === at.week) this.weeks(bytes);
  }

  private bottle(read: ReadBottle, name: string): void {
    const { id, events } = read.kept;
    named(name, at.bottle(id));
    const before = this.here.bottles.find((each) => each.id === id);
    if (before)
      return void this.join({ what: 'bottle', id, name: `The bottle ${id}`, before: before.events, all: events });
    const state = reduceBottle(id, read.events);
    const card = state?.card;
    if (!card) return void this.leftOut.push(`${name}: nothing of it says what is in the bottle.`);
    if (!substanceById(card.substanceId))
      return void this.leftOut.push(`${card.name}: “${card.substanceId}” is no substance known here.`);
    const content = contentOf({ id, card, usedG: 0 }, 20);
    if (!content.ok) return void this.leftOut.push(`${card.name}: ${content.problem.message}`);
    if (this.taken(events, card.name)) return;
    this.bottles.push(read);
  }

  private batch(read: ReadBatch, name: string): void {
    const { id, number, plan, events } = read.kept;
    named(name, at.batch(id));
    const title = `Batch ${number}, ${planTitle(read.plan)}`;
    const before = this.here.batches.find((each) => each.id === id);
    if (before && JSON.stringify(before.plan) !== JSON.stringify(plan))
      return void this.kept.push(`${title}: its plan is another one here, and stays.`);
    const wrong = wrongWith(read);
    if (wrong) return void this.leftOut.push(`${title}: ${wrong}`);
    if (before) return void this.join({ what: 'batch', id, name: title, before: before.events, all: events });
    if (this.taken(events, title)) return;
    this.batches.push(read);
  }

  private assay(read: KeptAssay, name: string): void {
    named(name, at.assay(read.id));
    const before = this.here.assays.find((each) => each.id === read.id);
    const title = `The assay ${read.id}`;
    if (before)
      return void this.join({ what: 'assay', id: read.id, name: title, before: before.entries, all: read.entries });
    if (!this.taken(read.entries, `The assay ${read.id}`)) this.assays.push(read);
  }

  private reading(name: string, bytes: Uint8Array): void {
    const id = name.slice('readings/'.length, -'.csv'.length);
    const rows = readingsFrom(new TextDecoder().decode(bytes));
    if (!rows) throw new Error(`${name} in this export does not hold what it should: a table of readings is wanted.`);
    if (this.here.readings.has(id)) {
      const same = JSON.stringify(this.here.readings.get(id)) === JSON.stringify(rows);
      if (!same) this.kept.push(`The readings of ${id} are others here, and stay.`);
      return;
    }
    this.readings.set(id, rows);
  }

  /** Versions that are not here join; a route that was changed in both places stays as it is here. */
  private ownRoutes(all: readonly (KeptRoute & { readonly route: Route })[]): void {
    const here = new Map(this.here.routes.map((each) => [`${each.id} ${each.version}`, JSON.stringify(each.route)]));
    const differ = new Set(
      all
        .filter(({ id, version, route }) => {
          const mine = here.get(`${id} ${version}`);
          return mine !== undefined && mine !== JSON.stringify(route);
        })
        .map(({ id }) => id),
    );
    for (const id of differ)
      this.kept.push(`Your route “${all.find((each) => each.id === id)?.route.title}” is another one here, and stays.`);
    this.routes = all.filter((each) => {
      if (differ.has(each.id) || here.has(`${each.id} ${each.version}`)) return false;
      const admitted = each.route.id === each.id ? admitRoute(each.route) : undefined;
      if (admitted?.ok) return true;
      const why = admitted && !admitted.ok ? admitted.problem.message : 'it stands under another id than its own.';
      this.leftOut.push(`The route “${each.route.title}”: ${why}`);
      return false;
    });
  }

  private place(bytes: Uint8Array): void {
    const bench = readWhole(benchFile, bytes, at.bench);
    if (!this.here.bench) this.bench = jsonOf(bytes, at.bench) as KeptNotebook['bench'];
    else if (JSON.stringify(this.here.bench.body) !== JSON.stringify(bench.body))
      this.kept.push('Your bench (place and gear) is described otherwise here, and stays.');
  }

  private weeks(bytes: Uint8Array): void {
    const week = readWhole(weekFile, bytes, at.week);
    if (!this.here.week) this.week = jsonOf(bytes, at.week) as KeptNotebook['week'];
    else if (JSON.stringify(this.here.week.body) !== JSON.stringify(week.body))
      this.kept.push('What you decided about your weeks is otherwise here, and stays.');
  }

  /** New entries join those that are here; one that says another thing under the same id does not. */
  private join({ what, id, name, before, all }: Joining): void {
    const ids = new Map(before.map((each) => [each.id, JSON.stringify(each.body)]));
    const differ = all.filter((each) => ids.has(each.id) && ids.get(each.id) !== JSON.stringify(each.body)).length;
    if (differ > 0)
      this.kept.push(
        `${name}: ${differ === 1 ? '1 entry says' : `${differ} entries say`} another thing here, and stay so.`,
      );
    const fresh = all.filter((each) => !ids.has(each.id));
    if (fresh.length === 0 || this.taken(fresh, name)) return;
    (this.more[what] as Map<string, readonly KeptEvent[]>).set(id, fresh);
  }

  /** Whether an entry’s id stands for something else here: then the whole thing is left out. */
  private taken(events: readonly KeptEvent[], name: string): boolean {
    const other = events.find(({ id }) => this.known.has(id));
    if (other) this.leftOut.push(`${name}: its entry ${other.id} is an entry of something else here.`);
    return other !== undefined;
  }

  /** What hangs on something else comes only with it. */
  async settle(files: ReadonlyMap<string, Uint8Array>): Promise<void> {
    const bottles = new Set([...this.here.bottles.map(({ id }) => id), ...this.bottles.map(({ kept }) => kept.id)]);
    const batches = new Set([...this.here.batches.map(({ id }) => id), ...this.batches.map(({ kept }) => kept.id)]);
    this.drop(
      this.assays,
      ({ bottleId }) => bottles.has(bottleId),
      ({ id }) => `The assay ${id}: its bottle is not here.`,
    );
    for (const id of [...this.readings.keys()])
      if (!batches.has(id)) {
        this.readings.delete(id);
        this.leftOut.push(`The readings of ${id}: their batch is not here.`);
      }
    const lessons = new Set(this.here.lessons.map(({ id }) => id));
    this.lessons = this.lessons.filter(({ id, bottleId, batchId }) => {
      if (lessons.has(id)) return false;
      const there = (bottleId === null || bottles.has(bottleId)) && (batchId === null || batches.has(batchId));
      if (!there) this.leftOut.push(`The lesson ${id}: what it was learnt of is not here.`);
      return there;
    });
    const photos = new Set(this.here.photos.map(({ id }) => id));
    const fresh: KeptPhotoRow[] = [];
    for (const photo of this.photos) {
      if (photos.has(photo.id)) continue;
      const bytes = files.get(at.photo(photo));
      const wrong = batches.has(photo.batchId)
        ? await pictureProblem(bytes, photo.mediaType)
        : 'its batch is not here.';
      if (wrong) this.leftOut.push(`The photo ${photo.id}: ${wrong}`);
      else fresh.push(photo);
      if (bytes && !wrong) this.pictures.set(photo.id, bytes);
    }
    this.photos = fresh;
  }

  private drop<T>(list: T[], stays: (each: T) => boolean, says: (each: T) => string): void {
    for (const each of list.filter((one) => !stays(one))) {
      this.leftOut.push(says(each));
      list.splice(list.indexOf(each), 1);
    }
  }

  answer(writtenAt: string): ImportAnswer {
    const sum = (maps: readonly ReadonlyMap<string, readonly unknown[]>[]) =>
      maps.flatMap((map) => [...map.values()]).reduce((n, { length }) => n + length, 0);
    return {
      writtenAt,
      adds: {
        bottles: this.bottles.length,
        batches: this.batches.length,
        assays: this.assays.length,
        lessons: this.lessons.length,
        routes: this.routes.length,
        photos: this.photos.length,
        entries: sum([this.more.bottle, this.more.batch, this.more.assay]),
        readings: sum([this.readings]),
        bench: this.bench !== null,
      },
      kept: this.kept,
      leftOut: this.leftOut,
    };
  }

  additions(): Additions {
    const { bottles, batches, assays, lessons, routes, photos, pictures, readings, bench, week, more } = this;
    return {
      bottles: bottles.map(({ kept }) => kept),
      batches: batches.map(({ kept }) => kept),
      numbers: this.here.batches.map(({ number }) => number),
      assays,
      lessons,
      routes,
      photos,
      pictures,
      readings,
      bench,
      week,
      more,
    };
  }
}

/** A thing lies under its own name. */
function named(name: string, right: string): void {
  if (name !== right) throw new Error(`${name} in this export holds another thing than its name says.`);
}

/** Why a batch cannot be taken; empty where it can. A plan that was not begun is asked what any new plan is asked. */
function wrongWith({ plan, events }: ReadBatch): string {
  try {
    const found = events.length === 0 ? sheetOf(plan) : runState(plan, events, 'as they are');
    return found.ok ? '' : found.problem.message;
  } catch {
    return 'what it says of itself does not hold together.';
  }
}

async function pictureProblem(bytes: Uint8Array | undefined, mediaType: string): Promise<string> {
  if (!bytes) return 'its picture is not in the archive.';
  const sound = await pictureCheck(Buffer.from(bytes), mediaType);
  return sound.ok ? '' : sound.problem.message;
}
