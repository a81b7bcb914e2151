import { useState } from 'react';
import { Wrong } from '../../ui/Field';
import { FileButton } from '../../ui/FileButton';

/** A dump out of a file. */
export function FromFile({ label, onText }: { label: string; onText(text: string): void }) {
  const [wrong, setWrong] = useState<string | null>(null);
  const read = async ([one]: [File, ...File[]]) => {
    if (one.size > 500_000) return setWrong('the file is over 500 kB: that is no dump of settings');
    setWrong(null);
    onText((await one.text()).replace(/^\uFEFF/, ''));
  };
  return (
    <span className="flex gap-2 items-center">
      <FileButton
        small
        label={`File of the dump ${label}`}
        accept=".txt,.cfg,.ini,.log,.g,text/plain"
        onFiles={read}
      >
        From a file
      </FileButton>
      {wrong && <Wrong>{wrong}</Wrong>}
    </span>
  );
}
