import { fireEvent, render, screen } from '@testing-library/react';
import { useLayoutEffect } from 'react';
import { MemoryRouter } from 'react-router';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { Lamp, listed, Marked, counted, people, PublicationRow, setKeys, useKeys } from '.';

describe('Marked', () => {
  it('lights the parts it is told and leaves the text as it is', () => {
    const text = 'Part-night dimming restores moths';
    const { container } = render(
      <Marked
        text={text}
        spans={[
          { start: 0, end: 10 },
          { start: 28, end: 33 },
        ]}
      />,
    );
    expect(container).toHaveTextContent(text);
    expect([...container.querySelectorAll('mark')].map((m) => m.textContent)).toEqual([
      'Part-night',
      'moths',
    ]);
  });

  it('shows text without spans as text, never as HTML', () => {
    const { container } = render(<Marked text="<b>bold</b>" spans={[]} />);
    expect(container.querySelector('b')).toBeNull();
    expect(container).toHaveTextContent('<b>bold</b>');
  });
});

describe('Lamp', () => {
  it('says its state in words and not by colour alone', () => {
    const { container } = render(<Lamp state="lit" label="Teodor: keep" />);
    expect(screen.getByRole('img', { name: 'Teodor: keep' })).toBeInTheDocument();
    const lit = container.innerHTML;
    const { container: other } = render(<Lamp state="unlit" label="Jon: not yet" />);
    expect(other.querySelectorAll('path[fill="none"]')).toHaveLength(1);
    expect(lit).toContain('--color-accent');
  });
});

describe('PublicationRow', () => {
  const publication = {
    title: 'Herons thrive under lamps',
    authors: ['Wick'],
    where: 'Hedgerow Studies',
    kind: 'article',
    version: 'final',
    pages: 9,
    citedBy: 3,
    access: 'abstract only',
    withdrawn: false,
    retracted: false,
  };
  const show = (retracted: boolean) =>
    render(
      <MemoryRouter>
        <PublicationRow lamp={null} to="/p" publication={{ ...publication, retracted }} />
      </MemoryRouter>,
    ).container;

  it('says first of a retracted work that it is', () => {
    expect(show(true).querySelector('p')).toHaveTextContent(/^retracted · Wick/);
    expect(show(false)).not.toHaveTextContent('retracted');
  });
});

describe('words for numbers and names', () => {
  it.each([
    [0, '0 publications'],
    [1, '1 publication'],
    [1234, '1,234 publications'],
  ])('%i', (n, text) => expect(counted(n, 'publication')).toBe(text));

  it('names up to four people', () => {
    expect(people(['Sey', 'Amadi'])).toBe('Sey, Amadi');
    expect(people(['A', 'B', 'C', 'D', 'E'])).toBe('A and 4 others');
  });

  it('lists with an and before the last', () => {
    expect(listed([])).toBe('');
    expect(listed(['title'])).toBe('title');
    expect(listed(['title', 'abstract', 'keyword'])).toBe('title, abstract and keyword');
  });
});

function Keyed({ act }: { act: () => void }) {
  useKeys({ '1': act, ArrowDown: act });
  return <input aria-label="field" />;
}

describe('single keys', () => {
  beforeEach(() => setKeys(true));

  it('act, but not while something is typed nor with another key held', () => {
    const act = vi.fn();
    render(<Keyed act={act} />);
    fireEvent.keyDown(document.body, { key: '1' });
    fireEvent.keyDown(screen.getByLabelText('field'), { key: '1' });
    fireEvent.keyDown(document.body, { key: '1', ctrlKey: true });
    expect(act).toHaveBeenCalledTimes(1);
  });

  it('act as soon as what they act on can be seen', () => {
    const act = vi.fn();
    const Seen = () => {
      // After what is within is on the page, before the page is painted.
      useLayoutEffect(() => {
        fireEvent.keyDown(document.body, { key: '1' });
      }, []);
      return <Keyed act={act} />;
    };
    render(<Seen />);
    expect(act).toHaveBeenCalledTimes(1);
  });

  it('can be switched off; keys that are no characters stay', () => {
    const act = vi.fn();
    render(<Keyed act={act} />);
    setKeys(false);
    fireEvent.keyDown(document.body, { key: '1' });
    expect(act).not.toHaveBeenCalled();
    fireEvent.keyDown(document.body, { key: 'ArrowDown' });
    expect(act).toHaveBeenCalledTimes(1);
  });
});
