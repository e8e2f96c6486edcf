import type { Schema } from '../../api';

/** What the text consists of: chapters and sections, with figures and tables where they stand. */
export function Parts({
  parts,
  labels,
  page,
  onGo,
}: {
  parts: Schema['PartShown'][];
  labels: string[];
  /** The page that is read now. */
  page: number;
  onGo: (part: Schema['PartShown']) => void;
}) {
  const paged = labels.length > 1;
  const onPage = parts.findIndex((part) => part.page === page);
  const before = parts.findLastIndex((part) => part.page < page);
  const now = paged ? Math.max(onPage, before) : -1;
  if (parts.length === 0) return <p className="text-soft">The file names no parts.</p>;
  return (
    <ul>
      {parts.map((part, n) => (
        <li key={n} style={{ paddingLeft: indent(part) }}>
          <button
            type="button"
            aria-current={n === now ? 'location' : undefined}
            className={`min-h-[24px] w-full py-0.5 text-left text-[13px] leading-snug hover:underline ${
              n === now ? 'font-semibold' : 'text-soft'
            }`}
            onClick={() => onGo(part)}
          >
            {part.title}
            {paged && <span className="text-faint"> {labels[part.page]}</span>}
          </button>
        </li>
      ))}
    </ul>
  );
}

function indent({ kind, level }: Schema['PartShown']): string {
  return `${(kind === 'section' ? level - 1 : 1) * 12}px`;
}
