/** What a built-in route may let meet although nothing else may: at one step, by drops, in its apparatus, under the caps of every batch. */
export interface Meant {
  readonly route: string;
  readonly step: string;
  /** What comes off, in the words of the refusal. */
  readonly releases: RegExp;
  /** Conditions that the step itself must keep. */
  readonly where: 'outdoors';
}

const MEANT: readonly Meant[] = [
  { route: 'hypochlorite-by-chlorine', step: 'gas', releases: /chlorine/, where: 'outdoors' },
  { route: 'hypochlorite-crystals', step: 'gas', releases: /chlorine/, where: 'outdoors' },
];

/** Whether a pair that is refused everywhere is meant here. Whoever asks has made sure that the route is the built-in one. */
export function meantAt(route: string, step: string, releases: string): Meant | undefined {
  return MEANT.find((each) => each.route === route && each.step === step && each.releases.test(releases));
}
