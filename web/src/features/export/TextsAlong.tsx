import { counted } from '../../ui';
import { useHere } from '../session';
import type { Exported } from './api';
import { useTextsAlong } from './mailApi';

/** Whether texts go along with a letter, and which would not, with why. */
export function TextsAlong({
  of,
  chosen,
  onChange,
}: {
  of: Exported;
  chosen: boolean;
  onChange: (chosen: boolean) => void;
}) {
  const here = useHere();
  const found = useTextsAlong(here.id, of, chosen);
  const { along = [], not = [], more = 0 } = found.data ?? {};
  const size = along.reduce((sum, one) => sum + one.size, 0);
  return (
    <div className="mt-3">
      <label className="flex min-h-[28px] items-center gap-2">
        <input
          type="checkbox"
          checked={chosen}
          onChange={(event) => onChange(event.target.checked)}
        />
        with the texts that may be given on
      </label>
      {chosen && (
        <div role="status" className="text-[13px]">
          {found.error ? (
            <p className="text-error">{found.error.message}</p>
          ) : !found.data ? (
            <p className="text-soft">It is looked up which may …</p>
          ) : (
            <>
              <p>
                {along.length === 0
                  ? 'No text goes along.'
                  : `${counted(along.length, 'text')} go${along.length === 1 ? 'es' : ''} along, ${kilobytes(size)}.`}
                {more > 0 && ` Of the ${counted(more, 'publication')} that it does not list none.`}
              </p>
              {not.length > 0 && (
                <ul
                  className="mt-1 max-h-[8rem] overflow-auto text-soft"
                  aria-label="Texts that do not go along"
                >
                  {not.map((one) => (
                    <li key={one.publication} className="break-words">
                      <i className="font-serif">{one.title}</i>: {one.why}
                    </li>
                  ))}
                </ul>
              )}
            </>
          )}
        </div>
      )}
    </div>
  );
}

function kilobytes(bytes: number): string {
  return `${Math.ceil(bytes / 1_000).toLocaleString('en-GB')} KB`;
}
