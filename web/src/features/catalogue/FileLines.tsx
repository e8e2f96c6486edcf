/** Some of what a file says or changes, a line each; nothing where there is none. */
export function FileLines({ title, lines }: { title: string; lines: readonly string[] }) {
  if (lines.length === 0) return null;
  return (
    <>
      <h3 className="small-head mt-2">{title}</h3>
      <ul>
        {lines.map((line, n) => (
          <li key={`${n} ${line}`}>{line}</li>
        ))}
      </ul>
    </>
  );
}
