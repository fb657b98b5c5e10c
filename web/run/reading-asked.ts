import type { Quantity } from '#base/reading';

/** How each quantity is asked for, and what a reading of it may look like. One that the core knows and this does not, compiles nowhere. */
export const ASKED: Readonly<Record<Quantity, { readonly label: string; readonly hint: string }>> = {
  temperature: { label: 'temperature', hint: '58.2 or over 60' },
  pH: { label: 'pH', hint: '7-8' },
  mass: { label: 'mass', hint: '58.2' },
  volume: { label: 'volume', hint: 'about 90' },
  left: { label: 'solid left', hint: '2.2' },
  gas: { label: 'gas, in all', hint: '1.6' },
  dripped: { label: 'reagent dripped in', hint: '4.5' },
  gain: { label: 'mass gained', hint: '3.1' },
  loss: { label: 'mass lost as gas', hint: '2.4' },
  foam: { label: 'foam', hint: '100' },
  density: { label: 'density', hint: '1.162' },
  conductivity: { label: 'conductivity', hint: '850' },
  time: { label: 'time', hint: '12' },
  current: { label: 'current', hint: '1.8' },
  voltage: { label: 'voltage', hint: '4.0' },
  wall: { label: 'voltage across the divider', hint: '1.4' },
  charge: { label: 'charge, by a meter', hint: '8.6' },
  strength: { label: 'strength of the solution', hint: '9.4-9.6' },
  sight: { label: 'what is seen', hint: 'still blue' },
};
