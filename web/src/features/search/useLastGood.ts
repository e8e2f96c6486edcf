import { useState } from 'react';
import { strategyOf, type Strategy } from '../strategy';
import type { Result } from './api';

/** A sheet on which nothing is asked. */
export const NOTHING: Strategy = strategyOf([]);

/**
 * The last answer that was one, with what it answers: it stays readable while a new one comes or is
 * refused, and nothing beside it asks with half a word. On a new sheet it is nothing to look at:
 * `forget` lets it go.
 */
export function useLastGood(data: Result | undefined, strategy: Strategy, placeholder: boolean) {
  const [good, setGood] = useState<{ result: Result; strategy: Strategy } | null>(null);
  // Still the present one for a moment.
  const [forgotten, setForgotten] = useState<Result>();
  if (forgotten && (placeholder || data !== forgotten)) setForgotten(undefined);
  const isNew = data !== good?.result && data !== forgotten;
  if (data && !placeholder && isNew) setGood({ result: data, strategy });
  const forget = () => {
    setForgotten(data);
    setGood(null);
  };
  return { good, forget };
}
