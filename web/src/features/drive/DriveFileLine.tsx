import { Link } from 'react-router';
import type { Schema } from '../../api';
import { Act, clock, counted, shortDay } from '../../ui';
import { useHere } from '../session';
import { useDriveActs } from './api';

/** A file on the drive: where, of what, how it stands, and what can be done about it. */
export function DriveFileLine({ file }: { file: Schema['DriveFileShown'] }) {
  const here = useHere();
  const { again, keep, leave } = useDriveActs(here.id);
  const { id, path, title, folder, what, by, kept, state, trouble, taken, written, works } = file;
  const busy = again.isPending || keep.isPending || leave.isPending;
  return (
    <li className="border-b border-base-300 py-2">
      <p className="font-serif text-[15.5px] break-all">{path}</p>
      <p className="text-[13px] text-soft">
        {SPOKEN[what] ?? what}
        {what !== 'text' &&
          (folder ? (
            <>
              {' of '}
              <Link to={`/g/${here.id}/f/${folder}`}>{title}</Link>
            </>
          ) : (
            ` of ${title}`
          ))}
        {by ? ` · in the name of ${by}` : ' · in nobody’s name any more'}
        {kept && ' · kept up to date'}
      </p>
      <p role="status" className={`text-[13px] ${trouble ? 'text-error' : ''}`}>
        {trouble && `${trouble} `}
        {state === 'waiting' && (trouble ? 'It is tried again by itself. ' : 'On its way … ')}
        {written &&
          `${trouble ? 'Last written' : 'Written'} on ${shortDay(written)} at ${clock(written)}` +
            (what === 'text' ? '.' : `, ${counted(works, 'publication')}.`)}
      </p>
      <p className="flex flex-wrap gap-x-4 text-[13px]">
        <Act
          disabled={busy}
          aria-label={`${trouble ? 'Try again' : 'Write it now'}: ${path}`}
          onClick={() => again.mutate({ id, over: false })}
        >
          {trouble ? 'Try again' : 'Write it now'}
        </Act>
        {taken && (
          <Act
            disabled={busy}
            aria-label={`Write over what stands there: ${path}`}
            onClick={() => again.mutate({ id, over: true })}
          >
            Write over what stands there
          </Act>
        )}
        {what !== 'text' && (
          <Act
            disabled={busy}
            aria-label={`${kept ? 'Leave it as it is' : 'Keep it up to date'}: ${path}`}
            onClick={() => keep.mutate({ id, kept: !kept })}
          >
            {kept ? 'Leave it as it is' : 'Keep it up to date'}
          </Act>
        )}
        <Act disabled={busy} aria-label={`Off this list: ${path}`} onClick={() => leave.mutate(id)}>
          Off this list
        </Act>
      </p>
    </li>
  );
}

const SPOKEN: Record<string, string> = {
  references: 'References',
  bibliography: 'Bibliography',
  text: 'A text',
};
