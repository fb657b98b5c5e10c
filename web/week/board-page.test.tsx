import { cleanup, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { BoardAnswer } from '#contract/api';
import { drawAt, serverOf } from '../testing/page.tsx';
import { BoardPage } from './board-page.tsx';

type Running = BoardAnswer['running'][number];

const inMinutes = (minutes: number) => new Date(Date.now() + minutes * 60_000).toISOString();
const item = (title: string, change: Partial<Running> = {}): Running => ({
  batchId: `batch_${title}`,
  number: 7,
  step: 'grow',
  title,
  drawn: 'dish',
  vessel: null,
  liquidMl: 80,
  solidG: 4,
  tint: 'clear',
  reads: '',
  act: 'Look at the dish',
  at: null,
  until: null,
  alone: true,
  needsMin: 5,
  where: 'anywhere' as Running['where'],
  part: null,
  far: '2 of 9 steps',
  ...change,
});
const shown = (running: readonly Running[], kept: BoardAnswer['kept'] = []) => {
  serverOf({ 'GET /board': { running, kept } });
  drawAt('/bench', '/bench', <BoardPage />);
};
const head = async () => (await screen.findByRole('heading', { level: 1 })).textContent;
const bars = () => document.querySelectorAll('.board-bar').length;

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe('the board', () => {
  it('says what comes next and that it may be left until then', async () => {
    shown([item('alum', { at: inMinutes(125), part: 0.5 })]);
    expect(await head()).toMatch(/^Look at the dish, alum: in 2 h/);
    expect(screen.getByText('All that stands here may be left until then.')).toBeDefined();
    expect(bars()).toBe(1);
  });

  it('names what must be stayed with, and what is due besides', async () => {
    shown([
      item('alum', { at: inMinutes(-10) }),
      item('zinc carbonate', { alone: false, act: 'Add soda', far: '20 of about 73 g' }),
    ]);
    expect(await head()).toBe('Look at the dish, alum: now.');
    expect(screen.getByText('Stay with zinc carbonate. alum is due too.')).toBeDefined();
    expect(screen.getByText('10 min late')).toBeDefined();
  });

  it('promises no “until then” of what is due now, and draws no bar where nothing tells how far it is', async () => {
    shown([item('alum', { at: inMinutes(-1) })]);
    await head();
    expect(screen.getByText('Nothing here must be stayed with.')).toBeDefined();
    expect(bars()).toBe(0);
  });

  it('marks what may be done at any time as neither due nor late', async () => {
    shown([item('alum')]);
    expect(await head()).toContain('when you like');
    expect(screen.getByText('any time')).toBeDefined();
    expect(screen.queryByText(/ late$/)).toBeNull();
  });

  it('lists kept plans with what they lack, and says where nothing runs', async () => {
    shown([], [{ batchId: 'batch_k', number: 17, title: 'ammonia', short: ['Ammonia is short by 40 g.'] }]);
    expect(await head()).toBe('On the bench');
    expect(screen.getByText(/then take it to the bench/)).toBeDefined();
    expect(screen.getByText('Ammonia is short by 40 g.')).toBeDefined();
  });

  it('says that the server is away', async () => {
    serverOf({ 'GET /board': 'away' });
    drawAt('/bench', '/bench', <BoardPage />);
    expect((await screen.findByText(/server/i)).className).toBe('problem');
  });
});
