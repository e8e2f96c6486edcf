import { useRef, useState } from 'react';
import { Act, DialogForm } from '../../ui';
import { useHere } from '../session';
import { useChapterActs } from './chaptersApi';

/** The headings of a bibliography: new ones, other names, another order. */
export function ChaptersDialog({
  folder,
  chapters,
  onClose,
}: {
  folder: string;
  chapters: readonly string[];
  onClose: () => void;
}) {
  const here = useHere();
  const { set } = useChapterActs(here.id, folder);
  // They are changed as they were when one began to look at them.
  const [seen] = useState([...chapters]);
  const [rows, setRows] = useState(() => [
    ...chapters.map((name, id) => ({ id, was: name, name })),
    { id: chapters.length, was: '', name: '' },
  ]);
  const list = useRef<HTMLOListElement>(null);
  const rename = (at: number, name: string) =>
    setRows((now) => now.map((row, nth) => (nth === at ? { ...row, name } : row)));
  const add = () => {
    setRows((now) => [
      ...now,
      { id: 1 + Math.max(-1, ...now.map((row) => row.id)), was: '', name: '' },
    ]);
    requestAnimationFrame(() =>
      list.current?.querySelector<HTMLInputElement>('li:last-child input')?.focus(),
    );
  };
  const up = (at: number) =>
    setRows((now) => {
      const next = [...now];
      next.splice(at - 1, 0, ...next.splice(at, 1));
      return next;
    });
  const wanted = rows.filter((row) => row.name.trim());
  return (
    <DialogForm
      title="Headings of the bibliography"
      act="Set the headings"
      disabled={set.isPending}
      error={set.error}
      onSubmit={() =>
        set.mutate(
          { chaptersSeen: seen, chapters: wanted.map(({ was, name }) => ({ was, name })) },
          { onSuccess: onClose },
        )
      }
      onClose={onClose}
    >
      <p className="mt-2 text-soft">
        Entries stand below their heading in the order of the style; a heading without a name goes,
        and its entries stand below none.
      </p>
      <ol ref={list} className="mt-2">
        {rows.map((row, at) => (
          <li key={row.id} className="flex items-baseline gap-x-3 py-1">
            <input
              className="field min-w-0 flex-1"
              aria-label={`Heading ${at + 1}`}
              maxLength={200}
              value={row.name}
              onChange={(event) => rename(at, event.target.value)}
            />
            <Act
              disabled={at === 0}
              aria-label={`Heading ${at + 1} further up`}
              onClick={() => up(at)}
            >
              Up
            </Act>
          </li>
        ))}
      </ol>
      <p>
        <Act onClick={add}>Another heading</Act>
      </p>
    </DialogForm>
  );
}
