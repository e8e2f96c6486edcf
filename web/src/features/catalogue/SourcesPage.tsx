import { Link } from 'react-router';
import { counted, day, Failed, Waiting } from '../../ui';
import { Title } from '../help';
import { useHere } from '../session';
import { sheetLimited } from '../strategy';
import { useSources } from './api';
import { Parts } from './Parts';
import { Upkeep } from './Upkeep';

const SPEAKS: Record<string, string> = {
  mods: 'full records (MODS): headings, abstracts, what was studied, lists of references',
  oai_dc: 'plain records (Dublin Core): titles, people, dates, words',
};

/** What each source holds and supplies. */
export function SourcesPage() {
  const here = useHere();
  const sources = useSources(here.id);
  if (sources.error) return <Failed error={sources.error} />;
  if (!sources.data) return <Waiting what="the sources" />;
  return (
    <div className="page">
      <title>Sources · Quiet Lantern</title>
      <Title help="sources" className="mb-2">
        Sources
      </Title>
      <Parts />
      <ul className="max-w-[52rem]">
        {sources.data.map((source) => (
          <li key={source.key} className="border-b border-base-300 py-3">
            <h2 className="font-serif text-[17px] font-semibold">{source.name}</h2>
            <p className="text-soft">
              {counted(source.records, 'publication')}
              {source.firstYear != null && ` from ${source.firstYear} to ${source.lastYear}`} ·{' '}
              {SPEAKS[source.format] ?? source.format} ·{' '}
              {source.harvested ? `last harvest on ${day(source.harvested)}` : 'not harvested yet'}
            </p>
            <Link className="act" to={sheetLimited(here.id, 'source', [source.key])}>
              Search only here
            </Link>
          </li>
        ))}
      </ul>
      <Upkeep />
    </div>
  );
}
