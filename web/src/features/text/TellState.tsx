import { useState } from 'react';
import { DialogForm } from '../../ui';

const STATES = [
  ['sent', 'the library has it'],
  ['asked back', 'it wants to know something'],
  ['delivered', 'the copy is here'],
  ['refused', 'it will not come'],
] as const;

/** How a request stands that a member carried to a library. */
export function TellState({
  error,
  pending,
  onTell,
  onClose,
}: {
  error: Error | null;
  pending: boolean;
  onTell: (told: { state: string; reason: string; link: string }) => void;
  onClose: () => void;
}) {
  const [state, setState] = useState<string>('sent');
  const [reason, setReason] = useState('');
  const [link, setLink] = useState('');
  return (
    <DialogForm
      title="How does it stand?"
      act="Note it"
      disabled={pending}
      error={error}
      onSubmit={() => onTell({ state, reason, link })}
      onClose={onClose}
    >
      <fieldset>
        <legend className="sr-only">State</legend>
        {STATES.map(([word, means]) => (
          <label key={word} className="block">
            <input
              type="radio"
              name="state"
              checked={state === word}
              onChange={() => setState(word)}
            />{' '}
            {word} <span className="text-soft">{means}</span>
          </label>
        ))}
      </fieldset>
      {state === 'delivered' && (
        <label className="mt-2 block">
          Where the copy is (an address; may be left out)
          <input
            className="field mt-1 block w-full"
            value={link}
            onChange={(event) => setLink(event.target.value)}
          />
        </label>
      )}
      {(state === 'refused' || state === 'asked back') && (
        <label className="mt-2 block">
          What it said
          <input
            className="field mt-1 block w-full"
            maxLength={1000}
            value={reason}
            onChange={(event) => setReason(event.target.value)}
          />
        </label>
      )}
    </DialogForm>
  );
}
