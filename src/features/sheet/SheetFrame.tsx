import { type ReactNode, useEffect, useMemo, useState } from 'react';
import { FootHost, theNext, theOneAction, toFoot } from '../../ui/Foot';
import { Frame } from '../../ui/Frame';
import { Head } from '../../ui/Head';
import { KeysDialog, useEscape, useKeys } from '../../ui/Keys';
import { toggleTheme } from '../../ui/ThemeButton';
import { useFocusNeverLost } from '../../ui/use-focus-never-lost';

/** To the beginning or the end of the view, wherever the focus is: what had it may have gone out of sight. */
function scrollTo(end: boolean): void {
  const main = document.getElementById('main');
  const box = main && main.scrollHeight > main.clientHeight ? main : document.scrollingElement;
  box?.scrollTo({ top: end ? box.scrollHeight : 0 });
}

/** Frame of a view that belongs to no job and has one action: its head, its floor, its keys. */
export function SheetFrame({
  tag,
  title,
  about,
  label,
  busy,
  back,
  links,
  help,
  keys,
  children,
}: {
  tag: string;
  title: string;
  about: string;
  /** of what stands in it */
  label: string;
  busy?: boolean | undefined;
  /** where B leads */
  back: { href: string; words: string };
  /** where one can go from here, beside the bench */
  links?: ReactNode;
  help: { keys: string; does: string }[];
  /** keys of the view beside those of every one */
  keys: Record<string, () => void>;
  children: ReactNode;
}) {
  const [open, setOpen] = useState(false);
  useFocusNeverLost(toFoot);
  useEscape(toFoot);
  useKeys(
    useMemo(
      () => ({
        b: () => window.location.assign(back.href),
        n: () => void toggleTheme(),
        Enter: theOneAction,
        Space: theNext,
        Home: () => scrollTo(false),
        End: () => scrollTo(true),
        '?': () => setOpen(true),
        'Shift+?': () => setOpen(true),
        ...keys,
      }),
      [back.href, keys],
    ),
  );
  useEffect(() => toFoot(), []);
  const all = [
    { keys: 'Enter', does: 'the one action' },
    ...help,
    { keys: 'Home End', does: 'to the beginning, to the end' },
    { keys: 'Escape', does: 'out of a field, to the foot' },
    { keys: 'B', does: back.words },
    { keys: 'N', does: 'night and day' },
    { keys: '?', does: 'these keys' },
  ];
  return (
    <Frame className="alone">
      <Head
        tag={<span className="tag mono">{tag}</span>}
        title={title}
        about={about}
        onKeys={() => setOpen(true)}
      >
        {links}
        <a href="/">Bench</a>
      </Head>
      <FootHost below={null}>
        <main className="main" id="main" aria-label={label} aria-busy={busy || undefined}>
          {children}
        </main>
      </FootHost>
      <KeysDialog open={open} onClose={() => setOpen(false)} help={all} />
    </Frame>
  );
}
