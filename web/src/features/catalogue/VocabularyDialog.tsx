import { useEffect, useRef, useState } from 'react';
import type { Schema } from '../../api';
import { ChooseFile, counted, DialogForm, listed } from '../../ui';
import { useHere } from '../session';
import { FileLines } from './FileLines';
import { useLookAtVocabulary, useTakeVocabulary, useTermsRead } from './api';

/** A steward brings in a newer vocabulary: what it would change is shown before it is taken in. */
export function VocabularyDialog({ onClose }: { onClose: () => void }) {
  const here = useHere();
  const look = useLookAtVocabulary(here.id);
  const take = useTakeVocabulary(here.id);
  const [file, setFile] = useState<string | null>(null);
  const read = useTermsRead(here.id, look.isPending || take.isPending).data ?? 0;
  const looking = useRef(new AbortController());
  // Nobody waits any more for what a dialog that is closed would have shown.
  useEffect(() => () => looking.current.abort(), []);
  const choose = async (chosen: File | undefined) => {
    if (!chosen) return;
    const base64 = await inBase64(chosen);
    looking.current.abort();
    looking.current = new AbortController();
    setFile(base64);
    look.mutate({ file: base64, signal: looking.current.signal });
  };
  return (
    <DialogForm
      title="Bring in headings"
      wide
      act="Take it in"
      disabled={!file || !look.data || take.isPending}
      error={take.error ?? look.error}
      onSubmit={() => file && take.mutate(file, { onSuccess: onClose })}
      onClose={onClose}
    >
      <p className="max-w-[65ch] text-soft">
        SKOS in Turtle, RDF/XML or JSON-LD; the trees of what is studied (kinds of study, organisms,
        regions, stages of life) come in the same way. Headings that are renamed, merged or left out
        go on working in saved searches, which say what became of them.
      </p>
      <p className="mt-2">
        <ChooseFile
          label="Vocabulary file (SKOS)"
          accept=".ttl,.rdf,.xml,.jsonld,.json"
          disabled={look.isPending}
          onChosen={([chosen]) => void choose(chosen)}
        >
          {look.isPending ? 'Reading …' : 'Choose a file'}
        </ChooseFile>
        <span role="status" className="ml-3 text-soft">
          {(look.isPending || take.isPending) && read > 0 && `${counted(read, 'term')} read so far`}
        </span>
      </p>
      {look.data && !look.error && <Changes changes={look.data} />}
    </DialogForm>
  );
}

function Changes({ changes }: { changes: Schema['VocabularyChanges'] }) {
  const { added, renamed, replaced, retired, problems } = changes;
  return (
    <div role="status" className="mt-2 max-h-[40vh] overflow-y-auto">
      <p>
        {counted(changes.terms, 'term')} from now on, {added.toLocaleString('en-GB')} of them new.
      </p>
      <FileLines title="Renamed" lines={renamed.map(({ from, to }) => `${from} → ${to}`)} />
      <FileLines
        title="Replaced"
        lines={replaced.map(({ label, by }) => `${label} by ${listed(by)}`)}
      />
      <FileLines title="Retired" lines={retired} />
      <FileLines
        title="Problems; the rest is taken in"
        lines={problems.map(({ line, sentence }) => (line > 0 ? `line ${line}: ` : '') + sentence)}
      />
    </div>
  );
}

/** As it is, so that its encoding can be told. */
async function inBase64(file: File): Promise<string> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  let text = '';
  for (let at = 0; at < bytes.length; at += 8192) {
    text += String.fromCharCode(...bytes.subarray(at, at + 8192));
  }
  return btoa(text);
}
