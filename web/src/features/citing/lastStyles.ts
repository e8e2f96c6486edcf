import type { Schema } from '../../api';

type Style = Schema['StyleShown'];

const LAST = 'lantern.styles';
const KEPT = 5;

/** The styles that were chosen in this browser, the last one first. */
export function lastStyles(): Style[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(LAST) ?? '[]');
    return Array.isArray(kept) ? kept.filter(isStyle) : [];
  } catch {
    return [];
  }
}

function isStyle(one: unknown): one is Style {
  return (
    typeof one === 'object' &&
    one !== null &&
    ['name', 'title', 'format'].every((part) => typeof (one as never)[part] === 'string') &&
    typeof (one as never)['checked'] === 'boolean'
  );
}

export function noteStyle(style: Style): void {
  const others = lastStyles().filter((one) => one.name !== style.name);
  localStorage.setItem(LAST, JSON.stringify([style, ...others].slice(0, KEPT)));
}
