import { useSearchParams } from 'react-router';
import { Act, Failed, useCopyAddress, Waiting } from '../../ui';
import { Title } from '../help';
import { useHere } from '../session';
import { useReport } from './api';
import { Blocks } from './Blocks';
import { ReportActs } from './ReportActs';

/** The written account of a search, to be printed, taken along or kept. */
export function ReportPage() {
  const here = useHere();
  const [params] = useSearchParams();
  const of = params.get('of') ?? '';
  const copy = useCopyAddress();
  const report = useReport(here.id, of);
  if (report.error) return <Failed error={report.error} />;
  if (!report.data) return <Waiting what="the report" />;
  return (
    <article className="page">
      <title>{`${report.data.title} · Quiet Lantern`}</title>
      <div className="max-w-[52rem]">
        <Title help="report">{report.data.title}</Title>
        <p className="mt-1 flex flex-wrap gap-x-5 print:hidden">
          <ReportActs of={of}>
            <Act main onClick={() => window.print()}>
              Print
            </Act>
          </ReportActs>
          {!of.startsWith('trail:') && (
            <Act onClick={() => copy(`/g/${here.id}/report?of=${encodeURIComponent(of)}`)}>
              Address
            </Act>
          )}
        </p>
        <Blocks blocks={report.data.blocks} />
      </div>
    </article>
  );
}
