const SYSTEMS: readonly (readonly [RegExp, string])[] = [
  [/Android/, 'Android'],
  [/iPhone|iPad/, 'iOS'],
  [/Windows/, 'Windows'],
  [/Mac OS X|Macintosh/, 'macOS'],
  [/Linux|X11/, 'Linux'],
];

// The more special first: most browsers name others beside themselves.
const BROWSERS: readonly (readonly [RegExp, string])[] = [
  [/Edg\//, 'Edge'],
  [/Firefox\//, 'Firefox'],
  [/Chrome\/|Chromium\//, 'Chromium or Chrome'],
  [/Safari\//, 'Safari'],
];

/** What a browser calls itself (RFC 9110, 10.1.5), in words; as it is where nothing of it is known. */
export function deviceOf(agent: string): string {
  const named = (known: typeof SYSTEMS) => known.find(([sign]) => sign.test(agent))?.[1];
  const parts = [named(BROWSERS), named(SYSTEMS)].filter(Boolean);
  return parts.join(' on ') || agent.slice(0, 60) || 'an unnamed browser';
}
