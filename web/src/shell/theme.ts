const KEY = 'oficina-theme';
const THEMES = { system: '', day: 'oficina-day', night: 'oficina-night' } as const;

export type Theme = keyof typeof THEMES;

/** The theme this browser has been set to. */
export function theme(): Theme {
  const stored = localStorage.getItem(KEY);
  return stored && stored in THEMES ? (stored as Theme) : 'system';
}

/** Sets the theme of this browser. */
export function setTheme(next: Theme) {
  localStorage.setItem(KEY, next);
  if (next === 'system') {
    document.documentElement.removeAttribute('data-theme');
  } else {
    document.documentElement.setAttribute('data-theme', THEMES[next]);
  }
}

setTheme(theme());
