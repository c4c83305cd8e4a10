import { Moon, Sun } from 'lucide-react';
import { useState } from 'react';

const YEAR_SECONDS = 365 * 24 * 3600;

/** Day or dark room; remembered by this browser. */
export function ThemeSwitch() {
  const [theme, setTheme] = useState(() => (document.documentElement.dataset.theme === 'night' ? 'night' : 'day'));
  const other = theme === 'day' ? 'night' : 'day';
  return (
    <button
      type="button"
      className="btn btn-sm btn-square"
      aria-label={other === 'night' ? 'Dark room' : 'Daylight'}
      title={other === 'night' ? 'Dark room' : 'Daylight'}
      onClick={() => {
        document.documentElement.dataset.theme = other;
        document.cookie = `theme=${other}; path=/; max-age=${YEAR_SECONDS}; samesite=strict`;
        setTheme(other);
      }}
    >
      {other === 'night' ? <Moon size={16} aria-hidden /> : <Sun size={16} aria-hidden />}
    </button>
  );
}
