/** Orders with what they are called, and what they are called the other way round. */
export const ORDERS = [
  ['relevance', 'by relevance', 'least relevant first'],
  ['published', 'newest published first', 'oldest published first'],
  ['here', 'newest here first', 'longest here first'],
  ['cited', 'most cited first', 'least cited first'],
  ['sample', 'drawn at random', 'drawn, last ones first'],
  ['title', 'by title', 'by title, from the end'],
] as const;

export function isOrder(word: string | null): word is string {
  return word !== null && ORDERS.some(([name]) => word === name || word === `-${name}`);
}
