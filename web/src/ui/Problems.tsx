/** A failure to read something, with a way to try again. */
export function Failed({ error, again }: { error: Error; again?: () => void }) {
  return (
    <div role="alert" className="p-6">
      <p className="text-error">{error.message}</p>
      {again && (
        <button type="button" className="act mt-2" onClick={again}>
          Try again
        </button>
      )}
    </div>
  );
}

export function Waiting({ what }: { what: string }) {
  return (
    <p role="status" className="p-6 text-soft">
      Reading {what} …
    </p>
  );
}
