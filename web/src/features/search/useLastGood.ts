import { useState } from 'react';
import { strategyOf, type Strategy } from '../strategy';
import type { Result } from './api';

/** A sheet on which nothing is asked. */
export const NOTHING: Strategy = strategyOf([]);

/**
 * The last answer that was one, with what it answers: it stays readable while a new one comes or is
 * refused, and nothing beside it asks with half a word.
 */
export function useLastGood(data: Result | undefined, strategy: Strategy, placeholder: boolean) {
  const [good, setGood] = useState<{ result: Result; strategy: Strategy } | null>(null);
  if (data && !placeholder && data !== good?.result) setGood({ result: data, strategy });
  return good;
}
