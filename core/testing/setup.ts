import { settleProperties } from './property.ts';

settleProperties();
