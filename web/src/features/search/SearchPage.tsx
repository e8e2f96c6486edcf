import { useParams, useSearchParams } from 'react-router';
import { isProblem } from '../../api';
import { Failed, Waiting } from '../../ui';
import { useHere } from '../session';
import { useStrategyText } from './api';
import { ORDERS } from './orders';
import { Workbench } from './Workbench';

/** The address says what is searched for; an address without a search is an empty sheet. */
export function SearchPage() {
  const { q } = useParams();
  const [params] = useSearchParams();
  const here = useHere();
  const strategy = useStrategyText(here.id, q);
  if (strategy.error && isProblem(strategy.error, 'unknown')) {
    return <Failed error={strategy.error} />;
  }
  if (q && strategy.data === undefined) return <Waiting what="the search" />;
  const order = ORDERS.find(([name]) => name === params.get('order'))?.[0] ?? 'relevance';
  return (
    <>
      <title>{`${strategy.data ?? 'Search'} · Quiet Lantern`}</title>
      <Workbench key={q ?? 'new'} settled={strategy.data ?? ''} order={order} />
    </>
  );
}
