/** Orders of a folder with what they are called, and what they are called the other way round. */
export const FOLDER_ORDERS = [
  ['kept', 'newest kept first', 'longest kept first'],
  ['hand', 'by hand', 'by hand, from the end'],
  ['title', 'by title', 'by title, from the end'],
  ['published', 'newest published first', 'oldest published first'],
  ['cited', 'most cited first', 'least cited first'],
  ['who', 'by who kept it', 'by who kept it, from the end'],
] as const;

/** The usual order where an address says none, or one that there is not. */
export function folderOrder(word: string | null): string {
  const known = FOLDER_ORDERS.some(([name]) => word === name || word === `-${name}`);
  return known && word ? word : 'kept';
}
