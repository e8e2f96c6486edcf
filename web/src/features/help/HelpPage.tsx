import { Link, useParams } from 'react-router';
import { useHere } from '../session';
import { sheetWith } from '../strategy';
import { beginGuide } from './guide';
import { PAGES } from './pages';
import { WORDS, type Word } from './words';

/** A short page of help for one place, or the contents. */
export function HelpPage() {
  const { place = '' } = useParams();
  const here = useHere();
  const page = PAGES[place];
  return (
    <article className="page">
      <title>{`${page?.title ?? 'Help'} · Quiet Lantern`}</title>
      <div className="max-w-[46rem]">
        {page ? (
          <>
            <p>
              <Link className="act" to={`/g/${here.id}/${page.path}`}>
                Back
              </Link>
            </p>
            <h1 className="font-serif text-[21px] font-semibold">{page.title}</h1>
            {page.says.map((paragraph) => (
              <p key={paragraph} className="mt-2 font-serif text-[16px]">
                {paragraph}
              </p>
            ))}
            {page.lines && (
              <>
                <h2 className="small-head mt-4">Lines to try</h2>
                <ul>
                  {page.lines.map(([line, does]) => (
                    <li key={line} className="flex flex-wrap items-baseline gap-x-3">
                      <Link className="act font-serif text-[15.5px]" to={sheetWith(here.id, line)}>
                        {line}
                      </Link>
                      <span className="text-[13px] text-soft">{does}</span>
                    </li>
                  ))}
                </ul>
              </>
            )}
            {page.keys && <Keys keys={page.keys} />}
            <h2 className="small-head mt-4">Words</h2>
            <Words words={page.words} />
          </>
        ) : (
          <>
            <h1 className="font-serif text-[21px] font-semibold">Help</h1>
            <h2 className="small-head mt-4">All our words</h2>
            <Words words={Object.keys(WORDS) as Word[]} />
          </>
        )}
        <nav aria-label="Pages of help" className="mt-6 border-t border-base-300 pt-3">
          <ul className="flex flex-wrap gap-x-5">
            {Object.entries(PAGES).map(([name, { title }]) => (
              <li key={name}>
                <Link
                  className="act"
                  aria-current={name === place ? 'page' : undefined}
                  to={`/g/${here.id}/help/${name}`}
                >
                  {title}
                </Link>
              </li>
            ))}
            <li>
              <Link className="act" to={`/g/${here.id}/help`}>
                All our words
              </Link>
            </li>
          </ul>
          {here.demo && (
            <p className="mt-2">
              <Link className="act" to={`/g/${here.id}/search`} onClick={beginGuide}>
                A first search in five steps
              </Link>
            </p>
          )}
        </nav>
      </div>
    </article>
  );
}

function Keys({ keys }: { keys: readonly (readonly [string, string])[] }) {
  return (
    <>
      <h2 className="small-head mt-4">Keys</h2>
      <dl className="grid grid-cols-[7rem_1fr] gap-y-0.5">
        {keys.map(([key, does]) => (
          <div key={key} className="contents">
            <dt className="font-semibold">{key}</dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
    </>
  );
}

function Words({ words }: { words: readonly Word[] }) {
  return (
    <dl className="grid grid-cols-[8rem_1fr] gap-y-1 max-md:grid-cols-1">
      {words.map((word) => (
        <div key={word} className="contents">
          <dt className="font-semibold">{word}</dt>
          <dd>{WORDS[word]}</dd>
        </div>
      ))}
    </dl>
  );
}
