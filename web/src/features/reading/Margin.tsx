import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../../api';
import { useCopyText } from '../../ui';
import { copied, MarginNote, useUnsent, useWriteNote, WriteNote, type Writing } from '../margin';
import { mayWrite, useHere } from '../session';
import type { Chosen } from './shown';

const draftPlace = (text: string) => `lantern.note-draft.${text}`;

/** A note that is being written, with its passage; it outlives a page that is loaded again. */
type Draft = { chosen: Chosen; writing: Writing };

export function useDraft(text: string) {
  const place = draftPlace(text);
  const [draft, setDraft] = useState<Draft | null>(() => {
    const stored = sessionStorage.getItem(place);
    return stored ? (JSON.parse(stored) as Draft) : null;
  });
  const keep = (next: Draft | null) => {
    if (next) sessionStorage.setItem(place, JSON.stringify(next));
    else sessionStorage.removeItem(place);
  };
  return {
    draft,
    begin: (chosen: Chosen) => {
      const next = { chosen, writing: { kind: 'note', text: '', shared: false } };
      keep(next);
      setDraft(next);
    },
    keep,
    end: () => {
      keep(null);
      setDraft(null);
    },
  };
}

/** What is written at the margin, in the order of the work. */
export function Margin({
  leaf,
  text,
  notes,
  drafting,
  now,
  onGo,
}: {
  leaf: Schema['Leaf'];
  text: Schema['TextShown'];
  notes: Schema['NoteShown'][];
  drafting: ReturnType<typeof useDraft>;
  /** The note whose place is looked at. */
  now: string;
  onGo: (note: Schema['NoteShown']) => void;
}) {
  const here = useHere();
  const publication = leaf.publication.id;
  const write = useWriteNote(here.id, publication);
  const waiting = useUnsent(here.id, publication);
  const copy = useCopyText();
  const atNow = useRef<HTMLLIElement>(null);
  useEffect(() => {
    atNow.current?.scrollIntoView?.({ block: 'nearest' });
  }, [now]);
  const { draft } = drafting;
  return (
    <>
      {draft && (
        <WriteNote
          key={draft.chosen.quote}
          first={draft.writing}
          quote={draft.chosen.quote}
          act="Note it"
          pending={write.isPending}
          error={write.error}
          onChange={(writing) => drafting.keep({ ...draft, writing })}
          onWrite={(writing) =>
            write.mutate(
              {
                ...writing,
                passage: draft.chosen,
                label: text.labels[draft.chosen.page] ?? '',
                version: text.copy.version,
              },
              { onSuccess: drafting.end },
            )
          }
          onLeave={drafting.end}
        />
      )}
      {waiting.map((one) => (
        <p key={one.command} className="mt-3 border-l-2 border-warning pl-2.5 text-[13.5px]">
          “{one.note.passage.quote}” {one.note.text}{' '}
          <span className="text-warning">not sent yet</span>
        </p>
      ))}
      <ul aria-label="Margin notes" className="flex flex-col gap-4 py-2">
        {notes.map((note) => (
          <li key={note.id} ref={note.id === now ? atNow : null}>
            {!note.place && (
              <p className="text-[12.5px] text-warning">place not found in this text</p>
            )}
            <MarginNote
              note={note}
              now={note.id === now}
              {...(note.place ? { onGo: () => onGo(note) } : {})}
              onCopy={() => copy(copied(note, leaf.citation), 'the passage with its citation')}
            />
          </li>
        ))}
      </ul>
      {notes.length === 0 && !draft && (
        <p className="text-[13px] text-soft">
          {mayWrite(here)
            ? 'Nothing is written here yet. Choose a passage, then “Note”.'
            : 'Nothing is written here that the group shares.'}
        </p>
      )}
      <p className="mt-2">
        <Link className="act" to={`/g/${here.id}/notes`}>
          All margin notes
        </Link>
      </p>
    </>
  );
}
