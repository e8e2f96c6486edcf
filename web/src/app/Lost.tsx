import { Link } from 'react-router';

export function Lost() {
  return (
    <main className="page">
      <h1 className="font-serif text-xl font-semibold">There is nothing at this address</h1>
      <p className="mt-2 text-soft">It may be mistyped, or for members of another group.</p>
      <Link className="act mt-3" to="/">
        Go to my group
      </Link>
    </main>
  );
}
