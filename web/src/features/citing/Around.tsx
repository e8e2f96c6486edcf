import type { Schema } from '../../api';

type Cite = Schema['CiteWanted'];

/** What a place in a work is counted in, as the specification names it. */
const COUNTED = [
  ['page', 'page'],
  ['chapter', 'chapter'],
  ['section', 'section'],
  ['paragraph', 'paragraph'],
  ['figure', 'figure'],
  ['line', 'line'],
  ['note', 'note'],
  ['part', 'part'],
  ['verse', 'verse'],
  ['volume', 'volume'],
] as const;

/** Where in a work, and the words around it in a citation. */
export function Around({
  cite,
  title,
  onChange,
}: {
  cite: Cite;
  title: string;
  onChange: (part: Partial<Cite>) => void;
}) {
  const field = (label: string, part: 'prefix' | 'locator' | 'suffix', width: string) => (
    <input
      aria-label={`${label}: ${title}`}
      placeholder={label}
      maxLength={200}
      className={`field ${width} min-w-0`}
      value={cite[part] ?? ''}
      onChange={(event) => onChange({ [part]: event.target.value })}
    />
  );
  return (
    <fieldset className="mt-2 min-w-0">
      <legend className="block w-full truncate text-[13px] text-soft">{title}</legend>
      <div className="flex flex-wrap gap-2">
        {field('words before', 'prefix', 'w-[9rem]')}
        <select
          aria-label={`Counted in: ${title}`}
          className="field"
          value={cite.label ?? 'page'}
          onChange={(event) => onChange({ label: event.target.value })}
        >
          {COUNTED.map(([value, name]) => (
            <option key={value} value={value}>
              {name}
            </option>
          ))}
        </select>
        {field('which', 'locator', 'w-[6rem]')}
        {field('words after', 'suffix', 'w-[9rem]')}
      </div>
    </fieldset>
  );
}
