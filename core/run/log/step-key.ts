import { text } from '#base/shape';

/** The step an entry belongs to: a step of the route, or one that was inserted. */
export const stepKey = () => text(60);
