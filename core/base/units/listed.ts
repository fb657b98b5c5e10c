const LIST = new Intl.ListFormat('en-GB', { type: 'conjunction' });

/** “zinc”, “zinc and acid”, “zinc, acid and water”. */
export const listed = (names: readonly string[]): string => LIST.format(names);
