import { fields, flag, id, instant, note, number, type Of, one, optional, tagged, text } from '#base/shape';

/** “1”, “2” for a replicate, “b1” for a blank. */
const replicate = () => text(4);
const value = () => number({ min: -1e6, max: 1e6 });

/** What can happen in an assay. Readings are kept one by one, as they come. */
export const assayKinds = {
  /** One number of a replicate, by the name of its entry: `sampleG`; `level` is the burette's mark, or the dropper bottle's mass. */
  read: {
    replicate: replicate(),
    name: text(20),
    value: value(),
    unit: optional(one('g', 'mL', '°C', 'hPa', '%', 'times', '')),
  },
  /** The burette (or dropper bottle) was filled up in the middle: it stood there, it stands here. */
  refilled: { replicate: replicate(), from: value(), to: value() },
  /** What a pH probe showed after so much titrant. */
  probed: {
    replicate: replicate(),
    titre: value(),
    pH: number({ min: -2, max: 16 }),
    /** By the simulated probe: a rehearsal, never a strength of the real bottle. */
    simulated: optional(flag()),
  },
  /** Seen at the end: the sign; past it, so that the titre is too high; or spoilt, and not counted. */
  ended: { replicate: replicate(), as: one('sign', 'past', 'spoilt'), note: note(300) },
  diluted: { weighG: number({ moreThan: 0, max: 5000 }), toG: number({ moreThan: 0, max: 50_000 }) },
  /** A person leaves a replicate out of the mean, or takes it in again. */
  'left-out': { replicate: replicate(), out: flag(), why: note(300) },
  noted: { text: text(1000) },
  /** An entry taken back. */
  withdrawn: { of: text(80) },
  /** Its result was written on the bottle. */
  applied: { bottleEventId: text(80), said: note(300) },
} as const;

export const assayBodyShape = tagged('kind', assayKinds);
export type AssayBody = Of<typeof assayBodyShape>;

/** An entry as it is sent. */
export const newAssayEntryShape = fields({ id: id('ev'), happenedAt: instant(), body: assayBodyShape });

export interface AssayEntry {
  readonly id: string;
  readonly happenedAt: string;
  readonly body: AssayBody;
}
