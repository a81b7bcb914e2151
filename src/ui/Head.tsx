import type { ReactNode } from 'react';
import { type MenuEntry, MoreMenu } from './MoreMenu';
import { ThemeButton, toggleTheme } from './ThemeButton';

interface HeadProps {
  tag: ReactNode;
  title: string;
  about?: ReactNode;
  /** further buttons and links, before Keys and Night */
  children?: ReactNode;
  /** what goes behind one button, with Keys and Night, where there would be too many */
  more?: MenuEntry[];
  onKeys(): void;
}

/** The head of every view: a tag, what is on the bench, where one can go. */
export function Head({ tag, title, about, children, more, onKeys }: HeadProps) {
  return (
    <header className="head weave">
      <div className="head-tag">{tag}</div>
      <div className="head-title">
        <h1>{title}</h1>
        {about && <p>{about}</p>}
      </div>
      <nav aria-label="Everywhere">
        {children}
        {more ? (
          <MoreMenu
            entries={[
              ...more,
              { words: 'Keys', keyName: '?', onPick: onKeys },
              { words: 'Night and day', keyName: 'N', onPick: toggleTheme },
            ]}
          />
        ) : (
          <>
            <button type="button" onClick={onKeys}>
              Keys <kbd>?</kbd>
            </button>
            <ThemeButton />
          </>
        )}
      </nav>
    </header>
  );
}
