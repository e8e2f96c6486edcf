/** The places of the frame that are built so far. */
export const PLACES = [
  { name: 'Today', path: 'today', also: ['activity', 'tasks', 'questions', 'sent'] },
  { name: 'Search', path: 'search', also: ['trail', 'compare', 'report', 'q', 's', 'p'] },
  { name: 'Arrivals', path: 'arrivals', also: ['r', 'meetings', 'flow'] },
  { name: 'Folders', path: 'folders', also: ['f', 'bin'] },
  { name: 'Alerts', path: 'alerts', also: ['a'] },
  { name: 'Catalogue', path: 'catalogue', also: [] },
] as const;

/** Those of somebody who was asked to single folders and sees nothing else. */
export const PLACES_OUTSIDE = PLACES.filter((place) => place.path === 'folders');
