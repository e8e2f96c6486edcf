import { useState } from 'react';
import { Link } from 'react-router';
import { ChoiceField, counted, DialogForm, TextField } from '../../ui';
import { useHere } from '../session';
import { usePreview, type Exported } from './api';
import { FORMATS, FORMS_OF_BIBLIOGRAPHY } from './formats';
import { useSend } from './mailApi';
import { TextsAlong } from './TextsAlong';
import { Ticks } from './Ticks';

export type Annotations = 'all' | 'agreed' | 'none';

const ALONG = {
  all: 'with all annotations',
  agreed: 'with agreed annotations',
  none: 'without annotations',
};

/** What goes along in a file that leaves the group: what is of the work, and nothing that members said. */
const OF_THE_WORK = ['abstract', 'keywords', 'link'];

/** Publications as a letter to members and others. */
export function MailDialog({
  of,
  annotations,
  onClose,
}: {
  of: Exported;
  /** Of a folder's bibliography: which go along; absent: it is no bibliography. */
  annotations?: Annotations | undefined;
  onClose: () => void;
}) {
  const here = useHere();
  const others = here.members.filter((one) => one.id !== here.me.id);
  const [typed, setTyped] = useState('');
  const [members, setMembers] = useState<string[]>([]);
  const [copy, setCopy] = useState(false);
  const [note, setNote] = useState('');
  const [format, setFormat] = useState('');
  const [form, setForm] = useState('');
  const [texts, setTexts] = useState(false);
  const preview = usePreview(here.id, of, { format: 'text', with: [] });
  const send = useSend(here.id, of, annotations, form);
  const shown = preview.data;
  const addresses = typed.split(/[\s,;]+/).filter((one) => one !== '');
  const nobody = addresses.length === 0 && members.length === 0 && !copy;
  return (
    <DialogForm
      title={
        annotations
          ? 'Mail the bibliography'
          : shown
            ? `Mail ${counted(shown.works, 'publication')}`
            : 'Mail publications'
      }
      wide
      act="Send"
      leave="Send nothing"
      disabled={send.isPending || nobody || !shown}
      error={send.error ?? preview.error}
      onSubmit={() =>
        send.mutate(
          { addresses, members, copy, note, format, texts, with: OF_THE_WORK },
          { onSuccess: onClose },
        )
      }
      onClose={onClose}
    >
      <div className="mt-3">
        <TextField
          label="To addresses, with spaces or commas between them"
          value={typed}
          most={2_000}
          onChange={setTyped}
        />
      </div>
      {others.length > 0 && (
        <Ticks
          label="To members"
          offered={others.map((one) => one.id)}
          words={Object.fromEntries(others.map((one) => [one.id, one.name]))}
          chosen={members}
          onChange={setMembers}
        />
      )}
      <label className="mt-2 flex min-h-[28px] items-center gap-2">
        <input type="checkbox" checked={copy} onChange={(event) => setCopy(event.target.checked)} />
        and to myself
      </label>
      <label className="mt-3 block">
        <span className="small-head">What you say to it</span>
        <textarea
          className="field block w-full"
          rows={4}
          maxLength={4000}
          value={note}
          onChange={(event) => setNote(event.target.value)}
        />
      </label>
      {annotations && (
        <ChoiceField
          label="The bibliography as a file that goes along"
          value={form}
          of={FORMS_OF_BIBLIOGRAPHY.map(([id, name]) => ({ id, name }))}
          none="none"
          onChange={setForm}
        />
      )}
      <ChoiceField
        label={annotations ? 'A file of references that goes along' : 'A file that goes along'}
        value={format}
        of={FORMATS.map(([id, name]) => ({ id, name }))}
        none="none"
        onChange={setFormat}
      />
      <TextsAlong of={of} chosen={texts} onChange={setTexts} />
      <p className="mt-2 max-w-[62ch] text-[13px] text-soft">
        {annotations
          ? `The letter has the entries in their style, below their headings, ${ALONG[annotations]}`
          : 'The letter cites each work as the group cites'}
        , with its stable link and where its text is open to all; of more than fifty it says where
        they are. {annotations ? 'No mark or note goes' : 'Nothing that members said goes'} along.
        Answers go to your address.{' '}
        <Link className="act" to={`/g/${here.id}/sent`}>
          What you sent
        </Link>
      </p>
    </DialogForm>
  );
}
