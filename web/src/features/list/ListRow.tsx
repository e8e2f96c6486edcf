import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../../api';
import { Act, Lamp, listed, PublicationRow } from '../../ui';

/** A publication with what its row shows. */
export type Item = {
  publication: Schema['Summary'];
  lamp: Schema['Hit']['lamp'];
  opened: boolean;
  lit?: Schema['Hit']['lit'];
  metIn?: Schema['Hit']['metIn'];
  folders?: Schema['Hit']['folders'];
  read?: Schema['Hit']['read'];
};

/** A publication of a list, and what can be done with it where it stands. */
export function ListRow({
  item,
  said,
  more,
  group,
  guest,
  step,
  chosen,
  ticked,
  peek,
  peeking,
  onPeek,
  onKeep,
  onLink,
  onTick,
  onChoose,
}: {
  item: Item | undefined;
  /** What is said of it in this list, below its facts. */
  said?: ReactNode;
  /** What else can be done with it here. */
  more?: ReactNode;
  group: string;
  /** Guests have no lamp (rule V1). */
  guest: boolean;
  step: string | undefined;
  chosen: boolean;
  ticked: boolean;
  peek: Schema['Leaf'] | undefined;
  peeking: boolean;
  onPeek: () => void;
  onKeep: (() => void) | undefined;
  onLink: () => void;
  onTick: () => void;
  onChoose: () => void;
}) {
  if (!item) return <div className="h-[54px] px-6 py-2 text-faint">…</div>;
  const { publication, lit = [], metIn = [], folders = [] } = item;
  return (
    <PublicationRow
      publication={publication}
      lit={lit}
      to={`/g/${group}/p/${publication.id}`}
      state={{ step }}
      opened={item.opened}
      onChoose={onChoose}
      tick={
        <input
          type="checkbox"
          aria-label={`Tick ${publication.title}`}
          className="mt-1 size-[14px] cursor-pointer accent-primary"
          checked={ticked}
          onChange={onTick}
        />
      }
      lamp={guest ? null : <Lamp state={item.lamp} label={`my lamp: ${item.lamp}`} />}
      after={
        <>
          {metIn.length > 0 && ` · met in ${listed(metIn)}`}
          {item.read && ` · ${readBy(item.read)}`}
          {folders.length > 0 && ` · in ${folders.map((f) => f.name).join(', ')}`}
        </>
      }
      below={
        <>
          {said}
          {chosen && (
            <p className="flex flex-wrap gap-x-4 text-[13px]">
              <Act aria-expanded={peeking} onClick={onPeek}>
                Abstract
              </Act>
              {onKeep && <Act onClick={onKeep}>Keep</Act>}
              <Link className="act" to={`/g/${group}/p/${publication.id}`} state={{ step }}>
                Open
              </Link>
              <Act onClick={onLink}>Stable link</Act>
              {more}
            </p>
          )}
          {chosen && peeking && peek?.publication.id === publication.id && (
            <p className="max-w-[75ch] font-serif text-[14px]">
              {peek.abstractText || 'No abstract was supplied.'}
            </p>
          )}
        </>
      }
    />
  );
}

/** The most that anybody has read of it; a few are named. */
function readBy({ extent, by }: Schema['BestRead']): string {
  const who = by.length > 2 ? `${by.length} of the group` : listed(by);
  return extent === 'text' ? `read by ${who}` : `abstract read by ${who}`;
}
