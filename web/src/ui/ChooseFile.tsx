import { useRef, type ReactNode } from 'react';
import { Act } from './Act';

/** Files from the machine; `label` is what they are, `accept` the endings that are offered first. */
export function ChooseFile({
  label,
  accept,
  multiple = false,
  main = false,
  disabled = false,
  onChosen,
  children,
}: {
  label: string;
  accept?: string;
  multiple?: boolean;
  main?: boolean;
  disabled?: boolean;
  onChosen: (files: File[]) => void;
  children: ReactNode;
}) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={input}
        type="file"
        aria-label={label}
        {...(accept ? { accept } : {})}
        multiple={multiple}
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const files = [...(event.target.files ?? [])];
          if (files.length > 0) onChosen(files);
        }}
      />
      <Act main={main} disabled={disabled} onClick={() => input.current?.click()}>
        {children}
      </Act>
    </>
  );
}
