import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { useLocation } from 'react-router';
import { Problem } from '../../api';
import { useAddress, useCopyAddress } from '../../ui';
import { Guide } from '../help';
import { Changing } from '../saved';
import { useHere } from '../session';
import { useSearch, useSince } from './api';
import { Beginnings } from './Beginnings';
import {
  asks,
  draftOf,
  rememberDraft,
  sameLines,
  strategyOf,
  strategyOfText,
  type Line,
  type Strategy,
} from '../strategy';
import { ResultBar } from './ResultBar';
import { Results } from './Results';
import { Sheet } from './sheet/Sheet';
import { SheetActs } from './sheet/SheetActs';
import { Strip } from './strip/Strip';
import { useDelayed } from './useDelayed';
import { NOTHING, useLastGood } from './useLastGood';
import { useSeenCount } from './useSeenCount';
import { useSettled } from './useSettled';
import { useStood } from './useStood';
import { useSheet } from './useSheet';
import { isJust, opened } from './usual';
import { WaysOut } from './WaysOut';

type Came = { step?: string } | null;

const COUNT_AFTER = 40;

/** Sheet over list, leaf beside. What is typed is counted live; Enter settles it. */
export function Workbench({
  q,
  source,
  ready,
  settled,
  usual,
  order,
}: {
  q: string | undefined;
  /** What the lines began as: a search with an address, or a way to begin. */
  source: string;
  ready: boolean;
  settled: Strategy;
  /** What every new sheet of the group begins with. */
  usual: readonly Line[];
  order: string;
}) {
  const here = useHere();
  const location = useLocation();
  const came = location.state as Came;
  const { params, change } = useAddress();
  const of = params.get('of');
  const kept = params.get('kept') ?? '';
  const copy = useCopyAddress();
  const sheet = useSheet(() => draftOf(here.id, source) ?? opened(settled.lines, usual));
  const [at, setAt] = useState(source);
  const [property, setProperty] = useState<string | null>(null);
  const list = useRef<HTMLDivElement>(null);
  // Arrows that were pressed before the list was there.
  const [ahead, setAhead] = useState(0);
  const strategy = strategyOf(sheet.lines);
  const stands = { source, q, step: came?.step, settled, order, of };
  const { settle, ensure, isOwn, goesToEmpty } = useSettled(stands);
  // Back and forward, and links to other searches, change the sheet. An address that the sheet made
  // itself changes nothing on it: what the member has done meanwhile is the truth.
  if (ready && source !== at) {
    setAt(source);
    if (!isOwn(source) && !sameLines(strategy, settled))
      sheet.replace(opened(settled.lines, usual));
  }
  useEffect(() => rememberDraft(here.id, at, sheet.lines), [here.id, at, sheet.lines]);
  const asked = useDelayed(JSON.stringify(strategy), COUNT_AFTER);
  const counted = JSON.parse(asked) as Strategy;
  const search = useSearch(here.id, counted, order, kept);
  const { good, forget } = useLastGood(search.data, counted, search.isPlaceholderData);
  const shown = good?.result;
  const problem = search.error instanceof Problem ? search.error : null;
  const fresh = !search.isPlaceholderData && !search.isError && sameLines(strategy, counted);
  const answer = fresh ? search.data?.answer : undefined;
  const since = useSince(here.id, counted, answer).data;
  const isSettled = q !== undefined && sameLines(strategy, settled);
  // What every new sheet has is not asked for before something else is, or Enter is pressed.
  const asksNow = asks(strategy) && (isSettled || !isJust(sheet.lines, usual));
  const seen = useSeenCount(counted, answer?.count, isSettled);
  useStood(
    answer !== undefined && asksNow && !isSettled ? asked : null,
    () => void settle(counted, order, 'stood'),
  );
  // At once, so that whatever is pressed next is meant for the list.
  const toList = () => {
    setAhead(0);
    list.current?.focus();
  };
  const run = (next: Strategy, sorted: string) => {
    toList();
    // The list begins at its top; arrows that follow lead on from there.
    change('p', '', { replace: true });
    void settle(next, sorted, 'enter');
  };
  const pick = (line: string) => {
    const next = strategyOfText(line);
    sheet.replace(next.lines);
    run(next, order);
  };
  const replace = (next: Strategy) => {
    sheet.replace(next.lines);
    run(next, order);
  };
  const early = (event: KeyboardEvent) => {
    const by = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (!by || event.target !== list.current) return;
    event.preventDefault();
    setAhead((now) => now + by);
  };
  // At once: letters that follow before the address has changed are meant for the new sheet.
  const begin = () => {
    sheet.replace(opened(usual, usual));
    setProperty(null);
    forget();
    goesToEmpty();
  };
  return (
    <div className="grid h-full grid-cols-[minmax(0,1fr)] grid-rows-[auto_auto_minmax(min(16rem,60vh),1fr)] overflow-y-auto">
      <h1 className="sr-only">Search</h1>
      <Sheet
        sheet={sheet}
        answer={answer}
        problem={problem}
        searched={good?.strategy ?? NOTHING}
        onSettle={() => asks(strategy) && run(strategy, order)}
        onLimit={setProperty}
        acts={<SheetActs sheet={sheet} onNew={begin} onLimit={() => setProperty('date')} />}
      />
      <div>
        <Guide
          lines={sheet.lines}
          settled={isSettled}
          onLines={(lines) => sheet.replace(lines.map((line, n) => ({ ...line, id: `g${n}` })))}
        />
        {shown && asksNow && of && (
          <Changing
            of={of}
            q={isSettled ? q : undefined}
            strategy={strategy}
            ready={fresh}
            onLeave={() => change('of', '', { replace: true })}
          />
        )}
        {shown && asksNow && (
          <ResultBar
            result={shown}
            strategy={counted}
            order={order}
            stale={!fresh}
            slow={search.isFetching}
            before={seen}
            since={since}
            stripped={property !== null}
            kept={kept}
            onKept={(next) => {
              change('kept', next, { replace: true });
              toList();
            }}
            onAgain={() => void search.refetch()}
            onStep={() => ensure(strategy)}
            onCopy={copy}
            onCancel={() => void search.cancel()}
            onOrder={(next) => run(strategy, next)}
            onStrip={() => setProperty((now) => (now ? null : 'date'))}
            onMoveOn={() => void search.refetch()}
            onStrategy={replace}
          />
        )}
        {property && (
          <Strip
            sheet={sheet}
            strategy={asksNow ? (good?.strategy ?? NOTHING) : NOTHING}
            property={property}
            onProperty={setProperty}
            onClose={() => setProperty(null)}
          />
        )}
        {good && shown && asksNow && (
          <WaysOut sheet={sheet} strategy={good.strategy} answer={shown.answer} />
        )}
      </div>
      <div ref={list} id="list" tabIndex={-1} className="min-h-0 outline-none" onKeyDown={early}>
        {shown && asksNow ? (
          <Results
            result={shown}
            strategy={counted}
            fresh={fresh}
            ahead={ahead}
            onAhead={() => setAhead(0)}
            step={came?.step}
            q={isSettled ? q : undefined}
            onStep={() => ensure(strategy)}
          />
        ) : (
          <Beginnings onPick={pick} />
        )}
      </div>
    </div>
  );
}
