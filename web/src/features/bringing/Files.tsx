import { useState } from 'react';
import type { Schema } from '../../api';
import { Act, counted } from '../../ui';
import { Columns } from './Columns';
import { Unread } from './Unread';

/** The files of what is brought in: what each was taken for, and what could not be read of it. */
export function Files({ brought }: { brought: Schema['BroughtShown'] }) {
  const problems = brought.files.reduce((sum, file) => sum + file.problems, 0);
  const [open, setOpen] = useState(false);
  return (
    <section aria-label="Files" className="mt-2 max-w-[52rem]">
      <ul>
        {brought.files.map((file) => (
          <li key={file.n} className="border-b border-base-300 py-1.5">
            <FileLine file={file} brought={brought} />
          </li>
        ))}
      </ul>
      {problems > 0 && (
        <p className="mt-1">
          <Act aria-expanded={open} onClick={() => setOpen((now) => !now)}>
            {counted(problems, 'place', 'places')} could not be read
          </Act>
        </p>
      )}
      {open && <Unread brought={brought.id} />}
    </section>
  );
}

function FileLine({
  file,
  brought,
}: {
  file: Schema['BroughtFile'];
  brought: Schema['BroughtShown'];
}) {
  const changes = brought.state === 'open' && !brought.folder && file.columns.length > 0;
  const unknown = changes && file.read && file.format === '';
  const [columns, setColumns] = useState(false);
  return (
    <>
      <p className="flex flex-wrap items-baseline gap-x-4">
        <span className="min-w-0 flex-1 break-words">{file.name}</span>
        <span className="text-soft">
          {!file.read ? 'being read …' : file.format || 'in no format that is known'}
        </span>
        <span className="text-soft">{counted(file.entries, 'entry', 'entries')}</span>
        {changes && (
          <Act
            aria-expanded={columns || unknown}
            aria-label={`Columns of ${file.name}`}
            onClick={() => setColumns((now) => !now)}
          >
            Columns
          </Act>
        )}
      </p>
      {(columns || unknown) && (
        <Columns file={file} brought={brought} onClose={() => setColumns(false)} />
      )}
    </>
  );
}
