import { useState } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../../api';
import { Act, Failed, shortDay, useAddress, Waiting } from '../../ui';
import { Title } from '../help';
import { mayWrite, useHere } from '../session';
import { useDrive, useDriveFiles, useForgetDrive } from './api';
import { DriveFileLine } from './DriveFileLine';
import { SetDrive } from './SetDrive';

/** The group's drive, and what of the group stands there. */
export function DrivePage() {
  const here = useHere();
  const asked = mayWrite(here);
  const drive = useDrive(here.id);
  if (!asked) {
    return (
      <div className="page">
        <Title help="drive">The drive</Title>
        <p className="mt-2 text-soft">The drive is for members of the group.</p>
      </div>
    );
  }
  if (drive.error) return <Failed error={drive.error} again={() => void drive.refetch()} />;
  if (!drive.data) return <Waiting what="the drive" />;
  return (
    <div className="page">
      <title>The drive · Quiet Lantern</title>
      <Title help="drive">The drive</Title>
      <Where drive={drive.data} />
      {drive.data.address && <Files />}
    </div>
  );
}

function Where({ drive }: { drive: Schema['DriveShown'] }) {
  const here = useHere();
  const forget = useForgetDrive(here.id);
  const [sets, setSets] = useState(false);
  const coordinates = here.me.role === 'coordinator';
  const set = (
    <SetDrive
      key={drive.address ?? ''}
      address={drive.address ?? ''}
      name={drive.name ?? ''}
      onSet={() => setSets(false)}
    />
  );
  if (!drive.address) {
    return (
      <section aria-label="Where it is" className="mt-2">
        <p className="max-w-[65ch] text-soft">
          A folder that all of you have on your machines. With it here, a folder’s <i>.bib</i>, a
          bibliography or a text is put there, and kept up to date.
          {!coordinates && ' None is set; a coordinator of the group sets it.'}
        </p>
        {coordinates && set}
      </section>
    );
  }
  return (
    <section aria-label="Where it is" className="mt-2">
      <p className="break-all">
        {drive.address}
        <span className="text-soft">
          {' · as '}
          {drive.name}
          {drive.by && ` · set by ${drive.by}`}
          {drive.tried && ` on ${shortDay(drive.tried)}`}
        </span>
      </p>
      {coordinates && (
        <p className="flex flex-wrap gap-x-4">
          <Act aria-expanded={sets} onClick={() => setSets(!sets)}>
            Set it anew
          </Act>
          <Act disabled={forget.isPending} onClick={() => forget.mutate(null)}>
            Give it up
          </Act>
        </p>
      )}
      {sets && set}
    </section>
  );
}

function Files() {
  const here = useHere();
  const address = useAddress();
  const page = useDriveFiles(here.id, address.params.get('before'), true);
  if (page.error) return <Failed error={page.error} again={() => void page.refetch()} />;
  if (!page.data) return <Waiting what="what stands there" />;
  const { files, more } = page.data;
  return (
    <section aria-label="What stands there" className="mt-5 max-w-[56rem]">
      <h2 className="small-head">What stands there</h2>
      {files.length === 0 && !more && (
        <p className="max-w-[65ch] text-soft">
          Nothing{address.params.has('before') ? ' before' : ' yet'}. <i>Export</i> of a folder, a
          search, a round or a list, the files of a bibliography, and a text lead here.
        </p>
      )}
      <ul>
        {files.map((one) => (
          <DriveFileLine key={one.id} file={one} />
        ))}
      </ul>
      {more && (
        <Link className="act mt-3 inline-block" to={address.to('before', more)}>
          Earlier ones
        </Link>
      )}
    </section>
  );
}
