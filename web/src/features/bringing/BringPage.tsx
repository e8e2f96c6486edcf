import { useState, type DragEvent } from 'react';
import { Link, useNavigate } from 'react-router';
import { Act, ChooseFile } from '../../ui';
import { Title } from '../help';
import { mayWrite, useHere } from '../session';
import { useSendToBring } from './api';
import { Before } from './Before';
import { PASTED } from './listApi';

/** Where a group's old records come in: as files, or pasted. */
export function BringPage() {
  const here = useHere();
  const navigate = useNavigate();
  const [sending, setSending] = useState('');
  const [pasted, setPasted] = useState('');
  const [over, setOver] = useState(false);
  const send = useSendToBring(here.id, setSending);
  const bring = (files: File[]) => {
    if (files.length === 0 || send.isPending) return;
    send.mutate(files, {
      onSuccess: (id) => void navigate({ pathname: `../b/${id}`, search: location.search }),
    });
  };
  const drop = (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    bring([...event.dataTransfer.files]);
  };
  if (!mayWrite(here)) {
    return (
      <div className="page">
        <Title help="bringing">Bring in</Title>
        <p className="mt-2 text-soft">Guests read along; members bring files in.</p>
      </div>
    );
  }
  return (
    <div className="page">
      <title>Bring in · Quiet Lantern</title>
      <Title help="bringing">Bring in</Title>
      <p className="mt-2 max-w-[65ch] text-soft">
        Files of references from any program: RIS, BibTeX, BibLaTeX, CSL-JSON, MODS, MARCXML, JATS,
        Dublin Core or a table, several at once or packed as ZIP; also citations in any style, which
        are taken apart. What they are shows in what they hold. Nothing is written before you have
        looked at it.
      </p>
      <div
        className={`mt-4 max-w-[46rem] border border-dashed p-4 ${over ? 'border-primary bg-base-200' : 'border-base-300'}`}
        onDragOver={(event) => {
          event.preventDefault();
          setOver(true);
        }}
        onDragLeave={() => setOver(false)}
        onDrop={drop}
      >
        <ChooseFile multiple main label="Files" disabled={send.isPending} onChosen={bring}>
          Choose files
        </ChooseFile>
        <span role="status" className="ml-3 break-all text-soft">
          {send.isPending ? `Sending ${sending} …` : 'or let them fall here'}
        </span>
      </div>
      <label className="mt-4 block max-w-[46rem]">
        <span className="small-head">Or paste what a file would hold</span>
        <textarea
          rows={6}
          className="field block w-full font-mono text-[13px]"
          value={pasted}
          spellCheck={false}
          onChange={(event) => setPasted(event.target.value)}
        />
      </label>
      <p className="mt-1 flex flex-wrap items-baseline gap-x-6">
        <Act
          disabled={!pasted.trim() || send.isPending}
          onClick={() => bring([new File([pasted], 'pasted text')])}
        >
          Look at it
        </Act>
        <span className="text-soft">
          The references of a paper, DOIs or links are looked up as{' '}
          <Link
            className="act"
            to={{ pathname: '../references', search: location.search }}
            onClick={() => pasted.trim() && sessionStorage.setItem(PASTED, pasted)}
          >
            a list of references
          </Link>
        </span>
      </p>
      {send.error && (
        <p role="alert" className="mt-2 text-error">
          {send.error.message} What was chosen is still there: try it again.
        </p>
      )}
      <Before />
    </div>
  );
}
