import { blank, sameLines, strategyOf, type Line } from '../strategy';

/** Lines as a sheet opens: words are asked for before what every new sheet of the group has. */
export function opened(lines: readonly Line[], usual: readonly Line[]): Line[] {
  return isJust(lines, usual) ? [blank(lines), ...strategyOf(lines).lines] : [...lines];
}

/** Whether nothing stands on a sheet but what every new one has. */
export function isJust(lines: readonly Line[], usual: readonly Line[]): boolean {
  return usual.length > 0 && sameLines(strategyOf(lines), strategyOf(usual));
}
