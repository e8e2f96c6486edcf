/** How far somebody is: a bar and the numbers. */
export function Progress({
  done,
  of,
  narrow = false,
}: {
  done: number;
  of: number;
  /** The bar below the numbers, for many columns. */
  narrow?: boolean;
}) {
  // Everything in it was found by another alert before, or came when they were not there.
  if (of === 0) return <span className="text-faint">{narrow ? '–' : 'owes nothing'}</span>;
  const said =
    done >= of ? 'through' : `${done.toLocaleString('en-GB')} of ${of.toLocaleString('en-GB')}`;
  return (
    <span
      className={`flex whitespace-nowrap ${narrow ? 'flex-col-reverse items-start gap-[3px]' : 'items-center gap-2'}`}
    >
      <span className="h-1.5 w-[54px] overflow-hidden rounded-[1px] bg-base-300" aria-hidden="true">
        <span className="block h-full bg-accent" style={{ width: `${(100 * done) / of}%` }} />
      </span>
      {said}
    </span>
  );
}
