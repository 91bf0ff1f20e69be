export type Theme = 'light' | 'dark' | 'system';

const KEY = 'nuvar-theme';

export function chosenTheme(): Theme {
  const kept = localStorage.getItem(KEY);
  return kept === 'light' || kept === 'dark' ? kept : 'system';
}

/** Shows a theme and keeps the choice on this machine; "system" follows the machine. */
export function applyTheme(theme: Theme): void {
  localStorage.setItem(KEY, theme);
  const dark = theme === 'dark' || (theme === 'system' && matchMedia('(prefers-color-scheme: dark)').matches);
  document.documentElement.dataset.theme = dark ? 'nuvar-dark' : 'nuvar-light';
}
