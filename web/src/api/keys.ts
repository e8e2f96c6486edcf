/** Keys of what is remembered of the server, from general to special. */
export const keys = {
  me: ['me'] as const,
  entry: (code: string) => ['entry', code] as const,
  changes: (group: string) => ['changes', group] as const,
  group: (group: string) => ['group', group] as const,
  /** Everything of a group that others may change; refreshed when something happened. */
  living: (group: string) => ['group', group, 'living'] as const,
  folders: (group: string) => ['group', group, 'living', 'folders'] as const,
  folder: (group: string, id: string) => ['group', group, 'living', 'folders', id] as const,
  rounds: (group: string) => ['group', group, 'living', 'rounds'] as const,
  round: (group: string, id: string) => ['group', group, 'living', 'rounds', id] as const,
  board: (group: string) => ['group', group, 'living', 'board'] as const,
  arrivals: (group: string) => ['group', group, 'living', 'arrivals'] as const,
  alerts: (group: string) => ['group', group, 'living', 'alerts'] as const,
  alert: (group: string, id: string) => ['group', group, 'living', 'alerts', id] as const,
  feeds: (group: string) => ['group', group, 'living', 'feeds'] as const,
  rows: (group: string, text: string, ids: string[]) =>
    ['group', group, 'living', 'rows', text, ids] as const,
  ties: (group: string, id: string) => ['group', group, 'living', 'ties', id] as const,
  leaf: (group: string, id: string, text: string) =>
    ['group', group, 'living', 'leaf', id, text] as const,
  search: (group: string, text: string, order: string, kept: string) =>
    ['group', group, 'search', text, order, kept] as const,
  strategy: (group: string, q: string) => ['group', group, 'q', q] as const,
};
