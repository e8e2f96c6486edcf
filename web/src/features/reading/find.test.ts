import { describe, expect, it } from 'vitest';
import { find, pattern } from './find';
import { withoutBlanks, words } from './fold';
import { chosenIn, rangeOfPassage, rangesOf, shownIn } from './shown';

const found = (pages: string[], typed: string) => {
  const wanted = pattern(typed);
  return wanted ? find(pages, pages.map(words), wanted) : [];
};

describe('finding in a text', () => {
  it('makes no difference of letter case, accents, ligatures, line ends and hyphens there', () => {
    expect(words('Eﬃcient Lamps, ÅLAND; counter-\nparts').text).toBe(
      'efficient lamps aland counterparts',
    );
    expect(found(['the eﬃ-\ncient lamp'], 'efficient LAMP')[0]?.words).toBe('eﬃ- cient lamp');
  });

  it('finds what is typed, cut words where words begin, and nothing across two words', () => {
    expect(found(['moths; mammoth Moth-er'], 'moth').length).toBe(3);
    expect(found(['moths; mammoth Moth-er'], 'moth*').map((one) => one.words)).toEqual([
      'moths',
      'Moth',
    ]);
    expect(found(['great anger'], 'tang')).toEqual([]);
    expect(found(['great  (anger)'], '“great anger”').length).toBe(1);
    expect(found(['a.*b'], '.*')).toEqual([]);
    expect(pattern('  … ')).toBeNull();
  });

  it('tells the page, which of the same on it, and the line around', () => {
    expect(found(['no lamp', 'a lamp and\na lamp more'], 'lamp')[2]).toEqual({
      page: 1,
      nth: 1,
      before: 'a lamp and a ',
      words: 'lamp',
      after: ' more',
      far: (1 + 13 / 22) / 2,
    });
  });

  it('goes through 200 pages of 3,000 letters without anybody noticing', () => {
    const page = 'street lamps draw moths away from dark gardens at night '.repeat(55);
    const pages = Array.from({ length: 200 }, () => page);
    const folded = pages.map(words);
    expect(find(pages, folded, pattern('moth*') ?? /x/g).length).toBe(200 * 55);
  });
});

describe('what is shown', () => {
  const root = document.createElement('div');
  root.innerHTML = '<h2>Methods</h2><p>We <em>coun</em>ted moths.<br>Nobody knew.</p>';

  it('is read with its blocks apart and its words whole', () => {
    expect(shownIn(root).folded.text).toBe('methods we counted moths nobody knew');
    expect(rangesOf(shownIn(root), pattern('counted moths') ?? /x/g)[0]?.toString()).toBe(
      'counted moths',
    );
  });

  it('gives passages back, the second where there are two, and nothing that is not there', () => {
    root.innerHTML = '<p>one lamp, one</p><p>lamp.</p>';
    const shown = shownIn(root);
    expect(rangeOfPassage(shown, 'one lamp', 0)?.toString()).toBe('one lamp');
    expect(rangeOfPassage(shown, 'one lamp', 1)?.toString()).toBe('onelamp');
    expect(rangeOfPassage(shown, 'two lamps', 0)).toBeNull();
  });

  it('tells a chosen passage with what stands around it', () => {
    document.body.append(root);
    root.innerHTML = '<p>Street lamps draw moths.</p><p>Nobody counted them.</p>';
    const [first, second] = [...root.querySelectorAll('p')].map((p) => p.firstChild as Text);
    document.getSelection()?.setBaseAndExtent(first as Text, 13, second as Text, 6);
    const chosen = chosenIn(new Map([[3, root]]));
    expect(chosen).toEqual({
      quote: 'draw moths. Nobody',
      before: ' Street lamps ',
      after: 'counted them.',
      page: 3,
      start: withoutBlanks(words('Street lamps')).text.length,
    });
    document.getSelection()?.removeAllRanges();
    expect(chosenIn(new Map([[3, root]]))).toBeNull();
  });
});
