import type { ReactNode } from 'react';
import { Logo } from './Marks.tsx';

/** One year; the choice of bay and of technician belongs to the tablet. */
export const keepCookie = (name: string, value: string) => {
  document.cookie = `${name}=${encodeURIComponent(value)}; path=/; max-age=31536000; samesite=strict`;
};

function NightBay() {
  const toggle = () => {
    const night = document.documentElement.dataset['theme'] === 'night';
    document.documentElement.dataset['theme'] = night ? 'day' : 'night';
    keepCookie('ts-theme', night ? 'day' : 'night');
  };
  return (
    <button type="button" className="night-bay" onClick={toggle}>
      <svg viewBox="0 0 20 20" aria-hidden="true">
        <circle cx="10" cy="10" r="8.5" fill="none" stroke="currentColor" strokeWidth="1.5" />
        <path d="M10 1.5a8.5 8.5 0 0 0 0 17z" fill="currentColor" />
      </svg>
      <span>Night bay</span>
    </button>
  );
}

/** The head strip: mark of the house, what the sheet is about, cells, night bay. */
export function TitleBlock({ children }: { children?: ReactNode }) {
  return (
    <header className="title-block">
      <a className="brand" href="/" title="To the floor">
        <Logo />
        <span>True Spindle</span>
      </a>
      {children}
      <NightBay />
    </header>
  );
}

/** Whose hands are on this tablet. */
export function WhoPick({
  people,
  who,
  onWho,
}: {
  people: readonly { id: string; name: string; retired?: true }[];
  who: string;
  onWho: (id: string) => void;
}) {
  return (
    <label className="who-pick">
      <span>On the job</span>
      <select
        value={who}
        onChange={(e) => {
          keepCookie('ts-who', e.target.value);
          onWho(e.target.value);
        }}
      >
        {people
          .filter((p) => !p.retired || p.id === who)
          .map((p) => (
            <option key={p.id} value={p.id}>
              {p.name}
            </option>
          ))}
      </select>
    </label>
  );
}
