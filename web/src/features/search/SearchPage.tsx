import { useParams, useSearchParams } from 'react-router';
import { isProblem } from '../../api';
import { Failed, Waiting } from '../../ui';
import { useHere } from '../session';
import { useStrategy } from './api';
import { shortText, strategyOf, type Strategy } from '../strategy';
import { isOrder } from './orders';
import { Workbench } from './Workbench';

const NOTHING: Strategy = strategyOf([]);

/** A sheet that is limited to one source. */
function onlyIn(source: string): Strategy {
  return strategyOf([{ id: 'l1', kind: 'limit', property: 'source', chosen: [source] }]);
}

/** The address says what is searched for; an address without a search is an empty sheet. */
export function SearchPage() {
  const { q } = useParams();
  const [params] = useSearchParams();
  const here = useHere();
  const strategy = useStrategy(here.id, q);
  if (strategy.error && isProblem(strategy.error, 'unknown')) {
    return <Failed error={strategy.error} />;
  }
  if (q && strategy.data === undefined) return <Waiting what="the search" />;
  const order = params.get('order');
  const only = params.get('only');
  const settled = q && strategy.data ? strategy.data : only ? onlyIn(only) : NOTHING;
  return (
    <>
      <title>{`${shortText(settled) || 'Search'} · Quiet Lantern`}</title>
      <Workbench
        q={q}
        ready={!q || !strategy.isPlaceholderData}
        settled={settled}
        order={isOrder(order) ? order : 'relevance'}
      />
    </>
  );
}
