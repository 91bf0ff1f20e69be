export type Theme = 'light' | 'dark' | 'system';

const KEY = 'nuvar-theme';

export function chosenTheme(): Theme {
  const kept = localStorage.getItem(KEY);
  return kept === 'light' || kept === 'dark' ? kept : 'system';
}

/** Shows a theme and keeps the choice on this machine; "system" follows the machine. */
export function applyTheme(theme: Theme): void {
  localStorage.setItem(KEY, theme);
  show();
}

/** Shows the chosen theme, now and when the machine changes its colours; on paper it is the light one. */
export function followTheme(): void {
  show();
  for (const query of ['print', DARK]) matchMedia(query).addEventListener('change', show);
}

const DARK = '(prefers-color-scheme: dark)';

function show(): void {
  const theme = chosenTheme();
  const isDark = theme === 'dark' || (theme === 'system' && matchMedia(DARK).matches);
  document.documentElement.dataset.theme = isDark && !matchMedia('print').matches ? 'nuvar-dark' : 'nuvar-light';
}
