import { Link } from 'react-router';
import type { Schema } from '../api';
import { useOwed } from '../features/arrivals';
import { DemoDays } from '../features/demo';
import { AccountMenu } from './AccountMenu';
import { FrameKeys } from './FrameKeys';
import { Places } from './Places';

export function TopLine({ group }: { group: Schema['GroupView'] }) {
  const outside = group.me.onlyFolders;
  const owed = useOwed(group.id, !outside);
  return (
    <header className="flex flex-wrap items-center gap-x-5 gap-y-1 border-b border-base-300 px-4 py-1 lg:h-[46px] lg:flex-nowrap lg:px-6 lg:py-0">
      <Link
        to={`/g/${group.id}/${outside ? 'folders' : 'today'}`}
        className="flex items-center gap-2 font-serif text-[17px] font-semibold whitespace-nowrap"
      >
        <img src="/lantern.svg" alt="" width="13" height="19" />
        Quiet Lantern
      </Link>
      {outside ? (
        <span className="max-w-[16rem] truncate text-soft">{group.name}</span>
      ) : (
        <Link to={`/g/${group.id}/group`} className="max-w-[16rem] truncate text-soft">
          {group.name}
        </Link>
      )}
      <Places group={group.id} owed={owed} outside={outside} />
      <div className="ml-auto flex items-center gap-4">
        {group.demo && !outside && <DemoDays today={group.today} />}
        {!outside && <FrameKeys group={group.id} />}
        <AccountMenu
          name={group.me.name}
          role={outside ? 'guest of single folders' : group.me.role}
        />
      </div>
    </header>
  );
}
