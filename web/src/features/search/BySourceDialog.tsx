import { Act, Dialog } from '../../ui';
import { useHere } from '../session';
import { useBySource } from './breakdownApi';
import { lineText, type Strategy } from '../strategy';

/** Each line's count per source, what is in several, and what only in one. */
export function BySourceDialog({ strategy, onClose }: { strategy: Strategy; onClose: () => void }) {
  const found = useBySource(useHere().id, strategy).data;
  const number = (n: number | undefined) => (n ?? 0).toLocaleString('en-GB');
  return (
    <Dialog wide title="By source" onClose={onClose}>
      {!found && <p className="mt-2 text-soft">…</p>}
      {found && (
        <div className="mt-2 overflow-x-auto">
          <table className="w-full">
            <thead>
              <tr className="text-[13px] text-soft">
                <td />
                {found.shares.map((share) => (
                  <th key={share.source} scope="col" className="pl-3 text-right font-normal">
                    {share.name}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {strategy.lines.map((line) => (
                <tr key={line.id} className={line.off ? 'text-faint' : ''}>
                  <th
                    scope="row"
                    className="max-w-[14rem] truncate text-left font-serif font-normal"
                  >
                    {lineText(line)}
                  </th>
                  {found.shares.map((share) => (
                    <td key={share.source} className="text-right">
                      {share.unanswered.includes(line.id) ? (
                        <span className="text-[13px] text-soft">cannot answer</span>
                      ) : (
                        number(share.lines[line.id])
                      )}
                    </td>
                  ))}
                </tr>
              ))}
              {(
                [
                  ['found', 'found'],
                  ['only', 'in no other source'],
                  ['size', 'of all that it holds'],
                ] as const
              ).map(([key, label]) => (
                <tr
                  key={key}
                  className={key === 'found' ? 'border-t border-base-300 font-semibold' : ''}
                >
                  <th scope="row" className="text-left">
                    {label}
                  </th>
                  {found.shares.map((share) => (
                    <td key={share.source} className="text-right">
                      {number(share[key])}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
          <p className="mt-2 text-soft">
            Of {number(found.count)} publications {number(found.several)} are in several sources.
          </p>
        </div>
      )}
      <p className="mt-3">
        <Act onClick={onClose}>Close</Act>
      </p>
    </Dialog>
  );
}
