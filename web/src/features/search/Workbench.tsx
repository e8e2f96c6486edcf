import { useCallback, useState } from 'react';
import { useLocation, useNavigate, useSearchParams } from 'react-router';
import { Problem, type Schema } from '../../api';
import { useNotice } from '../../ui';
import { useHere } from '../session';
import { useSearch, useSettle } from './api';
import { Examples } from './Examples';
import { ResultBar } from './ResultBar';
import { Results } from './Results';
import { Sheet } from './Sheet';
import { useDelayed } from './useDelayed';

type Result = Schema['SearchResult'];

/** Sheet over list, leaf beside. What is typed is counted live; Enter settles it. */
export function Workbench({ settled, order }: { settled: string; order: string }) {
  const here = useHere();
  const navigate = useNavigate();
  const location = useLocation();
  const [params] = useSearchParams();
  const tell = useNotice();
  const [text, setText] = useState(settled);
  const asked = useDelayed(text, 250);
  const search = useSearch(here.id, asked, order);
  const settle = useSettle(here.id);
  const shown = useLastGood(search.data, search.isPlaceholderData);
  const problem = search.error instanceof Problem ? search.error : null;
  const go = useCallback(
    (line: string, sorted: string) => {
      settle.mutate(
        { text: line, order: sorted },
        {
          onSuccess: (step) => {
            const query = sorted === 'relevance' ? '' : `?order=${sorted}`;
            navigate(`/g/${here.id}/q/${step.q}${query}`, {
              state: { focus: true, step: step.step, before: step.before },
            });
          },
          onError: (error) => {
            if (!(error instanceof Problem && error.type === 'search-problem')) {
              tell({ text: error.message, bad: true });
            }
          },
        },
      );
    },
    [settle, navigate, here.id, tell],
  );
  const came = location.state as { focus?: boolean; step?: string; before?: number } | null;
  return (
    <div className="grid h-full grid-rows-[auto_auto_minmax(0,1fr)]">
      <h1 className="sr-only">Search</h1>
      <Sheet
        text={text}
        onText={setText}
        problem={text.trim() === '' ? null : problem}
        notes={search.data && !search.isPlaceholderData ? search.data.answer : undefined}
        onSettle={() => go(text, order)}
      />
      {shown && text.trim() !== '' ? (
        <>
          <ResultBar
            result={shown}
            text={asked}
            settled={asked === settled}
            order={order}
            stale={search.isPlaceholderData || search.isError}
            {...(came?.before === undefined ? {} : { before: came.before })}
            onOrder={(next) => go(text, next)}
          />
          <Results
            key={settled}
            result={shown}
            text={asked}
            step={came?.step}
            focus={came?.focus === true && params.get('p') === null}
          />
        </>
      ) : (
        <Examples
          onPick={(line) => {
            setText(line);
            go(line, order);
          }}
        />
      )}
    </div>
  );
}

/** The last answer that was one: it stays readable while a new one comes or is refused. */
function useLastGood(data: Result | undefined, placeholder: boolean): Result | undefined {
  const [good, setGood] = useState(data);
  if (data && !placeholder && data !== good) setGood(data);
  return good;
}
