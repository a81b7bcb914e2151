import { DropdownMenu } from 'radix-ui';

export interface MenuEntry {
  words: string;
  keyName?: string;
  onPick(): void;
}

/** What is wanted now and then, behind one button. */
export function MoreMenu({ entries }: { entries: MenuEntry[] }) {
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger asChild>
        <button type="button">More</button>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          className="bg-paper border-2 border-bark z-50 min-w-[200px]"
          aria-label="More"
        >
          {entries.map(({ words, keyName, onPick }) => (
            <DropdownMenu.Item
              key={words}
              onSelect={onPick}
              className="flex justify-between gap-4 items-center px-4 min-h-[46px] font-[560] cursor-pointer border-b border-rule last:border-b-0 data-[highlighted]:bg-ochre-wash outline-none"
            >
              {words}
              {keyName && <kbd>{keyName}</kbd>}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
