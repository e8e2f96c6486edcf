import { useState } from 'react';
import type { Schema } from '../../api';
import { Act, ChoiceField, counted, DialogForm, NameField } from '../../ui';
import { useHere } from '../session';
import { HarvestTimes, type Times } from './HarvestTimes';
import { RecordsTried } from './RecordsTried';
import { useAddSource, useLookAtSource, useTrySource } from './keepingApi';

type Wanted = Required<Schema['SourceWanted']> &
  Times & { name: string; format: string; set: string };

/** A source by its address: looked at, tried, then added. */
export function AddSource({ onClose }: { onClose: () => void }) {
  const here = useHere();
  const look = useLookAtSource(here.id);
  const add = useAddSource(here.id);
  const [address, setAddress] = useState('');
  const [wanted, setWanted] = useState<Wanted | null>(null);
  const lookNow = () =>
    look.mutate(address, {
      onSuccess: (found) =>
        setWanted({
          address,
          name: found.name,
          format: found.formats[0]?.prefix ?? '',
          set: '',
          rank: 5,
          abstractsOpen: false,
          everyHours: 24,
          hourFrom: null,
          hourTo: null,
        }),
    });
  return (
    <DialogForm
      title="Add a source"
      wide
      act={wanted ? 'Add it' : 'Look'}
      leave={wanted ? 'Add nothing' : 'Leave'}
      disabled={look.isPending || add.isPending || (wanted != null && !wanted.format)}
      error={add.error ?? look.error}
      onSubmit={() => (wanted ? add.mutate(wanted, { onSuccess: onClose }) : lookNow())}
      onClose={onClose}
    >
      <label className="mt-3 block">
        <span className="small-head">Address of its OAI-PMH server</span>
        <input
          required
          type="url"
          className="field block w-full"
          placeholder="https://"
          value={address}
          onChange={(event) => {
            setAddress(event.target.value);
            setWanted(null);
          }}
        />
      </label>
      <p role="status" className="mt-1 text-[13px] text-soft">
        {look.isPending && 'Asking …'}
        {wanted && look.data && says(look.data)}
      </p>
      {wanted && look.data && <Choices found={look.data} wanted={wanted} onChange={setWanted} />}
    </DialogForm>
  );
}

/** What it says of itself. */
function says(found: Schema['SourceLooked']): string {
  const deletes =
    found.deletes === 'no'
      ? 'It does not tell what it takes back.'
      : found.deletes === ''
        ? ''
        : 'It tells what it takes back.';
  const since = found.earliest ? ` Its records begin on ${found.earliest.slice(0, 10)}.` : '';
  const others =
    found.formats.length === 0
      ? ` None of its formats can be read here: ${found.otherFormats.join(', ') || 'it names none'}.`
      : '';
  return `${deletes}${since}${others}`.trim();
}

function Choices({
  found,
  wanted,
  onChange,
}: {
  found: Schema['SourceLooked'];
  wanted: Wanted;
  onChange: (wanted: Wanted) => void;
}) {
  const here = useHere();
  const attempt = useTrySource(here.id);
  const change = (part: Partial<Wanted>) => {
    attempt.reset();
    onChange({ ...wanted, ...part });
  };
  if (found.formats.length === 0) return null;
  return (
    <>
      <NameField value={wanted.name} onChange={(name) => onChange({ ...wanted, name })} />
      <div className="grid grid-cols-1 gap-x-4 sm:grid-cols-2">
        <ChoiceField
          label="Records in"
          value={wanted.format}
          of={found.formats.map((f) => ({ id: f.prefix, name: f.spoken }))}
          onChange={(format) => change({ format })}
        />
        <ChoiceField
          label="Which part"
          value={wanted.set}
          none="everything"
          of={found.sets.map(({ set, name }) => ({ id: set, name: name || set }))}
          onChange={(set) => change({ set })}
        />
      </div>
      {found.moreSets && (
        <p className="text-[13px] text-soft">
          It has more parts than the {counted(found.sets.length, 'part')} listed.
        </p>
      )}
      <RankField rank={wanted.rank} onChange={(rank) => onChange({ ...wanted, rank })} />
      <HarvestTimes times={wanted} onChange={(times) => onChange({ ...wanted, ...times })} />
      <AbstractsField
        open={wanted.abstractsOpen}
        onChange={(abstractsOpen) => onChange({ ...wanted, abstractsOpen })}
      />
      <p className="mt-3">
        <Act disabled={attempt.isPending} onClick={() => attempt.mutate(wanted)}>
          {attempt.isPending ? 'Trying …' : 'Try its first records'}
        </Act>
      </p>
      {attempt.error && (
        <p role="alert" className="text-error">
          {attempt.error.message}
        </p>
      )}
      {attempt.data && <RecordsTried records={attempt.data} />}
    </>
  );
}

/** Whose values are believed first. */
export function RankField({ rank, onChange }: { rank: number; onChange: (rank: number) => void }) {
  return (
    <label className="mt-3 block">
      <span className="small-head">Rank: 1 is believed first where sources differ</span>
      <input
        required
        type="number"
        min={1}
        max={99}
        className="field block w-24"
        value={Number.isNaN(rank) ? '' : rank}
        onChange={(event) => onChange(event.target.valueAsNumber)}
      />
    </label>
  );
}

export function AbstractsField({
  open,
  onChange,
}: {
  open: boolean;
  onChange: (open: boolean) => void;
}) {
  return (
    <label className="mt-3 flex items-baseline gap-2">
      <input type="checkbox" checked={open} onChange={(event) => onChange(event.target.checked)} />
      Its abstracts may be shown to anyone who has the link
    </label>
  );
}
