import { Act, useKeys, type Notice } from '../ui';

/** What the last act came to, at the foot of the page, and the way back. */
export function Notices({
  notice,
  left,
  onBack,
  onClose,
}: {
  notice: Notice | null;
  /** How many acts of this window can be taken back, one after the other. */
  left: number;
  onBack: () => void;
  onClose: () => void;
}) {
  useKeys(left > 0 ? { '0': onBack } : {});
  return (
    <div
      role="status"
      className="pointer-events-none fixed inset-x-0 bottom-12 z-10 flex justify-center px-4 lg:bottom-4"
    >
      {notice && (
        <div className="pointer-events-auto flex flex-wrap items-center gap-x-4 rounded-box border border-rule-strong bg-base-100 px-4 py-2">
          <span className={notice.bad ? 'text-error' : ''}>{notice.text}</span>
          {notice.acts?.map(({ label, act }) => (
            <Act
              key={label}
              onClick={() => {
                onClose();
                act();
              }}
            >
              {label}
            </Act>
          ))}
          {left > 0 && !notice.bad && (
            <Act hint="0" onClick={onBack}>
              {notice.command ? 'Undo' : 'Undo the one before'}
            </Act>
          )}
          <Act onClick={onClose}>Close</Act>
        </div>
      )}
    </div>
  );
}
