import { useState } from 'react';

const YEAR_SECONDS = 365 * 24 * 3600;
const THEMES = { system: 'Like the system', light: 'Light', dark: 'Dark' } as const;
type ThemeName = keyof typeof THEMES;

function showTheme(next: ThemeName): void {
  const age = next === 'system' ? 0 : YEAR_SECONDS;
  document.cookie = `theme=${next}; path=/; max-age=${age}; samesite=strict`;
  if (next === 'system') delete document.documentElement.dataset.theme;
  else document.documentElement.dataset.theme = next;
}

/** Light, dark, or like the system; remembered by this browser. */
export function ThemeChoice() {
  const [theme, setTheme] = useState<ThemeName>(() => {
    const chosen = document.documentElement.dataset.theme;
    return chosen === 'light' || chosen === 'dark' ? chosen : 'system';
  });
  const choose = (next: ThemeName): void => {
    showTheme(next);
    setTheme(next);
  };
  return (
    <fieldset className="px-2 py-1">
      <legend className="quiet-ink text-sm">Appearance</legend>
      {(Object.keys(THEMES) as ThemeName[]).map((name) => (
        <label key={name} className="flex min-h-8 cursor-pointer items-center gap-2">
          <input
            type="radio"
            name="theme"
            className="radio radio-sm"
            checked={theme === name}
            onChange={() => choose(name)}
          />
          {THEMES[name]}
        </label>
      ))}
    </fieldset>
  );
}
