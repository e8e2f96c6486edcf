import { useQuery } from '@tanstack/react-query';
import { useSearchParams } from 'react-router';
import { api, body, keys, type Schema } from '../../api';
import { Act, Failed, Waiting } from '../../ui';
import { useCopyAddress } from '../publication';
import { useHere } from '../session';

/** The written account of a search, to be printed or taken along. */
export function ReportPage() {
  const here = useHere();
  const [params] = useSearchParams();
  const of = params.get('of') ?? '';
  const copy = useCopyAddress();
  const report = useQuery({
    queryKey: [...keys.group(here.id), 'report', of],
    queryFn: async ({ signal }) =>
      body(
        await api.GET('/api/groups/{group}/report', {
          params: { path: { group: here.id }, query: { of } },
          signal,
        }),
      ),
  });
  if (report.error) return <Failed error={report.error} />;
  if (!report.data) return <Waiting what="the report" />;
  const file = (kind: string) =>
    `/api/groups/${here.id}/report/${kind}?of=${encodeURIComponent(of)}`;
  return (
    <article className="page">
      <title>{`${report.data.title} · Quiet Lantern`}</title>
      <div className="max-w-[52rem]">
        <h1 className="font-serif text-[21px] font-semibold">{report.data.title}</h1>
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
          <Act onClick={() => copy(`/report?of=${of}`)}>Address</Act>
        </p>
        {report.data.blocks.map((block, at) => (
          <Block key={at} block={block} />
        ))}
      </div>
    </article>
  );
}

function Block({ block }: { block: Schema['BlockShown'] }) {
  if (block.kind === 'heading') return <h2 className="small-head mt-5">{block.text}</h2>;
  if (block.kind === 'paragraph') {
    return <p className="mt-2 max-w-[75ch] font-serif text-[15px] break-words">{block.text}</p>;
  }
  const isNumber = (cell: string) => /^[\d,]+$/.test(cell);
  return (
    <div className="mt-2 overflow-x-auto" tabIndex={0} role="region" aria-label={block.columns[0]}>
      <table className="w-full">
        <thead>
          <tr className="text-[13px] text-soft">
            {block.columns.map((column, at) => (
              <th
                key={column}
                scope="col"
                className={`pr-3 font-normal ${isNumber(block.rows[0]?.[at] ?? '') ? 'text-right' : 'text-left'}`}
              >
                {column}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {block.rows.map((row, line) => (
            <tr key={line} className="border-b border-base-300 align-baseline">
              {row.map((cell, at) => (
                <td
                  key={at}
                  className={`py-1 pr-3 ${at === 0 ? 'font-serif break-words' : ''} ${isNumber(cell) ? 'text-right' : ''}`}
                >
                  {cell}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
