import type { Schema } from '../../api';

/** A written account, part by part. */
export function Blocks({ blocks }: { blocks: Schema['BlockShown'][] }) {
  return (
    <>
      {blocks.map((block, at) => (
        <Block key={at} block={block} />
      ))}
    </>
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
