/** What else is minded while some lose their water. */
const WORDS: Readonly<Record<string, string>> = {
  'silver-nitrate':
    'In the dark, with no dust, paper or spirit near: light and organic matter blacken it, and it stains and burns skin. Never beside ammonia.',
  'potassium-permanganate': 'No dust, paper or spirit near: dried on it, it can set fire to it.',
};

/** What is minded besides while a solution of it loses its water; empty where nothing is. */
export function mindWarm(species: string): string {
  return WORDS[species] ?? '';
}
