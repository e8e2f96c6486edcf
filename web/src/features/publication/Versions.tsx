import type { Schema } from '../../api';
import { day } from '../../ui';
import { useHere } from '../session';
import { useVersions } from './api';

/** The versions of a work beside each other, as each source supplied it. */
export function Versions({ publication }: { publication: string }) {
  const here = useHere();
  const versions = useVersions(here.id, publication).data ?? [];
  if (versions.length === 0) return null;
  return (
    <section aria-label="Versions and sources">
      <h3 className="small-head mt-3">Versions and sources</h3>
      <ul>
        {versions.map((version) => (
          <li key={version.source + version.identifier} className="py-0.5">
            <b className="font-semibold">{version.version}</b>{' '}
            {version.where && <span className="font-serif italic">{version.where}</span>}
            <span className="text-soft">{facts(version)}</span>
            {version.title !== versions[0]?.title && (
              <span className="block font-serif text-[14px]">“{version.title}”</span>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

function facts(version: Schema['VersionShown']): string {
  const known = [
    version.date ?? '',
    version.doi && `doi:${version.doi}`,
    version.open ? 'open to all' : '',
    `from ${version.source}, here since ${day(version.came)}`,
    version.withdrawn ? 'withdrawn by it' : '',
  ];
  return known
    .filter(Boolean)
    .map((part) => ` · ${part}`)
    .join('');
}
