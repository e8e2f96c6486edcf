import { Link } from 'react-router';
import { useHere } from '../session';
import type { PAGES } from './pages';

/** Beside a title: leads to the page of help of the place. */
export function HelpLink({ place }: { place: keyof typeof PAGES }) {
  const here = useHere();
  return (
    <Link className="act text-[13px] font-normal" to={`/g/${here.id}/help/${place}`}>
      Help
    </Link>
  );
}
