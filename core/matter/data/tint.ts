/** Colour in a drawing, as a word of the palette. */
export type Tint = 'clear' | 'white' | 'straw' | 'amber' | 'lime' | 'green' | 'blue' | 'violet' | 'pink' | 'grey';
