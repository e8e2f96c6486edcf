type Example = readonly [line: string, does: string];

const OF_THE_DEMO: readonly Example[] = [
  ['dimming moths', 'both words, in any form'],
  ['"part-night lighting" or curfew*', 'a phrase, or any ending'],
  ['title: (bat or bats) not bridge*', 'a field, brackets, ruled out'],
  ['author: oxlade year: 2025-2026', 'a person, some years'],
  ['heading/narrower: "Insects"', 'a heading with all below it'],
];

/** Lines that find something here: the demo's own, else of the headings that are most used. */
export function linesToTry(demo: boolean, headings: readonly string[], year: number): Example[] {
  if (demo) return [...OF_THE_DEMO];
  const [one, other] = headings.map((heading) => heading.replaceAll('"', ''));
  const lines: Example[] = [];
  if (one) lines.push([one.toLowerCase(), 'all of its words, in any form']);
  if (one && other) lines.push([`"${one}" or "${other}"`, 'one phrase or the other']);
  if (one) lines.push([`heading: "${one}"`, 'among the headings']);
  lines.push(
    [`kind: review year: ${year - 5}-`, 'a kind, some years'],
    ['not kind: review', 'what is ruled out'],
  );
  return lines;
}
