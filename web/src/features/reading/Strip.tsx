/** Where in the work words stand and where somebody wrote. The lists beside it say the same. */
export function Strip({
  found,
  noted,
  onGo,
}: {
  /** How far into the work, from 0 to 1. */
  found: number[];
  noted: number[];
  /** To the place that is nearest to where it was pressed. */
  onGo: (far: number) => void;
}) {
  return (
    <svg
      aria-hidden="true"
      className="h-full w-3.5 cursor-pointer rounded-xs bg-base-300/50"
      preserveAspectRatio="none"
      viewBox="0 0 14 1000"
      onClick={(event) => {
        const box = event.currentTarget.getBoundingClientRect();
        onGo((event.clientY - box.top) / box.height);
      }}
    >
      {found.map((far, n) => (
        <rect key={n} x="1" width="9" y={far * 996} height="3" className="fill-primary" />
      ))}
      {noted.map((far, n) => (
        <rect key={n} x="9" width="5" y={far * 990} height="9" className="fill-accent" />
      ))}
    </svg>
  );
}
