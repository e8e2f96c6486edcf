import { useState, type ReactNode } from 'react';
import type { Schema } from '../../api';
import { Act, counted } from '../../ui';

/** First records of a source: as they would be read, and on demand as they were supplied. */
export function RecordsTried({ records }: { records: Schema['RecordTried'][] }) {
  const wrong = records.filter((record) => record.problems.length > 0).length;
  return (
    <section aria-label="First records" className="mt-2">
      <p role="status" className="text-[13px] text-soft">
        {records.length === 0
          ? 'It has no records there.'
          : `${counted(records.length, 'record')}, ${wrong === 0 ? 'all read without a problem' : `${counted(wrong, 'one', 'ones')} with problems`}.`}
      </p>
      <ul className="max-h-[34vh] overflow-y-auto border-y border-base-300">
        {records.map((record) => (
          <Tried key={record.identifier} record={record} />
        ))}
      </ul>
    </section>
  );
}

/** `children`: what else there is to say of it. */
export function Tried({
  record,
  children,
}: {
  record: Schema['RecordTried'];
  children?: ReactNode;
}) {
  const [raw, setRaw] = useState(false);
  const facts = [record.who, record.where, record.date, record.doi].filter(Boolean).join(' · ');
  return (
    <li className="border-b border-base-300 py-2 last:border-b-0">
      <p className="font-serif">
        {record.title || (record.raw ? 'It cannot be read' : record.identifier)}
      </p>
      <p className="text-[13px] text-soft">
        {facts && `${facts} · `}
        <span className="break-all">{record.identifier}</span>{' '}
        <Act
          aria-expanded={raw}
          aria-label={`As supplied: ${record.identifier}`}
          onClick={() => setRaw(!raw)}
        >
          as supplied
        </Act>
        {children && <span className="ml-3">{children}</span>}
      </p>
      {record.problems.map((problem) => (
        <p key={problem} className="text-[13px] text-error">
          {problem}
        </p>
      ))}
      {raw && (
        <pre className="mt-1 max-h-48 overflow-auto whitespace-pre-wrap break-all text-[12px]">
          {record.raw}
        </pre>
      )}
    </li>
  );
}
