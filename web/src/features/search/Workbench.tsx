import { useCallback, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { Problem, type Schema } from '../../api';
import { useAddress, useNotice } from '../../ui';
import { useCopyAddress } from '../publication';
import { Guide } from '../help';
import { Changing } from '../saved';
import { useHere } from '../session';
import { useSearch, useSettle, useSince } from './api';
import { Beginnings } from './Beginnings';
import { asks, sameLines, strategyOf, strategyOfText, type Strategy } from '../strategy';
import { ResultBar } from './ResultBar';
import { Results } from './Results';
import { Sheet } from './sheet/Sheet';
import { SheetActs } from './sheet/SheetActs';
import { Strip } from './strip/Strip';
import { useDelayed } from './useDelayed';
import { useStood } from './useStood';
import { useSheet } from './useSheet';
import { WaysOut } from './WaysOut';

type Result = Schema['SearchResult'];
type Came = { focus?: boolean; step?: string; before?: number; fresh?: boolean } | null;

const COUNT_AFTER = 40;

/** Sheet over list, leaf beside. What is typed is counted live; Enter settles it. */
export function Workbench({
  q,
  ready,
  settled,
  order,
}: {
  q: string | undefined;
  ready: boolean;
  settled: Strategy;
  order: string;
}) {
  const here = useHere();
  const navigate = useNavigate();
  const location = useLocation();
  const came = location.state as Came;
  const { params, change } = useAddress();
  const of = params.get('of');
  const tell = useNotice();
  const copy = useCopyAddress();
  const sheet = useSheet(settled.lines);
  const [at, setAt] = useState(q);
  const [begun, setBegun] = useState(location.key);
  const [property, setProperty] = useState<string | null>(null);
  const strategy = strategyOf(sheet.lines);
  // Back and forward, and links to other searches, change the sheet; settling leaves it as it is.
  if (ready && q !== at) {
    setAt(q);
    if (!sameLines(strategy, settled)) sheet.replace(settled.lines);
  }
  if (came?.fresh && location.key !== begun) {
    setBegun(location.key);
    sheet.replace([]);
  }
  const asked = useDelayed(JSON.stringify(strategy), COUNT_AFTER);
  const counted = JSON.parse(asked) as Strategy;
  const search = useSearch(here.id, counted, order);
  const settle = useSettle(here.id);
  const shown = useLastGood(search.data, search.isPlaceholderData);
  const problem = search.error instanceof Problem ? search.error : null;
  const fresh = !search.isPlaceholderData && !search.isError;
  const answer = fresh ? search.data?.answer : undefined;
  const since = useSince(here.id, counted, answer).data;
  const isSettled = q !== undefined && sameLines(strategy, settled);
  const go = useCallback(
    (what: Strategy, sorted: string, how: 'enter' | 'stood') => {
      settle.mutate(
        { strategy: what, order: sorted },
        {
          onSuccess: (step) => {
            const query = new URLSearchParams({
              ...(sorted === 'relevance' ? {} : { order: sorted }),
              ...(of ? { of } : {}),
            });
            navigate(`/g/${here.id}/q/${step.q}${query.size > 0 ? `?${query}` : ''}`, {
              replace: how === 'stood',
              state: { focus: how === 'enter', step: step.step, before: step.before },
            });
          },
          onError: (error) => {
            if (how === 'enter' && !(error instanceof Problem && error.type === 'search-problem')) {
              tell({ text: error.message, bad: true });
            }
          },
        },
      );
    },
    [settle, navigate, here.id, of, tell],
  );
  useStood(answer !== undefined && !isSettled ? asked : null, () => go(counted, order, 'stood'));
  const pick = (line: string) => {
    const next = strategyOfText(line);
    sheet.replace(next.lines);
    go(next, order, 'enter');
  };
  const replace = (next: Strategy) => {
    sheet.replace(next.lines);
    go(next, order, 'enter');
  };
  const guide = (
    <Guide
      lines={sheet.lines}
      settled={isSettled}
      onLines={(lines) => sheet.replace(lines.map((line, at) => ({ ...line, id: `g${at}` })))}
    />
  );
  const leave = () => change('of', '', { replace: true });
  return (
    <div className="grid h-full grid-cols-[minmax(0,1fr)] grid-rows-[auto_auto_minmax(min(16rem,60vh),1fr)] overflow-y-auto">
      <h1 className="sr-only">Search</h1>
      <Sheet
        sheet={sheet}
        answer={answer}
        problem={problem}
        onSettle={() => asks(strategy) && go(strategy, order, 'enter')}
        onLimit={setProperty}
        acts={<SheetActs sheet={sheet} onLimit={() => setProperty('date')} />}
      />
      {shown && asks(strategy) ? (
        <div>
          {guide}
          {of && (
            <Changing
              of={of}
              q={isSettled ? q : undefined}
              strategy={strategy}
              ready={fresh}
              onLeave={leave}
            />
          )}
          <ResultBar
            result={shown}
            strategy={counted}
            order={order}
            stale={!fresh}
            before={isSettled ? came?.before : undefined}
            since={since}
            stripped={property !== null}
            records={isSettled ? `/api/groups/${here.id}/q/${q}/records.ris` : undefined}
            report={isSettled ? `/g/${here.id}/report?of=q:${q}` : undefined}
            link={isSettled ? () => copy(`/q/${q}`) : undefined}
            onOrder={(next) => go(strategy, next, 'enter')}
            onStrip={() => setProperty((now) => (now ? null : 'date'))}
            onMoveOn={() => void search.refetch()}
            onStrategy={replace}
          />
          {property && (
            <Strip
              sheet={sheet}
              property={property}
              onProperty={setProperty}
              onClose={() => setProperty(null)}
            />
          )}
          <WaysOut sheet={sheet} answer={shown.answer} />
        </div>
      ) : (
        <div>
          {guide}
          {property && (
            <Strip
              sheet={sheet}
              property={property}
              onProperty={setProperty}
              onClose={() => setProperty(null)}
            />
          )}
        </div>
      )}
      {shown && asks(strategy) ? (
        <Results
          key={q}
          result={shown}
          strategy={counted}
          step={came?.step}
          q={isSettled ? q : undefined}
          focus={came?.focus === true && params.get('p') === null}
        />
      ) : (
        <Beginnings onPick={pick} />
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
