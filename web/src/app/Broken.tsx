import { isRouteErrorResponse, useRouteError } from 'react-router';
import { Lost } from './Lost';

/** What a page shows when it fails itself: that it did, never that there is nothing. */
export function Broken() {
  const error = useRouteError();
  if (isRouteErrorResponse(error)) return <Lost />;
  return (
    <main className="page" role="alert">
      <h1 className="font-serif text-xl font-semibold">This page failed</h1>
      <p className="mt-2 text-soft">
        It is our fault, and nothing that was sent is lost. What went wrong:{' '}
        {error instanceof Error ? error.message : 'unknown'}
      </p>
      <p className="mt-3 flex gap-4">
        <button type="button" className="act act-main" onClick={() => location.reload()}>
          Load it again
        </button>
        <a className="act" href="/">
          Go to my group
        </a>
      </p>
    </main>
  );
}
