import { useState, type FormEvent } from 'react';
import { useNavigate } from 'react-router';
import type { Schema } from '../../api';
import { Act, counted, Failed, Waiting } from '../../ui';
import { Title } from '../help';
import { KeepDialog } from '../keeping';
import { mayWrite, useHere } from '../session';
import { useSendToBring } from './api';
import { Listed } from './Listed';
import { PASTED, useListed, useNoteAll } from './listApi';

/** The references of a paper: which are here, which are not, which are to be looked up. */
export function ListPage() {
  const here = useHere();
  const [pasted, setPasted] = useState(() => sessionStorage.getItem(PASTED) ?? '');
  const [asked, setAsked] = useState(pasted);
  const listed = useListed(here.id, asked);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    sessionStorage.setItem(PASTED, pasted);
    setAsked(pasted);
  };
  return (
    <div className="page">
      <title>A list of references · Quiet Lantern</title>
      <Title help="bringing">A list of references</Title>
      <form onSubmit={submit} className="mt-2 max-w-[52rem]">
        <label>
          <span className="small-head">
            Paste the references of a paper in any style, DOIs, links, or a saved page
          </span>
          <textarea
            autoFocus={!asked}
            rows={asked ? 4 : 10}
            maxLength={1_000_000}
            className="field block w-full text-[13.5px]"
            value={pasted}
            onChange={(event) => setPasted(event.target.value)}
          />
        </label>
        <p className="mt-1">
          <button type="submit" className="act act-main" disabled={!pasted.trim()}>
            Look them up
          </button>
        </p>
      </form>
      {listed.error && <Failed error={listed.error} again={() => void listed.refetch()} />}
      {listed.isFetching && !listed.data && <Waiting what="the list" />}
      {listed.data && <Found list={listed.data} />}
    </div>
  );
}

function Found({ list }: { list: Schema['ListShown'] }) {
  const here = useHere();
  const writes = mayWrite(here);
  const [keeping, setKeeping] = useState<string[] | null>(null);
  const note = useNoteAll(here.id);
  const navigate = useNavigate();
  const bring = useSendToBring(here.id, () => undefined);
  const { entries, most } = list;
  const sure = entries.filter(({ fit }) => fit === 'sure');
  const perhaps = entries.filter(({ fit }) => fit === 'perhaps');
  const not = entries.filter(({ fit }) => !fit);
  const open = not.filter(({ task }) => !task);
  const ids = [...new Set(sure.flatMap(({ publication }) => publication ?? []))];
  return (
    <section aria-label="What was found" className="mt-4 max-w-[60rem]">
      <p role="status">
        {counted(entries.length, 'reference')}: {sure.length} here, {perhaps.length} perhaps here,{' '}
        {not.length} not here
        {not.length > open.length && `, ${not.length - open.length} of them to be looked up`}.
        {entries.length === most && ` Only the first ${most.toLocaleString('en')} were read.`}
      </p>
      {writes && (
        <p className="mt-1 flex flex-wrap gap-x-5">
          {ids.length > 0 && (
            <Act onClick={() => setKeeping(ids)}>
              Keep the {ids.length} that {ids.length === 1 ? 'is' : 'are'} here
            </Act>
          )}
          {open.length > 1 && (
            <Act disabled={note.isPending} onClick={() => note.mutate(open)}>
              Note the {open.length} that are not, to be looked up
            </Act>
          )}
          {not.length > 0 && (
            <Act
              disabled={bring.isPending}
              onClick={() =>
                bring.mutate(
                  [new File([not.map(({ text }) => text).join('\n\n')], 'pasted citations')],
                  {
                    onSuccess: (id) =>
                      void navigate({ pathname: `../b/${id}`, search: location.search }),
                  },
                )
              }
            >
              Bring in the {not.length} that {not.length === 1 ? 'is' : 'are'} not, as they are
              cited
            </Act>
          )}
        </p>
      )}
      {bring.error && (
        <p role="alert" className="text-error">
          {bring.error.message}
        </p>
      )}
      <ol className="mt-2">
        {entries.map((entry, at) => (
          <li key={at} className="border-b border-base-300 py-2">
            <Listed
              entry={entry}
              onNote={writes && !note.isPending ? () => note.mutate([entry]) : undefined}
            />
          </li>
        ))}
      </ol>
      {keeping && (
        <KeepDialog group={here.id} publications={keeping} onClose={() => setKeeping(null)} />
      )}
    </section>
  );
}
