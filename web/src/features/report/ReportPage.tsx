import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { Act, Failed, useCopyAddress, Waiting } from '../../ui';
import { Title } from '../help';
import { mayWrite, useHere } from '../session';
import { useReport } from './api';
import { Blocks } from './Blocks';
import { KeepNoteDialog } from './KeepNoteDialog';

/** The written account of a search, to be printed, taken along or kept. */
export function ReportPage() {
  const here = useHere();
  const [params] = useSearchParams();
  const of = params.get('of') ?? '';
  const copy = useCopyAddress();
  const report = useReport(here.id, of);
  const [keeping, setKeeping] = useState(false);
  if (report.error) return <Failed error={report.error} />;
  if (!report.data) return <Waiting what="the report" />;
  const file = (kind: string) =>
    `/api/groups/${here.id}/report/${kind}?of=${encodeURIComponent(of)}`;
  return (
    <article className="page">
      <title>{`${report.data.title} · Quiet Lantern`}</title>
      <div className="max-w-[52rem]">
        <Title help="report">{report.data.title}</Title>
        <p className="mt-1 flex flex-wrap gap-x-5 print:hidden">
          <Act main onClick={() => window.print()}>
            Print
          </Act>
          <a className="act" href={file('docx')}>
            Download as DOCX
          </a>
          <a className="act" href={file('text')}>
            Download as text
          </a>
          {mayWrite(here) && <Act onClick={() => setKeeping(true)}>Keep in a folder</Act>}
          {!of.startsWith('trail:') && (
            <Act onClick={() => copy(`/g/${here.id}/report?of=${encodeURIComponent(of)}`)}>
              Address
            </Act>
          )}
        </p>
        <Blocks blocks={report.data.blocks} />
      </div>
      {keeping && <KeepNoteDialog group={here.id} of={of} onClose={() => setKeeping(false)} />}
    </article>
  );
}
