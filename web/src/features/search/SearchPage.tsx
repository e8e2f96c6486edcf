import { useEffect } from 'react';
import { useLocation, useParams, useSearchParams } from 'react-router';
import { isProblem } from '../../api';
import { Failed, Waiting } from '../../ui';
import { useSavedSearch } from '../saved';
import { useHere } from '../session';
import {
  limitOf,
  newId,
  rememberPlace,
  rememberSheet,
  shortText,
  strategyOf,
  type Line,
  type Strategy,
} from '../strategy';
import { useStrategy } from './api';
import { useUsualLimits } from './sheetApi';
import { isOrder } from '../list';
import { Workbench } from './Workbench';

/** A sheet as other places of the application begin it. */
function begun(params: URLSearchParams, present: readonly Line[]): Strategy {
  const without = params.getAll('without');
  const says = params.get('says');
  const lines = present
    .filter((line) => !without.includes(line.id))
    .map((line) =>
      says && line.id === params.get('line') && line.kind === 'words'
        ? { ...line, text: says }
        : line,
    );
  const limit = params.get('limit');
  const add = params.get('add');
  const hold = params.get('hold');
  if (hold) lines.push({ id: newId(lines), kind: 'held', strategies: [hold], rulesOut: false });
  if (limit) {
    const old = limitOf(lines, limit);
    const line: Line = {
      id: old?.id ?? newId(lines),
      kind: 'limit',
      property: limit,
      ...(params.has('only') ? { chosen: params.getAll('only') } : {}),
      ...(params.has('from') ? { from: params.get('from') ?? '' } : {}),
      ...(params.has('to') ? { to: params.get('to') ?? '' } : {}),
    };
    if (old) lines.splice(lines.indexOf(old), 1, line);
    else lines.push(line);
  }
  if (add) {
    const off = params.get('off') ? { off: true } : {};
    const widened = params.getAll('wide');
    const wide = widened.length > 0 ? { widened } : {};
    const words: Line = { id: newId(lines), kind: 'words', text: add, ...wide, ...off };
    // Before what every new sheet begins with; behind what is there already.
    if (lines.every((line) => line.kind === 'limit')) lines.unshift(words);
    else lines.push(words);
  }
  return strategyOf(lines);
}

/** What a sheet begins as, without what is looked at in it. */
function sourceOf(q: string | undefined, params: URLSearchParams): string {
  if (q) return `q:${q}`;
  const begins = new URLSearchParams(params);
  begins.delete('p');
  begins.delete('order');
  begins.delete('kept');
  return `begin:${begins}`;
}

/** The address says what is searched for; an address without a search is an empty sheet. */
export function SearchPage() {
  const { q } = useParams();
  const [params] = useSearchParams();
  const { pathname, search } = useLocation();
  const here = useHere();
  const joined = q ?? params.get('with') ?? undefined;
  const strategy = useStrategy(here.id, joined);
  const of = q ? undefined : (params.get('of') ?? undefined);
  const saved = useSavedSearch(here.id, of);
  const usual = useUsualLimits(here);
  useEffect(() => {
    if (q) rememberSheet(here.id, q);
    rememberPlace(here.id, pathname + search);
  }, [here.id, q, pathname, search]);
  if (strategy.error && isProblem(strategy.error, 'unknown')) {
    return <Failed error={strategy.error} />;
  }
  if (joined && strategy.data === undefined) return <Waiting what="the search" />;
  if (saved.error) return <Failed error={saved.error} />;
  if (of && saved.data === undefined) return <Waiting what="the saved search" />;
  if (usual === undefined) return <Waiting what="the sheet" />;
  const order = params.get('order');
  const begins = strategyOf(joined || of ? [] : usual);
  const known = (joined ? strategy.data : saved.data?.strategy) ?? begins;
  const settled = q ? known : begun(params, known.lines);
  return (
    <>
      <title>{`${shortText(settled) || 'Search'} · Quiet Lantern`}</title>
      <Workbench
        q={q}
        source={sourceOf(q, params)}
        ready={!joined || !strategy.isPlaceholderData}
        settled={settled}
        usual={usual}
        order={isOrder(order) ? order : 'relevance'}
      />
    </>
  );
}
