/** Colours of what is printed: the red of the hazard diamonds is the standard’s, the rest is ink on paper. */
export const print = { ink: '#000000', line: '#1f2f3d', paper: '#ffffff', diamond: '#d4000f' } as const;
