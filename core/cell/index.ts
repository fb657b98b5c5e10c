// Cell: what a current does. For now Faraday's law, both ways: mass (or gas) from charge, and time from mass.
export { depositFromCharge, electronsFor, hoursForMass } from './faraday.ts';
