/** How a substance usually comes: dissolved in water, as a solid, a metal, a neat liquid, or a gas. */
export type Form = 'dissolved' | 'solid' | 'metal' | 'liquid' | 'gas';
