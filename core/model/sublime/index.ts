// Sublime: a solid that goes over as vapour onto a cold cover. sublime() says how fast, how long, what is lost and what ice it
// melts; the caps of the guard hold. Vapour pressures as published, pace within a factor of two, losses within three.
export { diffusion, stirredByItself } from './air-between.ts';
export { type SublimeAnswer, type SublimeInput, sublime, sublimeShape } from './sublime.ts';
export { sublimationOf, vapourOver } from './vapour.ts';
