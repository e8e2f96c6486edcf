import { useDeferredValue, useState } from 'react';
import { Link } from 'react-router';
import { Act, counted, Failed, useAddress, useCopyText, Waiting } from '../../ui';
import { Title } from '../help';
import { useHere } from '../session';
import { useAllNotes, type Wanted } from './api';
import { copied } from './copied';
import { MarginNote } from './MarginNote';
import { useLeafOnDemand } from './useLeafOnDemand';

const KINDS = ['note', 'question', 'task'] as const;

/** Every note over all texts: one's own, and what the group shares. */
export function NotesPage() {
  const here = useHere();
  const address = useAddress();
  // What is typed is here at once; the address follows.
  const [words, setWords] = useState(address.params.get('words') ?? '');
  const kind = KINDS.find((one) => one === address.params.get('kind')) ?? '';
  const wanted: Wanted = {
    words: useDeferredValue(words),
    kind,
    mine: address.params.get('of') === 'me',
    open: address.params.get('open') === 'yes',
  };
  const found = useAllNotes(here.id, wanted);
  const copy = useCopyText();
  const cite = useLeafOnDemand(here.id);
  if (found.error) return <Failed error={found.error} again={() => void found.refetch()} />;
  const notes = found.data?.pages.flatMap((page) => page.notes) ?? [];
  const query = new URLSearchParams(
    Object.entries(wanted).map(([name, value]): [string, string] => [name, String(value)]),
  );
  return (
    <div className="page">
      <title>Margin notes · Quiet Lantern</title>
      <Title help="notes" className="mb-2">
        Margin notes
      </Title>
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <input
          aria-label="Words in notes"
          placeholder="Words in notes or passages"
          className="field w-64"
          value={words}
          onChange={(event) => {
            setWords(event.target.value);
            address.change('words', event.target.value, { replace: true });
          }}
        />
        <Act
          aria-pressed={wanted.mine}
          onClick={() => address.change('of', wanted.mine ? '' : 'me', { replace: false })}
        >
          only mine
        </Act>
        {KINDS.map((one) => (
          <Act
            key={one}
            aria-pressed={kind === one}
            onClick={() => address.change('kind', kind === one ? '' : one, { replace: false })}
          >
            {one}s
          </Act>
        ))}
        <Act
          aria-pressed={wanted.open}
          onClick={() => address.change('open', wanted.open ? '' : 'yes', { replace: false })}
        >
          tasks not done
        </Act>
        <span className="flex items-baseline gap-x-3 text-soft">
          take along as
          {(['txt', 'docx', 'jsonld'] as const).map((form) => (
            <a
              key={form}
              className="act"
              href={`/api/groups/${here.id}/margin-notes/file/${form}?${query.toString()}`}
              download
            >
              {form === 'jsonld' ? 'JSON-LD' : form === 'docx' ? 'DOCX' : 'text'}
            </a>
          ))}
        </span>
      </div>
      {found.isPending ? (
        <Waiting what="the notes" />
      ) : (
        <p role="status" className="mt-2 text-soft">
          {found.hasNextPage
            ? `${notes.length} notes, and older ones`
            : counted(notes.length, 'note')}
          {notes.length === 0 &&
            ' · A note is written in the reading place: choose a passage, then N.'}
        </p>
      )}
      <ul className="mt-2 max-w-[52rem]">
        {notes.map(({ note, title }) => (
          <li key={note.id} className="border-b border-base-300 py-2.5">
            <Link
              className="mb-1 block font-serif text-[15.5px] font-medium hover:underline"
              to={`/g/${here.id}/p/${note.publication}/text?note=${note.id}`}
            >
              {title}
            </Link>
            <MarginNote
              note={note}
              onCopy={() =>
                void cite(note.publication).then((citation) =>
                  copy(copied(note, citation), 'the passage with its citation'),
                )
              }
            />
          </li>
        ))}
      </ul>
      {found.hasNextPage && (
        <Act disabled={found.isFetchingNextPage} onClick={() => void found.fetchNextPage()}>
          Older notes
        </Act>
      )}
    </div>
  );
}
