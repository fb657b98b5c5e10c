import base from './playwright.config.ts';

// Pictures of every station for the README, from a fresh demo notebook: npm run shots
export default { ...base, testMatch: '*.shots.ts', workers: 1, reporter: 'line' };
