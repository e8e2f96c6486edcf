import { useCallback, useMemo, useReducer } from 'react';
import { blank, inviting, isEmptyLimit, limitOf, newId, type Line } from '../strategy';

const MOST_STEPS = 300;

type State = { past: Line[][]; lines: Line[]; future: Line[][]; typing: string | null };

type Change = { what: 'set'; lines: Line[]; typing?: string } | { what: 'undo' } | { what: 'redo' };

/** Every change can be taken back; typing on in one line is one change. */
function reduce(state: State, change: Change): State {
  if (change.what === 'undo') {
    const before = state.past[state.past.length - 1];
    if (!before) return state;
    return {
      past: state.past.slice(0, -1),
      lines: before,
      future: [state.lines, ...state.future],
      typing: null,
    };
  }
  if (change.what === 'redo') {
    const next = state.future[0];
    if (!next) return state;
    return {
      past: [...state.past, state.lines],
      lines: next,
      future: state.future.slice(1),
      typing: null,
    };
  }
  const typing = change.typing ?? null;
  const goesOn = typing !== null && typing === state.typing;
  return {
    past: goesOn ? state.past : [...state.past, state.lines].slice(-MOST_STEPS),
    lines: inviting(change.lines),
    future: [],
    typing,
  };
}

function switchedOn(line: Line): Line {
  const on = { ...line };
  delete on.off;
  return on;
}

/** The lines of a sheet and everything that can be done to them. */
export function useSheet(first: () => readonly Line[]) {
  const [state, dispatch] = useReducer(reduce, first, (begin) => ({
    past: [],
    lines: inviting(begin()),
    future: [],
    typing: null,
  }));
  const { lines } = state;
  const set = useCallback((next: Line[]) => dispatch({ what: 'set', lines: next }), []);
  return useMemo(() => {
    const change = (id: string, to: (line: Line) => Line) =>
      set(lines.map((line) => (line.id === id ? to(line) : line)));
    return {
      lines,
      mayUndo: state.past.length > 0,
      mayRedo: state.future.length > 0,
      undo: () => dispatch({ what: 'undo' }),
      redo: () => dispatch({ what: 'redo' }),
      /** All lines in place of those there are. */
      replace: set,
      type: (id: string, text: string) =>
        dispatch({
          what: 'set',
          lines: lines.map((line) => (line.id === id ? { ...line, text } : line)),
          typing: id,
        }),
      change,
      toggle: (id: string) =>
        change(id, (line) => (line.off ? switchedOn(line) : { ...line, off: true })),
      strike: (id: string) => set(lines.filter((line) => line.id !== id)),
      move: (id: string, by: number) => {
        const at = lines.findIndex((line) => line.id === id);
        const to = at + by;
        // The empty last line stays last.
        if (at < 0 || to < 0 || to >= lines.length - 1) return;
        const rest = lines.filter((line) => line.id !== id);
        set([...rest.slice(0, to), lines[at] as Line, ...rest.slice(to)]);
      },
      insertAfter: (id: string): string => {
        const at = lines.findIndex((line) => line.id === id);
        const line = blank(lines);
        set([...lines.slice(0, at + 1), line, ...lines.slice(at + 1)]);
        return line.id;
      },
      add: (added: Omit<Line, 'id'>[]) => {
        let next = lines.slice(0, -1);
        for (const line of added) {
          const old = line.property ? limitOf(next, line.property) : undefined;
          next = old
            ? next.map((each) => (each === old ? { ...line, id: old.id } : each))
            : [...next, { ...line, id: newId([...lines, ...next]) }];
        }
        set(next);
      },
      /** All limits on or off in one act. */
      switchLimits: (off: boolean) =>
        set(
          lines.map((line) => {
            if (line.kind !== 'limit') return line;
            return off ? { ...line, off } : switchedOn(line);
          }),
        ),
      /** Sets the limit of a property; one that asks for nothing is struck. */
      limit: (line: Omit<Line, 'id' | 'kind'> & { property: string }) => {
        const old = limitOf(lines, line.property);
        const said = Object.fromEntries(Object.entries(line).filter(([, value]) => value != null));
        const next: Line = { ...said, kind: 'limit', id: old?.id ?? newId(lines) };
        if (isEmptyLimit(next)) set(lines.filter((each) => each !== old));
        else if (old) set(lines.map((each) => (each === old ? next : each)));
        else set([...lines.slice(0, -1), next]);
      },
    };
  }, [lines, state.past.length, state.future.length, set]);
}

export type SheetState = ReturnType<typeof useSheet>;
