/** A name in a dialog. */
export function NameField({
  value,
  most = 120,
  onChange,
}: {
  value: string;
  most?: number;
  onChange: (value: string) => void;
}) {
  return (
    <label className="mt-3 block">
      <span className="small-head">Name</span>
      <input
        required
        maxLength={most}
        className="field block w-full"
        value={value}
        onChange={(event) => onChange(event.target.value)}
      />
    </label>
  );
}

/** A line of text in a dialog; it may be left empty. */
export function TextField({
  label,
  value,
  most,
  onChange,
}: {
  label: string;
  value: string;
  most?: number;
  onChange: (value: string) => void;
}) {
  return (
    <label className="mt-2 block first:mt-0">
      {label}
      <input
        className="field mt-1 block w-full"
        maxLength={most}
        value={value}
        onChange={(event) => onChange(event.target.value)}
      />
    </label>
  );
}

/** One of some named things; `none`: what it is called to choose none of them. */
export function ChoiceField({
  label,
  value,
  of,
  none,
  onChange,
}: {
  label: string;
  value: string;
  of: readonly { id: string; name: string }[];
  none?: string;
  onChange: (value: string) => void;
}) {
  return (
    <label className="mt-3 block">
      <span className="small-head">{label}</span>
      <select
        className="field block w-full"
        value={value}
        onChange={(event) => onChange(event.target.value)}
      >
        {none && <option value="">{none}</option>}
        {of.map((one) => (
          <option key={one.id} value={one.id}>
            {one.name}
          </option>
        ))}
      </select>
    </label>
  );
}
