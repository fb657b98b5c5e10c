// Week: the steps of several batches in the hours of one person. placeWeek() says where each stands and why not sooner, what is late,
// what has no room; what cannot be at all is refused with the smallest change that would help. Minutes; pure, without a clock.
export { type Placed, placeWeek, type Week } from './place.ts';
export { type Task, type WeekInput, weekShape } from './task.ts';
