import { act, renderHook, waitFor } from '@testing-library/react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import type { Schema } from '../../api';
import { GROUP, serve } from '../../test-server';
import type { Entry } from './occasions';
import { useArrivalMarks } from './useArrivalMarks';

const ANSWER = { mark: 'pass', lamp: 'lit', folder: '', note: '', publications: 1 };

beforeEach(() => sessionStorage.clear());
afterEach(() => vi.unstubAllGlobals());

function entry(id: string, round?: string, lamp = 'unlit'): Entry {
  const arrival = {
    id,
    publication: { id, title: `Title ${id}` },
    lamps: [{ member: 'me', lamp }],
  } as unknown as Schema['ArrivalShown'];
  return { arrival, ...(round && { round: { id: round } as Schema['InRound'] }) };
}

function pane(entries: Entry[]) {
  const asked = serve({ 'POST /marks': ANSWER });
  const place = { now: () => 0, isMeant: () => true, go: vi.fn(), step: vi.fn() };
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={new QueryClient()}>{children}</QueryClientProvider>
  );
  const hook = renderHook(
    () => useArrivalMarks({ here: GROUP, entries, place, goesOn: false, onSaid: undefined }),
    { wrapper },
  );
  return { marks: () => hook.result.current, place, bodies: () => asked.map((one) => one.body) };
}

it('marks what is ticked with one reason, as one act a round, and goes on', async () => {
  const { marks, place, bodies } = pane(
    ['a', 'b', 'c', 'd'].map((id) => entry(id, id < 'c' ? 'r1' : 'r2')),
  );
  act(() => ['a', 'b', 'c'].forEach((id) => marks().tick(id)));
  expect(marks().inList).toHaveLength(3);
  act(() => marks().setReason('not ours'));
  act(() => marks().say('pass'));
  await waitFor(() => expect(bodies()).toHaveLength(2));
  expect(bodies()).toEqual([
    { publications: ['a', 'b'], mark: 'pass', reason: 'not ours', round: 'r1' },
    { publications: ['c'], mark: 'pass', reason: 'not ours', round: 'r2' },
  ]);
  expect(marks().inList).toHaveLength(0);
  expect(marks().reason).toBe('');
  expect(place.go).toHaveBeenCalledWith(3);
});

it('asks for a folder where a keep has none, and marks the others', async () => {
  const { marks, bodies } = pane([entry('a'), entry('b', 'r1')]);
  act(() => ['a', 'b'].forEach((id) => marks().tick(id)));
  act(() => marks().say('keep'));
  expect(marks().keeping).toEqual(['a']);
  await waitFor(() => expect(bodies()).toMatchObject([{ publications: ['b'], round: 'r1' }]));
  expect(marks().inList.map(({ arrival }) => arrival.id)).toEqual(['a']);
});

it('sends no more at once than the server takes', async () => {
  const ids = Array.from({ length: 1100 }, (_, n) => `p${n}`);
  const { marks, bodies } = pane(ids.map((id) => entry(id, 'r1')));
  act(() => ids.forEach((id) => marks().tick(id)));
  act(() => marks().say('seen'));
  await waitFor(() => expect(bodies()).toHaveLength(3));
  const sizes = bodies().map((body) => (body as { publications: string[] }).publications.length);
  expect(sizes).toEqual([500, 500, 100]);
});

it('lets rest what waits, and leaves alone what was decided on', async () => {
  const { marks, bodies } = pane([
    entry('a', 'r1', 'lit'),
    entry('b', 'r1'),
    entry('c', 'r1', 'dim'),
  ]);
  act(() => ['a', 'b', 'c'].forEach((id) => marks().tick(id)));
  act(() => marks().say('rest'));
  await waitFor(() => expect(bodies()).toMatchObject([{ publications: ['b', 'c'], mark: 'rest' }]));
});
