import { useState } from 'react';
import type { Schema } from '../../api';
import { Act, moment } from '../../ui';
import { useWording, type Of } from './api';

/** All words that an annotation had; each can be read again. */
export function Wordings({
  of,
  wordings,
}: {
  of: Of;
  wordings: readonly Schema['WordingShown'][];
}) {
  const [open, setOpen] = useState(false);
  const [shown, setShown] = useState<number | null>(null);
  const text = useWording(of, shown).data?.text;
  return (
    <>
      <p>
        <Act aria-expanded={open} onClick={() => setOpen((now) => !now)}>
          Earlier words
        </Act>
      </p>
      {open && (
        <ul aria-label="Earlier words">
          {wordings.slice(1).map((one) => (
            <li key={one.n} className="py-0.5">
              <Act
                aria-expanded={shown === one.n}
                onClick={() => setShown((now) => (now === one.n ? null : one.n))}
              >
                {moment(one.at)}
              </Act>{' '}
              <span className="text-[13px] text-soft">
                {one.by}, {one.letters} letters
              </span>
              {shown === one.n && (
                <p className="border-l border-rule-strong pl-3 font-serif whitespace-pre-line">
                  {text === '' ? '(nothing)' : text}
                </p>
              )}
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
