import { createContext, type ReactNode, use, useCallback, useEffect, useMemo, useState } from 'react';

/** Choices that stay with this device, each with its first value as the default. */
const CHOICES = {
  theme: ['day', 'night'],
  type: ['plain', 'large'],
  sound: ['on', 'off'],
  /** Notices of the browser, for what is due. */
  told: ['off', 'on'],
  /** Minutes between check-ins of one who works alone; off unless chosen. */
  alone: ['off', '15', '30', '60'],
} as const;

export type ChoiceName = keyof typeof CHOICES;
type Value<N extends ChoiceName> = (typeof CHOICES)[N][number];
type Choices = { readonly [N in ChoiceName]: Value<N> };

/** A store that is forbidden or full holds no choice; the page works all the same. */
function read(key: string): string | null {
  try {
    return localStorage.getItem(key);
  } catch {
    return null;
  }
}

function write(key: string, value: string): void {
  try {
    localStorage.setItem(key, value);
  } catch {
    // Chosen for this page alone.
  }
}

const stored = <N extends ChoiceName>(name: N): Value<N> => {
  const known: readonly string[] = CHOICES[name];
  const value = read(`earnest-still:${name}`);
  return (value !== null && known.includes(value) ? value : known[0]) as Value<N>;
};

interface Held {
  readonly choices: Choices;
  readonly choose: <N extends ChoiceName>(name: N, value: Value<N>) => void;
}

const ChoiceContext = createContext<Held | null>(null);

export function ChoiceProvider({ children }: { children: ReactNode }) {
  const [choices, setChoices] = useState<Choices>(() => ({
    theme: stored('theme'),
    type: stored('type'),
    sound: stored('sound'),
    told: stored('told'),
    alone: stored('alone'),
  }));
  useEffect(() => {
    document.documentElement.dataset.theme = choices.theme;
    document.documentElement.dataset.type = choices.type;
    for (const [name, value] of Object.entries(choices)) write(`earnest-still:${name}`, value);
  }, [choices]);
  const choose = useCallback<Held['choose']>(
    (name, value) => setChoices((before) => ({ ...before, [name]: value })),
    [],
  );
  const held = useMemo(() => ({ choices, choose }), [choices, choose]);
  return <ChoiceContext value={held}>{children}</ChoiceContext>;
}

export function useChoice<N extends ChoiceName>(name: N): [Value<N>, (value: Value<N>) => void] {
  const held = use(ChoiceContext);
  if (!held) throw new Error('no ChoiceProvider above');
  return [held.choices[name], (value) => held.choose(name, value)];
}
