import type { Schema } from '../../api';

/** An annotation as it is read. */
export function Paragraphs({ of }: { of: readonly Schema['Paragraph'][] }) {
  return (
    <div className="font-serif text-[15px] leading-[1.45] [overflow-wrap:anywhere]">
      {of.map((paragraph, at) => (
        <p key={at} className={at > 0 ? 'mt-1' : ''}>
          {paragraph.words.map((words, nth) =>
            words.emphasised ? <em key={nth}>{words.text}</em> : words.text,
          )}
        </p>
      ))}
    </div>
  );
}
