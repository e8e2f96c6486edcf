import { Act, day, useCopyText } from '../../ui';
import { useHere } from '../session';
import { useLinkOf, usePeopleActs } from './peopleApi';

/** The address by which anybody reads the citations of a folder. */
export function LinkOfFolder({ folder }: { folder: string }) {
  const here = useHere();
  const link = useLinkOf(here.id, folder).data;
  const { open, revoke, annotate } = usePeopleActs(here.id, folder);
  const copy = useCopyText();
  if (!link) return null;
  const { address, feed, bibliography, annotated, by, at } = link;
  return (
    <section aria-label="Link" className="mt-6 max-w-[46rem]">
      <h2 className="small-head">By a link</h2>
      <p className="text-soft">
        Whoever has the link reads the citations, without an account, and follows what is kept by a
        feed; the bibliography has them in its style, below its headings. Who kept what and why,
        remarks, marks and the group are not shown.
      </p>
      {address && feed ? (
        <>
          <dl className="mt-2">
            <dt className="small-head">Link</dt>
            <dd className="wrap-anywhere">
              <a className="underline" href={address}>
                {address}
              </a>{' '}
              <Act onClick={() => copy(address, 'the link')}>Copy the link</Act>
            </dd>
            {bibliography && (
              <>
                <dt className="small-head mt-1">Bibliography</dt>
                <dd className="wrap-anywhere">
                  <a className="underline" href={bibliography}>
                    {bibliography}
                  </a>{' '}
                  <Act onClick={() => copy(bibliography, 'the link')}>Copy the link</Act>
                  <label className="flex min-h-[28px] items-center gap-2">
                    <input
                      type="checkbox"
                      checked={annotated}
                      disabled={annotate.isPending}
                      onChange={(event) => annotate.mutate(event.target.checked)}
                    />
                    with the annotations that are agreed
                  </label>
                </dd>
              </>
            )}
            <dt className="small-head mt-1">Feed</dt>
            <dd className="wrap-anywhere">
              {feed} <Act onClick={() => copy(feed, 'the address of the feed')}>Copy the feed</Act>
            </dd>
          </dl>
          <p className="mt-2 flex flex-wrap items-baseline gap-x-4">
            <span className="text-soft">
              opened by {by}
              {at && ` on ${day(at)}`}
            </span>
            <Act disabled={revoke.isPending} onClick={() => revoke.mutate(null)}>
              Revoke the link
            </Act>
          </p>
        </>
      ) : (
        <Act main className="mt-2" disabled={open.isPending} onClick={() => open.mutate(null)}>
          Make a link
        </Act>
      )}
    </section>
  );
}
