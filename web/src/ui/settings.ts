const SINGLE_KEYS = 'lantern.keys';
const THEME = 'lantern.theme';
const DATES = 'lantern.dates';
const LINK_COPIED = 'lantern.link-copied';
const WORDS_CITED = 'lantern.words-cited';

export type Theme = 'daybreak' | 'nightfall';

export function keysAreOn(): boolean {
  return localStorage.getItem(SINGLE_KEYS) !== 'off';
}

export function setKeys(on: boolean): void {
  localStorage.setItem(SINGLE_KEYS, on ? 'on' : 'off');
}

/** The one that was chosen; null: whatever the device asks for. */
export function chosenTheme(): Theme | null {
  const chosen = localStorage.getItem(THEME);
  return chosen === 'daybreak' || chosen === 'nightfall' ? chosen : null;
}

/** Whether a copied citation carries the stable link on a line of its own. */
export function copiesLink(): boolean {
  return localStorage.getItem(LINK_COPIED) === 'on';
}

export function setCopiesLink(on: boolean): void {
  localStorage.setItem(LINK_COPIED, on ? 'on' : 'off');
}

/** Whether words that are copied out of an abstract carry citation and link on their last line. */
export function citesWords(): boolean {
  return localStorage.getItem(WORDS_CITED) !== 'off';
}

export function setCitesWords(on: boolean): void {
  localStorage.setItem(WORDS_CITED, on ? 'on' : 'off');
}

/** The one chosen before, else the one that the device asks for. */
export function theme(): Theme {
  const chosen = chosenTheme();
  if (chosen) return chosen;
  return window.matchMedia('(prefers-color-scheme: dark)').matches ? 'nightfall' : 'daybreak';
}

export function showTheme(next: Theme): void {
  document.documentElement.dataset.theme = next;
}

/** Null: the one that the device asks for, also when that changes. */
export function setTheme(next: Theme | null): void {
  if (next) localStorage.setItem(THEME, next);
  else localStorage.removeItem(THEME);
  showTheme(theme());
}

/** Shows what the device asks for as it changes, as long as nothing was chosen. */
export function followDevice(): void {
  window
    .matchMedia('(prefers-color-scheme: dark)')
    .addEventListener('change', () => showTheme(theme()));
}

/** In which language dates stand on pages; `iso`: as 2026-11-24 (ISO 8601, 4.1.2). */
export const DATE_LANGUAGES: readonly (readonly [string, string])[] = [
  ['en-GB', 'English'],
  ['en-US', 'English, the month first'],
  ['da', 'dansk'],
  ['de', 'Deutsch'],
  ['es', 'español'],
  ['fr', 'français'],
  ['it', 'italiano'],
  ['nl', 'Nederlands'],
  ['nb', 'norsk'],
  ['pl', 'polski'],
  ['pt', 'português'],
  ['fi', 'suomi'],
  ['sv', 'svenska'],
  ['cs', 'čeština'],
  ['iso', 'numbers only'],
];

export function chosenDates(): string {
  const chosen = localStorage.getItem(DATES);
  return DATE_LANGUAGES.find(([code]) => code === chosen)?.[0] ?? 'en-GB';
}

export function setDates(code: string): void {
  localStorage.setItem(DATES, code);
}
