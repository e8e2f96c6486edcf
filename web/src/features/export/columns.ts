/** What a table can show, by its word in requests, as it heads the column. */
export const OF_THE_WORK = [
  'authors',
  'year',
  'title',
  'published in',
  'kind',
  'state',
  'study',
  'taxon',
  'region',
  'stage',
  'sex',
  'headings',
  'keywords',
  'pages',
  'references',
  'DOI',
  'link',
  'abstract',
] as const;

/** What members said of it; offered where a file could have it, too. */
export const SAID = ['added', 'reasons', 'marks', 'annotation'] as const;

export const FIRST_COLUMNS: readonly string[] = ['authors', 'year', 'title', 'study', 'taxon'];
