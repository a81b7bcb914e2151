import { type ReactNode, useMemo, useState } from 'react';
import { Frame } from '../../ui/Frame';
import { Head } from '../../ui/Head';
import { KeysDialog, useKeys } from '../../ui/Keys';
import { toggleTheme } from '../../ui/ThemeButton';
import { SumHost } from '../sums/SumHost';

const HELP = [
  { keys: 'B', does: 'bench' },
  { keys: '/', does: 'find' },
  { keys: 'Ctrl K', does: 'bench sums' },
  { keys: 'N', does: 'night and day' },
  { keys: '?', does: 'these keys' },
];

/** Frame of the views that belong to no job. */
export function UnitsFrame({
  tag,
  title,
  about,
  children,
}: {
  tag: string;
  title: string;
  about: string;
  children: ReactNode;
}) {
  const [keys, setKeys] = useState(false);
  const bindings = useMemo(
    () => ({
      b: () => window.location.assign('/'),
      n: () => void toggleTheme(),
      '/': () => document.querySelector<HTMLElement>('[data-key=find]')?.focus(),
      '?': () => setKeys(true),
      'Shift+?': () => setKeys(true),
    }),
    [],
  );
  useKeys(bindings);
  return (
    <Frame className="alone">
      <Head
        tag={<span className="tag mono">{tag}</span>}
        title={title}
        about={about}
        onKeys={() => setKeys(true)}
      >
        <a href="/sums">Sums</a>
        <a href="/cables">Cables</a>
        <a href="/batteries">Batteries</a>
        <a href="/units">Units</a>
        <a href="/people">People</a>
        <a href="/workshop">Workshop</a>
        <a href="/">Bench</a>
      </Head>
      <main className="main">{children}</main>
      <SumHost />
      <KeysDialog open={keys} onClose={() => setKeys(false)} help={HELP} />
    </Frame>
  );
}
