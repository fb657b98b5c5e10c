import type { TechniqueView } from '../technique-view.ts';
import { ReactSays } from './react-says.tsx';

/** Something reacts away: how far it has come, and what a stop of it tells. */
export const reactView: TechniqueView<'react'> = {
  panes: [],
  opens: () => null,
  Working: null,
  Says: ReactSays,
};
