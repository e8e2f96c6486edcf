/** Some of what is offered, ticked. */
export function Ticks({
  label,
  offered,
  words = {},
  chosen,
  onChange,
}: {
  label: string;
  offered: readonly string[];
  /** What they are called, where that is not their name. */
  words?: Record<string, string>;
  /** Of what is offered and what is not: elsewhere that counts again. */
  chosen: readonly string[];
  onChange: (chosen: string[]) => void;
}) {
  return (
    <fieldset className="mt-3">
      <legend className="small-head">{label}</legend>
      <div className="flex flex-wrap gap-x-5">
        {offered.map((one) => (
          <label key={one} className="flex min-h-[28px] items-center gap-2">
            <input
              type="checkbox"
              checked={chosen.includes(one)}
              onChange={(event) =>
                onChange(
                  event.target.checked ? [...chosen, one] : chosen.filter((other) => other !== one),
                )
              }
            />
            {words[one] ?? one}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
