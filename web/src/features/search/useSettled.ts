import { useCallback, useState } from 'react';
import { useNavigate } from 'react-router';
import { Problem } from '../../api';
import { useNotice } from '../../ui';
import { useHere } from '../session';
import { sameLines, type Strategy } from '../strategy';
import { useSettle } from './api';

export type How = 'enter' | 'stood' | 'act';
export type Step = { q: string; step: string | undefined };

/**
 * Settling only adds a step and an address; what stands on the sheet by then stays as it is. `own`
 * names what the address will be by an act of this sheet, so that it does not overwrite the lines.
 */
export function useSettled({
  q,
  step,
  settled,
  order,
  of,
}: {
  q: string | undefined;
  step: string | undefined;
  settled: Strategy;
  order: string;
  of: string | null;
}) {
  const here = useHere();
  const navigate = useNavigate();
  const tell = useNotice();
  const { mutateAsync } = useSettle(here.id);
  const [own, setOwn] = useState<string | null>(null);
  const settle = useCallback(
    async (what: Strategy, sorted: string, how: How): Promise<Step | null> => {
      try {
        const made = await mutateAsync({ strategy: what, order: sorted });
        if (made.q !== q) setOwn(`q:${made.q}`);
        // The row that was chosen meanwhile stays chosen.
        const query = new URLSearchParams(window.location.search);
        const chosen = query.get('p');
        const kept = new URLSearchParams({
          ...(sorted === 'relevance' ? {} : { order: sorted }),
          ...(of ? { of } : {}),
          ...(chosen ? { p: chosen } : {}),
        });
        void navigate(`/g/${here.id}/q/${made.q}${kept.size > 0 ? `?${kept}` : ''}`, {
          replace: how !== 'enter',
          state: { step: made.step },
        });
        return { q: made.q, step: made.step };
      } catch (error) {
        const expected = error instanceof Problem && error.type === 'search-problem';
        if (how !== 'stood' && !expected && error instanceof Error) {
          tell({ text: error.message, bad: true });
        }
        return null;
      }
    },
    [mutateAsync, navigate, here.id, of, q, tell],
  );
  /** The step that a result belongs to; made where there is none yet (rule O4). */
  const ensure = useCallback(
    async (what: Strategy): Promise<Step | null> =>
      q !== undefined && sameLines(what, settled) ? { q, step } : settle(what, order, 'act'),
    [q, step, settled, settle, order],
  );
  return { settle, ensure, own, setOwn };
}
