import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { createMemoryRouter, Outlet, RouterProvider } from 'react-router';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import type { Schema } from '../../api';
import { GROUP } from '../../test-server';
import type { Strategy } from '../strategy';
import { SearchPage } from './SearchPage';

/** Numbers that look random and are the same in every run. */
function dice(seed: number): (below: number) => number {
  let state = seed * 2654435761 + 1;
  return (below) => {
    state = (Math.imul(state, 1103515245) + 12345) & 0x7fffffff;
    return (state >>> 8) % below;
  };
}

const LATEST = 3000;

function answer(strategy: Strategy): Schema['Answer'] {
  return {
    count: 0,
    listed: 0,
    asOf: 'x',
    at: '2026-11-24T06:40:00Z',
    number: 1,
    ids: [],
    notes: [],
    covers: [],
    lines: strategy.lines.map((line) => ({
      line: line.id,
      alone: 1,
      left: 1,
      without: 1,
      rulesOut: false,
      costsMost: false,
      forms: [],
      offers: [],
    })),
  };
}

/** Every answer takes a time of its own, so that they overtake each other. */
function serveLate(roll: (below: number) => number) {
  const kept: Strategy[] = [];
  const refused = { status: 404, body: { detail: 'nothing there' } };
  const answers = (method: string, path: string, asked: unknown) => {
    if (path === '/search') {
      const { strategy } = asked as { strategy: Strategy };
      return { status: 200, body: { answer: answer(strategy), first: [], problems: [] } };
    }
    if (path === '/steps') {
      const { strategy } = (asked as { asked: { strategy: Strategy } }).asked;
      kept.push(strategy);
      return { status: 200, body: { q: `q${kept.length - 1}`, step: `s${kept.length}` } };
    }
    const q = /^\/q\/q(\d+)$/.exec(path);
    return method === 'GET' && q ? { status: 200, body: kept[Number(q[1])] } : refused;
  };
  vi.stubGlobal('fetch', async (request: Request) => {
    const path = new URL(request.url).pathname.replace('/api/groups/group', '');
    const text = await request.text();
    await new Promise((resolve) => setTimeout(resolve, roll(LATEST)));
    const { status, body } = answers(request.method, path, text ? JSON.parse(text) : null);
    return new Response(JSON.stringify(body), {
      status,
      headers: { 'Content-Type': 'application/json' },
    });
  });
  return kept;
}

function showSheet() {
  const router = createMemoryRouter(
    [
      {
        path: '/g/:group',
        element: <Outlet context={GROUP} />,
        children: [
          { path: 'search', element: <SearchPage /> },
          { path: 'q/:q', element: <SearchPage /> },
        ],
      },
    ],
    { initialEntries: ['/g/group/search'] },
  );
  render(
    <QueryClientProvider
      client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}
    >
      <RouterProvider router={router} />
    </QueryClientProvider>,
  );
  return router;
}

const pass = (milliseconds: number) =>
  act(async () => {
    await vi.advanceTimersByTimeAsync(milliseconds);
  });

const lines = () =>
  screen
    .getAllByRole('combobox', { name: /^Line \d+$/ })
    .map((each) => (each as HTMLInputElement).value);

beforeEach(() => {
  sessionStorage.clear();
  vi.useFakeTimers();
  window.matchMedia = vi.fn().mockReturnValue({ matches: false });
});

afterEach(() => {
  cleanup();
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

it.each(Array.from({ length: 6 }, (_, seed) => seed))(
  'keeps what was typed in whatever order answers come (%i)',
  async (seed) => {
    const roll = dice(seed + 1);
    const kept = serveLate(roll);
    const router = showSheet();
    await pass(10);
    const typed = ['', ''];
    for (let step = 0; step < 40; step++) {
      const at = typed[0] === '' ? 0 : roll(2);
      const does = roll(6);
      if (does < 3) {
        typed[at] += 'abcdefgh '[roll(9)]?.trim() || 'x';
        fireEvent.change(screen.getByLabelText(`Line ${at + 1}`), {
          target: { value: typed[at] },
        });
      } else if (does === 3) {
        fireEvent.submit(screen.getByRole('search'));
      } else if (does === 5 && step < 30) {
        // What was asked for before leads nowhere any more.
        typed.fill('');
        fireEvent.click(screen.getByRole('link', { name: 'New sheet' }));
      }
      // From the pause between two letters to longer than it takes to settle by itself.
      await pass([5, 60, 400, 2500][roll(4)] ?? 0);
      expect(lines().filter(Boolean), `after act ${step}`).toEqual(typed.filter(Boolean));
    }
    await pass(3 * LATEST);
    expect(lines().filter(Boolean), 'long after').toEqual(typed.filter(Boolean));
    const { pathname } = router.state.location;
    const settled = kept[Number(/\/q\/q(\d+)$/.exec(pathname)?.[1])];
    expect(settled?.lines.map((line) => line.text)).toEqual(typed.filter(Boolean));
  },
);
