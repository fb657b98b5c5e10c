import { EvaporatePane } from './boil-down/evaporate-pane.tsx';
import { DishPane } from './crystallise/dish-pane.tsx';
import { WashPane } from './filter/wash-pane.tsx';
import type { TechniquePane } from './technique-view.ts';

// Panes that more than one kind of step has.

export const dishPane: TechniquePane = { id: 'dish', name: 'Dish', key: 'd', Pane: DishPane };
export const evaporatePane: TechniquePane = { id: 'evaporate', name: 'Evaporate', key: 'e', Pane: EvaporatePane };
export const washPane: TechniquePane = { id: 'wash', name: 'Wash', key: 'x', Pane: WashPane };
