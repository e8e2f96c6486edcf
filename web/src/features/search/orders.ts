export const ORDERS = [
  ['relevance', 'by relevance'],
  ['published', 'newest published first'],
  ['here', 'newest here first'],
  ['title', 'by title'],
] as const;
