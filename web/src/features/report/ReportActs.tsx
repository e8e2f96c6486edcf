import { useState, type ReactNode } from 'react';
import { Act } from '../../ui';
import { mayWrite, useHere } from '../session';
import { KeepNoteDialog } from './KeepNoteDialog';

/** Ways to take a written account along, or to keep it; `children`: what comes before them. */
export function ReportActs({ of, children }: { of: string; children: ReactNode }) {
  const here = useHere();
  const [keeping, setKeeping] = useState(false);
  const file = (kind: string) =>
    `/api/groups/${here.id}/report/${kind}?of=${encodeURIComponent(of)}`;
  return (
    <>
      {children}
      <a className="act" href={file('docx')}>
        Download as DOCX
      </a>
      <a className="act" href={file('text')}>
        Download as text
      </a>
      {mayWrite(here) && <Act onClick={() => setKeeping(true)}>Keep in a folder</Act>}
      {keeping && <KeepNoteDialog group={here.id} of={of} onClose={() => setKeeping(false)} />}
    </>
  );
}
