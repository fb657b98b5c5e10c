import type { Reading } from '#base/reading';
import type { BodyOf } from './event.ts';

/** A rinsed, drained solid is this part of its wet mass at least: fine carbonates hold one and a half times their own weight. */
const DRY_PART = 0.4;

/**
 * What a weighing says of the thing itself: paper or vessel taken off, and a wet residue as the band that its dry mass lies
 * in. Other readings, and weighings of a product that is known to be wet, are as they were read.
 */
export function netReading({ quantity, reading, state, tareG }: BodyOf<'read'>): Reading {
  const net = tareG === undefined ? reading : less(reading, tareG);
  return quantity === 'left' && state === 'wet' ? dried(net) : net;
}

function less(reading: Reading, tareG: number): Reading {
  const off = (value: number) => Math.max(0, value - tareG);
  switch (reading.is) {
    case 'exact':
    case 'over':
    case 'under':
      return { ...reading, value: off(reading.value) };
    case 'band':
      return { ...reading, low: off(reading.low), high: off(reading.high) };
    case 'counted':
    case 'sight':
    case 'word':
      return reading;
  }
}

function dried(reading: Reading): Reading {
  switch (reading.is) {
    case 'exact':
      return { is: 'band', low: DRY_PART * reading.value, high: reading.value, unit: reading.unit };
    case 'band':
      return { ...reading, low: DRY_PART * reading.low };
    case 'over':
      return { ...reading, value: DRY_PART * reading.value };
    case 'counted':
    case 'under':
    case 'sight':
    case 'word':
      return reading;
  }
}
