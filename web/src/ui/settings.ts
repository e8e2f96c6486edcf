const SINGLE_KEYS = 'lantern.keys';
const THEME = 'lantern.theme';

export type Theme = 'daybreak' | 'nightfall';

export function keysAreOn(): boolean {
  return localStorage.getItem(SINGLE_KEYS) !== 'off';
}

export function setKeys(on: boolean): void {
  localStorage.setItem(SINGLE_KEYS, on ? 'on' : 'off');
}

/** The one chosen before, else the one that the device asks for. */
export function theme(): Theme {
  const chosen = localStorage.getItem(THEME);
  if (chosen === 'daybreak' || chosen === 'nightfall') return chosen;
  return window.matchMedia('(prefers-color-scheme: dark)').matches ? 'nightfall' : 'daybreak';
}

export function showTheme(next: Theme): void {
  document.documentElement.dataset.theme = next;
}

export function setTheme(next: Theme): void {
  localStorage.setItem(THEME, next);
  showTheme(next);
}
