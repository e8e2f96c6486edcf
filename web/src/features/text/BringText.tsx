import { useState } from 'react';
import { isProblem } from '../../api';
import { ChooseFile, DialogForm } from '../../ui';
import { useHere } from '../session';
import { useBringText } from './textsApi';

const VERSIONS = [
  ['final', 'as it appeared'],
  ['accepted', 'the accepted manuscript'],
  ['preprint', 'a preprint'],
] as const;

/** A text that a member has as a file; one that seems to be another work's is asked about. */
export function BringText({ publication, onClose }: { publication: string; onClose: () => void }) {
  const here = useHere();
  const bring = useBringText(here.id, publication);
  const [file, setFile] = useState<File | null>(null);
  const [version, setVersion] = useState('final');
  const [licence, setLicence] = useState('');
  const doubtful = isProblem(bring.error, 'text-doubtful');
  return (
    <DialogForm
      title="Bring the text in"
      wide
      act={bring.isPending ? 'Reading …' : doubtful ? 'It is the text of this work' : 'Bring it in'}
      disabled={!file || bring.isPending}
      error={bring.error}
      onSubmit={() =>
        file && bring.mutate({ file, version, licence, sure: doubtful }, { onSuccess: onClose })
      }
      onClose={onClose}
    >
      <p className="max-w-[65ch] text-soft">
        A PDF or a saved page, up to 40 MB. Members of your group can read it here; guests, other
        groups and everybody else cannot.
      </p>
      <p className="mt-2">
        <ChooseFile
          label="File of the text"
          accept=".pdf,.html,.htm,application/pdf,text/html"
          disabled={bring.isPending}
          onChosen={([chosen]) => {
            bring.reset();
            setFile(chosen ?? null);
          }}
        >
          {file ? 'Choose another file' : 'Choose a file'}
        </ChooseFile>{' '}
        {file?.name}
      </p>
      <fieldset className="mt-2">
        <legend className="text-soft">It is</legend>
        {VERSIONS.map(([word, means]) => (
          <label key={word} className="mr-4 inline-block py-0.5">
            <input
              type="radio"
              name="version"
              checked={version === word}
              onChange={() => setVersion(word)}
            />{' '}
            {means}
          </label>
        ))}
      </fieldset>
      <label className="mt-2 block">
        What its use is bound to (may be left out)
        <input
          className="field mt-1 block w-full"
          maxLength={300}
          value={licence}
          onChange={(event) => setLicence(event.target.value)}
        />
      </label>
      {isProblem(bring.error, 'text-doubtful') && typeof bring.error.details.title === 'string' && (
        <p className="mt-2 text-soft">
          {bring.error.details.title
            ? `The file calls itself “${bring.error.details.title}”.`
            : 'The file has no title of its own.'}
        </p>
      )}
    </DialogForm>
  );
}
