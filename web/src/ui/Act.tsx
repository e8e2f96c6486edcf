import type { ButtonHTMLAttributes } from 'react';

type Props = ButtonHTMLAttributes<HTMLButtonElement> & { hint?: string; main?: boolean };

/** Something that can be done, as a word, with its key after it. */
export function Act({ hint, main, children, className = '', ...rest }: Props) {
  return (
    <button type="button" className={`act ${main ? 'act-main' : ''} ${className}`} {...rest}>
      <span>{children}</span>
      {hint && (
        <kbd className="key font-sans" aria-hidden="true">
          {hint}
        </kbd>
      )}
    </button>
  );
}
