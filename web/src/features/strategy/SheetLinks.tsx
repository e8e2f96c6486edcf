import { Link } from 'react-router';
import { presentSheet, sheetWith } from './present';

/** What can be done with a line that stands elsewhere: search for it, or put it on the sheet. */
export function SheetLinks({
  group,
  line,
  widened = [],
  main,
}: {
  group: string;
  line: string;
  /** What the line is widened by. */
  widened?: readonly string[];
  main?: boolean;
}) {
  return (
    <>
      <Link className={`act ${main ? 'act-main' : ''}`} to={sheetWith(group, line, { widened })}>
        Search for it
      </Link>
      {presentSheet(group) && (
        <Link className="act" to={sheetWith(group, line, { joined: true, widened })}>
          Join the present search
        </Link>
      )}
      <Link className="act" to={sheetWith(group, line, { joined: true, off: true, widened })}>
        On the sheet for later
      </Link>
    </>
  );
}
