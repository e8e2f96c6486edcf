import { useCallback, useEffect, useRef } from 'react';
import { useNavigate } from 'react-router';
import { Problem } from '../../api';
import { useNotice, useUnderWay } from '../../ui';
import { useHere } from '../session';
import { sameLines, type Strategy } from '../strategy';
import { useSettle } from './api';

/** What a sheet without an address begins as. */
export const EMPTY = 'begin:';

export type How = 'enter' | 'stood' | 'act';
export type Step = { q: string; step: string | undefined };

/**
 * Settling only adds a step and an address; what stands on the sheet by then stays as it is. `isOwn`
 * tells the addresses that this sheet itself goes to and has not come to yet: they do not overwrite
 * the lines. An answer that is late never leads away from where the member went meanwhile.
 */
export function useSettled({
  source,
  q,
  step,
  settled,
  order,
  of,
}: {
  /** Where the page is by now. */
  source: string;
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
  const underWay = useUnderWay(source);
  const goesTo = useCallback(
    (address: string) => {
      if (underWay.now() !== address) underWay.go(address);
    },
    [underWay],
  );
  // What was asked for before the member went elsewhere leads nowhere; neither does an answer that
  // a later one overtook.
  const asked = useRef({ visit: 0, last: 0, came: 0 });
  const leave = useCallback(() => void asked.current.visit++, []);
  const goesToEmpty = () => {
    leave();
    goesTo(EMPTY);
  };
  useEffect(() => {
    const backOrForward = () => {
      leave();
      underWay.forget();
    };
    window.addEventListener('popstate', backOrForward);
    return () => window.removeEventListener('popstate', backOrForward);
  }, [leave, underWay]);
  const settle = useCallback(
    async (what: Strategy, sorted: string, how: How): Promise<Step | null> => {
      const { visit } = asked.current;
      const turn = ++asked.current.last;
      try {
        const made = await mutateAsync({ strategy: what, order: sorted });
        const step = { q: made.q, step: made.step };
        if (visit !== asked.current.visit || turn < asked.current.came) return step;
        asked.current.came = turn;
        goesTo(`q:${made.q}`);
        // The row that was chosen meanwhile stays chosen.
        const query = new URLSearchParams(window.location.search);
        const chosen = query.get('p');
        const listed = query.get('kept');
        const kept = new URLSearchParams({
          ...(sorted === 'relevance' ? {} : { order: sorted }),
          ...(of ? { of } : {}),
          ...(listed ? { kept: listed } : {}),
          ...(chosen ? { p: chosen } : {}),
        });
        void navigate(`/g/${here.id}/q/${made.q}${kept.size > 0 ? `?${kept}` : ''}`, {
          replace: how !== 'enter',
          state: { step: made.step },
        });
        return step;
      } catch (error) {
        const expected = error instanceof Problem && error.type === 'search-problem';
        if (how !== 'stood' && !expected && error instanceof Error) {
          tell({ text: error.message, bad: true });
        }
        return null;
      }
    },
    [mutateAsync, navigate, here.id, of, goesTo, tell],
  );
  /** The step that a result belongs to; made where there is none yet (rule O4). */
  const ensure = useCallback(
    async (what: Strategy): Promise<Step | null> =>
      q !== undefined && sameLines(what, settled) ? { q, step } : settle(what, order, 'act'),
    [q, step, settled, settle, order],
  );
  return { settle, ensure, isOwn: underWay.isUnderWay, goesToEmpty };
}
