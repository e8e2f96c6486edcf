import { useState, type FormEvent } from 'react';

/** Asks somebody by mail, as what or to what. */
export function AskForm({
  as,
  choices,
  first,
  act,
  pending,
  error,
  onAsk,
}: {
  /** What is chosen beside the address. */
  as: string;
  choices: readonly (readonly [value: string, name: string])[];
  first: string;
  act: string;
  pending: boolean;
  error: Error | null;
  /** `done` is called once the letter is on its way. */
  onAsk: (email: string, chosen: string, done: () => void) => void;
}) {
  const [email, setEmail] = useState('');
  const [chosen, setChosen] = useState(first);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (pending) return;
    // Whoever writes the next address already keeps its letters.
    onAsk(email, chosen, () => setEmail((now) => (now === email ? '' : now)));
  };
  return (
    <form onSubmit={submit} className="mt-3 flex flex-wrap items-end gap-3">
      <label>
        <span className="small-head">E-mail address</span>
        <input
          type="email"
          required
          maxLength={254}
          className="field block w-72 max-w-full"
          value={email}
          onChange={(event) => setEmail(event.target.value)}
        />
      </label>
      <label>
        <span className="small-head">{as}</span>
        <select
          className="field block"
          value={chosen}
          onChange={(event) => setChosen(event.target.value)}
        >
          {choices.map(([value, name]) => (
            <option key={value} value={value}>
              {name}
            </option>
          ))}
        </select>
      </label>
      <button type="submit" className="act act-main mb-0.5" disabled={pending}>
        {act}
      </button>
      {error && (
        <p role="alert" className="w-full text-error">
          {error.message}
        </p>
      )}
    </form>
  );
}
