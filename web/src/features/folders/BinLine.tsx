import { useState } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../../api';
import { Act, counted, Failed, shortDay, Waiting } from '../../ui';
import { useHere } from '../session';
import { useTakenOut } from './api';
import { useBringBack, usePutBack } from './changes';

type Line = Schema['BinLine'];

/** Something in the bin: what it is, where it was, who put it there and until when it lies. */
export function BinLine({ line }: { line: Line }) {
  const here = useHere();
  const [choosing, setChoosing] = useState(false);
  const back = useBringBack(here.id);
  const put = usePutBack(here.id, line.id);
  const areWorks = line.kind === 'publications';
  return (
    <li className="border-b border-base-300 py-2">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <span className="min-w-0 flex-1 basis-72">
          <What line={line} titles={!choosing} />
        </span>
        {line.mayBringBack && (
          <Act
            disabled={back.isPending || put.isPending}
            onClick={() => (areWorks ? put.mutate(null) : back.mutate(line.id))}
          >
            {line.publications > 1 ? 'Bring them back' : 'Bring it back'}
          </Act>
        )}
        {line.publications > 1 && (
          <Act aria-expanded={choosing} onClick={() => setChoosing(!choosing)}>
            One by one
          </Act>
        )}
      </div>
      <p className="text-[13px] text-soft">
        {areWorks ? 'taken out' : 'put here'} by {line.by ?? 'a former member'} on{' '}
        {shortDay(line.at)}, lies here until {shortDay(line.until)}
      </p>
      {choosing && <OneByOne line={line} />}
    </li>
  );
}

function What({ line, titles }: { line: Line; titles: boolean }) {
  const here = useHere();
  const folder = line.folder && (
    <Link to={`/g/${here.id}/f/${line.folder.id}`}>{line.folder.name}</Link>
  );
  if (line.kind !== 'publications') {
    return (
      <>
        <span className="font-serif text-[16px]">{line.name}</span>{' '}
        <span className="text-soft">
          {line.kind === 'folder' ? 'folder' : <>saved search in {folder}</>}
        </span>
      </>
    );
  }
  const more = line.publications - line.some.length;
  return (
    <>
      {counted(line.publications, 'publication')} of {folder}
      {titles && (
        <span className="font-serif text-[15px]">
          : {line.some.map((work) => work.title).join(' · ')}
        </span>
      )}
      {titles && more > 0 && (
        <span className="text-soft"> and {more.toLocaleString('en-GB')} more</span>
      )}
    </>
  );
}

function OneByOne({ line }: { line: Line }) {
  const here = useHere();
  const out = useTakenOut(here.id, line.id);
  const put = usePutBack(here.id, line.id);
  if (out.error) return <Failed error={out.error} again={() => void out.refetch()} />;
  if (!out.data) return <Waiting what="what was taken out" />;
  return (
    <ul className="mt-1 ml-4">
      {out.data.map((work) => (
        <li key={work.id} className="flex flex-wrap items-baseline gap-x-4 py-1">
          <Link className="min-w-0 flex-1 font-serif text-[15px]" to={`/g/${here.id}/p/${work.id}`}>
            {work.title}
          </Link>
          {line.mayBringBack && (
            <Act
              disabled={put.isPending}
              aria-label={`Bring it back: ${work.title}`}
              onClick={() => put.mutate([work.id])}
            >
              Bring it back
            </Act>
          )}
        </li>
      ))}
    </ul>
  );
}
